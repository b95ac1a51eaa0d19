/** The commands as a shell runs them. */
import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { describe, expect, it } from 'vitest';
import { parseSpots } from '../core/book';
import { DEFAULT_BOOK } from '../core/book/default-book';
import { writeBook } from '../core/book/term';
import { blankSnap } from '../core/snap';
import { emptyTables, pack, snapToRow, unpack, writeCsv, writePackage } from '../core/table';
import { makeMistake } from '../demo/mistakes';
import { DEMO_SEED, simulateSeason } from '../demo/league';
import { seededRandom } from '../demo/random';
import { root, shell } from './shell.fixture';

const { file, work, vobrik } = shell('cli-test');
const [game] = simulateSeason(DEMO_SEED, { tells: true, weeks: 1 });
const csv = (snaps = game!.snaps): string => writeCsv('snaps', snaps.map(snapToRow));

describe('understand', () => {
  const fixtures = path.join(root, 'core/foreign/fixtures');
  it('prints a foreign table as it is read, and writes what was refused', () => {
    const read = vobrik('understand', path.join(fixtures, 'two-heading-rows.csv'), '--team', 'HER');
    expect(read.code).toBe(0);
    const json = JSON.parse(read.out) as Record<string, { row: number }[]> & { mapping: { field: string }[] };
    expect(json.rows).toHaveLength(7);
    expect(json.mapping[0]!.field).toBe('down');
    expect(json.rows![0]).toMatchObject({
      row: 4,
      down: '1',
      distance: '10',
      to_goal: '75',
      formation: 'trips',
      backfield: 'gun',
    });
    const out = file('understood');
    const said = vobrik('understand', path.join(fixtures, 'quotes.csv'), '--out', out);
    expect(JSON.parse(said.out)).toMatchObject({ rows: 2, skipped: 1, refused: 1 });
    expect(readFileSync(path.join(out, 'refused.csv'), 'utf8')).toContain('Gain: is no gain in yards');
  });
  it('a map goes before what is proposed; mistakes are one line', () => {
    writeFileSync(file('map.json'), JSON.stringify({ mapping: [{ column: 'Gain', field: null }] }));
    const mapped = vobrik('understand', path.join(fixtures, 'quotes.csv'), '--map', file('map.json'));
    expect((JSON.parse(mapped.out) as { refused: unknown[] }).refused).toEqual([]);
    writeFileSync(file('map.json'), JSON.stringify({ mapping: [{ column: 'Gain', field: 'nothing' }] }));
    const wrong = vobrik('understand', path.join(fixtures, 'quotes.csv'), '--map', file('map.json'));
    expect([wrong.code, wrong.err]).toEqual([
      2,
      expect.stringContaining('mapped to “nothing”, which is no field'),
    ]);
    const sheet = vobrik('understand', path.join(fixtures, 'a-sheet-a-game.xlsx'), '--sheet', 'Nix');
    expect([sheet.code, sheet.err]).toEqual([2, expect.stringContaining('it has Orrin Gap, Tallow Bay')]);
  });
});

describe('help and mistakes', () => {
  it('lists the commands', () => {
    const help = vobrik('--help');
    expect(help.code).toBe(0);
    for (const command of [
      'demo',
      'start',
      'stop',
      'test',
      'parse',
      'check',
      'read',
      'import',
      'export',
      'backup',
      'restore',
      'bench',
    ])
      expect(help.out).toContain(command);
  });

  it('says one line and exits 2', () => {
    for (const [args, words] of [
      [['nonsense'], /no command nonsense/],
      [['parse'], /give one line in quotes/],
      [['look'], /give one line in quotes/],
      [['look', '--hash', 'X', 'trips r'], /--hash is L, M or R/],
      [['look', 'power r'], /names no formation/],
      [['look', 'trips r gun xyzzy'], /characters 13–17/],
      [['parse', '--state', '1&10 @x', 'x'], /--state/],
      [['check', '/no/such/file.csv'], /there is no such file/],
      [['restore', 'package.json'], /not an archive that backup wrote/],
    ] as const) {
      const done = vobrik(...args);
      expect([args.join(' '), done.code]).toEqual([args.join(' '), 2]);
      expect(done.err).toMatch(words);
      expect(done.err.split('\n')).toHaveLength(1);
    }
  });
});

it('read groups by structure with the book of the package, and keeps 7-on-7 apart', () => {
  const book = {
    ...DEFAULT_BOOK,
    terms: [
      ...DEFAULT_BOOK.terms,
      {
        id: 'formation-gull',
        kind: 'formation' as const,
        word: 'gull',
        aliases: [],
        spots: parseSpots('X-16 H+6o1 Y+9o1 Z+13'),
      },
    ],
  };
  const rows = [
    ['a', 'g', '1', 'gull'],
    ['b', 'g', '2', 'doubles'],
    ['c', 's', '1', 'trips'],
  ];
  const tables = {
    ...emptyTables(),
    teams: [
      { team: 'AAA', name: 'Alder' },
      { team: 'BBB', name: 'Birch' },
    ],
    games: [
      { game: 'g', home: 'AAA', away: 'BBB', level: 'college', phase: 'regular' },
      { game: 's', home: 'AAA', away: 'BBB', level: 'seven_on_seven', phase: 'seven_on_seven' },
    ],
    snaps: rows.map(([snapId, game, order, formation]) =>
      snapToRow({
        ...blankSnap(snapId!, game!, Number(order)),
        offense: 'AAA',
        defense: 'BBB',
        formation: formation!,
        formationSide: 'R',
        play: 'pass',
        down: 1,
        distance: 10,
        toGoal: 40,
      }),
    ),
  };
  writeFileSync(
    file('structures.zip'),
    pack(writePackage(tables, writeBook(book), { name: 'x', title: 'x', level: 'college 2026' })),
  );
  const read = (...args: string[]) =>
    JSON.parse(vobrik('read', file('structures.zip'), '--by', 'structure', ...args).out) as {
      n: number;
      rows: { structure: string; n: number }[];
    };
  expect(read().rows.map((r) => [r.structure, r.n])).toEqual([
    ['2x2', 1],
    ['3x1', 1],
  ]);
  expect(read('--film', 'seven')).toMatchObject({ n: 1, rows: [{ structure: '3x1', n: 1 }] });
  const wrong = vobrik('read', file('structures.zip'), '--by', 'structure', '--film', 'six');
  expect([wrong.code, wrong.err]).toEqual([2, '--film six is none of eleven, seven, five']);
});

it('look places all twenty-two and says what each does', () => {
  const done = vobrik('look', '--hash', 'L', '11 trips r gun 4-2 over cover 3 strong stick');
  expect(done.code).toBe(0);
  const json = JSON.parse(done.out) as {
    structure: string;
    run_strength: string;
    pass_strength: string;
    box: number;
    offense: { name: string; number: number | null; x: number; field_x: number }[];
    defense: { name: string; does: string; zone: string | null; covers: string[]; gap: string | null }[];
    routes: { by: string; route: string }[];
    margin: Record<string, number>;
    warnings: unknown[];
  };
  expect([json.structure, json.run_strength, json.pass_strength, json.box]).toEqual(['3x1', 'R', 'R', 6]);
  expect([json.offense.length, json.defense.length]).toEqual([11, 11]);
  expect(new Set(json.defense.map((d) => d.name)).size).toBe(11);
  expect(json.offense.find((o) => o.name === 'Z')).toMatchObject({ number: 1, x: 16, field_x: 9.3 });
  expect(json.defense.find((d) => d.name === '$')).toMatchObject({ does: 'under', zone: 'curl-flat' });
  expect(json.defense.filter((d) => d.does === 'rush').every((d) => d.gap !== undefined)).toBe(true);
  expect(Object.keys(json.margin).sort()).toEqual(['AL', 'AR', 'BL', 'BR', 'CL', 'CR', 'DL', 'DR']);
  expect(json.routes.map((r) => r.by)).toContain('H');
  expect(json.warnings).toEqual([]);
});

it('parse gives the snap and what follows', () => {
  const done = vobrik('parse', '--state', '4&8 @o30', 'punt 42 ret 6');
  expect(done.code).toBe(0);
  const json = JSON.parse(done.out) as { fields: object; problems: unknown[]; next: object; explain: string };
  expect(json.fields).toMatchObject({ unit: 'punt', kick_yards: 42, return_yards: 6 });
  expect(json.next).toMatchObject({
    offense: 'them',
    down: 1,
    distance: 10,
    to_goal: 66,
    words: '1st & 10, own 34',
  });
  expect(json.explain).toContain('new possession');
});

it('check names each contradiction and exits 1', () => {
  writeFileSync(file('clean.csv'), csv());
  expect(vobrik('check', file('clean.csv')).code).toBe(0);
  writeFileSync(file('wrong.csv'), csv([...makeMistake(game!.snaps, 'down', seededRandom(3))!.snaps]));
  const done = vobrik('check', file('wrong.csv'));
  expect(done.code).toBe(1);
  const { findings } = JSON.parse(done.out) as {
    findings: { rule: string; sentence: string; remedies: string[] }[];
  };
  expect(findings.some((f) => f.rule === 'down' && f.remedies.length >= 2)).toBe(true);
});

it('read groups with n, rates and intervals that add up', () => {
  const done = vobrik(
    'read',
    file('clean.csv'),
    '--by',
    'down,play',
    '--where',
    `offense=${game!.home},quarter=1|2`,
  );
  const table = JSON.parse(done.out) as {
    n: number;
    grouped: number;
    rows: { down: string; play: string; n: number; run: { k: number; n: number; low: number } }[];
  };
  const plain = game!.snaps.filter(
    (s) => s.offense === game!.home && s.quarter! <= 2 && s.unit === 'scrimmage' && s.result !== 'no_play',
  );
  expect(table.n).toBe(
    plain.length +
      game!.snaps.filter(
        (s) =>
          s.offense === game!.home &&
          s.quarter! <= 2 &&
          s.unit === 'try' &&
          s.play !== null &&
          s.result !== 'kick',
      ).length,
  );
  for (const row of table.rows) {
    expect(row.n).toBe(plain.filter((s) => String(s.down) === row.down && s.play === row.play).length);
    expect(row.run.k).toBe(row.play === 'run' ? row.n : 0);
  }
  expect(vobrik('read', file('clean.csv'), '--by', 'wind').err).toContain('column wind cannot be grouped by');
});

it('read takes a side of a team, ranges of figures, and prints the measures that are asked for', () => {
  const run = (...args: string[]) => {
    const { code, out, err } = vobrik('read', file('clean.csv'), ...args);
    if (code !== 0) throw new Error(err);
    return JSON.parse(out) as {
      n: number;
      rows: Record<string, unknown>[];
    };
  };
  const scrimmage = game!.snaps.filter(
    (s) => s.unit === 'scrimmage' && !['no_play', 'kneel', 'spike', 'kick'].includes(s.result ?? ''),
  );
  const third = scrimmage.filter((s) => s.defense === game!.home && s.down === 3 && s.distance! >= 7);
  const read = run(
    ...['--by', 'down', '--team', game!.home, '--side', 'defense', '--where', 'down=3..3,distance=7..99'],
  );
  expect(read.n).toBe(third.length);
  const [row] = read.rows;
  const yards = third.flatMap((s) =>
    s.result === 'incomplete' || s.turnover === 'interception' ? [0] : s.gain === null ? [] : [s.gain],
  );
  expect(row).toMatchObject({ down: '3', n: third.length, n_eff: third.length });
  expect((row!.yards as { mean: number }).mean).toBeCloseTo(
    yards.reduce((a, b) => a + b, 0) / yards.length,
    9,
  );
  expect(Object.keys(row!)).toEqual([
    'down',
    'n',
    'n_eff',
    'run',
    'success',
    'explosive',
    'yards',
    'top_concepts',
  ]);
  expect(Object.keys(run('--by', 'down', '--measure', 'yards').rows[0]!)).toEqual([
    'down',
    'n',
    'n_eff',
    'yards',
  ]);
  const wrong = (...args: string[]) => vobrik('read', file('clean.csv'), '--by', 'down', ...args).err;
  expect(wrong('--where', 'distance=9..2')).toContain('begins above its end');
  expect(wrong('--where', 'distance=long')).toContain('takes a figure or a range');
  expect(wrong('--measure', 'luck')).toContain('--measure luck is none of');
  expect(wrong('--side', 'defense')).toContain('needs a team');
});

describe('the database from the command line', () => {
  it('exports, backs up, restores and refuses what is twice', async () => {
    // Fills the demo, and stays with the cluster: else each command starts one and stops it.
    const seed = spawn(
      process.execPath,
      [
        '--import',
        'tsx',
        '-e',
        "const { openDatabase } = await import('./cli/database'); const open = await openDatabase('demo'); const { loadDemo } = await import('./demo/load'); await loadDemo(new Date(0)); await (await import('./store/orm')).closeOrm(); console.log('filled'); process.stdin.on('end', open.leave).resume();",
      ],
      {
        cwd: root,
        env: { ...process.env, VOBRIK_WORK: work },
        stdio: ['pipe', 'pipe', 'inherit'],
      },
    );
    const ended = once(seed, 'exit');
    const filled = new Promise<boolean>((resolve) => {
      seed.stdout.on('data', (said: Buffer) => said.includes('filled') && resolve(true));
      seed.once('exit', () => resolve(false));
    });
    expect(await filled).toBe(true);
    const exported = vobrik('export', '--demo', file('all.zip'));
    expect([exported.code, exported.err]).toEqual([0, '']);
    const files = unpack('all.zip', new Uint8Array(readFileSync(file('all.zip'))));
    expect(files.ok && files.files.map((f) => f.name)).toEqual(
      expect.arrayContaining(['datapackage.json', 'snaps.csv', 'book.json']),
    );
    const twice = vobrik('import', '--demo', file('all.zip'));
    expect(twice.code).toBe(2);
    expect(twice.err).toContain('nothing was imported');
    expect(vobrik('backup', '--demo', file('all.vobrik')).code).toBe(0);
    writeFileSync(
      file('more.csv'),
      csv(game!.snaps.map((s) => ({ ...s, game: 'more', snapId: `m-${s.snapId}` }))),
    );
    expect(vobrik('import', '--demo', file('more.csv')).out).toContain(
      `imported 1 games, ${game!.snaps.length} snaps`,
    );
    const table = path.join(root, 'core/foreign/fixtures/semicolons-and-dates.csv');
    const played = ['import', '--demo', '--away', 'LAN', '--home', 'STG', '--date', '2026-10-03'];
    const refused = vobrik(...played, table);
    expect([refused.code, refused.err]).toEqual([
      2,
      'row 6, Ball “STG 3l”: a letter where a digit belongs: 31?\n1 row cannot be taken; mend them, or say --without-refused. Nothing was imported',
    ]);
    const taken = vobrik(...played, '--without-refused', table);
    expect([taken.code, taken.out]).toEqual([
      0,
      'imported 4 snaps as 2026-10-03-lan-stg-semicolons-and-dates, without 1 refused rows\n',
    ]);
    expect(vobrik('import', '--demo', '--away', 'NIX', '--home', 'STG', table).err).toContain(
      'there is no team NIX',
    );
    const after = file('after.zip');
    expect(vobrik('restore', '--demo', file('all.vobrik')).code).toBe(0);
    vobrik('export', '--demo', after);
    expect(readFileSync(after).equals(readFileSync(file('all.zip')))).toBe(true);
    seed.stdin.end();
    expect((await ended)[0]).toBe(0);
  }, 400_000);
});
