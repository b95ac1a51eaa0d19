/** What a report counts beside its boards, against the functions the cards show and against plain loops. */
import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { DEFAULT_BOOK } from '../book/default-book';
import { COLLEGE } from '../field';
import { DEMO_SEED, simulateSeason } from '../../demo/league';
import { besideCsv, besideGrid, besideJson, besideTables } from './beside';
import { BOARDS, buildColumns, countGame, DEFENDER_SIGNS, efficiencyOf, select, type Rate } from './index';

const games = simulateSeason(DEMO_SEED, { tells: true, weeks: 6 });
const snaps = games
  .flatMap((g) => countGame(g.snaps, COLLEGE, DEFAULT_BOOK))
  .map((c, i) => ({
    ...c,
    snap: {
      ...c.snap,
      tacklers: [String(40 + (i % 4))],
      missedTackles: i % 7 === 0 ? [String(40 + (i % 3))] : [],
      rushWon: i % 10 === 0 ? ['99'] : [],
      penetration: i % 10 === 0 ? (i % 3) + 1 : null,
    },
  }));
const columns = buildColumns(snaps);
const team = games[0]!.home;
const tablesOf = (side: 'offense' | 'defense' | 'kicking', whole = true) =>
  besideTables({
    snaps,
    columns,
    rows: select(columns, { [side === 'defense' ? side : 'offense']: [team] }),
    team,
    side,
    whole,
  });

describe('tables beside the boards', () => {
  it('have names of their own, rows by n, a cell a column; a part of the film has no drives, kicks have none', () => {
    const ids = tablesOf('offense')
      .concat(tablesOf('defense'))
      .map((t) => t.id);
    expect(new Set(ids)).toEqual(new Set(['drives_and_series', 'looks', 'by_products', 'players']));
    expect(BOARDS.filter((b) => ids.includes(b.id))).toEqual([]);
    for (const table of [...tablesOf('offense'), ...tablesOf('defense')]) {
      const at = table.columns.findIndex((c) => c.key === 'n');
      const n = table.rows.map((r) => r[at] as number);
      expect(n).toEqual([...n].sort((a, b) => b - a));
      for (const row of table.rows) expect(row).toHaveLength(table.columns.length);
    }
    expect(tablesOf('offense', false).map((t) => t.id)).toEqual(['looks', 'by_products']);
    expect(tablesOf('kicking')).toEqual([]);
  });
  it('drives and series say what their card says', () => {
    const rows = select(columns, { offense: [team] });
    const [drives] = tablesOf('offense');
    const figures = efficiencyOf({ snaps, rows, team, side: 'offense' });
    for (const { label, value } of figures) {
      const row = drives!.rows.find((r) => r[0] === label)!;
      expect(row[1]).toBe(value.n);
      expect('share' in value ? row[2] : row[3]).toEqual(value);
      expect('share' in value ? row[3] : row[2]).toBeNull();
    }
  });
  it('a picture with one play: its count, and the plays to add, by a plain loop', () => {
    const gives = snaps.map((c) =>
      c.snap.formation === 'trips'
        ? { ...c, snap: { ...c.snap, personnel: '11', motion: 'jet', concept: 'stick' } }
        : c,
    );
    const made = buildColumns(gives);
    const rows = select(made, { offense: [team] });
    const film = { snaps: gives, columns: made, rows, team, side: 'offense', whole: true } as const;
    const table = besideTables(film).find((t) => t.id === 'one_play')!;
    const row = table.rows.find((r) => r[1] === 'trips' && r[5] === 'stick')!;
    const seen = [...rows].filter((i) => {
      const { snap, look } = gives[i]!;
      return (
        snap.formation === 'trips' &&
        snap.personnel === row[0] &&
        (look?.backTo ?? null) === row[2] &&
        snap.motion === 'jet' &&
        snap.concept !== null
      );
    });
    const k = seen.filter((i) => gives[i]!.snap.concept === 'stick').length;
    expect(k).toBeGreaterThanOrEqual(8);
    expect([row[4], row[6]]).toEqual([seen.length, expect.objectContaining({ k, n: seen.length })]);
    let add = 0;
    while (k / (seen.length + add) > 0.7) add++;
    expect(row[7]).toBe(add);
  });
  it('players: tackles missed of a man by a plain loop', () => {
    const players = tablesOf('defense').find((t) => t.id === 'players')!;
    const missed = players.columns.findIndex((c) => c.label === DEFENDER_SIGNS.missed);
    const mine = snaps.filter((_, i) => select(columns, { defense: [team] }).includes(i));
    for (const number of ['40', '41', '42']) {
      const cell = players.rows.find((r) => r[0] === `#${number}`)![missed] as Rate;
      const k = mine.filter((c) => c.snap.missedTackles.includes(number)).length;
      expect([cell.k, cell.n]).toEqual([k, k + mine.filter((c) => c.snap.tacklers.includes(number)).length]);
      expect(k).toBeGreaterThan(0);
    }
    const last = players.columns.length - 1;
    const deep = mine.filter((c) => c.snap.rushWon.length === 1).map((c) => c.snap.penetration as number);
    expect(players.rows.find((r) => r[0] === '#99')![last]).toMatchObject({
      n: deep.length,
      mean: deep.reduce((a, b) => a + b, 0) / deep.length,
    });
  });
  it('the same in a file, as cells and as JSON', () => {
    for (const table of [...tablesOf('offense'), ...tablesOf('defense')]) {
      const { heads, rows } = besideGrid(table);
      for (const row of rows) expect(row).toHaveLength(heads.length);
      const [head, ...lines] = Papa.parse<string[]>(besideCsv(table).trim()).data;
      expect(head).toEqual(heads.map((h) => h.label));
      expect(lines).toHaveLength(rows.length);
      const json = besideJson(table) as { columns: { key: string }[]; rows: Record<string, unknown>[] };
      for (const row of json.rows) expect(Object.keys(row)).toEqual(json.columns.map((c) => c.key));
    }
  });
});
