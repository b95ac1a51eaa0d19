import type { CommandSpec } from './spec';

export const REEL = [
  { id: 'present', label: 'show it to the room', chords: ['Alt+P'] },
  { id: 'undo', label: 'undo the last change', chords: ['Mod+Z'] },
  { id: 'next', label: 'next snap', chords: ['Alt+J'] },
  { id: 'previous', label: 'snap before', chords: ['Alt+K'] },
  { id: 'up', label: 'move the snap up', chords: ['Alt+ArrowUp'], focused: true },
  { id: 'down', label: 'move the snap down', chords: ['Alt+ArrowDown'], focused: true },
] as const satisfies readonly CommandSpec[];
