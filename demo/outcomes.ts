/** How simulated plays end. */
import { mirrorHash, type Hash } from '../core/field/spot';
import type { GameState } from '../core/rules/state';
import type { Penalty, Snap } from '../core/snap/snap';
import type { Club } from './clubs';
import type { Random } from './random';
import { PLANTED_TELLS } from './truth';
import { type CallRecord, type Draft, type Mood, clamp, logistic } from './draft';
import { HABIT, answer, look, situationLogit } from './looks';

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
