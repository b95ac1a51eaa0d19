/** `audit`: reads a `sheet.json` back and says what it leaves open and gives away. */
import { DEFAULT_BOOK } from '../core/book/default-book';
import {
  auditChecks,
  CATALOG,
  findSection,
  USUAL_PRINTS,
  type Check,
  type SectionSpec,
  type SheetCall,
} from '../core/plan';
import { sheetJsonSchema } from '../core/plan/schema';
import { bookOption, levelOption, print, readFileOrSay, readOptions } from './options';
import { Plain } from './paths';
import { auditsOf, filmOf, looksOf } from './sheet-film';

/** The audits of a `sheet.json`; 1 when there is one. */
export async function audit(args: string[]): Promise<number> {
  const { values, rest } = readOptions(args, ['film', 'book', 'level']);
  let raw: unknown;
  try {
    raw = JSON.parse(readFileOrSay(rest[0], 'a sheet.json').toString('utf8'));
  } catch (error) {
    if (error instanceof Plain) throw error;
    throw new Plain(`${rest[0]} is no JSON: ${(error as Error).message}`);
  }
  const read = sheetJsonSchema.safeParse(raw);
  if (!read.success) {
    const issue = read.error.issues[0]!;
    throw new Plain(`${rest[0]}, ${issue.path.join('.')}: ${issue.message}`);
  }
  const { team, opponent, side, sections: given, checks: answers } = read.data;
  const book = values.book === undefined ? null : bookOption(values.book);
  const film = values.film === undefined ? null : filmOf(values.film, values, team, book);
  const sections = given.map(
    ({ id, title }): SectionSpec =>
      findSection(id, [...(film?.staff.sections ?? []), ...CATALOG]) ?? {
        key: id,
        label: title,
        filter: null,
        ranges: {},
        kinds: [],
      },
  );
  const calls = given.flatMap(({ id: section, calls: list }) =>
    list.map((c, order): SheetCall => ({
      id: c.id,
      section,
      order,
      hash: c.hash,
      note: null,
      tags: c.tags,
      ifThen: c.if_then,
      needs: c.requires,
      shownFirst: c.after,
      play: {
        ...(film?.plays.find((p) => p.id === c.play_id) ?? { links: [] }),
        id: c.play_id ?? `${c.kind} ${c.concept} ${c.formation} ${c.direction}`,
        name: c.play,
        kind: c.kind,
        personnel: c.personnel,
        formation: c.formation,
        formationSide: c.formation_side,
        motion: c.motion,
        motionBy: c.motion_by,
        concept: c.concept,
        conceptWeak: c.concept_weak,
        direction: c.direction,
        backfield: c.backfield,
      },
    })),
  );
  const checks = answers.map((c, order): Check => ({ ...c, order, note: null }));
  if (side === 'defense' && film === null)
    throw new Plain('what a check table leaves open is counted on their film: --film FILE');
  const found =
    side === 'defense'
      ? auditChecks(film!.columns, opponent, checks, looksOf(film!, opponent, checks))
      : auditsOf(film, { team, opponent }, calls, sections, {
          book: film?.book ?? DEFAULT_BOOK,
          level: film?.staff.level ?? levelOption(values.level),
          figures: film?.staff.figures ?? USUAL_PRINTS,
        }).audits;
  print({
    team,
    opponent,
    side,
    audits: found.map(({ code, calls: cells, facts, sentence }) => ({ code, cells, facts, sentence })),
  });
  return found.length > 0 ? 1 : 0;
}
