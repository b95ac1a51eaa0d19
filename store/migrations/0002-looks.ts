/** Words with a meaning, links of plays, changes that can be taken back, games without a line. A landed migration never changes. */
import { Migration } from '@mikro-orm/migrations';

const LEVELS = "('high_school', 'college', 'professional', 'seven_on_seven', 'flag_five')";
const STATEMENTS = [
  'create table "book_change" ("id" uuid not null, "program_id" uuid not null, "at" timestamptz not null, "by_id" uuid not null, "words" text not null, "field" varchar(255) not null, "from_value" varchar(255) not null, "to_value" varchar(255) not null, "detail" jsonb not null, "undone_at" timestamptz null, constraint "book_change_pkey" primary key ("id"));',
  'create index "book_change_program_id_at_index" on "book_change" ("program_id", "at");',
  'create table "book_change_snap" ("change_id" uuid not null, "snap_id" uuid not null, "field" varchar(255) not null, "before" text not null, constraint "book_change_snap_pkey" primary key ("change_id", "snap_id", "field"));',
  'alter table "book_change" add constraint "book_change_program_id_foreign" foreign key ("program_id") references "program" ("id") on update cascade;',
  'alter table "book_change" add constraint "book_change_by_id_foreign" foreign key ("by_id") references "member" ("id") on update cascade;',
  'alter table "book_change_snap" add constraint "book_change_snap_change_id_foreign" foreign key ("change_id") references "book_change" ("id") on update cascade;',
  'alter table "book_change_snap" add constraint "book_change_snap_snap_id_foreign" foreign key ("snap_id") references "snap" ("id") on update cascade;',
  'alter table "program" drop constraint if exists "program_level_check";',
  'alter table "game" drop constraint if exists "game_level_check";',
  `alter table "program" add constraint "program_level_check" check("level" in ${LEVELS});`,
  `alter table "game" add constraint "game_level_check" check("level" in ${LEVELS});`,
  // Plays that are there already have no links.
  'alter table "play" add column "backfield" varchar(255) null, add column "links" jsonb not null default \'[]\';',
  'alter table "play" alter column "links" drop default;',
  'alter table "book_term" add column "definition" jsonb null;',
];

export class Migration20261125000002 extends Migration {
  override up(): void {
    for (const statement of STATEMENTS) this.addSql(statement);
  }
}
