/** `book.json`: the staff's vocabulary as it travels, checked at the border. */
import { bookSchema } from './schema';
import { phraseFault, type Book } from './term';

export type BookRead =
  { readonly ok: true; readonly book: Book } | { readonly ok: false; readonly remedy: string };

/** Reads a book. A fault is named with its place and what to do; nothing of a faulty book is taken. */
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
  const book = parsed.data as Book;
  const ids = new Set<string>();
  for (const [i, term] of book.terms.entries()) {
    if (ids.has(term.id))
      return { ok: false, remedy: `book.json, terms.${i}.id: ${term.id} stands twice; give one another id` };
    ids.add(term.id);
    if (term.definition && term.definition.kind !== term.kind)
      return {
        ok: false,
        remedy: `book.json, terms.${i}.definition: a ${term.definition.kind} cannot define the ${term.kind} “${term.word}”`,
      };
    for (const phrase of [term.word, ...term.aliases]) {
      const fault = phraseFault(book, term.kind, phrase, term.id);
      if (fault)
        return {
          ok: false,
          remedy: `book.json, terms.${i}: “${phrase}” ${fault.code === 'twice' ? `stands for ${fault.other} already` : 'is no word the snap line can take'}; change it in one place`,
        };
    }
  }
  return { ok: true, book };
}
