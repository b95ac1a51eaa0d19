/** The browser, as the outbox sees it. */
import type { World } from './outbox';

export const browserWorld: World = {
  fetch: (url, init) => fetch(url, init),
  lead: (name, signal, work) => navigator.locks.request(name, { signal }, work),
  channel: (name) => {
    const channel = new BroadcastChannel(name);
    return { post: (m) => channel.postMessage(m), listen: (take) => channel.addEventListener('message', (e) => take(e.data)), close: () => channel.close() };
  },
  news: (take, live) => {
    const stream = new EventSource('/api/events');
    stream.addEventListener('open', () => live(true));
    stream.addEventListener('error', () => live(false));
    stream.addEventListener('message', (e) => {
      const news = JSON.parse(e.data as string) as { scope: string; epoch: string };
      take(news);
    });
    return () => stream.close();
  },
  wait: (ms, signal) => new Promise((resolve) => {
    const timer = setTimeout(resolve, ms);
    signal.addEventListener('abort', () => {
      clearTimeout(timer);
      resolve();
    }, { once: true });
  }),
  random: () => Math.random(),
  id: () => crypto.randomUUID(),
  wallClock: () => new Date().toLocaleTimeString('en-US', { hour12: false }),
};
