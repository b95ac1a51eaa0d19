/** Sheets of both sides: sections of a staff's own, what is noted of a call, checks and remarks, versions. A landed migration never changes. */
import { Migration } from '@mikro-orm/migrations';

const key = (table: string, column: string, to: string): string =>
  `alter table "${table}" add constraint "${table}_${column}_foreign" foreign key ("${column}") references "${to}" ("id") on update cascade;`;

export class Migration20261128000013 extends Migration {
  override up(): void {
    this.addSql(
      `alter table "call_sheet" add column "side" text check ("side" in ('offense', 'defense')) not null default 'offense', add column "sections" jsonb null;`,
    );
    this.addSql(
      `alter table "call" add column "tags" jsonb not null default '[]', add column "if_then" jsonb not null default '[]', add column "needs" jsonb not null default '[]', add column "shown_first" text null;`,
    );
    // What stands already gets these values; what comes says its own.
    this.addSql(`alter table "call_sheet" alter column "side" drop default;`);
    this.addSql(
      `alter table "call" alter column "tags" drop default, alter column "if_then" drop default, alter column "needs" drop default;`,
    );
    this.addSql(
      `create table "sheet_row" ("id" uuid not null, "program_id" uuid not null, "sheet_id" uuid not null, "key" varchar(255) not null, "kind" text check ("kind" in ('check', 'remark')) not null, "order_key" double precision not null, "fields" jsonb not null, "provenance" jsonb not null, constraint "sheet_row_pkey" primary key ("id"));`,
    );
    this.addSql(
      `alter table "sheet_row" add constraint "sheet_row_program_id_key_unique" unique ("program_id", "key");`,
    );
    this.addSql(`create index "sheet_row_sheet_id_index" on "sheet_row" ("sheet_id");`);
    this.addSql(
      `create table "sheet_version" ("id" uuid not null, "program_id" uuid not null, "sheet_id" uuid not null, "number" int not null, "name" varchar(255) not null, "content" jsonb not null, "by_id" uuid not null, "at" timestamptz not null, constraint "sheet_version_pkey" primary key ("id"));`,
    );
    this.addSql(
      `alter table "sheet_version" add constraint "sheet_version_sheet_id_number_unique" unique ("sheet_id", "number");`,
    );
    for (const table of ['sheet_row', 'sheet_version']) {
      this.addSql(key(table, 'program_id', 'program'));
      this.addSql(key(table, 'sheet_id', 'call_sheet'));
    }
    this.addSql(key('sheet_version', 'by_id', 'member'));
  }
}
