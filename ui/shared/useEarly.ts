'use client';
import { useEffect, useRef, type RefObject } from 'react';

type Control = HTMLInputElement | HTMLTextAreaElement | HTMLSelectElement;

/**
 * What somebody chose or typed before the page was alive is heard when it is: the server's markup can be used at once,
 * but nobody listens to it yet, and the box would show one thing while the page knows another.
 */
export function useEarly<T extends Control>(value: string | number | undefined): RefObject<T | null> {
  const ref = useRef<T>(null);
  const first = useRef(value);
  useEffect(() => {
    const { current: control } = ref;
    if (!control || first.current === undefined || control.value === String(first.current)) return;
    const said = control.value;
    // A list without an option for the value shows its first, which nobody chose.
    if (
      control instanceof HTMLSelectElement &&
      ![...control.options].some((o) => o.value === String(first.current))
    )
      return;
    // React hears a value that differs from the last it saw: it sees the old one through the element's own setter.
    control.value = String(first.current);
    const proto = Object.getPrototypeOf(control) as Control;
    Object.getOwnPropertyDescriptor(proto, 'value')?.set?.call(control, said);
    control.dispatchEvent(
      new Event(control instanceof HTMLSelectElement ? 'change' : 'input', { bubbles: true }),
    );
  }, []);
  return ref;
}
