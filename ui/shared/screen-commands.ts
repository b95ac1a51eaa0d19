/** What can be done on each screen besides Log, once: keys, help, palette and docs are made from it. Log's stand in core/log. */
export interface CommandSpec {
  readonly id: string;
  readonly label: string;
  /** Chords with + between keys; Mod is Ctrl, or Command on a Mac. No letter without Alt or Mod: a voice or a slip presses it. */
  readonly chords: readonly string[];
  /** It is done to what has the focus: keys only, the palette would take the focus away. */
  readonly focused?: boolean;
}

export const WEEK = [
  { id: 'continue', label: 'go on with the game that is not logged whole', chords: ['Alt+G'] },
  { id: 'read', label: 'read the opponent', chords: ['Alt+R'] },
  { id: 'sheet', label: 'go on with the call sheet', chords: ['Alt+S'] },
  { id: 'review', label: 'the first snap that needs review', chords: ['Alt+V'] },
] as const satisfies readonly CommandSpec[];
export const GAMES = [
  { id: 'newest', label: 'the newest game that is open', chords: ['Alt+G'] },
  { id: 'start', label: 'start a game', chords: ['Alt+N'] },
  { id: 'import', label: 'import a file', chords: ['Alt+I'] },
] as const satisfies readonly CommandSpec[];
export const READ = [
  { id: 'reel', label: 'the reel of all snaps that fit', chords: ['Alt+A'] },
  { id: 'whole', label: 'back to all situations', chords: ['Alt+W'] },
  { id: 'unfilter', label: 'take all filters away', chords: ['Alt+U'] },
] as const satisfies readonly CommandSpec[];
export const REEL = [
  { id: 'present', label: 'show it to the room', chords: ['Alt+P'] },
  { id: 'undo', label: 'undo the last change', chords: ['Mod+Z'] },
  { id: 'next', label: 'next snap', chords: ['Alt+J'] },
  { id: 'previous', label: 'snap before', chords: ['Alt+K'] },
  { id: 'up', label: 'move the snap up', chords: ['Alt+ArrowUp'], focused: true },
  { id: 'down', label: 'move the snap down', chords: ['Alt+ArrowDown'], focused: true },
] as const satisfies readonly CommandSpec[];
export const PLAN = [
  { id: 'undo', label: 'undo the last change', chords: ['Mod+Z'] },
  { id: 'next', label: 'next section', chords: ['Alt+J'] },
  { id: 'previous', label: 'previous section', chords: ['Alt+K'] },
  { id: 'print', label: 'print preview', chords: ['Alt+P'] },
  { id: 'up', label: 'move the focused call up', chords: ['Alt+ArrowUp'], focused: true },
  { id: 'down', label: 'move the focused call down', chords: ['Alt+ArrowDown'], focused: true },
  {
    id: 'remove',
    label: 'take the focused call off the sheet',
    chords: ['Delete', 'Backspace'],
    focused: true,
  },
] as const satisfies readonly CommandSpec[];
export const BOOK = [
  { id: 'find', label: 'find a term', chords: ['Alt+B'] },
  { id: 'draw', label: 'draw a formation', chords: ['Alt+N'] },
  { id: 'mirror', label: 'mirror the term that is open', chords: ['Alt+M'] },
  { id: 'close', label: 'close the term that is open', chords: ['Alt+W'] },
] as const satisfies readonly CommandSpec[];
export const DRAW = [
  { id: 'undo', label: 'undo', chords: ['Mod+Z'] },
  { id: 'redo', label: 'redo', chords: ['Mod+Shift+Z', 'Mod+Y'] },
  { id: 'mirror', label: 'mirror', chords: ['Alt+M'] },
] as const satisfies readonly CommandSpec[];
export const STAFF = [
  { id: 'week', label: 'the week and its opponent', chords: ['Alt+W'] },
  { id: 'member', label: 'add a member', chords: ['Alt+N'] },
  { id: 'export', label: 'export everything', chords: ['Alt+X'] },
] as const satisfies readonly CommandSpec[];

/** All of them, for the docs and the checks: a screen asks for its own only. */
export const SCREEN_COMMANDS: Readonly<Record<string, readonly CommandSpec[]>> = {
  Week: WEEK,
  Games: GAMES,
  Read: READ,
  Reel: REEL,
  Plan: PLAN,
  Book: BOOK,
  Draw: DRAW,
  Staff: STAFF,
};

export type Runs<L extends readonly CommandSpec[]> = Readonly<
  Partial<Record<L[number]['id'], (() => void | boolean) | undefined>>
>;

/** Chords that every screen answers. */
export const FRAME_COMMANDS: readonly CommandSpec[] = [
  { id: 'palette', label: 'go to a screen, game, sheet, play or term, or do something', chords: ['Mod+K'] },
  { id: 'keys', label: 'the keys of this screen', chords: ['Mod+/'] },
];
