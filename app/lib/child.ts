import 'server-only';
import { spawn } from 'node:child_process';
import path from 'node:path';
import { LIMITS } from '@/core/table';
import { serverLog } from '@/store/log';

export interface Ended {
  /** Null: it was killed. */
  readonly code: number | null;
  /** It asked for more memory than it may use. */
  readonly memory: boolean;
  /** The last lines it said of errors. */
  readonly said: string;
}

export interface Child {
  stop(): void;
  readonly ended: Promise<Ended>;
}

/** Heavy work in a process of its own, bounded in memory and time: one JSON request in, JSON lines out. Ends with the signal. */
export function startChild(
  program: 'import' | 'export',
  request: object,
  signal: AbortSignal,
  hear: (bytes: Buffer) => void,
): Child {
  const child = spawn(
    process.execPath,
    [
      `--max-old-space-size=${LIMITS.readerMegabytes}`,
      '--import',
      'tsx',
      path.join(process.cwd(), `store/${program}-child.ts`),
    ],
    { cwd: process.cwd(), env: { ...process.env, NODE_OPTIONS: '' }, stdio: ['pipe', 'pipe', 'pipe'] },
  );
  let said = '';
  const stop = (): void => void child.kill('SIGKILL');
  const timer = setTimeout(stop, LIMITS.seconds * 1000);
  signal.addEventListener('abort', stop, { once: true });
  child.stdout.on('data', hear);
  child.stderr.on('data', (buffer: Buffer) => {
    said = (said + buffer.toString()).slice(-4000);
  });
  child.stdin.on('error', () => undefined);
  child.stdin.end(JSON.stringify(request));
  const ended = new Promise<Ended>((resolve) => {
    child.on('error', () => undefined);
    child.on('close', (code, killed) => {
      clearTimeout(timer);
      signal.removeEventListener('abort', stop);
      if (code !== 0 && !signal.aborted)
        serverLog().error(
          { program, code, killed, said: said.split('\n').slice(-6) },
          'a child process failed',
        );
      resolve({
        code,
        memory: code === 134 || killed === 'SIGABRT' || /heap out of memory/i.test(said),
        said,
      });
    });
  });
  return { stop, ended };
}
