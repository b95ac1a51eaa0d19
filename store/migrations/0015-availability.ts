/** Who can play, week by week. A landed migration never changes. */
import { Migration } from '@mikro-orm/migrations';

export class Migration20261129000015 extends Migration {
  override up(): void {
    this.addSql(
      `create table "availability" ("id" uuid not null, "program_id" uuid not null, "player_id" uuid not null, "season_id" uuid not null, "week" int not null, "state" text not null, "source" text not null, "by_id" uuid not null, "at" timestamptz not null, constraint "availability_pkey" primary key ("id"));`,
    );
    this.addSql(
      `alter table "availability" add constraint "availability_player_id_season_id_week_unique" unique ("player_id", "season_id", "week");`,
    );
    this.addSql(
      `alter table "availability" add constraint "availability_program_id_foreign" foreign key ("program_id") references "program" ("id") on update cascade;`,
    );
    this.addSql(
      `alter table "availability" add constraint "availability_player_id_foreign" foreign key ("player_id") references "player" ("id") on update cascade on delete cascade;`,
    );
    this.addSql(
      `alter table "availability" add constraint "availability_season_id_foreign" foreign key ("season_id") references "season" ("id") on update cascade;`,
    );
    this.addSql(
      `alter table "availability" add constraint "availability_by_id_foreign" foreign key ("by_id") references "member" ("id") on update cascade;`,
    );
    this.addSql(
      `alter table "availability" add constraint "availability_state_check" check ("state" in ('available', 'limited', 'out'));`,
    );
    this.addSql(
      `alter table "availability" add constraint "availability_source_check" check ("source" in ('medical staff', 'coach', 'the player'));`,
    );
  }
}
