/** The boards there are: what each groups by, what it measures, which snaps it is about. */
import type { BoardSpec } from './board-spec';
import type { FilterField } from './filters';
import { KICK_BOARDS } from './kick-boards';
import type { BoardSide } from './sides';

const OFFENSE = ['run', 'success', 'explosive', 'yards', 'concept'] as const;
const THROWN = ['success', 'explosive', 'yards', 'concept'] as const;
const DEFENSE = ['five', 'man', 'success', 'explosive', 'yards', 'coverage'] as const;

const offense = (
  id: string,
  title: string,
  by: readonly FilterField[],
  more: Partial<BoardSpec> = {},
): BoardSpec => ({ id, title, side: 'offense', by, measures: OFFENSE, ...more });
const defense = (
  id: string,
  title: string,
  by: readonly FilterField[],
  more: Partial<BoardSpec> = {},
): BoardSpec => ({ id, title, side: 'defense', by, measures: DEFENSE, ...more });

const THIRD = { down: ['3'] } as const;
const PASSES = { play: ['pass'] } as const;

export const BOARDS: readonly BoardSpec[] = [
  offense('situation', 'By down and distance', ['bucket']),
  offense('zone', 'By field zone', ['zone']),
  offense('situation-zone', 'Down and distance by field zone', ['bucket'], {
    across: 'zone',
    measures: ['run'],
  }),
  offense('field', 'Over the field: run and pass', ['hash', 'fieldBand'], {
    measures: ['run', 'success', 'yards', 'concept'],
    picture: { across: 'fieldBand', down: 'hash', rate: 'run', words: ['run', 'pass or run-pass option'] },
  }),
  offense('hash', 'By hash, and the side they go to', ['hash'], { across: 'direction' }),
  offense('boundary', 'Strength to the field or the boundary', ['boundary', 'hash'], { across: 'direction' }),
  offense('personnel', 'By personnel', ['personnel']),
  offense('personnel-formation', 'Formations by personnel', ['personnel', 'formation']),
  offense('formation', 'Formations, and the side they go to', ['formation', 'formationSide'], {
    across: 'direction',
  }),
  offense('formation-concept', 'Concepts by formation', ['formation', 'concept'], {
    measures: ['success', 'explosive', 'yards'],
  }),
  offense('structure', 'By structure at the snap', ['structureSnap']),
  offense('backfield', 'By backfield set', ['backfieldSet']),
  offense('back', 'By where the back stands', ['backTo', 'strength'], { across: 'direction' }),
  offense('motion', 'What motion leads to', ['motion', 'motionBy']),
  offense('after', 'After a turnover, an explosive play, a loss', ['afterEvent']),
  offense('opening', 'The opening fifteen', ['opening', 'half']),
  offense('quarter', 'By quarter', ['quarter']),
  offense('score', 'By score', ['lead']),
  offense('clock', 'By clock: two minutes and four', ['clockMode']),
  offense('third', 'Third down: what they call', ['bucket', 'concept'], {
    filter: THIRD,
    measures: ['success', 'explosive', 'yards'],
  }),
  offense('fourth', 'Fourth down', ['bucket'], {
    filter: { down: ['4'] },
    measures: ['run', 'success', 'yards', 'concept'],
  }),
  offense('red', 'Inside their 20', ['zone', 'concept'], {
    ranges: { toGoal: { from: 1, to: 20 } },
    measures: ['success', 'explosive', 'yards'],
  }),
  offense('goal', 'Inside their 5', ['concept'], {
    ranges: { toGoal: { from: 1, to: 5 } },
    measures: ['run', 'success', 'yards', 'formation'],
  }),
  offense('backed', 'Backed up inside their own 10', ['concept'], {
    ranges: { toGoal: { from: 91, to: 99 } },
    measures: ['run', 'success', 'yards', 'formation'],
  }),
  offense('two-point', 'Two-point tries', ['concept'], {
    filter: { unit: ['try'] },
    measures: ['run', 'formation'],
  }),
  offense('tempo', 'By tempo', ['tempo']),
  offense('targets', 'Who is thrown to', ['target'], {
    filter: PASSES,
    across: 'depthBand',
    measures: ['success', 'explosive', 'afterCatch', 'lostAfter', 'yards', 'concept'],
  }),
  offense('target-map', 'Where they throw', ['depthBand', 'targetThird'], {
    filter: PASSES,
    measures: THROWN,
    picture: {
      across: 'targetThird',
      down: 'depthBand',
      rate: 'success',
      words: ['successful', 'not successful'],
    },
  }),
  offense('carriers', 'Who carries', ['carrier'], {
    filter: { play: ['run'] },
    across: 'direction',
    measures: THROWN,
  }),
  offense('gap', 'Runs by gap and side', ['gap'], {
    filter: { play: ['run'] },
    across: 'direction',
    measures: ['success', 'explosive', 'negative', 'yards', 'concept'],
  }),
  offense('protection', 'Protection', ['protection'], {
    filter: PASSES,
    across: 'slideSide',
    measures: ['success', 'negative', 'yards', 'concept'],
  }),
  offense('option', 'Option plays: given, kept or thrown', ['concept', 'readDecision'], {
    filter: { readDecision: ['gave', 'pulled', 'pitched', 'thrown'] },
    measures: ['success', 'explosive', 'yards'],
  }),
  offense('concept', 'Concepts: what each call returned', ['concept'], {
    measures: ['success', 'explosive', 'negative', 'yards', 'formation'],
  }),
  offense('pass-kind', 'Kinds of pass: quick, drop-back, play action, screens', ['passType', 'concept'], {
    filter: PASSES,
    measures: ['success', 'explosive', 'negative', 'yards'],
  }),
  offense('attack', 'Where they attack by structure', ['structureSnap', 'strongSide'], {
    across: 'attack',
    measures: ['success', 'yards'],
  }),
  offense('caller', 'Who makes the call', ['callSource'], { measures: [...OFFENSE] }),
  offense('quality', 'Starters and backups', ['quality'], { measures: [...OFFENSE] }),
  offense('schedule', 'On schedule by down', ['down'], {
    measures: ['success', 'negative', 'yards', 'concept'],
  }),
  offense('sign', 'What shows that the snap comes, and how long before', ['snapSign', 'cadence'], {
    measures: ['signToSnap', 'run'],
  }),
  offense('motion-time', 'From motion to snap', ['motion', 'motionBy'], {
    measures: ['motionToSnap', 'run', 'success', 'concept'],
  }),
  offense('key', 'What the man read did, and what it gave', ['readKey', 'keyAction'], {
    across: 'readDecision',
    measures: ['success', 'yards', 'concept'],
  }),
  offense('read-right', 'Reads right and wrong', ['readDecision', 'readRight'], {
    measures: ['success', 'explosive', 'yards'],
  }),
  offense('path', 'Where the runner went', ['runPath', 'pullerMet'], {
    filter: { play: ['run'] },
    measures: ['success', 'explosive', 'beforeContact', 'yards', 'concept'],
  }),
  offense('progression', 'Which read is thrown, and on which step', ['readThrown'], {
    filter: PASSES,
    measures: ['stepsTaken', 'success', 'explosive', 'yards', 'concept'],
  }),
  offense('check-down', 'Check-downs: there, taken, and what came of it', ['checkDown'], {
    filter: PASSES,
    measures: THROWN,
  }),
  offense('released', 'How many receivers go out', ['released'], { filter: PASSES, measures: THROWN }),
  offense('choice-route', 'Choice routes: settled, ran on or crossed', ['target', 'optionRoute'], {
    filter: PASSES,
    measures: THROWN,
  }),
  offense('placement', 'Where the ball was put', ['placement', 'throwKind'], {
    filter: PASSES,
    measures: ['success', 'explosive', 'yards'],
  }),
  offense('mesh', 'Fakes and the mesh', ['meshGood', 'readDecision'], {
    measures: ['success', 'explosive', 'negative', 'yards'],
  }),
  offense('access', 'Free access: taken or left', ['access'], { measures: THROWN }),
  offense('back-duty', 'The back in protection', ['backDuty'], {
    filter: PASSES,
    measures: ['backRelease', 'success', 'negative', 'yards'],
  }),
  offense('free', 'Free rushers: from where, and why', ['freeFrom', 'freeCause'], {
    filter: PASSES,
    measures: ['pressureTime', 'success', 'negative', 'yards'],
  }),
  offense('drives', 'Where drives begin and how they end', ['driveStart'], {
    filter: { drivePlay: ['first'] },
    across: 'driveEnd',
    counts: 'drives',
    measures: [],
  }),

  defense('d-front', 'Fronts by personnel', ['personnel', 'front']),
  defense('d-structure', 'Coverages by structure at the snap', ['structureSnap', 'coverage'], {
    measures: ['five', 'success', 'explosive', 'yards'],
  }),
  defense('d-situation', 'By down and distance', ['bucket']),
  defense('d-zone', 'By field zone', ['zone']),
  defense('d-coverage', 'Coverages, and what they gave up', ['coverage'], {
    measures: ['five', 'success', 'explosive', 'havoc', 'yards', 'front'],
  }),
  defense('d-box', 'Men in the box by personnel', ['personnel', 'boxCount'], {
    measures: ['five', 'success', 'explosive', 'yards', 'front'],
  }),
  defense('d-box-menu', 'The box they give each of our pictures', ['personnel', 'structureSnap'], {
    across: 'boxCount',
    measures: ['success', 'yards'],
  }),
  defense('d-concept', 'What each concept gained against them', ['concept'], {
    measures: ['success', 'explosive', 'negative', 'yards', 'coverage'],
  }),
  defense('d-attack', 'Where they were attacked, and what they played', ['attack', 'coverage'], {
    measures: ['five', 'success', 'explosive', 'yards'],
  }),
  defense('d-quality', 'Against starters and backups', ['quality']),
  defense('d-schedule', 'Held off schedule by down', ['down'], {
    measures: ['success', 'negative', 'yards', 'coverage'],
  }),
  defense('d-rival', 'Coverages that could be another', ['coverage', 'coverageRival'], {
    measures: ['coverageShare', 'success', 'yards'],
  }),
  defense('d-penetration', 'How far and how soon they get in', ['front', 'pressure'], {
    measures: ['penetration', 'pressureTime', 'success', 'negative'],
  }),
  defense('d-shell', 'Shown before the snap, and what they played', ['shell'], {
    across: 'coverage',
    measures: ['man'],
  }),
  defense('d-rotation', 'Rotation by motion', ['motion', 'rotation'], {
    measures: ['five', 'man', 'success', 'yards'],
  }),
  defense('d-motion', 'What motion drew', ['motion', 'motionResponse'], {
    measures: ['five', 'man', 'success', 'yards', 'coverage'],
  }),
  defense('d-middle', 'Middle of the field by situation', ['bucket'], {
    across: 'middle',
    measures: ['man', 'five'],
  }),
  defense('d-pressure', 'Pressures by name', ['pressure'], {
    measures: ['five', 'success', 'explosive', 'havoc', 'yards'],
  }),
  defense('d-rush-back', 'Rush by where the back stands', ['backTo', 'strength'], {
    measures: ['five', 'success', 'negative', 'yards'],
  }),
  defense('d-field', 'Over the field: five or more rush', ['hash', 'fieldBand'], {
    measures: ['five', 'man', 'success', 'coverage'],
    picture: { across: 'fieldBand', down: 'hash', rate: 'five', words: ['five or more', 'four or fewer'] },
  }),
  defense('d-rush-hash', 'Rush by hash', ['hash'], { measures: ['five', 'success', 'negative', 'yards'] }),
  defense('d-corners', 'Corners: technique and leverage', ['cornerLeftTechnique', 'cornerRightTechnique'], {
    measures: ['man', 'success', 'explosive', 'coverage'],
  }),
  defense('d-personnel', 'What our personnel drew', ['personnel']),
  defense('d-third', 'Third down: what they play', ['bucket', 'coverage'], {
    filter: THIRD,
    measures: ['five', 'success', 'explosive', 'yards'],
  }),
  defense('d-red', 'Inside the 20: what they play', ['zone', 'coverage'], {
    ranges: { toGoal: { from: 1, to: 20 } },
    measures: ['five', 'success', 'explosive', 'yards'],
  }),
  ...KICK_BOARDS,
];
export const boardsOf = (side: BoardSide): readonly BoardSpec[] => BOARDS.filter((b) => b.side === side);
