/** Calls, sections, checks and remarks of a sheet where they enter: from a browser, a file, a database column. */
import { z } from 'zod';
import { FILTER_FIELDS, RANGE_FIELDS, type Filter, type Ranges } from '../read';
import { BAND_LIMITS } from './band';
import { DECISION_LABEL, DECISION_LIMITS, USUAL_DECISIONS, type DecisionSettings } from './decisions';
import { QUOTA_LIMITS, USUAL_QUOTAS } from './quotas';
import { SIGNAL_LIMITS } from './word-audits';
import { CONTACTS, IMPORTANCES, PERIOD_KINDS } from './practice';
import { MOST_REMARK, REMARK_KINDS, SHEET_SIDES } from './rows';
import { CALLED_KINDS, MOST_SECTIONS, type SectionSpec } from './sections';

const line = (what: string, most: number) =>
  z
    .string(`${what} is a text.`)
    .trim()
    .min(1, `${what} is empty.`)
    .max(most, `${what} has up to ${most} characters.`);
const some = (what: string, most: number) => line(what, most).nullable();
const key = z.string().min(1).max(120);

const filterSchema = z
  .partialRecord(
    z.enum(FILTER_FIELDS as [string, ...string[]]),
    z.array(z.string().min(1).max(80)).min(1).max(40),
  )
  .transform((filter) => filter as Filter);
const rangesSchema = z
  .partialRecord(
    z.enum(RANGE_FIELDS),
    z
      .object({ from: z.int().min(-3600).max(3600), to: z.int().min(-3600).max(3600) })
      .refine(({ from, to }) => from <= to, 'Write the smaller first.'),
  )
  .transform((ranges) => ranges as Ranges);

export const sectionSchema = z.object({
  key: z.string().regex(/^[a-z0-9-]{1,60}$/, 'A section is known by small letters and digits.'),
  label: line('The name of a section', 40),
  filter: filterSchema.nullable(),
  ranges: rangesSchema,
  kinds: z.array(z.enum(CALLED_KINDS)).max(4),
});
/** Sections of a sheet or of a staff's template, in their order. */
export const sectionsSchema = z
  .array(sectionSchema)
  .min(1, 'A sheet has a section at least.')
  .max(MOST_SECTIONS, `A sheet has up to ${MOST_SECTIONS} sections.`)
  .refine((all) => new Set(all.map((s) => s.key)).size === all.length, 'Two sections have one name.')
  .transform((all): readonly SectionSpec[] => all);

const ifThenSchema = z
  .object({
    when: line('What is seen', 80),
    call: key.nullable(),
    words: some('What is done then', 80),
  })
  .refine(({ call, words }) => call !== null || words !== null, 'Say what is done then.');
/** Each without a semicolon, which parts them in a table. */
const words = (what: string, most: number, of: number) =>
  z.array(line(what, of).regex(/^[^;]*$/, `${what} has no semicolon.`)).max(most, `${what}: up to ${most}.`);

/** What is noted of a call, each field by itself. */
export const CALL_NOTE_SCHEMAS = {
  hash: z.enum(['L', 'M', 'R'], 'The hash is L, M, R or none.').nullable(),
  note: some('A note', 200),
  tags: words('A tag', 6, 30),
  ifThen: z.array(ifThenSchema).max(3, 'A call has up to three ifs.'),
  needs: words('Who must be available', 6, 40),
  shownFirst: some('What must have been shown', 80),
} as const;

/** What is noted of a check, each field by itself. */
export const CHECK_SCHEMAS = {
  picture: key,
  personnel: z
    .string()
    .regex(/^[0-5][0-5]$/, 'Personnel is two digits such as 11.')
    .nullable(),
  situation: z.string().max(40).nullable(),
  front: some('A front', 80),
  coverage: some('A coverage', 80),
  pressure: some('A pressure', 80),
  note: some('A note', 200),
} as const;

/** Without its author and time, which the store says. */
export const REMARK_SCHEMAS = {
  kind: z.enum(REMARK_KINDS),
  about: line('What it is about', 400),
  text: line('A remark', MOST_REMARK),
} as const;

const minutes = (what: string, most: number) =>
  z.int(`${what} are whole minutes.`).min(0).max(most, `${what}: up to ${most}.`);
/** The staff's week of practice. */
export const practiceSchema = z.object({
  game: z.iso.date('Write the day of the game as 2026-11-06.').nullable(),
  pace: z.number().min(0.1, 'Repetitions a minute: 0.1 at least.').max(4, 'Repetitions a minute: 4 at most.'),
  enough: z
    .int('Repetitions are whole.')
    .min(1, 'A call takes one repetition at least.')
    .max(60, 'Enough: up to 60.'),
  newShare: z.number().min(0, 'A share is 0 to 1.').max(1, 'A share is 0 to 1.'),
  limits: z.object({
    day: minutes('A day’s minutes', 240),
    week: minutes('A week’s minutes', 900),
    days: z.int().min(0).max(7, 'A week has seven days.'),
  }),
  importance: z
    .record(z.string().max(60), z.literal(IMPORTANCES, 'A section counts half, once, twice or three times.'))
    .default({}),
  days: z
    .array(
      z.object({
        before: z
          .int('Days before the game are whole.')
          .min(1, 'A day before the game: 1 at least.')
          .max(14, 'Up to 14 days before the game.'),
        start: z.string().regex(/^([01]?\d|2[0-3]):[0-5]\d$/, 'Write the start as 15:30.'),
        periods: z
          .array(
            z.object({
              name: line('The name of a period', 40),
              minutes: z
                .int('Minutes are whole.')
                .min(1, 'A period lasts a minute at least.')
                .max(120, 'A period lasts up to 120 minutes.'),
              kind: z.enum(PERIOD_KINDS),
              contact: z.enum(CONTACTS),
            }),
          )
          .max(16, 'A day has up to 16 periods.'),
      }),
    )
    .max(7, 'A week has up to seven days.')
    .refine((days) => new Set(days.map((d) => d.before)).size === days.length, 'Two days stand on one date.'),
});

const word = z.string().max(120).nullable();
const callJsonSchema = z.object({
  id: key,
  personnel: word,
  formation: word,
  formation_side: z.enum(['L', 'R']).nullable(),
  backfield: word.default(null),
  motion: word,
  motion_by: word.default(null),
  play: z.string().min(1).max(200),
  play_id: key.optional(),
  kind: z.enum(CALLED_KINDS),
  concept: z.string().min(1).max(120),
  concept_weak: word.default(null),
  direction: z.enum(['L', 'R']).nullable(),
  tags: CALL_NOTE_SCHEMAS.tags.default([]),
  hash: CALL_NOTE_SCHEMAS.hash.default(null),
  if_then: CALL_NOTE_SCHEMAS.ifThen.default([]),
  requires: CALL_NOTE_SCHEMAS.needs.default([]),
  after: CALL_NOTE_SCHEMAS.shownFirst.default(null),
});
/** What `audit` reads of a `sheet.json`; more may stand in it. */
export const sheetJsonSchema = z.object({
  team: z.string().min(1).max(12),
  opponent: z.string().min(1).max(12),
  side: z.enum(SHEET_SIDES).default('offense'),
  sections: z
    .array(z.object({ id: key, title: z.string().min(1).max(80), calls: z.array(callJsonSchema).max(400) }))
    .max(MOST_SECTIONS),
  checks: z
    .array(
      z.object({
        id: key,
        picture: CHECK_SCHEMAS.picture,
        personnel: CHECK_SCHEMAS.personnel.default(null),
        situation: CHECK_SCHEMAS.situation.default(null),
        front: CHECK_SCHEMAS.front.default(null),
        coverage: CHECK_SCHEMAS.coverage.default(null),
        pressure: CHECK_SCHEMAS.pressure.default(null),
      }),
    )
    .max(200)
    .default([]),
});

const between = (what: string, { from, to }: { readonly from: number; readonly to: number }) =>
  z.number(`${what}: a number.`).min(from, `${what}: ${from} at least.`).max(to, `${what}: ${to} at most.`);
/** Figures that the staff's prints begin with. */
export const staffPrintsSchema = z.object({
  band: z.object({
    width: between('Window, inches wide', BAND_LIMITS.width),
    height: between('Window, inches high', BAND_LIMITS.height),
    columns: between('Columns', BAND_LIMITS.columns).int('Columns are whole.'),
  }),
  quotas: z
    .array(
      z.object({
        words: words('Words of a quota', QUOTA_LIMITS.words, 30).min(1, 'A quota needs a word.'),
        half: between('Calls a half', { from: 1, to: QUOTA_LIMITS.half }).int('Calls a half are whole.'),
      }),
    )
    .max(QUOTA_LIMITS.quotas, `A staff has up to ${QUOTA_LIMITS.quotas} quotas.`)
    .default(USUAL_QUOTAS.map(({ words: of, half }) => ({ words: [...of], half }))),
  signals: z
    .array(
      z.object({
        word: line('The word of a signal', SIGNAL_LIMITS.word),
        signal: line('A signal', SIGNAL_LIMITS.signal),
      }),
    )
    .max(SIGNAL_LIMITS.signals, `A staff has up to ${SIGNAL_LIMITS.signals} signals.`)
    .default([]),
  decisions: z.object(
    Object.fromEntries(
      (Object.keys(DECISION_LIMITS) as (keyof DecisionSettings)[]).map((key) => [
        key,
        // What was kept before a figure was asked for has the usual one.
        between(DECISION_LABEL[key], DECISION_LIMITS[key]).default(USUAL_DECISIONS[key]),
      ]),
    ) as Record<keyof DecisionSettings, z.ZodDefault<z.ZodNumber>>,
  ),
});
