/** An export in a process of its own: members are answered while a large program is written. One JSON request on standard input; the file where it says, or why not as a JSON line. */
import 'server-only';
import { readFileSync, writeFileSync } from 'node:fs';
import { z } from 'zod';
import { ROLES } from '../core/staff';
import { pack } from '../core/table';
import { NotFound, outage, Refused } from './errors';
import { closeOrm } from './orm';
import { exportFiles, exportWorkbook } from './packages';

const request = z.object({
  actor: z.object({
    memberId: z.string(),
    programId: z.string(),
    name: z.string(),
    roles: z.array(z.enum(ROLES)),
  }),
  as: z.enum(['zip', 'xlsx']),
  now: z.iso.datetime(),
  to: z.string(),
});

const say = (line: object): void => void process.stdout.write(`${JSON.stringify(line)}\n`);

try {
  const { actor, as, now, to } = request.parse(JSON.parse(readFileSync(0, 'utf8')));
  const at = new Date(now);
  writeFileSync(to, as === 'xlsx' ? await exportWorkbook(actor, at) : pack(await exportFiles(actor, at)), {
    mode: 0o600,
  });
} catch (error) {
  const away = outage(error);
  if (error instanceof Refused || error instanceof NotFound) say({ error: error.message });
  else if (away !== null) say({ error: `${away}; nothing was exported`, busy: true });
  else throw error;
} finally {
  await closeOrm();
}
