/** Eight invented clubs on an invented coast, each with a coordinator of its own habits. */

export interface Club {
  readonly key: string;
  readonly name: string;
  readonly nickname: string;
  readonly place: string;
  /** Logit added to run everywhere. */
  readonly runLean: number;
  readonly personnel: Readonly<Record<string, number>>;
  readonly runs: Readonly<Record<string, number>>;
  readonly passes: Readonly<Record<string, number>>;
  readonly fronts: Readonly<Record<string, number>>;
  readonly coverages: Readonly<Record<string, number>>;
  /** Chance of pressure on an ordinary down. */
  readonly pressure: number;
  readonly motion: number;
}

const club = (key: string, place: string, nickname: string, more: Partial<Club>): Club => ({
  key,
  place,
  nickname,
  name: `${place} ${nickname}`,
  runLean: 0,
  personnel: { '11': 52, '12': 24, '10': 12, '20': 6, '21': 6 },
  runs: {
    'inside zone': 24,
    power: 18,
    counter: 14,
    'wide zone': 18,
    'split zone': 8,
    toss: 6,
    draw: 5,
    sweep: 7,
  },
  passes: {
    stick: 12,
    snag: 10,
    levels: 10,
    mesh: 10,
    'four verticals': 10,
    flood: 9,
    smash: 8,
    'curl-flat': 8,
    boot: 9,
    slants: 8,
    outs: 6,
    'slip screen': 6,
    bubble: 5,
  },
  fronts: { '4-2 over': 45, '4-3 over': 20, '3-4': 15, '4-1': 20 },
  coverages: { 'cover 3': 36, quarters: 24, 'cover 1': 18, 'cover 2': 12, 'cover 6': 6, 'fire zone': 4 },
  pressure: 0.18,
  motion: 0.32,
  ...more,
});

export const CLUBS: readonly Club[] = [
  club('HER', 'Saltmere', 'Herons', { runLean: -0.3, motion: 0.38 }),
  club('OTT', 'Quillhaven', 'Otters', {
    runLean: -0.35,
    personnel: { '10': 34, '11': 54, '20': 6, '12': 6 },
    motion: 0.2,
  }),
  club('STG', 'Marrow Fen', 'Stags', {
    runLean: -0.4,
    personnel: { '11': 46, '12': 36, '10': 10, '20': 8 },
    motion: 0.4,
    coverages: { quarters: 38, 'cover 3': 26, 'cover 1': 12, 'cover 6': 14, 'cover 2': 6, 'fire zone': 4 },
  }),
  club('LAN', 'Dunmorrow', 'Lanterns', {
    runLean: -0.1,
    personnel: { '12': 34, '21': 22, '11': 40, '22': 4 },
    fronts: { '3-4': 60, '5-2': 12, '3-3': 28 },
  }),
  club('DRO', 'Tidewick', 'Drovers', {
    runLean: 0.45,
    personnel: { '21': 30, '12': 30, '11': 34, '22': 6 },
    pressure: 0.12,
  }),
  club('KES', 'Ellinsound', 'Kestrels', { runLean: -0.2, motion: 0.5, pressure: 0.3 }),
  club('STO', 'Porlan Head', 'Stoats', {
    runLean: 0.1,
    fronts: { '3-3': 50, '3-4': 25, '4-2 over': 25 },
    pressure: 0.26,
  }),
  club('WRE', 'Hollowquay', 'Wrens', {
    runLean: 0.5,
    coverages: { 'cover 1': 34, 'cover 3': 30, 'cover 0': 6, quarters: 18, 'cover 2': 12 },
  }),
];

export const clubOf = (key: string): Club => {
  const found = CLUBS.find((c) => c.key === key);
  if (!found) throw new Error(`no club ${key}`);
  return found;
};

export const FORMATIONS_BY_PEOPLE: Readonly<Record<string, Readonly<Record<string, number>>>> = {
  '10': { spread: 40, trips: 32, empty: 12, stack: 8, bunch: 8 },
  '11': { doubles: 30, trips: 30, trey: 16, bunch: 10, spread: 8, cluster: 6 },
  '12': { wing: 52, ace: 34, trey: 14 },
  '20': { slot: 60, twins: 40 },
  '21': { pro: 60, twins: 40 },
  '22': { heavy: 100 },
};

export const BACKFIELDS_BY_PEOPLE: Readonly<Record<string, Readonly<Record<string, number>>>> = {
  '10': { gun: 55, 'gun near': 45 },
  '11': { gun: 42, 'gun near': 28, pistol: 18, under: 12 },
  '12': { gun: 24, 'gun near': 20, pistol: 30, under: 26 },
  '20': { 'split backs': 70, gun: 30 },
  '21': { i: 50, 'offset i': 30, 'split backs': 20 },
  '22': { i: 100 },
};

const FIRST = [
  'Aldo',
  'Bram',
  'Corwin',
  'Dace',
  'Emeric',
  'Fenn',
  'Garrick',
  'Hale',
  'Ivo',
  'Joss',
  'Kell',
  'Lorn',
  'Merrit',
  'Nial',
  'Orrin',
  'Pell',
  'Quill',
  'Rusk',
  'Soren',
  'Tamsin',
  'Ulric',
  'Varn',
  'Wick',
  'Yorick',
  'Zane',
];
const LAST = [
  'Ashgrove',
  'Brackwater',
  'Cairnley',
  'Dunmore-Lisk',
  'Eddering',
  'Fallowmere',
  'Gorsefield',
  'Harrowgate-Pim',
  'Inglemoor',
  'Jessamine-Tor',
  'Kettleby',
  'Lowrance-Vey',
  'Mossendale',
  'Netherwold',
  'Okafor-Lind',
  'Pennyquick',
  'Quarrington',
  'Rushmere',
  'Sedgewarden',
  'Thornaby-Oss',
  'Underwick',
  'Vellacourt',
  'Withernsey-Roe',
  'Yarrowby',
];
export const invent = (first: number, last: number): string =>
  `${FIRST[first % FIRST.length]} ${LAST[last % LAST.length]}`;
