/** Words of fields as a reader sees them, and the order some stand in. */
import { BUCKET_ROWS, bucketLabel, type BucketKey, type Zone } from '../field/situation';
import { ATTACKS } from '../book/call-kind';
import { POINTS } from '../look';
import { PASS_TYPES } from '../book/play';
import { NONE, THIRDS, UNSEEN } from '../snap/snap';
import { DEPTH_BANDS, DRIVE_ENDS, DRIVE_STARTS, FIELD_BANDS, HALVES, LEADS, OPENINGS } from './derived';
import { fieldsWith } from '../snap/fields';
import { UNSURE } from './doubts';
import type { FilterField } from './filters';

/** Fields whose words have an order of their own. */
export const ORDERS: Readonly<Partial<Record<FilterField, readonly string[]>>> = {
  bucket: BUCKET_ROWS.map((b) => b.key),
  lead: LEADS,
  half: HALVES,
  opening: OPENINGS,
  depthBand: DEPTH_BANDS,
  fieldBand: FIELD_BANDS,
  hash: ['L', 'M', 'R'],
  targetThird: THIRDS,
  passType: PASS_TYPES,
  attack: ATTACKS,
  gap: POINTS,
  driveStart: DRIVE_STARTS,
  driveEnd: DRIVE_ENDS,
  quarter: ['1', '2', '3', '4', '5', '6', '7', '8'],
};

/** Typed by a charter; the others follow from what is typed, or cannot be known. */
const TAGGED: ReadonlySet<string> = new Set(fieldsWith('filter'));

/** A stored word as a reader sees it; blank, none and not visible are said. */
export function fieldWord(field: FilterField, word: string, zones: readonly Zone[]): string {
  if (word === '') return TAGGED.has(field) ? 'not tagged' : 'not known';
  if (field === 'afterEvent' && word === 'nothing') return 'none of these';
  if (word === NONE) return field === 'motion' ? 'no motion' : 'none';
  if (word === UNSEEN) return 'not visible';
  if (word === UNSURE) return 'not sure';
  if (field === 'bucket') return bucketLabel(word as BucketKey);
  if (field === 'zone') return zones.find((z) => z.key === word)?.label ?? word;
  if (field === 'shell') return `${word} high`;
  if (['carrier', 'target', 'passer', 'kicker', 'returner'].includes(field)) return `#${word}`;
  if (word === 'L' || word === 'R' || (word === 'M' && field === 'hash'))
    return (
      (field === 'direction' ? 'to the ' : '') + (word === 'L' ? 'left' : word === 'R' ? 'right' : 'middle')
    );
  return word.replace(/_/g, ' ');
}
