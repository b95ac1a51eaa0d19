/** What a staff changes on the first page, what a print keeps, what moved since, what the words mean: on the demo league. */
import { describe, expect, it } from 'vitest';
import { DEMO_SEED, simulateSeason } from '../../demo/league';
import { DEFAULT_BOOK } from '../book/default-book';
import { COLLEGE, DEFAULT_ZONES } from '../field';
import {
  buildColumns,
  buildReport,
  changesSince,
  countGame,
  figuresOf,
  glossaryOf,
  leadOf,
  MOVED_POINTS,
  NO_EDITS,
  select,
  sentenceText,
  withHidden,
  withWordsFor,
  type Columns,
  type SentenceEdits,
} from './index';

const games = simulateSeason(DEMO_SEED, { tells: true, weeks: 6 });
const team = games[0]!.home;
const theirs = games.filter((g) => g.home === team || g.away === team);
const filmOf = (some: typeof theirs): Columns =>
  buildColumns(some.flatMap((g) => countGame(g.snaps, COLLEGE, DEFAULT_BOOK)));
const [early, late] = [filmOf(theirs.slice(0, 4)), filmOf(theirs)];
const keysOf = (some: typeof theirs): string[] => some.map((g) => g.snaps[0]!.game);
const made = (columns: Columns, edits: SentenceEdits = NO_EDITS) =>
  buildReport(
    columns,
    select(columns, { offense: [team] }),
    { team, side: 'offense', sections: null },
    DEFAULT_ZONES,
    edits,
  );

describe('the first page', () => {
  const plain = made(late);
  const [first, second] = plain.sentences;
  it('says what the staff says, with the counts as they are', () => {
    const { sentences } = made(late, withWordsFor(NO_EDITS, first!.reel, 'They run when H comes back'));
    expect(leadOf(sentences[0]!)).toBe(`They run when H comes back ${first!.count}`);
    expect(sentences[0]!.was).toBe(first!.says);
    expect(sentences[0]!.rate).toEqual(first!.rate);
    expect(sentences.slice(1)).toEqual(plain.sentences.slice(1));
    const undone = withWordsFor(withWordsFor(NO_EDITS, first!.reel, 'x'), first!.reel, null);
    expect(undone).toEqual(NO_EDITS);
  });
  it('gives the place of what is left out to the next, and brings it back', () => {
    const hidden = withHidden(NO_EDITS, first!.reel, true);
    const report = made(late, hidden);
    expect(report.sentences[0]).toEqual(second);
    expect(report.sentences.length).toBe(plain.sentences.length);
    expect(report.hidden).toEqual([first]);
    expect(made(late, withHidden(hidden, first!.reel, false))).toEqual(plain);
  });
  it('keeps words for a sentence that is none on this film, unsaid', () => {
    expect(made(late, withWordsFor(NO_EDITS, 'b/personnel/99/run', 'gone')).sentences).toEqual(
      plain.sentences,
    );
  });
});

describe('since the last print', () => {
  const before = JSON.parse(JSON.stringify(figuresOf(made(early), keysOf(theirs.slice(0, 4)), 'games')));
  const report = made(late);
  const since = changesSince(before, report, keysOf(theirs));

  it('nothing moved where nothing was added', () => {
    const same = changesSince(before, made(early), keysOf(theirs.slice(0, 4)));
    expect(same).toMatchObject({ added: [], gone: [], moved: [], fresh: [] });
    expect(same.snaps[0]).toBe(same.snaps[1]);
    expect(same.compared).toBeGreaterThan(50);
  });
  it('names the games that came, the rates that moved, the sentences that are new', () => {
    expect(since.added).toEqual(keysOf(theirs.slice(4)));
    expect(since.gone).toEqual([]);
    expect(since.snaps[1]).toBe(report.snaps);
    expect(since.moved.length).toBeGreaterThan(0);
    for (const text of since.fresh) expect(report.sentences.map(sentenceText)).toContain(text);
  });
  it('every moved rate counted again, a second way: from what was printed and what stands', () => {
    // Plain loops over both reports, no code of printed.ts.
    const now = new Map<string, string>();
    for (const table of report.tables)
      for (const row of [...table.rows, table.all])
        for (const [key, cell] of Object.entries(row.cells))
          if (cell && 'low' in cell && cell.n >= 8)
            now.set(`b/${table.id}/${row.key}/${key}`, `${cell.k}/${cell.n}`);
    let expected = 0;
    let compared = 0;
    for (const table of made(early).tables)
      for (const row of [...table.rows, table.all])
        for (const [key, cell] of Object.entries(row.cells)) {
          const then = now.get(`b/${table.id}/${row.key}/${key}`);
          if (!cell || !('low' in cell) || cell.n < 8 || then === undefined) continue;
          compared++;
          const [k, n] = then.split('/').map(Number);
          if (Math.abs(100 * (k! / n! - cell.k / cell.n)) >= MOVED_POINTS) expected++;
        }
    expect(since.compared).toBe(compared);
    expect(since.moved.length).toBe(Math.min(12, expected));
    for (const m of since.moved) {
      const [k, n] = m.now.split(' of ').map(Number);
      expect(now.get(m.reel)).toBe(`${k}/${n}`);
      expect(Math.abs(m.by)).toBeGreaterThanOrEqual(MOVED_POINTS);
    }
  });
});

it('the glossary has every word of the film once, with its snaps, and says what the book says', () => {
  const rows = select(late, { offense: [team] });
  const words = glossaryOf(late, rows, DEFAULT_BOOK, COLLEGE);
  const snaps = theirs.flatMap((g) => countGame(g.snaps, COLLEGE, DEFAULT_BOOK));
  for (const kind of ['formations', 'coverages'] as const) {
    const field = kind === 'formations' ? 'formation' : 'coverage';
    const count = new Map<string, number>();
    for (const row of rows) {
      const word = snaps[row]!.snap[field];
      if (word && word !== '-' && word !== '?') count.set(word, (count.get(word) ?? 0) + 1);
    }
    const mine = words.filter((w) => w.kind === kind);
    expect(new Map(mine.map((w) => [w.word, w.n]))).toEqual(count);
    for (const w of mine) expect(w.means, w.word).toBeTruthy();
  }
  expect(new Set(words.map((w) => `${w.kind} ${w.word}`)).size).toBe(words.length);
  expect(words.find((w) => w.word === 'trips')?.means).toMatch(/^3x1/);
});
