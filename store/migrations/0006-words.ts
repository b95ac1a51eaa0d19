/**
 * Fields of plays that could not be logged whole; and the general words as they are now: meanings that a staff left
 * as they shipped follow, words and aliases it does not use otherwise are added, three coined words are renamed in
 * the book, the snaps and the plays. A landed migration never changes.
 */
import { Migration } from '@mikro-orm/migrations';
import { ADDED, ALIASES, CHANGED, RENAMED } from './0006-words.data';

const text = (value: string | null): string => (value === null ? 'null' : `'${value.replace(/'/g, "''")}'`);
const list = (values: readonly string[]): string => `array[${values.map(text).join(', ')}]::text[]`;
const rows = (values: readonly (readonly string[])[]): string =>
  values.map((v) => `(${v.join(', ')})`).join(', ');

const KINDS = [
  'formation',
  'backfield',
  'motion',
  'front',
  'bodies',
  'coverage',
  'rotation',
  'pressure',
  'run',
  'pass',
  'protection',
  'tempo',
  'tag',
];
/** Where a renamed word stands in snaps and plays. */
const STANDS: Readonly<
  Record<string, { readonly snap: readonly string[]; readonly play: readonly string[] }>
> = {
  coverage: { snap: ['coverage'], play: [] },
  run: { snap: ['concept', 'concept_weak'], play: ['concept', 'concept_weak'] },
  tempo: { snap: ['tempo'], play: [] },
};
/** No other term of the program says the phrase. */
const unused = (program: string, phrase: string): string =>
  `not exists (select 1 from "book_term" o where o."program_id" = ${program} and (o."word" = ${phrase} or ${phrase} = any(o."aliases")))`;

export class Migration20261126000006 extends Migration {
  override up(): void {
    const texts = [
      'check',
      'timeout',
      'motion_second',
      'motion_second_by',
      'motion_second_side',
      'bodies',
      'option_side',
      'protection_side',
      'read_decision',
      'doubled',
      'spy',
      'snap_taker',
      'second_passer',
      'second_carrier',
      'target_third',
    ];
    const flags = ['fake', 'scramble_drill', 'quarterback_hit'];
    this.addSql(
      `alter table "snap" ${[
        ...texts.map((c) => `add column "${c}" text null`),
        ...flags.map((c) => `add column "${c}" boolean null`),
        'add column "target_depth" int null',
      ].join(', ')};`,
    );
    this.addSql(`alter table "book_term" drop constraint if exists "book_term_kind_check";`);
    this.addSql(
      `alter table "book_term" add constraint "book_term_kind_check" check ("kind" in (${KINDS.map(text).join(', ')}));`,
    );
    for (const [kind, from, to, oldKey, newKey] of RENAMED) {
      // Only where the word is still the one that shipped, and nothing else is called so.
      const mine = `t."key" = ${text(oldKey)} and t."kind" = ${text(kind)} and t."word" = ${text(from)}`;
      const free = `not exists (select 1 from "book_term" o where o."program_id" = t."program_id" and o."id" <> t."id" and (o."word" = ${text(to)} or ${text(to)} = any(o."aliases") or o."key" = ${text(newKey)}))`;
      const programs = `(select t."program_id" from "book_term" t where ${mine} and ${free})`;
      for (const column of STANDS[kind]!.snap) {
        this.addSql(
          `update "charting" set "revision" = "revision" + 1 where "id" in (select s."charting_id" from "snap" s where s."${column}" = ${text(from)} and s."program_id" in ${programs});`,
        );
        this.addSql(
          `update "snap" s set "${column}" = ${text(to)}, "revision" = c."revision" from "charting" c where c."id" = s."charting_id" and s."${column}" = ${text(from)} and s."program_id" in ${programs};`,
        );
      }
      for (const column of STANDS[kind]!.play)
        this.addSql(
          `update "play" set "${column}" = ${text(to)} where "${column}" = ${text(from)} and "program_id" in ${programs};`,
        );
      this.addSql(
        `update "book_term" t set "key" = ${text(newKey)}, "word" = ${text(to)}, "aliases" = array_append(array_remove(t."aliases", ${text(to)}), ${text(from)}) where ${mine} and ${free};`,
      );
    }
    const changed = CHANGED.map(([key, column, was, now]) => [text(key), text(column), text(was), text(now)]);
    for (const column of ['definition', 'spots'] as const)
      this.addSql(
        `update "book_term" t set "${column}" = w.now::jsonb from (values ${rows(changed.filter((c) => c[1] === text(column)))}) as w (key, field, was, now) where t."key" = w.key and t."${column}" = w.was::jsonb;`,
      );
    const added = ADDED.map(([key, kind, word, aliases, spots, definition], n) => [
      String(n + 1),
      text(key),
      text(kind),
      text(word),
      list(aliases),
      text(spots),
      text(definition),
    ]);
    this.addSql(
      `insert into "book_term" ("id", "program_id", "key", "kind", "word", "aliases", "value", "spots", "notes", "position", "definition", "provenance")
       select gen_random_uuid(), p."id", w.key, w.kind, w.word,
         array(select a from unnest(w.aliases) a where ${unused('p."id"', 'a')}),
         null, w.spots::jsonb, null, (select max(o."position") from "book_term" o where o."program_id" = p."id") + w.n, w.definition::jsonb, '{}'::jsonb
       from "program" p cross join (values ${rows(added)}) as w (n, key, kind, word, aliases, spots, definition)
       where exists (select 1 from "book_term" o where o."program_id" = p."id")
       and not exists (select 1 from "book_term" o where o."program_id" = p."id" and o."key" = w.key)
       and ${unused('p."id"', 'w.word')};`,
    );
    const further = ALIASES.map(([key, kind, aliases]) => [text(key), text(kind), list(aliases)]);
    this.addSql(
      `update "book_term" t set "aliases" = t."aliases" || array(select a from unnest(w.aliases) a where ${unused('t."program_id"', 'a')})
       from (values ${rows(further)}) as w (key, kind, aliases) where t."key" = w.key and t."kind" = w.kind;`,
    );
  }
}
