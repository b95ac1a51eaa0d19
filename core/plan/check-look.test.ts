/** Checks drawn on the demo opponent's line-ups: sound calls are sound, pressures that leave something say what. */
import { describe, expect, it } from 'vitest';
import { DEFAULT_BOOK } from '../book/default-book';
import { DEMO_SEED, NEXT_OPPONENT, simulateSeason } from '../../demo/league';
import { COLLEGE } from '../field';
import { buildColumns, countGame, DEFAULT_RULES } from '../read';
import { shownBy } from './checks';
import { CHECK_FAULTS, lookOfCheck, pictureDrawn, type CheckFaultCode } from './check-look';

const counted = simulateSeason(DEMO_SEED, { tells: true, weeks: 6 }).flatMap((g) =>
  countGame(g.snaps, COLLEGE, DEFAULT_BOOK),
);
const shown = shownBy(buildColumns(counted), NEXT_OPPONENT);
const NO_ROWS = new Uint32Array(0);
const picture = (key: string) => {
  const rows = [...shown.structures, ...shown.named].find((s) => s.picture.key === key)?.rows ?? NO_ROWS;
  return pictureDrawn(DEFAULT_BOOK, COLLEGE, key, counted, rows);
};
const call = (key: string, front: string | null, coverage: string | null, pressure: string | null = null) =>
  lookOfCheck(DEFAULT_BOOK, COLLEGE, DEFAULT_RULES.look, picture(key)!, {
    front,
    coverage,
    pressure,
    note: null,
  });
const codes = (...of: Parameters<typeof call>) => call(...of).faults.map((f) => f.code);

describe('a picture', () => {
  it('is drawn as they use it most, of the structure it says', () => {
    for (const { picture: p, rows } of shown.structures) {
      const found = picture(p.key)!;
      expect(found.n).toBe(rows.length);
      expect(found.k).toBeGreaterThan(0);
      const { drawing } = lookOfCheck(DEFAULT_BOOK, COLLEGE, DEFAULT_RULES.look, found, {
        front: null,
        coverage: null,
        pressure: null,
        note: null,
      });
      expect(drawing.look!.offense.snap.label, p.key).toBe(p.structure);
    }
  });
  it('that is not on film is drawn from the book, its longer side where it is said to stand', () => {
    const boundary = pictureDrawn(DEFAULT_BOOK, COLLEGE, '4x1.boundary', counted, NO_ROWS)!;
    expect(boundary).toMatchObject({ k: 0, n: 0 });
    const { look } = lookOfCheck(DEFAULT_BOOK, COLLEGE, DEFAULT_RULES.look, boundary, {
      front: '4-2 over',
      coverage: 'quarters',
      pressure: null,
      note: null,
    }).drawing;
    expect(look!.offense.snap).toMatchObject({ label: '4x1' });
    expect(look!.offense.snap.side).not.toBe(look!.offense.snap.fieldSide);
    expect(pictureDrawn(DEFAULT_BOOK, COLLEGE, 'nothing such', counted, NO_ROWS)).toBeNull();
  });
});

describe('what an answer leaves', () => {
  it('is nothing for an even front with a safety to fit, and the gap for a light one', () => {
    expect(codes('2x2', '4-2 over', 'quarters')).toEqual([]);
    expect(codes('2x2', '3-2', '2 man')).toContain('open_gap');
  });
  it('says which word the book does not draw, and checks nothing of it', () => {
    const { faults, owned } = call('2x2', 'a front of ours', 'quarters');
    expect(faults.map((f) => f.code)).toEqual(['unknown_word']);
    expect(faults[0]!.sentence).toContain('“a front of ours”');
    expect(owned).toBeNull();
  });
  it('meets each fault somewhere among all pressures and fronts of the book, and none everywhere', () => {
    const words = (kind: string) => DEFAULT_BOOK.terms.filter((t) => t.kind === kind).map((t) => t.word);
    const met = new Map<CheckFaultCode, number>();
    let n = 0;
    for (const { picture: p } of shown.structures.slice(0, 4))
      for (const front of ['4-2 over', '4-3 over', '3-3', 'bear', 'goal line'])
        for (const coverage of ['cover 0', 'cover 1', 'cover 2', 'quarters', 'fire zone'])
          for (const pressure of words('pressure')) {
            n++;
            for (const code of new Set(codes(p.key, front, coverage, pressure)))
              met.set(code, (met.get(code) ?? 0) + 1);
          }
    for (const code of CHECK_FAULTS.filter((c) => c !== 'unknown_word' && c !== 'open_third')) {
      expect(met.get(code) ?? 0, code).toBeGreaterThan(0);
      expect(met.get(code)!, code).toBeLessThan(n);
    }
  });
});
