/**
 * How often a defense shows what a complement waits for: its fronts, coverages and pressures against a structure, each
 * drawn against the play's own picture, as many times as they were shown; a man who is read by what is charted of him.
 */
import { lookOf, triggerOf, triggersOf, type Book, type TriggerCode } from '../book';
import { CONSTRAINTS } from '../book/presentations';
import type { LevelProfile } from '../field/profile';
import type { LookSettings } from '../look';
import { groupBy } from '../read/cells';
import { FIRST_VALUE, select, wordAt, type Columns } from '../read/columns';
import type { FilterField } from '../read/filters';
import { rateOf, type Rate } from '../read/rates';
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
  readonly trigger: TriggerCode;
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

/** What must be tagged for a trigger to be seen; null: where an end stands by a wing no front says. */
const SEEN_BY: Readonly<Record<TriggerCode, readonly FilterField[] | null>> = {
  'end inside the wing': null,
  'box loaded': ['front'],
  'box light': ['front'],
  'corner off and inside': ['front', 'coverage'],
  'corner pressed outside': ['front', 'coverage'],
  'overhang in the box': ['front', 'coverage'],
  'middle open': ['front', 'coverage'],
  'pressure from the edge': ['front', 'coverage', 'pressure'],
  'back-side end crashes': ['readKey', 'keyAction'],
};
/** What a charter writes of an end who chases down the line (common practice). */
const CRASHES = /crash|chase|squeeze|close/i;
const END = /\bends?\b|^d?e$/i;

/** Of one trigger; null: nothing on their film against this structure says whether it is there. Cost: a look each different answer. */
export function triggerShown(
  { book, profile, settings, columns, opponent }: TriggerFilm,
  play: PlayCard,
  structure: string,
  trigger: TriggerCode,
): TriggerShown | null {
  const { text, weight } = columns;
  const seenBy = SEEN_BY[trigger];
  if (seenBy === null) return null;
  const faced = select(columns, { defense: [opponent], structureSnap: [structure] });
  const known = (row: number, field: FilterField): boolean => {
    // A pressure that nobody brought is tagged as none.
    const code = text[field].codes[row]!;
    return code >= FIRST_VALUE || (field === 'pressure' && code === text.pressure.codeOf.get('-'));
  };
  const judged = faced.filter((row) => seenBy.every((field) => known(row, field)));
  const shows = new Set<number>();
  if (trigger === 'back-side end crashes') {
    const ends = judged.filter((row) => END.test(wordAt(text.readKey, row) ?? ''));
    for (const row of ends) if (CRASHES.test(wordAt(text.keyAction, row) ?? '')) shows.add(row);
    return told(trigger, weight, ends, shows);
  }
  const fields = playFields(play);
  const side = play.kind === 'pass' ? null : fields.direction;
  for (const { words, rows } of groupBy(columns, judged, seenBy, true)) {
    const [front, coverage = null, pressure = '-'] = words;
    const look = lookOf(book, { ...fields, front, coverage, pressure }, profile, settings);
    if (look && triggersOf(look, side === 'L' || side === 'R' ? [side] : undefined).includes(trigger))
      for (const row of rows) shows.add(row);
  }
  return told(trigger, weight, judged, shows);
}

const told = (
  trigger: TriggerCode,
  weight: Columns['weight'],
  judged: Uint32Array,
  shows: ReadonlySet<number>,
): TriggerShown | null => {
  if (judged.length === 0) return null;
  const rows = judged.filter((row) => shows.has(row));
  const rest = judged.filter((row) => !shows.has(row));
  return { trigger, rows, rate: rateOf(weight, rows, rest) };
};
