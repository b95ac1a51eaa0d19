/** A snap as it is counted: the effective fields and what the game's order derives. */
import { callKind, type CallKind } from '../book/call-kind';
import { lookFacts, type LookFacts } from '../book/facts';
import type { Book } from '../book/term';
import type { LevelProfile } from '../field/profile';
import { effectiveSnap, walkGame, type WalkedSnap } from '../rules/walk';
import { deriveGame, type Derived } from './derived';
import type { Snap } from '../snap/snap';
import { lookedAt } from './doubts';
import { DEFAULT_RULES, type StaffRules } from './staff-rules';

export interface CountedSnap extends Derived, CallKind {
  readonly snap: Snap;
  readonly number: number;
  readonly bucket: string | null;
  readonly zone: string | null;
  readonly clockMode: string | null;
  readonly afterEvent: string;
  readonly firstOfPossession: boolean;
  readonly possession: number;
  readonly series: number;
  /** What follows from the look, measured when it is first asked for; null where no book was at hand. */
  readonly look: LookFacts | null;
}

const NO_KIND: CallKind = { passType: null, attack: null, gap: null };

function toCounted(
  row: WalkedSnap,
  snap: Snap,
  derived: Derived,
  profile: LevelProfile,
  book: Book | null,
  rules: StaffRules,
): CountedSnap {
  // What is in doubt is left out of what follows from it; the tag itself stays, to be shown and exported.
  const left = rules.doubts === 'none';
  const call = left ? lookedAt(snap) : snap;
  let look: LookFacts | null = null;
  return {
    ...derived,
    ...(book ? callKind(book, call) : NO_KIND),
    snap,
    get look() {
      return (look ??= book && lookFacts(book, call, profile, rules.look));
    },
    number: row.number,
    bucket: row.bucket,
    zone: row.zone,
    clockMode: row.clockMode,
    afterEvent: row.afterEvent,
    firstOfPossession: row.firstOfPossession,
    possession: row.possession,
    series: row.series,
  };
}

/** A game walked and ready to count: with the book, also by what follows from each look. */
export function countGame(
  snaps: readonly Snap[],
  profile: LevelProfile,
  book: Book | null = null,
  rules: StaffRules = DEFAULT_RULES,
): CountedSnap[] {
  const { buckets, zones, explosive } = rules;
  const rows = walkGame(snaps, profile, { buckets, zones, explosive });
  const effective = rows.map(effectiveSnap);
  const derived = deriveGame(rows, effective, (i) => isTendency({ snap: effective[i]! }));
  return rows.map((row, i) => toCounted(row, effective[i]!, derived[i]!, profile, book, rules));
}

/** A kick that was made or tried: not one that a foul wiped out, not a try that was run or thrown. */
export const isKick = ({ snap }: Pick<CountedSnap, 'snap'>): boolean =>
  snap.notFilmed !== true &&
  snap.result !== 'no_play' &&
  (snap.unit === 'punt' ||
    snap.unit === 'field_goal' ||
    snap.unit === 'kickoff' ||
    snap.unit === 'free_kick' ||
    (snap.unit === 'try' && snap.play === null));

/**
 * A snap that counts in tendencies: from scrimmage (or a two-point try), not a kneel, a spike, a
 * kick or a play that was wiped out.
 */
export function isTendency({ snap }: Pick<CountedSnap, 'snap'>): boolean {
  if (
    snap.notFilmed === true ||
    snap.result === 'kneel' ||
    snap.result === 'spike' ||
    snap.result === 'no_play' ||
    snap.result === 'kick'
  )
    return false;
  return snap.unit === 'scrimmage' || snap.unit === null || (snap.unit === 'try' && snap.play !== null);
}
