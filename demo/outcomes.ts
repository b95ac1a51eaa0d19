/** How simulated plays end. */
import { mirrorHash, type Hash } from '../core/field/spot';
import type { GameState } from '../core/rules/state';
import type { Penalty, Snap } from '../core/snap/snap';
import type { Club } from './clubs';
import type { Random } from './random';
import { PLANTED_TELLS } from './truth';
import { type CallRecord, type Draft, type Mood, type World, clamp, logistic } from './draft';
import { HABIT, answer, look, lookOfCard, situationLogit } from './looks';

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

export function fromScrimmage(
  draft: Draft,
  gameState: GameState,
  offense: Club,
  defense: Club,
  random: Random,
  mood: Mood,
): Omit<CallRecord, 'snapId'> {
  const trying = gameState.unit === 'try';
  const here: GameState = trying ? { ...gameState, down: 3, distance: gameState.toGoal } : gameState;
  draft.unit = trying ? 'try' : 'scrimmage';
  const card = mood.world?.call?.(offense.key, gameState, random) ?? null;
  if (card) lookOfCard(draft, card, offense, random);
  else look(draft, here, offense, random);
  answer(draft, here, defense, random);
  const margin = draft.pointsFor! - draft.pointsAgainst!;
  const situation = logistic(situationLogit(here, margin, mood.mode) + offense.runLean);
  let chance = situation;
  const hit: string[] = [];
  if (mood.tells) {
    let x = Math.log(chance / (1 - chance));
    for (const word of [draft.personnel, draft.formation, draft.motion, draft.backfield, mood.after])
      x += HABIT[String(word)] ?? 0;
    if (draft.hash === 'M') x += 0.1;
    chance = logistic(x);
    for (const tell of PLANTED_TELLS) {
      if (tell.club !== offense.key) continue;
      const holds = Object.entries(tell.cue).every(
        ([field, word]) => (field === 'afterEvent' ? mood.after : draft[field as keyof Snap]) === word,
      );
      if (!holds) continue;
      hit.push(tell.id);
      chance = situation + (tell.outcome === 'run' ? tell.shift : -tell.shift) / 100;
    }
  }
  chance = clamp(chance);
  const run = card ? card.kind !== 'pass' : random.chance(chance);
  const strong = draft.formationSide === 'L' ? 'L' : 'R';
  const weak = strong === 'L' ? 'R' : 'L';
  draft.direction = random.chance(0.6) ? strong : weak;
  const rpo = run && random.chance(0.12);
  draft.play = rpo ? 'rpo' : run ? 'run' : 'pass';
  draft.concept = rpo ? 'inside zone' : random.weighted(run ? offense.runs : offense.passes);
  draft.conceptWeak = rpo
    ? random.pick(['bubble', 'now screen', 'stick'])
    : run
      ? '-'
      : random.chance(0.25)
        ? random.pick(['snag', 'slants', 'outs'])
        : '-';
  draft.protection = run
    ? '-'
    : random.weighted({ 'half slide': 50, 'full slide': 15, 'big-on-big': 15, 'six-man': 20 });
  if (card)
    Object.assign(draft, {
      play: card.kind,
      concept: card.concept,
      conceptWeak: card.conceptWeak ?? '-',
      direction: card.direction ?? draft.direction,
    });
  const record = { situation, called: chance, tells: hit };

  if (!trying && random.chance(0.055)) {
    let at = random.next() * 100;
    const foul = FOULS.find((f) => (at -= f.weight) < 0)?.foul ?? FOULS[0]!.foul;
    Object.assign(draft, { result: 'no_play', penalties: [foul] });
    return record;
  }
  if (mood.world) fated(draft, here, run, random, mood.world);
  else outcome(draft, here, run, random);
  if (trying) {
    const good = draft.gain !== null && draft.gain >= gameState.toGoal! && !draft.turnover;
    Object.assign(draft, {
      down: null,
      distance: null,
      gain: good ? gameState.toGoal : Math.min(draft.gain ?? 0, gameState.toGoal! - 1),
      score: good ? 'try_2' : null,
      scoredBy: good ? draft.offense : null,
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

/** Share of the distance that is a success, by down: the league's own rule (common practice). */
const NEEDED: Readonly<Record<number, number>> = { 1: 0.5, 2: 0.7, 3: 1, 4: 1 };
const succeeds = ({ gain, turnover }: Draft, { down, distance }: GameState): boolean =>
  !turnover && gain !== null && gain >= NEEDED[down!]! * distance!;

/** Ends as its chance says: ends are drawn until one is the success or the failure that it is to be. */
function fated(draft: Draft, here: GameState, run: boolean, random: Random, world: World): void {
  const wanted = random.chance(world.chance(draft));
  let tried: Draft;
  let left = MOST_ENDS;
  do {
    tried = { ...draft };
    outcome(tried, here, run, random);
  } while (succeeds(tried, here) !== wanted && --left > 0);
  Object.assign(draft, tried);
}
/** From some spots hardly any end is a success. */
const MOST_ENDS = 60;

function outcome(draft: Draft, gameState: GameState, run: boolean, random: Random): void {
  const toGoal = gameState.toGoal!;
  const box = (draft.box as number) - 6;
  let gain: number;
  draft.passer = run ? null : '7';
  if (run) {
    gain = Math.round(random.normal(4.2 - box * 0.5, 3.6)) + (random.chance(0.07) ? random.int(8, 30) : 0);
    draft.carrier = random.weighted({ '22': 60, '28': 25, '7': 15 });
    draft.result = 'gain';
    if (random.chance(0.012)) Object.assign(draft, { turnover: 'fumble', fumble: 'lost' });
  } else if (random.chance(0.065 + (draft.pressure === '-' ? 0 : 0.04))) {
    gain = -random.int(4, 10);
    draft.result = 'sack';
  } else if (random.chance(0.05)) {
    gain = Math.round(random.normal(6, 4));
    draft.result = 'scramble';
    draft.carrier = '7';
    draft.passer = null;
  } else {
    draft.target = random.weighted({ '81': 30, '11': 26, '84': 18, '88': 14, '22': 12 });
    if (random.chance(0.63)) {
      draft.result = 'complete';
      gain = Math.round(random.normal(9, 5.5)) + (random.chance(0.09) ? random.int(10, 35) : 0);
    } else {
      gain = 0;
      draft.result = 'incomplete';
      if (random.chance(0.07)) return interception(draft, toGoal, random);
      draft.incompleteCause = random.weighted({ overthrown: 35, defended: 30, dropped: 20, thrown_away: 15 });
    }
  }
  if (draft.result === 'incomplete') return void (draft.gain = 0);
  if (gain >= toGoal) {
    Object.assign(draft, {
      gain: toGoal,
      score: 'touchdown',
      scoredBy: draft.offense,
      turnover: null,
      fumble: null,
    });
    return;
  }
  if (gain <= toGoal - 100) {
    Object.assign(draft, {
      gain: toGoal - 100,
      score: 'safety',
      scoredBy: draft.defense,
      turnover: null,
      fumble: null,
    });
    return;
  }
  draft.gain = gain;
  draft.tacklers = random.chance(0.8) ? [random.pick(['54', '9', '41', '33', '90'])] : [];
  draft.outOfBounds = random.chance(0.14);
  draft.deadHash = random.pick<Hash>(['L', 'M', 'R']);
  if (draft.turnover === 'fumble') {
    const taken = 100 - toGoal + gain;
    const returnYards = Math.min(random.int(0, 6), Math.max(0, taken - 1));
    Object.assign(draft, {
      takenBy: '54',
      returnYards,
      deadPossession: draft.defense,
      deadToGoal: taken - returnYards,
      deadHash: mirrorHash(draft.deadHash),
    });
    return;
  }
  draft.deadPossession = draft.offense;
  draft.deadToGoal = toGoal - gain;
}

function interception(draft: Draft, toGoal: number, random: Random): void {
  const downfield = Math.min(random.int(4, 28), toGoal - 1);
  const caught = 100 - toGoal + downfield;
  const returnYards = Math.min(random.int(0, 18), caught - 1);
  Object.assign(draft, {
    gain: null,
    turnover: 'interception',
    turnoverYards: downfield,
    returnYards,
    takenBy: '21',
    deadPossession: draft.defense,
    deadToGoal: caught - returnYards,
    deadHash: random.pick<Hash>(['L', 'M', 'R']),
  });
}
