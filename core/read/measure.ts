/** What a group of snaps is measured by: the same record for every count, the command line and the report. */
import { cellsOf, type Cells } from './cells';
import type { Columns } from './columns';
import type { FilterField } from './filters';
import type { Rate } from './rates';
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
  const yards = tallyMeans(columns, cells, columns.yards);
  const concepts = tallyWords(cells, columns.text.concept);
  const worth = worths(columns, cells);
  const rate = (key: (typeof MEASURED)[number], cell: number): Rate => rateAt(rates.get(key)!, cell);
  return (cell) => ({
    n: cells.counts[cell]!,
    worth: worth(cell),
    run: rate('run', cell),
    success: rate('success', cell),
    explosive: rate('explosive', cell),
    yards: meanAt(yards, cell),
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
export function measureBy(
  columns: Columns,
  rows: Uint32Array,
  by: readonly FilterField[],
  most = 3,
): MeasuredGroup[] {
  const cells = cellsOf(columns, rows, by, false);
  const of = measureCells(columns, cells, most);
  const out: MeasuredGroup[] = [];
  for (let cell = 0; cell < cells.size; cell++)
    if (cells.counts[cell]! > 0) out.push({ words: cells.words(cell), measured: of(cell) });
  return out.sort(
    (a, b) => b.measured.n - a.measured.n || a.words.join('\u0000').localeCompare(b.words.join('\u0000')),
  );
}
