'use client';
/** One outbox a tab, for every page of the application; nothing on screen before it is open waits for it. */
import {
  createContext,
  useContext,
  useEffect,
  useMemo,
  useRef,
  useState,
  useSyncExternalStore,
  type ReactNode,
} from 'react';
import {
  EMPTY_BASE,
  pullInto,
  type Operation,
  type Pulled,
  type Queued,
  type Scope,
  type SyncRow,
} from '@/core/sync';
import { Opening } from './opening';
import { TabMemory } from './tab';
import { Outbox, type SaveState, type View } from './outbox';
import { erasePages } from './offline';
import { browserWorld } from './world';

interface Sync {
  readonly owner: string;
  readonly epoch: string;
  readonly outbox: Outbox | null;
  /** The browser refuses to keep anything: said on every page. */
  readonly broken: string | null;
  /** What the tab keeps from screen to screen. */
  readonly tab: TabMemory;
  /** Waits for the outbox: keys may be typed before it is open. */
  readonly opened: () => Promise<Outbox>;
}

const SyncContext = createContext<Sync | null>(null);

export function useSync(): Sync {
  const sync = useContext(SyncContext);
  if (!sync) throw new Error('outside the frame');
  return sync;
}

const RESTORED = 'vobrik.restored';

export function SyncProvider({
  owner,
  epoch,
  football,
  children,
}: {
  owner: string;
  epoch: string;
  football: boolean;
  children: ReactNode;
}) {
  const [outbox, setOutbox] = useState<Outbox | null>(null);
  const [broken, setBroken] = useState<string | null>(null);
  const [opening] = useState(() => new Opening<Outbox>());
  // Another member, another memory.
  const tab = useMemo(() => ({ owner, memory: new TabMemory() }), [owner]).memory;
  useEffect(() => {
    let open: Outbox | null = null;
    let gone = false;
    Outbox.open(owner, epoch, browserWorld).then(
      (outbox) => {
        if (gone) return outbox.close();
        open = outbox;
        outbox.onEpoch = (now) => {
          // Once an epoch: a page from a cache must not reload forever.
          if (sessionStorage.getItem(RESTORED) === now) return;
          sessionStorage.setItem(RESTORED, now);
          window.location.reload();
        };
        outbox.onErased = () => window.location.assign('/sign-in');
        // A role that went takes the rows it could read along; what was typed stays until it is answered.
        if (!football) {
          void outbox.forgetRows();
          void erasePages(owner);
        }
        setOutbox(outbox);
        opening.open(outbox);
      },
      (error: unknown) => {
        if (gone) return;
        setBroken((error as Error).message);
        opening.fail(error as Error);
      },
    );
    const back = () => open?.retry();
    window.addEventListener('online', back);
    return () => {
      gone = true;
      window.removeEventListener('online', back);
      open?.close();
      opening.close();
      setOutbox(null);
    };
  }, [owner, epoch, football, opening]);
  const value = useMemo(
    (): Sync => ({
      owner,
      epoch,
      outbox,
      broken,
      tab,
      opened: opening.opened,
    }),
    [owner, epoch, outbox, broken, opening, tab],
  );
  return <SyncContext.Provider value={value}>{children}</SyncContext.Provider>;
}

/** The epoch whose restore this tab was loaded again for; null when somebody has read that already. */
export function restoredEpoch(): string | null {
  try {
    const epoch = sessionStorage.getItem(RESTORED);
    return epoch === sessionStorage.getItem(`${RESTORED}.read`) ? null : epoch;
  } catch {
    return null;
  }
}
export function restoredRead(): void {
  sessionStorage.setItem(`${RESTORED}.read`, sessionStorage.getItem(RESTORED) ?? '');
}

const nothing = (): (() => void) => () => undefined;

/** Counts for the frame and the games list. */
export interface QueueState {
  readonly state: SaveState;
  readonly queue: readonly Queued[];
}
const IDLE: SaveState = { kind: 'saved', why: '', at: null };
const EMPTY: readonly Queued[] = [];

export function useQueue(): QueueState {
  const { outbox } = useSync();
  const queue = useSyncExternalStore(
    outbox ? (f) => outbox.subscribe(f) : nothing,
    () => outbox?.queue ?? EMPTY,
    () => EMPTY,
  );
  const state = useSyncExternalStore(
    outbox ? (f) => outbox.subscribe(f) : nothing,
    () => outbox?.state ?? IDLE,
    () => IDLE,
  );
  return { queue, state };
}

/** How many changes the database may not have yet, of one scope or of all. */
export function useWaiting(scope?: Scope): number {
  const { outbox } = useSync();
  return useSyncExternalStore(
    outbox ? (f) => outbox.subscribe(f) : nothing,
    () => outbox?.waiting(scope) ?? 0,
    () => 0,
  );
}

export interface ScopeState {
  readonly rows: readonly SyncRow[];
  readonly conflicts: readonly Queued[];
  readonly refused: readonly Queued[];
  /** What is known now: an edit that takes a while is written over what it was opened on. */
  readonly view: () => View;
  /** Resolves when it is on this browser's disk. */
  readonly push: (make: (outbox: Outbox) => readonly Operation[]) => Promise<readonly Operation[]>;
}

/** Nothing that a row could show differs: the disk has what it was writing. */
const sameOperations = (a: readonly Queued[], b: readonly Queued[]): boolean =>
  a === b || (a.length === b.length && a.every((q, i) => q.op === b[i]!.op && q.state === b[i]!.state));

/**
 * The rows of a scope as the screen shows them, and the way to change them. What is changed is there at once, and goes
 * again if the disk refuses it: the next change is made to what the last one left. `kept` shows what is on the disk,
 * for a screen that waits for it by itself.
 */
export function useScope(scope: Scope, brought: Pulled, kept = false): ScopeState {
  const { outbox, opened } = useSync();
  const first = useRef<readonly SyncRow[] | null>(null);
  first.current ??= [...brought.rows].filter((r) => !r.deleted).sort((a, b) => a.order - b.order);
  const shown = useRef<{ base: unknown; queue: readonly Queued[]; rows: readonly SyncRow[] } | null>(null);
  const { queue } = useQueue();
  const broughtNow = useRef(brought);
  broughtNow.current = brought;
  useEffect(() => {
    if (!outbox) return;
    const leave = outbox.watch(scope, broughtNow.current.revision < 0 ? null : broughtNow.current);
    const poll = setInterval(() => {
      if (!outbox.live && !document.hidden) void outbox.pull(scope);
    }, 5000);
    const seen = () => {
      if (!document.hidden) void outbox.pull(scope);
    };
    document.addEventListener('visibilitychange', seen);
    return () => {
      clearInterval(poll);
      document.removeEventListener('visibilitychange', seen);
      leave();
    };
  }, [outbox, scope]);
  const rows = useSyncExternalStore(
    outbox ? (f) => outbox.subscribe(f) : nothing,
    () => {
      if (!outbox) return first.current!;
      const base = outbox.base(scope);
      if (base.revision < 0) return first.current!;
      // Recomputed when the server's rows or the queue moved, not at each look.
      const now = kept ? outbox.queue : outbox.soon;
      const before = shown.current;
      const same = before?.base === base && sameOperations(before.queue, now);
      shown.current = { base, queue: now, rows: same ? before.rows : outbox.rows(scope, now) };
      return shown.current.rows;
    },
    () => first.current!,
  );
  return useMemo(
    () => ({
      rows,
      conflicts: queue.filter((q) => q.scope === scope && q.state === 'conflict'),
      refused: queue.filter((q) => q.scope === scope && q.state === 'refused'),
      view: () => {
        const seen = outbox?.view(scope);
        return seen && seen.base.revision >= 0
          ? seen
          : { base: pullInto(EMPTY_BASE, broughtNow.current), queue: outbox?.soon ?? [] };
      },
      push: async (make) => {
        // Open, it takes the operations within the key that makes them: they are on their way before the screen is drawn.
        const to = outbox ?? (await opened());
        const ops = make(to);
        if (ops.length > 0) await to.push(scope, ops);
        return ops;
      },
    }),
    [rows, queue, scope, opened, outbox],
  );
}
