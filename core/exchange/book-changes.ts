/** What the Book screen may ask for, checked where it enters. */
import { z } from 'zod';

/** Fields a split may ask for: typed with the snap, never carried. */
export const SPLIT_FIELDS = [
  'personnel',
  'formation',
  'formationSide',
  'backfield',
  'motion',
  'motionBy',
  'front',
  'coverage',
  'play',
  'concept',
  'offense',
] as const;
export const splitWhere = z
  .array(z.object({ field: z.enum(SPLIT_FIELDS), values: z.array(z.string().max(60)).max(60) }))
  .max(6);

/** Commands on the book: they change many rows at once, so they need the server. Words and plays themselves are rows (rows.ts). */
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
