/** The store's side of synchronizing, against PostgreSQL: what was lost, shuffled or refused wholesale before. */
import { randomUUID } from 'node:crypto';
import fc from 'fast-check';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { gameScope, sheetScope, BOOK_SCOPE, type Operation } from '../core/sync';
import type { Actor } from '../core/exchange/types';
import { Member } from './entities';
import * as sessions from './sessions';
import * as programs from './programs';
import * as games from './games';
import * as imports from './imports';
import { openEm } from './orm';
import * as packages from './packages';
import * as rows from './rows.testing';
import { END, NOW, operation, saveSnaps, snapOperation } from './rows.testing';
import { epochOf, pull, synchronize } from './sync';
import { openTestDatabase, type TestDatabase } from './testing';
import { pack } from '../core/table';

let database: TestDatabase;
let ours: Actor;
const first = {
  program: 'Sync staff',
  level: 'college' as const,
  season: 2026,
  teamKey: 'AAA',
  teamName: 'Alder',
  memberName: 'Kim One',
  password: 'a long enough one',
};

beforeAll(async () => {
  database = await openTestDatabase('sync');
  ours = (await sessions.actorOf(await programs.createFirstProgram(first, NOW), NOW))!;
  await imports.importFiles(ours, [{ name: 'teams.csv', text: 'team,name\nCCC,Cedar\n' }], NOW);
});
afterAll(async () => database.close());

const newGame = () =>
  games.createGame(ours, {
    home: { key: 'AAA' },
    away: { key: 'CCC' },
    date: null,
    week: 1,
    level: null,
    phase: 'regular',
  });
const keys = async (game: string) => (await rows.loadSnaps(ours, game)).snaps.map((s) => s.snap.snapId);

describe('each operation by itself', () => {
  it('five good, one bad, three good: eight stored in order, one refused with its reason', async () => {
    const game = await newGame();
    const ops = Array.from({ length: 9 }, (_, i) => ({
      op: 'put' as const,
      snapId: `s${i}`,
      fields: i === 5 ? { unit: 'punt' as const, result: 'kick' as const, kickYards: 452 } : { gain: i },
      after: i === 0 ? null : `s${i - 1}`,
    }));
    const answers = await saveSnaps(ours, game, ops);
    expect(answers.map((a) => a.status)).toEqual([
      'done',
      'done',
      'done',
      'done',
      'done',
      'refused',
      'done',
      'done',
      'done',
    ]);
    expect(answers[5]).toMatchObject({
      code: 'value',
      reason: 'kick yards “452” is not a whole number from -30 to 109.',
    });
    expect(await keys(game)).toEqual(['s0', 's1', 's2', 's3', 's4', 's6', 's7', 's8']);
    // Fixed and sent again, it stands where it was typed.
    await saveSnaps(ours, game, [{ op: 'put', snapId: 's5', fields: { kickYards: 45 }, after: 's4' }]);
    expect(await keys(game)).toEqual(['s0', 's1', 's2', 's3', 's4', 's5', 's6', 's7', 's8']);
  });

  it('a NUL, half a pair, a control character and a text too long are refusals, whatever field holds them', async () => {
    const game = await newGame();
    const bad = ['a\u0000b', 'a\ud800', 'a\u0007', 'x'.repeat(4001)];
    const answers = await saveSnaps(ours, game, [
      ...bad.flatMap((note, i) => [
        { op: 'put' as const, snapId: `n${i}`, fields: { note } },
        { op: 'put' as const, snapId: `t${i}`, fields: { tags: [note] } },
      ]),
      { op: 'put', snapId: 'good', fields: {} },
    ]);
    expect(answers.map((a) => a.status)).toEqual([...bad.flatMap(() => ['refused', 'refused']), 'done']);
    expect(await keys(game)).toEqual(['good']);
    // The same in words, plays, calls and keys of rows.
    const wild = [
      await operation('term', 'w1', {
        do: 'put',
        fields: { kind: 'tag', word: 'a\u0000b', aliases: [] },
        after: null,
      }),
      await operation('term', 'a\u0000b', {
        do: 'put',
        fields: { kind: 'tag', word: 'fine', aliases: [] },
        after: null,
      }),
      { id: 'x\u0000', nothing: true },
      null,
      7,
    ];
    expect((await synchronize(ours, BOOK_SCOPE, wild, NOW)).answers.map((a) => a.status)).toEqual(
      wild.map(() => 'refused'),
    );
  });

  it('a team that does not play in the game is refused, as an import refuses it', async () => {
    const game = await newGame();
    const answers = await saveSnaps(ours, game, [
      { op: 'put', snapId: 'a', fields: { offense: 'XYZ' } },
      { op: 'put', snapId: 'b', fields: { offense: 'AAA', defense: 'AAA' } },
      { op: 'put', snapId: 'c', fields: { offense: 'AAA', defense: 'CCC', scoredBy: 'CCC' } },
      { op: 'patch', snapId: 'c', fields: { defense: { value: 'AAA', version: 1 } } },
      { op: 'patch', snapId: 'c', fields: { note: { value: 'fine', version: 1 } } },
    ]);
    expect(answers.map((a) => (a.status === 'refused' ? a.code : a.status))).toEqual([
      'value',
      'value',
      'done',
      'value',
      'done',
    ]);
    expect(answers[0]).toMatchObject({ reason: 'offense “XYZ” does not play in this game (AAA and CCC).' });
  });

  it('a game closed meanwhile refuses each with its reason; reopened, the same are taken', async () => {
    const game = await newGame();
    const charter: Actor = { ...ours, roles: ['charter'] };
    await games.closeGame(ours, game, true, NOW);
    const ops = await Promise.all(
      [1, 2, 3].map((n) => snapOperation({ op: 'put', snapId: `c${n}`, fields: { gain: n } })),
    );
    expect(
      (await synchronize(charter, gameScope(game), ops, NOW)).answers.map((a) =>
        a.status === 'refused' ? a.code : a.status,
      ),
    ).toEqual(['closed', 'closed', 'closed']);
    await games.closeGame(ours, game, false, NOW);
    expect((await synchronize(charter, gameScope(game), ops, NOW)).answers.map((a) => a.status)).toEqual([
      'done',
      'done',
      'done',
    ]);
    expect(await keys(game)).toEqual(['c1', 'c2', 'c3']);
  });

  it('the same operations again get the same answers and do nothing, also when somebody changed the row since', async () => {
    const game = await newGame();
    const ops = await Promise.all(
      [
        { op: 'put' as const, snapId: 'a', fields: { gain: 1 } },
        { op: 'patch' as const, snapId: 'a', fields: { gain: { value: 2, version: 1 } } },
      ].map(snapOperation),
    );
    const before = (await synchronize(ours, gameScope(game), ops, NOW)).answers;
    await saveSnaps(ours, game, [{ op: 'patch', snapId: 'a', fields: { gain: { value: 9, version: 2 } } }]);
    const { revision } = await rows.loadSnaps(ours, game);
    expect((await synchronize(ours, gameScope(game), ops, NOW)).answers).toEqual(before);
    expect(await rows.loadSnaps(ours, game)).toMatchObject({ revision, snaps: [{ snap: { gain: 9 } }] });
  });

  it('own patches in a row do not conflict with oneself, in one request or in several, and undo of what waits does not either', async () => {
    const game = await newGame();
    const epoch = await epochOf();
    const patch = (id: string, value: unknown, over: number | string): Operation => ({
      id,
      kind: 'snap',
      row: 'a',
      epoch,
      do: 'patch',
      fields: { gain: { value, over } },
    });
    const put = await snapOperation({ op: 'put', snapId: 'a', fields: { gain: 1 } });
    const [p1, p2, p3] = [randomUUID(), randomUUID(), randomUUID()];
    const one = await synchronize(ours, gameScope(game), [put, patch(p1, 2, 1), patch(p2, 1, p1)], NOW);
    expect(one.answers.map((a) => a.status)).toEqual(['done', 'done', 'done']);
    expect((await synchronize(ours, gameScope(game), [patch(p3, 5, p2)], NOW)).answers[0]!.status).toBe(
      'done',
    );
    // Another member's in between is a conflict, with what stands.
    await saveSnaps({ ...ours, name: 'Second' }, game, [
      { op: 'patch', snapId: 'a', fields: { gain: { value: 7, version: 4 } } },
    ]);
    expect(
      (await synchronize(ours, gameScope(game), [patch(randomUUID(), 6, p3)], NOW)).answers[0],
    ).toMatchObject({
      status: 'conflict',
      conflicts: [{ field: 'gain', theirs: 7, yours: 6, by: 'Second' }],
    });
  });

  it('what an answer quotes is kept as it was typed, and an answer asked for again is the same', async () => {
    const game = await newGame();
    const odd = `a 'quote', a "second", a \\ slash \\n, a ? mark, $1, {x}, a % and “é”\nand a line`;
    await saveSnaps(ours, game, [{ op: 'put', snapId: 'a', fields: { note: odd } }]);
    const stale = await operation('snap', 'a', {
      do: 'patch',
      fields: { note: { value: 'mine', over: 7 } },
    });
    const { answers } = await synchronize(ours, gameScope(game), [stale], NOW);
    expect(answers[0]).toMatchObject({ status: 'conflict', conflicts: [{ theirs: odd, yours: 'mine' }] });
    expect((await synchronize(ours, gameScope(game), [stale], NOW)).answers).toEqual(answers);
  });

  it('a patch written before a restore conflicts instead of overwriting what it never saw; a row that is gone is no acknowledgment', async () => {
    const game = await newGame();
    await saveSnaps(ours, game, [{ op: 'put', snapId: 'a', fields: { gain: 1 } }]);
    const old: Operation = {
      id: randomUUID(),
      kind: 'snap',
      row: 'a',
      epoch: 'another life',
      do: 'patch',
      fields: { gain: { value: 3, over: 1 } },
    };
    const gone: Operation = { ...old, id: randomUUID(), row: 'never was' };
    expect((await synchronize(ours, gameScope(game), [old, gone], NOW)).answers).toMatchObject([
      { status: 'conflict' },
      { status: 'refused', code: 'gone' },
    ]);
  });

  it('a sheet that was locked meanwhile, a play that is gone, a word in use: refused by name', async () => {
    const play = await rows.addPlay(ours, {
      name: 'P',
      kind: 'run',
      personnel: null,
      formation: null,
      formationSide: null,
      backfield: null,
      motion: null,
      motionBy: null,
      concept: 'power',
      conceptWeak: null,
      direction: null,
      links: [],
    });
    const sheet = await rows.createSheet(ours, { name: 'S', opponent: 'CCC' });
    await rows.lockSheet(ours, sheet, true);
    const coach: Actor = { ...ours, roles: ['coach'] };
    const call = (p: string) =>
      operation('call', randomUUID(), { do: 'put', fields: { section: 'first', play: p }, after: null });
    expect((await synchronize(coach, sheetScope(sheet), [await call(play)], NOW)).answers[0]).toMatchObject({
      status: 'refused',
      code: 'locked',
    });
    expect(
      (await synchronize(ours, sheetScope(sheet), [await call('no such play'), await call(play)], NOW))
        .answers,
    ).toMatchObject([{ status: 'refused', code: 'gone' }, { status: 'done' }]);
    const game = await newGame();
    await saveSnaps(ours, game, [{ op: 'put', snapId: 'a', fields: { formation: 'trips' } }]);
    expect(
      (
        await synchronize(
          ours,
          BOOK_SCOPE,
          [await operation('term', 'formation-trips', { do: 'delete' })],
          NOW,
        )
      ).answers[0],
    ).toMatchObject({ status: 'refused', code: 'in-use' });
  });
});

describe('order belongs to the database', () => {
  it('two members at once never share a key, and each one’s snaps stand in his order', async () => {
    const game = await newGame();
    await saveSnaps(ours, game, [{ op: 'put', snapId: 'k', fields: {} }]);
    const second: Actor = { ...ours, name: 'Second' };
    // Both append after what they saw last: their own snap, or the kickoff.
    await Promise.all(
      [
        ['a', ours],
        ['b', second],
      ].map(async ([who, actor]) => {
        for (let i = 0; i < 20; i++)
          await saveSnaps(actor as Actor, game, [
            {
              op: 'put',
              snapId: `${who as string}${i}`,
              fields: {},
              after: i === 0 ? 'k' : `${who as string}${i - 1}`,
            },
          ]);
      }),
    );
    const { snaps } = await rows.loadSnaps(ours, game);
    expect(new Set(snaps.map((s) => s.snap.order)).size).toBe(41);
    for (const who of ['a', 'b'])
      expect(snaps.map((s) => s.snap.snapId).filter((k) => k.startsWith(who))).toEqual(
        Array.from({ length: 20 }, (_, i) => `${who}${i}`),
      );
  });

  it('a gap never runs out: two hundred snaps between the same two', async () => {
    const game = await newGame();
    await saveSnaps(ours, game, [
      { op: 'put', snapId: 'first', fields: {}, after: null },
      { op: 'put', snapId: 'last', fields: {}, after: 'first' },
    ]);
    for (let i = 0; i < 4; i++)
      await saveSnaps(
        ours,
        game,
        Array.from({ length: 50 }, (_, n) => ({
          op: 'put' as const,
          snapId: `m${i * 50 + n}`,
          fields: {},
          after: 'first',
        })),
      );
    const found = await keys(game);
    expect(found).toEqual(['first', ...Array.from({ length: 200 }, (_, i) => `m${199 - i}`), 'last']);
    const [{ n, of }] = (await (
      await openEm()
    ).execute('select count(distinct order_key)::int as n, count(*)::int as of from snap')) as [
      { n: number; of: number },
    ];
    expect(n).toBeGreaterThan(0);
    expect(of).toBeGreaterThanOrEqual(n);
    // A reader who was in the middle gets every row whose place moved.
    expect((await pull(ours, gameScope(game), 0, await epochOf())).rows).toHaveLength(202);
  });

  it('moves and inserts at both ends, and after a removed snap', async () => {
    const game = await newGame();
    await saveSnaps(
      ours,
      game,
      ['a', 'b', 'c'].map((k) => ({ op: 'put' as const, snapId: k, fields: {} })),
    );
    await saveSnaps(ours, game, [
      { op: 'delete', snapId: 'b' },
      { op: 'put', snapId: 'd', fields: {}, after: 'b' },
      { op: 'put', snapId: 'z', fields: {}, after: null },
    ]);
    expect(await keys(game)).toEqual(['z', 'a', 'd', 'c']);
    rows.thrown(
      (
        await synchronize(
          ours,
          gameScope(game),
          [await operation('snap', 'z', { do: 'move', fields: {}, after: 'c' })],
          NOW,
        )
      ).answers[0]!,
    );
    await saveSnaps(ours, game, [{ op: 'restore', snapId: 'b' }]);
    expect(await keys(game)).toEqual(['a', 'b', 'd', 'c', 'z']);
  });
});

describe('imports', () => {
  const csv = (game: string) =>
    `snap_id,game,order,offense,defense,down\nx1,${game},1,AAA,CCC,1\nx2,${game},2,AAA,CCC,2\n`;
  const charter = (): Actor => ({ ...ours, roles: ['charter'] });

  it('a charter replaces no book, renames no team, makes no sheet, closes no game; each is said by file', async () => {
    const before = JSON.stringify(await packages.exportTables(ours));
    const refused = async (name: string, text: string) =>
      (await imports.importFiles(charter(), [{ name, text }], NOW, { book: 'replace' })).faults;
    expect(
      await refused(
        'book.json',
        '{"name":"mine","letters":["X"],"terms":[{"id":"tag-one","kind":"tag","word":"one","aliases":[]}]}',
      ),
    ).toEqual([expect.stringContaining('replacing the book is for a coordinator')]);
    expect(await refused('teams.csv', 'team,name\nCCC,Renamed\n')).toEqual([
      expect.stringContaining('renaming a team is for a coordinator'),
    ]);
    expect(await refused('sheets.csv', 'sheet,name,opponent\ns,Mine,CCC\n')).toEqual([
      expect.stringContaining('starting a call sheet is for a coordinator or coach'),
    ]);
    expect(
      await refused('games.csv', 'game,home,away,level,phase,closed\ng9,AAA,CCC,college,regular,true\n'),
    ).toEqual([expect.stringContaining('closing or reopening a game')]);
    expect(JSON.stringify(await packages.exportTables(ours))).toBe(before);
    expect(
      (await imports.importFiles(charter(), [{ name: 'snaps.csv', text: csv('by-charter') }], NOW)).imported,
    ).toBe(true);
  });

  it('a book is previewed, replaced when confirmed, undone whole; an empty one is refused', async () => {
    const file = [
      {
        name: 'book.json',
        text: '{"name":"one word","letters":["X"],"terms":[{"id":"tag-one","kind":"tag","word":"one word","aliases":[]}]}',
      },
    ];
    const before = JSON.stringify(
      (await pull(ours, BOOK_SCOPE, null, null)).rows.map((r) => [r.row, r.fields]),
    );
    const asked = await imports.importFiles(ours, file, NOW);
    expect([asked.imported, asked.book?.added, asked.book!.dropped.length > 200]).toEqual([
      false,
      ['one word'],
      true,
    ]);
    expect((await imports.importFiles(ours, file, NOW, { book: 'replace' })).imported).toBe(true);
    expect((await pull(ours, BOOK_SCOPE, null, null)).rows.map((r) => r.row)).toEqual(['tag-one']);
    const { listChanges, undoChange } = await import('./book-changes');
    await undoChange(ours, (await listChanges(ours))[0]!.id, NOW);
    expect(
      JSON.stringify((await pull(ours, BOOK_SCOPE, null, null)).rows.map((r) => [r.row, r.fields])),
    ).toBe(before);
    const empty = await imports.importFiles(
      ours,
      [{ name: 'book.json', text: '{"name":"none","letters":[],"terms":[]}' }],
      NOW,
      { book: 'replace' },
    );
    expect(empty.faults).toEqual([expect.stringContaining('is empty')]);
  });

  it('the same file twice at once is imported once, and the second says so', async () => {
    const both = await Promise.all(
      [1, 2].map(() => imports.importFiles(ours, [{ name: 'snaps.csv', text: csv('at-once') }], NOW)),
    );
    expect(both.map((b) => b.imported).sort()).toEqual([false, true]);
    expect(both.find((b) => !b.imported)!.faults[0]).toContain('is logged here already');
    expect(await keys('at-once')).toEqual(['x1', 'x2']);
  });

  it('members go on saving while a large file is imported', async () => {
    const game = await newGame();
    let done = false;
    const large = `snap_id,game,order,offense,defense\n${Array.from({ length: 6000 }, (_, i) => `x${i},large,${i + 1},AAA,CCC`).join('\n')}\n`;
    let saved = 0;
    const importing = imports
      .importFiles(ours, [{ name: 'snaps.csv', text: large }], NOW, { progress: () => undefined })
      .finally(() => {
        done = true;
      });
    while (!done) {
      expect((await saveSnaps(ours, game, [{ op: 'put', snapId: `w${saved}`, fields: {} }]))[0]!.status).toBe(
        'done',
      );
      if (!done) saved++;
    }
    expect((await importing).imported).toBe(true);
    expect(saved).toBeGreaterThan(3);
  });

  it('keys, names and texts that no column holds are faults with their place, not failures', async () => {
    const long = 'k'.repeat(300);
    for (const [name, text] of [
      ['teams.csv', `team,name\nDDD,${long}\n`],
      ['games.csv', `game,home,away,level,phase\n${long},AAA,CCC,college,regular\n`],
      ['snaps.csv', `snap_id,game,order,offense,defense,note\n${long},g,1,AAA,CCC,\n`],
      ['snaps.csv', 'snap_id,game,order,offense,defense,note\na,g,1,AAA,CCC,a\u0000b\n'],
      ['plays.csv', `play,name,kind,concept\np,${long},run,power\n`],
    ] as const) {
      const outcome = await imports.importFiles(ours, [{ name, text }], NOW);
      expect([outcome.imported, outcome.faults.length > 0, outcome.details[0]!.row], name).toEqual([
        false,
        true,
        2,
      ]);
    }
    const book = await imports.importFiles(
      ours,
      [
        {
          name: 'book.json',
          text: `{"name":"x","letters":[],"terms":[{"id":"t","kind":"tag","word":"t","aliases":[],"notes":"${'n'.repeat(3000)}"}]}`,
        },
      ],
      NOW,
    );
    expect(book.faults[0]).toContain('book.json');
  });

  it('snaps removed earlier give way to the file’s, whatever their ids and places', async () => {
    const game = await newGame();
    await saveSnaps(ours, game, [
      { op: 'put', snapId: 'x1', fields: {} },
      { op: 'put', snapId: 'x2', fields: {} },
    ]);
    await saveSnaps(ours, game, [
      { op: 'delete', snapId: 'x1' },
      { op: 'delete', snapId: 'x2' },
    ]);
    expect((await imports.importFiles(ours, [{ name: 'snaps.csv', text: csv(game) }], NOW)).imported).toBe(
      true,
    );
    expect(await keys(game)).toEqual(['x1', 'x2']);
  });
});

describe('what goes out comes back', () => {
  const word = fc.constantFrom(
    'trips',
    'slot',
    '=1+1',
    "'quoted",
    '-',
    '?',
    '@home',
    '+5',
    'a;b',
    'a,b',
    'a "b"',
    'ß',
    '-12',
  );
  const step = fc.oneof(
    {
      weight: 5,
      arbitrary: fc.record({
        do: fc.constant('put' as const),
        after: fc.nat(6),
        fields: fc.record(
          {
            formation: word,
            note: word,
            gain: fc.integer({ min: -9, max: 30 }),
            down: fc.integer({ min: 1, max: 4 }),
            distance: fc.integer({ min: 1, max: 20 }),
            toGoal: fc.integer({ min: 1, max: 99 }),
            quarter: fc.integer({ min: 1, max: 4 }),
            offense: fc.constantFrom('AAA', 'CCC'),
            play: fc.constantFrom('run', 'pass'),
            result: fc.constantFrom('gain', 'complete', 'no_play'),
            notSure: fc.constantFrom([], ['formation'], ['gain', 'note']),
            guessed: fc.constantFrom([], ['formation']),
            kept: fc.boolean(),
          },
          { requiredKeys: [] },
        ),
      }),
    },
    {
      weight: 3,
      arbitrary: fc.record({
        do: fc.constant('patch' as const),
        at: fc.nat(6),
        field: fc.constantFrom('formation' as const, 'note' as const, 'coverage' as const),
        value: word,
        who: fc.boolean(),
      }),
    },
    {
      weight: 1,
      arbitrary: fc.record({
        do: fc.constantFrom('delete' as const, 'restore' as const, 'move' as const),
        at: fc.nat(6),
        after: fc.nat(6),
      }),
    },
    { weight: 1, arbitrary: fc.record({ do: fc.constant('close' as const), closed: fc.boolean() }) },
  );

  /** A program of its own in the same database, with members of these names besides. */
  const program = async (name: string, others: readonly string[]): Promise<Actor> =>
    (await openEm()).transactional(async (tx) => {
      const { programId, memberId } = await programs.insertProgram(
        tx,
        {
          name: first.program,
          level: first.level,
          season: first.season,
          team: { key: 'AAA', name: 'Alder' },
          demo: false,
          settings: { week: null, opponent: null },
          member: { name, passwordHash: null, roles: ['admin', 'coordinator'] },
        },
        NOW,
      );
      for (const n of others)
        tx.create(Member, {
          id: randomUUID(),
          program: programId,
          name: n,
          nameKey: n.toLowerCase(),
          passwordHash: null,
          roles: ['coordinator'],
          removedAt: null,
          createdAt: NOW,
        });
      await tx.flush();
      return { memberId, programId, name, roles: ['admin', 'coordinator'] };
    });

  it('over random histories: export, an empty program, import, export: the same bytes', async () => {
    let histories = 0;
    let bytes = 0;
    const RUNS = 30;
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.tuple(fc.nat(1), step), { minLength: 3, maxLength: 25 }),
        async (steps) => {
          histories++;
          const a = await program('Kim One', []);
          {
            await imports.importFiles(
              a,
              [{ name: 'teams.csv', text: 'team,name,place\nCCC,=Cedar,\nAAA,Alder,Coast\n' }],
              NOW,
            );
            const second: Actor = { ...a, name: 'Bo “B” Second' };
            const list = [
              await games.createGame(a, {
                home: { key: 'AAA' },
                away: { key: 'CCC' },
                date: '2026-09-05',
                week: 1,
                level: null,
                phase: 'regular',
              }),
              await games.createGame(a, {
                home: { key: 'CCC' },
                away: { key: 'AAA' },
                date: null,
                week: null,
                level: 'high_school',
                phase: 'practice_11',
              }),
            ];
            let made = 0;
            for (const [g, s] of steps) {
              const game = list[g]!;
              const there = (await pull(a, gameScope(game), null, null)).rows.map((r) => r.row);
              const at = (n: number): string => there[n % Math.max(1, there.length)] ?? END;
              // The same ids in both games, as files of different charters have them.
              if (s.do === 'put')
                await saveSnaps(a, game, [
                  { op: 'put', snapId: `s${made++ % 7}`, fields: s.fields as never, after: at(s.after) },
                ]);
              else if (s.do === 'patch')
                await saveSnaps(s.who ? second : a, game, [
                  { op: 'patch', snapId: at(s.at), fields: { [s.field]: { value: s.value, version: 1 } } },
                ]);
              else if (s.do === 'close') await games.closeGame(a, game, s.closed, NOW);
              else
                await synchronize(
                  a,
                  gameScope(game),
                  [
                    await operation(
                      'snap',
                      at(s.at),
                      s.do === 'move' ? { do: 'move', fields: {}, after: at(s.after) } : { do: s.do },
                    ),
                  ],
                  NOW,
                );
            }
            await programs.setWeek(a, { week: 4, opponent: 'CCC' });
            await rows.addTerm(a, {
              kind: 'tag',
              word: `tag ${histories}`,
              aliases: ['another'],
              notes: '=note',
            });
            const play = await rows.addPlay(a, {
              name: '=Power',
              kind: 'run',
              personnel: '11',
              formation: 'trips',
              formationSide: 'R',
              backfield: null,
              motion: null,
              motionBy: null,
              concept: 'power',
              conceptWeak: null,
              direction: 'R',
              links: [],
            });
            const sheet = await rows.createSheet(a, { name: 'Sheet', opponent: 'CCC' });
            await rows.addCall(a, sheet, { section: 'first', play });
            await rows.lockSheet(a, sheet, true);
            const files = await packages.exportFiles(a, NOW);
            const b = await program('Somebody Else', [a.name]);
            const outcome = await imports.importFiles(b, files, NOW, { book: 'replace' });
            expect(outcome.faults).toEqual([]);
            const again = await packages.exportFiles(b, NOW);
            for (const f of files) expect(again.find((x) => x.name === f.name)?.text, f.name).toBe(f.text);
            const zip = pack(files);
            bytes += zip.length;
            expect(Buffer.from(pack(again)).equals(Buffer.from(zip))).toBe(true);
          }
        },
      ),
      { numRuns: RUNS, seed: 20261126 },
    );
    process.stdout.write(`export and import: ${histories} histories, ${bytes} bytes of zip compared\n`);
  }, 240_000);
});
