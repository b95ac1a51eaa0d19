/**
 * What was called in some snaps, split once for every board: a run-pass option is a call of its own, neither run
 * nor pass; a snap whose call is blank, none or not visible is not called. The parts sum to the snaps.
 */
import type { Columns } from './columns';
import { rateOf, type Rate } from './rates';

export const CALL_KINDS = ['run', 'pass', 'rpo'] as const;
export type CallKind = (typeof CALL_KINDS)[number];

export interface CallsToSide {
  readonly kind: CallKind;
  /** Null: no side is tagged. */
  readonly side: 'L' | 'R' | null;
  readonly rows: Uint32Array;
}

export interface Calls {
  readonly rows: Uint32Array;
  readonly byKind: Readonly<Record<CallKind, Uint32Array>>;
  readonly untagged: Uint32Array;
  /** Runs among the snaps whose call is tagged. */
  readonly run: Rate;
  /** Every called snap once, by kind and side; empty parts are left out. */
  readonly bySide: readonly CallsToSide[];
}

const SIDES = ['L', 'R', null] as const;

/** Splits rows by call and side. Cost: linear. */
export function splitCalls(columns: Columns, rows: ArrayLike<number>): Calls {
  const { play, direction } = columns.text;
  const kindOf = play.words.map((w) => CALL_KINDS.indexOf(w as CallKind));
  const sideOf = direction.words.map((w) => (w === 'L' ? 0 : w === 'R' ? 1 : 2));
  const parts = CALL_KINDS.map(() => SIDES.map((): number[] => []));
  const kinds = CALL_KINDS.map((): number[] => []);
  const untagged: number[] = [];
  for (let i = 0; i < rows.length; i++) {
    const row = rows[i]!;
    const kind = kindOf[play.codes[row]!]!;
    if (kind < 0) untagged.push(row);
    else {
      kinds[kind]!.push(row);
      parts[kind]![sideOf[direction.codes[row]!]!]!.push(row);
    }
  }
  const [run, pass, rpo] = kinds.map((list) => Uint32Array.from(list)) as [
    Uint32Array,
    Uint32Array,
    Uint32Array,
  ];
  return {
    rows: Uint32Array.from(rows),
    byKind: { run, pass, rpo },
    untagged: Uint32Array.from(untagged),
    run: rateOf(columns.weight, run, [...pass, ...rpo]),
    bySide: CALL_KINDS.flatMap((kind, k) =>
      SIDES.map((side, s) => ({ kind, side, rows: Uint32Array.from(parts[k]![s]!) })),
    ).filter((part) => part.rows.length > 0),
  };
}

const KIND_WORDS: Readonly<Record<CallKind, string>> = { run: 'run', pass: 'pass', rpo: 'run-pass option' };
/** "run left", "run-pass option, no side". */
export const callsWords = ({ kind, side }: Pick<CallsToSide, 'kind' | 'side'>): string =>
  `${KIND_WORDS[kind]}${side === null ? ', no side' : side === 'L' ? ' left' : ' right'}`;
