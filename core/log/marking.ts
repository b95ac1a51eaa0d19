/** Going to what was found, and marking snaps to change together. */
import { findSnaps } from './find';
import type { WalkedSnap } from '../rules/walk';
import type { LoggedGame } from './game';
import { opened, to, type Stepped } from './opening';
import type { Event, Session } from './types';
import type { LineView } from './view';

/** Opens the nth of the rows and remembers what was looked for. */
export function goTo(session: Session, rows: readonly WalkedSnap[], nth: number, game: LoggedGame): Stepped {
  const search = session.mode.kind === 'find' ? session.text.slice(1).trim() : session.search;
  const row = rows[nth % Math.max(1, rows.length)];
  if (!row) return to({ ...session, search, status: 'not-found' });
  return opened({ ...session, search }, { kind: 'edit', snapId: row.snap.snapId }, game);
}

type Marking = Extract<Event, { type: 'find-next' | 'mark-found' | 'mark' | 'mark-to' }>;
export function marked(session: Session, event: Marking, game: LoggedGame, view: LineView): Stepped {
  const { mode } = session;
  if (event.type === 'find-next') {
    const { rows } = findSnaps(session.search, game);
    const at = view.row ? view.row.number : 0;
    const next = rows.findIndex((r) => r.number > at);
    return goTo(session, rows, Math.max(0, next), game);
  }
  if (event.type === 'mark-found') {
    const rows = view.found?.rows ?? findSnaps(session.search, game).rows;
    if (rows.length === 0) return to({ ...session, status: 'not-found' });
    return opened(session, { kind: 'bulk', snapIds: rows.map((r) => r.snap.snapId) }, game);
  }
  const place = (snapId: string): number => game.rows.findIndex((r) => r.snap.snapId === snapId);
  const range = (from: number, until: number): Stepped => {
    const [low, high] = [Math.max(0, Math.min(from, until)), Math.max(from, until)];
    const snapIds = game.rows.slice(low, high + 1).map((r) => r.snap.snapId);
    // From the one it began with, which "copy" copies from.
    const ordered = until < from ? [...snapIds].reverse() : snapIds;
    if (ordered.length === 0) return to(session);
    const kept = mode.kind === 'bulk' ? session.text : '';
    const next = opened(session, { kind: 'bulk', snapIds: ordered }, game);
    return { ...next, session: { ...next.session, text: kept, caret: kept.length } };
  };
  const begun =
    mode.kind === 'bulk' ? place(mode.snapIds[0]!) : mode.kind === 'edit' ? place(mode.snapId) : -1;
  if (event.type === 'mark-to') {
    const end = place(event.snapId);
    return end < 0 ? to(session) : range(begun < 0 ? end : begun, end);
  }
  const last = mode.kind === 'bulk' ? place(mode.snapIds[mode.snapIds.length - 1]!) : begun;
  if (begun < 0) return range(game.rows.length - 1, game.rows.length - 1);
  const first = mode.kind === 'edit';
  return range(
    begun,
    Math.max(0, Math.min(game.rows.length - 1, first ? begun + event.by : last + event.by)),
  );
}
