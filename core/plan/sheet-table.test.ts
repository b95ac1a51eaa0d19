import { expect, it } from 'vitest';
import { NO_NOTES, numberSheet, type SheetCall } from './sheet';
import { SECTIONS } from './sections';
import { callsTable, checksTable } from './sheet-table';
import { aPlay } from './plays.fixture';

const call = (id: string, section: string, more: Partial<SheetCall> = {}): SheetCall => ({
  id,
  section,
  order: 0,
  play: aPlay(id, `concept ${id}`, { personnel: '11' }),
  ...NO_NOTES,
  ...more,
});

it('calls stand with the numbers of the print, and an if with the number it leads to', () => {
  const calls = [
    call('a', 'third-long'),
    call('b', 'first', {
      tags: ['tempo', 'max'],
      ifThen: [{ when: 'they walk down', call: 'a', words: null }],
    }),
  ];
  const { columns, rows } = callsTable({
    sheet: { name: '', title: '', against: '', stamp: '', sections: numberSheet(calls, SECTIONS) },
  });
  const said = rows.map((row) => Object.fromEntries(columns.map((c, i) => [c, row[i]])));
  expect(said.map((r) => [r.number, r.section, r.play])).toEqual([
    [1, '1st & 10', 'concept b'],
    [2, '3rd long', 'concept a'],
  ]);
  expect(said[0]).toMatchObject({
    tags: 'tempo; max',
    'if … then': 'if they walk down: 2',
    personnel: '11',
    note: null,
  });
});

it('checks keep blank, nobody and a name apart', () => {
  const check = {
    id: 'k',
    order: 0,
    picture: '3x1.boundary',
    personnel: null,
    situation: 'third-long',
    front: '4-2 over',
    coverage: null,
    pressure: null,
    note: null,
    k: 12,
    n: 96,
  };
  const { rows } = checksTable([
    { ...check, third: 'SS' },
    { ...check, third: null },
    { ...check, third: undefined },
  ]);
  expect(rows.map((r) => r[6])).toEqual(['SS', 'nobody', null]);
  expect(rows[0]).toEqual([
    '3x1 into the boundary',
    null,
    '3rd & 4 or more',
    '4-2 over',
    null,
    null,
    'SS',
    12,
    96,
    null,
  ]);
});
