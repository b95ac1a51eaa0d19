/** Commands as a shell runs them, with a folder and a cluster of their own. */
import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { afterAll, vi } from 'vitest';

export const root = path.resolve(import.meta.dirname, '..');

/** The work of a file of tests goes when it ends; a command may take seconds on a slow machine. */
export function shell(name: string) {
  vi.setConfig({ testTimeout: 240_000, hookTimeout: 120_000 });
  const folder = mkdtempSync(path.join(tmpdir(), 'vobrik-'));
  const work = path.join(root, '.vobrik', name);
  const vobrik = (...args: string[]) => {
    const done = spawnSync(process.execPath, ['--import', 'tsx', 'cli/main.ts', ...args], {
      cwd: root,
      encoding: 'utf8',
      env: { ...process.env, VOBRIK_WORK: work },
    });
    return {
      code: done.status,
      out: done.stdout,
      err: done.stderr
        .split('\n')
        .filter((l) => l !== '' && !l.includes('[migrator]'))
        .join('\n'),
    };
  };
  afterAll(() => {
    vobrik('stop');
    rmSync(folder, { recursive: true });
    rmSync(work, { recursive: true, force: true });
  });
  return { file: (name: string): string => path.join(folder, name), work, vobrik };
}
