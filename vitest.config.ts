import { defineConfig } from 'vitest/config';
import { BaseSequencer, type TestSpecification } from 'vitest/node';
import path from 'node:path';

const here = import.meta.dirname;
const alias = { '@': here, 'server-only': path.join(here, 'store/empty.ts') };

/** The longest files first, so that none is left to run alone at the end; a clean clone knows no times of its own. */
const LONGEST = [
  'cli/kills.test.ts',
  'cli/cli.test.ts',
  'cli/paper.test.ts',
  'store/sync.test.ts',
  'cli/processes.test.ts',
  'store/store.test.ts',
  'app/entry-points.test.ts',
  'client/outbox.test.ts',
  'core/table/limits.test.ts',
  'core/look/defend.test.ts',
  'bench/fuzz.test.ts',
  'core/plan/draft.test.ts',
  'core/charting/charting.test.ts',
];
class LongestFirst extends BaseSequencer {
  override sort(files: TestSpecification[]): Promise<TestSpecification[]> {
    const rank = ({ moduleId }: TestSpecification): number => {
      const at = LONGEST.indexOf(path.relative(here, moduleId));
      return at < 0 ? LONGEST.length : at;
    };
    return Promise.resolve(files.toSorted((a, b) => rank(a) - rank(b)));
  }
}

export default defineConfig({
  test: {
    sequence: { sequencer: LongestFirst },
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
          // A shared machine may stand still for minutes; a test fails by what it sees, not by the clock.
          testTimeout: 240_000,
          hookTimeout: 240_000,
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
          testTimeout: 600_000,
          hookTimeout: 600_000,
          // They wait for the disk more than they count; each has a database of its own.
          maxWorkers: 2,
        },
      },
    ],
  },
});
