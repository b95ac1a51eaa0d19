/** `program.json`: the settings of a program as they travel: the week, the counting rules, changes of the level. */
import { programSchema, type ProgramJson } from './schema';
import type { ProgramSettings } from './types';

export const writeProgram = (program: {
  readonly name: string;
  readonly level: string;
  readonly season: number;
  readonly team: string;
  readonly settings: ProgramSettings;
}): string =>
  `${JSON.stringify({ name: program.name, level: program.level, season: program.season, team: program.team, week: program.settings.week, opponent: program.settings.opponent, rules: program.settings.rules ?? null, profile: program.settings.profile ?? null, charting: program.settings.charting ?? null, reports: program.settings.reports ?? null, sections: program.settings.sections ?? null, practice: program.settings.practice ?? null, prints: program.settings.prints ?? null, views: program.settings.views ?? null }, null, 2)}\n`;

export function readProgram(
  text: string,
): { readonly ok: true; readonly program: ProgramJson } | { readonly ok: false; readonly remedy: string } {
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch {
    return { ok: false, remedy: 'is not JSON; export it again' };
  }
  const read = programSchema.safeParse(json);
  if (!read.success)
    return { ok: false, remedy: `${read.error.issues[0]!.path.join('.')}: ${read.error.issues[0]!.message}` };
  return { ok: true, program: read.data };
}
