import { expect, it } from 'vitest';
import { DEMO_SEED, simulateSeason } from '../../demo/league';
import { DEFAULT_BOOK } from '../book/default-book';
import { COLLEGE } from '../field';
import { buildColumns, countGame, preparation, select, varietyOf, varietyReel } from './index';

const games = simulateSeason(DEMO_SEED, { tells: true, weeks: 3 });
const team = games[0]!.home;
const snaps = games.flatMap((g) => countGame(g.snaps, COLLEGE, DEFAULT_BOOK));
const columns = buildColumns(snaps);
const rows = select(columns, { offense: [team] });

it('looks are counted as a plain set counts them, and those seen once are single', () => {
  const seen = new Map<string, number[]>();
  for (const row of rows) {
    const { formation, backfield, motion } = snaps[row]!.snap;
    if (!formation || formation === '-' || formation === '?') continue;
    const key = [formation, backfield, motion].join('|');
    seen.set(key, [...(seen.get(key) ?? []), row]);
  }
  const variety = varietyOf(columns, rows);
  expect(variety.looks).toBe(seen.size);
  expect([...variety.once]).toEqual(
    [...seen.values()]
      .filter((l) => l.length === 1)
      .flat()
      .sort((a, b) => a - b),
  );
  expect(variety.games).toBe(new Set([...rows].map((r) => snaps[r]!.snap.game)).size);
  expect(varietyReel('y/once', columns, rows).rows).toEqual(variety.once);
});

it('34 looks at 40 minutes for 12 are 113 minutes', () => {
  expect(Math.round(preparation(34, 40, 12))).toBe(113);
  expect(preparation(34, 40, 0)).toBe(0);
});
