/** The border of the Book: what may come in, as a command or as a row, and what is refused before anything is touched. */
import { describe, expect, it } from 'vitest';
import { columnOf, SNAP_FIELDS } from '../snap';
import { bookChange, SPLIT_FIELDS } from './schema';
import { linksSchema, newPlay, newTerm, TERM_FIELDS } from './schema';

const ok = (value: unknown) => bookChange.safeParse(value).success;
const spot = { letter: 'X', x: -15, depth: 0.3, onLine: true };
const play = {
  name: 'Power',
  kind: 'run',
  personnel: '11',
  formation: 'trips',
  formationSide: 'R',
  backfield: null,
  motion: null,
  motionBy: 'H',
  concept: 'power',
  conceptWeak: null,
  direction: null,
};

describe('commands', () => {
  it.each([
    [{ op: 'merge', keep: 'a', drop: 'b' }],
    [{ op: 'split', from: 'a', to: { word: 'b' }, where: [{ field: 'personnel', values: ['11'] }] }],
    [{ op: 'split', from: 'a', to: { key: 'b' }, where: [] }],
    [{ op: 'undo', id: '7d0f3c52-65a5-4a5c-9f2c-0c7b1c6f3f10' }],
    [{ op: 'import', text: '{}' }],
    [{ op: 'adopt' }],
  ])('taken: %j', (change) => expect(ok(change)).toBe(true));
  it.each([
    ['no such operation', { op: 'drop everything' }],
    ['a word as a command: it is a row', { op: 'add', kind: 'tag', word: 'x', aliases: [] }],
    [
      'a split by a carried field',
      { op: 'split', from: 'a', to: { word: 'b' }, where: [{ field: 'down', values: ['1'] }] },
    ],
    [
      'a split by a column that is none',
      { op: 'split', from: 'a', to: { word: 'b' }, where: [{ field: 'id; drop table snap', values: ['1'] }] },
    ],
    ['a split to nothing', { op: 'split', from: 'a', to: {}, where: [] }],
    ['an id that is no id', { op: 'undo', id: '1' }],
    ['a book of more than four million characters', { op: 'import', text: 'x'.repeat(4_000_001) }],
  ])('refused: %s', (_, change) => expect(ok(change)).toBe(false));
});

describe('words and plays as rows', () => {
  it.each([
    ['a drawn formation', newTerm, { kind: 'formation', word: 'gull', aliases: [], spots: [spot] }],
    ['a word alone', newTerm, { kind: 'tag', word: 'x', aliases: ['y'] }],
    ['no meaning', TERM_FIELDS.definition, null],
    ['a note', TERM_FIELDS.notes, 'seen twice'],
    ['a play', newPlay, play],
    ['a set-up', linksSchema, [{ kind: 'set-up', play: 'b', least: 2, trigger: null }]],
  ] as const)('taken: %s', (_, schema, value) => expect(schema.safeParse(value).success).toBe(true));
  it.each([
    ['a kind that is none', newTerm, { kind: 'song', word: 'x', aliases: [] }],
    ['a word longer than sixty', newTerm, { kind: 'tag', word: 'x'.repeat(61), aliases: [] }],
    ['forty-one aliases', newTerm, { kind: 'tag', word: 'x', aliases: Array(41).fill('y') }],
    ['a man off every field', TERM_FIELDS.spots, [{ ...spot, x: 31 }]],
    ['twelve men', TERM_FIELDS.spots, Array(12).fill(spot)],
    ['a note of two thousand and one characters', TERM_FIELDS.notes, 'x'.repeat(2001)],
    ['a meaning that is none', TERM_FIELDS.definition, { kind: 'run' }],
    ['a set-up shown no times', linksSchema, [{ kind: 'set-up', play: 'b', least: 0, trigger: null }]],
    [
      'a trigger that would break the table',
      linksSchema,
      [{ kind: 'complement', play: 'b', least: 1, trigger: 'a;b' }],
    ],
    ['people of one digit', newPlay, { ...play, personnel: '1' }],
    ['a play without a name', newPlay, { ...play, name: ' ' }],
    ['a play without a concept', newPlay, { ...play, concept: '' }],
  ] as const)('refused: %s', (_, schema, value) => expect(schema.safeParse(value).success).toBe(false));
});

it('every field a split may ask for is a text column of the snap that holds a word', () => {
  for (const field of SPLIT_FIELDS) {
    expect(['text', 'enum']).toContain(SNAP_FIELDS[field].kind);
    expect(columnOf(field)).toMatch(/^[a-z_]+$/);
  }
});
