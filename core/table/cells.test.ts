/** Cells that a spreadsheet would take for a formula (OWASP, CSV injection: = + - @ tab, carriage return). */
import fc from 'fast-check';
import { expect, it } from 'vitest';
import { armCell, disarmCell, emptyTables, readPackage, writeCsv } from './index';

it('arms what begins like a formula, leaves numbers and the lone dash, escapes the apostrophe too', () => {
  for (const text of ['=1+1', '+SUM(A1)', '-2+3', '@cmd', "'quoted", "'=1", '\tx', '-x'])
    expect(armCell('text', text), text).toBe(`'${text}`);
  for (const text of ['-', '?', '-5', '+7', '1.5', 'a=b', '', 'trips'])
    expect(armCell('text', text), text).toBe(text);
  // Numbers and clocks are no texts.
  expect(armCell('integer', '-5')).toBe('-5');
});

it('takes off exactly what it put there, for any text', () => {
  fc.assert(
    fc.property(fc.string(), fc.constantFrom('', '=', '+', '-', '@', "'", "''", '\t'), (rest, start) => {
      const text = start + rest;
      const armed = armCell('text', text);
      expect(disarmCell('text', armed)).toBe(text);
      expect(/^[=+\-@\t\r]/.test(armed) && !/^[+-]?\d+(\.\d+)?$/.test(armed) && armed !== '-').toBe(false);
    }),
    { numRuns: 3000, seed: 1 },
  );
});

it('a name and a note that begin like formulas come back through a file', () => {
  const tables = {
    ...emptyTables(),
    teams: [{ team: 'AAA', name: '=HYPERLINK("x")', nickname: "'tis", place: '-' }],
  };
  const csv = writeCsv('teams', tables.teams);
  expect(csv).toContain(`"'=HYPERLINK(""x"")"`);
  expect(
    readPackage([{ name: 'teams.csv', text: csv }], { teams: new Set(), games: new Set(), plays: new Set() })
      .tables.teams,
  ).toEqual(tables.teams);
});
