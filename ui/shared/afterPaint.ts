'use client';
import { startTransition, useEffect, useState } from 'react';

/** A hidden page draws no frames. */
const HIDDEN_MS = 200;

/** After a frame's paint its pixels are made, beside the page: this long they have the machine for themselves. */
const RASTER_MS = 24;

/** Does something once the frame that is drawn next stands on the screen; what is given back calls it off. */
export function afterPaint(work: () => void): () => void {
  let timer = setTimeout(work, HIDDEN_MS);
  const frame = requestAnimationFrame(() => {
    clearTimeout(timer);
    timer = setTimeout(work, RASTER_MS);
  });
  return () => {
    cancelAnimationFrame(frame);
    clearTimeout(timer);
  };
}

/** A value as it was, until what is drawn of its new state stands: nothing is computed of it between click and frame. */
export function useAfterPaint<T>(value: T): T {
  const [settled, settle] = useState(value);
  useEffect(() => {
    if (settled !== value) return afterPaint(() => startTransition(() => settle(() => value)));
    return undefined;
  }, [settled, value]);
  return settled;
}
