/** Depth order, letters of a game, what a film shows and is for, what a charter drills. A landed migration never changes. */
import { Migration } from '@mikro-orm/migrations';

export class Migration20261127000010 extends Migration {
  override up(): void {
    this.addSql(`alter table "snap" add column "not_filmed" boolean null;`);
    this.addSql(`alter table "charting" add column "handed_in_at" timestamptz null;`);
    this.addSql(`alter table "roster_entry" add column "depth" int null;`);
    this.addSql(
      `alter table "game" add column "angle" varchar(255) null, add column "purpose" varchar(255) null;`,
    );
    this.addSql(
      `create table "letter_worn" ("id" uuid not null, "program_id" uuid not null, "game_id" uuid not null, "team" varchar(255) not null, "letter" varchar(255) not null, "number" varchar(255) not null, constraint "letter_worn_pkey" primary key ("id"));`,
    );
    this.addSql(
      `alter table "letter_worn" add constraint "letter_worn_game_id_team_letter_unique" unique ("game_id", "team", "letter");`,
    );
    this.addSql(
      `alter table "letter_worn" add constraint "letter_worn_program_id_foreign" foreign key ("program_id") references "program" ("id") on update cascade;`,
    );
    this.addSql(
      `alter table "letter_worn" add constraint "letter_worn_game_id_foreign" foreign key ("game_id") references "game" ("id") on update cascade;`,
    );
    this.addSql(
      `create table "presence" ("member_id" uuid not null, "program_id" uuid not null, "game_id" uuid not null, "snap" varchar(255) null, "at" timestamptz not null, constraint "presence_pkey" primary key ("member_id"));`,
    );
    this.addSql(
      `alter table "presence" add constraint "presence_member_id_foreign" foreign key ("member_id") references "member" ("id") on update cascade on delete cascade;`,
    );
    this.addSql(
      `alter table "presence" add constraint "presence_program_id_foreign" foreign key ("program_id") references "program" ("id") on update cascade;`,
    );
    this.addSql(
      `alter table "presence" add constraint "presence_game_id_foreign" foreign key ("game_id") references "game" ("id") on update cascade;`,
    );
    this.addSql(
      `create table "drill_card" ("program_id" uuid not null, "member_id" uuid not null, "look" varchar(255) not null, "repetitions" int not null, "ease" double precision not null, "days" int not null, "due" timestamptz not null, "asked" int not null, "missed" int not null, "confused" jsonb not null, constraint "drill_card_pkey" primary key ("program_id", "member_id", "look"));`,
    );
    this.addSql(
      `alter table "drill_card" add constraint "drill_card_program_id_foreign" foreign key ("program_id") references "program" ("id") on update cascade;`,
    );
    this.addSql(
      `alter table "drill_card" add constraint "drill_card_member_id_foreign" foreign key ("member_id") references "member" ("id") on update cascade;`,
    );
  }
}
