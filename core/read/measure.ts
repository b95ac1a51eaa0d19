/** What a group of snaps is measured by: one pass, the same for every board, the command line and the report. */
import { FIRST_VALUE, UNKNOWN, type Columns } from './columns';
import { rateOfSums, type Rate } from './rates';
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

/** A rate being counted: hits and all, with the sums of weights and of their squares. */
const sums = (): Float64Array => new Float64Array(5);
function add(into: Float64Array, hit: boolean, weight: number): void {
  into[1]!++;
  into[3]! += weight;
  into[4]! += weight * weight;
  if (!hit) return;
  into[0]!++;
  into[2]! += weight;
}

/** Measures rows. Cost: linear in them, and in the words for concepts. */
export function measure(columns: Columns, rows: ArrayLike<number>, most = 3): Measured {
  const { play, concept } = columns.text;
  const called = play.words.map((w) => w === 'run' || w === 'pass' || w === 'rpo');
  const ran = play.codeOf.get('run') ?? -1;
  const [run, success, explosive] = [sums(), sums(), sums()];
  const concepts = new Uint32Array(concept.words.length);
  let [weights, squares, yards, gained, known] = [0, 0, 0, 0, 0];
  for (let i = 0; i < rows.length; i++) {
    const row = rows[i]!;
    const weight = columns.weight === null ? 1 : columns.weight[row]!;
    weights += weight;
    squares += weight * weight;
    const call = play.codes[row]!;
    if (called[call]) add(run, call === ran, weight);
    if (columns.success[row] !== 2) add(success, columns.success[row] === 1, weight);
    concepts[concept.codes[row]!]!++;
    const gain = columns.yards[row]!;
    if (gain === UNKNOWN) continue;
    known++;
    yards += weight * gain;
    gained += weight;
    add(explosive, columns.explosive[row] === 1, weight);
  }
  return {
    n: rows.length,
    worth: kish(weights, squares),
    run: rateOfSums(run),
    success: rateOfSums(success),
    explosive: rateOfSums(explosive),
    yards: { mean: gained === 0 ? null : yards / gained, n: known },
    topConcepts: [...concepts]
      .map((k, code) => ({ concept: concept.words[code]!, k, code }))
      .filter(({ k, code }) => k > 0 && code >= FIRST_VALUE)
      .sort((a, b) => b.k - a.k || (a.concept < b.concept ? -1 : 1))
      .slice(0, most)
      .map(({ concept: word, k }) => ({ concept: word, k })),
  };
}
