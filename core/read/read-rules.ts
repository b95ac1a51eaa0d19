/** Counting rules read where they enter: typed, imported or stored. */
import { zoneSetFaults } from '../field/situation';
import { rulesSchema } from './schema';
import { DEFAULT_RULES, type StaffRules } from './staff-rules';

export type RulesRead =
  { readonly ok: true; readonly rules: StaffRules } | { readonly ok: false; readonly remedy: string };

/** Reads what a staff typed; a fault is a sentence with its remedy. */
export function readRules(value: unknown): RulesRead {
  const read = rulesSchema.safeParse(value);
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
