import 'server-only';
import { createWriteStream } from 'node:fs';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { ReadableStream as NodeStream } from 'node:stream/web';
import busboy from 'busboy';
import { LIMITS } from '@/core/table';
import { Busy, Invalid } from '@/store/errors';
import { keptInProcess } from '@/store/process';
import type { Actor, BookChoice } from '@/core/exchange/types';
import { startChild } from './child';

export interface Upload {
  readonly folder: string;
  readonly files: readonly { readonly name: string; readonly path: string }[];
  remove(): Promise<void>;
}

const tooLarge = (): Invalid =>
  new Invalid(`the upload is larger than ${LIMITS.uploadBytes / 1024 / 1024} MB; split it`);

/** A form's files to disk as they arrive, each byte counted; nothing of it is held in memory. */
export async function receive(request: Request): Promise<Upload> {
  const length = Number(request.headers.get('content-length') ?? 0);
  if (length > LIMITS.uploadBytes + 100_000) throw tooLarge();
  if (!request.body || !/^multipart\/form-data;/i.test(request.headers.get('content-type') ?? ''))
    throw new Invalid('choose at least one file: a package (.zip), tables (.csv) or book.json');
  const folder = await mkdtemp(path.join(tmpdir(), 'vobrik-upload-'));
  const remove = (): Promise<void> => rm(folder, { recursive: true, force: true });
  const files: { name: string; path: string }[] = [];
  const writes: Promise<void>[] = [];
  let total = 0;
  try {
    const form = busboy({
      headers: { 'content-type': request.headers.get('content-type')! },
      limits: { files: LIMITS.files, fields: 4, fileSize: LIMITS.uploadBytes + 1 },
      defParamCharset: 'utf8',
    });
    form.on('file', (_field, stream, info) => {
      const to = path.join(folder, String(files.length));
      files.push({ name: path.basename(info.filename || 'file').slice(0, 200), path: to });
      stream.on('data', (buffer: Buffer) => {
        total += buffer.length;
        if (total > LIMITS.uploadBytes) form.destroy(tooLarge());
      });
      stream.on('limit', () => form.destroy(tooLarge()));
      writes.push(pipeline(stream, createWriteStream(to, { mode: 0o600 })));
    });
    form.on('filesLimit', () =>
      form.destroy(new Invalid(`more than ${LIMITS.files} files; import them in parts`)),
    );
    await pipeline(Readable.fromWeb(request.body as unknown as NodeStream), form);
    await Promise.all(writes);
  } catch (error) {
    await Promise.allSettled(writes);
    await remove();
    if (error instanceof Invalid) throw error;
    if ((error as { code?: string }).code === 'ENOSPC')
      throw new Invalid('the disk of the server is full; nothing was imported');
    throw new Invalid('the upload broke off; nothing was imported');
  }
  if (files.length === 0) {
    await remove();
    throw new Invalid('choose at least one file: a package (.zip), tables (.csv) or book.json');
  }
  return { folder, files, remove };
}

/** Processes at work now, in all bundles of the server together. */
const turns = (): { running: number } => keptInProcess('imports', () => ({ running: 0 }));
const MOST_AT_ONCE = 2;

/** Imports in a child process; gives its steps and the outcome as JSON lines. Ends with the request: canceled, nothing is imported. */
export function importInChild(
  actor: Actor,
  upload: Upload,
  now: Date,
  book: BookChoice,
  signal: AbortSignal,
): ReadableStream<Uint8Array> {
  if (turns().running >= MOST_AT_ONCE) {
    void upload.remove();
    throw new Busy('two imports are running already; try again in a moment');
  }
  turns().running++;
  const encoder = new TextEncoder();
  let answered = false;
  let open = true;
  let stop = (): void => undefined;
  return new ReadableStream({
    start(controller) {
      const write = (bytes: Uint8Array): void => {
        if (open) controller.enqueue(bytes);
      };
      const child = startChild(
        'import',
        { actor, files: upload.files, now: now.toISOString(), book },
        signal,
        (bytes) => {
          if (bytes.includes('"outcome"') || bytes.includes('"error"')) answered = true;
          write(new Uint8Array(bytes));
        },
      );
      stop = child.stop;
      void child.ended.then(({ code, memory }) => {
        turns().running--;
        void upload.remove();
        if (!answered && !signal.aborted)
          write(
            encoder.encode(
              `${JSON.stringify({ error: memory ? 'the files need more memory than an import may use; split them. Nothing was imported' : code === null ? `the import took longer than ${LIMITS.seconds / 60} minutes; split the files. Nothing was imported` : 'the import ended by itself; nothing was imported' })}\n`,
            ),
          );
        if (open) controller.close();
        open = false;
      });
    },
    cancel() {
      open = false;
      stop();
    },
  });
}
