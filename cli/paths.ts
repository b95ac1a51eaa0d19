import { mkdirSync } from 'node:fs';
import path from 'node:path';
import { environment } from '../store/environment';

/** The checkout this program runs from. */
export const ROOT = path.resolve(import.meta.dirname, '..');
/** Everything made at run time; git ignores it. Tests choose a folder of their own. */
export const WORK = workOfEnvironment() ?? path.join(ROOT, '.vobrik');

/** A variable that cannot be read is said in a line, like every bad input. */
function workOfEnvironment(): string | undefined {
  try {
    return environment().VOBRIK_WORK;
  } catch (error) {
    process.stderr.write(`${(error as Error).message}\n`);
    process.exit(2);
  }
}

export function workFolder(...parts: string[]): string {
  const folder = path.join(WORK, ...parts);
  mkdirSync(folder, { recursive: true });
  return folder;
}

/** Says what went wrong and what to do, without a stack. */
export class Plain extends Error {}
