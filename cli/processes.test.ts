/** Launchers and what they leave: locks, numbers used again, half-made clusters, backups that are whole or not there. */
import { spawn, spawnSync } from 'node:child_process';
import {
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { afterAll, describe, expect, it, vi } from 'vitest';
import { backupName, readEvery, retain } from './backup-schedule';
import { identityOf, runs, self } from './processes';
import { freePort } from './system';

vi.setConfig({ testTimeout: 240_000, hookTimeout: 120_000 });
const root = path.resolve(import.meta.dirname, '..');
const folder = mkdtempSync(path.join(tmpdir(), 'vobrik-p-'));
const work = path.join(root, '.vobrik/process-test');
const env = { ...process.env, VOBRIK_WORK: work };
const node = (code: string) =>
  spawn(process.execPath, ['--import', 'tsx', '-e', code], {
    cwd: root,
    env,
    stdio: ['ignore', 'pipe', 'pipe'],
  });
const ended = (p: ReturnType<typeof node>): Promise<{ code: number | null; out: string }> =>
  new Promise((resolve) => {
    let out = '';
    for (const s of [p.stdout, p.stderr])
      s!.on('data', (d: Buffer) => {
        out += d.toString();
      });
    p.on('close', (code) => resolve({ code, out }));
  });

afterAll(() => {
  spawnSync(process.execPath, ['--import', 'tsx', 'cli/main.ts', 'stop'], { cwd: root, env });
  rmSync(folder, { recursive: true, force: true });
  rmSync(work, { recursive: true, force: true });
});

describe('a process', () => {
  it('is known by its number and its start time', async () => {
    expect(runs(self())).toBe(true);
    expect(runs(`${process.pid}@1`)).toBe(false);
    const other = spawn('sleep', ['60']);
    const noted = identityOf(other.pid!)!;
    expect(runs(noted)).toBe(true);
    other.kill('SIGKILL');
    await new Promise((resolve) => other.on('exit', resolve));
    expect(runs(noted)).toBe(false);
  });

  it('stop never kills a number that belongs to somebody else by now', async () => {
    const innocent = spawn('sleep', ['300']);
    mkdirSync(path.join(work, 'run'), { recursive: true });
    // A note of a launcher that died: its number is the innocent's now. And one of an older version, and half a one.
    for (const [name, text] of [
      [`${innocent.pid}.json`, { mode: 'start', port: 4600, process: `${innocent.pid}@1` }],
      ['1.json', { mode: 'start', port: 4600 }],
    ] as const)
      writeFileSync(path.join(work, 'run', name), JSON.stringify(text));
    writeFileSync(path.join(work, 'run', '2.json'), '{"mode":');
    const done = spawnSync(process.execPath, ['--import', 'tsx', 'cli/main.ts', 'stop'], {
      cwd: root,
      env,
      encoding: 'utf8',
    });
    expect([done.status, done.stdout.trim()]).toEqual([0, 'nothing was running']);
    expect(identityOf(innocent.pid!)).not.toBeNull();
    expect(readdirSync(path.join(work, 'run'))).toEqual([]);
    innocent.kill('SIGKILL');
  });
});

describe('two at once', () => {
  it('a lock is held by one, taken over from the dead, never from the living', async () => {
    const code = (ms: number, name: string) =>
      `const { locked } = await import('./cli/processes'); const fs = await import('node:fs'); locked('x', () => { fs.appendFileSync(${JSON.stringify(path.join(folder, 'order'))}, '+${name}'); Atomics.wait(new Int32Array(new SharedArrayBuffer(4)), 0, 0, ${ms}); fs.appendFileSync(${JSON.stringify(path.join(folder, 'order'))}, '-${name}'); });`;
    await Promise.all(['a', 'b', 'c', 'd'].map((n) => ended(node(code(150, n)))));
    expect(readFileSync(path.join(folder, 'order'), 'utf8')).toMatch(/^(\+(\w)-\2){4}$/);
    const dies = node(code(60_000, 'z'));
    while (!readFileSync(path.join(folder, 'order'), 'utf8').includes('+z'))
      await new Promise((r) => setTimeout(r, 50));
    dies.kill('SIGKILL');
    await ended(dies);
    expect((await ended(node(code(10, 'after')))).code).toBe(0);
    expect(readFileSync(path.join(folder, 'order'), 'utf8')).toMatch(/\+z\+after-after$/);
  });

  it('five launchers make one cluster, one secret, one database between them', async () => {
    const code =
      "const { openDatabase } = await import('./cli/database'); const o = await openDatabase('start'); const { programCount } = await import('./store/programs'); console.log('count', await programCount()); await (await import('./store/orm')).closeOrm(); o.leave();";
    const all = await Promise.all(Array.from({ length: 5 }, () => ended(node(code))));
    expect(
      all.map((a) => [a.code, /count 0/.test(a.out)]),
      all.map((a) => a.out).join('\n'),
    ).toEqual(Array.from({ length: 5 }, () => [0, true]));
    // The last one out stopped it; a pid file with an innocent's number does not stop the next start.
    writeFileSync(
      path.join(work, 'pg/data/postmaster.pid'),
      `${process.pid}\n${path.join(work, 'pg/data')}\n`,
    );
    expect((await ended(node(code))).code).toBe(0);
  });

  it('a taken port gives way to the next free one', async () => {
    const taken = await freePort(0);
    const { createServer } = await import('node:http');
    const server = createServer().listen(taken, '127.0.0.1');
    await new Promise((resolve) => server.on('listening', resolve));
    const next = await freePort(taken);
    expect(next).toBeGreaterThan(taken);
    expect(next).toBeLessThanOrEqual(taken + 100);
    server.close();
  });
});

describe('backups by the clock', () => {
  it('reads a time, keeps the newest, leaves other files alone', () => {
    expect([readEvery('24h'), readEvery('90m'), readEvery('1d')]).toEqual([
      86_400_000, 5_400_000, 86_400_000,
    ]);
    for (const bad of ['', '24', 'h', '0h', '1w', '-1h'])
      expect(() => readEvery(bad), bad).toThrow('is not a time');
    const at = path.join(folder, 'backups');
    mkdirSync(at);
    const days = [1, 2, 3, 4, 5].map((d) => backupName(new Date(Date.UTC(2026, 9, d))));
    for (const name of [...days, 'monday.vobrik', 'notes.txt']) writeFileSync(path.join(at, name), '');
    expect(retain(at, 2).sort()).toEqual(days.slice(0, 3));
    expect(readdirSync(at).sort()).toEqual(['monday.vobrik', 'notes.txt', ...days.slice(3)].sort());
  });

  it('a backup is readable by its owner only, never written over another, and half of one is never there', () => {
    const vobrik = (...args: string[]) =>
      spawnSync(process.execPath, ['--import', 'tsx', 'cli/main.ts', ...args], {
        cwd: root,
        env,
        encoding: 'utf8',
      });
    const file = path.join(folder, 'one.vobrik');
    const first = vobrik('backup', file);
    expect([first.status, first.stderr]).toEqual([0, '']);
    expect(first.stdout).toContain('tried by a restore');
    expect(statSync(file).mode & 0o777).toBe(0o600);
    const again = vobrik('backup', file);
    expect([again.status, again.stderr.trim()]).toEqual([2, `${file} is there already; choose another name`]);
    const nowhere = vobrik('backup', '/no/such/folder/x.vobrik');
    expect([nowhere.status, nowhere.stderr]).toEqual([2, expect.stringContaining('cannot be written')]);
    expect(readdirSync(folder).filter((f) => f.includes('.part'))).toEqual([]);
    // An archive of somebody else's database is refused whole.
    const bytes = readFileSync(file);
    writeFileSync(path.join(folder, 'cut.vobrik'), bytes.subarray(0, Math.floor(bytes.length / 2)));
    const cut = vobrik('restore', path.join(folder, 'cut.vobrik'));
    expect([cut.status, cut.stderr]).toEqual([2, expect.stringContaining('nothing was restored')]);
    expect(existsSync(file)).toBe(true);
  });
});
