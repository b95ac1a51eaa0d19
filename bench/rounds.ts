/**
 * Two members at one game, both at the same moment, round after round: each appends a snap after his own last,
 * each inserts one after the same snap, both write one field over the same version, one removes what the other edits.
 */
import { randomUUID } from 'node:crypto';
import { seededRandom } from '../demo/random';
import { GAME, withStage } from './stage';

export interface RoundsDone {
  readonly rounds: number;
  readonly snaps: number;
  readonly lost: number;
  readonly doubled: number;
  readonly outOfOrder: number;
  /** Rounds in which both, or neither, of two writes over one version were taken. */
  readonly notOneWinner: number;
}

type Answer = { readonly status: string; readonly reason?: string };
type Row = {
  readonly row: string;
  readonly order: number;
  readonly deleted: boolean;
  readonly versions: Readonly<Record<string, number>>;
  readonly fields: { readonly gain?: number };
};

export function logAtOnce({
  rounds,
  seed,
}: {
  readonly rounds: number;
  readonly seed: number;
}): Promise<RoundsDone> {
  const source = seededRandom(seed);
  return withStage({ cluster: 'e2e', members: 2 }, async ({ base, members, epoch }) => {
    const send = async (who: number, ...ops: object[]): Promise<readonly Answer[]> => {
      const response = await fetch(`${base}/api/sync`, {
        method: 'POST',
        headers: members[who]!.headers,
        body: JSON.stringify({
          scope: `game:${GAME}`,
          ops: ops.map((op) => ({ id: randomUUID(), kind: 'snap', epoch, ...op })),
        }),
      });
      if (!response.ok)
        throw new Error(`round of member ${who}: ${response.status} ${await response.text()}`);
      return ((await response.json()) as { answers: Answer[] }).answers;
    };
    const pull = async (): Promise<readonly Row[]> =>
      (
        (await (
          await fetch(`${base}/api/sync?scope=game:${GAME}`, { headers: members[0]!.headers })
        ).json()) as { rows: Row[] }
      ).rows;
    const put = (row: string, after: string | null): object => ({
      row,
      do: 'put',
      fields: { note: row },
      after,
    });
    const last: [string | null, string | null] = [null, null];
    const removed = new Set<string>();
    const inserted: string[][] = [];
    let typed = 0;
    let notOneWinner = 0;
    await send(0, put('start', 'the end'));
    for (let n = 0; n < rounds; n++) {
      const mine = [0, 1].map((who) => [
        put(`${who}-${n}`, last[who] ?? 'start'),
        put(`${who}-mid-${n}`, 'start'),
      ]);
      const answers = await Promise.all([0, 1].map((who) => send(who, ...mine[who]!)));
      if (answers.flat().some((a) => a.status !== 'done')) throw new Error(JSON.stringify(answers));
      typed += 4;
      last[0] = `0-${n}`;
      last[1] = `1-${n}`;
      inserted.push([`0-mid-${n}`, `1-mid-${n}`]);
      const over = source.pick(['0', '1']);
      const row = `${over}-${n}`;
      const edits = await Promise.all(
        [0, 1].map((who) => send(who, { row, do: 'patch', fields: { gain: { value: who + 1, over: 1 } } })),
      );
      const won = edits.map((a) => a[0]!.status).filter((s) => s === 'done').length;
      if (won !== 1 || !edits.some((a) => a[0]!.status === 'conflict')) notOneWinner++;
      if (source.chance(0.2)) {
        // One removes what the other edits: both are answered, the removal stands.
        await Promise.all([
          send(0, { row: `0-mid-${n}`, do: 'delete' }),
          send(1, { row: `0-mid-${n}`, do: 'patch', fields: { down: { value: 2, over: 1 } } }),
        ]);
        removed.add(`0-mid-${n}`);
      }
    }
    const rows = (await pull()).filter((r) => /^[01]-/.test(r.row));
    const standing = rows
      .filter((r) => !r.deleted)
      .sort((a, b) => a.order - b.order)
      .map((r) => r.row);
    const expected = new Set(
      [0, 1]
        .flatMap((who) => Array.from({ length: rounds }, (_, n) => [`${who}-${n}`, `${who}-mid-${n}`]).flat())
        .filter((k) => !removed.has(k)),
    );
    const at = new Map(standing.map((k, i) => [k, i]));
    let outOfOrder = rows.length - new Set(rows.map((r) => r.order)).size;
    for (const who of [0, 1])
      for (let n = 1; n < rounds; n++) if (at.get(`${who}-${n}`)! <= at.get(`${who}-${n - 1}`)!) outOfOrder++;
    // What was put after the same snap later stands before what was put there in an earlier round.
    for (let n = 1; n < rounds; n++)
      for (const later of inserted[n]!)
        for (const earlier of inserted[n - 1]!)
          if (at.has(later) && at.has(earlier) && at.get(later)! > at.get(earlier)!) outOfOrder++;
    return {
      rounds,
      snaps: typed,
      lost: [...expected].filter((k) => !at.has(k)).length + standing.filter((k) => !expected.has(k)).length,
      doubled: standing.length - new Set(standing).size,
      outOfOrder,
      notOneWinner,
    };
  });
}
