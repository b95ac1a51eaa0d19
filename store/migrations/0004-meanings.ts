/** Words of programs from before words had a meaning learn it, once. A landed migration never changes. */
import { Migration } from '@mikro-orm/migrations';
import { MEANINGS } from './0004-meanings.data';

const quoted = (text: string): string => `'${text.replace(/'/g, "''")}'`;
const values = MEANINGS.map(
  ([key, kind, definition]) => `(${quoted(key)}, ${quoted(kind)}, ${quoted(definition)}::jsonb)`,
);

export class Migration20261126000004 extends Migration {
  override up(): void {
    // A program with any meaning has had this: what is blank there was cleared by its staff.
    this.addSql(
      `update "book_term" t set "definition" = m.definition from (values ${values.join(', ')}) as m (key, kind, definition)
       where t."key" = m.key and t."kind" = m.kind and t."definition" is null
       and not exists (select 1 from "book_term" o where o."program_id" = t."program_id" and o."definition" is not null);`,
    );
  }
}
