/**
 * What was charted before, as columns of small integers: one word of the line ("trips r", "h jet") a column. Ranks
 * what is said next by back-off: everything this staff charted, this team, this situation, the words said so far.
 */
import type { Book } from '../book/term';
import type { WalkedSnap } from '../rules/walk';
import { columnOf, fieldsWith, SNAP_FIELDS } from '../snap/fields';
import { NONE, UNSEEN, type SnapField, type SnapFields } from '../snap/snap';
import { naturalWords } from './format';

/** Words of the line that are said in one breath, in the order in which they are usually said. */
export const SAID: readonly SnapField[] = fieldsWith('said').sort(
  (a, b) => SNAP_FIELDS[a].said! - SNAP_FIELDS[b].said!,
);
const PARTS: readonly (readonly SnapField[])[] = SAID.map((field) => {
  const { side, with: others } = SNAP_FIELDS[field];
  return [field, ...(side ? [side] : []), ...((others ?? []) as readonly SnapField[])];
});
/** Words of the defense are ranked by what the defense did. */
const OF_DEFENSE: readonly boolean[] = SAID.map((f) => SNAP_FIELDS[f].about === 'defense');
const LOOK = SAID.indexOf('formation');

export interface Situation {
  readonly offense: string | null;
  readonly defense: string | null;
  readonly bucket: string | null;
}
export interface Earlier extends Situation {
  readonly snap: SnapFields;
}

export const habitOf = ({ snap, before, bucket }: WalkedSnap): Earlier => ({
  snap,
  offense: before.offense,
  defense: before.defense,
  bucket,
});

/** Code 0 of a column: nothing was said. It is plain JSON, to send to the browser. */
export interface Habits {
  readonly n: number;
  readonly words: readonly (readonly string[])[];
  readonly codes: readonly (readonly number[])[];
  /** Offense, defense and bucket; code 0: not known. */
  readonly about: readonly [readonly string[], readonly string[], readonly string[]];
  readonly aboutCodes: readonly [readonly number[], readonly number[], readonly number[]];
}

const plain: ReadonlySet<SnapField> = new Set();
/** The words of a snap by column; '' where nothing is said. */
export function saidWords(fields: SnapFields, book: Book): string[] {
  return PARTS.map((parts, c) => {
    const field = SAID[c]!;
    const main = fields[field];
    const name = SNAP_FIELDS[field].typed?.at(-1) ?? columnOf(field);
    if (main === NONE) return `no ${name}`;
    if (main === UNSEEN) return `${name} unseen`;
    const some: Record<string, unknown> = {};
    for (const field of parts) if (fields[field] != null) some[field] = fields[field];
    return Object.keys(some).length === 0 ? '' : naturalWords(some as SnapFields, book, plain).join(' ');
  });
}

/** Words of a snap are made once: a snap never changes, it is replaced. */
const known = new WeakMap<SnapFields, { readonly book: Book; readonly words: readonly string[] }>();
function wordsOf(snap: SnapFields, book: Book): readonly string[] {
  const before = known.get(snap);
  if (before?.book === book) return before.words;
  const words = saidWords(snap, book);
  known.set(snap, { book, words });
  return words;
}

/** Builds the columns; `more` rows are put behind those that are there. Linear in rows. */
export function buildHabits(earlier: readonly Earlier[], book: Book, base: Habits = NO_HABITS): Habits {
  const extend = (words: readonly string[], codes: readonly number[], values: readonly string[]) => {
    const list = words.length > 0 ? [...words] : [''];
    const codeOf = new Map(list.map((w, i) => [w, i]));
    const added: number[] = [];
    for (const value of values) {
      let code = codeOf.get(value);
      if (code === undefined) {
        code = list.length;
        list.push(value);
        codeOf.set(value, code);
      }
      added.push(code);
    }
    return { words: list, codes: codes.concat(added) };
  };
  const rows = earlier.map(({ snap }) => wordsOf(snap, book));
  const said = SAID.map((_, c) =>
    extend(
      base.words[c] ?? [],
      base.codes[c] ?? [],
      rows.map((r) => r[c]!),
    ),
  );
  const about = (['offense', 'defense', 'bucket'] as const).map((key, a) =>
    extend(
      base.about[a]!,
      base.aboutCodes[a]!,
      earlier.map((e) => e[key] ?? ''),
    ),
  );
  const built: Habits = {
    n: base.n + earlier.length,
    words: said.map((s) => s.words),
    codes: said.map((s) => s.codes),
    about: about.map((a) => a.words) as unknown as Habits['about'],
    aboutCodes: about.map((a) => a.codes) as unknown as Habits['aboutCodes'],
  };
  if (base.n > 0) indexes.set(built, indexRows(built, indexOf(base)));
  return built;
}
export const NO_HABITS: Habits = {
  n: 0,
  words: [],
  codes: [],
  about: [[], [], []],
  aboutCodes: [[], [], []],
};

/** The columns as typed arrays, with what never changes between two keys counted once. */
interface Indexed {
  readonly codes: readonly Uint16Array[];
  readonly buckets: Uint16Array;
  /** Rows of a team, offense and defense, by its code. */
  readonly rowsOf: readonly [readonly Uint32Array[], readonly Uint32Array[]];
  readonly totals: readonly Uint32Array[];
  /** Codes of the words of a column that hold a term, as they are asked for. */
  readonly holding: readonly Map<string, readonly number[]>[];
}
const indexes = new WeakMap<Habits, Indexed>();
const NOTHING: Indexed = {
  codes: SAID.map(() => new Uint16Array()),
  buckets: new Uint16Array(),
  rowsOf: [[], []],
  totals: SAID.map(() => new Uint32Array()),
  holding: [],
};

function indexOf(habits: Habits): Indexed {
  const known = indexes.get(habits);
  if (known) return known;
  const made = indexRows(habits, NOTHING);
  indexes.set(habits, made);
  return made;
}

/** Counts the rows behind those that `before` holds: a season is not counted anew for each snap logged. */
function indexRows(habits: Habits, before: Indexed): Indexed {
  const from = before.buckets.length;
  const behind = (old: Uint16Array, all: readonly number[]): Uint16Array => {
    const out = new Uint16Array(all.length);
    out.set(old);
    for (let i = old.length; i < all.length; i++) out[i] = all[i]!;
    return out;
  };
  const codes = SAID.map((_, c) => behind(before.codes[c]!, habits.codes[c] ?? []));
  const rowsOf = ([0, 1] as const).map((side) => {
    const added: number[][] = habits.about[side].map(() => []);
    const teams = habits.aboutCodes[side];
    for (let i = from; i < teams.length; i++) added[teams[i]!]!.push(i);
    return added.map((list, team) => {
      const old = before.rowsOf[side][team] ?? new Uint32Array();
      return list.length === 0 ? old : Uint32Array.from([...old, ...list]);
    });
  });
  const totals = SAID.map((_, c) => {
    const counts = new Uint32Array(habits.words[c]?.length ?? 0);
    counts.set(before.totals[c]!);
    const mine = codes[c]!;
    for (let i = before.codes[c]!.length; i < mine.length; i++) counts[mine[i]!]!++;
    return counts;
  });
  return {
    codes,
    buckets: behind(before.buckets, habits.aboutCodes[2]),
    rowsOf: rowsOf as unknown as Indexed['rowsOf'],
    totals,
    holding: SAID.map(() => new Map()),
  };
}

/** Codes of the words of a column that hold a term: "trips l" and "trips r" hold "trips". */
export function wordsHolding(habits: Habits, column: number, term: string): readonly number[] {
  const { holding } = indexOf(habits);
  const known = holding[column]!.get(term);
  if (known) return known;
  const found = (habits.words[column] ?? []).flatMap((w, i) => (` ${w} `.includes(` ${term} `) ? [i] : []));
  holding[column]!.set(term, found);
  return found;
}

/** How likely each word of a column is. */
export interface Ranked {
  readonly share: Float64Array;
  /** Counts in the nearest situation with eight rows, else of the team, and its n. */
  readonly counts: ArrayLike<number>;
  readonly of: number;
}

/** Fewer are ranked by, but not shown: their counts would not say why a word stands first. */
const LEAST_SHOWN = 8;
/** Rows that the shares of the wider situation count as. */
const PRIOR = 20;
/** Everybody; the team; the team in the situation; with this formation; with all that was said; that in the situation. */
const LEVELS = 6;

/**
 * Shares of the words of a column, "nothing said" among them: each level's shares are the prior of the next.
 * `said`: the words of the other columns, null where nothing was said of them yet. Linear in the team's rows.
 */
export function rankWords(
  habits: Habits,
  column: number,
  situation: Situation,
  said: readonly (string | null)[],
): Ranked {
  const { codes, buckets, rowsOf, totals } = indexOf(habits);
  const width = habits.words[column]?.length ?? 0;
  const mine = codes[column]!;
  const side = OF_DEFENSE[column] ? 1 : 0;
  const team = habits.about[side].indexOf((side ? situation.defense : situation.offense) ?? ' ');
  const bucket = habits.about[2].indexOf(situation.bucket ?? ' ');
  const wanted: Uint16Array[] = [];
  const values: number[] = [];
  let look: Uint16Array | null = null;
  let lookCode = -1;
  for (let c = 0; c < SAID.length; c++) {
    const word = said[c];
    if (c === column || word === null || word === undefined) continue;
    wanted.push(codes[c]!);
    values.push(habits.words[c]?.indexOf(word) ?? -1);
    if (c === LOOK) [look, lookCode] = [codes[c]!, values[values.length - 1]!];
  }
  const counts = Array.from({ length: LEVELS }, (_, l) =>
    l === 0 ? totals[column]! : new Uint32Array(width),
  );
  const n = new Uint32Array(LEVELS);
  n[0] = habits.n;
  for (const i of rowsOf[side][team] ?? []) {
    const code = mine[i]!;
    const here = buckets[i] === bucket;
    counts[1]![code]!++;
    n[1]!++;
    if (here) {
      counts[2]![code]!++;
      n[2]!++;
    }
    if (look !== null && look[i] === lookCode) {
      counts[3]![code]!++;
      n[3]!++;
    }
    let all = wanted.length > 0;
    for (let w = 0; all && w < wanted.length; w++) all = wanted[w]![i] === values[w];
    if (!all) continue;
    counts[4]![code]!++;
    n[4]!++;
    if (here) {
      counts[5]![code]!++;
      n[5]!++;
    }
  }
  let share = new Float64Array(width).fill(1 / Math.max(1, width));
  let nearest = 0;
  for (let level = 0; level < LEVELS; level++) {
    if (n[level] === 0) continue;
    if (n[level]! >= LEAST_SHOWN || level <= 1) nearest = level;
    const next = new Float64Array(width);
    for (let v = 0; v < width; v++) next[v] = (counts[level]![v]! + PRIOR * share[v]!) / (n[level]! + PRIOR);
    share = next;
  }
  return { share, counts: counts[nearest]!, of: n[nearest]! };
}
