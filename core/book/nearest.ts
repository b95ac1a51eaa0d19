/** Which known formation a drawn one is, or is nearest to; and a formation read from typed words. */
import type { LevelProfile } from '../field/profile';
import type { Side } from '../field/spot';
import { isBack, LINE_LETTERS, lineUp, mirrorMen, receivers, shapeOf, type Man, type Spot } from '../look';
import { termIndex } from './index-terms';
import { parseSpots } from './spots';
import { normalizePhrase, type Book, type Term } from './term';

export interface Nearest {
  readonly term: Term;
  readonly side: Side;
  /** 0: the same places. About one a yard that somebody stands elsewhere. */
  readonly distance: number;
  /** "#3 right tight": who stands elsewhere, by his number. */
  readonly differs: readonly string[];
}

type Place = Pick<Man, 'x' | 'depth' | 'onLine'>;
/** Two in one lane are ordered by depth, so that a step to the side does not swap them. */
const LANE = 0.8;
const placesOf = (men: readonly Man[]): Place[] =>
  men
    .filter((m) => m.role === 'eligible' && !isBack(m))
    .sort((a, b) => (Math.abs(a.x - b.x) <= LANE ? a.depth - b.depth : a.x - b.x));
const lineOf = (men: readonly Man[]): Place[] =>
  men.filter((m) => m.role === 'line').sort((a, b) => a.x - b.x);

function apart(places: readonly Place[], others: readonly Place[]): number {
  let sum = Math.abs(places.length - others.length) * 8;
  const left = (list: readonly Place[]) => list.filter((p) => p.x < 0).length;
  sum += Math.abs(left(places) - left(others)) * 8;
  for (let i = 0; i < Math.min(places.length, others.length); i++) {
    const [place, other] = [places[i]!, others[i]!];
    // Far from the ball a yard means less: two receivers at the numbers are the same picture.
    const scale = Math.max(1, Math.min(Math.abs(place.x), Math.abs(other.x)) / 6);
    sum +=
      Math.min(6, Math.abs(place.x - other.x) / scale) +
      (place.onLine === other.onLine ? 0 : 1) +
      Math.min(1, Math.abs(place.depth - other.depth) / 2);
  }
  return sum;
}

const whereIs = (place: Place): string =>
  Math.abs(place.x) <= 5.4
    ? place.onLine
      ? 'tight'
      : 'wing'
    : Math.abs(place.x) <= 6.9 && !place.onLine && place.depth > 1.2
      ? 'wing'
      : Math.abs(place.x) <= 9.5
        ? 'in the slot'
        : Math.abs(place.x) <= 13
          ? 'wide slot'
          : 'wide';

/** Known formations by nearness to men as drawn, both ways round; nearest first. */
export function nearestFormations(men: readonly Man[], book: Book, most = 3): Nearest[] {
  const drawn = placesOf(men);
  const line = lineOf(men);
  const out: Nearest[] = [];
  for (const term of book.terms) {
    if (term.kind !== 'formation' || !term.spots) continue;
    let best: Nearest | null = null;
    for (const side of ['R', 'L'] as const) {
      const known = lineUp(term.spots, side, null);
      const distance = apart(drawn, placesOf(known)) + (line.length === 5 ? apart(line, lineOf(known)) : 0);
      if (best && best.distance <= distance) continue;
      best = { term, side, distance, differs: differences(men, known) };
    }
    if (best) out.push(best);
  }
  return out.sort((a, b) => a.distance - b.distance || a.term.word.localeCompare(b.term.word)).slice(0, most);
}

function differences(men: readonly Man[], known: readonly Man[]): string[] {
  const out: string[] = [];
  const [ours, theirs] = [receivers(men), receivers(known)];
  for (const side of ['left', 'right'] as const) {
    ours[side].forEach((man, i) => {
      const other = theirs[side][i];
      if (!other) out.push(`one more on the ${side}`);
      else if (whereIs(man) !== whereIs(other)) out.push(`#${i + 1} ${side} ${whereIs(man)}`);
    });
    if (theirs[side].length > ours[side].length)
      out.push(`${theirs[side].length - ours[side].length} fewer on the ${side}`);
  }
  return out;
}

/** Nearer than this is the same formation, not a new one. */
export const SAME_FORMATION = 1.2;

export interface TypedFormation {
  readonly spots: readonly Spot[];
  /** Letters the words placed; the others stand where they stood. */
  readonly placed: ReadonlySet<string>;
  /** Words that were not understood. */
  readonly unknown: readonly string[];
}

const LANDMARK_WORDS: Readonly<
  Record<string, { readonly x: number | null; readonly depth: number; readonly onLine: boolean }>
> = {
  tight: { x: 4.8, depth: 0.3, onLine: true },
  wing: { x: 6.4, depth: 1.4, onLine: false },
  slot: { x: 8, depth: 1, onLine: false },
  numbers: { x: 16, depth: 1, onLine: false },
  wide: { x: 16, depth: 0.3, onLine: true },
  hash: { x: 11, depth: 1, onLine: false },
  split: { x: 15, depth: 0.3, onLine: true },
  stack: { x: null, depth: 2.5, onLine: false },
  on: { x: null, depth: 0.3, onLine: true },
  off: { x: null, depth: 1, onLine: false },
};

/**
 * A formation by words: a known one with its side, then changes: "trips r h tight", "spread y wing l",
 * or points: "X-16 H+6o1". A letter, a landmark (tight wing slot hash numbers wide split stack on
 * off), a side. Strong right when no side is said. Never throws.
 */
export function typeFormation(text: string, book: Book, start: readonly Spot[] = []): TypedFormation {
  const words = normalizePhrase(text).split(' ').filter(Boolean);
  const index = termIndex(book);
  let spots: Spot[] = start.map((s) => ({ ...s }));
  const unknown: string[] = [];
  const placed = new Set<string>();
  for (let i = 0; i < words.length;) {
    let taken = 0;
    for (let n = Math.min(index.mostWords, words.length - i); n >= 1 && taken === 0; n--) {
      const term = index.byPhrase
        .get(words.slice(i, i + n).join(' '))
        ?.find((t) => t.kind === 'formation' && t.spots);
      if (!term?.spots) continue;
      const next = words[i + n];
      spots = next === 'l' || next === 'left' ? mirrorMen(term.spots) : [...term.spots];
      for (const s of spots) placed.add(s.letter);
      taken = n + (next === 'l' || next === 'r' || next === 'left' || next === 'right' ? 1 : 0);
    }
    if (taken > 0) {
      i += taken;
      continue;
    }
    const raw = words[i]!.toUpperCase().replace(/(\d)O/g, '$1o');
    if (/^[A-Z]{1,2}[+-]\d/.test(raw)) {
      try {
        const [spot] = parseSpots(raw);
        spots = [...spots.filter((s) => s.letter !== spot!.letter), spot!];
        placed.add(spot!.letter);
      } catch {
        unknown.push(words[i]!);
      }
      i++;
      continue;
    }
    const letter = words[i]!.toUpperCase();
    const mark = LANDMARK_WORDS[words[i + 1] ?? ''];
    if ((book.letters.includes(letter) || LINE_LETTERS.includes(letter)) && mark) {
      const sideWord = words[i + 2];
      const said =
        sideWord === 'l' || sideWord === 'left' ? -1 : sideWord === 'r' || sideWord === 'right' ? 1 : null;
      const before = spots.find((s) => s.letter === letter);
      const sign = said ?? (before && before.x < 0 ? -1 : 1);
      const x =
        mark.x === null
          ? said === null || !before
            ? (before?.x ?? 8)
            : Math.abs(before.x) * said
          : mark.x * sign;
      spots = [
        ...spots.filter((s) => s.letter !== letter),
        { letter, x, depth: mark.depth, onLine: mark.onLine },
      ];
      placed.add(letter);
      i += said === null ? 2 : 3;
      continue;
    }
    unknown.push(words[i]!);
    i++;
  }
  return { spots, placed, unknown };
}

/** What belongs to a formation of men as they stand: everybody who is not in the backfield, and linemen who stand elsewhere than usual. */
export function formationSpots(men: readonly Man[], profile: LevelProfile): Spot[] {
  const usual = shapeOf(profile.players).line;
  const moved = (man: Man) =>
    usual.some((u) => u.letter === man.letter && (Math.abs(u.x - man.x) > 0.05 || u.onLine !== man.onLine));
  const snapper = (m: Man) => m.letter === 'C' && Math.abs(m.x) < 0.1;
  return men
    .filter((m) => (m.role === 'eligible' && !isBack(m) && !snapper(m)) || (m.role === 'line' && moved(m)))
    .map(spotOf);
}
/** The quarterback and the backs of men as they stand. */
export const backfieldSpots = (men: readonly Man[]): Spot[] =>
  men.filter((m) => m.role === 'quarterback' || isBack(m)).map(spotOf);
const spotOf = ({ letter, x, depth, onLine }: Man): Spot => ({ letter, x, depth, onLine });

/** Men as they stand, moved by typed words. Where there is not room for all, those who were typed stay. */
export function retypeMen(
  men: readonly Man[],
  text: string,
  book: Book,
  profile: LevelProfile,
): { readonly men: Man[]; readonly unknown: readonly string[] } {
  const shape = shapeOf(profile.players);
  const { spots, placed, unknown } = typeFormation(text, book, formationSpots(men, profile));
  const room = shape.men - shape.line.length - 1;
  const typedFirst = [
    ...spots.filter((s) => placed.has(s.letter)),
    ...spots.filter((s) => !placed.has(s.letter)),
  ];
  const fits = spots.length <= room ? spots : typedFirst.slice(0, Math.max(room, placed.size));
  return {
    men: lineUp(
      fits,
      'R',
      backfieldSpots(men).filter((b) => !fits.some((s) => s.letter === b.letter)),
      shape,
    ),
    unknown,
  };
}

/** The text of spots as the book's own notation: "X-16 H+6o1". */
export const formatSpots = (spots: readonly Spot[]): string =>
  spots.map((s) => `${s.letter}${s.x >= 0 ? '+' : ''}${s.x}${s.onLine ? '' : `o${s.depth}`}`).join(' ');
