/** Opening a line: a new one, a snap to edit, a place to insert, a refused snap to fix. */
import { editLine } from '../line/edit';
import { formatLine } from '../line/format';
import type { LoggedGame } from './game';
import type { Effect, Mode, Session } from './types';
import { editState } from './view';

export interface Stepped {
  readonly session: Session;
  readonly effects: readonly Effect[];
}

export const to = (session: Session): Stepped => ({ session, effects: [] });

/** The line a mode opens with. */
function lineOf(mode: Mode, draft: string, game: LoggedGame): string | null {
  const words = { book: game.book, profile: game.profile, previous: null };
  if (mode.kind === 'next') return draft;
  if (mode.kind === 'insert' || mode.kind === 'bulk') return '';
  if (mode.kind === 'find') return '/';
  if (mode.kind === 'fix') {
    const refused = game.refused.find((r) => r.id === mode.id);
    return refused ? formatLine(refused.fields, { ...words, state: null }) : null;
  }
  const row = game.rows.find((r) => r.snap.snapId === mode.snapId);
  return row ? editLine(row, { ...words, state: editState(row) }) : null;
}

export function opened(session: Session, mode: Mode, game: LoggedGame): Stepped {
  const line = lineOf(mode, session.draft, game);
  if (line === null) return opened({ ...session, status: 'gone' }, { kind: 'next' }, game);
  const shown = mode.kind === 'edit' ? line : '';
  const next: Session = { ...session, mode, text: line, shown, caret: line.length, chosen: 0, asked: null };
  return {
    session: next,
    effects: [...(mode.kind === 'edit' ? [{ kind: 'opened' } as const] : []), { kind: 'focus' }],
  };
}

/** A line nobody has touched follows its snap: an undo on its way, another member's change. */
export function refreshed(session: Session, game: LoggedGame): Stepped {
  if (session.mode.kind !== 'edit' || session.text !== session.shown || session.pending) return to(session);
  const line = lineOf(session.mode, session.draft, game);
  if (line === session.shown) return to(session);
  return line === null
    ? opened({ ...session, status: 'gone' }, { kind: 'next' }, game)
    : opened(session, session.mode, game);
}
