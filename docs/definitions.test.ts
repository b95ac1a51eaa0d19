import { readFileSync, readdirSync } from 'node:fs';
import path from 'node:path';
import { expect, it } from 'vitest';
import { DEFINITIONS, definitionFiles } from './make-definitions';
import { keysPage } from './make-keys';

it('the page of definitions and its drawings say what the code does now', () => {
  const files = definitionFiles();
  for (const [file, text] of files)
    expect(
      readFileSync(path.join(import.meta.dirname, file), 'utf8'),
      `${file} is old; run npx tsx docs/make-definitions.ts`,
    ).toBe(text);
  expect(readdirSync(path.join(import.meta.dirname, 'definitions')).length).toBe(DEFINITIONS.length);
  expect(DEFINITIONS.length).toBeGreaterThan(35);
});

it('the page of keys says what the screens listen to', () => {
  expect(
    readFileSync(path.join(import.meta.dirname, 'keys.md'), 'utf8'),
    'keys.md is old; run npx tsx docs/make-keys.ts',
  ).toBe(keysPage());
});
