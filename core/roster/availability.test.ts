import { expect, it } from 'vitest';
import { meantBy } from './availability';

const man = (number: string, letters: string | null, name: string | null, depth: number | null = null) => ({
  number,
  letters,
  name,
  depth,
});
const ROSTER = [
  man('28', 'RB', 'Bo Lisk', 2),
  man('22', 'RB/FB', 'Ned Orrin', 1),
  man('11', 'X', 'Ivo Tarn'),
  man('11', 'CB', 'Cy Dahl'),
  man('5', null, null),
];
const numbers = (word: string): string[] => meantBy(word, ROSTER).map((m) => `${m.number} ${m.name ?? ''}`);

it('a number, with its sign or without, is whoever wears it', () => {
  expect(numbers('22')).toEqual(['22 Ned Orrin']);
  expect(numbers('#11')).toEqual(['11 Ivo Tarn', '11 Cy Dahl']);
  expect(numbers(' 5 ')).toEqual(['5 ']);
  expect(numbers('2')).toEqual([]);
});

it('letters are those of the roster, the first of them first; a part of a word is none', () => {
  expect(numbers('rb')).toEqual(['22 Ned Orrin', '28 Bo Lisk']);
  expect(numbers('FB')).toEqual(['22 Ned Orrin']);
  expect(numbers('B')).toEqual([]);
  expect(numbers('')).toEqual([]);
});

it('a name is whole or its last word', () => {
  expect(numbers('Orrin')).toEqual(['22 Ned Orrin']);
  expect(numbers('ned orrin')).toEqual(['22 Ned Orrin']);
  expect(numbers('Ned')).toEqual([]);
});
