/** The page of keys, made from the command lists that the screens use: `npx tsx docs/make-keys.ts`. */
import { writeFileSync } from 'node:fs';
import path from 'node:path';
import { HELP } from '../core/line';
import { LOG_COMMANDS } from '../core/log';
import { chordWords } from '../ui/shared/keys';
import { SCREEN_COMMANDS } from '../ui/shared/screen-commands/all';
import { FRAME_COMMANDS } from '../ui/shared/screen-commands/frame';
import type { CommandSpec } from '../ui/shared/screen-commands/spec';

const table = (list: readonly CommandSpec[]): string[] => [
  '| key | does |',
  '|---|---|',
  ...list.map((c) => `| ${c.chords.map((k) => `<kbd>${chordWords(k)}</kbd>`).join(' ')} | ${c.label} |`),
];

export function keysPage(): string {
  const cell = (text: string): string => text.replace(/\|/g, '\\|');
  return `${[
    '# Keys',
    '',
    '## Everywhere',
    '',
    ...table(FRAME_COMMANDS),
    '',
    '## Log',
    '',
    '| key | does |',
    '|---|---|',
    '| <kbd>Enter</kbd> | saves the line; the next snap |',
    ...LOG_COMMANDS.map(
      (c) => `| ${c.keys.map((k) => `<kbd>${chordWords(k)}</kbd>`).join(' ')} | ${cell(c.label)} |`,
    ),
    '| <kbd>Alt D</kbd> | draws the word nobody knows as a formation |',
    '| <kbd>?</kbd> | in an empty line: this, and the language below |',
    '',
    ...Object.entries(SCREEN_COMMANDS).flatMap(([screen, list]) => [`## ${screen}`, '', ...table(list), '']),
    '## The snap line',
    '',
    '| written | means |',
    '|---|---|',
    ...HELP.map(([written, means]) => `| \`${cell(written)}\` | ${cell(means)} |`),
  ].join('\n')}\n`;
}

if (process.argv[1]?.endsWith('make-keys.ts'))
  writeFileSync(path.join(import.meta.dirname, 'keys.md'), keysPage());
