/** The role that keeps members and backups is called admin. A landed migration never changes. */
import { Migration } from '@mikro-orm/migrations';

export class Migration20261126000005 extends Migration {
  override up(): void {
    this.addSql(`update "member" set "roles" = array_replace("roles", 'keeper', 'admin');`);
  }
}
