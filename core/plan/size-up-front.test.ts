import { describe, expect, it } from 'vitest';
import { DEMO_SEED, loggedGames, NEXT_OPPONENT, PROGRAM, rosterOf, simulateSeason } from '../../demo/league';
import { DEFAULT_BOOK } from '../book/default-book';
import { COLLEGE } from '../field';
import { buildColumns, countGame, DEFAULT_RULES, differenceOf, wilson } from '../read';
import {
  heftsOf,
  runsAgainst,
  sizeRate,
  sizeUpFront,
  sizeVerdict,
  sizeWords,
  type TeamHeft,
  type Weighed,
} from './size-up-front';

const man = (
  number: string,
  letters: string,
  weight: number | null,
  depth: number | null = null,
): Weighed => ({
  number,
  letters,
  weight,
  depth,
});

describe('who is meant by the letters of a roster', () => {
  it('a C that is a corner, a T that is a back, an N that is a nickel are not taken for linemen', () => {
    const roster = [
      ...['LT', 'LG', 'RG', 'RT'].map((letters, i) => man(`6${i}`, letters, 300)),
      man('55', 'C', 290),
      man('21', 'C', 182),
      man('22', 'T', 205),
      man('92', 'T', 295),
      man('97', 'N', 305),
      man('5', 'N', 186),
      man('90', 'E', 250),
      man('95', 'E', 246),
      man('81', 'E', 190),
    ];
    const { line, front } = heftsOf('AAA', roster);
    // The defense's T is heavier than the center, and stays with the front.
    expect([...line!.numbers].sort()).toEqual(['55', '60', '61', '62', '63']);
    expect([...front!.numbers].sort()).toEqual(['90', '92', '95', '97']);
    expect([...line!.numbers, ...front!.numbers]).not.toEqual(expect.arrayContaining(['21']));
    for (const light of ['21', '22', '5', '81']) {
      expect(line!.numbers).not.toContain(light);
      expect(front!.numbers).not.toContain(light);
    }
    expect(new Set([...line!.numbers, ...front!.numbers]).size).toBe(
      line!.numbers.length + front!.numbers.length,
    );
  });
  it('starters by depth where it is said; too few, or without weights, are not known', () => {
    const roster = ['LT', 'LG', 'OL', 'RG', 'RT'].flatMap((letters, i) => [
      man(`6${i}`, letters, 280, 1),
      man(`7${i}`, letters, 320, 2),
    ]);
    expect(heftsOf('AAA', roster).line).toEqual({ mean: 280, numbers: ['60', '61', '62', '63', '64'] });
    expect(heftsOf('AAA', roster.slice(0, 3)).line).toBeNull();
    expect(
      heftsOf(
        'AAA',
        roster.map((e) => ({ ...e, weight: null })),
      ).line,
    ).toBeNull();
    expect(heftsOf('AAA', roster).front).toBeNull();
  });
});

describe('what size has cost', () => {
  const games = loggedGames(simulateSeason(DEMO_SEED, { tells: true }));
  const snaps = games.flatMap((g) => countGame(g.logged, COLLEGE, DEFAULT_BOOK, DEFAULT_RULES));
  const columns = buildColumns(snaps, DEFAULT_RULES);
  const teams = [...new Set(games.flatMap((g) => [g.home, g.away]))];
  const hefts = teams.map((team) =>
    heftsOf(
      team,
      rosterOf(team).map((e) => ({ ...e, depth: null })),
    ),
  );
  const of = (weighed: readonly TeamHeft[] = hefts) => sizeUpFront(columns, PROGRAM, NEXT_OPPONENT, weighed)!;
  const weightOf = (team: string): number => hefts.find((h) => h.team === team)!.front!.mean;

  it('our runs against fronts at least as heavy and against lighter ones, by a plain loop; parts sum to all', () => {
    const found = of();
    for (const [is, { rate, teams: named }] of [
      [true, found.asHeavy],
      [false, found.lighter],
    ] as const) {
      const rows = [...snaps.keys()].filter((i) => {
        const { snap } = snaps[i]!;
        return (
          snap.offense === PROGRAM &&
          snap.play === 'run' &&
          !['no_play', 'kneel', 'spike'].includes(snap.result ?? '') &&
          columns.success[i] !== 2 &&
          weightOf(snap.defense!) >= weightOf(NEXT_OPPONENT) === is
        );
      });
      expect([rate.k, rate.n]).toEqual([rows.filter((i) => columns.success[i] === 1).length, rows.length]);
      expect([...runsAgainst(columns, PROGRAM, named)]).toEqual(rows);
      expect(rate.n).toBeGreaterThan(0);
    }
    expect(found.asHeavy.teams).toContain(NEXT_OPPONENT);
    expect(found.unknown).toBe(0);
    const without = of(
      hefts.filter(
        (h) => h.team !== found.lighter.teams.find((t) => runsAgainst(columns, PROGRAM, [t]).length > 0),
      ),
    );
    expect(without.unknown).toBeGreaterThan(0);
    expect(without.asHeavy.rate.n + without.lighter.rate.n + without.unknown).toBeGreaterThanOrEqual(
      found.asHeavy.rate.n + found.lighter.rate.n,
    );
  });
  it('says a cost only where the interval of the difference lies below zero', () => {
    const with_ = (asHeavy: readonly [number, number], lighter: readonly [number, number]) => ({
      ...of(),
      asHeavy: { teams: ['A'], rate: wilson(...asHeavy) },
      lighter: { teams: ['B'], rate: wilson(...lighter) },
    });
    expect(differenceOf(wilson(10, 50), wilson(40, 60))!.high).toBeLessThan(0);
    expect(sizeVerdict(with_([10, 50], [40, 60]))).toMatch(
      /^Size has cost us \(−\d+ to −\d+ points apart\): a day inside the first interval is no alarm/,
    );
    expect(sizeVerdict(with_([25, 50], [30, 60]))).toMatch(
      /^No cost of size can be told \(−\d+ to \+\d+ points apart\)/,
    );
    expect(sizeVerdict(with_([0, 0], [30, 60]))).toMatch(/^Only one kind of front/);
  });
  it('names the men it took and which way the difference lies; of an unknown front nothing', () => {
    const found = of();
    const words = sizeWords(found);
    for (const n of [...found.line.numbers, ...found.front.numbers]) expect(words).toContain(`#${n}`);
    expect(words).toContain(found.gap < 0 ? 'lighter' : 'heavier');
    expect(sizeRate(found.asHeavy)).toMatch(/^\d+ of \d+ runs successful \(\d+–\d+ %\)$/);
    expect(sizeUpFront(columns, PROGRAM, 'NOBODY', hefts)).toBeNull();
  });
});
