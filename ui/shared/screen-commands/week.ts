import type { CommandSpec } from './spec';

export const WEEK = [
  { id: 'continue', label: 'go on with the game that is not logged whole', chords: ['Alt+G'] },
  { id: 'read', label: 'read the opponent', chords: ['Alt+R'] },
  { id: 'sheet', label: 'go on with the call sheet', chords: ['Alt+S'] },
  { id: 'review', label: 'the first snap that needs review', chords: ['Alt+V'] },
] as const satisfies readonly CommandSpec[];
