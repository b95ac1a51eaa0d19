/**
 * Notices of changed scopes over LISTEN/NOTIFY: one connection a process, shared by all readers. While it is
 * away readers are told, and poll.
 */
import 'server-only';
import { Client } from 'pg';
import { databaseUrl } from './environment';
import { keptInProcess } from './process';
import { CHANNEL, type News } from './sync/scope';

type Reader = {
  readonly program: string;
  readonly take: (news: News) => void;
  readonly live: (now: boolean) => void;
};

interface Hub {
  readonly readers: Set<Reader>;
  client: Client | null;
  timer: ReturnType<typeof setTimeout> | null;
}

const hub = (): Hub => keptInProcess('news', () => ({ readers: new Set(), client: null, timer: null }));
const AGAIN_MS = 1000;

async function connect(h: Hub): Promise<void> {
  if (h.client || h.readers.size === 0) return;
  const client = new Client({
    connectionString: databaseUrl(),
    connectionTimeoutMillis: 5000,
    keepAlive: true,
  });
  h.client = client;
  const lost = (): void => {
    if (h.client !== client) return;
    h.client = null;
    client.end().catch(() => undefined);
    for (const r of h.readers) r.live(false);
    if (h.readers.size > 0)
      h.timer ??= setTimeout(() => {
        h.timer = null;
        void connect(h);
      }, AGAIN_MS);
  };
  client.on('error', lost);
  client.on('end', lost);
  client.on('notification', (n) => {
    const news = JSON.parse(n.payload ?? '{}') as News;
    for (const r of h.readers) if (r.program === news.program) r.take(news);
  });
  try {
    await client.connect();
    await client.query(`listen ${CHANNEL}`);
    for (const r of h.readers) r.live(true);
  } catch {
    lost();
  }
}

/** Notices of one program; gives the way to stop. */
export function readNews(reader: Reader): () => void {
  const h = hub();
  h.readers.add(reader);
  void connect(h);
  return () => {
    h.readers.delete(reader);
    if (h.readers.size > 0 || !h.client) return;
    const { client } = h;
    h.client = null;
    client.end().catch(() => undefined);
  };
}

/** True while notices arrive in this process. */
export const newsLive = (): boolean => hub().client !== null;
