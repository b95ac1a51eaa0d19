/**
 * The browser's side under random schedules: tabs and browsers killed at any moment, networks that lose,
 * repeat and delay, a storage that is full, a clock that jumps, two members, a database restored. IndexedDB
 * is fake-indexeddb; the server is the model of core/sync. Nothing that was durable is lost, nothing is done
 * twice, nothing is refused in silence, the order is the order of typing.
 */
import 'fake-indexeddb/auto';
import fc from 'fast-check';
import { expect, it, vi } from 'vitest';
import { gameScope, type Operation } from '@/core/sync';
import { ModelServer } from '@/core/sync/model.fixture';
import { Outbox, type World } from './outbox';
import { Storage } from './storage';

const RUNS = 2000;
const SCOPE = gameScope('g');
const tick = (): Promise<void> => new Promise((resolve) => setImmediate(resolve));

/** One browser: its locks, its channels, its tabs; and the network between it and the server. */
class Browser {
  /** Deaf: what is typed arrives, what is asked for does not. */
  net: 'up' | 'down' | 'lossy' | 'failing' | 'deaf' = 'up';
  full = false;
  tabs: Outbox[] = [];
  private holders = new Map<string, Promise<void>>();
  private listeners = new Map<string, Set<(m: unknown) => void>>();
  private luck = 7;
  private clock = 0;
  ids = 0;
  /** Operations whose answer went lost on the way back. */
  readonly unanswered = new Set<string>();

  constructor(
    readonly server: ModelServer,
    readonly owner: string,
  ) {}

  private chance(of: number): boolean {
    this.luck = (this.luck * 1103515245 + 12345) % 2147483648;
    return this.luck % of === 0;
  }

  world(): World {
    return {
      fetch: async (url, init) => {
        await tick();
        const { signal } = init ?? {};
        if (this.net === 'down') throw new TypeError('network');
        if (this.net === 'failing' && this.chance(2))
          return new Response('{"error":"away"}', { status: 503 });
        if (this.net === 'lossy' && this.chance(3)) throw new TypeError('lost on the way there');
        if (!init?.method && this.net === 'deaf') throw new TypeError('lost on the way there');
        if (!init?.method) return Response.json(this.server.pull());
        const { ops } = JSON.parse(String(init.body)) as { ops: Operation[] };
        let answer = this.server.answer(ops);
        if (this.net === 'lossy' && this.chance(3)) answer = this.server.answer(ops);
        const lose = (why: string): never => {
          for (const op of ops) this.unanswered.add(op.id);
          throw new TypeError(why);
        };
        if (this.net === 'lossy' && this.chance(3)) lose('lost on the way back');
        await tick();
        if (signal?.aborted) lose('aborted');
        return Response.json(answer);
      },
      lead: async (name, signal, work) => {
        const before = this.holders.get(name) ?? Promise.resolve();
        const mine = before.then(() => (signal.aborted ? undefined : work())).catch(() => undefined);
        this.holders.set(name, mine);
        await mine;
      },
      channel: (name) => {
        const all = this.listeners.get(name) ?? new Set();
        this.listeners.set(name, all);
        let mine: ((m: unknown) => void) | null = null;
        return {
          post: (m) => {
            for (const l of all) if (l !== mine) setImmediate(() => all.has(l) && l(m));
          },
          listen: (take) => {
            mine = take;
            all.add(take);
          },
          close: () => {
            if (mine) all.delete(mine);
          },
        };
      },
      news: () => () => undefined,
      wait: async (_ms, signal) => {
        for (let i = 0; i < 3 && !signal.aborted; i++) await tick();
      },
      random: () => 0.5,
      id: () => `${this.owner}-op${++this.ids}`,
      // The clock jumps at every look.
      wallClock: () => String((this.clock = (this.clock * 7919 + 13) % 86_400)),
    };
  }

  async open(): Promise<Outbox> {
    const tab = await Outbox.open(this.owner, this.server.epoch, this.world());
    // A page of another epoch loads again.
    tab.onEpoch = () => void this.reload(tab);
    this.tabs.push(tab);
    tab.watch(SCOPE, this.server.pull());
    return tab;
  }
  kill(tab: Outbox): void {
    tab.close();
    this.tabs = this.tabs.filter((t) => t !== tab);
  }
  private reload(tab: Outbox): void {
    if (!this.tabs.includes(tab)) return;
    this.kill(tab);
    void this.open();
  }
}

type Step =
  | {
      readonly do: 'type';
      readonly tab: number;
      readonly bad: boolean;
      readonly at: number;
      readonly end: boolean;
      readonly wait: boolean;
    }
  | { readonly do: 'patch'; readonly tab: number; readonly at: number; readonly value: number }
  | { readonly do: 'remove'; readonly tab: number; readonly at: number }
  | { readonly do: 'net'; readonly net: Browser['net'] }
  | { readonly do: 'kill-tab'; readonly tab: number }
  | { readonly do: 'open-tab' }
  | { readonly do: 'kill-browser' }
  | { readonly do: 'backup' }
  | { readonly do: 'restore' }
  | { readonly do: 'full' }
  | { readonly do: 'other' }
  | { readonly do: 'pass'; readonly ticks: number }
  | { readonly do: 'settle'; readonly tab: number; readonly how: 'again' | 'discard' };

const nat = fc.nat(9);
const step: fc.Arbitrary<Step> = fc.oneof(
  {
    weight: 8,
    arbitrary: fc.record({
      do: fc.constant('type' as const),
      tab: nat,
      bad: nat.map((n) => n === 0),
      at: nat,
      end: nat.map((n) => n > 2),
      wait: fc.boolean(),
    }),
  },
  {
    weight: 3,
    arbitrary: fc.record({
      do: fc.constant('patch' as const),
      tab: nat,
      at: nat,
      value: fc.oneof(fc.integer({ min: 0, max: 5 }), fc.constant(452)),
    }),
  },
  { weight: 1, arbitrary: fc.record({ do: fc.constant('remove' as const), tab: nat, at: nat }) },
  {
    weight: 3,
    arbitrary: fc.record({
      do: fc.constant('net' as const),
      net: fc.constantFrom<Browser['net'][]>('up', 'down', 'lossy', 'failing', 'deaf'),
    }),
  },
  { weight: 2, arbitrary: fc.record({ do: fc.constant('kill-tab' as const), tab: nat }) },
  { weight: 2, arbitrary: fc.constant({ do: 'open-tab' as const }) },
  {
    weight: 1,
    arbitrary: fc.constantFrom(
      { do: 'kill-browser' as const },
      { do: 'backup' as const },
      { do: 'restore' as const },
      { do: 'other' as const },
    ),
  },
  { weight: 1, arbitrary: fc.constant({ do: 'full' as const }) },
  {
    weight: 4,
    arbitrary: fc.record({ do: fc.constant('pass' as const), ticks: fc.integer({ min: 1, max: 30 }) }),
  },
  {
    weight: 1,
    arbitrary: fc.record({
      do: fc.constant('settle' as const),
      tab: nat,
      how: fc.constantFrom('again' as const, 'discard' as const),
    }),
  },
);

let runs = 0;
let typed = 0;

async function play(steps: readonly Step[]): Promise<void> {
  const server = new ModelServer();
  const browser = new Browser(server, `p.m${++runs}`);
  const add = vi.spyOn(Storage.prototype, 'add');
  const real = add.getMockImplementation() ?? Storage.prototype.add;
  add.mockRestore();
  const full = vi.spyOn(Storage.prototype, 'add').mockImplementation(async function (this: Storage, ...args) {
    if (browser.full) throw new DOMException('no room', 'QuotaExceededError');
    return real.apply(this, args);
  });
  /** Puts whose push resolved: they must not be lost. */
  const durable = new Map<string, string>();
  /** Puts whose push was refused by the storage: they must not appear. */
  const rejected = new Set<string>();
  const byHand = new Set<string>();
  /** Rows somebody removed: a refused one is discarded by that. */
  const removed = new Set<string>();
  const chain: [string, string][] = [];
  /** The last row that a tab put at the end and was told it is kept. */
  const line: [string, string][] = [];
  /** Who typed last, and what he typed that is not known to be kept. */
  let typist: Outbox | null = null;
  let newest = '';
  let pending = 0;
  /**
   * Behind a refused one a row goes where that one was typed, which may be in front of all; two tabs that type within
   * the same moment know nothing of each other; and one that is killed never says what it just kept.
   */
  let unclear = false;
  const ends = new Map<Outbox, string>();
  let rows = 0;
  let others = 0;
  const tabOf = (n: number): Outbox | undefined => browser.tabs[n % Math.max(1, browser.tabs.length)];
  try {
    await browser.open();
    for (const s of steps) {
      if (s.do === 'type') {
        const tab = tabOf(s.tab);
        if (!tab) continue;
        const shown = tab.rows(SCOPE);
        const after = s.end
          ? (shown[shown.length - 1]?.row ?? null)
          : (shown[s.at % Math.max(1, shown.length)]?.row ?? null);
        const row = `r${++rows}`;
        const op = tab.put('snap', row, { gain: s.bad ? 452 : rows }, after);
        typed++;
        const heard = shown.some((r) => r.row === newest) || removed.has(newest);
        unclear ||=
          s.bad || (typist !== null && typist !== tab && (pending > 0 || typist.waiting() > 0 || !heard));
        typist = tab;
        newest = row;
        pending++;
        const end = ends.get(tab);
        const pushed = tab.push(SCOPE, [op]).then(
          () => {
            durable.set(op.id, row);
            if (after !== null && !s.bad) chain.push([after, row]);
            if (!s.end || s.bad) return;
            if (end !== undefined && !removed.has(end)) line.push([end, row]);
            ends.set(tab, row);
          },
          (e: Error) => {
            if (e.name === 'QuotaExceededError') rejected.add(op.id);
          },
        );
        void pushed.finally(() => pending--);
        if (s.wait) await pushed;
      } else if (s.do === 'patch' || s.do === 'remove') {
        const tab = tabOf(s.tab);
        const row = tab?.rows(SCOPE)[s.at % Math.max(1, tab.rows(SCOPE).length)];
        if (!tab || !row) continue;
        typed++;
        if (s.do === 'remove') removed.add(row.row);
        await tab
          .push(SCOPE, [
            s.do === 'remove'
              ? tab.remove('snap', row.row)
              : tab.patch(SCOPE, 'snap', row.row, { gain: s.value }),
          ])
          .catch(() => undefined);
      } else if (s.do === 'net') browser.net = s.net;
      else if (s.do === 'kill-tab') {
        const tab = tabOf(s.tab);
        if (tab) browser.kill(tab);
      } else if (s.do === 'open-tab') {
        if (browser.tabs.length < 3) await browser.open();
      } else if (s.do === 'kill-browser') {
        for (const tab of [...browser.tabs]) browser.kill(tab);
      } else if (s.do === 'backup') server.backup();
      else if (s.do === 'restore') server.restore();
      else if (s.do === 'full') browser.full = !browser.full;
      else if (s.do === 'other') {
        const live = server.live();
        server.answer([
          {
            id: `x${++others}`,
            kind: 'snap',
            row: `x${others}`,
            epoch: server.epoch,
            do: 'put',
            after: live[live.length - 1] ?? null,
            fields: {},
          },
        ]);
      } else if (s.do === 'pass') for (let i = 0; i < s.ticks; i++) await tick();
      else {
        const tab = tabOf(s.tab);
        const refused = tab?.refused(SCOPE)[0];
        if (!tab || !refused) continue;
        byHand.add(refused.op.id);
        await (s.how === 'again' ? tab.tryAgain(refused) : tab.discard(refused)).catch(() =>
          byHand.delete(refused.op.id),
        );
      }
    }
    // Everything heals: one tab, a network, room on the disk.
    browser.net = 'up';
    browser.full = false;
    for (let i = 0; i < 50; i++) await tick();
    for (const tab of [...browser.tabs]) browser.kill(tab);
    for (let i = 0; i < 20; i++) await tick();
    const last = await browser.open();
    for (let i = 0; i < 3000 && (browser.tabs[0] ?? last).waiting() > 0; i++) await tick();
    const end = browser.tabs[browser.tabs.length - 1]!;
    await end.pull(SCOPE);
    await end.pull(SCOPE);

    expect(end.waiting(), 'all sent').toBe(0);
    expect(
      end.rows(SCOPE).map((r) => r.row),
      'the screen shows the database',
    ).toEqual(server.live());
    const queue = new Map(end.queue.map((q) => [q.op.id, q]));
    const everywhere = new Set([...end.queue.map((q) => q.op.row), ...server.rows.map((r) => r.key)]);
    for (const [id, row] of durable) {
      expect(server.applied.get(id) ?? 0, `${id} done once`).toBeLessThanOrEqual(1);
      const q = queue.get(id);
      if (q?.state === 'refused') expect(q.reason).toBeTruthy();
      else if (!byHand.has(id) && !removed.has(row) && !server.restoredAway.has(row))
        expect(everywhere.has(row), `${id} ${row} is stored, or refused and kept`).toBe(true);
    }
    // A disk that is full and an answer that is lost at once: what the database took is seen on the screen.
    for (const id of rejected)
      expect(
        (server.applied.has(id) && !browser.unanswered.has(id)) || queue.has(id),
        `${id} was not taken`,
      ).toBe(false);
    expect(new Set(server.rows.map((r) => r.key)).size).toBe(server.rows.length);
    if (server.restoredAway.size === 0) {
      const place = new Map(server.rows.map((r, i) => [r.key, i]));
      for (const [before, row] of [...chain, ...(unclear ? [] : line)])
        if (place.has(before) && place.has(row))
          expect(place.get(row)!, `${row} after ${before}`).toBeGreaterThan(place.get(before)!);
    }
  } finally {
    full.mockRestore();
    for (const tab of browser.tabs) tab.close();
    for (let i = 0; i < 5; i++) await tick();
  }
}

it(`holds over ${RUNS} random schedules of tabs, kills, networks and storages`, async () => {
  await fc.assert(fc.asyncProperty(fc.array(step, { minLength: 6, maxLength: 40 }), play), {
    numRuns: RUNS,
    seed: 20261126,
  });
  process.stdout.write(`outbox model: ${RUNS} schedules, ${typed} operations typed\n`);
}, 240_000);

it('a refusal of a whole request finds the one operation that is meant', async () => {
  const server = new ModelServer();
  const browser = new Browser(server, 'p.whole');
  const world = browser.world();
  const tab = await Outbox.open('p.whole', server.epoch, {
    ...world,
    fetch: async (url, init) =>
      init?.method && String(init.body).includes('poison')
        ? new Response('{"error":"larger than a request may be"}', { status: 422 })
        : world.fetch(url, init),
  });
  await tab.push(SCOPE, [
    tab.put('snap', 'a', {}, null),
    tab.put('snap', 'b', { note: 'poison' }, 'a'),
    tab.put('snap', 'c', {}, 'b'),
  ]);
  for (let i = 0; i < 500 && tab.waiting() > 0; i++) await tick();
  expect(server.live()).toEqual(['a', 'c']);
  expect(tab.refused().map((q) => [q.op.row, q.reason])).toEqual([['b', 'larger than a request may be']]);
  tab.close();
});

it('what another member types is never sent as this one’s: signed out, it waits', async () => {
  const server = new ModelServer();
  const browser = new Browser(server, 'p.other');
  const world = browser.world();
  let status = 409;
  const tab = await Outbox.open('p.other', server.epoch, {
    ...world,
    fetch: async (url, init) => {
      expect((init?.headers as Record<string, string>)['x-vobrik-owner']).toBe('p.other');
      return init?.method && status !== 200
        ? new Response('{"error":"Another member is signed in."}', { status })
        : world.fetch(url, init);
    },
  });
  await tab.push(SCOPE, [tab.put('snap', 'a', {}, null)]);
  for (let i = 0; i < 30; i++) await tick();
  expect([tab.state.kind, tab.waiting(), server.live()]).toEqual(['signed-out', 1, []]);
  status = 200;
  for (let i = 0; i < 500 && tab.waiting() > 0; i++) await tick();
  expect(server.live()).toEqual(['a']);
  const told = new Promise<void>((resolve) => (tab.onErased = resolve));
  await Outbox.erase('p.other', world);
  await told;
  expect(tab.queue).toEqual([]);
  tab.close();
});

it('signing out takes everything off, also when the tab that asks has gone already', async () => {
  const server = new ModelServer();
  const browser = new Browser(server, 'p.left');
  browser.net = 'down';
  const world = browser.world();
  const tab = await Outbox.open('p.left', server.epoch, world);
  await tab.push(SCOPE, [tab.put('snap', 'a', {}, null)]);
  tab.close();
  await Outbox.erase('p.left', world);
  const next = await Outbox.open('p.left', server.epoch, world);
  expect(next.queue).toEqual([]);
  next.close();
});

it('signing out takes the storage away where it refuses to be emptied, and its tabs hear of it all the same', async () => {
  const server = new ModelServer();
  const browser = new Browser(server, 'p.stuck');
  browser.net = 'down';
  const world = browser.world();
  const tab = await Outbox.open('p.stuck', server.epoch, world);
  await tab.push(SCOPE, [tab.put('snap', 'a', {}, null)]);
  vi.spyOn(Storage.prototype, 'erase').mockRejectedValueOnce(new DOMException('no', 'UnknownError'));
  const told = new Promise<void>((resolve) => (tab.onErased = resolve));
  await Outbox.erase('p.stuck', world);
  await told;
  tab.close();
  // Once more: there is nothing left, and that is no fault.
  await Outbox.erase('p.stuck', world);
  const next = await Outbox.open('p.stuck', server.epoch, world);
  expect(next.queue).toEqual([]);
  next.close();
});

/** A disk under the test's hand. */
function slowDisk(): { readonly write: () => void; readonly refuse: () => void } {
  let write = (): void => undefined;
  let refuse = (): void => undefined;
  const turn = new Promise<void>((resolve, reject) => {
    write = resolve;
    refuse = () => reject(new DOMException('no room', 'QuotaExceededError'));
  });
  const real = Storage.prototype.add;
  vi.spyOn(Storage.prototype, 'add').mockImplementationOnce(async function (this: Storage, ...args) {
    await turn;
    return real.apply(this, args);
  });
  return { write, refuse };
}

it('an operation is on its way while the disk still writes it, once, and before what is typed after it', async () => {
  const server = new ModelServer();
  const browser = new Browser(server, 'p.ahead');
  const world = browser.world();
  const sent: string[][] = [];
  const tab = await Outbox.open('p.ahead', server.epoch, {
    ...world,
    fetch: async (url, init) => {
      if (init?.method)
        sent.push((JSON.parse(String(init.body)) as { ops: Operation[] }).ops.map((o) => o.row));
      return world.fetch(url, init);
    },
  });
  tab.watch(SCOPE, server.pull());
  for (let i = 0; i < 20; i++) await tick();
  const disk = slowDisk();
  const first = tab.push(SCOPE, [tab.put('snap', 'a', {}, null)]);
  // Until the disk has it too, it waits: nobody may read that it is saved.
  expect([sent, tab.waiting(), tab.waiting(gameScope('other'))]).toEqual([[['a']], 1, 0]);
  const second = tab.push(SCOPE, [tab.put('snap', 'b', {}, 'a')]);
  expect([tab.rows(SCOPE).map((r) => r.row), tab.queue]).toEqual([['a', 'b'], []]);
  for (let i = 0; i < 30; i++) await tick();
  expect([server.live(), sent, tab.state.kind, tab.waiting()]).toEqual([['a'], [['a']], 'saving', 2]);
  const counts: number[] = [];
  tab.subscribe(() => counts.push(tab.waiting()));
  disk.write();
  await Promise.all([first, second]);
  for (let i = 0; i < 200 && tab.state.kind !== 'saved'; i++) await tick();
  expect([server.live(), sent, tab.waiting()]).toEqual([['a', 'b'], [['a'], ['b']], 0]);
  // What is in the queue already and not yet out of the writing is counted once.
  expect(counts[0]).toBeLessThanOrEqual(2);
  expect(counts).toEqual([...counts].sort((a, b) => b - a));
  expect(tab.rows(SCOPE).map((r) => r.row)).toEqual(['a', 'b']);
  tab.close();
});

it('what the disk still writes stands before what is typed next, also when nothing is being sent', async () => {
  const server = new ModelServer();
  const world = new Browser(server, 'p.behind').world();
  let leads = (): void => undefined;
  const turn = new Promise<void>((resolve) => (leads = resolve));
  const tab = await Outbox.open('p.behind', server.epoch, {
    ...world,
    lead: async (...of) => turn.then(() => world.lead(...of)),
  });
  tab.watch(SCOPE, server.pull());
  // Typed before this tab sends: it goes to the disk alone. Then the tab finds nothing to send and waits.
  const disks = [slowDisk(), slowDisk()];
  const first = tab.push(SCOPE, [tab.put('snap', 'a', {}, null)]);
  leads();
  for (let i = 0; i < 30; i++) await tick();
  const second = tab.push(SCOPE, [tab.put('snap', 'b', {}, 'a')]);
  for (let i = 0; i < 30; i++) await tick();
  expect(server.live()).toEqual([]);
  // A disk writes in the order it was told.
  for (const { write } of disks) {
    write();
    for (let i = 0; i < 30; i++) await tick();
  }
  await Promise.all([first, second]);
  for (let i = 0; i < 300 && (tab.waiting() > 0 || tab.state.kind !== 'saved'); i++) await tick();
  expect([server.live(), tab.rows(SCOPE).map((r) => r.row)]).toEqual([
    ['a', 'b'],
    ['a', 'b'],
  ]);
  tab.close();
});

/** A disk that is busy with something else until it is let go; what is told it meanwhile is written in that order. */
async function heldDisk(owner: string): Promise<() => void> {
  const db = await new Promise<IDBDatabase>((resolve) => {
    const open = indexedDB.open(`vobrik.${owner}`);
    open.onsuccess = () => resolve(open.result);
  });
  let held = true;
  const store = db.transaction('ops', 'readwrite').objectStore('ops');
  const hold = (): void => {
    if (held) store.count().onsuccess = hold;
    else db.close();
  };
  hold();
  return () => (held = false);
}

it('what is changed twice while the disk writes is one member’s own, and no conflict', async () => {
  const server = new ModelServer();
  const tab = await new Browser(server, 'p.twice').open();
  const gain = (): unknown => tab.rows(SCOPE)[0]!.fields.gain;
  const patch = (value: number): Promise<void> =>
    tab.push(SCOPE, [tab.patch(SCOPE, 'snap', 'a', { gain: value })]);
  await tab.push(SCOPE, [tab.put('snap', 'a', { gain: 1 }, null)]);
  for (let i = 0; i < 100 && tab.waiting() > 0; i++) await tick();
  const letGo = await heldDisk('p.twice');
  const both = [patch(2), patch(3)];
  for (let i = 0; i < 30; i++) await tick();
  expect([gain(), tab.waiting(), server.pull().rows[0]!.fields.gain]).toEqual([3, 2, 2]);
  letGo();
  await Promise.all(both);
  for (let i = 0; i < 300 && tab.waiting() > 0; i++) await tick();
  expect([gain(), tab.conflicts(), tab.refused()]).toEqual([3, [], []]);
  expect(server.pull().rows[0]!.fields.gain).toBe(3);

  // What the disk refuses stands nowhere, and what comes after it is made to what stood before.
  const first = patch(4);
  const disk = slowDisk();
  const second = patch(5).catch((why: Error) => why.message);
  expect(gain()).toBe(5);
  disk.refuse();
  await first;
  expect([await second, gain()]).toEqual(['no room', 4]);
  await patch(6);
  for (let i = 0; i < 300 && tab.waiting() > 0; i++) await tick();
  expect([server.pull().rows[0]!.fields.gain, tab.conflicts(), tab.refused()]).toEqual([6, [], []]);
  tab.close();
});

it('a disk that refuses what the database has taken loses nothing; taken by neither, it is said', async () => {
  const server = new ModelServer();
  const browser = new Browser(server, 'p.refused');
  const tab = await browser.open();
  for (let i = 0; i < 20; i++) await tick();
  let disk = slowDisk();
  let pushed = tab.push(SCOPE, [tab.put('snap', 'a', {}, null)]);
  disk.refuse();
  await pushed;
  expect([tab.rows(SCOPE).map((r) => r.row), tab.waiting()]).toEqual([['a'], 0]);
  for (let i = 0; i < 20; i++) await tick();
  expect(tab.state.kind).toBe('saved');

  // Neither is the place of the next one lost when the rows cannot be asked for.
  browser.net = 'deaf';
  disk = slowDisk();
  pushed = tab.push(SCOPE, [tab.put('snap', 'a2', {}, 'a')]);
  disk.refuse();
  await pushed;
  expect(tab.rows(SCOPE).map((r) => r.row)).toEqual(['a', 'a2']);
  browser.net = 'down';
  disk = slowDisk();
  pushed = tab.push(SCOPE, [tab.put('snap', 'b', {}, 'a')]);
  disk.refuse();
  expect(tab.waiting()).toBe(1);
  await expect(pushed).rejects.toThrow('no room');
  expect(tab.waiting()).toBe(0);
  for (let i = 0; i < 20; i++) await tick();
  browser.net = 'up';
  for (let i = 0; i < 50; i++) await tick();
  expect([server.live(), tab.waiting(), tab.state.kind]).toEqual([['a', 'a2'], 0, 'saved']);

  // Refused by the database too: the line is put back, not kept as a refused one.
  disk = slowDisk();
  pushed = tab.push(SCOPE, [tab.put('snap', 'c', { gain: 452 }, 'a')]);
  disk.refuse();
  await expect(pushed).rejects.toThrow('no room');
  expect([server.live(), tab.queue.filter((q) => q.state !== 'done')]).toEqual([['a', 'a2'], []]);
  tab.close();
});
