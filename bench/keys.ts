/**
 * Keys a snap: what a charter presses who takes the best of the offers at each point, on a game that the model has
 * not seen whole (the earlier games of the season, and this game's snaps so far), with 4, 8 and 14 fields a snap.
 * Beside it the bits that the model leaves open a snap (its mean surprise): no way of asking needs less than that.
 */
import { DEFAULT_BOOK } from '../core/book/default-book';
import { COLLEGE } from '../core/field';
import {
  buildHabits,
  complete,
  type Completion,
  habitOf,
  NO_HABITS,
  parseLine,
  rankWords,
  SAID,
  saidWords,
  type Habits,
} from '../core/line';
import { walkGame, type WalkedSnap } from '../core/rules';
import type { SnapField, SnapFields } from '../core/snap';
import { DEMO_SEED, simulateSeason } from '../demo/league';

const FOUR: readonly SnapField[] = ['formation', 'formationSide', 'concept', 'gain'];
const EIGHT: readonly SnapField[] = [...FOUR, 'personnel', 'direction', 'front', 'coverage'];
const FOURTEEN: readonly SnapField[] = [
  ...EIGHT,
  'backfield',
  'motion',
  'motionBy',
  'pressure',
  'carrier',
  'result',
];
export const FIELD_SETS = [
  [4, FOUR],
  [8, EIGHT],
  [14, FOURTEEN],
] as const;
/** Derived by the words that say another. */
const ALSO: readonly SnapField[] = ['play', 'conceptWeak', 'passer', 'target', 'incompleteCause'];
const MOST_OFFERS = 5;
/** The model takes in the snaps of this game this often. */
const ANEW = 10;

const pick = (fields: SnapFields, wanted: ReadonlySet<SnapField>): SnapFields =>
  Object.fromEntries(Object.entries(fields).filter(([f]) => wanted.has(f as SnapField)));

/** The words typed with the gain: a result word where the gain does not say it. */
const ending = ({ result, gain, score, incompleteCause }: SnapFields): string =>
  [
    result === 'incomplete'
      ? incompleteCause === 'dropped'
        ? 'dropped'
        : 'inc'
      : result === 'sack'
        ? `sack ${gain ?? ''}`
        : result === 'scramble'
          ? `scramble +${gain ?? 0}`
          : gain == null
            ? ''
            : gain > 0
              ? `+${gain}`
              : String(gain),
    score === 'touchdown' ? 'td' : '',
  ]
    .filter(Boolean)
    .join(' ');

/** Columns an offer says, all of them wanted; null: it says something else. */
export function columnsSaid(insert: string, wanted: ReadonlyMap<number, string>): number[] | null {
  let rest = insert;
  const columns: number[] = [];
  while (rest !== '') {
    const found = [...wanted].find(
      ([c, word]) => !columns.includes(c) && (rest === word || rest.startsWith(`${word} `)),
    );
    if (!found) return null;
    columns.push(found[0]);
    rest = rest.slice(found[1].length).trimStart();
  }
  return columns;
}

/** Keys to say the words, offers taken where they save any: each has a key of its own; each letter one. */
function keysOf(words: readonly string[], end: string, row: WalkedSnap, habits: Habits): number {
  const { offense, defense } = row.before;
  const situation = { offense, defense, bucket: row.bucket };
  const context = { book: DEFAULT_BOOK, profile: COLLEGE, state: row.before, previous: null };
  const left = new Map(SAID.flatMap((_, c) => (words[c] ? [[c, words[c]!] as const] : [])));
  let text = '';
  let keys = 0;
  const known = new Map<string, readonly Completion[]>();
  const offersAt = (typed: string): readonly Completion[] => {
    const before = known.get(typed);
    if (before) return before;
    const made = complete(
      {
        text: typed,
        caret: typed.length,
        book: DEFAULT_BOOK,
        habits,
        situation,
        said: parseLine(typed, context).fields,
      },
      MOST_OFFERS,
    );
    known.set(typed, made);
    return made;
  };
  while (left.size > 0) {
    let best: { columns: number[]; keys: number; insert: string; perColumn: number } | null = null;
    const consider = (typed: string, prefix: string): void => {
      offersAt(text + typed).forEach((offer) => {
        const insert = typed === '' ? offer.insert : offer.insert.startsWith(prefix) ? offer.insert : '';
        const columns = insert === '' ? null : columnsSaid(insert, left);
        if (!columns || columns.length === 0) return;
        const cost = typed.length + 1;
        const letters = columns.reduce((n, c) => n + left.get(c)!.length + 1, 0);
        if (cost >= letters) return;
        const perColumn = cost / columns.length;
        if (!best || perColumn < best.perColumn) best = { columns, keys: cost, insert, perColumn };
      });
    };
    consider('', '');
    for (const word of left.values())
      for (let n = 1; n <= 3 && n < word.length; n++) consider(word.slice(0, n), word.slice(0, n));
    if (best === null) {
      const [c, word] = [...left][0]!;
      best = { columns: [c], keys: word.length + 1, insert: word, perColumn: word.length + 1 };
    }
    keys += best.keys;
    text += `${best.insert} `;
    for (const c of best.columns) left.delete(c);
  }
  return keys + end.length + 1;
}

export interface Keys {
  readonly fields: number;
  readonly snaps: number;
  readonly keys: number;
  /** Mean surprise of the words a snap under the model, bits; the gain left out. */
  readonly bits: number;
  readonly letters: number;
}

/** Charts the last games of four weeks with what came before them; `every`: that many snaps apart. */
export function countKeys(games: number, every = 1, seed = DEMO_SEED): Keys[] {
  const season = simulateSeason(seed, { tells: true, weeks: 4 });
  const walked = season.map((g) => walkGame(g.snaps, COLLEGE).filter((r) => r.before.unit === 'scrimmage'));
  const cut = walked.length - games;
  return FIELD_SETS.map(([n, set]) => {
    const wanted = new Set<SnapField>([...set, ...(set.includes('concept') ? ALSO : [])]);
    if (!set.includes('carrier')) for (const f of ['passer', 'target'] as const) wanted.delete(f);
    const only = (row: WalkedSnap): WalkedSnap => ({
      ...row,
      snap: { ...row.snap, ...Object.fromEntries(SAID.map((f) => [f, null])), ...pick(row.snap, wanted) },
    });
    const slim = (row: WalkedSnap) => ({ ...habitOf(row), snap: pick(row.snap, wanted) });
    const base = buildHabits(walked.slice(0, cut).flat().map(slim), DEFAULT_BOOK, NO_HABITS);
    let [keys, bits, snaps, letters] = [0, 0, 0, 0];
    for (const game of walked.slice(cut)) {
      const seen: WalkedSnap[] = [];
      let habits = base;
      for (const [at, row] of game.entries()) {
        if (at % ANEW === 0) habits = buildHabits(seen.map(slim), DEFAULT_BOOK, base);
        seen.push(only(row));
        if (at % every > 0) continue;
        const words = saidWords(pick(row.snap, wanted), DEFAULT_BOOK);
        const end = ending(row.snap);
        keys += keysOf(words, end, row, habits);
        letters += [...words.filter(Boolean), end].join(' ').length + 1;
        const { offense, defense } = row.before;
        const said: (string | null)[] = SAID.map(() => null);
        SAID.forEach((_, c) => {
          const { share } = rankWords(habits, c, { offense, defense, bucket: row.bucket }, said);
          const at = habits.words[c]?.indexOf(words[c]!) ?? -1;
          // A word never seen: its letters, at five bits each.
          bits += at < 0 ? 5 * words[c]!.length : -Math.log2(Math.max(share[at]!, 1e-6));
          said[c] = words[c]!;
        });
        snaps++;
      }
    }
    return { fields: n, snaps, keys: keys / snaps, bits: bits / snaps, letters: letters / snaps };
  });
}
