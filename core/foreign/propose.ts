/** Which column holds what: by its name and by what stands in it, with the reason and how sure. */
import type { Book } from '../book';
import { dateParts } from './figures';
import type { CellContext } from './reading';
import { readCell } from './values';
import { headingTarget, targetLabel, TARGETS, type Target } from './headings';

export interface ColumnReading {
  /** Its name in the file. */
  readonly column: string;
  /** Null: left out. */
  readonly field: Target | null;
  readonly why: string;
  /** 0 to 1. */
  readonly confidence: number;
}

/** Cells looked at in a column. */
const LOOKED_AT = 400;
/** What a column without a telling name must look like to be taken for it: share of its cells, and how sure that makes. */
const BY_LOOK: readonly (readonly [Target, RegExp, number])[] = [
  ['down_distance', /^(1st|2nd|3rd|4th|[1-4]) ?(&|and|-|\/) ?(\d{1,2}|g|goal)$/i, 0.9],
  ['clock', /^\d{1,2}:\d{2}$/, 0.8],
  ['spot', /^(own|opp|[a-z]{2,4}) ?-?\d{1,2}$/i, 0.85],
  ['spot', /^[+-]\d{1,2}$|^50$/, 0.6],
  ['play', /^(r|p|run|pass|rpo|punt|fg|kickoff)$/i, 0.8],
  ['hash', /^(l|m|r|c|left|middle|right|center)$/i, 0.7],
  ['personnel', /^(00|01|10|11|12|13|20|21|22|23)( ?p| ?pers(onnel)?)?$/i, 0.7],
  ['gain', /^(\(\d{1,2}\)|(gain|loss) \d{1,2}|\d{1,2} (yds?|yards)|inc)$/i, 0.8],
  ['result', /^(complete|incomplete|comp|inc|sack|rush|touchdown|td|interception|penalty|scramble)$/i, 0.75],
  ['team', /^[odk]$/i, 0.7],
  ['player', /^#\d{1,2}$/, 0.7],
];
const WORD_TARGETS: readonly Target[] = [
  'formation',
  'concept',
  'coverage',
  'front',
  'pressure',
  'motion',
  'backfield',
  'protection',
];

/** How well the cells of a column read as a target: share that read, and of those whose words the book knows. */
function fits(
  target: Target,
  cells: readonly string[],
  c: CellContext,
): { readonly read: number; readonly known: number } {
  let read = 0;
  let known = 0;
  for (const cell of cells) {
    const found = readCell(target, cell, c);
    if (!found.ok) continue;
    read++;
    if (!found.value.unknown?.length) known++;
  }
  return { read: read / cells.length, known: known / cells.length };
}

const percent = (share: number, n: number): string => `${Math.round(share * n)} of ${n}`;

/** "1-10" that became dates: month first or day first, by those that can only be one of the two. */
export function dateOrder(cells: readonly string[], agrees: (month: boolean) => number): 'month' | 'day' {
  let month = 0;
  let day = 0;
  for (const cell of cells) {
    const parts = dateParts(cell);
    if (!parts) continue;
    if (parts.month > 4) day++;
    else if (parts.day > 4) month++;
  }
  if (day !== month) return day > month ? 'day' : 'month';
  // Neither says: the one whose downs follow from the gains before; month first where that says nothing either.
  return agrees(false) > agrees(true) ? 'day' : 'month';
}

export interface Column {
  readonly heading: string;
  /** Cells of the data rows, blanks among them. */
  readonly cells: readonly string[];
}

/** Proposes a target a column; each target once, to the column that fits it best. */
export function propose(
  columns: readonly Column[],
  book: Book,
  remembered: ReadonlyMap<string, Target | null>,
): ColumnReading[] {
  const c: CellContext = { book, dateOrder: 'month', signedSpots: true, read: new Map() };
  interface Offer {
    readonly at: number;
    readonly target: Target;
    readonly confidence: number;
    readonly why: string;
  }
  const offers: Offer[] = [];
  const empty = new Set<number>();
  columns.forEach(({ heading, cells }, at) => {
    const filled = cells.filter((cell) => cell !== '').slice(0, LOOKED_AT);
    if (filled.length === 0) {
      empty.add(at);
      return;
    }
    const n = filled.length;
    const offer = (target: Target, confidence: number, why: string): void =>
      void offers.push({ at, target, confidence: Math.min(1, confidence), why });
    const named = headingTarget(heading);
    // The names of a heading may mean two things; what stands below decides.
    const candidates = new Set<Target>(named ? [named.target, ...(ALSO[named.target] ?? [])] : []);
    for (const target of candidates) {
      const fit = fits(target, filled, c);
      const first = target === named!.target;
      if (fit.read < 0.5) continue;
      const words = WORD_TARGETS.includes(target);
      const sure = (0.45 * named!.sure + 0.4 * fit.read + 0.15 * fit.known) * (first ? 1 : 0.97);
      offer(
        target,
        sure,
        `by its name; ${percent(words ? fit.known : fit.read, n)} ${words ? 'in the book' : 'read'}`,
      );
    }
    for (const [target, looks, sure] of BY_LOOK) {
      const share = filled.filter((cell) => looks.test(cell)).length / n;
      if (share > 0.7)
        offer(
          target,
          sure * share * (named ? 0.8 : 1),
          `${percent(share, n)} look like ${targetLabel(target)}, such as “${filled[0]}”`,
        );
    }
    const dates = filled.filter((cell) => dateParts(cell) !== null).length;
    if (dates > 0 && fits('down_distance', filled, c).read > 0.9 && n > 3)
      offer('down_distance', 0.85, `${percent((n - dates) / n, n)} such as “2-7”; ${dates} came as dates`);
    const gains = filled.filter((cell) => /^(-\d{1,2}|\(\d{1,2}\)|inc.*)$/i.test(cell)).length;
    if (
      gains > 0 &&
      fits('gain', filled, c).read > 0.95 &&
      !filled.some((cell) => /^[+]?(3[6-9]|4\d|50)$/.test(cell) && gains > n * 0.4)
    )
      offer('gain', 0.55, `${gains} of ${n} are losses or incompletions, the rest yards`);
    if (new Set(filled).size > 1)
      for (const target of WORD_TARGETS) {
        const fit = fits(target, filled, c);
        if (fit.known >= 0.5 && /[a-z]/i.test(filled.join('')))
          offer(
            target,
            0.4 + 0.4 * fit.known,
            `${percent(fit.known, n)} are words of the book (${targetLabel(target)})`,
          );
      }
    if (
      filled.every(
        (cell, i) => /^\d{1,4}$/.test(cell) && (i === 0 || Number(cell) === Number(filled[i - 1]) + 1),
      ) &&
      n > 3
    )
      offer('order', 0.9, 'counts up by one');
  });
  const taken = new Map<number, Offer>();
  const used = new Set<Target>();
  const decided = new Map<number, Target | null>();
  columns.forEach(({ heading }, at) => {
    const target = remembered.get(heading);
    if (target === undefined) return;
    decided.set(at, target);
    if (target !== null && target !== 'note') used.add(target);
  });
  for (const offer of [...offers].sort(
    (a, b) =>
      b.confidence - a.confidence || a.at - b.at || TARGETS.indexOf(a.target) - TARGETS.indexOf(b.target),
  )) {
    if (taken.has(offer.at) || decided.has(offer.at) || (used.has(offer.target) && offer.target !== 'note'))
      continue;
    if (CLASH[offer.target]?.some((other) => used.has(other))) continue;
    taken.set(offer.at, offer);
    used.add(offer.target);
  }
  return columns.map(({ heading }, at): ColumnReading => {
    if (decided.has(at))
      return { column: heading, field: decided.get(at)!, why: 'as it was read before', confidence: 1 };
    const offer = taken.get(at);
    if (!offer)
      return {
        column: heading,
        field: null,
        why: empty.has(at)
          ? 'empty'
          : offers.some((o) => o.at === at)
            ? 'another column fits better'
            : 'free text, or nothing this reader knows',
        confidence: 0,
      };
    return {
      column: heading,
      field: offer.target,
      why: offer.why,
      confidence: Math.round(offer.confidence * 100) / 100,
    };
  });
}

/** What a name may mean as well. */
const ALSO: Readonly<Partial<Record<Target, readonly Target[]>>> = {
  down: ['down_distance'],
  distance: ['gain'],
  gain: ['result'],
  result: ['gain'],
  play: ['concept', 'order'],
  concept: ['play'],
  spot: ['gain'],
  team: ['offense'],
  offense: ['team', 'formation', 'concept'],
  defense: ['front', 'coverage'],
  date: ['down_distance'],
  player: ['order'],
  carrier: ['backfield'],
  backfield: ['carrier'],
  order: ['player'],
  formation_side: ['direction'],
};
/** Not both: one would say the other. */
const CLASH: Readonly<Partial<Record<Target, readonly Target[]>>> = {
  down_distance: ['down', 'distance'],
  down: ['down_distance'],
  distance: ['down_distance'],
};
