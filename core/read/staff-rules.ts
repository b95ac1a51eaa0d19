/** What a staff decides and every count follows: strength, technique numbers, the box, success, buckets, zones. */
import { DEFAULT_BUCKETS, DEFAULT_ZONES, type BucketSet, type Zone } from '../field/situation';
import type { Doubts } from './doubts';
import { DEFAULT_LOOK_SETTINGS, type LookSettings } from '../look';
import { SUCCESS_40_60_100, SUCCESS_50_70_100, type SuccessRule } from './success';

export const SUCCESS_RULES: readonly SuccessRule[] = [SUCCESS_40_60_100, SUCCESS_50_70_100];

export interface StaffRules {
  readonly look: LookSettings;
  readonly success: SuccessRule;
  readonly buckets: BucketSet;
  readonly zones: readonly Zone[];
  /** What tags count that a charter was not sure of. */
  readonly doubts: Doubts;
}
export const DEFAULT_RULES: StaffRules = {
  look: DEFAULT_LOOK_SETTINGS,
  success: SUCCESS_40_60_100,
  buckets: DEFAULT_BUCKETS,
  zones: DEFAULT_ZONES,
  doubts: 'whole',
};
