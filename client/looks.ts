/** The worker that measures looks: one a page, begun when it is first asked. */
import type { FilmToMeasure, MeasuredLooks } from '@/core/read';

/** A worker that says nothing for so long does not come. */
const LONGEST_MS = 20_000;

interface Waiting {
  readonly done: (looks: MeasuredLooks | null) => void;
}
let worker: Worker | null = null;
let asked = 0;
const waiting = new Map<number, Waiting>();

function begin(): Worker {
  const made = new Worker(new URL('../workers/looks.ts', import.meta.url), { type: 'module' });
  made.onmessage = ({ data }: MessageEvent<{ id: number; looks: MeasuredLooks }>) =>
    waiting.get(data.id)?.done(data.looks);
  // Its script did not come, or it broke: whoever waits measures for himself.
  made.onerror = () => {
    made.terminate();
    if (worker === made) worker = null;
    for (const { done } of waiting.values()) done(null);
  };
  return made;
}

/** The looks of a film; null where no worker can be had. */
export function looksOfFilm(film: FilmToMeasure): Promise<MeasuredLooks | null> {
  if (typeof Worker === 'undefined') return Promise.resolve(null);
  const id = ++asked;
  return new Promise((resolve) => {
    const timer = setTimeout(() => done(null), LONGEST_MS);
    function done(looks: MeasuredLooks | null): void {
      clearTimeout(timer);
      waiting.delete(id);
      resolve(looks);
    }
    waiting.set(id, { done });
    try {
      worker ??= begin();
      worker.postMessage({ id, film });
    } catch {
      done(null);
    }
  });
}
