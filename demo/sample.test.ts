import { expect, it } from 'vitest';
import { COLLEGE } from '../core/field/profile';
import { SAMPLE } from '../core/exchange/names';
import { checkGame } from '../core/rules';
import { readPackage, rowToSnap } from '../core/table';
import { sampleGame } from './sample';

const none = { teams: new Set<string>(), games: new Set<string>(), plays: new Set<string>() };

it('is a package that reads without a fault, adds up, and names its own two teams only', () => {
  const read = readPackage(sampleGame({ game: 'sample-1', season: 2026, taken: new Set() }), none);
  expect(read.faults).toEqual([]);
  const { games, teams, snaps } = read.tables;
  expect(games).toEqual([
    expect.objectContaining({ game: 'sample-1', source: SAMPLE, home: 'LAN', away: 'KES' }),
  ]);
  expect(teams.map((t) => t.team)).toEqual(['LAN', 'KES']);
  expect(snaps.length).toBeGreaterThan(120);
  for (const snap of snaps) expect([snap.offense, snap.defense].sort()).toEqual(['KES', 'LAN']);
  expect(checkGame(snaps.map(rowToSnap), COLLEGE).filter((f) => f.level === 'finding')).toEqual([]);
});

it('leaves the keys of the staff’s own teams alone', () => {
  const files = sampleGame({ game: 's', season: 2026, taken: new Set(['LAN', 'LAN2']) });
  const { tables, faults } = readPackage(files, { ...none, teams: new Set(['LAN', 'LAN2']) });
  expect([faults, tables.teams.map((t) => t.team)]).toEqual([[], ['LAN3', 'KES']]);
});
