/** Contradictions between what was logged and what follows, from snap to snap and in the order of the game. */
import type { LevelProfile } from '../field/profile';
import type { Snap, SnapField, SnapFields } from '../snap/snap';
import { gainTo, spotAfter } from './arithmetic';
import { checkInside } from './check-inside';
import {
  missingSnaps,
  patchRemedy,
  type Finding,
  type FindingBody,
  type Remedy,
  type StateCode,
} from './finding';
import type { GameState } from './state';
import { isOpeningKickoff, walkGame, type WalkedSnap, type WalkOptions } from './walk';

/** A gain nobody loses is no remedy: the spot is wrong instead. */
const LEAST_GAIN = -20;

/** The gain that would make the snap before lead to what is logged now; null when none would. */
function fixedGain(previous: WalkedSnap, now: Snap): number | null {
  const { snap, before } = previous;
  if (
    snap.gain === null ||
    snap.result === 'incomplete' ||
    snap.result === 'spike' ||
    snap.turnover === 'interception' ||
    snap.turnover === 'fumble' ||
    snap.score ||
    snap.penalties.some((p) => p.outcome === 'accepted')
  )
    return null;
  const gain =
    now.toGoal !== null && before.toGoal !== null
      ? gainTo(before.toGoal, now.toGoal)
      : now.distance !== null && before.distance !== null && now.down === (before.down ?? 0) + 1
        ? before.distance - now.distance
        : null;
  return gain === null || gain === snap.gain || gain < LEAST_GAIN || gain > 99 ? null : gain;
}

/** What differs between the situation as logged and as it follows, the gravest first. */
function differences(row: WalkedSnap): StateCode[] {
  const { snap, expected } = row;
  const unit =
    expected.unit !== null && row.before.unit !== expected.unit && (snap.unit !== null || snap.down !== null);
  const other = (field: SnapField & keyof GameState): boolean =>
    snap[field] !== null && expected[field] !== null && snap[field] !== expected[field];
  const grave: StateCode[] = [
    ...(other('offense') ? ['possession' as const] : []),
    ...(unit ? ['unit' as const] : []),
  ];
  if (grave.length > 0) return grave;
  return [
    ...(other('down') ? ['down' as const] : []),
    ...(other('distance') ? ['distance' as const] : []),
    ...(other('toGoal') && expected.unit !== 'try' ? ['spot' as const] : []),
  ];
}

/** The fields that make the snap what follows. */
function followingFields(row: WalkedSnap, wrong: readonly StateCode[]): SnapFields {
  const { snap, expected } = row;
  if (wrong[0] === 'possession' || wrong[0] === 'unit')
    return {
      ...(wrong.includes('possession') ? { offense: expected.offense, defense: expected.defense } : {}),
      ...(wrong.includes('unit') ? { unit: expected.unit } : {}),
    };
  const both = (['down', 'distance', 'toGoal'] as const).filter(
    (f) => snap[f] !== null && expected[f] !== null,
  );
  return Object.fromEntries(both.map((f) => [f, expected[f]]));
}

function compareState(row: WalkedSnap, previous: WalkedSnap): FindingBody | null {
  const { snap, expected, before } = row;
  const wrong = differences(row);
  const [code] = wrong;
  if (code === undefined) return null;
  const { steps } = previous.after;
  const facts = { logged: before, follows: expected, previous: previous.before, steps };
  const expectsKick = expected.unit === 'kickoff' || expected.unit === 'try' || expected.unit === 'free_kick';
  if (wrong.includes('unit') && expectsKick && before.unit !== 'try')
    return { code: 'missing-kick', level: 'cannot_know', facts, remedies: missingSnaps(snap.snapId) };
  const off = (field: 'distance' | 'toGoal'): number =>
    snap[field] === null || expected[field] === null ? 0 : Math.abs(snap[field] - expected[field]);
  const rounding =
    wrong.every((w) => w === 'distance' || w === 'spot') && off('distance') <= 1 && off('toGoal') <= 1;
  const remedies: Remedy[] = [
    patchRemedy(
      { code: 'situation', facts: { finding: code, logged: before, follows: expected } },
      snap.snapId,
      followingFields(row, wrong),
    ),
  ];
  const gain = code === 'possession' || code === 'unit' ? null : fixedGain(previous, snap);
  if (gain !== null) {
    const { toGoal } = previous.before;
    const moves = previous.snap.deadToGoal !== null && toGoal !== null;
    remedies.push(
      patchRemedy({ code: 'gain-before', facts: { n: gain } }, previous.snap.snapId, {
        gain,
        deadToGoal: moves ? spotAfter(toGoal, gain) : null,
      }),
    );
  }
  if (!rounding) remedies.push(...missingSnaps(snap.snapId));
  return { code, level: rounding ? 'note' : 'finding', facts: { ...facts, rounding }, remedies };
}

/** Quarter, clock, score and hash against the snap before. */
function checkBetween(row: WalkedSnap, previous: WalkedSnap): FindingBody[] {
  const { snap, before, expected } = row;
  const { snapId } = snap;
  const out: FindingBody[] = [];
  const was = previous.before.quarter;
  if (snap.quarter !== null && was !== null && (snap.quarter < was || snap.quarter > was + 1)) {
    const back = patchRemedy({ code: 'quarter', facts: { n: was } }, snapId, { quarter: was });
    out.push({
      code: 'quarter',
      level: 'finding',
      facts: { logged: snap.quarter, before: was },
      remedies: [back, ...missingSnaps(snapId)],
    });
  } else if (
    snap.clock !== null &&
    previous.snap.clock !== null &&
    before.quarter === was &&
    snap.clock > previous.snap.clock
  ) {
    out.push({
      code: 'clock',
      level: 'finding',
      facts: { logged: snap.clock, before: previous.snap.clock },
      remedies: [
        patchRemedy({ code: 'clear-clock', facts: null }, snapId, { clock: null }),
        patchRemedy({ code: 'clear-clock-before', facts: null }, previous.snap.snapId, { clock: null }),
      ],
    });
  }
  for (const [team, field] of [
    [before.offense, 'pointsFor'],
    [before.defense, 'pointsAgainst'],
  ] as const) {
    const logged = snap[field];
    const follows = team === null ? undefined : expected.score[team];
    if (team === null || logged === null || follows === undefined || follows === logged) continue;
    const remedy = patchRemedy({ code: 'points', facts: { team, points: follows } }, snapId, {
      [field]: follows,
    });
    out.push({
      code: 'score',
      level: 'finding',
      facts: { team, logged, follows },
      remedies: [remedy, ...missingSnaps(snapId)],
    });
  }
  // A hash an engine can vouch for: the one the ball was logged dead on, with no foul in between.
  if (
    snap.hash !== null &&
    previous.snap.deadHash !== null &&
    !row.anchored &&
    expected.hash !== null &&
    expected.hash !== snap.hash &&
    before.unit === 'scrimmage' &&
    previous.snap.penalties.length === 0
  )
    out.push({
      code: 'hash',
      level: 'note',
      facts: { logged: snap.hash, follows: expected.hash },
      remedies: [
        patchRemedy({ code: 'hash', facts: { hash: expected.hash } }, snapId, { hash: expected.hash }),
      ],
    });
  return out;
}

/** The team that received the opening kickoff kicks off the second half. */
function checkHalf(row: WalkedSnap, openingReceiver: string | null): FindingBody[] {
  const { offense, quarter, unit } = row.before;
  if (!row.anchored || quarter !== 3 || unit !== 'kickoff') return [];
  if (openingReceiver === null || offense === null || offense === openingReceiver) return [];
  return [
    {
      code: 'half-kickoff',
      level: 'note',
      facts: { logged: offense, follows: openingReceiver },
      remedies: [],
    },
  ];
}

function checkFilm(row: WalkedSnap, previous: WalkedSnap | undefined): FindingBody[] {
  const { snap, before } = row;
  const noDown = before.down === null;
  const noSpot = before.toGoal === null;
  if (before.unit !== 'scrimmage' || snap.result === null || (!noDown && !noSpot)) return [];
  return [
    {
      code: 'missing-film',
      level: 'cannot_know',
      facts: { steps: previous ? previous.after.steps : null, noDown, noSpot },
      remedies: previous && !row.anchored ? missingSnaps(snap.snapId) : [],
    },
  ];
}

/** All findings of a walked game, in game order. */
export function checkRows(rows: readonly WalkedSnap[]): Finding[] {
  const [first] = rows;
  const openingReceiver = first && isOpeningKickoff(first.before) ? first.before.defense : null;
  return rows.flatMap((row, i): Finding[] => {
    const previous = rows[i - 1];
    const clash = previous && !row.anchored ? compareState(row, previous) : null;
    const found = [
      ...(clash ? [clash] : []),
      ...(previous ? [...checkBetween(row, previous), ...checkHalf(row, openingReceiver)] : []),
      ...checkFilm(row, previous),
      ...checkInside(row),
    ];
    return found.map((body) => ({ ...body, snapId: row.snap.snapId, number: row.number }));
  });
}

/** Walks and checks one game. */
export const checkGame = (
  snaps: readonly Snap[],
  profile: LevelProfile,
  options: WalkOptions = {},
): Finding[] => checkRows(walkGame(snaps, profile, options));
