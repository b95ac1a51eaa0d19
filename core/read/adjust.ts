/**
 * Choosing a coverage against a structure by what they call from it, and what each leaves open: the count outside, who
 * has the third receiver deep, the box. Read off the drawing of the staff's own book; quick and drop-back throws
 * are not judged.
 */
import { findTerm, lookOf, type Book } from '../book';
import type { LevelProfile } from '../field/profile';
import {
  perimeterLook,
  sideStructure,
  type DefenseLook,
  type LookSettings,
  type Man,
  type Structure,
  type DefenderLevel,
  type DefenseDuty,
} from '../look';
import { answersIn } from './answers';
import type { BesideCell, BesideColumn } from './beside';
import { looksOf, type LookRow } from './board';
import { groupBy } from './cells';
import { FIRST_VALUE, type Columns } from './columns';
import type { JudgedTable } from './judged';
import { FEW, rateOf } from './rates';
import { partTitle } from './sections';

export interface AdjustBook {
  readonly book: Book;
  readonly profile: LevelProfile;
  readonly settings: LookSettings;
}
const MOST_STRUCTURES = 3;
/** Lateral yards within which a deep man is over a receiver's way (common practice). */
const OVER = 7;
const COLUMNS: readonly BesideColumn[] = [
  { key: 'structure', label: 'structure', kind: 'word' },
  { key: 'coverage', label: 'coverages', kind: 'word' },
  { key: 'n', label: 'n', kind: 'count' },
  { key: 'over', label: 'outside: receivers v. men', kind: 'word' },
  { key: 'third', label: 'deep on the inside receiver', kind: 'word' },
  { key: 'box', label: 'box', kind: 'word' },
  { key: 'met', label: 'their calls at what it leaves', kind: 'rate' },
  { key: 'leaves', label: 'leaves', kind: 'word' },
];
const LEVELS: Readonly<Record<DefenderLevel, string>> = {
  down: 'a lineman',
  edge: 'an edge man',
  backer: 'a backer',
  nickel: 'the nickel',
  corner: 'a corner',
  safety: 'a safety',
};
const SLOW: ReadonlySet<DefenderLevel> = new Set(['down', 'edge', 'backer']);

/** Under men who match carry who comes up near them; yards (common practice). */
const NEAR = 5;

/** Who carries the inside receiver of the side deep: his man, else the deep man over him, else who matches him. */
function deepOn(defense: DefenseLook, third: Man): { readonly words: string; readonly weak: boolean } {
  const off = ({ to }: DefenseDuty): number => Math.abs(to[0] - third.x);
  const nearest = (does: DefenseDuty['does'], within: number): DefenseDuty | undefined =>
    defense.duties.filter((d) => d.does === does && off(d) <= within).sort((a, b) => off(a) - off(b))[0];
  const has =
    defense.duties.find((d) => d.covers === third) ??
    nearest('deep', OVER) ??
    (defense.coverage?.style === 'match' ? nearest('under', NEAR) : undefined);
  if (!has) return { words: 'nobody', weak: true };
  // On his man with nobody behind him he is alone, whoever he is.
  const alone = !defense.duties.some((d) => d.does === 'deep');
  return {
    words: `${LEVELS[has.man.level]}${alone ? ' alone' : ''}`,
    weak: alone || SLOW.has(has.man.level),
  };
}

interface Open {
  readonly over: string;
  readonly third: string;
  readonly box: string;
  /** Attacks that meet a weak place, with how it is said. */
  readonly weak: readonly (readonly [attack: string, words: string])[];
}

function openIn(structure: Structure, defense: DefenseLook, settings: LookSettings): Open {
  const side = structure.side ?? structure.passing;
  const perimeter = perimeterLook(side, defense.men, structure, settings.box);
  const { receivers } = sideStructure(structure, side);
  const third = receivers[Math.min(2, receivers.length - 1)];
  const deep = third ? deepOn(defense, third) : { words: 'nobody there', weak: false };
  const { front } = defense;
  return {
    over: `${perimeter.receivers} v. ${perimeter.over.length}`,
    third: deep.words,
    box: front ? `${front.box.length}, ${front.verdict}` : '–',
    weak: [
      ...(perimeter.margin > 0 ? [['perimeter', 'short outside'] as const] : []),
      ...(deep.weak ? [['vertical', `${deep.words} deep inside`] as const] : []),
      ...(front?.verdict === 'light'
        ? [['inside run', 'a light box'] as const, ['off tackle', 'a light box'] as const]
        : []),
    ],
  };
}

interface Left {
  readonly word: string;
  readonly open: Open;
}
/** What was drawn stands: another filter counts other calls at the same places. */
const drawnSoFar = new WeakMap<Book, Map<string, readonly Left[]>>();

/** What each coverage of the book leaves against a formation, with a front. */
function leftBy(
  { formation, side, backfield }: Pick<LookRow, 'formation' | 'side' | 'backfield'>,
  front: string,
  { book, profile, settings }: AdjustBook,
): readonly Left[] {
  let known = drawnSoFar.get(book);
  if (!known) drawnSoFar.set(book, (known = new Map()));
  const key = JSON.stringify([
    formation,
    side,
    backfield,
    front,
    profile.key,
    profile.hashToSideline,
    settings,
  ]);
  const before = known.get(key);
  if (before) return before;
  const left = book.terms.flatMap(({ kind, definition, word, value }): Left[] => {
    if (kind !== 'coverage' || definition?.kind !== 'coverage') return [];
    const fields = { formation, formationSide: side, backfield, front, coverage: value ?? word };
    const drawn = lookOf(book, fields, profile, settings);
    return drawn?.defense ? [{ word, open: openIn(drawn.offense.snap, drawn.defense, settings) }] : [];
  });
  known.set(key, left);
  return left;
}

/** Of each structure the coverages that their calls hurt least first. Cost: a look a structure and coverage. */
export function adjustTable(
  columns: Columns,
  rows: Uint32Array,
  { book, profile, settings }: AdjustBook,
): JudgedTable {
  const { attack, structure: set, structureSnap } = columns.text;
  const cells: BesideCell[][] = [];
  const behind: (Uint32Array | null)[][] = [];
  const structures = groupBy(columns, rows, ['structureSnap']).filter((g) => g.rows.length >= FEW);
  for (const { words, rows: here } of structures.slice(0, MOST_STRUCTURES)) {
    // Drawn as it is set where motion changed nothing.
    const plain = here.filter(
      (row) => set.words[set.codes[row]!] === structureSnap.words[structureSnap.codes[row]!],
    );
    const look = looksOf(columns, plain)[0];
    const front = answersIn(columns, here, 1)[0]?.front ?? null;
    if (!look || front === null || !findTerm(book, 'front', front)) continue;
    const known = here.filter((row) => attack.codes[row]! >= FIRST_VALUE);
    const calls = new Map(groupBy(columns, known, ['attack']).map((g) => [g.words[0]!, g.rows.length]));
    const lines = leftBy(look, front, { book, profile, settings }).map(({ word, open }) => {
      const weak = new Set(open.weak.map(([kind]) => kind));
      const hit = attack.words.map((kind) => weak.has(kind));
      const met = known.filter((row) => hit[attack.codes[row]!]);
      const leaves = [...new Set(open.weak.map(([, said]) => said))].map((said) => {
        const kinds = open.weak.filter(([, s]) => s === said).map(([kind]) => calls.get(kind) ?? 0);
        return `${said} (${kinds.reduce((a, b) => a + b, 0)})`;
      });
      const rate = rateOf(
        columns.weight,
        met,
        known.filter((row) => !hit[attack.codes[row]!]),
      );
      return { word, open, met, rate, leaves };
    });
    // Coverages that leave the same are one line.
    const merged: typeof lines = [];
    for (const line of lines) {
      const said = (l: (typeof lines)[number]): string =>
        [l.open.over, l.open.third, l.open.box, ...l.leaves].join('|');
      const i = merged.findIndex((m) => said(m) === said(line));
      if (i < 0) merged.push(line);
      else merged[i] = { ...merged[i]!, word: `${merged[i]!.word}, ${line.word}` };
    }
    merged.sort((a, b) => a.rate.k - b.rate.k || (a.word < b.word ? -1 : 1));
    for (const { word, open, met, rate, leaves } of merged) {
      cells.push([
        words[0]!,
        word,
        here.length,
        open.over,
        open.third,
        open.box,
        rate,
        leaves.join('; ') || 'nothing of these',
      ]);
      behind.push([null, null, here, null, null, null, met, null]);
    }
  }
  return {
    id: 'adjust',
    title: partTitle('adjust'),
    note: 'against the formation they use most in the structure, with the front they met most: perimeter calls where a man is missing outside, vertical ones where a backer or nobody is deep on the inside receiver, runs where the box is light; other throws are not judged',
    columns: COLUMNS,
    rows: cells,
    behind,
  };
}
