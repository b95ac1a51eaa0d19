/** How other people's tables were read. A landed migration never changes. */
import { Migration } from '@mikro-orm/migrations';

export class Migration20261126000008 extends Migration {
  override up(): void {
    this.addSql(
      `create table "foreign_reading" ("id" uuid not null, "program_id" uuid not null, "headings" text not null, "mapping" jsonb not null, "values" jsonb not null, "by_id" uuid not null, "at" timestamptz not null, constraint "foreign_reading_pkey" primary key ("id"));`,
    );
    this.addSql(
      `alter table "foreign_reading" add constraint "foreign_reading_program_id_headings_unique" unique ("program_id", "headings");`,
    );
    this.addSql(
      `alter table "foreign_reading" add constraint "foreign_reading_program_id_foreign" foreign key ("program_id") references "program" ("id") on update cascade;`,
    );
    this.addSql(
      `alter table "foreign_reading" add constraint "foreign_reading_by_id_foreign" foreign key ("by_id") references "member" ("id") on update cascade;`,
    );
  }
}
