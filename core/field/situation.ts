/** Down-and-distance buckets, field zones and clock modes: a staff's sets, first match wins. */

export interface BucketRow {
  readonly key: string;
  readonly label: string;
}

/** Where 2nd, 3rd and 4th down change their name; edges are the least distance of the name. */
export interface BucketSet {
  readonly freshFirst: boolean;
  readonly secondMedium: number;
  readonly secondLong: number;
  readonly thirdMedium: number;
  readonly thirdLong: number;
  /** null: no extra-long row. */
  readonly thirdExtraLong: number | null;
}

export const DEFAULT_BUCKETS: BucketSet = {
  freshFirst: true,
  secondMedium: 3,
  secondLong: 7,
  thirdMedium: 3,
  thirdLong: 7,
  thirdExtraLong: 11,
};

/** Other school: the first play of a drive folded into 1st & 10; medium starts at 4, long at 7. */
export const OTHER_BUCKETS: BucketSet = {
  freshFirst: false,
  secondMedium: 4,
  secondLong: 7,
  thirdMedium: 4,
  thirdLong: 7,
  thirdExtraLong: null,
};

export const BUCKET_ROWS = [
  { key: 'fresh', label: 'first play of a drive' },
  { key: '1-10', label: '1st & 10' },
  { key: '1-11+', label: '1st & 11+' },
  { key: '1-under', label: '1st & under 10' },
  { key: '1-goal', label: '1st & goal' },
  { key: '2-long', label: '2nd long' },
  { key: '2-medium', label: '2nd medium' },
  { key: '2-short', label: '2nd short' },
  { key: '2-goal', label: '2nd & goal' },
  { key: '3-xlong', label: '3rd extra long' },
  { key: '3-long', label: '3rd long' },
  { key: '3-medium', label: '3rd medium' },
  { key: '3-short', label: '3rd short' },
  { key: '3-goal', label: '3rd & goal' },
  { key: '4-xlong', label: '4th extra long' },
  { key: '4-long', label: '4th long' },
  { key: '4-medium', label: '4th medium' },
  { key: '4-short', label: '4th short' },
  { key: '4-goal', label: '4th & goal' },
  { key: 'try-2', label: 'two-point try' },
] as const satisfies readonly BucketRow[];
export type BucketKey = (typeof BUCKET_ROWS)[number]['key'];

export const bucketLabel = (key: BucketKey): string => BUCKET_ROWS.find((r) => r.key === key)?.label ?? key;

export interface BucketInput {
  readonly unit: string | null;
  readonly down: number | null;
  readonly distance: number | null;
  readonly toGoal: number | null;
  /** First scrimmage snap of a possession. */
  readonly fresh: boolean;
}

/** The bucket of a snap, or null when down or distance is unknown or the snap is a kick without a down. */
export function bucketOf(bucketInput: BucketInput, set: BucketSet = DEFAULT_BUCKETS): BucketKey | null {
  if (bucketInput.unit === 'try') return 'try-2';
  if (bucketInput.unit === 'kickoff' || bucketInput.unit === 'free_kick') return null;
  if (
    bucketInput.down === null ||
    bucketInput.distance === null ||
    bucketInput.down < 1 ||
    bucketInput.down > 4
  )
    return null;
  if (bucketInput.toGoal !== null && bucketInput.distance >= bucketInput.toGoal)
    return `${bucketInput.down as 1 | 2 | 3 | 4}-goal`;
  if (bucketInput.down === 1) {
    if (bucketInput.fresh && set.freshFirst) return 'fresh';
    if (bucketInput.distance === 10) return '1-10';
    return bucketInput.distance > 10 ? '1-11+' : '1-under';
  }
  if (bucketInput.down === 2) {
    if (bucketInput.distance >= set.secondLong) return '2-long';
    return bucketInput.distance >= set.secondMedium ? '2-medium' : '2-short';
  }
  const down = bucketInput.down === 3 ? '3' : '4';
  if (set.thirdExtraLong !== null && bucketInput.distance >= set.thirdExtraLong) return `${down}-xlong`;
  if (bucketInput.distance >= set.thirdLong) return `${down}-long`;
  return bucketInput.distance >= set.thirdMedium ? `${down}-medium` : `${down}-short`;
}

export interface Zone {
  readonly key: string;
  readonly label: string;
  /** Yards to goal, both ends included. */
  readonly from: number;
  readonly to: number;
}

export const DEFAULT_ZONES: readonly Zone[] = [
  { key: 'backed-up', label: 'backed up', from: 91, to: 99 },
  { key: 'coming-out', label: 'coming out', from: 76, to: 90 },
  { key: 'open', label: 'open field', from: 41, to: 75 },
  { key: 'fringe', label: 'fringe', from: 26, to: 40 },
  { key: 'high-red', label: 'high red', from: 16, to: 25 },
  { key: 'red', label: 'red', from: 11, to: 15 },
  { key: 'tight-red', label: 'tight red', from: 4, to: 10 },
  { key: 'goal-line', label: 'goal line', from: 1, to: 3 },
];

/** Yards to goal that no zone, or more than one zone, covers; empty for a valid set. */
export function zoneSetFaults(zones: readonly Zone[]): number[] {
  const faults: number[] = [];
  for (let yard = 1; yard <= 99; yard++) {
    if (zones.filter((z) => yard >= z.from && yard <= z.to).length !== 1) faults.push(yard);
  }
  return faults;
}

export function zoneOf(toGoal: number | null, zones: readonly Zone[] = DEFAULT_ZONES): string | null {
  if (toGoal === null) return null;
  return zones.find((z) => toGoal >= z.from && toGoal <= z.to)?.key ?? null;
}

export const CLOCK_MODES = ['normal', 'two_minute', 'four_minute'] as const;
export type ClockMode = (typeof CLOCK_MODES)[number];

/**
 * Clock mode of a snap. Two-minute: last 2:00 of a half, trailing or tied, or leading by one score
 * before half-time. Four-minute: leading in the last 4:00 of the game. Null when quarter, clock or
 * score is unknown and it could matter (2nd and 4th quarter).
 */
export function clockModeOf(
  quarter: number | null,
  clock: number | null,
  margin: number | null,
): ClockMode | null {
  if (quarter === null) return null;
  if (quarter !== 2 && quarter !== 4) return 'normal';
  if (clock === null) return null;
  if (clock > 240) return 'normal';
  if (margin === null) return null;
  if (clock <= 120 && (margin <= 0 || (quarter === 2 && margin <= 8))) return 'two_minute';
  if (quarter === 4 && margin > 0) return 'four_minute';
  return 'normal';
}
