/** Operations answered by themselves, the order kept by the database, restore epochs, the audit trail. A landed migration never changes. */
import { Migration } from '@mikro-orm/migrations';

const STATEMENTS = [
  'create table "backup_run" ("id" uuid not null, "at" timestamptz not null, "file" text not null, "bytes" bigint not null, "verified_at" timestamptz null, "problem" text null, constraint "backup_run_pkey" primary key ("id"));',
  'create table "installation" ("id" serial primary key, "epoch" varchar(255) not null);',
  'insert into "installation" ("id", "epoch") values (1, gen_random_uuid()::text);',
  'create table "audit_entry" ("id" uuid not null, "program_id" uuid not null, "at" timestamptz not null, "member" varchar(255) null, "name" varchar(255) not null, "action" varchar(255) not null, "words" text not null, constraint "audit_entry_pkey" primary key ("id"));',
  'create index "audit_entry_program_id_at_index" on "audit_entry" ("program_id", "at");',
  'create table "sync_operation" ("program_id" uuid not null, "id" varchar(255) not null, "at" timestamptz not null, "answer" jsonb not null, constraint "sync_operation_pkey" primary key ("program_id", "id"));',
  'create index "sync_operation_at_index" on "sync_operation" ("at");',
  'create table "sync_scope" ("program_id" uuid not null, "scope" varchar(255) not null, "revision" int not null, constraint "sync_scope_pkey" primary key ("program_id", "scope"));',
  'alter table "audit_entry" add constraint "audit_entry_program_id_foreign" foreign key ("program_id") references "program" ("id") on update cascade;',
  'alter table "sync_operation" add constraint "sync_operation_program_id_foreign" foreign key ("program_id") references "program" ("id") on update cascade;',
  'alter table "sync_scope" add constraint "sync_scope_program_id_foreign" foreign key ("program_id") references "program" ("id") on update cascade;',
  ...['play', 'call_sheet', 'call', 'book_term'].flatMap((table) => [
    `alter table "${table}" add column "provenance" jsonb not null default '{}';`,
    `alter table "${table}" alter column "provenance" drop default;`,
  ]),
  'alter table "session" add column "seen_at" timestamptz null, add column "agent" varchar(255) null;',
  'alter table "sign_in_attempt" add column "address" varchar(255) not null default \'\';',
  'alter table "sign_in_attempt" alter column "address" drop default;',
  'create index "sign_in_attempt_address_at_index" on "sign_in_attempt" ("address", "at");',
  // Two writers could give two snaps one key. Games where that happened are numbered anew, in the order they were shown.
  `update "snap" s set "order_key" = n.rn, "revision" = n.revision + 1 from (
     select x."id", c."revision", row_number() over (partition by x."charting_id" order by x."order_key", x."snap_key" collate "C") as rn from "snap" x join "charting" c on c."id" = x."charting_id"
     where x."charting_id" in (select "charting_id" from "snap" group by "charting_id", "order_key" having count(*) > 1)
   ) n where n."id" = s."id";`,
  'update "charting" set "revision" = "revision" + 1 where exists (select 1 from "snap" s where s."charting_id" = "charting"."id" and s."revision" > "charting"."revision");',
  'alter table "snap" add constraint "snap_charting_id_order_key_unique" unique ("charting_id", "order_key");',
];

export class Migration20261126000003 extends Migration {
  override up(): void {
    for (const statement of STATEMENTS) this.addSql(statement);
  }
}
