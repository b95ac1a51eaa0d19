import { expect, it } from 'vitest';
import { fuzzForeign, fuzzLine, fuzzTable } from './fuzz';

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

it('a thousand mutated tables of other staffs (bench --long runs ten): no crash, no row lost in silence', () => {
  const done = fuzzForeign(1000, 20261126);
  expect(done.first).toEqual([]);
  expect(done.refused).toBeGreaterThan(500);
  process.stdout.write(
    `fuzz of foreign tables: ${done.files} files, rows read ${done.read}, left out ${done.skipped}, refused ${done.refused}\n`,
  );
});
