/** Lint: TypeScript's strict rules, React's hooks, Next, and the one-way layers of the house. */
import next from '@next/eslint-plugin-next';
import hooks from 'eslint-plugin-react-hooks';
import { importX } from 'eslint-plugin-import-x';
import { createTypeScriptImportResolver } from 'eslint-import-resolver-typescript';
import tseslint from 'typescript-eslint';
import layers from './lint/layers.mjs';
import words from './lint/words.mjs';

/** Every package but these: imports that begin with neither a dot nor one of the names. */
const packagesBut = (...names) => ({
  regex: `^(?!\\.)${names.map((n) => `(?!${n}$)`).join('')}`,
  message: 'core imports no package but those listed in eslint.config.mjs.',
});

export default tseslint.config(
  {
    ignores: [
      '.next/**',
      'public/sw.js',
      '.vobrik/**',
      'node_modules/**',
      'next-env.d.ts',
      'test-results/**',
    ],
  },
  ...tseslint.configs.recommended,
  {
    files: ['**/*.{ts,tsx,mts,mjs}'],
    plugins: {
      'react-hooks': hooks,
      '@next/next': next,
      house: { rules: { layers, words } },
      'import-x': importX,
    },
    settings: {
      ...importX.flatConfigs.typescript.settings,
      'import-x/resolver-next': [createTypeScriptImportResolver({ project: 'tsconfig.json' })],
    },
    rules: {
      ...next.configs.recommended.rules,
      'react-hooks/rules-of-hooks': 'error',
      'react-hooks/exhaustive-deps': 'warn',
      '@next/next/no-html-link-for-pages': 'off',
      'house/layers': 'error',
      'house/words': 'error',
      'import-x/no-cycle': ['error', { ignoreExternal: true }],
      '@typescript-eslint/consistent-type-imports': [
        'error',
        { fixStyle: 'inline-type-imports', prefer: 'type-imports', disallowTypeAnnotations: false },
      ],
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/no-empty-object-type': ['error', { allowInterfaces: 'with-single-extends' }],
      eqeqeq: ['error', 'always', { null: 'ignore' }],
      'no-console': ['error', { allow: ['error'] }],
      'max-lines': ['error', { max: 300, skipBlankLines: true, skipComments: true }],
    },
  },
  // Tests and their data are read case by case; the outbox is one state with one lock.
  {
    files: ['**/*.{test,spec,fixture}.{ts,tsx}', 'client/outbox.ts'],
    rules: { 'max-lines': 'off' },
  },
  {
    files: ['core/**'],
    rules: {
      'no-restricted-globals': [
        'error',
        ...['window', 'document', 'process', 'localStorage', 'fetch'].map((name) => ({
          name,
          message: 'core knows neither browser nor Node.',
        })),
      ],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: 'Pass a random source in.' },
        { object: 'Date', property: 'now', message: 'Pass the time in.' },
      ],
      'no-restricted-imports': ['error', { patterns: [packagesBut()] }],
    },
  },
  // The packages core knows: a schema language at its borders, CSV and zip where tables travel, groups and draws in a plan.
  {
    files: ['core/**/schema.ts'],
    rules: { 'no-restricted-imports': ['error', { patterns: [packagesBut('zod')] }] },
  },
  {
    files: ['core/table/**'],
    rules: { 'no-restricted-imports': ['error', { patterns: [packagesBut('papaparse', 'fflate')] }] },
  },
  {
    files: ['core/foreign/**'],
    rules: { 'no-restricted-imports': ['error', { patterns: [packagesBut('papaparse', 'exceljs')] }] },
  },
  {
    files: ['core/plan/**/*.ts'],
    ignores: ['**/*.test.ts', '**/schema.ts'],
    rules: { 'no-restricted-imports': ['error', { patterns: [packagesBut('d3-array', 'jstat')] }] },
  },
  {
    files: ['core/**/*.{test,fixture}.ts'],
    rules: { 'no-restricted-globals': 'off', 'no-restricted-imports': 'off' },
  },
  // Landed migrations and the list itself name what once was.
  {
    files: ['store/migrations/**', 'lint/words.mjs', 'docs/layers.test.ts'],
    rules: { 'house/words': 'off' },
  },
);
