/** Judgments, against plain loops over the snaps and against worked examples with round numbers. */
import { describe, expect, it } from 'vitest';
import { chartGame } from '../../demo/charting';
import { DEMO_SEED, simulateSeason } from '../../demo/league';
import { DEFAULT_BOOK } from '../book/default-book';
import { COLLEGE } from '../field';
import { DEFAULT_LOOK_SETTINGS } from '../look';
import { blankSnap } from '../snap/fields';
import type { Snap } from '../snap/snap';
import { adjustTable } from './adjust';
import { AFTER, byProductsTable } from './by-products';
import {
  buildColumns,
  countGame,
  judgedReel,
  judgedTables,
  repsOf,
  returnsTable,
  select,
  type CountedSnap,
  type Mean,
  type Rate,
} from './index';
import { keysTable } from './keys';

const games = simulateSeason(DEMO_SEED, { tells: true, weeks: 5 });
const ACTIONS = ['squeeze', 'upfield', null, 'squeeze', '?'];
const DECISIONS = ['gave', 'pulled', 'pulled', null] as const;
const snaps = games
  .flatMap((g) => countGame(chartGame(g.snaps, DEMO_SEED), COLLEGE, DEFAULT_BOOK))
  .map((c, i): CountedSnap =>
    c.snap.play === 'rpo' || c.snap.concept === 'inside zone'
      ? {
          ...c,
          snap: {
            ...c.snap,
            readKey: i % 3 === 0 ? 'end' : 'backer',
            keyAction: ACTIONS[i % 5]!,
            readDecision: DECISIONS[i % 4]!,
          },
        }
      : c,
  );
const columns = buildColumns(snaps);
const team = games[0]!.home;
const rows = select(columns, { offense: [team] });
const mine = [...rows].map((i) => snaps[i]!);
const drawn = { book: DEFAULT_BOOK, profile: COLLEGE, settings: DEFAULT_LOOK_SETTINGS };
const success = (c: CountedSnap): boolean | null => [false, true, null][columns.success[snaps.indexOf(c)]!]!;

/** Snaps of one offense, one after another on first and ten. */
const film = (
  list: readonly Partial<Snap>[],
): { snaps: CountedSnap[]; columns: ReturnType<typeof buildColumns>; rows: Uint32Array } => {
  const made = countGame(
    list.map((s, i) => ({
      ...blankSnap(`s${i}`, 'g', i + 1),
      offense: 'AAA',
      defense: 'BBB',
      unit: 'scrimmage' as const,
      down: 1 as const,
      distance: 10,
      toGoal: 75,
      hash: 'M' as const,
      result: 'gain' as const,
      gain: 3,
      ...s,
    })),
    COLLEGE,
    DEFAULT_BOOK,
  );
  const built = buildColumns(made);
  return { snaps: made, columns: built, rows: select(built, { offense: ['AAA'] }) };
};

describe('men who are read', () => {
  const table = keysTable(columns, rows);
  it('each play and man once, with what he does most and did last, by a plain loop', () => {
    const charted = mine.filter((c) => c.snap.keyAction !== null && c.snap.keyAction !== '?');
    expect(table.rows.reduce((n, r) => n + (r[2] as number), 0)).toBe(charted.length);
    for (const [concept, key, n, most, share, last] of table.rows) {
      const here = charted.filter((c) => c.snap.concept === concept && c.snap.readKey === key);
      const did = here.filter((c) => c.snap.keyAction === most).length;
      expect([n, (share as Rate).k, (share as Rate).n]).toEqual([here.length, did, here.length]);
      for (const action of ['squeeze', 'upfield'])
        expect(here.filter((c) => c.snap.keyAction === action).length).toBeLessThanOrEqual(did);
      expect(last).toBe(
        here
          .slice(-4)
          .map((c) => c.snap.keyAction)
          .join(', '),
      );
    }
    expect(table.rows.length).toBeGreaterThan(1);
  });
  it('squeezed on three of the last four: the keep is named with its count; upfield before does not matter', () => {
    const play = { play: 'run', concept: 'zone read', readKey: 'end' } as const;
    const f = film([
      ...['upfield', 'upfield', 'upfield', 'upfield'].map((keyAction) => ({
        ...play,
        keyAction,
        readDecision: 'gave' as const,
        gain: 6,
      })),
      { ...play, keyAction: 'squeeze', readDecision: 'gave', gain: 1 },
      { ...play, keyAction: 'squeeze', readDecision: 'pulled', gain: 9 },
      { ...play, keyAction: 'upfield', readDecision: 'gave', gain: 5 },
      { ...play, keyAction: 'squeeze', readDecision: 'pulled', gain: 7 },
    ]);
    const [row] = keysTable(f.columns, f.rows).rows;
    expect(row!.slice(0, 4)).toEqual(['zone read', 'end', 8, 'upfield']);
    expect(row![5]).toBe('squeeze, squeeze, upfield, squeeze');
    expect(row![6]).toBe('pulled against squeeze');
    expect(row![7]).toMatchObject({ k: 2, n: 2 });
  });
  it('a decision of which nobody knows what came is no answer, and not untried', () => {
    const play = { play: 'run', concept: 'zone read', readKey: 'end', keyAction: 'squeeze' } as const;
    const f = film(
      ['gave', 'gave', 'pulled'].map((readDecision) => ({
        ...play,
        readDecision: readDecision as 'gave',
        gain: null,
      })),
    );
    expect(keysTable(f.columns, f.rows).rows[0]!.slice(6)).toEqual(['none judged against squeeze', null]);
  });
  it('two and two say nothing; what nobody tried is said', () => {
    const play = { play: 'run', concept: 'zone read', readKey: 'end' } as const;
    const two = film(
      ['squeeze', 'upfield', 'squeeze', 'upfield'].map((keyAction) => ({ ...play, keyAction })),
    );
    expect(keysTable(two.columns, two.rows).rows[0]!.slice(6)).toEqual([null, null]);
    const none = film(['squeeze', 'squeeze', 'squeeze'].map((keyAction) => ({ ...play, keyAction })));
    expect(keysTable(none.columns, none.rows).rows[0]!.slice(6)).toEqual([
      'none tried against squeeze',
      null,
    ]);
  });
});

describe('what a call leaves behind', () => {
  it('a screen slows the rush on the four snaps after it: 2.9 seconds against 2.5', () => {
    const pass = (pressureTime: number, concept = 'stick') =>
      ({ play: 'pass', result: 'complete', concept, pressureTime }) as const;
    const around = [pass(2.4), pass(2.6), pass(2.5)];
    const after = [pass(2.8), pass(3), pass(2.9), pass(2.9)];
    const f = film(Array.from({ length: 4 }, () => [...around, pass(1, 'back screen'), ...after]).flat());
    const row = byProductsTable(f.snaps, f.columns, f.rows).rows.find((r) => r[0] === 'back screen')!;
    expect(row[1]).toBe(4);
    expect([(row[2] as Mean).n, (row[3] as Mean).n]).toEqual([16, 12]);
    expect((row[2] as Mean).mean).toBeCloseTo(2.9, 10);
    expect((row[3] as Mean).mean).toBeCloseTo(2.5, 10);
  });
  it('the four after a call are the four that were played, whatever a filter leaves of them', () => {
    const pass = (concept: string, personnel: string, pressureTime: number) =>
      ({ play: 'pass', result: 'complete', concept, personnel, pressureTime }) as const;
    // After each screen three of 12 and one of 11; the next of 11 are a fifth and a sixth.
    const round = [
      pass('back screen', '11', 1),
      ...[3, 3, 3].map((t) => pass('stick', '12', t)),
      pass('stick', '11', 2.9),
      pass('stick', '11', 2),
      pass('stick', '11', 2),
    ];
    const f = film(Array.from({ length: 4 }, () => round).flat());
    const rows = select(f.columns, { offense: ['AAA'], personnel: ['11'] });
    const row = byProductsTable(f.snaps, f.columns, rows).rows[0]!;
    expect([row[1], (row[2] as Mean).n, (row[3] as Mean).n]).toEqual([4, 4, 8]);
    expect((row[2] as Mean).mean).toBeCloseTo(2.9, 10);
    expect((row[3] as Mean).mean).toBeCloseTo(2, 10);
  });
  it('no snap is in two parts, none of another game, by a plain loop', () => {
    const { rows: found } = byProductsTable(snaps, columns, rows);
    expect(found.length).toBeGreaterThan(1);
    for (const [concept, n, , , next, otherwise] of found) {
      const calls = mine.flatMap((c, i) => (c.snap.concept === concept ? [i] : []));
      expect(n).toBe(calls.length);
      const near = (i: number): boolean =>
        calls.some((call) => i > call && i <= call + AFTER && mine[i]!.snap.game === mine[call]!.snap.game);
      const inGames = new Set(calls.map((i) => mine[i]!.snap.game));
      const parts = [true, false].map((wanted) =>
        mine
          .filter((c, i) => c.snap.concept !== concept && inGames.has(c.snap.game) && near(i) === wanted)
          .map(success)
          .filter((s) => s !== null),
      );
      [next, otherwise].forEach((rate, p) =>
        expect([(rate as Rate).k, (rate as Rate).n], String(concept)).toEqual([
          parts[p]!.filter((s) => s).length,
          parts[p]!.length,
        ]),
      );
    }
  });
});

describe('choosing a coverage', () => {
  const look = { formation: 'trips', formationSide: 'R', backfield: 'gun', front: '4-2 over' } as const;
  const called = (play: 'run' | 'pass', concept: string, n: number): Partial<Snap>[] =>
    Array.from({ length: n }, () => ({
      ...look,
      play,
      concept,
      direction: 'R' as const,
      coverage: 'cover 3',
    }));
  // From trips: nine bubbles, four options, two sprint-outs, seven verticals; 15 of 22 outside, 68 %, 47 to 84.
  const f = film([
    ...called('pass', 'bubble', 9),
    ...called('run', 'triple option', 4),
    ...called('pass', 'sprint', 2),
    ...called('pass', 'four verticals', 7),
  ]);
  const table = adjustTable(f.columns, f.rows, drawn);
  const at = (key: string) => table.columns.findIndex((c) => c.key === key);
  it('names for each coverage what it leaves, with their calls at it; the least costly first', () => {
    // Each coverage of the book once, those that leave the same in one line.
    expect(table.rows.flatMap((r) => String(r[1]).split(', ')).sort()).toEqual(
      DEFAULT_BOOK.terms
        .filter((t) => t.kind === 'coverage' && t.definition)
        .map((t) => t.word)
        .sort(),
    );
    expect(table.rows.length).toBeGreaterThan(2);
    const k = table.rows.map((r) => (r[at('met')] as Rate).k);
    expect(k).toEqual([...k].sort((a, b) => a - b));
    for (const row of table.rows) {
      const leaves = String(row[at('leaves')]);
      const [receivers, men] = /(\d+) v\. (\d+)/
        .exec(String(row[at('over')]))!
        .slice(1)
        .map(Number) as [number, number];
      const short = receivers > men;
      const slow = /nobody$|backer|lineman|edge|alone$/.test(String(row[at('third')]));
      expect(leaves.includes('short outside, strong side (15)'), leaves).toBe(short);
      expect(/deep inside \(7\)/.test(leaves), leaves).toBe(slow);
      expect(row[at('met')], leaves).toMatchObject({ k: (short ? 15 : 0) + (slow ? 7 : 0), n: 22 });
    }
    // Facts of the trade: with two deep halves nobody but a backer carries the third receiver; with quarters a safety does.
    const third = (coverage: string) =>
      String(table.rows.find((r) => String(r[1]).split(', ').includes(coverage))![at('third')]);
    expect(third('quarters')).toBe('a safety');
    const full = table.rows.find((r) => (r[at('met')] as Rate).k === 15);
    if (full)
      expect(
        [(full[at('met')] as Rate).low, (full[at('met')] as Rate).high].map((x) => Math.round(100 * x!)),
      ).toEqual([47, 84]);
  });
  it('a man short on one side is met by calls to that side; one without a side is not judged', () => {
    const mixed = film([
      ...called('pass', 'bubble', 9),
      ...called('pass', 'bubble', 4).map((s) => ({ ...s, direction: 'L' as const })),
      ...called('pass', 'bubble', 3).map((s) => ({ ...s, direction: null })),
    ]);
    const lines = adjustTable(mixed.columns, mixed.rows, drawn);
    let short = 0;
    for (const row of lines.rows) {
      const [strong, weak] = String(row[at('over')])
        .split(', ')
        .map((pair) => pair.split(' v. ').map(Number) as [number, number]);
      const open = [strong, weak].map((pair) => pair![0] > pair![1]);
      expect(row[at('met')]).toMatchObject({ k: (open[0] ? 9 : 0) + (open[1] ? 4 : 0), n: 13 });
      short += open.filter(Boolean).length;
    }
    expect(short).toBeGreaterThan(0);
  });
  it('says nothing of fewer than eight snaps, nor where no front was met or the book draws nothing', () => {
    const few = film(called('pass', 'bubble', 7));
    expect(adjustTable(few.columns, few.rows, drawn).rows).toEqual([]);
    const frontless = film(called('pass', 'bubble', 12).map((s) => ({ ...s, front: null })));
    expect(adjustTable(frontless.columns, frontless.rows, drawn).rows).toEqual([]);
  });
});

describe('what calls and reps returned', () => {
  it('22 calls for 154 yards and 48 reps: 7.0 a call, 3.2 a rep; power 30 for 129 and 90: 4.3, 1.4', () => {
    const run = (
      concept: string,
      calls: number,
      good: number,
      each: number,
      yards: number,
    ): Partial<Snap>[] =>
      Array.from({ length: calls }, (_, i) => {
        const [bad, rest] = [calls - good, yards - good * each];
        const gain = i < good ? each : Math.floor(rest / bad) + (i - good < rest % bad ? 1 : 0);
        return { play: 'run' as const, concept, direction: 'R' as const, gain };
      });
    const f = film([...run('sweep', 22, 13, 11, 154), ...run('power', 30, 15, 7, 129)]);
    const practice = ['sweep', 'power'].flatMap((concept, p) =>
      Array.from({ length: [48, 90][p]! }, (_, i) => ({
        ...blankSnap(`p${p}.${i}`, 'p', i + 1),
        concept,
        offense: 'AAA',
      })),
    );
    const reps = repsOf(
      [
        { info: { phase: 'practice_11' }, snaps: practice },
        { info: { phase: 'regular' }, snaps: practice },
        { info: { phase: 'practice_no_line' }, snaps: practice.map((s) => ({ ...s, offense: 'BBB' })) },
      ],
      'AAA',
    );
    const [power, sweep] = returnsTable(f.columns, f.rows, reps).rows;
    expect([power![0], power![1], power![4], power![5]]).toEqual(['power', 30, 90, 1.4]);
    expect((power![3] as Mean).mean).toBeCloseTo(4.3, 10);
    expect([sweep![0], sweep![1], sweep![4], sweep![5]]).toEqual(['sweep', 22, 48, 3.2]);
    expect((sweep![3] as Mean).mean).toBeCloseTo(7, 10);
    expect(
      [sweep![2], power![2]].map((r) => [
        (r as Rate).k,
        Math.round(100 * (r as Rate).low!),
        Math.round(100 * (r as Rate).high!),
      ]),
    ).toEqual([
      [13, 39, 77],
      [15, 33, 67],
    ]);
  });
  it('without practice film there is no table', () => {
    expect(returnsTable(columns, rows, new Map()).rows).toEqual([]);
  });
});

it('every figure opens just its snaps, and what is none opens nothing', () => {
  const tables = judgedTables({ snaps, columns, rows, drawn, reps: new Map([['power', 9]]) });
  expect(tables.map((t) => t.id)).toEqual(['adjust', 'keys', 'by_products', 'returns']);
  let opened = 0;
  for (const table of tables)
    table.rows.forEach((row, r) =>
      row.forEach((cell, c) => {
        const { rows: behind } = judgedReel(`j/${table.id}/${r}/${c}`, tables);
        if (table.behind[r]![c] === null) return expect(behind).toHaveLength(0);
        opened++;
        const { kind, key } = table.columns[c]!;
        if (kind === 'count') expect(behind).toHaveLength(cell as number);
        if (kind === 'mean') expect(behind.length).toBeGreaterThanOrEqual((cell as Mean | null)?.n ?? 0);
        if (kind === 'rate' && cell !== null)
          expect(behind, `${table.id} ${key}`).toHaveLength((cell as Rate).k);
        for (const row of behind) expect(rows).toContain(row);
      }),
    );
  expect(opened).toBeGreaterThan(40);
  expect(judgedReel('j/keys/999/1', tables).rows).toHaveLength(0);
  expect(judgedReel('j/nothing/0/0', tables).rows).toHaveLength(0);
});
