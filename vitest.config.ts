import { defineConfig } from 'vitest/config';
import path from 'node:path';

const here = import.meta.dirname;
const alias = { '@': here, 'server-only': path.join(here, 'store/empty.ts') };

export default defineConfig({
  test: {
    projects: [
      {
        resolve: { alias },
        test: {
          name: 'unit',
          include: [
            'core/**/*.test.ts',
            'client/**/*.test.ts',
            'workers/**/*.test.ts',
            'demo/**/*.test.ts',
            'ui/**/*.test.ts',
            'render/**/*.test.ts',
            'bench/**/*.test.ts',
            'docs/**/*.test.ts',
          ],
          testTimeout: 240_000,
          // Two cores are two workers; nothing here changes what another file sees, so modules are read once.
          maxWorkers: 2,
          isolate: false,
        },
      },
      {
        resolve: { alias },
        test: {
          name: 'store',
          include: ['store/**/*.test.ts', 'cli/**/*.test.ts', 'app/**/*.test.ts'],
          // A shared machine may stand still for minutes; a test fails by what it sees, not by the clock.
          testTimeout: 600_000,
          hookTimeout: 600_000,
          // They wait for the disk more than they count; each has a database of its own.
          maxWorkers: 2,
        },
      },
    ],
  },
});
