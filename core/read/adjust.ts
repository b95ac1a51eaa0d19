/**
 * Choosing a coverage against a structure by what they call from it, and what each leaves open: the count outside, who
 * has the third receiver deep, the box. Read off the drawing of the staff's own book; quick and drop-back throws
 * are not judged.
 */
import { findTerm, lookOf, type Book } from '../book';
import type { LevelProfile } from '../field/profile';
import { otherSide } from '../field/spot';
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
import { N, rate as rateColumn, word as wordColumn, type BesideCell } from './beside-table';
import { looksOf, type LookRow } from './board';
import { groupBy } from './cells';
import { wordAt, type Columns } from './columns';
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
const COLUMNS = [
  wordColumn('structure', 'structure'),
  wordColumn('coverage', 'coverages'),
  N,
  wordColumn('over', 'outside, strong and weak side: receivers v. men'),
  wordColumn('third', 'deep on the inside receiver'),
  wordColumn('box', 'box'),
  rateColumn('met', 'their calls at what it leaves'),
  wordColumn('leaves', 'leaves'),
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

interface Weak {
  /** What a call attacks; a perimeter call also says to which side. */
  readonly meets: string;
  readonly words: string;
}
interface Open {
  readonly over: string;
  readonly third: string;
  readonly box: string;
  readonly weak: readonly Weak[];
}
const SIDES = ['strong', 'weak'] as const;
/** A perimeter call by its side: a man short on the far side hurts nobody here. */
const outside = (side: (typeof SIDES)[number]): string => `perimeter, ${side} side`;

function openIn(structure: Structure, defense: DefenseLook, settings: LookSettings): Open {
  const strong = structure.side ?? structure.passing;
  const perimeters = [strong, otherSide(strong)].map((side) =>
    perimeterLook(side, defense.men, structure, settings.box),
  );
  const { receivers } = sideStructure(structure, strong);
  const third = receivers[Math.min(2, receivers.length - 1)];
  const deep = third ? deepOn(defense, third) : { words: 'nobody there', weak: false };
  const { front } = defense;
  return {
    over: perimeters.map((p) => `${p.receivers} v. ${p.over.length}`).join(', '),
    third: deep.words,
    box: front ? `${front.box.length}, ${front.verdict}` : '–',
    weak: [
      ...SIDES.flatMap((side, i): Weak[] =>
        perimeters[i]!.margin > 0 ? [{ meets: outside(side), words: `short outside, ${side} side` }] : [],
      ),
      ...(deep.weak ? [{ meets: 'vertical', words: `${deep.words} deep inside` }] : []),
      ...(front?.verdict === 'light'
        ? ['inside run', 'off tackle'].map((meets) => ({ meets, words: 'a light box' }))
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
  const { attack, direction, strength, structure: set, structureSnap } = columns.text;
  const meets = (row: number): string | null => {
    const kind = wordAt(attack, row);
    if (kind !== 'perimeter') return kind;
    const [to, strong] = [wordAt(direction, row), wordAt(strength, row)];
    return to === null || strong === null ? null : outside(to === strong ? 'strong' : 'weak');
  };
  const cells: BesideCell[][] = [];
  const behind: (Uint32Array | null)[][] = [];
  const structures = groupBy(columns, rows, ['structureSnap']).filter((g) => g.rows.length >= FEW);
  for (const { words, rows: here } of structures.slice(0, MOST_STRUCTURES)) {
    // Drawn as it is set where motion changed nothing.
    const plain = here.filter((row) => wordAt(set, row) === wordAt(structureSnap, row));
    const look = looksOf(columns, plain)[0];
    const front = answersIn(columns, here, 1)[0]?.front ?? null;
    if (!look || front === null || !findTerm(book, 'front', front)) continue;
    // What each call meets, once for all coverages; a call of which it is not known is not judged.
    const by = new Map<string, number[]>();
    for (const row of here) {
      const what = meets(row);
      if (what !== null) {
        const list = by.get(what);
        if (list) list.push(row);
        else by.set(what, [row]);
      }
    }
    const lines = leftBy(look, front, { book, profile, settings }).map(({ word, open }) => {
      const rowsOf = (some: readonly Weak[]): number[] => some.flatMap((w) => by.get(w.meets) ?? []);
      const weak = new Set(open.weak.map((w) => w.meets));
      const met = Uint32Array.from(rowsOf(open.weak)).sort();
      const rest = [...by].flatMap(([what, some]) => (weak.has(what) ? [] : some));
      const leaves = [...new Set(open.weak.map((w) => w.words))].map(
        (said) => `${said} (${rowsOf(open.weak.filter((w) => w.words === said)).length})`,
      );
      const rate = rateOf(columns.weight, met, rest);
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
    note: 'against the formation they use most in the structure, with the front they met most: perimeter calls to a side where a man is missing, vertical ones where a backer or nobody is deep on the inside receiver, runs where the box is light; other throws are not judged',
    columns: COLUMNS,
    rows: cells,
    behind,
  };
}
