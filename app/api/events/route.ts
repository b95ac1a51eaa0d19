import { handle } from '@/app/lib/respond';
import { clock, currentToken } from '@/app/lib/session';
import { may } from '@/core/staff';
import { actorOf } from '@/store/sessions';
import { readNews } from '@/store/news';
import { epochOf } from '@/store/sync';

export const dynamic = 'force-dynamic';

const BEAT_MS = 15_000;

/** Server-sent events: which scopes of the program changed. It ends with the session, the role, or the database's epoch. */
export async function GET(request: Request): Promise<Response> {
  return handle(request, 'game.read', async (actor) => {
    const token = await currentToken();
    let epoch = await epochOf();
    const encoder = new TextEncoder();
    let stop = (): void => undefined;
    let beat: ReturnType<typeof setInterval> | undefined;
    const stream = new ReadableStream<Uint8Array>({
      start(controller) {
        const write = (text: string): void => {
          try {
            controller.enqueue(encoder.encode(text));
          } catch {
            close();
          }
        };
        const close = (): void => {
          stop();
          clearInterval(beat);
          try {
            controller.close();
          } catch {
            // Closed already by the reader.
          }
        };
        write('retry: 1000\n\n');
        stop = readNews({
          program: actor.programId,
          take: (news) => write(`data: ${JSON.stringify({ scope: news.scope, epoch })}\n\n`),
          // Notices may have been missed: the reader connects again and asks.
          live: (now) => {
            if (!now) close();
          },
        });
        beat = setInterval(
          () =>
            void (async () => {
              try {
                const now = await actorOf(token, clock());
                if (!now || !may(now.roles, 'game.read')) return close();
                const current = await epochOf();
                if (current !== epoch) {
                  epoch = current;
                  write(`data: ${JSON.stringify({ scope: '', epoch })}\n\n`);
                } else write(': here\n\n');
              } catch {
                close();
              }
            })(),
          BEAT_MS,
        );
        request.signal.addEventListener('abort', close);
      },
      cancel: () => {
        stop();
        clearInterval(beat);
      },
    });
    return new Response(stream, {
      headers: {
        'Content-Type': 'text/event-stream',
        'Cache-Control': 'no-store',
        'X-Accel-Buffering': 'no',
      },
    });
  });
}
