'use client';
/**
 * What was typed and is not yet acknowledged. Kept in the browser's storage at once, sent in order,
 * one request at a time, tried again while the server or the database is away. Nothing leaves the
 * outbox before the database has it.
 */
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { byOrder } from '@/core/snap/order';
import { blankSnap, sameValue } from '@/core/snap/fields';
import type { Snap, SnapFields } from '@/core/snap/snap';
import type { FieldConflict, SaveResult, SnapOp, StoredSnap } from '@/core/exchange/types';

export type SaveState = { readonly kind: 'saved'; readonly at: string | null } | { readonly kind: 'saving' | 'away'; readonly waiting: number; readonly why: string };
export interface OpenConflict extends FieldConflict { readonly snapId: string }
export interface RefusedOp { readonly op: SnapOp; readonly why: string }

interface Local {
  readonly base: ReadonlyMap<string, StoredSnap>;
  readonly revision: number;
  readonly pending: readonly SnapOp[];
}

/** Server rows with the pending operations on top: what the screen shows. */
export function overlay(base: ReadonlyMap<string, StoredSnap>, pending: readonly SnapOp[], gameKey: string): Snap[] {
  const snaps = new Map([...base].filter(([, s]) => !s.deleted).map(([id, s]) => [id, s.snap]));
  for (const op of pending) {
    if (op.op === 'put') snaps.set(op.snapId, { ...blankSnap(op.snapId, gameKey, op.order), ...op.fields });
    else if (op.op === 'patch') {
      const snap = snaps.get(op.snapId);
      if (snap) snaps.set(op.snapId, { ...snap, ...Object.fromEntries(Object.entries(op.fields).map(([f, p]) => [f, p.value])) });
    } else if (op.op === 'delete') snaps.delete(op.snapId);
    else {
      const gone = base.get(op.snapId);
      if (gone) snaps.set(op.snapId, gone.snap);
    }
  }
  return [...snaps.values()].sort(byOrder);
}

/** The version a new patch of a field reads at: acknowledged, plus our own patches on the way. */
export function versionNow(base: ReadonlyMap<string, StoredSnap>, pending: readonly SnapOp[], snapId: string, field: string): number {
  const acknowledged = base.get(snapId)?.versions[field as keyof StoredSnap['versions']] ?? 1;
  return acknowledged + pending.filter((op) => op.op === 'patch' && op.snapId === snapId && field in op.fields).length;
}

const RETRY_MS = 1500;
const POLL_MS = 5000;

export function useOutbox(gameKey: string, owner: string, initial: { readonly revision: number; readonly snaps: readonly StoredSnap[] }) {
  const [local, setLocal] = useState<Local>(() => ({ base: new Map(initial.snaps.map((s) => [s.snap.snapId, s])), revision: initial.revision, pending: [] }));
  const [state, setState] = useState<SaveState>({ kind: 'saved', at: null });
  const [conflicts, setConflicts] = useState<readonly OpenConflict[]>([]);
  const [refused, setRefused] = useState<readonly RefusedOp[]>([]);
  const live = useRef(local);
  const busy = useRef(false);
  const storeKey = useRef('');

  const write = useCallback((next: Local) => {
    live.current = next;
    if (storeKey.current) {
      if (next.pending.length === 0) localStorage.removeItem(storeKey.current);
      else localStorage.setItem(storeKey.current, JSON.stringify(next.pending));
    }
    setLocal(next);
  }, []);

  const flush = useCallback(async () => {
    if (busy.current) return;
    busy.current = true;
    try {
      while (live.current.pending.length > 0) {
        const ops = live.current.pending.slice(0, 50);
        setState({ kind: 'saving', waiting: live.current.pending.length, why: '' });
        let response: Response;
        try {
          response = await fetch(`/api/games/${encodeURIComponent(gameKey)}/snaps`, { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify({ ops }) });
        } catch {
          setState({ kind: 'away', waiting: live.current.pending.length, why: 'The server does not answer.' });
          return;
        }
        const answer = (await response.json().catch(() => ({}))) as Partial<SaveResult> & { error?: string };
        if (response.status === 401 || response.status >= 500) {
          setState({ kind: 'away', waiting: live.current.pending.length, why: answer.error ?? 'The server does not answer.' });
          return;
        }
        if (!response.ok || !answer.results) {
          // A refusal: the first operation steps aside with its reason, the rest goes on.
          const [bad, ...rest] = live.current.pending;
          setRefused((r) => [...r, { op: bad!, why: answer.error ?? 'refused' }]);
          write({ ...live.current, pending: rest });
          continue;
        }
        acknowledge(ops, answer as SaveResult);
      }
      setState({ kind: 'saved', at: new Date().toLocaleTimeString('en-US', { hour12: false }) });
    } finally {
      busy.current = false;
    }

    function acknowledge(ops: readonly SnapOp[], result: SaveResult): void {
      const base = new Map(live.current.base);
      const open: OpenConflict[] = [];
      ops.forEach((op, i) => {
        const answer = result.results[i]!;
        if (op.op === 'put') base.set(op.snapId, { snap: { ...blankSnap(op.snapId, gameKey, op.order), ...op.fields }, versions: answer.versions, deleted: false, revision: result.revision });
        const stored = base.get(op.snapId);
        if (!stored) return;
        if (op.op === 'delete' || op.op === 'restore') base.set(op.snapId, { ...stored, deleted: op.op === 'delete', revision: result.revision });
        if (op.op === 'patch') {
          const lost = new Map(answer.conflicts.map((c) => [c.field, c.theirs]));
          const values = Object.fromEntries(Object.entries(op.fields).map(([f, p]) => [f, lost.has(f) ? lost.get(f) : p.value]));
          base.set(op.snapId, { ...stored, snap: { ...stored.snap, ...values }, versions: answer.versions, revision: result.revision });
          open.push(...answer.conflicts.map((c) => ({ ...c, snapId: op.snapId })));
        }
      });
      if (open.length > 0) setConflicts((c) => [...c, ...open]);
      // The revision is not ours alone to move: another's change may lie between. The poll brings it.
      write({ ...live.current, base, pending: live.current.pending.slice(ops.length) });
    }
  }, [gameKey, write]);

  const poll = useCallback(async () => {
    if (busy.current || live.current.pending.length > 0 || document.hidden) return;
    try {
      const response = await fetch(`/api/games/${encodeURIComponent(gameKey)}/snaps?since=${live.current.revision}`);
      if (!response.ok) return;
      const news = (await response.json()) as { revision: number; snaps: StoredSnap[] };
      if (live.current.pending.length > 0 || news.revision === live.current.revision) return;
      const base = new Map(live.current.base);
      for (const s of news.snaps) base.set(s.snap.snapId, s);
      write({ ...live.current, base, revision: news.revision });
    } catch {
      // The next poll asks again.
    }
  }, [gameKey, write]);

  // One place a tab; what a closed or crashed tab left behind is adopted.
  useEffect(() => {
    const prefix = `vobrik.outbox.${owner}.${gameKey}.`;
    const tab = sessionStorage.getItem('vobrik.tab') ?? crypto.randomUUID();
    sessionStorage.setItem('vobrik.tab', tab);
    storeKey.current = prefix + tab;
    let release: (() => void) | undefined;
    void navigator.locks.request(`vobrik.tab.${tab}`, () => new Promise<void>((resolve) => (release = resolve)));
    const adopt = async () => {
      const found: SnapOp[] = JSON.parse(localStorage.getItem(storeKey.current) ?? '[]') as SnapOp[];
      for (const key of Object.keys(localStorage).filter((k) => k.startsWith(prefix) && k !== storeKey.current)) {
        await navigator.locks.request(`vobrik.tab.${key.slice(prefix.length)}`, { ifAvailable: true }, (lock) => {
          if (!lock) return;
          found.push(...(JSON.parse(localStorage.getItem(key) ?? '[]') as SnapOp[]));
          localStorage.removeItem(key);
        });
      }
      if (found.length > 0) write({ ...live.current, pending: [...found, ...live.current.pending] });
      void flush();
    };
    void adopt();
    const retry = setInterval(() => live.current.pending.length > 0 && void flush(), RETRY_MS);
    const ask = setInterval(() => void poll(), POLL_MS);
    return () => {
      clearInterval(retry);
      clearInterval(ask);
      release?.();
    };
  }, [gameKey, owner, flush, poll, write]);

  const push = useCallback((ops: readonly SnapOp[]) => {
    write({ ...live.current, pending: [...live.current.pending, ...ops] });
    void flush();
  }, [flush, write]);

  const snaps = useMemo(() => overlay(local.base, local.pending, gameKey), [local, gameKey]);

  /** Patch operations for the fields that really change; with the versions they are read at. */
  const patchOp = useCallback((snapId: string, fields: SnapFields): SnapOp | null => {
    const now = overlay(live.current.base, live.current.pending, gameKey).find((s) => s.snapId === snapId);
    if (!now) return null;
    const changed = Object.entries(fields).filter(([f, v]) => !sameValue(now[f as keyof Snap] ?? null, v ?? null));
    if (changed.length === 0) return null;
    return { op: 'patch', snapId, fields: Object.fromEntries(changed.map(([f, v]) => [f, { value: v ?? null, version: versionNow(live.current.base, live.current.pending, snapId, f) }])) };
  }, [gameKey]);

  const settle = useCallback((c: OpenConflict, mine: boolean) => {
    setConflicts((list) => list.filter((x) => x !== c));
    if (mine) push([{ op: 'patch', snapId: c.snapId, fields: { [c.field]: { value: c.yours, version: c.version } } }]);
  }, [push]);

  return { snaps, state, conflicts, refused, push, patchOp, settle, dropRefused: () => setRefused([]) };
}
