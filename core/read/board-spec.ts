/** What a board is: the fields it groups by, what it measures, which snaps it is about. */
import type { Filter, Ranges } from './columns';
import type { FilterField } from './filters';
import type { BoardSide } from './sides';

export interface BoardSpec {
  /** Stands in addresses and files. */
  readonly id: string;
  readonly title: string;
  readonly side: BoardSide;
  /** What a row counts, where a snap stands for something longer: "drives". */
  readonly counts?: string;
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
  'havoc',
  'five',
  'man',
  'returned',
  'good',
  'blocked',
  'lostAfter',
] as const;
export type RateKey = (typeof RATE_KEYS)[number];
export const MEAN_KEYS = [
  'yards',
  'kickYards',
  'returnYards',
  'hang',
  'operation',
  'signToSnap',
  'motionToSnap',
  'beforeContact',
  'afterCatch',
  'stepsTaken',
  'backRelease',
  'penetration',
  'pressureTime',
  'coverageShare',
] as const;
export type MeanKey = (typeof MEAN_KEYS)[number];
export type TopKey = 'concept' | 'coverage' | 'front' | 'formation';
export type MeasureKey = RateKey | MeanKey | TopKey;
