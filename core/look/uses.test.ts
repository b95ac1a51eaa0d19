/** What was called, drawn: every ring on paper, on nobody and on no other; thick where it succeeded; mirrors. */
import { describe, expect, it } from 'vitest';
import { findTerm } from '../book';
import { DEFAULT_BOOK } from '../book/default-book';
import { COLLEGE } from '../field';
import { draw, GAPS, lineUp, markUses, type DrawMark, type DrawnUse, type Man } from './index';

const words = (kind: string) => DEFAULT_BOOK.terms.filter((t) => t.kind === kind).map((t) => t.word);
const stand = (formation: string, backfield: string, side: 'L' | 'R'): Man[] =>
  lineUp(
    findTerm(DEFAULT_BOOK, 'formation', formation)!.spots!,
    side,
    findTerm(DEFAULT_BOOK, 'backfield', backfield)!.spots!,
  );
const call = (over: Partial<DrawnUse>): DrawnUse => ({
  kind: 'run',
  side: null,
  gap: null,
  place: null,
  n: 10,
  succeeded: 0.5,
  ...over,
});
const SIDES = ['L', 'R'] as const;
/** Every use there is, all as large as they come. */
const ALL: readonly DrawnUse[] = [
  ...SIDES.flatMap((side) => [
    ...[...GAPS, null].map((gap) => call({ side, gap })),
    call({ kind: 'rpo', side }),
    call({ kind: 'pass', side }),
  ]),
  ...([-1, 0, 1] as const).flatMap((third) =>
    ([0, 1, 2, 3] as const).map((depth) => call({ kind: 'pass', place: { third, depth } })),
  ),
];
type Circle = Extract<DrawMark, { mark: 'circle' }>;
const rings = (marks: readonly DrawMark[]): Circle[] => marks.filter((m): m is Circle => m.mark === 'circle');
const numbers = (marks: readonly DrawMark[]): string[] =>
  marks.flatMap((m) => (m.mark === 'text' ? [m.text] : []));

describe('rings of what was called', () => {
  it('are there for each, inside the drawing, and lie on no other nor on a man, in every formation and backfield of the book', () => {
    let looked = 0;
    const wrong: string[] = [];
    for (const f of words('formation'))
      for (const b of words('backfield'))
        for (const side of SIDES) {
          const men = stand(f, b, side);
          const found = rings(markUses(men, ALL).over);
          const [left, top, width, height] = draw({ men, hash: null, profile: COLLEGE, uses: ALL }).view;
          if (found.length !== ALL.length) wrong.push(`${f}, ${b}: ${found.length} rings`);
          found.forEach(({ x, y, r }, i) => {
            const name = `${f} ${side}, ${b}: ring ${i} at ${x.toFixed(1)}, ${y.toFixed(1)}`;
            if (x - r < left || x + r > left + width || y - r < top || y + r > top + height)
              wrong.push(`${name}: outside`);
            for (const other of found.slice(i + 1))
              if (Math.hypot(x - other.x, y - other.y) < 0.9 * (r + other.r))
                wrong.push(`${name}: on another at ${other.x.toFixed(1)}, ${other.y.toFixed(1)}`);
            for (const man of men)
              if (Math.hypot(x - man.x, y - man.depth - 0.35) < r) wrong.push(`${name}: on ${man.letter}`);
          });
          looked++;
        }
    expect(wrong).toEqual([]);
    expect(looked).toBeGreaterThan(300);
  });
  it('hold their number, and leave out what has neither side nor place', () => {
    const men = stand('trips', 'gun', 'R');
    const { over } = markUses(men, [
      call({ side: 'R', gap: 'B', n: 21 }),
      call({ kind: 'rpo', side: 'R', n: 17 }),
      call({ kind: 'pass', n: 5 }),
    ]);
    expect(numbers(over)).toEqual(['21', '17']);
    expect(rings(over)[1]!.x - rings(over)[0]!.x).toBeGreaterThan(1);
  });
  it('are thick as far round as the share that succeeded; not at all where nothing did or nothing is known', () => {
    const men = stand('trips', 'gun', 'R');
    const turns = (succeeded: number | null): number => {
      const { over } = markUses(men, [call({ side: 'R', gap: 'C', succeeded })]);
      const [ring] = rings(over);
      const thick = over.find((m) => m.mark === 'path' && m.width === 0.5);
      if (thick?.mark !== 'path') return 0;
      const lengths = thick.d.slice(1).map(([x, y], i) => Math.hypot(x - thick.d[i]![0], y - thick.d[i]![1]));
      return lengths.reduce((a, b) => a + b, 0) / (2 * Math.PI * ring!.r);
    };
    expect(turns(null)).toBe(0);
    expect(turns(0)).toBe(0);
    for (const share of [0.1, 0.25, 0.5, 0.9, 1]) expect(turns(share)).toBeCloseTo(share, 1);
  });
  it('to the left mirror those to the right', () => {
    for (const f of words('formation')) {
      const at = (side: 'L' | 'R') =>
        rings(
          markUses(
            stand(f, 'i', side),
            GAPS.map((gap) => call({ side, gap })),
          ).over,
        ).map(({ x, y }) => [Math.abs(x).toFixed(6), y.toFixed(6)]);
      expect(at('L'), f).toEqual(at('R'));
    }
  });
  it('of throws lie the deeper the farther they went, between lines that say how far', () => {
    const men = stand('doubles', 'gun', 'R');
    const { over, bands } = markUses(
      men,
      ([0, 1, 2, 3] as const).map((depth) => call({ kind: 'pass', place: { third: -1, depth } })),
    );
    const ys = rings(over).map((r) => -r.y);
    expect(ys).toEqual([...ys].sort((a, b) => a - b));
    expect(ys[0]).toBeLessThan(0);
    expect(
      ys[1]! < bands[0]!.at && bands[0]!.at < ys[2]! && ys[2]! < bands[1]!.at && bands[1]!.at < ys[3]!,
    ).toBe(true);
    expect(markUses(men, [call({ side: 'L', gap: 'A' })]).bands).toEqual([]);
  });
});
