/** Synchronized rows as the snaps, calls, words and plays they are. */
import type { Term } from '../book/term';
import type { Check, Remark } from '../plan/rows';
import { CALL_NOTES, NO_NOTES, type CallNotes } from '../plan/call-notes';
import type { PlayCard, SheetCall } from '../plan/sheet';
import { fullSnap, type SlimSnap } from '../snap/fields';
import type { Snap } from '../snap/snap';
import type { SyncRow } from '../sync';

/** A row never changes, it is replaced: what is made of it is made once, and stays the same object. */
const snaps = new WeakMap<SyncRow, Snap>();
export function snapOfRow(row: SyncRow, game: string): Snap {
  const before = snaps.get(row);
  if (before?.game === game) return before;
  const snap = fullSnap({ ...row.fields, snapId: row.row, game, order: row.order } as SlimSnap);
  snaps.set(row, snap);
  return snap;
}

/** The snaps of a game in order; the same list where rows moved but say what they said: an answer to a save is no new snap. */
export function snapsOfRows(
  rows: readonly SyncRow[],
  game: string,
  before: readonly Snap[] = [],
): readonly Snap[] {
  const known = new Map(before.map((s) => [s.snapId, s]));
  const now = rows.map((row) => {
    const snap = snapOfRow(row, game);
    const old = known.get(snap.snapId);
    return old && (old === snap || JSON.stringify(old) === JSON.stringify(snap)) ? old : snap;
  });
  return now.length === before.length && now.every((s, i) => s === before[i]) ? before : now;
}

/** Null when the play is not on the list (any more). */
export function callOfRow(row: SyncRow, plays: ReadonlyMap<string, PlayCard>): SheetCall | null {
  const play = plays.get(String(row.fields.play));
  if (row.kind !== 'call' || !play) return null;
  const noted = Object.fromEntries(
    CALL_NOTES.map((field) => [field, row.fields[field] ?? NO_NOTES[field]]),
  ) as unknown as CallNotes;
  return { id: row.row, section: String(row.fields.section), order: row.order, play, ...noted };
}

/** Checks and remarks of a sheet's rows. A row of an older browser may lack what came later: it is blank. */
export const checkOfRow = ({ kind, row, order, fields }: SyncRow): Check | null =>
  kind !== 'check'
    ? null
    : {
        picture: '',
        personnel: null,
        situation: null,
        front: null,
        coverage: null,
        pressure: null,
        note: null,
        ...fields,
        id: row,
        order,
      };
export const remarkOfRow = ({ kind, row, order, fields }: SyncRow): Remark | null =>
  kind !== 'remark'
    ? null
    : ({
        kind: 'comment',
        about: 'sheet',
        text: '',
        by: '',
        at: '',
        ...fields,
        id: row,
        order,
      } as Remark);

/** A term without what is empty, as the book holds it. */
export const termOfRow = (row: SyncRow): Term =>
  ({
    ...Object.fromEntries(Object.entries(row.fields).filter(([, v]) => v !== null && v !== undefined)),
    id: row.row,
  }) as unknown as Term;

export const playOfRow = (row: SyncRow): PlayCard =>
  ({ links: [], ...row.fields, id: row.row }) as unknown as PlayCard;
