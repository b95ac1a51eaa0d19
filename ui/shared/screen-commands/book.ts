import type { CommandSpec } from './spec';

export const BOOK = [
  { id: 'find', label: 'find a term', chords: ['Alt+B'] },
  { id: 'draw', label: 'draw a formation', chords: ['Alt+N'] },
  { id: 'mirror', label: 'mirror the term that is open', chords: ['Alt+M'] },
  { id: 'close', label: 'close the term that is open', chords: ['Alt+W'] },
] as const satisfies readonly CommandSpec[];
