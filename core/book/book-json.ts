import { z } from 'zod';
import { TERM_KINDS, type Book } from './term';

const spot = z.object({ letter: z.string().min(1).max(3), x: z.number().min(-30).max(30), depth: z.number().min(0).max(20), onLine: z.boolean() });

/** `book.json`: the staff's vocabulary as it travels. */
export const bookSchema = z.object({
  name: z.string().min(1).max(120),
  letters: z.array(z.string().regex(/^[A-Z]$/)).max(26),
  terms: z.array(z.object({
    id: z.string().min(1).max(120),
    kind: z.enum(TERM_KINDS),
    word: z.string().min(1).max(60),
    aliases: z.array(z.string().min(1).max(60)).max(40),
    value: z.string().max(60).optional(),
    spots: z.array(spot).max(11).optional(),
    notes: z.string().max(2000).optional(),
  })).max(5000),
});

export type BookRead = { readonly ok: true; readonly book: Book } | { readonly ok: false; readonly remedy: string };

export function readBook(text: string): BookRead {
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch {
    return { ok: false, remedy: 'book.json is not JSON; export it again' };
  }
  const parsed = bookSchema.safeParse(json);
  if (!parsed.success) {
    const issue = parsed.error.issues[0]!;
    return { ok: false, remedy: `book.json, ${issue.path.join('.') || 'top'}: ${issue.message}` };
  }
  return { ok: true, book: parsed.data as Book };
}

export const writeBook = (book: Book): string => `${JSON.stringify(book, null, 2)}\n`;
