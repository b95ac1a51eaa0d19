/** What a line or a snap says, field by field as a coach says it: sides with their words, the down with its distance, the result in one. */
import { SNAP_FIELDS } from '../snap/fields';
import { isTagged, NONE, UNSEEN, type SnapField, type SnapFields } from '../snap/snap';
import { writeFieldText } from '../snap/text';
import { sureOf, SURENESS_WORDS } from '../snap/sureness';

export interface Echo {
  readonly field: SnapField;
  readonly label: string;
  readonly value: string;
  readonly unsure: boolean;
}

const sideWord = (side: unknown): string => (side === 'L' ? ' left' : side === 'R' ? ' right' : '');

function valueText(field: SnapField, value: unknown, fields: SnapFields): string {
  if (field === 'down') return `${fields.down} & ${fields.distance ?? UNSEEN}`;
  if (field === 'gain' && typeof value === 'number' && value > 0) return `+${value}`;
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  const text = value === NONE ? 'none' : value === UNSEEN ? 'not visible' : writeFieldText(field, value);
  const { side } = SNAP_FIELDS[field];
  const said = side && isTagged(fields[side] ?? null) ? text + sideWord(fields[side]) : text;
  const by = field === 'motion' ? fields.motionBy : field === 'motionSecond' ? fields.motionSecondBy : null;
  return by ? `${by} ${said}` : said;
}

export function echoOf(fields: SnapFields): Echo[] {
  const out: Echo[] = [];
  for (const [name, value] of Object.entries(fields)) {
    const field = name as SnapField;
    const { label, echo } = SNAP_FIELDS[field];
    if (echo || value === null || value === undefined || (Array.isArray(value) && value.length === 0))
      continue;
    const sure = sureOf(fields, field);
    const unsure = sure !== 'sure';
    out.push({
      field,
      label: unsure ? `${label}, ${SURENESS_WORDS[sure]}` : label,
      value: valueText(field, value, fields),
      unsure,
    });
  }
  if (fields.result) {
    const parts = [fields.play === 'other' ? null : fields.play, fields.result, fields.score];
    const value = parts
      .filter((x) => typeof x === 'string' && isTagged(x))
      .map((x) => x!.replace('_', ' '))
      .join(', ');
    out.push({ field: 'result', label: SNAP_FIELDS.result.label, value, unsure: false });
  }
  return out;
}
