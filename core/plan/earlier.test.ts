import { expect, it } from 'vitest';
import { DEMO_SEED, PROGRAM, simulateSeason } from '../../demo/league';
import { COLLEGE } from '../field';
import { buildColumns, countGame, isTendency } from '../read';
import { earlierRows, worked, type EarlierSheet } from './earlier';
import { playsOfFilm } from './play-list';
import { SECTIONS } from './sections';
import { NO_NOTES, type SheetCall } from './sheet';

const games = simulateSeason(DEMO_SEED, { tells: true, weeks: 6 });
const counted = games.flatMap((g) => countGame(g.snaps, COLLEGE));
const columns = buildColumns(counted);
const plays = playsOfFilm(counted, PROGRAM);
const game = games.find((g) => g.home === PROGRAM || g.away === PROGRAM)!;
const opponent = game.home === PROGRAM ? game.away : game.home;
const sheet = (calls: readonly (readonly [section: string, play: string])[]): EarlierSheet => ({
  key: 'old',
  name: 'Week 1',
  opponent,
  sections: SECTIONS,
  calls: calls.map(([section, play]) => ({ section, label: section, play, notes: NO_NOTES })),
});
const none: readonly SheetCall[] = [];
const here = { plays, calls: none, sections: SECTIONS };

it('each call with the success of its play in the games against that opponent, by a plain loop', () => {
  const rows = earlierRows(sheet(plays.map((p) => ['first', p.id])), columns, PROGRAM, here);
  expect(rows).toHaveLength(plays.length);
  for (const { play, rate, rows: at } of rows) {
    let [k, n] = [0, 0];
    counted.forEach((c, i) => {
      const { snap } = c;
      const success = columns.success[i]!;
      if (snap.offense !== PROGRAM || snap.defense !== opponent || !isTendency(c)) return;
      if (snap.concept !== play.concept || snap.play !== play.kind || success === 2) return;
      const to = snap.direction;
      if (play.direction !== null && (to === 'L' || to === 'R') && to !== play.direction) return;
      n++;
      k += success;
    });
    expect([rate.k, rate.n, at.length], play.name).toEqual([k, n, n]);
  }
  expect(rows.some((r) => r.rate.n > 0)).toBe(true);
  expect(worked(rows).map((r) => r.play.id)).toEqual(
    rows.filter((r) => r.rate.n > 0 && r.rate.k / r.rate.n >= 0.5).map((r) => r.play.id),
  );
});

it('what stands here already, has no section here or no play any more is not taken over', () => {
  const [a, b] = plays;
  const stands: SheetCall = { id: 'c', section: 'first', order: 0, play: a!, ...NO_NOTES };
  const old = sheet([
    ['first', a!.id],
    ['goal', a!.id],
    ['gone', b!.id],
    ['first', 'no play'],
  ]);
  const rows = earlierRows(old, columns, PROGRAM, { ...here, calls: [stands] });
  expect(rows.map((r) => r.not)).toEqual(['stands here', null, 'no such section here']);
  expect(worked(rows).every((r) => r.not === null)).toBe(true);
});
