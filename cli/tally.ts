/** What the runners' own reports say: how many tests passed, and which did not. */

export interface Tally {
  passed: number;
  /** The names of what failed, a line each: the last lines of a run must say them, for a log may be cut. */
  failed: string[];
}

const firstLine = (text: string): string => text.split('\n')[0]!.trim();
const named = (file: string, title: string, why: string): string =>
  `${file}: ${title}${why === '' ? '' : ` (${firstLine(why)})`}`;

interface VitestReport {
  numPassedTests: number;
  testResults: {
    name: string;
    status: string;
    message: string;
    assertionResults: { fullName: string; status: string; failureMessages: string[] }[];
  }[];
}

/** The report of Vitest (json reporter). A file that failed outside its tests counts once. */
export function vitestTally(report: unknown, root: string): Tally {
  const { numPassedTests, testResults } = report as VitestReport;
  const failed: string[] = [];
  for (const file of testResults) {
    const name = file.name.replace(`${root}/`, '');
    const tests = file.assertionResults.filter((one) => one.status === 'failed');
    for (const one of tests) failed.push(named(name, one.fullName, one.failureMessages[0] ?? ''));
    if (tests.length === 0 && file.status === 'failed')
      failed.push(named(name, 'outside its tests', file.message));
  }
  return { passed: numPassedTests, failed };
}

interface PlaywrightSuite {
  file: string;
  suites?: PlaywrightSuite[];
  specs: { title: string; line: number; tests: { status: string }[] }[];
}

/** The report of Playwright (json reporter). An error outside every journey counts once. */
export function playwrightTally(report: unknown): Tally {
  const { stats, suites, errors } = report as {
    stats: { expected: number; flaky: number };
    suites: PlaywrightSuite[];
    errors: { message?: string }[];
  };
  const failed = errors.map((one) => named('journeys', 'outside every journey', one.message ?? ''));
  const walk = (suite: PlaywrightSuite): void => {
    for (const spec of suite.specs)
      for (const run of spec.tests)
        if (run.status === 'unexpected') failed.push(named(`${suite.file}:${spec.line}`, spec.title, ''));
    for (const inner of suite.suites ?? []) walk(inner);
  };
  for (const suite of suites) walk(suite);
  return { passed: stats.expected + stats.flaky, failed };
}
