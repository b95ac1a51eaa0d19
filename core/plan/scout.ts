/**
 * Scout cards: what they do, drawn for the men who show it in practice. For our defense their plays, for our offense
 * their defenses against a formation of ours; the most used first, each with its snaps. Common practice.
 */
import { rollup } from 'd3-array';
import { drawSnap, taggedWord, type Book } from '../book';
import type { LevelProfile } from '../field/profile';
import { bucketLabel, type BucketKey } from '../field/situation';
import { mirrorHash, otherSide, sideWord, type Hash, type Side } from '../field/spot';
import { turned, type Drawing, type LookSettings } from '../look';
import { select, wordAt, type Columns } from '../read/columns';
import type { CountedSnap } from '../read';
import { seats } from './seats';
import { isTagged, type SnapFields } from '../snap/snap';
import { pictureOf, pictureRows } from './pictures';
import type { Check, SheetSide } from './rows';
import type { PlayCard } from './sheet';

export const CARDS_A_PAGE = [1, 2, 4, 6] as const;
export const SCOUT_LIMITS = { cards: { from: 1, to: 48 } } as const;

export interface ScoutSettings {
  readonly cards: number;
  readonly aPage: (typeof CARDS_A_PAGE)[number];
  /** Left for right: the card of a play they have shown to one side only. */
  readonly flip: boolean;
  /** Turned so that the men who show it stand below. */
  readonly turn: boolean;
}
export const USUAL_SCOUT: ScoutSettings = { cards: 12, aPage: 4, flip: false, turn: true };

export interface ScoutCard {
  readonly title: string;
  readonly lines: readonly string[];
  readonly drawing: Drawing;
  /** Snaps of just this, of all that are tagged far enough to be one. */
  readonly k: number;
  readonly n: number;
  /** Its snaps, the one that is drawn first. */
  readonly rows: readonly number[];
  /** Why it does not print; null: it does. */
  readonly fault: string | null;
}

export interface ScoutFilm {
  readonly book: Book;
  readonly profile: LevelProfile;
  readonly settings: LookSettings;
  readonly snaps: readonly CountedSnap[];
  readonly columns: Columns;
  readonly opponent: string;
}

const LINED_UP = [
  'formation',
  'formationSide',
  'backfield',
  'motion',
  'motionBy',
  'motionSide',
  'motionSecond',
  'motionSecondBy',
  'motionSecondSide',
] as const;
const PLAYED = ['play', 'concept', 'conceptWeak', 'optionSide', 'direction'] as const;
const DEFENDED = ['front', 'coverage', 'pressure', 'rotation'] as const;
const SIDES = ['formationSide', 'motionSide', 'motionSecondSide', 'optionSide', 'direction'] as const;

/** Left for right, in words. */
export const flipped = (fields: SnapFields): SnapFields => ({
  ...fields,
  ...Object.fromEntries(
    SIDES.flatMap((side) => {
      const is = fields[side];
      return is === 'L' || is === 'R' ? [[side, otherSide(is)]] : [];
    }),
  ),
});

const side = (of: unknown): string => (of === 'L' || of === 'R' ? ` ${sideWord(of)}` : '');
const word = (of: unknown): string | null => taggedWord(of);

/** "11 trips right, H jet left · power right". */
function playTitle(fields: SnapFields, personnel: string | null): string {
  const moved = [word(fields.motionBy), word(fields.motion)].filter(Boolean).join(' ');
  const lined = [
    [personnel, `${word(fields.formation) ?? ''}${side(fields.formationSide)}`].filter(Boolean).join(' '),
    word(fields.backfield),
    moved ? `${moved}${side(fields.motionSide)}` : null,
  ]
    .filter(Boolean)
    .join(', ');
  const weak = word(fields.conceptWeak);
  return `${lined} · ${word(fields.concept)!}${weak ? ` / ${weak}` : ''}${side(fields.direction)}`;
}
const defenseTitle = (fields: SnapFields): string =>
  [
    word(fields.front),
    word(fields.coverage),
    word(fields.rotation) === null ? null : `rotation ${word(fields.rotation)!}`,
    word(fields.pressure),
  ]
    .filter(Boolean)
    .join(' · ');

/** Sides must differ by so many receivers before a word says which is the longer. */
const CLEARLY = 2;

/**
 * Whether the words of a card and its hats say the same: the longer side stands where its name says, and the ball goes
 * where the title sends it. Null: they do.
 */
export function cardFault(
  fields: SnapFields,
  { look, paths }: Pick<ReturnType<typeof drawSnap>, 'look' | 'paths'>,
): string | null {
  if (!look) return `The book does not draw “${word(fields.formation) ?? ''}”.`;
  const said = fields.formationSide;
  const { left, right, side: longer } = look.offense.set;
  if (
    (said === 'L' || said === 'R') &&
    longer &&
    longer !== said &&
    Math.abs(left.count - right.count) >= CLEARLY
  )
    return `The title says ${sideWord(said)}, the longer side is drawn ${sideWord(longer)}: draw the formation anew or name its other side.`;
  const ball = paths.find((p) => p.kind === 'ball')?.points.at(-1);
  const to: Side | null = ball === undefined || Math.abs(ball[0]) < 0.5 ? null : ball[0] < 0 ? 'L' : 'R';
  const sent = fields.direction;
  if ((sent === 'L' || sent === 'R') && to !== null && to !== sent)
    return `The title sends the ball ${sideWord(sent)}, the drawing ${sideWord(to)}.`;
  return null;
}

/** Groups of rows, the most used first. */
const byUse = (groups: ReadonlyMap<string, readonly number[]>): (readonly number[])[] =>
  [...groups].sort((a, b) => b[1].length - a[1].length || (a[0] < b[0] ? -1 : 1)).map(([, rows]) => rows);

/** What is said most among some rows. */
function most<T>(rows: readonly number[], of: (row: number) => T | null): T | null {
  const counts = rollup(
    rows.filter((row) => of(row) !== null),
    (r) => r.length,
    of,
  );
  return [...counts].sort((a, b) => b[1] - a[1] || (String(a[0]) < String(b[0]) ? -1 : 1))[0]?.[0] ?? null;
}

/** "14: 1st & 10 6, 2nd long 3". */
function whenLine({ columns }: ScoutFilm, rows: readonly number[]): string {
  const when = [
    ...rollup(
      rows,
      (r) => r.length,
      (row) => wordAt(columns.text.bucket, row),
    ),
  ]
    .filter((entry): entry is [string, number] => entry[0] !== null)
    .sort((a, b) => b[1] - a[1] || (a[0] < b[0] ? -1 : 1))
    .slice(0, 3)
    .map(([bucket, k]) => `${bucketLabel(bucket as BucketKey)} ${k}`);
  return [`${rows.length}`, when.join(', ')].filter(Boolean).join(': ');
}
const ballLine = (hash: Hash | null): string =>
  hash === 'L'
    ? 'ball on the left hash'
    : hash === 'R'
      ? 'ball on the right hash'
      : hash === 'M'
        ? 'ball in the middle'
        : 'spot of the ball not tagged';
const hashOf =
  ({ snaps }: ScoutFilm) =>
  (row: number): Hash | null =>
    (snaps[row]!.snap.hash as Hash | null) ?? null;

/** A play and a way they line up for it, with the snaps of either side. */
interface Shown {
  readonly concept: readonly number[];
  readonly rows: readonly number[];
}

/**
 * Their plays, each in the ways they line up for it, as many cards a play as its share is worth; a play's ways by their
 * use, left and right counted as one.
 */
function shownPlays(
  { snaps }: ScoutFilm,
  rows: Uint32Array,
  cards: number,
): { readonly shown: Shown[]; readonly n: number } {
  const known = [...rows].filter(
    (row) => isTagged(snaps[row]!.snap.formation) && isTagged(snaps[row]!.snap.concept),
  );
  const toRight = (row: number): string => {
    const { snap } = snaps[row]!;
    const fields = Object.fromEntries([...LINED_UP, ...PLAYED].map((f) => [f, snap[f]])) as SnapFields;
    return JSON.stringify(fields.formationSide === 'L' ? flipped(fields) : fields);
  };
  const plays = byUse(
    rollup(
      known,
      (of) => of,
      (row) => JSON.stringify([snaps[row]!.snap.play, snaps[row]!.snap.concept]),
    ),
  );
  const ways = plays.map((concept) => byUse(rollup(concept, (of) => of, toRight)));
  const shares = seats(
    plays.map((of) => of.length),
    cards,
    1,
  );
  // A play with fewer ways than its share leaves the rest to the most used ways of the others.
  let left = shares.reduce((sum, share, i) => sum + Math.max(0, share - ways[i]!.length), 0);
  const taken = shares.map((share, i) => Math.min(share, ways[i]!.length));
  while (left > 0) {
    const next = ways
      .map((of, i) => ({ i, k: of[taken[i]!]?.length ?? 0 }))
      .sort((a, b) => b.k - a.k || a.i - b.i)[0];
    if (!next || next.k === 0) break;
    taken[next.i]!++;
    left--;
  }
  return {
    shown: plays.flatMap((concept, i) => ways[i]!.slice(0, taken[i]).map((of) => ({ concept, rows: of }))),
    n: known.length,
  };
}

/** Their plays, for our defense; our check's front stands against each where the sheet has one. */
function playCards(
  film: ScoutFilm,
  checks: readonly Check[],
  { cards, flip, turn }: ScoutSettings,
): ScoutCard[] {
  const { book, profile, settings, columns, opponent, snaps } = film;
  const { shown, n } = shownPlays(film, select(columns, { offense: [opponent] }), cards);
  const answers = checks.flatMap((check) => {
    const picture = pictureOf(check.picture);
    return picture && check.front !== null
      ? [{ front: check.front, rows: new Set(pictureRows(columns, { offense: [opponent] }, picture, check)) }]
      : [];
  });
  return shown.map(({ concept, rows }) => {
    const to = most(rows, (row) => snaps[row]!.snap.formationSide as Side | null);
    const row = rows.find((r) => snaps[r]!.snap.formationSide === to) ?? rows[0]!;
    const { snap } = snaps[row]!;
    const lined = Object.fromEntries([...LINED_UP, ...PLAYED].map((f) => [f, snap[f]])) as SnapFields;
    const fields = flip ? flipped(lined) : lined;
    const at = flip ? mirrorHash(hashOf(film)(row)) : hashOf(film)(row);
    const front = answers.find((a) => a.rows.has(row))?.front ?? null;
    const drawn = drawSnap(book, front === null ? fields : { ...fields, front }, at, profile, {
      settings,
      jobs: true,
      crop: true,
      numbers: false,
      defense: front !== null,
    });
    const personnel = most(rows, (r) => word(snaps[r]!.snap.personnel));
    return {
      title: playTitle(fields, personnel),
      lines: [
        `${word(snap.concept)!} ${concept.length} of ${n}, lined up like this ${whenLine(film, rows)}`,
        [ballLine(at), front === null ? null : `our ${front}`].filter(Boolean).join(', '),
      ],
      drawing: turn ? drawn.drawing : turned(drawn.drawing),
      k: rows.length,
      n,
      rows: [row, ...rows.filter((r) => r !== row)],
      fault: cardFault(fields, drawn),
    };
  });
}

/** Their defenses, for our offense: against a formation of ours in the structure they showed each to most. */
function defenseCards(
  film: ScoutFilm,
  plays: readonly PlayCard[],
  { cards, flip, turn }: ScoutSettings,
): ScoutCard[] {
  const { book, profile, settings, snaps, columns, opponent } = film;
  const all = select(columns, { defense: [opponent] });
  const known = [...all].filter(
    (row) => isTagged(snaps[row]!.snap.front) && isTagged(snaps[row]!.snap.coverage),
  );
  const n = known.length;
  const said = (row: number): string => JSON.stringify(DEFENDED.map((f) => snaps[row]!.snap[f] ?? null));
  const groups = byUse(rollup(known, (of) => of, said));
  const ours = new Map<string, SnapFields>();
  for (const play of plays) {
    const fields: SnapFields = {
      formation: play.formation,
      formationSide: play.formationSide ?? 'R',
      backfield: play.backfield,
    };
    const structure =
      play.formation === null
        ? undefined
        : drawSnap(book, fields, null, profile, { settings, defense: false }).look?.offense.set.label;
    if (structure !== undefined && !ours.has(structure)) ours.set(structure, fields);
  }
  return groups.slice(0, cards).map((rows) => {
    const { snap } = snaps[rows[0]!]!;
    const shown = Object.fromEntries(DEFENDED.map((f) => [f, snap[f]])) as SnapFields;
    const structure = most(rows, (row) => wordAt(columns.text.structureSnap, row));
    const stands = (structure === null ? undefined : ours.get(structure)) ?? [...ours.values()][0];
    const hash = most(rows, hashOf(film));
    const at = flip ? mirrorHash(hash) : hash;
    const lined = stands ?? {
      formation: book.terms.find((t) => t.kind === 'formation')?.word ?? null,
      formationSide: 'R' as const,
    };
    const fields: SnapFields = { ...(flip ? flipped(lined) : lined), ...shown };
    const drawn = drawSnap(book, fields, at, profile, {
      settings,
      jobs: true,
      lanes: true,
      crop: true,
      numbers: false,
    });
    const against = `${word(fields.formation) ?? ''}${side(fields.formationSide)}`;
    return {
      title: defenseTitle(fields),
      lines: [`shown ${whenLine(film, rows)}, of ${n}`, `against our ${against}, ${ballLine(at)}`],
      drawing: turn ? turned(drawn.drawing) : drawn.drawing,
      k: rows.length,
      n,
      rows,
      fault: cardFault(fields, drawn),
    };
  });
}

export const scoutCards = (
  film: ScoutFilm,
  sheet: { readonly side: SheetSide; readonly checks: readonly Check[]; readonly plays: readonly PlayCard[] },
  settings: ScoutSettings,
): ScoutCard[] =>
  sheet.side === 'defense'
    ? playCards(film, sheet.checks, settings)
    : defenseCards(film, sheet.plays, settings);
