/**
 * Awkward tables of other staffs, every row of each as it should be read; how spreadsheets mangle "1-10", what
 * letters for teams mean and the words of results are common practice.
 */
import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { describe, expect, it } from 'vitest';
import { DEFAULT_BOOK } from '../book/default-book';
import { columnOf, SNAP_FACTS } from '../snap';
import { foreignFaults } from './foreign.fixture';
import { headingTarget } from './headings';
import { isTarget, readDelimited, TARGETS, understand, type Understood } from './index';
import { readForeignFile } from './workbook';

const FOLDER = path.join(import.meta.dirname, 'fixtures');
const files = readdirSync(FOLDER).filter((name) => !name.endsWith('.ts'));
const sheetOf = async (file: string, sheet?: string) => {
  const read = await readForeignFile(file, readFileSync(path.join(FOLDER, file)));
  if (!read.ok) throw new Error(read.remedy);
  return sheet === undefined ? read.sheets[0]! : read.sheets.find((s) => s.name === sheet)!;
};
const told = ({ row, fields }: Understood['rows'][number]): string => {
  const { offense, defense, unit, notSure, ...rest } = fields;
  const facts = Object.entries(rest)
    .sort(([a], [b]) => a.localeCompare(b))
    .map(([field, value]) => `${field}=${Array.isArray(value) ? value.join('+') : String(value)}`);
  return `${row} ${offense}${defense ? `-${defense}` : ''} ${unit ?? ''}${notSure ? ` ?${notSure.join()}` : ''} ${facts.join(' ')}`;
};

interface Case {
  readonly file: string;
  readonly sheet?: string;
  readonly rows: readonly string[];
  readonly skipped: string;
  readonly refused: string;
  readonly unknown: string;
}
const CASES: readonly Case[] = [
  {
    file: 'a-sheet-a-game.xlsx',
    sheet: 'Orrin Gap',
    rows: [
      '2 HER scrimmage distance=10 down=1 gain=5 play=run result=gain toGoal=80',
      '3 HER scrimmage distance=5 down=2 gain=0 play=pass result=incomplete toGoal=75',
    ],
    skipped: '1 header',
    refused: '',
    unknown: '',
  },
  {
    file: 'a-sheet-a-game.xlsx',
    sheet: 'Tallow Bay',
    rows: [
      '2 HER scrimmage ?result distance=10 down=1 gain=12 play=pass result=complete toGoal=65',
      '3 HER scrimmage distance=10 down=1 gain=-2 play=run result=gain toGoal=53',
      '4 HER scrimmage distance=12 down=2 gain=55 play=run result=gain score=touchdown scoredBy=HER toGoal=55',
    ],
    skipped: '1 header',
    refused: '',
    unknown: '',
  },
  {
    file: 'dates-day-first.csv',
    rows: [
      '2 HER scrimmage distance=10 down=1 gain=5 play=run result=gain toGoal=75',
      '3 HER scrimmage ?result distance=5 down=2 gain=3 play=pass result=complete toGoal=70',
      '4 HER scrimmage distance=3 down=2 gain=2 play=run result=gain toGoal=67',
      '5 HER scrimmage distance=1 down=3 gain=6 play=run result=gain toGoal=65',
      '6 HER scrimmage distance=10 down=1 gain=0 play=pass result=incomplete toGoal=59',
      '7 HER scrimmage ?result distance=10 down=2 gain=30 play=pass result=complete toGoal=59',
      '8 HER scrimmage ?result distance=40 down=1 gain=4 play=pass result=complete toGoal=89',
    ],
    skipped: '1 header',
    refused: '',
    unknown: '',
  },
  {
    file: 'kicks.csv',
    rows: [
      '2 HER kickoff kicker=9 kickYards=62 quarter=1 result=kick returner=24 toGoal=65',
      '3 HER scrimmage distance=10 down=1 gain=2 play=run quarter=1 result=gain toGoal=72',
      '4 HER punt distance=8 down=4 kicker=9 kickYards=45 quarter=1 result=kick returner=5 toGoal=70',
      '5 HER field_goal distance=3 down=4 kicker=9 quarter=2 result=kick toGoal=22',
      '6 HER try kicker=9 quarter=2 result=kick toGoal=3',
      '7 HER scrimmage distance=10 down=1 gain=-1 play=other quarter=4 result=kneel toGoal=40',
    ],
    skipped: '1 header',
    refused: '',
    unknown: '',
  },
  {
    file: 'letters-and-spots.csv',
    rows: [
      '2 HER-MOR kickoff ?unit result=kick toGoal=65',
      '3 MOR-HER scrimmage coverage=cover 3 distance=10 down=1 formation=doubles gain=4 play=run result=gain toGoal=75',
      '4 MOR-HER scrimmage coverage=cover 1 distance=6 down=2 formation=trips formationSide=L gain=0 play=pass result=incomplete toGoal=71',
      '5 MOR-HER scrimmage ?result coverage=quarters distance=6 down=3 formation=spread gain=5 play=pass result=complete toGoal=71',
      '6 MOR-HER punt ?unit distance=1 down=4 kickYards=41 result=kick toGoal=66',
      '7 HER-MOR scrimmage coverage=cover 3 distance=10 down=1 formation=ace gain=8 play=run result=gain toGoal=75',
      '8 HER-MOR scrimmage coverage=cover 3 distance=2 down=2 formation=ace gain=-1 play=run result=gain toGoal=67',
      '9 HER-MOR scrimmage ?result distance=3 down=3 formation=trips formationSide=R gain=22 play=pass result=complete toGoal=68',
      '10 HER-MOR scrimmage coverage=cover 2 distance=10 down=1 formation=bunch formationSide=R gain=0 play=pass result=incomplete toGoal=46',
    ],
    skipped: '1 header',
    refused: '',
    unknown: '',
  },
  {
    file: 'merged-and-dates.xlsx',
    rows: [
      '4 HER scrimmage carrier=22 clock=720 concept=inside zone direction=R distance=10 down=1 gain=4 play=run quarter=1 result=gain toGoal=75',
      '5 HER scrimmage ?result clock=684 concept=stick distance=6 down=2 gain=6 play=pass quarter=1 result=complete target=88 toGoal=71',
      '6 HER scrimmage carrier=22 clock=650 concept=power direction=L distance=10 down=1 gain=-3 play=run quarter=1 result=gain toGoal=65',
      '7 HER scrimmage clock=542 concept=mesh distance=13 down=2 gain=0 play=pass quarter=2 result=incomplete target=11 toGoal=68',
      '8 HER scrimmage ?result clock=521 concept=four verticals distance=13 down=3 gain=21 play=pass quarter=2 result=complete target=11 toGoal=38',
    ],
    skipped: '1 title, 2 blank, 3 header, 9 total',
    refused: '',
    unknown: '',
  },
  {
    file: 'no-headings.csv',
    rows: [
      '1 HER scrimmage distance=10 down=1 gain=4 personnel=11 play=run result=gain toGoal=75',
      '2 HER scrimmage distance=6 down=2 gain=0 personnel=11 play=pass result=incomplete toGoal=71',
      '3 HER scrimmage distance=6 down=3 gain=-4 personnel=10 play=pass toGoal=71',
      '4 HER punt distance=10 down=4 kickYards=38 result=kick toGoal=75',
      '5 HER scrimmage distance=10 down=1 gain=7 personnel=12 play=run result=gain toGoal=45',
      '6 HER scrimmage distance=3 down=2 gain=2 personnel=12 play=run result=gain toGoal=38',
    ],
    skipped: '',
    refused: '',
    unknown: '',
  },
  {
    file: 'quotes.csv',
    rows: [
      '2 HER scrimmage distance=10 down=1 gain=3 note=said "go", then went play=run result=gain toGoal=75',
      '4 HER scrimmage down=3 gain=2 note=x play=run result=gain toGoal=65',
    ],
    skipped: '1 header',
    refused: '3 Gain: =7',
    unknown: '',
  },
  {
    file: 'repeats-and-totals.csv',
    rows: [
      '2 HER-MOR scrimmage concept=inside zone distance=10 down=1 gain=5 play=run result=gain toGoal=70',
      '3 HER-MOR scrimmage concept=slant-flat distance=5 down=2 gain=0 play=pass result=incomplete toGoal=65',
      '4 HER-MOR scrimmage concept=mesh distance=5 down=3 gain=12 play=pass result=complete toGoal=65',
      '8 HER-MOR scrimmage concept=power distance=10 down=1 gain=3 play=run result=gain toGoal=53',
      '9 MOR-HER scrimmage concept=stretch distance=10 down=1 gain=-4 play=run result=gain toGoal=80',
      '10 MOR-HER scrimmage concept=screen distance=14 down=2 gain=9 play=pass result=complete toGoal=84',
    ],
    skipped: '1 header, 5 duplicate, 6 blank, 7 header, 11 total, 12 total',
    refused: '',
    unknown: 'pass screen 1: back screen|bubble|double screen',
  },
  {
    file: 'said-once.csv',
    rows: [
      '2 HER scrimmage concept=zone distance=10 down=1 formation=trips formationSide=R gain=3 hash=L personnel=11 play=run quarter=1 result=gain toGoal=75',
      '3 HER scrimmage ?result concept=mesh distance=7 down=2 formation=empty formationSide=L gain=11 hash=M personnel=01 play=pass quarter=1 result=complete toGoal=72',
      '4 HER scrimmage concept=power distance=10 down=1 formation=doubles formationSide=R gain=2 hash=R personnel=11 play=run quarter=1 result=gain toGoal=61',
      '5 HER scrimmage concept=boot distance=8 down=2 formation=ace formationSide=L gain=0 hash=M personnel=12 play=pass quarter=2 toGoal=59',
      '6 HER scrimmage ?result concept=four verticals distance=8 down=3 formation=spread gain=25 hash=L personnel=10 play=pass quarter=2 result=complete toGoal=59',
      '7 HER scrimmage ?result concept=stick distance=10 down=1 formation=empty formationSide=R gain=6 hash=R personnel=00 play=pass quarter=2 result=complete toGoal=34',
    ],
    skipped: '1 header',
    refused: '',
    unknown: 'run zone 1: insert zone|inside zone|lead zone',
  },
  {
    file: 'semicolons-and-dates.csv',
    rows: [
      '4 STG-LAN scrimmage carrier=22 concept=inside zone distance=10 down=1 formation=trips formationSide=R gain=6 hash=M personnel=11 play=run result=gain toGoal=75',
      '5 STG-LAN scrimmage concept=stick distance=4 down=2 formation=trips formationSide=L gain=0 hash=L note=drop? personnel=11 play=pass result=incomplete target=81 toGoal=69',
      '7 STG-LAN punt distance=7 down=4 hash=R kickYards=41 result=kick toGoal=72',
      '9 STG-LAN scrimmage ?result concept=four verticals distance=10 down=1 formation=spread gain=18 hash=M personnel=10 play=pass result=complete target=11 toGoal=48',
    ],
    skipped: '1 title, 2 title, 3 header, 8 blank, 10 total',
    refused: '6 Ball: STG 3l → STG 31',
    unknown: '',
  },
  {
    file: 'tabs-utf16.txt',
    rows: [
      '2 HER scrimmage clock=720 distance=10 down=1 gain=3 play=run quarter=1 result=gain toGoal=75',
      '3 HER scrimmage ?result clock=691 distance=7 down=2 gain=6 play=pass quarter=1 result=complete toGoal=72',
      '4 HER scrimmage clock=662 distance=1 down=3 gain=0 note=stuffed play=run quarter=1 result=gain toGoal=66',
      '5 HER punt clock=620 distance=1 down=4 kickYards=44 quarter=1 result=kick toGoal=66',
      '6 HER scrimmage clock=370 distance=8 down=1 gain=-2 play=run quarter=1 result=gain toGoal=8',
      '7 HER scrimmage clock=333 distance=10 down=2 gain=10 play=pass quarter=1 result=complete score=touchdown scoredBy=HER toGoal=10',
    ],
    skipped: '1 header',
    refused: '',
    unknown: '',
  },
  {
    file: 'two-heading-rows.csv',
    rows: [
      '4 HER scrimmage backfield=gun carrier=22 concept=inside zone direction=R distance=10 down=1 formation=trips formationSide=R gain=4 personnel=11 play=run result=gain toGoal=75',
      '5 HER scrimmage backfield=gun concept=stick distance=6 down=2 formation=doubles formationSide=L gain=7 personnel=11 play=pass result=complete target=88 toGoal=71',
      '6 HER scrimmage carrier=22 concept=power direction=L distance=10 down=1 formation=ace gain=-2 personnel=12 play=run result=gain toGoal=64',
      '7 HER scrimmage backfield=gun concept=four verticals distance=12 down=2 formation=trips formationSide=L gain=16 personnel=11 play=pass result=complete target=11 toGoal=66',
      '8 HER scrimmage backfield=gun concept=curl-flat distance=10 down=1 formation=trips formationSide=R gain=0 personnel=11 play=pass result=incomplete target=88 toGoal=50',
      '9 HER scrimmage backfield=gun carrier=22 concept=draw distance=10 down=2 formation=spread gain=12 personnel=10 play=run result=gain toGoal=50',
      '10 HER scrimmage backfield=i carrier=22 concept=counter direction=R distance=10 down=1 formation=pro formationSide=R gain=38 personnel=21 play=run result=gain score=touchdown scoredBy=HER toGoal=38',
    ],
    skipped: '1 title, 2 header, 3 header',
    refused: '',
    unknown: '',
  },
  {
    file: 'typed-cells.xlsx',
    rows: [
      '2 HER scrimmage coverage=cover 3 distance=10 down=1 formation=trips formationSide=R gain=6 hash=L personnel=11 play=run result=gain tacklers=52+41 toGoal=75',
      '3 HER scrimmage coverage=cover 1 distance=4 down=2 formation=empty formationSide=L gain=-1 hash=M personnel=01 play=pass toGoal=69',
      '4 HER scrimmage coverage=quarters distance=4 down=3 formation=ace gain=5 hash=R personnel=12 play=run result=gain tacklers=52 toGoal=69',
    ],
    skipped: '1 header',
    refused: '5 Yds: #REF!',
    unknown: '',
  },
  {
    file: 'windows-1252.csv',
    rows: [
      '2 HER scrimmage concept=inside zone distance=10 down=1 gain=3 hash=L note=café side play=run result=gain toGoal=75',
      '3 HER scrimmage concept=stick distance=7 down=2 gain=-1 hash=M play=pass toGoal=72',
      '4 HER scrimmage ?result concept=mesh distance=8 down=3 gain=9 hash=R note=“nice” catch play=pass result=complete toGoal=73',
      '5 HER scrimmage concept=power distance=10 down=1 gain=0 hash=L play=run result=gain toGoal=64',
      '6 HER scrimmage concept=inside zone distance=10 down=2 gain=15 hash=M play=rpo toGoal=64',
      '7 HER scrimmage concept=smash distance=10 down=1 gain=0 hash=R play=pass result=incomplete toGoal=49',
    ],
    skipped: '1 header',
    refused: '',
    unknown: '',
  },
  {
    file: 'words-nobody-knows.csv',
    rows: [
      '2 HER scrimmage concept=outside zon coverage=cover 3 distance=10 down=1 formation=larkspur formationSide=R front=4-2 over gain=5 motion=jet pressure=- toGoal=70',
      '3 HER scrimmage concept=stick coverage=cover 3 distance=5 down=2 formation=larkspur formationSide=L front=4-3 over gain=0 motion=rip play=pass pressure=mike a pressure toGoal=65',
      '4 HER scrimmage ?result concept=mesh coverage=cover 1 distance=5 down=3 formation=trips formationSide=R front=okie gain=8 motion=- play=pass pressure=double a pressure result=complete toGoal=65',
      '5 HER scrimmage concept=texas coverage=cover 3 distance=10 down=1 formation=larkspur formationSide=R front=bear gain=3 pressure=- toGoal=57',
    ],
    skipped: '1 header',
    refused: '',
    unknown:
      'formation larkspur 3: ; front okie 1: ; run outside zon 1: wide zone; motion rip 1: short; run texas 1: ',
  },
  {
    file: 'words-of-results.csv',
    rows: [
      '2 HER scrimmage distance=10 down=1 gain=0 incompleteCause=dropped play=pass result=incomplete target=88 toGoal=80',
      '3 HER scrimmage distance=10 down=2 gain=14 play=pass result=complete target=11 toGoal=80',
      '4 HER scrimmage distance=10 down=1 gain=-7 passer=12 play=pass result=sack toGoal=66',
      '5 HER scrimmage carrier=12 distance=17 down=2 gain=9 play=pass result=scramble toGoal=73',
      '6 HER scrimmage distance=8 down=3 gain=0 play=pass result=incomplete target=80 toGoal=64 turnover=interception',
      '7 HER scrimmage carrier=22 distance=10 down=1 gain=12 play=run result=gain score=touchdown scoredBy=HER toGoal=12',
      '8 HER scrimmage carrier=22 distance=10 down=1 fumble=kept gain=1 play=run result=gain toGoal=60',
      '9 HER scrimmage distance=9 down=2 gain=0 incompleteCause=thrown_away play=pass result=incomplete target=4 toGoal=59',
    ],
    skipped: '1 header',
    refused: '',
    unknown: '',
  },
];

describe('tables of other staffs', () => {
  it.each(CASES)('$file $sheet', async ({ file, sheet, rows, skipped, refused, unknown }) => {
    const read = await sheetOf(file, sheet);
    const u = understand(read, { book: DEFAULT_BOOK, team: file.startsWith('semicolons') ? 'STG' : 'HER' });
    expect(u.rows.map(told)).toEqual(rows);
    expect(u.skipped.map((s) => `${s.row} ${s.reason}`).join(', ')).toBe(skipped);
    expect(
      u.refused.map((r) => `${r.row} ${r.column}: ${r.value}${r.use ? ` → ${r.use}` : ''}`).join(', '),
    ).toBe(refused);
    expect(
      u.unknownTerms.map((t) => `${t.kind} ${t.term} ${t.rows}: ${t.nearest.join('|')}`).join('; '),
    ).toBe(unknown);
    expect(foreignFaults(read, u)).toEqual([]);
  });
  it('every file of the folder is checked, at least sixteen', () => {
    expect([...new Set(CASES.map((c) => c.file))].sort()).toEqual([...files].sort());
    expect(files.length).toBeGreaterThanOrEqual(16);
  });
});

describe('what somebody decided', () => {
  const table = 'Down,Dist,Spot,Play,Yds\n1,10,own 25,Rip,4\n2,6,own 29,Rip,3l\n';
  const sheet = readDelimited('x', table);
  it('goes before what was proposed: a column, a value, a mended cell', () => {
    const plain = understand(sheet, { book: DEFAULT_BOOK, team: 'HER' });
    expect(plain.refused).toMatchObject([{ row: 3, column: 'Yds', value: '3l', use: '31' }]);
    const decided = understand(sheet, {
      book: DEFAULT_BOOK,
      team: 'HER',
      mapping: new Map([
        ['Play', 'concept' as const],
        ['Dist', null],
      ]),
      values: new Map([['concept|Rip', 'power r']]),
      cells: new Map([['3|Yds', '3']]),
    });
    expect(decided.refused).toEqual([]);
    expect(decided.rows.map((r) => r.fields)).toMatchObject([
      { concept: 'power', direction: 'R', play: 'run', gain: 4 },
      { concept: 'power', direction: 'R', play: 'run', gain: 3 },
    ]);
    expect(decided.rows[0]!.fields.distance).toBeUndefined();
    expect(decided.mapping.find((m) => m.column === 'Play')).toMatchObject({
      field: 'concept',
      confidence: 1,
    });
  });
  it('a column with the name of ours is ours, whatever else it could be', () => {
    const own = understand(readDelimited('x', 'down,shell,box,blockers_beat\n1,2,7,1\n2,1,6,-\n'), {
      book: DEFAULT_BOOK,
    });
    expect(own.rows.map((r) => r.fields)).toMatchObject([
      { down: 1, shell: 2, box: 7, blockersBeat: 1 },
      { down: 2, shell: 1, box: 6, blockersBeat: '-' },
    ]);
  });
});

describe('headings', () => {
  it.each([
    ['Dn', 'down'],
    ['D&D', 'down_distance'],
    ['Yard Line', 'spot'],
    ['Ball On', 'spot'],
    ['YL', 'spot'],
    ['To Go', 'distance'],
    ['Personnel', 'personnel'],
    ['Def Front', 'front'],
    ['Cov', 'coverage'],
    ['Blitz', 'pressure'],
    ['Net', 'gain'],
    ['Yards to Goal', 'to_goal'],
    ['Carrier', 'carrier'],
    ['Outcome', 'result'],
    ['Form', 'formation'],
  ])('%s is %s', (heading, target) => expect(headingTarget(heading)?.target).toBe(target));
  it('every target and every column of the open table may be chosen', () => {
    for (const target of TARGETS) expect(isTarget(target)).toBe(true);
    for (const field of SNAP_FACTS) expect(isTarget(columnOf(field))).toBe(true);
    expect(isTarget('nothing')).toBe(false);
  });
});
