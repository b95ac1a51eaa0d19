import type { Metadata } from 'next';
import { revalidatePath } from 'next/cache';
import { z } from 'zod';
import { clock, requireActor } from '@/app/lib/session';
import { TERM_KINDS } from '@/core/book';
import { Invalid, NotFound, Refused } from '@/store/errors';
import { addTerm, loadBook, mergeTerms, removeTerm, setAliases, termUse } from '@/store/book';
import { addPlay, listPlays } from '@/store/plans';
import { BookScreen, type BookAnswer } from '@/ui/book/BookScreen';

export const metadata: Metadata = { title: 'Book' };
export const dynamic = 'force-dynamic';

const change = z.discriminatedUnion('op', [
  z.object({ op: z.literal('add'), kind: z.enum(TERM_KINDS), word: z.string().max(60), aliases: z.array(z.string().max(60)).max(40) }),
  z.object({ op: z.literal('aliases'), id: z.string(), aliases: z.array(z.string().max(60)).max(40) }),
  z.object({ op: z.literal('merge'), keep: z.string(), drop: z.string() }),
  z.object({ op: z.literal('remove'), id: z.string() }),
  z.object({ op: z.literal('play'), name: z.string().max(80), kind: z.enum(['run', 'pass', 'rpo', 'other']), personnel: z.string().regex(/^[0-5][0-5]$/).nullable(), formation: z.string().max(60).nullable(), formationSide: z.enum(['L', 'R']).nullable(), concept: z.string().max(60), direction: z.enum(['L', 'R']).nullable() }),
]);

async function act(raw: unknown): Promise<BookAnswer> {
  'use server';
  const actor = await requireActor();
  const read = change.safeParse(raw);
  if (!read.success) return { ok: false, words: read.error.issues[0]!.message };
  const c = read.data;
  try {
    let words = '';
    if (c.op === 'add') {
      await addTerm(actor, { kind: c.kind, word: c.word, aliases: c.aliases, notes: null });
      words = `“${c.word}” is in the book`;
    } else if (c.op === 'aliases') {
      await setAliases(actor, c.id, c.aliases);
      words = 'aliases changed';
    } else if (c.op === 'merge') {
      const done = await mergeTerms(actor, c.keep, c.drop, clock());
      words = `merged; ${done.snaps} ${done.snaps === 1 ? 'snap' : 'snaps'} and ${done.plays} ${done.plays === 1 ? 'play' : 'plays'} now say the kept word`;
    } else if (c.op === 'remove') {
      await removeTerm(actor, c.id);
      words = 'removed';
    } else {
      await addPlay(actor, { name: c.name, kind: c.kind, personnel: c.personnel, formation: c.formation, formationSide: c.formationSide, motion: null, motionBy: null, concept: c.concept, conceptWeak: null, direction: c.direction });
      words = `“${c.name}” is on the play list`;
    }
    revalidatePath('/book');
    return { ok: true, words };
  } catch (error) {
    if (error instanceof Invalid || error instanceof NotFound || error instanceof Refused) return { ok: false, words: error.message };
    throw error;
  }
}

export default async function Book() {
  const actor = await requireActor();
  const [book, use, plays] = await Promise.all([loadBook(actor), termUse(actor), listPlays(actor)]);
  const may = (...roles: string[]) => actor.roles.some((r) => roles.includes(r));
  return <BookScreen book={book} use={Object.fromEntries(use)} plays={plays} act={act} mayMerge={may('coordinator')} mayAdd={may('coordinator', 'coach', 'charter')} mayPlay={may('coordinator', 'coach')} />;
}
