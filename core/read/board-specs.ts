/** The boards there are: what each groups by, what it measures, which snaps it is about. */
import type { Filter, Ranges } from './columns';
import type { FilterField } from './filters';
import type { BoardSide } from './sides';

export interface BoardSpec {
  /** Stands in addresses and files. */
  readonly id: string;
  readonly title: string;
  readonly side: BoardSide;
  readonly by: readonly FilterField[];
  /** Its words become columns: the share of each among the snaps where it is tagged. */
  readonly across?: FilterField;
  readonly measures: readonly MeasureKey[];
  readonly filter?: Filter;
  readonly ranges?: Ranges;
  /** Drawn as well: the two fields as a grid, one rate in each of its cells. */
  readonly picture?: BoardPicture;
}
export interface BoardPicture {
  readonly across: FilterField;
  readonly down: FilterField;
  readonly rate: RateKey;
  /** What a bar's parts are: counted by the rate, and known to be the other. */
  readonly words: readonly [hit: string, other: string];
}

export const RATE_KEYS = [
  'run',
  'success',
  'explosive',
  'negative',
  'five',
  'man',
  'returned',
  'good',
  'blocked',
] as const;
export type RateKey = (typeof RATE_KEYS)[number];
export const MEAN_KEYS = ['yards', 'kickYards', 'returnYards', 'hang', 'operation'] as const;
export type MeanKey = (typeof MEAN_KEYS)[number];
export type TopKey = 'concept' | 'coverage' | 'front' | 'formation';
export type MeasureKey = RateKey | MeanKey | TopKey;

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

const kicks = (
  side: BoardSide,
  id: string,
  title: string,
  by: readonly FilterField[],
  more: Partial<BoardSpec> = {},
): BoardSpec => ({
  id,
  title,
  side,
  by,
  measures: ['returned', 'blocked', 'kickYards', 'returnYards', 'hang', 'operation'],
  ...more,
});

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
    measures: THROWN,
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
  offense('protection', 'Protection', ['protection'], {
    filter: PASSES,
    across: 'slideSide',
    measures: ['success', 'negative', 'yards', 'concept'],
  }),
  offense('option', 'Option plays: given, kept or thrown', ['concept', 'readDecision'], {
    filter: { readDecision: ['gave', 'pulled', 'pitched', 'thrown'] },
    measures: ['success', 'explosive', 'yards'],
  }),
  offense('drives', 'Where drives begin and how they end', ['driveStart'], {
    filter: { drivePlay: ['first'] },
    across: 'driveEnd',
    measures: [],
  }),

  defense('d-front', 'Fronts by personnel', ['personnel', 'front']),
  defense('d-structure', 'Coverages by structure at the snap', ['structureSnap', 'coverage'], {
    measures: ['five', 'success', 'explosive', 'yards'],
  }),
  defense('d-situation', 'By down and distance', ['bucket']),
  defense('d-zone', 'By field zone', ['zone']),
  defense('d-coverage', 'Coverages, and what they gave up', ['coverage'], {
    measures: ['five', 'success', 'explosive', 'negative', 'yards', 'front'],
  }),
  defense('d-box', 'Men in the box by personnel', ['personnel', 'boxCount'], {
    measures: ['five', 'success', 'explosive', 'yards', 'front'],
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
    measures: ['five', 'success', 'explosive', 'negative', 'yards'],
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
    measures: ['five', 'man', 'success', 'yards'],
  }),
  defense('d-red', 'Inside the 20: what they play', ['zone', 'coverage'], {
    ranges: { toGoal: { from: 1, to: 20 } },
    measures: ['five', 'man', 'success', 'yards'],
  }),

  kicks('kicking', 'k-unit', 'Kicks by kind', ['unit']),
  kicks('kicking', 'k-end', 'How their kicks end', ['unit'], { across: 'kickEnd', measures: ['kickYards'] }),
  kicks('kicking', 'k-formation', 'Kicks by formation', ['unit', 'formation']),
  kicks('kicking', 'k-direction', 'Where they kick to', ['unit', 'kickDirection']),
  kicks('kicking', 'k-zone', 'Punts by field zone', ['zone'], { filter: { unit: ['punt'] } }),
  kicks('kicking', 'k-goals', 'Field goals by field zone', ['zone'], {
    filter: { unit: ['field_goal'] },
    measures: ['good', 'blocked', 'operation'],
  }),
  kicks('kicking', 'k-kicker', 'Who kicks', ['kicker', 'unit'], {
    measures: ['good', 'returned', 'kickYards', 'hang', 'operation'],
  }),
  kicks('kicking', 'k-fake', 'Fakes and onside kicks', ['unit', 'fake', 'onside'], { measures: ['blocked'] }),
  kicks('kicking', 'k-lanes', 'Coverage lanes', ['unit', 'lanes'], { measures: ['returned', 'returnYards'] }),
  kicks('returning', 'r-unit', 'Kicks to them by kind', ['unit']),
  kicks('returning', 'r-end', 'What they do with a kick', ['unit'], {
    across: 'kickEnd',
    measures: ['returnYards'],
  }),
  kicks('returning', 'r-returner', 'Who returns', ['returner', 'unit'], {
    filter: { kickEnd: ['returned', 'muffed'] },
    measures: ['returnYards'],
  }),
  kicks('returning', 'r-formation', 'Against kicks by formation', ['unit', 'formation'], {
    measures: ['blocked', 'returned', 'returnYards'],
  }),
  kicks('returning', 'r-zone', 'Punts to them by field zone', ['zone'], { filter: { unit: ['punt'] } }),
];
export const boardsOf = (side: BoardSide): readonly BoardSpec[] => BOARDS.filter((b) => b.side === side);
