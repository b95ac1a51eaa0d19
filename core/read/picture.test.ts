/** A drawn board says what its table says: every snap is in a cell or said to have no place, every bar's parts add up. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DEMO_SEED, simulateSeason } from '../../demo/league';
import { DEFAULT_BOOK } from '../book/default-book';
import { COLLEGE, DEFAULT_ZONES } from '../field';
import type { Point } from '../look/motion';
import type { Snap } from '../snap/snap';
import {
  BOARDS,
  boardTable,
  buildColumns,
  countGame,
  gridPicture,
  ofKicks,
  rowsPicture,
  select,
  sideField,
  wilson,
} from './index';

const games = simulateSeason(DEMO_SEED, { tells: true, weeks: 4 });
const counted = games.flatMap((g) => countGame(g.snaps, COLLEGE, DEFAULT_BOOK));
const columns = buildColumns(counted);
const spec = (id: string) => BOARDS.find((b) => b.id === id)!;
const teams = [...new Set(games.map((g) => g.home))];

describe('the field drawn', () => {
  it('counts each cell as a plain loop over the snaps does, and leaves none out unsaid', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...teams),
        fc.subarray(['1', '2', '3', '4'], { minLength: 1 }),
        (team, quarter) => {
          for (const id of ['field', 'd-field']) {
            const side = id === 'field' ? 'offense' : 'defense';
            const rows = select(columns, { [sideField(side)]: [team], quarter });
            const picture = gridPicture(boardTable(columns, rows, spec(id), DEFAULT_ZONES), DEFAULT_ZONES);
            if (picture === null) return expect(rows.length).toBe(0);
            const snaps = [...rows].map((r) => counted[r]!.snap);
            for (const { row, rate, label } of picture.cells) {
              const [hash, band] = row.key.split('~').map(decodeURIComponent) as [string, string];
              const [far, near] =
                band === '91 or more' ? [999, 91] : band.split(' to ').map(Number).reverse();
              const here = snaps.filter((s) => s.hash === hash && s.toGoal! >= near! && s.toGoal! <= far!);
              const said = here.filter((s) =>
                id === 'field' ? ['run', 'pass', 'rpo'].includes(s.play!) : typeof s.rushers === 'number',
              );
              const hits = said.filter((s) =>
                id === 'field' ? s.play === 'run' : (s.rushers as number) >= 5,
              );
              expect(row.rows.length).toBe(here.length);
              expect(rate).toEqual(wilson(hits.length, said.length));
              expect(label).toContain(here.length === 1 ? ': 1 snap,' : `: ${here.length} snaps`);
            }
            expect(picture.cells.reduce((n, c) => n + c.row.rows.length, picture.left)).toBe(rows.length);
          }
        },
      ),
      { numRuns: 60, seed: 5 },
    );
  });

  it.each(BOARDS.filter((b) => b.picture).map((b) => b.id))('writes the key of %s within its width', (id) => {
    const rows = select(columns, { [sideField(spec(id).side)]: [teams[0]!] });
    const picture = gridPicture(boardTable(columns, rows, spec(id), DEFAULT_ZONES), DEFAULT_ZONES);
    if (picture === null) return expect(id).toBe('target-map');
    const [, , width, height] = picture.drawing.view;
    const said = picture.drawing.marks.flatMap((m) =>
      m.mark === 'text' && m.size === 1.4 && m.x === 0 ? [m] : [],
    );
    expect(said.map((m) => m.text).join(' · ')).toMatch(
      /^length: snaps, the longest \d+ · solid: .+ · hatched: .+ · thin line: not known/,
    );
    for (const { text, y } of said) {
      // A middling letter of the font is half as wide as its size.
      expect(text.length * 1.4 * 0.5).toBeLessThan(width);
      expect(y).toBeLessThan(height);
    }
  });

  it('draws each bar as long as its snaps, solid as far as its rate, all of it inside the drawing', () => {
    const rows = select(columns, { offense: [teams[0]!] });
    const { drawing, cells } = gridPicture(
      boardTable(columns, rows, spec('field'), DEFAULT_ZONES),
      DEFAULT_ZONES,
    )!;
    const [left, top, width, height] = drawing.view;
    const most = Math.max(...cells.map((c) => c.row.rows.length));
    const solids = drawing.marks.flatMap((m) => (m.mark === 'shape' ? [m.points] : []));
    for (const { box, rate: measured, row } of cells) {
      const rate = measured!;
      expect(box.x >= left && box.y >= top && box.x + box.width <= left + width).toBe(true);
      expect(box.y + box.height).toBeLessThanOrEqual(top + height);
      const inside = ([x, y]: Point): boolean =>
        x > box.x && x < box.x + box.width && y > box.y && y < box.y + box.height;
      const solid = solids.find((points) => inside(points[0]!));
      if (rate.k === 0) expect(solid).toBeUndefined();
      else {
        const long = Math.max(0.3, ((box.width - 1.2) * row.rows.length) / most);
        expect(solid![1]![0] - solid![0]![0]).toBeCloseTo((long * rate.k) / row.rows.length, 9);
      }
    }
    const again = gridPicture(boardTable(columns, rows, spec('field'), DEFAULT_ZONES), DEFAULT_ZONES)!;
    expect(JSON.stringify(again.drawing)).toBe(JSON.stringify(drawing));
  });

  it('throws stand left to right and the deepest on top; a throw without its place is said', () => {
    const thrown = counted.filter((c) => c.snap.play === 'pass').slice(0, 6);
    const at = [
      [3, 'left'],
      [25, 'left'],
      [25, 'right'],
      [-2, 'middle'],
      [12, 'middle'],
      [null, null],
    ] as const;
    const own = games
      .flatMap((g) => countGame(g.snaps, COLLEGE, DEFAULT_BOOK))
      .filter((c) => thrown.some((t) => t.snap.snapId === c.snap.snapId))
      .map((c, i) => ({ ...c, snap: { ...c.snap, targetDepth: at[i]![0], targetThird: at[i]![1] } as Snap }));
    // Bands follow from the game's walk, so the snaps are walked as they are charted.
    const chart = new Map(own.map((c) => [c.snap.snapId, c.snap]));
    const walked = games.flatMap((g) =>
      countGame(
        g.snaps.map((s) =>
          chart.has(s.snapId)
            ? {
                ...s,
                targetDepth: chart.get(s.snapId)!.targetDepth,
                targetThird: chart.get(s.snapId)!.targetThird,
              }
            : s,
        ),
        COLLEGE,
        DEFAULT_BOOK,
      ),
    );
    const made = buildColumns(walked.filter((c) => chart.has(c.snap.snapId)));
    const all = Uint32Array.from({ length: made.n }, (_, i) => i);
    const picture = gridPicture(boardTable(made, all, spec('target-map'), DEFAULT_ZONES), DEFAULT_ZONES)!;
    const place = (key: string) => picture.cells.find((c) => c.key === key)!.box;
    const [deepLeft, deepRight] = [place('20%20or%20more~left'), place('20%20or%20more~right')];
    expect(deepLeft.x).toBeLessThan(deepRight.x);
    expect(deepLeft.y).toBe(deepRight.y);
    expect(deepLeft.y).toBeLessThan(place('10%20to%2019~middle').y);
    expect(place('10%20to%2019~middle').y).toBeLessThan(place('0%20to%209~left').y);
    expect(place('0%20to%209~left').y).toBeLessThan(place('behind%20the%20line~middle').y);
    expect(picture.left).toBe(1);
  });

  it('nothing to place is no picture', () => {
    expect(
      gridPicture(boardTable(columns, new Uint32Array(0), spec('field'), DEFAULT_ZONES), DEFAULT_ZONES),
    ).toBeNull();
    const rows = select(columns, { offense: [teams[0]!] });
    expect(
      gridPicture(boardTable(columns, rows, spec('personnel'), DEFAULT_ZONES), DEFAULT_ZONES),
    ).toBeNull();
  });
});

describe('any board drawn by its rows', () => {
  const all = BOARDS.flatMap((board) =>
    teams.slice(0, 3).flatMap((team) => {
      const which = ofKicks(board.side) ? 'kicks' : 'counts';
      const rows = select(columns, { [sideField(board.side)]: [team] }, {}, null, which);
      const table = boardTable(columns, rows, board, DEFAULT_ZONES);
      const picture = rowsPicture(table);
      return picture === null ? [] : [{ table, picture }];
    }),
  );

  it('has a line a row: its bar as long as its snaps, every dot where its share stands, on its interval', () => {
    expect(new Set(all.map((p) => p.table.id)).size).toBeGreaterThan(50);
    for (const { table, picture } of all) {
      expect(picture.cells.map((c) => c.key)).toEqual(table.rows.map((r) => r.key));
      expect(picture.cells.reduce((n, c) => n + c.row.rows.length, 0)).toBe(table.all.rows.length);
      const inRow = (y: number, at: number): boolean =>
        y > picture.cells[at]!.box.y && y < picture.cells[at]!.box.y + picture.cells[at]!.box.height;
      const bars = picture.drawing.marks.flatMap((m) =>
        m.mark === 'shape' && m.fill === 'ink' ? [m.points] : [],
      );
      const longest = bars.reduce((x, b) => Math.max(x, b[1]![0] - b[0]![0]), 0);
      const most = Math.max(...table.rows.map((r) => r.rows.length));
      const rates = table.columns.filter((c) => c.kind === 'rate').slice(0, 6);
      table.rows.forEach((row, at) => {
        const bar = bars.find((b) => inRow(b[0]![1], at))!;
        expect(bar[1]![0] - bar[0]![0]).toBeCloseTo(Math.max(0.2, (longest * row.rows.length) / most), 9);
        const seen = rates.flatMap((c) => {
          const cell = row.cells[c.key]!;
          return cell !== null && 'low' in cell && cell.n >= 4 ? [cell] : [];
        });
        const dots = picture.drawing.marks.flatMap((m) => (m.mark === 'circle' && inRow(m.y, at) ? [m] : []));
        const lines = picture.drawing.marks.flatMap((m) =>
          m.mark === 'path' && m.d.length === 2 && m.d[0]![1] === m.d[1]![1] && inRow(m.d[0]![1], at)
            ? [m.d]
            : [],
        );
        expect(dots.map((d) => d.fill === 'card')).toEqual(seen.map((r) => r.n < 8));
        dots.forEach((dot, i) => {
          const [[from], [to]] = lines[i] as [Point, Point];
          const { low, high, share } = seen[i]!;
          expect((dot.x - from) / (to - from)).toBeCloseTo((share! - low!) / (high! - low!), 9);
        });
      });
    }
  });

  it('cuts no words of a row that its widest place can hold', () => {
    for (const { table, picture } of all) {
      const texts = new Set(picture.drawing.marks.flatMap((m) => (m.mark === 'text' ? [m.text] : [])));
      for (const row of table.rows) {
        const whole = row.words.filter(Boolean).join(', ');
        expect(texts.has(whole) || whole.length > 34, whole).toBe(true);
      }
    }
  });

  it('writes no word over the next: a letter of the font is about half as wide as its size', () => {
    for (const { picture } of all) {
      const [, , width, height] = picture.drawing.view;
      const texts = picture.drawing.marks.flatMap((m) => (m.mark === 'text' ? [m] : []));
      const spans = texts.map(({ x, y, size, text, anchor }) => {
        const wide = text.length * size * 0.5;
        const from = anchor === 'start' ? x : anchor === 'end' ? x - wide : x - wide / 2;
        return { from, to: from + wide, y, text };
      });
      for (const a of spans) {
        expect(a.from).toBeGreaterThanOrEqual(-0.01);
        expect(a.to).toBeLessThanOrEqual(width + 0.01);
        expect(a.y).toBeLessThan(height);
        for (const b of spans)
          if (a !== b && Math.abs(a.y - b.y) < 0.5)
            expect(a.to <= b.from || b.to <= a.from, `${a.text} ${b.text}`).toBe(true);
      }
    }
  });
});
