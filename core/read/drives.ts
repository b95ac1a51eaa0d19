/** The drives of a selection: where each began and ended, how long it was, what came of it, with its snaps. */
import type { CountedSnap } from './counted';
import { yardsOf } from './success';
import type { NamedRows } from './reels';

export interface Drive {
  /** Of its snaps in the address: game and number of the possession. */
  readonly key: string;
  readonly game: string;
  readonly quarter: number | null;
  /** Yards to the goal line at its first play and after its last; null: not known. */
  readonly from: number | null;
  readonly to: number | null;
  readonly end: string | null;
  readonly rows: Uint32Array;
}

/** In the order they were played. `rows`: all plays of one side, so that a drive is whole. Linear. */
export function drivesOf(snaps: readonly CountedSnap[], rows: Uint32Array): Drive[] {
  const byDrive = new Map<string, number[]>();
  for (const row of rows) {
    const { snap, possession } = snaps[row]!;
    // A try stands for itself, and what began before the film is no drive.
    if (possession === 0 || snap.unit === 'try') continue;
    const key = `${snap.game}~${possession}`;
    const list = byDrive.get(key);
    if (list) list.push(row);
    else byDrive.set(key, [row]);
  }
  return [...byDrive].map(([key, list]): Drive => {
    const first = snaps[list[0]!]!;
    const last = snaps[list[list.length - 1]!]!;
    const gained = yardsOf(last.snap);
    return {
      key,
      game: first.snap.game,
      quarter: first.snap.quarter,
      from: first.snap.toGoal,
      to:
        last.driveEnd === 'touchdown'
          ? 0
          : last.snap.toGoal === null || gained === null
            ? null
            : Math.max(0, Math.min(100, last.snap.toGoal - gained)),
      end: last.driveEnd,
      rows: Uint32Array.from(list),
    };
  });
}

/** The snaps of a drive by name, "v/<game>~<possession>". */
export function driveReel(name: string, snaps: readonly CountedSnap[], rows: Uint32Array): NamedRows {
  const drives = drivesOf(snaps, rows);
  const at = drives.findIndex((d) => d.key === name.slice(2));
  const drive = drives[at];
  if (!drive) return { title: '', rows: new Uint32Array(0) };
  const number = drives.filter((d) => d.game === drive.game).indexOf(drive) + 1;
  return { title: `Drive ${number}${drive.end ? `, ${drive.end}` : ''}`, rows: drive.rows };
}
