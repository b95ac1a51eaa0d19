/** What a charting session knows of its game: the logged snaps walked, what needs review, the book and the habits. */
import type { BucketSet, Zone } from '../field/situation';
import type { LevelProfile } from '../field/profile';
import type { Book } from '../book/term';
import type { Habits } from '../line/habits';
import type { Finding } from '../rules/finding';
import type { WalkedSnap } from '../rules/walk';
import type { SnapFields } from '../snap/snap';

/** A snap the store refused, waiting to be fixed. `after` is undefined where it was no new snap. */
export interface RefusedSnap {
  readonly id: string;
  readonly snapId: string;
  readonly fields: SnapFields;
  readonly after: string | null | undefined;
}

export interface LoggedGame {
  readonly home: string;
  readonly away: string;
  readonly rows: readonly WalkedSnap[];
  readonly findings: readonly Finding[];
  readonly refused: readonly RefusedSnap[];
  /** Number behind each letter, by team. */
  readonly letters: Readonly<Record<string, Readonly<Record<string, string>>>>;
  readonly book: Book;
  readonly profile: LevelProfile;
  readonly buckets: BucketSet;
  readonly zones: readonly Zone[];
  /** What was charted before, this game's snaps among them. */
  readonly habits: Habits;
}

/** Where a new snap stands that follows another: its index. */
export const placeAfter = (game: LoggedGame, after: string | null): number =>
  after === null ? 0 : game.rows.findIndex((r) => r.snap.snapId === after) + 1 || game.rows.length;

export const opponentOf = (game: LoggedGame, team: string): string =>
  team === game.home ? game.away : game.home;
