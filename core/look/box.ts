/** What counts as the box. */
export interface BoxRule {
  /** Yards outside the end man that still count. */
  readonly lateral: number;
  /** Yards from the ball that still count. */
  readonly depth: number;
}
/** Within the tackles (or the tight end) by two yards each side and within seven and a half of the ball. */
export const DEFAULT_BOX: BoxRule = { lateral: 2, depth: 7.5 };
