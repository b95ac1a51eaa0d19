import type { CommandSpec } from './spec';

export const READ = [
  { id: 'reel', label: 'the reel of all snaps that fit', chords: ['Alt+A'] },
  { id: 'whole', label: 'back to all situations', chords: ['Alt+W'] },
  { id: 'unfilter', label: 'take all filters away', chords: ['Alt+U'] },
] as const satisfies readonly CommandSpec[];
