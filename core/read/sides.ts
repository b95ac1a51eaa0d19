/** Of whom Read reads: an offense, a defense, a team that kicks, a team that is kicked to. */
export const BOARD_SIDES = ['offense', 'defense', 'kicking', 'returning'] as const;
export type BoardSide = (typeof BOARD_SIDES)[number];
export const SIDE_WORDS: Readonly<Record<BoardSide, string>> = {
  offense: 'offense',
  defense: 'defense',
  kicking: 'kicking team',
  returning: 'return team',
};
/** The field of a snap that a team of this side stands in. */
export const sideField = (side: BoardSide): 'offense' | 'defense' =>
  side === 'offense' || side === 'kicking' ? 'offense' : 'defense';
export const ofKicks = (side: BoardSide): boolean => side === 'kicking' || side === 'returning';
