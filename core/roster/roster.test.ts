import { describe, expect, it } from 'vitest';
import { COLLEGE } from '../field';
import { readDelimited } from '../foreign/sheet';
import { parseLine } from '../line';
import { DEFAULT_BOOK } from '../book/default-book';
import { walkGame } from '../rules';
import { blankSnap } from '../snap';
import { heightWords, nobodys, numbersOnFilm, readHeight, readRoster, swapLetters } from './roster';

const read = (text: string) => readRoster(readDelimited('r', text).cells);

describe('a roster as somebody has it', () => {
  it('with headings in any order, separators and spellings', () => {
    const { lines, unread } = read(
      'Player;No.;Pos;Yr;Ht;Wt\nNed Orrin;22;RB;So;5-10;195\nIvo Tarn;#7;QB;Jr;6\'2";201 lbs\n',
    );
    expect(unread).toEqual([]);
    expect(lines).toEqual([
      { number: '22', name: 'Ned Orrin', letters: 'RB', class: 'So', height: 70, weight: 195, depth: null },
      { number: '7', name: 'Ivo Tarn', letters: 'QB', class: 'Jr', height: 74, weight: 201, depth: null },
    ]);
  });
  it('first and last name apart, below a title', () => {
    expect(read('Marrow Fen roster\n\nFirst,Last,#,Depth\nNed,Orrin,22,1\n').lines[0]).toMatchObject({
      name: 'Ned Orrin',
      number: '22',
      depth: 1,
    });
  });
  it('as lines typed by hand', () => {
    expect(read('22 Ned Orrin RB So 5-10 195\n7 Ivo Tarn\n0 Bo Lisk WR').lines).toEqual([
      { number: '22', name: 'Ned Orrin', letters: 'RB', class: 'So', height: 70, weight: 195, depth: null },
      { number: '7', name: 'Ivo Tarn', letters: null, class: null, height: null, weight: null, depth: null },
      { number: '0', name: 'Bo Lisk', letters: 'WR', class: null, height: null, weight: null, depth: null },
    ]);
  });
  it('says of each line it does not understand why; none is dropped', () => {
    const { lines, unread } = read(
      'No,Name,Ht\n22,Ned Orrin,5-10\n,Ivo Tarn,6-1\n123,Al Bo,5-9\n22,ned orrin,\n8,Cy Dahl,9-9\n',
    );
    expect(lines.map((l) => l.number)).toEqual(['22']);
    expect(unread.map((u) => [u.row, u.why])).toEqual([
      [3, 'there is no number'],
      [4, '“123” is no number of a jersey'],
      [5, 'the same player stands in row 2'],
      [6, '“9-9” is no height; write 5-10'],
    ]);
  });
  it('one number for two men is two lines', () =>
    expect(read('No,Name\n11,Ned Orrin\n11,Ivo Tarn\n').lines).toHaveLength(2));
  it('reads heights back as it writes them', () => {
    for (let inches = 48; inches < 96; inches++) expect(readHeight(heightWords(inches))).toBe(inches);
    expect(readHeight('5-13')).toBeNull();
  });
});

it('finds numbers of a team on film, and those nobody has', () => {
  const snap = (n: number, fields: object) => ({
    ...blankSnap(`s${n}`, 'g', n),
    unit: 'scrimmage' as const,
    offense: 'HER',
    defense: 'MIR',
    ...fields,
  });
  const rows = walkGame(
    [
      snap(1, { carrier: '22', tacklers: ['54', '9'] }),
      snap(2, { passer: '7', target: '22', tacklers: ['54'] }),
      snap(3, { offense: 'MIR', defense: 'HER', carrier: '54', tacklers: ['22'] }),
    ],
    COLLEGE,
  );
  expect(numbersOnFilm(rows, 'HER').map((w) => [w.number, w.n])).toEqual([
    ['22', 3],
    ['7', 1],
  ]);
  expect(numbersOnFilm(rows, 'MIR').map((w) => [w.number, w.n])).toEqual([
    ['54', 3],
    ['9', 1],
  ]);
  expect(nobodys(numbersOnFilm(rows, 'MIR'), new Set(['54'])).map((w) => w.number)).toEqual(['9']);
});

it('swaps two letters, and a letter with one that is empty', () => {
  expect(swapLetters({ H: '11', Y: '85', X: '1' }, 'H', 'Y')).toEqual({ H: '85', Y: '11', X: '1' });
  expect(swapLetters({ H: '11' }, 'H', 'Y')).toEqual({ Y: '11' });
});

it('reads a letter in the snap line as the number he wears today', () => {
  const context = {
    book: DEFAULT_BOOK,
    profile: COLLEGE,
    state: null,
    previous: null,
    letters: { HER: { H: '11', X: '1' } },
    teams: ['HER', 'MIR'] as [string, string],
  };
  expect(parseLine('HER sweep r #h +6', context).fields).toMatchObject({ carrier: '11', gain: 6 });
  expect(parseLine('HER stick #7>#x +6', context).fields).toMatchObject({ passer: '7', target: '1' });
  expect(parseLine('HER sweep r #y +6', context).problems).toMatchObject([
    { code: 'no-number', facts: { letter: 'Y' } },
  ]);
});
