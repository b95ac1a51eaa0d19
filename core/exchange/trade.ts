/**
 * Games traded with another staff: what is a staff's own is left out and listed, and their terms are read as ours:
 * by the word, by the meaning, or as new terms of the book.
 */
import { KIND_FIELD, normalizePhrase, phrasesOf, storedValue, type Book, type Term } from '../book/term';
import { columnOf, SNAP_FACTS, SNAP_FIELDS, sameValue, type SnapFact } from '../snap';
import { emptyTables, type Row, type Tables } from '../table';

/** Notes, grades and judgments of a staff: they never leave it with a traded game. */
export const PRIVATE: readonly SnapFact[] = SNAP_FACTS.filter(
  (f) =>
    SNAP_FIELDS[f].about === 'own' ||
    ['note', 'kept', 'coachingPoint', 'praised', 'causes', 'process'].includes(f),
);

export interface LeftOut {
  readonly what: string;
  /** Cells or rows that hold something. */
  readonly n: number;
}
export interface Traded {
  readonly tables: Tables;
  readonly book: Book;
  readonly leftOut: readonly LeftOut[];
}

const isBlank = (value: unknown): boolean =>
  value === null || value === undefined || (Array.isArray(value) && value.length === 0);

/** Columns that a term of a kind may fill, more than its own where two of a kind stand in a snap. */
const columnsOf = (kind: Term['kind']): string[] =>
  SNAP_FACTS.filter((f) => SNAP_FIELDS[f].terms?.includes(kind) || KIND_FIELD[kind].field === f).map(
    columnOf,
  );

function valuesIn(rows: readonly Row[], columns: readonly string[]): Set<string> {
  const out = new Set<string>();
  for (const row of rows)
    for (const column of columns) {
      const value = row[column];
      if (typeof value === 'string') out.add(value);
      else if (Array.isArray(value)) for (const one of value) if (typeof one === 'string') out.add(one);
    }
  return out;
}

/** Some games of the tables as they may be given away, with the terms they are charted in. */
export function tradeGames(all: Tables, book: Book, games: readonly string[]): Traded {
  const of = new Set(games);
  const inGames = (row: Row): boolean => of.has(String(row.game));
  const chosen = all.games.filter(inGames);
  const playing = new Set(chosen.flatMap((g) => [g.home, g.away]));
  const snaps = all.snaps.filter(inGames);
  const leftOut: LeftOut[] = PRIVATE.map((field) => ({
    what: SNAP_FIELDS[field].label,
    n: snaps.filter((s) => !isBlank(s[columnOf(field)])).length,
  })).filter((l) => l.n > 0);
  const bare = snaps.map((row): Row => ({
    ...row,
    ...Object.fromEntries(PRIVATE.map((f) => [columnOf(f), Array.isArray(row[columnOf(f)]) ? [] : null])),
  }));
  const tags = all.tags.filter(inGames).length;
  const roster = all.roster.filter((r) => playing.has(r.team)).length;
  const terms = book.terms.filter((t) => valuesIn(bare, columnsOf(t.kind)).has(storedValue(t)));
  return {
    tables: {
      ...emptyTables(),
      teams: all.teams.filter((t) => playing.has(t.team)),
      games: chosen.map((g): Row => ({ ...g, source: null, purpose: null, weight: null, closed: null })),
      snaps: bare,
    },
    book: { ...book, terms: terms.map(({ notes: _, ...term }) => term) },
    leftOut: [
      ...leftOut,
      ...(tags > 0 ? [{ what: 'who set which tag', n: tags }] : []),
      ...(roster > 0 ? [{ what: 'players of the roster, and what is said of them', n: roster }] : []),
    ],
  };
}

export interface Translated {
  readonly kind: Term['kind'];
  readonly from: string;
  readonly to: string;
  readonly why: 'word' | 'meaning' | 'new';
}
export interface Translation {
  readonly tables: Tables;
  readonly terms: readonly Translated[];
  /** Terms our book has no word for. */
  readonly added: readonly Term[];
}

const hasMeaning = (term: Term): boolean => term.spots !== undefined || term.definition !== undefined;
const sameMeaning = (a: Term, b: Term): boolean =>
  hasMeaning(a) &&
  sameValue(a.spots ?? null, b.spots ?? null) &&
  sameValue(a.definition ?? null, b.definition ?? null);

/** Their tables in our words. A word both use for two different things is theirs, new, under a name of its own. */
export function translateTerms(tables: Tables, theirs: Book, ours: Book, from: string): Translation {
  const terms: Translated[] = [];
  const added: Term[] = [];
  const maps = new Map<string, Map<string, string>>();
  for (const term of theirs.terms) {
    const kin = ours.terms.filter((t) => t.kind === term.kind);
    const phrases = phrasesOf(term);
    const byWord = kin.find((t) => phrasesOf(t).includes(normalizePhrase(term.word)));
    const agrees = byWord && (!hasMeaning(byWord) || !hasMeaning(term) || sameMeaning(byWord, term));
    const byMeaning = agrees ? undefined : kin.find((t) => sameMeaning(t, term));
    const byAlias = kin.find((t) => phrasesOf(t).some((p) => phrases.includes(p)));
    let to: string;
    let why: Translated['why'];
    if (agrees) [to, why] = [storedValue(byWord), 'word'];
    else if (byMeaning) [to, why] = [storedValue(byMeaning), 'meaning'];
    else if (!byWord && byAlias && !hasMeaning(term)) [to, why] = [storedValue(byAlias), 'word'];
    else {
      const taken = new Set(kin.flatMap(phrasesOf));
      let word = term.word;
      for (
        let n = 1;
        taken.has(normalizePhrase(word)) || added.some((a) => a.kind === term.kind && a.word === word);
        n++
      )
        word = `${term.word} ${from.toLowerCase()}${n === 1 ? '' : ` ${n}`}`;
      const { value: _, ...rest } = term;
      // A closed list keeps its value; aliases that are ours already stay ours.
      added.push({
        ...rest,
        ...(term.value !== undefined && word === term.word ? { value: term.value } : {}),
        word,
        aliases: term.aliases.filter((a) => !taken.has(normalizePhrase(a))),
      });
      [to, why] = [added[added.length - 1]!.value ?? word, 'new'];
    }
    terms.push({ kind: term.kind, from: storedValue(term), to, why });
    if (to === storedValue(term)) continue;
    for (const column of columnsOf(term.kind)) {
      const map = maps.get(column) ?? new Map<string, string>();
      map.set(storedValue(term), to);
      maps.set(column, map);
    }
  }
  const snaps = tables.snaps.map((row): Row => {
    const out: Record<string, unknown> = { ...row };
    for (const [column, map] of maps) {
      const value = row[column];
      if (typeof value === 'string' && map.has(value)) out[column] = map.get(value);
      else if (Array.isArray(value))
        out[column] = value.map((v) => (typeof v === 'string' ? (map.get(v) ?? v) : (v as unknown)));
    }
    return out;
  });
  return { tables: { ...tables, snaps }, terms, added };
}
