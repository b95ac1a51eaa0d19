'use client';
/** What was just done, said in a corner for a moment; and what takes longer than a second, as long as it does. */
import { createContext, useCallback, useContext, useEffect, useRef, useState, type ReactNode } from 'react';

const SHOWN_MS = 8000;
const LONG_MS = 1000;

interface Toast {
  readonly id: number;
  readonly words: string;
  readonly working: boolean;
}
interface Toasts {
  /** Says it for a moment. */
  readonly say: (words: string) => void;
  /** Says that something goes on; what it returns takes the words away. */
  readonly begin: (words: string) => () => void;
}
const Context = createContext<Toasts>({ say: () => undefined, begin: () => () => undefined });

export function ToastsProvider({ children }: { readonly children: ReactNode }) {
  const [toasts, setToasts] = useState<readonly Toast[]>([]);
  const next = useRef(0);
  const take = useCallback((id: number) => setToasts((list) => list.filter((t) => t.id !== id)), []);
  const put = useCallback((words: string, working: boolean): number => {
    const id = ++next.current;
    setToasts((list) => [
      ...list.filter((t) => t.working || t.words !== words).slice(-2),
      { id, words, working },
    ]);
    return id;
  }, []);
  const [api] = useState<Toasts>(() => ({
    say: (words) => void put(words, false),
    begin: (words) => {
      const id = put(words, true);
      return () => take(id);
    },
  }));
  return (
    <Context.Provider value={api}>
      {children}
      <div className="toasts noprint" role="status" aria-label="Done">
        {toasts.map((toast) => (
          <ToastCard key={toast.id} toast={toast} onClose={() => take(toast.id)} />
        ))}
      </div>
    </Context.Provider>
  );
}

/** Goes by itself, but not while it is pointed at or has the focus. */
function ToastCard({ toast, onClose }: { readonly toast: Toast; readonly onClose: () => void }) {
  const [held, setHeld] = useState(false);
  const close = useRef(onClose);
  close.current = onClose;
  useEffect(() => {
    if (held || toast.working) return;
    const timer = setTimeout(() => close.current(), SHOWN_MS);
    return () => clearTimeout(timer);
  }, [held, toast.working]);
  return (
    <div
      className="card toast"
      onPointerEnter={() => setHeld(true)}
      onPointerLeave={() => setHeld(false)}
      onFocus={() => setHeld(true)}
      onBlur={() => setHeld(false)}
    >
      <span>{toast.words}</span>
      {toast.working ? (
        <progress aria-label={toast.words} />
      ) : (
        <button type="button" className="plain" onClick={onClose} aria-label="Close">
          ×
        </button>
      )}
    </div>
  );
}

export const useToast = (): Toasts['say'] => useContext(Context).say;

/** Says `words` with a bar while `busy` lasts, once it lasted a second. */
export function useWorking(busy: boolean, words: string): void {
  const { begin } = useContext(Context);
  useEffect(() => {
    if (!busy) return;
    let end: (() => void) | null = null;
    const timer = setTimeout(() => (end = begin(words)), LONG_MS);
    return () => {
      clearTimeout(timer);
      end?.();
    };
  }, [busy, words, begin]);
}
