/** Random text against the two readers of people's typing: neither throws, and what they give is what a field can hold. */
import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { DEFAULT_BOOK } from '../core/book/default-book';
import { COLLEGE } from '../core/field';
import { decodeText, readDelimited, understand } from '../core/foreign';
import { foreignFaults, mutate } from '../core/foreign/foreign.fixture';
import { parseLine, stateAfter } from '../core/line';
import { readFieldText, writeFieldText, type SnapField } from '../core/snap';
import { readPackage } from '../core/table';
import { seededRandom } from '../demo/random';

const WORDS = [
  'punt',
  'kickoff',
  'fg',
  'pen',
  'o',
  'd',
  'holding',
  'ret',
  'tb',
  'int',
  'fum',
  'lost',
  'sack',
  'try',
  'good',
  '2pt',
  'trips',
  'r',
  'l',
  'power',
  'stick',
  'jet',
  'h',
  '..',
  '~',
  '/',
  '!',
  '>o20',
  '@t3',
  '1&10',
  '4&g',
  'q4',
  '8:41',
  '+99',
  '-99',
  '452',
  '-452',
  '99999',
  '#22',
  '#7>#81',
  'by#5',
  'box',
  'rush',
  'drop',
  '"note',
  '"n"',
  'gain=452',
  'down=7',
  'note="\u0000"',
  '\ud800',
  'ß',
  '=1+1',
  '?',
  '-',
];

/** Lines of words of the language and noise; gives how many values were checked. */
export function fuzzLine(
  n: number,
  seed: number,
): { readonly lines: number; readonly values: number; readonly problems: number } {
  const source = seededRandom(seed);
  const random = (): number => source.next();
  let values = 0;
  let problems = 0;
  for (let i = 0; i < n; i++) {
    const parts = Array.from({ length: 1 + Math.floor(random() * 8) }, () =>
      random() < 0.85
        ? WORDS[Math.floor(random() * WORDS.length)]!
        : String.fromCharCode(...Array.from({ length: 3 }, () => Math.floor(random() * 0x2ff))),
    );
    const context = { book: DEFAULT_BOOK, profile: COLLEGE, state: null, previous: null };
    const parsed = parseLine(parts.join(random() < 0.9 ? ' ' : ''), context);
    stateAfter(parsed, context);
    problems += parsed.problems.length;
    for (const [field, value] of Object.entries(parsed.fields)) {
      values++;
      if (value === null || value === undefined) continue;
      const read = readFieldText(field as SnapField, writeFieldText(field as SnapField, value));
      if (!read.ok)
        throw new Error(
          `“${parts.join(' ')}” gives ${field} ${JSON.stringify(value)}, which is not ${read.expected}`,
        );
    }
  }
  return { lines: n, values, problems };
}

/** Tables with spoiled headers, cells, quotes and line ends: never a throw, and rows only without faults. */
export function fuzzTable(n: number, seed: number): { readonly tables: number; readonly faults: number } {
  const source = seededRandom(seed);
  const random = (): number => source.next();
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
  const columns = [
    'snap_id',
    'game',
    'order',
    'offense',
    'defense',
    'down',
    'gain',
    'note',
    'penalties',
    'tags',
    'derived_x',
    'nonsense',
    '',
  ];
  const cells = [
    '',
    'a',
    '1',
    '-5',
    '99999999999',
    '"',
    '"a,b"',
    "'=1",
    '=1',
    '\u0000',
    'AAA',
    'BBB',
    'x:y',
    'o:holding:10:prev:accepted:',
    '\ud800',
    'x'.repeat(5000),
    '?',
    '-',
  ];
  const known = { teams: new Set<string>(), games: new Set<string>(), plays: new Set<string>() };
  let faults = 0;
  for (let i = 0; i < n; i++) {
    const width = 1 + Math.floor(random() * 8);
    const line = (list: readonly string[], of: number) =>
      Array.from({ length: of }, () => pick(list)).join(pick([',', ',', ',', ';', '\t']));
    const header =
      random() < 0.5 ? columns.slice(0, 5 + Math.floor(random() * 5)).join(',') : line(columns, width);
    const text = [
      header,
      ...Array.from({ length: Math.floor(random() * 6) }, () =>
        line(cells, random() < 0.8 ? width : width + 1),
      ),
    ].join(pick(['\n', '\r\n', '\r']));
    faults += readPackage(
      [{ name: pick(['snaps.csv', 'games.csv', 'plays.csv', 'tags.csv', 'any.csv']), text }],
      known,
    ).faults.length;
  }
  return { tables: n, faults };
}

export interface ForeignFuzz {
  readonly files: number;
  readonly read: number;
  readonly skipped: number;
  readonly refused: number;
  readonly faults: number;
  readonly first: readonly string[];
}

/** Awkward tables of other staffs made worse: every row is read, left out or refused, and what is read can be stored. */
export function fuzzForeign(files: number, seed: number): ForeignFuzz {
  const folder = path.join(import.meta.dirname, '../core/foreign/fixtures');
  const texts = readdirSync(folder)
    .filter((name) => /\.(csv|txt)$/.test(name))
    .map((name) => decodeText(readFileSync(path.join(folder, name))));
  const done = { files, read: 0, skipped: 0, refused: 0, faults: 0 };
  const first: string[] = [];
  for (let i = 0; i < files; i++) {
    const sheet = readDelimited(`file ${i}`, decodeText(mutate(texts[i % texts.length]!, seed + i)));
    const u = understand(sheet, { book: DEFAULT_BOOK, team: 'HER' });
    done.read += u.rows.length;
    done.skipped += u.skipped.length;
    done.refused += u.refused.length;
    const faults = foreignFaults(sheet, u);
    done.faults += faults.length;
    if (first.length < 5) first.push(...faults);
  }
  return { ...done, first };
}
