/** Believable logging mistakes, seeded: for the checker's proof and for two games of the demo. */
import type { Snap } from '../core/snap/snap';
import type { Random } from './random';

export const MISTAKES = [
  'gain',
  'down',
  'distance',
  'spot',
  'possession',
  'dropped-snap',
  'twice',
  'incomplete',
  'foul-yards',
  'score',
  'clock',
  'quarter',
  'kick-length',
  'no-touchdown',
  'turnover-forgotten',
] as const;
export type Mistake = (typeof MISTAKES)[number];

export interface Mistaken {
  readonly snaps: readonly Snap[];
  readonly mistake: Mistake;
  /** Index in the clean game where it was made. */
  readonly at: number;
}

type Change = (s: Snap, random: Random) => Partial<Snap>;
const plain = (snap: Snap): boolean =>
  snap.unit === 'scrimmage' &&
  snap.result !== 'no_play' &&
  !snap.turnover &&
  !snap.score &&
  snap.penalties.length === 0;

const EDITS: Readonly<
  Partial<Record<Mistake, { readonly fits: (s: Snap) => boolean; readonly change: Change }>>
> = {
  gain: {
    fits: (s) => plain(s) && s.gain !== null && s.result !== 'incomplete',
    change: (s, r) => ({ gain: s.gain! + r.pick([-4, -3, 3, 4, 6]) }),
  },
  down: {
    fits: (s) => s.unit === 'scrimmage' && s.down !== null && s.down > 1,
    change: (s) => ({ down: s.down! - 1 }),
  },
  distance: {
    fits: (s) => s.unit === 'scrimmage' && s.distance !== null && s.down !== 1,
    change: (s, r) => ({ distance: s.distance! + r.pick([3, 4, 5]) }),
  },
  spot: {
    fits: (s) => s.unit === 'scrimmage' && s.toGoal !== null && Math.abs(s.toGoal - 50) > 3,
    change: (s) => ({ toGoal: 100 - s.toGoal! }),
  },
  possession: { fits: plain, change: (s) => ({ offense: s.defense, defense: s.offense }) },
  incomplete: {
    fits: (s) => plain(s) && s.result === 'complete' && s.gain! > 3,
    change: () => ({ result: 'incomplete', gain: 0, deadToGoal: null, deadPossession: null, deadHash: null }),
  },
  'foul-yards': {
    fits: (snap) =>
      snap.result === 'no_play' &&
      snap.penalties.length === 1 &&
      snap.unit === 'scrimmage' &&
      snap.toGoal! > 35 &&
      snap.toGoal! < 65,
    change: (s) => ({ penalties: [{ ...s.penalties[0]!, yards: s.penalties[0]!.yards === 5 ? 15 : 5 }] }),
  },
  score: {
    fits: (s) => s.unit === 'scrimmage' && s.pointsFor !== null,
    change: (s) => ({ pointsFor: s.pointsFor! + 3 }),
  },
  clock: {
    fits: (s) => s.clock !== null && s.clock < 600 && s.unit === 'scrimmage',
    change: (s) => ({ clock: s.clock! + 240 }),
  },
  quarter: { fits: (s) => s.quarter === 2 && s.unit === 'scrimmage', change: () => ({ quarter: 1 }) },
  'kick-length': { fits: (s) => s.unit === 'field_goal', change: (s) => ({ kickYards: s.kickYards! + 9 }) },
  'no-touchdown': {
    fits: (s) => s.score === 'touchdown' && !s.turnover,
    change: () => ({ score: null, scoredBy: null }),
  },
  'turnover-forgotten': {
    fits: (s) => s.turnover === 'interception',
    change: () => ({
      turnover: null,
      turnoverYards: null,
      returnYards: null,
      takenBy: null,
      deadToGoal: null,
      deadPossession: null,
      deadHash: null,
      gain: 0,
      nextOffense: null,
    }),
  },
};

/** Makes one mistake somewhere inside the game; null when no snap fits it. */
export function makeMistake(snaps: readonly Snap[], mistake: Mistake, random: Random): Mistaken | null {
  const inside = (i: number): boolean =>
    i > 3 &&
    i < snaps.length - 4 &&
    snaps[i]!.quarter === snaps[i + 1]!.quarter &&
    snaps[i]!.quarter === snaps[i - 1]!.quarter;
  const edit = EDITS[mistake];
  const fits = snaps
    .map((s, i) => ({ s, i }))
    .filter(({ s, i }) => inside(i) && (edit ? edit.fits(s) : plain(s)));
  if (fits.length === 0) return null;
  const { s: snap, i } = random.pick(fits);
  if (mistake === 'dropped-snap') return { snaps: snaps.filter((x) => x !== snap), mistake, at: i };
  if (mistake === 'twice')
    return {
      snaps: [
        ...snaps.slice(0, i + 1),
        { ...snap, snapId: `${snap.snapId}-again`, order: snap.order + 0.5 },
        ...snaps.slice(i + 1),
      ],
      mistake,
      at: i,
    };
  return { snaps: snaps.map((x) => (x === snap ? { ...x, ...edit!.change(x, random) } : x)), mistake, at: i };
}
