/** The browser, as the outbox sees it. */
import type { World } from './outbox';

/** A stream that was refused is asked for again after this long. */
const AGAIN_MS = 4000;

export const browserWorld: World = {
  fetch: (url, init) => fetch(url, init),
  lead: (name, signal, work) => navigator.locks.request(name, { signal }, work),
  channel: (name) => {
    const channel = new BroadcastChannel(name);
    return {
      post: (m) => channel.postMessage(m),
      listen: (take) => channel.addEventListener('message', (e) => take(e.data)),
      close: () => channel.close(),
    };
  },
  news: (take, live) => {
    let stream: EventSource | null = null;
    let again: ReturnType<typeof setTimeout> | undefined;
    const open = (): void => {
      const mine = new EventSource('/api/events');
      stream = mine;
      mine.addEventListener('open', () => live(true));
      mine.addEventListener('message', (event) =>
        take(JSON.parse(event.data as string) as { scope: string; epoch: string }),
      );
      mine.addEventListener('error', () => {
        live(false);
        // The browser tries again by itself after a break, but not after an answer that was no stream.
        if (mine.readyState !== EventSource.CLOSED) return;
        clearTimeout(again);
        again = setTimeout(open, AGAIN_MS);
      });
    };
    open();
    return () => {
      clearTimeout(again);
      stream?.close();
    };
  },
  wait: (ms, signal) =>
    new Promise((resolve) => {
      const timer = setTimeout(resolve, ms);
      signal.addEventListener(
        'abort',
        () => {
          clearTimeout(timer);
          resolve();
        },
        { once: true },
      );
    }),
  random: () => Math.random(),
  id: () => crypto.randomUUID(),
  wallClock: () => new Date().toLocaleTimeString('en-US', { hour12: false }),
};
