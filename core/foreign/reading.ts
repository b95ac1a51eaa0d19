/** What one cell of another staff's table may say. */
import type { Book, TermKind } from '../book';
import type { SnapFields } from '../snap';

type Writable = { -readonly [F in keyof SnapFields]: SnapFields[F] };

/** A spot as written, before it is known who has the ball. */
export interface WrittenSpot {
  readonly half: 'own' | 'their' | 'middle' | { readonly team: string };
  readonly yard: number;
}
export interface Unknown {
  readonly kind: TermKind;
  readonly term: string;
}
export interface Reading extends Writable {
  readonly spot?: WrittenSpot;
  /** A team as written. */
  readonly team?: string;
  readonly offenseTeam?: string;
  readonly defenseTeam?: string;
  /** O, D or K. */
  readonly phase?: 'O' | 'D' | 'K';
  readonly player?: string;
  readonly goalToGo?: boolean;
  readonly game?: string;
  readonly date?: string;
  readonly unknown?: readonly Unknown[];
  /** From a cell that a spreadsheet had made a date. */
  readonly fromDate?: boolean;
}
export type Cell =
  | { readonly ok: true; readonly value: Reading }
  | { readonly ok: false; readonly reason: string; readonly use?: string };

/** What is known of the whole column or file when one cell is read. */
export interface CellContext {
  readonly book: Book;
  /** "1-10" that became a date: which of day and month is the down. */
  readonly dateOrder: 'month' | 'day';
  /** Numbers of the hash: 1 left, 2 middle, 3 right. */
  readonly signedSpots: boolean;
  /** Cells read so far, by target and text. */
  readonly read: Map<string, Cell>;
}

export const yes = (value: Reading): Cell => ({ ok: true, value });
export const no = (reason: string, use?: string): Cell =>
  use === undefined ? { ok: false, reason } : { ok: false, reason, use };
