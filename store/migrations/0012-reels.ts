/** Reels, the words of a report's first page, what was printed; a game's lock and what is read under it. A landed migration never changes. */
import { Migration } from '@mikro-orm/migrations';

const key = (table: string, column: string, to: string): string =>
  `alter table "${table}" add constraint "${table}_${column}_foreign" foreign key ("${column}") references "${to}" ("id") on update cascade;`;
const SIDE = `"side" text check ("side" in ('offense', 'defense', 'kicking', 'returning')) not null`;

/**
 * Locks a game's official charting and reads what a write needs under the lock, in one round trip instead of three:
 * each statement of a function sees what was committed before it. No row: there is no such game or charting.
 */
const GAME_TO_WRITE = `create function game_to_write(of_program uuid, of_game text, ids jsonb, new_row text, after_row text, places boolean)
returns table (charting uuid, revision int, home text, away text, epoch text, closed boolean, known jsonb, before double precision, next double precision, standing jsonb)
language plpgsql as $$
declare
  locked uuid;
begin
  select c.id into locked from charting c join game g on g.id = c.game_id
    where g.program_id = of_program and g.key = of_game and c.kind = 'official' for no key update of c;
  if locked is null then return; end if;
  return query
    select c.id, c.revision, g.home::text, g.away::text, i.epoch::text, g.closed,
      (select jsonb_object_agg(o.id, o.answer) from sync_operation o
        where o.program_id = of_program and o.id = any(array(select jsonb_array_elements_text(ids)))),
      b.o,
      case when places then (select min(s.order_key) from snap s
        where s.charting_id = locked and (b.o is null or s.order_key > b.o)) end,
      case when places then (select jsonb_build_object('order', s.order_key, 'provenance', s.provenance) from snap s
        where s.charting_id = locked and s.snap_key = new_row) end
    from charting c join game g on g.id = c.game_id join installation i on i.id = 1
      cross join lateral (select case when places and after_row is not null then coalesce(
        (select s.order_key from snap s where s.charting_id = locked and s.snap_key = after_row),
        (select max(s.order_key) from snap s where s.charting_id = locked)) end as o) b
    where c.id = locked;
end $$;`;

export class Migration20261127000012 extends Migration {
  override up(): void {
    this.addSql(
      `create table "reel" ("id" uuid not null, "program_id" uuid not null, "name" varchar(255) not null, "name_key" varchar(255) not null, "sentence" text not null, "source" text null, "shared" boolean not null, "clips" jsonb not null, "version" int not null, "by_id" uuid not null, "at" timestamptz not null, constraint "reel_pkey" primary key ("id"));`,
    );
    this.addSql(
      `alter table "reel" add constraint "reel_program_id_name_key_unique" unique ("program_id", "name_key");`,
    );
    this.addSql(
      `create table "report_words" ("id" uuid not null, "program_id" uuid not null, "team" varchar(255) not null, ${SIDE}, "edits" jsonb not null, "version" int not null, "by_id" uuid not null, "at" timestamptz not null, constraint "report_words_pkey" primary key ("id"));`,
    );
    this.addSql(
      `alter table "report_words" add constraint "report_words_program_id_team_side_unique" unique ("program_id", "team", "side");`,
    );
    this.addSql(
      `create table "report_print" ("id" uuid not null, "program_id" uuid not null, "team" varchar(255) not null, ${SIDE}, "figures" jsonb not null, "by_id" uuid not null, "at" timestamptz not null, constraint "report_print_pkey" primary key ("id"));`,
    );
    this.addSql(
      `create index "report_print_program_id_team_side_at_index" on "report_print" ("program_id", "team", "side", "at");`,
    );
    this.addSql(GAME_TO_WRITE);
    for (const table of ['reel', 'report_words', 'report_print']) {
      this.addSql(key(table, 'program_id', 'program'));
      this.addSql(key(table, 'by_id', 'member'));
    }
  }
}
