/** Counting rules as a staff typed them or as they were stored. */
import { z } from 'zod';
import { BOARDS } from './board-specs';
import { FIRST_PAGE, REPORT_PARTS } from './sections';
import { BOARD_SIDES } from './sides';
import { DOUBTS } from './doubts';
import { EXPLOSIVE } from '../rules/walk';
import { EVEN_AFTER_MOTION, STRENGTH_RULES, TIGHT_END_SCHOOLS } from '../look';

const yard = z.int().min(1).max(99);
export const rulesSchema = z.object({
  look: z.object({
    evenAfterMotion: z.enum(EVEN_AFTER_MOTION).default('stays'),
    keepHoldsEnd: z.boolean().default(true),
    strength: z
      .array(z.enum(STRENGTH_RULES))
      .min(1, 'strength needs at least one rule')
      .max(4)
      .refine((a) => new Set(a).size === a.length, 'strength names a rule twice'),
    school: z.enum(TIGHT_END_SCHOOLS),
    box: z.object({ lateral: z.number().min(0).max(5), depth: z.number().min(3).max(12) }),
  }),
  success: z.object({
    name: z.string().max(40),
    percent: z.tuple([z.number().min(1).max(100), z.number().min(1).max(100), z.number().min(1).max(100)]),
  }),
  explosive: z
    .object({ run: z.int().min(1).max(60), pass: z.int().min(1).max(60) })
    .default({ run: EXPLOSIVE.run, pass: EXPLOSIVE.pass }),
  buckets: z.object({
    freshFirst: z.boolean(),
    secondMedium: yard,
    secondLong: yard,
    thirdMedium: yard,
    thirdLong: yard,
    thirdExtraLong: yard.nullable(),
  }),
  zones: z
    .array(
      z.object({ key: z.string().min(1).max(30), label: z.string().min(1).max(30), from: yard, to: yard }),
    )
    .min(1)
    .max(20),
  doubts: z.enum(DOUBTS).default('whole'),
});

const ids = [FIRST_PAGE, ...[...BOARDS, ...REPORT_PARTS].map((s) => s.id)] as [string, ...string[]];
export const sectionsSchema = z
  .array(
    z.enum(ids, {
      error: (issue) => `there is no section “${String(issue.input).slice(0, 40)}” of a report`,
    }),
  )
  .min(1, 'a report has a section at least')
  .max(ids.length);
/** The staff's sections of a report, by side. */
export const templatesSchema = z.object({
  offense: sectionsSchema.optional(),
  defense: sectionsSchema.optional(),
  kicking: sectionsSchema.optional(),
  returning: sectionsSchema.optional(),
});

/** A view of Read under a name: its address, without the reel that is open. */
export const viewSchema = z.object({
  name: z.string().trim().min(1, 'a view needs a name').max(60, 'a name has up to 60 characters'),
  query: z
    .string()
    .max(1500, 'the address of a view has up to 1,500 characters')
    .regex(/^[\w%=&.:;,+~*'!()-]*$/, 'the address of a view is none'),
});
export type SavedView = z.infer<typeof viewSchema>;
export const viewsSchema = z
  .array(viewSchema)
  .max(60, 'a staff saves up to 60 views; remove one first')
  .refine((v) => new Set(v.map((x) => x.name)).size === v.length, 'two views have one name');

export const MOST_CLIPS = 500;
const clipsSchema = z
  .array(
    z.object({
      game: z.string().min(1).max(120),
      snap: z.string().min(1).max(120),
      note: z.string().max(400, 'a note has up to 400 characters'),
    }),
  )
  .max(MOST_CLIPS, `a reel holds up to ${MOST_CLIPS} snaps; take some out, or make two`)
  .refine(
    (clips) => new Set(clips.map((c) => `${c.game} ${c.snap}`)).size === clips.length,
    'a snap stands in a reel once',
  );
/** A reel as it is made, and as it is changed. */
export const reelSchema = z.object({
  name: z.string().trim().min(1, 'a reel needs a name').max(80, 'a name has up to 80 characters'),
  sentence: z.string().max(300),
  source: viewSchema.shape.query.nullable(),
  shared: z.boolean(),
  clips: clipsSchema.min(1, 'a reel needs a snap'),
});
export type ReelFields = z.infer<typeof reelSchema>;
export const changedReelSchema = reelSchema.omit({ source: true }).extend({
  id: z.uuid('there is no such reel'),
  version: z.int().min(1),
  clips: clipsSchema,
});
export const addedClipsSchema = z.object({ id: z.uuid('there is no such reel'), clips: clipsSchema.min(1) });

const line = z.string().trim().min(1, 'a line needs words').max(300, 'a line has up to 300 characters');
/** What a staff changes on the first page of its report of a team. */
export const reportWordsSchema = z.object({
  team: z.string().min(1).max(40),
  side: z.enum(BOARD_SIDES),
  version: z.int().min(0),
  edits: z.object({
    words: z.record(z.string().max(400), line).refine((w) => Object.keys(w).length <= 200, 'too many lines'),
    hidden: z.array(z.string().max(400)).max(200),
    own: z.array(line).max(10, 'a first page has up to ten lines of your own'),
  }),
});
