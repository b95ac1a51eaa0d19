/** What passes between the browser, the pages and the store: plain data, known to all three. */
import type { Translated } from './trade';
import type { LevelKey, ProfileChanges } from '../field/profile';
import type { Book, Term } from '../book/term';
import type { Check, Remark, SheetSide } from '../plan/rows';
import type { SectionSpec } from '../plan/sections';
import type { SheetCall } from '../plan/sheet';
import type { SheetContent } from '../plan/versions';
import type { TableFault } from '../table/fault';
import type { Sureness } from '../snap/snap';
import type { Role } from '../staff/permissions';

/** The signed-in member: first argument of every store function. */
export interface Actor {
  readonly memberId: string;
  readonly programId: string;
  readonly name: string;
  readonly roles: readonly Role[];
}

/** What a charter said instead of what was there: counts by field, then "there > said". */
export type Confused = Readonly<Record<string, Readonly<Record<string, number>>>>;

export const CHARTING_KINDS = ['official', 'blind'] as const;

/** What a merge or split needs to be undone. */
export interface BookChangeDetail {
  readonly kind: 'merge' | 'split' | 'replace';
  /** The book as it was before it was replaced. */
  readonly before?: Book;
  readonly keptKey: string;
  readonly keptAliases: readonly string[];
  readonly dropped: Term | null;
  readonly droppedPosition: number;
  readonly added: string | null;
  readonly plays: readonly { readonly key: string; readonly field: string }[];
}
export interface BookChangeInfo {
  readonly id: string;
  readonly at: string;
  readonly by: string;
  readonly words: string;
  readonly snaps: number;
  readonly undone: boolean;
}

export interface BookAnswer {
  readonly ok: boolean;
  readonly words: string;
  readonly id: string | null;
}

export interface BookReplacePreview {
  readonly added: readonly string[];
  readonly changed: readonly string[];
  readonly dropped: readonly string[];
  readonly snaps: number;
}

export interface SplitPreview {
  readonly snaps: number;
  readonly of: number;
  /** Values of each field among the snaps of the word, with their counts, to choose from. */
  readonly choices: Readonly<Record<string, readonly (readonly [value: string, n: number])[]>>;
  readonly sample: readonly { readonly game: string; readonly snap: string; readonly words: string }[];
}

export interface ProgramSettings {
  readonly week: number | null;
  readonly opponent: string | null;
  /** What the staff changed in its level's profile. */
  readonly profile?: ProfileChanges | null;
  /** Strength, technique numbers, box, success, buckets, zones, as the staff set them. */
  readonly rules?: unknown;
  /** Charting plans by team; * for every other. */
  readonly charting?: unknown;
  /** Sections of the scouting report by side, in the order they print. */
  readonly reports?: unknown;
  /** The week of practice: days, periods, limits. */
  readonly practice?: unknown;
  /** Figures that prints begin with. */
  readonly prints?: unknown;
  /** Sections that new call sheets begin with. */
  readonly sections?: unknown;
  /** Views of Read by name, for the whole staff. */
  readonly views?: unknown;
}

export const FIELD_STATES = ['tagged', 'none', 'not_visible', 'blank'] as const;
export type FieldState = (typeof FIELD_STATES)[number];

/** Provenance of one field. A field that is not listed was set with the row: version 1, by its creator. */
export interface FieldProvenance {
  readonly state: FieldState;
  readonly by: string;
  readonly name: string;
  readonly at: string;
  readonly sure: Sureness;
  readonly v: number;
}
export type Provenance = Readonly<Record<string, FieldProvenance>>;
/** The same of a call, sheet, term or play: a field that is not listed is at version 1. */
export type RowProvenance = Readonly<
  Record<string, { readonly v: number; readonly name: string; readonly at: string }>
>;

export interface GameInfo {
  readonly id: string;
  readonly key: string;
  readonly date: string | null;
  readonly week: number | null;
  readonly home: string;
  readonly away: string;
  readonly level: LevelKey;
  readonly phase: string;
  readonly closed: boolean;
  readonly angle: string | null;
  readonly purpose: string | null;
  /** What it counts in reports, 0 to 1; null: whole. */
  readonly weight: number | null;
  readonly snaps: number;
  /** Invented, to try things on. */
  readonly sample: boolean;
}

export interface TeamInfo {
  readonly key: string;
  readonly name: string;
  readonly nickname: string | null;
  readonly place: string | null;
}

export interface ProgramInfo {
  readonly id: string;
  readonly name: string;
  readonly level: LevelKey;
  readonly season: number;
  readonly team: string;
  readonly demo: boolean;
  readonly settings: ProgramSettings;
}

export interface ImportOutcome {
  readonly imported: boolean;
  readonly faults: readonly string[];
  readonly details: readonly TableFault[];
  readonly counts: Readonly<Record<string, number>>;
  /** Null, or what replacing the book would do: nothing is imported until somebody chose. */
  readonly book: BookReplacePreview | null;
  /** Of traded games: how their terms were read. */
  readonly terms?: readonly Translated[];
}

/** What an import does with a book.json that differs from the program's own. */
export type BookChoice = 'ask' | 'replace' | 'leave';

export interface AuditInfo {
  readonly id: string;
  readonly at: string;
  readonly name: string;
  readonly action: string;
  readonly words: string;
}

export interface BackupInfo {
  readonly goodAt: string | null;
  readonly file: string | null;
  readonly bytes: number | null;
  readonly problem: string | null;
}

export interface SessionInfo {
  readonly id: string;
  readonly since: string;
  readonly seen: string;
  readonly agent: string | null;
  readonly current: boolean;
}

export interface MemberInfo {
  readonly id: string;
  readonly name: string;
  readonly roles: readonly string[];
  readonly removed: boolean;
}

export interface SheetInfo {
  readonly key: string;
  readonly name: string;
  readonly opponent: string;
  readonly side: SheetSide;
  readonly lockedBy: string | null;
  readonly lockedById: string | null;
  readonly calls: number;
}
export interface SheetDetail extends SheetInfo {
  readonly list: readonly SheetCall[];
  /** Null: the usual ones. */
  readonly sections: readonly SectionSpec[] | null;
  readonly checks: readonly Check[];
  readonly remarks: readonly Remark[];
}

/** A sheet as it was when somebody saved it. */
export interface SheetVersionInfo {
  readonly number: number;
  readonly name: string;
  readonly by: string;
  readonly at: string;
  readonly content: SheetContent;
}

/** Columns and values of somebody else's table as a staff decided them. */
export interface ReadingMap {
  /** Null: the column is left out. */
  readonly mapping: readonly { readonly column: string; readonly field: string | null }[];
  /** Null: the value is left out. */
  readonly values: readonly { readonly field: string; readonly from: string; readonly to: string | null }[];
}
export interface ReadingInfo extends ReadingMap {
  readonly headings: string;
}

/** What the official scorer says: team → stat → figure. */
export type OfficialFigures = Readonly<Record<string, Readonly<Record<string, number>>>>;
