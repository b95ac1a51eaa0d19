/**
 * Defenders one by one: where to go at them, and whom to help against. A number beside each sign, never a verdict: who
 * misses four of nine is named with the nine. Lists name men by number; a list that is blank says nothing of anybody.
 */
import { isTagged } from '../snap/snap';
import type { CountedSnap } from './counted';
import { meanOf, wilson, type Mean, type Rate } from './rates';

export const DEFENDER_SIGNS = {
  missed: 'tackles missed',
  helped: 'another helps him',
  bust: 'coverage busts',
  won: 'rushes won',
  through: 'of them through two or more',
  free: 'came free',
} as const;
export type DefenderSign = keyof typeof DEFENDER_SIGNS;
export const SIGN_KEYS = Object.keys(DEFENDER_SIGNS) as DefenderSign[];

export interface Defender {
  readonly number: string;
  /** Null: nobody charted it on this film. */
  readonly signs: Readonly<Record<DefenderSign, Rate | null>>;
  /** Yards into the backfield on rushes he alone won. */
  readonly penetration: Mean | null;
  readonly rows: Readonly<Record<DefenderSign, Uint32Array>>;
}

interface Marks {
  readonly rows: Record<DefenderSign, number[]>;
  readonly penetration: number[];
  tackles: number;
}
const fresh = (): Marks => ({
  rows: { missed: [], helped: [], bust: [], won: [], through: [], free: [] },
  penetration: [],
  tackles: 0,
});

/** Weak ones first: by tackles missed, help and busts, then by rushes won. Linear. */
export function defendersOf(snaps: readonly CountedSnap[], rows: Uint32Array): Defender[] {
  const men = new Map<string, Marks>();
  const of = (number: string): Marks => {
    let marks = men.get(number);
    if (!marks) men.set(number, (marks = fresh()));
    return marks;
  };
  // Snaps on which the sign was charted at all: of whomever.
  const charted = { helped: 0, bust: 0, won: 0, free: 0 };
  for (const row of rows) {
    const { snap } = snaps[row]!;
    for (const number of snap.tacklers) of(number).tackles++;
    for (const number of snap.missedTackles) of(number).rows.missed.push(row);
    const { helpOver, bust, freeRusher, rushWon, blockersBeat, penetration } = snap;
    for (const [sign, who] of [
      ['helped', helpOver],
      ['bust', bust],
      ['free', freeRusher],
    ] as const) {
      if (who === null || who === '?') continue;
      charted[sign]++;
      if (isTagged(who)) of(who as string).rows[sign].push(row);
    }
    if (rushWon.length === 0) continue;
    charted.won++;
    for (const number of rushWon) {
      const marks = of(number);
      marks.rows.won.push(row);
      if (rushWon.length > 1) continue;
      if (typeof blockersBeat === 'number' && blockersBeat >= 2) marks.rows.through.push(row);
      if (typeof penetration === 'number') marks.penetration.push(penetration);
    }
  }
  const missedAny = [...men.values()].some((m) => m.rows.missed.length > 0);
  const list = [...men].map(([number, { rows: by, penetration, tackles }]): Defender => ({
    number,
    signs: {
      missed: missedAny ? wilson(by.missed.length, by.missed.length + tackles) : null,
      helped: charted.helped > 0 ? wilson(by.helped.length, charted.helped) : null,
      bust: charted.bust > 0 ? wilson(by.bust.length, charted.bust) : null,
      won: charted.won > 0 ? wilson(by.won.length, charted.won) : null,
      through: by.won.length > 0 ? wilson(by.through.length, by.won.length) : null,
      free: charted.free > 0 ? wilson(by.free.length, charted.free) : null,
    },
    penetration: meanOf(penetration),
    rows: Object.fromEntries(SIGN_KEYS.map((sign) => [sign, Uint32Array.from(by[sign])])) as Defender['rows'],
  }));
  const weak = ({ rows: r }: Defender): number => r.missed.length + r.helped.length + r.bust.length;
  return list
    .filter((d) => SIGN_KEYS.some((sign) => d.rows[sign].length > 0))
    .sort(
      (a, b) =>
        weak(b) - weak(a) ||
        b.rows.won.length - a.rows.won.length ||
        a.number.localeCompare(b.number, 'en', { numeric: true }),
    );
}

/** The snaps of a sign by name, "p/<number>/<sign>". */
export function defenderReel(
  name: string,
  snaps: readonly CountedSnap[],
  rows: Uint32Array,
): { readonly title: string; readonly rows: Uint32Array } {
  const [, number, sign] = name.split('/');
  const found = defendersOf(snaps, rows).find((d) => d.number === decodeURIComponent(number ?? ''));
  const key = SIGN_KEYS.find((k) => k === sign);
  return found && key
    ? { title: `#${found.number}: ${DEFENDER_SIGNS[key]}`, rows: found.rows[key] }
    : { title: '', rows: new Uint32Array(0) };
}
