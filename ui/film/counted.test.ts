/** What is kept of counts is what counting anew gives, and never of other film, rules, words or weights. */
import { describe, expect, it } from 'vitest';
import { DEFAULT_BOOK } from '@/core/book/default-book';
import { LEVEL_PROFILES } from '@/core/field/profile';
import { buildColumns, countGame, DEFAULT_RULES, weightsOf } from '@/core/read';
import { DEMO_SEED, simulateSeason } from '../../demo/league';
import { countedFilm } from './useCounted';

const film = simulateSeason(DEMO_SEED, { tells: true, weeks: 2 })
  .slice(0, 3)
  .map(({ snaps, key, date, week, home, away }) => ({
    info: { key, date, week, home, away, level: 'college', weight: null } as never,
    snaps,
  }));
const of = (games = film, rules = DEFAULT_RULES, weights: ReadonlyMap<string, number> | null = null) =>
  countedFilm(games, LEVEL_PROFILES, DEFAULT_BOOK, rules, weights);

describe('film counted once', () => {
  it('is what counting anew gives', () => {
    const anew = film.flatMap((g) => countGame(g.snaps, LEVEL_PROFILES.college, DEFAULT_BOOK));
    const { snaps, columns } = of();
    expect(snaps.map(({ look: _, ...s }) => s)).toEqual(anew.map(({ look: _, ...s }) => s));
    expect([columns.yards, columns.toGoal]).toEqual([buildColumns(anew).yards, buildColumns(anew).toGoal]);
  });
  it('is the same for the same film, and its games are not counted again for another choice of them', () => {
    const whole = of();
    expect(of([...film])).toBe(whole);
    const two = of(film.slice(0, 2));
    expect(two).not.toBe(whole);
    two.snaps.forEach((snap, i) => expect(snap).toBe(whole.snaps[i]));
    expect(of([]).snaps).toEqual([]);
  });
  it('is counted anew for edited snaps, other rules, and other weights', () => {
    const whole = of();
    const [first, ...others] = film;
    const edited = of([
      { ...first!, snaps: first!.snaps.map((s) => ({ ...s, personnel: '22' })) },
      ...others,
    ]);
    expect(edited.snaps[0]!.snap.personnel).toBe('22');
    expect(of().snaps[0]!.snap.personnel).toBe(whole.snaps[0]!.snap.personnel);
    expect(of(film, { ...DEFAULT_RULES, doubts: 'none' })).not.toBe(whole);
    const weights = weightsOf(
      film.map((g) => g.info),
      1,
    );
    expect(of(film, DEFAULT_RULES, weights).columns.weight).not.toBeNull();
    expect(of().columns.weight).toBeNull();
  });
});
