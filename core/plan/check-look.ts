/** A check drawn: their formation of that picture, our front, coverage and pressure on it, and what that leaves without an owner. */
import { rollup } from 'd3-array';
import type { LevelProfile } from '../field/profile';
import type { Hash } from '../field/spot';
import { drawSnap, findTerm, type Book, type SnapDrawing } from '../book';
import { lookSentences, ownership, type LookSettings, type Ownership } from '../look';
import type { CountedSnap } from '../read';
import { isTagged, type SnapFields } from '../snap/snap';
import { pictureOf } from './pictures';
import type { CheckAnswer } from './rows';

export interface CheckPicture {
  /** How they line up in it: what the snap says of formation, backfield and motion. */
  readonly fields: SnapFields;
  readonly hash: Hash | null;
  /** Snaps of just this line-up, among those of the picture; 0: none is on film, the book's own stands for it. */
  readonly k: number;
  readonly n: number;
}

const LINED_UP = ['formation', 'formationSide', 'backfield', 'motion', 'motionBy', 'motionSide'] as const;

/** The line-up they use most in some snaps, of those the book draws; else the book's first formation of the structure. */
export function pictureDrawn(
  book: Book,
  profile: LevelProfile,
  key: string,
  snaps: readonly CountedSnap[],
  rows: Uint32Array,
): CheckPicture | null {
  const words = (row: number): string => {
    const { snap } = snaps[row]!;
    return JSON.stringify([...LINED_UP.map((f) => snap[f]), snap.hash]);
  };
  const counted = [...rollup(rows, (of) => ({ n: of.length, row: of[0]! }), words)].sort(
    (a, b) => b[1].n - a[1].n || (a[0] < b[0] ? -1 : 1),
  );
  for (const [, { n, row }] of counted) {
    const { snap } = snaps[row]!;
    const fields = Object.fromEntries(LINED_UP.map((f) => [f, snap[f]])) as SnapFields;
    if (!isTagged(snap.formation) || !drawSnap(book, fields, null, profile, { defense: false }).look)
      continue;
    return { fields, hash: (snap.hash as Hash | null) ?? null, k: n, n: rows.length };
  }
  const picture = pictureOf(key);
  for (const term of book.terms) {
    if (term.kind !== 'formation') continue;
    const fields: SnapFields = { formation: term.word, formationSide: 'R' };
    const look = drawSnap(book, fields, null, profile, { defense: false }).look;
    if (!look || (picture?.structure && look.offense.snap.label !== picture.structure)) continue;
    if (picture?.structure || term.word === picture?.key)
      return { fields, hash: hashFor(picture?.into ?? null), k: 0, n: rows.length };
  }
  return null;
}
/** The longer side stands right: the ball on the right hash has the boundary there. */
const hashFor = (into: 'field' | 'boundary' | 'middle' | null): Hash | null =>
  into === 'boundary' ? 'R' : into === 'field' ? 'L' : into === 'middle' ? 'M' : null;

export const CHECK_FAULTS = [
  'unknown_word',
  'cannot',
  'open_gap',
  'open_flat',
  'open_third',
  'two_jobs',
  'open_depth',
] as const;
export type CheckFaultCode = (typeof CHECK_FAULTS)[number];
export interface CheckFault {
  readonly code: CheckFaultCode;
  readonly sentence: string;
}

export interface CheckLook {
  readonly picture: CheckPicture;
  readonly drawing: SnapDrawing;
  /** Their line-up alone, for a small picture. */
  readonly small: SnapDrawing['drawing'];
  /** Null: front or coverage is missing, or the book does not draw one. */
  readonly owned: Ownership | null;
  readonly faults: readonly CheckFault[];
}

const kinds = { front: 'front', coverage: 'coverage', pressure: 'pressure' } as const;
const joined = (list: readonly string[]): string =>
  list.length < 2 ? list.join('') : `${list.slice(0, -1).join(', ')} and ${list.at(-1)!}`;

/** Draws an answer on a picture and says what it leaves open. */
export function lookOfCheck(
  book: Book,
  profile: LevelProfile,
  settings: LookSettings,
  picture: CheckPicture,
  answer: CheckAnswer,
): CheckLook {
  const { front, coverage, pressure } = answer;
  const fields: SnapFields = {
    ...picture.fields,
    ...(front === null ? {} : { front }),
    ...(coverage === null ? {} : { coverage }),
    ...(pressure === null ? {} : { pressure }),
  };
  const drawing = drawSnap(book, fields, picture.hash, profile, { settings, lanes: true, jobs: true });
  const faults: CheckFault[] = [];
  const say = (code: CheckFaultCode, sentence: string): void => void faults.push({ code, sentence });
  for (const [field, kind] of Object.entries(kinds) as [keyof typeof kinds, (typeof kinds)['front']][]) {
    const word = answer[field];
    if (word !== null && !findTerm(book, kind, word)?.definition)
      say('unknown_word', `The book does not draw the ${kind} “${word}”; nothing is checked of it.`);
  }
  const { look } = drawing;
  const owned = look ? ownership(look) : null;
  if (look && owned)
    for (const { code, text } of lookSentences(look, settings)) if (code === 'cannot') say('cannot', text);
  if (owned) {
    const open = owned.gaps.filter((g) => g.owner === null);
    if (open.length > 0)
      say(
        'open_gap',
        `${joined(open.map((g) => `${g.gap[0]!} ${g.side === 'L' ? 'left' : 'right'}`))} ${open.length === 1 ? 'has' : 'have'} no owner.`,
      );
    for (const side of ['L', 'R'] as const)
      if (owned.flats[side] === null)
        say('open_flat', `Nobody has the flat ${side === 'L' ? 'left' : 'right'}.`);
    if (owned.third === null) say('open_third', 'Nobody has the third receiver.');
    const two = new Map<string, string[]>();
    for (const { scheme, to, two: both } of owned.schemes)
      if (both) {
        const words = `${both.man} has ${both.jobs.join(' and ')}`;
        two.set(words, [...(two.get(words) ?? []), `${scheme} ${to === 'L' ? 'left' : 'right'}`]);
      }
    for (const [words, schemes] of two) say('two_jobs', `${words} against ${joined(schemes)}.`);
    const low = owned.depths.filter((d) => d.man === null);
    if (low.length > 0)
      say(
        'open_depth',
        `Against a crosser ${joined(low.map((d) => d.words))} ${low.length === 1 ? 'is' : 'are'} free: ${owned.depths.length - low.length} of ${owned.depths.length} depths are held.`,
      );
  }
  const small = drawSnap(book, picture.fields, picture.hash, profile, {
    settings,
    defense: false,
    crop: true,
    numbers: false,
  }).drawing;
  return { picture, drawing, small, owned, faults };
}
