/** What is said of a field, once: everything that treats fields differently asks these flags. */
import type { SnapField } from '../snap';

export const FIELD_GROUPS = [
  'identity',
  'situation',
  'at_the_line',
  'before_the_snap',
  'the_play',
  'who',
  'what_came_of_it',
  'remarks',
] as const;
export type FieldGroup = (typeof FIELD_GROUPS)[number];

/** When a charter can know it: both sides set, the ball snapped, the play over. */
export type Known = 'set' | 'snap' | 'after';

/** Whom a charter watches for it; own: only on own film. */
export type About = 'offense' | 'defense' | 'protection' | 'special' | 'own';

export type FieldKind =
  'text' | 'integer' | 'decimal' | 'clock' | 'enum' | 'flag' | 'list' | 'penalties' | 'numbers' | 'date';

export interface FieldSpec {
  readonly label: string;
  readonly group: FieldGroup;
  readonly kind: FieldKind;
  /** May hold "-" (none) and "?" (not visible). */
  readonly tag?: boolean;
  /** Names a team of the game by its key. */
  readonly team?: boolean;
  readonly values?: readonly string[];
  readonly min?: number;
  readonly max?: number;
  readonly pattern?: RegExp;
  readonly unit?: string;
  /** Characters at most. */
  readonly most?: number;
  /** What a text must look like, for an error's remedy. */
  readonly expected?: string;

  readonly about?: About;
  /** When it is known, where its group does not say so. */
  readonly known?: Known;

  // -- the snap line
  /** Names typed before "=", after "no" and before "unseen"; the column's own name works too. */
  readonly typed?: readonly string[];
  /** Kinds of terms whose words fill it; the first field of the table that lists a kind is the one its word fills. */
  readonly terms?: readonly string[];
  /** The field that a side right after its word fills. */
  readonly side?: SnapField;
  /** Its place in the order in which fields are usually said, for completions. */
  readonly said?: number;
  /** Fields said in one breath with it, besides its side. */
  readonly with?: readonly SnapField[];
  /** Follows from others or is not said aloud: stored, but not shown in a line that is edited. */
  readonly unsaid?: boolean;

  // -- shown elsewhere
  /** In the echo: said with another field, or never. */
  readonly echo?: 'with' | 'never';
  /** Stands in the title, the situation or the drawing of a reel, so not among its tags. */
  readonly titled?: boolean;

  // -- counted
  /** Counts may be filtered and grouped by it. */
  readonly filter?: boolean;
  /** Its place in the menu of filters; none: only by its address and the command line. */
  readonly menu?: number;
  /** A look is drawn and measured from it. */
  readonly look?: boolean;
  /** A split of a term may ask for it: typed with the snap, never carried. */
  readonly split?: boolean;
}

export const JERSEY = /^\d{1,2}$/;
