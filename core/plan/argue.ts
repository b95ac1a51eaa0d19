/**
 * Our play against the looks this opponent shows in a situation to its structure: Σ P(look | structure, situation) ×
 * s(play, look), both shrunk, s moved by what the situation asks; the interval by draws from what is known of them.
 */
import { bisectRight } from 'd3-array';
import jStat from 'jstat';
import { select, UNKNOWN, wordAt, type Columns } from '../read/columns';
import { cameFive, FAMILIES, familyOf, FAMILY_WORDS } from '../read/defense';
import { CALLED_KINDS, sectionRows, yardsAskedIn, type SectionSpec } from './sections';
import { rowsOfPlay, type PlayCard } from './sheet';

export interface LookEvidence {
  readonly look: string;
  /** "six or fewer in the box", "open zone, five or more". */
  readonly words: string;
  /** Shrunk: how often they show it then. */
  readonly share: number;
  /** Their snaps of it, in the section, to this structure. */
  readonly theirs: Uint32Array;
  /** Shrunk: how often the play succeeds against it, in the section. */
  readonly success: number;
  /** Our snaps of the play against it, and those of them that succeeded. */
  readonly ours: Uint32Array;
  readonly k: number;
}

export interface Argument {
  readonly structure: string | null;
  /** Success to expect of the play here, and its 95 % interval. */
  readonly score: number;
  readonly low: number;
  readonly high: number;
  /** Their snaps in the section to this structure whose look is known. */
  readonly n: number;
  /** The look that carries most of it first. */
  readonly looks: readonly LookEvidence[];
}

/** Snaps that what is known more generally counts as (numbers of this kind: common practice). */
export const PRIOR_SNAPS = 8;
export const DRAWS = 400;

export interface Look {
  readonly key: string;
  readonly words: string;
}
const BOXES: readonly Look[] = [
  { key: 'light', words: 'six or fewer in the box' },
  { key: 'seven', words: 'seven in the box' },
  { key: 'loaded', words: 'eight or more in the box' },
];
export const SHELLS: readonly Look[] = FAMILIES.flatMap((family) => [
  { key: `${family}.four`, words: `${FAMILY_WORDS[family]}, four or fewer come` },
  { key: `${family}.five`, words: `${FAMILY_WORDS[family]}, five or more come` },
]);

/** A pass meets a coverage and a rush, any other play the men in the box. */
const looksFor = (play: PlayCard): readonly Look[] => (play.kind === 'pass' ? SHELLS : BOXES);

function lookAt(columns: Columns, row: number, looks: readonly Look[]): string | null {
  if (looks === SHELLS) {
    const [family, five] = [familyOf(columns, row), cameFive(columns, row)];
    return family === null || five === null ? null : `${family}.${five ? 'five' : 'four'}`;
  }
  const box = wordAt(columns.text.boxCount, row);
  return box === null ? null : Number(box) <= 6 ? 'light' : Number(box) === 7 ? 'seven' : 'loaded';
}

/** Rows by look; rows whose look is not known are left out. */
function byLook(columns: Columns, rows: Uint32Array, looks: readonly Look[]): Uint32Array[] {
  const lists = looks.map((): number[] => []);
  for (const row of rows) {
    const key = lookAt(columns, row, looks);
    const at = key === null ? -1 : looks.findIndex((l) => l.key === key);
    if (at >= 0) lists[at]!.push(row);
  }
  return lists.map((list) => Uint32Array.from(list));
}

/** Counts with a prior of so many snaps spread as `toward` says: weights of a Dirichlet distribution. */
const shrink = (counts: readonly number[], toward: readonly number[]): number[] =>
  counts.map((n, i) => n + PRIOR_SNAPS * toward[i]!);
export const shares = (weights: readonly number[]): number[] => {
  const all = weights.reduce((a, b) => a + b, 0);
  return weights.map((w) => w / all);
};
const sizes = (lists: readonly Uint32Array[]): number[] => lists.map((l) => l.length);

type ByLooks = ReadonlyMap<readonly Look[], Uint32Array[]>;
const BOTH: readonly (readonly Look[])[] = [BOXES, SHELLS];

/** What all plays of a section ask of both films, asked once. */
export interface Films {
  readonly columns: Columns;
  readonly own: Uint32Array;
  /** Of them with a success that is known; those of each kind of call. */
  readonly known: Uint32Array;
  readonly ofKind: ReadonlyMap<PlayCard['kind'], Uint32Array>;
  readonly inSection: ReadonlySet<number>;
  /** Yards that success takes in the section, of both films, the least first; empty: no down says it. */
  readonly asked: Float64Array;
  /** Their snaps anywhere and in the section, by look. */
  readonly anywhere: ByLooks;
  readonly faced: ByLooks;
  /** Their snaps of the section to a structure, by look; null: to any. */
  readonly shownTo: (structure: string | null, looks: readonly Look[]) => Uint32Array[];
}

export function filmsOf(columns: Columns, team: string, opponent: string, section: SectionSpec): Films {
  const own = select(columns, { offense: [team] });
  const known = own.filter((i) => columns.success[i] !== 2);
  const theirs = select(columns, { defense: [opponent] });
  const there = sectionRows(columns, section, { defense: [opponent] });
  const { play, structureSnap } = columns.text;
  const byLooks = (rows: Uint32Array): ByLooks =>
    new Map(BOTH.map((looks) => [looks, byLook(columns, rows, looks)]));
  const faced = byLooks(there);
  const byStructure = new Map<string, ByLooks>();
  return {
    columns,
    own,
    known,
    ofKind: new Map(
      CALLED_KINDS.map((kind) => {
        const code = play.codeOf.get(kind);
        return [kind, known.filter((i) => play.codes[i] === code)];
      }),
    ),
    inSection: new Set(sectionRows(columns, section, { offense: [team] })),
    asked: yardsAskedIn(columns, team, opponent, section),
    anywhere: byLooks(theirs),
    faced,
    shownTo: (structure, looks) => {
      if (structure === null) return faced.get(looks)!;
      let found = byStructure.get(structure);
      if (!found) {
        found = byLooks(there.filter((i) => wordAt(structureSnap, i) === structure));
        byStructure.set(structure, found);
      }
      return found.get(looks)!;
    },
  };
}

/**
 * What calls would have made of what a section asks: each gained so much, and so much of what is asked here is that or
 * less. k of n, both in snaps. One that scored might have gained more: it says nothing of more than it gained.
 */
function madeOf(rows: Uint32Array, { columns, asked }: Films): { readonly k: number; readonly n: number } {
  let [k, n] = [0, 0];
  for (const row of rows) {
    const yards = columns.yards[row]!;
    if (yards === UNKNOWN) continue;
    const good = columns.success[row] === 1;
    const toGoal = columns.toGoal[row]!;
    // Far enough, and no success: the ball was lost.
    const lost = !good && yards >= columns.asked[row]!;
    const made = lost ? 0 : bisectRight(asked, yards) / asked.length;
    k += made;
    n += good && toGoal !== UNKNOWN && yards >= toGoal ? made : 1;
  }
  return { k, n };
}

/** Weights of a beta distribution. */
type Beta = readonly [number, number];

/** What both films say of a play against each of some looks, in the section. */
export interface Evidence {
  /** Own snaps of it against each look, and those that succeeded. */
  readonly met: readonly Uint32Array[];
  readonly good: readonly number[];
  readonly beta: readonly Beta[];
  readonly ofKind: Beta;
  readonly ofPlay: Beta;
  /** A rate against a look, moved by what the situation asks: `kindRate` of its kind here, `playRate` its own here. */
  readonly here: (rate: number, kindRate: number, playRate: number) => number;
}

/** The rule of succession. */
const laplace = ({ k, n }: { readonly k: number; readonly n: number }): number => (k + 1) / (n + 2);

/** Null: no own snap of the play. */
export function evidenceOf(play: PlayCard, looks: readonly Look[], films: Films): Evidence | null {
  const { columns, own, known, inSection } = films;
  const run = rowsOfPlay(columns, own, play);
  if (run.length === 0) return null;
  const good = (rows: Uint32Array): number =>
    rows.reduce((k, row) => k + (columns.success[row] === 1 ? 1 : 0), 0);
  const alike = films.ofKind.get(play.kind)!;
  const usual = laplace({ k: good(alike), n: alike.length });
  const whole = (good(run) + PRIOR_SNAPS * usual) / (run.length + PRIOR_SNAPS);
  const met = byLook(columns, run, looks);
  // The same call succeeds less often where more is asked of it: by what calls of its kind gained, then by what it did,
  // each drawn on by those of the section. Where no down says what is asked (tries), as all calls of the section do.
  const here = (rows: Uint32Array): Uint32Array => rows.filter((i) => inSection.has(i));
  const seen = (rows: Uint32Array, toward: number): Beta => around(good(rows), rows.length, toward);
  const downs = films.asked.length > 0;
  const anyCall = laplace({ k: good(known), n: known.length });
  const kindAsked = downs
    ? laplace(madeOf(alike, films))
    : shifted(usual, meanOf(seen(here(known), anyCall)), anyCall);
  const ofKind = seen(here(alike), kindAsked);
  const playAsKind = shifted(whole, meanOf(ofKind), usual);
  const made = downs ? madeOf(run, films) : null;
  const playAsked = made ? meanOf(around(made.k, made.n, meanOf(ofKind))) : playAsKind;
  return {
    met,
    good: met.map(good),
    beta: met.map((rows) => around(good(rows), rows.length, whole)),
    ofKind,
    ofPlay: seen(here(run), playAsked),
    here: (rate, kindRate, playRate) => shifted(shifted(rate, kindRate, usual), playRate, playAsKind),
  };
}

/** Success to expect against each look. */
export const expected = ({ beta, ofKind, ofPlay, here }: Evidence): number[] =>
  beta.map((one) => here(meanOf(one), meanOf(ofKind), meanOf(ofPlay)));

/** One draw of it, by jStat's random source. */
export function drawn({ beta, ofKind, ofPlay, here }: Evidence): number[] {
  const [kindRate, playRate] = [jStat.beta.sample(...ofKind), jStat.beta.sample(...ofPlay)];
  return beta.map((one) => here(jStat.beta.sample(...one), kindRate, playRate));
}

/** How often they show each look, drawn toward what is known more generally: weights of a Dirichlet distribution. */
export function shownWeights(looks: readonly Look[], structure: string | null, films: Films): number[] {
  const even = looks.map(() => 1 / looks.length);
  const general = shares(shrink(sizes(films.anywhere.get(looks)!), even));
  const ofSection = shares(shrink(sizes(films.faced.get(looks)!), general));
  return shrink(sizes(films.shownTo(structure, looks)), ofSection);
}

/** Draws by stream, each uniform in [0, 1) and the same each time: what they show is drawn apart from what becomes of a call. */
export type Streams = (stream: number) => () => number;
const SHOWN_STREAM = 0;
const RATES_STREAM = 1;

/**
 * Argues plays of a section one after another. Plays of one concept share what our film says of it, those of one
 * structure what it is shown, and the draws of both.
 */
export function arguer(
  films: Films,
  random: Streams,
): (play: PlayCard, structure: string | null) => Argument | null {
  const shownOf = remembered((key: string, looks: readonly Look[], structure: string | null) => {
    const alpha = shownWeights(looks, structure, films);
    jStat.setRandom(random(SHOWN_STREAM));
    return {
      rows: films.shownTo(structure, looks),
      share: shares(alpha),
      draws: Array.from({ length: DRAWS }, () => shares(alpha.map((a) => jStat.gamma.sample(a, 1)))),
    };
  });
  const ratesOf = remembered((key: string, looks: readonly Look[], play: PlayCard) => {
    const evidence = evidenceOf(play, looks, films);
    if (evidence === null) return null;
    jStat.setRandom(random(RATES_STREAM));
    return {
      ...evidence,
      success: expected(evidence),
      draws: Array.from({ length: DRAWS }, () => drawn(evidence)),
    };
  });
  return (play, structure) => {
    const looks = looksFor(play);
    const rates = ratesOf(JSON.stringify([play.kind, play.concept, play.direction]), looks, play);
    if (rates === null) return null;
    const shown = shownOf(JSON.stringify([play.kind === 'pass', structure]), looks, structure);
    const mean = (faced: readonly number[], success: readonly number[]): number =>
      faced.reduce((sum, p, i) => sum + p * success[i]!, 0);
    const [low, high] = middle(Float64Array.from(shown.draws, (faced, d) => mean(faced, rates.draws[d]!)));
    return {
      structure,
      score: mean(shown.share, rates.success),
      low,
      high,
      n: sizes(shown.rows).reduce((a, b) => a + b, 0),
      looks: looks
        .map(({ key, words }, i) => ({
          look: key,
          words,
          share: shown.share[i]!,
          theirs: shown.rows[i]!,
          success: rates.success[i]!,
          ours: rates.met[i]!,
          k: rates.good[i]!,
        }))
        .sort((a, b) => b.share * b.success - a.share * a.success),
    };
  };
}

/** What was made once under a key is not made again. */
function remembered<A extends readonly unknown[], T>(
  make: (key: string, ...of: A) => T,
): (key: string, ...of: A) => T {
  const made = new Map<string, T>();
  return (key, ...of) => {
    if (!made.has(key)) made.set(key, make(key, ...of));
    return made.get(key)!;
  };
}

/**
 * `structure`: what the play stands in at the snap, as the book draws it; null: it names no formation, and all of
 * theirs count. Null: no own snap of the play, so there is nothing to argue from.
 */
export const argue = (
  play: PlayCard,
  structure: string | null,
  films: Films,
  random: Streams,
): Argument | null => arguer(films, random)(play, structure);

/** Weights of a beta distribution: k of n, drawn toward a rate. */
const around = (k: number, n: number, rate: number): Beta => [
  k + PRIOR_SNAPS * rate,
  n - k + PRIOR_SNAPS * (1 - rate),
];
const meanOf = ([a, b]: Beta): number => a / (a + b);

/** A draw from few snaps may be 0 or 1 to the last digit: no rate is held for certain. */
const CERTAIN = 1e-9;
const logit = (p: number): number => {
  const held = Math.min(1 - CERTAIN, Math.max(CERTAIN, p));
  return Math.log(held / (1 - held));
};
/** A rate moved on the logit scale as far as `to` lies from `from`. */
function shifted(rate: number, to: number, from: number): number {
  return 1 / (1 + Math.exp(-(logit(rate) + logit(to) - logit(from))));
}

/** The middle 95 % of the draws. */
function middle(draws: Float64Array): [low: number, high: number] {
  draws.sort();
  return [draws[Math.floor(0.025 * DRAWS)]!, draws[Math.ceil(0.975 * DRAWS) - 1]!];
}

/** Plays by the low end of what to expect of them; those without an argument stay behind, in the order they had. */
export const rankArgued = <S extends { readonly play: PlayCard }>(
  suggestions: readonly S[],
  argued: ReadonlyMap<string, Argument | null>,
): S[] =>
  [...suggestions].sort((a, b) => (argued.get(b.play.id)?.low ?? -1) - (argued.get(a.play.id)?.low ?? -1));
