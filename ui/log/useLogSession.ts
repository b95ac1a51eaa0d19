'use client';
/** The session of core on this page: events go in; what it asks for is done by the outbox, the field and the storage. */
import { useCallback, useEffect, useMemo, useRef, useState, type RefObject } from 'react';
import {
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

function operationOf(o: Outbox, scope: Scope, c: Change, readAt: View | undefined): Operation {
  if (c.do === 'put') return o.put('snap', c.snapId, c.fields, c.after);
  if (c.do === 'patch') return o.patch(scope, 'snap', c.snapId, c.fields, readAt);
  return c.do === 'remove' ? o.remove('snap', c.snapId) : o.restore('snap', c.snapId);
}

const reason = (e: unknown): string =>
  (e as Error).name === 'QuotaExceededError' ? 'its storage is full' : (e as Error).message;

export function useLogSession({ game, scope, state, draftKey, open, input }: Setup): LogSession {
  const { opened: outboxOpened } = useSync();
  const [session, setSession] = useState(() => newSession());
  const now = useRef({ session, game, state });
  now.current.game = game;
  now.current.state = state;
  const openedOn = useRef<View | undefined>(undefined);
  const view = useMemo(() => viewLine(session, game), [session, game]);

  const write = useCallback(
    async (w: Pending): Promise<void> => {
      const { push, refused } = now.current.state;
      const make = (o: Outbox): Operation[] =>
        w.changes.map((c) => operationOf(o, scope, c, w.asOpened ? openedOn.current : undefined));
      if (w.replaces === null) {
        await push(make);
        return;
      }
      const outbox = await outboxOpened();
      const entry = refused.find((q) => q.op.id === w.replaces);
      if (entry) await outbox.replace(entry, make(outbox));
    },
    [scope, outboxOpened],
  );

  const send = useCallback(
    (event: Event): void => {
      const { session: before, game: on } = now.current;
      const { session: after, effects } = step(before, event, on, viewLine(before, on));
      now.current.session = after;
      setSession(after);
      for (const e of effects) {
        if (e.kind === 'opened') openedOn.current = now.current.state.view();
        else if (e.kind === 'focus') input.current?.focus();
        else if (e.kind === 'caret')
          requestAnimationFrame(() => input.current?.setSelectionRange(e.at, e.at));
        else
          void write(e.write).then(
            () => send({ type: 'written' }),
            (error: unknown) => send({ type: 'not-written', why: reason(error) }),
          );
      }
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
  useEffect(() => keepDraft(draftKey, session.draft), [draftKey, session.draft]);

  return { session, view, send };
}
