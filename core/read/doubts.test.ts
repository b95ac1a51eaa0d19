/** Tags in doubt, counted whole, at half or not at all, against plain counts; the rows of every board still sum. */
import { describe, expect, it } from 'vitest';
import { DEMO_SEED, simulateSeason } from '../../demo/league';
import { DEFAULT_BOOK } from '../book/default-book';
import { COLLEGE, DEFAULT_ZONES } from '../field';
import { lookFacts } from '../book/facts';
import type { Snap } from '../snap';
import { readRules, rulesOf } from './read-rules';
import {
  BOARDS,
  boardReel,
  boardTable,
  buildColumns,
  buildReport,
  countGame,
  DEFAULT_RULES,
  DOUBTS,
  isTendency,
  kish,
  ofKicks,
  select,
  sideField,
  type Doubts,
  type Rate,
} from './index';

const inDoubt = (s: Snap, i: number): Snap => ({
  ...s,
  notSure: [
    ...(i % 5 === 0 && s.formation !== null ? ['formation'] : []),
    ...(i % 7 === 0 && s.coverage !== null ? ['coverage'] : []),
    ...(i % 11 === 0 ? ['note'] : []),
  ],
});
const games = simulateSeason(DEMO_SEED, { tells: true, weeks: 3 }).map((g) => g.snaps.map(inDoubt));
const counting = (doubts: Doubts) => {
  const rules = { ...DEFAULT_RULES, doubts };
  const counted = games.flatMap((g) => countGame(g, COLLEGE, DEFAULT_BOOK, rules));
  return { counted, columns: buildColumns(counted, rules) };
};
const made = Object.fromEntries(DOUBTS.map((d) => [d, counting(d)])) as Record<
  Doubts,
  ReturnType<typeof counting>
>;
const TEAM = 'HER';
const table = (doubts: Doubts, id: string) => {
  const spec = BOARDS.find((b) => b.id === id)!;
  const { columns } = made[doubts];
  const rows = select(
    columns,
    { [sideField(spec.side)]: [TEAM] },
    {},
    null,
    ofKicks(spec.side) ? 'kicks' : 'counts',
  );
  return boardTable(columns, rows, spec, DEFAULT_ZONES);
};
const theirs = games.flat().filter((snap) => isTendency({ snap }) && snap.offense === TEAM);

describe('tags in doubt', () => {
  it('whole: as if nobody had doubted', () => {
    const sure = games.map((g) => g.map((s): Snap => ({ ...s, notSure: [] })));
    const columns = buildColumns(sure.flatMap((g) => countGame(g, COLLEGE, DEFAULT_BOOK)));
    const spec = BOARDS.find((b) => b.id === 'formation')!;
    const plain = boardTable(columns, select(columns, { offense: [TEAM] }), spec, DEFAULT_ZONES);
    expect(table('whole', 'formation')).toEqual(plain);
  });

  it('none: they stand in a row of their own, what follows from them is not known, the rest is as before', () => {
    const left = table('none', 'personnel-formation');
    const unsure = left.rows.filter((r) => r.words[1] === 'not sure').reduce((n, r) => n + r.rows.length, 0);
    const expected = theirs.filter((s) => s.notSure.includes('formation')).length;
    expect(unsure).toBe(expected);
    expect(expected).toBeGreaterThan(20);
    expect(left.tagged).toBe(table('whole', 'personnel-formation').tagged - expected);
    const { columns, counted } = made.none;
    for (const i of select(columns, { offense: [TEAM] }))
      if (counted[i]!.snap.notSure.includes('formation')) {
        // The tag stays as it was said, to be shown and exported.
        const { snap, look } = counted[i]!;
        expect(snap.formation).toMatch(/^[a-z]/);
        const coverage = snap.notSure.includes('coverage') ? null : snap.coverage;
        const blank = { ...snap, formation: null, coverage };
        expect(look).toEqual(lookFacts(DEFAULT_BOOK, blank, COLLEGE, DEFAULT_RULES.look));
      }
    const front = (d: Doubts) => table(d, 'd-front').rows.map((r) => [r.words, r.rows.length]);
    expect(front('none')).toEqual(front('whole'));
  });

  it('half: every count stands, shares and worth follow the halves', () => {
    const half = table('half', 'formation');
    const whole = table('whole', 'formation');
    expect(half.rows.map((r) => [r.words, r.rows.length])).toEqual(
      whole.rows.map((r) => [r.words, r.rows.length]),
    );
    const called = theirs.filter((s) => s.play !== null);
    const weight = (s: Snap): number =>
      s.notSure.includes('formation') || s.notSure.includes('coverage') ? 0.5 : 1;
    const [sum, squares, hit] = called.reduce(
      ([a, b, c], s) => [a! + weight(s), b! + weight(s) ** 2, c! + (s.play === 'run' ? weight(s) : 0)],
      [0, 0, 0],
    );
    const run = half.all.cells.run as Rate;
    expect([run.k, run.n]).toEqual([called.filter((s) => s.play === 'run').length, called.length]);
    expect(run.share).toBeCloseTo(hit! / sum!, 12);
    expect(run.worth).toBeCloseTo(kish(sum!, squares!), 12);
    expect(run.worth).toBeLessThan(run.n);
  });

  it('a remark in doubt weighs nothing', () => {
    const { columns, counted } = made.half;
    counted.forEach(({ snap }, i) => {
      const judged = snap.notSure.some((f) => f !== 'note');
      expect([columns.doubted[i], columns.weight![i]]).toEqual(judged ? [1, 0.5] : [0, 1]);
    });
  });

  it.each(DOUBTS)('%s: the rows of every board sum to the snaps', (doubts) => {
    for (const { id } of BOARDS) {
      const { rows, all } = table(doubts, id);
      expect(rows.reduce((n, r) => n + r.rows.length, 0)).toBe(all.rows.length);
    }
  });

  it('none: no sentence is about what nobody is sure of, and each row opens by its name', () => {
    const { columns } = made.none;
    const rows = select(columns, { offense: [TEAM] });
    const about = { team: TEAM, side: 'offense', sections: ['personnel-formation', 'formation'] } as const;
    const { sentences } = buildReport(columns, rows, about, DEFAULT_ZONES);
    expect(sentences.some((s) => /not sure/.test(s.says))).toBe(false);
    for (const row of table('none', 'personnel-formation').rows) {
      const reel = boardReel(`b/personnel-formation/${row.key}/n`, columns, rows, DEFAULT_ZONES);
      expect(reel.rows).toEqual(row.rows);
      if (row.key !== '…') expect(row.key.split('~').length).toBe(2);
    }
  });

  it('is a rule of the staff; what was stored before it existed counts whole', () => {
    const { doubts, ...before } = DEFAULT_RULES;
    expect([doubts, rulesOf(before).doubts]).toEqual(['whole', 'whole']);
    expect(readRules({ ...DEFAULT_RULES, doubts: 'some' }).ok).toBe(false);
  });
});
