/**
 * An import in a process of its own, with a limit of memory: a file that is too much ends this process and
 * not the application, and members are answered meanwhile. One JSON request on standard input; steps and the
 * outcome as JSON lines on standard output. Killed in the middle, the database takes nothing.
 */
import 'server-only';
import { readFileSync } from 'node:fs';
import { z } from 'zod';
import { LIMITS, unpack, type NamedFile } from '../core/table';
import { ROLES } from '../core/staff';
import { Invalid, NotFound, outage, Refused } from './errors';
import { importFiles } from './imports';
import { serverLog } from './log';
import { closeOrm } from './orm';
import { isWorkbook, readWorkbook } from './xlsx';

const request = z.object({
  actor: z.object({
    memberId: z.string(),
    programId: z.string(),
    name: z.string(),
    roles: z.array(z.enum(ROLES)),
  }),
  files: z.array(z.object({ name: z.string(), path: z.string() })).max(LIMITS.files),
  now: z.iso.datetime(),
  book: z.enum(['ask', 'replace', 'leave']),
});

const say = (line: object): void => void process.stdout.write(`${JSON.stringify(line)}\n`);

async function run(): Promise<void> {
  const { actor, files, now, book } = request.parse(JSON.parse(readFileSync(0, 'utf8')));
  const named: NamedFile[] = [];
  let left: number = LIMITS.unpackedBytes;
  for (const file of files) {
    say({ step: 'reading', what: file.name });
    const bytes = new Uint8Array(readFileSync(file.path));
    const unpacked = isWorkbook(bytes)
      ? await readWorkbook(file.name, bytes, left)
      : unpack(file.name, bytes, left);
    if (!unpacked.ok) return say({ error: unpacked.remedy });
    for (const f of unpacked.files) left -= f.text.length;
    named.push(...unpacked.files);
  }
  say({ outcome: await importFiles(actor, named, new Date(now), { book, progress: say }) });
}

try {
  await run();
} catch (error) {
  const away = outage(error);
  if (error instanceof Invalid || error instanceof NotFound || error instanceof Refused)
    say({ error: error.message });
  else if (away !== null) say({ error: `${away}; nothing was imported`, down: true });
  else {
    serverLog().error({ err: error }, 'the files could not be read');
    say({ error: 'the files could not be imported; nothing was' });
  }
} finally {
  await closeOrm();
}
