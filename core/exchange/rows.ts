/** The fields of words and plays as rows, checked where they enter the store. */
import { z } from 'zod';
import { definitionSchema, spotSchema } from '../book/book-json';
import { TERM_KINDS } from '../book/term';
import { LINK_KINDS } from '../plan/sheet';

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
    .regex(/^[0-5][0-5]$/, 'people are two digits, such as 11')
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
