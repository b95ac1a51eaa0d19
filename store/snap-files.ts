/** Some snaps as a file in an open form; a package carries the teams and games they lean on. */
import 'server-only';
import type { Snap } from '../core/snap/snap';
import { writeBook } from '../core/book/term';
import {
  emptyTables,
  pack,
  snapToRow,
  writeCsv,
  writeJsonLines,
  writePackage,
  type Tables,
} from '../core/table';
import type { Actor } from '../core/exchange/types';
import { exportTables } from './packages';
import { permit } from './access';
import { writeWorkbook } from './xlsx';

export const SNAP_FORMS = ['csv', 'xlsx', 'jsonl', 'zip'] as const;
export type SnapForm = (typeof SNAP_FORMS)[number];

const TYPES: Readonly<Record<SnapForm, string>> = {
  csv: 'text/csv; charset=utf-8',
  xlsx: 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
  jsonl: 'application/jsonl; charset=utf-8',
  zip: 'application/zip',
};

export interface SnapFile {
  readonly bytes: Uint8Array;
  readonly type: string;
}

export async function snapFile(actor: Actor, form: SnapForm, snaps: readonly Snap[]): Promise<SnapFile> {
  permit(actor, 'program.export');
  const rows = snaps.map(snapToRow);
  const type = TYPES[form];
  const text = (words: string): SnapFile => ({ bytes: new TextEncoder().encode(words), type });
  if (form === 'csv') return text(writeCsv('snaps', rows));
  if (form === 'jsonl') return text(writeJsonLines('snaps', rows));
  const { tables: all, book, level, name } = await exportTables(actor);
  const of = new Set(snaps.map((s) => s.game));
  const games = all.games.filter((g) => of.has(String(g.game)));
  const playing = new Set(games.flatMap((g) => [g.home, g.away]));
  const teams = all.teams.filter((t) => playing.has(t.team));
  const tables: Tables = { ...emptyTables(), teams, games, snaps: rows };
  if (form === 'xlsx') return { bytes: await writeWorkbook(tables), type };
  return {
    bytes: pack(writePackage(tables, writeBook(book), { name, title: name, level })),
    type,
  };
}
