import 'server-only';
import { createReadStream } from 'node:fs';
import { mkdtemp, rm, stat } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { Readable } from 'node:stream';
import { Busy, Invalid } from '@/store/errors';
import { keptInProcess } from '@/store/process';
import type { Actor } from '@/core/exchange/types';
import { startChild } from './child';

/** Processes at work now, in all bundles of the server together. */
const turns = (): { running: number } => keptInProcess('exports', () => ({ running: 0 }));
const MOST_AT_ONCE = 2;

/** The program as a file, written by a process of its own and sent from the disk. */
export async function exportInChild(
  actor: Actor,
  as: 'zip' | 'xlsx',
  now: Date,
  signal: AbortSignal,
): Promise<{ readonly body: ReadableStream; readonly bytes: number }> {
  if (turns().running >= MOST_AT_ONCE)
    throw new Busy('two exports are running already; try again in a moment');
  turns().running++;
  const folder = await mkdtemp(path.join(tmpdir(), 'vobrik-export-'));
  const file = path.join(folder, 'program');
  const remove = (): void => void rm(folder, { recursive: true, force: true });
  try {
    let said = '';
    const { code, memory } = await startChild(
      'export',
      { actor, as, now: now.toISOString(), to: file },
      signal,
      (buffer) => {
        said += buffer.toString();
      },
    ).ended;
    if (said !== '') {
      const { error, busy } = JSON.parse(said) as { error: string; busy?: boolean };
      throw busy ? new Busy(error) : new Invalid(error);
    }
    if (memory)
      throw new Invalid('the program is too large for a file of this kind; export it by ./vobrik export');
    if (code !== 0) throw new Error('the export ended by itself');
    const body = createReadStream(file);
    body.once('close', remove);
    return { body: Readable.toWeb(body) as ReadableStream, bytes: (await stat(file)).size };
  } catch (error) {
    remove();
    throw error;
  } finally {
    turns().running--;
  }
}
