/** Counting rules as they are typed: numbers are texts until they are read. */
import { DEFAULT_BUCKETS, OTHER_BUCKETS, type BucketSet } from '@/core/field/situation';
import type { EvenAfterMotion, School, StrengthRule } from '@/core/look';
import type { Doubts } from '@/core/read/doubts';
import { EXPLOSIVE_RULES, SUCCESS_RULES, type StaffRules } from '@/core/read/staff-rules';

export interface RulesDraft {
  /** First to last; empty: nothing further. */
  readonly order: readonly (StrengthRule | '')[];
  readonly evenAfterMotion: EvenAfterMotion;
  readonly keepHoldsEnd: boolean;
  readonly school: School;
  readonly box: { readonly lateral: string; readonly depth: string };
  readonly percent: readonly string[];
  readonly explosive: { readonly run: string; readonly pass: string };
  readonly doubts: Doubts;
  readonly buckets: BucketSet;
  readonly zones: readonly {
    readonly key: string;
    readonly label: string;
    readonly from: string;
    readonly to: string;
  }[];
}

const RULES_IN_ORDER = 4;

export const draftOf = ({ look, success, explosive, buckets, zones, doubts }: StaffRules): RulesDraft => ({
  order: Array.from({ length: RULES_IN_ORDER }, (_, i) => look.strength[i] ?? ''),
  evenAfterMotion: look.evenAfterMotion,
  keepHoldsEnd: look.keepHoldsEnd,
  school: look.school,
  box: { lateral: String(look.box.lateral), depth: String(look.box.depth) },
  percent: success.percent.map(String),
  explosive: { run: String(explosive.run), pass: String(explosive.pass) },
  buckets,
  doubts,
  zones: zones.map((z) => ({ ...z, from: String(z.from), to: String(z.to) })),
});

/** The success rule of that name, or null: the staff's own numbers. */
export const knownSuccess = (percent: readonly string[]) =>
  SUCCESS_RULES.find((r) => r.percent.join() === percent.join()) ?? null;

const yardsOfRule = ({
  run,
  pass,
}: {
  readonly run: number | string;
  readonly pass: number | string;
}): string => `${run}/${pass}`;
export const EXPLOSIVE_NAMES: readonly string[] = EXPLOSIVE_RULES.map(yardsOfRule);
/** "12/16", or own: the staff's own yards. */
export const explosiveName = (explosive: RulesDraft['explosive']): string =>
  EXPLOSIVE_NAMES.find((name) => name === yardsOfRule(explosive)) ?? 'own';

/** What is to be read. */
export const valueOf = ({
  order,
  evenAfterMotion,
  keepHoldsEnd,
  school,
  box,
  percent,
  explosive,
  buckets,
  zones,
  doubts,
}: RulesDraft): unknown => ({
  look: {
    strength: order.filter((r) => r !== ''),
    evenAfterMotion,
    keepHoldsEnd,
    school,
    box: { lateral: Number(box.lateral), depth: Number(box.depth) },
  },
  success: { name: knownSuccess(percent)?.name ?? percent.join('/'), percent: percent.map(Number) },
  explosive: { run: Number(explosive.run), pass: Number(explosive.pass) },
  buckets,
  doubts,
  zones: zones.map((z) => ({ ...z, from: Number(z.from), to: Number(z.to) })),
});

const SETS = { a: DEFAULT_BUCKETS, b: OTHER_BUCKETS } as const;
/** Which of the two usual sets of situations it is. */
export const bucketSetOf = (buckets: BucketSet): 'a' | 'b' | 'own' =>
  (['a', 'b'] as const).find((k) => JSON.stringify(SETS[k]) === JSON.stringify(buckets)) ?? 'own';
export const bucketSet = (name: string, own: BucketSet): BucketSet =>
  name === 'a' || name === 'b' ? SETS[name] : own;
