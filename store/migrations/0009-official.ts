/** Official figures of a game. A landed migration never changes. */
import { Migration } from '@mikro-orm/migrations';

export class Migration20261126000009 extends Migration {
  override up(): void {
    this.addSql(`alter table "game" add column "official" jsonb null;`);
  }
}
