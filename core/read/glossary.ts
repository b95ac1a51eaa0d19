/** The words of a report: what each that stands on this film means in the book, and by which other names it goes. */
import { findTerm } from '../book/index-terms';
import { formationStructure } from '../book/drawn-terms';
import { formatDefinition } from '../book/definition';
import { KIND_FIELD, TERM_KIND_LABEL, type Book, type Term, type TermKind } from '../book/term';
import type { LevelProfile } from '../field/profile';
import { FIRST_VALUE, type Columns } from './columns';
import { isFilterField } from './filters';

export interface GlossaryWord {
  readonly kind: string;
  readonly word: string;
  /** Other names of the same thing, as other staffs say it. */
  readonly also: readonly string[];
  /** Null: the book does not say. */
  readonly means: string | null;
  /** Snaps with it. */
  readonly n: number;
}

const KINDS: readonly TermKind[] = [
  'formation',
  'backfield',
  'motion',
  'run',
  'pass',
  'protection',
  'front',
  'coverage',
  'pressure',
];

function meaningOf(book: Book, term: Term, profile: LevelProfile): string | null {
  if (term.definition) return formatDefinition(term.definition);
  if (term.kind !== 'formation' || !term.spots) return null;
  const { left, right } = formationStructure(book, term, 'R', profile);
  const named = [...right.names, ...left.names].join(', ');
  return `${right.receivers.length}x${left.receivers.length}${named ? `: ${named}` : ''}`;
}

/** By kind in the book's order, most used first. */
export function glossaryOf(
  columns: Columns,
  rows: Uint32Array,
  book: Book,
  profile: LevelProfile,
): GlossaryWord[] {
  return KINDS.flatMap((kind) => {
    const { field } = KIND_FIELD[kind];
    if (!isFilterField(field)) return [];
    const { codes, words } = columns.text[field];
    const counts = new Uint32Array(words.length);
    for (const row of rows) counts[codes[row]!]!++;
    return words
      .map((word, code) => ({ word, n: counts[code]!, code }))
      .filter(({ n, code }) => n > 0 && code >= FIRST_VALUE)
      .sort((a, b) => b.n - a.n || (a.word < b.word ? -1 : 1))
      .flatMap(({ word, n }) => {
        const term = findTerm(book, kind, word);
        // Runs and passes are one field: a word is of the kind that the book has it in.
        if (!term)
          return kind === 'run' || (kind === 'pass' && findTerm(book, 'run', word))
            ? []
            : [{ kind: TERM_KIND_LABEL[kind], word, also: [], means: null, n }];
        const { aliases } = term;
        return [
          { kind: TERM_KIND_LABEL[kind], word, also: aliases, means: meaningOf(book, term, profile), n },
        ];
      });
  });
}
