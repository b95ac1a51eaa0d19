/** Two charters of one game: at once on one snap, and blind, each alone. */
import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { seededRandom } from '../demo/random';
import { compareChartings } from '../core/agreement';
import type { Actor } from '../core/exchange/types';
import { snapOfRow } from '../core/exchange/from-rows';
import { blindScope, gameScope } from '../core/sync';
import { beginBlind, chartingsOf, chartingsToCompare, handIn } from './chartings';
import { Member } from './entities';
import { Invalid, NotFound } from './errors';
import * as games from './games';
import { openEm } from './orm';
import { exportTables } from './packages';
import { presentAt } from './presence';
import * as programs from './programs';
import { NOW, operation, saveSnaps } from './rows.testing';
import * as sessions from './sessions';
import { pull, synchronize } from './sync';
import { openTestDatabase, type TestDatabase } from './testing';

let database: TestDatabase;
let ann: Actor;
let bo: Actor;
let game: string;
const IDS = ['s0', 's1', 's2', 's3'];

beforeAll(async () => {
  database = await openTestDatabase('chartings');
  const token = await programs.createFirstProgram(
    {
      program: 'Staff',
      level: 'college',
      season: 2026,
      teamKey: 'AAA',
      teamName: 'Alder',
      memberName: 'Ann One',
      password: 'a long enough one',
    },
    NOW,
  );
  ann = (await sessions.actorOf(token, NOW))!;
  const em = await openEm();
  const member = em.create(Member, {
    id: randomUUID(),
    program: ann.programId,
    name: 'Bo Two',
    nameKey: 'bo two',
    passwordHash: null,
    roles: ['charter'],
    removedAt: null,
    createdAt: NOW,
  });
  await em.flush();
  bo = { programId: ann.programId, memberId: member.id, name: 'Bo Two', roles: ['charter'] };
  game = await games.createGame(ann, {
    home: { key: 'AAA' },
    away: { name: 'Cedar' },
    date: null,
    week: 1,
    level: null,
    phase: 'regular',
  });
  await saveSnaps(
    ann,
    game,
    IDS.map((snapId, i) => ({
      op: 'put',
      snapId,
      fields: {
        unit: 'scrimmage',
        offense: 'AAA',
        down: 1,
        distance: 10,
        toGoal: 60,
        formation: 'trips',
        coverage: 'cover 3',
        gain: i,
      },
      after: i === 0 ? null : IDS[i - 1]!,
    })),
  );
});
afterAll(() => database.close());

describe('at once', () => {
  it('five hundred writes of two members to one snap: other fields both land, the same field keeps the first and says both', async () => {
    const scope = gameScope(game);
    const fields = ['front', 'pressure'] as const;
    const stands: Record<string, string> = {};
    let [landed, offered] = [0, 0];
    for (let round = 0; round < 250; round++) {
      const [row] = (await pull(ann, scope, null, null)).rows.filter((r) => r.row === 's1');
      // Even rounds: each his own field; odd rounds: both the same one, read at the same version.
      const [a, b] = round % 2 === 0 ? fields : ([fields[0], fields[0]] as const);
      const patch = (field: string, value: string) =>
        operation('snap', 's1', {
          do: 'patch',
          fields: { [field]: { value, over: row!.versions[field] ?? 1 } },
        });
      const [first, second] = await Promise.all([
        synchronize(ann, scope, [await patch(a, `ann ${round}`)], NOW),
        synchronize(bo, scope, [await patch(b, `bo ${round}`)], NOW),
      ]);
      const answers = [first.answers[0]!, second.answers[0]!];
      if (a !== b) {
        expect(answers.map((x) => x.status)).toEqual(['done', 'done']);
        stands[a] = `ann ${round}`;
        stands[b] = `bo ${round}`;
        landed += 2;
        continue;
      }
      const conflict = answers.find((x) => x.status === 'conflict');
      expect(answers.filter((x) => x.status === 'done')).toHaveLength(1);
      const won = answers[0]!.status === 'done' ? `ann ${round}` : `bo ${round}`;
      expect(conflict).toMatchObject({ conflicts: [{ field: a, theirs: won }] });
      expect(JSON.stringify(conflict)).toContain(won.startsWith('ann') ? 'Ann One' : 'Bo Two');
      stands[a] = won;
      landed++;
      offered++;
    }
    const [row] = (await pull(ann, scope, null, null)).rows.filter((r) => r.row === 's1');
    expect({ front: row!.fields.front, pressure: row!.fields.pressure }).toEqual(stands);
    expect([landed, offered]).toEqual([375, 125]);
  });
});

describe('blind', () => {
  const tag = async (actor: Actor, snapId: string, fields: Record<string, unknown>) => {
    const scope = blindScope(game);
    const { rows } = await pull(actor, scope, null, null);
    const versions = rows.find((r) => r.row === snapId)!.versions;
    const patches = Object.fromEntries(
      Object.entries(fields).map(([f, value]) => [f, { value, over: versions[f] ?? 1 }]),
    );
    const { answers } = await synchronize(
      actor,
      scope,
      [await operation('snap', snapId, { do: 'patch', fields: patches })],
      NOW,
    );
    return answers[0]!;
  };
  it('begins with the situations and nothing anybody judged, once', async () => {
    await beginBlind(ann, game, NOW);
    await beginBlind(ann, game, NOW);
    await beginBlind(bo, game, NOW);
    const { rows } = await pull(bo, blindScope(game), null, null);
    const snaps = rows.map((r) => snapOfRow(r, game));
    expect(snaps.map((s) => s.snapId)).toEqual(IDS);
    expect(snaps[2]).toMatchObject({
      down: 1,
      toGoal: 60,
      gain: 2,
      formation: null,
      coverage: null,
      front: null,
    });
    expect((await chartingsOf(ann, game)).map((c) => [c.kind, c.mine, c.handedIn])).toEqual([
      ['official', false, false],
      ['blind', true, false],
      ['blind', false, false],
    ]);
  });
  it('is each one’s own: the other sees nothing of it, nor does what is logged or exported', async () => {
    expect(await tag(ann, 's0', { coverage: 'cover 3', front: '4-2' })).toMatchObject({ status: 'done' });
    expect(await tag(ann, 's1', { coverage: 'quarters' })).toMatchObject({ status: 'done' });
    expect(await tag(bo, 's0', { coverage: 'cover 1', front: '4-2' })).toMatchObject({ status: 'done' });
    expect(await tag(bo, 's1', { coverage: 'quarters' })).toMatchObject({ status: 'done' });
    const seen = async (actor: Actor) =>
      (await pull(actor, blindScope(game), null, null)).rows.map((r) => r.fields.coverage ?? null);
    expect(await seen(ann)).toEqual(['cover 3', 'quarters', null, null]);
    expect(await seen(bo)).toEqual(['cover 1', 'quarters', null, null]);
    const official = (await pull(ann, gameScope(game), null, null)).rows;
    expect(official.map((r) => r.fields.coverage)).toEqual(IDS.map(() => 'cover 3'));
    expect((await exportTables(ann)).tables.snaps).toHaveLength(IDS.length);
    expect((await games.listGames(ann))[0]!.snaps).toBe(IDS.length);
  });
  it('answers that are lost, repeated and late change nothing; what was answered stands', async () => {
    const random = seededRandom(91);
    const scope = blindScope(game);
    const stands = new Map<string, string>();
    const sent: { op: Awaited<ReturnType<typeof operation>>; first: unknown }[] = [];
    let repeats = 0;
    for (let i = 0; i < 60; i++) {
      const row = random.pick(IDS);
      const { rows } = await pull(ann, scope, null, null);
      const over = rows.find((r) => r.row === row)!.versions.pressure ?? 1;
      const op = await operation('snap', row, {
        do: 'patch',
        fields: { pressure: { value: `way ${i}`, over } },
      });
      const { answers } = await synchronize(ann, scope, [op], NOW);
      expect(answers[0]).toMatchObject({ status: 'done' });
      stands.set(row, `way ${i}`);
      sent.push({ op, first: answers[0] });
      // The answer was lost: sent again alone, behind an older one, or twice in one request.
      while (random.chance(0.5)) {
        const late = [random.pick(sent), sent.at(-1)!, sent.at(-1)!];
        const again = await synchronize(
          ann,
          scope,
          late.map((l) => l.op),
          NOW,
        );
        expect(again.answers).toEqual(late.map((l) => l.first));
        repeats++;
      }
      // Another member cannot ask for it in his own, nor is it written there.
      if (i % 20 === 0)
        expect(
          (await pull(bo, scope, null, null)).rows.every((r) => (r.fields.pressure ?? null) === null),
        ).toBe(true);
    }
    expect(repeats).toBeGreaterThan(30);
    const { rows } = await pull(ann, scope, null, null);
    for (const row of IDS) expect(rows.find((r) => r.row === row)!.fields.pressure).toBe(stands.get(row));
  });
  it('is compared when it is handed in, and then not changed any more', async () => {
    await expect(chartingsToCompare(ann, game, false)).rejects.toThrow(Invalid);
    await handIn(bo, game, NOW);
    expect(await tag(bo, 's2', { coverage: 'cover 1' })).toMatchObject({ status: 'refused', code: 'closed' });
    await expect(chartingsToCompare(ann, game, false)).rejects.toThrow('when you hand yours in');
    expect(await chartingsToCompare(bo, game, false)).toHaveLength(1);
    await handIn(ann, game, NOW);
    const both = await chartingsToCompare(ann, game, false);
    const [coverage, front] = compareChartings(both, ['coverage', 'front']);
    expect(coverage).toMatchObject({ of: 2, kappa: { n: 2, agree: 1 }, disputes: [{ snapId: 's0' }] });
    expect(front).toMatchObject({ of: 1, kappa: { n: 1, agree: 1, kappa: null } });
    expect((await chartingsToCompare(bo, game, true)).map((c) => c.kind)).toEqual([
      'official',
      'blind',
      'blind',
    ]);
  });
  it('handed in while a tag is on its way: it lands before or is refused, and is never half there', async () => {
    const other = await games.createGame(ann, {
      home: { key: 'AAA' },
      away: { name: 'Elder' },
      date: null,
      week: 3,
      level: null,
      phase: 'regular',
    });
    await saveSnaps(
      ann,
      other,
      Array.from({ length: 12 }, (_, i) => ({
        op: 'put' as const,
        snapId: `t${i}`,
        fields: { unit: 'scrimmage' as const, offense: 'AAA', down: 1, distance: 10, toGoal: 60 },
        after: i === 0 ? null : `t${i - 1}`,
      })),
    );
    await beginBlind(bo, other, NOW);
    const ops = await Promise.all(
      Array.from({ length: 12 }, (_, i) =>
        operation('snap', `t${i}`, { do: 'patch', fields: { coverage: { value: 'quarters', over: 1 } } }),
      ),
    );
    const [answers] = await Promise.all([
      Promise.all(ops.map(async (op) => (await synchronize(bo, blindScope(other), [op], NOW)).answers[0]!)),
      handIn(bo, other, NOW),
    ]);
    const { rows } = await pull(bo, blindScope(other), null, null);
    for (const [i, answer] of answers.entries()) {
      const stands = rows.find((r) => r.row === `t${i}`)!.fields.coverage ?? null;
      if (answer.status === 'refused') expect([answer.code, stands]).toEqual(['closed', null]);
      else expect([answer.status, stands]).toEqual(['done', 'quarters']);
    }
  });
  it('cannot be begun of a game nobody logged, nor handed in by who has none', async () => {
    const empty = await games.createGame(ann, {
      home: { key: 'AAA' },
      away: { name: 'Dogwood' },
      date: null,
      week: 2,
      level: null,
      phase: 'regular',
    });
    await expect(beginBlind(ann, empty, NOW)).rejects.toThrow('nobody has logged this game yet');
    await expect(handIn(ann, empty, NOW)).rejects.toThrow(NotFound);
  });
});

describe('presence', () => {
  it('says who else is at a game and on which snap, until he is gone', async () => {
    const at = (seconds: number) => new Date(NOW.getTime() + seconds * 1000);
    expect(await presentAt(ann, game, 's1', at(0))).toEqual([]);
    expect(await presentAt(bo, game, null, at(5))).toEqual([{ name: 'Ann One', snap: 's1' }]);
    expect(await presentAt(ann, game, 's2', at(10))).toEqual([{ name: 'Bo Two', snap: null }]);
    expect(await presentAt(bo, game, null, at(50))).toEqual([]);
    await expect(presentAt({ ...bo, programId: randomUUID() }, game, null, at(0))).rejects.toThrow(NotFound);
  });
});
