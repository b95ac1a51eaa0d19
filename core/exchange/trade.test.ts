import { describe, expect, it } from 'vitest';
import { DEFAULT_BOOK } from '../book/default-book';
import { findTerm, type Book, type Term } from '../book';
import { blankSnap, type SnapFields } from '../snap';
import { emptyTables, snapToRow, type Tables } from '../table';
import { PRIVATE, tradeGames, translateTerms } from './trade';

const snap = (game: string, n: number, fields: SnapFields) =>
  snapToRow({ ...blankSnap(`s${n}`, game, n), ...fields });
const tables: Tables = {
  ...emptyTables(),
  teams: [
    { team: 'HER', name: 'Herons' },
    { team: 'MIR', name: 'Mire' },
    { team: 'ZED', name: 'Zed' },
  ],
  games: [
    { game: 'g1', home: 'HER', away: 'MIR', phase: 'regular', closed: true, purpose: 'own' },
    { game: 'g2', home: 'HER', away: 'ZED', phase: 'regular' },
  ],
  roster: [{ player: 'p', team: 'HER', season: 2026, number: '7' }],
  snaps: [
    snap('g1', 1, {
      formation: 'trips',
      concept: 'power',
      note: 'Ned was late again',
      process: 'bad',
      gain: 4,
    }),
    snap('g1', 2, { formation: 'wing', coachingPoint: 'look inside first', coverage: 'quarters' }),
    snap('g2', 3, { formation: 'ace' }),
  ],
  tags: [{ game: 'g1', snap_id: 's1', columns: ['gain'], state: 'set' }],
};

describe('given away', () => {
  const traded = tradeGames(tables, DEFAULT_BOOK, ['g1']);
  it('is the games asked for with their teams, and nothing of others', () => {
    expect(traded.tables.games.map((g) => g.game)).toEqual(['g1']);
    expect(traded.tables.teams.map((t) => t.team)).toEqual(['HER', 'MIR']);
    expect(traded.tables.snaps).toHaveLength(2);
    expect(traded.tables.snaps[0]).toMatchObject({ formation: 'trips', gain: 4 });
  });
  it('holds no note, grade or player, and says so with counts', () => {
    const text = JSON.stringify(traded.tables);
    for (const secret of ['Ned was late', 'look inside', '"bad"', '"p"']) expect(text).not.toContain(secret);
    expect(traded.tables.roster).toEqual([]);
    expect(Object.fromEntries(traded.leftOut.map((l) => [l.what, l.n]))).toMatchObject({
      note: 1,
      process: 1,
      'coaching point': 1,
      'who set which tag': 1,
      'players of the roster, and what is said of them': 1,
    });
    expect(PRIVATE).toContain('missedBlock');
  });
  it('carries only the terms the games are charted in', () => {
    expect(traded.book.terms.map((t) => t.word).sort()).toEqual(['power', 'quarters', 'trips', 'wing']);
    expect(traded.book.terms.every((t) => t.notes === undefined)).toBe(true);
  });
});

describe('read in our words', () => {
  const trips = findTerm(DEFAULT_BOOK, 'formation', 'trips')!;
  const wing = findTerm(DEFAULT_BOOK, 'formation', 'wing')!;
  const renamed: Term = { ...trips, id: 'f1', word: 'rodeo', aliases: [] };
  const odd: Term = { ...wing, id: 'f2', word: 'trips', aliases: [] };
  const fresh: Term = { id: 'c1', kind: 'coverage', word: 'lantern', aliases: ['lamp'] };
  const theirs: Book = {
    ...DEFAULT_BOOK,
    terms: [renamed, odd, fresh, findTerm(DEFAULT_BOOK, 'run', 'power')!],
  };
  const film: Tables = {
    ...emptyTables(),
    snaps: [
      snap('g1', 1, { formation: 'rodeo', concept: 'power' }),
      snap('g1', 2, { formation: 'trips', coverage: 'lantern', notSure: ['coverage'] }),
      snap('g1', 3, { formation: '?', coverage: '-' }),
    ],
  };
  const read = translateTerms(film, theirs, DEFAULT_BOOK, 'Mire');
  it('by the word, by the meaning, or as a new term; a word of two meanings is its meaning', () => {
    expect(read.terms.map((t) => [t.from, t.to, t.why])).toEqual([
      ['rodeo', 'trips', 'meaning'],
      ['trips', 'wing', 'meaning'],
      ['lantern', 'lantern', 'new'],
      ['power', 'power', 'word'],
    ]);
    expect(read.added.map((t) => t.word)).toEqual(['lantern']);
  });
  it('moves each cell once: what became trips does not become wing', () => {
    expect(read.tables.snaps.map((s) => [s.formation, s.coverage])).toEqual([
      ['trips', null],
      ['wing', 'lantern'],
      ['?', '-'],
    ]);
  });
  it('gives a word of ours with a meaning nobody here has a name of its own', () => {
    const mine = DEFAULT_BOOK.terms.find((t) => t.kind === 'formation' && t.spots && t.word !== 'trips')!;
    const strange: Term = { ...trips, spots: mine.spots!.map((s) => ({ ...s, x: s.x + 0.37 })) };
    const read = translateTerms(film, { ...theirs, terms: [strange] }, DEFAULT_BOOK, 'Mire');
    expect(read.added[0]!.word).toBe('trips mire');
    expect(read.tables.snaps[1]!.formation).toBe('trips mire');
  });
  it('to and fro between two equal books changes nothing', () => {
    const all = translateTerms(tables, DEFAULT_BOOK, DEFAULT_BOOK, 'Mire');
    expect(all.added).toEqual([]);
    expect(all.tables.snaps).toEqual(tables.snaps);
  });
});
