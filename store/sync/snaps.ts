/** Snaps of a game's official charting: placed by the database, patched by field, never dropped. */
import 'server-only';
import { randomUUID } from 'node:crypto';
import { SNAP_FIELDS, TEAM_FIELDS } from '../../core/snap/fields';
import { readFieldText, writeFieldText } from '../../core/snap/text';
import type { Snap, SnapFact, SnapField } from '../../core/snap/snap';
import { may } from '../../core/staff';
import type { Operation, SyncRow } from '../../core/sync';
import type { Actor, FieldProvenance } from '../../core/exchange/types';
import { permit } from '../access';
import { Charting, Game } from '../entities';
import { SnapRow } from '../entities-football';
import { NotFound } from '../errors';
import { columnValue, newColumns, provenanceOf, rowToSnap, type SnapEntity, type Writer } from '../mapping';
import type { Em } from '../orm';
import type { Ends, Wanted } from './game-lock';
import {
  orderAfter,
  patchFields,
  RefusedOperation,
  versionsOf,
  type Outcome,
  type ScopeWriter,
  type Writing,
} from './writing';
import { isDoubtField, type DOUBT_FIELDS } from '../../core/snap/sureness';

/** Rows to read only: not hydrated into the unit of work, about four times as fast for a season. */
export const plainRows = async (em: Em, where: object): Promise<SnapEntity[]> =>
  (await em
    .createQueryBuilder(SnapRow, 's')
    .select('*')
    .where(where)
    .execute('all')) as unknown as SnapEntity[];

/** The statement that writes a snap, for one that does more. */
export function insertionOf(em: Em, snap: Readonly<Record<string, unknown>>) {
  const { sql, bindings } = em
    .createQueryBuilder(SnapRow)
    .insert(snap as never)
    .getKnexQuery()
    .toSQL();
  return { sql, bindings: [...bindings] as unknown[] };
}

/** A value as it may be stored, or a refusal that names field and remedy. */
export function checkedField(field: string, value: unknown): unknown {
  if (!Object.hasOwn(SNAP_FIELDS, field) || ['snapId', 'game', 'order'].includes(field))
    throw new RefusedOperation('value', `There is no field ${field.slice(0, 60)}.`);
  const spec = SNAP_FIELDS[field as SnapField];
  const list = ['list', 'numbers', 'penalties'].includes(spec.kind);
  if (value === null || value === undefined) return list ? [] : null;
  let text: string;
  try {
    text = writeFieldText(field as SnapField, value);
  } catch {
    throw new RefusedOperation('value', `${spec.label} cannot be read.`);
  }
  const read = readFieldText(field as SnapField, text);
  if (!read.ok)
    throw new RefusedOperation('value', `${spec.label} “${text.slice(0, 40)}” is not ${read.expected}.`);
  return read.value;
}

/** Only teams that play in the game, as an import asks too; else what goes out would not come back. */
function checkTeams(fields: Readonly<Record<string, unknown>>, teams: readonly string[]): void {
  for (const field of TEAM_FIELDS) {
    const value = fields[field];
    if (value !== null && value !== undefined && !teams.includes(value as string))
      throw new RefusedOperation(
        'value',
        `${SNAP_FIELDS[field].label} “${String(value).slice(0, 40)}” does not play in this game (${teams.join(' and ')}).`,
      );
  }
  if (typeof fields.offense === 'string' && fields.offense === fields.defense)
    throw new RefusedOperation('value', `${fields.offense} cannot be offense and defense of one snap.`);
}

export function snapWriter(
  writing: Writing,
  game: {
    readonly charting: string;
    readonly teams: readonly string[];
    /** Read with the lock, and true until something is written. */
    readonly first?: (Wanted & Ends) | null;
  },
): ScopeWriter {
  const { tx, actor, closed } = writing;
  const writer: Writer = { id: actor.memberId, name: actor.name, at: writing.now };
  const find = async (row: string): Promise<SnapEntity | null> =>
    (await plainRows(tx, { charting: game.charting, snapKey: row }))[0] ?? null;
  const outcome = (
    row: { order: number; provenance: SnapEntity['provenance'] },
    conflicts: Outcome['conflicts'] = [],
  ): Outcome => ({ order: row.order, versions: versionsOf(row.provenance), conflicts });

  let { first = null } = game;
  /** The snap as it stands, and the order keys around the place it would take: one question. Removed snaps hold theirs. */
  async function around(row: string, after: string | null): Promise<Ends> {
    const known = first;
    first = null;
    if (known?.row === row && known.after === after) return known;
    // The anchor's key and the next above it; an anchor that is not there: the end.
    const before =
      after === null
        ? 'null::float8'
        : 'coalesce((select order_key from snap where charting_id = g.id and snap_key = ?), (select max(order_key) from snap where charting_id = g.id))';
    const [found] = (await tx.execute(
      `select b.o as before,
         (select min(order_key) from snap where charting_id = g.id and (b.o is null or order_key > b.o)) as next,
         (select jsonb_build_object('order', order_key, 'provenance', provenance)
           from snap where charting_id = g.id and snap_key = ?) as standing
       from (select ?::uuid as id) g cross join lateral (select ${before} as o) b`,
      [row, game.charting, ...(after === null ? [] : [after])],
    )) as Ends[];
    return found!;
  }

  /** The order key of a place; a gap that is used up is made first. */
  async function place(row: string, after: string | null, ends?: Ends) {
    for (let once = true; ; once = false) {
      const { before, next } = (once ? ends : undefined) ?? (await around(row, after));
      const list = [
        ...(before === null ? [] : [{ key: 'a', order: before }]),
        ...(next === null ? [] : [{ key: 'b', order: next }]),
      ];
      const key = orderAfter(list, before === null ? null : 'a');
      if (key !== null) return key;
      if (!once) throw new Error('there is no room in a game numbered anew');
      // The gap is used up: numbered anew, in two steps since no two may share a key in between.
      const numbered =
        'select id, row_number() over (order by order_key) as rn from snap where charting_id = ?';
      await tx.execute(`update snap s set order_key = -1e9 - n.rn from (${numbered}) n where n.id = s.id`, [
        game.charting,
      ]);
      await tx.execute(
        `update snap s set order_key = n.rn, revision = ? from (select id, row_number() over (order by order_key desc) as rn from snap where charting_id = ?) n where n.id = s.id`,
        [writing.revision, game.charting],
      );
    }
  }

  return {
    async apply(op: Operation): Promise<Outcome> {
      if (op.kind !== 'snap') throw new RefusedOperation('shape', 'A game holds snaps only.');
      if (closed && !may(actor.roles, 'snap.log-closed'))
        throw new RefusedOperation('closed', 'The game was closed; a coordinator can reopen it.');
      if (op.do === 'put') {
        const fields = Object.fromEntries(
          Object.entries(op.fields).map(([f, v]) => [f, checkedField(f, v)]),
        ) as Partial<Snap>;
        const after = writing.anchor(op.after);
        const ends = await around(op.row, after);
        if (ends.standing) return outcome(ends.standing);
        if (!/^[A-Za-z0-9._-]{1,80}$/.test(op.row))
          throw new RefusedOperation('shape', 'A snap id is up to 80 letters, digits, dots and dashes.');
        checkTeams(fields, game.teams);
        const { columns, provenance } = newColumns(fields, writer);
        const order = await place(op.row, after, ends);
        const made = {
          id: randomUUID(),
          program: actor.programId,
          charting: game.charting,
          snapKey: op.row,
          order,
          // What is blank is null without being said: most of 150 columns are.
          ...Object.fromEntries(Object.entries(columns).filter(([, value]) => value !== null)),
          provenance,
          createdBy: writer.id,
          createdAt: writer.at,
          deletedAt: null,
          revision: writing.revision,
        };
        if (writing.withAnswer) writing.withAnswer(made);
        else await tx.insert(SnapRow, made as never);
        return outcome({ order, provenance });
      }
      const row = await find(op.row);
      if (!row) throw new RefusedOperation('gone', 'The snap is not in the database.');
      if (op.do === 'move') {
        const order = await place(op.row, writing.anchor(op.after));
        await tx.nativeUpdate(SnapRow, { id: row.id }, { order, revision: writing.revision } as never);
        return outcome({ order, provenance: row.provenance });
      }
      if (op.do !== 'patch') {
        await tx.nativeUpdate(SnapRow, { id: row.id }, {
          deletedAt: op.do === 'delete' ? writing.now : null,
          revision: writing.revision,
        } as never);
        return outcome(row);
      }
      const provenance: Record<string, FieldProvenance> = { ...row.provenance };
      const current = rowToSnap(row, '');
      const change: Record<string, unknown> = {};
      const conflicts = await patchFields(
        writing,
        op,
        { values: current as unknown as Record<string, unknown>, provenance: row.provenance },
        checkedField,
        (field, value, version) => {
          if (isDoubtField(field)) markSure(provenance, current, field, value as string[], writer);
          else change[field] = columnValue(field as SnapFact, value);
          provenance[field] = provenanceOf(
            value,
            writer,
            version,
            isDoubtField(field) ? 'sure' : (provenance[field]?.sure ?? 'sure'),
          );
        },
      );
      if (TEAM_FIELDS.some((f) => f in change)) checkTeams({ ...current, ...change }, game.teams);
      await tx.nativeUpdate(SnapRow, { id: row.id }, {
        ...change,
        provenance,
        revision: writing.revision,
      } as never);
      return outcome({ order: row.order, provenance }, conflicts);
    },
  };
}

/** Both lists name fields; the doubt itself is kept with each field. Versions of the fields do not move. */
function markSure(
  provenance: Record<string, FieldProvenance>,
  current: Snap,
  which: (typeof DOUBT_FIELDS)[number],
  list: readonly string[],
  writer: Writer,
): void {
  const doubted = new Set(list);
  for (const field of new Set([...Object.keys(provenance), ...list])) {
    if (isDoubtField(field) || !Object.hasOwn(SNAP_FIELDS, field)) continue;
    const before = provenance[field];
    const was = before?.sure ?? 'sure';
    // Leaving the list of guesses is no claim to be sure; whoever is, says so in the other.
    const sure =
      which === 'notSure'
        ? !doubted.has(field)
          ? 'sure'
          : was === 'guess'
            ? 'guess'
            : 'think_so'
        : doubted.has(field)
          ? 'guess'
          : was === 'guess'
            ? 'think_so'
            : was;
    if (before?.sure === sure || (!before && sure === 'sure')) continue;
    provenance[field] = { ...(before ?? provenanceOf(current[field as SnapField], writer, 1, sure)), sure };
  }
}

/** A snap as a synchronized row. */
export function snapRow(row: SnapEntity): SyncRow {
  const { snapId, game: _game, order, ...fields } = rowToSnap(row, '') as unknown as Record<string, unknown>;
  return {
    kind: 'snap',
    row: snapId as string,
    order: order as number,
    fields: Object.fromEntries(
      Object.entries(fields).filter(([, v]) => v !== null && !(Array.isArray(v) && v.length === 0)),
    ),
    versions: versionsOf(row.provenance),
    deleted: row.deletedAt !== null,
  };
}

/** Rows of the official charting, or of the member's own blind one. */
export async function pullGame(em: Em, actor: Actor, key: string, since: number | null, blind = false) {
  permit(actor, 'game.read');
  const game = await em.findOne(Game, { program: actor.programId, key });
  if (!game) throw new NotFound('game');
  const charting = await em.findOne(Charting, {
    program: actor.programId,
    game: game.id,
    ...(blind ? { kind: 'blind', charter: actor.memberId } : { kind: 'official' }),
  });
  if (!charting) return { revision: 0, whole: true, rows: [] };
  const rows = await plainRows(em, {
    charting: charting.id,
    ...(since === null ? { deletedAt: null } : { revision: { $gt: since } }),
  });
  // As they stand in the game: the database gives them as they lie on its disk.
  const inOrder = rows.map(snapRow).sort((a, b) => a.order - b.order || (a.row < b.row ? -1 : 1));
  return { revision: charting.revision, whole: since === null, rows: inOrder };
}
