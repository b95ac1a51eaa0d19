/**
 * What a second pass over the film adds: where throws went, who missed a tackle, who won a rush and how long it took.
 * Drawn from a stream of its own, so that the games themselves stay as they were played.
 */
import { THIRDS, type Snap } from '../core/snap/snap';
import { seededRandom, seedOf, type Random } from './random';

/** Share of a direction's throws in each third, from that side. */
const THIRD: Readonly<Record<string, number>> = { near: 62, middle: 28, far: 10 };
const TACKLERS = ['54', '41', '33', '33'];
const RUSHERS: Readonly<Record<string, number>> = { '90': 45, '95': 25, '92': 20, '97': 10 };
const round = (x: number): number => Math.round(x * 10) / 10;

function throwOf(snap: Snap, random: Random): Partial<Snap> {
  const { gain, result, turnover, turnoverYards, direction, concept } = snap;
  if (result !== 'complete' && result !== 'incomplete') return {};
  const screen = String(concept).includes('screen') || concept === 'bubble';
  const wanted = screen ? random.int(-5, -1) : Math.round(random.normal(9, 7));
  const depth =
    turnover === 'interception'
      ? (turnoverYards ?? wanted)
      : result === 'complete'
        ? Math.min(wanted, gain ?? wanted)
        : wanted;
  const near = random.weighted(THIRD);
  const third =
    near === 'middle' || direction === null ? 1 : (near === 'near') === (direction === 'L') ? 0 : 2;
  return { targetDepth: Math.max(-15, Math.min(60, depth)), targetThird: THIRDS[third]! };
}

function rushOf({ result, pressure }: Snap, random: Random): Partial<Snap> {
  const free = random.chance(pressure === '-' ? 0.05 : 0.12);
  const won = !free && random.chance(result === 'sack' ? 0.9 : 0.14);
  return {
    pressureTime: round(Math.max(1.4, random.normal(result === 'sack' ? 2.5 : 2.9, 0.4))),
    freeRusher: free ? random.weighted(RUSHERS) : '-',
    ...(won
      ? {
          rushWon: [random.weighted(RUSHERS)],
          blockersBeat: random.weighted({ 1: 75, 2: 25 }) === '2' ? 2 : 1,
          penetration: Math.min(12, Math.max(0, Math.round(random.normal(3.4, 1.4)))),
        }
      : {}),
  };
}

/** Every snap from scrimmage charted as a defense and a protection pass would. The same game and seed, the same bytes. */
export function chartGame(snaps: readonly Snap[], seed: number): Snap[] {
  const random = seededRandom(seedOf(seed, `charted ${snaps[0]?.game ?? ''}`));
  return snaps.map((snap): Snap => {
    if (snap.unit !== 'scrimmage' || snap.result === 'no_play' || snap.result === 'kick') return snap;
    const pass = snap.play === 'pass';
    const missed = snap.gain !== null && snap.gain > 3 && random.chance(0.16) ? [random.pick(TACKLERS)] : [];
    return {
      ...snap,
      ...(pass ? throwOf(snap, random) : {}),
      ...(pass ? rushOf(snap, random) : {}),
      ...(pass ? { helpOver: random.chance(0.22) ? random.weighted({ '24': 70, '21': 30 }) : '-' } : {}),
      missedTackles: missed.filter((n) => !snap.tacklers.includes(n)),
    };
  });
}

/** Who plays for a man that is out: their back, and their middle backer. */
const STANDS_IN: Readonly<Record<'offense' | 'defense', readonly [out: string, plays: string]>> = {
  offense: ['22', '28'],
  defense: ['54', '41'],
};

/** From the second half on, a team's usual man of a side is out, and who stands in does what he did. */
export function withoutTheirMan(snaps: readonly Snap[], team: string, side: 'offense' | 'defense'): Snap[] {
  const [out, plays] = STANDS_IN[side];
  const instead = <T extends string | null>(number: T): T | string => (number === out ? plays : number);
  const all = (numbers: readonly string[]): string[] => [...new Set(numbers.map((n) => instead(n)))];
  return snaps.map((snap): Snap => {
    if (snap[side] !== team || snap.unit !== 'scrimmage' || (snap.quarter ?? 1) < 3) return snap;
    return side === 'offense'
      ? { ...snap, missing: [out], carrier: instead(snap.carrier), target: instead(snap.target) }
      : {
          ...snap,
          missingDefenders: [out],
          tacklers: all(snap.tacklers),
          missedTackles: all(snap.missedTackles),
          takenBy: instead(snap.takenBy),
        };
  });
}
