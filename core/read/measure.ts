/** What a group of snaps is measured by: the same record for every count, the command line and the report. */
import { cellsOf, type Cells } from './cells';
import type { Columns } from './columns';
import { cubes } from './cube';
import type { FilterField } from './filters';
import { wilson, type Rate } from './rates';
import { meanAt, rateAt, tallyMeans, tallyRates, tallyWords, topAt } from './tally';
import { kish } from './weights';

export interface ConceptCount {
  readonly concept: string;
  readonly k: number;
}

export interface Measured {
  readonly n: number;
  /** Kish's effective size under weights; n without. */
  readonly worth: number;
  /** Runs among snaps whose call is tagged; an option is a call of its own. */
  readonly run: Rate;
  /** Among snaps that can be judged. */
  readonly success: Rate;
  /** Among snaps whose yards are known. */
  readonly explosive: Rate;
  /** Yards a snap, weighted; null where none is known. */
  readonly yards: { readonly mean: number | null; readonly n: number };
  /** The most used, ties by the alphabet. */
  readonly topConcepts: readonly ConceptCount[];
}

const MEASURED = ['run', 'success', 'explosive'] as const;

/** Measures every cell at once; what a cell's record holds is worked out when it is asked for. */
export function measureCells(columns: Columns, cells: Cells, most = 3): (cell: number) => Measured {
  const rates = tallyRates(columns, cells, MEASURED);
  const yards = tallyMeans(columns, cells, columns.figures('yards'));
  const concepts = tallyWords(cells, columns.text.concept);
  const worth = worths(columns, cells);
  const rate = (key: (typeof MEASURED)[number], cell: number): Rate => rateAt(rates.get(key)!, cell);
  return (cell) => ({
    n: cells.counts[cell]!,
    worth: worth(cell),
    run: rate('run', cell),
    success: rate('success', cell),
    explosive: rate('explosive', cell),
    yards: { mean: meanAt(yards, cell).mean, n: yards.n[cell]! },
    topConcepts: topAt(concepts, cell, most).map(({ word, k }) => ({ concept: word, k })),
  });
}

function worths({ weight }: Columns, { rows, at, size, counts }: Cells): (cell: number) => number {
  if (weight === null) return (cell) => counts[cell]!;
  const [sum, squares] = [new Float64Array(size + 1), new Float64Array(size + 1)];
  for (let i = 0; i < rows.length; i++) {
    const w = weight[rows[i]!]!;
    sum[at[i]!]! += w;
    squares[at[i]!]! += w * w;
  }
  return (cell) => kish(sum[cell]!, squares[cell]!);
}

/** Of some rows together. */
export const measure = (columns: Columns, rows: Uint32Array, most = 3): Measured =>
  measureCells(columns, cellsOf(columns, rows, []), most)(0);

export interface MeasuredGroup {
  readonly words: readonly string[];
  readonly measured: Measured;
}
/** Of each group of rows by fields, the largest first, then by words; blank, none and unseen are in no group. */
export function measureBy(columns: Columns, rows: Uint32Array, by: readonly FilterField[]): MeasuredGroup[] {
  const groups = columns.weight === null ? whole(columns, rows, by) : weighted(columns, rows, by);
  return groups.sort(
    (a, b) => b.measured.n - a.measured.n || a.words.join('\u0000').localeCompare(b.words.join('\u0000')),
  );
}

function weighted(columns: Columns, rows: Uint32Array, by: readonly FilterField[]): MeasuredGroup[] {
  const cells = cellsOf(columns, rows, by, false);
  const of = measureCells(columns, cells);
  const out: MeasuredGroup[] = [];
  for (let cell = 0; cell < cells.size; cell++)
    if (cells.counts[cell]! > 0) out.push({ words: cells.words(cell), measured: of(cell) });
  return out;
}

/** Where every snap counts whole, the packed counters of a cube say the same, and sooner. */
function whole(columns: Columns, rows: Uint32Array, by: readonly FilterField[]): MeasuredGroup[] {
  const cube = cubes(columns, rows, [by])[0]!;
  const { words } = columns.text.concept;
  const { rates, yards, top } = cube;
  const rate = (key: keyof typeof rates, cell: number): Rate =>
    wilson(rates[key].k[cell]!, rates[key].n[cell]!);
  const out: MeasuredGroup[] = [];
  for (let cell = 0; cell < cube.size; cell++) {
    const n = cube.n[cell]!;
    if (n === 0 || !cube.tagged(cell)) continue;
    const known = yards.n[cell]!;
    const topConcepts: ConceptCount[] = [];
    for (let i = 3 * cell; i < 3 * cell + 3 && top.k[i]! > 0; i++)
      topConcepts.push({ concept: words[top.code[i]!]!, k: top.k[i]! });
    const measured: Measured = {
      n,
      worth: n,
      run: rate('run', cell),
      success: rate('success', cell),
      explosive: rate('explosive', cell),
      yards: { mean: known === 0 ? null : yards.sum[cell]! / known, n: known },
      topConcepts,
    };
    out.push({ words: cube.words(cell), measured });
  }
  return out;
}
