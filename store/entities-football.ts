/** Tables of the football: snaps, words, plays, sheets. */
import 'server-only';
import { defineEntity, p } from '@mikro-orm/core';
import { TERM_KINDS, type Spot } from '../core/book/term';
import type { Definition } from '../core/book/definition';
import { SNAP_FACTS, SNAP_FIELDS } from '../core/snap/fields';
import type { BookChangeDetail, Provenance, RowProvenance } from '../core/exchange/types';
import type { IfThen, PlayLink } from '../core/plan/sheet';
import type { SectionSpec } from '../core/plan/sections';
import { SHEET_ROW_KINDS, SHEET_SIDES, type SheetSide } from '../core/plan/rows';
import type { SheetContent } from '../core/plan/versions';
import { Charting, Member, member, program } from './entities';
import { isDoubtField } from '../core/snap/sureness';

/** One typed column for each fact of a snap, from the field table. */
const factColumns = Object.fromEntries(
  SNAP_FACTS.filter((f) => !isDoubtField(f)).map((field) => {
    const { kind } = SNAP_FIELDS[field];
    if (kind === 'integer' || kind === 'clock') return [field, p.integer().nullable()];
    if (kind === 'decimal') return [field, p.double().nullable()];
    if (kind === 'flag') return [field, p.boolean().nullable()];
    if (kind === 'list' || kind === 'numbers') return [field, p.array<string>()];
    if (kind === 'penalties') return [field, p.json<unknown>()];
    return [field, p.text().nullable()];
  }),
);

export const SnapRow = defineEntity({
  name: 'SnapRow',
  tableName: 'snap',
  uniques: [{ properties: ['charting', 'snapKey'] }, { properties: ['charting', 'order'] }],
  indexes: [{ properties: ['charting', 'revision'] }],
  properties: {
    id: p.uuid().primary(),
    program: program(),
    charting: p.manyToOne(Charting).mapToPk().$type<string>(),
    /** The permanent snap id of the open table. */
    snapKey: p.string(),
    order: p.double().$type<number>().name('order_key'),
    ...factColumns,
    provenance: p.json<Provenance>(),
    createdBy: member(),
    createdAt: p.datetime(),
    deletedAt: p.datetime().nullable(),
    revision: p.integer(),
  },
});

export const BookTerm = defineEntity({
  name: 'BookTerm',
  tableName: 'book_term',
  uniques: [{ properties: ['program', 'key'] }],
  properties: {
    id: p.uuid().primary(),
    program: program(),
    key: p.string(),
    kind: p.enum(() => TERM_KINDS).$type<(typeof TERM_KINDS)[number]>(),
    word: p.string(),
    aliases: p.array<string>(),
    value: p.string().nullable(),
    spots: p.json<readonly Spot[] | null>().nullable(),
    notes: p.text().nullable(),
    position: p.integer(),
    definition: p.json<Definition | null>().nullable(),
    provenance: p.json<RowProvenance>(),
  },
});

export const PlayRow = defineEntity({
  name: 'PlayRow',
  tableName: 'play',
  uniques: [{ properties: ['program', 'key'] }],
  properties: {
    id: p.uuid().primary(),
    program: program(),
    key: p.string(),
    name: p.string(),
    kind: p.string(),
    personnel: p.string().nullable(),
    formation: p.string().nullable(),
    formationSide: p.string().nullable(),
    motion: p.string().nullable(),
    motionBy: p.string().nullable(),
    concept: p.string(),
    conceptWeak: p.string().nullable(),
    direction: p.string().nullable(),
    backfield: p.string().nullable(),
    /** Set-ups and complements: other plays of the list by key. */
    links: p.json<readonly PlayLink[]>(),
    provenance: p.json<RowProvenance>(),
  },
});

/** A merge or a split of words: what it changed, so that it can be undone. */
export const BookChange = defineEntity({
  name: 'BookChange',
  tableName: 'book_change',
  indexes: [{ properties: ['program', 'at'] }],
  properties: {
    id: p.uuid().primary(),
    program: program(),
    at: p.datetime(),
    by: member(),
    words: p.text(),
    field: p.string(),
    from: p.string().name('from_value'),
    to: p.string().name('to_value'),
    /** The dropped term as it was and the aliases the kept one had (merge), or the key of the term a split added. */
    detail: p.json<BookChangeDetail>(),
    undoneAt: p.datetime().nullable(),
  },
});

/** Snaps a change rewrote, with what stood there. */
export const BookChangeSnap = defineEntity({
  name: 'BookChangeSnap',
  tableName: 'book_change_snap',
  properties: {
    change: p.manyToOne(BookChange).mapToPk().$type<string>().primary(),
    snap: p.manyToOne(SnapRow).mapToPk().$type<string>().primary(),
    field: p.string().primary(),
    before: p.text(),
  },
});

export const CallSheet = defineEntity({
  name: 'CallSheet',
  tableName: 'call_sheet',
  uniques: [{ properties: ['program', 'key'] }],
  properties: {
    id: p.uuid().primary(),
    program: program(),
    key: p.string(),
    name: p.string(),
    opponent: p.string(),
    side: p.enum(() => SHEET_SIDES).$type<SheetSide>(),
    /** The sheet's own; null: the usual ones. */
    sections: p.json<readonly SectionSpec[] | null>().nullable(),
    lockedBy: p.manyToOne(Member).mapToPk().$type<string>().nullable(),
    createdAt: p.datetime(),
    provenance: p.json<RowProvenance>(),
  },
});

export const CallRow = defineEntity({
  name: 'CallRow',
  tableName: 'call',
  uniques: [{ properties: ['program', 'key'] }],
  properties: {
    id: p.uuid().primary(),
    program: program(),
    sheet: p.manyToOne(CallSheet).mapToPk().$type<string>(),
    key: p.string(),
    section: p.string(),
    order: p.double().$type<number>().name('order_key'),
    play: p.manyToOne(PlayRow).mapToPk().$type<string>(),
    hash: p.string().nullable(),
    note: p.text().nullable(),
    tags: p.json<readonly string[]>(),
    ifThen: p.json<readonly IfThen[]>(),
    needs: p.json<readonly string[]>(),
    shownFirst: p.text().nullable(),
    provenance: p.json<RowProvenance>(),
  },
});

/** Checks and remarks of a sheet: what they hold is read by core/plan/schema. */
export const SheetRow = defineEntity({
  name: 'SheetRow',
  tableName: 'sheet_row',
  uniques: [{ properties: ['program', 'key'] }],
  indexes: [{ properties: ['sheet'] }],
  properties: {
    id: p.uuid().primary(),
    program: program(),
    sheet: p.manyToOne(CallSheet).mapToPk().$type<string>(),
    key: p.string(),
    kind: p.enum(() => SHEET_ROW_KINDS).$type<(typeof SHEET_ROW_KINDS)[number]>(),
    order: p.double().$type<number>().name('order_key'),
    fields: p.json<Readonly<Record<string, unknown>>>(),
    provenance: p.json<RowProvenance>(),
  },
});

/** A sheet as it was when somebody saved it under a name. */
export const SheetVersion = defineEntity({
  name: 'SheetVersion',
  tableName: 'sheet_version',
  uniques: [{ properties: ['sheet', 'number'] }],
  properties: {
    id: p.uuid().primary(),
    program: program(),
    sheet: p.manyToOne(CallSheet).mapToPk().$type<string>(),
    number: p.integer(),
    name: p.string(),
    content: p.json<SheetContent>(),
    by: member(),
    at: p.datetime(),
  },
});
