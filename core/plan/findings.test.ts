/** Findings reach the section that their snaps lie in, by a plain loop over the snaps; what is of no section is said of all. */
import fc from 'fast-check';
import { expect, it } from 'vitest';
import { DEMO_SEED, simulateSeason } from '../../demo/league';
import { DEFAULT_BOOK } from '../book/default-book';
import { COLLEGE } from '../field';
import { buildColumns, countGame, isTendency } from '../read';
import { CATALOG, findingsOf, placeFindings, sectionRows, type Noted } from './index';

const games = simulateSeason(DEMO_SEED, { tells: true, weeks: 3 });
const counted = games.flatMap((g) => countGame(g.snaps, COLLEGE, DEFAULT_BOOK));
const columns = buildColumns(counted);
const opponent = games[0]!.home;

const noted = (id: string, at: readonly number[]): Noted => ({
  id,
  name: id,
  sentence: '',
  source: null,
  by: 'Dara',
  clips: at.map((i) => ({ game: counted[i]!.snap.game, snap: counted[i]!.snap.snapId })),
});

it('of the opponent on that side, most of whose snaps are his; each beside every section that holds half of it', () => {
  const pool = counted.flatMap((c, i) =>
    c.snap.offense === opponent || c.snap.defense === opponent || i % 5 === 0 ? [i] : [],
  );
  const any = fc.array(fc.constantFrom(...pool), { minLength: 1, maxLength: 5 });
  let [placed, general] = [0, 0];
  fc.assert(
    fc.property(any, fc.constantFrom('offense', 'defense'), (at, side) => {
      const clips = [...new Set(at)];
      const his = clips.filter((i) => counted[i]!.snap[side] === opponent && isTendency(counted[i]!));
      const found = findingsOf([noted('x', clips)], columns, side, opponent);
      if (his.length === 0 || his.length * 2 < clips.length) {
        expect(found).toEqual([]);
        return;
      }
      expect([...found[0]!.rows]).toEqual([...his].sort((a, b) => a - b));
      const { of, all } = placeFindings(found, columns, CATALOG);
      for (const section of CATALOG) {
        const inside = his.filter((i) => sectionRows(columns, section).includes(i)).length;
        const here = of.get(section.key)!;
        expect(here.map((h) => h.inside)).toEqual(inside > 0 && inside * 2 >= his.length ? [inside] : []);
        placed += here.length;
      }
      expect(all.length).toBe([...of.values()].every((h) => h.length === 0) ? 1 : 0);
      general += all.length;
    }),
    { numRuns: 300, seed: 4 },
  );
  expect(placed).toBeGreaterThan(20);
  expect(general).toBeGreaterThan(0);
});

it('those that lie in a section most stand first; a snap that is gone or never counts belongs to none', () => {
  const first = sectionRows(
    columns,
    CATALOG.find((s) => s.key === 'first')!,
    { defense: [opponent] },
  );
  const others = sectionRows(
    columns,
    CATALOG.find((s) => s.key === 'third-long')!,
    { defense: [opponent] },
  );
  const half = noted('half', [first[0]!, others[0]!]);
  const whole = noted('whole', [first[1]!, first[2]!]);
  const gone: Noted = { ...noted('gone', [first[3]!]), clips: [{ game: 'no', snap: 'no' }] };
  const found = findingsOf([half, whole, gone], columns, 'defense', opponent);
  expect(found.map((f) => f.id)).toEqual(['half', 'whole']);
  const { of } = placeFindings(found, columns, CATALOG);
  expect(of.get('first')!.map((p) => p.finding.id)).toEqual(['whole', 'half']);
});
