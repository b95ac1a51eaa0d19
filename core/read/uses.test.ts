/** What is drawn from a formation and of a coverage: every snap once, counted again in a plain loop. */
import { describe, expect, it } from 'vitest';
import { chartGame } from '../../demo/charting';
import { DEMO_SEED, simulateSeason } from '../../demo/league';
import { findTerm, drawSnap } from '../book';
import { DEFAULT_BOOK } from '../book/default-book';
import { COLLEGE } from '../field';
import { isTagged } from '../snap/snap';
import {
  buildColumns,
  countGame,
  drawnUse,
  isSuccess,
  looksOf,
  playedCards,
  playedFields,
  playedReel,
  reelOf,
  select,
  splitCalls,
  usesOf,
  type CountedSnap,
  type Counted,
} from './index';

const games = simulateSeason(DEMO_SEED, { tells: true, weeks: 4 });
const counted = games
  .flatMap((g) => countGame(chartGame(g.snaps, DEMO_SEED), COLLEGE, DEFAULT_BOOK))
  // Blanks where film never has everything.
  .map((c, i): CountedSnap =>
    i % 5 === 0
      ? { ...c, snap: { ...c.snap, targetThird: null } }
      : i % 7 === 0
        ? { ...c, snap: { ...c.snap, direction: null, concept: '?' }, gap: null, attack: null }
        : i % 11 === 0
          ? { ...c, snap: { ...c.snap, shell: '?', rotation: null, rushers: null } }
          : c,
  );
const columns = buildColumns(counted);
const teams = [...new Set(games.flatMap((g) => [g.home, g.away]))];

describe('what was called from a formation', () => {
  it('is every called snap once, in whatever selection', () => {
    let [placed, gapped, unplaced] = [0, 0, 0];
    for (const team of teams)
      for (const look of looksOf(columns, select(columns, { offense: [team] }))) {
        const uses = usesOf(columns, look.calls);
        const rows = uses.flatMap((u) => [...u.rows]);
        expect(rows.length).toBe(look.calls.run.n);
        expect(new Set(rows).size).toBe(rows.length);
        expect(new Set(uses.map((u) => u.key)).size).toBe(uses.length);
        placed += uses.filter((u) => u.place).length;
        gapped += uses.filter((u) => u.gap).length;
        unplaced += uses.filter((u) => !u.place && !u.gap && u.side === null).length;
      }
    expect(Math.min(placed, gapped, unplaced)).toBeGreaterThan(20);
  });
  it('lies where the film and the book say, with what succeeded, by a plain count', () => {
    const rows = select(columns, { offense: ['STG'] });
    const uses = usesOf(columns, splitCalls(columns, rows));
    const band = (depth: number): number => (depth < 0 ? 0 : depth < 10 ? 1 : depth < 20 ? 2 : 3);
    const mine = counted.filter((c, i) => rows.includes(i));
    for (const use of uses) {
      const here = mine.filter(({ snap }) => {
        if (snap.play !== use.kind) return false;
        const run = findTerm(DEFAULT_BOOK, 'run', snap.concept)?.definition;
        const gap = run?.kind === 'run' && snap.direction !== null ? run.run.point : null;
        const at = isTagged(snap.targetDepth) && isTagged(snap.targetThird);
        if (use.kind !== 'pass' || !at)
          return !use.place && use.side === snap.direction && use.gap === (use.kind === 'run' ? gap : null);
        return (
          use.place?.third === snap.targetThird &&
          drawnUse(use).place!.depth === band(Number(snap.targetDepth))
        );
      });
      expect(use.rows.length, use.key).toBe(here.length);
      const said = here
        .map(({ snap }) =>
          isSuccess({
            ...snap,
            gain: snap.result === 'incomplete' ? 0 : snap.gain,
            ownScore: snap.scoredBy === snap.offense,
          }),
        )
        .filter((s) => s !== null);
      expect([use.success.k, use.success.n], use.key).toEqual([said.filter((s) => s).length, said.length]);
    }
  });
  it('each opens its reel', () => {
    const rows = select(columns, { offense: ['STG'] });
    const looks = looksOf(columns, rows);
    const all = {
      columns,
      rows,
      cellRows: rows,
      looks,
      board: [],
      side: 'offense',
      title: '',
      cellTitle: '',
    } as Counted;
    for (const use of usesOf(columns, looks[0]!.calls))
      expect(reelOf(`look.0.${use.key}`, all).rows).toEqual(use.rows);
    expect(reelOf('look.0.nothing', all).rows).toHaveLength(0);
  });
});

describe('what a defense played, card by card', () => {
  const rows = select(columns, { defense: ['STG'] });
  const cards = playedCards(columns, rows, 99);
  it('is each front with its coverage once, by a plain count, with what is shown, rotated and brought', () => {
    const mine = [...rows].map((i) => counted[i]!.snap).filter((s) => isTagged(s.front));
    expect(cards.reduce((n, c) => n + c.rows.length, 0)).toBe(mine.length);
    for (const card of cards) {
      const here = mine.filter(
        (s) => s.front === card.front && (isTagged(s.coverage) ? s.coverage : null) === card.coverage,
      );
      expect(card.rows.length, card.words).toBe(here.length);
      for (const said of card.said) {
        const { key } = said;
        if (key === 'success') continue;
        const tagged = here.filter((s) =>
          key === 'five'
            ? typeof s.rushers === 'number'
            : key === 'shell'
              ? isTagged(s.shell)
              : s[key] !== null && s[key] !== '?',
        );
        const hit = tagged.filter((s) =>
          key === 'five' ? (s.rushers as number) >= 5 : String(s[key]) === (said.word ?? '-'),
        );
        expect([said.rate.k, said.rate.n], `${card.words}, ${said.words}`).toEqual([
          hit.length,
          tagged.length,
        ]);
      }
    }
    expect(cards.flatMap((c) => c.said).map((s) => s.key)).toEqual(
      expect.arrayContaining(['shell', 'rotation', 'pressure', 'five', 'success']),
    );
  });
  it('has no turn where two high safeties keep their halves or quarters', () => {
    const look = {
      formation: 'doubles',
      formationSide: 'R',
      backfield: 'gun',
      front: '4-2 over',
      shell: 2,
    } as const;
    const turned = (formation: string, coverage: string): number =>
      drawSnap(DEFAULT_BOOK, { ...look, formation, coverage }, null, COLLEGE, {
        jobs: true,
      }).drawing.marks.filter((m) => m.mark === 'path' && m.ink === 'them' && m.width === 0.3).length;
    for (const { kind, word } of DEFAULT_BOOK.terms) {
      if (kind !== 'formation') continue;
      for (const coverage of ['cover 2', 'quarters', 'cover 6'])
        expect(turned(word, coverage), `${coverage}, ${word}`).toBe(0);
      expect(turned(word, 'cover 3'), word).toBeGreaterThan(0);
    }
  });
  it('each number opens just its snaps', () => {
    cards.forEach((card, i) => {
      expect(playedReel(cards, String(i), '').rows).toEqual(card.rows);
      for (const said of card.said)
        expect(playedReel(cards, String(i), said.key).rows).toHaveLength(said.rate.k);
    });
    expect(playedReel(cards, '999', '').rows).toHaveLength(0);
  });
  it('is drawn with four who come and with safeties who turn where most snaps show a rotation', () => {
    let turned = 0;
    // Two high shown, three deep played: somebody turns.
    const disguised = select(columns, { defense: ['STG'], shell: ['2'], coverage: ['cover 3'] });
    for (const card of [...cards, ...playedCards(columns, disguised, 9)]) {
      const fields = playedFields(card);
      const { look, drawing } = drawSnap(DEFAULT_BOOK, fields, null, COLLEGE, { jobs: true, lanes: true });
      if (!look?.defense) continue;
      const heads = drawing.marks.filter((m) => m.mark === 'shape' && m.fill === 'them');
      const rush = look.defense.duties.filter((d) => d.rush !== null).length;
      expect(heads.length, card.words).toBeGreaterThanOrEqual(rush);
      if (fields.shell === 2 && card.coverage === 'cover 3') {
        expect(heads.length, card.words).toBeGreaterThan(rush);
        turned++;
      }
      // Whom the book rushes without a call, comes too.
      expect(rush, card.words).toBeGreaterThan(2);
    }
    expect(turned).toBeGreaterThan(0);
  });
});
