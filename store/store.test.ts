import { execFileSync } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import path from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { loadDemo } from '../demo/load';
import { sampleGame } from '../demo/sample';
import { dropDatabase, ensureDatabase, programPath } from '../cli/cluster';
import { DEFAULT_BOOK } from '../core/book/default-book';
import { writeBook } from '../core/book/term';
import { DEFAULT_RULES } from '../core/read';
import type { SnapFields } from '../core/snap';
import { pack, unpack } from '../core/table';
import * as bookSplit from './book-split';
import * as sessions from './sessions';
import * as programs from './programs';
import * as bookImport from './book-import';
import * as bookChanges from './book-changes';
import * as book from './book';
import * as audit from './audit';
import { Member } from './entities';
import { SnapRow } from './entities-football';
import { Invalid, NotFound, Refused, SignInRefused } from './errors';
import * as games from './games';
import * as members from './members';
import { closeOrm, migrate, openEm } from './orm';
import * as packages from './packages';
import * as imports from './imports';
import * as plans from './plans';
import * as rows from './rows.testing';
import * as snaps from './snaps';
import { getOrm, openTestDatabase, type TestDatabase } from './testing';
import type { Actor } from '../core/exchange/types';
import type { SnapChange } from './rows.testing';

const NOW = rows.NOW;
/** A sign-in from one address whose waits are noted, not waited for. */
const waits: number[] = [];
const from = (address = '10.0.0.1'): sessions.Visitor => ({
  address,
  agent: 'test',
  pause: async (ms) => void waits.push(ms),
});
let database: TestDatabase;
let token: string;
let ours: Actor;
let theirs: Actor;

const first = {
  program: 'Test staff',
  level: 'college' as const,
  season: 2026,
  teamKey: 'AAA',
  teamName: 'Alder',
  memberName: 'Kim One',
  password: 'a long enough one',
};

/** A second program, as another staff of the same database would have. */
async function otherProgram(): Promise<Actor> {
  const em = await openEm();
  return em.transactional(async (tx) => {
    const { programId, memberId } = await programs.insertProgram(
      tx,
      {
        name: 'Other staff',
        level: 'college',
        season: 2026,
        team: { key: 'BBB', name: 'Birch' },
        demo: false,
        settings: { week: null, opponent: null },
        member: { name: 'Other One', passwordHash: null, roles: ['admin', 'coordinator'] },
      },
      NOW,
    );
    return { memberId, programId, name: 'Other One', roles: ['admin', 'coordinator'] };
  });
}

beforeAll(async () => {
  database = await openTestDatabase('store');
  token = await programs.createFirstProgram(first, NOW);
  ours = (await sessions.actorOf(token, NOW))!;
  theirs = await otherProgram();
  for (const actor of [ours, theirs])
    expect(
      (await imports.importFiles(actor, [{ name: 'teams.csv', text: 'team,name\nCCC,Cedar\n' }], NOW)).faults,
    ).toEqual([]);
});
afterAll(async () => database.close());

const put = (snapId: string, _order: number, fields: SnapFields): SnapChange => ({
  op: 'put',
  snapId,
  fields,
});
const newGame = (actor: Actor) =>
  games.createGame(actor, {
    home: { key: actor === ours ? 'AAA' : 'BBB' },
    away: { key: 'CCC' },
    date: null,
    week: 1,
    level: null,
    phase: 'regular',
  });

it('has no difference between entities and migrations', async () => {
  const orm = await getOrm(database.url);
  expect((await orm.schema.getUpdateSchemaSQL({ wrap: false })).trim()).toBe('');
  expect(await orm.migrator.getPendingMigrations()).toEqual([]);
});

describe('sign-in', () => {
  it('takes name without case and password, and knows the session until it ends', async () => {
    const t = await sessions.signIn('kim one', first.password, from(), NOW);
    expect(await sessions.actorOf(t, NOW)).toMatchObject({
      name: 'Kim One',
      roles: ['admin', 'coordinator'],
    });
    expect(await sessions.actorOf(t, new Date('2027-10-31T20:00:00Z'))).toBeNull();
    await sessions.signOut(t);
    expect(await sessions.actorOf(t, NOW)).toBeNull();
  });
  it('keeps only argon2id hashes and hashed tokens', async () => {
    const em = await openEm();
    expect((await em.findOneOrFail(Member, { id: ours.memberId })).passwordHash).toMatch(/^\$argon2id\$/);
    expect(JSON.stringify(await em.execute('select * from session'))).not.toContain(token);
  });
  it('counts attempts before it checks them: two hundred parallel guesses get eight checks, none is locked out', async () => {
    waits.length = 0;
    const guesses = await Promise.allSettled(
      Array.from({ length: 200 }, (_, i) =>
        sessions.signIn('kim one', `wrong password ${i}`, from('10.9.9.9'), NOW),
      ),
    );
    const codes = guesses.map((g) => (g as PromiseRejectedResult).reason as SignInRefused).map((e) => e.code);
    expect(codes.filter((c) => c === 'wrong').length).toBeLessThanOrEqual(9);
    // All others are turned away unchecked; on a machine that stalls some by the database's own limits of time.
    expect(guesses.every((g) => g.status === 'rejected')).toBe(true);
    expect(codes.filter((c) => c === 'too-many').length).toBeGreaterThan(9);
    expect(Math.max(...waits)).toBeLessThanOrEqual(10_000);
    // A stranger elsewhere slows nobody but himself.
    waits.length = 0;
    await sessions.signIn('kim one', first.password, from('10.0.0.7'), NOW);
    expect(waits).toEqual([]);
    // The right password from the same place gets its turn once the wait is over.
    await sessions.signIn('kim one', first.password, from('10.9.9.9'), new Date(NOW.getTime() + 60_000));
  });
  it('counts one password tried over many names from one address', async () => {
    const tried = await Promise.allSettled(
      Array.from({ length: 60 }, (_, i) =>
        sessions.signIn(`somebody ${i}`, 'Password 2026', from('10.8.8.8'), NOW),
      ),
    );
    expect(
      tried.filter((t) => ((t as PromiseRejectedResult).reason as SignInRefused).code === 'wrong').length,
    ).toBeLessThanOrEqual(29);
  });
  it('a clock that was ahead locks nobody out when it goes back', async () => {
    const ahead = new Date(NOW.getTime() + 24 * 3_600_000);
    for (let i = 0; i < 5; i++)
      await expect(
        sessions.signIn('kim one', 'wrong password', from('10.7.7.7'), ahead),
      ).rejects.toMatchObject({ code: 'wrong' });
    waits.length = 0;
    await sessions.signIn('kim one', first.password, from('10.7.7.7'), NOW);
    expect(waits).toEqual([]);
  });
  it('lists own sessions, ends one or all; a changed password ends the others', async () => {
    await members.addMember(
      ours,
      { name: 'Session Three', password: 'a first long one', roles: ['charter'] },
      NOW,
    );
    const [a, b, c] = [
      await sessions.signIn('session three', 'a first long one', from(), NOW),
      await sessions.signIn('session three', 'a first long one', from(), NOW),
      await sessions.signIn('session three', 'a first long one', from(), NOW),
    ];
    const me = (await sessions.actorOf(a, NOW))!;
    const list = await sessions.listSessions(me, a, NOW);
    expect(list.map((s) => s.current).filter(Boolean)).toHaveLength(1);
    expect(JSON.stringify(list)).not.toContain(a);
    const other = list.find((s) => !s.current)!;
    await sessions.endSessions(me, other.id, NOW);
    expect(await sessions.listSessions(me, a, NOW)).toHaveLength(2);
    await expect(
      sessions.changePassword(me, { current: 'not this', next: 'a second long one' }, a, from(), NOW),
    ).rejects.toThrow('current password is wrong');
    await sessions.changePassword(
      me,
      { current: 'a first long one', next: 'a second long one' },
      a,
      from(),
      NOW,
    );
    expect([await sessions.actorOf(b, NOW), await sessions.actorOf(c, NOW)]).toEqual([null, null]);
    expect(await sessions.actorOf(a, NOW)).not.toBeNull();
    await sessions.endSessions(me, 'all', NOW);
    expect(await sessions.actorOf(a, NOW)).toBeNull();
    // Nobody ends another's.
    const k = await sessions.signIn('kim one', first.password, from(), NOW);
    await sessions.endSessions(me, 'all', NOW);
    expect(await sessions.actorOf(k, NOW)).not.toBeNull();
  });
  it('keeps a trail of who did what, for the admin', async () => {
    const trail = await audit.listAudit(ours);
    expect(trail.map((t) => t.words)).toEqual(expect.arrayContaining(['Session Three added as charter']));
    await expect(audit.listAudit({ ...ours, roles: ['coordinator'] })).rejects.toThrow('is for an admin');
    expect((await audit.listAudit(theirs)).some((t) => t.words.includes('Session Three'))).toBe(false);
  });
  it('has no button sign-in outside the demo, and no second first program', async () => {
    await expect(sessions.signInDemo(ours.memberId, NOW)).rejects.toBeInstanceOf(SignInRefused);
    await expect(programs.createFirstProgram(first, NOW)).rejects.toBeInstanceOf(Invalid);
  });
  it('adds and removes members by an admin only; a removed one is signed out', async () => {
    await members.addMember(
      ours,
      { name: 'Charter Two', password: 'another long one', roles: ['charter'] },
      NOW,
    );
    const t = await sessions.signIn('Charter Two', 'another long one', from(), NOW);
    const charter = (await sessions.actorOf(t, NOW))!;
    await expect(
      members.addMember(charter, { name: 'X', password: 'another long one', roles: ['admin'] }, NOW),
    ).rejects.toThrow('is for an admin');
    await members.removeMember(ours, charter.memberId, NOW);
    expect(await sessions.actorOf(t, NOW)).toBeNull();
  });
});

describe('two at one game', () => {
  it('lands patches to different fields and offers the second to the same field', async () => {
    const key = await newGame(ours);
    const second: Actor = { ...ours, name: 'Second Charter' };
    await rows.saveSnaps(ours, key, [put('s1', 1, { formation: 'trips', result: 'gain', gain: 4 })]);
    const a = await rows.saveSnaps(ours, key, [
      { op: 'patch', snapId: 's1', fields: { coverage: { value: 'cover 3', version: 1 } } },
    ]);
    const b = await rows.saveSnaps(second, key, [
      {
        op: 'patch',
        snapId: 's1',
        fields: { front: { value: '4-2 over', version: 1 }, coverage: { value: 'quarters', version: 1 } },
      },
    ]);
    expect(a[0]).toMatchObject({ status: 'done', versions: { coverage: 2 } });
    expect(b[0]).toMatchObject({
      status: 'conflict',
      conflicts: [{ field: 'coverage', theirs: 'cover 3', yours: 'quarters', by: 'Kim One', version: 2 }],
    });
    expect((await rows.loadSnaps(ours, key)).snaps[0]!.snap).toMatchObject({
      coverage: 'cover 3',
      front: '4-2 over',
      formation: 'trips',
    });
  });
  it('takes the same operation twice as one, as after a lost answer', async () => {
    const key = await newGame(ours);
    const ops = [put('s1', 1, { gain: 4, result: 'gain' }), put('s2', 2, { gain: 1, result: 'gain' })];
    await rows.saveSnaps(ours, key, ops);
    await rows.saveSnaps(ours, key, ops);
    const patch: SnapChange = { op: 'patch', snapId: 's1', fields: { gain: { value: 5, version: 1 } } };
    await rows.saveSnaps(ours, key, [patch]);
    expect((await rows.saveSnaps(ours, key, [patch]))[0]!.status).toBe('done');
    expect((await rows.loadSnaps(ours, key)).snaps.map((s) => s.snap.gain)).toEqual([5, 1]);
  });
  it('lets parallel writers all land, in order', async () => {
    const key = await newGame(ours);
    await Promise.all(
      Array.from({ length: 12 }, (_, i) =>
        rows.saveSnaps(ours, key, [put(`p${i}`, i + 1, { result: 'gain', gain: i })]),
      ),
    );
    const loaded = await rows.loadSnaps(ours, key);
    expect(loaded.snaps).toHaveLength(12);
    expect(loaded.revision).toBe(12);
    expect(new Set(loaded.snaps.map((s) => s.snap.order)).size).toBe(12);
  });
  it('keeps blank, none, not visible and doubt apart, through delete and restore', async () => {
    const key = await newGame(ours);
    await rows.saveSnaps(ours, key, [
      put('s1', 1, {
        coverage: '?',
        motion: '-',
        front: '4-1',
        box: '?',
        notSure: ['coverage', 'front'],
        guessed: ['front'],
        penalties: [{ side: 'o', name: 'holding', yards: 10, from: 'prev', outcome: 'accepted', extra: '' }],
        tacklers: ['5'],
      }),
    ]);
    const doubts = async () => {
      const { notSure, guessed } = (await rows.loadSnaps(ours, key)).snaps[0]!.snap;
      return [notSure, guessed];
    };
    expect(await doubts()).toEqual([['coverage', 'front'], ['front']]);
    // A guess that is taken back is not sure yet; a new one is a doubt too.
    await rows.saveSnaps(ours, key, [
      { op: 'patch', snapId: 's1', fields: { guessed: { value: ['box'], version: 1 } } },
    ]);
    expect(await doubts()).toEqual([['box', 'coverage', 'front'], ['box']]);
    await rows.saveSnaps(ours, key, [{ op: 'delete', snapId: 's1' }]);
    expect((await rows.loadSnaps(ours, key)).snaps).toEqual([]);
    expect((await rows.loadSnaps(ours, key, 1)).snaps[0]).toMatchObject({ deleted: true });
    await rows.saveSnaps(ours, key, [{ op: 'restore', snapId: 's1' }]);
    await rows.saveSnaps(ours, key, [
      {
        op: 'patch',
        snapId: 's1',
        fields: { notSure: { value: ['coverage'], version: 1 }, motion: { value: 'jet', version: 1 } },
      },
    ]);
    expect((await rows.loadSnaps(ours, key)).snaps[0]!.snap).toMatchObject({
      coverage: '?',
      motion: 'jet',
      front: '4-1',
      box: '?',
      notSure: ['coverage'],
      guessed: [],
      tacklers: ['5'],
      pressure: null,
      penalties: [{ name: 'holding' }],
    });
  });
  it('refuses what a field cannot hold by itself: what stands beside it in the request lands', async () => {
    const key = await newGame(ours);
    const answers = await rows.saveSnaps(ours, key, [
      put('s1', 1, { gain: 4 }),
      put('s2', 2, { down: 7 } as SnapFields),
      put('s3', 3, { note: 'a\u0000b' }),
      put('s4', 4, { nonsense: 1 } as never),
      put('s5', 5, { gain: 5 }),
    ]);
    expect(answers.map((a) => (a.status === 'refused' ? a.code : a.status))).toEqual([
      'done',
      'value',
      'text',
      'value',
      'done',
    ]);
    expect(answers[1]).toMatchObject({ reason: 'down “7” is not a whole number from 1 to 4.' });
    expect(answers[3]).toMatchObject({ reason: 'There is no field nonsense.' });
    expect((await rows.loadSnaps(ours, key)).snaps.map((s) => s.snap.snapId)).toEqual(['s1', 's5']);
  });
  it('closes a game to all but coordinators', async () => {
    const key = await newGame(ours);
    await games.closeGame(ours, key, true, NOW);
    const charter: Actor = { ...ours, roles: ['charter'] };
    expect(await rows.saveSnaps(charter, key, [put('s1', 1, {})])).toMatchObject([
      { status: 'refused', code: 'closed' },
    ]);
  });
});

describe('nothing crosses programs', () => {
  it('neither reads nor writes a row of another program', async () => {
    const key = await newGame(theirs);
    await rows.saveSnaps(theirs, key, [put('s1', 1, { gain: 9 })]);
    const play = await rows.addPlay(theirs, {
      name: 'Theirs',
      kind: 'run',
      personnel: null,
      formation: null,
      formationSide: null,
      motion: null,
      motionBy: null,
      concept: 'power',
      conceptWeak: null,
      direction: null,
      backfield: null,
      links: [],
    });
    const sheet = await rows.createSheet(theirs, { name: 'Secret', opponent: 'CCC' });
    const call = await rows.addCall(theirs, sheet, { key: randomUUID(), section: 'first', play });
    const term = (await book.loadBook(theirs)).terms[0]!;
    const before = JSON.stringify(await packages.exportTables(theirs));

    await expect(rows.loadSnaps(ours, key)).rejects.toBeInstanceOf(NotFound);
    expect(await rows.saveSnaps(ours, key, [put('s9', 1, {})])).toMatchObject([
      { status: 'refused', code: 'gone' },
    ]);
    await expect(games.findGame(ours, key)).rejects.toBeInstanceOf(NotFound);
    await expect(games.closeGame(ours, key, true, NOW)).rejects.toBeInstanceOf(NotFound);
    await expect(games.removeGame(ours, key, NOW)).rejects.toBeInstanceOf(NotFound);
    await expect(plans.loadSheet(ours, sheet)).rejects.toBeInstanceOf(NotFound);
    await expect(rows.removeCall(ours, sheet, call)).rejects.toBeInstanceOf(NotFound);
    await expect(rows.moveCall(ours, sheet, call, { section: 'red', after: null })).rejects.toBeInstanceOf(
      NotFound,
    );
    await expect(rows.lockSheet(ours, sheet, true)).rejects.toBeInstanceOf(NotFound);
    await expect(members.removeMember(ours, theirs.memberId, NOW)).rejects.toBeInstanceOf(NotFound);
    expect([...(await snaps.loadGames(ours, [key])).keys()]).toEqual([]);
    expect((await games.listGames(ours)).some((g) => g.key === key && g.home === 'BBB')).toBe(false);
    expect((await plans.listPlays(ours)).some((p) => p.id === play)).toBe(false);
    expect((await members.listMembers(ours)).some((m) => m.name === 'Other One')).toBe(false);
    const own = await rows.createSheet(ours, { name: 'Ours', opponent: 'CCC' });
    await expect(
      rows.addCall(ours, own, { key: randomUUID(), section: 'first', play }),
    ).rejects.toBeInstanceOf(NotFound);
    await expect(rows.changeTerm(ours, 'no such word', { aliases: ['x'] })).rejects.toBeInstanceOf(NotFound);
    const change = await bookChanges.mergeTerms(theirs, 'coverage-cover-1', 'coverage-cover-0', NOW);
    await expect(bookChanges.undoChange(ours, change.change, NOW)).rejects.toBeInstanceOf(NotFound);
    await bookChanges.undoChange(theirs, change.change, NOW);
    expect(await bookChanges.listChanges(ours)).toEqual([]);
    await rows.changeTerm(ours, term.id, { aliases: ['only ours'] });
    expect(JSON.stringify(await packages.exportTables(theirs))).toBe(before);
  });
  it('refuses roles that may not, naming those that could', async () => {
    const charter: Actor = { ...ours, roles: ['charter'] };
    const guest: Actor = { ...ours, roles: ['guest'] };
    await expect(rows.createSheet(charter, { name: 'x', opponent: 'CCC' })).rejects.toThrow(
      'coordinator or coach',
    );
    await expect(snaps.loadGames(guest, [])).rejects.toBeInstanceOf(Refused);
    await expect(bookChanges.mergeTerms(charter, 'a', 'b', NOW)).rejects.toThrow('coordinator');
  });
});

describe('the book', () => {
  it('merges two words for one thing through snaps and plays', async () => {
    const key = await newGame(ours);
    await rows.addTerm(ours, { kind: 'formation', word: 'three far wide', aliases: ['tw'], notes: null });
    const terms = (await book.loadBook(ours)).terms;
    const [keep, drop] = [
      terms.find((t) => t.word === 'trips')!,
      terms.find((t) => t.word === 'three far wide')!,
    ];
    await rows.saveSnaps(ours, key, [
      put('s1', 1, { formation: 'three far wide' }),
      put('s2', 2, { formation: 'trips' }),
    ]);
    expect((await book.termUse(ours)).get('formation|three far wide')).toBe(1);
    await expect(rows.removeTerm(ours, drop.id)).rejects.toThrow('stands in 1 snaps');
    expect(await bookChanges.mergeTerms(ours, keep.id, drop.id, NOW)).toMatchObject({ snaps: 1, plays: 0 });
    const after = await book.loadBook(ours);
    expect(after.terms.find((t) => t.word === 'trips')!.aliases).toEqual(
      expect.arrayContaining(['three far wide', 'tw']),
    );
    expect(
      (await rows.loadSnaps(ours, key)).snaps.map((s) => [s.snap.formation, s.versions.formation ?? 1]),
    ).toEqual([
      ['trips', 2],
      ['trips', 1],
    ]);
  });
  it('refuses words that mean something already or that the line needs', async () => {
    await expect(
      rows.addTerm(ours, { kind: 'coverage', word: 'Cover 3', aliases: [], notes: null }),
    ).rejects.toThrow('stands for cover 3 already');
    await expect(rows.addTerm(ours, { kind: 'tag', word: 'a/b', aliases: [], notes: null })).rejects.toThrow(
      'uses for itself',
    );
    await expect(rows.addTerm(ours, { kind: 'tag', word: ' ', aliases: [], notes: null })).rejects.toThrow(
      'empty',
    );
  });
});

describe('changes of the book that can be undone', () => {
  const named = async (word: string) => (await book.loadBook(ours)).terms.find((t) => t.word === word);
  it('takes a merge back: words, plays and snaps say again what they said, and what was typed since stays', async () => {
    const key = await newGame(ours);
    const play = await rows.addPlay(ours, {
      name: 'Slot power',
      kind: 'run',
      personnel: '20',
      formation: 'slot',
      formationSide: 'R',
      motion: null,
      motionBy: null,
      concept: 'power',
      conceptWeak: null,
      direction: 'R',
      backfield: null,
      links: [],
    });
    await rows.saveSnaps(ours, key, [
      put('a', 1, { formation: 'slot', notSure: ['formation'] }),
      put('b', 2, { formation: 'slot' }),
      put('c', 3, { formation: 'pro' }),
    ]);
    const [keep, drop] = [(await named('pro'))!, (await named('slot'))!];
    const before = JSON.stringify((await book.loadBook(ours)).terms.map((t) => [t.id, t.aliases]).sort());
    const done = await bookChanges.mergeTerms(ours, keep.id, drop.id, NOW);
    expect(done).toMatchObject({ snaps: 2, plays: 1 });
    const merged = await rows.loadSnaps(ours, key);
    expect(merged.snaps.map((s) => [s.snap.formation, s.versions.formation ?? 1])).toEqual([
      ['pro', 2],
      ['pro', 2],
      ['pro', 1],
    ]);
    expect(merged.snaps[0]!.snap.notSure).toEqual(['formation']);
    // A reader who asks for what is new sees the rewritten snaps.
    expect((await rows.loadSnaps(ours, key, 1)).snaps.map((s) => s.snap.snapId)).toEqual(['a', 'b']);
    await rows.saveSnaps(ours, key, [
      { op: 'patch', snapId: 'b', fields: { formation: { value: 'trips', version: 2 } } },
    ]);
    expect(await bookChanges.undoChange(ours, done.change, NOW)).toEqual({ snaps: 1, left: 1 });
    expect((await rows.loadSnaps(ours, key)).snaps.map((s) => s.snap.formation)).toEqual([
      'slot',
      'trips',
      'pro',
    ]);
    expect((await plans.listPlays(ours)).find((p) => p.id === play)!.formation).toBe('slot');
    expect(JSON.stringify((await book.loadBook(ours)).terms.map((t) => [t.id, t.aliases]).sort())).toBe(
      before,
    );
    await expect(bookChanges.undoChange(ours, done.change, NOW)).rejects.toThrow('undone already');
  });
  it('splits a word by a condition, with the count before and the way back', async () => {
    const key = await newGame(ours);
    await rows.saveSnaps(
      ours,
      key,
      ['11', '12', '10', '12', null].map((personnel, i) =>
        put(`s${i}`, i + 1, { formation: 'quads', personnel }),
      ),
    );
    const from = (await named('quads'))!;
    const where = [{ field: 'personnel' as const, values: ['11', '12'] }];
    expect(await bookSplit.previewSplit(ours, from.id, where)).toMatchObject({
      snaps: 3,
      of: 5,
      choices: {
        personnel: [
          ['12', 2],
          ['10', 1],
          ['11', 1],
        ],
      },
    });
    await expect(
      bookSplit.splitTerm(ours, { from: from.id, to: { word: 'trips' }, where }, NOW),
    ).rejects.toThrow('stands for trips already');
    await expect(
      bookSplit.splitTerm(ours, { from: from.id, to: { word: 'quads tight' }, where: [] }, NOW),
    ).rejects.toThrow('choose at least one');
    const done = await bookSplit.splitTerm(ours, { from: from.id, to: { word: 'Quads Tight' }, where }, NOW);
    expect(done.snaps).toBe(3);
    expect((await named('quads tight'))!.spots).toEqual(from.spots);
    expect((await rows.loadSnaps(ours, key)).snaps.map((s) => s.snap.formation)).toEqual([
      'quads tight',
      'quads tight',
      'quads',
      'quads tight',
      'quads',
    ]);
    await bookChanges.undoChange(ours, done.change, NOW);
    expect((await rows.loadSnaps(ours, key)).snaps.every((s) => s.snap.formation === 'quads')).toBe(true);
    expect(await named('quads tight')).toBeUndefined();
  });
  it('counts before a split what it then changes: on either side of a pass, a snap once', async () => {
    const key = await newGame(ours);
    const shown = [
      { concept: 'snag', conceptWeak: 'slants' },
      { concept: 'slants', conceptWeak: 'snag' },
      { concept: 'snag', conceptWeak: 'snag' },
      { concept: 'slants', conceptWeak: 'slants' },
    ];
    await rows.saveSnaps(
      ours,
      key,
      shown.map((c, i) => put(`s${i}`, i + 1, { play: 'pass', personnel: '11', ...c })),
    );
    const from = (await book.loadBook(ours)).terms.find((x) => x.kind === 'pass' && x.word === 'snag')!;
    const where = [{ field: 'personnel' as const, values: ['11'] }];
    expect(await bookSplit.previewSplit(ours, from.id, where)).toMatchObject({ snaps: 3, of: 3 });
    const done = await bookSplit.splitTerm(ours, { from: from.id, to: { word: 'snag tight' }, where }, NOW);
    expect(done.snaps).toBe(3);
    expect((await rows.loadSnaps(ours, key)).snaps.map((s) => [s.snap.concept, s.snap.conceptWeak])).toEqual([
      ['snag tight', 'slants'],
      ['slants', 'snag tight'],
      ['snag tight', 'snag tight'],
      ['slants', 'slants'],
    ]);
    await bookChanges.undoChange(ours, done.change, NOW);
    expect((await rows.loadSnaps(ours, key)).snaps.map((s) => [s.snap.concept, s.snap.conceptWeak])).toEqual(
      shown.map((c) => [c.concept, c.conceptWeak]),
    );
  });
  it('does not merge a word that is a run and a pass, and says what to do', async () => {
    const pass = await rows.addTerm(ours, { kind: 'pass', word: 'trap', aliases: [], notes: null });
    const of = async (word: string) =>
      (await book.loadBook(ours)).terms.find((x) => x.kind === 'run' && x.word === word)!.id;
    await expect(bookChanges.mergeTerms(ours, await of('long trap'), await of('trap'), NOW)).rejects.toThrow(
      '“trap” is a run and a pass; split one of them off by its play first',
    );
    await rows.removeTerm(ours, pass);
    const done = await bookChanges.mergeTerms(ours, await of('long trap'), await of('trap'), NOW);
    await bookChanges.undoChange(ours, done.change, NOW);
  });
  it('merges tags too, each once a snap', async () => {
    const key = await newGame(ours);
    await rows.saveSnaps(ours, key, [
      put('a', 1, { tags: ['hurry', 'trick'] }),
      put('b', 2, { tags: ['trick'] }),
    ]);
    const done = await bookChanges.mergeTerms(
      ours,
      (await named('hurry'))!.id,
      (await named('trick'))!.id,
      NOW,
    );
    expect((await rows.loadSnaps(ours, key)).snaps.map((s) => s.snap.tags)).toEqual([['hurry'], ['hurry']]);
    await bookChanges.undoChange(ours, done.change, NOW);
    expect((await rows.loadSnaps(ours, key)).snaps.map((s) => s.snap.tags)).toEqual([
      ['hurry', 'trick'],
      ['trick'],
    ]);
  });
  it('refuses points and meanings that cannot be kept, by name', async () => {
    const spots = [{ letter: 'X', x: -15, depth: 0.3, onLine: true }];
    await expect(
      rows.addTerm(ours, { kind: 'tag', word: 'drawn', aliases: [], notes: null, spots }),
    ).rejects.toThrow('not drawn by points');
    await expect(
      rows.addTerm(ours, {
        kind: 'formation',
        word: 'twice x',
        aliases: [],
        notes: null,
        spots: [...spots, ...spots],
      }),
    ).rejects.toThrow('stands twice');
    await expect(
      rows.addTerm(ours, { kind: 'formation', word: 'nobody', aliases: [], notes: null, spots: [] }),
    ).rejects.toThrow('nobody is placed');
    await expect(
      rows.addTerm(ours, {
        kind: 'run',
        word: 'wrong',
        aliases: [],
        notes: null,
        definition: { kind: 'motion', motion: 'trade' },
      }),
    ).rejects.toThrow('cannot define');
  });
  it('takes a book.json in: adds and changes, drops nothing; whole or not at all', async () => {
    const own = await book.loadBook(ours);
    const added = {
      id: 'formation-far-away',
      kind: 'formation' as const,
      word: 'far away',
      aliases: [],
      spots: [{ letter: 'X', x: -20, depth: 0.3, onLine: true }],
    };
    expect(await bookImport.importBook(ours, writeBook({ ...own, terms: [added] }), NOW)).toEqual({
      added: 1,
      changed: 0,
    });
    expect((await book.loadBook(ours)).terms).toHaveLength(own.terms.length + 1);
    expect(
      await bookImport.importBook(ours, writeBook({ ...own, terms: [{ ...added, aliases: ['fa'] }] }), NOW),
    ).toEqual({ added: 0, changed: 1 });
    const clash = writeBook({
      ...own,
      terms: [
        { ...added, id: 'x1', word: 'new word' },
        { ...added, id: 'x2', word: 'other', aliases: ['trips'] },
      ],
    });
    await expect(bookImport.importBook(ours, clash, NOW)).rejects.toThrow('stands for trips already');
    expect(await named('new word')).toBeUndefined();
    await expect(bookImport.importBook(ours, '{"name":1}', NOW)).rejects.toThrow('book.json, name');
    await rows.removeTerm(ours, 'pressure-creeper');
    expect(await bookImport.adoptGeneralTerms(ours)).toBe(1);
  });
});

describe('who may do what with the book', () => {
  const as = (...roles: Actor['roles'][number][]): Actor => ({ ...ours, roles });
  const split = {
    from: 'formation-trips',
    to: { word: 'x' },
    where: [{ field: 'personnel' as const, values: ['11'] }],
  };
  it.each([
    [
      'merging',
      ['coach', 'charter', 'admin', 'guest'],
      (a: Actor) => bookChanges.mergeTerms(a, 'a', 'b', NOW),
      'coordinator',
    ],
    [
      'splitting',
      ['coach', 'charter', 'admin', 'guest'],
      (a: Actor) => bookSplit.splitTerm(a, split, NOW),
      'coordinator',
    ],
    [
      'taking back',
      ['coach', 'charter', 'admin', 'guest'],
      (a: Actor) => bookChanges.undoChange(a, randomUUID(), NOW),
      'coordinator',
    ],
    [
      'importing a book',
      ['admin', 'coach', 'charter', 'guest'],
      (a: Actor) => bookImport.importBook(a, '{}', NOW),
      'coordinator',
    ],
    [
      'adding the general terms',
      ['admin', 'coach', 'charter', 'guest'],
      (a: Actor) => bookImport.adoptGeneralTerms(a),
      'coordinator',
    ],
    [
      'adding a term',
      ['admin', 'guest'],
      (a: Actor) => rows.addTerm(a, { kind: 'tag', word: 'x', aliases: [], notes: null }),
      'coordinator or coach or charter',
    ],
    [
      'drawing a word',
      ['admin', 'guest'],
      (a: Actor) => rows.changeTerm(a, 'formation-trips', { spots: null }),
      'coordinator or coach or charter',
    ],
    [
      'reading the book',
      ['admin', 'guest'],
      (a: Actor) => book.bookFor(a),
      'coordinator or coach or charter',
    ],
    [
      'reading the changes',
      ['admin', 'guest'],
      (a: Actor) => bookChanges.listChanges(a),
      'coordinator or coach or charter',
    ],
    [
      'looking before a split',
      ['admin', 'guest'],
      (a: Actor) => bookSplit.previewSplit(a, 'formation-trips', []),
      'coordinator or coach or charter',
    ],
    [
      'linking plays',
      ['charter', 'admin', 'guest'],
      (a: Actor) => rows.setLinks(a, 'x', []),
      'coordinator or coach',
    ],
    [
      'reading the games',
      ['admin', 'guest'],
      (a: Actor) => games.listGames(a),
      'coordinator or coach or charter',
    ],
    [
      'changing the rules',
      ['coach', 'charter', 'guest'],
      (a: Actor) => programs.setRules(a, null, NOW),
      'admin or coordinator',
    ],
  ] as const)('%s is refused to others, naming who could', async (_, roles, work, could) => {
    for (const role of roles) {
      const refused = await work(as(role)).then(
        () => null,
        (e: unknown) => e,
      );
      expect(refused, role).toBeInstanceOf(Refused);
      expect((refused as Refused).message).toContain(could);
    }
  });
  it('nothing of another program’s book is changed, split, linked or read', async () => {
    const key = await rows.addTerm(theirs, {
      kind: 'formation',
      word: 'only theirs',
      aliases: [],
      notes: 'secret',
      spots: [{ letter: 'X', x: -9, depth: 1, onLine: false }],
    });
    const play = await rows.addPlay(theirs, {
      name: 'Theirs two',
      kind: 'run',
      personnel: null,
      formation: null,
      formationSide: null,
      motion: null,
      motionBy: null,
      concept: 'power',
      conceptWeak: null,
      direction: null,
      backfield: null,
      links: [],
    });
    const mine = await rows.addPlay(ours, {
      name: 'Mine',
      kind: 'run',
      personnel: null,
      formation: null,
      formationSide: null,
      motion: null,
      motionBy: null,
      concept: 'power',
      conceptWeak: null,
      direction: null,
      backfield: null,
      links: [],
    });
    const before = JSON.stringify(await packages.exportTables(theirs));
    await expect(rows.changeTerm(ours, key, { notes: 'ours' })).rejects.toBeInstanceOf(NotFound);
    await expect(bookSplit.previewSplit(ours, key, [])).rejects.toBeInstanceOf(NotFound);
    await expect(bookSplit.splitTerm(ours, { ...split, from: key }, NOW)).rejects.toBeInstanceOf(NotFound);
    await expect(bookSplit.splitTerm(ours, { ...split, to: { key } }, NOW)).rejects.toBeInstanceOf(NotFound);
    await rows.removeTerm(ours, key);
    await expect(rows.setLinks(ours, play, [])).rejects.toBeInstanceOf(NotFound);
    await expect(
      rows.setLinks(ours, mine, [{ kind: 'set-up', play, least: 1, trigger: null }]),
    ).rejects.toBeInstanceOf(NotFound);
    await expect(
      rows.setLinks(ours, mine, [{ kind: 'set-up', play: mine, least: 1, trigger: null }]),
    ).rejects.toThrow('cannot set itself up');
    expect(JSON.stringify(await book.loadBook(ours))).not.toContain('only theirs');
    expect(JSON.stringify(await packages.exportTables(theirs))).toBe(before);
  });
});

describe('the book under load', () => {
  it('a merge and parallel writers of the same game both land, and no version is lost', async () => {
    const key = await newGame(ours);
    await rows.saveSnaps(
      ours,
      key,
      Array.from({ length: 40 }, (_, i) =>
        put(`m${i}`, i + 1, { formation: i % 2 ? 'ace' : 'pro', gain: 0, result: 'gain' }),
      ),
    );
    const writes = Array.from({ length: 8 }, (_, w) =>
      rows.saveSnaps(ours, key, [
        { op: 'patch', snapId: `m${w}`, fields: { gain: { value: w + 1, version: 1 } } },
      ]),
    );
    const [merge] = await Promise.all([
      bookChanges.mergeTerms(ours, 'formation-pro', 'formation-ace', NOW),
      ...writes,
    ]);
    expect(merge).toMatchObject({ snaps: 20 });
    const after = await rows.loadSnaps(ours, key);
    expect(after.snaps.every((s) => s.snap.formation === 'pro')).toBe(true);
    expect(after.snaps.slice(0, 8).map((s) => s.snap.gain)).toEqual([1, 2, 3, 4, 5, 6, 7, 8]);
    expect((await bookChanges.undoChange(ours, merge.change, NOW)).snaps).toBe(20);
    expect((await rows.loadSnaps(ours, key)).snaps.map((s) => s.snap.formation)).toEqual(
      Array.from({ length: 40 }, (_, i) => (i % 2 ? 'ace' : 'pro')),
    );
  });
  it('a removed snap is rewritten too, so that bringing it back brings no old word', async () => {
    const key = await newGame(ours);
    await rows.saveSnaps(ours, key, [put('gone', 1, { formation: 'twins' })]);
    await rows.saveSnaps(ours, key, [{ op: 'delete', snapId: 'gone' }]);
    const done = await bookChanges.mergeTerms(ours, 'formation-pro', 'formation-twins', NOW);
    await rows.saveSnaps(ours, key, [{ op: 'restore', snapId: 'gone' }]);
    expect((await rows.loadSnaps(ours, key)).snaps.map((s) => s.snap.formation)).toEqual(['pro']);
    await bookChanges.undoChange(ours, done.change, NOW);
  });
});

describe('a game without a line', () => {
  it('is opened at its own level and phase, whatever the program’s', async () => {
    const key = await games.createGame(ours, {
      home: { key: 'AAA' },
      away: { key: 'CCC' },
      date: null,
      week: null,
      level: 'flag_five',
      phase: 'flag',
    });
    expect(await games.findGame(ours, key)).toMatchObject({ level: 'flag_five', phase: 'flag' });
    expect((await games.profilesOf(ours)).flag_five).toMatchObject({ players: 5, fieldWidth: 30 });
  });
  it('travels in a package', async () => {
    const csv = 'game,home,away,level,phase\n2026-seven,AAA,CCC,seven_on_seven,seven_on_seven\n';
    const outcome = await imports.importFiles(
      ours,
      [
        { name: 'games.csv', text: csv },
        { name: 'teams.csv', text: 'team,name\nAAA,Alder\nCCC,Cedar\n' },
      ],
      NOW,
    );
    expect(outcome.faults).toEqual([]);
    expect(await games.findGame(ours, '2026-seven')).toMatchObject({
      level: 'seven_on_seven',
      phase: 'seven_on_seven',
    });
  });
});

describe('the staff’s rules', () => {
  it('are kept when every yard has one zone, refused with the yard that has not', async () => {
    await programs.setRules(
      ours,
      { ...DEFAULT_RULES, look: { ...DEFAULT_RULES.look, strength: ['tight_end', 'receivers'] } },
      NOW,
    );
    expect((await programs.programOf(ours)).settings.rules).toMatchObject({
      look: { strength: ['tight_end', 'receivers'] },
    });
    await expect(
      programs.setRules(ours, { ...DEFAULT_RULES, zones: DEFAULT_RULES.zones.slice(1) }, NOW),
    ).rejects.toThrow('9 yards do not, the first is 91');
    await expect(programs.setRules({ ...ours, roles: ['coach'] }, null, NOW)).rejects.toThrow(
      'admin or coordinator',
    );
    await programs.setRules(ours, null, NOW);
  });
});

describe('views of Read', () => {
  it('are kept by name for the staff, replaced by the same name, taken away, and travel with the program', async () => {
    const { writeProgram } = await import('../core/exchange/program-json');
    await programs.setView(ours, 'Third', 'team=AAA&filter=down%3A3');
    await programs.setView(ours, 'Red', 'range=toGoal%3A1..20');
    await programs.setView(ours, 'Third', 'team=AAA&filter=down%3A3%2C4');
    const views = async () => (await programs.programOf(ours)).settings.views;
    const kept = [
      { name: 'Red', query: 'range=toGoal%3A1..20' },
      { name: 'Third', query: 'team=AAA&filter=down%3A3%2C4' },
    ];
    expect(await views()).toEqual(kept);
    const text = writeProgram(await programs.programOf(ours));
    await programs.setView(ours, 'Red', null);
    expect(await views()).toEqual([kept[1]]);
    await imports.importFiles(ours, [{ name: 'program.json', text }], NOW);
    expect(await views()).toEqual(kept);
    await expect(programs.setView(ours, 'Odd', 'a b<script>')).rejects.toThrow('is none');
    await expect(programs.setView({ ...ours, roles: ['guest'] }, 'Mine', '')).rejects.toThrow();
    for (const { name } of kept) await programs.setView(ours, name, null);
    expect(await views()).toEqual([]);
  });
});

describe('the sections of reports', () => {
  it('are kept by side, travel with the program, and belong to those who plan', async () => {
    const { writeProgram, readProgram } = await import('../core/exchange/program-json');
    await programs.setTemplate(ours, 'offense', ['third', 'personnel']);
    await programs.setTemplate(ours, 'defense', ['d-front']);
    const kept = { offense: ['third', 'personnel'], defense: ['d-front'] };
    const program = await programs.programOf(ours);
    expect(program.settings.reports).toEqual(kept);
    const text = writeProgram(program);
    expect(readProgram(text)).toMatchObject({ ok: true, program: { reports: kept } });
    await programs.setTemplate(ours, 'defense', null);
    expect((await programs.programOf(ours)).settings.reports).toEqual({ offense: kept.offense });
    await imports.importFiles(ours, [{ name: 'program.json', text }], NOW);
    expect((await programs.programOf(ours)).settings.reports).toEqual(kept);
    const wrong = JSON.stringify({ ...(JSON.parse(text) as object), reports: { offense: ['wind'] } });
    expect(await imports.importFiles(ours, [{ name: 'program.json', text: wrong }], NOW)).toMatchObject({
      imported: false,
    });
    await expect(programs.setTemplate({ ...ours, roles: ['guest'] }, 'offense', null)).rejects.toThrow();
    await programs.setTemplate(ours, 'offense', null);
    await programs.setTemplate(ours, 'defense', null);
  });
});

it('an older dump migrates forward: nothing lost, words learn what they mean, plays have no links', async () => {
  const name = 'vobrik_test_older';
  await dropDatabase(database.cluster, name);
  await ensureDatabase(database.cluster, name);
  execFileSync(
    programPath('psql'),
    [
      '--quiet',
      '--set',
      'ON_ERROR_STOP=1',
      '--dbname',
      database.cluster.url(name),
      '--file',
      path.join(import.meta.dirname, 'migrations/dump-0001.sql'),
    ],
    { stdio: 'pipe' },
  );
  // Words that were coined here, logged before they had another name; and a word of the staff's own.
  execFileSync(programPath('psql'), [
    '--quiet',
    '--dbname',
    database.cluster.url(name),
    '--command',
    "update snap set coverage = 'deep middle', concept = 'counter back', tempo = 'look-over' where formation = 'wing'; update book_term set word = 'palms' where word = 'trap' and kind = 'coverage'; insert into book_term (id, program_id, key, kind, word, aliases, position) select gen_random_uuid(), id, 'run-counter-back', 'run', 'counter back', '{}', 900 from program",
  ]);
  await closeOrm();
  process.env.DATABASE_URL = database.cluster.url(name);
  await migrate(database.cluster.url(name));
  const orm = await getOrm(database.cluster.url(name));
  expect((await orm.schema.getUpdateSchemaSQL({ wrap: false })).trim()).toBe('');
  const actor = (await sessions.actorOf(
    await sessions.signIn('kim one', 'a long enough one', from(), NOW),
    NOW,
  ))!;
  const older = await book.loadBook(actor);
  const meant = older.terms.filter((t) => DEFAULT_BOOK.terms.some((d) => d.id === t.id && d.definition));
  expect(meant.length).toBeGreaterThan(80);
  expect(meant.every((t) => t.definition !== undefined)).toBe(true);
  // What a staff clears stays cleared: the next start fills nothing.
  await (await openEm()).execute('update book_term set definition = null where key = ?', [meant[0]!.id]);
  await closeOrm();
  await migrate(database.cluster.url(name));
  expect((await book.loadBook(actor)).terms.find((t) => t.id === meant[0]!.id)?.definition).toBeUndefined();
  // Meanings as shipped follow the general words of today; what the staff calls something is left to it.
  const now = await book.loadBook(actor);
  const term = (kind: string, word: string) => now.terms.filter((t) => t.kind === kind && t.word === word);
  for (const word of ['power', 'triple option', 'pin-and-pull'])
    expect(term('run', word).map((t) => t.definition)).toEqual([
      DEFAULT_BOOK.terms.find((t) => t.kind === 'run' && t.word === word)!.definition,
    ]);
  expect(term('coverage', 'tampa 2')[0]!.aliases).toContain('deep middle');
  expect(term('coverage', 'palms').map((t) => t.id)).toEqual(['coverage-trap']);
  expect(term('run', 'gh counter')).toHaveLength(1);
  expect(term('bodies', 'dime')).toHaveLength(1);
  expect(new Set(now.terms.map((t) => t.id)).size).toBe(now.terms.length);
  const [game] = await games.listGames(actor);
  expect(
    (await rows.loadSnaps(actor, game!.key)).snaps.map((s) => [
      s.snap.concept,
      s.snap.tempo,
      s.snap.formation,
      s.snap.coverage,
      s.snap.gain,
      s.snap.tags,
    ]),
  ).toEqual([
    ['power', null, 'trips', '?', 6, []],
    ['gf counter', 'check with me', 'wing', 'tampa 2', 2, ['trick']],
  ]);
  expect((await plans.listPlays(actor)).map((p) => [p.name, p.backfield, p.links])).toEqual([
    ['Power', null, []],
  ]);
  await closeOrm();
  process.env.DATABASE_URL = database.url;
  await dropDatabase(database.cluster, name);
});

describe('call sheets', () => {
  it('keep their order when calls are put between and moved', async () => {
    const play = await rows.addPlay(ours, {
      name: 'Power',
      kind: 'run',
      personnel: '11',
      formation: 'trips',
      formationSide: 'R',
      motion: null,
      motionBy: null,
      concept: 'power',
      conceptWeak: null,
      direction: 'R',
      backfield: null,
      links: [],
    });
    const sheet = await rows.createSheet(ours, { name: 'At Cedar', opponent: 'CCC' });
    const [a, b, c] = ['a', 'b', 'c'].map((x) => `${x}-${randomUUID()}`) as [string, string, string];
    await rows.addCall(ours, sheet, { key: a, section: 'first', play });
    await rows.addCall(ours, sheet, { key: b, section: 'first', play });
    await rows.addCall(ours, sheet, { key: c, section: 'first', play, after: a });
    await rows.addCall(ours, sheet, { key: c, section: 'first', play });
    expect((await plans.loadSheet(ours, sheet)).list.map((x) => x.id)).toEqual([a, c, b]);
    await rows.moveCall(ours, sheet, a, { section: 'first', after: b });
    expect((await plans.loadSheet(ours, sheet)).list.map((x) => x.id)).toEqual([c, b, a]);
    await rows.lockSheet(ours, sheet, true);
    const coach: Actor = { ...ours, memberId: randomUUID(), roles: ['coach'] };
    await expect(rows.removeCall(coach, sheet, a)).rejects.toBeInstanceOf(Refused);
  });
});

describe('packages', () => {
  it('export, an empty program, import: equal, and the same bytes out again', async () => {
    const demo = await openTestDatabase('demo');
    await loadDemo(NOW);
    expect(await loadDemo(NOW)).toBe(false);
    const admin = (await sessions.actorOf(
      await sessions.signInDemo((await sessions.demoMembers())[0]!.id, NOW),
      NOW,
    ))!;
    const sheet = await rows.createSheet(admin, { name: 'Week 9', opponent: 'STG' });
    await rows.addCall(admin, sheet, {
      key: randomUUID(),
      section: 'first',
      play: (await plans.listPlays(admin))[0]!.id,
    });
    const zip = pack(await packages.exportFiles(admin, NOW));
    expect(await (await openEm()).count(SnapRow)).toBeGreaterThan(1500);
    await demo.close();

    const empty = await openTestDatabase('empty');
    const t = await programs.createFirstProgram(
      { ...first, program: 'Saltmere Herons staff', teamKey: 'HER', teamName: 'Saltmere Herons' },
      NOW,
    );
    const actor = (await sessions.actorOf(t, NOW))!;
    const files = unpack('all.zip', zip);
    if (!files.ok) throw new Error(files.remedy);
    const outcome = await imports.importFiles(actor, files.files, NOW);
    expect(outcome.faults).toEqual([]);
    expect(outcome.imported).toBe(true);
    expect(Buffer.from(pack(await packages.exportFiles(actor, NOW))).equals(Buffer.from(zip))).toBe(true);
    expect((await book.loadBook(actor)).terms).toEqual(DEFAULT_BOOK.terms);
    // The same again doubles nothing.
    const twice = await imports.importFiles(actor, files.files, NOW);
    expect(twice.imported).toBe(false);
    expect(twice.faults[0]).toMatch(/logged here already|in this program already/);
    await empty.close();
    process.env.DATABASE_URL = database.url;
  });
  it('imports nothing of a file with one fault', async () => {
    const bad =
      'snap_id,game,order,offense,defense,down\nx1,2026-fault,1,AAA,CCC,1\nx2,2026-fault,2,AAA,CCC,9\n';
    const outcome = await imports.importFiles(ours, [{ name: 'snaps.csv', text: bad }], NOW);
    expect(outcome.imported).toBe(false);
    expect(outcome.faults).toEqual(['snaps.csv, row 3, column down: “9” is not a whole number from 1 to 4']);
    await expect(games.findGame(ours, '2026-fault')).rejects.toBeInstanceOf(NotFound);
  });
});

describe('taking a game out', () => {
  const sample = async (game: string) => {
    const taken = new Set((await games.listTeams(ours)).map((t) => t.key));
    return imports.importFiles(ours, sampleGame({ game, season: 2026, taken }), NOW);
  };
  const rowsOf = async (table: string): Promise<number> =>
    (
      (await (
        await openEm()
      ).execute(`select count(*)::int as n from ${table} where program_id = ?`, [ours.programId])) as {
        n: number;
      }[]
    )[0]!.n;

  it('takes one without a snap, for a coordinator; one with snaps only closes', async () => {
    const key = await newGame(ours);
    await expect(games.removeGame({ ...ours, roles: ['charter'] }, key, NOW)).rejects.toBeInstanceOf(Refused);
    await games.removeGame(ours, key, NOW);
    await expect(games.findGame(ours, key)).rejects.toBeInstanceOf(NotFound);
    expect((await games.listTeams(ours)).map((t) => t.key)).toContain('CCC');
    const kept = await newGame(ours);
    await rows.saveSnaps(ours, kept, [put('s1', 1, { gain: 4 })]);
    await rows.saveSnaps(ours, kept, [{ op: 'delete', snapId: 's1' }]);
    await expect(games.removeGame(ours, kept, NOW)).rejects.toThrow(/close it instead/);
    expect((await games.findGame(ours, kept)).snaps).toBe(0);
  });
  it('takes the sample game with its snaps and teams, though merged since; all else is as it was', async () => {
    const before = await Promise.all(['game', 'snap', 'charting', 'team'].map(rowsOf));
    expect((await sample('sample-a')).faults).toEqual([]);
    expect((await games.findGame(ours, 'sample-a')).sample).toBe(true);
    await rows.saveSnaps(ours, 'sample-a', [put('mine', 1, { gain: 4 })]);
    const terms = (await book.loadBook(ours)).terms;
    const [keep, drop] = ['stick', 'snag'].map((w) => terms.find((t) => t.word === w)!.id);
    const merged = await bookChanges.mergeTerms(ours, keep!, drop!, NOW);
    expect(merged.snaps).toBeGreaterThan(0);
    await games.removeGame(ours, 'sample-a', NOW);
    expect(await Promise.all(['game', 'snap', 'charting', 'team'].map(rowsOf))).toEqual(before);
    expect(await rows.saveSnaps(ours, 'sample-a', [put('late', 1, {})])).toMatchObject([
      { status: 'refused', code: 'gone' },
    ]);
  });
  it('leaves a team of the sample game that the week names', async () => {
    await sample('sample-b');
    const { home, away } = await games.findGame(ours, 'sample-b');
    const { settings } = await programs.programOf(ours);
    await programs.setWeek(ours, { week: settings.week, opponent: home });
    await games.removeGame(ours, 'sample-b', NOW);
    const left = (await games.listTeams(ours)).map((t) => t.key);
    expect([left.includes(home), left.includes(away)]).toEqual([true, false]);
    await programs.setWeek(ours, settings);
  });
});
