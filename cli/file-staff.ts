/** How the staff of a file counts and prints; a file without `program.json` counts as the level does. */
import { readProgram } from '../core/exchange/program-json';
import { practiceOf, settingsOf, staffPrintsOf } from '../core/exchange/settings';
import { LEVEL_PROFILES, profilesFor, type LevelProfile, type Profiles } from '../core/field/profile';
import { SECTIONS, type PracticeSettings, type SectionSpec, type StaffPrints } from '../core/plan';
import { type StaffRules } from '../core/read';
import { rulesOf } from '../core/read/read-rules';
import { doubtsOption, levelOption } from './options';
import { Plain } from './paths';

export interface FileStaff {
  /** Of games that name no level: what `--level` says, else the program's own. */
  readonly level: LevelProfile;
  readonly profiles: Profiles;
  readonly rules: StaffRules;
  readonly figures: StaffPrints;
  readonly practice: PracticeSettings;
  /** What its new call sheets begin with. */
  readonly sections: readonly SectionSpec[];
}

/** Options that go before what the file says. */
export interface Said {
  readonly level?: string | undefined;
  readonly doubts?: string | undefined;
}

export function staffOfFile(programText: string | null, said: Said): FileStaff {
  const read = programText === null ? null : readProgram(programText);
  const fault = (remedy: string) => new Plain(`program.json ${remedy}`);
  if (read && !read.ok) throw fault(read.remedy);
  const program = read?.program ?? null;
  const settings = program && settingsOf(program, program.level, program.season);
  if (typeof settings === 'string') throw fault(settings);
  const profiles =
    program && settings
      ? profilesFor(program.level, program.season, settings.profile ?? null)
      : LEVEL_PROFILES;
  const rules = rulesOf(settings?.rules);
  return {
    level: profiles[said.level === undefined && program ? program.level : levelOption(said.level).key],
    profiles,
    rules: said.doubts === undefined ? rules : { ...rules, doubts: doubtsOption(said.doubts) },
    figures: staffPrintsOf(settings ?? NOTHING),
    practice: practiceOf(settings ?? NOTHING),
    sections: (settings?.sections as readonly SectionSpec[] | null | undefined) ?? SECTIONS,
  };
}
const NOTHING = { week: null, opponent: null };
