import { describe, expect, it } from 'vitest';
import { drawSnap, readDefinition, type Term } from '../book';
import { DEFAULT_BOOK } from '../book/default-book';
import { COLLEGE } from '../field';
import { DEFAULT_LOOK_SETTINGS, RUSH_SIDES, type PressureDef } from '../look';
import { lookOfCheck } from './check-look';
import { designPictures, pressureOn, RUSH_SIDE_WORDS } from './pressure-design';

const pictures = designPictures(DEFAULT_BOOK, COLLEGE, DEFAULT_LOOK_SETTINGS);
const of = (kind: Term['kind']): Term[] => DEFAULT_BOOK.terms.filter((t) => t.kind === kind && t.definition);
const defOf = (term: Term): PressureDef => (term.definition as { pressure: PressureDef }).pressure;
const read = (text: string): PressureDef => {
  const got = readDefinition('pressure', text);
  if (!got.ok || got.value.kind !== 'pressure') throw new Error(text);
  return got.value.pressure;
};
const faults = (def: PressureDef, front = '4-2 over', coverage = 'cover 3') =>
  pressureOn(DEFAULT_BOOK, COLLEGE, DEFAULT_LOOK_SETTINGS, def, { front, coverage }, pictures).map((row) => ({
    key: row.picture.key,
    said: row.look.faults.map((f) => f.sentence),
  }));

describe('a pressure on every picture', () => {
  it('has each picture to both sides, with the men it says', () => {
    const keys = ['2x2-te', '2x2', '3x1-te', '3x1-nub', '3x1', 'two-backs', 'empty'];
    expect(pictures.map((p) => p.key)).toEqual([...keys.map((k) => `${k}.R`), ...keys.map((k) => `${k}.L`)]);
    for (const { key, fields, hash } of pictures) {
      const s = drawSnap(DEFAULT_BOOK, fields, null, COLLEGE, { defense: false }).look!.offense.snap;
      const ends = s.left.attached.length + s.right.attached.length;
      const backs = s.backfield.backs.length;
      expect([key, backs]).toEqual([key, key.startsWith('two') ? 2 : key.startsWith('empty') ? 0 : 1]);
      expect(ends > 0, key).toBe(/te|nub|two/.test(key));
      if (key.startsWith('3x1')) expect([key, s.side]).toEqual([key, key.endsWith('R') ? 'R' : 'L']);
      // The ball lies away from the formation: the field is to its side.
      expect(hash).toBe(key.endsWith('R') ? 'L' : 'R');
    }
  });
  it('is what a check with its word says of the picture', () => {
    for (const term of of('pressure').filter((_, i) => i % 3 === 0)) {
      const rows = faults(defOf(term));
      pictures.forEach((picture, i) => {
        const check = lookOfCheck(
          DEFAULT_BOOK,
          COLLEGE,
          DEFAULT_LOOK_SETTINGS,
          { fields: picture.fields, hash: picture.hash, k: 0, n: 0 },
          { front: '4-2 over', coverage: 'cover 3', pressure: term.word, note: null },
        );
        expect(rows[i]!.said, `${term.word} on ${picture.label}`).toEqual(
          check.faults.map((f) => f.sentence),
        );
      });
    }
  });
  it('leaves as much open to the left as to the right', () => {
    // Which of two gaps is given up may be a tie; how many are, is none.
    const counts = (def: PressureDef, front: string, coverage: string): string[] =>
      pressureOn(DEFAULT_BOOK, COLLEGE, DEFAULT_LOOK_SETTINGS, def, { front, coverage }, pictures).map(
        ({ look: { owned } }) =>
          owned === null
            ? 'not drawn'
            : `${owned.gaps.filter((g) => g.owner === null).length} gaps, ${[owned.flats.L, owned.flats.R].filter((m) => m === null).length} flats, ${owned.depths.filter((d) => d.man === null).length} depths, #3 ${owned.third === undefined ? 'none' : owned.third !== null}`,
      );
    const half = pictures.length / 2;
    let some = 0;
    for (const [i, term] of of('pressure').entries())
      for (const front of of('front').filter((_, k) => (k + i) % 7 === 0))
        for (const coverage of of('coverage').filter((_, k) => (k + i) % 7 === 0)) {
          const rows = counts(defOf(term), front.word, coverage.word);
          const words = `${term.word}, ${front.word}, ${coverage.word}`;
          expect(rows.slice(half), words).toEqual(rows.slice(0, half));
          some += rows.filter((row) => !row.startsWith('0 gaps, 0 flats, 0 depths')).length;
        }
    expect(some).toBeGreaterThan(100);
  });
  it('names a gap that is given up: one comes where two should, and the line drops', () => {
    expect(faults(read('mike:A:s')).every((row) => !row.said.join().includes('A '))).toBe(true);
    const open = faults(read('| drop 3 | threat 4')).flatMap((row) => row.said);
    expect(open.some((text) => /has no owner|have no owner/.test(text))).toBe(true);
  });
  it('every way to call a side stands in one of the three modes', () => {
    expect(RUSH_SIDE_WORDS.flatMap(([, sides]) => sides.map(([side]) => side)).sort()).toEqual(
      [...RUSH_SIDES].sort(),
    );
  });
});
