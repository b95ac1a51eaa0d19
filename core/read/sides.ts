/** Of whom Read reads: an offense, a defense, a team that kicks, a team that is kicked to. */
export const BOARD_SIDES = ['offense', 'defense', 'kicking', 'returning'] as const;
export type BoardSide = (typeof BOARD_SIDES)[number];
export const SIDE_WORDS: Readonly<Record<BoardSide, string>> = {
  offense: 'offense',
  defense: 'defense',
  kicking: 'kicking team',
  returning: 'return team',
};
/** Units whose reports are one: words of the command line and of addresses. */
export const REPORT_UNITS = {
  special: ['kicking', 'returning'],
  all: BOARD_SIDES,
} as const satisfies Record<string, readonly BoardSide[]>;
export type ReportUnits = keyof typeof REPORT_UNITS;
/** The field of a snap that a team of this side stands in. */
export const sideField = (side: BoardSide): 'offense' | 'defense' =>
  side === 'offense' || side === 'kicking' ? 'offense' : 'defense';
export const ofKicks = (side: BoardSide): boolean => side === 'kicking' || side === 'returning';
