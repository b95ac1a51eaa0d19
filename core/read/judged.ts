/**
 * Judgments that are no board: a row a question, each figure with its snaps. Keys and by-products are facts of one film,
 * chosen after looking at it, and say so.
 */
import type { BesideTable } from './beside-table';

export interface JudgedTable extends BesideTable {
  /** By row and column: the snaps of a figure; null: it has none of its own. */
  readonly behind: readonly (readonly (Uint32Array | null)[])[];
}

/** Snaps of a figure by its place: "j/<table>/<row>/<column>". */
export function judgedReel(
  name: string,
  tables: readonly JudgedTable[],
): { readonly title: string; readonly rows: Uint32Array } {
  const [, id, row, column] = name.split('/');
  const table = tables.find((t) => t.id === id);
  const rows = table?.behind[Number(row)]?.[Number(column)];
  if (!table || !rows) return { title: '', rows: new Uint32Array(0) };
  const words = table.rows[Number(row)]!.filter((cell) => typeof cell === 'string' && cell !== '').slice(
    0,
    2,
  );
  return { title: `${words.join(', ')}: ${table.columns[Number(column)]!.label}`, rows };
}
