/**
 * What a staff decides by arithmetic before it is tired: fourth down, one point or two, the kneel-out clock, time-outs.
 * A rule or a share stands behind each figure and can be changed; the coach decides.
 */
import type { LevelProfile } from '../field/profile';
import { expectedPoints } from '../read/expected-points';
import { FEW_COUNT, wilson, type Rate } from '../read/rates';
import { select, type Columns } from '../read/columns';
import { UNSAID } from '../read/outcomes';

/** Seconds, yards, and shares in percent. */
export interface DecisionSettings {
  /** From the end of a play to the next snap, at most. */
  readonly playClock: number;
  /** Left on it when the ball is snapped. */
  readonly spare: number;
  /** From snap to whistle: of a kneel, of a run that stays in bounds. */
  readonly kneel: number;
  readonly run: number;
  /** A try by kick, and for two, that is good. */
  readonly tryKick: number;
  readonly tryTwo: number;
  /** A drive of either team that ends in a touchdown, in a field goal. */
  readonly touchdown: number;
  readonly fieldGoal: number;
  /** Field goals made: snapped to be kicked from up to 32 yards, 42, 52. */
  readonly short: number;
  readonly middle: number;
  readonly long: number;
  /** A punt's yards, less the return. */
  readonly punt: number;
  /** Third and very long: throws to the line to gain that convert, that are intercepted, and how far downfield. */
  readonly forcedConverts: number;
  readonly intercepted: number;
  readonly interceptedAt: number;
  /** A check-down then: what it gains, and how often it converts. */
  readonly checkDown: number;
  readonly checkDownConverts: number;
}
/** Forty seconds at every level of eleven men, from memory; the shares are rough, from memory too, for a staff to replace. */
export const USUAL_DECISIONS: DecisionSettings = {
  playClock: 40,
  spare: 1,
  kneel: 2,
  run: 6,
  tryKick: 94,
  tryTwo: 45,
  touchdown: 24,
  fieldGoal: 12,
  short: 90,
  middle: 75,
  long: 55,
  punt: 38,
  forcedConverts: 10,
  intercepted: 12,
  interceptedAt: 25,
  checkDown: 7,
  checkDownConverts: 3,
};
const share = { from: 0, to: 100 } as const;
export const DECISION_LIMITS: Readonly<
  Record<keyof DecisionSettings, { readonly from: number; readonly to: number }>
> = {
  playClock: { from: 20, to: 45 },
  spare: { from: 0, to: 10 },
  kneel: { from: 1, to: 5 },
  run: { from: 2, to: 12 },
  tryKick: share,
  tryTwo: share,
  touchdown: share,
  fieldGoal: share,
  short: share,
  middle: share,
  long: share,
  punt: { from: 0, to: 70 },
  forcedConverts: share,
  intercepted: share,
  interceptedAt: { from: 0, to: 70 },
  checkDown: { from: -5, to: 20 },
  checkDownConverts: share,
};
export const DECISION_LABEL: Readonly<Record<keyof DecisionSettings, string>> = {
  playClock: 'play clock, s',
  spare: 'left on it at the snap, s',
  kneel: 'a kneel, s',
  run: 'a run, s',
  tryKick: 'kicked tries, %',
  tryTwo: 'tries for two, %',
  touchdown: 'drives to a touchdown, %',
  fieldGoal: 'drives to a field goal, %',
  short: 'kicks to 32 yd, %',
  middle: 'kicks to 42 yd, %',
  long: 'kicks to 52 yd, %',
  punt: 'a punt, net yd',
  forcedConverts: 'very long: forced converts, %',
  intercepted: 'forced, intercepted, %',
  interceptedAt: 'so far downfield, yd',
  checkDown: 'a check-down, yd',
  checkDownConverts: 'it converts, %',
};

// The clock.

/** Seconds that plays in bounds take off a running clock, each with the wait for the next snap, a time-out ending one wait. */
const taken = (plays: number, each: number, waits: number, wait: number, timeOuts: number): number =>
  plays * each + Math.max(0, waits - timeOuts) * wait;

/** Where the clock stops by itself at two minutes: professional, and college since 2024 (from memory). */
export const stopsAtTwo = ({ key }: Pick<LevelProfile, 'key'>): boolean =>
  key === 'professional' || key === 'college';
const TWO_MINUTES = 120;

/**
 * Most seconds left on the clock at the snap of a down with which the game is over by kneeling, the last kneel on fourth
 * down; the other team has so many time-outs. Common practice, by arithmetic.
 */
export function kneelOut(
  settings: DecisionSettings,
  down: 1 | 2 | 3 | 4,
  timeOuts: number,
  stops: boolean,
): number {
  const kneels = 5 - down;
  const most = taken(kneels, settings.kneel, kneels - 1, settings.playClock - settings.spare, timeOuts);
  return stops ? Math.min(most, TWO_MINUTES) : most;
}

/**
 * Seconds left at the punt, when they run on three downs in bounds from a clock and we have so many time-outs, spent at once;
 * where the clock stops at two minutes, that is one of ours more.
 */
export function leftAtPunt(
  settings: DecisionSettings,
  clock: number,
  timeOuts: number,
  stops: boolean,
): number {
  let [left, ours, stopped] = [clock, timeOuts, clock <= TWO_MINUTES];
  const wait = settings.playClock - settings.spare;
  for (let down = 1; down <= 3; down++) {
    left -= settings.run;
    if (stops && !stopped && left <= TWO_MINUTES) stopped = true;
    else if (ours > 0) ours--;
    else if (stops && !stopped && left - wait < TWO_MINUTES) [left, stopped] = [TWO_MINUTES, true];
    else left -= wait;
  }
  return Math.max(0, left);
}

// One point or two.

const FURTHEST = 40;

/**
 * The share of games won, ties half, by dynamic programming over margin and possessions left, the other team's next
 * (method: Sackrowitz 2000, Chance 13(3):29, from memory). Both teams score alike and choose their tries best.
 */
export function tryValues(
  { tryKick, tryTwo, touchdown, fieldGoal }: DecisionSettings,
  possessions: number,
): (margin: number) => { readonly kick: number; readonly two: number } {
  const [q, t] = [tryKick / 100, tryTwo / 100];
  const td = touchdown / 100;
  const fg = Math.min(fieldGoal / 100, 1 - td);
  /** Ours to win at a margin, so many possessions left; `theirs`: the next is the other team's. */
  const known = new Map<string, number>();
  const wins = (margin: number, left: number, theirs: boolean): number => {
    const m = Math.max(-FURTHEST, Math.min(FURTHEST, margin));
    if (left === 0) return m > 0 ? 1 : m < 0 ? 0 : 0.5;
    const key = `${m}|${left}|${theirs}`;
    const had = known.get(key);
    if (had !== undefined) return had;
    const sign = theirs ? -1 : 1;
    const after = (points: number): number => wins(m + sign * points, left - 1, !theirs);
    const kick = q * after(7) + (1 - q) * after(6);
    const two = t * after(8) + (1 - t) * after(6);
    const best = theirs ? Math.min(kick, two) : Math.max(kick, two);
    const value = td * best + fg * after(3) + (1 - td - fg) * after(0);
    known.set(key, value);
    return value;
  };
  return (margin) => {
    const none = wins(margin, possessions, true);
    return {
      kick: q * wins(margin + 1, possessions, true) + (1 - q) * none,
      two: t * wins(margin + 2, possessions, true) + (1 - t) * none,
    };
  };
}
/** A smaller share of games is no reason. */
const NO_MATTER = 0.002;
export type TryAdvice = '1' | '2' | '=';
export const tryAdvice = ({ kick, two }: { readonly kick: number; readonly two: number }): TryAdvice =>
  Math.abs(two - kick) < NO_MATTER ? '=' : two > kick ? '2' : '1';

// Fourth down.

/** Goal posts and the holder: yards that a kick is longer than the ball is from the goal line. Common practice. */
const KICK_YARDS = 17;
/** Where drives begin after a kickoff into the end zone, near enough, and after a touchback of a punt: yards to goal. */
const [AFTER_KICKOFF, TOUCHBACK] = [75, 80] as const;

function kickPoints(toGoal: number, settings: DecisionSettings, profile: LevelProfile): number | null {
  const yards = toGoal + KICK_YARDS;
  const made =
    yards <= 32 ? settings.short : yards <= 42 ? settings.middle : yards <= 52 ? settings.long : null;
  if (made === null) return null;
  const theirs =
    profile.missedFieldGoal === 'as_punt'
      ? TOUCHBACK
      : Math.min(TOUCHBACK, 100 - toGoal - (profile.missedFieldGoal === 'spot_of_kick' ? 7 : 0));
  const [good, missed] = [expectedPoints(AFTER_KICKOFF), expectedPoints(theirs)];
  if (good === null || missed === null) return null;
  return (made / 100) * (3 - good) - (1 - made / 100) * missed;
}
function puntPoints(toGoal: number, { punt }: DecisionSettings): number | null {
  const lands = toGoal - punt;
  const theirs = expectedPoints(lands < 100 - TOUCHBACK ? TOUCHBACK : 100 - lands);
  return theirs === null ? null : -theirs;
}

export interface FourthDown {
  /** Share of conversions from which going is worth more, 0 to 1. */
  readonly from: number;
  readonly instead: 'kick' | 'punt';
}
/**
 * From which conversion on going for it is worth as much as the better kick, in expected points (method: Carter & Machol
 * 1978, Management Science 24:1758, from memory); null where the table of 1971 says nothing.
 */
export function fourthDown(
  toGoal: number,
  distance: number,
  settings: DecisionSettings,
  profile: LevelProfile,
): FourthDown | null {
  const [gained, theirs] = [expectedPoints(toGoal - distance), expectedPoints(100 - toGoal)];
  const [kick, punt] = [kickPoints(toGoal, settings, profile), puntPoints(toGoal, settings)];
  if (gained === null || theirs === null || (kick === null && punt === null)) return null;
  const instead = kick !== null && kick >= (punt ?? -Infinity) ? 'kick' : 'punt';
  const other = instead === 'kick' ? kick! : punt!;
  return { from: Math.max(0, Math.min(1, (other + theirs) / (gained + theirs))), instead };
}

/** Distances that a card has, each with those counted as like it. */
export const DISTANCES = [
  { yards: 1, from: 1, to: 1 },
  { yards: 2, from: 2, to: 2 },
  { yards: 3, from: 3, to: 3 },
  { yards: 5, from: 4, to: 6 },
  { yards: 8, from: 7, to: 10 },
] as const;

/** Third and fourth downs of a team that were converted, by distance, in the order of DISTANCES. */
export function conversions(columns: Columns, team: string): Rate[] {
  const rows = select(columns, { offense: [team], down: ['3', '4'] });
  return DISTANCES.map(({ from, to }) => {
    const known = rows.filter(
      (i) => columns.distance[i]! >= from && columns.distance[i]! <= to && columns.success[i] !== UNSAID,
    );
    return wilson(known.filter((i) => columns.success[i] === 1).length, known.length);
  });
}

/** What the interval of our conversions says of a share: all of it above, all below, or neither. */
export const fourthAdvice = (from: number, { n, low, high }: Rate): 'go' | 'no' | 'close' | 'few' =>
  n < FEW_COUNT || low === null || high === null ? 'few' : low > from ? 'go' : high < from ? 'no' : 'close';
