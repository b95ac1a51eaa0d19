/**
 * Sequences worked by hand before the engine was written. Each names the rulebook it was worked
 * from, all from memory (no section numbers: the text was not read). A and B are two teams.
 */
import type { LevelKey } from '../field/profile';
import { decodeSpot } from '../field/spot';
import type { PlayFacts, GameState } from './state';
import type { Penalty } from '../snap/snap';

type Expect = Partial<
  Pick<GameState, 'offense' | 'unit' | 'down' | 'distance' | 'toGoal' | 'hash' | 'fresh' | 'score'>
>;
export interface Sequence {
  readonly name: string;
  readonly rulebook: string;
  readonly level: LevelKey;
  readonly start: GameState;
  readonly steps: readonly { readonly play: PlayFacts; readonly then: Expect }[];
}

const other = (team: string) => (team === 'A' ? 'B' : 'A');

/** `at('A', 1, 10, 'o35')`: A has 1st & 10 at its own 35. */
const at = (
  offense: string,
  down: number | null,
  distance: number | null,
  spot: string,
  unit: GameState['unit'] = 'scrimmage',
  score: Record<string, number> = { A: 0, B: 0 },
): GameState => ({
  offense,
  defense: other(offense),
  unit,
  quarter: 1,
  clock: null,
  score,
  down,
  distance,
  toGoal: decodeSpot(spot)?.toGoal ?? Number(spot),
  hash: null,
  fresh: false,
});
const then = (offense: string, down: number, distance: number, spot: string, more: Expect = {}): Expect => ({
  offense,
  down,
  distance,
  toGoal: decodeSpot(spot)!.toGoal,
  ...more,
});
const foul = (
  side: Penalty['side'],
  name: string,
  yards: number | null,
  more: Partial<Penalty> = {},
): Penalty => ({ side, name, yards, from: 'prev', outcome: 'accepted', extra: '', ...more });
const run = (gain: number): PlayFacts => ({ unit: 'scrimmage', result: 'gain', gain });
const kickoffNext = (offense: string, toGoal: number, score?: Record<string, number>): Expect => ({
  offense,
  unit: 'kickoff',
  toGoal,
  down: null,
  distance: null,
  ...(score ? { score } : {}),
});

const COLLEGE = 'college rulebook, from memory';
const HIGH = 'high-school rulebook, from memory';
const PRO = 'professional rulebook, from memory';
const s = (name: string, start: GameState, ...steps: [PlayFacts, Expect][]): Sequence => ({
  name,
  rulebook: COLLEGE,
  level: 'college',
  start,
  steps: steps.map(([play, t]) => ({ play, then: t })),
});
const hs = (...a: Parameters<typeof s>): Sequence => ({ ...s(...a), rulebook: HIGH, level: 'high_school' });
const pro = (...a: Parameters<typeof s>): Sequence => ({ ...s(...a), rulebook: PRO, level: 'professional' });

export const SEQUENCES: readonly Sequence[] = [
  // plain downs
  s('gain short of the line to gain', at('A', 1, 10, 'o35'), [run(6), then('A', 2, 4, 'o41')]),
  s('gain reaches the line to gain exactly', at('A', 2, 4, 'o41'), [run(4), then('A', 1, 10, 'o45')]),
  s('gain across midfield', at('A', 2, 4, 'o41'), [run(18), then('A', 1, 10, 't41', { fresh: false })]),
  s('loss', at('A', 1, 10, 'o35'), [run(-3), then('A', 2, 13, 'o32')]),
  s('incomplete pass', at('A', 2, 4, 't41'), [{ result: 'incomplete', gain: 0 }, then('A', 3, 4, 't41')]),
  s('sack', at('A', 1, 10, 'o35'), [{ result: 'sack', gain: -7 }, then('A', 2, 17, 'o28')]),
  s('scramble for a first down', at('A', 3, 6, 'o30'), [
    { result: 'scramble', gain: 9 },
    then('A', 1, 10, 'o39'),
  ]),
  s('kneel', at('A', 1, 10, 'o35'), [{ result: 'kneel', gain: -1 }, then('A', 2, 11, 'o34')]),
  s('spike', at('A', 1, 10, 't35'), [{ result: 'spike', gain: 0 }, then('A', 2, 10, 't35')]),
  s('first down inside the ten is goal to go', at('A', 2, 5, 't13'), [run(7), then('A', 1, 6, 't6')]),
  s(
    'three downs and a first down',
    at('A', 1, 10, 'o20'),
    [run(3), then('A', 2, 7, 'o23')],
    [{ result: 'complete', gain: 5 }, then('A', 3, 2, 'o28')],
    [run(2), then('A', 1, 10, 'o30')],
  ),
  s('fumble kept', at('A', 2, 8, 'o40'), [
    { result: 'gain', gain: 3, fumble: 'kept' },
    then('A', 3, 5, 'o43'),
  ]),
  s('goal to go: a loss makes the distance the spot', at('A', 1, 6, 't6'), [
    run(-4),
    then('A', 2, 10, 't10'),
  ]),

  // scores
  s(
    'touchdown, kick good, kickoff touchback',
    at('A', 1, 10, 't20'),
    [
      { result: 'gain', gain: 20, score: 'touchdown', scoredBy: 'A' },
      { offense: 'A', unit: 'try', toGoal: 3, score: { A: 6, B: 0 } },
    ],
    [
      { unit: 'try', result: 'kick', kickEnd: 'good', score: 'try_1', scoredBy: 'A' },
      kickoffNext('A', 65, { A: 7, B: 0 }),
    ],
    [
      { unit: 'kickoff', result: 'kick', kickYards: 65, kickEnd: 'touchback' },
      then('B', 1, 10, 'o25', { fresh: true, score: { A: 7, B: 0 } }),
    ],
  ),
  s('two-point try fails', at('A', null, null, 't3', 'try', { A: 6, B: 0 }), [
    { unit: 'try', result: 'incomplete', gain: 0 },
    kickoffNext('A', 65, { A: 6, B: 0 }),
  ]),
  s('two-point try good', at('A', null, null, 't3', 'try', { A: 6, B: 0 }), [
    { unit: 'try', result: 'gain', gain: 3, score: 'try_2', scoredBy: 'A' },
    kickoffNext('A', 65, { A: 8, B: 0 }),
  ]),
  s('defense returns a try', at('A', null, null, 't3', 'try', { A: 6, B: 0 }), [
    { unit: 'try', result: 'incomplete', turnover: 'interception', score: 'defensive_try', scoredBy: 'B' },
    kickoffNext('A', 65, { A: 6, B: 2 }),
  ]),
  s(
    'safety, then a free kick',
    at('A', 3, 12, 'o4'),
    [
      { result: 'sack', gain: -4, score: 'safety', scoredBy: 'B' },
      { offense: 'A', unit: 'free_kick', toGoal: 80, score: { A: 0, B: 2 } },
    ],
    [
      { unit: 'free_kick', result: 'kick', kickYards: 50, kickEnd: 'returned', returnYards: 10 },
      then('B', 1, 10, 'o40', { fresh: true }),
    ],
  ),
  s('field goal good', at('A', 4, 7, 't22'), [
    {
      unit: 'field_goal',
      result: 'kick',
      kickEnd: 'good',
      kickYards: 39,
      score: 'field_goal',
      scoredBy: 'A',
    },
    kickoffNext('A', 65, { A: 3, B: 0 }),
  ]),

  // changes of possession
  s('interception downfield, no return', at('A', 1, 10, 'o35'), [
    { result: 'incomplete', turnover: 'interception', turnoverYards: 25, returnYards: 0 },
    then('B', 1, 10, 'o40', { fresh: true }),
  ]),
  s('interception returned', at('A', 2, 7, 'o35'), [
    { result: 'incomplete', turnover: 'interception', turnoverYards: 25, returnYards: 15 },
    then('B', 1, 10, 't45', { fresh: true }),
  ]),
  s('interception in the end zone, touchback', at('A', 1, 10, 't20'), [
    { result: 'incomplete', turnover: 'interception', turnoverYards: 24, kickEnd: 'touchback' },
    then('B', 1, 10, 'o20'),
  ]),
  s('interception returned for a touchdown', at('A', 1, 10, 'o35'), [
    {
      result: 'incomplete',
      turnover: 'interception',
      turnoverYards: 5,
      returnYards: 40,
      score: 'touchdown',
      scoredBy: 'B',
    },
    { offense: 'B', unit: 'try', toGoal: 3, score: { A: 0, B: 6 } },
  ]),
  s('fumble lost after a gain, returned', at('A', 1, 10, 'o35'), [
    { result: 'gain', gain: 8, turnover: 'fumble', fumble: 'lost', returnYards: 3 },
    then('B', 1, 10, 't40', { fresh: true }),
  ]),
  s('turnover on downs', at('A', 4, 2, 't38'), [run(1), then('B', 1, 10, 'o37', { fresh: true })]),
  s('fourth-down sack', at('A', 4, 6, 't30'), [{ result: 'sack', gain: -8 }, then('B', 1, 10, 'o38')]),
  s('punt returned', at('A', 4, 8, 'o30'), [
    { unit: 'punt', result: 'kick', kickYards: 42, kickEnd: 'returned', returnYards: 6 },
    then('B', 1, 10, 'o34', { fresh: true }),
  ]),
  s('punt into the end zone', at('A', 4, 8, '50'), [
    { unit: 'punt', result: 'kick', kickYards: 50, kickEnd: 'touchback' },
    then('B', 1, 10, 'o20'),
  ]),
  s('punt fair caught', at('A', 4, 8, 'o30'), [
    { unit: 'punt', result: 'kick', kickYards: 40, kickEnd: 'fair_catch' },
    then('B', 1, 10, 'o30'),
  ]),
  s('punt muffed, kept by the kickers', at('A', 4, 8, 'o30'), [
    { unit: 'punt', result: 'kick', kickYards: 40, kickEnd: 'kept_by_kickers' },
    then('A', 1, 10, 't30', { fresh: true }),
  ]),
  s('punt blocked, the other team at the dead spot', at('A', 4, 8, 'o30'), [
    { unit: 'punt', result: 'kick', kickEnd: 'blocked', deadPossession: 'B', deadToGoal: 22 },
    then('B', 1, 10, 't22', { fresh: true }),
  ]),
  s('missed field goal from inside the 20 (college: the 20)', at('A', 4, 5, 't10'), [
    { unit: 'field_goal', result: 'kick', kickEnd: 'missed', kickYards: 27 },
    then('B', 1, 10, 'o20', { fresh: true }),
  ]),
  s('missed field goal (college: previous spot)', at('A', 4, 5, 't31'), [
    { unit: 'field_goal', result: 'kick', kickEnd: 'missed' },
    then('B', 1, 10, 'o31'),
  ]),
  pro('missed field goal (professional: spot of the kick)', at('A', 4, 5, 't31'), [
    { unit: 'field_goal', result: 'kick', kickEnd: 'missed' },
    then('B', 1, 10, 'o38'),
  ]),
  hs('missed field goal into the end zone (high school: as a punt)', at('A', 4, 5, 't31'), [
    { unit: 'field_goal', result: 'kick', kickEnd: 'touchback' },
    then('B', 1, 10, 'o20'),
  ]),
  s('kickoff returned', at('A', null, null, 'o35', 'kickoff'), [
    { unit: 'kickoff', result: 'kick', kickYards: 60, kickEnd: 'returned', returnYards: 22 },
    then('B', 1, 10, 'o27', { fresh: true }),
  ]),
  s('kickoff out of bounds', at('A', null, null, 'o35', 'kickoff'), [
    { unit: 'kickoff', result: 'kick', kickYards: 50, kickEnd: 'out_of_bounds' },
    then('B', 1, 10, 'o35'),
  ]),
  s('onside kick kept', at('A', null, null, 'o35', 'kickoff'), [
    { unit: 'kickoff', result: 'kick', kickYards: 12, kickEnd: 'kept_by_kickers' },
    then('A', 1, 10, 'o47', { fresh: true }),
  ]),
  s('kickoff returned for a touchdown', at('A', null, null, 'o35', 'kickoff'), [
    {
      unit: 'kickoff',
      result: 'kick',
      kickYards: 63,
      kickEnd: 'returned',
      returnYards: 98,
      score: 'touchdown',
      scoredBy: 'B',
    },
    { offense: 'B', unit: 'try', toGoal: 3, score: { A: 0, B: 6 } },
  ]),
  hs('kickoff touchback (high school: the 20)', at('A', null, null, 'o40', 'kickoff'), [
    { unit: 'kickoff', result: 'kick', kickYards: 60, kickEnd: 'touchback' },
    then('B', 1, 10, 'o20'),
  ]),

  // fouls
  s('holding by the offense, previous spot', at('A', 2, 4, 'o41'), [
    { result: 'no_play', penalties: [foul('o', 'holding', 10)] },
    then('A', 2, 14, 'o31'),
  ]),
  s('false start on 1st & 10', at('A', 1, 10, 'o35'), [
    { result: 'no_play', penalties: [foul('o', 'false start', 5)] },
    then('A', 1, 15, 'o30'),
  ]),
  s('offside gives the line to gain', at('A', 3, 4, 'o35'), [
    { result: 'no_play', penalties: [foul('d', 'offside', 5)] },
    then('A', 1, 10, 'o40'),
  ]),
  s('offside short of the line to gain repeats the down', at('A', 2, 8, 'o35'), [
    { result: 'no_play', penalties: [foul('d', 'offside', 5)] },
    then('A', 2, 3, 'o40'),
  ]),
  s('declined foul changes nothing', at('A', 1, 10, 'o35'), [
    { result: 'gain', gain: 12, penalties: [foul('d', 'offside', 5, { outcome: 'declined' })] },
    then('A', 1, 10, 'o47'),
  ]),
  s('fouls by both sides offset', at('A', 3, 9, 'o35'), [
    {
      result: 'no_play',
      penalties: [
        foul('o', 'holding', 10, { outcome: 'offset' }),
        foul('d', 'offside', 5, { outcome: 'offset' }),
      ],
    },
    then('A', 3, 9, 'o35'),
  ]),
  s(
    'fouls by both sides while the ball was live repeat the down, a touchdown too',
    at('A', 2, 7, 't30', 'scrimmage', { A: 7, B: 3 }),
    [
      {
        result: 'complete',
        gain: 30,
        score: 'touchdown',
        penalties: [
          foul('o', 'holding', 10, { outcome: 'offset' }),
          foul('d', 'pi', 15, { outcome: 'offset' }),
        ],
      },
      then('A', 2, 7, 't30', { score: { A: 7, B: 3 } }),
    ],
  ),
  s('an accepted hold takes the touchdown off', at('A', 2, 7, 't30', 'scrimmage', { A: 7, B: 3 }), [
    { result: 'gain', gain: 30, score: 'touchdown', penalties: [foul('o', 'holding', 10)] },
    then('A', 2, 17, 't40', { score: { A: 7, B: 3 } }),
  ]),
  s('a declined one leaves it', at('A', 2, 7, 't30', 'scrimmage', { A: 7, B: 3 }), [
    {
      result: 'gain',
      gain: 30,
      score: 'touchdown',
      penalties: [foul('o', 'holding', 10, { outcome: 'declined' })],
    },
    { ...then('A', 2, 7, 't3'), unit: 'try', down: null, distance: null, score: { A: 13, B: 3 } },
  ]),
  s('half the distance against the defense', at('A', 1, 8, 't8'), [
    { result: 'no_play', penalties: [foul('d', 'offside', 5)] },
    then('A', 1, 4, 't4'),
  ]),
  s('half the distance against the offense', at('A', 1, 10, 'o8'), [
    { result: 'no_play', penalties: [foul('o', 'holding', 10)] },
    then('A', 1, 14, 'o4'),
  ]),
  s('pass interference, college fifteen and a first down', at('A', 3, 20, 'o35'), [
    { result: 'no_play', penalties: [foul('d', 'pi', 15, { extra: '1st' })] },
    then('A', 1, 10, '50'),
  ]),
  hs('pass interference, high school, no automatic first down', at('A', 3, 20, 'o35'), [
    { result: 'no_play', penalties: [foul('d', 'pi', 15)] },
    then('A', 3, 5, '50'),
  ]),
  s('face mask at the end of a run', at('A', 1, 10, 'o35'), [
    { result: 'gain', gain: 6, penalties: [foul('d', 'face mask', 15, { from: 'end', extra: '1st' })] },
    then('A', 1, 10, 't44'),
  ]),
  s('loss of down', at('A', 2, 6, 'o40'), [
    { result: 'sack', gain: -9, penalties: [foul('o', 'grounding', 0, { from: 'foul', extra: 'lod' })] },
    then('A', 3, 15, 'o31'),
  ]),
  s('dead-ball foul after a gain counts the down', at('A', 1, 10, 'o35'), [
    { result: 'gain', gain: 4, penalties: [foul('o', 'unsportsmanlike', 15, { from: 'succ' })] },
    then('A', 2, 21, 'o24'),
  ]),
  s('dead-ball foul by the defense after a short gain', at('A', 1, 10, 'o35'), [
    { result: 'gain', gain: 4, penalties: [foul('d', 'personal foul', 15, { from: 'succ', extra: '1st' })] },
    then('A', 1, 10, 't46'),
  ]),
  s('dead-ball foul after a first down: ten from the new spot', at('A', 3, 2, 'o35'), [
    { result: 'gain', gain: 5, penalties: [foul('o', 'unsportsmanlike', 15, { from: 'succ' })] },
    then('A', 1, 10, 'o25'),
  ]),
  s('foul by the receivers after a punt return, from where it ended', at('A', 4, 8, 'o30'), [
    {
      unit: 'punt',
      result: 'kick',
      kickYards: 42,
      kickEnd: 'returned',
      returnYards: 16,
      penalties: [foul('r', 'block in the back', 10, { from: 'end' })],
    },
    then('B', 1, 10, 'o34'),
  ]),
  s('foul by the thrower side after an interception, tacked on', at('A', 1, 10, 'o35'), [
    {
      result: 'incomplete',
      turnover: 'interception',
      turnoverYards: 20,
      returnYards: 0,
      penalties: [foul('o', 'personal foul', 15, { from: 'succ' })],
    },
    then('B', 1, 10, 't40'),
  ]),
  s('roughing the kicker keeps the ball', at('A', 4, 8, 'o30'), [
    { unit: 'punt', result: 'no_play', penalties: [foul('r', 'roughing', 15, { extra: '1st' })] },
    then('A', 1, 10, 'o45'),
  ]),
  s(
    'fourth-down foul before the snap, then a turnover on downs',
    at('A', 4, 1, 't40'),
    [{ result: 'no_play', penalties: [foul('o', 'false start', 5)] }, then('A', 4, 6, 't45')],
    [{ result: 'incomplete', gain: 0 }, then('B', 1, 10, 'o45', { fresh: true })],
  ),
  s('foul on a try moves the try', at('A', null, null, 't3', 'try', { A: 6, B: 0 }), [
    { unit: 'try', result: 'no_play', penalties: [foul('d', 'offside', 5)] },
    { offense: 'A', unit: 'try', toGoal: 2 },
  ]),
  s('foul before a kickoff moves the kickoff', at('A', null, null, 'o35', 'kickoff'), [
    { unit: 'kickoff', result: 'no_play', penalties: [foul('k', 'offside', 5)] },
    { offense: 'A', unit: 'kickoff', toGoal: 70 },
  ]),
];
