/** Cells and cubes against plain maps over the snaps, on random groupings of random rows with blanks. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DEMO_SEED, simulateSeason } from '../../demo/league';
import { DEFAULT_BOOK } from '../book/default-book';
import { COLLEGE } from '../field';
import { NONE, UNSEEN } from '../snap';
import {
  buildColumns,
  cellsOf,
  countGame,
  cubes,
  filterValue,
  isSuccess,
  rowsByCell,
  yardsOf,
  type CountedSnap,
  type FilterField,
} from './index';

const counted = simulateSeason(DEMO_SEED, { tells: true, weeks: 2 })
  .flatMap((g) => countGame(g.snaps, COLLEGE, DEFAULT_BOOK))
  .map((c, i): CountedSnap => {
    if (i % 7 === 0) return { ...c, snap: { ...c.snap, formation: null, coverage: UNSEEN, play: null } };
    if (i % 11 === 0) return { ...c, snap: { ...c.snap, motion: NONE, concept: UNSEEN, gain: null } };
    return i % 13 === 0 ? { ...c, bucket: null, look: null } : c;
  });
const columns = buildColumns(counted);

const FIELDS: readonly FilterField[] = [
  'personnel',
  'formation',
  'motion',
  'play',
  'bucket',
  'hash',
  'coverage',
  'structure',
  'game',
  'carrier',
];
const groupings = fc.array(fc.subarray([...FIELDS], { minLength: 1, maxLength: 4 }), {
  minLength: 1,
  maxLength: 6,
});
const someRows = fc
  .array(fc.nat({ max: counted.length - 1 }), { minLength: 60, maxLength: 300, size: 'max' })
  .map((rows) => Uint32Array.from(new Set(rows)).sort());

const wordsOf = (row: number, fields: readonly FilterField[]): string =>
  fields.map((f) => filterValue(counted[row]!, f) ?? '').join('~');

function grouped(rows: Uint32Array, fields: readonly FilterField[]): Map<string, number[]> {
  const out = new Map<string, number[]>();
  for (const row of rows) {
    const key = wordsOf(row, fields);
    out.set(key, [...(out.get(key) ?? []), row]);
  }
  return out;
}

describe('cells', () => {
  it('each row is in the cell of its words, blanks of their own or nowhere', () => {
    fc.assert(
      fc.property(someRows, groupings, fc.boolean(), (rows, [fields], keepAbsent) => {
        const cells = cellsOf(columns, rows, fields!, keepAbsent);
        const plain = grouped(rows, fields!);
        const found = new Map(
          rowsByCell(cells).flatMap((list, cell): [string, number[]][] =>
            list.length === 0 ? [] : [[cells.words(cell).join('~'), [...list]]],
          ),
        );
        if (!keepAbsent)
          for (const key of plain.keys())
            if (key.split('~').some((w) => w === '' || w === NONE || w === UNSEEN)) plain.delete(key);
        expect(found).toEqual(plain);
      }),
      { numRuns: 300 },
    );
  });

  it('more possible cells than a table holds are met one by one', () => {
    const fields: FilterField[] = [
      'game',
      'formation',
      'carrier',
      'coverage',
      'bucket',
      'concept',
      'fieldBand',
    ];
    const possible = fields.reduce((n, f) => n * columns.text[f].words.length, 1);
    expect(possible).toBeGreaterThan(2 ** 22);
    const rows = Uint32Array.from(counted.keys());
    const cells = cellsOf(columns, rows, fields);
    expect(cells.size).toBe(grouped(rows, fields).size);
    rows.forEach((row, i) => expect(cells.words(cells.at[i]!).join('~')).toBe(wordsOf(row, fields)));
    const none = cellsOf(columns, rows, fields, false);
    const left = [...none.at].filter((cell) => cell === none.size).length;
    expect(left).toBe(
      [...rows].filter((r) =>
        wordsOf(r, fields)
          .split('~')
          .some((w) => w === '' || w === NONE || w === UNSEEN),
      ).length,
    );
    expect(left).toBeGreaterThan(0);
  });
});

/** A cell by reading its snaps. */
function plainly(rows: readonly number[]) {
  const snaps = rows.map((r) => counted[r]!.snap);
  const called = snaps.filter((s) => ['run', 'pass', 'rpo'].includes(s.play ?? ''));
  const judged = snaps.flatMap((s) => {
    const good = isSuccess({ ...s, ownScore: s.scoredBy === s.offense });
    return good === null ? [] : [good];
  });
  const yards = snaps.flatMap((s) => yardsOf(s) ?? []);
  const uses = new Map<string, number>();
  for (const { concept } of snaps)
    if (concept !== null && concept !== NONE && concept !== UNSEEN)
      uses.set(concept, (uses.get(concept) ?? 0) + 1);
  return {
    n: rows.length,
    run: [called.filter((s) => s.play === 'run').length, called.length],
    success: [judged.filter(Boolean).length, judged.length],
    yards: [yards.reduce((a, b) => a + b, 0), yards.length],
    top: [...uses].sort(([a, j], [b, k]) => k - j || (a < b ? -1 : 1)).slice(0, 3),
  };
}

describe('cubes', () => {
  it('every cell of every grouping is a plain count, asked for together or alone', () => {
    let cells = 0;
    fc.assert(
      fc.property(someRows, groupings, (rows, all) => {
        cubes(columns, rows, all).forEach((cube, g) => {
          const plain = grouped(rows, all[g]!);
          const alone = cubes(columns, rows, [all[g]!])[0]!;
          let met = 0;
          for (let cell = 0; cell < cube.size; cell++) {
            if (cube.n[cell] === 0) continue;
            met++;
            cells++;
            const of = (c: typeof cube, at: number) => ({
              n: c.n[at],
              run: [c.rates.run.k[at], c.rates.run.n[at]],
              success: [c.rates.success.k[at], c.rates.success.n[at]],
              yards: [c.yards.sum[at], c.yards.n[at]],
              top: [0, 1, 2].flatMap((i) =>
                c.top.k[3 * at + i]! === 0
                  ? []
                  : [[columns.text.concept.words[c.top.code[3 * at + i]!]!, c.top.k[3 * at + i]!]],
              ),
            });
            const key = cube.words(cell).join('~');
            expect(of(cube, cell)).toEqual(plainly(plain.get(key)!));
            const same = Array.from({ length: alone.size }, (_, i) => i).find(
              (i) => alone.n[i]! > 0 && alone.words(i).join('~') === key,
            );
            expect(of(alone, same!)).toEqual(of(cube, cell));
          }
          expect(met).toBe(plain.size);
        });
      }),
      { numRuns: 60 },
    );
    expect(cells).toBeGreaterThan(5000);
  });

  it('a smaller grouping summed from a larger one is the one counted from the snaps', () => {
    const rows = Uint32Array.from({ length: 100 * counted.length }, (_, i) => i % counted.length);
    const [large, small] = cubes(columns, rows, [['personnel', 'play', 'hash'], ['hash']]);
    const [alone] = cubes(columns, rows, [['hash']]);
    expect(large!.n.reduce((a, b) => a + b, 0)).toBe(rows.length);
    expect([small!.n, small!.rates, small!.yards, small!.top]).toEqual([
      alone!.n,
      alone!.rates,
      alone!.yards,
      alone!.top,
    ]);
  });
});
