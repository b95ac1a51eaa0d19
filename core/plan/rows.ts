/** What stands on a sheet beside its calls: checks of a defense, remarks of the staff, periods of practice. */

export const SHEET_SIDES = ['offense', 'defense'] as const;
export type SheetSide = (typeof SHEET_SIDES)[number];

export const SHEET_ROW_KINDS = ['check', 'remark'] as const;
export type SheetRowKind = (typeof SHEET_ROW_KINDS)[number];

/** What a defense plays when it sees a picture: the words of its book. */
export interface CheckAnswer {
  readonly front: string | null;
  readonly coverage: string | null;
  readonly pressure: string | null;
  readonly note: string | null;
}

export interface Check extends CheckAnswer {
  readonly id: string;
  readonly order: number;
  /** Key of a picture (checks.ts), "2x2", "3x1.boundary", "bunch". */
  readonly picture: string;
  /** Their personnel; null: any. */
  readonly personnel: string | null;
  /** Key of a situation; null: any that has no row of its own. */
  readonly situation: string | null;
}

/** Said about the sheet: a comment, or the reason why an audit is waved through. */
export interface Remark {
  readonly id: string;
  readonly order: number;
  readonly kind: 'comment' | 'waved';
  /** Of a comment: "sheet"; of a waved audit what it is known by. */
  readonly about: string;
  readonly text: string;
  readonly by: string;
  /** ISO time. */
  readonly at: string;
}

export const REMARK_KINDS = ['comment', 'waved'] as const satisfies readonly Remark['kind'][];
export const MOST_REMARK = 400;
