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

async function connect(hub: Hub): Promise<void> {
  if (hub.client || hub.readers.size === 0) return;
  const client = new Client({
    connectionString: databaseUrl(),
    connectionTimeoutMillis: 5000,
    keepAlive: true,
  });
  hub.client = client;
  const lost = (): void => {
    if (hub.client !== client) return;
    hub.client = null;
    client.end().catch(() => undefined);
    for (const r of hub.readers) r.live(false);
    if (hub.readers.size > 0)
      hub.timer ??= setTimeout(() => {
        hub.timer = null;
        void connect(hub);
      }, AGAIN_MS);
  };
  client.on('error', lost);
  client.on('end', lost);
  client.on('notification', (n) => {
    const news = JSON.parse(n.payload ?? '{}') as News;
    for (const r of hub.readers) if (r.program === news.program) r.take(news);
  });
  try {
    await client.connect();
    await client.query(`listen ${CHANNEL}`);
    for (const r of hub.readers) r.live(true);
  } catch {
    lost();
  }
}

/** Notices of one program; gives the way to stop. */
export function readNews(reader: Reader): () => void {
  const open = hub();
  open.readers.add(reader);
  void connect(open);
  return () => {
    open.readers.delete(reader);
    if (open.readers.size > 0 || !open.client) return;
    const { client } = open;
    open.client = null;
    client.end().catch(() => undefined);
  };
}

/** True while notices arrive in this process. */
export const newsLive = (): boolean => hub().client !== null;
