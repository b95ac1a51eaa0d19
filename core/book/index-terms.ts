import { normalizePhrase, phrasesOf, type Book, type Term } from './term';

/** Phrases of a book, ready for leftmost-longest matching. */
export interface TermIndex {
  readonly byPhrase: ReadonlyMap<string, readonly Term[]>;
  readonly mostWords: number;
  /** All phrases in one flat list, for completion and for "nearest". */
  readonly phrases: readonly { readonly phrase: string; readonly term: Term }[];
  readonly letters: ReadonlySet<string>;
  /** Term by "kind|value", "kind|word" and "kind|alias". */
  readonly byKind: ReadonlyMap<string, Term>;
}

const cache = new WeakMap<Book, TermIndex>();

/** The index of a book; made once a book value (books never change, they are replaced). */
export function termIndex(book: Book): TermIndex {
  const known = cache.get(book);
  if (known) return known;
  const byPhrase = new Map<string, Term[]>();
  const phrases: { phrase: string; term: Term }[] = [];
  const byKind = new Map<string, Term>();
  let mostWords = 1;
  // A stored value goes before another word's alias.
  for (const term of book.terms)
    if (!byKind.has(`${term.kind}|${term.value ?? term.word}`))
      byKind.set(`${term.kind}|${term.value ?? term.word}`, term);
  for (const term of book.terms) {
    for (const phrase of new Set(phrasesOf(term))) {
      byPhrase.set(phrase, [...(byPhrase.get(phrase) ?? []), term]);
      phrases.push({ phrase, term });
      if (!byKind.has(`${term.kind}|${phrase}`)) byKind.set(`${term.kind}|${phrase}`, term);
      mostWords = Math.max(mostWords, phrase.split(' ').length);
    }
  }
  const index: TermIndex = {
    byKind,
    byPhrase,
    mostWords,
    phrases,
    letters: new Set(book.letters.map((l) => l.toLowerCase()).filter((l) => !['l', 'r', 'm'].includes(l))),
  };
  cache.set(book, index);
  return index;
}

/** The term a stored value belongs to, for drawing and labels. */
export function findTerm(book: Book, kind: Term['kind'], value: string | null): Term | null {
  if (value === null) return null;
  const { byKind } = termIndex(book);
  return byKind.get(`${kind}|${value}`) ?? byKind.get(`${kind}|${normalizePhrase(value)}`) ?? null;
}

/** Damerau–Levenshtein distance (adjacent swaps count one), stopped above `most`. */
export function editDistance(a: string, b: string, most = 3): number {
  if (Math.abs(a.length - b.length) > most) return most + 1;
  let before: number[] = [];
  let last = Array.from({ length: b.length + 1 }, (_, i) => i);
  for (let i = 1; i <= a.length; i++) {
    const row = [i];
    for (let j = 1; j <= b.length; j++) {
      let cost = Math.min(last[j]! + 1, row[j - 1]! + 1, last[j - 1]! + (a[i - 1] === b[j - 1] ? 0 : 1));
      if (i > 1 && j > 1 && a[i - 1] === b[j - 2] && a[i - 2] === b[j - 1])
        cost = Math.min(cost, before[j - 2]! + 1);
      row.push(cost);
    }
    if (Math.min(...row) > most) return most + 1;
    before = last;
    last = row;
  }
  return last[b.length]!;
}
