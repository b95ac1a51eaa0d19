/** One change to many snaps: what is typed is set, "clear coverage" clears, "copy front" takes it from the first marked. */
import { parseLine } from '../line/resolve';
import type { Problem } from '../line/problem';
import { emptyValue, SNAP_FIELDS, sameValue } from '../snap/fields';
import type { SnapFact, SnapField, SnapFields } from '../snap/snap';
import { fieldNamed } from './find';
import type { LoggedGame } from './game';

export interface BulkChange {
  readonly snapId: string;
  readonly number: number;
  readonly fields: readonly { readonly field: SnapFact; readonly from: unknown; readonly to: unknown }[];
}
export interface BulkPlan {
  readonly verb: 'set' | 'clear' | 'copy' | null;
  readonly fields: readonly SnapFact[];
  readonly changes: readonly BulkChange[];
  /** Marked snaps that have all of it already. */
  readonly same: number;
  /** Values that would be written over. */
  readonly over: number;
  /** Words that no field or value was found for. */
  readonly problem: string | null;
}

/** Every snap has its own: never set or copied for many at once. */
const OWN: ReadonlySet<SnapField> = new Set<SnapField>([
  'clock',
  'down',
  'distance',
  'toGoal',
  'pointsFor',
  'pointsAgainst',
  'note',
]);
const isOwn = (field: SnapField): boolean => OWN.has(field) || SNAP_FIELDS[field].group === 'what_came_of_it';

/** Names of fields one after the other, the longest first. */
function fieldsIn(words: readonly string[]): {
  readonly fields: SnapFact[];
  readonly unknown: string | null;
} {
  const fields: SnapFact[] = [];
  for (let i = 0; i < words.length;) {
    let used = 0;
    for (let n = Math.min(4, words.length - i); n >= 1 && used === 0; n--) {
      const field = fieldNamed(words.slice(i, i + n).join(' '));
      if (!field) continue;
      fields.push(field);
      used = n;
    }
    if (used === 0) return { fields, unknown: words[i]! };
    i += used;
  }
  return { fields, unknown: null };
}
/** A word's side and what is said with it are cleared and copied with it. */
const withParts = (fields: readonly SnapFact[]): SnapFact[] => [
  ...new Set(
    fields.flatMap((f) => {
      const { side, with: others } = SNAP_FIELDS[f];
      return [f, ...(side ? [side as SnapFact] : []), ...((others ?? []) as readonly SnapFact[])];
    }),
  ),
];

export function planBulk(text: string, marked: readonly string[], game: LoggedGame): BulkPlan {
  const ids = new Set(marked);
  const rows = game.rows.filter((r) => ids.has(r.snap.snapId));
  const none = { verb: null, fields: [], changes: [], same: 0, over: 0, problem: null } as const;
  const [first = '', ...names] = text.trim().split(/\s+/);
  if (first === '' || rows.length === 0) return none;
  const verb = first === 'clear' || first === 'copy' ? first : 'set';
  let to: (field: SnapFact) => unknown;
  let fields: SnapFact[];
  if (verb === 'set') {
    const read = parseLine(text, {
      book: game.book,
      profile: game.profile,
      state: null,
      previous: null,
      teams: [game.home, game.away],
    });
    const problem: Problem | undefined = read.problems[0];
    if (problem) return { ...none, verb, problem: `“${problem.text}” is no value of a field` };
    fields = Object.keys(read.fields) as SnapFact[];
    to = (field) => read.fields[field] ?? null;
  } else {
    const named = fieldsIn(names);
    if (named.unknown !== null) return { ...none, verb, problem: `there is no field “${named.unknown}”` };
    fields = withParts(named.fields);
    to = (field) => (verb === 'clear' ? emptyValue(field) : rows[0]!.snap[field]);
  }
  if (fields.length === 0) return { ...none, verb, problem: `${verb} what? Name a field: ${verb} coverage` };
  const own = verb === 'clear' ? undefined : fields.find(isOwn);
  if (own)
    return {
      ...none,
      verb,
      problem: `${SNAP_FIELDS[own].label} is each snap’s own; it is not ${verb === 'set' ? 'set' : 'copied'} for many`,
    };
  const changes: BulkChange[] = [];
  let over = 0;
  for (const { snap, number } of rows) {
    const differing = fields
      .map((field) => ({ field, from: snap[field] as unknown, to: to(field) }))
      .filter((c) => !sameValue(c.from, c.to));
    over += differing.filter((c) => !sameValue(c.from, emptyValue(c.field))).length;
    if (differing.length > 0) changes.push({ snapId: snap.snapId, number, fields: differing });
  }
  return { verb, fields, changes, same: rows.length - changes.length, over, problem: null };
}

export const bulkPatches = ({ changes }: BulkPlan): { snapId: string; fields: SnapFields }[] =>
  changes.map(({ snapId, fields }) => ({
    snapId,
    fields: Object.fromEntries(fields.map((c) => [c.field, c.to])) as SnapFields,
  }));

/** "set coverage on 12 snaps; 3 have it already, 2 values are written over". */
export function bulkSentence({ verb, fields, changes, same, over }: BulkPlan): string {
  if (verb === null) return '';
  const what = fields.map((f) => SNAP_FIELDS[f].label).join(', ');
  const snaps = (n: number): string => `${n} ${n === 1 ? 'snap' : 'snaps'}`;
  return [
    `${verb} ${what} on ${snaps(changes.length)}`,
    same > 0 ? `${snaps(same)} ${same === 1 ? 'has' : 'have'} it already` : '',
    over > 0 && verb !== 'clear' ? `${over} ${over === 1 ? 'value is' : 'values are'} written over` : '',
  ]
    .filter(Boolean)
    .join('; ');
}
