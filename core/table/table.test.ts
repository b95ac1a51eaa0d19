import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import path from 'node:path';
import Ajv from 'ajv-draft-04';
import addFormats from 'ajv-formats';
import { describe, expect, it } from 'vitest';
import { DEMO_SEED, simulateSeason } from '../../demo/league';
import { DEFAULT_BOOK } from '../book/default-book';
import { readBook } from '../book/book-json';
import { writeBook } from '../book/term';
import { SNAP_FIELD_NAMES } from '../snap';
import {
  describePackage,
  emptyTables,
  faultSentence,
  pack,
  readCsv,
  readPackage,
  rowToSnap,
  snapToRow,
  unpack,
  writeCsv,
  writePackage,
  type Tables,
} from './index';

const [game] = simulateSeason(DEMO_SEED, { tells: true, weeks: 1 });
const nothing = { teams: new Set<string>(), games: new Set<string>(), plays: new Set<string>() };
const tables: Tables = {
  ...emptyTables(),
  teams: [
    { team: game!.home, name: 'Home', nickname: null, place: null },
    { team: game!.away, name: 'Away, "the" visitors', nickname: null, place: 'Coast' },
  ],
  games: [
    {
      game: game!.key,
      date: game!.date,
      home: game!.home,
      away: game!.away,
      level: 'college',
      phase: 'regular',
      angle: null,
      purpose: null,
      weight: 0.5,
      week: 1,
      season: 2026,
      closed: true,
      surface: null,
      weather: null,
      wind: null,
      source: null,
    },
  ],
  snaps: game!.snaps.map(snapToRow),
};
const meta = { name: 'demo', title: 'Demo', level: 'college 2026' };

describe('the play list as a table', () => {
  const read = (line: string) =>
    readPackage([{ name: 'plays.csv', text: `play,name,kind,concept,backfield,links\n${line}\n` }], nothing);
  it('takes backfield and links, several with ; between', () => {
    expect(
      read('p,Angle,pass,angle,gun,set-up:play-flat:2;complement:play-sweep:1:the end crashes').tables.plays,
    ).toEqual([
      expect.objectContaining({
        play: 'p',
        backfield: 'gun',
        links: ['set-up:play-flat:2', 'complement:play-sweep:1:the end crashes'],
      }),
    ]);
    expect(read('p,Angle,pass,angle,,').tables.plays[0]).toMatchObject({ backfield: null, links: [] });
  });
  it.each(['follow:play-flat:2', 'set-up:play-flat', 'set-up:play-flat:many', 'set-up::2'])(
    'refuses the link “%s” with its place and remedy',
    (link) => {
      expect(read(`p,Angle,pass,angle,gun,${link}`).faults.map(faultSentence)).toEqual([
        `plays.csv, row 2, column links: “${link}” is not kind:play:times, such as set-up:play-flat:2`,
      ]);
    },
  );
});

describe('the open package', () => {
  it('is parted by what parts its headings, however many semicolons its lists hold', () => {
    // Found by random histories: more semicolons in the cells than commas made one column of the header.
    const lists = 'gain;note;down;play';
    for (const mark of [',', ';', '\t']) {
      const cell = mark === ';' ? `"${lists}"` : lists;
      const lines = [['snap_id', 'game', 'order', 'offense', 'defense', 'not_sure'].join(mark)];
      for (let i = 1; i <= 4; i++)
        lines.push([`s${i}`, game!.key, i, game!.home, game!.away, cell].join(mark));
      const { rows, faults } = readCsv('snaps', lines.join('\n'), 'snaps.csv');
      expect([faults, rows.length, rows[0]!.not_sure]).toEqual([[], 4, lists.split(';')]);
    }
  });
  it('writes a descriptor that fits the profile of the Tabular Data Package standard', () => {
    // Frictionless Data, tabular-data-package profile, as the registry package "datapackage" ships it.
    const file = path.join(
      path.dirname(createRequire(import.meta.url).resolve('datapackage/package.json')),
      'lib/profiles/tabular-data-package.json',
    );
    const ajv = new Ajv({ strict: false, allErrors: true });
    addFormats(ajv);
    const validate = ajv.compile(JSON.parse(readFileSync(file, 'utf8')) as object);
    const descriptor = describePackage(tables, meta);
    expect(validate(descriptor), JSON.stringify(validate.errors)).toBe(true);
    expect(validate({ ...descriptor, resources: [{ name: 'snaps' }] })).toBe(false);
  });
  it('brings every table back, through a zip, and writes the same bytes again', () => {
    const zip = pack(writePackage(tables, writeBook(DEFAULT_BOOK), meta));
    const files = unpack('week.zip', zip);
    if (!files.ok) throw new Error(files.remedy);
    const read = readPackage(files.files, nothing);
    expect(read.faults).toEqual([]);
    expect(read.tables).toEqual(tables);
    expect(read.tables.snaps.map(rowToSnap)).toEqual(game!.snaps);
    expect(readBook(read.bookText!)).toEqual({ ok: true, book: DEFAULT_BOOK });
    expect(pack(writePackage(read.tables, read.bookText, meta))).toEqual(zip);
  });
  it('has a column for every field of a snap', () => {
    expect(Object.keys(snapToRow(game!.snaps[0]!))).toHaveLength(SNAP_FIELD_NAMES.length);
  });
});

/** A small valid table, as cells by column, to be spoiled one cell at a time. */
const lines = writeCsv('snaps', tables.snaps.slice(0, 20)).trim().split('\r\n');
const header = lines[0]!.split(',');
const spoil = (row: number, column: string, value: string): string =>
  lines
    .map((line, i) =>
      i === row - 1
        ? line
            .split(',')
            .map((cell, c) => (header[c] === column ? value : cell))
            .join(',')
        : line,
    )
    .join('\r\n');
const faultsOf = (text: string) => readPackage([{ name: 'snaps.csv', text }], nothing).faults;

describe('faults are named by row, column and remedy', () => {
  const twelve: readonly [what: string, text: string, row: number, column: string | null, remedy: RegExp][] =
    [
      ['a down that does not exist', spoil(4, 'down', '5'), 4, 'down', /whole number from 1 to 4/],
      ['a word outside a closed list', spoil(5, 'hash', 'Left'), 5, 'hash', /one of L, M, R/],
      ['a spot past the goal line', spoil(6, 'to_goal', '104'), 6, 'to_goal', /from 1 to 99/],
      ['a clock that is none', spoil(7, 'clock', '8.41'), 7, 'clock', /minutes and seconds/],
      ['people that are not two digits', spoil(8, 'personnel', '1-1'), 8, 'personnel', /two digits/],
      ['a jersey number with letters', spoil(9, 'carrier', 'QB'), 9, 'carrier', /jersey number/],
      ['a foul without its parts', spoil(10, 'penalties', 'holding 10'), 10, 'penalties', /side:name:yards/],
      ['a snap id given twice', spoil(11, 'snap_id', game!.snaps[3]!.snapId), 11, 'snap_id', /row 5 already/],
      ['no offense', spoil(12, 'offense', ''), 12, 'offense', /is empty/],
      [
        'a defense that is the offense',
        spoil(13, 'defense', game!.snaps[11]!.offense!),
        13,
        'defense',
        /is the offense too/,
      ],
      ['a gain that is text', spoil(14, 'gain', 'six'), 14, 'gain', /whole number/],
      [
        'an unknown column',
        lines.map((l, i) => (i === 0 ? l.replace('wind', 'wnd').replace(',note', ',remark') : l)).join('\n'),
        1,
        'remark',
        /is not a column/,
      ],
      [
        'a row with too many cells',
        lines.map((l, i) => (i === 14 ? `${l},extra` : l)).join('\n'),
        15,
        null,
        /quote a cell/,
      ],
      ['a scoring team that does not play', spoil(16, 'scored_by', 'XYZ'), 16, 'scored_by', /does not play/],
    ];
  for (const [what, text, row, column, remedy] of twelve) {
    it(what, () => {
      const faults = faultsOf(text);
      expect(faults).toHaveLength(1);
      expect(faults[0]).toMatchObject({ file: 'snaps.csv', row, column });
      expect(faultSentence(faults[0]!)).toMatch(remedy);
    });
  }
  it('takes a clean table, a byte-order mark and blank rows without a word', () => {
    expect(faultsOf(`\uFEFF${lines.join('\r\n')}\r\n,,,\r\n\r\n`)).toEqual([]);
  });
  it('keeps empty, none and not visible apart', () => {
    const read = readPackage(
      [
        { name: 'snaps.csv', text: spoil(4, 'coverage', '?') },
        { name: 'book.json', text: '{}' },
      ],
      nothing,
    );
    expect(read.tables.snaps.map((s) => s.coverage).slice(0, 3)).toContain('?');
    expect(readBook('{}').ok).toBe(false);
  });
  it('refuses what is not a zip, not text, or too large', () => {
    expect(unpack('a.zip', new Uint8Array([0x50, 0x4b, 1, 2, 3])).ok).toBe(false);
    expect(unpack('a.csv', new Uint8Array([0xff, 0xfe, 0x00])).ok).toBe(false);
    expect(unpack('a.csv', new Uint8Array(65 * 1024 * 1024)).ok).toBe(false);
  });
  it('knows a lone snap table by its header, whatever its name', () => {
    const read = readPackage([{ name: 'saturday.csv', text: lines.join('\n') }], nothing);
    expect(read.faults).toEqual([]);
    expect(read.tables.games).toHaveLength(1);
    expect(read.tables.teams.map((t) => t.team).sort()).toEqual([game!.home, game!.away].sort());
  });
});
