/** What a change to some snaps does to the others: situations derived anew, findings that come and go. */
import { checkRows } from '../rules/check';
import type { Finding } from '../rules/finding';
import type { GameState } from '../rules/state';
import { walkGame, type WalkedSnap, type WalkOptions } from '../rules/walk';
import type { LevelProfile } from '../field/profile';
import type { SnapFields } from '../snap/snap';

export interface Touched {
  /** Other snaps whose situation becomes another, with both. */
  readonly snaps: readonly { readonly number: number; readonly from: GameState; readonly to: GameState }[];
  readonly gone: readonly Finding[];
  readonly come: readonly Finding[];
}

const PARTS = ['offense', 'unit', 'quarter', 'down', 'distance', 'toGoal', 'hash'] as const;
const differs = (a: GameState, b: GameState): boolean =>
  PARTS.some((p) => a[p] !== b[p]) || JSON.stringify(a.score) !== JSON.stringify(b.score);

/** Walks and checks the game with the change. Cost: linear in the snaps. */
export function touchedBy(
  rows: readonly WalkedSnap[],
  patches: readonly { readonly snapId: string; readonly fields: SnapFields }[],
  profile: LevelProfile,
  options: WalkOptions,
): Touched {
  const patchOf = new Map(patches.map((p) => [p.snapId, p.fields]));
  const after = walkGame(
    rows.map(({ snap }) => ({ ...snap, ...patchOf.get(snap.snapId) })),
    profile,
    options,
  );
  const [before, now] = [checkRows(rows), checkRows(after)].map((list) =>
    list.filter((f) => f.level !== 'note'),
  );
  const [was, is] = [before!, now!].map((list) => new Set(list.map((f) => f.snapId)));
  return {
    snaps: rows.flatMap((row, i) =>
      !patchOf.has(row.snap.snapId) && differs(row.before, after[i]!.before)
        ? [{ number: row.number, from: row.before, to: after[i]!.before }]
        : [],
    ),
    gone: before!.filter((f) => !is!.has(f.snapId)),
    come: now!.filter((f) => !was!.has(f.snapId)),
  };
}

/** "also changes snaps 32 to 40; fixes snap 32; snap 41 will not add up". Empty: nothing else. */
export function touchedSentence({ snaps, gone, come }: Touched): string {
  const list = (numbers: readonly number[]): string => {
    const sorted = [...new Set(numbers)].sort((a, b) => a - b);
    const runs: number[][] = [];
    for (const n of sorted) {
      const run = runs[runs.length - 1];
      if (run && run[run.length - 1] === n - 1) run.push(n);
      else runs.push([n]);
    }
    const words = runs.map((r) => (r.length > 2 ? `${r[0]} to ${r[r.length - 1]}` : r.join(', ')));
    return `${sorted.length === 1 ? 'snap' : 'snaps'} ${words.slice(0, 4).join(', ')}${words.length > 4 ? ' and more' : ''}`;
  };
  const several = (found: readonly Finding[]): boolean => new Set(found.map((f) => f.number)).size > 1;
  return [
    snaps.length > 0 ? `also changes ${list(snaps.map((s) => s.number))}` : '',
    gone.length > 0 ? `then ${list(gone.map((f) => f.number))} ${several(gone) ? 'add' : 'adds'} up` : '',
    come.length > 0
      ? `then ${list(come.map((f) => f.number))} ${several(come) ? 'don’t' : 'doesn’t'} add up`
      : '',
  ]
    .filter(Boolean)
    .join('; ');
}
