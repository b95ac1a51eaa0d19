'use server';
/** What the Book screens may do. Every refusal is an answer, never a crash. */
import { revalidatePath } from 'next/cache';
import { clock, requireActor } from '@/app/lib/session';
import { readDefinition, DEFINED_KINDS, type Definition, type DefinedKind } from '@/core/book';
import { bookChange, splitWhere } from '@/core/exchange/book-changes';
import type { BookAnswer, SplitPreview } from '@/core/exchange/types';
import { addTerm, adoptGeneralTerms, changeTerm, importBook, mergeTerms, previewSplit, removeTerm, splitTerm, undoChange } from '@/store/book';
import { Invalid, NotFound, Refused } from '@/store/errors';
import { addPlay, setLinks } from '@/store/plans';

const some = (n: number, one: string, many = `${one}s`): string => `${n} ${n === 1 ? one : many}`;

function definitionOf(kind: string, text: string | null | undefined): Definition | null | undefined {
  if (text === undefined || !(DEFINED_KINDS as readonly string[]).includes(kind)) return undefined;
  if (text === null || text.trim() === '') return null;
  const read = readDefinition(kind as DefinedKind, text);
  if (!read.ok) throw new Invalid(read.remedy);
  return read.definition;
}

export async function act(raw: unknown): Promise<BookAnswer> {
  const actor = await requireActor();
  const read = bookChange.safeParse(raw);
  if (!read.success) return { ok: false, words: read.error.issues[0]!.message, id: null };
  const c = read.data;
  try {
    let words = '';
    let id: string | null = null;
    switch (c.op) {
      case 'add': {
        id = await addTerm(actor, { kind: c.kind, word: c.word, aliases: c.aliases, notes: c.notes ?? null, spots: c.spots ?? null, definition: definitionOf(c.kind, c.definition) ?? null });
        words = `“${c.word}” is in the book`;
        break;
      }
      case 'change': {
        const definition = definitionOf(c.kind, c.definition);
        await changeTerm(actor, c.id, { ...(c.aliases ? { aliases: c.aliases } : {}), ...(c.spots ? { spots: c.spots } : {}), ...(c.notes !== undefined ? { notes: c.notes } : {}), ...(definition !== undefined ? { definition } : {}) });
        id = c.id;
        words = c.aliases && !c.spots && definition === undefined ? 'aliases and notes changed' : 'changed; what follows from it is computed anew';
        break;
      }
      case 'merge': {
        const done = await mergeTerms(actor, c.keep, c.drop, clock());
        words = `merged; ${some(done.snaps, 'snap')} and ${some(done.plays, 'play')} now say the kept word`;
        id = c.keep;
        break;
      }
      case 'split': {
        const done = await splitTerm(actor, { from: c.from, to: c.to, where: c.where }, clock());
        words = `split; ${some(done.snaps, 'snap')} now ${done.snaps === 1 ? 'says' : 'say'} the other word`;
        break;
      }
      case 'undo': {
        const done = await undoChange(actor, c.id, clock());
        words = `taken back; ${some(done.snaps, 'snap')} ${done.snaps === 1 ? 'says' : 'say'} again what ${done.snaps === 1 ? 'it' : 'they'} said${done.left > 0 ? `, ${done.left} changed since and stay` : ''}`;
        break;
      }
      case 'remove':
        await removeTerm(actor, c.id);
        words = 'removed';
        break;
      case 'import': {
        const done = await importBook(actor, c.text);
        words = `${some(done.added, 'word')} added, ${done.changed} changed; words the file does not hold stay`;
        break;
      }
      case 'adopt':
        words = `${some(await adoptGeneralTerms(actor), 'general term')} added`;
        break;
      case 'play':
        id = await addPlay(actor, { name: c.name, kind: c.kind, personnel: c.personnel, formation: c.formation, formationSide: c.formationSide, backfield: c.backfield, motion: c.motion, motionBy: c.motionBy, concept: c.concept, conceptWeak: c.conceptWeak, direction: c.direction, links: [] });
        words = `“${c.name}” is on the play list`;
        break;
      case 'links':
        await setLinks(actor, c.play, c.links);
        id = c.play;
        words = 'links kept';
        break;
    }
    revalidatePath('/book');
    return { ok: true, words, id };
  } catch (error) {
    if (error instanceof Invalid || error instanceof NotFound || error instanceof Refused) return { ok: false, words: error.message, id: null };
    throw error;
  }
}

export async function preview(from: string, where: unknown): Promise<SplitPreview | string> {
  const actor = await requireActor();
  const read = splitWhere.safeParse(where);
  if (!read.success) return read.error.issues[0]!.message;
  try {
    return await previewSplit(actor, String(from), read.data);
  } catch (error) {
    if (error instanceof Invalid || error instanceof NotFound || error instanceof Refused) return error.message;
    throw error;
  }
}
