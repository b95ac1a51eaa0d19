/** A field is one entry: a made-up one in the table is found everywhere that treats fields. */
import { expect, it, vi } from 'vitest';
import type { FieldSpec, SnapField } from '../core/snap';

const MADE_UP: FieldSpec = {
  label: 'mud at the spot',
  group: 'before_the_snap',
  kind: 'integer',
  tag: true,
  min: 0,
  max: 9,
  unit: 'inches',
  typed: ['mud'],
  filter: true,
  menu: 1,
  split: true,
};

vi.mock('../core/snap/fields/before', async (original) => {
  const { BEFORE } = await original<typeof import('../core/snap/fields/before')>();
  return { BEFORE: { ...BEFORE, madeUp: MADE_UP } };
});

const field = 'madeUp' as SnapField;

it('in the record, the open table and its description', async () => {
  const { blankSnap } = await import('../core/snap');
  const { emptyTables, readCsv, snapToRow, writeCsv, writePackage } = await import('../core/table');
  const snap = { ...blankSnap('s1', 'g', 1), offense: 'AAA', defense: 'BBB', [field]: 4 };
  expect(blankSnap('s', 'g', 1)).toHaveProperty(field, null);
  const csv = writeCsv('snaps', [snapToRow(snap)]);
  expect(csv.split('\r\n')[0]).toContain(',made_up,');
  expect(readCsv('snaps', csv, 'snaps.csv').rows[0]).toMatchObject({ made_up: 4 });
  expect(readCsv('snaps', csv.replace(',4,', ',12,'), 'snaps.csv').faults).toMatchObject([
    { column: 'made_up', remedy: 'is not a whole number from 0 to 9' },
  ]);
  const files = writePackage(
    { ...emptyTables(), snaps: [snapToRow(snap)] },
    '{}',
    { name: 'p', title: 'P', level: 'college' },
    '{}',
  );
  expect(files.find((f) => f.name === 'datapackage.json')!.text).toContain('"made_up"');
});

it('in the snap line: typed, checked, echoed, written back', async () => {
  const { DEFAULT_BOOK } = await import('../core/book/default-book');
  const { COLLEGE } = await import('../core/field');
  const { echoOf, formatLine, parseLine } = await import('../core/line');
  const context = { book: DEFAULT_BOOK, profile: COLLEGE, state: null, previous: null };
  const parsed = parseLine('trips mud=4', context);
  expect(parsed.problems).toEqual([]);
  expect(parsed.fields).toMatchObject({ formation: 'trips', [field]: 4 });
  expect(echoOf(parsed.fields)).toContainEqual({
    field,
    label: 'mud at the spot',
    value: '4',
    unsure: false,
  });
  expect(parseLine(formatLine(parsed.fields, context), context).fields).toEqual(parsed.fields);
  expect(parseLine('mud=12', context).problems).toHaveLength(1);
  expect(parseLine('no mud', context).fields).toMatchObject({ [field]: '-' });
});

it('in the counts: a filter first in the menu, grouped by the command line as by the screen', async () => {
  const { blankSnap } = await import('../core/snap');
  const { FILTER_MENU, buildColumns, countGame, groupBy, select, filterLabel } = await import('../core/read');
  const { COLLEGE } = await import('../core/field');
  const slice = field as (typeof FILTER_MENU)[number];
  expect(FILTER_MENU[0]).toBe(field);
  expect(filterLabel(slice)).toBe('mud at the spot');
  const game = [3, 3, 5].map((mud, i) => ({
    ...blankSnap(`s${i}`, 'g', i),
    offense: 'AAA',
    defense: 'BBB',
    unit: 'scrimmage' as const,
    play: 'run' as const,
    result: 'gain' as const,
    gain: 1,
    [field]: mud,
  }));
  const columns = buildColumns(countGame(game, COLLEGE));
  const groups = groupBy(columns, select(columns, {}), [slice]);
  expect(groups.map((g) => [g.words[0], g.rows.length])).toEqual([
    ['3', 2],
    ['5', 1],
  ]);
});

it('in the database and what it takes, and in a split of a term', async () => {
  const { SnapRow } = await import('./entities-football');
  const { columnValue, rowToSnap } = await import('./mapping');
  const { SPLIT_FIELDS } = await import('../core/exchange/schema');
  const properties = (SnapRow as unknown as { meta: { properties: Record<string, { nullable: boolean }> } })
    .meta.properties;
  expect(properties[field]).toMatchObject({ nullable: true });
  expect(columnValue(field as never, '-')).toBeNull();
  const row = {
    id: '1',
    charting: 'c',
    snapKey: 's',
    order: 1,
    provenance: {},
    deletedAt: null,
    revision: 1,
    [field]: 7,
  };
  expect(rowToSnap(row as never, 'g')).toMatchObject({ [field]: 7 });
  expect(SPLIT_FIELDS).toContain(field);
});
