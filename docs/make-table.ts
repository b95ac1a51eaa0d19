/** The page of the open snap table, made from the field table: `npx tsx docs/make-table.ts`. */
import { writeFileSync } from 'node:fs';
import path from 'node:path';
import {
  columnOf,
  FIELD_GROUPS,
  knownAt,
  SNAP_FIELD_NAMES,
  SNAP_FIELDS,
  type FieldSpec,
} from '../core/snap/fields';

const KIND: Readonly<Record<FieldSpec['kind'], string>> = {
  text: 'text',
  integer: 'whole number',
  decimal: 'number',
  clock: 'm:ss left in the quarter',
  enum: 'one of a list',
  flag: 'true or false',
  list: 'words, `;` between',
  numbers: 'jersey numbers, `;` between',
  penalties:
    '`side:name:yards:from:outcome:extra`, `:at` behind it where the spot of the foul is said; `;` between',
  date: 'date',
};

const KNOWN = { set: 'set', snap: 'at the snap', after: 'after' } as const;

function holds(spec: FieldSpec): string {
  const out = [KIND[spec.kind]];
  if (spec.values) out.push(spec.values.join(', '));
  if (spec.min !== undefined) out.push(`${spec.min} to ${spec.max}`);
  if (spec.unit) out.push(spec.unit);
  if (spec.expected) out.push(spec.expected);
  if (spec.terms) out.push(`a word of the book (${spec.terms.join(', ')})`);
  return out.join('; ');
}

export function tablePage(): string {
  return `${[
    '# The open snap table',
    '',
    'A row a snap, `snaps.csv` of an export. Left and right are those of the team that puts the ball in play; spots are yards to the goal line it attacks. In a tag column empty is not tagged, `-` none or not applicable, `?` not visible on this film. *known*: when both sides are set, at the snap, or after it, and whom a charter watches for it. The name in the last column is what is typed before `=` in a snap line; the column’s own name works too.',
    ...FIELD_GROUPS.flatMap((group) => [
      '',
      `## ${group.replace(/_/g, ' ')}`,
      '',
      '| column | is | holds | tag | known | typed |',
      '|---|---|---|---|---|---|',
      ...SNAP_FIELD_NAMES.filter((f) => SNAP_FIELDS[f].group === group).map((field) => {
        const spec = SNAP_FIELDS[field];
        return `| \`${columnOf(field)}\` | ${spec.label} | ${holds(spec)} | ${spec.tag ? 'yes' : ''} | ${KNOWN[knownAt(field)]}${spec.about ? `, ${spec.about}` : ''} | ${(spec.typed ?? []).map((t) => `\`${t}=\``).join(' ')} |`;
      }),
    ]),
    '',
    '## Plays that need more than one field',
    '',
    '| play | line |',
    '|---|---|',
    ...HARD_PLAYS.map(([name, line]) => `| ${name} | \`${line}\` |`),
  ].join('\n')}\n`;
}

/** The plays that are hardest to log whole, each as one line. */
export const HARD_PLAYS: readonly (readonly [name: string, line: string])[] = [
  ['fake punt, run', 'punt fake power r #44 +12'],
  ['fake field goal, thrown', 'fg fake boot r #12>#88 +9 complete'],
  ['swinging gate', '2&8 trips r "gate" swinging gate bubble r #7>#11 +4'],
  ['wildcat, the back takes the snap', '11 doubles r wildcat power r taker=22 #22 +5'],
  ['two quarterbacks, one throws back', 'spread r gun passer2=14 throwback screen #7>#14 +11'],
  ['double pass', 'doubles r gun halfback pass #7>#84 passer2=22 depth=28 third=right +31 complete'],
  ['hook and lateral', 'trips r gun hook and lateral #7>#81 carrier2=22 +24 complete'],
  ['interception fumbled back', 'trips r gun y-cross #7>#84 int 18 ret 9 fum lost'],
  [
    'option: pulled and pitched',
    '20 pro r split backs 4-3 cover 3 triple option r pitched #7 carrier2=22 +14',
  ],
  [
    'option with a throw, thrown',
    '11 trips r gun 4-2 c3 inside zone l ~ bubble r thrown #7>#11 depth=-2 third=right +6 complete',
  ],
  [
    'scramble drill after a check and a time-out',
    'timeout=offense check="power r" bodies=dime trips r gun mesh #7>#81 drill depth=14 third=middle +17 complete',
  ],
  [
    'a hit on the quarterback, a doubled receiver, a spy',
    'nickel pressure bodies=nickel empty r c1 doubled=81 spy=44 four verticals #7>#84 inc qbhit',
  ],
];

if (process.argv[1]?.endsWith('make-table.ts'))
  writeFileSync(path.join(import.meta.dirname, 'table.md'), tablePage());
