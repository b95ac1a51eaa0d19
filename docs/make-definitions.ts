/**
 * Writes docs/definitions.md and its drawings from the code itself, so that the page cannot say what
 * the software does not do: npx tsx docs/make-definitions.ts. A test compares.
 */
import { mkdirSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import {
  drawSnap,
  drawTerm,
  findTerm,
  formatDefinition,
  isDrawn,
  lookOf,
  TERM_KIND_LABEL,
  TERM_KINDS,
  type SnapDrawing,
} from '../core/book';
import { DEFAULT_BOOK } from '../core/book/default-book';
import { COLLEGE, fieldSides } from '../core/field';
import {
  DEFAULT_LOOK_SETTINGS,
  drawingSvg,
  lookSentences,
  TECHNIQUES,
  techniqueAt,
  techniqueName,
  TIGHT_END_SCHOOLS,
} from '../core/look';
import { DEFINITIONS, type Definition } from './definition-list';

const OWN_CANVAS = (definition: Definition): SnapDrawing => {
  for (const kind of ['motion', 'coverage', 'pressure'] as const) {
    const term = findTerm(DEFAULT_BOOK, kind, (definition.fields[kind] as string | undefined) ?? null);
    if (term && definition.fields.formation === undefined) return drawTerm(DEFAULT_BOOK, term, 'R', COLLEGE);
  }
  return drawSnap(DEFAULT_BOOK, definition.fields, definition.hash ?? null, COLLEGE, {
    jobs: definition.jobs ?? false,
    crop: true,
  });
};

/** Every file of the page by its path below docs/. */
export function definitionFiles(): Map<string, string> {
  const out = new Map<string, string>();
  const lines = [
    '# Definitions, as the software uses them',
    '',
    'Written by `npx tsx docs/make-definitions.ts` from the code; a test keeps it true. Left and right are the offense’s. Marked “common practice” in the tests where no source is published; every number that a staff may change is a setting.',
    '',
    '## Technique numbers',
    '',
    `| place, yards from the ball | ${TIGHT_END_SCHOOLS.map((s) => `school ${s}`).join(' | ')} |`,
    `|---|${TIGHT_END_SCHOOLS.map(() => '---').join('|')}|`,
    ...TECHNIQUES.map(
      (technique) =>
        `| ${{ C: 'center', G: 'guard', T: 'tackle', Y: 'tight end' }[technique.anchor]}, ${{ in: 'inside', head: 'head-up', out: 'outside', wide: 'wide' }[technique.shade]}, ${techniqueAt(technique)} | ${TIGHT_END_SCHOOLS.map((s) => techniqueName(technique, s)).join(' | ')} |`,
    ),
    '',
  ];
  for (const definition of DEFINITIONS) {
    const drawn = OWN_CANVAS(definition);
    out.set(`definitions/${definition.id}.svg`, drawingSvg(drawn.drawing, definition.title, undefined, 12));
    const look =
      definition.fields.formation === undefined
        ? null
        : lookOf(DEFAULT_BOOK, { ...definition.fields, hash: definition.hash ?? null }, COLLEGE);
    const said = look
      ? lookSentences(look, DEFAULT_LOOK_SETTINGS, fieldSides(COLLEGE, definition.hash ?? null)).map(
          (s) => s.text,
        )
      : [];
    lines.push(
      `## ${definition.title}`,
      '',
      definition.text,
      '',
      `![${definition.title}](definitions/${definition.id}.svg)`,
      '',
      ...(said.length > 0 ? [`The software says: ${said.join(' ')}`, ''] : []),
    );
  }
  lines.push(
    '## The default book',
    '',
    'General terms of the trade; every word can be renamed, given an alias, merged or split. Mirrors, aliases and equal structures do not count: a test compares structure signatures.',
    '',
    '| kind | terms | of them with a structure and a drawing |',
    '|---|---|---|',
  );
  for (const kind of TERM_KINDS) {
    const terms = DEFAULT_BOOK.terms.filter((t) => t.kind === kind);
    lines.push(`| ${TERM_KIND_LABEL[kind]} | ${terms.length} | ${terms.filter(isDrawn).length} |`);
  }
  lines.push('', '### How a meaning is typed', '', '| kind | for instance | means |', '|---|---|---|');
  for (const kind of ['motion', 'front', 'coverage', 'pressure', 'protection', 'run', 'pass'] as const) {
    const term = DEFAULT_BOOK.terms.find(
      (x) => x.kind === kind && x.definition && (kind !== 'run' || x.word === 'power'),
    )!;
    lines.push(
      `| ${kind} | ${term.word} | \`${formatDefinition(term.definition!).replace(/\|/g, '\\|')}\` |`,
    );
  }
  out.set('definitions.md', `${lines.join('\n')}\n`);
  return out;
}

if (process.argv[1]?.endsWith('make-definitions.ts')) {
  const docs = import.meta.dirname;
  const files = definitionFiles();
  mkdirSync(path.join(docs, 'definitions'), { recursive: true });
  for (const old of readdirSync(path.join(docs, 'definitions')))
    if (!files.has(`definitions/${old}`)) rmSync(path.join(docs, 'definitions', old));
  for (const [file, text] of files) writeFileSync(path.join(docs, file), text);
}
