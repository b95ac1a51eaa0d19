import type { CommandSpec } from './spec';

export const STAFF = [
  { id: 'week', label: 'the week and its opponent', chords: ['Alt+W'] },
  { id: 'member', label: 'add a member', chords: ['Alt+N'] },
  { id: 'export', label: 'export everything', chords: ['Alt+X'] },
] as const satisfies readonly CommandSpec[];
