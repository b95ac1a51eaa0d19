import type { CommandSpec } from './spec';

/** Chords that every screen answers. */
export const FRAME_COMMANDS: readonly CommandSpec[] = [
  { id: 'palette', label: 'go to a screen, game, sheet, play or term, or do something', chords: ['Mod+K'] },
  { id: 'keys', label: 'the keys of this screen', chords: ['Mod+/'] },
];
