/** Pictures that give a play away: of one grouping, formation, place of the back and motion, one concept most of the time. */
import { NONE } from '../snap/snap';
import { groupBy } from './cells';
import { FIRST_VALUE, type Columns } from './columns';
import type { FilterField } from './filters';
import { FEW, wilson, type Rate } from './rates';

/** What a defense sees before the snap. */
export const PICTURE: readonly FilterField[] = ['personnel', 'formation', 'backTo', 'motion'];
/** A share above this gives the play away (a staff's choice; the usual one). */
export const GIVES_AWAY = 70;

/**
 * How many other plays bring a habit of k in n down to a share of `percent`: max(0, ⌈(100k − percent · n) / percent⌉),
 * in whole numbers. Numbers handbook, section 6.
 */
export const dilution = (k: number, n: number, percent: number): number => {
  const over = 100 * k - percent * n;
  return over <= 0 ? 0 : Math.floor((over + percent - 1) / percent);
};

export interface OnePlay {
  /** Codes of the words, joined, as in the address. */
  readonly key: string;
  readonly words: readonly string[];
  readonly concept: string;
  readonly rate: Rate;
  /** Other plays to show from it. */
  readonly add: number;
  /** What else was called from it, most used first. */
  readonly others: readonly { readonly word: string; readonly n: number }[];
  /** Of the concept, and of the whole picture. */
  readonly rows: Uint32Array;
  readonly all: Uint32Array;
}

/** The most plays to add first. Pictures with fewer than eight tagged calls say nothing yet. */
export function onePlayPictures(columns: Columns, rows: Uint32Array, percent = GIVES_AWAY): OnePlay[] {
  const { codes, words } = columns.text.concept;
  const called = rows.filter((row) => codes[row]! >= FIRST_VALUE);
  return groupBy(columns, called, PICTURE, true)
    .filter(({ rows: all, words: said }) => all.length >= FEW && said.some((w) => w !== ''))
    .flatMap(({ rows: all, words: said }): OnePlay[] => {
      const counts = new Map<number, number>();
      for (const row of all) counts.set(codes[row]!, (counts.get(codes[row]!) ?? 0) + 1);
      const ranked = [...counts]
        .map(([code, n]) => ({ code, word: words[code]!, n }))
        .sort((a, b) => b.n - a.n || (a.word < b.word ? -1 : 1));
      const [top, ...others] = ranked;
      const add = dilution(top!.n, all.length, percent);
      if (add === 0) return [];
      return [
        {
          key: said.map((w) => encodeURIComponent(w)).join('~'),
          words: said,
          concept: top!.word,
          rate: wilson(top!.n, all.length),
          add,
          others: others.map(({ word, n }) => ({ word, n })),
          rows: all.filter((row) => codes[row] === top!.code),
          all,
        },
      ];
    })
    .sort((a, b) => b.add - a.add || b.rate.n - a.rate.n || (a.key < b.key ? -1 : 1));
}

/** "12, wing right, back to strength, no motion": blanks are left out. */
export const pictureWords = (words: readonly string[]): string =>
  words
    .map((word, i) => (word === NONE && PICTURE[i] === 'motion' ? 'no motion' : word))
    .filter((word) => word !== '' && word !== NONE)
    .join(', ');

/** The snaps of a picture by name: "o/<key>" its one play, "o/<key>/all" the whole picture. */
export function onePlayReel(
  name: string,
  columns: Columns,
  rows: Uint32Array,
): { readonly title: string; readonly rows: Uint32Array } {
  const [, key, part] = name.split('/');
  // Whatever share the screen asks for.
  const found = onePlayPictures(columns, rows, 1).find((p) => p.key === key);
  if (!found) return { title: '', rows: new Uint32Array(0) };
  const title = pictureWords(found.words);
  return part === 'all'
    ? { title, rows: found.all }
    : { title: `${title}: ${found.concept}`, rows: found.rows };
}
