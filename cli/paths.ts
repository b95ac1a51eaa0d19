import { mkdirSync } from 'node:fs';
import path from 'node:path';

/** The checkout this program runs from. */
export const ROOT = path.resolve(import.meta.dirname, '..');
/** Everything made at run time; git ignores it. Tests choose a folder of their own. */
export const WORK = process.env.VOBRIK_WORK ?? path.join(ROOT, '.vobrik');

export function workFolder(...parts: string[]): string {
  const folder = path.join(WORK, ...parts);
  mkdirSync(folder, { recursive: true });
  return folder;
}

/** Says what went wrong and what to do, without a stack. */
export class Plain extends Error {}
