/** Who is running: processes known by number and start time, and locks between launchers. */
import { closeSync, openSync, readFileSync, rmSync, writeSync } from 'node:fs';
import path from 'node:path';
import { Plain, workFolder } from './paths';

/** A process as itself: a number is used again, a number with its start time is not. Null: there is no such process. */
export function identityOf(pid: number): string | null {
  try {
    const stat = readFileSync(`/proc/${pid}/stat`, 'utf8');
    // After the name in brackets; field 22 of all is the start time, state Z is a process that has ended.
    const fields = stat.slice(stat.lastIndexOf(')') + 2).split(' ');
    return fields[0] === 'Z' ? null : `${pid}@${fields[19]}`;
  } catch {
    return null;
  }
}

/** True for a process that runs and is the one that was noted. */
export const runs = (identity: string): boolean => identityOf(parseInt(identity, 10)) === identity;

export const self = (): string => identityOf(process.pid) ?? `${process.pid}@0`;

const sleep = (ms: number): void => void Atomics.wait(new Int32Array(new SharedArrayBuffer(4)), 0, 0, ms);

/**
 * Holds a lock between processes while the work is done; one left by a process that is gone is taken over.
 * Held within one process again by the same name: goes through.
 */
const held = new Set<string>();
export function locked<T>(name: string, work: () => T, seconds = 240): T {
  if (held.has(name)) return work();
  const file = path.join(workFolder('locks'), name);
  const until = Date.now() + seconds * 1000;
  for (;;) {
    try {
      const handle = openSync(file, 'wx', 0o600);
      writeSync(handle, self());
      closeSync(handle);
      break;
    } catch (error) {
      if ((error as { code?: string }).code !== 'EEXIST') throw error;
    }
    let owner = '';
    try {
      owner = readFileSync(file, 'utf8');
    } catch {
      // Just let go.
    }
    // Empty: being written this moment, or left by a power cut; asked twice.
    if (owner === '') sleep(200);
    const again = ((): string => {
      try {
        return readFileSync(file, 'utf8');
      } catch {
        return 'gone';
      }
    })();
    if (again === owner && (owner === '' || !runs(owner))) rmSync(file, { force: true });
    else if (Date.now() > until)
      throw new Plain(`another start is busy (process ${parseInt(owner, 10)}); wait for it, or stop it`);
    else sleep(100);
  }
  held.add(name);
  try {
    return work();
  } finally {
    held.delete(name);
    rmSync(file, { force: true });
  }
}
