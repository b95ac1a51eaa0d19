/**
 * Fouls and changes of possession, typed as they are said and played on by the level's rules: each case of the
 * table in the handbook. All three rulebooks from memory; the association's rulebook governs. The checker calls no
 * correct log of them a finding.
 */
import { describe, expect, it } from 'vitest';
import { DEFAULT_BOOK } from '../book/default-book';
import { decodeSpot, LEVEL_PROFILES, type LevelKey } from '../field';
import { parseLine } from '../line';
import { blankSnap, type Snap } from '../snap';
import { checkGame } from './check';
import { nextState, type GameState } from './index';

const start = (said: string): GameState => {
  const [down, distance, spot] = said.split(' ');
  return {
    offense: 'A',
    defense: 'B',
    unit: down === '-' ? (distance as GameState['unit']) : 'scrimmage',
    quarter: 2,
    clock: null,
    score: { A: 7, B: 3 },
    down: down === '-' ? null : Number(down),
    distance: down === '-' ? null : Number(distance),
    toGoal: decodeSpot(spot!)!.toGoal,
    hash: null,
    fresh: false,
  };
};
/** "B 1 10 o34", or "A try", "B kickoff". */
const after = (said: string): Partial<GameState> => {
  const [offense, down, distance, spot] = said.split(' ');
  return distance === undefined
    ? { offense: offense!, unit: down as GameState['unit'] }
    : {
        offense: offense!,
        unit: 'scrimmage',
        down: Number(down),
        distance: Number(distance),
        toGoal: decodeSpot(spot!)!.toGoal,
      };
};

type Row = readonly [
  name: string,
  level: LevelKey,
  before: string,
  line: string,
  then: string,
  score?: readonly [number, number],
];
const HS = 'high_school';
const CO = 'college';
const PRO = 'professional';

const ROWS: readonly Row[] = [
  // offsetting
  [
    'offsetting live-ball fouls repeat the down',
    CO,
    '2 8 o35',
    'power r +12 pen o holding 10 offset pen d holding 10 offset',
    'A 2 8 o35',
  ],
  [
    'a score too',
    CO,
    '2 8 t35',
    'power r td pen o holding 10 offset pen d holding 10 offset',
    'A 2 8 t35',
    [7, 3],
  ],
  [
    'a foul after the play offsets none in it',
    CO,
    '2 8 o35',
    'power r +4 pen d unsportsmanlike 15 declined pen o unsportsmanlike 15',
    'A 3 19 o24',
  ],
  // the offense and its own touchdown
  [
    'an accepted live-ball foul takes the touchdown off',
    CO,
    '1 10 t30',
    'power r td pen o holding 10 prev',
    'A 1 20 t40',
    [7, 3],
  ],
  ['from its spot', CO, '1 10 t30', 'power r td pen o block in the back 10 foul @t12', 'A 1 2 t22', [7, 3]],
  ['a foul after it does not', CO, '1 10 t30', 'power r td pen o unsportsmanlike 15', 'A try', [13, 3]],
  // the defense and a touchdown against it
  ['the touchdown stands', CO, '1 10 t30', 'power r td pen d holding 10', 'A try', [13, 3]],
  // dead ball
  [
    'a failed fourth down is the defense’s ball before a dead-ball foul',
    CO,
    '4 5 t40',
    'power r +2 pen d unsportsmanlike 15',
    'B 1 10 o23',
  ],
  ['and by the offense', CO, '4 5 t40', 'power r +2 pen o unsportsmanlike 15', 'B 1 10 t47'],
  [
    'after a gain short of the line the next down is counted first',
    CO,
    '2 8 o35',
    'power r +3 pen o unsportsmanlike 15',
    'A 3 20 o23',
  ],
  // runs
  ['defense, in a run: from its end', CO, '2 8 o35', 'power r +3 pen d holding 10', 'A 1 10 o48'],
  [
    'offense, beyond the line and behind the end: the spot of the foul, apart from the gain',
    CO,
    '1 10 o35',
    'power r +12 pen o holding 10 foul @o43',
    'A 1 12 o33',
  ],
  ['without the word foul too', CO, '1 10 o35', 'power r +12 pen o holding 10 @o43', 'A 1 12 o33'],
  [
    'personal foul by the defense in high school gives no first down',
    HS,
    '1 20 o35',
    'power r +2 pen d face mask 15',
    'A 1 3 t48',
  ],
  ['and in college it does', CO, '1 20 o35', 'power r +2 pen d face mask 15', 'A 1 10 t48'],
  // passes
  ['in the air: the previous spot', CO, '2 8 o35', 'stick #7>#81 inc pen d holding 10', 'A 1 10 o45'],
  ['roughing on a completion: from its end', CO, '2 8 o35', 'stick #7>#81 +6 pen d roughing', 'A 1 10 t44'],
  [
    'roughing on an incompletion: the previous spot',
    CO,
    '2 8 o35',
    'stick #7>#81 inc pen d roughing',
    'A 1 10 50',
  ],
  ['roughing gives a first down in high school', HS, '3 20 o35', 'stick inc pen d roughing', 'A 1 10 50'],
  ['interference, high school: fifteen, no first down', HS, '3 20 o35', 'stick inc pen d pi', 'A 3 5 50'],
  ['interference, high school: half the distance', HS, '1 10 t20', 'stick inc pen d pi', 'A 1 10 t10'],
  ['interference, college: fifteen, never halved', CO, '1 10 t25', 'stick inc pen d pi', 'A 1 10 t10'],
  [
    'interference, college: the spot if it is nearer',
    CO,
    '1 10 t40',
    'stick inc pen d pi @t32',
    'A 1 10 t32',
  ],
  ['interference, college: fifteen at most', CO, '1 10 t40', 'stick inc pen d pi @t12', 'A 1 10 t25'],
  ['interference, college: the two when snapped at the 17', CO, '1 10 t17', 'stick inc pen d pi', 'A 1 2 t2'],
  ['interference, professional: the spot, not halved', PRO, '1 10 o20', 'go inc pen d pi @t8', 'A 1 8 t8'],
  ['interference, professional: in the end zone the one', PRO, '1 10 t30', 'go inc pen d pi @t1', 'A 1 1 t1'],
  [
    'grounding, high school: five from the spot, loss of down',
    HS,
    '2 8 o35',
    'stick inc pen o grounding @o28',
    'A 3 20 o23',
  ],
  [
    'grounding, college: the spot, loss of down',
    CO,
    '2 8 o35',
    'stick inc pen o grounding @o28',
    'A 3 15 o28',
  ],
  ['grounding, professional: ten', PRO, '2 8 o35', 'stick inc pen o grounding @o28', 'A 3 18 o25'],
  [
    'grounding, professional: the spot if it is farther back',
    PRO,
    '2 8 o35',
    'stick inc pen o grounding @o21',
    'A 3 22 o21',
  ],
  [
    'a pass from beyond the line: five from there, loss of down',
    CO,
    '2 8 o35',
    'stick inc pen o illegal forward pass @o40',
    'A 3 8 o35',
  ],
  ['half the distance', CO, '1 8 t8', 'noplay pen d offside 5', 'A 1 4 t4'],
  // kicks and returns
  [
    'receivers in a return keep the ball: from its end',
    CO,
    '4 8 o30',
    'punt 42 ret 16 pen r block in the back',
    'B 1 10 o34',
  ],
  ['or from the spot', CO, '4 8 o30', 'punt 42 ret 16 pen r holding @t35', 'B 1 10 o25'],
  ['receivers on a kickoff', CO, '- kickoff o35', 'kickoff 60 ret 30 pen r block in the back', 'B 1 10 o25'],
  [
    'kickers while it is kicked: added to the end',
    CO,
    '4 8 o30',
    'punt 42 ret 6 pen k holding 10',
    'B 1 10 o44',
  ],
  ['or kicked again', CO, '4 8 o30', 'punt 42 ret 6 pen k holding 10 prev', 'A 4 18 o20'],
  [
    'running into the kicker is no first down',
    CO,
    '4 8 o30',
    'noplay pen r running into the kicker',
    'A 4 3 o35',
  ],
  ['roughing the kicker is', CO, '4 8 o30', 'noplay pen r roughing the kicker', 'A 1 10 o45'],
  [
    'a fumbled return is the kickers’ ball, first down',
    CO,
    '4 8 o30',
    'punt 42 ret 6 fum lost',
    'A 1 10 t34',
  ],
  ['a muff lost too, where it was', CO, '4 8 o30', 'punt 42 muffed fum lost', 'A 1 10 t28'],
  ['a muff that is kept is a punt', CO, '4 8 o30', 'punt 42 muffed', 'B 1 10 o28'],
  ['an interception fumbled back', CO, '2 8 o30', 'int 20 ret 8 fum lost', 'A 1 10 o42'],
  ['a blocked punt returned for a score', CO, '4 8 o30', 'punt blocked td', 'B try', [7, 9]],
  ['a blocked field goal too', CO, '4 8 t20', 'fg 37 blocked td', 'B try', [7, 9]],
  [
    'a blocked kick the kickers have short of the line: downs',
    CO,
    '4 8 o30',
    'punt blocked >o22 dead_possession=A',
    'B 1 10 t22',
  ],
  ['a blocked kick the defense has', CO, '4 8 o30', 'punt blocked >t22', 'B 1 10 t22'],
  ['a fake that makes the line', CO, '4 8 o30', 'punt fake power r +12', 'A 1 10 o42'],
  ['a fake that does not', CO, '4 8 o30', 'punt fake power r +2', 'B 1 10 t32'],
  ['a fake field goal thrown for a touchdown', CO, '4 3 t10', 'fg fake boot r #7>#81 td', 'A try', [13, 3]],
  [
    'free kick out of bounds after a safety, college: thirty beyond',
    CO,
    '- free_kick o20',
    'freekick 45 oob',
    'B 1 10 50',
  ],
  [
    'free kick out of bounds, high school: twenty-five beyond',
    HS,
    '- kickoff o40',
    'kickoff 50 oob',
    'B 1 10 o35',
  ],
  ['a kneel without yards uses its down', CO, '1 10 o35', 'kneel', 'A scrimmage'],
  // tries and overtime
  ['a try returned, college: two for the defense', CO, '- try t3', 'try 2pt returned', 'A kickoff', [7, 5]],
];

describe('each case of the table (rulebooks, from memory)', () => {
  for (const [name, level, before, line, then, score] of ROWS)
    it(`${level}: ${name}`, () => {
      const state = start(before);
      const profile = LEVEL_PROFILES[level];
      const parsed = parseLine(line, { book: DEFAULT_BOOK, profile, previous: null, state });
      expect(parsed.problems.map((p) => `${p.code} ${p.text}`)).toEqual([]);
      const result = nextState(state, parsed.fields, profile);
      const expected = after(then);
      expect(result.state).toMatchObject({
        ...expected,
        ...(score ? { score: { A: score[0], B: score[1] } } : {}),
      });
      // What follows, logged as it follows, is no finding; nor is the snap itself.
      const snap = (order: number, fields: object): Snap =>
        ({ ...blankSnap(`s${order}`, 'g', order), quarter: 2, ...fields }) as Snap;
      const first = snap(1, {
        offense: 'A',
        defense: 'B',
        unit: state.unit === 'scrimmage' ? 'scrimmage' : state.unit,
        down: state.down,
        distance: state.distance,
        toGoal: state.toGoal,
        pointsFor: 7,
        pointsAgainst: 3,
        ...parsed.fields,
      });
      const { offense, unit, down = null, distance = null, toGoal = null } = expected;
      const second = snap(2, {
        offense,
        defense: offense === 'A' ? 'B' : 'A',
        unit,
        down: unit === 'scrimmage' ? (down ?? 2) : null,
        distance,
        toGoal,
      });
      expect(checkGame([first, second], profile).map((f) => [f.code, f.level])).toEqual([]);
    });
});

it('a try cannot be returned in high school: the score is a finding there', () => {
  const state = start('- try t3');
  const profile = LEVEL_PROFILES[HS];
  const { fields } = parseLine('try 2pt returned', { book: DEFAULT_BOOK, profile, previous: null, state });
  const snap = {
    ...blankSnap('a', 'g', 1),
    offense: 'A',
    defense: 'B',
    unit: 'try' as const,
    quarter: 2,
    ...fields,
  } as Snap;
  expect(checkGame([snap], profile).map((f) => f.code)).toEqual(['try-returned']);
  expect(checkGame([snap], LEVEL_PROFILES[CO])).toEqual([]);
});

it('professional overtime is timed: the ball goes on from where it was; a series elsewhere starts from its own spot', () => {
  const state = { ...start('3 8 o35'), quarter: 5 };
  const punt = { unit: 'punt' as const, result: 'kick' as const, kickYards: 40, returnYards: 0, quarter: 5 };
  expect(nextState(state, punt, LEVEL_PROFILES[PRO]).state).toMatchObject(after('B 1 10 o25'));
  expect(nextState(state, punt, LEVEL_PROFILES[CO]).unknown).toEqual(['overtime']);
});

it('automatic first downs by level: high school gives one for roughing alone', () => {
  const names = (level: LevelKey) =>
    LEVEL_PROFILES[level].penalties.filter((p) => p.defense?.firstDown).map((p) => p.name);
  expect(names(HS).filter((n) => n !== 'illegal contact')).toEqual(['roughing']);
  expect(names(CO)).toEqual(
    expect.arrayContaining(['face mask', 'horse collar', 'targeting', 'personal foul', 'pi', 'holding']),
  );
});
