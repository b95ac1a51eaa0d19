/** Two parts of the film side by side: the parts are plain splits, each rate a plain count, the interval Newcombe's. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DEMO_SEED, simulateSeason } from '../../demo/league';
import { DEFAULT_BOOK } from '../book/default-book';
import { COLLEGE, DEFAULT_ZONES } from '../field';
import {
  BOARDS,
  buildColumns,
  compareBoard,
  compareReel,
  CONTRASTS,
  countGame,
  differenceOf,
  isApart,
  ofKicks,
  partsOf,
  select,
  sideField,
  wilson,
  yardsOf,
  type Contrast,
  type CountedSnap,
} from './index';

const games = simulateSeason(DEMO_SEED, { tells: true, weeks: 6 });
const teams = [...new Set(games.map((g) => g.home))];
const [team, own] = [teams[0]!, teams[1]!];
const theirs = games.filter((g) => g.home === team || g.away === team);
const counted = theirs.flatMap((g) => countGame(g.snaps, COLLEGE, DEFAULT_BOOK));
const columns = buildColumns(counted);
const order = theirs.map((g) => g.snaps[0]!.game);

/** Which part a snap belongs to, said a second way. */
const PLAIN: Readonly<Record<Contrast, (c: CountedSnap) => 'a' | 'b' | null>> = {
  half: ({ snap: { quarter } }) => (quarter === null || quarter > 4 ? null : quarter > 2 ? 'a' : 'b'),
  last: ({ snap }) => (snap.game === order[order.length - 1] ? 'a' : 'b'),
  last3: ({ snap }) => (order.slice(-3).includes(snap.game) ? 'a' : 'b'),
  score: ({ snap: { pointsFor: f, pointsAgainst: g } }) =>
    f === null || g === null || f === g ? null : f < g ? 'a' : 'b',
  us: ({ snap }) => (snap.offense === own || snap.defense === own ? 'a' : 'b'),
};

describe.each(CONTRASTS)('%s', (contrast) => {
  it.each(['offense', 'defense'] as const)('splits the %s as a plain reading of the snaps does', (side) => {
    const rows = select(columns, { [side]: [team] });
    const parts = partsOf(columns, rows, contrast, own);
    const mine = [...rows];
    for (const part of ['a', 'b'] as const)
      expect([...parts[part]]).toEqual(mine.filter((i) => PLAIN[contrast](counted[i]!) === part));
    expect(parts.a.length + parts.b.length + parts.neither).toBe(rows.length);
  });
});

it('every rate of every board is counted in its part, and its difference has Newcombe’s interval', () => {
  fc.assert(
    fc.property(fc.constantFrom(...BOARDS), fc.constantFrom(...CONTRASTS), (spec, contrast) => {
      const which = ofKicks(spec.side) ? 'kicks' : 'counts';
      const rows = select(columns, { [sideField(spec.side)]: [team] }, {}, null, which);
      const parts = partsOf(columns, rows, contrast, own);
      const made = compareBoard(columns, parts, spec, DEFAULT_ZONES);
      expect(made.rows.reduce((n, r) => n + r.a.length, 0)).toBe(made.all.a.length);
      expect(made.rows.reduce((n, r) => n + r.b.length, 0)).toBe(made.all.b.length);
      let apart = 0;
      for (const row of [...made.rows, made.all])
        for (const { key } of made.averaged) {
          if (key !== 'yards') continue;
          for (const [at, part] of (['a', 'b'] as const).entries()) {
            const yards = [...row[part]].flatMap((r) => yardsOf(counted[r]!.snap) ?? []);
            const { mean, n } = row.means[key]![at]!;
            expect(n).toBe(yards.length);
            expect(mean ?? 0).toBeCloseTo(yards.reduce((x, y) => x + y, 0) / Math.max(1, n), 10);
          }
        }
      for (const row of made.rows)
        for (const { key } of made.measured) {
          const { a, b, difference } = row.cells[key]!;
          expect(a).toEqual(wilson(a.k, a.n));
          expect(difference).toEqual(differenceOf(a, b));
          if (isApart(row.cells[key]!)) {
            apart++;
            expect(Math.min(a.n, b.n)).toBeGreaterThanOrEqual(4);
          }
          for (const part of ['a', 'b'] as const) {
            const name = `c/${contrast}/${spec.id}/${row.key}/${key}/${part}`;
            const reel = compareReel(name, columns, rows, own, BOARDS, DEFAULT_ZONES);
            expect(reel.rows.length).toBe(row.cells[key]![part].k);
            expect([...reel.rows].every((r) => parts[part].includes(r))).toBe(true);
          }
        }
      expect(apart).toBe(made.apart);
    }),
    { numRuns: 12, seed: 3 },
  );
});

it('of two halves of nothing that differs, about one interval in twenty leaves zero out', () => {
  // Snaps dealt in two by a fixed shuffle: what is apart is luck.
  let [looked, apart] = [0, 0];
  const rows = select(columns, { offense: [team] });
  for (let seed = 1; seed <= 40; seed++) {
    const side = (r: number): boolean => Math.imul(r + 1, 2654435761 * seed) >>> 31 === 0;
    const parts = {
      words: ['a', 'b'] as const,
      a: rows.filter(side),
      b: rows.filter((r) => !side(r)),
      neither: 0,
    };
    const made = compareBoard(
      columns,
      parts,
      BOARDS.find((x) => x.id === 'personnel')!,
      DEFAULT_ZONES,
    );
    looked += made.looked;
    apart += made.apart;
  }
  expect(looked).toBeGreaterThan(300);
  expect(apart / looked).toBeGreaterThan(0.005);
  expect(apart / looked).toBeLessThan(0.09);
});

it('a name that is none opens nothing', () => {
  const rows = select(columns, { offense: [team] });
  for (const name of [
    'c',
    'c/half',
    'c/half/personnel/never/n/a',
    'c/half/personnel/all/n/x',
    'c/wind/personnel/all/n/a',
  ])
    expect(compareReel(name, columns, rows, own, BOARDS, DEFAULT_ZONES).rows.length).toBe(0);
});
