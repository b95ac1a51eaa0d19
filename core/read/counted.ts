/** A snap as it is counted: the effective fields and what the game's order derives. */
import { effectiveSnap, type WalkedSnap } from '../rules/walk';
import type { Snap } from '../snap/snap';

export interface CountedSnap {
  readonly snap: Snap;
  readonly number: number;
  readonly bucket: string | null;
  readonly zone: string | null;
  readonly clockMode: string | null;
  readonly afterEvent: string;
  readonly firstOfPossession: boolean;
  readonly possession: number;
  readonly series: number;
}

export function toCounted(row: WalkedSnap): CountedSnap {
  return {
    snap: effectiveSnap(row), number: row.number, bucket: row.bucket, zone: row.zone, clockMode: row.clockMode, afterEvent: row.afterEvent,
    firstOfPossession: row.firstOfPossession, possession: row.possession, series: row.series,
  };
}

/**
 * A snap that counts in tendencies: from scrimmage (or a two-point try), not a kneel, a spike, a
 * kick or a play that was wiped out.
 */
export function isTendency({ snap }: CountedSnap): boolean {
  if (snap.result === 'kneel' || snap.result === 'spike' || snap.result === 'no_play' || snap.result === 'kick') return false;
  return snap.unit === 'scrimmage' || snap.unit === null || (snap.unit === 'try' && snap.play !== null);
}
