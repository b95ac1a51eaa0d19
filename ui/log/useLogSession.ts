'use client';
/** The session of core on this page: events go in; what it asks for is done by the outbox, the field and the storage. */
import { useCallback, useEffect, useLayoutEffect, useMemo, useRef, useState, type RefObject } from 'react';
import {
  linesOf,
  newSession,
  step,
  viewLine,
  type Change,
  type Event,
  type LineView,
  type LoggedGame,
  type Pending,
  type Session,
} from '@/core/log';
import type { Operation, Scope } from '@/core/sync';
import { draftOf, keepDraft } from '@/client/offline';
import type { Outbox, View } from '@/client/outbox';
import { useSync, type ScopeState } from '@/client/SyncProvider';

interface Setup {
  readonly game: LoggedGame;
  readonly scope: Scope;
  readonly state: Pick<ScopeState, 'push' | 'view' | 'refused'>;
  readonly draftKey: string;
  readonly open: string | null;
  readonly input: RefObject<HTMLInputElement | null>;
}

export interface LogSession {
  readonly session: Session;
  readonly view: LineView;
  readonly send: (event: Event) => void;
}

function operationOf(outbox: Outbox, scope: Scope, change: Change, readAt: View | undefined): Operation {
  if (change.do === 'put') return outbox.put('snap', change.snapId, change.fields, change.after);
  if (change.do === 'patch') return outbox.patch(scope, 'snap', change.snapId, change.fields, readAt);
  return change.do === 'remove'
    ? outbox.remove('snap', change.snapId)
    : outbox.restore('snap', change.snapId);
}

const reason = (error: unknown): string =>
  (error as Error).name === 'QuotaExceededError' ? 'its storage is full' : (error as Error).message;

export function useLogSession({ game, scope, state, draftKey, open, input }: Setup): LogSession {
  const { opened: outboxOpened } = useSync();
  const [session, setSession] = useState(() => newSession());
  const now = useRef({ session, game, state });
  now.current.game = game;
  now.current.state = state;
  // Set with the text it belongs to: a frame later the next key would be typed before it.
  const caret = useRef<number | null>(null);
  useLayoutEffect(() => {
    if (caret.current === null) return;
    input.current?.setSelectionRange(caret.current, caret.current);
    caret.current = null;
  });
  const openedOn = useRef<View | undefined>(undefined);
  const view = useMemo(() => viewLine(session, game), [session, game]);
  // A key is answered in what is shown; it is not worked out twice.
  const shown = useRef({ session, game, view });
  useLayoutEffect(() => {
    shown.current = { session, game, view };
  });

  const write = useCallback(
    async (pending: Pending): Promise<void> => {
      const { push, refused } = now.current.state;
      // As it was opened, whatever is opened before the browser's disk is.
      const readAt = pending.asOpened ? openedOn.current : undefined;
      const make = (outbox: Outbox): Operation[] =>
        pending.changes.map((c) => operationOf(outbox, scope, c, readAt));
      if (pending.replaces === null) {
        await push(make);
        return;
      }
      const outbox = await outboxOpened();
      const entry = refused.find((q) => q.op.id === pending.replaces);
      if (entry) await outbox.replace(entry, make(outbox));
    },
    [scope, outboxOpened],
  );

  const send = useCallback(
    (given: Event): void => {
      const event = given.type === 'remedy' ? { ...given, snapId: crypto.randomUUID() } : given;
      const { session: before, game: on } = now.current;
      const { current: seen } = shown;
      const as = seen.session === before && seen.game === on ? seen.view : viewLine(before, on);
      const { session: after, effects } = step(before, event, on, as);
      now.current.session = after;
      // What goes to the disk is on its way before the cleared line is drawn.
      for (const effect of effects) {
        if (effect.kind === 'opened') openedOn.current = now.current.state.view();
        else if (effect.kind === 'focus') input.current?.focus();
        else if (effect.kind === 'caret') caret.current = effect.at;
        else
          void write(effect.write).then(
            () => send({ type: 'written' }),
            (error: unknown) => send({ type: 'not-written', why: reason(error) }),
          );
      }
      // The latest: an effect may have brought another event.
      setSession(now.current.session);
    },
    [input, write],
  );

  useEffect(() => {
    send({ type: 'begin', draft: draftOf(draftKey), early: input.current?.value ?? '', open });
    input.current?.focus();
  }, [send, draftKey, open, input]);
  useEffect(() => send({ type: 'game-changed' }), [send, game]);
  // What was pressed meanwhile is done in the game as it is now.
  useEffect(() => {
    if (session.pending === null && session.waiting.length > 0) send({ type: 'resume' });
  }, [send, session.pending, session.waiting]);
  const unsaved = linesOf(session);
  useEffect(() => keepDraft(draftKey, unsaved), [draftKey, unsaved]);

  return { session, view, send };
}
