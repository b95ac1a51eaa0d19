/** What the machine gave a bench. */
import { readFileSync } from 'node:fs';

/** Ticks of all processors, and those that the host gave to somebody else: what a figure of a shared machine rests on. */
export function ticks(): { readonly all: number; readonly stolen: number } {
  const fields = readFileSync('/proc/stat', 'utf8')
    .split('\n')[0]!
    .trim()
    .split(/\s+/)
    .slice(1, 9)
    .map(Number);
  return { all: fields.reduce((a, b) => a + b, 0), stolen: fields[7] ?? 0 };
}
