/** What the settings of a program say: read where they enter as a file, and where they are used. */
import { plansSchema } from '../charting/schema';
import { adaptProfile, LEVEL_PROFILES, type LevelKey, type ProfileChanges } from '../field/profile';
import { USUAL_PRACTICE, type PracticeSettings } from '../plan/practice';
import { USUAL_PRINTS, type StaffPrints } from '../plan/prints';
import { practiceSchema, sectionsSchema, staffPrintsSchema } from '../plan/schema';
import { readRules } from '../read/read-rules';
import { templatesSchema, viewsSchema } from '../read/schema';
import type { ProgramJson } from './schema';
import type { ProgramSettings } from './types';

/** The settings of a program.json, checked, or what is wrong with them. */
export function settingsOf(wanted: ProgramJson, level: LevelKey, season: number): ProgramSettings | string {
  const rules = wanted.rules === null || wanted.rules === undefined ? null : readRules(wanted.rules);
  if (rules && !rules.ok) return `rules: ${rules.remedy}`;
  const profile = (wanted.profile ?? null) as ProfileChanges | null;
  try {
    adaptProfile(LEVEL_PROFILES[level], season, profile);
  } catch (error) {
    return `profile: ${(error as Error).message}`;
  }
  const charting = plansSchema.nullish().safeParse(wanted.charting);
  if (!charting.success) return `charting: ${charting.error.issues[0]!.message}`;
  const reports = templatesSchema.nullish().safeParse(wanted.reports);
  if (!reports.success) return `reports: ${reports.error.issues[0]!.message}`;
  const sections = sectionsSchema.nullish().safeParse(wanted.sections);
  if (!sections.success) return `sections: ${sections.error.issues[0]!.message}`;
  const practice = practiceSchema.nullish().safeParse(wanted.practice);
  if (!practice.success) return `practice: ${practice.error.issues[0]!.message}`;
  const prints = staffPrintsSchema.nullish().safeParse(wanted.prints);
  if (!prints.success) return `prints: ${prints.error.issues[0]!.message}`;
  const views = viewsSchema.nullish().safeParse(wanted.views);
  if (!views.success) return `views: ${views.error.issues[0]!.message}`;
  return {
    week: wanted.week,
    opponent: wanted.opponent,
    rules: rules?.ok ? rules.rules : null,
    profile,
    charting: charting.data ?? null,
    reports: reports.data ?? null,
    sections: sections.data ?? null,
    practice: practice.data ?? null,
    prints: prints.data ?? null,
    views: views.data ?? null,
  };
}

/** The week as it stands in the settings; the usual one until a staff says another. */
export const practiceOf = (settings: ProgramSettings): PracticeSettings =>
  practiceSchema.safeParse(settings.practice).data ?? USUAL_PRACTICE;

/** Figures of prints as they stand in the settings; the usual ones until a staff says others. */
export const staffPrintsOf = (settings: ProgramSettings): StaffPrints =>
  staffPrintsSchema.safeParse(settings.prints).data ?? USUAL_PRINTS;
