/** What each engine holds the same table in. */
import type { DuckDBConnection } from '@duckdb/node-api';
import type pg from 'pg';
import type { Columns, FilterField } from '../core/read';
import { outcomeOf, type RateKey } from '../core/read/outcomes';

const megabytes = (bytes: number): string => `${(bytes / 1e6).toFixed(1)} MB`;

/** What each engine holds the table in once its report has been made; by the order of the report's rows. */
export async function memoryNotes(
  columns: Columns,
  about: {
    readonly stored: readonly FilterField[];
    readonly outcomes: readonly RateKey[];
    readonly said: string;
  },
  duck: DuckDBConnection,
  client: pg.Client,
): Promise<string[]> {
  const ours = [
    ...about.stored.map((f) => columns.text[f].codes),
    ...about.outcomes.map((key) => outcomeOf(columns, key)),
    columns.counts,
    columns.explosive,
    columns.success,
    columns.yards,
  ].reduce((bytes, held) => bytes + held.byteLength, 0);
  const [[held]] = (await (
    await duck.run('select sum(memory_usage_bytes)::double from duckdb_memory()')
  ).getRowsJS()) as [[number]];
  const { rows } = await client.query<{ table: string; indexes: string }>(
    `select pg_table_size('snap') as table, pg_indexes_size('snap') as indexes`,
  );
  return [
    `${about.said}; columns ${megabytes(ours)}, process with all engines ${megabytes(process.memoryUsage().rss)}`,
    `holds ${megabytes(held)}`,
    `table ${megabytes(Number(rows[0]!.table))}, indexes ${megabytes(Number(rows[0]!.indexes))}`,
  ];
}
