/** What enters about a program, its book and its plays: settings as a file, fields of rows, commands of the Book screen. */
import { z } from 'zod';
import { definitionSchema, spotSchema } from '../book/schema';
import { TERM_KINDS } from '../book/term';
import { LEVEL_KEYS } from '../field/profile';
import { LINK_KINDS } from '../plan/sheet';
import { fieldsWith, type SplitField } from '../snap/fields';

/** `program.json`: the settings of a program as they travel. */
export const programSchema = z.object({
  name: z.string().max(120),
  level: z.enum(LEVEL_KEYS),
  season: z.int().min(1900).max(2200),
  team: z.string().max(12),
  week: z.int().min(0).max(60).nullable(),
  opponent: z.string().max(12).nullable(),
  rules: z.unknown().optional(),
  charting: z.unknown().optional(),
  reports: z.unknown().optional(),
  sections: z.unknown().optional(),
  practice: z.unknown().optional(),
  prints: z.unknown().optional(),
  views: z.unknown().optional(),
  profile: z.unknown().optional(),
});
export type ProgramJson = z.infer<typeof programSchema>;

/** `trade.json`: whose games these are, and what of them stayed at home. */
export const tradeSchema = z.object({
  from: z.string().trim().min(1).max(120),
  leftOut: z.array(z.object({ what: z.string().max(120), n: z.int().min(0) })).max(200),
});

const word = z.string().max(60, 'a word has up to sixty characters');
const side = z.enum(['L', 'R']).nullable();

export const linksSchema = z
  .array(
    z.object({
      kind: z.enum(LINK_KINDS),
      play: z.string().min(1).max(120),
      least: z.int().min(1, 'a set-up is shown at least once').max(99),
      trigger: z
        .string()
        .regex(/^[^:;]*$/, 'a trigger holds neither : nor ;')
        .max(80)
        .nullable(),
    }),
  )
  .max(20);

/** What a word's fields may be changed to. */
export const TERM_FIELDS = {
  aliases: z.array(word.min(1)).max(40, 'a word has up to forty others'),
  notes: z.string().max(2000, 'a note has up to two thousand characters').nullable(),
  spots: z.array(spotSchema).max(11).nullable(),
  definition: definitionSchema.nullable(),
} as const;

export const newTerm = z.object({
  kind: z.enum(TERM_KINDS),
  word,
  aliases: TERM_FIELDS.aliases,
  notes: TERM_FIELDS.notes.default(null),
  spots: TERM_FIELDS.spots.default(null),
  definition: TERM_FIELDS.definition.default(null),
});

export const newPlay = z.object({
  name: z.string().trim().min(1, 'a play needs a name').max(80),
  kind: z.enum(['run', 'pass', 'rpo', 'other']),
  personnel: z
    .string()
    .regex(/^[0-5][0-5]$/, 'personnel is two digits, such as 11')
    .nullable(),
  formation: word.nullable(),
  formationSide: side,
  backfield: word.nullable(),
  motion: word.nullable(),
  motionBy: z
    .string()
    .regex(/^[A-Z]$/)
    .nullable(),
  concept: word.min(1, 'a play needs a concept'),
  conceptWeak: word.nullable(),
  direction: side,
  links: linksSchema.default([]),
});

/** Fields a split may ask for: typed with the snap, never carried. */
export const SPLIT_FIELDS = fieldsWith('split') as readonly SplitField[];
export const splitWhere = z
  .array(z.object({ field: z.enum(SPLIT_FIELDS), values: z.array(z.string().max(60)).max(60) }))
  .max(6);

/** Commands on the book: they change many rows at once, so they need the server. Words and plays themselves are rows above. */
export const bookChange = z.discriminatedUnion('op', [
  z.object({ op: z.literal('merge'), keep: z.string(), drop: z.string() }),
  z.object({
    op: z.literal('split'),
    from: z.string(),
    to: z.union([z.object({ key: z.string().min(1) }), z.object({ word: z.string().min(1).max(60) })]),
    where: splitWhere,
  }),
  z.object({ op: z.literal('undo'), id: z.uuid() }),
  z.object({
    op: z.literal('import'),
    text: z.string().max(4_000_000, 'the book is larger than four million characters; split it'),
  }),
  z.object({ op: z.literal('adopt') }),
]);
export type BookChangeRequest = z.infer<typeof bookChange>;
