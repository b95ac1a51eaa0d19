/** Two parts of the film side by side: the parts are plain splits, each rate a plain count, the interval Newcombe's. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { withoutTheirMan } from '../../demo/charting';
import { DEMO_SEED, simulateSeason } from '../../demo/league';
import { DEFAULT_BOOK } from '../book/default-book';
import type { Snap } from '../snap';
import { COLLEGE, DEFAULT_ZONES } from '../field';
import {
  BOARDS,
  buildColumns,
  compareBoard,
  compareReel,
  CONTRASTS,
  countGame,
  differenceOf,
  IN_GAME,
  isApart,
  OUT_OF_GAME,
  ofKicks,
  partsOf,
  select,
  sideField,
  wilson,
  yardsOf,
  contrastsOf,
  contrastWords,
  nothingWords,
  readContrast,
  type BallSide,
  type Contrast,
  type CountedSnap,
} from './index';

const games = simulateSeason(DEMO_SEED, { tells: true, weeks: 6 });
const teams = [...new Set(games.map((g) => g.home))];
const [team, own] = [teams[0]!, teams[1]!];
const theirs = games.filter((g) => g.home === team || g.away === team);
/** Of a team's games one lost its back at half-time, one its middle backer, one never names the back. */
const [BACK_HURT, BACKER_HURT, NEVER] = [0, 1, 2];
const filmOf = (snaps: readonly Snap[], at: number): readonly Snap[] =>
  at === BACK_HURT
    ? withoutTheirMan(snaps, team, 'offense')
    : at === BACKER_HURT
      ? withoutTheirMan(snaps, team, 'defense')
      : at === NEVER
        ? snaps.map((s) => ({
            ...s,
            carrier: s.carrier === '22' ? '28' : s.carrier,
            target: s.target === '22' ? '28' : s.target,
          }))
        : snaps;
const counted = theirs.flatMap((g, at) => countGame(filmOf(g.snaps, at), COLLEGE, DEFAULT_BOOK));
const columns = buildColumns(counted);
const order = theirs.map((g) => g.snaps[0]!.game);

/** Which part a snap belongs to, said a second way. */
const PLAIN: Readonly<Record<string, (c: CountedSnap) => 'a' | 'b' | null>> = {
  half: ({ snap: { quarter } }) => (quarter === null || quarter > 4 ? null : quarter > 2 ? 'a' : 'b'),
  last: ({ snap }) => (snap.game === order[order.length - 1] ? 'a' : 'b'),
  last3: ({ snap }) => (order.slice(-3).includes(snap.game) ? 'a' : 'b'),
  score: ({ snap: { pointsFor: f, pointsAgainst: g } }) =>
    f === null || g === null || f === g ? null : f < g ? 'a' : 'b',
  us: ({ snap }) => (snap.offense === own || snap.defense === own ? 'a' : 'b'),
  // He carries or catches in every game but the one.
  'in:22': ({ snap }) => (snap.game === order[NEVER] ? null : hurt(snap, BACK_HURT) ? 'b' : 'a'),
  'in:54': ({ snap }) => (hurt(snap, BACKER_HURT) ? 'b' : 'a'),
};
const hurt = (snap: Snap, at: number): boolean =>
  snap.game === order[at] && (snap.quarter ?? 1) > 2 && snap.unit === 'scrimmage';
const EVERY: readonly Contrast[] = [...CONTRASTS, 'in:22', 'in:54'];
/** Numbers play on one side. */
const sidesOf = (contrast: Contrast): readonly BallSide[] =>
  contrast === 'in:22' ? ['offense'] : contrast === 'in:54' ? ['defense'] : ['offense', 'defense'];

describe.each(EVERY)('%s', (contrast) => {
  it.each(sidesOf(contrast))('splits the %s as a plain reading of the snaps does', (side) => {
    const rows = select(columns, { [side]: [team] });
    const parts = partsOf(columns, rows, contrast, own, side);
    const mine = [...rows];
    for (const part of ['a', 'b'] as const)
      expect([...parts[part]]).toEqual(mine.filter((i) => PLAIN[contrast]!(counted[i]!) === part));
    expect(parts.a.length + parts.b.length + parts.neither).toBe(rows.length);
  });
});

it('every rate of every board is counted in its part, and its difference has Newcombe’s interval', () => {
  fc.assert(
    fc.property(fc.constantFrom(...BOARDS), fc.constantFrom(...EVERY), (spec, contrast) => {
      const which = ofKicks(spec.side) ? 'kicks' : 'counts';
      const rows = select(columns, { [sideField(spec.side)]: [team] }, {}, null, which);
      const parts = partsOf(columns, rows, contrast, own, sideField(spec.side));
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

describe('a number in against out', () => {
  const offense = select(columns, { offense: [team] });

  it('is offered where a snap says that he is out, the one out most first; else how to say it', () => {
    const out = offense.filter((r) => counted[r]!.snap.missing.includes('22'));
    expect(out.length).toBeGreaterThan(10);
    expect(columns.presence.out('offense', offense)).toEqual([{ number: '22', n: out.length }]);
    expect(contrastsOf(columns, offense, 'offense', null)).toEqual([...CONTRASTS, 'in:22']);
    expect(contrastsOf(columns, offense, 'defense', null)).toEqual([...CONTRASTS, 'in:']);
    // A link keeps what it asks for.
    expect(contrastsOf(columns, offense, 'offense', 'in:3')).toEqual([...CONTRASTS, 'in:22', 'in:3']);
    expect(contrastWords('in:22')).toBe('number 22 in against out');
  });

  it('does not take a man who is typed as out once, and never seen, for one who was in', () => {
    const film = filmOf(theirs[NEVER]!.snaps, NEVER);
    const at = film.findIndex((s) => s.offense === team && s.unit === 'scrimmage');
    const once = film.map((s, i) => (i === at ? { ...s, missing: ['22'] } : s));
    const said = buildColumns(countGame(once, COLLEGE, DEFAULT_BOOK)).presence.of('offense', '22');
    const mine = [...said].filter((_, i) => once[i]!.offense === team);
    expect(mine.filter((x) => x === OUT_OF_GAME)).toHaveLength(1);
    expect(mine).not.toContain(IN_GAME);
  });

  it('says what is missing and where to type it', () => {
    const wordsOf = (contrast: Contrast, side: BallSide): string =>
      nothingWords(partsOf(columns, offense, contrast, own, side), contrast, side);
    expect(wordsOf('in:', 'defense')).toContain('dmissing=22');
    // The passer is named and never out; nobody wears 99.
    expect(wordsOf('in:7', 'offense')).toContain('Type missing=7 on the snaps');
    expect(wordsOf('in:99', 'offense')).toContain('no snap here with 99 in');
    expect(wordsOf('us', 'offense')).toContain('choose a team that has played both');
  });

  it('addresses name one of them or none', () => {
    expect(['half', 'in:22', 'in:', 'in:222', 'in:a', 'out:22', null].map(readContrast)).toEqual([
      'half',
      'in:22',
      'in:',
      null,
      null,
      null,
      null,
    ]);
  });
});
