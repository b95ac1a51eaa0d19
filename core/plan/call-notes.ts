/** What is noted of a call. Apart from the sheet: rows of every screen are read with it, and few of them count film. */

/** What to do next by what was seen: another call of the sheet, or words. */
export interface IfThen {
  readonly when: string;
  /** A call of the same sheet; null: the words say it. */
  readonly call: string | null;
  readonly words: string | null;
}

/** What a staff notes of a call besides what it is. */
export interface CallNotes {
  readonly hash: 'L' | 'M' | 'R' | null;
  readonly note: string | null;
  /** Words that are said with it: a tempo, a protection, a route tag. */
  readonly tags: readonly string[];
  readonly ifThen: readonly IfThen[];
  /** Who must be available: letters, numbers, names. */
  readonly needs: readonly string[];
  /** What must have been shown before it pays. */
  readonly shownFirst: string | null;
}
export const NO_NOTES: CallNotes = {
  hash: null,
  note: null,
  tags: [],
  ifThen: [],
  needs: [],
  shownFirst: null,
};
export const CALL_NOTES = Object.keys(NO_NOTES) as (keyof CallNotes)[];
