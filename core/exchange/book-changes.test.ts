/** The border of the Book: what may come in, and what is refused before anything is touched. */
import { describe, expect, it } from 'vitest';
import { columnOf, SNAP_FIELDS } from '../snap';
import { bookChange, SPLIT_FIELDS } from './book-changes';

const ok = (value: unknown) => bookChange.safeParse(value).success;
const spot = { letter: 'X', x: -15, depth: 0.3, onLine: true };

describe('taken', () => {
  it.each([
    [{ op: 'add', kind: 'formation', word: 'gull', aliases: [], spots: [spot] }], [{ op: 'add', kind: 'front', word: 'wide even', aliases: ['we'], definition: 'w9 w3 s3 s9 | M0', notes: null }], [{ op: 'change', id: 'x', kind: 'run', definition: null }], [{ op: 'change', id: 'x', kind: 'tag', aliases: ['y'], notes: 'seen twice' }],
    [{ op: 'merge', keep: 'a', drop: 'b' }], [{ op: 'split', from: 'a', to: { word: 'b' }, where: [{ field: 'personnel', values: ['11'] }] }], [{ op: 'split', from: 'a', to: { key: 'b' }, where: [] }], [{ op: 'undo', id: '7d0f3c52-65a5-4a5c-9f2c-0c7b1c6f3f10' }], [{ op: 'remove', id: 'a' }], [{ op: 'import', text: '{}' }], [{ op: 'adopt' }],
    [{ op: 'links', play: 'a', links: [{ kind: 'set-up', play: 'b', least: 2, trigger: null }] }],
    [{ op: 'play', name: 'Power', kind: 'run', personnel: '11', formation: 'trips', formationSide: 'R', backfield: null, motion: null, motionBy: 'H', concept: 'power', conceptWeak: null, direction: null }],
  ])('%j', (change) => expect(ok(change)).toBe(true));
});

describe('refused', () => {
  it.each([
    ['no such operation', { op: 'drop everything' }], ['a kind that is none', { op: 'add', kind: 'song', word: 'x', aliases: [] }], ['a word longer than sixty', { op: 'add', kind: 'tag', word: 'x'.repeat(61), aliases: [] }], ['forty-one aliases', { op: 'add', kind: 'tag', word: 'x', aliases: Array(41).fill('y') }],
    ['a man off every field', { op: 'add', kind: 'formation', word: 'x', aliases: [], spots: [{ ...spot, x: 31 }] }], ['twelve men', { op: 'add', kind: 'formation', word: 'x', aliases: [], spots: Array(12).fill(spot) }], ['a meaning of two thousand and one characters', { op: 'change', id: 'x', kind: 'run', definition: 'x'.repeat(2001) }],
    ['a split by a carried field', { op: 'split', from: 'a', to: { word: 'b' }, where: [{ field: 'down', values: ['1'] }] }], ['a split by a column that is none', { op: 'split', from: 'a', to: { word: 'b' }, where: [{ field: 'id; drop table snap', values: ['1'] }] }], ['a split to nothing', { op: 'split', from: 'a', to: {}, where: [] }],
    ['an id that is no id', { op: 'undo', id: '1' }], ['a book of more than four million characters', { op: 'import', text: 'x'.repeat(4_000_001) }], ['a set-up shown no times', { op: 'links', play: 'a', links: [{ kind: 'set-up', play: 'b', least: 0, trigger: null }] }], ['a trigger that would break the table', { op: 'links', play: 'a', links: [{ kind: 'complement', play: 'b', least: 1, trigger: 'a;b' }] }],
    ['people of one digit', { op: 'play', name: 'P', kind: 'run', personnel: '1', formation: null, formationSide: null, backfield: null, motion: null, motionBy: null, concept: 'power', conceptWeak: null, direction: null }],
  ])('%s', (_, change) => expect(ok(change)).toBe(false));
});

it('every field a split may ask for is a text column of the snap that holds a word', () => {
  for (const field of SPLIT_FIELDS) {
    expect(['text', 'enum']).toContain(SNAP_FIELDS[field].kind);
    expect(columnOf(field)).toMatch(/^[a-z_]+$/);
  }
});
