/** What a staff decides and every count follows: strength, technique numbers, the box, success, buckets, zones. */
import { DEFAULT_BUCKETS, DEFAULT_ZONES, type BucketSet, type Zone } from '../field/situation';
import type { Doubts } from './doubts';
import { DEFAULT_LOOK_SETTINGS, type LookSettings } from '../look';
import { EXPLOSIVE, type ExplosiveRule } from '../rules/walk';
import { SUCCESS_40_60_100, SUCCESS_50_70_100, type SuccessRule } from './success';

export const SUCCESS_RULES: readonly SuccessRule[] = [SUCCESS_40_60_100, SUCCESS_50_70_100];

/** Common practice, all three; the first is the default. */
export const EXPLOSIVE_RULES: readonly ExplosiveRule[] = [
  EXPLOSIVE,
  { run: 10, pass: 15 },
  { run: 10, pass: 20 },
];

export interface StaffRules {
  readonly look: LookSettings;
  readonly success: SuccessRule;
  readonly explosive: ExplosiveRule;
  readonly buckets: BucketSet;
  readonly zones: readonly Zone[];
  /** What tags count that a charter was not sure of. */
  readonly doubts: Doubts;
}
export const DEFAULT_RULES: StaffRules = {
  look: DEFAULT_LOOK_SETTINGS,
  success: SUCCESS_40_60_100,
  explosive: EXPLOSIVE,
  buckets: DEFAULT_BUCKETS,
  zones: DEFAULT_ZONES,
  doubts: 'whole',
};
