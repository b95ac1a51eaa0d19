/** What the commands put on paper and into files: the call sheets and the report, as a shell runs them. */
import { readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { expect, it } from 'vitest';
import { COLLEGE } from '../core/field';
import { SECTIONS, USUAL_PRINTS } from '../core/plan';
import { countGame, DEFAULT_RULES, isTendency, SUCCESS_50_70_100 } from '../core/read';
import { pack, snapToRow, writeCsv } from '../core/table';
import { DEMO_SEED, simulateSeason } from '../demo/league';
import { shell } from './shell.fixture';

const { file, vobrik } = shell('paper-test');
/** Written for either side of the ball. */
const BOTH = ['practice.pdf', 'scout-cards.pdf', 'test.pdf'];
const [game] = simulateSeason(DEMO_SEED, { tells: true, weeks: 1 });
const csv = (snaps = game!.snaps): string => writeCsv('snaps', snaps.map(snapToRow));

it('sheet drafts both sides of the ball, and audit says of it what was said with it', () => {
  const season = simulateSeason(DEMO_SEED, { tells: true, weeks: 4 });
  const team = season[0]!.home;
  const opponent = season.find((g) => g.home !== team && g.away !== team)!.home;
  const film = season.filter((g) => [g.home, g.away].some((t) => t === team || t === opponent));
  writeFileSync(file('drafted.csv'), csv(film.flatMap((g) => g.snaps)));
  const sheet = (side: string, ...more: string[]) =>
    vobrik(
      'sheet',
      file('drafted.csv'),
      '--team',
      team,
      '--opponent',
      opponent,
      '--side',
      side,
      '--out',
      file(side),
      ...more,
    );
  interface Sheet {
    sections: {
      id: string;
      suggested: number | null;
      expected: unknown;
      calls: { id: string; low: number; score: number; high: number }[];
    }[];
    checks: { structure: string; share: number; answer: string }[];
    audits: { code: string; cells: string[]; sentence: string }[];
  }
  const made = (side: string): Sheet =>
    JSON.parse(readFileSync(path.join(file(side), 'sheet.json'), 'utf8')) as Sheet;
  const offense = sheet('offense');
  expect([offense.code, offense.err]).toEqual([0, '']);
  expect((JSON.parse(offense.out) as { files: string[] }).files).toEqual([
    'sheet.json',
    'sheet.pdf',
    'checks.pdf',
    'decisions.pdf',
    'wristband.pdf',
    ...BOTH,
  ]);
  const drafted = made('offense');
  const some = drafted.sections.filter((s) => s.calls.length > 0);
  expect(some.length).toBeGreaterThan(5);
  for (const { calls, suggested } of some) {
    expect(calls.length).toBeLessThanOrEqual(suggested!);
    for (const { low, score, high } of calls) expect(low <= score && score <= high).toBe(true);
  }
  for (const name of ['sheet.pdf', 'wristband.pdf', ...BOTH])
    expect(
      readFileSync(path.join(file('offense'), name))
        .subarray(0, 5)
        .toString(),
    ).toBe('%PDF-');
  const said = vobrik('audit', path.join(file('offense'), 'sheet.json'), '--film', file('drafted.csv'));
  expect([said.code, said.err]).toEqual([drafted.audits.length > 0 ? 1 : 0, '']);
  expect((JSON.parse(said.out) as Sheet).audits).toEqual(drafted.audits);

  const defense = sheet('defense');
  expect([defense.code, defense.err]).toEqual([0, '']);
  expect((JSON.parse(defense.out) as { files: string[] }).files).toEqual([
    'sheet.json',
    'checks.pdf',
    ...BOTH,
  ]);
  const { checks, audits } = made('defense');
  expect(checks.reduce((sum, c) => sum + c.share, 0)).toBeGreaterThan(0.9);
  expect(audits.some((a) => a.code === 'no_answer')).toBe(false);
  // One answer left out on purpose is found, and exit says so.
  const cut = { ...made('defense'), checks: checks.slice(1), audits: [] };
  writeFileSync(file('cut.json'), JSON.stringify({ ...cut, team, opponent, side: 'defense' }));
  const found = vobrik('audit', file('cut.json'), '--film', file('drafted.csv'));
  expect(found.code).toBe(1);
  expect((JSON.parse(found.out) as Sheet).audits[0]!.sentence).toContain(
    `No answer for ${checks[0]!.structure}`,
  );

  for (const [args, words] of [
    [['sheet', file('drafted.csv')], 'name your team: --team KEY'],
    [
      ['sheet', file('drafted.csv'), '--team', team, '--opponent', 'NOBODY', '--out', file('x')],
      /^NOBODY plays in no eleven-man game/,
    ],
    [['audit', file('drafted.csv')], /is no JSON/],
    [['audit', file('cut.json')], /--film FILE$/],
  ] as const) {
    const wrong = vobrik(...args);
    expect(wrong.code).toBe(2);
    expect(wrong.err).toMatch(words);
  }
});

it('a file is counted, sectioned and printed as its staff does, where it says how', () => {
  const season = simulateSeason(DEMO_SEED, { tells: true, weeks: 4 });
  const { home: team, away: opponent } = season[0]!;
  const snaps = season.flatMap((g) => g.snaps);
  const rules = { ...DEFAULT_RULES, success: SUCCESS_50_70_100 };
  const program = (changes: object): string =>
    JSON.stringify({
      name: 'A staff',
      level: 'college',
      season: 2026,
      team,
      week: 5,
      opponent,
      rules,
      sections: [
        { key: 'own-early', label: 'Early downs', filter: { bucket: ['1-10'] }, ranges: {}, kinds: [] },
        ...SECTIONS.filter((s) => s.key.startsWith('third')),
      ],
      prints: {
        ...USUAL_PRINTS,
        signals: [
          { word: 'trips', signal: 'fist' },
          { word: 'doubles', signal: 'fist' },
        ],
      },
      ...changes,
    });
  const packed = (name: string, changes: object = {}): string => {
    const files = { 'snaps.csv': csv(snaps), 'program.json': program(changes) };
    writeFileSync(file(name), pack(Object.entries(files).map(([of, text]) => ({ name: of, text }))));
    return file(name);
  };
  const ours = packed('ours.zip');
  const counted = vobrik('read', ours, '--by', 'play', '--team', team, '--measure', 'success');
  expect(counted.err).toBe('');
  const runs = (
    JSON.parse(counted.out) as { rows: { play: string; success: { k: number; n: number } }[] }
  ).rows.find((r) => r.play === 'run')!.success;
  // Half on first down, seven tenths on second, all of it after: by a plain loop.
  let [k, n] = [0, 0];
  for (const { snap, ...of } of season.flatMap((g) => countGame(g.snaps, COLLEGE, null, DEFAULT_RULES))) {
    if (snap.offense !== team || snap.play !== 'run' || !isTendency({ snap, ...of })) continue;
    const [gain, distance] = [snap.gain, snap.distance];
    if (gain === null || distance === null || snap.down === null) continue;
    n++;
    if (gain >= distance || (snap.down < 3 && 10 * gain >= [5, 7][snap.down - 1]! * distance)) k++;
  }
  expect(runs).toMatchObject({ k, n });
  const args = ['--team', team, '--opponent', opponent, '--out', file('theirs')];
  const made = vobrik('sheet', ours, ...args);
  expect([made.code, made.err]).toEqual([0, '']);
  const sheet = JSON.parse(readFileSync(path.join(file('theirs'), 'sheet.json'), 'utf8')) as {
    sections: { id: string; expected: { mean: number } | null; calls: unknown[] }[];
    audits: { code: string; sentence: string }[];
  };
  expect(sheet.sections.map((s) => s.id)).toEqual([
    'own-early',
    ...SECTIONS.flatMap((s) => (s.key.startsWith('third') ? s.key : [])),
  ]);
  expect(sheet.sections[0]!.expected!.mean).toBeGreaterThan(5);
  expect(sheet.audits.map((a) => a.code)).toContain('same_signal');
  // Read back with the film, a section of the staff's own is counted as it was.
  const again = vobrik('audit', path.join(file('theirs'), 'sheet.json'), '--film', ours);
  expect((JSON.parse(again.out) as { audits: unknown }).audits).toEqual(sheet.audits);
  // What cannot be read is named.
  const wrong = vobrik('read', packed('wrong.zip', { prints: { band: 4 } }), '--by', 'play');
  expect([wrong.code, wrong.err]).toEqual([2, expect.stringMatching(/program\.json.*prints/)]);
});

it('report writes paper, a workbook, a table a file and JSON; every number is a plain count of the snaps', () => {
  writeFileSync(file('reported.csv'), csv());
  const team = game!.home;
  const done = vobrik(
    'report',
    file('reported.csv'),
    '--team',
    team,
    '--out',
    file('report'),
    '--paper',
    'a4',
  );
  expect([done.code, done.err]).toEqual([0, '']);
  const made = JSON.parse(done.out) as { files: string[]; games: string[] };
  expect(made.files.slice(0, 4)).toEqual(['report.json', 'report.pdf', 'players.pdf', 'report.xlsx']);
  for (const name of made.files)
    expect(readFileSync(path.join(file('report'), name)).length).toBeGreaterThan(20);
  expect(
    readFileSync(path.join(file('report'), 'report.pdf'))
      .subarray(0, 5)
      .toString(),
  ).toBe('%PDF-');
  interface Table {
    id: string;
    title: string;
    columns: { key: string; label: string; kind: string }[];
    rows: Record<string, unknown>[];
  }
  const json = JSON.parse(readFileSync(path.join(file('report'), 'report.json'), 'utf8')) as {
    team: string;
    side: string;
    games: string[];
    tables: Table[];
  };
  expect([json.team, json.side, json.games]).toEqual([team, 'offense', [game!.snaps[0]!.game]]);
  for (const table of json.tables) {
    const keys = table.columns.map((c) => c.key);
    for (const row of table.rows) expect(Object.keys(row)).toEqual(keys);
    const n = table.rows.map((r) => r.n as number);
    expect(n).toEqual([...n].sort((a, b) => b - a));
  }
  const plays = game!.snaps.filter(
    (s) =>
      s.offense === team &&
      (s.unit === 'scrimmage' || (s.unit === 'try' && s.play !== null)) &&
      !['kneel', 'spike', 'no_play', 'kick'].includes(s.result ?? ''),
  );
  const personnel = json.tables.find((t) => t.id === 'personnel')!;
  for (const row of personnel.rows) {
    const mine = plays.filter((s) => s.personnel === row.personnel);
    const yards = mine
      .map((s) => (s.result === 'incomplete' || s.turnover === 'interception' ? 0 : s.gain))
      .filter((y) => y !== null);
    expect(row.n).toBe(mine.length);
    expect(row.run).toMatchObject({ k: mine.filter((s) => s.play === 'run').length });
    expect((row.yards as { mean: number }).mean).toBeCloseTo(
      yards.reduce((a, b) => a + b, 0) / yards.length,
      10,
    );
  }
  expect(personnel.rows.reduce((n, r) => n + (r.n as number), 0)).toBe(plays.length);
  // Kicks and kicks returned to them, one report: its rows are those of both, each table once.
  const kicks = vobrik(
    'report',
    file('reported.csv'),
    '--team',
    team,
    '--side',
    'special',
    '--out',
    file('kicks'),
  );
  expect(kicks.code).toBe(0);
  const special = JSON.parse(readFileSync(path.join(file('kicks'), 'report.json'), 'utf8')) as typeof json;
  const ids = special.tables.map((t) => t.id);
  expect([special.side, new Set(ids).size]).toEqual(['special', ids.length]);
  expect([ids.some((id) => id.startsWith('k-')), ids.some((id) => id.startsWith('r-'))]).toEqual([
    true,
    true,
  ]);
  const own = vobrik('report', file('reported.csv'), '--team', team, '--side', 'self', '--out', file('own'));
  expect([own.code, own.err]).toEqual([0, '']);
  const ours = JSON.parse(readFileSync(path.join(file('own'), 'report.json'), 'utf8')) as typeof json;
  expect([ours.side, ours.tables[0]!.id]).toEqual(['self', 'schedule']);
  const downs = ours.tables[0]!.rows.map((r) => [r.down, r.n]);
  expect(new Map(downs as [string, number][])).toEqual(
    new Map(['1', '2', '3', '4'].map((d) => [d, plays.filter((s) => String(s.down) === d).length])),
  );
  const few = vobrik(
    'report',
    file('reported.csv'),
    ...['--team', team, '--sections', 'cover,words,third', '--out', file('few')],
  );
  expect([few.code, few.err]).toEqual([0, '']);
  const third = JSON.parse(readFileSync(path.join(file('few'), 'report.json'), 'utf8')) as typeof json;
  expect(third.tables.map((t) => t.id)).toEqual(['third']);
  for (const [args, say] of [
    [['--out', file('r')], 'name the team'],
    [['--team', 'NOBODY', '--out', file('r')], 'NOBODY plays in no game'],
    [['--team', team], 'name a folder'],
    [['--team', team, '--out', file('r'), '--sections', 'wind'], '--sections wind is none of situation'],
    [['--team', team, '--out', file('r'), '--side', 'left'], '--side left is none of'],
    [['--team', team, '--out', file('r'), '--doubts', 'some'], '--doubts some is none of whole, half, none'],
    [['--team', team, '--out', file('r'), '--paper', 'a0'], '--paper a0 is none of letter, a4'],
  ] as const) {
    const refused = vobrik('report', file('reported.csv'), ...args);
    expect(refused.code).toBe(2);
    expect(refused.err).toContain(say);
  }
});
