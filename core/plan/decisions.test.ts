/** Decisions: a clock that is played out, closed forms, the table by hand, and a recursion without a memory. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DEMO_SEED, simulateSeason } from '../../demo/league';
import { DEFAULT_BOOK } from '../book/default-book';
import { COLLEGE, HIGH_SCHOOL, PROFESSIONAL, SEVEN_ON_SEVEN } from '../field';
import { buildColumns, countGame, wilson } from '../read';
import {
  conversions,
  DECISION_LIMITS,
  decisionPages,
  DISTANCES,
  fourthAdvice,
  fourthDown,
  kneelOut,
  leftAtPunt,
  LEAST_SIZE,
  MARGIN,
  PAPERS,
  stopsAtTwo,
  tryAdvice,
  tryValues,
  USUAL_DECISIONS,
  type DecisionSettings,
} from './index';

const settings = fc.record(
  Object.fromEntries(
    Object.entries(DECISION_LIMITS).map(([key, { from, to }]) => [key, fc.integer({ min: from, max: to })]),
  ),
) as unknown as fc.Arbitrary<DecisionSettings>;
const usual = USUAL_DECISIONS;

/** Kneels on each down from a clock; true: it ran out before the ball was lost on downs. */
function playedOut(
  s: DecisionSettings,
  clock: number,
  from: number,
  timeOuts: number,
  stops: boolean,
): boolean {
  let [left, theirs, warned] = [clock, timeOuts, clock <= 120];
  for (let down = from; down <= 4; down++) {
    left -= s.kneel;
    if (left <= 0) return true;
    if (down === 4) return false;
    if (stops && !warned && left <= 120) {
      warned = true;
      continue;
    }
    if (theirs > 0) theirs--;
    else if (stops && !warned && left - (s.playClock - s.spare) < 120) [left, warned] = [120, true];
    else left -= s.playClock - s.spare;
    if (left <= 0) return true;
  }
  return false;
}

describe('the clock', () => {
  it('kneels: a clock played down by down runs out at that second and not at the next', () => {
    fc.assert(
      fc.property(
        settings,
        fc.constantFrom(1, 2, 3, 4),
        fc.integer({ min: 0, max: 3 }),
        fc.boolean(),
        (s, down, timeOuts, stops) => {
          const most = kneelOut(s, down as 1, timeOuts, stops);
          expect(playedOut(s, most, down, timeOuts, stops)).toBe(true);
          expect(playedOut(s, most + 1, down, timeOuts, stops)).toBe(false);
        },
      ),
    );
  });
  it('on first down without time-outs two minutes and a little; each time-out keeps a play clock (common practice)', () => {
    expect([0, 1, 2, 3].map((t) => kneelOut(usual, 1, t, false))).toEqual([125, 86, 47, 8]);
    expect(kneelOut(usual, 1, 0, true)).toBe(120);
    expect([COLLEGE, PROFESSIONAL, HIGH_SCHOOL].map(stopsAtTwo)).toEqual([true, true, false]);
  });
});

describe('time-outs', () => {
  it('three runs: without the stop at two minutes it is a sum', () => {
    fc.assert(
      fc.property(
        settings,
        fc.integer({ min: 0, max: 900 }),
        fc.integer({ min: 0, max: 3 }),
        (s, clock, t) => {
          const gone = 3 * s.run + (3 - t) * (s.playClock - s.spare);
          expect(leftAtPunt(s, clock, t, false)).toBe(Math.max(0, clock - gone));
          // The stop saves a wait at most, and nothing below two minutes.
          const saved = leftAtPunt(s, clock, t, true) - leftAtPunt(s, clock, t, false);
          expect(saved).toBeGreaterThanOrEqual(0);
          expect(saved).toBeLessThanOrEqual(clock <= 120 || t === 3 ? 0 : s.playClock - s.spare);
        },
      ),
    );
  });
  it('from four minutes without time-outs the third wait ends at two minutes', () => {
    // 3:54, 3:15, 3:09, 2:30, 2:24, and the stop.
    expect(leftAtPunt(usual, 240, 0, true)).toBe(120);
    expect(leftAtPunt(usual, 240, 0, false)).toBe(105);
    expect([0, 1, 2, 3].map((t) => leftAtPunt(usual, 120, t, true))).toEqual([0, 24, 63, 102]);
  });
});

/** The same without a memory, and as a list of what a drive may be worth. */
function plainWins(s: DecisionSettings, margin: number, left: number, theirs: boolean): number {
  if (left === 0) return margin > 0 ? 1 : margin < 0 ? 0 : 0.5;
  const next = (points: number): number =>
    plainWins(s, margin + (theirs ? -points : points), left - 1, !theirs);
  const [kicked, two] = [
    (s.tryKick * next(7) + (100 - s.tryKick) * next(6)) / 100,
    (s.tryTwo * next(8) + (100 - s.tryTwo) * next(6)) / 100,
  ];
  const goal = Math.min(s.fieldGoal, 100 - s.touchdown);
  const touchdown = theirs ? Math.min(kicked, two) : Math.max(kicked, two);
  return (s.touchdown * touchdown + goal * next(3) + (100 - s.touchdown - goal) * next(0)) / 100;
}

describe('one point or two', () => {
  it('with the clock gone it is arithmetic', () => {
    fc.assert(
      fc.property(settings, (s) => {
        const [q, t] = [s.tryKick / 100, s.tryTwo / 100];
        const at = tryValues(s, 0);
        expect(at(-1)).toEqual({ kick: q * 0.5, two: t });
        expect(at(-2)).toEqual({ kick: 0, two: t * 0.5 });
        expect(at(0).kick).toBeCloseTo(q + (1 - q) / 2, 12);
        expect(at(-3)).toEqual({ kick: 0, two: 0 });
      }),
    );
  });
  it('fourteen behind, after the first touchdown: two from (3 − √5)/2 on, where kicks are sure', () => {
    // p + (1 − p)p/2 = 1/2: good wins with the second kick, missed ties with a second try for two.
    for (const [tryTwo, two] of [
      [38, false],
      [39, true],
    ] as const) {
      const at = tryValues({ ...usual, tryKick: 100, tryTwo, touchdown: 1, fieldGoal: 0 }, 2)(-8);
      expect(at.two > at.kick).toBe(two);
    }
  });
  it('agrees with a recursion that remembers nothing', () => {
    fc.assert(
      fc.property(
        settings,
        fc.integer({ min: -18, max: 18 }),
        fc.integer({ min: 0, max: 4 }),
        (s, margin, left) => {
          const { kick, two } = tryValues(s, left)(margin);
          const none = plainWins(s, margin, left, true);
          const [q, t] = [s.tryKick / 100, s.tryTwo / 100];
          expect(kick).toBeCloseTo(q * plainWins(s, margin + 1, left, true) + (1 - q) * none, 9);
          expect(two).toBeCloseTo(t * plainWins(s, margin + 2, left, true) + (1 - t) * none, 9);
          expect(tryAdvice({ kick, two })).toBe(Math.abs(kick - two) < 0.002 ? '=' : two > kick ? '2' : '1');
        },
      ),
      { numRuns: 60 },
    );
  });
});

describe('fourth down', () => {
  it('by hand from the table of 1971', () => {
    // & 10 at their 45: 3.167 at the 35, −1.538 if stopped, a punt into the end zone −(−0.2005).
    const far = fourthDown(45, 10, usual, COLLEGE)!;
    expect(far.instead).toBe('punt');
    expect(far.from).toBeCloseTo((0.2005 + 1.538) / (3.167 + 1.538), 4);
    // & 1 at their 25: a kick of 42 yards, three of four good.
    const near = fourthDown(25, 1, usual, COLLEGE)!;
    expect(near.instead).toBe('kick');
    expect(near.from).toBeCloseTo((0.75 * (3 - 0.236) - 0.25 * 0.236 + 0.236) / (3.7701 + 0.236), 4);
    // The table ends five yards from either goal line.
    expect([fourthDown(10, 8, usual, COLLEGE), fourthDown(97, 1, usual, COLLEGE)]).toEqual([null, null]);
  });
  it('what is gained with the down lowers the share, a better kick raises it', () => {
    fc.assert(
      fc.property(
        settings,
        fc.integer({ min: 12, max: 90 }),
        fc.integer({ min: 1, max: 6 }),
        (s, toGoal, distance) => {
          const [here, longer] = [distance, distance + 1].map((d) => fourthDown(toGoal, d, s, COLLEGE));
          if (here && longer) expect(longer.from).toBeLessThanOrEqual(here.from + 1e-12);
          const better = fourthDown(toGoal, distance, { ...s, short: 100, middle: 100, long: 100 }, COLLEGE);
          if (here && better) expect(better.from).toBeGreaterThanOrEqual(here.from);
        },
      ),
    );
  });
  it('our own downs, counted plainly; what they say is said by their interval alone', () => {
    const snaps = simulateSeason(DEMO_SEED, { tells: true, weeks: 4 }).flatMap((g) =>
      countGame(g.snaps, COLLEGE, DEFAULT_BOOK),
    );
    const columns = buildColumns(snaps);
    const team = snaps[0]!.snap.offense!;
    conversions(columns, team).forEach((rate, i) => {
      const { from, to } = DISTANCES[i]!;
      const of = [...snaps.keys()].filter((row) => {
        const { snap } = snaps[row]!;
        const tries =
          snap.offense === team && (snap.down === 3 || snap.down === 4) && snap.unit === 'scrimmage';
        const counted = !['no_play', 'kneel', 'spike'].includes(snap.result ?? '');
        return (
          tries &&
          counted &&
          (snap.distance ?? 0) >= from &&
          (snap.distance ?? 99) <= to &&
          columns.success[row] !== 2
        );
      });
      expect([rate.n, rate.k]).toEqual([of.length, of.filter((row) => columns.success[row] === 1).length]);
    });
    expect(fourthAdvice(0.5, wilson(19, 20))).toBe('go');
    expect(fourthAdvice(0.5, wilson(1, 20))).toBe('no');
    expect(fourthAdvice(0.5, wilson(10, 20))).toBe('close');
    expect(fourthAdvice(0.1, wilson(3, 3))).toBe('few');
  });
});

describe('the card', () => {
  const converted = [wilson(30, 34), wilson(9, 20), wilson(2, 3), wilson(8, 30), wilson(0, 0)];
  const about = { name: 'Week 9', title: 'Herons offense', against: 'Stags', stamp: '2026-10-31' };
  it.each(['letter', 'a4'] as const)(
    'is one page of %s, in print that can be read, each cell as computed',
    (paper) => {
      const { pages, width, height } = decisionPages(
        { ...about, profile: HIGH_SCHOOL, converted, long: null },
        usual,
        paper,
        (words, size) => words.length * size * 0.5,
      );
      expect([pages.length, width, height]).toEqual([1, PAPERS[paper].width, PAPERS[paper].height]);
      const words = pages[0]!.flatMap((m) => (m.mark === 'text' ? [m] : []));
      for (const { x, y, size } of words) {
        expect(size).toBeGreaterThanOrEqual(LEAST_SIZE);
        expect(x).toBeGreaterThanOrEqual(MARGIN);
        expect(y).toBeLessThanOrEqual(height - MARGIN + 10);
      }
      // Nothing stands on the caution at the foot.
      const [foot, ...rest] = words.map((w) => w.y).sort((a, b) => b - a);
      expect(foot! - rest[0]!).toBeGreaterThan(9);
      const said = words.map((w) => w.text);
      for (const clock of ['2:05', '1:26', '0:47', '0:08']) expect(said).toContain(clock);
      expect(said.filter((w) => w === '2' || w === '1' || w === '=').length).toBeGreaterThan(17 * 2 * 5 - 1);
      const go = said.filter((w) => / (go|no)$/.test(w));
      expect(go.length).toBeGreaterThan(4);
      const short = fourthDown(45, 1, usual, HIGH_SCHOOL)!;
      expect(said).toContain(`${Math.round(100 * short.from)} go`);
      expect(said.some((w) => w.includes('Carter & Machol 1971'))).toBe(true);
      // Third and very long, a column a spot: from our 30 they begin at their 34 and 25.
      expect(said).toEqual(expect.arrayContaining(['their 34', 'their 25', '8.7']));
      // Where nobody kicks there is nothing to decide.
      const seven = decisionPages(
        { ...about, profile: SEVEN_ON_SEVEN, converted, long: null },
        usual,
        paper,
        (w) => w.length,
      );
      expect(seven.pages.flat().some((m) => m.mark === 'text' && m.text.includes('eleven-man'))).toBe(true);
      expect(seven.pages.flat().some((m) => m.mark === 'rect')).toBe(false);
    },
  );
});
