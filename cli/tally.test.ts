import { describe, expect, it } from 'vitest';
import { playwrightTally, vitestTally } from './tally';

describe('what the runners report', () => {
  it('names each failed test of Vitest, and a file that failed outside its tests', () => {
    const report = {
      numPassedTests: 2,
      testResults: [
        {
          name: '/home/a/core/one.test.ts',
          status: 'failed',
          message: '',
          assertionResults: [
            { fullName: 'one adds', status: 'passed', failureMessages: [] },
            { fullName: 'one takes', status: 'failed', failureMessages: ['Error: 1 is not 2\n    at x'] },
          ],
        },
        {
          name: '/home/a/core/two.test.ts',
          status: 'failed',
          message: 'no such file\nat y',
          assertionResults: [],
        },
      ],
    };
    expect(vitestTally(report, '/home/a')).toEqual({
      passed: 2,
      failed: [
        'core/one.test.ts: one takes (Error: 1 is not 2)',
        'core/two.test.ts: outside its tests (no such file)',
      ],
    });
  });

  it('names a failed journey however deep its suite, not one that passed the second time', () => {
    const spec = (title: string, line: number, status: string): object => ({
      title,
      line,
      tests: [{ status }],
    });
    const report = {
      stats: { expected: 1, flaky: 1, unexpected: 1 },
      errors: [{ message: 'no server\nmore' }],
      suites: [
        {
          file: 'e2e/9.spec.ts',
          specs: [spec('fine', 3, 'expected')],
          suites: [
            { file: 'e2e/9.spec.ts', specs: [spec('again', 8, 'flaky'), spec('falls', 12, 'unexpected')] },
          ],
        },
      ],
    };
    expect(playwrightTally(report)).toEqual({
      passed: 2,
      failed: ['journeys: outside every journey (no server)', 'e2e/9.spec.ts:12: falls'],
    });
  });
});
