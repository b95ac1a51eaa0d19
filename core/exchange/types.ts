/** What passes between the browser, the pages and the store: plain data, known to all three. */
import type { LevelKey, ProfileChanges } from '../field/profile';
import type { Term } from '../book/term';
import type { SheetCall } from '../plan/sheet';
import type { TableFault } from '../table/read';
import type { Snap, SnapFact, SnapFields } from '../snap/snap';

export const ROLES = ['keeper', 'coordinator', 'coach', 'charter', 'guest'] as const;
export type Role = (typeof ROLES)[number];

/** The signed-in member: first argument of every store function. */
export interface Actor {
  readonly memberId: string;
  readonly programId: string;
  readonly name: string;
  readonly roles: readonly Role[];
}

export const CHARTING_KINDS = ['official', 'blind'] as const;

/** What a merge or split needs to be taken back. */
export interface BookChangeDetail {
  readonly kind: 'merge' | 'split';
  readonly keptKey: string;
  readonly keptAliases: readonly string[];
  readonly dropped: Term | null;
  readonly droppedPosition: number;
  readonly added: string | null;
  readonly plays: readonly { readonly key: string; readonly field: string }[];
}
export interface BookChangeInfo { readonly id: string; readonly at: string; readonly by: string; readonly words: string; readonly snaps: number; readonly undone: boolean }

export interface BookAnswer { readonly ok: boolean; readonly words: string; readonly id: string | null }

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
}

export const SURENESS = ['sure', 'think_so', 'guess'] as const;
export type Sureness = (typeof SURENESS)[number];
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

/** A snap with what a writer needs: the version each field was read at. */
export interface StoredSnap {
  readonly snap: Snap;
  /** Fields whose version is above 1. */
  readonly versions: Readonly<Partial<Record<SnapFact | 'order', number>>>;
  readonly deleted: boolean;
  readonly revision: number;
}

export type SnapOp =
  | { readonly op: 'put'; readonly snapId: string; readonly order: number; readonly fields: SnapFields }
  | { readonly op: 'patch'; readonly snapId: string; readonly fields: Readonly<Record<string, { readonly value: unknown; readonly version: number }>> }
  | { readonly op: 'delete' | 'restore'; readonly snapId: string };

export interface FieldConflict {
  readonly field: string;
  readonly theirs: unknown;
  readonly yours: unknown;
  readonly by: string;
  readonly at: string;
  readonly version: number;
}

export interface OpResult {
  readonly snapId: string;
  readonly status: 'saved' | 'conflict' | 'missing';
  readonly versions: Readonly<Record<string, number>>;
  readonly conflicts: readonly FieldConflict[];
}

export interface SaveResult {
  readonly revision: number;
  readonly results: readonly OpResult[];
}

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
  readonly snaps: number;
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
}

export interface MemberInfo { readonly id: string; readonly name: string; readonly roles: readonly string[]; readonly removed: boolean }

export interface SheetInfo { readonly key: string; readonly name: string; readonly opponent: string; readonly lockedBy: string | null; readonly lockedById: string | null; readonly calls: number }
export interface SheetDetail extends SheetInfo { readonly list: readonly SheetCall[] }
