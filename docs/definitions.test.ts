import { readFileSync, readdirSync } from 'node:fs';
import path from 'node:path';
import { expect, it } from 'vitest';
import { findTerm, lookOf } from '../core/book';
import { DEFAULT_BOOK } from '../core/book/default-book';
import { COLLEGE } from '../core/field';
import * as look from '../core/look';
import type { SnapFields } from '../core/snap';
import { DEFINITIONS } from './definition-list';
import { definitionFiles } from './make-definitions';
import { keysPage } from './make-keys';
import { tablePage } from './make-table';

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

const seen = (formation: string, more: SnapFields = {}) =>
  lookOf(
    DEFAULT_BOOK,
    { formation, formationSide: 'R', backfield: 'gun', ...more },
    COLLEGE,
    look.DEFAULT_LOOK_SETTINGS,
  )!;
const set = (formation: string) => seen(formation).offense.set;
/** Men in the box against a formation, and who of them are left over. */
const boxOf = (more: SnapFields) => seen('trey', { coverage: 'cover 3', ...more }).defense!.front!;
/** Rushers and deep men of a pressure with a coverage. */
const rushOf = (pressure: string, coverage: string) => {
  const { defense } = seen('trips', { front: '4-2 over', coverage, pressure });
  return { count: defense!.rush.count, kind: defense!.rush.kind, dropped: 11 - defense!.rush.count };
};
const namesOf = (formation: string): readonly string[] => {
  const { left, right } = set(formation);
  return [...left.names, ...right.names];
};
/** The least count of receivers on a side that earns a name. */
const countNamed = (formation: string, name: string): number => {
  const { left, right } = set(formation);
  return [left, right].find((side) => side.names.includes(name as never))?.count ?? NaN;
};

/** Every number that stands in a text, measured in the code; in the order of the text. */
const MEASURED: Readonly<Record<string, () => readonly number[]>> = {
  surface: () => {
    const { left, right } = set('doubles');
    const wing = set('wing pro');
    return [
      look.ATTACHED,
      look.ATTACHED_DEPTH,
      Math.min(left.surface, right.surface),
      Math.max(left.surface, right.surface),
      Math.max(wing.left.surface, wing.right.surface),
      left.gaps + right.gaps,
    ];
  },
  bunch: () => [countNamed('bunch', 'bunch'), look.BUNCH, look.CONDENSED],
  stack: () => [countNamed('stack', 'stack'), look.STACK],
  condensed: () => [look.CONDENSED],
  trey: () => [countNamed('trips', 'trips'), countNamed('quads', 'quads')],
  empty: () => [look.BACK_DEEPER, look.BACK_WITHIN],
  back: () => [look.BEHIND_BALL, look.CHEATED],
  box: () => {
    const { lateral, depth } = look.DEFAULT_BOX;
    // One tight end and one back: five linemen and he. Two of each: a wing or second end and a lead back besides.
    const [one, two] = [6, 8];
    const even = [5, 6, 7, 8, 9].find((men) => look.boxVerdict(men, one) === 'even')!;
    expect(look.boxVerdict(even, two)).toBe('light');
    return [lateral, depth, even, 11, 22];
  },
  overhang: () => [look.ON_RECEIVER],
  hats: () => {
    const verdicts = new Map<number, Set<string>>();
    for (const front of DEFAULT_BOOK.terms.filter((t) => t.kind === 'front'))
      for (const concept of ['wide zone', 'power', 'stretch', 'counter']) {
        const run = { front: front.word, coverage: 'cover 3', play: 'run', concept, direction: 'R' } as const;
        const { ledger } = seen('doubles', run);
        if (ledger)
          verdicts.set(ledger.margin, (verdicts.get(ledger.margin) ?? new Set()).add(ledger.verdict));
      }
    const margins = [...verdicts.keys()].sort((a, b) => a - b);
    const enough = margins.filter((m) =>
      [...verdicts.get(m)!].every((v) => v === 'sound' || v === 'unblocked'),
    );
    const oneFree = margins.filter((m) => verdicts.get(m)!.has('one free'));
    // All above the least that is enough are; one free is at just one margin.
    expect(enough).toEqual(margins.filter((m) => m >= enough[0]!));
    expect(oneFree).toHaveLength(1);
    return [enough[0]!, oneFree[0]!];
  },
  perimeter: () => {
    const open = [-1, 0, 1].find((margin) => look.optionOpen({ margin } as never))!;
    return [look.PERIMETER_DEPTH, open - 1];
  },
  ...Object.fromEntries(
    ['cover 0', 'cover 1', 'cover 2', 'cover 3', 'quarters', 'cover 6', 'fire zone'].map((word) => [
      `coverage-${word.replace(/ /g, '-')}`,
      () => {
        const meaning = findTerm(DEFAULT_BOOK, 'coverage', word)!.definition!;
        return [meaning.kind === 'coverage' ? meaning.coverage.deep.length : NaN, COLLEGE.players];
      },
    ]),
  ),
  'pressure-simulated-pressure': () => {
    const { count, kind } = rushOf('simulated pressure', 'cover 3');
    expect(kind).toBe('simulated');
    return [look.MANY_THREATEN, count];
  },
  'pressure-creeper': () => {
    const { count, kind } = rushOf('creeper', 'cover 3');
    expect(kind).toBe('creeper');
    return [count];
  },
  'pressure-mike-a-pressure': () => {
    const zone = rushOf('mike a pressure', 'fire zone');
    expect([zone.kind, rushOf('mike a pressure', 'cover 0').kind]).toEqual(['fire zone', 'zero']);
    const deep = seen('trips', { front: '4-2 over', coverage: 'fire zone' }).defense!.coverage!.deep;
    return [zone.count, deep];
  },
  'pressure-three-man-rush': () => {
    const { count, dropped } = rushOf('three-man rush', 'quarters');
    return [count, dropped];
  },
};

/** Numbers of a text; receivers (#1), techniques (4i, 3-technique) and labels (3x1) are names. */
const numbersIn = (text: string): number[] =>
  [...text.matchAll(/(?<![#\w.])[−-]?\d+(?:\.\d+)?(?![\w-]|\.\d)/g)].map((m) =>
    Number(m[0].replace('−', '-')),
  );
const NAMES_ONLY = new Set(['shade']);

it.each(
  DEFINITIONS.filter((d) => numbersIn(d.text).length > 0 && !NAMES_ONLY.has(d.id)).map((d) => [d.id, d.text]),
)('the numbers of %s are those the code measures', (id, text) => {
  expect(MEASURED[id], `${id} says numbers that nothing measures: ${text}`).toBeDefined();
  expect(numbersIn(text)).toEqual(MEASURED[id]!());
});

it('says no length or count in letters, where no check would read it', () => {
  for (const { id, text } of DEFINITIONS)
    expect([
      id,
      /\b(two|three|four|five|six|seven|eight|nine|ten|eleven) (yard|men|rush|drop|deep|receivers)/i.test(
        text,
      ),
    ]).toEqual([id, false]);
});

it('names what it says of structures', () => {
  expect(namesOf('trey')).toContain('trey');
  expect(boxOf({ front: '4-3 over' }).box.length).toBeGreaterThan(4);
});

it('the page of the open table says what the field table holds', () => {
  expect(
    readFileSync(path.join(import.meta.dirname, 'table.md'), 'utf8'),
    'table.md is old; run npx tsx docs/make-table.ts',
  ).toBe(tablePage());
});

it('the page of keys says what the screens listen to', () => {
  expect(
    readFileSync(path.join(import.meta.dirname, 'keys.md'), 'utf8'),
    'keys.md is old; run npx tsx docs/make-keys.ts',
  ).toBe(keysPage());
});
