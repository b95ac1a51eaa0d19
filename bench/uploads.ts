/** Files at the limits, while others ask: how long each takes to be taken or refused, and how long others wait. */
import { zipSync } from 'fflate';
import { LIMITS } from '../core/table';
import { GAME, withStage } from './stage';

export interface UploadDone {
  readonly what: string;
  readonly seconds: number;
  readonly answer: string;
}
export interface UploadsDone {
  readonly uploads: readonly UploadDone[];
  /** Questions of another member meanwhile, and the slowest answer in milliseconds. */
  readonly asked: number;
  readonly slowest: number;
}

const HEADER = 'snap_id,game,order,offense,defense,formation,gain\n';
const rows = (n: number, game: string): string =>
  HEADER + Array.from({ length: n }, (_, i) => `s${i},${game},${i + 1},HER,STG,trips,${i % 9}`).join('\n');

export function uploadsAtLimits(): Promise<UploadsDone> {
  const text = (words: string): Uint8Array => new TextEncoder().encode(words);
  // Made before the server is there: packing takes the processor for seconds, and idle connections are closed.
  const files: readonly (readonly [what: string, name: string, bytes: Uint8Array])[] = [
    ['100 000 rows of CSV', 'many.csv', text(rows(100_000, 'many'))],
    ['one row above the limit', 'above.csv', text(rows(LIMITS.rows + 1, 'above'))],
    [
      'a zip of 60 MB unpacked',
      'sixty.zip',
      zipSync({ 'snaps.csv': text(`${rows(1000, 'sixty')}\n${' '.repeat(60 * 1024 * 1024)}`) }),
    ],
    [
      'a zip that unfolds into 250 MB',
      'bomb.zip',
      zipSync({ 'snaps.csv': new Uint8Array(250 * 1024 * 1024) }),
    ],
    ['just the largest upload', 'largest.csv', new Uint8Array(LIMITS.uploadBytes).fill(97)],
  ];
  return withStage({ cluster: 'e2e', members: 2 }, async ({ base, members }) => {
    const send = async (what: string, name: string, bytes: Uint8Array): Promise<UploadDone> => {
      const form = new FormData();
      form.set('files', new Blob([bytes as BlobPart]), name);
      const { cookie, origin } = members[0]!.headers as { cookie: string; origin: string };
      const began = performance.now();
      const response = await fetch(`${base}/api/import`, {
        method: 'POST',
        body: form,
        headers: { cookie, origin },
      });
      const last = JSON.parse((await response.text()).trim().split('\n').at(-1)!) as {
        error?: string;
        outcome?: { imported: boolean; faults: string[]; counts: Record<string, number> };
      };
      const answer =
        last.error ??
        (last.outcome!.imported
          ? `imported ${JSON.stringify(last.outcome!.counts)}`
          : last.outcome!.faults[0]!);
      return {
        what,
        seconds: Number(((performance.now() - began) / 1000).toFixed(1)),
        answer: answer.slice(0, 90),
      };
    };
    let over = false;
    let asked = 0;
    let slowest = 0;
    const others = (async () => {
      while (!over) {
        const began = performance.now();
        const { ok } = await fetch(`${base}/api/sync?scope=game:${GAME}`, { headers: members[1]!.headers });
        if (!ok) throw new Error('another member was not answered');
        slowest = Math.max(slowest, performance.now() - began);
        asked++;
        await new Promise((r) => setTimeout(r, 50));
      }
    })();
    const uploads: UploadDone[] = [];
    for (const [what, name, bytes] of files) uploads.push(await send(what, name, bytes));
    over = true;
    await others;
    return { uploads, asked, slowest: Math.round(slowest) };
  });
}
