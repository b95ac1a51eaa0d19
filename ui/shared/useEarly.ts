'use client';
import { useEffect, useLayoutEffect, useRef, type RefObject } from 'react';

type Control = HTMLInputElement | HTMLTextAreaElement | HTMLSelectElement;

/**
 * What somebody chose or typed before the page was alive is heard when it is: the server's markup can be used at once,
 * but nobody listens to it yet, and the box would show one thing while the page knows another.
 */
export function useEarly<T extends Control>(value: string | number | undefined): RefObject<T | null> {
  const ref = useRef<T>(null);
  const first = useRef(value);
  const early = useRef<string | null>(null);
  // All boxes are read before the first is heard: what one says draws the others anew, as the page knows them.
  useLayoutEffect(() => {
    const { current: control } = ref;
    if (!control || first.current === undefined || control.value === String(first.current)) return;
    // A list without an option for the value shows its first, which nobody chose.
    const listed = (c: HTMLSelectElement): boolean =>
      [...c.options].some((o) => o.value === String(first.current));
    if (!(control instanceof HTMLSelectElement) || listed(control)) early.current = control.value;
  }, []);
  useEffect(() => {
    const { current: control } = ref;
    const { current: said } = early;
    early.current = null;
    if (!control || said === null) return;
    // Not in the commit: each is drawn before the next is said.
    queueMicrotask(() => {
      // React hears a value that differs from the last it saw: it sees the old one through the element's own setter.
      control.value = String(first.current);
      const proto = Object.getPrototypeOf(control) as Control;
      Object.getOwnPropertyDescriptor(proto, 'value')?.set?.call(control, said);
      const heard = control instanceof HTMLSelectElement ? 'change' : 'input';
      control.dispatchEvent(new Event(heard, { bubbles: true }));
    });
  }, []);
  return ref;
}
