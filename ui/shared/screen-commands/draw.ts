import type { CommandSpec } from './spec';

export const DRAW = [
  { id: 'undo', label: 'undo', chords: ['Mod+Z'] },
  { id: 'redo', label: 'redo', chords: ['Mod+Shift+Z', 'Mod+Y'] },
  { id: 'mirror', label: 'mirror', chords: ['Alt+M'] },
] as const satisfies readonly CommandSpec[];
