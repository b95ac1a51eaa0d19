/** Twenty members reading and logging for a while: HTTP clients on the same machine against a real server and database. */
import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { gunzipSync } from 'node:zlib';
import { splitFilm } from '../core/snap/packed-bytes';
import type { Row } from './run';
import { GAME, withStage } from './stage';

export interface LoadOptions {
  readonly members: number;
  readonly seconds: number;
  /** Milliseconds between a member's requests. */
  readonly think: number;
}

export function loadRows({ members, seconds, think }: LoadOptions): Promise<Row[]> {
  return withStage({ cluster: 'e2e', members }, async ({ base, epoch, members: clients, server }) => {
    const times: Record<string, number[]> = { read: [], film: [], log: [], week: [], save: [], pull: [] };
    let errors = 0;
    let most = 0;
    const memory = (): number =>
      Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${server().pid}/status`, 'utf8'))?.[1] ?? 0) / 1024;
    const watch = setInterval(() => {
      most = Math.max(most, memory());
    }, 250);
    try {
      // Each page once, as after any start: the first visit loads its code.
      for (const path of ['/', '/read', '/api/film', `/log/${GAME}`, '/plan'])
        await (await fetch(base + path, { headers: clients[0]!.headers })).text();
      const until = Date.now() + seconds * 1000;
      await Promise.all(
        clients.map(async (client, i) => {
          const headers = { ...client.headers, 'accept-encoding': 'gzip' };
          let have = '';
          const ask = async (
            what: keyof typeof times,
            path: string,
            init: RequestInit = {},
          ): Promise<{ ok: boolean; body: Uint8Array } | null> => {
            const began = performance.now();
            try {
              const response = await fetch(base + path, { ...init, headers });
              const body = new Uint8Array(await response.arrayBuffer());
              times[what]!.push(performance.now() - began);
              if (response.status >= 400) errors++;
              return { ok: response.ok, body };
            } catch {
              errors++;
              return null;
            }
          };
          // Members do not begin in step.
          await new Promise((r) => setTimeout(r, (think * i) / members));
          for (let n = 0; Date.now() < until; n++) {
            const turn = (n + i) % 4;
            if (turn === 0) {
              // A visit to Read: the page, then its film if it changed.
              await ask('read', '/read');
              const film = await ask('film', `/api/film${have ? `?have=${encodeURIComponent(have)}` : ''}`);
              if (film?.ok)
                have = splitFilm(gunzipSync(film.body))
                  .map((g) => g.said as { info: { key: string }; stamp: string })
                  .map(({ info, stamp }) => `${info.key}=${stamp}`)
                  .join(',');
            } else if (turn === 3)
              await ask(i % 2 === 0 ? 'log' : 'week', i % 2 === 0 ? `/log/${GAME}` : '/');
            else {
              await ask('save', '/api/sync', {
                method: 'POST',
                body: JSON.stringify({
                  scope: `game:${GAME}`,
                  ops: [
                    {
                      id: randomUUID(),
                      kind: 'snap',
                      row: randomUUID(),
                      epoch,
                      do: 'put',
                      fields: { formation: 'trips', result: 'gain', gain: n % 9 },
                      after: 'the end',
                    },
                  ],
                }),
              });
              await ask('pull', `/api/sync?scope=game:${GAME}&since=${n}&epoch=${epoch}`);
            }
            await new Promise((r) => setTimeout(r, think));
          }
        }),
      );
    } finally {
      clearInterval(watch);
    }
    const row = (what: string, list: readonly number[], note = ''): Row => ({
      what: `${members} members: ${what}`,
      n: list.length,
      unit: 'ms',
      times: list,
      note,
    });
    return [
      row(
        '/read',
        times.read!,
        `${seconds} s, think time ${think / 1000} s, ${errors} errors, server memory at most ${most.toFixed(0)} MB`,
      ),
      row('film of Read', times.film!),
      row('a game in Log', times.log!),
      row('the week', times.week!),
      row('save a snap', times.save!),
      row('pull after it', times.pull!),
    ];
  });
}
