/** Re-tagging after a merge: 20 000 snaps of one word, in PostgreSQL with fsync on, and the same undone. */
import { randomUUID } from 'node:crypto';
import { dropDatabase, ensureDatabase, joinCluster, startCluster } from '../cli/cluster';
import { blankSnap } from '../core/snap';
import { mergeTerms, undoChange } from '../store/book-changes';
import { createGame } from '../store/games';
import { actorOf } from '../store/sessions';
import { createFirstProgram } from '../store/programs';
import { closeOrm, migrate, openEm } from '../store/orm';
import { insertSnaps } from '../store/import-snaps';
import { Game } from '../store/entities';
import type { Row } from './run';

const SNAPS = 20_000;
const ROUNDS = 3;

export async function retagRows(): Promise<Row[]> {
  const cluster = await startCluster('e2e', true);
  const leave = joinCluster('e2e');
  const database = `bench_${randomUUID().slice(0, 8)}`;
  await ensureDatabase(cluster, database);
  process.env.DATABASE_URL = cluster.url(database);
  try {
    await migrate(cluster.url(database));
    const now = new Date('2026-10-31T18:00:00Z');
    const actor = (await actorOf(
      await createFirstProgram(
        {
          program: 'Bench',
          level: 'college',
          season: 2026,
          teamKey: 'AAA',
          teamName: 'Alder',
          memberName: 'Kim',
          password: 'a long enough one',
        },
        now,
      ),
      now,
    ))!;
    const keys: string[] = [];
    for (let games = 0; games < 100; games++)
      keys.push(
        await createGame(actor, {
          home: { key: 'AAA' },
          away: games === 0 ? { name: 'Cedar' } : { key: 'CEDAR' },
          date: null,
          week: 1,
          level: null,
          phase: 'regular',
        }),
      );
    const em = await openEm();
    const ids = new Map((await em.find(Game, { program: actor.programId })).map((g) => [g.key, g.id]));
    const snaps = Array.from({ length: SNAPS }, (_, i) => ({
      ...blankSnap(`s${i}`, keys[i % 100]!, Math.floor(i / 100) + 1),
      formation: 'slot',
      personnel: '11',
    }));
    await em.transactional((tx) => insertSnaps(tx, actor, ids, snaps, now));
    const merge: number[] = [];
    const back: number[] = [];
    for (let i = 0; i < ROUNDS; i++) {
      let began = performance.now();
      const done = await mergeTerms(actor, 'formation-pro', 'formation-slot', now);
      merge.push(performance.now() - began);
      if (done.snaps !== SNAPS) throw new Error(`the merge changed ${done.snaps} snaps, not ${SNAPS}`);
      began = performance.now();
      const undone = await undoChange(actor, done.change, now);
      back.push(performance.now() - began);
      if (undone.snaps !== SNAPS || undone.left !== 0)
        throw new Error(`the way back changed ${undone.snaps} snaps`);
    }
    return [
      {
        what: 're-tag 20 000 snaps after a merge',
        n: ROUNDS,
        unit: 'ms',
        times: merge,
        note: '100 games, one transaction',
      },
      { what: 'take the merge back', n: ROUNDS, unit: 'ms', times: back, note: '' },
    ];
  } finally {
    await closeOrm();
    await dropDatabase(cluster, database);
    leave();
  }
}
