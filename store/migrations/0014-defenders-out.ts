/** Defenders who usually play and do not. A landed migration never changes. */
import { Migration } from '@mikro-orm/migrations';

export class Migration20261129000014 extends Migration {
  override up(): void {
    this.addSql(`alter table "snap" add column "missing_defenders" text[] not null default '{}';`);
    // Only rows that stand already need it.
    this.addSql(`alter table "snap" alter column "missing_defenders" drop default;`);
  }
}
