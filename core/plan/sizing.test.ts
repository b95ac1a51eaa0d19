import { describe, expect, it } from 'vitest';
import { DEMO_SEED, simulateSeason } from '../../demo/league';
import { COLLEGE } from '../field';
import { buildColumns, countGame } from '../read';
import { askedWords, CATALOG, filmOfBoth, sectionsAsOn, SECTIONS } from './sections';
import { sizeOf, sizeSection, TIMES_A_CALL } from './sizing';

describe('how often a section comes up', () => {
  it('lies halfway between both films, with the interval worked out by hand', () => {
    // Means 6 and 4, variances 4 and 1 of four games each: error √(4/4/4 + 1/4/4) = √0.3125 = 0.5590;
    // freedom (0.25 + 0.0625)² / ((0.25² + 0.0625²) / 3) = 4.41, so t of 4 = 2.776; half 1.552.
    // One game: √(0.3125 + 2.5) = 1.677, half 4.6555.
    const ours = [6 - Math.sqrt(6), 6, 6, 6 + Math.sqrt(6)];
    const theirs = [4 - Math.sqrt(1.5), 4, 4, 4 + Math.sqrt(1.5)];
    const size = sizeOf(ours, theirs)!;
    expect(size.expected.mean).toBeCloseTo(5, 9);
    expect(size.expected.n).toBe(8);
    expect(size.expected.low).toBeCloseTo(3.448, 3);
    expect(size.expected.high).toBeCloseTo(6.552, 3);
    expect(size.oneGame!.low).toBeCloseTo(0.3445, 4);
    expect(size.oneGame!.high).toBeCloseTo(9.6555, 4);
    expect(size.suggested).toBe(3);
  });
  it('with like films has all their freedom (Satterthwaite 1946: equal variances and sizes give 2 (n − 1))', () => {
    const film = [3, 5, 7, 9, 11];
    const { expected } = sizeOf(film, film)!;
    // Variance 10 of five games: error √(10/5/4 + 10/5/4) = 1; t of 8 = 2.306.
    expect(expected.high! - expected.mean).toBeCloseTo(2.306, 3);
  });
  it('one film stands for itself; one game has no interval; none is null; no count is below 0', () => {
    expect(sizeOf([2, 4], [])).toMatchObject({ expected: { mean: 3, n: 2 }, theirs: null });
    expect(sizeOf([2, 4], [9])).toMatchObject({ expected: { mean: 6, low: null }, oneGame: null });
    expect(sizeOf([], [])).toBeNull();
    expect(sizeOf([0, 0, 5], [0, 1, 0])!.expected.low).toBe(0);
    expect(sizeOf([0, 0], [0, 0])).toMatchObject({ expected: { mean: 0, low: 0, high: 0 }, suggested: 1 });
  });
  it('counts both films as a plain loop over their snaps does', () => {
    const games = simulateSeason(DEMO_SEED, { tells: true, weeks: 4 });
    const counted = games.flatMap((g) => countGame(g.snaps, COLLEGE));
    const columns = buildColumns(counted);
    const [us, them] = [games[0]!.home, games[1]!.home];
    for (const section of SECTIONS) {
      const { bucket, opening, ...others } = section.filter!;
      expect(others).toEqual({});
      const { toGoal } = section.ranges;
      const of = (side: 'offense' | 'defense', team: string): number[] => {
        const mine = counted.filter((c) => c.snap[side] === team);
        return [...new Set(mine.map((c) => c.snap.game))].map(
          (game) =>
            mine.filter(
              (c) =>
                c.snap.game === game &&
                ['run', 'pass', 'rpo'].includes(c.snap.play!) &&
                c.snap.result !== 'no_play' &&
                (bucket === undefined || bucket.includes(c.bucket!)) &&
                (opening === undefined || opening.includes(c.opening!)) &&
                (toGoal === undefined || (c.snap.toGoal! >= toGoal.from && c.snap.toGoal! <= toGoal.to)),
            ).length,
        );
      };
      const plain = [of('offense', us), of('defense', them)];
      const size = sizeSection(columns, us, them, section)!;
      const mean = (counts: number[]): number => counts.reduce((a, b) => a + b, 0) / counts.length;
      expect(size.ours!.mean).toBeCloseTo(mean(plain[0]!), 9);
      expect(size.theirs!.mean).toBeCloseTo(mean(plain[1]!), 9);
      expect(size.expected.mean).toBeCloseTo((mean(plain[0]!) + mean(plain[1]!)) / 2, 9);
      expect(size.suggested * TIMES_A_CALL).toBeGreaterThanOrEqual(size.expected.mean);
    }
  });
});

describe('sections of a staff', () => {
  it('are counted on our offense and on offenses against them, a game between the two once', () => {
    const games = simulateSeason(DEMO_SEED, { tells: true, weeks: 4 });
    const counted = games.flatMap((g) => countGame(g.snaps, COLLEGE));
    const columns = buildColumns(counted);
    const { home, away } = games[0]!;
    const rows = filmOfBoth(
      columns,
      home,
      away,
      { personnel: ['11'], hash: ['L', 'R'] },
      { toGoal: { from: 10, to: 60 } },
    );
    const plain = counted.flatMap(({ snap }, i) =>
      (snap.offense === home || snap.defense === away) &&
      ['run', 'pass', 'rpo'].includes(snap.play!) &&
      snap.result !== 'no_play' &&
      snap.personnel === '11' &&
      snap.hash !== 'M' &&
      snap.toGoal! >= 10 &&
      snap.toGoal! <= 60
        ? [i]
        : [],
    );
    expect(plain.length).toBeGreaterThan(20);
    expect([...rows].sort((a, b) => a - b)).toEqual(plain);
  });
  it('say what success takes, in whole yards', () => {
    expect(askedWords(Float64Array.of(4, 4, 4, 4))).toBe('success takes 4 yards (4 snaps)');
    // Quartiles 2.8, 7, 11: a gain of 2 is not enough where 2.8 are asked.
    expect(askedWords(Float64Array.of(1, 2.8, 7, 11, 20))).toBe(
      'success takes 7 yards (3 to 11 on the middle half of 5 snaps)',
    );
    expect(askedWords(Float64Array.of(1))).toBe('success takes 1 yard (1 snap)');
    expect(askedWords(new Float64Array(0))).toBeNull();
  });
  it('as on another sheet keep what holds calls here', () => {
    const [a, b, c, d] = CATALOG;
    const keys = sectionsAsOn([b!, c!], [a!, b!, d!], (key) => (key === d!.key ? 2 : 0)).map((s) => s.key);
    expect(keys).toEqual([b!.key, c!.key, d!.key]);
  });
});
