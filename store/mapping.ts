/** Rows ↔ snaps: the one place where columns, states and provenance become a domain snap and back. */
import 'server-only';
import { emptyValue, SNAP_FACTS, SNAP_FIELDS } from '../core/snap/fields';
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

export function rowToSnap(row: SnapEntity, gameKey: string): Snap {
  const snap: Record<string, unknown> = { snapId: row.snapKey, game: gameKey, order: row.order };
  const provenance = row.provenance;
  for (const field of SNAP_FACTS) {
    const from = provenance[field];
    if (isDoubtField(field)) continue;
    const value = row[field];
    snap[field] =
      from?.state === 'none' ? NONE : from?.state === 'not_visible' ? UNSEEN : (value ?? emptyValue(field));
  }
  const doubted = (all: (sure: FieldProvenance['sure']) => boolean): string[] =>
    SNAP_FACTS.filter((f) => !isDoubtField(f) && provenance[f] && all(provenance[f].sure)).sort();
  snap.notSure = doubted((sure) => sure !== 'sure');
  snap.guessed = doubted((sure) => sure === 'guess');
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
