/** The game as a strip: a possession a row, each snap where it happened on a hundred yards. */
import { SCORE_POINTS } from '../snap/snap';
import type { WalkedSnap } from './walk';

export interface StripBlock {
  readonly row: WalkedSnap;
  /** Yards from the own goal line of the possession's team, before and after the snap. */
  readonly from: number;
  readonly to: number;
  readonly kind: 'run' | 'pass' | 'incomplete' | 'penalty' | 'kick' | 'untagged';
  readonly turnover: boolean;
}

export interface StripRow {
  readonly key: string;
  readonly quarter: number | null;
  readonly offense: string | null;
  readonly blocks: readonly StripBlock[];
  readonly points: number;
  /** Kicks that open a possession stand with the team that kicks. */
  readonly end: string;
}

const kindOf = ({ snap }: WalkedSnap): StripBlock['kind'] => {
  if (snap.result === 'kick' || snap.unit === 'kickoff' || snap.unit === 'punt' || snap.unit === 'field_goal')
    return 'kick';
  if (snap.result === 'no_play') return 'penalty';
  if (snap.result === 'incomplete') return 'incomplete';
  if (snap.play === 'run' || snap.play === 'rpo') return 'run';
  return snap.play === 'pass' || snap.result === 'complete' || snap.result === 'sack' ? 'pass' : 'untagged';
};

/** Rows in game order. Snaps whose spot cannot be known are left out of the blocks, never placed by guess. */
export function stripRows(rows: readonly WalkedSnap[]): StripRow[] {
  const out: {
    key: string;
    quarter: number | null;
    offense: string | null;
    blocks: StripBlock[];
    points: number;
    end: string;
  }[] = [];
  let last: string | null = null;
  for (const row of rows) {
    const { snap, before } = row;
    // A try belongs to the possession that scored; a kickoff opens nothing to draw by itself.
    if (before.unit === 'kickoff' || before.unit === 'free_kick') {
      last = null;
      continue;
    }
    const key: string = before.unit === 'try' && last !== null ? last : `${row.possession}`;
    if (key !== last)
      out.push({
        key: `${key}-${snap.snapId}`,
        quarter: before.quarter,
        offense: before.offense,
        blocks: [],
        points: 0,
        end: '',
      });
    last = key;
    const current = out[out.length - 1]!;
    if (snap.score && snap.scoredBy === current.offense) current.points += SCORE_POINTS[snap.score];
    if (snap.unit === 'punt') current.end = 'punt';
    if (snap.unit === 'field_goal') current.end = snap.kickEnd === 'good' ? 'field goal' : 'no good';
    if (before.unit === 'try' || before.toGoal === null) continue;
    const from = 100 - before.toGoal;
    const moved =
      kindOf(row) === 'penalty' &&
      row.after.state.offense === before.offense &&
      row.after.state.toGoal !== null
        ? before.toGoal - row.after.state.toGoal
        : kindOf(row) === 'kick'
          ? 0
          : (snap.gain ?? 0);
    current.blocks.push({
      row,
      from,
      to: Math.max(0, Math.min(100, from + moved)),
      kind: kindOf(row),
      turnover: snap.turnover !== null && snap.fumble !== 'kept',
    });
  }
  return out;
}
