/**
 * The real page in Chromium under random schedules: networks that go, lose answers or fail, reloads, tabs closed
 * and opened, the browser killed, a storage that is full. What was typed and cleared must be stored once, in order.
 */
import { chromium, type BrowserContext, type Page } from '@playwright/test';
import { randomUUID } from 'node:crypto';
import { mkdtempSync, readlinkSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';
import { seededRandom, seedOf } from '../demo/random';

export interface PagesDone {
  readonly schedules: number;
  readonly snaps: number;
  readonly actions: Readonly<Record<string, number>>;
  readonly lost: number;
  readonly doubled: number;
  readonly outOfOrder: number;
  /** What was done around the first snap out of place, and what was stored; nothing when all is right. */
  readonly story: readonly string[];
}

const ARGS = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];

/**
 * Asked in the page, as text: the loader of the command line would wrap a function with helpers that the page does
 * not know. Whether this browser keeps a row of the server with a note.
 */
const HAS_ROW = `async (note) => {
  for (const { name } of await indexedDB.databases()) {
    const db = await new Promise((resolve) => (indexedDB.open(name).onsuccess = (e) => resolve(e.target.result)));
    const rows = await new Promise((resolve) => {
      if (!db.objectStoreNames.contains('rows')) return resolve([]);
      db.transaction('rows').objectStore('rows').getAll().onsuccess = (e) => resolve(e.target.result);
    });
    db.close();
    if (rows.some((r) => r.fields.note === note)) return true;
  }
  return false;
}`;
const HAS_PAGE = `(page) => caches.match(page).then(Boolean)`;
/** What the browser keeps of pages and scripts. */
const CACHES = `caches.keys().then((names) => Promise.all(names.map(async (n) =>
  n + ' ' + (await (await caches.open(n)).keys()).length))).then((all) => all.join(', '))`;

/** Whether the page is alive, and which of its scripts did not come. */
const ALIVE = `JSON.stringify({
  ready: document.readyState,
  alive: Object.keys(document.querySelector('[data-testid=snap-line]')).some((k) => k.startsWith('__react')),
  line: document.querySelector('[data-testid=snap-line]').value,
  missing: performance.getEntriesByType('resource').filter((e) => e.responseStatus !== 200).map((e) => e.name),
})`;

/**
 * The line is cleared before the disk has answered; until then it is a draft, which the next page would show again.
 * What is to be lost by nothing is on the disk.
 */
export const onDisk = (page: Page): Promise<unknown> =>
  page.waitForFunction(
    () => !Object.keys(localStorage).some((key) => key.startsWith('vobrik.draft.')),
    undefined,
    { timeout: 60_000 },
  );

type Net = 'up' | 'down' | 'lossy' | 'failing';

interface World {
  context: BrowserContext;
  page: Page;
}

interface PagesOptions {
  readonly base: string;
  readonly game: string;
  readonly member: RegExp;
  readonly schedules: number;
  /** Snaps to log at least; more schedules are made until they are. */
  readonly least?: number;
  readonly seed: number;
  /** Kills something of the server's side and brings it back; none: the servers are left alone. */
  readonly restart?: () => Promise<void>;
}

export async function logByPage({
  base,
  game,
  member,
  schedules,
  least = 0,
  seed,
  restart,
}: PagesOptions): Promise<PagesDone> {
  const source = seededRandom(seed);
  /** Of the network: how often it is asked is the machine's pace, which may not change what the seed schedules. */
  const luck = seededRandom(seedOf(seed, 'network'));
  /** Notes of this run, whatever others typed into the game. */
  const run = `p${randomUUID().slice(0, 6)}`;
  const profile = mkdtempSync(path.join(tmpdir(), 'vobrik-pages-'));
  /** What browsers complained of. */
  const problems: string[] = [];
  const launch = async (): Promise<World> => {
    const context = await chromium.launchPersistentContext(profile, {
      executablePath: '/usr/bin/chromium',
      args: ARGS,
      viewport: { width: 1280, height: 800 },
      serviceWorkers: 'allow',
    });
    // What hangs is to say where.
    context.setDefaultTimeout(60_000);
    context.setDefaultNavigationTimeout(90_000);
    context.on('weberror', (e) => problems.push(String(e.error().stack ?? e.error())));
    context.on('console', (m) => m.type() === 'error' && problems.push(m.text()));
    return { context, page: context.pages()[0] ?? (await context.newPage()) };
  };
  let world = await launch();
  const actions: Record<string, number> = {};
  const typed: string[] = [];
  /** Everything done, in order. */
  const story: string[] = [];
  const line = () => world.page.getByTestId('snap-line');
  /** The page is kept for the time without a network. */
  const kept = () => until(HAS_PAGE, `/log/${game}`);
  const openLog = async (): Promise<void> => {
    await world.page.goto(`${base}/log/${game}`);
    await line().focus();
  };
  let net = 'up' as Net;
  const setNet = async (to: Net): Promise<void> => {
    net = to;
    story.push(to);
    await world.context.setOffline(to === 'down');
    await world.context.unroute('**/api/sync');
    if (to === 'lossy' || to === 'failing')
      await world.context.route('**/api/sync', async (route) => {
        if (route.request().method() !== 'POST' || luck.chance(0.5))
          return route.continue().catch(() => undefined);
        if (to === 'failing')
          return route.fulfill({ status: 503, body: '{"error":"away"}' }).catch(() => undefined);
        // The server has it; its answer is lost on the way back.
        await route.fetch().catch(() => undefined);
        // The page that asked may be gone meanwhile.
        return route.abort().catch(() => undefined);
      });
  };
  const settled = () =>
    world.page.waitForFunction(
      () => !/waiting|saving/.test(document.getElementById('saved')?.textContent ?? ''),
      undefined,
      { timeout: 60_000 },
    );
  const cleared = () =>
    world.page.waitForFunction(
      () => (document.querySelector('[data-testid=snap-line]') as HTMLInputElement).value === '',
      undefined,
      { timeout: 10_000 },
    );
  /** What the page answers in its own time is asked again, for a minute. */
  const until = async (asked: string, about: string): Promise<void> => {
    for (let tries = 0; tries < 600; tries++) {
      if (await world.page.evaluate(`(${asked})(${JSON.stringify(about)})`)) return;
      await world.page.waitForTimeout(100);
    }
    throw new Error(`not kept within a minute: ${about}`);
  };
  /** Notes of the game's snaps in the database, in their order. */
  const storedNotes = async (): Promise<readonly string[]> => {
    const response = await world.page.request.get(`${base}/api/sync?scope=game:${game}`);
    const { rows } = (await response.json()) as {
      rows: { order: number; deleted: boolean; fields: { note?: string } }[];
    };
    return rows
      .filter((r) => !r.deleted)
      .sort((x, y) => x.order - y.order)
      .map((r) => r.fields.note ?? '');
  };
  const said = () =>
    world.page.getByRole('alert').filter({ hasText: 'storage is full' }).waitFor({ timeout: 10_000 });
  /** Enter, until the page does what it is to do: one that was not alive yet is asked again. */
  const enter = async (note: string, does: () => Promise<unknown>): Promise<void> => {
    for (let tries = 1; ; tries++) {
      await line().press('Enter');
      const done = await does().then(
        () => true,
        () => false,
      );
      if (done) return;
      if (tries === 6)
        throw new Error(
          `the line “${note}” was not taken: ${await world.page.evaluate(ALIVE)} ${await world.page.innerText('main')}`,
        );
      actions.again = (actions.again ?? 0) + 1;
    }
  };
  const kinds: Readonly<Record<string, number>> = {
    type: 12,
    net: 6,
    reload: 1,
    tab: 1,
    browser: 1,
    full: 1,
    ...(restart ? { server: 2 } : {}),
  };
  try {
    await world.page.goto(`${base}/sign-in`);
    await world.page.getByRole('button', { name: member }).click();
    await world.page.getByRole('heading', { name: 'What is next' }).waitFor();
    await openLog();
    await kept();
    let made = 0;
    for (; made < schedules || typed.length < least; made++) {
      for (let began = 0; began < 5; began++) {
        const what = source.weighted(kinds);
        actions[what] = (actions[what] ?? 0) + 1;
        if (what !== 'type' && what !== 'net') story.push(what);
        if (what === 'reload' || what === 'tab' || what === 'browser') await onDisk(world.page);
        if (what === 'type') {
          const note = `${run}-${typed.length}`;
          story.push(note);
          await line().fill(`1&10 @o30 11 trips r power r #22 +3 "${note}"`);
          await enter(note, cleared);
          typed.push(note);
        } else if (what === 'net') await setNet(source.pick(['up', 'down', 'lossy', 'failing'] as const));
        else if (what === 'reload') {
          await world.page.reload();
          await line().focus();
        } else if (what === 'tab') {
          const next = await world.context.newPage();
          await world.page.close();
          world.page = next;
          await openLog();
        } else if (what === 'browser') {
          // Killed, not closed: nothing is flushed that was not on the disk. Chromium writes cookies half a minute late; they are given back.
          const cookies = await world.context.cookies();
          const pid = browserPid(profile);
          if (pid !== null) process.kill(pid, 'SIGKILL');
          await world.context.close().catch(() => undefined);
          world = await launch();
          net = 'up';
          await world.context.addCookies(cookies);
          await openLog();
          // A browser that is killed may have lost what it was keeping.
          await kept();
        } else if (what === 'full') {
          // A disk that is full: without a network it is said, with one the database has the snap all the same.
          const away = source.chance(0.5);
          const before: Net = net;
          await setNet('up');
          await settled();
          await setNet(away ? 'down' : 'up');
          const note = away ? 'not taken' : `${run}-${typed.length}`;
          story.push(note);
          // As text: the loader of the command line would wrap a function with helpers that the page does not know.
          await world.page.evaluate(
            "window.keptAdd = IDBObjectStore.prototype.add; IDBObjectStore.prototype.add = () => { throw new DOMException('full', 'QuotaExceededError'); }; 0",
          );
          const answered = world.page.waitForResponse(
            (r) => r.request().method() === 'POST' && r.request().postData()?.includes(note) === true,
          );
          answered.catch(() => undefined);
          await line().fill(`1&10 @o30 power r +3 "${note}"`);
          await enter(note, away ? said : cleared);
          if (!away) typed.push(note);
          if (!away) await answered;
          await world.page.evaluate('IDBObjectStore.prototype.add = window.keptAdd; 0');
          // A page that is opened without a network knows of it only what this browser keeps.
          if (!away && before === 'down') await until(HAS_ROW, note);
          await line().fill('');
          await setNet(before);
        } else await restart!();
      }
      await setNet('up');
      await settled();
    }
    // A page that was just opened says nothing before it has read what this browser keeps: what is not stored yet is waited for.
    let notes = await storedNotes();
    for (let tries = 0; tries < 240 && typed.some((t) => !notes.includes(t)); tries++) {
      await world.page.waitForTimeout(500);
      notes = await storedNotes();
    }
    const stored = notes.filter((n) => n.startsWith(`${run}-`));
    if (notes.includes('not taken')) throw new Error('a snap that the storage refused was stored');
    const wrong = typed.findIndex((t, i) => stored[i] !== t);
    const at = story.indexOf(typed[wrong] ?? '');
    return {
      schedules: made,
      snaps: typed.length,
      actions,
      lost: typed.filter((t) => !stored.includes(t)).length,
      doubled: stored.length - new Set(stored).size,
      outOfOrder: stored.filter((n, i) => n !== typed[i]).length,
      story:
        wrong < 0
          ? []
          : [
              ...story.slice(Math.max(0, at - 12), at + 24),
              'stored:',
              ...stored.slice(Math.max(0, wrong - 2), wrong + 6),
              'the page:',
              String(await world.page.evaluate(ALIVE)),
              await world.page.innerText('#saved'),
            ],
    };
  } catch (error) {
    // A page that hangs does not answer this either.
    const soon = (asked: Promise<unknown>): Promise<string> =>
      Promise.race([asked.then(String, String), sleep(10_000, 'no answer')]);
    const shown = await soon(world.page.innerText('body'));
    const keeps = await soon(world.page.evaluate(CACHES));
    throw new Error(
      [
        `after ${story.slice(-16).join(', ')}, at ${world.page.url()}: ${shown.slice(0, 600)}`,
        `kept: ${keeps}`,
        ...problems.slice(-5),
      ].join('\n'),
      { cause: error },
    );
  } finally {
    await world.context.close().catch(() => undefined);
    rmSync(profile, { recursive: true, force: true });
  }
}

/** The browser's own process: the one that holds the profile. */
function browserPid(profile: string): number | null {
  try {
    // Chromium's lock of a profile is a link to "host-pid".
    return Number(readlinkSync(path.join(profile, 'SingletonLock')).split('-').pop());
  } catch {
    return null;
  }
}
