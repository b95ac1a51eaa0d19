/** A call sheet and its calls. */
import 'server-only';
import type { InferEntity } from '@mikro-orm/core';
import { randomUUID } from 'node:crypto';
import { SHEET_SIDES, type SheetSide } from '../../core/plan/rows';
import { CALL_NOTE_SCHEMAS, sectionsSchema } from '../../core/plan/schema';
import { SECTIONS, type SectionSpec } from '../../core/plan/sections';
import { CALL_NOTES, NO_NOTES } from '../../core/plan/sheet';
import { may } from '../../core/staff';
import type { Operation, SyncRow } from '../../core/sync';
import type { Actor } from '../../core/exchange/types';
import { permit } from '../access';
import { record } from '../audit';
import { CallRow, CallSheet, PlayRow, SheetRow } from '../entities-football';
import { Member, Team } from '../entities';
import { NotFound } from '../errors';
import type { Em } from '../orm';
import { readBy } from './reading';
import { rowWriter } from './sheet-rows';
import {
  orderAfter,
  patchFields,
  RefusedOperation,
  versionsOf,
  type Outcome,
  type ScopeWriter,
  type Writing,
} from './writing';

type SheetEntity = InferEntity<typeof CallSheet>;

const text =
  (label: string, most: number) =>
  (value: unknown): string => {
    if (typeof value !== 'string' || value.trim() === '')
      throw new RefusedOperation('value', `The ${label} is empty.`);
    if (value.length > most)
      throw new RefusedOperation('value', `The ${label} is longer than ${most} characters.`);
    return value.trim();
  };

const sectionsOf = (sheet: SheetEntity): readonly SectionSpec[] => sheet.sections ?? SECTIONS;

function sideOf(value: unknown): SheetSide {
  const side = SHEET_SIDES.find((s) => s === (value ?? 'offense'));
  if (!side) throw new RefusedOperation('value', 'A sheet is for the offense or the defense.');
  return side;
}

/** Null when the sheet is not there yet: its first operation makes it. */
export async function openSheet(tx: Em, actor: Actor, key: string): Promise<SheetEntity | null> {
  permit(actor, 'sheet.read');
  return (await tx.findOne(
    CallSheet,
    { program: actor.programId, key },
    { disableIdentityMap: true },
  )) as SheetEntity | null;
}

export function sheetWriter(writing: Writing, key: string, found: SheetEntity | null): ScopeWriter {
  const { tx, actor } = writing;
  let sheet = found;
  const stamp = (v: number) => ({ v, name: actor.name, at: writing.now.toISOString() });
  const mayDraft = (of: SheetEntity): void => {
    permit(actor, 'sheet.draft');
    if (of.lockedBy && !may(actor.roles, 'sheet.draft-locked'))
      throw new RefusedOperation('locked', 'The sheet was locked; a coordinator can unlock it.');
  };

  async function applySheet(op: Operation): Promise<Outcome> {
    if (op.row !== key) throw new RefusedOperation('shape', 'That is another sheet.');
    if (op.do === 'put') {
      if (sheet) return { order: null, versions: versionsOf(sheet.provenance), conflicts: [] };
      permit(actor, 'sheet.create');
      const opponent = text('opponent', 12)(op.fields.opponent);
      if (!(await tx.findOne(Team, { program: actor.programId, key: opponent }))) throw new NotFound('team');
      await tx.insert(CallSheet, {
        id: randomUUID(),
        program: actor.programId,
        key,
        name: text('name', 120)(op.fields.name),
        opponent,
        side: sideOf(op.fields.side),
        sections: op.fields.sections == null ? null : readBy(sectionsSchema, op.fields.sections),
        lockedBy: null,
        createdAt: writing.now,
        provenance: {},
      } as never);
      sheet = await openSheet(tx, actor, key);
      return { order: null, versions: {}, conflicts: [] };
    }
    if (!sheet) throw new NotFound('call sheet');
    if (op.do !== 'patch') throw new RefusedOperation('shape', 'A sheet is not removed or moved.');
    if (Object.hasOwn(op.fields, 'locked')) permit(actor, 'sheet.lock');
    if (Object.keys(op.fields).some((field) => field !== 'locked')) mayDraft(sheet);
    const provenance = { ...sheet.provenance };
    const change: Record<string, unknown> = {};
    const read = (field: string, value: unknown): unknown => {
      if (field === 'name') return text('name', 120)(value);
      if (field === 'locked' && typeof value === 'boolean') return value;
      if (field === 'sections') return value === null ? null : readBy(sectionsSchema, value);
      throw new RefusedOperation('value', `A sheet has no ${field.slice(0, 40)} to change.`);
    };
    const conflicts = await patchFields(
      writing,
      op,
      {
        values: { name: sheet.name, locked: sheet.lockedBy !== null, sections: sheet.sections ?? null },
        provenance,
      },
      read,
      (field, value, version) => {
        if (field === 'locked') change.lockedBy = value ? actor.memberId : null;
        else change[field] = value;
        provenance[field] = stamp(version);
      },
    );
    if ('sections' in change) await noneLost(sheet, change.sections as readonly SectionSpec[] | null);
    await tx.nativeUpdate(CallSheet, { id: sheet.id }, { ...change, provenance } as never);
    if ('lockedBy' in change)
      await record(
        tx,
        actor,
        'sheet.lock',
        `${sheet.name} ${change.lockedBy ? 'locked' : 'unlocked'}`,
        writing.now,
      );
    sheet = await openSheet(tx, actor, key);
    return { order: null, versions: versionsOf(provenance), conflicts };
  }

  /** A section that calls stand in is not taken off the sheet. */
  async function noneLost(of: SheetEntity, sections: readonly SectionSpec[] | null): Promise<void> {
    const known = (sections ?? SECTIONS).map((s) => s.key);
    const [lost] = (await tx.execute(
      'select section, count(*)::int as n from "call" where sheet_id = ? and not (section = any(array(select jsonb_array_elements_text(?::jsonb)))) group by section limit 1',
      [of.id, JSON.stringify(known)],
    )) as { section: string; n: number }[];
    if (!lost) return;
    const label = sectionsOf(of).find((s) => s.key === lost.section)?.label ?? lost.section;
    throw new RefusedOperation(
      'in-use',
      `${lost.n === 1 ? 'A call stands' : `${lost.n} calls stand`} in ${label}; move or remove ${lost.n === 1 ? 'it' : 'them'} first.`,
    );
  }

  function sectionOf(value: unknown): string {
    if (typeof value !== 'string' || !sectionsOf(sheet!).some((s) => s.key === value))
      throw new RefusedOperation('value', 'There is no such section on this sheet.');
    return value;
  }

  /** Right after a call of the section; null: its first. Numbered anew when a gap is used up. */
  async function place(section: string, after: string | null, except: string): Promise<number> {
    const calls = async () =>
      (await tx.execute(
        'select key, order_key as "order" from "call" where sheet_id = ? and section = ? and key <> ? order by order_key, key',
        [sheet!.id, section, except],
      )) as { key: string; order: number }[];
    const key = orderAfter(await calls(), after);
    if (key !== null) return key;
    await tx.execute(
      'update "call" c set order_key = n.rn from (select id, row_number() over (order by order_key, key) as rn from "call" where sheet_id = ? and section = ?) n where n.id = c.id',
      [sheet!.id, section],
    );
    return orderAfter(await calls(), after)!;
  }

  async function applyCall(op: Operation): Promise<Outcome> {
    if (!sheet) throw new NotFound('call sheet');
    mayDraft(sheet);
    const [call] = (await tx
      .createQueryBuilder(CallRow, 'c')
      .select('*')
      .where({ program: actor.programId, key: op.row })
      .execute('all')) as unknown as (InferEntity<typeof CallRow> & { sheet: string })[];
    if (call && call.sheet !== sheet.id)
      throw new RefusedOperation('taken', 'That call stands on another sheet.');
    if (op.do === 'restore') throw new RefusedOperation('shape', 'A removed call is added again.');
    if (op.do === 'put') {
      if (call) return { order: call.order, versions: versionsOf(call.provenance), conflicts: [] };
      const section = sectionOf(op.fields.section);
      const play = await tx.findOne(PlayRow, { program: actor.programId, key: String(op.fields.play ?? '') });
      if (!play) throw new RefusedOperation('gone', 'The play is not on the play list any more.');
      const order = await place(section, writing.anchor(op.after), op.row);
      await tx.insert(CallRow, {
        id: randomUUID(),
        program: actor.programId,
        sheet: sheet.id,
        key: op.row,
        section,
        order,
        play: play.id,
        ...Object.fromEntries(
          CALL_NOTES.map((field) => [
            field,
            readBy(CALL_NOTE_SCHEMAS[field], op.fields[field] ?? NO_NOTES[field]),
          ]),
        ),
        provenance: {},
      } as never);
      return { order, versions: {}, conflicts: [] };
    }
    if (op.do === 'delete') {
      // Removed twice is removed.
      if (call) await tx.nativeDelete(CallRow, { id: call.id });
      return { order: null, versions: {}, conflicts: [] };
    }
    if (!call) throw new RefusedOperation('gone', 'The call was removed from the sheet.');
    if (op.do === 'move') {
      const section = sectionOf(op.fields.section);
      const order = await place(section, writing.anchor(op.after), op.row);
      await tx.nativeUpdate(CallRow, { id: call.id }, { section, order } as never);
      return { order, versions: versionsOf(call.provenance), conflicts: [] };
    }
    if (op.do !== 'patch') throw new RefusedOperation('shape', 'It cannot be done to a call.');
    const provenance = { ...call.provenance };
    const change: Record<string, unknown> = {};
    const read = (field: string, value: unknown): unknown => {
      const note = CALL_NOTES.find((known) => known === field);
      if (!note) throw new RefusedOperation('value', `A call has no ${field.slice(0, 40)} to change.`);
      // Emptied is as it was before anything was noted.
      return readBy(CALL_NOTE_SCHEMAS[note], value === '' || value == null ? NO_NOTES[note] : value);
    };
    const conflicts = await patchFields(
      writing,
      op,
      { values: notesOf(call), provenance },
      read,
      (field, value, version) => {
        change[field] = value;
        provenance[field] = stamp(version);
      },
    );
    await tx.nativeUpdate(CallRow, { id: call.id }, { ...change, provenance } as never);
    return { order: call.order, versions: versionsOf(provenance), conflicts };
  }

  const applyRow = rowWriter(writing, () => {
    if (!sheet) throw new NotFound('call sheet');
    return { id: sheet.id, mayDraft: () => mayDraft(sheet!) };
  });
  return {
    apply: (op) => {
      if (op.kind === 'sheet') return applySheet(op);
      if (op.kind === 'call') return applyCall(op);
      if (op.kind === 'check' || op.kind === 'remark') return applyRow(op, op.kind);
      throw new RefusedOperation('shape', 'A sheet holds calls, checks and remarks.');
    },
  };
}

/** What is noted of a call as it stands in its row. */
const notesOf = (call: InferEntity<typeof CallRow>): Record<string, unknown> =>
  Object.fromEntries(CALL_NOTES.map((field) => [field, call[field] ?? NO_NOTES[field]]));

/** A sheet, its calls, checks and remarks as synchronized rows: the sheet itself first. */
export async function sheetRows(em: Em, actor: Actor, key: string): Promise<SyncRow[]> {
  permit(actor, 'sheet.read');
  const sheet = await openSheet(em, actor, key);
  if (!sheet) throw new NotFound('call sheet');
  const locker = sheet.lockedBy ? await em.findOne(Member, { id: sheet.lockedBy }) : null;
  const plays = new Map((await em.find(PlayRow, { program: actor.programId })).map((p) => [p.id, p.key]));
  const calls = await em.find(CallRow, { sheet: sheet.id });
  const others = await em.find(SheetRow, { sheet: sheet.id });
  return [
    {
      kind: 'sheet',
      row: key,
      order: -Number.MAX_SAFE_INTEGER,
      fields: {
        name: sheet.name,
        opponent: sheet.opponent,
        side: sheet.side,
        sections: sheet.sections ?? null,
        locked: sheet.lockedBy !== null,
        lockedBy: locker?.name ?? null,
        lockedById: sheet.lockedBy ?? null,
      },
      versions: versionsOf(sheet.provenance),
      deleted: false,
    },
    ...calls.map((loaded): SyncRow => ({
      kind: 'call',
      row: loaded.key,
      order: loaded.order,
      fields: {
        section: loaded.section,
        play: plays.get(loaded.play) ?? null,
        ...notesOf(loaded as InferEntity<typeof CallRow>),
      },
      versions: versionsOf(loaded.provenance),
      deleted: false,
    })),
    ...others.map((loaded): SyncRow => ({
      kind: loaded.kind,
      row: loaded.key,
      order: loaded.order,
      fields: loaded.fields,
      versions: versionsOf(loaded.provenance),
      deleted: false,
    })),
  ];
}
