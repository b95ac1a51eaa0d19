import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DEMO_SEED, simulateSeason } from '../../demo/league';
import { DEFAULT_BOOK } from '../book/default-book';
import { BUCKET_ROWS, COLLEGE } from '../field';
import {
  barScale,
  buildColumns,
  countGame,
  defenseBoard,
  defenseReel,
  FAMILIES,
  familyCounts,
  isTendency,
  MOST_CELL_MARKS,
  select,
  SITUATION_CLASSES,
  wilson,
  type CountedSnap,
} from './index';

const games = simulateSeason(DEMO_SEED, { tells: true, weeks: 4 });
const counted = games.flatMap((g) => countGame(g.snaps, COLLEGE, DEFAULT_BOOK));
/** Blanks where film never has everything. */
const holed = counted.map((c, i): CountedSnap =>
  i % 7 === 0
    ? { ...c, look: c.look && { ...c.look, middle: null, style: null } }
    : i % 11 === 0
      ? { ...c, snap: { ...c.snap, rushers: null, shell: '?' } }
      : i % 13 === 0
        ? { ...c, look: c.look && { ...c.look, structureSnap: null } }
        : c,
);
const columns = buildColumns(holed);
const teams = [...new Set(games.map((g) => g.home))];

const family = ({ look }: CountedSnap): string | null =>
  look?.style === 'man' || look?.middle === 'none' ? 'man' : (look?.middle ?? null);

describe('a defense’s board', () => {
  it('parts sum to wholes, whoever defends and whatever is filtered', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...teams),
        fc.subarray(['11', '12', '10', '21'], { minLength: 1 }),
        (team, personnel) => {
          const rows = select(columns, { defense: [team], personnel });
          const board = defenseBoard(columns, rows);
          const placed = board.structures.reduce((n, s) => n + s.rows.length, 0);
          expect(placed + board.unplaced.length).toBe(rows.length);
          for (const s of board.structures) {
            const marks = SITUATION_CLASSES.flatMap((c) => s.cells[c.key]);
            expect(marks.length + s.unmarked.length).toBe(s.rows.length);
            expect(new Set([...marks.map((m) => m.row), ...s.unmarked])).toEqual(new Set(s.rows));
          }
          const scale = barScale(board);
          const cells = board.structures.flatMap((s) => SITUATION_CLASSES.map((c) => s.cells[c.key]));
          expect(scale === null).toBe(cells.every((marks) => marks.length <= MOST_CELL_MARKS));
          for (const marks of cells) {
            const parts = familyCounts(marks);
            expect(parts.reduce((sum, p) => sum + p.n, 0)).toBe(marks.length);
            for (const { family: f, n, five } of parts) {
              expect(five).toBe(marks.filter((m) => m.family === f && m.five).length);
              expect(five).toBeLessThanOrEqual(n);
              if (scale !== null) expect(n).toBeLessThanOrEqual(scale);
            }
          }
          for (const s of board.shown)
            expect(s.played.reduce((n, p) => n + p.rows.length, 0)).toBe(s.rows.length);
          const [all, ...parts] = board.pressure;
          const withDown = [...rows].filter(
            (i) => holed[i]!.bucket !== null && holed[i]!.snap.rushers !== null,
          );
          expect(parts.reduce((n, p) => n + p.rate.n, 0)).toBe(withDown.length);
          expect(all!.rate.n).toBe([...rows].filter((i) => holed[i]!.snap.rushers !== null).length);
        },
      ),
      { numRuns: 40, seed: 8 },
    );
  });

  it('agrees with a plain count of the film', () => {
    const [team] = teams;
    const board = defenseBoard(columns, select(columns, { defense: [team!] }));
    const mine = holed.filter((c) => isTendency(c) && c.snap.defense === team);
    for (const s of board.structures) {
      const here = mine.filter(
        ({ look }) =>
          look?.structureSnap === s.structure &&
          (s.into === null || look.boundarySnap === (s.into === 'middle' ? null : `the ${s.into}`)),
      );
      if (s.into !== null || s.structure === '2x2') expect(s.rows.length).toBe(here.length);
      if (s.leading && (s.into !== null || s.structure === '2x2')) {
        const known = here.filter((c) => family(c) !== null);
        const best = Math.max(...FAMILIES.map((f) => known.filter((c) => family(c) === f).length));
        expect(s.leading.rate).toEqual(wilson(best, known.length));
      }
    }
    expect(board.structures.length).toBeGreaterThan(4);
    for (const s of board.shown)
      for (const p of s.played)
        expect(p.rate).toEqual(
          wilson(
            mine.filter((c) => String(c.snap.shell) === s.shell && family(c) === p.family).length,
            mine.filter((c) => String(c.snap.shell) === s.shell && family(c) !== null).length,
          ),
        );
    const rushed = mine.filter((c) => typeof c.snap.rushers === 'number');
    expect(board.pressure[0]!.rate).toEqual(
      wilson(rushed.filter((c) => (c.snap.rushers as number) >= 5).length, rushed.length),
    );
  });

  it('every number opens just its snaps', () => {
    const board = defenseBoard(columns, select(columns, { defense: [teams[1]!] }));
    const rows = (name: string): number => defenseReel(name, board).rows.length;
    for (const s of board.structures) {
      expect(rows(`d/s/${s.key}/all`)).toBe(s.rows.length);
      expect(rows(`d/s/${s.key}/unmarked`)).toBe(s.unmarked.length);
      for (const { key } of SITUATION_CLASSES) expect(rows(`d/s/${s.key}/${key}`)).toBe(s.cells[key].length);
      if (s.leading) expect(rows(`d/s/${s.key}/all/${s.leading.family}`)).toBe(s.leading.rate.k);
    }
    for (const s of board.shown)
      for (const p of s.played) expect(rows(`d/shown/${s.shell}/${p.family}`)).toBe(p.rate.k);
    for (const p of board.pressure) expect(rows(`d/rush/${p.key}`)).toBe(p.rate.k);
    board.named.forEach((p, i) => expect(rows(`d/named/${i}`)).toBe(p.rate.k));
    for (const wrong of ['d/s/9x9./all', 'd/rush/nobody', 'd/named/99', 'd/shown/7/man', 'd/'])
      expect(rows(wrong)).toBe(0);
  });

  it('every bucket lies in one class of situations', () => {
    const seen = new Set<string>();
    for (const { key } of BUCKET_ROWS) {
      const one = countGame(games[0]!.snaps, COLLEGE, DEFAULT_BOOK)
        .slice(0, 1)
        .map((c): CountedSnap => ({
          ...c,
          snap: { ...c.snap, unit: 'scrimmage', result: 'gain', play: 'run' },
          bucket: key,
          look: { ...counted[20]!.look!, structureSnap: '2x2', middle: 'open', style: 'zone' },
        }));
      const board = defenseBoard(buildColumns(one), Uint32Array.of(0));
      const filled = SITUATION_CLASSES.filter((c) => board.structures[0]!.cells[c.key].length === 1);
      expect(filled).toHaveLength(1);
      seen.add(filled[0]!.key);
    }
    expect(seen.size).toBe(SITUATION_CLASSES.length);
  });
});
