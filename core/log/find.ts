/** Finding snaps by the words they are logged with: "3rd long trips motion". All words must fit. */
import { BUCKET_ROWS } from '../field/situation';
import { parseLine } from '../line/resolve';
import type { WalkedSnap } from '../rules/walk';
import { SNAP_FACTS, SNAP_FIELDS, sameValue } from '../snap/fields';
import { isTagged, type SnapFact, type SnapFields } from '../snap/snap';
import type { LoggedGame } from './game';

export interface Found {
  readonly rows: readonly WalkedSnap[];
  /** Words that no snap of the game is logged with. */
  readonly unknown: readonly string[];
}
type Test = (row: WalkedSnap, game: LoggedGame) => boolean;

const DOWNS: Readonly<Record<string, number>> = { '1st': 1, '2nd': 2, '3rd': 3, '4th': 4 };
const labelOf = new Map<string | null, string>(BUCKET_ROWS.map((b) => [b.key, b.label]));
const inBucket =
  (words: string): Test =>
  ({ bucket }) =>
    ` ${labelOf.get(bucket) ?? ''} `.includes(` ${words} `);

/** Words of situations and of what came of it, which a snap line has no word for. */
const SITUATIONS: readonly (readonly [string, Test])[] = [
  ...Object.entries(DOWNS).map(
    ([word, down]) => [word, (row: WalkedSnap) => row.before.down === down] as const,
  ),
  ...['extra long', 'long', 'medium', 'short', 'goal'].map((word) => [word, inBucket(word)] as const),
  ['two minute', (row) => row.clockMode === 'two_minute'],
  ['four minute', (row) => row.clockMode === 'four_minute'],
  ['first half', (row) => (row.before.quarter ?? 9) <= 2],
  ['second half', (row) => [3, 4].includes(row.before.quarter ?? 0)],
  ['first of drive', (row) => row.firstOfPossession],
  ['after turnover', (row) => row.afterEvent === 'turnover'],
  ['after penalty', (row) => row.afterEvent === 'penalty'],
  ['after explosive', (row) => row.afterEvent === 'explosive'],
  ['after loss', (row) => row.afterEvent === 'loss'],
  ['run', (row) => row.snap.play === 'run'],
  ['pass', (row) => row.snap.play === 'pass'],
  ['rpo', (row) => row.snap.play === 'rpo'],
  ['kick', (row) => !['scrimmage', 'try', null].includes(row.snap.unit)],
  ['turnover', (row) => row.snap.turnover !== null || row.snap.fumble === 'lost'],
  ['penalty', (row) => row.snap.penalties.length > 0],
  ['score', (row) => row.snap.score !== null],
  ['kept', (row) => row.snap.kept === true],
  ['not sure', (row) => row.snap.notSure.length > 0],
  ['guessed', (row) => row.snap.guessed.length > 0],
  ['review', (row, game) => game.findings.some((f) => f.snapId === row.snap.snapId && f.level !== 'note')],
];

/** Names of fields, alone: something is tagged there; after "blank": nothing is. */
const FIELD_NAMES: ReadonlyMap<string, SnapFact> = new Map(
  SNAP_FACTS.flatMap((f) => {
    const { label, typed } = SNAP_FIELDS[f];
    return [label, ...(typed ?? [])].map((name) => [name.toLowerCase(), f] as const);
  }).reverse(),
);
const isBlank = (value: unknown): boolean => value === null || (Array.isArray(value) && value.length === 0);

/** The field a name means: its label, or what is typed before "=". */
export const fieldNamed = (name: string): SnapFact | null => FIELD_NAMES.get(name.toLowerCase()) ?? null;

/** A team where it is named by its key or by one of its words, as the offense. */
const ofTeam = (word: string, game: LoggedGame): Test | null => {
  const team = [game.home, game.away].find((t) => t.toLowerCase() === word);
  return team === undefined ? null : (row) => row.before.offense === team;
};

const MOST_WORDS = 4;

/** What the words ask for; the rest is read as a snap line. */
function readQuery(
  query: string,
  game: LoggedGame,
): { readonly tests: readonly Test[]; readonly rest: string } {
  const words = query.toLowerCase().split(/\s+/).filter(Boolean);
  if (words.length === 1 && /^\d{1,3}$/.test(words[0]!)) {
    const number = Number(words[0]);
    return { tests: [(row) => row.number === number || row.snap.personnel === words[0]], rest: '' };
  }
  const tests: Test[] = [];
  const rest: string[] = [];
  for (let i = 0; i < words.length;) {
    let used = 0;
    for (let n = Math.min(MOST_WORDS, words.length - i); n >= 1 && used === 0; n--) {
      const phrase = words.slice(i, i + n).join(' ');
      const before = rest[rest.length - 1];
      const field = fieldNamed(phrase);
      const situation =
        SITUATIONS.find(([said]) => said === phrase)?.[1] ?? (n === 1 ? ofTeam(phrase, game) : null);
      // "no motion" and "coverage unseen" are the snap line's own words.
      if (field && before === 'blank') {
        rest.pop();
        tests.push((row) => isBlank(row.snap[field]));
      } else if (situation) tests.push(situation);
      else if (field && before !== 'no' && words[i + n] !== 'unseen')
        tests.push((row) => {
          const value = row.snap[field];
          return (!isBlank(value) && isTagged(value as string)) || isNoted(row, phrase);
        });
      else if (game.rows.some((r) => r.zone?.replace('-', ' ') === phrase))
        tests.push((row) => row.zone?.replace('-', ' ') === phrase);
      else continue;
      used = n;
    }
    if (used === 0) rest.push(words[i]!);
    i += Math.max(1, used);
  }
  return { tests, rest: rest.join(' ') };
}

/** What the charter wrote freely. */
const isNoted = ({ snap }: WalkedSnap, word: string): boolean =>
  [snap.note ?? '', snap.coachingPoint ?? '', ...snap.tags].join(' ').toLowerCase().includes(word);

/** Where a word may stand that is one of two of its kind. */
const SECOND: Readonly<Partial<Record<SnapFact, SnapFact>>> = {
  concept: 'conceptWeak',
  motion: 'motionSecond',
  motionBy: 'motionSecondBy',
};
/** Follows from the word itself: a term that is found as the second of two says them of the first. */
const FOLLOWS: ReadonlySet<string> = new Set(['play', 'unit']);

function fits(row: WalkedSnap, fields: SnapFields): boolean {
  return (Object.entries(fields) as [SnapFact, unknown][]).every(([field, wanted]) => {
    if (FOLLOWS.has(field) || isBlank(wanted)) return true;
    const value = row.snap[field] ?? (row.before as unknown as Record<string, unknown>)[field] ?? null;
    if (Array.isArray(wanted)) return wanted.every((w) => (value as unknown[]).some((v) => sameValue(v, w)));
    if (field === 'note')
      return String(value ?? '')
        .toLowerCase()
        .includes(String(wanted).toLowerCase());
    const second = SECOND[field];
    return sameValue(value, wanted) || (second !== undefined && sameValue(row.snap[second], wanted));
  });
}

/** Snaps that all words fit, in the order of the game. Cost: one parse; linear in the snaps. */
export function findSnaps(query: string, game: LoggedGame): Found {
  const { tests, rest } = readQuery(query, game);
  const read =
    rest === ''
      ? { fields: {}, problems: [] }
      : parseLine(rest, {
          book: game.book,
          profile: game.profile,
          state: null,
          previous: null,
          teams: [game.home, game.away],
        });
  // A word the line does not know may stand in a note or a tag.
  const loose = read.problems.filter((p) => p.code === 'unknown-word').map((p) => p.text.toLowerCase());
  const { note: _, ...fields } = read.fields as SnapFields;
  const known = loose.filter((word) => game.rows.some((row) => isNoted(row, word)));
  const unknown = [
    ...loose.filter((word) => !known.includes(word)),
    ...read.problems.filter((p) => p.code !== 'unknown-word').map((p) => p.text),
  ];
  if (tests.length === 0 && rest === '') return { rows: [], unknown: [] };
  const rows =
    unknown.length > 0
      ? []
      : game.rows.filter(
          (row) =>
            tests.every((test) => test(row, game)) &&
            fits(row, fields) &&
            known.every((word) => isNoted(row, word)),
        );
  return { rows, unknown };
}
