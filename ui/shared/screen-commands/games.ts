import type { CommandSpec } from './spec';

export const GAMES = [
  { id: 'newest', label: 'the newest game that is open', chords: ['Alt+G'] },
  { id: 'start', label: 'start a game', chords: ['Alt+N'] },
  { id: 'import', label: 'import a file', chords: ['Alt+I'] },
] as const satisfies readonly CommandSpec[];
