/**
 * Contradictions between what was logged and what follows. Findings are values with code, facts,
 * sentence and remedies: a difference of one yard is a rounding note (spots are rounded when they
 * are marked), a hole in the film is "cannot know", everything else is a finding.
 */
import { formatClock, formatDownDistance, formatSpot, hashWord } from '../field/spot';
import type { LevelProfile } from '../field/profile';
import type { Snap, SnapFields } from '../snap/snap';
import { describeState, explain, shortState, stepSentence } from './messages';
import type { GameState } from './state';
import { isOpeningKickoff, walkGame, type WalkedSnap, type WalkOptions } from './walk';

export const FINDING_CODES = [
  'possession',
  'unit',
  'down',
  'distance',
  'spot',
  'score',
  'clock',
  'quarter',
  'hash',
  'missing-film',
  'missing-kick',
  'gain-and-spot',
  'goal-line',
  'touchdown-gain',
  'no-distance',
  'kick-length',
  'people',
  'next-offense',
  'half-kickoff',
  'teams',
] as const;
export type FindingCode = (typeof FINDING_CODES)[number];
export type FindingLevel = 'finding' | 'note' | 'cannot_know';

/** What one key fixes. `insertBefore`: a snap is missing before this one. */
export interface Remedy {
  readonly label: string;
  readonly patches: readonly { readonly snapId: string; readonly fields: SnapFields }[];
  readonly insertBefore: string | null;
}

export interface Finding {
  readonly snapId: string;
  readonly number: number;
  readonly code: FindingCode;
  readonly level: FindingLevel;
  readonly logged: string;
  readonly follows: string;
  readonly sentence: string;
  readonly remedies: readonly Remedy[];
}

const patch = (label: string, snapId: string, fields: SnapFields): Remedy => ({
  label,
  patches: [{ snapId, fields }],
  insertBefore: null,
});
const missing = (snapId: string): Remedy => ({
  label: 'a snap is missing before it',
  patches: [],
  insertBefore: snapId,
});

const alikeWords = (words: (s: GameState) => string, logged: GameState, expected: GameState): string =>
  words(logged) === words(expected) ? describeState(expected, 'in yards') : words(expected);

/** The gain that would make the snap before lead to what is logged now; null when none would. */
function fixedGain(previous: WalkedSnap, now: Snap): number | null {
  const { snap, before } = previous;
  if (
    snap.gain === null ||
    snap.turnover === 'interception' ||
    snap.turnover === 'fumble' ||
    snap.score ||
    snap.penalties.some((p) => p.outcome === 'accepted')
  )
    return null;
  if (now.toGoal !== null && before.toGoal !== null) return before.toGoal - now.toGoal;
  if (now.distance !== null && before.distance !== null && now.down === (before.down ?? 0) + 1)
    return before.distance - now.distance;
  return null;
}

function compareState(row: WalkedSnap, previous: WalkedSnap): Finding | null {
  const { snap, expected } = row;
  const logged: GameState = { ...row.before };
  const wrong: FindingCode[] = [];
  const expectsKick = expected.unit === 'kickoff' || expected.unit === 'try' || expected.unit === 'free_kick';
  const unitDiffers =
    expected.unit !== null && row.before.unit !== expected.unit && (snap.unit !== null || snap.down !== null);
  if (unitDiffers && expectsKick && row.before.unit !== 'try') {
    const what = expected.unit === 'try' ? 'try' : 'kickoff';
    return {
      snapId: snap.snapId,
      number: row.number,
      code: 'missing-kick',
      level: 'cannot_know',
      logged: describeState(logged),
      follows: describeState(expected),
      sentence: `A ${what} should come first (${explain(previous.after.steps)}); it was not logged, so what follows it cannot be known.`,
      remedies: [missing(snap.snapId)],
    };
  }
  if (expected.offense !== null && snap.offense !== null && snap.offense !== expected.offense)
    wrong.push('possession');
  if (unitDiffers) wrong.push('unit');
  if (wrong.length === 0) {
    if (snap.down !== null && expected.down !== null && snap.down !== expected.down) wrong.push('down');
    if (snap.distance !== null && expected.distance !== null && snap.distance !== expected.distance)
      wrong.push('distance');
    if (
      snap.toGoal !== null &&
      expected.toGoal !== null &&
      snap.toGoal !== expected.toGoal &&
      expected.unit !== 'try'
    )
      wrong.push('spot');
  }
  const code = wrong[0];
  if (code === undefined) return null;
  const off = (a: number | null, b: number | null) => (a === null || b === null ? 0 : Math.abs(a - b));
  const rounding =
    !wrong.some((w) => w === 'possession' || w === 'unit' || w === 'down') &&
    off(snap.distance, expected.distance) <= 1 &&
    off(snap.toGoal, expected.toGoal) <= 1;
  const spotOnly = code === 'spot' || code === 'possession';
  const words = (s: GameState) =>
    code === 'possession'
      ? `${s.offense} with the ball`
      : spotOnly
        ? s.toGoal === null
          ? 'spot not known'
          : formatSpot(s.toGoal)
        : shortState(s);
  const remedies: Remedy[] = [];
  const fields: Record<string, unknown> = {};
  if (wrong.includes('possession'))
    Object.assign(fields, { offense: expected.offense, defense: expected.defense });
  if (wrong.includes('unit')) fields.unit = expected.unit;
  if (code !== 'possession' && code !== 'unit') {
    if (snap.down !== null && expected.down !== null) fields.down = expected.down;
    if (snap.distance !== null && expected.distance !== null) fields.distance = expected.distance;
    if (snap.toGoal !== null && expected.toGoal !== null) fields.toGoal = expected.toGoal;
  }
  remedies.push(patch(`this is ${alikeWords(words, logged, expected)}`, snap.snapId, fields as SnapFields));
  const gain = code === 'possession' || code === 'unit' ? null : fixedGain(previous, snap);
  // A gain nobody loses is no remedy: the spot is wrong instead.
  if (gain !== null && gain !== previous.snap.gain && gain >= -20 && gain <= 99) {
    const still = previous.snap.result === 'incomplete' || previous.snap.result === 'spike';
    if (!still)
      remedies.push(
        patch(`the gain before was ${gain}`, previous.snap.snapId, {
          gain,
          deadToGoal:
            previous.snap.deadToGoal === null
              ? null
              : previous.before.toGoal === null
                ? null
                : previous.before.toGoal - gain,
        }),
      );
  }
  if (!rounding) remedies.push(missing(snap.snapId));
  // "gain of 6 on 1st & 10, reaches …": the first step is what was done on the down.
  const [done = '', ...more] = previous.after.steps.map(stepSentence);
  const because = `${[`${done} on ${shortState(previous.before)}`, ...more].join(', ')}${more.length > 0 ? ', which' : ''}`;
  const [loggedWords, followsWords] = [
    alikeWords(words, expected, logged),
    alikeWords(words, logged, expected),
  ];
  return {
    snapId: snap.snapId,
    number: row.number,
    code,
    level: rounding ? 'note' : 'finding',
    logged: words(logged),
    follows: words(expected),
    sentence: rounding
      ? `${loggedWords} was logged; ${because} leaves ${followsWords}: one yard, rounding.`
      : `${loggedWords} was logged; ${because} leaves ${followsWords}.`,
    remedies,
  };
}

/** Contradictions inside one snap. */
function checkInside(row: WalkedSnap): Finding[] {
  const { snap, before } = row;
  const out: Finding[] = [];
  const add = (
    code: FindingCode,
    logged: string,
    follows: string,
    sentence: string,
    remedies: Remedy[],
    level: FindingLevel = 'finding',
  ) =>
    out.push({ snapId: snap.snapId, number: row.number, code, level, logged, follows, sentence, remedies });
  const toGoal = before.toGoal;
  const plain =
    snap.gain !== null &&
    toGoal !== null &&
    !snap.turnover &&
    snap.result !== 'no_play' &&
    snap.unit !== 'kickoff';
  if (snap.offense !== null && snap.offense === snap.defense)
    add('teams', snap.offense, 'two teams', 'Offense and defense are the same team.', []);
  if (
    plain &&
    snap.score === 'touchdown' &&
    (snap.scoredBy === null || snap.scoredBy === before.offense) &&
    snap.gain !== toGoal
  ) {
    add(
      'touchdown-gain',
      `gain ${snap.gain}`,
      `gain ${toGoal}`,
      `A touchdown from ${formatSpot(toGoal!)} is a gain of ${toGoal}, not ${snap.gain}.`,
      [
        patch(`the gain was ${toGoal}`, snap.snapId, { gain: toGoal }),
        patch(`the snap was from ${formatSpot(Math.max(1, Math.min(99, snap.gain!)))}`, snap.snapId, {
          toGoal: Math.max(1, Math.min(99, snap.gain!)),
        }),
      ],
    );
  } else if (
    plain &&
    !snap.score &&
    (snap.gain! >= toGoal! || snap.gain! <= toGoal! - 100) &&
    snap.unit !== 'try'
  ) {
    const gained = snap.gain! >= toGoal!;
    add(
      'goal-line',
      `gain ${snap.gain}`,
      gained ? 'touchdown' : 'safety',
      `A gain of ${snap.gain} from ${formatSpot(toGoal!)} reaches the goal line, but no ${gained ? 'touchdown' : 'safety'} was logged.`,
      [
        patch(
          gained ? 'it was a touchdown' : 'it was a safety',
          snap.snapId,
          gained
            ? { score: 'touchdown', scoredBy: before.offense, gain: toGoal }
            : { score: 'safety', scoredBy: before.defense },
        ),
      ],
    );
  }
  if (
    plain &&
    !snap.score &&
    snap.deadToGoal !== null &&
    (snap.deadPossession === null || snap.deadPossession === before.offense) &&
    snap.penalties.every((p) => p.outcome !== 'accepted')
  ) {
    const dead = toGoal! - snap.gain!;
    const off = Math.abs(dead - snap.deadToGoal);
    if (off > 0) {
      add(
        'gain-and-spot',
        `dead at ${formatSpot(snap.deadToGoal)}`,
        dead > 0 && dead < 100 ? formatSpot(dead) : 'past the goal line',
        `A gain of ${snap.gain} from ${formatSpot(toGoal!)} ends at ${dead > 0 && dead < 100 ? formatSpot(dead) : 'the goal line'}, but the ball was logged dead at ${formatSpot(snap.deadToGoal)}.`,
        [
          patch(`the gain was ${toGoal! - snap.deadToGoal}`, snap.snapId, {
            gain: toGoal! - snap.deadToGoal,
          }),
          patch(`dead at ${formatSpot(Math.max(1, Math.min(99, dead)))}`, snap.snapId, {
            deadToGoal: Math.max(1, Math.min(99, dead)),
          }),
        ],
        off <= 1 ? 'note' : 'finding',
      );
    }
  }
  const kicked =
    snap.turnover === 'interception'
      ? snap.turnoverYards
      : snap.turnover === 'fumble'
        ? snap.gain
        : snap.kickYards;
  const handed =
    snap.deadToGoal !== null &&
    snap.deadPossession !== null &&
    snap.deadPossession === before.defense &&
    toGoal !== null &&
    kicked !== null &&
    !snap.score &&
    snap.kickEnd !== 'blocked' &&
    snap.kickEnd !== 'touchback' &&
    snap.kickEnd !== 'missed' &&
    snap.kickEnd !== 'good';
  if (handed && snap.result !== 'no_play') {
    const dead = 100 - toGoal + kicked - (snap.returnYards ?? 0);
    const off = Math.abs(dead - snap.deadToGoal);
    if (off > 0 && !(snap.kickEnd === 'out_of_bounds' && snap.unit === 'kickoff')) {
      add(
        'gain-and-spot',
        `dead at ${formatSpot(snap.deadToGoal)}`,
        `${dead} yards to goal`,
        `From ${formatSpot(toGoal)}, ${kicked} yards and a return of ${snap.returnYards ?? 0} leave ${dead > 0 && dead < 100 ? formatSpot(dead) : `${dead} yards to goal`}, but the ball was logged dead at ${formatSpot(snap.deadToGoal)}.`,
        dead > 0 && dead < 100
          ? [patch(`dead at ${formatSpot(dead)}`, snap.snapId, { deadToGoal: dead })]
          : [],
        off <= 1 ? 'note' : 'finding',
      );
    }
  }
  if (before.distance !== null && toGoal !== null && before.distance > toGoal && snap.distance !== null) {
    add(
      'no-distance',
      `${before.distance} to go`,
      `goal to go from ${formatSpot(toGoal)}`,
      `${formatDownDistance(before.down ?? 1, before.distance, null)} was logged at ${formatSpot(toGoal)}; the goal line is ${toGoal} away.`,
      [patch(`goal to go, ${toGoal}`, snap.snapId, { distance: toGoal })],
    );
  }
  if (
    snap.unit === 'field_goal' &&
    snap.kickYards !== null &&
    toGoal !== null &&
    snap.kickEnd !== 'blocked' &&
    (snap.kickYards < toGoal + 16 || snap.kickYards > toGoal + 19)
  ) {
    add(
      'kick-length',
      `${snap.kickYards} yards`,
      `${toGoal + 17} yards`,
      `A try from ${formatSpot(toGoal)} is ${toGoal + 16} to ${toGoal + 19} yards long, not ${snap.kickYards}.`,
      [
        patch(`the attempt was ${toGoal + 17}`, snap.snapId, { kickYards: toGoal + 17 }),
        ...(snap.kickYards > 17
          ? [
              patch(`the spot was ${formatSpot(snap.kickYards - 17)}`, snap.snapId, {
                toGoal: snap.kickYards - 17,
              }),
            ]
          : []),
      ],
    );
  }
  if (
    typeof snap.personnel === 'string' &&
    /^\d\d$/.test(snap.personnel) &&
    Number(snap.personnel[0]) + Number(snap.personnel[1]) > 5
  ) {
    add(
      'people',
      snap.personnel,
      'five at most',
      `${snap.personnel} personnel is ${Number(snap.personnel[0]) + Number(snap.personnel[1])} backs and tight ends; there are five.`,
      [],
    );
  }
  if (
    snap.nextOffense !== null &&
    row.after.state.offense !== null &&
    snap.nextOffense !== row.after.state.offense
  ) {
    add(
      'next-offense',
      `${snap.nextOffense} next`,
      `${row.after.state.offense} next`,
      `${snap.nextOffense} was logged to put the ball in play next; ${explain(row.after.steps)} leaves it to ${row.after.state.offense}.`,
      [patch(`${row.after.state.offense} is next`, snap.snapId, { nextOffense: row.after.state.offense })],
    );
  }
  return out;
}

function checkBetween(row: WalkedSnap, previous: WalkedSnap): Finding[] {
  const { snap } = row;
  const out: Finding[] = [];
  const add = (
    code: FindingCode,
    logged: string,
    follows: string,
    sentence: string,
    remedies: Remedy[],
    level: FindingLevel = 'finding',
  ) =>
    out.push({ snapId: snap.snapId, number: row.number, code, level, logged, follows, sentence, remedies });
  const was = previous.before.quarter;
  if (snap.quarter !== null && was !== null && (snap.quarter < was || snap.quarter > was + 1)) {
    add(
      'quarter',
      `quarter ${snap.quarter}`,
      `quarter ${was}`,
      `Quarter ${snap.quarter} was logged after quarter ${was}.`,
      [patch(`quarter ${was}`, snap.snapId, { quarter: was }), missing(snap.snapId)],
    );
  } else if (
    snap.clock !== null &&
    previous.snap.clock !== null &&
    row.before.quarter === was &&
    snap.clock > previous.snap.clock
  ) {
    add(
      'clock',
      formatClock(snap.clock),
      `at most ${formatClock(previous.snap.clock)}`,
      `The clock reads ${formatClock(snap.clock)} after ${formatClock(previous.snap.clock)} in the same quarter.`,
      [
        patch('clear the clock here', snap.snapId, { clock: null }),
        patch('clear the clock before', previous.snap.snapId, { clock: null }),
      ],
    );
  }
  const { offense, defense } = row.before;
  for (const [team, logged, field] of [
    [offense, snap.pointsFor, 'pointsFor'],
    [defense, snap.pointsAgainst, 'pointsAgainst'],
  ] as const) {
    const follows = team === null ? undefined : row.expected.score[team];
    if (team !== null && logged !== null && follows !== undefined && follows !== logged) {
      add(
        'score',
        `${team} ${logged}`,
        `${team} ${follows}`,
        `${team} was logged with ${logged} points; what came before gives ${follows}.`,
        [patch(`${team} has ${follows}`, snap.snapId, { [field]: follows }), missing(snap.snapId)],
      );
    }
  }
  // A hash an engine can vouch for: the one the ball was logged dead on, with no foul in between.
  if (
    snap.hash !== null &&
    previous.snap.deadHash !== null &&
    !row.anchored &&
    row.expected.hash !== null &&
    row.expected.hash !== snap.hash &&
    row.before.unit === 'scrimmage' &&
    previous.snap.penalties.length === 0
  ) {
    add(
      'hash',
      hashWord(snap.hash),
      hashWord(row.expected.hash),
      `The ball was dead on the ${hashWord(row.expected.hash)}, but this snap was logged from the ${hashWord(snap.hash)}.`,
      [patch(hashWord(row.expected.hash), snap.snapId, { hash: row.expected.hash })],
      'note',
    );
  }
  return out;
}

/** All findings of a walked game, in game order. */
export function checkRows(rows: readonly WalkedSnap[]): Finding[] {
  const findings: Finding[] = [];
  const [first] = rows;
  const openingReceiver = first && isOpeningKickoff(first.before) ? first.before.defense : null;
  rows.forEach((row, i) => {
    const previous = rows[i - 1];
    if (previous) {
      const clash = row.anchored ? null : compareState(row, previous);
      if (clash) findings.push(clash);
      findings.push(...checkBetween(row, previous));
      if (
        row.anchored &&
        row.before.quarter === 3 &&
        row.before.unit === 'kickoff' &&
        openingReceiver !== null &&
        row.before.offense !== null &&
        row.before.offense !== openingReceiver
      ) {
        findings.push({
          snapId: row.snap.snapId,
          number: row.number,
          code: 'half-kickoff',
          level: 'note',
          logged: `${row.before.offense} kicks off`,
          follows: `${openingReceiver} kicks off`,
          sentence: `${openingReceiver} received the opening kickoff and normally kicks off the second half; ${row.before.offense} was logged.`,
          remedies: [],
        });
      }
    }
    if (
      row.before.unit === 'scrimmage' &&
      (row.before.down === null || row.before.toGoal === null) &&
      row.snap.result !== null
    ) {
      findings.push({
        snapId: row.snap.snapId,
        number: row.number,
        code: 'missing-film',
        level: 'cannot_know',
        logged: 'nothing',
        follows: 'cannot know',
        sentence: `The situation of this snap cannot be known${previous ? ` (${explain(previous.after.steps) || 'nothing is carried'})` : ': it is the first'}; type ${[row.before.down === null ? 'down and distance' : '', row.before.toGoal === null ? 'spot' : ''].filter(Boolean).join(' and ')}.`,
        remedies: previous && !row.anchored ? [missing(row.snap.snapId)] : [],
      });
    }
    findings.push(...checkInside(row));
  });
  return findings;
}

/** Walks and checks one game. */
export const checkGame = (
  snaps: readonly Snap[],
  profile: LevelProfile,
  options: WalkOptions = {},
): Finding[] => checkRows(walkGame(snaps, profile, options));
