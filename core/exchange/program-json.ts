/** `program.json`: the settings of a program as they travel: the week, the rules of counting, changes of the level. */
import { z } from 'zod';
import { LEVEL_KEYS } from '../field/profile';
import type { ProgramSettings } from './types';

const schema = z.object({
  name: z.string().max(120),
  level: z.enum(LEVEL_KEYS),
  season: z.int().min(1900).max(2200),
  team: z.string().max(12),
  week: z.int().min(0).max(60).nullable(),
  opponent: z.string().max(12).nullable(),
  rules: z.unknown().optional(),
  profile: z.unknown().optional(),
});
export type ProgramJson = z.infer<typeof schema>;

export const writeProgram = (p: {
  readonly name: string;
  readonly level: string;
  readonly season: number;
  readonly team: string;
  readonly settings: ProgramSettings;
}): string =>
  `${JSON.stringify({ name: p.name, level: p.level, season: p.season, team: p.team, week: p.settings.week, opponent: p.settings.opponent, rules: p.settings.rules ?? null, profile: p.settings.profile ?? null }, null, 2)}\n`;

export function readProgram(
  text: string,
): { readonly ok: true; readonly program: ProgramJson } | { readonly ok: false; readonly remedy: string } {
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch {
    return { ok: false, remedy: 'is not JSON; export it again' };
  }
  const read = schema.safeParse(json);
  if (!read.success)
    return { ok: false, remedy: `${read.error.issues[0]!.path.join('.')}: ${read.error.issues[0]!.message}` };
  return { ok: true, program: read.data };
}
