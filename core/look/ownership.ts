/**
 * What a defense leaves without an owner: gaps, flats, depths for a crosser, the third receiver, and men whom a scheme
 * of the offense gives two jobs at once. Common practice throughout; what the staff decides is which of it matters.
 */
import type { Side } from '../field/spot';
import type { DefenseDuty } from './defend';
import { isBack, type Man } from './formation';
import { gapOwners, type Fitter, type OwnedGap } from './gaps';
import type { FullLook } from './look';
import { near, oneEach, schemeJobs, type SchemeJobs } from './scheme-jobs';
import { sideStructure, type Structure } from './structure';
import { WIDE_ZONES } from './zones';

/** Who fits a run stands no deeper; a safety of the quarters no deeper than the second; yards. */
const FIT_DEPTH = 8;
const QUARTERS_FIT = 12;
/** Past the end man: who stands there still fits the edge. */
const FIT_OUTSIDE = 6;

const SIDES: readonly Side[] = ['L', 'R'];
/** Men who may fit a run: near the line and not deep, nor out with a man of their own. */
function fittersOf(duties: readonly DefenseDuty[], structure: Structure): Fitter[] {
  const [left, right] = [structure.left.endOfLine - FIT_OUTSIDE, structure.right.endOfLine + FIT_OUTSIDE];
  return duties
    .filter(
      ({ man, rush, does, covers }) =>
        rush === null &&
        does !== 'deep' &&
        man.depth <= FIT_DEPTH &&
        man.x >= left &&
        man.x <= right &&
        (covers === null || isBack(covers) || attached(covers, structure)),
    )
    .map(({ man }): Fitter => ({ name: man.name, x: man.x }))
    .concat(
      duties
        .filter((d) => d.zone === 'quarter' && d.man.level === 'safety' && d.man.depth <= QUARTERS_FIT)
        .map(({ man }) => ({ name: man.name, x: man.x, edgeOnly: true })),
    );
}
const attached = (man: Man, structure: Structure): boolean =>
  structure.left.attached.includes(man) || structure.right.attached.includes(man);

export const DEPTHS = [
  { key: 'dig', words: 'the deep in-breaker', from: 9.5, to: 18 },
  { key: 'hook', words: 'the hook', from: 5.5, to: 12 },
  { key: 'low', words: 'the check-down', from: 0, to: 10 },
] as const;
/** Lateral yards from the ball in which a crosser is met. */
const CROSSER = 12;

export interface Ownership {
  readonly gaps: readonly OwnedGap[];
  /** Who has the flat of a side; null: nobody. */
  readonly flats: Readonly<Record<Side, string | null>>;
  /** Who has the third receiver of the longer side; null: nobody; undefined: there is none. */
  readonly third: string | null | undefined;
  /** Who meets a crosser at each depth; null: nobody. Empty in man: he is followed. */
  readonly depths: readonly { readonly key: string; readonly words: string; readonly man: string | null }[];
  readonly schemes: readonly SchemeJobs[];
}

/** A man as far outside as the end of the line, or beyond. */
const WIDE = 8;

/** Null: front or coverage is not called, so that not all eleven have a job. */
export function ownership({ offense, defense }: FullLook): Ownership | null {
  if (!defense?.front || !defense.coverage) return null;
  const { duties } = defense;
  const structure = offense.snap;
  const rushes = duties.flatMap(({ man, rush, called }) =>
    rush === null ? [] : [{ name: man.name, x: rush, slants: man.level === 'down' && !called }],
  );
  const gaps = gapOwners(structure, rushes, fittersOf(duties, structure));
  const sign = (side: Side): number => (side === 'L' ? -1 : 1);
  const flatOf = (side: Side): string | null => {
    const out = sign(side);
    const zone = duties.find(
      ({ zone, to, does }) => does !== 'deep' && zone !== null && WIDE_ZONES.has(zone) && to[0] * out > 0,
    );
    if (zone) return zone.man.name;
    const mine = sideStructure(structure, side).receivers;
    const man = near(
      duties.filter(({ covers }) => covers !== null && mine.includes(covers)),
      ({ covers }) => -Math.abs(covers!.x),
    );
    const wide = duties.find(({ does, to }) => does === 'under' && to[0] * out >= WIDE);
    return (wide ?? man)?.man.name ?? null;
  };
  const flats = { L: flatOf('L'), R: flatOf('R') };
  const three = structure.side === null ? undefined : sideStructure(structure, structure.side).receivers[2];
  const third = three && thirdOwner(duties, three);
  const met = oneEach(
    DEPTHS.map(({ key, from, to }) =>
      duties
        .filter(
          (d) =>
            d.rush === null &&
            ((d.does !== 'man' && Math.abs(d.to[0]) <= CROSSER && d.to[1] > from && d.to[1] <= to) ||
              (key === 'low' && d.covers !== null && isBack(d.covers))),
        )
        .sort((a, b) => Math.abs(a.to[0]) - Math.abs(b.to[0]))
        .map((d) => d.man.name),
    ),
  );
  // In man a crosser is his man's.
  const depths =
    defense.coverage.style === 'man'
      ? []
      : DEPTHS.map(({ key, words }, i) => ({ key, words, man: met[i] ?? null }));
  return {
    gaps,
    flats,
    third,
    depths,
    schemes: SIDES.flatMap((side) => schemeJobs(duties, gaps, flats, structure, side)),
  };
}

function thirdOwner(duties: readonly DefenseDuty[], three: Man): string | null {
  const man = duties.find((d) => d.covers === three);
  if (man) return man.man.name;
  // He goes up: the zone that his lane runs into first.
  const zone = near(
    duties.filter((d) => d.rush === null && d.does !== 'man' && Math.abs(d.to[0] - three.x) <= 6),
    (d) => Math.abs(d.to[0] - three.x) + d.to[1] / 4,
  );
  return zone?.man.name ?? null;
}
