/** A line on its way from items to fields: what was understood, what was typed where, and what could not be taken. */
import type { Book } from '../book/term';
import type { LevelProfile } from '../field/profile';
import type { GameState } from '../rules/state';
import { sameValue, SNAP_FIELDS } from '../snap/fields';
import type { Penalty, Snap, SnapField, SnapFields } from '../snap/snap';
import type { Candidate, Problem, ProblemCode } from './problem';
import type { RelativeSide } from './grammar';
import type { Range, Unsure } from './tokenize';

export interface LineContext {
  readonly book: Book;
  readonly profile: LevelProfile;
  /** The situation the snap is played in, as far as it is known. */
  readonly state: GameState | null;
  /** The last scrimmage snap of the same offense in this game, for "..". */
  readonly previous: Snap | null;
  /** The keys of the two teams: a key typed as a word says who has the ball. A term of the book goes before it. */
  readonly teams?: readonly [string, string];
  /** The number behind each letter today, by team: "#h" is his of the offense. */
  readonly letters?: Readonly<Record<string, Readonly<Record<string, string>>>>;
}

/** A stretch of the line with what it means, for the echo. */
export interface Piece extends Range {
  readonly field: SnapField | null;
  readonly kind: 'term' | 'situation' | 'result' | 'who' | 'note' | 'sign' | 'problem';
  readonly unsure: Unsure;
}

export interface ParsedLine {
  readonly text: string;
  /** All fields the line gives, typed and following from what was typed. */
  readonly fields: SnapFields;
  readonly pieces: readonly Piece[];
  readonly problems: readonly Problem[];
}
type Draft = { -readonly [K in SnapField]?: Snap[K] };

export class Resolver {
  readonly fields: Draft = {};
  readonly pieces: Piece[] = [];
  readonly problems: Problem[] = [];
  /** Fields the analyst typed himself; only these can be given twice. */
  readonly typed = new Map<SnapField, string>();
  readonly notSure = new Set<string>();
  readonly guessed = new Set<string>();
  readonly penalties: Penalty[] = [];
  /** Penalties without a word for where they are walked off from. */
  readonly unplaced = new Set<number>();
  /** Sides that follow from who stands where, once the whole line is read. */
  readonly relative: { readonly field: SnapField; readonly to: RelativeSide; readonly range: Range }[] = [];
  readonly tags: string[] = [];
  /** Terms that could not be taken: a side after one is no second problem. */
  readonly refused = new Set<number>();
  deadRange: Range | null = null;
  explicitPlay = false;
  playTermSeen = false;

  constructor(
    readonly text: string,
    readonly context: LineContext,
  ) {}

  problem(
    code: ProblemCode,
    range: Range,
    facts: Record<string, string> = {},
    candidates: Candidate[] = [],
  ): void {
    this.problems.push({
      code,
      start: range.start,
      end: range.end,
      text: this.text.slice(range.start, range.end),
      facts,
      candidates,
    });
    this.pieces.push({ start: range.start, end: range.end, field: null, kind: 'problem', unsure: '' });
  }

  /** Sets a typed field; the same field twice is a problem at the second, unless equal. */
  set<K extends SnapField>(field: K, value: Snap[K], range: Range): boolean {
    const before = this.typed.get(field);
    if (before !== undefined && !sameValue(this.fields[field], value)) {
      this.problem('twice', range, { field: SNAP_FIELDS[field].label, first: before });
      return false;
    }
    (this.fields as Record<string, unknown>)[field] = value;
    this.typed.set(field, this.text.slice(range.start, range.end));
    return true;
  }

  piece(range: Range, field: SnapField | null, kind: Piece['kind'], unsure: Unsure = ''): void {
    this.pieces.push({ start: range.start, end: range.end, field, kind, unsure });
    if (unsure !== '' && field) this.notSure.add(field);
    if (unsure === '??' && field) this.guessed.add(field);
  }
}
