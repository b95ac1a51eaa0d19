/** Plan with 400 plays, a film of 5 000 snaps and a sheet of 200 calls: the first ranking, another section, a drag. */
import { randomUUID } from 'node:crypto';
import { chromium, type Page } from '@playwright/test';
import { NO_NOTES } from '../core/plan/call-notes';
import { SECTIONS } from '../core/plan/sections';
import { NEXT_OPPONENT } from '../demo/league';
import { CallRow, CallSheet, PlayRow } from '../store/entities-football';
import { Program } from '../store/entities';
import { openEm } from '../store/orm';
import { RANKING } from '../core/plan/argue-request';
import { CHROMIUM } from './browser';
import { fillFilm } from './read';
import type { Row } from './run';
import { withStage } from './stage';

export const MANY_PLAYS = 400;
const MANY_CALLS = 200;
const SHEET = 'bench-sheet';

/** Plays of the demo from formations of each other, until there are as many; and a sheet that holds calls of them. */
async function fillPlan(): Promise<void> {
  await fillFilm(5000);
  const em = await openEm();
  const program = await em.findOneOrFail(Program, { demo: true });
  const plays = await em.find(PlayRow, { program: program.id }, { orderBy: { key: 'asc' } });
  const all = [...plays.map((play) => play.id)];
  await em.transactional(async (tx) => {
    for (let i = 0; all.length < MANY_PLAYS; i++) {
      const play = plays[i % plays.length]!;
      const from = plays[(i * 7 + Math.floor(i / plays.length)) % plays.length]!;
      const id = randomUUID();
      all.push(id);
      tx.create(PlayRow, {
        id,
        program: program.id,
        key: `bench-${i}`,
        name: `${play.name} ${i}`,
        kind: play.kind,
        personnel: from.personnel,
        formation: from.formation,
        formationSide: from.formationSide,
        motion: from.motion,
        motionBy: from.motionBy,
        concept: play.concept,
        conceptWeak: play.conceptWeak,
        direction: play.direction,
        backfield: from.backfield,
        links: [],
        provenance: {},
      });
    }
    await tx.flush();
    const sheet = randomUUID();
    tx.create(CallSheet, {
      id: sheet,
      program: program.id,
      key: SHEET,
      name: 'Bench',
      opponent: NEXT_OPPONENT,
      side: 'offense',
      sections: null,
      lockedBy: null,
      createdAt: new Date(0),
      provenance: {},
    });
    await tx.flush();
    for (let i = 0; i < MANY_CALLS; i++)
      tx.create(CallRow, {
        id: randomUUID(),
        program: program.id,
        sheet,
        key: `bench-call-${i}`,
        section: SECTIONS[i % SECTIONS.length]!.key,
        order: i + 1,
        play: all[(i * 3) % all.length]!,
        ...NO_NOTES,
        provenance: {},
      });
  });
}

/** From the choice of a section to the frame in which its plays stand ranked. */
const ranked = (page: Page, section: string): Promise<number> =>
  page.evaluate(async (key) => {
    const select = document.querySelector<HTMLSelectElement>('[aria-label="Suggestions"] select')!;
    const label = select.querySelector(`option[value="${key}"]`)!.textContent;
    const began = performance.now();
    Object.getOwnPropertyDescriptor(HTMLSelectElement.prototype, 'value')!.set!.call(select, key);
    select.dispatchEvent(new Event('change', { bubbles: true }));
    for (;;) {
      await new Promise((next) => requestAnimationFrame(next));
      const card = document.querySelector('[aria-label="Suggestions"]')!;
      if (card.querySelector(`[aria-label="Plays for ${label}"]`) && card.textContent.includes('ranked by'))
        break;
    }
    return performance.now() - began;
  }, section);

export const planRows = (): Promise<Row[]> =>
  withStage({ cluster: 'e2e', members: 0, fill: fillPlan }, async ({ base }) => {
    const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: CHROMIUM });
    try {
      const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
      await page.goto(`${base}/sign-in`);
      await page.getByRole('button', { name: /Okafor/ }).click();
      await page.waitForURL(`${base}/`);
      const first: number[] = [];
      const alone: number[] = [];
      const early: number[] = [];
      const later: number[] = [];
      const others = SECTIONS.filter((s) => s.filter !== null).map((s) => s.key);
      for (let visit = 0; visit < 3; visit++) {
        await page.goto(`${base}/plan/${SHEET}`);
        // The film and its looks first: what is measured is the ranking.
        await page
          .locator('[aria-label="Suggestions"]')
          .getByText(/ranked by/)
          .waitFor({ timeout: 120_000 });
        first.push(await page.evaluate(() => performance.now()));
        alone.push(await page.evaluate((name) => performance.getEntriesByName(name)[0]!.duration, RANKING));
        // Before the others are argued: it waits for the one that is under way.
        early.push(await ranked(page, others.at(-1)!));
        await page.locator('[aria-label="Suggestions"][data-ready="true"]').waitFor({ timeout: 120_000 });
        for (const key of others) later.push(await ranked(page, key));
      }
      const { gaps, long } = await dragged(page);
      const still = await counting(await page.context().newPage());
      const row = (what: string, times: readonly number[], note = ''): Row => ({
        what,
        n: times.length,
        unit: 'ms',
        times,
        note,
      });
      return [
        row(`Plan opened to ranked, ${MANY_PLAYS} plays, 5000 snaps`, first, 'page, film and looks with it'),
        row('of it the first ranking, in the worker', alone, `${MANY_PLAYS} plays`),
        row('another section at once after, to ranked', early, 'the one under way goes first'),
        row('another section later, to ranked', later),
        row(
          `between frames of a drag among ${MANY_CALLS} calls`,
          gaps,
          `${long} tasks over 50 ms in ten seconds`,
        ),
        row(
          `the same on an empty page that counts for ${COUNTS_MS} ms a frame`,
          still.gaps,
          `${still.long} tasks over 50 ms: what the machine adds`,
        ),
      ];
    } finally {
      await browser.close();
    }
  });

interface Seen {
  readonly gaps: number[];
  readonly long: number;
}

/** Ten seconds of a pointer that moves: gaps between frames, ms, and tasks over 50 ms. */
async function watched(page: Page): Promise<Seen> {
  // As text: the loader of the command line would wrap the named function with a helper that the page does not know.
  await page.evaluate(`{
    window.gaps = []; window.long = 0; window.stopped = false;
    new PerformanceObserver((list) => { long += list.getEntries().length; }).observe({ type: 'longtask' });
    let last = performance.now();
    const frame = () => {
      const now = performance.now();
      gaps.push(now - last);
      last = now;
      if (!stopped) requestAnimationFrame(frame);
    };
    requestAnimationFrame(frame);
  }`);
  const until = Date.now() + 10_000;
  for (let i = 0; Date.now() < until; i++)
    await page.mouse.move(620 + 300 * Math.sin(i / 40), 430 + 130 * Math.cos(i / 25));
  return page.evaluate(() => {
    const w = window as unknown as Seen & { stopped: boolean };
    w.stopped = true;
    return { gaps: w.gaps, long: w.long };
  });
}

/** About what a frame of the drag costs. */
const COUNTS_MS = 8;

/** A page of which the cost is known: its long tasks are the machine's. */
async function counting(page: Page): Promise<Seen> {
  await page.evaluate(`{
    // So many steps, not so much time: a processor that is taken away makes it longer.
    const work = (steps) => {
      let sum = 0;
      for (let i = 0; i < steps; i++) sum = (sum + i) % 7919;
      return sum;
    };
    let best = Infinity;
    for (let round = 0; round < 200; round++) {
      const began = performance.now();
      work(1e5);
      best = Math.min(best, performance.now() - began);
    }
    const count = () => {
      work((1e5 * ${COUNTS_MS}) / best);
      requestAnimationFrame(count);
    };
    requestAnimationFrame(count);
  }`);
  const seen = await watched(page);
  await page.close();
  return seen;
}

/** Ten seconds of a play dragged over the sheet. */
async function dragged(page: Page): Promise<Seen> {
  const grip = page.locator('[aria-label="Suggestions"] li strong').first();
  await grip.evaluate((e) => e.scrollIntoView({ block: 'center' }));
  const play = (await grip.boundingBox())!;
  await page.mouse.move(play.x + 10, play.y + 5);
  await page.mouse.down();
  await page.mouse.move(play.x + 40, play.y + 20, { steps: 4 });
  const held = async (): Promise<void> => {
    if ((await page.locator('[aria-label="Suggestions"] li[style*="translate"]').count()) !== 1)
      throw new Error('nothing is dragged: what is measured would be a mouse that passes');
  };
  await held();
  const seen = await watched(page);
  await held();
  await page.keyboard.press('Escape');
  await page.mouse.up();
  return seen;
}
