/** look: what a line's words mean on the field, as JSON. */
import { lookJson } from '../core/book';
import type { Hash } from '../core/field/spot';
import { parseLine, problemSentence, stateAfter } from '../core/line';
import { bookOption, levelOption, print, readOptions } from './options';
import { Plain } from './paths';

export async function look(args: string[]): Promise<number> {
  const { values, rest } = readOptions(args, ['book', 'hash', 'level']);
  const profile = levelOption(values.level);
  const book = bookOption(values.book);
  if (rest.length !== 1)
    throw new Plain('give one line in quotes: ./vobrik look "11 trips r gun 4-2 over cover 3 strong"');
  if (values.hash !== undefined && !['L', 'M', 'R'].includes(values.hash))
    throw new Plain('--hash is L, M or R, as the offense sees it');
  const context = { book, profile, state: null, previous: null };
  const parsed = parseLine(rest[0]!, context);
  const bad = parsed.problems[0];
  if (bad) throw new Plain(`characters ${bad.start + 1}–${bad.end}: ${problemSentence(bad)}`);
  const { before } = stateAfter(parsed, context);
  const hash = (values.hash as Hash | undefined) ?? parsed.fields.hash ?? before.hash ?? null;
  const found = lookJson(book, { ...parsed.fields, hash }, profile);
  if (!found) throw new Plain('the line names no formation that the book draws');
  print(found);
  return 0;
}
