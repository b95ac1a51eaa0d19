/**
 * Logging while everything under it is killed: the postmaster, single backends, the web server. Snaps are sent
 * the way a browser sends them, the same operation until it is answered. Counted at the end: lost, doubled,
 * out of order.
 */
import { randomUUID } from 'node:crypto';
import { seededRandom } from '../demo/random';
import { GAME, withStage } from './stage';

export interface KillsDone {
  readonly snaps: number;
  readonly kills: Readonly<Record<'postmaster' | 'backends' | 'server', number>>;
  readonly tries: number;
  readonly lost: number;
  readonly doubled: number;
  readonly outOfOrder: number;
}

/** `every`: a kill about every so many snaps. */
export function logUnderKills({
  snaps,
  every,
  seed,
}: {
  readonly snaps: number;
  readonly every: number;
  readonly seed: number;
}): Promise<KillsDone> {
  const source = seededRandom(seed);
  const kills = { postmaster: 0, backends: 0, server: 0 };
  let tries = 0;
  return withStage({ cluster: 'kills', members: 1 }, async ({ base, members, epoch, ...stage }) => {
    const { headers } = members[0]!;
    let healing: Promise<void> = Promise.resolve();
    /** Kills one thing now, and has it brought back as the launcher does. */
    const kill = (what: keyof typeof kills): void => {
      kills[what]++;
      healing = healing
        .then(
          { postmaster: stage.killPostmaster, backends: stage.killBackends, server: stage.killServer }[what],
        )
        .catch(() => undefined);
    };
    const typed: string[] = [];
    let after: string | null = 'the end';
    for (let n = 0; n < snaps; n++) {
      const row = `k${n}`;
      const op = {
        id: randomUUID(),
        kind: 'snap',
        row,
        epoch,
        do: 'put',
        fields: { note: row, gain: n % 9, result: 'gain' },
        after,
      };
      if (source.next() < 1 / every) {
        // Drawn here and not when it is done: a schedule is its seed's alone, whatever the machine's pace.
        const what = source.pick(['postmaster', 'backends', 'backends', 'server'] as const);
        // In the middle of the request as often as before it.
        if (source.chance(0.5)) kill(what);
        else setTimeout(kill, source.next() * 15, what);
      }
      for (;;) {
        tries++;
        try {
          const response = await fetch(`${base}/api/sync`, {
            method: 'POST',
            headers,
            body: JSON.stringify({ scope: `game:${GAME}`, ops: [op] }),
            signal: AbortSignal.timeout(30_000),
          });
          if (response.ok) {
            const { answers } = (await response.json()) as { answers: { status: string; reason?: string }[] };
            if (answers[0]!.status !== 'done')
              throw new Error(`${row}: ${answers[0]!.status} ${answers[0]!.reason}`);
            break;
          }
          if (response.status < 500) throw new Error(`${row}: ${response.status} ${await response.text()}`);
        } catch (error) {
          if (/^k\d+:/.test((error as Error).message)) throw error;
        }
        await new Promise((r) => setTimeout(r, 50));
      }
      typed.push(row);
      after = row;
    }
    await healing;
    const pulled = (await (await fetch(`${base}/api/sync?scope=game:${GAME}`, { headers })).json()) as {
      rows: { row: string; order: number }[];
    };
    const stored = pulled.rows
      .filter((r) => r.row.startsWith('k'))
      .sort((a, b) => a.order - b.order)
      .map((r) => r.row);
    return {
      snaps,
      kills,
      tries,
      lost: typed.filter((t) => !stored.includes(t)).length,
      doubled: stored.length - new Set(stored).size,
      outOfOrder: stored.filter((s, i) => s !== typed[i]).length,
    };
  });
}
