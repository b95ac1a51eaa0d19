/**
 * How often a defense shows what a complement waits for, against a structure: the box that is logged against the play's
 * own blockers, corners and men who are read as they are charted, coverages and pressures as the book has them.
 */
import { lookOf, triggerOf, triggersOf, type Book, type TriggerCode } from '../book';
import { CONSTRAINTS } from '../book/presentations';
import type { LevelProfile } from '../field/profile';
import { boxVerdict, type LookSettings } from '../look';
import { CODE_NONE, select, wordAt, type Columns } from '../read/columns';
import { rateOf, type Rate } from '../read/rates';
import { NONE } from '../snap/snap';
import { playFields, type PlayCard } from './sheet';

export interface TriggerFilm {
  readonly book: Book;
  readonly profile: LevelProfile;
  readonly settings: LookSettings;
  readonly columns: Columns;
  readonly opponent: string;
  readonly plays: readonly PlayCard[];
}
export interface TriggerShown {
  /** How it was counted. */
  readonly by: string;
  /** Snaps that show it, of those that say whether they do. */
  readonly rate: Rate;
  readonly rows: Uint32Array;
}
/** A play and what punishes the answer to it; `other` is the other of the two, `instead`: it is the complement. */
export interface Complement {
  readonly trigger: TriggerCode;
  readonly other: string;
  readonly instead: boolean;
}

/** Links of the list, the staff's own first, then what the book knows of their concepts; each pair and trigger once. */
export function complementsOf(play: PlayCard, plays: readonly PlayCard[]): Complement[] {
  const out: Complement[] = [];
  const add = (trigger: TriggerCode | null, other: string, instead: boolean): void => {
    if (trigger && !out.some((c) => c.trigger === trigger && c.other === other && c.instead === instead))
      out.push({ trigger, other, instead });
  };
  const linked = (from: PlayCard, to: PlayCard) =>
    from.links.filter((l) => l.kind === 'complement' && l.play === to.id);
  for (const other of plays) {
    if (other.id === play.id) continue;
    for (const link of linked(play, other)) add(triggerOf(link.trigger), other.name, true);
    for (const link of linked(other, play)) add(triggerOf(link.trigger), other.name, false);
  }
  for (const { base, then, code } of CONSTRAINTS) {
    const listed = (concept: string) => plays.filter((p) => p.concept === concept && p.id !== play.id);
    // A play that a staff has linked itself is not named once more by its concept.
    const named = (instead: boolean) => out.some((c) => c.trigger === code && c.instead === instead);
    if (play.concept === base && !named(true))
      for (const p of listed(then).slice(0, 1)) add(code, p.name, true);
    if (play.concept === then && !named(false))
      for (const p of listed(base).slice(0, 1)) add(code, p.name, false);
  }
  return out;
}

/**
 * What a trigger is read by on film; null: nothing that is logged says it. Where an end stands by a wing, and whether the
 * man over the slot is in the box, no front or coverage word says: counted from the book's drawing they were always so,
 * or never.
 */
type ReadBy = 'box' | 'corners' | 'coverage' | 'pressure' | 'key';
const READ_BY: Readonly<Record<TriggerCode, ReadBy | null>> = {
  'end inside the wing': null,
  'overhang in the box': null,
  'box loaded': 'box',
  'box light': 'box',
  'corner off and inside': 'corners',
  'corner pressed outside': 'corners',
  'middle open': 'coverage',
  'pressure from the edge': 'pressure',
  'back-side end crashes': 'key',
};
/** How it was counted, after "against 3x1". */
const READ_WORDS: Readonly<Record<ReadBy, string>> = {
  box: 'by their box against the blockers of this picture',
  corners: 'by the corners as they are charted',
  coverage: 'by the coverages they showed',
  pressure: 'by the pressures they showed',
  key: 'by the man who is read',
};
/** What a charter writes of an end who chases down the line (common practice). */
const CRASHES = /crash|chase|squeeze|close/i;
const END = /\bends?\b|^d?e$/i;

type Of = Pick<TriggerFilm, 'book' | 'profile' | 'settings' | 'columns'>;
/** Whether a snap shows it: null where nothing says. */
type Shows = (row: number) => boolean | null;

/** The play's own blockers against the box that is logged, or as their front stands. */
function byBox({ book, profile, settings, columns }: Of, play: PlayCard, wanted: 'light' | 'loaded'): Shows {
  const { front, boxCount } = columns.text;
  const blockers = new Map<string, number | null>();
  return (row) => {
    const [called, box] = [wordAt(front, row), wordAt(boxCount, row)];
    if (called === null || box === null) return null;
    let here = blockers.get(called);
    if (here === undefined) {
      const look = lookOf(book, { ...playFields(play), front: called }, profile, settings);
      blockers.set(called, (here = look?.defense?.front?.blockers ?? null));
    }
    return here === null ? null : boxVerdict(Number(box), here) === wanted;
  };
}

/** A corner whose technique and leverage are charted, on either side. */
function byCorners(
  { columns: { text } }: Of,
  technique: 'off' | 'press',
  leverage: 'inside' | 'outside',
): Shows {
  const sides = [
    [text.cornerLeftTechnique, text.cornerLeftLeverage],
    [text.cornerRightTechnique, text.cornerRightLeverage],
  ] as const;
  return (row) => {
    const said = sides
      .map(([how, where]) => [wordAt(how, row), wordAt(where, row)] as const)
      .filter(([how, where]) => how !== null && where !== null);
    return said.length === 0 ? null : said.some(([how, where]) => how === technique && where === leverage);
  };
}

/** Their front with the coverage, and the pressure, drawn against the play's own picture. */
function byDrawing(
  { book, profile, settings, columns: { text } }: Of,
  play: PlayCard,
  trigger: TriggerCode,
): Shows {
  const drawn = new Map<string, boolean>();
  return (row) => {
    const [front, coverage] = [wordAt(text.front, row), wordAt(text.coverage, row)];
    if (front === null || coverage === null) return null;
    let pressure: string | null = NONE;
    if (READ_BY[trigger] === 'pressure') {
      // A pressure that nobody brought is tagged as none.
      pressure = text.pressure.codes[row] === CODE_NONE ? NONE : wordAt(text.pressure, row);
      if (pressure === null) return null;
    }
    const key = [front, coverage, pressure].join('|');
    let shows = drawn.get(key);
    if (shows === undefined) {
      const look = lookOf(book, { ...playFields(play), front, coverage, pressure }, profile, settings);
      drawn.set(key, (shows = look !== null && triggersOf(look).includes(trigger)));
    }
    return shows;
  };
}

const byKey =
  ({ columns: { text } }: Of): Shows =>
  (row) => {
    const [key, action] = [wordAt(text.readKey, row), wordAt(text.keyAction, row)];
    return key === null || action === null || !END.test(key) ? null : CRASHES.test(action);
  };

function showsOf(film: Of, play: PlayCard, trigger: TriggerCode): Shows | null {
  switch (READ_BY[trigger]) {
    case 'box':
      return byBox(film, play, trigger === 'box light' ? 'light' : 'loaded');
    case 'corners':
      return trigger === 'corner off and inside'
        ? byCorners(film, 'off', 'inside')
        : byCorners(film, 'press', 'outside');
    case 'coverage':
    case 'pressure':
      return byDrawing(film, play, trigger);
    case 'key':
      return byKey(film);
    case null:
      return null;
  }
}

/** Of one trigger; null: nothing on their film against this structure says whether it is there. Cost: a look each different answer. */
export function triggerShown(
  film: TriggerFilm,
  play: PlayCard,
  structure: string,
  trigger: TriggerCode,
): TriggerShown | null {
  const shows = showsOf(film, play, trigger);
  if (shows === null) return null;
  const { columns, opponent } = film;
  const faced = select(columns, { defense: [opponent], structureSnap: [structure] });
  const rows = faced.filter((row) => shows(row) === true);
  const rest = faced.filter((row) => shows(row) === false);
  return rows.length + rest.length === 0
    ? null
    : { by: READ_WORDS[READ_BY[trigger]!], rows, rate: rateOf(columns.weight, rows, rest) };
}
