import { expect, it } from 'vitest';
import { DEFAULT_BOOK } from '../book/default-book';
import { DEMO_SEED, NEXT_OPPONENT, simulateSeason } from '../../demo/league';
import { COLLEGE } from '../field';
import { buildColumns, countGame } from '../read';
import { uniform } from '../stats/uniform';
import { argue, filmsOf } from './argue';
import { against, mixGame, mixWorth } from './call-mix';
import { aPlay } from './plays.fixture';
import { SECTIONS } from './sections';

const columns = buildColumns(
  simulateSeason(DEMO_SEED, { tells: true, weeks: 6 }).flatMap((g) =>
    countGame(g.snaps, COLLEGE, DEFAULT_BOOK),
  ),
);
const section = SECTIONS.find((s) => s.key === 'third-long')!;
const films = filmsOf(columns, 'HER', NEXT_OPPONENT, section);
const stick = aPlay('s', 'stick', { kind: 'pass' });
const mesh = aPlay('m', 'mesh', { kind: 'pass' });
const none = aPlay('n', 'nobody ran it', { kind: 'pass' });

it('a call on the sheet twice is called twice as often; one without film is left out and named', () => {
  const game = mixGame(films, [stick, mesh, stick, none]);
  expect(game.calls.map((c) => [c.play.id, c.share])).toEqual([
    ['s', 2 / 3],
    ['m', 1 / 3],
  ]);
  expect(game.without).toEqual([none]);
  expect(game.looks.reduce((sum, l) => sum + l.share, 0)).toBeCloseTo(1, 12);
});

it('says of a pass and a look what the argument says of them', () => {
  const game = mixGame(films, [stick]);
  const argued = argue(stick, null, films, (s) => uniform(1 + s))!;
  for (const look of argued.looks) {
    const j = game.looks.findIndex((l) => l.key === look.look);
    expect(game.payoff[0]![j]).toBeCloseTo(look.success, 12);
    expect(game.looks[j]!.share).toBeCloseTo(look.share, 12);
    expect([game.evidence[0]!.good[j], game.evidence[0]!.met[j]]).toEqual([look.k, look.ours]);
  }
});

it('what a mix is worth: the least of its looks, and the mean over what they show, by plain loops', () => {
  const game = mixGame(films, [stick, mesh]);
  const worth = mixWorth(game, [1, 0], uniform(1));
  const rows = game.payoff;
  let least = 1;
  let shown = 0;
  for (const [j, look] of game.looks.entries()) {
    const s = 0.5 * rows[0]![j]! + 0.5 * rows[1]![j]!;
    least = Math.min(least, s);
    shown += s * look.share;
  }
  expect(worth.ours).toBeCloseTo(least, 12);
  expect(worth.oursShown).toBeCloseTo(shown, 12);
  expect(worth.safe).toBeCloseTo(Math.min(...rows[0]!), 12);
  expect(worth.low).toBeLessThanOrEqual(worth.high);
  expect(against(rows, [0, 1])).toEqual(rows[1]);
  // The same seed, the same interval; a mix against itself is worth nothing more.
  expect(mixWorth(game, [1, 0], uniform(1))).toEqual(worth);
  expect(mixWorth(game, [0.5, 0.5], uniform(1))).toMatchObject({ gain: 0, low: 0, high: 0 });
});
