/** Read with a film of so many snaps of one team: a choice of filter to the board on the screen, and the first view. */
import { randomUUID } from 'node:crypto';
import { chromium, type Page } from '@playwright/test';
import { simulateSeason, NEXT_OPPONENT } from '../demo/league';
import { Game, Member, Program, Season } from '../store/entities';
import { insertSnaps } from '../store/import-snaps';
import { openEm } from '../store/orm';
import { CHROMIUM } from './browser';
import { firstView, SCREENS } from './first-view';
import { ticks } from './machine';
import type { Row } from './run';
import { withStage } from './stage';

/** More games of the next opponent than a staff has: `snaps` of them, under keys of their own. */
export async function fillFilm(snaps: number): Promise<void> {
  const em = await openEm();
  const program = await em.findOneOrFail(Program, { demo: true });
  const season = await em.findOneOrFail(Season, { program: program.id });
  const member = await em.findOneOrFail(Member, { program: program.id });
  let had = 0;
  for (let seed = 1; had < snaps; seed++)
    for (const game of simulateSeason(seed, { tells: true })) {
      if (had >= snaps || (game.home !== NEXT_OPPONENT && game.away !== NEXT_OPPONENT)) continue;
      had += game.snaps.length;
      const [id, key] = [randomUUID(), `${game.key}-${seed}`];
      await em.transactional(async (tx) => {
        tx.create(Game, {
          id,
          program: program.id,
          season: season.id,
          key,
          date: game.date,
          week: game.week,
          home: game.home,
          away: game.away,
          level: 'college',
          phase: 'regular',
          surface: null,
          weather: null,
          wind: null,
          source: 'simulated',
          angle: 'sideline',
          purpose: null,
          closed: false,
        });
        await tx.flush();
        await insertSnaps(
          tx,
          { programId: program.id, memberId: member.id, name: member.name, roles: ['charter'] },
          new Map([[key, id]]),
          game.snaps.map((s) => ({ ...s, game: key, snapId: `${seed}-${s.snapId}` })),
          new Date(),
        );
      });
    }
}

/** From the event that chooses to the frame in which the board stands. */
async function timed(page: Page, what: 'click' | 'change', choose: () => Promise<unknown>): Promise<number> {
  await page.evaluate((event) => {
    const w = window as unknown as { took: Promise<number> };
    w.took = new Promise((done) => {
      window.addEventListener(
        event,
        () => {
          const began = performance.now();
          new MutationObserver((_, observer) => {
            observer.disconnect();
            // The frame that draws it, and the task after it.
            requestAnimationFrame(() => {
              const { port1, port2 } = new MessageChannel();
              port1.onmessage = () => done(performance.now() - began);
              port2.postMessage(null);
            });
          }).observe(document.querySelector('main')!, {
            subtree: true,
            childList: true,
            characterData: true,
            attributes: true,
          });
        },
        { capture: true, once: true },
      );
    });
  }, what);
  await choose();
  return page.evaluate(() => (window as unknown as { took: Promise<number> }).took);
}

const WORDS = ['11', '12'];

/** No hand chooses again sooner; by then the cards below the board stand as well. */
const HAND_MS = 300;

/** Choices in which a visit's code may still be compiled. */
const FIRST = 10;

/** A time, and whether the host took a processor away meanwhile: then it is the neighbors' time too. */
interface Taken {
  readonly ms: number;
  readonly whole: boolean;
}
async function taken(work: () => Promise<number>): Promise<Taken> {
  const before = ticks().stolen;
  const ms = await work();
  return { ms, whole: ticks().stolen === before };
}

export const readRows = (snaps: number, rounds: number): Promise<Row[]> =>
  withStage({ cluster: 'e2e', members: 0, fill: () => fillFilm(snaps) }, async ({ base }) => {
    const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: CHROMIUM });
    try {
      const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
      await page.goto(`${base}/sign-in`);
      await page.getByRole('button', { name: /Okafor/ }).click();
      await page.getByRole('heading', { name: 'What is next' }).waitFor();
      await page.goto(`${base}/read`);
      await page.locator('[aria-label="Boards"] table').waitFor({ timeout: 60_000 });
      // What is measured beside the page stands before anybody chooses.
      await page.locator('main [aria-busy="true"]').first().waitFor({ state: 'detached', timeout: 60_000 });
      await page.waitForLoadState('networkidle');
      const filters: Taken[] = [];
      const boards: number[] = [];
      const bar = page.getByRole('toolbar', { name: 'Filters' });
      const choice = page.getByLabel('board', { exact: true });
      const options = await choice
        .locator('option')
        .evaluateAll((all) => all.map((o) => (o as HTMLOptionElement).value));
      for (let round = 0; round < rounds; round++) {
        for (const word of WORDS) {
          await bar.getByRole('button', { name: 'add a filter' }).click();
          await page.getByRole('menuitem', { name: 'personnel', exact: true }).click();
          const item = page.getByRole('menuitem', { name: new RegExp(`^${word}`) });
          await page.waitForTimeout(HAND_MS);
          filters.push(await taken(() => timed(page, 'click', () => item.click())));
          await page.waitForTimeout(HAND_MS);
          const away = page.getByRole('button', { name: /^take the filter/ });
          filters.push(await taken(() => timed(page, 'click', () => away.click())));
        }
        const to = options[(round * 7 + 1) % options.length]!;
        await page.waitForTimeout(HAND_MS);
        boards.push(await timed(page, 'change', () => choice.selectOption(to)));
      }
      const cookies = await page.context().cookies();
      const visits = new Map<string, number[]>(['Read', 'Read, alive'].map((name) => [name, []]));
      for (let i = 0; i < 5; i++)
        for (const [name, times] of visits)
          times.push(
            (
              await firstView(
                browser,
                base,
                SCREENS.find((s) => s.name === name)!,
                cookies,
              )
            ).ms,
          );
      const whole = filters.filter((f) => f.whole);
      const filterRow = (of: readonly Taken[], note: string): Row => ({
        what: `filter chosen or taken away to board on screen, ${snaps} snaps`,
        n: of.length,
        unit: 'ms',
        times: of.map((f) => f.ms),
        note,
      });
      return [
        filterRow(filters.slice(0, FIRST), 'the first of a visit'),
        filterRow(filters, `${filters.length - whole.length} while the host took a processor away`),
        ...(whole.length > 0 ? [filterRow(whole, 'both processors ours')] : []),
        {
          what: `board chosen to board on screen, ${snaps} snaps`,
          n: boards.length,
          unit: 'ms',
          times: boards,
          note: '',
        },
        ...[...visits].map(([name, times]) => ({
          what: `first view of ${name}, ${snaps} snaps`,
          n: times.length,
          unit: 'ms' as const,
          times,
          note: 'an empty browser',
        })),
      ];
    } finally {
      await browser.close();
    }
  });
