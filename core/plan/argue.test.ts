import jStat from 'jstat';
import { beforeAll, describe, expect, it } from 'vitest';
import { DEMO_SEED, simulateSeason } from '../../demo/league';
import { DEMO_PLAYS } from '../../demo/plays';
import { DEFAULT_BOOK } from '../book/default-book';
import { COLLEGE } from '../field';
import { buildColumns, countGame, type Columns, type CountedSnap } from '../read';
import { uniform } from '../stats/uniform';
import { argue, arguer, filmsOf, PRIOR_SNAPS, rankArgued, type Argument } from './argue';
import { aPlay } from './plays.fixture';
import { CATALOG, sectionRows, SECTIONS, type SectionSpec } from './sections';
import type { PlayCard } from './sheet';

const [US, THEM] = ['HER', 'STG'];
let counted: CountedSnap[];
let columns: Columns;
beforeAll(() => {
  counted = simulateSeason(DEMO_SEED, { tells: true, weeks: 5 })
    .filter((g) => [g.home, g.away].some((t) => t === US || t === THEM))
    .flatMap((g) => countGame(g.snaps, COLLEGE, DEFAULT_BOOK));
  columns = buildColumns(counted);
});
const films = (section: SectionSpec, of = columns) => filmsOf(of, US, THEM, section);
const PLAYS: readonly PlayCard[] = [
  aPlay('a', 'inside zone'),
  aPlay('b', 'power', { direction: 'R' }),
  aPlay('c', 'stick', { kind: 'pass' }),
  aPlay('d', 'four verticals', { kind: 'pass' }),
];

/** The same sum by plain loops over the snaps. */
function plainly(play: PlayCard, structure: string, section: SectionSpec): number {
  const tendency = counted.filter(
    (c) => ['run', 'pass', 'rpo'].includes(c.snap.play!) && c.snap.result !== 'no_play',
  );
  const look = ({ look, snap }: CountedSnap): string | null => {
    if (play.kind !== 'pass') {
      if (look?.boxCount == null) return null;
      return Number(look.boxCount) < 7 ? 'light' : look.boxCount === '7' ? 'seven' : 'loaded';
    }
    if (look?.middle == null && look?.style !== 'man') return null;
    if (typeof snap.rushers !== 'number') return null;
    const family =
      look.style === 'man' || look.middle === 'none' ? 'man' : look.middle === 'open' ? 'open' : 'closed';
    return `${family}.${snap.rushers >= 5 ? 'five' : 'four'}`;
  };
  const looks =
    play.kind === 'pass'
      ? ['closed', 'open', 'man'].flatMap((f) => [`${f}.four`, `${f}.five`])
      : ['light', 'seven', 'loaded'];
  const n = (of: CountedSnap[], l: string): number => of.filter((c) => look(c) === l).length;
  const known = (of: CountedSnap[]): number => of.filter((c) => look(c) !== null).length;
  const theirs = tendency.filter((c) => c.snap.defense === THEM);
  const isHere = (c: CountedSnap): boolean =>
    Object.entries(section.filter!).every(([field, words]) =>
      words!.includes(String(c[field as 'bucket' | 'opening'])),
    ) &&
    (section.ranges.toGoal === undefined ||
      (c.snap.toGoal! >= section.ranges.toGoal.from && c.snap.toGoal! <= section.ranges.toGoal.to));
  const here = theirs.filter(isHere);
  const shown = here.filter((c) => c.look?.structureSnap === structure);
  const m = PRIOR_SNAPS;
  const P = (l: string): number => {
    const general = (n(theirs, l) + m / looks.length) / (known(theirs) + m);
    const ofSection = (n(here, l) + m * general) / (known(here) + m);
    return (n(shown, l) + m * ofSection) / (known(shown) + m);
  };
  const at = new Map(counted.map((c, i) => [c, i]));
  const good = (of: CountedSnap[]): number => of.filter((c) => columns.success[at.get(c)!] === 1).length;
  const ours0 = tendency.filter((c) => c.snap.offense === US);
  const ours = ours0.filter((c) => columns.success[at.get(c)!] !== 2);
  const kind = ours.filter((c) => c.snap.play === play.kind);
  const run = kind.filter(
    (c) =>
      c.snap.concept === play.concept &&
      (play.direction === null || [play.direction, null].includes(c.snap.direction as 'R' | null)),
  );
  const usual = (good(kind) + 1) / (kind.length + 2);
  const whole = (good(run) + m * usual) / (run.length + m);
  const inHere = (of: CountedSnap[]): CountedSnap[] => of.filter((c) => isHere(c));
  const rate = (of: CountedSnap[], toward: number): number => (good(of) + m * toward) / (of.length + m);
  const odds = (p: number): number => p / (1 - p);
  // What is asked of each snap here, of both films: 40, 60 and 100 percent of the distance.
  const asked = [...new Set([...inHere(ours0), ...here])].flatMap(({ snap: { down, distance } }) =>
    down === null || distance === null ? [] : [((down === 1 ? 40 : down === 2 ? 60 : 100) * distance) / 100],
  );
  const made = (of: CountedSnap[]): { k: number; n: number } => {
    let [k, n] = [0, 0];
    for (const c of of) {
      const { gain, result, turnover, toGoal } = c.snap;
      const yards = result === 'incomplete' || turnover === 'interception' ? 0 : gain;
      if (yards === null) continue;
      for (const one of asked) {
        const enough = turnover === null && yards >= one;
        // It scored, and might have gone further.
        if (!enough && c.snap.score === 'touchdown' && yards >= toGoal!) continue;
        n += 1 / asked.length;
        if (enough) k += 1 / asked.length;
      }
    }
    return { k, n };
  };
  const kindMade = made(kind);
  const kindRate = rate(inHere(kind), (kindMade.k + 1) / (kindMade.n + 2));
  const kindOdds = odds(kindRate) / odds(usual);
  const asKind = (odds(whole) * kindOdds) / (1 + odds(whole) * kindOdds);
  const runMade = made(run);
  const playOdds = odds(rate(inHere(run), (runMade.k + m * kindRate) / (runMade.n + m))) / odds(asKind);
  return looks.reduce((sum, l) => {
    const met = run.filter((c) => look(c) === l);
    const o = odds(rate(met, whole)) * kindOdds * playOdds;
    return sum + (P(l) * o) / (1 + o);
  }, 0);
}

describe('what to expect of a play against their looks', () => {
  it('is what plain loops over the snaps give, a play by its side, kind and structure', () => {
    for (const section of SECTIONS.filter((_, i) => i % 3 === 1))
      for (const play of PLAYS)
        for (const structure of ['3x1', '2x2', 'never seen'])
          expect(argue(play, structure, films(section), (s) => uniform(1 + s))!.score).toBeCloseTo(
            plainly(play, structure, section),
            9,
          );
  });
  it('shares its looks out whole, and every count is its snaps', () => {
    for (const play of PLAYS) {
      const said = argue(play, '2x2', films(SECTIONS[1]!), (s) => uniform(1 + s))!;
      expect(said.looks.reduce((sum, l) => sum + l.share, 0)).toBeCloseTo(1, 9);
      expect(said.looks.reduce((sum, l) => sum + l.share * l.success, 0)).toBeCloseTo(said.score, 9);
      expect(said.looks.reduce((sum, l) => sum + l.theirs.length, 0)).toBe(said.n);
      for (const { theirs, ours, k } of said.looks) {
        for (const row of theirs) expect(counted[row]!.snap.defense).toBe(THEM);
        for (const row of ours) expect(counted[row]!.snap.concept).toBe(play.concept);
        expect(k).toBe([...ours].filter((row) => columns.success[row] === 1).length);
      }
    }
  });
  it('argued one after another is what each gives alone, whoever was argued before', () => {
    const section = SECTIONS[1]!;
    const streams = (stream: number) => uniform(5 + stream);
    const asked = ['3x1', '2x2', null].flatMap((structure) => PLAYS.map((play) => ({ play, structure })));
    for (const order of [asked, [...asked].reverse()]) {
      const together = arguer(films(section), streams);
      for (const { play, structure } of order)
        expect(together(play, structure)).toEqual(argue(play, structure, films(section), streams));
    }
    // Another side, another structure: not the draws of its neighbor.
    const bounds = new Set(
      asked.map(({ play, structure }) => argue(play, structure, films(section), streams)!.low),
    );
    expect(bounds.size).toBe(asked.length);
  });
  it('lies within its interval, the same each time; a play never run has none', () => {
    const twice = [1, 1].map(() => argue(PLAYS[2]!, '3x1', films(SECTIONS[1]!), (s) => uniform(7 + s)));
    expect(twice[0]).toEqual(twice[1]);
    for (const section of SECTIONS)
      for (const play of PLAYS) {
        const { low, score, high } = argue(play, '3x1', films(section), (s) => uniform(3 + s))!;
        expect(0 < low && low < score && score < high && high < 1).toBe(true);
      }
    expect(
      argue(aPlay('x', 'a play never run'), '3x1', films(SECTIONS[1]!), (s) => uniform(1 + s)),
    ).toBeNull();
  });
  it('is narrower where more film stands behind it, and about as wide as delta arithmetic says', () => {
    const width = (cols: Columns): number => {
      const said = argue(PLAYS[0]!, '2x2', films(SECTIONS[1]!, cols), (s) => uniform(11 + s))!;
      return said.high - said.low;
    };
    const often = buildColumns(Array.from({ length: 8 }, () => counted).flat());
    expect(width(often)).toBeLessThan(0.6 * width(columns));
    // With so much film the priors are gone: the play's own successes in the section vary it most (binomial).
    const said = argue(PLAYS[0]!, '2x2', films(SECTIONS[1]!, often), (s) => uniform(11 + s))!;
    const n = said.looks.reduce((sum, l) => sum + l.ours.length, 0);
    const least = 2 * 1.96 * Math.sqrt((said.score * (1 - said.score)) / n);
    expect(said.high - said.low).toBeGreaterThan(least);
    expect(said.high - said.low).toBeLessThan(3.5 * least);
  });
  it('stays a rate where all or none of our plays succeeded', () => {
    for (const all of [0, 1]) {
      const film = {
        ...columns,
        success: columns.success.map((s) => (s === 2 ? 2 : all)),
        yards: columns.yards.map(() => (all === 1 ? 99 : -4)),
      };
      for (const section of SECTIONS)
        for (const play of PLAYS) {
          const { low, score, high } = argue(play, '3x1', films(section, film), (s) => uniform(2 + s))!;
          expect(0 <= low && low <= high && high <= 1).toBe(true);
          expect(Math.abs(score - all)).toBeLessThan(0.3);
        }
    }
  });
  it('asks more of a play where more is asked: a run on third and long is not what it is on first down', () => {
    const of = (key: string): number =>
      argue(PLAYS[0]!, '2x2', films(SECTIONS.find((s) => s.key === key)!), (s) => uniform(1 + s))!.score;
    expect(of('third-long')).toBeLessThan(of('first') - 0.08);
  });
  it('few snaps of a situation do not make a run good on third and extra long (common practice: it seldom is)', () => {
    const late = CATALOG.find((s) => s.key === 'third-xlong')!;
    const early = CATALOG.find((s) => s.key === 'third-short')!;
    const rows = sectionRows(columns, late, { offense: [US], play: ['run'] });
    expect(rows.length).toBeLessThan(6);
    for (const play of DEMO_PLAYS.filter((p) => p.kind === 'run')) {
      const at = (section: SectionSpec) =>
        argue(play, '2x2', films(section), (s) => uniform(1 + s))?.score ?? null;
      if (at(late) === null) continue;
      expect(at(late), play.name).toBeLessThan(0.35);
      expect(at(early), play.name).toBeGreaterThan(at(late)! + 0.2);
    }
  });
  it('draws from the gamma distribution that the library names: mean and variance are its shape', () => {
    jStat.setRandom(uniform(5));
    for (const shape of [0.3, 1, 6]) {
      const drawn = Array.from({ length: 20_000 }, () => jStat.gamma.sample(shape, 1));
      const mean = drawn.reduce((a, b) => a + b, 0) / drawn.length;
      const variance = drawn.reduce((a, b) => a + (b - mean) ** 2, 0) / drawn.length;
      expect(Math.abs(mean - shape)).toBeLessThan(4 * Math.sqrt(shape / drawn.length));
      expect(variance / shape).toBeGreaterThan(0.9);
      expect(variance / shape).toBeLessThan(1.1);
    }
  });
});

it('ranks by the low end; what cannot be argued keeps its order behind', () => {
  const of = (low: number): Argument => ({ structure: null, score: low, low, high: 1, n: 0, looks: [] });
  const plays = ['a', 'b', 'c', 'd'].map((id) => ({ play: aPlay(id, 'power') }));
  const argued = new Map([
    ['b', of(0.3)],
    ['d', of(0.5)],
    ['a', null],
  ]);
  expect(rankArgued(plays, argued).map((s) => s.play.id)).toEqual(['d', 'b', 'a', 'c']);
});
