/** What a member may import, and what stands in the way of it. */
import 'server-only';
import { sameValue } from '../core/snap/fields';
import type { TableFault, Tables } from '../core/table';
import { may, PERMISSIONS, rolesWords, type Action } from '../core/staff';
import { CallRow, CallSheet, PlayRow, SheetRow, SnapRow } from './entities-football';
import { sheetFaults } from './sheet-columns';
import { Charting, Game } from './entities';
import type { Em } from './orm';
import type { Actor, ProgramSettings } from '../core/exchange/types';

/** What the member's roles do not allow of the files, each by its file. */
export function roleFaults(
  actor: Actor,
  tables: Tables,
  teams: readonly { key: string; name: string; nickname?: string | null; place?: string | null }[],
  hasSettings: boolean,
  before: ProgramSettings,
  after: ProgramSettings | null,
): TableFault[] {
  const out: TableFault[] = [];
  const need = (action: Action, file: string, column: string | null = null, value = ''): void => {
    if (!may(actor.roles, action))
      out.push({
        file,
        row: null,
        column,
        value,
        code: 'role',
        remedy: `is not for your roles: ${PERMISSIONS[action].what} is for ${rolesWords(PERMISSIONS[action].roles)}; leave it out`,
      });
  };
  const here = new Map(teams.map((t) => [t.key, t]));
  for (const row of tables.teams) {
    const known = here.get(String(row.team));
    if (!known) need('team.create', 'teams.csv', 'team', String(row.team));
    else if (
      known.name !== row.name ||
      (row.nickname !== null && row.nickname !== (known.nickname ?? null)) ||
      (row.place !== null && row.place !== (known.place ?? null))
    )
      need('team.rename', 'teams.csv', 'team', String(row.team));
  }
  if (tables.games.length > 0) need('game.create', 'games.csv');
  if (tables.games.some((g) => g.closed === true)) need('game.close', 'games.csv', 'closed', 'true');
  if (tables.snaps.length > 0) need('snap.log', 'snaps.csv');
  if (tables.roster.length + tables.numbers.length + tables.letters.length > 0)
    need('roster.change', 'roster.csv');
  if (tables.plays.length > 0) need('play.add', 'plays.csv');
  if (tables.sheets.length > 0) need('sheet.create', 'sheets.csv');
  if (tables.sheets.some((s) => s.locked_by !== null)) need('sheet.lock', 'sheets.csv', 'locked_by');
  if (tables.calls.length > 0) need('sheet.draft', 'calls.csv');
  if (tables.sheet_rows.length > 0) need('sheet.draft', 'sheet_rows.csv');
  if (hasSettings && after) {
    if (before.week !== after.week || before.opponent !== after.opponent)
      need('week.set', 'program.json', 'opponent');
    if (!sameValue(before.rules ?? null, after.rules ?? null)) need('rules.set', 'program.json', 'rules');
    if (!sameValue(before.charting ?? null, after.charting ?? null))
      need('charting.plan', 'program.json', 'charting');
    if (!sameValue(before.reports ?? null, after.reports ?? null))
      need('report.template', 'program.json', 'reports');
    if (!sameValue(before.sections ?? null, after.sections ?? null))
      need('sheet.draft', 'program.json', 'sections');
    if (!sameValue(before.practice ?? null, after.practice ?? null))
      need('sheet.draft', 'program.json', 'practice');
    if (!sameValue(before.prints ?? null, after.prints ?? null))
      need('sheet.draft', 'program.json', 'prints');
    if (!sameValue(before.views ?? null, after.views ?? null)) need('view.save', 'program.json', 'views');
    if (!sameValue(before.profile ?? null, after.profile ?? null))
      need('level.set', 'program.json', 'profile');
  }
  return out;
}

export function playerFaults(tables: Tables, here: ReadonlySet<string>): TableFault[] {
  const known = new Set([...here, ...tables.roster.map((r) => String(r.player))]);
  return tables.numbers
    .filter((n) => !known.has(String(n.player)))
    .slice(0, 50)
    .map((n) => ({
      file: 'numbers.csv',
      row: null,
      column: 'player',
      value: String(n.player),
      code: 'unknown-ref' as const,
      remedy: 'is not in roster.csv; add him there',
    }));
}

/** Rows that are here already under the same key: importing them twice would double every count. */
export async function clashes(em: Em, actor: Actor, tables: Tables): Promise<TableFault[]> {
  const out: TableFault[] = [];
  const where = { program: actor.programId };
  for (const row of await em.find(Game, {
    ...where,
    key: { $in: [...new Set(tables.snaps.map((s) => String(s.game)))] },
  })) {
    const charting = await em.findOne(Charting, { game: row.id, kind: 'official' });
    if (charting && (await em.count(SnapRow, { charting: charting.id, deletedAt: null })) > 0)
      out.push({
        file: 'snaps.csv',
        row: null,
        column: 'game',
        value: row.key,
        code: 'key-twice',
        remedy: 'is logged here already; remove its rows from the file',
      });
    else if (row.closed && !may(actor.roles, 'snap.log-closed'))
      out.push({
        file: 'snaps.csv',
        row: null,
        column: 'game',
        value: row.key,
        code: 'role',
        remedy: 'is closed here; a coordinator can reopen it',
      });
  }
  const there = async (
    name: 'plays' | 'sheets' | 'calls' | 'sheet_rows',
    column: string,
    entity: typeof PlayRow | typeof CallSheet | typeof CallRow | typeof SheetRow,
  ) => {
    const keys = tables[name].map((r) => String(r[column]));
    if (keys.length === 0) return;
    for (const row of (await em.find(entity as typeof PlayRow, { ...where, key: { $in: keys } })) as {
      key: string;
    }[])
      out.push({
        file: `${name}.csv`,
        row: null,
        column,
        value: row.key,
        code: 'key-twice',
        remedy: 'is in this program already; remove the row from the file',
      });
  };
  await there('plays', 'play', PlayRow);
  await there('sheets', 'sheet', CallSheet);
  await there('calls', 'call', CallRow);
  await there('sheet_rows', 'row', SheetRow);
  return [...out, ...sheetFaults(tables)];
}
