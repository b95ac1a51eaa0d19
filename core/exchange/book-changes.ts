/** What the Book screen may ask for, checked where it enters. */
import { z } from 'zod';
import { spotSchema } from '../book/book-json';
import { TERM_KINDS } from '../book/term';
import { LINK_KINDS } from '../plan/sheet';

const word = z.string().max(60);
const side = z.enum(['L', 'R']).nullable();
const spots = z.array(spotSchema).max(11).nullable().optional();
const definition = z.string().max(2000).nullable().optional();
/** Fields a split may ask for: typed with the snap, never carried. */
export const SPLIT_FIELDS = ['personnel', 'formation', 'formationSide', 'backfield', 'motion', 'motionBy', 'front', 'coverage', 'play', 'concept', 'offense'] as const;
export const splitWhere = z.array(z.object({ field: z.enum(SPLIT_FIELDS), values: z.array(z.string().max(60)).max(60) })).max(6);

export const bookChange = z.discriminatedUnion('op', [
  z.object({ op: z.literal('add'), kind: z.enum(TERM_KINDS), word, aliases: z.array(word).max(40), notes: z.string().max(2000).nullable().optional(), spots, definition }),
  z.object({ op: z.literal('change'), id: z.string(), kind: z.enum(TERM_KINDS), aliases: z.array(word).max(40).optional(), notes: z.string().max(2000).nullable().optional(), spots, definition }),
  z.object({ op: z.literal('merge'), keep: z.string(), drop: z.string() }),
  z.object({ op: z.literal('split'), from: z.string(), to: z.union([z.object({ key: z.string().min(1) }), z.object({ word: word.min(1) })]), where: splitWhere }),
  z.object({ op: z.literal('undo'), id: z.uuid() }),
  z.object({ op: z.literal('remove'), id: z.string() }),
  z.object({ op: z.literal('import'), text: z.string().max(4_000_000, 'the book is larger than four million characters; split it') }),
  z.object({ op: z.literal('adopt') }),
  z.object({
    op: z.literal('play'), name: z.string().max(80), kind: z.enum(['run', 'pass', 'rpo', 'other']), personnel: z.string().regex(/^[0-5][0-5]$/, 'people are two digits, such as 11').nullable(), formation: word.nullable(), formationSide: side, backfield: word.nullable(), motion: word.nullable(), motionBy: z.string().regex(/^[A-Z]$/).nullable(),
    concept: word, conceptWeak: word.nullable(), direction: side,
  }),
  z.object({ op: z.literal('links'), play: z.string(), links: z.array(z.object({ kind: z.enum(LINK_KINDS), play: z.string(), least: z.int().min(1, 'a set-up is shown at least once').max(99), trigger: z.string().regex(/^[^:;]*$/, 'a trigger holds neither : nor ;').max(80).nullable() })).max(20) }),
]);
export type BookChangeRequest = z.infer<typeof bookChange>;
