import { expect, it } from 'vitest';
import { fuzzLine, fuzzTable } from './fuzz';

it('twenty thousand random lines: nothing throws, and every value is one its field can hold', () => {
  const done = fuzzLine(20_000, 20261126);
  expect(done.values).toBeGreaterThan(20_000);
  expect(done.problems).toBeGreaterThan(10_000);
  process.stdout.write(
    `fuzz of the line: ${done.lines} lines, ${done.values} values checked, ${done.problems} problems named\n`,
  );
});

it('a thousand random tables: nothing throws, faults are values', () => {
  const done = fuzzTable(1000, 20261126);
  expect(done.faults).toBeGreaterThan(1000);
  process.stdout.write(`fuzz of the table reader: ${done.tables} tables, ${done.faults} faults named\n`);
});
