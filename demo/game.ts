/**
 * One simulated game. Calls come from the coordinators' habits; everything that follows a call
 * (downs, spots, scores, kicks, possession) comes out of the rules engine.
 */
import { DEFAULT_BOOK } from '../core/book/default-book';
import { findTerm } from '../core/book/index-terms';
import { clockModeOf } from '../core/field/situation';
import { COLLEGE } from '../core/field/profile';
import { mirrorHash, type Hash } from '../core/field/spot';
import { lineUp, receivers } from '../core/look/formation';
import { atSnap, motionPath } from '../core/look/motion';
import { nextState } from '../core/rules/next-state';
import { unknownState, type GameState } from '../core/rules/state';
import { blankSnap } from '../core/snap/fields';
import type { Penalty, Snap } from '../core/snap/snap';
import { BACKFIELDS_BY_PEOPLE, clubOf, FORMATIONS_BY_PEOPLE, type Club } from './clubs';
import { seededRandom, seedOf, type Random } from './random';
import { PLANTED_TELLS } from './truth';

export interface GamePlan {
  readonly key: string;
  readonly home: string;
  readonly away: string;
  readonly seed: number;
  /** False: the null league. Calls depend on the situation alone. */
  readonly tells: boolean;
}

/** What the model knew when it called a snap: for checks of the ground truth, never for the product. */
export interface CallRecord {
  readonly snapId: string;
  readonly situation: number;
  readonly called: number;
  readonly tells: readonly string[];
}

export interface SimulatedGame {
  readonly snaps: readonly Snap[];
  readonly calls: readonly CallRecord[];
  readonly score: Readonly<Record<string, number>>;
}

type Draft = { -readonly [K in keyof Snap]: Snap[K] };
const logistic = (x: number): number => 1 / (1 + Math.exp(-x));
const clamp = (p: number): number => Math.min(0.985, Math.max(0.015, p));

/** Run logit of the situation alone: down, distance, field, clock, score. */
function situationLogit(s: GameState, margin: number, mode: string): number {
  const { down, distance, toGoal } = s;
  let x = 0.15;
  if (down === 2) x += distance! <= 2 ? 0.9 : distance! <= 6 ? 0.1 : -0.55;
  if (down === 3) x += distance! <= 2 ? 0.7 : distance! <= 6 ? -1.3 : -2.1;
  if (down === 4) x += distance! <= 2 ? 0.6 : -1.6;
  if (toGoal! <= 3) x += 0.8;
  if (toGoal! >= 91) x += 0.5;
  if (mode === 'two_minute') x -= 1.4;
  if (mode === 'four_minute') x += 1.1;
  if (margin <= -14) x -= 0.4;
  return x;
}

const HABIT: Readonly<Record<string, number>> = {
  '12': 0.15,
  '21': 0.3,
  '22': 0.9,
  '10': -0.3,
  empty: -1.6,
  jet: 0.2,
  under: 0.25,
  'explosive-after': -0.1,
  turnover: 0.15,
  loss: -0.15,
};

export function simulateGame(plan: GamePlan): SimulatedGame {
  const random = seededRandom(seedOf(plan.seed, plan.key));
  const snaps: Snap[] = [];
  const calls: CallRecord[] = [];
  const opener = random.chance(0.5) ? plan.home : plan.away;
  const other = (t: string) => (t === plan.home ? plan.away : plan.home);
  let quarter = 1;
  let clock = 900;
  let after = 'nothing';
  let state = kickoffState(opener, { [plan.home]: 0, [plan.away]: 0 });

  function kickoffState(kicker: string, score: Record<string, number>): GameState {
    return {
      ...unknownState(score),
      offense: kicker,
      defense: other(kicker),
      unit: 'kickoff',
      toGoal: COLLEGE.kickoffToGoal,
      quarter,
      clock,
    };
  }

  for (let guard = 0; guard < 400; guard++) {
    if (clock <= 0) {
      if (quarter === 4) break;
      quarter++;
      clock = 900;
      if (quarter === 3) state = kickoffState(other(opener), { ...state.score });
    }
    const id = `${plan.key}-${String(snaps.length + 1).padStart(3, '0')}`;
    const draft: Draft = { ...blankSnap(id, plan.key, snaps.length + 1) };
    const offense = state.offense!;
    const defense = other(offense);
    Object.assign(draft, {
      offense,
      defense,
      quarter,
      clock,
      pointsFor: state.score[offense] ?? 0,
      pointsAgainst: state.score[defense] ?? 0,
      toGoal: state.toGoal,
      hash:
        state.unit === 'kickoff' || state.unit === 'free_kick' || state.unit === 'try'
          ? 'M'
          : (state.hash ?? 'M'),
      down: state.down,
      distance: state.distance,
    });
    const mode = clockModeOf(quarter, clock, draft.pointsFor! - draft.pointsAgainst!) ?? 'normal';
    const record = playSnap(draft, state, clubOf(offense), clubOf(defense), random, {
      mode,
      after,
      tells: plan.tells,
    });
    if (record) calls.push({ snapId: id, ...record });
    const snap: Snap = draft;
    const result = nextState({ ...state, hash: draft.hash, quarter, clock }, snap, COLLEGE);
    draft.nextOffense = result.state.offense;
    snaps.push({ ...draft });
    after = eventAfter(snap);
    clock -= secondsOf(snap, mode, random);
    if (result.state.offense === null)
      throw new Error(`the simulated game stopped: ${JSON.stringify(result)}`);
    const drawn =
      result.state.unit === 'scrimmage' && result.state.hash === null
        ? { ...result.state, hash: random.pick<Hash>(['L', 'M', 'R']) }
        : result.state;
    state = drawn;
  }
  return { snaps, calls, score: state.score };
}

function eventAfter(s: Snap): string {
  if (s.turnover) return 'turnover';
  if (s.penalties.some((p) => p.outcome !== 'declined')) return 'penalty';
  if (s.gain !== null && s.gain >= (s.result === 'complete' || s.result === 'scramble' ? 16 : 12))
    return 'explosive';
  return s.result === 'sack' || (s.gain ?? 0) < 0 ? 'loss' : 'nothing';
}

function secondsOf(s: Snap, mode: string, random: Random): number {
  if (s.unit === 'try') return 0;
  if (s.unit === 'kickoff' || s.unit === 'free_kick') return random.int(4, 9);
  if (s.result === 'incomplete' || s.outOfBounds || s.result === 'spike') return random.int(5, 9);
  if (s.result === 'no_play') return random.int(0, 3);
  return mode === 'two_minute'
    ? random.int(14, 24)
    : mode === 'four_minute'
      ? random.int(36, 42)
      : random.int(24, 38);
}

interface Mood {
  readonly mode: string;
  readonly after: string;
  readonly tells: boolean;
}

function playSnap(
  d: Draft,
  s: GameState,
  offense: Club,
  defense: Club,
  random: Random,
  mood: Mood,
): Omit<CallRecord, 'snapId'> | null {
  if (s.unit === 'kickoff' || s.unit === 'free_kick') {
    kick(d, s, random);
    return null;
  }
  const margin = d.pointsFor! - d.pointsAgainst!;
  if (s.unit === 'try' && !(margin === -2 || margin === -5 || random.chance(0.04))) {
    Object.assign(d, { unit: 'try', result: 'kick', down: null, distance: null, kicker: '3' });
    const good = random.chance(0.94);
    d.kickEnd = good ? 'good' : 'missed';
    if (good) Object.assign(d, { score: 'try_1', scoredBy: offense.key });
    return null;
  }
  if (s.down === 4 && s.unit === 'scrimmage') {
    const late = d.quarter === 4 && margin < 0 && d.clock! < 300;
    const go =
      late ||
      (s.distance! <= 2 && s.toGoal! < 60 && random.chance(0.55)) ||
      (s.toGoal! >= 34 && s.toGoal! <= 42 && s.distance! <= 5 && random.chance(0.4));
    if (!go) {
      if (s.toGoal! <= 36) fieldGoal(d, s, offense, random);
      else punt(d, s, random);
      return null;
    }
  }
  return fromScrimmage(d, s, offense, defense, random, mood);
}

function kick(d: Draft, s: GameState, random: Random): void {
  Object.assign(d, { unit: s.unit, result: 'kick', down: null, distance: null, kicker: '3', hash: 'M' });
  if (s.unit === 'kickoff' && random.chance(0.52)) Object.assign(d, { kickYards: 65, kickEnd: 'touchback' });
  else if (random.chance(0.03)) Object.assign(d, { kickYards: random.int(40, 52), kickEnd: 'out_of_bounds' });
  else {
    const kickYards = s.unit === 'kickoff' ? random.int(54, 63) : random.int(48, 60);
    // Never past the other goal line: the ball is caught short of it.
    const caught = 100 - s.toGoal! + kickYards;
    const returnYards = Math.min(Math.max(1, Math.round(random.normal(21, 7))), caught - 5);
    Object.assign(d, {
      kickYards,
      kickEnd: 'returned',
      returnYards,
      returner: '5',
      deadPossession: d.defense,
      deadToGoal: caught - returnYards,
      deadHash: random.pick<Hash>(['L', 'M', 'R']),
    });
  }
}

function punt(d: Draft, s: GameState, random: Random): void {
  Object.assign(d, { unit: 'punt', result: 'kick', kicker: '9' });
  const kickYards = random.int(34, 50);
  if (kickYards >= s.toGoal! - 2)
    return void Object.assign(d, { kickYards: s.toGoal!, kickEnd: 'touchback' });
  const caught = 100 - s.toGoal! + kickYards;
  const fair = random.chance(0.45);
  const returnYards = fair ? 0 : Math.min(Math.max(0, Math.round(random.normal(7, 5))), caught - 5);
  Object.assign(d, {
    kickYards,
    kickEnd: fair ? 'fair_catch' : 'returned',
    returnYards: fair ? null : returnYards,
    returner: '5',
    deadPossession: d.defense,
    deadToGoal: caught - returnYards,
    deadHash: random.pick<Hash>(['L', 'M', 'R']),
  });
}

function fieldGoal(d: Draft, s: GameState, offense: Club, random: Random): void {
  const length = s.toGoal! + 17;
  const good = random.chance(length < 35 ? 0.9 : length < 45 ? 0.74 : 0.52);
  Object.assign(d, {
    unit: 'field_goal',
    result: 'kick',
    kickYards: length,
    kickEnd: good ? 'good' : 'missed',
    kicker: '3',
    ...(good ? { score: 'field_goal', scoredBy: offense.key } : {}),
  });
}

/** Backed up, the run is likely anyway. */
const backedUp = (s: GameState): boolean => s.toGoal! >= 91;

/** A planted run tell lives in the open field: in short yardage everybody runs and nothing could be seen. */
function openFieldOnly(
  weights: Readonly<Record<string, number>>,
  short: boolean,
  club: string,
): Record<string, number> {
  const cued = new Set(
    PLANTED_TELLS.filter((t) => t.club === club && t.outcome === 'run').map((t) => t.cue.formation),
  );
  const left = Object.entries(weights).filter(([formation]) => !(short && cued.has(formation)));
  return Object.fromEntries(left.length > 0 ? left : Object.entries(weights));
}

function look(d: Draft, s: GameState, offense: Club, random: Random): void {
  const short = s.unit === 'try' || s.distance! <= 2 || s.toGoal! <= 3;
  const long = s.down === 3 && s.distance! >= 7;
  const weights: Record<string, number> = { ...offense.personnel };
  if (short) for (const heavy of ['12', '21', '22']) weights[heavy] = (weights[heavy] ?? 2) * 2;
  if (long) {
    weights['10'] = (weights['10'] ?? 4) * 2.5;
    for (const heavy of ['12', '21', '22']) if (weights[heavy]) weights[heavy] = weights[heavy] * 0.3;
  }
  d.personnel = random.weighted(weights);
  d.formation = random.weighted(openFieldOnly(FORMATIONS_BY_PEOPLE[d.personnel]!, short, offense.key));
  const field = d.hash === 'L' ? 'R' : d.hash === 'R' ? 'L' : null;
  d.formationSide = field && random.chance(0.68) ? field : random.pick(['L', 'R'] as const);
  d.backfield = d.formation === 'empty' ? 'gun' : random.weighted(BACKFIELDS_BY_PEOPLE[d.personnel]!);
  d.tempo = random.weighted({ huddle: 50, 'no huddle': 40, fast: 10 });
  d.motion = '-';
  const men = lineUp(
    findTerm(DEFAULT_BOOK, 'formation', d.formation)?.spots ?? null,
    d.formationSide,
    findTerm(DEFAULT_BOOK, 'backfield', d.backfield)?.spots ?? null,
  );
  const set = receivers(men);
  d.receiversLeftSet = set.left.length;
  d.receiversRightSet = set.right.length;
  d.receiversLeftSnap = set.left.length;
  d.receiversRightSnap = set.right.length;
  if (random.chance(offense.motion)) {
    d.motion = random.weighted(
      short || backedUp(s) ? { jet: 50, across: 50 } : { jet: 30, orbit: 27, return: 25, across: 18 },
    );
    d.motionBy = men.some((m) => m.letter === 'H') ? 'H' : 'Z';
    const mover = men.find((m) => m.letter === d.motionBy);
    const from = (mover?.x ?? 1) < 0 ? 'L' : 'R';
    d.motionSide = d.motion === 'return' ? from : from === 'L' ? 'R' : 'L';
    const motion = findTerm(DEFAULT_BOOK, 'motion', d.motion)?.definition;
    const path = motion?.kind === 'motion' ? motionPath(men, d.motionBy, motion.motion, d.motionSide) : null;
    const snap = receivers(atSnap(men, d.motionBy, path));
    d.receiversLeftSnap = snap.left.length;
    d.receiversRightSnap = snap.right.length;
  }
}

function answer(d: Draft, s: GameState, defense: Club, random: Random): void {
  d.front = random.weighted(defense.fronts);
  const trips = Math.abs((d.receiversLeftSnap as number) - (d.receiversRightSnap as number)) >= 2;
  const weights: Record<string, number> = { ...defense.coverages };
  if (trips) weights['cover 3'] = (weights['cover 3'] ?? 5) * 1.8;
  if (s.toGoal! <= 10) weights['cover 1'] = (weights['cover 1'] ?? 5) * 2;
  d.coverage = random.weighted(weights);
  d.rotation = d.coverage === 'cover 3' ? random.weighted({ strong: 6, weak: 4 }) : '-';
  d.shell =
    d.coverage === 'cover 3' || d.coverage === 'cover 1'
      ? random.chance(0.7)
        ? 1
        : 2
      : d.coverage === 'cover 0'
        ? 0
        : 2;
  d.box = Math.max(
    5,
    Math.min(
      8,
      (d.personnel as string) === '10'
        ? random.int(5, 6)
        : (d.personnel as string) === '11'
          ? random.int(6, 7)
          : random.int(7, 8),
    ),
  );
  const chance = defense.pressure * (s.down === 3 ? 1.8 : 1);
  d.pressure = random.chance(chance)
    ? random.weighted({
        'mike a pressure': 30,
        'field edge pressure': 25,
        'boundary edge pressure': 20,
        'nickel pressure': 15,
        'simulated pressure': 10,
      })
    : '-';
  d.rushers = d.pressure === '-' ? 4 : d.pressure === 'simulated pressure' ? 4 : 5;
}

const FOULS: readonly { readonly weight: number; readonly foul: Penalty }[] = [
  {
    weight: 30,
    foul: { side: 'o', name: 'holding', yards: 10, from: 'prev', outcome: 'accepted', extra: '' },
  },
  {
    weight: 28,
    foul: { side: 'o', name: 'false start', yards: 5, from: 'prev', outcome: 'accepted', extra: '' },
  },
  {
    weight: 20,
    foul: { side: 'd', name: 'offside', yards: 5, from: 'prev', outcome: 'accepted', extra: '' },
  },
  { weight: 14, foul: { side: 'd', name: 'pi', yards: 15, from: 'prev', outcome: 'accepted', extra: '1st' } },
  {
    weight: 8,
    foul: { side: 'd', name: 'holding', yards: 10, from: 'prev', outcome: 'accepted', extra: '1st' },
  },
];

function fromScrimmage(
  d: Draft,
  s: GameState,
  offense: Club,
  defense: Club,
  random: Random,
  mood: Mood,
): Omit<CallRecord, 'snapId'> {
  const trying = s.unit === 'try';
  const here: GameState = trying ? { ...s, down: 3, distance: s.toGoal } : s;
  d.unit = trying ? 'try' : 'scrimmage';
  look(d, here, offense, random);
  answer(d, here, defense, random);
  const margin = d.pointsFor! - d.pointsAgainst!;
  const situation = logistic(situationLogit(here, margin, mood.mode) + offense.runLean);
  let p = situation;
  const hit: string[] = [];
  if (mood.tells) {
    let x = Math.log(p / (1 - p));
    for (const word of [d.personnel, d.formation, d.motion, d.backfield, mood.after])
      x += HABIT[String(word)] ?? 0;
    if (d.hash === 'M') x += 0.1;
    p = logistic(x);
    for (const tell of PLANTED_TELLS) {
      if (tell.club !== offense.key) continue;
      const holds = Object.entries(tell.cue).every(
        ([field, word]) => (field === 'afterEvent' ? mood.after : d[field as keyof Snap]) === word,
      );
      if (!holds) continue;
      hit.push(tell.id);
      p = situation + (tell.outcome === 'run' ? tell.shift : -tell.shift) / 100;
    }
  }
  p = clamp(p);
  const run = random.chance(p);
  const strong = d.formationSide === 'L' ? 'L' : 'R';
  const weak = strong === 'L' ? 'R' : 'L';
  d.direction = random.chance(0.6) ? strong : weak;
  const rpo = run && random.chance(0.12);
  d.play = rpo ? 'rpo' : run ? 'run' : 'pass';
  d.concept = rpo ? 'inside zone' : random.weighted(run ? offense.runs : offense.passes);
  d.conceptWeak = rpo
    ? random.pick(['bubble', 'now screen', 'stick'])
    : run
      ? '-'
      : random.chance(0.25)
        ? random.pick(['snag', 'slants', 'outs'])
        : '-';
  d.protection = run
    ? '-'
    : random.weighted({ 'half slide': 50, 'full slide': 15, 'big-on-big': 15, 'six-man': 20 });
  const record = { situation, called: p, tells: hit };

  if (!trying && random.chance(0.055)) {
    let at = random.next() * 100;
    const foul = FOULS.find((f) => (at -= f.weight) < 0)?.foul ?? FOULS[0]!.foul;
    Object.assign(d, { result: 'no_play', penalties: [foul] });
    return record;
  }
  outcome(d, here, run, random);
  if (trying) {
    const good = d.gain !== null && d.gain >= s.toGoal! && !d.turnover;
    Object.assign(d, {
      down: null,
      distance: null,
      gain: good ? s.toGoal : Math.min(d.gain ?? 0, s.toGoal! - 1),
      score: good ? 'try_2' : null,
      scoredBy: good ? d.offense : null,
      turnover: null,
      fumble: null,
      turnoverYards: null,
      returnYards: null,
      deadPossession: null,
      deadToGoal: null,
      deadHash: null,
      takenBy: null,
      returner: null,
    });
  }
  return record;
}

function outcome(d: Draft, s: GameState, run: boolean, random: Random): void {
  const toGoal = s.toGoal!;
  const box = (d.box as number) - 6;
  let gain: number;
  d.passer = run ? null : '7';
  if (run) {
    gain = Math.round(random.normal(4.2 - box * 0.5, 3.6)) + (random.chance(0.07) ? random.int(8, 30) : 0);
    d.carrier = random.weighted({ '22': 60, '28': 25, '7': 15 });
    d.result = 'gain';
    if (random.chance(0.012)) Object.assign(d, { turnover: 'fumble', fumble: 'lost' });
  } else if (random.chance(0.065 + (d.pressure === '-' ? 0 : 0.04))) {
    gain = -random.int(4, 10);
    d.result = 'sack';
  } else if (random.chance(0.05)) {
    gain = Math.round(random.normal(6, 4));
    d.result = 'scramble';
    d.carrier = '7';
    d.passer = null;
  } else {
    d.target = random.weighted({ '81': 30, '11': 26, '84': 18, '88': 14, '22': 12 });
    if (random.chance(0.63)) {
      d.result = 'complete';
      gain = Math.round(random.normal(9, 5.5)) + (random.chance(0.09) ? random.int(10, 35) : 0);
    } else {
      gain = 0;
      d.result = 'incomplete';
      if (random.chance(0.07)) return interception(d, toGoal, random);
      d.incompleteCause = random.weighted({ overthrown: 35, defended: 30, dropped: 20, thrown_away: 15 });
    }
  }
  if (d.result === 'incomplete') return void (d.gain = 0);
  if (gain >= toGoal) {
    Object.assign(d, { gain: toGoal, score: 'touchdown', scoredBy: d.offense, turnover: null, fumble: null });
    return;
  }
  if (gain <= toGoal - 100) {
    Object.assign(d, {
      gain: toGoal - 100,
      score: 'safety',
      scoredBy: d.defense,
      turnover: null,
      fumble: null,
    });
    return;
  }
  d.gain = gain;
  d.tacklers = random.chance(0.8) ? [random.pick(['54', '9', '41', '33', '90'])] : [];
  d.outOfBounds = random.chance(0.14);
  d.deadHash = random.pick<Hash>(['L', 'M', 'R']);
  if (d.turnover === 'fumble') {
    const taken = 100 - toGoal + gain;
    const returnYards = Math.min(random.int(0, 6), Math.max(0, taken - 1));
    Object.assign(d, {
      takenBy: '54',
      returnYards,
      deadPossession: d.defense,
      deadToGoal: taken - returnYards,
      deadHash: mirrorHash(d.deadHash),
    });
    return;
  }
  d.deadPossession = d.offense;
  d.deadToGoal = toGoal - gain;
}

function interception(d: Draft, toGoal: number, random: Random): void {
  const downfield = Math.min(random.int(4, 28), toGoal - 1);
  const caught = 100 - toGoal + downfield;
  const returnYards = Math.min(random.int(0, 18), caught - 1);
  Object.assign(d, {
    gain: null,
    turnover: 'interception',
    turnoverYards: downfield,
    returnYards,
    takenBy: '21',
    deadPossession: d.defense,
    deadToGoal: caught - returnYards,
    deadHash: random.pick<Hash>(['L', 'M', 'R']),
  });
}
