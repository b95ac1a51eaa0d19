import { expect, it } from 'vitest';
import { localTime } from './local-time';

it('is the wall clock of the place, over the end of a day, at midnight and when clocks change', () => {
  expect(localTime('2026-11-26T21:10:59Z', 'America/New_York')).toBe('2026-11-26 16:10 EST');
  expect(localTime('2026-07-01T03:05:00Z', 'America/Chicago')).toBe('2026-06-30 22:05 CDT');
  expect(localTime('2026-11-26T05:00:00Z', 'America/New_York')).toBe('2026-11-26 00:00 EST');
  expect(localTime('2026-11-26T21:10:00Z', 'UTC')).toBe('2026-11-26 21:10 UTC');
  // The first Sunday of November: one hour comes twice, and its zone tells which (common practice).
  expect(localTime('2026-11-01T05:30:00Z', 'America/New_York')).toBe('2026-11-01 01:30 EDT');
  expect(localTime('2026-11-01T06:30:00Z', 'America/New_York')).toBe('2026-11-01 01:30 EST');
});
