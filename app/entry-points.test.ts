/**
 * Every way in, walked with no session, with each role, and as a member of another program: what the table of
 * permissions allows is answered, everything else is refused by name. A handler or an action that is not
 * listed here fails the test.
 */
import { USUAL_PRACTICE } from '@/core/plan/practice';
import { USUAL_PRINTS } from '@/core/plan/prints';
import { SECTIONS } from '@/core/plan/sections';
import { readFileSync, readdirSync, statSync } from 'node:fs';
import path from 'node:path';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import { may, ROLES, type Action, type Role } from '../core/staff';
import { openTestDatabase, type TestDatabase } from '../store/testing';
import type { Actor } from '../core/exchange/types';

let token: string | undefined;
const jar = {
  get: () => (token === undefined ? undefined : { value: token }),
  set: () => undefined,
  delete: () => undefined,
};
class Redirect extends Error {
  constructor(readonly to: string) {
    super(`redirect to ${to}`);
  }
}
vi.mock('next/headers', () => ({
  cookies: async () => jar,
  headers: async () => new Headers({ host: '127.0.0.1:1', 'x-vobrik-address': '10.1.1.1' }),
}));
vi.mock('next/navigation', () => ({
  redirect: (to: string) => {
    throw new Redirect(to);
  },
  notFound: () => {
    throw new Redirect('404');
  },
}));
vi.mock('next/cache', () => ({ revalidatePath: () => undefined }));
vi.mock('react', async (original) => ({
  ...(await original<typeof import('react')>()),
  cache: <T>(f: T) => f,
}));

const root = path.resolve(import.meta.dirname, '..');
const below = (dir: string): string[] =>
  readdirSync(dir).flatMap((f) =>
    statSync(path.join(dir, f)).isDirectory() ? below(path.join(dir, f)) : [path.join(dir, f)],
  );
const files = below(path.join(root, 'app')).map((f) => path.relative(root, f));

let database: TestDatabase;
const actors = new Map<string, { token: string; actor: Actor }>();
let game = '';
let sheet = '';
let outsider: { token: string; actor: Actor };

beforeAll(async () => {
  database = await openTestDatabase('entry_points');
  const members = {
    ...(await import('../store/members')),
    ...(await import('../store/programs')),
    ...(await import('../store/sessions')),
  };
  const { openEm } = await import('../store/orm');
  const rows = await import('../store/rows.testing');
  const games = await import('../store/games');
  const visitor = { address: '10.0.0.1', agent: null, pause: async () => undefined };
  const first = await members.createFirstProgram(
    {
      program: 'Entry points',
      level: 'college',
      season: 2026,
      teamKey: 'AAA',
      teamName: 'Alder',
      memberName: 'The first',
      password: 'a long enough one',
    },
    new Date(),
  );
  const owner = (await members.actorOf(first, new Date()))!;
  for (const role of ROLES) {
    await members.addMember(
      owner,
      { name: `only ${role}`, password: 'a long enough one', roles: [role] },
      rows.NOW,
    );
    const t = await members.signIn(`only ${role}`, 'a long enough one', visitor, new Date());
    actors.set(role, { token: t, actor: (await members.actorOf(t, new Date()))! });
  }
  game = await games.createGame(owner, {
    home: { key: 'AAA' },
    away: { name: 'Cedar' },
    date: null,
    week: 1,
    level: null,
    phase: 'regular',
  });
  await rows.saveSnaps(owner, game, [{ op: 'put', snapId: 's1', fields: { formation: 'trips' } }]);
  sheet = await rows.createSheet(owner, { name: 'Sheet', opponent: 'CEDAR' });
  const em = await openEm();
  await em.transactional(async (tx) => {
    const { memberId, programId } = await members.insertProgram(
      tx,
      {
        name: 'Other',
        level: 'college',
        season: 2026,
        team: { key: 'BBB', name: 'Birch' },
        demo: true,
        settings: { week: null, opponent: null },
        member: { name: 'Outsider', passwordHash: null, roles: ['admin', 'coordinator'] },
      },
      rows.NOW,
    );
    outsider = {
      token: '',
      actor: { memberId, programId, name: 'Outsider', roles: ['admin', 'coordinator'] },
    };
  });
  outsider.token = await members.signInDemo(outsider.actor.memberId, new Date());
});
afterAll(async () => database.close());

const request = (url: string, init: RequestInit = {}): Request =>
  new Request(`http://127.0.0.1:1${url}`, {
    ...init,
    headers: {
      host: '127.0.0.1:1',
      origin: 'http://127.0.0.1:1',
      ...(init.headers as Record<string, string>),
    },
  });
const json = (body: unknown): RequestInit => ({
  method: 'POST',
  headers: { 'content-type': 'application/json' },
  body: JSON.stringify(body),
});
const operation = (kind: string, row: string, body: object) => ({
  id: crypto.randomUUID(),
  kind,
  row,
  epoch: '',
  ...body,
});
const sheetParams = {
  params: Promise.resolve({
    get sheet() {
      return sheet;
    },
  }),
};

/** What an answer says of the permission: refused by role, not signed in, or let through (done, or faulty input). */
type Verdict = 'through' | 'refused' | 'signed-out' | 'not-found';
async function verdictOf(response: Response): Promise<Verdict> {
  if (response.status === 401) return 'signed-out';
  if (response.status === 403) return 'refused';
  if (response.status === 404) return 'not-found';
  const text = await response.text();
  const answers = text.startsWith('{"epoch"')
    ? (JSON.parse(text) as { answers?: { status: string; code?: string }[] }).answers
    : undefined;
  if (answers?.[0]?.status === 'refused')
    return answers[0].code === 'gone' ? 'not-found' : answers[0].code === 'role' ? 'refused' : 'through';
  return 'through';
}

interface Handler {
  readonly file: string;
  readonly method: 'GET' | 'POST';
  readonly action: Action | 'open';
  readonly call: (handler: (r: Request, c: never) => Promise<Response>) => Promise<Response>;
  readonly outside: Verdict;
}
const sync =
  (scope: () => string, op: () => object): Handler['call'] =>
  (h) =>
    h(request('/api/sync', json({ scope: scope(), ops: [op()] })), undefined as never);
const HANDLERS: readonly Handler[] = [
  {
    file: 'app/api/health/route.ts',
    method: 'GET',
    action: 'open',
    outside: 'through',
    call: (h) => h(request('/api/health'), undefined as never),
  },
  {
    file: 'app/api/events/route.ts',
    method: 'GET',
    action: 'game.read',
    outside: 'through',
    call: async (h) => {
      const r = await h(request('/api/events'), undefined as never);
      if (r.status === 200) await r.body!.cancel();
      return r.status === 200 ? new Response('{}') : r;
    },
  },
  {
    file: 'app/api/export/route.ts',
    method: 'GET',
    action: 'program.export',
    outside: 'through',
    call: (h) => h(request('/api/export'), undefined as never),
  },
  {
    file: 'app/api/presence/route.ts',
    method: 'POST',
    action: 'game.read',
    outside: 'not-found',
    call: (h) => h(request('/api/presence', json({ game, snap: null })), undefined as never),
  },
  {
    file: 'app/api/export/snaps/route.ts',
    method: 'GET',
    action: 'program.export',
    outside: 'through',
    call: (h) => h(request('/api/export/snaps?as=jsonl'), undefined as never),
  },
  {
    file: 'app/api/export/trade/route.ts',
    method: 'GET',
    action: 'program.export',
    outside: 'not-found',
    call: (h) => h(request(`/api/export/trade?game=${game}`), undefined as never),
  },
  {
    file: 'app/api/film/route.ts',
    method: 'GET',
    action: 'game.read',
    outside: 'through',
    call: (h) => h(request('/api/film'), undefined as never),
  },
  {
    file: 'app/api/places/route.ts',
    method: 'GET',
    action: 'week.read',
    outside: 'through',
    call: (h) => h(request('/api/places'), undefined as never),
  },
  {
    file: 'app/api/import/route.ts',
    method: 'POST',
    action: 'program.import',
    outside: 'through',
    call: (h) => h(request('/api/import', { method: 'POST', body: 'x' }), undefined as never),
  },
  {
    file: 'app/api/book/cards/route.ts',
    method: 'GET',
    action: 'book.read',
    outside: 'through',
    call: (h) => h(request('/api/book/cards?term=formation-trips'), undefined as never),
  },
  {
    file: 'app/api/report/route.ts',
    method: 'GET',
    action: 'game.read',
    outside: 'through',
    call: (h) => h(request('/api/report?as=json&team=AAA'), undefined as never),
  },
  {
    file: 'app/api/report/route.ts',
    method: 'POST',
    action: 'game.read',
    outside: 'through',
    call: (h) => h(request('/api/report', json({ query: 'team=AAA' })), undefined as never),
  },
  {
    file: 'app/api/sheets/[sheet]/pdf/route.ts',
    method: 'GET',
    action: 'sheet.read',
    outside: 'not-found',
    call: (h) => h(request('/api/sheets/x/pdf'), sheetParams as never),
  },
  {
    file: 'app/api/sheets/[sheet]/table/route.ts',
    method: 'GET',
    action: 'sheet.read',
    outside: 'not-found',
    call: (h) => h(request('/api/sheets/x/table'), sheetParams as never),
  },
  {
    file: 'app/api/sheets/[sheet]/calendar/route.ts',
    method: 'GET',
    action: 'sheet.read',
    outside: 'not-found',
    call: (h) => h(request('/api/sheets/x/calendar'), sheetParams as never),
  },
  {
    file: 'app/api/sync/route.ts',
    method: 'GET',
    action: 'game.read',
    outside: 'not-found',
    call: (h) => h(request(`/api/sync?scope=game:${game}`), undefined as never),
  },
  {
    file: 'app/api/sync/route.ts',
    method: 'GET',
    action: 'sheet.read',
    outside: 'not-found',
    call: (h) => h(request(`/api/sync?scope=sheet:${sheet}`), undefined as never),
  },
  {
    file: 'app/api/sync/route.ts',
    method: 'GET',
    action: 'book.read',
    outside: 'through',
    call: (h) => h(request('/api/sync?scope=book'), undefined as never),
  },
  {
    file: 'app/api/sync/route.ts',
    method: 'GET',
    action: 'play.read',
    outside: 'through',
    call: (h) => h(request('/api/sync?scope=plays'), undefined as never),
  },
  {
    file: 'app/api/sync/route.ts',
    method: 'GET',
    action: 'game.read',
    outside: 'not-found',
    call: (h) => h(request(`/api/sync?scope=blind:${game}`), undefined as never),
  },
  {
    file: 'app/api/sync/route.ts',
    method: 'POST',
    action: 'snap.log',
    outside: 'not-found',
    call: sync(
      () => `game:${game}`,
      () => operation('snap', crypto.randomUUID(), { do: 'put', fields: {}, after: null }),
    ),
  },
  {
    file: 'app/api/sync/route.ts',
    method: 'POST',
    action: 'sheet.draft',
    outside: 'not-found',
    call: sync(
      () => `sheet:${sheet}`,
      () => operation('sheet', sheet, { do: 'patch', fields: { name: { value: 'Sheet', over: 1 } } }),
    ),
  },
  {
    file: 'app/api/sync/route.ts',
    method: 'POST',
    action: 'sheet.lock',
    outside: 'not-found',
    call: sync(
      () => `sheet:${sheet}`,
      () => operation('sheet', sheet, { do: 'patch', fields: { locked: { value: false, over: 1 } } }),
    ),
  },
  {
    file: 'app/api/sync/route.ts',
    method: 'POST',
    action: 'term.add',
    outside: 'through',
    call: sync(
      () => 'book',
      () =>
        operation('term', crypto.randomUUID(), {
          do: 'put',
          fields: { kind: 'tag', word: `w${crypto.randomUUID().slice(0, 8)}`, aliases: [] },
          after: null,
        }),
    ),
  },
  {
    file: 'app/api/sync/route.ts',
    method: 'POST',
    action: 'term.remove',
    outside: 'through',
    call: sync(
      () => 'book',
      () => operation('term', 'no such word', { do: 'delete' }),
    ),
  },
  {
    file: 'app/api/sync/route.ts',
    method: 'POST',
    action: 'play.add',
    outside: 'through',
    call: sync(
      () => 'plays',
      () =>
        operation('play', crypto.randomUUID(), {
          do: 'put',
          fields: {
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
          },
          after: null,
        }),
    ),
  },
];

/** Server actions: their module's exports, the permission, and what is sent. */
interface Door {
  readonly file: string;
  readonly name: string;
  readonly action: Action | 'open';
  readonly args: () => unknown[];
}
const form = (fields: Record<string, string>): FormData => {
  const f = new FormData();
  for (const [k, v] of Object.entries(fields)) f.set(k, v);
  return f;
};
/** An id of no row. */
const NOBODY = '7d0f3c52-65a5-4a5c-9f2c-0c7b1c6f3f10';
const ACTIONS_WALKED: readonly Door[] = [
  { file: 'app/(staff)/actions.ts', name: 'leave', action: 'session.own', args: () => [] },
  { file: 'app/(staff)/actions.ts', name: 'addSample', action: 'program.import', args: () => [] },
  {
    file: 'app/(staff)/log/actions.ts',
    name: 'startGame',
    action: 'game.create',
    args: () => [null, form({ home: 'AAA', away: 'CEDAR', homeName: '', awayName: '', date: '', week: '' })],
  },
  {
    file: 'app/(staff)/log/actions.ts',
    name: 'changeGame',
    action: 'game.close',
    args: () => [{ op: 'reopen', game }],
  },
  {
    file: 'app/(staff)/log/actions.ts',
    name: 'changeGame',
    action: 'game.remove',
    args: () => [{ op: 'remove', game: 'no-such-game' }],
  },
  {
    file: 'app/(staff)/log/actions.ts',
    name: 'keepOfficial',
    action: 'snap.log',
    args: () => [{ game, team: 'AAA', stat: 'points', figure: 21 }],
  },
  {
    file: 'app/(staff)/log/actions.ts',
    name: 'describeFilm',
    action: 'snap.log',
    args: () => [{ game, angle: 'sideline' }],
  },
  {
    file: 'app/(staff)/log/drill/actions.ts',
    name: 'answerDrill',
    action: 'game.read',
    args: () => [
      {
        look: 'trips|R',
        seconds: 4,
        marks: [{ field: 'formation', label: 'formation', there: 'trips', said: null, right: false }],
      },
    ],
  },
  {
    file: 'app/(staff)/read/actions.ts',
    name: 'saveSections',
    action: 'report.template',
    args: () => [{ side: 'offense', sections: ['personnel'] }],
  },
  {
    file: 'app/(staff)/read/actions.ts',
    name: 'saveView',
    action: 'view.save',
    args: () => [{ name: 'Third downs', query: 'team=AAA&filter=down%3A3' }],
  },
  {
    file: 'app/(staff)/read/actions.ts',
    name: 'saveWords',
    action: 'report.words',
    args: () => [{ team: 'AAA', side: 'offense', version: 99, edits: { words: {}, hidden: [], own: [] } }],
  },
  {
    file: 'app/(staff)/read/reels/actions.ts',
    name: 'keptReels',
    action: 'reel.save',
    args: () => [],
  },
  {
    file: 'app/(staff)/read/reels/actions.ts',
    name: 'keepReel',
    action: 'reel.save',
    args: () => [
      { name: 'R', sentence: '', source: null, shared: false, clips: [{ game, snap: 'none', note: '' }] },
    ],
  },
  {
    file: 'app/(staff)/read/reels/actions.ts',
    name: 'addClips',
    action: 'reel.save',
    args: () => [{ id: NOBODY, clips: [{ game, snap: 's1', note: '' }] }],
  },
  {
    file: 'app/(staff)/read/reels/actions.ts',
    name: 'saveReel',
    action: 'reel.save',
    args: () => [{ id: NOBODY, version: 1, name: 'R', sentence: '', shared: false, clips: [] }],
  },
  {
    file: 'app/(staff)/read/reels/actions.ts',
    name: 'dropReel',
    action: 'reel.save',
    args: () => [{ id: NOBODY }],
  },
  {
    file: 'app/(staff)/log/charting/actions.ts',
    name: 'savePlan',
    action: 'charting.plan',
    args: () => [{ team: 'AAA', plan: null }],
  },
  {
    file: 'app/(staff)/log/charting/actions.ts',
    name: 'beginBlindCharting',
    action: 'snap.log',
    args: () => [game],
  },
  {
    file: 'app/(staff)/log/charting/actions.ts',
    name: 'handInCharting',
    action: 'snap.log',
    args: () => [game],
  },
  {
    file: 'app/(staff)/log/rosters/actions.ts',
    name: 'changeRoster',
    action: 'roster.change',
    args: () => [{ op: 'letters', game, team: 'AAA', letters: { H: '11' } }],
  },
  {
    file: 'app/(staff)/log/rosters/actions.ts',
    name: 'sayAvailability',
    action: 'availability.change',
    args: () => [{ week: 1, player: 'nobody', to: null, before: null }],
  },
  {
    file: 'app/(staff)/log/import/actions.ts',
    name: 'keepReading',
    action: 'program.import',
    args: () => [{ headings: 'dn | dist', mapping: [{ column: 'dn', field: 'down' }], values: [] }],
  },
  {
    file: 'app/(staff)/plan/actions.ts',
    name: 'startSheet',
    action: 'sheet.create',
    args: () => [null, form({ name: 'x', opponent: 'CEDAR' })],
  },
  { file: 'app/(staff)/plan/actions.ts', name: 'weighTeams', action: 'roster.read', args: () => [] },
  { file: 'app/(staff)/plan/actions.ts', name: 'earlierOf', action: 'sheet.read', args: () => [sheet] },
  { file: 'app/(staff)/plan/actions.ts', name: 'copyOf', action: 'sheet.copy', args: () => [sheet] },
  {
    file: 'app/(staff)/plan/actions.ts',
    name: 'saveSections',
    action: 'sheet.draft',
    args: () => [SECTIONS],
  },
  {
    file: 'app/(staff)/plan/actions.ts',
    name: 'savePrints',
    action: 'sheet.draft',
    args: () => [USUAL_PRINTS, USUAL_PRINTS],
  },
  { file: 'app/(staff)/plan/actions.ts', name: 'mixOf', action: 'sheet.read', args: () => [[[0.5, 0.4]]] },
  {
    file: 'app/(staff)/rep/actions.ts',
    name: 'savePractice',
    action: 'sheet.draft',
    args: () => [USUAL_PRACTICE, USUAL_PRACTICE],
  },
  {
    file: 'app/(staff)/plan/actions.ts',
    name: 'keepVersion',
    action: 'sheet.draft',
    args: () => [sheet, 'x'],
  },
  { file: 'app/(staff)/plan/actions.ts', name: 'versionsOf', action: 'sheet.read', args: () => [sheet] },
  {
    file: 'app/(staff)/plan/actions.ts',
    name: 'bringVersion',
    action: 'sheet.draft',
    args: () => [sheet, 1],
  },
  {
    file: 'app/(staff)/book/actions.ts',
    name: 'preview',
    action: 'book.read',
    args: () => [{ from: 'formation-trips', where: [] }],
  },
  {
    file: 'app/(staff)/book/actions.ts',
    name: 'act',
    action: 'term.merge',
    args: () => [{ op: 'merge', keep: 'no', drop: 'such' }],
  },
  {
    file: 'app/(staff)/book/actions.ts',
    name: 'act',
    action: 'term.split',
    args: () => [
      { op: 'split', from: 'no', to: { word: 'x' }, where: [{ field: 'personnel', values: ['11'] }] },
    ],
  },
  {
    file: 'app/(staff)/book/actions.ts',
    name: 'act',
    action: 'book.undo',
    args: () => [{ op: 'undo', id: NOBODY }],
  },
  {
    file: 'app/(staff)/book/actions.ts',
    name: 'act',
    action: 'book.import',
    args: () => [{ op: 'import', text: '{}' }],
  },
  { file: 'app/(staff)/book/actions.ts', name: 'act', action: 'book.adopt', args: () => [{ op: 'adopt' }] },
  {
    file: 'app/(staff)/staff/actions.ts',
    name: 'act',
    action: 'week.set',
    args: () => [{ op: 'week', week: 3, opponent: null }],
  },
  {
    file: 'app/(staff)/staff/actions.ts',
    name: 'act',
    action: 'member.change',
    args: () => [{ op: 'add', name: 'X', password: 'short', roles: ['guest'] }],
  },
  {
    file: 'app/(staff)/staff/actions.ts',
    name: 'act',
    action: 'member.change',
    args: () => [{ op: 'roles', id: NOBODY, roles: ['guest'] }],
  },
  {
    file: 'app/(staff)/staff/actions.ts',
    name: 'act',
    action: 'member.change',
    args: () => [{ op: 'remove', id: NOBODY }],
  },
  {
    file: 'app/(staff)/staff/actions.ts',
    name: 'act',
    action: 'rules.set',
    args: () => [{ op: 'rules', rules: null }],
  },
  {
    file: 'app/(staff)/staff/actions.ts',
    name: 'act',
    action: 'level.set',
    args: () => [{ op: 'profile', changes: null }],
  },
  {
    file: 'app/(staff)/staff/actions.ts',
    name: 'act',
    action: 'session.own',
    args: () => [{ op: 'end-session', id: 'none' }],
  },
  {
    file: 'app/(staff)/staff/actions.ts',
    name: 'act',
    action: 'session.own',
    args: () => [{ op: 'password', current: 'x', next: 'y' }],
  },
  { file: 'app/first/actions.ts', name: 'create', action: 'open', args: () => [null, form({})] },
  {
    file: 'app/sign-in/actions.ts',
    name: 'enter',
    action: 'open',
    args: () => [null, form({ name: 'nobody at all', password: 'x' })],
  },
  {
    file: 'app/sign-in/actions.ts',
    name: 'enterDemo',
    action: 'open',
    args: () => [form({ member: 'nobody' })],
  },
];

const REFUSAL = / is for an? /;
/** An action's answer or what it throws, as a verdict. */
async function walk(door: Door, act: (...args: unknown[]) => Promise<unknown>): Promise<Verdict> {
  let said: string;
  try {
    said = JSON.stringify(await act(...door.args())) ?? '';
  } catch (e) {
    if (e instanceof Redirect)
      return e.to === '/sign-in' && door.action !== 'open' ? 'signed-out' : 'through';
    said = (e as Error).message;
  }
  return REFUSAL.test(said) ? 'refused' : 'through';
}

describe('every route handler', () => {
  it('is in the table', async () => {
    for (const file of files.filter((f) => f.endsWith('route.ts'))) {
      const exported = Object.keys((await import(path.join(root, file))) as object).filter((k) =>
        /^(GET|POST|PUT|PATCH|DELETE|HEAD|OPTIONS)$/.test(k),
      );
      for (const method of exported)
        expect(
          HANDLERS.some((h) => h.file === file && h.method === method),
          `${file} ${method} is not in the table of this test`,
        ).toBe(true);
    }
  });
  it.each(
    HANDLERS.map(
      (h) => [`${h.method} ${h.file.replace(/^app\/api\/|\/route\.ts$/g, '')} for ${h.action}`, h] as const,
    ),
  )('%s', async (_, h) => {
    const handler = (
      (await import(path.join(root, h.file))) as Record<string, (r: Request, c: never) => Promise<Response>>
    )[h.method]!;
    token = undefined;
    expect(await verdictOf(await h.call(handler)), 'no session').toBe(
      h.action === 'open' ? 'through' : 'signed-out',
    );
    token = 'not a token of anybody';
    expect(await verdictOf(await h.call(handler)), 'a wrong session').toBe(
      h.action === 'open' ? 'through' : 'signed-out',
    );
    for (const [role, who] of actors) {
      token = who.token;
      expect(await verdictOf(await h.call(handler)), role).toBe(
        h.action === 'open' || may([role as Role], h.action) ? 'through' : 'refused',
      );
    }
    token = outsider.token;
    expect(await verdictOf(await h.call(handler)), 'a member of another program').toBe(h.outside);
  });
  it('refuses what another site sends, also from a frame without a name, and an unknown host', async () => {
    token = actors.get('coordinator')!.token;
    const { POST } = await import('./api/sync/route');
    for (const headers of [
      { origin: 'http://elsewhere.invalid' },
      { origin: 'null' },
      { 'sec-fetch-site': 'cross-site' },
    ] as Record<string, string>[]) {
      const r = new Request('http://127.0.0.1:1/api/sync', {
        ...json({ scope: 'book', ops: [{}] }),
        headers: { host: '127.0.0.1:1', 'content-type': 'application/json', ...headers },
      });
      expect((await POST(r)).status, JSON.stringify(headers)).toBe(403);
    }
    const { GET } = await import('./api/export/route');
    expect(
      (await GET(new Request('http://rebound.invalid/api/export', { headers: { host: 'rebound.invalid' } })))
        .status,
    ).toBe(421);
  });
  it('answers are stored by no cache, and another member’s page cannot write with this one’s cookie', async () => {
    token = actors.get('coordinator')!.token;
    const { GET, POST } = await import('./api/sync/route');
    expect((await GET(request('/api/sync?scope=book'))).headers.get('cache-control')).toBe('no-store');
    const asOther = await POST(
      request('/api/sync', {
        method: 'POST',
        headers: { 'content-type': 'application/json', 'x-vobrik-owner': 'another.member' },
        body: JSON.stringify({ scope: 'book', ops: [{}] }),
      }),
    );
    expect(asOther.status).toBe(409);
  });
});

describe('every server action', () => {
  it('is in the table, and stands in a file of actions', async () => {
    for (const file of files.filter((f) => /\.tsx?$/.test(f) && !f.includes('.test.'))) {
      const text = readFileSync(path.join(root, file), 'utf8');
      if (!/^\s*'use server';/m.test(text)) continue;
      expect(file, 'server actions stand in actions.ts, where they are walked').toMatch(/\/actions\.ts$/);
      for (const name of Object.keys((await import(path.join(root, file))) as object))
        expect(
          ACTIONS_WALKED.some((a) => a.file === file && a.name === name),
          `${file} ${name} is not in the table of this test`,
        ).toBe(true);
    }
  });
  it.each(ACTIONS_WALKED.map((a) => [`${a.name} of ${a.file} for ${a.action}`, a] as const))(
    '%s',
    async (_, a) => {
      const act = (
        (await import(path.join(root, a.file))) as Record<string, (...args: unknown[]) => Promise<unknown>>
      )[a.name]!;
      token = undefined;
      expect(await walk(a, act), 'no session').toBe(a.action === 'open' ? 'through' : 'signed-out');
      for (const [role, who] of actors) {
        if (a.name === 'leave') continue;
        token = who.token;
        expect(await walk(a, act), role).toBe(
          a.action === 'open' || may([role as Role], a.action) ? 'through' : 'refused',
        );
      }
    },
  );
});

describe('pages', () => {
  it('each asks for a permission, or is one of the few that are open', () => {
    const open = new Set(['app/sign-in/page.tsx', 'app/first/page.tsx', 'app/(staff)/(week)/page.tsx']);
    for (const file of files.filter((f) => f.endsWith('page.tsx')))
      if (!open.has(file))
        expect(readFileSync(path.join(root, file), 'utf8'), file).toMatch(/export default pageFor\('/);
    expect(readFileSync(path.join(root, 'app/(staff)/(week)/page.tsx'), 'utf8')).toContain(
      "may(actor.roles, 'week.read')",
    );
  });
});
