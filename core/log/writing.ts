/** What is written, what comes back from the disk, and the way back by Undo. */
import { sameValue } from '../snap/fields';
import type { Snap, SnapField, SnapFields } from '../snap/snap';
import type { Remedy } from '../rules/finding';
import type { LoggedGame } from './game';
import type { Change, Effect, Pending, Session, Status, Step } from './types';
import { type Stepped, opened, to } from './opening';

interface Writing {
  readonly step: Step;
  readonly done: Status;
  readonly line?: string;
  readonly asOpened?: boolean;
  readonly replaces?: string;
}

export function write(session: Session, writing: Writing, effects: readonly Effect[] = []): Stepped {
  const pending: Pending = {
    changes: writing.step.redo,
    replaces: writing.replaces ?? null,
    asOpened: writing.asOpened ?? false,
    line: writing.line ?? null,
    mode: session.mode,
    shown: session.shown,
    step: writing.replaces === undefined ? writing.step : null,
    moved: null,
    done: writing.done,
  };
  const left = pending.line === null ? to(session) : cleared(session);
  return {
    session: { ...left.session, pending, asked: null, trouble: '' },
    effects: [...effects, ...left.effects, { kind: 'write', write: pending }],
  };
}

/** Fields that differ from what stands, as one step; nothing to write where none does. */
export function patched(
  session: Session,
  patches: Remedy['patches'],
  game: LoggedGame,
  how: Omit<Writing, 'step'>,
): Stepped {
  const redo: Change[] = [];
  const undo: Change[] = [];
  for (const { snapId, fields } of patches) {
    const now = game.rows.find((r) => r.snap.snapId === snapId)?.snap;
    const changed = (Object.keys(fields) as SnapField[]).filter(
      (f) => now && !sameValue(now[f] ?? null, fields[f] ?? null),
    );
    if (!now || changed.length === 0) continue;
    const pick = (from: SnapFields | Snap): SnapFields =>
      Object.fromEntries(changed.map((f) => [f, from[f] ?? null]));
    redo.push({ do: 'patch', snapId, fields: pick(fields) });
    undo.push({ do: 'patch', snapId, fields: pick(now) });
  }
  if (redo.length > 0) return write(session, { ...how, step: { redo, undo } });
  return how.line === undefined ? to(session) : cleared(session);
}

/** The next line, with what was begun of it; it does not wait for the disk. */
function cleared(session: Session): Stepped {
  const draft = session.mode.kind === 'next' ? '' : session.draft;
  const next: Session = { ...session, mode: { kind: 'next' }, asked: null, chosen: 0, draft, shown: '' };
  return { session: { ...next, text: draft, caret: draft.length }, effects: [{ kind: 'focus' }] };
}

/** The disk refused: the line stands again as it was entered, with what was typed since behind it. */
export function refusedByDisk(session: Session, why: string): Stepped {
  const { pending, mode } = session;
  const told: Session = { ...session, pending: null, waiting: [], trouble: why };
  if (!pending || pending.line === null) return to(told);
  const since = mode.kind === 'next' ? session.text : session.draft;
  if (pending.mode.kind !== 'next') {
    const { line: text, mode, shown } = pending;
    return to({ ...told, mode, shown, text, caret: text.length, draft: since });
  }
  const draft = linesOf(session);
  return to(mode.kind === 'next' ? { ...told, text: draft, caret: draft.length, draft } : { ...told, draft });
}

/** What of the next line is not on the disk: the one on its way there and what was typed since. */
export function linesOf({ pending, mode, text, draft }: Session): string {
  const entered = pending?.mode.kind === 'next' ? pending.line : null;
  const since = mode.kind === 'next' ? text : draft;
  return [entered, since].filter((l) => l !== null && l.trim() !== '').join(' ');
}

export function written(session: Session): Stepped {
  const { pending } = session;
  if (!pending) return to(session);
  const made = pending.changes.some((c) => c.do === 'put') && pending.moved === null;
  const done = pending.step ? pending.step : null;
  const history =
    pending.moved === 'undo'
      ? { done: session.done.slice(0, -1), undone: [...session.undone, session.done.at(-1)!] }
      : pending.moved === 'redo'
        ? { done: [...session.done, session.undone.at(-1)!], undone: session.undone.slice(0, -1) }
        : done
          ? { done: [...session.done, done], undone: [] }
          : {};
  const next: Session = {
    ...session,
    ...history,
    pending: null,
    trouble: '',
    status: pending.done,
    start: made ? null : session.start,
  };
  return to(next);
}

export function stepBack(session: Session, which: 'undo' | 'redo', game: LoggedGame): Stepped {
  const entry = which === 'undo' ? session.done.at(-1) : session.undone.at(-1);
  if (!entry) return to({ ...session, status: `nothing-to-${which}` });
  // A snap that was put and removed is there still: it is restored, not put twice.
  const forward = entry.redo.map((change) =>
    change.do === 'put' ? ({ do: 'restore', snapId: change.snapId } as const) : change,
  );
  const pending: Pending = {
    changes: which === 'undo' ? entry.undo : forward,
    replaces: null,
    asOpened: false,
    line: null,
    mode: session.mode,
    shown: session.shown,
    step: null,
    moved: which,
    done: which === 'undo' ? 'undone' : 'redone',
  };
  // Left at once, not when it is written: what is opened meanwhile stays open.
  const next = opened(session, { kind: 'next' }, game);
  return {
    session: { ...next.session, pending, trouble: '' },
    effects: [...next.effects, { kind: 'write', write: pending }],
  };
}
