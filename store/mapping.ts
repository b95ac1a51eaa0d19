/** Rows ↔ snaps: the one place where columns, states and provenance become a domain snap and back. */
import 'server-only';
import { blankSnap, emptyValue, SNAP_FACTS, SNAP_FIELDS } from '../core/snap/fields';
import { NONE, UNSEEN, type Snap, type SnapFact } from '../core/snap/snap';
import type { InferEntity } from '@mikro-orm/core';
import type { Term } from '../core/book/term';
import type { PlayCard } from '../core/plan/sheet';
import type { FieldProvenance, FieldState, Provenance } from '../core/exchange/types';
import type { BookTerm, PlayRow } from './entities-football';
import { isDoubtField, sureOf } from '../core/snap/sureness';

/** A snap row: its own columns and one for each fact, named as the field. */
export interface SnapEntity {
  id: string;
  charting: string;
  snapKey: string;
  order: number;
  provenance: Provenance;
  deletedAt: Date | null;
  revision: number;
  [fact: string]: unknown;
}

const stateOf = (value: unknown): FieldState =>
  value === NONE
    ? 'none'
    : value === UNSEEN
      ? 'not_visible'
      : value === null || (Array.isArray(value) && value.length === 0)
        ? 'blank'
        : 'tagged';

/** What is stored in the column: states live in the provenance, not among the words. */
export function columnValue(field: SnapFact, value: unknown): unknown {
  const state = stateOf(value);
  if (SNAP_FIELDS[field].tag && (state === 'none' || state === 'not_visible')) return null;
  return value === undefined ? emptyValue(field) : value;
}

/** Facts a row has a column for, but for the two that its provenance says. */
const STORED = SNAP_FACTS.filter((f) => !isDoubtField(f));
const IS_STORED: ReadonlySet<string> = new Set(STORED);

export function rowToSnap(row: SnapEntity, gameKey: string): Snap {
  const snap = blankSnap(row.snapKey, gameKey, row.order) as unknown as Record<string, unknown>;
  for (const field of STORED) {
    const value = row[field];
    if (value !== null && value !== undefined) snap[field] = value;
  }
  const unsure: string[] = [];
  const guessed: string[] = [];
  // Few fields have something to say there; most snaps none.
  for (const [field, { state, sure }] of Object.entries(row.provenance)) {
    if (!IS_STORED.has(field)) continue;
    if (state === 'none') snap[field] = NONE;
    else if (state === 'not_visible') snap[field] = UNSEEN;
    if (sure !== 'sure') unsure.push(field);
    if (sure === 'guess') guessed.push(field);
  }
  snap.notSure = unsure.sort();
  snap.guessed = guessed.sort();
  return snap as unknown as Snap;
}

export interface Writer {
  readonly id: string;
  readonly name: string;
  readonly at: Date;
}

export const provenanceOf = (
  value: unknown,
  writer: Writer,
  version: number,
  sure: FieldProvenance['sure'],
): FieldProvenance => ({
  state: stateOf(value),
  by: writer.id,
  name: writer.name,
  at: writer.at.toISOString(),
  sure,
  v: version,
});

/** A new row's columns and the provenance that says more than "set with the row". */
export function newColumns(
  snap: Pick<Snap, SnapFact> | Partial<Snap>,
  writer: Writer,
): { columns: Record<string, unknown>; provenance: Provenance } {
  const columns: Record<string, unknown> = {};
  const provenance: Record<string, FieldProvenance> = {};
  for (const field of SNAP_FACTS) {
    if (isDoubtField(field)) continue;
    const value = snap[field] === undefined ? emptyValue(field) : snap[field];
    columns[field] = columnValue(field, value);
    const state = stateOf(value);
    const sure = sureOf(snap, field);
    if (state === 'none' || state === 'not_visible' || sure !== 'sure')
      provenance[field] = provenanceOf(value, writer, 1, sure);
  }
  return { columns, provenance };
}

const sideOf = (side: string | null | undefined): 'L' | 'R' | null =>
  side === 'L' || side === 'R' ? side : null;

export function cardOf(row: InferEntity<typeof PlayRow>): PlayCard {
  return {
    id: row.key,
    name: row.name,
    kind: row.kind as PlayCard['kind'],
    personnel: row.personnel ?? null,
    formation: row.formation ?? null,
    formationSide: sideOf(row.formationSide),
    motion: row.motion ?? null,
    motionBy: row.motionBy ?? null,
    concept: row.concept,
    conceptWeak: row.conceptWeak ?? null,
    direction: sideOf(row.direction),
    backfield: row.backfield ?? null,
    links: row.links,
  };
}

export const termOf = (row: InferEntity<typeof BookTerm>): Term => ({
  id: row.key,
  kind: row.kind,
  word: row.word,
  aliases: row.aliases,
  ...(row.value ? { value: row.value } : {}),
  ...(row.spots ? { spots: row.spots } : {}),
  ...(row.definition ? { definition: row.definition } : {}),
  ...(row.notes ? { notes: row.notes } : {}),
});
