/** Boards as tables: the rows sum to the snaps, and a plain loop over the snaps finds the same figures. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DEMO_SEED, simulateSeason } from '../../demo/league';
import { DEFAULT_BOOK } from '../book/default-book';
import { COLLEGE, DEFAULT_ZONES } from '../field';
import { NONE, UNSEEN } from '../snap/snap';
import {
  boardGrid,
  boardReel,
  BOARDS,
  boardTable,
  buildColumns,
  cellRows,
  countGame,
  filterValue,
  isTendency,
  ofKicks,
  REST,
  rowsFor,
  select,
  sideField,
  wilson,
  type BoardSpec,
  type CountedSnap,
  type FilterField,
  type MeanCell,
  type Rate,
} from './index';

const games = simulateSeason(DEMO_SEED, { tells: true, weeks: 4 });
const of = <const T extends readonly unknown[]>(i: number, ...all: T): T[number] => all[i % all.length];
/** What the demo's film does not have, dealt over it. */
const whole = games
  .flatMap((g) => countGame(g.snaps, COLLEGE, DEFAULT_BOOK))
  .map((c, i): CountedSnap => ({
    ...c,
    snap: {
      ...c.snap,
      snapSign: of(i, 'clap', 'leg', null),
      cadence: of(i, 'first', 'hard_count'),
      signToSnap: of(i, 0.8, 1.1, null, UNSEEN, 1.4),
      motionToSnap: of(i, 0.9, 2, null),
      readKey: of(i, 'end', 'mike', NONE, null),
      keyAction: of(i, 'squeeze', 'fill', null),
      readDecision: of(i, 'gave', 'pulled', null),
      readRight: of(i, 'right', 'wrong', null),
      runPath: of(i, 'stayed', 'bounced', null),
      beforeContact: of(i, 0, 4, -1, null),
      readThrown: of(i, 1, 2, null),
      stepsTaken: of(i, 3, 5, null),
      checkDown: of(i, 'taken', 'there', null),
      access: of(i, 'taken', 'left', null),
      backDuty: of(i, 'inside', 'chip', null),
      backRelease: of(i, 1.1, 2, null),
      freeFrom: of(i, 'left_edge', 'right_a', null),
      freeCause: of(i, 'call', 'miss', null),
      pressureTime: of(i, 2.1, 2.6, null),
      penetration: of(i, 0, 2, null),
      targetDepth: of(i, 3, 12, -2, null, UNSEEN, 25),
      coverageRival: of(i, 'cover 1', null),
      coverageShare: of(i, 60, 75, null),
    },
  }));
/** Blanks where film never has everything: left out, none, not visible. */
const counted = whole.map((c, i): CountedSnap => {
  if (i % 7 === 0) return { ...c, snap: { ...c.snap, formation: null, rushers: null, coverage: UNSEEN } };
  if (i % 11 === 0) return { ...c, snap: { ...c.snap, motion: NONE, concept: UNSEEN, gain: null } };
  if (i % 13 === 0) return { ...c, bucket: null, look: null };
  return c;
});
const columns = buildColumns(counted);
const teams = [...new Set(games.map((g) => g.home))];
const slices = fc.record({
  team: fc.constantFrom(...teams),
  personnel: fc.subarray(['11', '12', '10', '21', '22'], { minLength: 1 }),
  quarter: fc.subarray(['1', '2', '3', '4'], { minLength: 1 }),
});
type Slice = typeof slices extends fc.Arbitrary<infer T> ? T : never;

const whichOf = (spec: BoardSpec) => (ofKicks(spec.side) ? 'kicks' : 'counts');
/** A kick, said a second way. */
const kicked = ({ snap }: CountedSnap): boolean =>
  !['scrimmage', null].includes(snap.unit) &&
  !(snap.unit === 'try' && snap.play !== null) &&
  snap.result !== 'no_play' &&
  !snap.notFilmed;

/** The snaps of a slice that a board is about, by reading every snap. */
function plainly(spec: BoardSpec, { team, personnel, quarter }: Slice): CountedSnap[] {
  const range = spec.ranges?.toGoal;
  const fits = (c: CountedSnap, field: FilterField, words: readonly string[]): boolean => {
    const value = filterValue(c, field);
    return value !== null && words.includes(value);
  };
  return counted.filter(
    (c) =>
      (spec.side === 'kicking' || spec.side === 'returning' ? kicked(c) : isTendency(c)) &&
      (spec.side === 'offense' || spec.side === 'kicking' ? c.snap.offense : c.snap.defense) === team &&
      (ofKicks(spec.side) || fits(c, 'personnel', personnel)) &&
      fits(c, 'quarter', quarter) &&
      Object.entries(spec.filter ?? {}).every(([f, words]) => fits(c, f as FilterField, words!)) &&
      (!range || (c.snap.toGoal !== null && c.snap.toGoal >= range.from && c.snap.toGoal <= range.to)),
  );
}
const selected = (spec: BoardSpec, { team, personnel, quarter }: Slice): Uint32Array =>
  select(
    columns,
    { [sideField(spec.side)]: [team], ...(ofKicks(spec.side) ? {} : { personnel }), quarter },
    {},
    null,
    whichOf(spec),
  );

/** What a snap says to a measure, from the snap alone. */
const SAYS: Readonly<Record<string, (c: CountedSnap) => boolean | null>> = {
  run: ({ snap: { play } }) => (play === 'run' ? true : play === 'pass' || play === 'rpo' ? false : null),
  success: (c) => {
    const s = c.snap;
    if (s.turnover !== null) return false;
    if (s.score === 'touchdown') return s.scoredBy === s.offense;
    if (s.down === null || s.distance === null || s.gain === null) return null;
    return s.gain * 100 >= s.distance * (s.down === 1 ? 40 : s.down === 2 ? 60 : 100);
  },
  explosive: (c) => {
    const yards = yardsOf(c);
    const far = c.snap.result === 'complete' || c.snap.result === 'scramble' ? 16 : 12;
    return yards === null ? null : yards >= far;
  },
  negative: (c) => (yardsOf(c) === null ? null : yardsOf(c)! < 0),
  havoc: (c) => {
    const { turnover, fumble, result, incompleteCause: why } = c.snap;
    if (turnover || fumble) return true;
    if (result === 'incomplete') return why ? why === 'batted' || why === 'defended' : null;
    return yardsOf(c) === null ? null : yardsOf(c)! < 0;
  },
  five: ({ snap: { rushers } }) => (typeof rushers === 'number' ? rushers >= 5 : null),
  man: ({ look }) => (look?.style ? look.style === 'man' : null),
  returned: ({ snap: { kickEnd: e } }) =>
    e === null || e === 'good' || e === 'missed' ? null : e === 'returned' || e === 'muffed',
  good: ({ snap: { kickEnd: e } }) =>
    e === 'good' ? true : e === 'missed' || e === 'blocked' ? false : null,
  blocked: ({ snap: { kickEnd: e } }) => (e === null ? null : e === 'blocked'),
  lostAfter: (c) => (after(c) === null ? null : after(c)! < 0),
};
const after = ({ snap: { result, gain, targetDepth } }: CountedSnap): number | null =>
  result === 'complete' && gain !== null && typeof targetDepth === 'number' ? gain - targetDepth : null;
function yardsOf({ snap }: CountedSnap): number | null {
  return snap.result === 'incomplete' || snap.turnover === 'interception' ? 0 : snap.gain;
}

describe('every board', () => {
  it('has an id and a title of its own', () => {
    expect(new Set(BOARDS.map((b) => b.id)).size).toBe(BOARDS.length);
    expect(new Set(BOARDS.map((b) => `${b.side} ${b.title}`)).size).toBe(BOARDS.length);
  });

  it.each(BOARDS.map((b) => [b.id, b] as const))(
    '%s: rows sum to the snaps, cells are a plain count',
    (_, spec) => {
      fc.assert(
        fc.property(slices, (slice) => {
          const rows = selected(spec, slice);
          const table = boardTable(columns, rows, spec, DEFAULT_ZONES);
          const plain = plainly(spec, slice);
          expect(table.all.rows.length).toBe(plain.length);
          // Each snap in one row, once.
          const placed = table.rows.flatMap((r) => [...r.rows]);
          expect(placed.length).toBe(plain.length);
          expect(new Set(placed)).toEqual(new Set(rowsFor(columns, rows, spec)));
          const absent = ['', NONE, UNSEEN];
          const speaks = (c: CountedSnap, f: FilterField): boolean =>
            ![null, UNSEEN].includes(filterValue(c, f)) ||
            (filterValue(c, f) === null &&
              ((spec.by.includes('motion') &&
                ['motionBy', 'motionResponse'].includes(f) &&
                c.snap.motion === NONE) ||
                (f === 'boundary' && c.snap.hash === 'M')));
          const full = plain.filter((c) => spec.by.every((f) => speaks(c, f)));
          expect(table.tagged).toBe(full.length);
          for (const row of [...table.rows, table.all]) {
            const mine = [...row.rows].map((i) => counted[i]!);
            // A row holds the snaps that say its words.
            if (row.key !== REST && row.key !== 'all') {
              const words = row.key.split('~').map(decodeURIComponent);
              const same = plain.filter((c) =>
                spec.by.every((f, i) => (filterValue(c, f) ?? '') === words[i]),
              );
              expect(mine.length).toBe(same.length);
            }
            const gamesOf = (some: readonly number[]): Set<string> =>
              new Set(some.map((i) => counted[i]!.snap.game));
            const reached = gamesOf([...rows].filter((i) => counted[i]!.snap.quarter === 4));
            const played = reached.size > 0 ? reached : gamesOf([...rows]);
            const inEach = [...played].map((g) => mine.filter((c) => c.snap.game === g).length);
            expect(row.perGame?.mean ?? null).toBe(
              played.size === 0 ? null : inEach.reduce((a, b) => a + b, 0) / played.size,
            );
            expect(row.perGame?.n ?? 0).toBe(played.size);
            for (const { key, kind } of table.columns) {
              const cell = row.cells[key];
              if (kind === 'rate') {
                const says = key.startsWith('x:')
                  ? (c: CountedSnap): boolean | null => {
                      const word = filterValue(c, spec.across!);
                      return word === null || absent.includes(word) ? null : word === key.slice(2);
                    }
                  : SAYS[key]!;
                const said = mine.map(says).filter((s) => s !== null);
                const k = said.filter(Boolean).length;
                const expected = wilson(k, said.length);
                expect(cell).toEqual(expected);
                expect(cellRows(columns, spec, row, key).length).toBe((cell as Rate).k);
              } else if (kind === 'mean') {
                const figures = mine
                  .map((c) =>
                    key === 'yards'
                      ? yardsOf(c)
                      : key === 'afterCatch'
                        ? after(c)
                        : c.snap[key as 'kickYards'],
                  )
                  // A gain of minus nothing is nothing.
                  .flatMap((y) => (typeof y === 'number' ? y + 0 : []));
                const { mean, n, least, most } = cell as MeanCell;
                expect(n).toBe(figures.length);
                if (n === 0) expect([mean, least, most]).toEqual([null, null, null]);
                else {
                  expect(mean).toBeCloseTo(figures.reduce((a, b) => a + b, 0) / n, 10);
                  expect([least, most]).toEqual([Math.min(...figures), Math.max(...figures)]);
                }
              } else if (kind === 'top' && cell) {
                const { word, k } = cell as { word: string; k: number };
                const counts = new Map<string, number>();
                for (const c of mine) {
                  const said = filterValue(c, key as FilterField);
                  if (said !== null && !absent.includes(said)) counts.set(said, (counts.get(said) ?? 0) + 1);
                }
                expect(counts.get(word)).toBe(k);
                expect(k).toBe(Math.max(...counts.values()));
              }
            }
          }
          // What stands across sums to what is tagged, unless words were left to the rest.
          const across = table.columns.filter((c) => c.key.startsWith('x:'));
          if (spec.across && across.length > 0 && across.length < 6)
            for (const row of table.rows) {
              const rates = across.map((c) => row.cells[c.key] as Rate);
              expect(rates.reduce((n, r) => n + r.k, 0)).toBe(rates[0]!.n);
            }
        }),
        { numRuns: 6, seed: 7 },
      );
    },
  );

  it('opens each number by its name, and nothing by a name that is none', () => {
    const rows = select(columns, { offense: [teams[0]!] });
    const spec = BOARDS.find((b) => b.id === 'personnel')!;
    const table = boardTable(columns, rows, spec, DEFAULT_ZONES);
    const row = table.rows[0]!;
    const runs = boardReel(`b/personnel/${row.key}/run`, columns, rows, DEFAULT_ZONES);
    expect(runs.rows.length).toBe((row.cells.run as Rate).k);
    expect(runs.title).toBe(`By personnel: ${row.words[0]}, run`);
    expect(boardReel('b/personnel/all/n', columns, rows, DEFAULT_ZONES).rows.length).toBe(rows.length);
    for (const none of ['b/personnel/never/run', 'b/never/all/n', 'b', 'b/'])
      expect(boardReel(none, columns, rows, DEFAULT_ZONES)).toMatchObject({
        title: '',
        rows: new Uint32Array(0),
      });
  });

  it('has rows in this film', () => {
    const empty = BOARDS.filter((spec) =>
      teams.every(
        (t) =>
          boardTable(
            columns,
            select(columns, { [sideField(spec.side)]: [t] }, {}, null, whichOf(spec)),
            spec,
            DEFAULT_ZONES,
          ).all.rows.length === 0,
      ),
    );
    expect(empty.map((b) => b.id)).toEqual([]);
  });

  it('columns of numbers stand in their order and say of what', () => {
    const spec = BOARDS.find((b) => b.id === 'd-box-menu')!;
    const heads = boardTable(columns, select(columns, {}), spec, DEFAULT_ZONES).columns.map((c) => c.label);
    const boxes = heads.filter((label) => label.endsWith(' men in the box'));
    expect(boxes.length).toBeGreaterThan(2);
    expect(boxes).toEqual([...boxes].sort((a, b) => parseInt(a) - parseInt(b)));
  });

  it('goes into a spreadsheet with as many cells in each line as headings', () => {
    const rows = select(columns, { offense: [teams[0]!] });
    for (const spec of BOARDS) {
      const table = boardTable(columns, rows, spec, DEFAULT_ZONES);
      const grid = boardGrid(table);
      expect(new Set(grid.map((line) => line.length))).toEqual(new Set([grid[0]!.length]));
      expect(grid.length).toBe(table.rows.length + 2);
    }
  });
});

describe('drives', () => {
  it('end as the snaps say, counted another way', () => {
    const drives = whole.filter((c) => c.drivePlay === 'first');
    const ended = (how: string): number => drives.filter((c) => c.driveEnd === how).length;
    const plays = whole.filter((c) => c.snap.unit === 'scrimmage');
    const scored = plays.filter((c) => c.snap.score === 'touchdown' && c.snap.scoredBy === c.snap.offense);
    expect(ended('touchdown')).toBe(scored.length);
    expect(ended('interception')).toBe(plays.filter((c) => c.snap.turnover === 'interception').length);
    expect(ended('punt')).toBe(
      whole.filter((c) => c.snap.unit === 'punt' && c.snap.result !== 'no_play').length,
    );
    expect(ended('field goal')).toBe(whole.filter((c) => c.snap.score === 'field_goal').length);
    expect(drives.every((c) => c.driveStart !== null)).toBe(true);
    // A row of this board is a drive, and is called one.
    const board = BOARDS.find((b) => b.id === 'drives')!;
    expect(boardTable(columns, select(columns, {}), board, DEFAULT_ZONES).columns[1]!.label).toBe('drives');
    // Every counted snap lies in one drive.
    expect(whole.filter((c) => isTendency(c) && c.snap.unit === 'scrimmage' && c.drivePlay === null)).toEqual(
      [],
    );
  });
});

describe('what the order of a game says', () => {
  it('counts fifteen opening plays a team and game', () => {
    for (const game of games)
      for (const team of [game.home, game.away]) {
        const mine = countGame(game.snaps, COLLEGE, null).filter(
          (c) => isTendency(c) && c.snap.unit === 'scrimmage' && c.snap.offense === team,
        );
        expect(mine.filter((c) => c.opening === 'first 15')).toEqual(mine.slice(0, 15));
      }
  });
  it('says the score as the offense has it', () => {
    for (const c of whole) {
      const { pointsFor, pointsAgainst } = c.snap;
      if (pointsFor === null || pointsAgainst === null) expect(c.lead).toBeNull();
      else if (pointsFor - pointsAgainst > 8) expect(c.lead).toBe('ahead 9 or more');
      else if (pointsFor === pointsAgainst) expect(c.lead).toBe('level');
    }
  });
});
