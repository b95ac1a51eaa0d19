/** Counting rules as a staff typed them or as they were stored. */
import { z } from 'zod';
import { BOARDS } from './board-specs';
import { DOUBTS } from './doubts';
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

const ids = BOARDS.map((b) => b.id) as [string, ...string[]];
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
