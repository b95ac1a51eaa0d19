/** The fast path against a plain one: counts, surfaces, box and ledger by the slowest reading of the definitions. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { lookOf } from '../book';
import { DEFAULT_BOOK } from '../book/default-book';
import { COLLEGE } from '../field';
import { ATTACHED, DEFAULT_BOX, inBox, lineUp, pointMargins, structure, type Man } from './index';

const terms = (kind: string) => DEFAULT_BOOK.terms.filter((t) => t.kind === kind);
const words = (kind: string) => terms(kind).map((t) => t.word);

/** A back by the definition: eligible, off the line, deeper than three yards, within 5.2 of the ball. */
const back = (m: Man) => m.role === 'eligible' && m.depth > 3 && Math.abs(m.x) < 5.2;

function plainSide(men: readonly Man[], sign: 1 | -1): { count: number; surface: number; letters: string[] } {
  const out = men.filter((m) => m.role === 'eligible' && !back(m) && m.x * sign > 0);
  const letters = out
    .map((m) => m.letter)
    .sort(
      (a, b) => Math.abs(men.find((m) => m.letter === b)!.x) - Math.abs(men.find((m) => m.letter === a)!.x),
    );
  // Step outward a man at a time.
  let end = 0;
  let surface = 0;
  for (;;) {
    const next = men
      .filter(
        (m) =>
          m.role !== 'quarterback' &&
          !back(m) &&
          m.depth <= 2.4 &&
          m.x * sign > end + 1e-9 &&
          m.x * sign > 0.2,
      )
      .sort((a, b) => a.x * sign - b.x * sign)[0];
    if (!next || next.x * sign - end > ATTACHED) break;
    end = next.x * sign;
    surface++;
  }
  return { count: out.length, surface, letters };
}

it('structure counts as a person would count', () => {
  for (const f of terms('formation'))
    for (const b of terms('backfield'))
      for (const side of ['L', 'R'] as const) {
        const men = lineUp(f.spots!, side, b.spots!);
        const s = structure(men);
        for (const [half, sign] of [
          [s.left, -1],
          [s.right, 1],
        ] as const) {
          const plain = plainSide(men, sign);
          expect([f.word, b.word, half.count, half.surface, half.receivers.map((m) => m.letter)]).toEqual([
            f.word,
            b.word,
            plain.count,
            plain.surface,
            plain.letters,
          ]);
        }
      }
});

const snap = fc.record({
  formation: fc.constantFrom(...words('formation')),
  formationSide: fc.constantFrom('L' as const, 'R' as const),
  backfield: fc.constantFrom(...words('backfield')),
  front: fc.constantFrom(...words('front')),
  coverage: fc.constantFrom(...words('coverage')),
  play: fc.constant('run' as const),
  concept: fc.constantFrom(...words('run')),
  direction: fc.constantFrom('L' as const, 'R' as const),
  motion: fc.constantFrom(...words('motion'), '-'),
  motionBy: fc.constantFrom('H', 'Z', 'Y', 'T'),
});

describe('any ledger', () => {
  it('gives no man on the line to more than two, nobody to a reader, and each blocker one job', () => {
    fc.assert(
      fc.property(snap, (f) => {
        const l = lookOf(DEFAULT_BOOK, f, COLLEGE)!.ledger!;
        for (const d of l.defense) {
          const on = l.offense.filter((e) => e.on === d.man || e.then === d.man).map((e) => e.man.letter);
          const read = d.by === 'read' || d.by === 'pitch read' || d.by === 'held by the keep';
          expect([...d.who].sort()).toEqual(read ? ['Q'] : on.sort());
          if (d.man.depth <= 2) expect(on.length).toBeLessThanOrEqual(2);
          if (d.by === 'read' || d.by === 'option' || d.by === 'free') expect(on).toEqual([]);
        }
        for (const [a, b] of l.pairs) {
          const [x, y] = [a, b].map((letter) => l.offense.find((e) => e.man.letter === letter)!);
          expect([x!.on, x!.then, x!.partner, y!.partner]).toEqual([y!.on, y!.then, b, a]);
        }
        expect(l.free.every((d) => l.defense.find((e) => e.man === d)!.by === 'free')).toBe(true);
        expect(l.verdict).toBe(
          l.margin < -1
            ? 'not there'
            : l.margin === -1
              ? 'one free'
              : l.defense.some((e) => e.by === 'free' && e.there)
                ? 'unblocked'
                : 'sound',
        );
      }),
      { numRuns: 600, seed: 11 },
    );
  });
  it('counts the box as a person with a tape would', () => {
    fc.assert(
      fc.property(snap, (f) => {
        const look = lookOf(DEFAULT_BOOK, f, COLLEGE)!;
        const s = look.offense.snap;
        const plain = look.defense!.men.filter(
          (d) =>
            (d.depth === 1 && d.level !== 'corner') ||
            (d.depth <= 7.5 && d.x >= s.left.endOfLine - 2.0001 && d.x <= s.right.endOfLine + 2.0001),
        );
        expect(look.defense!.front!.box).toEqual(plain);
        expect(plain.every((d) => inBox(d, s, DEFAULT_BOX))).toBe(true);
      }),
      { numRuns: 300, seed: 12 },
    );
  });
  it('has a margin at every point of attack, and a deeper box never helps the offense', () => {
    fc.assert(
      fc.property(snap, (f) => {
        const look = lookOf(DEFAULT_BOOK, f, COLLEGE)!;
        const usual = pointMargins(look);
        expect(usual.map((m) => `${m.to}${m.point}`)).toEqual([
          'LD',
          'LC',
          'LB',
          'LA',
          'RA',
          'RB',
          'RC',
          'RD',
        ]);
        for (const m of usual) expect(m.margin).toBe(m.hats - m.there);
        const deeper = pointMargins(look, { box: { lateral: 2, depth: 12 }, keepHoldsEnd: true });
        usual.forEach((m, i) => expect(deeper[i]!.there).toBeGreaterThanOrEqual(m.there));
      }),
      { numRuns: 150, seed: 13 },
    );
  });
});
