/** Checks and remarks of a sheet: rows of one table, each kind read by its own schema. */
import 'server-only';
import type { InferEntity } from '@mikro-orm/core';
import { randomUUID } from 'node:crypto';
import { CHECK_SCHEMAS, REMARK_SCHEMAS } from '../../core/plan/schema';
import type { Operation } from '../../core/sync';
import { permit } from '../access';
import { SheetRow } from '../entities-football';
import { readBy } from './reading';
import { orderAfter, patchFields, RefusedOperation, versionsOf, type Outcome, type Writing } from './writing';

type RowEntity = InferEntity<typeof SheetRow> & { readonly sheet: string };
const SCHEMAS = { check: CHECK_SCHEMAS, remark: REMARK_SCHEMAS } as const;
type Kind = keyof typeof SCHEMAS;

interface OfSheet {
  readonly id: string;
  /** Throws where the member may not change the sheet now. */
  readonly mayDraft: () => void;
}

export function rowWriter(
  writing: Writing,
  sheetOf: () => OfSheet,
): (op: Operation, kind: Kind) => Promise<Outcome> {
  const { tx, actor, now } = writing;
  const stamp = (v: number) => ({ v, name: actor.name, at: now.toISOString() });
  const field = (kind: Kind, name: string, value: unknown): unknown => {
    const schemas: Readonly<Record<string, (typeof CHECK_SCHEMAS)['note']>> = SCHEMAS[kind] as never;
    const schema = Object.hasOwn(schemas, name) ? schemas[name] : undefined;
    if (!schema) throw new RefusedOperation('value', `A ${kind} has no ${name.slice(0, 40)} to change.`);
    return readBy(schema, value === '' ? null : (value ?? null));
  };

  /** Comments are for who reads the sheet, locked or not; what waves an audit through changes it. */
  function permitted(kind: Kind, fields: Readonly<Record<string, unknown>>, sheet: OfSheet): void {
    if (kind === 'check' || fields.kind === 'waved') sheet.mayDraft();
    else permit(actor, 'sheet.remark');
  }

  async function place(sheet: string, kind: Kind, after: string | null, except: string): Promise<number> {
    const rows = async () =>
      (await tx.execute(
        'select key, order_key as "order" from sheet_row where sheet_id = ? and kind = ? and key <> ? order by order_key, key',
        [sheet, kind, except],
      )) as { key: string; order: number }[];
    const order = orderAfter(await rows(), after);
    if (order !== null) return order;
    await tx.execute(
      'update sheet_row r set order_key = n.rn from (select id, row_number() over (order by order_key, key) as rn from sheet_row where sheet_id = ? and kind = ?) n where n.id = r.id',
      [sheet, kind],
    );
    return orderAfter(await rows(), after)!;
  }

  return async (op, kind) => {
    const sheet = sheetOf();
    const [row] = (await tx
      .createQueryBuilder(SheetRow, 'r')
      .select('*')
      .where({ program: actor.programId, key: op.row })
      .execute('all')) as unknown as RowEntity[];
    if (row && (row.sheet !== sheet.id || row.kind !== kind))
      throw new RefusedOperation('taken', 'That stands on another sheet.');
    if (op.do === 'put') {
      if (row) return { order: row.order, versions: versionsOf(row.provenance), conflicts: [] };
      permitted(kind, op.fields, sheet);
      const names = Object.keys(SCHEMAS[kind]);
      const fields = {
        ...Object.fromEntries(names.map((name) => [name, field(kind, name, op.fields[name])])),
        ...(kind === 'remark' ? { by: actor.name, at: now.toISOString() } : {}),
      };
      const order = await place(sheet.id, kind, writing.anchor(op.after), op.row);
      await tx.insert(SheetRow, {
        id: randomUUID(),
        program: actor.programId,
        sheet: sheet.id,
        key: op.row,
        kind,
        order,
        fields,
        provenance: {},
      } as never);
      return { order, versions: {}, conflicts: [] };
    }
    if (row) permitted(kind, row.fields, sheet);
    if (op.do === 'delete') {
      // Removed twice is removed.
      if (row) await tx.nativeDelete(SheetRow, { id: row.id });
      return { order: null, versions: {}, conflicts: [] };
    }
    if (!row) throw new RefusedOperation('gone', `The ${kind} was removed from the sheet.`);
    if (op.do === 'move') {
      const order = await place(sheet.id, kind, writing.anchor(op.after), op.row);
      await tx.nativeUpdate(SheetRow, { id: row.id }, { order } as never);
      return { order, versions: versionsOf(row.provenance), conflicts: [] };
    }
    if (op.do !== 'patch') throw new RefusedOperation('shape', `It cannot be done to a ${kind}.`);
    const provenance = { ...row.provenance };
    const change: Record<string, unknown> = {};
    const conflicts = await patchFields(
      writing,
      op,
      { values: row.fields, provenance },
      (name, value) => field(kind, name, value),
      (name, value, version) => {
        change[name] = value;
        provenance[name] = stamp(version);
      },
    );
    await tx.nativeUpdate(SheetRow, { id: row.id }, {
      fields: { ...row.fields, ...change },
      provenance,
    } as never);
    return { order: row.order, versions: versionsOf(provenance), conflicts };
  };
}
