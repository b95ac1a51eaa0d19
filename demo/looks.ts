/** What a simulated offense shows and a defense answers. */
import { DEFAULT_BOOK } from '../core/book/default-book';
import { findTerm } from '../core/book/index-terms';
import { lineUp, receivers } from '../core/look/formation';
import { atSnap, motionPath } from '../core/look/motion';
import type { PlayCard } from '../core/plan/sheet';
import type { GameState } from '../core/rules/state';
import { BACKFIELDS_BY_PEOPLE, FORMATIONS_BY_PEOPLE, type Club } from './clubs';
import type { Random } from './random';
import { PLANTED_TELLS } from './truth';
import type { Draft } from './draft';

/** Run logit of the situation alone: down, distance, field, clock, score. */
export function situationLogit(gameState: GameState, margin: number, mode: string): number {
  const { down, distance, toGoal } = gameState;
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

export const HABIT: Readonly<Record<string, number>> = {
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

/** A call from a sheet as it lines up; what the card leaves open, the coordinator's habits fill. */
export function lookOfCard(draft: Draft, card: PlayCard, offense: Club, random: Random): void {
  draft.personnel = card.personnel ?? random.weighted(offense.personnel);
  draft.formation = card.formation ?? random.weighted(FORMATIONS_BY_PEOPLE[draft.personnel]!);
  draft.formationSide = card.formationSide ?? random.pick(['L', 'R'] as const);
  draft.backfield =
    card.backfield ??
    (draft.formation === 'empty' ? 'gun' : random.weighted(BACKFIELDS_BY_PEOPLE[draft.personnel]!));
  draft.tempo = 'huddle';
  draft.motion = card.motion ?? '-';
  lineUpShown(draft, card.motion === null ? null : (card.motionBy ?? 'Z'));
}

export function look(draft: Draft, gameState: GameState, offense: Club, random: Random): void {
  const short = gameState.unit === 'try' || gameState.distance! <= 2 || gameState.toGoal! <= 3;
  const long = gameState.down === 3 && gameState.distance! >= 7;
  const weights: Record<string, number> = { ...offense.personnel };
  if (short) for (const heavy of ['12', '21', '22']) weights[heavy] = (weights[heavy] ?? 2) * 2;
  if (long) {
    weights['10'] = (weights['10'] ?? 4) * 2.5;
    for (const heavy of ['12', '21', '22']) if (weights[heavy]) weights[heavy] = weights[heavy] * 0.3;
  }
  draft.personnel = random.weighted(weights);
  draft.formation = random.weighted(
    openFieldOnly(FORMATIONS_BY_PEOPLE[draft.personnel]!, short, offense.key),
  );
  const field = draft.hash === 'L' ? 'R' : draft.hash === 'R' ? 'L' : null;
  draft.formationSide = field && random.chance(0.68) ? field : random.pick(['L', 'R'] as const);
  draft.backfield =
    draft.formation === 'empty' ? 'gun' : random.weighted(BACKFIELDS_BY_PEOPLE[draft.personnel]!);
  draft.tempo = random.weighted({ huddle: 50, 'no huddle': 40, fast: 10 });
  const moves = random.chance(offense.motion);
  draft.motion = moves
    ? random.weighted(
        short || backedUp(gameState)
          ? { jet: 50, across: 50 }
          : { jet: 30, orbit: 27, return: 25, across: 18 },
      )
    : '-';
  lineUpShown(draft, null);
}

/** Receivers to each side, set and at the snap. `by`: who moves, where a card names him. */
function lineUpShown(draft: Draft, by: string | null): void {
  const men = lineUp(
    findTerm(DEFAULT_BOOK, 'formation', draft.formation)?.spots ?? null,
    draft.formationSide === 'L' || draft.formationSide === 'R' ? draft.formationSide : null,
    findTerm(DEFAULT_BOOK, 'backfield', draft.backfield)?.spots ?? null,
  );
  const set = receivers(men);
  draft.receiversLeftSet = set.left.length;
  draft.receiversRightSet = set.right.length;
  draft.receiversLeftSnap = set.left.length;
  draft.receiversRightSnap = set.right.length;
  if (draft.motion === '-') return;
  draft.motionBy = by ?? (men.some((m) => m.letter === 'H') ? 'H' : 'Z');
  const mover = men.find((m) => m.letter === draft.motionBy);
  const from = (mover?.x ?? 1) < 0 ? 'L' : 'R';
  draft.motionSide = draft.motion === 'return' ? from : from === 'L' ? 'R' : 'L';
  const motion = findTerm(DEFAULT_BOOK, 'motion', draft.motion)?.definition;
  const path =
    motion?.kind === 'motion' ? motionPath(men, draft.motionBy, motion.motion, draft.motionSide) : null;
  const snap = receivers(atSnap(men, draft.motionBy, path));
  draft.receiversLeftSnap = snap.left.length;
  draft.receiversRightSnap = snap.right.length;
}

export function answer(draft: Draft, gameState: GameState, defense: Club, random: Random): void {
  draft.front = random.weighted(defense.fronts);
  const trips = Math.abs((draft.receiversLeftSnap as number) - (draft.receiversRightSnap as number)) >= 2;
  const weights: Record<string, number> = { ...defense.coverages };
  if (trips) weights['cover 3'] = (weights['cover 3'] ?? 5) * 1.8;
  if (gameState.toGoal! <= 10) weights['cover 1'] = (weights['cover 1'] ?? 5) * 2;
  draft.coverage = random.weighted(weights);
  draft.rotation = draft.coverage === 'cover 3' ? random.weighted({ strong: 6, weak: 4 }) : '-';
  draft.shell =
    draft.coverage === 'cover 3' || draft.coverage === 'cover 1'
      ? random.chance(0.7)
        ? 1
        : 2
      : draft.coverage === 'cover 0'
        ? 0
        : 2;
  draft.box = Math.max(
    5,
    Math.min(
      8,
      (draft.personnel as string) === '10'
        ? random.int(5, 6)
        : (draft.personnel as string) === '11'
          ? random.int(6, 7)
          : random.int(7, 8),
    ),
  );
  const chance = defense.pressure * (gameState.down === 3 ? 1.8 : 1);
  draft.pressure = random.chance(chance)
    ? random.weighted({
        'mike a pressure': 30,
        'field edge pressure': 25,
        'boundary edge pressure': 20,
        'nickel pressure': 15,
        'simulated pressure': 10,
      })
    : '-';
  draft.rushers = draft.pressure === '-' ? 4 : draft.pressure === 'simulated pressure' ? 4 : 5;
}
