/**
 * The pivot and the report of forty tables against DuckDB in process and PostgreSQL, on the same rows in one run: the
 * engines take turns, answers are checked equal first. Both databases get small integers instead of words, only the
 * snaps that count, and what a careful engineer would set; DuckDB's answers are fetched, not turned into objects.
 */
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { DuckDBInstance, type DuckDBConnection } from '@duckdb/node-api';
import pg from 'pg';
import { dropDatabase, ensureDatabase, joinCluster, startCluster } from '../cli/cluster';
import { DEFAULT_BOOK } from '../core/book/default-book';
import { COLLEGE } from '../core/field';
import {
  buildColumns,
  countGame,
  cubes,
  FIRST_VALUE,
  select,
  type Columns,
  type Cube,
  type FilterField,
} from '../core/read';
import { outcomeOf, UNSAID, type RateKey } from '../core/read/outcomes';
import type { Snap } from '../core/snap';
import { memoryNotes } from './engines-memory';
import type { Row } from './run';

const ONES: readonly FilterField[] = [
  'personnel',
  'formation',
  'backfield',
  'motion',
  'concept',
  'direction',
  'front',
  'coverage',
  'pressure',
  'bucket',
  'zone',
  'hash',
  'structure',
  'quarter',
];
const REPORT: readonly (readonly FilterField[])[] = [
  ...ONES.map((f) => [f]),
  ['personnel', 'formation'],
  ['formation', 'play'],
  ['bucket', 'zone'],
  ['bucket', 'personnel'],
  ['formation', 'direction'],
  ['motion', 'formation'],
  ['front', 'coverage'],
  ['coverage', 'structure'],
  ['pressure', 'bucket'],
  ['hash', 'direction'],
  ['hash', 'formation'],
  ['backfield', 'direction'],
  ['structure', 'bucket'],
  ['quarter', 'bucket'],
  ['zone', 'personnel'],
  ['coverage', 'bucket'],
  ['personnel', 'formation', 'play'],
  ['bucket', 'zone', 'hash'],
  ['formation', 'direction', 'play'],
  ['motion', 'formation', 'play'],
  ['front', 'coverage', 'bucket'],
  ['structure', 'coverage', 'bucket'],
  ['personnel', 'bucket', 'play'],
  ['hash', 'formation', 'direction'],
  ['backfield', 'formation', 'direction'],
  ['pressure', 'bucket', 'zone'],
];
const PIVOT: readonly FilterField[] = ['formation', 'coverage'];
const STORED: readonly FilterField[] = [...ONES, 'play', 'offense'];
const OUTCOMES: readonly RateKey[] = ['run', 'success', 'explosive'];
const name = (field: FilterField): string => field.toLowerCase();

/** Concepts numbered by the alphabet, so that a tie is broken alike everywhere. */
function conceptOrder({ text: { concept } }: Columns): Uint16Array {
  const order = concept.words.map((_, code) => code).slice(FIRST_VALUE);
  order.sort((a, b) => (concept.words[a]! < concept.words[b]! ? -1 : 1));
  const rank = new Uint16Array(concept.words.length);
  order.forEach((code, i) => (rank[code] = i + 1));
  return rank;
}

/** Cells as text, a line a cell, sorted: what the engines must agree on. */
type Answer = readonly string[];
const TIMES = 1000;

function answerOf(columns: Columns, cube: Cube, rank: Uint16Array): Answer {
  const out: string[] = [];
  for (let cell = 0; cell < cube.size; cell++) {
    if (cube.n[cell] === 0) continue;
    const codes = cube.words(cell).map((w, f) => columns.text[cube.fields[f]!].words.indexOf(w));
    const rates = OUTCOMES.flatMap((key) => {
      const { k, n } = cube.rates[key as 'run'];
      return [n[cell], k[cell]];
    });
    const top = [0, 1, 2].flatMap((i) => {
      const at = 3 * cell + i;
      return cube.top.k[at] === 0 ? [] : [cube.top.k[at]! * TIMES - rank[cube.top.code[at]!]!];
    });
    out.push([...codes, cube.n[cell], ...rates, cube.yards.sum[cell], cube.yards.n[cell], ...top].join());
  }
  return out.sort();
}

const measures = `count(run) as run_n, coalesce(sum(run), 0) as run_k, count(success) as success_n, coalesce(sum(success), 0) as success_k,
  count(explosive) as explosive_n, coalesce(sum(explosive), 0) as explosive_k, coalesce(sum(yards), 0) as y, count(yards) as y_n`;
const totals = `sum(n), sum(run_n), sum(run_k), sum(success_n), sum(success_k), sum(explosive_n), sum(explosive_k), sum(y), sum(y_n)`;
/** One grouping: counted by concept first, so that the most used are at hand. `top`: the engine's way to the largest three. */
const query = (by: readonly FilterField[], top: string, where = ''): string =>
  `with g as (select ${by.map(name).join()}, concept_rank, count(*) as n, ${measures} from snap ${where}
   group by ${by.map(name).join()}, concept_rank)
   select ${by.map(name).join()}, ${totals}, ${top} from g group by ${by.map(name).join()}`;
const TOP_DUCK = `max(n * ${TIMES} - concept_rank, 3) filter (concept_rank > 0)`;
const TOP_POSTGRES = `(array_agg(n * ${TIMES} - concept_rank order by n * ${TIMES} - concept_rank desc) filter (where concept_rank > 0))[1:3]`;
const line = (cells: readonly unknown[]): string =>
  cells.flatMap((c) => (Array.isArray(c) ? c.map(String) : c === null ? [] : [String(c)])).join();

/** The snaps that count as a table of integers. */
function writeTable(columns: Columns, rows: Uint32Array, rank: Uint16Array, file: string): void {
  const outcomes = OUTCOMES.map((key) => outcomeOf(columns, key));
  const text = [[...STORED.map(name), 'concept_rank', ...OUTCOMES, 'yards'].join()];
  for (const row of rows)
    text.push(
      [
        ...STORED.map((f) => columns.text[f].codes[row]!),
        rank[columns.text.concept.codes[row]!]!,
        ...outcomes.map((o) => (o[row] === UNSAID ? '' : o[row])),
        outcomes[2]![row] === UNSAID ? '' : columns.yards[row],
      ].join(),
    );
  writeFileSync(file, text.join('\n'));
}
const types = (small: string): string =>
  [
    ...STORED.map((f) => `${name(f)} ${small}`),
    ...['concept_rank', ...OUTCOMES].map((c) => `${c} ${small}`),
    'yards smallint',
  ].join();

async function duckOf(file: string): Promise<DuckDBConnection> {
  const duck = await (
    await DuckDBInstance.create(':memory:', { threads: String(os.cpus().length) })
  ).connect();
  await duck.run(`create table snap (${types('utinyint')})`);
  await duck.run(`copy snap from '${file}' (header, nullstr '')`);
  return duck;
}
async function postgresOf(client: pg.Client, file: string): Promise<void> {
  await client.query(`set work_mem = '256MB'; set max_parallel_workers_per_gather = 2; set jit = off`);
  await client.query(`drop table if exists snap; create unlogged table snap (${types('smallint')})`);
  const [head, ...lines] = readFileSync(file, 'utf8').split('\n');
  const columns = head!.split(',');
  for (let from = 0; from < lines.length; from += 50_000) {
    const cells = lines.slice(from, from + 50_000).map((one) => one.split(','));
    await client.query(
      `insert into snap select * from unnest(${columns.map((_, i) => `$${i + 1}::smallint[]`).join()})`,
      columns.map((_, i) => `{${cells.map((one) => one[i] || 'null').join()}}`),
    );
  }
  await client.query('create index on snap (offense)');
  await client.query('vacuum analyze snap');
}

/** So many snaps: those at hand, over and over where more are asked for. */
function columnsOf(base: Columns, n: number): Columns {
  base.prepare([...STORED]);
  const over = <A extends Uint8Array | Uint16Array | Int16Array>(from: A): A => {
    const out = new (from.constructor as new (n: number) => A)(n);
    for (let i = 0; i < n; i++) out[i] = from[i % base.n]!;
    return out;
  };
  const text = Object.fromEntries(
    STORED.map((f) => [f, { ...base.text[f], codes: over(base.text[f].codes) }]),
  ) as unknown as Columns['text'];
  const { counts, explosive, success, yards } = base;
  return {
    ...base,
    n,
    text,
    prepare: () => undefined,
    counts: over(counts),
    explosive: over(explosive),
    success: over(success),
    yards: over(yards),
  };
}

/** `snaps`: of whole games; a larger size is filled with them over and over. */
export async function engineRows(
  snaps: readonly Snap[],
  sizes: readonly number[],
  rounds: number,
): Promise<Row[]> {
  const byGame = new Map<string, Snap[]>();
  for (const snap of snaps) {
    const game = byGame.get(snap.game);
    if (game) game.push(snap);
    else byGame.set(snap.game, [snap]);
  }
  const base = buildColumns([...byGame.values()].flatMap((g) => countGame(g, COLLEGE, DEFAULT_BOOK)));
  const folder = mkdtempSync(path.join(os.tmpdir(), 'vobrik-engines-'));
  const cluster = await startCluster('engines', false);
  const leave = joinCluster('engines');
  await ensureDatabase(cluster, 'engines');
  const client = new pg.Client({ connectionString: cluster.url('engines') });
  await client.connect();
  const out: Row[] = [];
  try {
    for (const size of sizes) {
      const columns = columnsOf(base, size);
      const rank = conceptOrder(columns);
      const file = path.join(folder, `${size}.csv`);
      const counted = select(columns, {});
      writeTable(columns, counted, rank, file);
      const duck = await duckOf(file);
      await postgresOf(client, file);
      out.push(...(await compare(columns, rank, duck, client, size, rounds)));
      duck.closeSync();
    }
  } finally {
    await client.end();
    await dropDatabase(cluster, 'engines');
    leave();
    rmSync(folder, { recursive: true });
  }
  return out;
}

async function compare(
  columns: Columns,
  rank: Uint16Array,
  duck: DuckDBConnection,
  client: pg.Client,
  size: number,
  rounds: number,
): Promise<Row[]> {
  const counted = select(columns, {});
  // A third of the teams, another third each time.
  const teams = columns.text.offense.words.slice(FIRST_VALUE);
  const third = (round: number): string[] =>
    teams.filter((_, i) => (i + round) % teams.length < Math.round(teams.length / 3));
  const where = (round: number): string =>
    `where offense in (${third(round)
      .map((t) => columns.text.offense.codeOf.get(t))
      .join()})`;
  const pivotRows = (round: number): Uint32Array => select(columns, { offense: third(round) });

  for (const by of [...REPORT, PIVOT]) {
    const round = by === PIVOT ? 1 : null;
    const ours = answerOf(
      columns,
      cubes(columns, round === null ? counted : pivotRows(round), [by])[0]!,
      rank,
    );
    const asked = round === null ? '' : where(round);
    const theirs = (await (await duck.run(query(by, TOP_DUCK, asked))).getRowsJS()).map((r) =>
      line(r.map((c) => (typeof c === 'object' && c !== null && 'items' in c ? c.items : c))),
    );
    const { rows } = await client.query<unknown[]>({
      text: query(by, TOP_POSTGRES, asked),
      rowMode: 'array',
    });
    for (const [engine, answer] of [
      ['DuckDB', theirs],
      ['PostgreSQL', rows.map(line)],
    ] as const)
      if (answer.sort().join('\n') !== ours.join('\n'))
        throw new Error(`${engine} does not agree on ${by.join()} of ${size} snaps`);
  }
  // The lattice gives what each grouping gives alone.
  cubes(columns, counted, REPORT).forEach((cube, i) => {
    const alone = cubes(columns, counted, [REPORT[i]!])[0]!;
    if (answerOf(columns, cube, rank).join('\n') !== answerOf(columns, alone, rank).join('\n'))
      throw new Error(`the lattice does not agree with itself on ${REPORT[i]!.join()}`);
  });

  const asks: readonly (readonly [string, (round: number) => unknown])[] = [
    ['report, here', () => cubes(columns, counted, REPORT)],
    [
      'report, DuckDB',
      async () => {
        for (const by of REPORT) await (await duck.run(query(by, TOP_DUCK))).fetchAllChunks();
      },
    ],
    [
      'report, PostgreSQL',
      async () => {
        for (const by of REPORT) await client.query({ text: query(by, TOP_POSTGRES), rowMode: 'array' });
      },
    ],
    ['pivot, here', (round) => cubes(columns, pivotRows(round), [PIVOT])],
    [
      'pivot, DuckDB',
      async (round) => (await duck.run(query(PIVOT, TOP_DUCK, where(round)))).fetchAllChunks(),
    ],
    [
      'pivot, PostgreSQL',
      (round) => client.query({ text: query(PIVOT, TOP_POSTGRES, where(round)), rowMode: 'array' }),
    ],
  ];
  const times = asks.map((): number[] => []);
  for (let round = 0; round < rounds; round++)
    for (const [i, [, ask]] of asks.entries()) {
      // PostgreSQL's report of a million takes a minute: three times are enough to see it.
      if (i === 2 && round >= 3 && size > 100_000) continue;
      const began = performance.now();
      await ask(round);
      times[i]!.push(performance.now() - began);
    }
  const said = `${REPORT.length} tables, ${counted.length} snaps count`;
  const notes = await memoryNotes(columns, { stored: STORED, outcomes: OUTCOMES, said }, duck, client);
  return asks.map(([what], i) => ({
    what: `${what}, ${size} snaps`,
    n: times[i]!.length,
    unit: 'ms',
    times: times[i]!,
    note: notes[i] ?? '',
  }));
}
