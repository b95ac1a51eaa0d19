/** The production build, made again only when a source changed. */
import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { Plain, ROOT, workFolder } from './paths';
import { run } from './system';

const SOURCES = ['app', 'ui', 'client', 'core', 'store', 'workers', 'proxy.ts', 'next.config.ts', 'package-lock.json', 'tsconfig.json'];

function* filesBelow(place: string): Generator<string> {
  if (!existsSync(place)) return;
  if (!statSync(place).isDirectory()) return void (yield place);
  for (const entry of readdirSync(place, { withFileTypes: true })) {
    const inside = path.join(place, entry.name);
    if (entry.isDirectory()) yield* filesBelow(inside);
    else if (!/\.test\.tsx?$/.test(entry.name)) yield inside;
  }
}

function sourceHash(): string {
  const hash = createHash('sha256');
  for (const source of SOURCES) for (const file of filesBelow(path.join(ROOT, source))) hash.update(path.relative(ROOT, file)).update('\0').update(readFileSync(file)).update('\0');
  return hash.digest('hex');
}

/** Gives true when it built, false when the last build still stands. */
export function ensureBuild(): boolean {
  const stamp = path.join(workFolder(), 'build-hash');
  const wanted = sourceHash();
  if (existsSync(path.join(ROOT, '.next/BUILD_ID')) && existsSync(stamp) && readFileSync(stamp, 'utf8') === wanted) return false;
  process.stderr.write('building …\n');
  const built = run(process.execPath, [path.join(ROOT, 'node_modules/next/dist/bin/next'), 'build'], { cwd: ROOT, env: { ...process.env, NODE_ENV: 'production', NEXT_TELEMETRY_DISABLED: '1' } });
  if (built.code !== 0) throw new Plain(`the build failed:\n${built.out.split('\n').slice(-40).join('\n')}`);
  writeFileSync(stamp, wanted);
  return true;
}
