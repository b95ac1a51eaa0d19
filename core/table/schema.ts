/** The resources of an open data package: columns, kinds, keys. Left and right are the offense's. */
import { CAMERAS, PURPOSES } from './film';
import { LEVEL_KEYS } from '../field/profile';
import { columnOf, SNAP_FIELDS, SNAP_FIELD_NAMES, type FieldKind } from '../snap/fields';
import { SURENESS } from '../snap/snap';
import type { TextSpec } from '../snap/text';

export const PHASES = [
  'regular',
  'playoff',
  'exhibition',
  'scrimmage',
  'practice_11',
  'practice_no_line',
  'seven_on_seven',
  'flag',
  'study',
] as const;
export type Phase = (typeof PHASES)[number];

export interface ColumnSpec extends TextSpec {
  readonly required?: boolean;
  readonly unit?: string;
  readonly label?: string;
}

export interface ResourceSpec {
  readonly name: string;
  readonly title: string;
  readonly key: readonly string[];
  readonly columns: Readonly<Record<string, ColumnSpec>>;
  readonly refs: readonly { readonly column: string; readonly resource: string; readonly to: string }[];
}

const col = (kind: FieldKind, more: Partial<ColumnSpec> = {}): ColumnSpec => ({
  kind,
  tag: false,
  ...(kind === 'text' ? { most: 200 } : {}),
  ...more,
});
const KEY: Partial<ColumnSpec> = { required: true, most: 120 };
const TEAM_KEY: Partial<ColumnSpec> = {
  required: true,
  pattern: /^[A-Za-z0-9_]{1,12}$/,
  expected: 'a team key, up to twelve letters or digits',
};
/** An object or a list as JSON. */
const JSON_TEXT: Partial<ColumnSpec> = { most: 40_000 };
const JERSEY: Partial<ColumnSpec> = { pattern: /^\d{1,2}$/ };

const snapColumns: Record<string, ColumnSpec> = {};
for (const field of SNAP_FIELD_NAMES) {
  const spec = SNAP_FIELDS[field];
  snapColumns[columnOf(field)] = {
    ...spec,
    ...(['snapId', 'game', 'order', 'offense', 'defense'].includes(field) ? { required: true } : {}),
  };
}

export const RESOURCES = {
  teams: {
    name: 'teams',
    title: 'Teams',
    key: ['team'],
    refs: [],
    columns: {
      team: col('text', TEAM_KEY),
      name: col('text', KEY),
      nickname: col('text'),
      place: col('text'),
    },
  },
  games: {
    name: 'games',
    title: 'Games',
    key: ['game'],
    refs: [
      { column: 'home', resource: 'teams', to: 'team' },
      { column: 'away', resource: 'teams', to: 'team' },
    ],
    columns: {
      game: col('text', KEY),
      date: col('date'),
      home: col('text', TEAM_KEY),
      away: col('text', TEAM_KEY),
      level: col('enum', { required: true, values: LEVEL_KEYS }),
      phase: col('enum', { required: true, values: PHASES }),
      week: col('integer', { min: 0, max: 60 }),
      season: col('integer', { min: 1900, max: 2200 }),
      closed: col('flag'),
      angle: col('enum', { values: CAMERAS }),
      purpose: col('enum', { values: PURPOSES }),
      weight: col('decimal', { min: 0, max: 1 }),
      surface: col('text'),
      weather: col('text'),
      wind: col('text'),
      source: col('text'),
    },
  },
  roster: {
    name: 'roster',
    title: 'Rosters',
    key: ['player', 'team', 'season', 'number'],
    refs: [{ column: 'team', resource: 'teams', to: 'team' }],
    columns: {
      player: col('text', KEY),
      name: col('text'),
      team: col('text', TEAM_KEY),
      season: col('integer', { required: true, min: 1900, max: 2200 }),
      number: col('text', { required: true, ...JERSEY }),
      letters: col('text'),
      class: col('text'),
      height: col('integer', { min: 48, max: 96, unit: 'inches' }),
      weight: col('integer', { min: 60, max: 500, unit: 'pounds' }),
      depth: col('integer', { min: 1, max: 20 }),
    },
  },
  numbers: {
    name: 'numbers',
    title: 'Numbers worn in a game',
    key: ['game', 'team', 'unit', 'number'],
    refs: [{ column: 'game', resource: 'games', to: 'game' }],
    columns: {
      game: col('text', KEY),
      team: col('text', TEAM_KEY),
      unit: col('text', KEY),
      number: col('text', { required: true, ...JERSEY }),
      player: col('text', KEY),
    },
  },
  letters: {
    name: 'letters',
    title: 'Letters and numbers in a game',
    key: ['game', 'team', 'letter'],
    refs: [{ column: 'game', resource: 'games', to: 'game' }],
    columns: {
      game: col('text', KEY),
      team: col('text', TEAM_KEY),
      letter: col('text', KEY),
      number: col('text', { required: true, ...JERSEY }),
    },
  },
  snaps: {
    name: 'snaps',
    title: 'Snaps',
    key: ['game', 'snap_id'],
    refs: [{ column: 'game', resource: 'games', to: 'game' }],
    columns: snapColumns,
  },
  /** How the cells of a snap came to be: who set them, what was carried and is blank in the program itself. */
  tags: {
    name: 'tags',
    title: 'Who set which cell',
    key: [],
    refs: [{ column: 'game', resource: 'games', to: 'game' }],
    columns: {
      game: col('text', KEY),
      snap_id: col('text', KEY),
      columns: col('list', { required: true }),
      kind: col('enum', { required: true, values: ['set', 'carried', 'blank'] }),
      by: col('text'),
      at: col('text', {
        pattern: /^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d(\.\d+)?Z$/,
        expected: 'a time such as 2026-10-31T20:00:00.000Z',
      }),
      sure: col('enum', { values: SURENESS }),
      version: col('integer', { min: 1, max: 999_999 }),
    },
  },
  film: {
    name: 'film',
    title: 'Film',
    key: ['film'],
    refs: [{ column: 'game', resource: 'games', to: 'game' }],
    columns: {
      film: col('text', KEY),
      game: col('text', KEY),
      angle: col('enum', {
        values: ['wide', 'tight_behind_offense', 'tight_behind_defense', 'broadcast', 'high'],
      }),
      file: col('text'),
      seconds: col('decimal', { min: 0, max: 86400 }),
      hash: col('text'),
    },
  },
  plays: {
    name: 'plays',
    title: 'Play list',
    key: ['play'],
    refs: [],
    columns: {
      play: col('text', KEY),
      name: col('text', KEY),
      kind: col('enum', { required: true, values: ['run', 'pass', 'rpo', 'other'] }),
      personnel: col('text', { pattern: /^[0-5][0-5]$/, expected: 'two digits such as 11' }),
      formation: col('text'),
      formation_side: col('enum', { values: ['L', 'R'] }),
      backfield: col('text'),
      motion: col('text'),
      motion_by: col('text'),
      concept: col('text', KEY),
      concept_weak: col('text'),
      direction: col('enum', { values: ['L', 'R'] }),
      links: col('list', {
        pattern: /^(set-up|complement):[^:;]+:\d{1,2}(:[^:;]+)?$/,
        expected: 'kind:play:times, such as set-up:play-flat:2',
      }),
    },
  },
  sheets: {
    name: 'sheets',
    title: 'Call sheets',
    key: ['sheet'],
    refs: [{ column: 'opponent', resource: 'teams', to: 'team' }],
    columns: {
      sheet: col('text', KEY),
      name: col('text', KEY),
      opponent: col('text', TEAM_KEY),
      side: col('enum', { values: ['offense', 'defense'] }),
      sections: col('text', JSON_TEXT),
      locked_by: col('text'),
    },
  },
  calls: {
    name: 'calls',
    title: 'Calls',
    key: ['call'],
    refs: [
      { column: 'sheet', resource: 'sheets', to: 'sheet' },
      { column: 'play', resource: 'plays', to: 'play' },
    ],
    columns: {
      call: col('text', KEY),
      sheet: col('text', KEY),
      section: col('text', KEY),
      order: col('decimal', { required: true }),
      play: col('text', KEY),
      hash: col('enum', { values: ['L', 'M', 'R'] }),
      note: col('text'),
      tags: col('list'),
      if_then: col('text', JSON_TEXT),
      needs: col('list'),
      shown_first: col('text'),
    },
  },
  sheet_rows: {
    name: 'sheet_rows',
    title: 'Checks and remarks of call sheets',
    key: ['row'],
    refs: [{ column: 'sheet', resource: 'sheets', to: 'sheet' }],
    columns: {
      row: col('text', KEY),
      sheet: col('text', KEY),
      kind: col('enum', { required: true, values: ['check', 'remark'] }),
      order: col('decimal', { required: true }),
      fields: col('text', { ...JSON_TEXT, required: true }),
    },
  },
} as const satisfies Record<string, ResourceSpec>;

export type ResourceName = keyof typeof RESOURCES;
export const RESOURCE_NAMES = Object.keys(RESOURCES) as ResourceName[];
export const resourceSpec = (name: ResourceName): ResourceSpec => RESOURCES[name];

/** A row of any resource: values by column, as `readText` gives them. */
export type Row = Readonly<Record<string, unknown>>;
export type Tables = { readonly [K in ResourceName]: readonly Row[] };
export const emptyTables = (): Record<ResourceName, Row[]> =>
  Object.fromEntries(RESOURCE_NAMES.map((n) => [n, [] as Row[]])) as Record<ResourceName, Row[]>;
