import type { CommandSpec } from './spec';

export const PLAN = [
  { id: 'undo', label: 'undo the last change', chords: ['Mod+Z'] },
  { id: 'next', label: 'next section', chords: ['Alt+J'] },
  { id: 'previous', label: 'previous section', chords: ['Alt+K'] },
  { id: 'print', label: 'print preview', chords: ['Alt+P'] },
  { id: 'notes', label: 'notes of the focused call', chords: ['Enter'], focused: true },
  { id: 'up', label: 'move the focused call up', chords: ['Alt+ArrowUp'], focused: true },
  { id: 'down', label: 'move the focused call down', chords: ['Alt+ArrowDown'], focused: true },
  {
    id: 'remove',
    label: 'take the focused call off the sheet',
    chords: ['Delete', 'Backspace'],
    focused: true,
  },
] as const satisfies readonly CommandSpec[];
