/** Looks a second, as the browser runs them: the core bundled without the names that the script runner adds to every closure. */
import { buildSync } from 'esbuild';
import { execFileSync } from 'node:child_process';
import path from 'node:path';
import { ROOT, workFolder } from '../cli/paths';
import type { Row } from './run';

interface Measured {
  readonly full: number[];
  readonly offense: number[];
  readonly structure: number[];
  readonly different: number;
  readonly looks: number;
}

/** Bundles `looks-loop.ts` and runs it in a process of its own; gives microseconds a look. */
export function lookRows(): Row[] {
  const out = path.join(workFolder('bench'), 'looks-loop.mjs');
  buildSync({
    entryPoints: [path.join(ROOT, 'bench/looks-loop.ts')],
    bundle: true,
    platform: 'node',
    format: 'esm',
    outfile: out,
    logLevel: 'error',
  });
  const measured = JSON.parse(execFileSync(process.execPath, [out], { encoding: 'utf8' })) as Measured;
  const row = (what: string, times: readonly number[], note: string): Row => ({
    what,
    n: times.length,
    unit: 'µs',
    times,
    note,
  });
  const sum = [...measured.full].sort((x, y) => x - y)[Math.floor(measured.full.length / 2)]!;
  return [
    row(
      'a full look: structure, front, coverage, rush, hats or protection',
      measured.full,
      `${measured.different} different looks of ${measured.looks} snaps; ${Math.round(1e6 / sum).toLocaleString('en')} a second`,
    ),
    row(
      'the offense alone',
      measured.offense,
      'line-up, structure, motion, structure at the snap; each line-up and motion is measured once',
    ),
    row('structure of eleven men', measured.structure, ''),
  ];
}
