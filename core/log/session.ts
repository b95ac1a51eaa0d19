/**
 * Charting as a reducer: what the analyst does and what comes back from the browser's disk go in, the next state
 * and what is to be done go out. Nothing here knows a screen, a clock or a store.
 */
import { changedFields } from '../line/edit';
import type { SnapFields } from '../snap/snap';
import { bulkPatches } from './bulk';
import { opponentOf, type LoggedGame } from './game';
import { goTo, marked } from './marking';
import type { Change, Event, Session } from './types';
import { viewLine, type LineView } from './view';
import { type Stepped, opened, refreshed, to } from './opening';
import { patched, refusedByDisk, stepBack, write, written } from './writing';

export const newSession = (): Session => ({
  begun: false,
  mode: { kind: 'next' },
  text: '',
  caret: 0,
  shown: '',
  draft: '',
  chosen: 0,
  search: '',
  start: null,
  asked: null,
  status: null,
  trouble: '',
  pending: null,
  waiting: [],
  done: [],
  undone: [],
  panel: null,
});

const WRITES = new Set<Event['type']>(['enter', 'remove', 'undo', 'redo', 'remedy']);
/** What opens another line: it keeps its turn behind what waits, or a snap pressed earlier would go into that line. */
const OPENS = new Set<Event['type']>([
  'walk',
  'edit',
  'insert-before',
  'fix',
  'leave',
  'find',
  'next-finding',
]);

/** Does an event wait for the disk to answer? Then with the line it was pressed on. */
function waits({ pending, waiting }: Session, { type }: Event): boolean {
  return (pending !== null && WRITES.has(type)) || (waiting.length > 0 && OPENS.has(type));
}

/** The first of those that waited. What was typed behind a line that waited to be entered stays behind it. */
function resumed(session: Session, game: LoggedGame): Stepped {
  const [first, ...waiting] = session.waiting;
  if (!first || session.pending) return to(session);
  const line = first.type === 'enter' ? first.line : undefined;
  const cut = line !== undefined && session.text.startsWith(line) ? line.length : session.text.length;
  const then = { ...session, waiting: [], text: session.text.slice(0, cut) };
  const behind = session.text.slice(cut);
  const { session: next, effects } = step(then, first, game, viewLine(then, game));
  const text = next.text + behind;
  const draft = next.mode.kind === 'next' ? text : next.draft;
  return { session: { ...next, text, draft, caret: text.length, waiting }, effects };
}

/** One event in the game as it stands; `view` is `viewLine` of the same session and game. */
export function step(session: Session, event: Event, game: LoggedGame, view: LineView): Stepped {
  if (waits(session, event)) {
    const kept = event.type === 'enter' ? { ...event, line: session.text } : event;
    return to({ ...session, waiting: [...session.waiting, kept] });
  }
  switch (event.type) {
    case 'begin': {
      if (session.begun) return to(session);
      if (event.open !== null)
        return opened(
          { ...session, begun: true, draft: event.draft },
          { kind: 'edit', snapId: event.open },
          game,
        );
      // A snap was opened already: its line is no draft.
      if (session.mode.kind !== 'next') return to({ ...session, begun: true, draft: event.draft });
      // Keys typed before the page was alive come after the draft; none is lost.
      const typed = session.text === '' ? event.early : session.text;
      const text = [event.draft, typed].filter(Boolean).join(event.draft.endsWith(' ') ? '' : ' ');
      return to({ ...session, begun: true, text, draft: text, caret: text.length });
    }
    case 'typed':
      if (event.text === '?') return to({ ...typed(session, '', 0), panel: 'help' });
      if (session.mode.kind === 'next' && session.text === '' && event.text === '/')
        return opened(session, { kind: 'find' }, game);
      if (session.mode.kind === 'find' && event.text === '') return opened(session, { kind: 'next' }, game);
      return to(typed(session, event.text, event.caret));
    case 'take': {
      const offer = view.offers[event.index];
      return offer ? replaced(session, offer.start, offer.end, offer.insert) : to(session);
    }
    case 'take-candidate': {
      const problem = view.problems[event.problem];
      const candidate = problem?.candidates[event.candidate];
      return problem && candidate
        ? replaced(session, problem.start, problem.end, candidate.text)
        : to(session);
    }
    case 'choose-next': {
      const ways = view.found?.rows.length || view.problems[0]?.candidates.length || view.offers.length || 1;
      return to({ ...session, chosen: (session.chosen + 1) % ways });
    }
    case 'enter':
      return entered(session, event.snapId, game, view);
    case 'walk': {
      const index = Math.max(0, Math.min(game.rows.length, view.at + event.by));
      const snap = game.rows[index]?.snap;
      return opened(session, snap ? { kind: 'edit', snapId: snap.snapId } : { kind: 'next' }, game);
    }
    case 'edit':
      return opened(session, { kind: 'edit', snapId: event.snapId }, game);
    case 'insert-before':
      return opened(session, { kind: 'insert', snapId: event.snapId }, game);
    case 'fix':
      return opened(session, { kind: 'fix', id: event.id }, game);
    case 'leave':
      if (session.mode.kind !== 'next') return opened(session, { kind: 'next' }, game);
      return to({ ...typed(session, '', 0), draft: '' });
    case 'find':
      return opened(session, { kind: 'find' }, game);
    case 'find-next':
    case 'mark-found':
    case 'mark':
    case 'mark-to':
      return marked(session, event, game, view);
    case 'remove': {
      if (session.mode.kind !== 'edit') return to(session);
      const { snapId } = session.mode;
      const next = opened(session, { kind: 'next' }, game);
      const change = { redo: [{ do: 'remove', snapId }], undo: [{ do: 'restore', snapId }] } as const;
      return write(next.session, { step: change, done: 'removed' }, next.effects);
    }
    case 'undo':
    case 'redo':
      return stepBack(session, event.type, game);
    case 'remedy': {
      const { insertBefore, patches, fields } = event.remedy;
      if (insertBefore !== null && fields && event.snapId !== undefined) {
        const at = game.rows.findIndex((r) => r.snap.snapId === insertBefore);
        const after = game.rows[at - 1]?.snap.snapId ?? null;
        const { snapId } = event;
        return write(session, {
          step: { redo: [{ do: 'put', snapId, fields, after }], undo: [{ do: 'remove', snapId }] },
          done: 'review-fixed',
        });
      }
      if (insertBefore !== null) return opened(session, { kind: 'insert', snapId: insertBefore }, game);
      return patched(session, patches, game, { done: 'review-fixed' });
    }
    case 'next-finding': {
      const i = view.todo.findIndex((f) => f.snapId === view.selected);
      const next = view.todo[(i + 1) % view.todo.length];
      return next ? opened(session, { kind: 'edit', snapId: next.snapId }, game) : to(session);
    }
    case 'start': {
      const next = { ...session, start: event.team, asked: null, status: null };
      return { session: next, effects: [{ kind: 'focus' }] };
    }
    case 'panel': {
      const closed = event.panel === null;
      return { session: { ...session, panel: event.panel }, effects: closed ? [{ kind: 'focus' }] : [] };
    }
    case 'game-changed':
      return refreshed(session, game);
    case 'written':
      return written(session);
    case 'not-written':
      return refusedByDisk(session, event.why);
    case 'resume':
      return resumed(session, game);
  }
}

export const typed = (session: Session, text: string, caret: number): Session => ({
  ...session,
  text,
  caret,
  chosen: 0,
  asked: null,
  draft: session.mode.kind === 'next' ? text : session.draft,
});

function replaced(session: Session, from: number, until: number, words: string): Stepped {
  const text = `${session.text.slice(0, from)}${words} ${session.text.slice(until).replace(/^ /, '')}`;
  const at = from + words.length + 1;
  return { session: typed(session, text, at), effects: [{ kind: 'focus' }, { kind: 'caret', at }] };
}

function entered(session: Session, snapId: string, game: LoggedGame, view: LineView): Stepped {
  const { mode, text } = session;
  const { parsed } = view;
  if (mode.kind === 'find') return goTo(session, view.found?.rows ?? [], session.chosen, game);
  if (text.trim() === '') return to({ ...session, status: 'empty' });
  if (mode.kind !== 'bulk' && parsed.problems.length > 0 && session.asked !== 'problems')
    return to({ ...session, asked: 'problems', status: 'confirm' });
  if (mode.kind === 'bulk') {
    const plan = view.bulk!;
    if (plan.problem !== null || plan.changes.length === 0) return to(session);
    return patched(session, bulkPatches(plan), game, { done: 'bulk', line: text });
  }
  const unread = parsed.problems
    .map((p) => p.text)
    .filter(Boolean)
    .join(' ');
  const note = unread ? { note: [parsed.fields.note, `unread: ${unread}`].filter(Boolean).join('; ') } : {};
  if (mode.kind === 'edit') {
    const fields = { ...changedFields(session.shown, text, view.context), ...note };
    return patched(session, [{ snapId: mode.snapId, fields }], game, {
      done: 'changed',
      line: text,
      asOpened: true,
    });
  }
  // Nothing before it says who has the ball: asked, not guessed. Later in a game a second Enter lets it stand open.
  const says = parsed.fields.offense ?? view.start;
  if (view.starts !== null && says === null && (view.starts === 'game' || session.asked !== 'start'))
    return to({ ...session, asked: 'start', status: 'who-starts' });
  const fields = { ...parsed.fields, ...note, ...startFields(view, game) };
  const clean = Object.fromEntries(Object.entries(fields).filter(([, v]) => v !== undefined)) as SnapFields;
  if (view.fixing) {
    const { snapId: row, after, id } = view.fixing;
    const redo: Change[] = [{ do: 'put', snapId: row, fields: clean, after: after ?? null }];
    return write(session, { step: { redo, undo: [] }, done: 'fixed', line: text, replaces: id });
  }
  const after = game.rows[view.at - 1]?.snap.snapId ?? null;
  return write(session, {
    step: { redo: [{ do: 'put', snapId, fields: clean, after }], undo: [{ do: 'remove', snapId }] },
    done: mode.kind === 'insert' ? 'inserted' : 'logged',
    line: text,
  });
}

/** Nothing is carried in: who puts the ball in play, and from where, is written with the snap. */
function startFields({ parsed, context, starts, start }: LineView, game: LoggedGame): SnapFields {
  if (starts === null || start === null || context.state?.offense !== start) return {};
  const { fields } = parsed;
  const { quarter, toGoal } = context.state;
  return {
    offense: fields.offense ?? start,
    defense: fields.defense ?? opponentOf(game, start),
    quarter: fields.quarter ?? quarter,
    toGoal: fields.toGoal ?? toGoal,
  };
}

/** A session with the view that belongs to it, for tests and scripts. */
export const stepWith = (session: Session, event: Event, game: LoggedGame): Stepped =>
  step(session, event, game, viewLine(session, game));
