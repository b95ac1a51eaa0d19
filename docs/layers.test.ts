/** Fitness: the lint rule bites, and the lock file and the fonts keep their promises. */
import { ESLint } from 'eslint';
import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { expect, it } from 'vitest';
import { wrongWords } from '../lint/words.mjs';

const root = path.resolve(import.meta.dirname, '..');
const lint = async (file: string, code: string): Promise<string[]> => {
  const eslint = new ESLint({ cwd: root });
  const [result] = await eslint.lintText(code, { filePath: path.join(root, file) });
  return result!.messages
    .filter((m) => m.ruleId === 'house/layers' || m.ruleId?.startsWith('no-restricted'))
    .map((m) => m.message);
};

it.each([
  [
    'core/rules/x.ts',
    "import { Chalk } from '../../ui/chalk/Chalk';\nvoid Chalk;\n",
    /core\/ may not import from ui/,
  ],
  ['core/rules/x.ts', "export * from '../look/formation';\n", /core\/rules may not import from core\/look/],
  [
    'core/field/x.ts',
    "import type { Snap } from '../snap/snap';\nexport type X = Snap;\n",
    /core\/field may not import from core\/snap/,
  ],
  ['ui/x.tsx', "import { openEm } from '@/store/orm';\nvoid openEm;\n", /ui\/ may not import from store/],
  ['store/x.ts', "const y = await import('../app/layout');\nvoid y;\n", /store\/ may not import from app/],
  ['core/read/x.ts', 'export const now = Date.now();\n', /Pass the time in/],
  ['core/read/x.ts', "import { z } from 'zod';\nvoid z;\n", /imports no package/],
  ['core/read/schema.ts', "import Papa from 'papaparse';\nvoid Papa;\n", /imports no package/],
  ['core/look/x.ts', "import fs from 'node:fs';\nvoid fs;\n", /imports no package/],
])('the rule bites in %s', async (file, code, message) => {
  expect((await lint(file, code)).join(' ')).toMatch(message);
});

it('leaves the way down free', async () => {
  expect(await lint('core/plan/x.ts', "export * from '../read/rates';\n")).toEqual([]);
  expect(await lint('core/read/schema.ts', "import { z } from 'zod';\nvoid z;\n")).toEqual([]);
  expect(await lint('app/x.ts', "import { openEm } from '@/store/orm';\nvoid openEm;\n")).toEqual([]);
});

it('words that confuse a coach are errors, in code and in docs', async () => {
  const said = async (code: string): Promise<string[]> => {
    const [result] = await new ESLint({ cwd: root }).lintText(code, {
      filePath: path.join(root, 'ui/x.tsx'),
    });
    return result!.messages.filter((m) => m.ruleId === 'house/words').map((m) => m.message);
  };
  expect(await said('export const a = <p>Rules of\n counting</p>;\n')).toEqual([
    'Not “rules of counting”, but “counting rules”.',
  ]);
  expect(await said("export const a = 'Put away';\n")).toHaveLength(1);
  // Ordinary English stays.
  expect(await said("export const a = 'opened items, keepers of the ball, people';\n")).toEqual([]);
  const docs = [
    'README.md',
    ...readdirSync(path.join(root, 'docs'))
      .filter((f) => f.endsWith('.md'))
      .map((f) => `docs/${f}`),
  ];
  expect(docs.length).toBeGreaterThan(4);
  for (const file of docs) {
    if (file === 'docs/glossary.md') continue;
    expect(wrongWords(readFileSync(path.join(root, file), 'utf8')), file).toEqual([]);
  }
});

it('the lock file holds no registry address', () => {
  expect(readFileSync(path.join(root, 'package-lock.json'), 'utf8')).not.toMatch(/"resolved":\s*"https?:/);
});

it('every module of the store is for the server only, so that none is ever sent to a browser', () => {
  const store = path.join(root, 'store');
  const modules = readdirSync(store, { recursive: true, encoding: 'utf8' }).filter(
    (f) => /\.ts$/.test(f) && !/test|empty|migrations/.test(f),
  );
  expect(modules.length).toBeGreaterThan(25);
  const open = modules.filter(
    (f) => !readFileSync(path.join(store, f), 'utf8').includes("import 'server-only';"),
  );
  expect(open).toEqual([]);
});
