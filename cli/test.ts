/** Every check of the project, with its own set-up, closed by one plain line over all runners. */
import { existsSync, readFileSync, rmSync } from 'node:fs';
import path from 'node:path';
import { ensureBuild } from './build';
import { postgresPrograms, follow, installPackage } from './system';
import { Plain, ROOT, workFolder } from './paths';
import { playwrightTally, vitestTally, type Tally } from './tally';

const bin = (name: string): string => path.join(ROOT, 'node_modules/.bin', name);
const KINDS = ['unit', 'store', 'journeys'] as const;

export async function test(args: string[]): Promise<number> {
  const only = args[0];
  if (only !== undefined && !(KINDS as readonly string[]).includes(only))
    throw new Plain(`test ${only} is none of ${KINDS.join(', ')}`);
  const wanted = (kind: string): boolean => only === undefined || only === kind;
  const tally: Tally = { passed: 0, failed: [] };
  const step = async (name: string, run: () => Promise<number>): Promise<void> => {
    const began = Date.now();
    process.stdout.write(`\n== ${name}\n`);
    const code = await run();
    if (code === 0) tally.passed++;
    else tally.failed.push(`${name} (${code})`);
    process.stdout.write(
      `== ${name}: ${code === 0 ? 'ok' : `failed (${code})`}, ${((Date.now() - began) / 1000).toFixed(1)} s\n`,
    );
  };
  if (wanted('store') || wanted('journeys'))
    if (!postgresPrograms()) installPackage('postgresql', 'PostgreSQL');
  if ((wanted('store') || wanted('journeys')) && !existsSync('/usr/bin/chromium'))
    installPackage('chromium', 'Chromium');

  if (only === undefined) {
    // Each takes one core, and says something only when it fails.
    await Promise.all([
      step('lint', () => follow(bin('eslint'), ['.', '--max-warnings', '0'], { cwd: ROOT })),
      step('types', () => follow(bin('tsc'), ['--noEmit'], { cwd: ROOT })),
    ]);
  }
  for (const project of ['unit', 'store'] as const) {
    if (!wanted(project)) continue;
    const report = path.join(workFolder('reports'), `${project}.json`);
    await runner(
      project,
      report,
      tally,
      () =>
        follow(
          bin('vitest'),
          [
            'run',
            '--project',
            project,
            '--reporter=default',
            '--reporter=json',
            `--outputFile.json=${report}`,
          ],
          { cwd: ROOT },
        ),
      (json) => vitestTally(json, ROOT),
    );
  }
  if (wanted('journeys')) {
    await step('build', async () => {
      ensureBuild();
      return 0;
    });
    const report = path.join(workFolder('reports'), 'journeys.json');
    await runner(
      'journeys',
      report,
      tally,
      () =>
        follow(bin('playwright'), ['test'], {
          cwd: ROOT,
          env: { ...process.env, PLAYWRIGHT_JSON_OUTPUT_NAME: report },
        }),
      playwrightTally,
    );
  }
  const none = tally.passed + tally.failed.length === 0;
  process.stdout.write(
    `\n${tally.failed.map((name) => `failed: ${name}\n`).join('')}${tally.passed} passed, ${tally.failed.length} failed\n`,
  );
  return tally.failed.length > 0 || none ? 1 : 0;
}

/** Adds a runner's own counts; a runner that ran nothing, or failed without a failed test, is a failure. */
async function runner(
  name: string,
  report: string,
  tally: Tally,
  run: () => Promise<number>,
  read: (json: unknown) => Tally,
): Promise<void> {
  process.stdout.write(`\n== ${name}\n`);
  const began = Date.now();
  // A report of an earlier run must not count for this one.
  rmSync(report, { force: true });
  const code = await run();
  let counts: Tally;
  try {
    counts = read(JSON.parse(readFileSync(report, 'utf8')));
  } catch {
    counts = { passed: 0, failed: [`${name}: no report that can be read (exit ${code})`] };
  }
  if (counts.failed.length === 0 && (code !== 0 || counts.passed === 0))
    counts = {
      ...counts,
      failed: [`${name}: no test failed, and yet (exit ${code}, ${counts.passed} passed)`],
    };
  tally.passed += counts.passed;
  tally.failed.push(...counts.failed);
  process.stdout.write(
    `== ${name}: ${counts.passed} passed, ${counts.failed.length} failed, ${((Date.now() - began) / 1000).toFixed(1)} s\n`,
  );
}
