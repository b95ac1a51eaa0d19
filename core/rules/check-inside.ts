/** Contradictions inside one snap. */
import {
  FIELD_GOAL,
  fieldGoalFits,
  gainTo,
  handedSpot,
  lengthOf,
  onField,
  spotAfter,
  spotOnField,
} from './arithmetic';
import { patchRemedy, type FindingBody } from './finding';
import type { WalkedSnap } from './walk';

/** Backs and tight ends a formation can have: five men are linemen, one throws. */
const MOST_BACKS_AND_ENDS = 5;

export const checkInside = (row: WalkedSnap): FindingBody[] => [
  ...checkTeams(row),
  ...checkGoalLine(row),
  ...checkGain(row),
  ...checkReturn(row),
  ...checkDistance(row),
  ...checkAttempt(row),
  ...checkPeople(row),
  ...checkNext(row),
  ...checkTry(row),
];

/** A return of a try that scores where the level's try is dead in the defense's hands. */
function checkTry({ snap, after }: WalkedSnap): FindingBody[] {
  if (!after.steps.some((step) => step.code === 'try-dead')) return [];
  const none = patchRemedy({ code: 'try-failed', facts: null }, snap.snapId, { score: null, scoredBy: null });
  return [{ code: 'try-returned', level: 'finding', facts: null, remedies: [none] }];
}

function checkTeams({ snap }: WalkedSnap): FindingBody[] {
  if (snap.offense === null || snap.offense !== snap.defense) return [];
  return [{ code: 'teams', level: 'finding', facts: { team: snap.offense }, remedies: [] }];
}

/** Gain and spot of a play from scrimmage whose ball stayed with the offense; null for any other. */
function gained({ snap, before }: WalkedSnap): { gain: number; toGoal: number } | null {
  const { gain } = snap;
  const { toGoal } = before;
  const plain = !snap.turnover && snap.result !== 'no_play' && snap.unit !== 'kickoff';
  return plain && gain !== null && toGoal !== null ? { gain, toGoal } : null;
}

function checkGoalLine(row: WalkedSnap): FindingBody[] {
  const { snap, before } = row;
  const play = gained(row);
  if (!play) return [];
  const { gain, toGoal } = play;
  const { snapId } = snap;
  if (snap.score === 'touchdown' && (snap.scoredBy === null || snap.scoredBy === before.offense)) {
    if (gain === toGoal) return [];
    const from = spotOnField(gain);
    return [
      {
        code: 'touchdown-gain',
        level: 'finding',
        facts: { toGoal, gain, own: false },
        remedies: [
          patchRemedy({ code: 'gain', facts: { n: toGoal } }, snapId, { gain: toGoal }),
          patchRemedy({ code: 'snap-spot', facts: { toGoal: from } }, snapId, { toGoal: from }),
        ],
      },
    ];
  }
  if (snap.score || snap.unit === 'try' || onField(spotAfter(toGoal, gain))) return [];
  const own = gain < 0;
  return [
    {
      code: 'goal-line',
      level: 'finding',
      facts: { toGoal, gain, own },
      remedies: [
        own
          ? patchRemedy({ code: 'safety', facts: null }, snapId, {
              score: 'safety',
              scoredBy: before.defense,
            })
          : patchRemedy({ code: 'touchdown', facts: null }, snapId, {
              score: 'touchdown',
              scoredBy: before.offense,
              gain: toGoal,
            }),
      ],
    },
  ];
}

function checkGain(row: WalkedSnap): FindingBody[] {
  const { snap, before } = row;
  const play = gained(row);
  const dead = snap.deadToGoal;
  if (!play || dead === null || snap.score) return [];
  if (snap.deadPossession !== null && snap.deadPossession !== before.offense) return [];
  if (snap.penalties.some((p) => p.outcome === 'accepted')) return [];
  const { gain, toGoal } = play;
  const follows = spotAfter(toGoal, gain);
  if (follows === dead) return [];
  const spot = spotOnField(follows);
  return [
    {
      code: 'gain-and-spot',
      level: Math.abs(follows - dead) <= 1 ? 'note' : 'finding',
      facts: { toGoal, gain, follows, dead },
      remedies: [
        patchRemedy({ code: 'gain', facts: { n: gainTo(toGoal, dead) } }, snap.snapId, {
          gain: gainTo(toGoal, dead),
        }),
        patchRemedy({ code: 'dead-spot', facts: { toGoal: spot } }, snap.snapId, { deadToGoal: spot }),
      ],
    },
  ];
}

/** How a kick ended where length and return do not give the spot. */
const NOT_RETURNED: readonly (string | null)[] = ['blocked', 'touchback', 'missed', 'good'];

/** Length, return and dead spot of a ball that changed hands. */
function checkReturn({ snap, before }: WalkedSnap): FindingBody[] {
  const { deadToGoal: dead, snapId } = snap;
  const { toGoal } = before;
  const length = lengthOf(snap);
  if (dead === null || toGoal === null || length === null || snap.score || snap.result === 'no_play')
    return [];
  if (snap.deadPossession === null || snap.deadPossession !== before.defense) return [];
  if (NOT_RETURNED.includes(snap.kickEnd)) return [];
  const returned = snap.returnYards ?? 0;
  const follows = handedSpot(toGoal, length, returned);
  if (follows === dead || (snap.kickEnd === 'out_of_bounds' && snap.unit === 'kickoff')) return [];
  return [
    {
      code: 'return-and-spot',
      level: Math.abs(follows - dead) <= 1 ? 'note' : 'finding',
      facts: { toGoal, length, returned, follows, dead },
      remedies: onField(follows)
        ? [patchRemedy({ code: 'dead-spot', facts: { toGoal: follows } }, snapId, { deadToGoal: follows })]
        : [],
    },
  ];
}

function checkDistance({ snap, before }: WalkedSnap): FindingBody[] {
  const { distance, toGoal } = before;
  if (distance === null || toGoal === null || distance <= toGoal || snap.distance === null) return [];
  return [
    {
      code: 'no-distance',
      level: 'finding',
      facts: { down: before.down ?? 1, distance, toGoal },
      remedies: [
        patchRemedy({ code: 'goal-to-go', facts: { n: toGoal } }, snap.snapId, { distance: toGoal }),
      ],
    },
  ];
}

function checkAttempt({ snap, before }: WalkedSnap): FindingBody[] {
  const { kickYards: length, snapId } = snap;
  const { toGoal } = before;
  if (snap.unit !== 'field_goal' || length === null || toGoal === null || snap.kickEnd === 'blocked')
    return [];
  if (fieldGoalFits(toGoal, length)) return [];
  const usual = toGoal + FIELD_GOAL.usual;
  const spot = length - FIELD_GOAL.usual;
  const attempt = patchRemedy({ code: 'attempt', facts: { n: usual } }, snapId, { kickYards: usual });
  const moved = patchRemedy({ code: 'kick-spot', facts: { toGoal: spot } }, snapId, { toGoal: spot });
  return [
    {
      code: 'kick-length',
      level: 'finding',
      facts: { toGoal, length },
      remedies: onField(spot) ? [attempt, moved] : [attempt],
    },
  ];
}

function checkPeople({ snap }: WalkedSnap): FindingBody[] {
  const { personnel } = snap;
  if (typeof personnel !== 'string' || !/^\d\d$/.test(personnel)) return [];
  const people = Number(personnel[0]) + Number(personnel[1]);
  if (people <= MOST_BACKS_AND_ENDS) return [];
  return [{ code: 'people', level: 'finding', facts: { personnel, people }, remedies: [] }];
}

function checkNext({ snap, after }: WalkedSnap): FindingBody[] {
  const { nextOffense: logged, snapId } = snap;
  const follows = after.state.offense;
  if (logged === null || follows === null || logged === follows) return [];
  return [
    {
      code: 'next-offense',
      level: 'finding',
      facts: { logged, follows, steps: after.steps },
      remedies: [
        patchRemedy({ code: 'next-offense', facts: { team: follows } }, snapId, { nextOffense: follows }),
      ],
    },
  ];
}
