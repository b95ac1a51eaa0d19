/** What a staff decides and every count follows: strength, technique numbers, the box, success, buckets, zones. */
import { z } from 'zod';
import { DEFAULT_BUCKETS, DEFAULT_ZONES, zoneSetFaults, type BucketSet, type Zone } from '../field/situation';
import { DEFAULT_LOOK_SETTINGS, STRENGTH_RULES, TIGHT_END_SCHOOLS, type LookSettings } from '../look';
import { SUCCESS_40_60_100, SUCCESS_50_70_100, type SuccessRule } from './success';

export const SUCCESS_RULES: readonly SuccessRule[] = [SUCCESS_40_60_100, SUCCESS_50_70_100];

export interface StaffRules {
  readonly look: LookSettings;
  readonly success: SuccessRule;
  readonly buckets: BucketSet;
  readonly zones: readonly Zone[];
}
export const DEFAULT_RULES: StaffRules = {
  look: DEFAULT_LOOK_SETTINGS,
  success: SUCCESS_40_60_100,
  buckets: DEFAULT_BUCKETS,
  zones: DEFAULT_ZONES,
};

const yard = z.int().min(1).max(99);
const schema = z.object({
  look: z.object({
    strength: z
      .array(z.enum(STRENGTH_RULES))
      .min(1, 'strength needs at least one rule')
      .max(4)
      .refine((a) => new Set(a).size === a.length, 'strength names a rule twice'),
    school: z.enum(TIGHT_END_SCHOOLS),
    box: z.object({ lateral: z.number().min(0).max(5), depth: z.number().min(3).max(12) }),
  }),
  success: z.object({
    name: z.string().max(40),
    percent: z.tuple([z.number().min(1).max(100), z.number().min(1).max(100), z.number().min(1).max(100)]),
  }),
  buckets: z.object({
    freshFirst: z.boolean(),
    secondMedium: yard,
    secondLong: yard,
    thirdMedium: yard,
    thirdLong: yard,
    thirdExtraLong: yard.nullable(),
  }),
  zones: z
    .array(
      z.object({ key: z.string().min(1).max(30), label: z.string().min(1).max(30), from: yard, to: yard }),
    )
    .min(1)
    .max(20),
});

export type RulesRead =
  { readonly ok: true; readonly rules: StaffRules } | { readonly ok: false; readonly remedy: string };

/** Reads what a staff typed; a fault is a sentence with its remedy. */
export function readRules(value: unknown): RulesRead {
  const read = schema.safeParse(value);
  if (!read.success) {
    const issue = read.error.issues[0]!;
    return { ok: false, remedy: `${issue.path.join(', ')}: ${issue.message}` };
  }
  const { buckets: b, zones } = read.data;
  const ascending =
    b.secondMedium < b.secondLong &&
    b.thirdMedium < b.thirdLong &&
    (b.thirdExtraLong === null || b.thirdLong < b.thirdExtraLong);
  if (!ascending) return { ok: false, remedy: 'medium must begin below long, and long below extra long' };
  const faults = zoneSetFaults(zones);
  if (faults.length > 0)
    return {
      ok: false,
      remedy: `every yard from 1 to 99 must lie in just one zone; ${faults.length === 1 ? `yard ${faults[0]} does not` : `${faults.length} yards do not, the first is ${faults[0]}`}`,
    };
  return { ok: true, rules: read.data as StaffRules };
}

/** Rules as stored, or the defaults where nothing (or something unreadable) is stored. */
export function rulesOf(stored: unknown): StaffRules {
  if (stored === null || stored === undefined) return DEFAULT_RULES;
  const read = readRules(stored);
  return read.ok ? read.rules : DEFAULT_RULES;
}
