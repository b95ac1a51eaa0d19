/**
 * The benchmarks, as a table: median, spread and n on this machine. Rows are compared by ratio
 * within one run; a row that has a plain counterpart checks that both give the same answer first.
 */
import os from 'node:os';
import path from 'node:path';
import Papa from 'papaparse';
import { readOptions } from '../cli/options';
import { DEFAULT_BOOK } from '../core/book/default-book';
import { COLLEGE } from '../core/field';
import { formatLine, parseLine, stateAfter, type LineContext } from '../core/line';
import { buildColumns, select, situationBoard, isTendency, countGame, type CountedSnap } from '../core/read';
import { checkRows, unknownState, walkGame, type GameState } from '../core/rules';
import type { Snap } from '../core/snap';
import { readCsv, snapToRow, writeCsv } from '../core/table';
import { DEMO_SEED, simulateSeason } from '../demo/league';

export interface Row {
  readonly what: string;
  readonly n: number;
  readonly unit: 'µs' | 'ms';
  readonly times: readonly number[];
  readonly note: string;
}

const HELD_OUT_WORLDS = 200;

const sorted = (times: readonly number[]): number[] => [...times].sort((a, b) => a - b);
export const quantile = (times: readonly number[], share: number): number =>
  sorted(times)[Math.min(times.length - 1, Math.floor(share * times.length))] ?? NaN;

function time(what: string, unit: Row['unit'], n: number, work: () => unknown, note = '', per = 1): Row {
  for (let i = 0; i < Math.min(3, n); i++) work();
  const times: number[] = [];
  for (let i = 0; i < n; i++) {
    const began = performance.now();
    work();
    times.push(((performance.now() - began) * (unit === 'µs' ? 1000 : 1)) / per);
  }
  return { what, n, unit, times, note };
}

const STATE: GameState = {
  ...unknownState({ HER: 0, STG: 0 }),
  offense: 'HER',
  defense: 'STG',
  unit: 'scrimmage',
  quarter: 1,
  down: 1,
  distance: 10,
  toGoal: 65,
  hash: 'L',
};
const LINE = '11 trips r h jet 4-2 over cover 3 weak power r #22 +6';

/** Season after season until there are as many snaps as asked, each game with a key of its own. */
export function manySnaps(n: number): Snap[] {
  const out: Snap[] = [];
  for (let seed = DEMO_SEED; out.length < n; seed++) {
    for (const leagueGame of simulateSeason(seed, { tells: true }))
      for (const s of leagueGame.snaps)
        out.push({ ...s, snapId: `${seed}-${s.snapId}`, game: `${seed}-${leagueGame.key}` });
  }
  return out.slice(0, n);
}

function coreRows(): Row[] {
  const context: LineContext = { book: DEFAULT_BOOK, profile: COLLEGE, state: STATE, previous: null };
  const season = simulateSeason(DEMO_SEED, { tells: true, weeks: 4 });
  const game = season.reduce((a, b) =>
    Math.abs(b.snaps.length - 180) < Math.abs(a.snaps.length - 180) ? b : a,
  ).snaps;
  const rows: Row[] = [
    time(
      'parse a line of 9 fields',
      'µs',
      200,
      () => {
        for (let i = 0; i < 50; i++) parseLine(LINE, context);
      },
      `${DEFAULT_BOOK.terms.length} terms`,
      50,
    ),
    time(
      'parse, and what follows',
      'µs',
      200,
      () => {
        for (let i = 0; i < 50; i++) stateAfter(parseLine(LINE, context), context);
      },
      '',
      50,
    ),
    time(
      'format a snap to its line',
      'µs',
      100,
      () => {
        for (let i = 0; i < 20; i++) formatLine(parseLine(LINE, context).fields, context);
      },
      '',
      20,
    ),
    time(`carry and check a game of ${game.length} snaps`, 'ms', 100, () =>
      checkRows(walkGame(game, COLLEGE)),
    ),
  ];
  const snaps = manySnaps(100_000);
  const csv = writeCsv('snaps', snaps.map(snapToRow));
  const plain = Papa.parse<string[]>(csv).data.length - 2;
  const read = readCsv('snaps', csv, 'snaps.csv');
  if (read.faults.length > 0 || read.rows.length !== plain)
    throw new Error('the reader and the plain parser do not agree');
  rows.push(
    time(
      'read 100 000 snaps from CSV, checked',
      'ms',
      3,
      () => readCsv('snaps', csv, 'snaps.csv'),
      `${(csv.length / 1e6).toFixed(0)} MB`,
    ),
  );
  rows.push(time('the same text through the CSV library alone', 'ms', 3, () => Papa.parse<string[]>(csv)));
  const byGame = new Map<string, Snap[]>();
  for (const s of snaps) byGame.set(s.game, [...(byGame.get(s.game) ?? []), s]);
  const counted = [...byGame.values()].flatMap((g) => countGame(g, COLLEGE));
  const columns = buildColumns(counted);
  const fast = situationBoard(columns, select(columns, { personnel: ['11'] }));
  const slow = plainBoard(counted);
  for (const boardRow of fast)
    if (
      slow.get(boardRow.key)?.runs !== boardRow.calls.byKind.run.length ||
      slow.get(boardRow.key)?.n !== boardRow.calls.rows.length
    )
      throw new Error(`the board and the plain loop do not agree on ${boardRow.key}`);
  rows.push(time('columns from 100 000 snaps', 'ms', 5, () => buildColumns(counted)));
  const game100 = [...byGame.values()].slice(0, 100);
  rows.push(
    time(
      'walk 100 games and measure their looks',
      'ms',
      5,
      () => game100.forEach((g) => countGame(g, COLLEGE, DEFAULT_BOOK)),
      `${game100.reduce((n, g) => n + g.length, 0)} snaps`,
    ),
  );
  rows.push(
    time('situation board over 100 000 snaps, sliced', 'ms', 30, () =>
      situationBoard(columns, select(columns, { personnel: ['11'] })),
    ),
  );
  rows.push(time('the same by a plain loop over the records', 'ms', 10, () => plainBoard(counted)));
  return rows;
}

function plainBoard(
  counted: readonly CountedSnap[],
): Map<string, { n: number; runs: number; marks: [number, string][] }> {
  const out = new Map<string, { n: number; runs: number; marks: [number, string][] }>();
  for (const countedSnap of counted) {
    if (!isTendency(countedSnap) || countedSnap.snap.personnel !== '11' || countedSnap.bucket === null)
      continue;
    const cell = out.get(countedSnap.bucket) ?? { n: 0, runs: 0, marks: [] };
    cell.n++;
    if (countedSnap.snap.play === 'run') cell.runs++;
    if (countedSnap.snap.toGoal !== null && countedSnap.snap.play !== null)
      cell.marks.push([countedSnap.snap.toGoal, countedSnap.snap.play]);
    out.set(countedSnap.bucket, cell);
  }
  return out;
}

const show = (ms: number): string => (ms >= 100 ? ms.toFixed(0) : ms >= 10 ? ms.toFixed(1) : ms.toFixed(2));

export function printRows(rows: readonly Row[]): void {
  const width = Math.max(...rows.map((r) => r.what.length));
  process.stdout.write(
    `${'what'.padEnd(width)}  ${'p50'.padStart(9)}  ${'p95'.padStart(9)}  ${'least'.padStart(9)}  ${'most'.padStart(9)}      n\n`,
  );
  for (const row of rows) {
    const cells = [0.5, 0.95, 0, 1].map((share) =>
      `${show(share === 1 ? Math.max(...row.times) : quantile(row.times, share))} ${row.unit}`.padStart(9),
    );
    process.stdout.write(
      `${row.what.padEnd(width)}  ${cells.join('  ')}  ${String(row.times.length).padStart(5)}  ${row.note}\n`,
    );
  }
}

export async function bench(args: string[]): Promise<number> {
  const { flags } = readOptions(args, [], ['no-browser', 'long']);
  process.stdout.write(
    `${os.cpus().length} × ${os.cpus()[0]?.model.trim() ?? 'processor'}, ${(os.totalmem() / 2 ** 30).toFixed(0)} GiB, Node ${process.versions.node}\n\n`,
  );
  printRows([...coreRows(), ...(await import('./looks')).lookRows()]);
  process.stdout.write('\nthe same questions to three engines, answers equal\n');
  const { engineRows } = await import('./engines');
  printRows(
    await engineRows(
      manySnaps(100_000),
      flags.has('long') ? [5000, 100_000, 1_000_000] : [5000, 100_000],
      15,
    ),
  );
  process.stdout.write('\n');
  const { countKeys } = await import('./keys');
  for (const k of countKeys(3, flags.has('long') ? 1 : 4))
    process.stdout.write(
      `keys a snap with ${k.fields} fields: ${k.keys.toFixed(1)} of ${k.letters.toFixed(1)} letters, ${k.bits.toFixed(1)} bits open in its words (n ${k.snaps})\n`,
    );
  if (flags.has('long')) {
    process.stdout.write('\nsheets drafted from the games before, played in the next one\n');
    const { SETTINGS, compareSheets, comparedLines, heldOut } = await import('./held-out');
    for (const setting of SETTINGS) {
      const all = Array.from({ length: HELD_OUT_WORLDS }, (_, i) => heldOut(i + 1, setting));
      process.stdout.write(`${comparedLines(compareSheets(setting, all)).join('\n')}\n`);
    }
  }
  if (!flags.has('no-browser')) {
    process.stdout.write('\nin Chromium and the store, against PostgreSQL with fsync on\n');
    const { browserRows } = await import('./browser');
    const { retagRows } = await import('./retag');
    const { readRows } = await import('./read');
    const { planRows } = await import('./plan');
    printRows([
      ...(await browserRows()),
      ...(await readRows(5000, 60)),
      ...(await planRows()),
      ...(await retagRows()),
    ]);
    const { loadRows } = await import('./load');
    printRows(await loadRows({ members: 20, seconds: flags.has('long') ? 60 : 15, think: 3000 }));
    if (flags.has('long')) {
      const { fuzzLine, fuzzForeign, fuzzTable } = await import('./fuzz');
      const { logUnderKills } = await import('./kills');
      const said = (what: string, done: object): void =>
        void process.stdout.write(`${what}: ${JSON.stringify(done)}\n`);
      said('a thousand snaps under kills', await logUnderKills({ snaps: 1000, every: 12, seed: 20261126 }));
      const { pagesUnderKills } = await import('./pages-run');
      said(
        'the real page under kills of everything',
        await pagesUnderKills({ schedules: 50, least: 300, seed: 20261126 }),
      );
      const { logAtOnce } = await import('./rounds');
      const { follow } = await import('../cli/system');
      const { ROOT } = await import('../cli/paths');
      process.stdout.write('the analyst charts the rest of the half game whole\n');
      const charted = await follow(
        path.join(ROOT, 'node_modules/.bin/playwright'),
        ['test', '96-analyst', '--reporter=list'],
        { cwd: ROOT, env: { ...process.env, VOBRIK_ANALYST: 'all' } },
      );
      if (charted !== 0) throw new Error('the analyst did not get to the end');
      said('two members at once', await logAtOnce({ rounds: 500, seed: 20261126 }));
      const { uploadsAtLimits } = await import('./uploads');
      said('uploads at the limits', await uploadsAtLimits());
      const { invariantsOverEverything } = await import('./invariants');
      said('every word against every other', invariantsOverEverything(1));
      said('random lines', fuzzLine(1_000_000, 1));
      said('random tables', fuzzTable(10_000, 1));
      said('mutated tables of other staffs', fuzzForeign(10_000, 1));
    }
  }
  return 0;
}
