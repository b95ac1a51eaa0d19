/** What column names of other staffs usually mean (common practice): by the words in them. */

import { columnOf, fieldOfColumn, SNAP_FACTS, SNAP_FIELDS, type SnapFact } from '../snap';

/** What a column of a foreign table may hold; the names of open-table columns are targets too. */
export const TARGETS = [
  'order',
  'game',
  'date',
  'quarter',
  'clock',
  'team',
  'offense',
  'defense',
  'down_distance',
  'down',
  'distance',
  'spot',
  'to_goal',
  'hash',
  'personnel',
  'formation',
  'formation_side',
  'backfield',
  'motion',
  'play',
  'concept',
  'direction',
  'protection',
  'front',
  'coverage',
  'pressure',
  'box',
  'tempo',
  'gain',
  'result',
  'player',
  'carrier',
  'passer',
  'target',
  'kicker',
  'returner',
  'tacklers',
  'kick_yards',
  'return_yards',
  'points_for',
  'points_against',
  'note',
] as const;
/** Also the name of any other column of the open table. */
export type Target = (typeof TARGETS)[number];

const OPEN_COLUMNS: ReadonlySet<string> = new Set(SNAP_FACTS.map(columnOf));
export const isTarget = (text: string): text is Target =>
  (TARGETS as readonly string[]).includes(text) || OPEN_COLUMNS.has(text);
export const targetLabel = (target: Target): string =>
  TARGET_LABEL[target] ?? SNAP_FIELDS[fieldOfColumn(target) as SnapFact].label;

const TARGET_LABEL: Readonly<Record<Target, string>> = {
  order: 'number of the snap',
  game: 'game',
  date: 'date',
  quarter: 'quarter',
  clock: 'clock',
  team: 'who puts it in play',
  offense: 'offense',
  defense: 'defense',
  down_distance: 'down, distance',
  down: 'down',
  distance: 'distance',
  spot: 'spot',
  to_goal: 'yards to goal',
  hash: 'hash',
  personnel: 'personnel',
  formation: 'formation, side',
  formation_side: 'side of the formation',
  backfield: 'backfield',
  motion: 'motion',
  play: 'run or pass',
  concept: 'concept',
  direction: 'direction',
  protection: 'protection',
  front: 'front',
  coverage: 'coverage',
  pressure: 'pressure',
  box: 'box',
  tempo: 'tempo',
  gain: 'gain',
  result: 'result',
  player: 'carrier or target',
  carrier: 'carrier',
  passer: 'passer',
  target: 'target',
  kicker: 'kicker',
  returner: 'returner',
  tacklers: 'tacklers',
  kick_yards: 'kick yards',
  return_yards: 'return yards',
  points_for: 'points for',
  points_against: 'points against',
  note: 'note',
};

const normal = (heading: string): string =>
  ` ${heading
    .toLowerCase()
    .replace(/[^a-z0-9#+/&]+/g, ' ')
    .trim()} `;

/** In order: the first that fits is meant. A name that fits two is the earlier one's. */
const MEANS: readonly (readonly [Target, RegExp])[] = [
  ['to_goal', / ((yards?|yds|yd) )?(to|from) (the )?(goal|goal line|end zone|ez) /],
  ['order', /^ (#|no|num|nr|number) $/],
  ['down_distance', / (d ?[/&]? ?d|(down|dn)s? ?[/&+]* ?(and )?(dist|distance|togo|to go)|situation|sit) /],
  ['kick_yards', / (kick|punt) ?(yds|yards|dist|distance|length) /],
  ['return_yards', / (ret|return) ?(yds|yards|yardage) /],
  ['points_for', / (points|score|pts) (for|us|own|off) /],
  ['points_against', / (points|score|pts) (against|them|opp|opponent|def) /],
  ['order', / (play ?(#|no|num|number)|snap ?(#|no|num|number)?|clip ?(#|no)?|index|seq) /],
  ['quarter', / (q|qtr|quarter|period|per) /],
  ['clock', / (clock|time|time left|game clock) /],
  ['hash', / (hash|hsh|hash mark|h\/m) /],
  ['personnel', / (pers|personnel|group|grouping|people|pkg|package) /],
  ['protection', / (prot|protection|slide) /],
  ['formation_side', / (strength|str|form(ation)? (side|strength|dir)) /],
  ['backfield', / (backfield|back set|backs|bf) /],
  ['motion', / (mot|motion|shift|move) /],
  ['front', / (front|def front|fr|d front) /],
  ['coverage', / (cov|cover|coverage|secondary|cvg) /],
  ['pressure', / (blitz|pressure|press|stunt|dog) /],
  ['box', / (box|in the box|box count) /],
  ['tempo', / (tempo|pace|huddle) /],
  ['formation', / (form|formation|set|off set|look|alignment) /],
  ['direction', / (dir|direction|play dir|run dir|gap|hole|to) /],
  ['concept', / (concept|call|play call|play name|scheme|run concept|pass concept|what) /],
  ['result', / (result|res|outcome|ended|end) /],
  ['gain', / (gain|yds|yards|yardage|yd|net|gained|gain ?\/? ?loss|\+\/) /],
  [
    'spot',
    / (spot|ball|ball on|yard ?line|yd ?line|yd ?ln|yardln|yl|los|field pos(ition)?|on|where|side yd) /,
  ],
  ['distance', / (dist|distance|togo|to go|ytg|need) /],
  ['down', / (down|dn|dwn|d) /],
  ['play', / (type|play type|run ?\/? ?pass|r ?\/? ?p|rp|kind|play) /],
  ['carrier', / (carrier|runner|rusher|ball ?carrier|bc|back) /],
  ['passer', / (passer|qb|thrower) /],
  ['target', / (target|receiver|rec|wr|intended|thrown to) /],
  ['kicker', / (kicker|punter) /],
  ['returner', / (returner) /],
  ['tacklers', / (tackler|tacklers|tackle by|tackled by|stop by) /],
  ['player', / (who|player|number|jersey|ball to|key player|man) /],
  ['team', / (o ?\/ ?d ?\/? ?k?|unit|phase|side of ball|team|poss|possession|has ball) /],
  ['offense', / (offense|off|offence) /],
  ['defense', / (defense|def|defence|opponent|opp) /],
  ['game', / (game|match|week|wk) /],
  ['date', / (date|day|played) /],
  ['note', / (note|notes|misc|comment|comments|remark|remarks) /],
];

/** The target a heading names, with how sure: whole name 1, a word of it less. Null: none known. */
export function headingTarget(heading: string): { readonly target: Target; readonly sure: number } | null {
  const own = heading.trim().toLowerCase();
  if (isTarget(own)) return { target: own, sure: 1 };
  const words = heading.trim().split(/\s+/);
  let best: { target: Target; sure: number } | null = null;
  // A group over the column stands before its name: the end alone may say it too.
  for (let from = 0; from < Math.min(words.length, 4); from++) {
    if (from > 0 && words[from] === '#') break;
    const found = named(words.slice(from).join(' '));
    const sure = found ? found.sure * (from === 0 ? 1 : 0.96) : 0;
    if (found && (best === null || sure > best.sure + 0.05)) best = { target: found.target, sure };
  }
  return best;
}

function named(heading: string): { readonly target: Target; readonly sure: number } | null {
  const name = normal(heading);
  if (name.trim() === '') return null;
  let best: { target: Target; sure: number } | null = null;
  for (const [target, means] of MEANS) {
    const found = means.exec(name);
    if (!found) continue;
    const sure = found[0].length >= name.length ? 1 : 0.6 + 0.3 * (found[0].length / name.length);
    if (best === null || sure > best.sure + 0.05) best = { target, sure };
  }
  return best;
}

/** How much a cell looks like a heading: words of the trade count one, figures against it. */
export function headingScore(cell: string): number {
  if (cell === '') return 0;
  if (cell.length > 40) return -0.5;
  if (/^[+-]?\d/.test(cell)) return -1;
  const known = headingTarget(cell.replace(/\s+\d+$/, ''));
  return known ? known.sure : 0;
}
