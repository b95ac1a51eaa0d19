/** The production build, made again only when a source changed. */
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { buildSync } from 'esbuild';
import { Plain, ROOT, workFolder } from './paths';
import { run } from './system';

/** The web server, bundled beside the build. */
export const SERVER_PROGRAM = path.join(ROOT, '.next/vobrik-server.mjs');

const SOURCES = [
  'app',
  'ui',
  'client',
  'core',
  'render',
  'store',
  'workers',
  'proxy.ts',
  'cli/server.ts',
  'next.config.ts',
  'package-lock.json',
  'tsconfig.json',
];

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
  for (const source of SOURCES)
    for (const file of filesBelow(path.join(ROOT, source)))
      hash.update(path.relative(ROOT, file)).update('\0').update(readFileSync(file)).update('\0');
  return hash.digest('hex');
}

/** Gives true when it built, false when the last build still stands. */
export function ensureBuild(): boolean {
  const stamp = path.join(workFolder(), 'build-hash');
  const wanted = sourceHash();
  if (
    existsSync(path.join(ROOT, '.next/BUILD_ID')) &&
    existsSync(path.join(ROOT, 'public/sw.js')) &&
    existsSync(SERVER_PROGRAM) &&
    existsSync(stamp) &&
    readFileSync(stamp, 'utf8') === wanted
  )
    return false;
  process.stderr.write('building …\n');
  const built = run(process.execPath, [path.join(ROOT, 'node_modules/next/dist/bin/next'), 'build'], {
    cwd: ROOT,
    env: { ...process.env, NODE_ENV: 'production', NEXT_TELEMETRY_DISABLED: '1' },
  });
  if (built.code !== 0) throw new Plain(`the build failed:\n${built.out.split('\n').slice(-40).join('\n')}`);
  buildServiceWorker();
  // The server as plain JavaScript: it starts faster and stays smaller than through a loader.
  buildSync({
    entryPoints: [path.join(ROOT, 'cli/server.ts')],
    outfile: SERVER_PROGRAM,
    bundle: true,
    packages: 'external',
    platform: 'node',
    format: 'esm',
    target: 'node20',
    logLevel: 'error',
  });
  writeFileSync(stamp, wanted);
  return true;
}

/** The service worker, with the list of what the build made: scripts, styles and fonts by their hashed names. */
function buildServiceWorker(): void {
  const base = path.join(ROOT, '.next/static');
  const entries = [...filesBelow(base)]
    .filter((f) => /\.(js|css|woff2?)$/.test(f))
    .map((field) => ({
      url: `/_next/static/${path.relative(base, field).split(path.sep).join('/')}`,
      revision: null,
    }))
    .sort((a, b) => (a.url < b.url ? -1 : 1));
  mkdirSync(path.join(ROOT, 'public'), { recursive: true });
  buildSync({
    entryPoints: [path.join(ROOT, 'client/service-worker.ts')],
    outfile: path.join(ROOT, 'public/sw.js'),
    bundle: true,
    minify: true,
    format: 'iife',
    target: 'es2022',
    define: { 'self.__SW_MANIFEST': JSON.stringify(entries), 'process.env.NODE_ENV': '"production"' },
    logLevel: 'error',
  });
}
