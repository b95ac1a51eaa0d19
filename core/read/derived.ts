/** What the order of a game says of each snap besides its situation: score, opening, drive; depth of a throw and place on the field as bands. */
import { isTagged } from '../snap/snap';
import type { Snap } from '../snap/snap';
import type { WalkedSnap } from '../rules/walk';

/** Two scores apart from eight points on, with the try (common practice). */
const ONE_SCORE = 8;
/** Plays a staff may write down before the game (common practice). */
export const OPENING = 15;

export const LEADS = [
  'ahead 9 or more',
  'ahead 1 to 8',
  'level',
  'behind 1 to 8',
  'behind 9 or more',
] as const;
export const HALVES = ['1st half', '2nd half', 'overtime'] as const;
export const OPENINGS = [`first ${OPENING}`, 'later'] as const;
export const DEPTH_BANDS = ['behind the line', '0 to 9', '10 to 19', '20 or more'] as const;
/** Yards to the goal line, ten at a time. */
export const FIELD_BANDS = [
  '91 or more',
  '81 to 90',
  '71 to 80',
  '61 to 70',
  '51 to 60',
  '41 to 50',
  '31 to 40',
  '21 to 30',
  '11 to 20',
  '1 to 10',
] as const;
export const DRIVE_STARTS = [
  'own 1 to 19',
  'own 20 to 39',
  'own 40 to their 40',
  'their 39 to 20',
  'inside their 20',
] as const;
export const DRIVE_ENDS = [
  'touchdown',
  'field goal',
  'missed field goal',
  'punt',
  'downs',
  'interception',
  'fumble lost',
  'safety',
  'end of half',
] as const;
type DriveEnd = (typeof DRIVE_ENDS)[number];

export interface Derived {
  readonly lead: (typeof LEADS)[number] | null;
  readonly half: (typeof HALVES)[number] | null;
  readonly opening: (typeof OPENINGS)[number] | null;
  readonly depthBand: (typeof DEPTH_BANDS)[number] | null;
  readonly fieldBand: (typeof FIELD_BANDS)[number] | null;
  readonly driveStart: (typeof DRIVE_STARTS)[number] | null;
  readonly driveEnd: DriveEnd | null;
  /** The first counted snap of its drive stands for the drive. */
  readonly drivePlay: 'first' | 'later' | null;
}

function leadOf({ pointsFor, pointsAgainst }: Snap): Derived['lead'] {
  if (pointsFor === null || pointsAgainst === null) return null;
  const by = pointsFor - pointsAgainst;
  return by > ONE_SCORE
    ? LEADS[0]
    : by > 0
      ? LEADS[1]
      : by === 0
        ? LEADS[2]
        : by >= -ONE_SCORE
          ? LEADS[3]
          : LEADS[4];
}
const halfOf = (quarter: number | null): Derived['half'] =>
  quarter === null ? null : quarter <= 2 ? HALVES[0] : quarter <= 4 ? HALVES[1] : HALVES[2];

function depthOf(depth: unknown): Derived['depthBand'] {
  if (!isTagged(depth) || typeof depth !== 'number') return null;
  return depth < 0
    ? DEPTH_BANDS[0]
    : depth < 10
      ? DEPTH_BANDS[1]
      : depth < 20
        ? DEPTH_BANDS[2]
        : DEPTH_BANDS[3];
}

const bandOf = (toGoal: number | null): Derived['fieldBand'] =>
  toGoal === null || toGoal < 1
    ? null
    : FIELD_BANDS[FIELD_BANDS.length - 1 - Math.min(FIELD_BANDS.length - 1, Math.floor((toGoal - 1) / 10))]!;

const startOf = (toGoal: number | null): Derived['driveStart'] =>
  toGoal === null
    ? null
    : toGoal > 80
      ? DRIVE_STARTS[0]
      : toGoal > 60
        ? DRIVE_STARTS[1]
        : toGoal >= 40
          ? DRIVE_STARTS[2]
          : toGoal >= 20
            ? DRIVE_STARTS[3]
            : DRIVE_STARTS[4];

const lost = ({ turnover, fumble }: Snap): boolean => turnover === 'fumble' && fumble !== 'kept';

/** How a drive ended, from its last snaps and what comes after it; null: the film does not say. */
function endOf(
  drive: readonly number[],
  snaps: readonly Snap[],
  rows: readonly WalkedSnap[],
): DriveEnd | null {
  const at = drive[drive.length - 1]!;
  const last = snaps[at]!;
  if (last.score === 'touchdown' && last.scoredBy === last.offense) return 'touchdown';
  if (last.turnover === 'interception') return 'interception';
  if (lost(last)) return 'fumble lost';
  if (last.score === 'safety') return 'safety';
  if (last.unit === 'field_goal') return last.score === 'field_goal' ? 'field goal' : 'missed field goal';
  if (last.unit === 'punt') return 'punt';
  const next = rows[at + 1];
  // The film may stop before the drive does.
  if (next === undefined || last.notFilmed || next.snap.notFilmed) return null;
  if (next.anchored || halfOf(next.before.quarter) !== halfOf(last.quarter)) return 'end of half';
  return last.down === 4 && next.before.offense !== last.offense ? 'downs' : null;
}

const OF_A_DRIVE: ReadonlySet<string | null> = new Set(['scrimmage', 'punt', 'field_goal']);

/** Of one game: walked rows and their effective snaps in the same order; `counts` says which are plays. Linear. */
export function deriveGame(
  rows: readonly WalkedSnap[],
  snaps: readonly Snap[],
  counts: (index: number) => boolean,
): Derived[] {
  const drives = new Map<number, number[]>();
  rows.forEach((row, i) => {
    if (row.possession === 0 || !OF_A_DRIVE.has(snaps[i]!.unit)) return;
    const list = drives.get(row.possession);
    if (list) list.push(i);
    else drives.set(row.possession, [i]);
  });
  const starts = new Map<number, Derived['driveStart']>();
  const ends = new Map<number, DriveEnd | null>();
  const first = new Map<number, number>();
  for (const [possession, drive] of drives) {
    starts.set(possession, startOf(snaps[drive[0]!]!.toGoal));
    ends.set(possession, endOf(drive, snaps, rows));
    const play = drive.find(counts);
    if (play !== undefined) first.set(possession, play);
  }
  const played = new Map<string, number>();
  return snaps.map((snap, i): Derived => {
    const inDrive = drives.get(rows[i]!.possession)?.includes(i) ? rows[i]!.possession : null;
    let opening: Derived['opening'] = null;
    if (counts(i) && snap.unit === 'scrimmage' && snap.offense !== null) {
      const n = (played.get(snap.offense) ?? 0) + 1;
      played.set(snap.offense, n);
      opening = n <= OPENING ? OPENINGS[0]! : OPENINGS[1]!;
    }
    return {
      lead: leadOf(snap),
      half: halfOf(snap.quarter),
      opening,
      depthBand: depthOf(snap.targetDepth),
      fieldBand: bandOf(snap.toGoal),
      driveStart: inDrive === null ? null : starts.get(inDrive)!,
      driveEnd: inDrive === null ? null : ends.get(inDrive)!,
      drivePlay: inDrive === null || !counts(i) ? null : first.get(inDrive) === i ? 'first' : 'later',
    };
  });
}
