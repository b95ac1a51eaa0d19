import { DOUBTS, type Doubts } from '../core/read/doubts';
import { readFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import { DEFAULT_BOOK } from '../core/book/default-book';
import { readBook } from '../core/book/book-json';
import type { Book } from '../core/book/term';
import { LEVEL_KEYS, LEVEL_PROFILES, type LevelKey, type LevelProfile } from '../core/field/profile';
import { Plain } from './paths';

/** Options and the rest; an unknown option is a plain error that names it. */
export function readOptions<K extends string>(
  args: readonly string[],
  names: readonly K[],
  flags: readonly string[] = [],
): { values: Partial<Record<K, string>>; flags: ReadonlySet<string>; rest: string[] } {
  try {
    const parsed = parseArgs({
      args: [...args],
      allowPositionals: true,
      options: Object.fromEntries([
        ...names.map((n) => [n, { type: 'string' as const }]),
        ...flags.map((f) => [f, { type: 'boolean' as const }]),
      ]),
    });
    const values = parsed.values as Record<string, string | boolean>;
    return {
      values: Object.fromEntries(
        names.filter((n) => values[n] !== undefined).map((n) => [n, values[n]]),
      ) as Partial<Record<K, string>>,
      flags: new Set(flags.filter((f) => values[f] === true)),
      rest: parsed.positionals,
    };
  } catch (error) {
    throw new Plain(`${(error as Error).message.split('. ')[0]}; ./vobrik --help lists the options`);
  }
}

/** What tags in doubt count; whole where nothing is said. */
export function doubtsOption(value = 'whole'): Doubts {
  const found = DOUBTS.find((d) => d === value);
  if (!found) throw new Plain(`--doubts ${value} is none of ${DOUBTS.join(', ')}`);
  return found;
}

export function levelOption(value: string | undefined): LevelProfile {
  const level = value ?? 'college';
  if (!(LEVEL_KEYS as readonly string[]).includes(level))
    throw new Plain(`--level ${level} is none of ${LEVEL_KEYS.join(', ')}`);
  return LEVEL_PROFILES[level as LevelKey];
}

export function readFileOrSay(file: string | undefined, what: string): Buffer {
  if (!file) throw new Plain(`name ${what}; ./vobrik --help shows how`);
  try {
    return readFileSync(file);
  } catch (error) {
    throw new Plain(
      `${file}: ${(error as { code?: string }).code === 'ENOENT' ? 'there is no such file' : (error as Error).message}`,
    );
  }
}

/** The book of a file, or the default one. */
export function bookOption(file: string | undefined): Book {
  if (file === undefined) return DEFAULT_BOOK;
  const read = readBook(readFileOrSay(file, 'a book').toString('utf8'));
  if (!read.ok) throw new Plain(`${file}: ${read.remedy}`);
  return read.book;
}

export const print = (value: unknown): void =>
  void process.stdout.write(`${JSON.stringify(value, null, 2)}\n`);
