/** What a game counts in reports. A landed migration never changes. */
import { Migration } from '@mikro-orm/migrations';

export class Migration20261127000011 extends Migration {
  override up(): void {
    this.addSql(`alter table "game" add column "weight" double precision null;`);
  }
}
