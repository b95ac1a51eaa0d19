import fc from 'fast-check';
import { expect, it } from 'vitest';
import { bandAudits } from './band-audit';
import { bandPages } from './band';
import { BAND_AUDITS } from './audits';
import type { Measure } from './marks';
import { aPlay } from './plays.fixture';
import { NO_NOTES, numberSheet, type SheetCall } from './sheet';

const measure: Measure = (text, size) => text.length * size * 0.45;
const called = (names: readonly string[]): SheetCall[] =>
  names.map((concept, order) => ({
    id: `c${order}`,
    section: 'first',
    order,
    play: aPlay(`p${order}`, concept),
    ...NO_NOTES,
  }));
const window = { width: 4.75, height: 2.5, columns: 2 };

it('a call longer than its column is named with its number; short ones say nothing', () => {
  const long = 'fake sweep reverse pass with the tight end throwing back across the field';
  const sections = numberSheet(called(['power', long, 'mesh']));
  const found = bandAudits(sections, window, measure);
  expect(found).toMatchObject([
    { code: 'band_words', section: null, calls: ['c1'], facts: { calls: 1, columns: 2 } },
  ]);
  expect(found[0]!.sentence).toMatch(/^1 call cut short on a wristband of 4.75 × 2.5 in, 2 columns: 2 “/);
  expect(bandAudits(numberSheet(called(['power', 'mesh'])), window, measure)).toEqual([]);
  expect(bandAudits(numberSheet([]), window, measure)).toEqual([]);
  // What helps is what it says: one column holds it.
  expect(bandAudits(sections, { ...window, width: 6, columns: 1 }, measure)).toEqual([]);
  expect(found.map((f) => f.code)).toEqual([...BAND_AUDITS]);
});

it('names what is cut on the band that is printed, whatever its order', () => {
  fc.assert(
    fc.property(
      fc.array(fc.integer({ min: 3, max: 60 }), { maxLength: 60 }),
      fc.integer({ min: 1, max: 4 }),
      fc.integer({ min: 0, max: 9 }),
      (lengths, columns, seed) => {
        const sections = numberSheet(called(lengths.map((n) => 'w'.repeat(n))));
        const about = { name: '', title: '', against: '', stamp: '', sections };
        const said = bandAudits(sections, { ...window, columns }, measure).flatMap((a) => a.calls);
        const numbers = new Map(sections.flatMap((s) => s.calls.map((c) => [c.number, c.id])));
        const next = (
          (k) => () =>
            (k = (k * 16807) % 2147483647) / 2147483647
        )(seed + 1);
        const { cut } = bandPages(about, 'letter', { ...window, columns, seed }, next, measure);
        // The last side may have fewer rows, larger type and a wider number: a call on the edge may be cut there alone.
        const other = cut.map((n) => numbers.get(n)!).filter((id) => !said.includes(id));
        expect(other.length).toBeLessThanOrEqual(Math.ceil(cut.length * 0.2) + 1);
        if (said.length === 0) expect(cut.length).toBeLessThanOrEqual(1);
      },
    ),
  );
});
