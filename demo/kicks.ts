/** Kicks of the simulated league. */
import type { Hash } from '../core/field/spot';
import type { GameState } from '../core/rules/state';
import type { Club } from './clubs';
import type { Random } from './random';
import type { Draft } from './draft';

export function kick(draft: Draft, gameState: GameState, random: Random): void {
  Object.assign(draft, {
    unit: gameState.unit,
    result: 'kick',
    down: null,
    distance: null,
    kicker: '3',
    hash: 'M',
  });
  if (gameState.unit === 'kickoff' && random.chance(0.52))
    Object.assign(draft, { kickYards: 65, kickEnd: 'touchback' });
  else if (random.chance(0.03))
    Object.assign(draft, { kickYards: random.int(40, 52), kickEnd: 'out_of_bounds' });
  else {
    const kickYards = gameState.unit === 'kickoff' ? random.int(54, 63) : random.int(48, 60);
    // Never past the other goal line: the ball is caught short of it.
    const caught = 100 - gameState.toGoal! + kickYards;
    const returnYards = Math.min(Math.max(1, Math.round(random.normal(21, 7))), caught - 5);
    Object.assign(draft, {
      kickYards,
      kickEnd: 'returned',
      returnYards,
      returner: '5',
      deadPossession: draft.defense,
      deadToGoal: caught - returnYards,
      deadHash: random.pick<Hash>(['L', 'M', 'R']),
    });
  }
}

export function punt(draft: Draft, gameState: GameState, random: Random): void {
  Object.assign(draft, { unit: 'punt', result: 'kick', kicker: '9' });
  const kickYards = random.int(34, 50);
  if (kickYards >= gameState.toGoal! - 2)
    return void Object.assign(draft, { kickYards: gameState.toGoal!, kickEnd: 'touchback' });
  const caught = 100 - gameState.toGoal! + kickYards;
  const fair = random.chance(0.45);
  const returnYards = fair ? 0 : Math.min(Math.max(0, Math.round(random.normal(7, 5))), caught - 5);
  Object.assign(draft, {
    kickYards,
    kickEnd: fair ? 'fair_catch' : 'returned',
    returnYards: fair ? null : returnYards,
    returner: '5',
    deadPossession: draft.defense,
    deadToGoal: caught - returnYards,
    deadHash: random.pick<Hash>(['L', 'M', 'R']),
  });
}

export function fieldGoal(draft: Draft, gameState: GameState, offense: Club, random: Random): void {
  const length = gameState.toGoal! + 17;
  const good = random.chance(length < 35 ? 0.9 : length < 45 ? 0.74 : 0.52);
  Object.assign(draft, {
    unit: 'field_goal',
    result: 'kick',
    kickYards: length,
    kickEnd: good ? 'good' : 'missed',
    kicker: '3',
    ...(good ? { score: 'field_goal', scoredBy: offense.key } : {}),
  });
}
