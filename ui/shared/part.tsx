'use client';
/** Parts of a screen that come when they are first shown, so that the line and the first board do not wait for them. */
import { startTransition, useEffect, useState, type ComponentType, type ReactNode } from 'react';

/** What is loaded after the first view; asked for again when the network is back. `ask` is the same function at each call. */
export function useComing<T extends object>(
  ask: () => Promise<T>,
  already: T | null = null,
): { readonly value: T | null; readonly missing: boolean } {
  const [value, setValue] = useState<T | null>(() => already);
  const [missing, setMissing] = useState(false);
  useEffect(() => {
    if (value) return;
    let gone = false;
    const bring = (): void =>
      void ask().then(
        (came) => gone || startTransition(() => setValue(() => came)),
        () => gone || setMissing(true),
      );
    bring();
    window.addEventListener('online', bring);
    return () => {
      gone = true;
      window.removeEventListener('online', bring);
    };
  }, [ask, value]);
  return { value, missing };
}

/**
 * A component that is loaded when it is first shown, in the browser only. `waiting` stands in its place until then,
 * the same always or by what is given to it.
 * Where it cannot be loaded (no network, and nothing kept of it yet) that is said in its place and the screen around
 * it stands, with what is typed in it; it comes when the network is back.
 */
export function part<P extends object>(
  load: () => Promise<{ readonly default: ComponentType<P> }>,
  waiting: ReactNode | ((props: P) => ReactNode) = null,
): ComponentType<P> {
  let loaded: ComponentType<P> | null = null;
  const ask = async (): Promise<ComponentType<P>> => (loaded ??= (await load()).default);
  return function Part(props: P) {
    // Asked for while the rest is still drawn.
    useState(() => {
      if (!loaded && typeof window !== 'undefined') void ask().catch(() => undefined);
    });
    const { value: Shown, missing } = useComing(ask, loaded);
    if (Shown) return <Shown {...props} />;
    if (!missing) return typeof waiting === 'function' ? waiting(props) : waiting;
    return (
      <p className="small quiet" role="status">
        A part of this page could not be loaded. It comes when the network is back.
      </p>
    );
  };
}
