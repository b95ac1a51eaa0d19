/** The statements that bring a database of older migrations to this version, for a restore that is one transaction. */
import { MIGRATIONS } from './list';

interface Statements {
  addSql(sql: string): void;
  up(): void | Promise<void>;
  getQueries(): unknown[];
}

export async function pendingStatements(done: readonly string[]): Promise<string[]> {
  const out: string[] = [];
  for (const { name, class: Made } of MIGRATIONS) {
    if (done.includes(name)) continue;
    const migration = new (Made as unknown as new (driver: unknown, config: unknown) => Statements)(
      null,
      null,
    );
    await migration.up();
    for (const query of migration.getQueries()) out.push(`${String(query).trim().replace(/;$/, '')};`);
    out.push(`insert into mikro_orm_migrations (name, executed_at) values ('${name}', current_timestamp);`);
  }
  return out;
}
