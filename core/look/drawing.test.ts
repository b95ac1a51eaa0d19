/** Drawings: marks inside their box, names that never collide, mirrors, ink that photocopies. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { drawSnap, findTerm } from '../book';
import { DEFAULT_BOOK } from '../book/default-book';
import { COLLEGE, FIELD_WIDTH_YARDS, FLAG_FIVE, HIGH_SCHOOL, PROFESSIONAL } from '../field';
import {
  draw,
  drawingSvg,
  jobPath,
  JOBS,
  landmarks,
  lineUp,
  mirrorLineUp,
  pathData,
  PRINT_INK,
  routePath,
  ROUTES,
  snapSpot,
  type Drawing,
  type DrawMark,
  type Man,
} from './index';

const words = (kind: string) => DEFAULT_BOOK.terms.filter((t) => t.kind === kind).map((t) => t.word);
const stand = (formation: string, backfield = 'gun'): Man[] =>
  lineUp(
    findTerm(DEFAULT_BOOK, 'formation', formation)!.spots!,
    'R',
    findTerm(DEFAULT_BOOK, 'backfield', backfield)!.spots!,
  );
const texts = (d: Drawing) =>
  d.marks.filter((m): m is Extract<DrawMark, { mark: 'text' }> => m.mark === 'text');

describe('receiver numbers', () => {
  it('never collide with one another, in any formation and backfield of the book', () => {
    for (const f of words('formation'))
      for (const b of words('backfield'))
        for (const men of [stand(f, b), mirrorLineUp(stand(f, b))]) {
          const numbers = texts(draw({ men, hash: null, profile: COLLEGE, numbers: true })).filter((t) =>
            t.text.startsWith('#'),
          );
          for (const [i, a] of numbers.entries())
            for (const c of numbers.slice(i + 1)) {
              const apart = Math.abs(a.x - c.x) >= 0.9 || Math.abs(a.y - c.y) >= 0.9;
              expect(apart, `${f}, ${b}: ${a.text} and ${c.text}`).toBe(true);
            }
        }
  });
  it('are one a receiver, counted outside-in, and left out on request', () => {
    const numbers = (on: boolean) =>
      texts(draw({ men: stand('trips'), hash: null, profile: COLLEGE, numbers: on }))
        .filter((t) => t.text.startsWith('#'))
        .map((t) => [t.text, t.x]);
    expect(numbers(true)).toEqual([
      ['#1', -16],
      ['#1', 16],
      ['#2', 11],
      ['#3', 7],
    ]);
    expect(numbers(false)).toEqual([]);
  });
});

describe('the field', () => {
  it('shows the sideline where it is: 20 yards from a college hash, 17.8 from a high-school one, 23.6 from a professional one (rulebooks, from memory)', () => {
    for (const [profile, yards] of [
      [COLLEGE, 20],
      [HIGH_SCHOOL, 17.78],
      [PROFESSIONAL, 23.58],
    ] as const) {
      const d = draw({ men: [stand('doubles')[2]!], hash: 'L', profile });
      const sideline = d.marks.find((m) => m.mark === 'path' && m.width === 0.3 && !m.dash);
      expect(sideline?.mark === 'path' && Math.abs(sideline.d[0]![0])).toBeCloseTo(yards, 1);
    }
  });
  it('has no hash marks in flag, two elsewhere', () => {
    const hashes = (profile: typeof COLLEGE) =>
      draw({ men: stand('doubles'), hash: 'M', profile }).marks.filter(
        (m) => m.mark === 'path' && m.dash?.[0] === 0.25,
      ).length;
    expect([hashes(COLLEGE), hashes(FLAG_FIVE)]).toEqual([2, 0]);
  });
  it('cropped shows everybody and never less than thirty yards', () => {
    for (const f of words('formation')) {
      const men = stand(f);
      const { view } = draw({ men, hash: null, profile: COLLEGE, crop: true });
      expect(view[2]).toBeGreaterThanOrEqual(30);
      for (const m of men)
        expect(m.x > view[0] && m.x < view[0] + view[2] && m.depth < view[1] + view[3]).toBe(true);
    }
  });
});

describe('routes and jobs', () => {
  const men: readonly Man[] = [
    { letter: 'X', x: -12, depth: 1, onLine: false, role: 'eligible' },
    { letter: 'G', x: 1.6, depth: 0.4, onLine: true, role: 'line' },
    { letter: 'T', x: -2, depth: 5, onLine: false, role: 'eligible' },
  ];
  const mirrored = (points: readonly (readonly [number, number])[]) =>
    points.map(([x, y]) => [x === 0 ? 0 : -x, y]);
  it.each(ROUTES)('%s begins where the man stands and is its own mirror on the other side', (route) => {
    for (const man of men) {
      const a = routePath(man, route, 'R');
      const b = routePath({ ...man, x: -man.x }, route, 'L');
      expect(a.points[0]).toEqual([man.x, -man.depth]);
      expect(mirrored(b.points)).toEqual(a.points.map(([x, y]) => [x, y]));
      expect(a.end).toBe(route === 'block' || route === 'stalk' ? 'block' : 'arrow');
    }
  });
  it.each(JOBS)('%s to the right is its mirror to the left', (job) => {
    for (const man of men)
      for (const point of ['A', 'B', 'C', 'D'] as const) {
        const a = jobPath(man, job, 'R', point, 4.8);
        const b = jobPath({ ...man, x: -man.x }, job, 'L', point, -4.8);
        if (a === null) expect(b).toBeNull();
        else
          expect(mirrored(b!.points).map((p) => p.map((n) => n!.toFixed(6)))).toEqual(
            a.points.map((p) => p.map((n) => n.toFixed(6))),
          );
      }
  });
  it('deep routes go deep, quick ones do not, screens stay behind the line (common practice)', () => {
    const farthest = (route: (typeof ROUTES)[number]) =>
      Math.max(...routePath(men[0]!, route).points.map((p) => p[1]));
    for (const route of ['go', 'post', 'corner', 'seam', 'wheel'] as const)
      expect(farthest(route)).toBeGreaterThan(14);
    for (const route of ['flat', 'slant', 'hitch', 'stick', 'snag', 'quick out'] as const)
      expect(farthest(route)).toBeLessThan(7);
    for (const route of ['bubble', 'now', 'slip'] as const) expect(farthest(route)).toBeLessThanOrEqual(0);
  });
  it('in-breaking routes end nearer the ball, out-breaking ones farther from it (common practice)', () => {
    const end = (route: (typeof ROUTES)[number]) => Math.abs(routePath(men[0]!, route).points.at(-1)![0]);
    for (const route of ['slant', 'post', 'dig', 'drag', 'over', 'curl', 'snag', 'quick in'] as const)
      expect(end(route), route).toBeLessThan(12);
    for (const route of [
      'flat',
      'out',
      'corner',
      'comeback',
      'quick out',
      'wheel',
      'bubble',
      'arrow',
    ] as const)
      expect(end(route), route).toBeGreaterThan(12);
  });
});

describe('as a file', () => {
  const snap = fc.record({
    formation: fc.constantFrom(...words('formation')),
    formationSide: fc.constantFrom('L' as const, 'R' as const),
    backfield: fc.constantFrom(...words('backfield')),
    front: fc.constantFrom(...words('front')),
    coverage: fc.constantFrom(...words('coverage')),
    pressure: fc.constantFrom(...words('pressure')),
    play: fc.constantFrom('run' as const, 'pass' as const),
    concept: fc.constantFrom(...words('run'), ...words('pass')),
    direction: fc.constantFrom('L' as const, 'R' as const),
  });
  it('any look is well-formed SVG with finite numbers, every path inside the page', () => {
    fc.assert(
      fc.property(snap, fc.constantFrom('L' as const, 'M' as const, 'R' as const, null), (fields, hash) => {
        const { drawing } = drawSnap(DEFAULT_BOOK, fields, hash, COLLEGE, { jobs: true });
        const svg = drawingSvg(drawing, 'a <look> & "more"');
        expect(svg).not.toMatch(/NaN|Infinity|undefined|<look>/);
        expect((svg.match(/<(path|circle|ellipse|rect|text)\b/g) ?? []).length).toBe(
          drawing.marks.length + 1,
        );
        const [x, y, w, h] = drawing.view;
        for (const m of drawing.marks)
          if (m.mark === 'path')
            for (const p of m.d)
              expect(p[0] >= x - 1 && p[0] <= x + w + 1 && p[1] >= y - 1 && p[1] <= y + h + 1).toBe(true);
      }),
      { numRuns: 300, seed: 5 },
    );
  });
  it('prints in black and grays that photocopy: what carries meaning is black', () => {
    for (const ink of ['ink', 'run', 'pass', 'them', 'us', 'finding'] as const)
      expect(PRINT_INK[ink]).toBe('#000');
    expect(
      pathData([
        [1, 2],
        [3.456, -4],
      ]),
    ).toBe('M1 2L3.46 -4');
  });
  it('is the same bytes for the same look', () => {
    const once = () =>
      drawingSvg(
        drawSnap(
          DEFAULT_BOOK,
          {
            formation: 'trips',
            formationSide: 'R',
            backfield: 'gun',
            front: 'tite',
            coverage: 'cover 6',
            play: 'pass',
            concept: 'mesh',
          },
          'L',
          COLLEGE,
          { jobs: true },
        ).drawing,
        'mesh',
      );
    expect(once()).toBe(once());
  });
});

describe('landmarks', () => {
  it('are the line’s, the slot, the hash, the numbers and the sideline, from where the ball lies', () => {
    expect(landmarks(COLLEGE, 'M').map((l) => [l.name, Number(l.x.toFixed(1))])).toEqual([
      ['sideline', -25.7],
      ['numbers', -17.7],
      ['slot', -8],
      ['hash', -6.7],
      ['wing', -6.4],
      ['tight', -4.8],
      ['tight', 4.8],
      ['wing', 6.4],
      ['hash', 6.7],
      ['slot', 8],
      ['numbers', 17.7],
      ['sideline', 25.7],
    ]);
    expect(landmarks(COLLEGE, 'L').find((l) => l.name === 'sideline')!.x).toBeCloseTo(-20 + 1, 1);
    expect(landmarks(FLAG_FIVE, 'M').map((l) => l.name)).toEqual([
      'sideline',
      'slot',
      'numbers',
      'numbers',
      'slot',
      'sideline',
    ]);
  });
  it('a point snaps to them and to the line, stays where it is elsewhere, and never leaves the field', () => {
    expect(snapSpot(5.2, 0.5, COLLEGE, 'M')).toEqual({ x: 4.8, depth: 0.3, onLine: true, landmark: 'tight' });
    expect(snapSpot(6.3, 1.2, COLLEGE, 'M')).toEqual({ x: 6.4, depth: 1.4, onLine: false, landmark: 'wing' });
    expect(snapSpot(12, 4.2, COLLEGE, 'M')).toEqual({ x: 12, depth: 4.2, onLine: false, landmark: null });
    fc.assert(
      fc.property(
        fc.double({ min: -60, max: 60, noNaN: true }),
        fc.double({ min: 0, max: 30, noNaN: true }),
        fc.constantFrom('L' as const, 'M' as const, 'R' as const),
        (x, depth, hash) => {
          const s = snapSpot(x, depth, COLLEGE, hash);
          expect(Math.abs(s.x)).toBeLessThanOrEqual(FIELD_WIDTH_YARDS);
          expect(s.depth <= 12 && s.depth > 0).toBe(true);
          // Snapping twice changes nothing.
          const again = snapSpot(s.x, s.onLine ? 0.3 : s.depth, COLLEGE, hash);
          expect(Math.abs(again.x - s.x)).toBeLessThan(0.1);
        },
      ),
      { numRuns: 300, seed: 4 },
    );
  });
});
