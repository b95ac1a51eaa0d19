/** One film under two staffs' words: what is counted by structure and meaning is the same. */
import { expect, it } from 'vitest';
import { DEMO_SEED, simulateSeason } from '../../demo/league';
import { DEFAULT_BOOK } from '../book/default-book';
import type { Book } from '../book/term';
import { LOOK_FACT_NAMES } from '../book/facts';
import { COLLEGE, DEFAULT_ZONES } from '../field';
import type { Snap } from '../snap/snap';
import {
  BOARDS,
  boardTable,
  buildColumns,
  countGame,
  FILTER_FIELDS,
  ofKicks,
  select,
  sideField,
} from './index';

const games = simulateSeason(DEMO_SEED, { tells: true, weeks: 3 }).slice(0, 8);
/** Every word of the book replaced by one nobody else says; the old one stays as another name of it. */
const theirs: Book = {
  ...DEFAULT_BOOK,
  terms: DEFAULT_BOOK.terms.map((t, i) =>
    t.value !== null && t.value !== undefined
      ? t
      : { ...t, word: `zu${i}`, aliases: [...(t.aliases ?? []), t.word] },
  ),
};
/** The film retagged in the new words, as a renaming does it. */
const NAMED = ['formation', 'backfield', 'motion', 'front', 'coverage'] as const;
const renamed = new Map(
  DEFAULT_BOOK.terms.map((t, i): [string, string] => [`${t.kind}|${t.word}`, theirs.terms[i]!.word]),
);
const retagged = games.map((g) => ({
  ...g,
  snaps: g.snaps.map((snap): Snap => ({
    ...snap,
    ...Object.fromEntries(
      NAMED.map((field) => [field, renamed.get(`${field}|${String(snap[field])}`) ?? snap[field]]),
    ),
  })),
}));
const counted = (book: Book) => games.flatMap((g) => countGame(g.snaps, COLLEGE, book));

it('words renamed and taken as other names: every look, situation and board by structure is equal', () => {
  const [ours, other] = [counted(DEFAULT_BOOK), counted(theirs)];
  expect(theirs.terms.filter((t, i) => t.word !== DEFAULT_BOOK.terms[i]!.word).length).toBeGreaterThan(100);
  expect(other.filter((c) => c.look !== null).length).toBeGreaterThan(500);
  expect(other.map((c) => c.look)).toEqual(ours.map((c) => c.look));
  const [a, b] = [buildColumns(ours), buildColumns(other)];
  for (const field of FILTER_FIELDS.filter((f) => (LOOK_FACT_NAMES as readonly string[]).includes(f)))
    expect(b.text[field]).toEqual(a.text[field]);
  let compared = 0;
  for (const team of new Set(games.map((g) => g.home)))
    for (const spec of BOARDS.filter((s) => s.side === 'offense' || s.side === 'defense')) {
      const rows = select(
        a,
        { [sideField(spec.side)]: [team] },
        {},
        undefined,
        ofKicks(spec.side) ? 'kicks' : 'counts',
      );
      expect(boardTable(b, rows, spec, DEFAULT_ZONES)).toEqual(boardTable(a, rows, spec, DEFAULT_ZONES));
      compared++;
    }
  expect(compared).toBeGreaterThan(200);
});

it('the film retagged in the new words: every look is equal, and so is every board that names no word', () => {
  expect(
    retagged.flatMap((g) => g.snaps).filter((s) => /^zu/.test(String(s.formation))).length,
  ).toBeGreaterThan(500);
  const ours = counted(DEFAULT_BOOK);
  const other = retagged.flatMap((g) => countGame(g.snaps, COLLEGE, theirs));
  expect(other.map((c) => c.look)).toEqual(ours.map((c) => c.look));
  const [a, b] = [buildColumns(ours), buildColumns(other)];
  const all = Uint32Array.from({ length: a.n }, (_, i) => i);
  for (const spec of BOARDS.filter((s) =>
    ['structure', 'situation', 'zone', 'field', 'hash', 'back'].includes(s.id),
  ))
    expect(boardTable(b, all, spec, DEFAULT_ZONES)).toEqual(boardTable(a, all, spec, DEFAULT_ZONES));
});
