'use server';
/** Commands on the book. Words and plays are rows and travel as operations (app/api/sync). */
import { revalidatePath } from 'next/cache';
import { z } from 'zod';
import { action } from '@/app/lib/action';
import { clock } from '@/app/lib/session';
import { bookChange, splitWhere } from '@/core/exchange/schema';
import { adoptGeneralTerms, importBook } from '@/store/book-import';
import { mergeTerms, undoChange } from '@/store/book-changes';
import { previewSplit, splitTerm } from '@/store/book-split';

const some = (n: number, one: string, many = `${one}s`): string => `${n} ${n === 1 ? one : many}`;

/** Every command says in words what it did. The store asks for the permission of each. */
export const act = action('book.read', bookChange, async (actor, change): Promise<string> => {
  let words: string;
  switch (change.op) {
    case 'merge': {
      const done = await mergeTerms(actor, change.keep, change.drop, clock());
      words = `merged; ${some(done.snaps, 'snap')} and ${some(done.plays, 'play')} now say the other term`;
      break;
    }
    case 'split': {
      const done = await splitTerm(actor, { from: change.from, to: change.to, where: change.where }, clock());
      words = `split; ${some(done.snaps, 'snap')} now ${done.snaps === 1 ? 'says' : 'say'} the other word`;
      break;
    }
    case 'undo': {
      const done = await undoChange(actor, change.id, clock());
      words = `undone; ${some(done.snaps, 'snap')} ${done.snaps === 1 ? 'says' : 'say'} again what ${done.snaps === 1 ? 'it' : 'they'} said${done.left > 0 ? `, ${done.left} changed since and stay` : ''}`;
      break;
    }
    case 'import': {
      const done = await importBook(actor, change.text, clock());
      words = `${some(done.added, 'word')} added, ${done.changed} changed; words the file does not hold stay`;
      break;
    }
    case 'adopt':
      words = `${some(await adoptGeneralTerms(actor), 'general term')} added`;
      break;
  }
  revalidatePath('/book');
  return words;
});

export const preview = action(
  'book.read',
  z.object({ from: z.string().max(120), where: splitWhere }),
  async (actor, { from, where }) => previewSplit(actor, from, where),
);
