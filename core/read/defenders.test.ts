import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DEMO_SEED, simulateSeason } from '../../demo/league';
import { COLLEGE } from '../field';
import type { Snap } from '../snap/snap';
import { countGame, defenderReel, defendersOf, SIGN_KEYS, type CountedSnap } from './index';

const [base] = simulateSeason(DEMO_SEED, { tells: false, weeks: 1 });
const snaps = countGame(base!.snaps, COLLEGE);
const plays = snaps.map((_, i) => i).filter((i) => snaps[i]!.snap.unit === 'scrimmage');
/** Film on which these snaps say this besides; tacklers are taken away, so that the counts are ours. */
function film(said: readonly Partial<Snap>[]): { film: CountedSnap[]; rows: Uint32Array } {
  const rows = Uint32Array.from(plays.slice(0, said.length));
  const changed = snaps.map((s) => ({ ...s, snap: { ...s.snap, tacklers: [] as readonly string[] } }));
  said.forEach((fields, i) => {
    const at = rows[i]!;
    changed[at] = { ...changed[at]!, snap: { ...changed[at]!.snap, ...fields } };
  });
  return { film: changed, rows };
}

describe('defenders, one by one', () => {
  it('the worked example: helped on nine of ten, missed four of nine, first of the list', () => {
    const said: Partial<Snap>[] = [
      ...Array.from({ length: 9 }, () => ({ helpOver: '24' })),
      { helpOver: '-' },
      ...Array.from({ length: 5 }, () => ({ tacklers: ['24'] })),
      ...Array.from({ length: 4 }, () => ({ missedTackles: ['24'], tacklers: ['7'] })),
      { missedTackles: ['7'] },
      { helpOver: '?' },
    ];
    const { film: all, rows } = film(said);
    const [first, second] = defendersOf(all, rows);
    expect(first).toMatchObject({
      number: '24',
      signs: { missed: { k: 4, n: 9 }, helped: { k: 9, n: 10 }, bust: null, won: null },
    });
    expect(second).toMatchObject({ number: '7', signs: { missed: { k: 1, n: 5 } } });
    expect(defenderReel('p/24/missed', all, rows).rows).toHaveLength(4);
    expect(defenderReel('p/24/missed', all, rows).title).toBe('#24: tackles missed');
    expect(defenderReel('p/99/missed', all, rows).rows).toHaveLength(0);
  });
  it('the disruptor: nine rushes won, five through two, his penetration; two who won together share no figure', () => {
    const said: Partial<Snap>[] = [
      ...Array.from({ length: 5 }, () => ({ rushWon: ['91'], blockersBeat: 2, penetration: 4 })),
      ...Array.from({ length: 3 }, () => ({ rushWon: ['91'], blockersBeat: 1, penetration: 2 })),
      { rushWon: ['91', '55'], blockersBeat: 3, penetration: 6 },
      { freeRusher: '55' },
    ];
    const { film: all, rows } = film(said);
    const [first] = defendersOf(all, rows);
    expect(first).toMatchObject({
      number: '91',
      signs: { won: { k: 9, n: 9 }, through: { k: 5, n: 9 }, free: { k: 0, n: 1 } },
      penetration: { n: 8, mean: 3.25 },
    });
  });
  it('of film without any sign: nobody, and no zeros', () => {
    expect(defendersOf(snaps, new Uint32Array(0))).toEqual([]);
    const { film: all, rows } = film([{ tacklers: ['4'] }]);
    expect(defendersOf(all, rows)).toEqual([]);
  });
  it('counts are those of plain loops, whatever is charted', () => {
    const number = fc.constantFrom<string[]>('1', '2', '3');
    const snap = fc.record({
      tacklers: fc.uniqueArray(number),
      missedTackles: fc.uniqueArray(number),
      rushWon: fc.uniqueArray(number),
      helpOver: fc.constantFrom(null, '-', '?', '1', '2'),
      bust: fc.constantFrom(null, '-', '3'),
    });
    fc.assert(
      fc.property(fc.array(snap, { maxLength: 25 }), (said) => {
        const { film: all, rows } = film(said);
        for (const d of defendersOf(all, rows)) {
          expect(d.rows.missed).toHaveLength(said.filter((s) => s.missedTackles.includes(d.number)).length);
          expect(d.rows.won).toHaveLength(said.filter((s) => s.rushWon.includes(d.number)).length);
          expect(d.rows.helped).toHaveLength(said.filter((s) => s.helpOver === d.number).length);
          expect(d.signs.helped?.n ?? 0).toBe(
            said.filter((s) => s.helpOver !== null && s.helpOver !== '?').length,
          );
          for (const sign of SIGN_KEYS) expect(d.rows[sign]).toHaveLength(d.signs[sign]?.k ?? 0);
        }
      }),
      { numRuns: 60 },
    );
  });
});
