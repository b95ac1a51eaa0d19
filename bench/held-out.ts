/**
 * Held out: sheets drafted from the games that were logged, played in the next one by the league's simulator, whose
 * truth is known: how often each call succeeds against each look it draws. The planner sees logged snaps alone. Beside
 * the drafted sheet stand the one drafted for last week's opponent, one of random plays, and the best that the truth
 * allows; in worlds as logged, in worlds that change after the film, and in worlds where no call is better than another.
 */
import { DEFAULT_BOOK } from '../core/book/default-book';
import { bucketOf, COLLEGE } from '../core/field';
import { draftCalls, playLook, SECTIONS, structuresOf, type PlayCard, type SectionSpec } from '../core/plan';
import { buildColumns, countGame, DEFAULT_RULES, type Columns } from '../core/read';
import { t95 } from '../core/read/rates';
import { blankSnap } from '../core/snap/fields';
import { uniform } from '../core/stats/uniform';
import type { GameState } from '../core/rules/state';
import { clubOf, type Club } from '../demo/clubs';
import type { Draft, World } from '../demo/draft';
import { simulateGame } from '../demo/game';
import {
  fixtures,
  loggedGames,
  NEXT_OPPONENT,
  PROGRAM,
  simulateSeason,
  THIS_WEEK,
  type LeagueGame,
} from '../demo/league';
import { answer, lookOfCard } from '../demo/looks';
import { seededRandom, seedOf, type Random } from '../demo/random';

export const SETTINGS = ['as logged', 'changed after the film', 'all calls alike'] as const;
export type Setting = (typeof SETTINGS)[number];
export const SHEETS = ['drafted', 'last week’s', 'random', 'best possible'] as const;
export type SheetName = (typeof SHEETS)[number];
type Sheet = ReadonlyMap<string, readonly PlayCard[]>;

/** Spread on the logit scale of how good calls are, and of how much a look suits them. */
const SPREAD = { call: 0.35, look: 0.6 };
/** A world that changes: coordinators' weights are multiplied by e to a normal of this spread. */
const DRIFT = 0.8;
/** Games a sheet is played in each world. */
const GAMES = 4;

/** Each concept of our coordinator from four line-ups: a list that leaves a choice. */
const LINE_UPS: Readonly<Record<'run' | 'pass', readonly (readonly [string, string, 'L' | 'R'])[]>> = {
  run: [
    ['11', 'trips', 'R'],
    ['11', 'doubles', 'L'],
    ['12', 'wing', 'R'],
    ['21', 'pro', 'L'],
  ],
  pass: [
    ['11', 'trips', 'L'],
    ['11', 'bunch', 'R'],
    ['10', 'spread', 'R'],
    ['12', 'ace', 'L'],
  ],
};
const PLAYS: readonly PlayCard[] = (['run', 'pass'] as const).flatMap((kind) =>
  Object.keys(clubOf(PROGRAM)[kind === 'run' ? 'runs' : 'passes']).flatMap((concept) =>
    LINE_UPS[kind].map(([personnel, formation, formationSide], i): PlayCard => ({
      id: `${concept} ${i}`,
      name: `${concept} ${formation}`,
      kind,
      personnel,
      formation,
      formationSide,
      motion: null,
      motionBy: null,
      concept,
      conceptWeak: null,
      direction: null,
      backfield: null,
      links: [],
    })),
  ),
);

/** A number that follows from words alone, roughly normal. */
const fixed = (seed: number, ...words: readonly (string | number)[]): number =>
  seededRandom(seedOf(seed, ...words)).normal(0, 1);

/** What the league knows of a look: the coverage and whether pressure comes, or the men in the box. */
const shown = (snap: Draft): string =>
  snap.play === 'pass'
    ? `${snap.coverage} ${snap.pressure === '-' ? 'base' : 'pressure'}`
    : `${Number(snap.box)} in the box`;

function chanceIn(seed: number, setting: Setting, later: boolean) {
  const changed = setting === 'changed after the film' && later;
  const known = new Map<string, number>();
  return (snap: Draft): number => {
    const base = setting === 'all calls alike' ? -0.2 : snap.play === 'pass' ? -0.3 : -0.1;
    if (setting === 'all calls alike') return logistic(base);
    const call = [snap.play!, snap.concept!] as const;
    const worth = (...of: readonly string[]): number => {
      const key = of.join('|');
      let found = known.get(key);
      if (found === undefined) {
        // Half of what a call is worth is another after the film.
        found = changed ? (fixed(seed, key) + fixed(seed, 'later', key)) / Math.SQRT2 : fixed(seed, key);
        known.set(key, found);
      }
      return found;
    };
    return logistic(base + SPREAD.call * worth(...call) + SPREAD.look * worth(...call, shown(snap)));
  };
}
const logistic = (x: number): number => 1 / (1 + Math.exp(-x));

/** A coordinator who drifts: each weight another, pressure too. */
function drifted(seed: number, club: Club): Club {
  const weights = (of: Readonly<Record<string, number>>): Record<string, number> =>
    Object.fromEntries(
      Object.entries(of).map(([word, w]) => [
        word,
        w * Math.exp(DRIFT * fixed(seed, 'drift', club.key, word)),
      ]),
    );
  return {
    ...club,
    coverages: weights(club.coverages),
    fronts: weights(club.fronts),
    pressure: Math.min(0.6, club.pressure * Math.exp(DRIFT * fixed(seed, 'drift', club.key))),
  };
}

const columnsOf = (games: readonly LeagueGame[]): Columns =>
  buildColumns(
    games.flatMap((game) => countGame(game.snaps, COLLEGE, DEFAULT_BOOK, DEFAULT_RULES)),
    DEFAULT_RULES,
  );

let structures: ReturnType<typeof structuresOf> | null = null;

function drafted(columns: Columns, opponent: string): Sheet {
  structures ??= structuresOf(DEFAULT_BOOK, COLLEGE, DEFAULT_RULES.look, PLAYS);
  const calls = draftCalls({
    columns,
    team: PROGRAM,
    opponent,
    plays: PLAYS,
    structures,
    sections: SECTIONS,
    // None of the usual sections asks for more than kinds of calls.
    fits: ({ kinds }, { kind }) => kinds.length === 0 || kinds.includes(kind),
    random: (stream) => uniform(1 + stream),
  });
  return new Map(SECTIONS.map((s) => [s.key, calls.filter((c) => c.section === s.key).map((c) => c.play)]));
}

/** As many calls in each section as the drafted sheet has, chosen by `worth`, the most first. */
const alike = (sheet: Sheet, worth: (section: SectionSpec, play: PlayCard) => number): Sheet =>
  new Map(
    SECTIONS.map((section) => [
      section.key,
      PLAYS.map((play) => ({ play, worth: worth(section, play) }))
        .sort((a, b) => b.worth - a.worth)
        .slice(0, sheet.get(section.key)!.length)
        .map(({ play }) => play),
    ]),
  );

/** The section a coach would look up; the first fifteen calls stay in theirs. */
export function sectionFor(state: GameState, called: number): string {
  if (state.unit === 'try') return 'two-point';
  if (state.toGoal! <= 3) return 'goal';
  if (state.toGoal! <= 15) return 'red';
  if (state.toGoal! >= 91) return 'backed';
  if (called < 15) return 'openers';
  const bucket = bucketOf({ ...state, fresh: false });
  const found = SECTIONS.find((s) => s.filter?.bucket?.includes(bucket ?? ''));
  return found?.key ?? 'first';
}

/** Calls from a sheet, each of a section as often as another; the truth of each that was called is noted. */
function caller(sheet: Sheet) {
  let called = 0;
  return (offense: string, state: GameState, random: Random): PlayCard | null => {
    if (offense !== PROGRAM) return null;
    const calls = sheet.get(sectionFor(state, called++)) ?? [];
    const list = calls.length > 0 ? calls : sheet.get('first')!;
    return random.pick(list);
  };
}

/** Expected success by the truth: what the opponent shows to this line-up in states of this section, many times. */
function truthOf(states: readonly GameState[], opponent: Club, chance: World['chance'], seed: number) {
  const shownTo = new Map<string, readonly Draft[]>();
  const bySection = new Map(
    SECTIONS.map(({ key }) => [key, states.filter((s) => sectionFor(s, key === 'openers' ? 0 : 99) === key)]),
  );
  return (section: SectionSpec, card: PlayCard): number => {
    const key = `${section.key} ${playLook(card)}`;
    const here = bySection.get(section.key)!;
    let shown = shownTo.get(key);
    if (!shown) {
      const random = seededRandom(seedOf(seed, 'truth', key));
      shown = Array.from({ length: here.length === 0 ? 0 : DRAWS }, () => {
        const draft: Draft = { ...blankSnap('truth', 'truth', 1), offense: PROGRAM };
        lookOfCard(draft, card, clubOf(PROGRAM), random);
        answer(draft, random.pick(here), opponent, random);
        return draft;
      });
      shownTo.set(key, shown);
    }
    const sum = shown.reduce(
      (all, draft) => all + chance({ ...draft, play: card.kind, concept: card.concept }),
      0,
    );
    return shown.length === 0 ? 0 : sum / shown.length;
  };
}
const DRAWS = 120;

export interface Played {
  /** Mean of the true chance over what was called; share that succeeded; points a game. */
  readonly chance: number;
  readonly success: number;
  readonly points: number;
}

function play(sheet: Sheet, seed: number, world: Omit<World, 'call'>): Played {
  let [chance, good, n, points] = [0, 0, 0, 0];
  for (let g = 0; g < GAMES; g++) {
    const { snaps, score } = simulateGame({
      key: `held-out-${g}`,
      home: PROGRAM,
      away: NEXT_OPPONENT,
      seed,
      tells: true,
      world: { ...world, call: caller(sheet) },
    });
    points += score[PROGRAM]!;
    for (const snap of snaps) {
      if (snap.offense !== PROGRAM || snap.unit !== 'scrimmage' || snap.concept === null) continue;
      if (snap.result === 'no_play') continue;
      chance += world.chance(snap as Draft);
      good +=
        snap.gain !== null && !snap.turnover && snap.gain >= NEEDED[snap.down!]! * snap.distance! ? 1 : 0;
      n++;
    }
  }
  return { chance: chance / n, success: good / n, points: points / GAMES };
}
const NEEDED: Readonly<Record<number, number>> = { 1: 0.5, 2: 0.7, 3: 1, 4: 1 };

/** One world: its season is played and logged, four sheets are made for its next game, and all of them are played. */
export function heldOut(seed: number, setting: Setting): Readonly<Record<SheetName, Played>> {
  const season = simulateSeason(seed, {
    tells: true,
    weeks: THIS_WEEK - 1,
    world: { chance: chanceIn(seed, setting, false) },
  });
  const logged = loggedGames(season).map((game) => ({ ...game, snaps: game.logged }));
  const sheet = drafted(columnsOf(logged), NEXT_OPPONENT);
  const before = fixtures(THIS_WEEK - 1).find((pair) => pair.includes(PROGRAM))!;
  const lastOpponent = before.find((team) => team !== PROGRAM)!;
  const knownThen = season.filter(
    (g) => g.week < THIS_WEEK - 1 && [g.home, g.away].some((t) => t === PROGRAM || t === lastOpponent),
  );
  const later = {
    chance: chanceIn(seed, setting, true),
    ...(setting === 'changed after the film' ? { defense: (club: Club) => drifted(seed, club) } : {}),
  };
  const random = seededRandom(seedOf(seed, 'random sheet'));
  const states = season
    .filter((g) => g.home === PROGRAM || g.away === PROGRAM)
    .flatMap((g) => g.snaps)
    .filter((s) => s.offense === PROGRAM && (s.unit === 'scrimmage' || s.unit === 'try') && s.toGoal !== null)
    .map((s) => s as unknown as GameState);
  const opponent = later.defense?.(clubOf(NEXT_OPPONENT)) ?? clubOf(NEXT_OPPONENT);
  const truth = truthOf(states, opponent, later.chance, seed);
  const fits = ({ kinds }: SectionSpec, { kind }: PlayCard): boolean =>
    kinds.length === 0 || kinds.includes(kind);
  const sheets: Record<SheetName, Sheet> = {
    drafted: sheet,
    'last week’s': drafted(columnsOf(knownThen), lastOpponent),
    random: alike(sheet, (section, card) => (fits(section, card) ? random.next() : -1)),
    'best possible': alike(sheet, (section, card) => (fits(section, card) ? truth(section, card) : -1)),
  };
  return Object.fromEntries(SHEETS.map((name) => [name, play(sheets[name], seed, later)])) as Record<
    SheetName,
    Played
  >;
}

/** A mean over worlds, with its 95 % interval. */
interface Mean {
  readonly mean: number;
  readonly low: number;
  readonly high: number;
}
function meanOf(values: readonly number[]): Mean {
  const n = values.length;
  const mean = values.reduce((a, b) => a + b, 0) / n;
  const half = t95(n - 1) * Math.sqrt(values.reduce((a, v) => a + (v - mean) ** 2, 0) / (n - 1) / n);
  return { mean, low: mean - half, high: mean + half };
}

export interface Compared {
  readonly setting: Setting;
  readonly worlds: number;
  readonly of: Readonly<Record<SheetName, Readonly<Record<keyof Played, Mean>>>>;
  /** Drafted minus each other, world by world. */
  readonly ahead: Readonly<Record<Exclude<SheetName, 'drafted'>, Readonly<Record<keyof Played, Mean>>>>;
}

const MEASURES = ['chance', 'success', 'points'] as const satisfies readonly (keyof Played)[];
const each = (of: (measure: keyof Played) => readonly number[]): Record<keyof Played, Mean> =>
  Object.fromEntries(MEASURES.map((m) => [m, meanOf(of(m))])) as Record<keyof Played, Mean>;

/** Means with their 95 % intervals over worlds, two at least. */
export function compareSheets(
  setting: Setting,
  all: readonly Readonly<Record<SheetName, Played>>[],
): Compared {
  return {
    setting,
    worlds: all.length,
    of: Object.fromEntries(
      SHEETS.map((name) => [name, each((m) => all.map((one) => one[name][m]))]),
    ) as Compared['of'],
    ahead: Object.fromEntries(
      SHEETS.filter((n) => n !== 'drafted').map((name) => [
        name,
        each((m) => all.map((one) => one.drafted[m] - one[name][m])),
      ]),
    ) as Compared['ahead'],
  };
}

const points = (m: Mean, scale: number, digits: number): string =>
  `${(scale * m.mean).toFixed(digits)} (${(scale * m.low).toFixed(digits)} to ${(scale * m.high).toFixed(digits)})`;

/** As lines of text: success in percent, points a game, each with its interval. */
export const comparedLines = ({ setting, worlds, of, ahead }: Compared): string[] => [
  `${setting}, ${worlds} worlds, ${GAMES} games each`,
  ...SHEETS.map(
    (name) =>
      `  ${name}: true success ${points(of[name].chance, 100, 1)} %, points a game ${points(of[name].points, 1, 1)}`,
  ),
  ...SHEETS.filter((n) => n !== 'drafted').map((name) => {
    const d = ahead[name as keyof typeof ahead];
    return `  drafted minus ${name}: ${points(d.chance, 100, 2)} % of success, ${points(d.points, 1, 2)} points`;
  }),
];
