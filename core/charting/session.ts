/** A charting pass as a session: keys go in, what is written comes out. One key a value, wherever the value has one. */
import type { Book } from '../book';
import type { WalkedSnap } from '../rules';
import { NONE, readFieldText, SNAP_FIELDS, UNSEEN, type Snap, type SnapFact, type SnapFields } from '../snap';
import { asked, isCharted, isDone, rowsOf, type ChartPass } from './passes';
import {
  choicesOf,
  lastOfSeries,
  offersFor,
  type EarlierSnap,
  type Labels,
  type Offer,
  type Offers,
} from './offers';
import { sureOf, withSureness } from '../snap/sureness';
import type { Sureness } from '../snap/snap';

export interface PassSession {
  readonly snapId: string | null;
  /** Index into the fields asked of the snap; their number: all are answered. */
  readonly at: number;
  /** A number being typed, or a word being looked for. */
  readonly typed: string;
  readonly searching: boolean;
  readonly problem: string | null;
  /** Keys pressed on this snap, and on the last. */
  readonly keys: number;
  readonly lastKeys: number | null;
  readonly undo: readonly { readonly snapId: string; readonly fields: SnapFields; readonly at: number }[];
}
export interface PassGame {
  readonly pass: ChartPass;
  readonly rows: readonly WalkedSnap[];
  readonly book: Book;
  readonly labels: Labels;
  readonly earlier: readonly EarlierSnap[];
}
export interface PassWrite {
  readonly snapId: string;
  readonly fields: SnapFields;
}
export type PassEvent =
  | { readonly type: 'key'; readonly key: string }
  | { readonly type: 'offer'; readonly index: number }
  | { readonly type: 'field'; readonly at: number }
  | { readonly type: 'snap'; readonly snapId: string };
export interface PassStep {
  readonly session: PassSession;
  readonly writes: readonly PassWrite[];
}

export const rowOf = ({ rows }: PassGame, session: PassSession): WalkedSnap | null =>
  rows.find((row) => row.snap.snapId === session.snapId) ?? null;

const firstBlank = (pass: ChartPass, snap: Snap): number => {
  const fields = asked(pass, snap);
  const at = fields.findIndex((field) => !isCharted(snap, field));
  return at < 0 ? fields.length : at;
};

function openSnap(game: PassGame, session: PassSession, row: WalkedSnap | null): PassSession {
  return {
    ...session,
    snapId: row?.snap.snapId ?? null,
    at: row ? firstBlank(game.pass, row.snap) : 0,
    typed: '',
    searching: false,
    problem: null,
    lastKeys: session.keys > 0 ? session.keys : session.lastKeys,
    keys: 0,
  };
}

/** Begins at the first snap that still lacks something; else at the first. */
export function beginPass(game: PassGame): PassSession {
  const over = rowsOf(game.pass, game.rows);
  const blank: PassSession = {
    snapId: null,
    at: 0,
    typed: '',
    searching: false,
    problem: null,
    keys: 0,
    lastKeys: null,
    undo: [],
  };
  return openSnap(game, blank, over.find(({ snap }) => !isDone(game.pass, snap)) ?? over[0] ?? null);
}

const isNumber = (field: SnapFact): boolean =>
  ['integer', 'decimal', 'numbers'].includes(SNAP_FIELDS[field].kind);

/** What the strip shows: the fields, the one that is asked, its likely values. */
export interface PassView {
  readonly row: WalkedSnap | null;
  readonly fields: readonly SnapFact[];
  readonly field: SnapFact | null;
  readonly offers: Offers | null;
  /** Offers under keys: nine, or those that begin as typed. */
  readonly shown: readonly Offer[];
  readonly number: boolean;
}
const MOST_SHOWN = 9;
export function viewPass(session: PassSession, game: PassGame): PassView {
  const row = rowOf(game, session);
  const fields = row ? asked(game.pass, row.snap) : [];
  const field = fields[session.at] ?? null;
  if (!row || field === null) return { row, fields, field, offers: null, shown: [], number: false };
  const number = isNumber(field);
  const offers = offersFor(row, field, game.rows, game.book, game.labels, game.earlier);
  const free = choicesOf(field, game.book) === null;
  const wanted = session.typed.toLowerCase();
  const list = session.searching
    ? offers.list.filter(
        (o) =>
          o.words
            .toLowerCase()
            .split(' ')
            .some((word) => word.startsWith(wanted)) || o.words.toLowerCase().startsWith(wanted),
      )
    : free && !number
      ? offers.list.filter((o) => o.k > 0)
      : number
        ? offers.list.filter((o) => o.k > 0).slice(0, 3)
        : offers.list;
  return { row, fields, field, offers, shown: list.slice(0, MOST_SHOWN), number };
}

/** A number no further digit can be added to within its limits. */
function isWhole(field: SnapFact, typed: string): boolean {
  const { kind, max } = SNAP_FIELDS[field];
  if (kind !== 'integer' || max === undefined || !/^\d+$/.test(typed)) return false;
  // A zero is whole at once: no figure begins with one.
  return typed === '0' || Number(typed) * 10 > max;
}

export function stepPass(before: PassSession, event: PassEvent, game: PassGame): PassStep {
  const session: PassSession =
    event.type === 'key' ? { ...before, keys: before.keys + 1, problem: null } : { ...before, problem: null };
  const view = viewPass(session, game);
  const { row, field, fields } = view;
  const stay = (more: Partial<PassSession> = {}): PassStep => ({
    session: { ...session, ...more },
    writes: [],
  });
  const over = rowsOf(game.pass, game.rows);
  const place = over.findIndex((r) => r.snap.snapId === session.snapId);
  if (event.type === 'snap') {
    const chosen = over.find((r) => r.snap.snapId === event.snapId);
    return chosen ? { session: openSnap(game, session, chosen), writes: [] } : stay();
  }
  if (event.type === 'field')
    return stay({ at: Math.max(0, Math.min(fields.length, event.at)), typed: '', searching: false });

  /** Writes a value; the next field that is asked afterwards follows. */
  const put = (more: SnapFields, set: SnapFact, sure?: Sureness): PassStep => {
    const snap = row!.snap;
    const fieldsToWrite: Record<string, unknown> = { ...more };
    if (sure !== undefined) Object.assign(fieldsToWrite, withSureness(snap, set, sure));
    const old = Object.fromEntries(Object.keys(fieldsToWrite).map((f) => [f, snap[f as SnapFact]]));
    const next = asked(game.pass, { ...snap, ...more } as Snap);
    const at = next.indexOf(set) + 1;
    return {
      session: {
        ...session,
        at: Math.max(at, 0),
        typed: '',
        searching: false,
        undo: [
          ...session.undo.slice(-199),
          { snapId: snap.snapId, fields: old as SnapFields, at: session.at },
        ],
      },
      writes: [{ snapId: snap.snapId, fields: fieldsToWrite as SnapFields }],
    };
  };
  const take = (offer: Offer | undefined): PassStep =>
    offer && row && field ? put({ [field]: offer.value } as SnapFields, field) : stay();
  /** What was typed, as the field reads it. */
  const commit = (typed: string): PassStep => {
    if (!row || field === null) return stay();
    const read = readFieldText(field, typed);
    return read.ok && read.value !== null
      ? put({ [field]: read.value } as SnapFields, field)
      : stay({ problem: read.ok ? null : `“${typed}” is not ${read.expected}` });
  };
  if (event.type === 'offer') return take(view.shown[event.index]);

  const { key } = event;
  const go = (to: WalkedSnap | undefined): PassStep =>
    to ? { session: openSnap(game, session, to), writes: [] } : stay();
  if (key === 'ArrowUp' || key === 'ArrowLeft') return go(over[place - 1]);
  if (key === 'ArrowDown' || key === 'ArrowRight') return go(over[place + 1]);
  if (key === 'Control+Z') {
    const last = session.undo[session.undo.length - 1];
    return last
      ? {
          session: {
            ...session,
            snapId: last.snapId,
            at: last.at,
            typed: '',
            searching: false,
            undo: session.undo.slice(0, -1),
          },
          writes: [{ snapId: last.snapId, fields: last.fields }],
        }
      : stay();
  }
  if (key === 'Escape') return stay({ typed: '', searching: false });
  if (key === 'Enter' || key === 'Tab') {
    if (session.searching) {
      const free = field !== null && choicesOf(field, game.book) === null;
      if (!free)
        return view.shown.length > 0
          ? take(view.shown[0])
          : stay({ problem: `no value begins with “${session.typed}”` });
      return session.typed === '' ? stay({ searching: false }) : commit(session.typed);
    }
    if (session.typed !== '') return commit(session.typed);
    if (key === 'Tab') return stay({ at: Math.min(fields.length, session.at + 1) });
    const after = [...over.slice(place + 1), ...over.slice(0, Math.max(0, place))].find(
      ({ snap }) => !isDone(game.pass, snap),
    );
    return go(after ?? over[place + 1]);
  }
  if (key === 'Shift+Tab') return stay({ at: Math.max(0, session.at - 1), typed: '', searching: false });
  if (key === 'Backspace')
    return session.typed !== ''
      ? stay({ typed: session.typed.slice(0, -1) })
      : stay({ at: Math.max(0, session.at - 1), searching: false });
  if (key.length !== 1 || !row) return stay();
  if (session.searching) return stay({ typed: session.typed + key });
  if (key === '?') {
    // Of the field just answered, or the one that is asked.
    const set =
      session.typed === '' && session.at > 0 && (field === null || !isCharted(row.snap, field))
        ? fields[session.at - 1]!
        : field;
    if (!set || !isCharted(row.snap, set)) return stay();
    const next = { sure: 'think_so', think_so: 'guess', guess: 'sure' } as const;
    const step = put({}, set, next[sureOf(row.snap, set)]);
    return { ...step, session: { ...step.session, at: session.at } };
  }
  if (key === '.') {
    if (view.number && session.typed !== '' && SNAP_FIELDS[field!].kind === 'decimal')
      return stay({ typed: `${session.typed}.` });
    const same = lastOfSeries(row, over);
    if (!same) return stay({ problem: 'nothing of this series stands before it' });
    const copied = Object.fromEntries(
      asked(game.pass, row.snap)
        .filter((f) => !isCharted(row.snap, f) && isCharted(same, f))
        .map((f) => [f, same[f]]),
    );
    const names = Object.keys(copied) as SnapFact[];
    if (names.length === 0) return stay({ problem: 'nothing is blank that the snap before says' });
    const step = put(copied as SnapFields, names[names.length - 1]!);
    return {
      ...step,
      session: { ...step.session, at: firstBlank(game.pass, { ...row.snap, ...copied } as Snap) },
    };
  }
  if (field === null) return stay();
  if (SNAP_FIELDS[field].tag && key === 'x') return put({ [field]: UNSEEN } as SnapFields, field);
  if (
    SNAP_FIELDS[field].tag &&
    key === '-' &&
    !(view.number && (SNAP_FIELDS[field].min ?? 0) < 0 && session.typed === '')
  )
    return put({ [field]: NONE } as SnapFields, field);
  if (view.number) {
    if (!/[\d;-]/.test(key)) return stay();
    const typed = session.typed + key;
    return isWhole(field, typed) ? commit(typed) : stay({ typed });
  }
  if (/[1-9]/.test(key) && view.shown[Number(key) - 1]) return take(view.shown[Number(key) - 1]);
  if (key === 'a' || choicesOf(field, game.book) === null)
    return stay({ searching: true, typed: key === 'a' ? '' : key });
  return stay();
}
