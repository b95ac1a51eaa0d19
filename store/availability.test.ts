/** Who can play, against the database: coordinators alone, week by week, nothing written over unseen, in no package. */
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Actor } from '../core/exchange/types';
import * as availability from './availability';
import { AvailabilityRow, AuditEntry } from './entities';
import { Invalid, NotFound, Refused } from './errors';
import { openEm } from './orm';
import { exportTables } from './packages';
import { setWeek } from './programs';
import * as rosters from './rosters';
import { openTestDatabase, testProgram, type TestDatabase } from './testing';

const NOW = new Date('2026-10-01T12:00:00Z');
let database: TestDatabase;
let ours: Actor;
let theirs: Actor;
let orrin: string;
let lisk: string;

const MAN = { letters: 'RB', class: null, height: null, weight: null, depth: null };
const OUT = { state: 'out', source: 'medical staff' } as const;
const LIMITED = { state: 'limited', source: 'coach' } as const;
const said = async (): Promise<string[]> =>
  (await availability.availabilityOf(ours)).said.map((s) => `${s.player} ${s.state} ${s.source} ${s.by}`);
const week = (to: number | null): Promise<void> => setWeek(ours, { week: to, opponent: null });

beforeAll(async () => {
  database = await openTestDatabase('availability');
  ours = await testProgram('Ours', 'AAA', NOW);
  theirs = await testProgram('Theirs', 'AAA', NOW);
  await rosters.addToRoster(ours, 'AAA', [
    { number: '22', name: 'Ned Orrin', ...MAN },
    { number: '28', name: 'Bo Lisk', ...MAN },
  ]);
  [lisk, orrin] = (await rosters.rosterOf(ours, 'AAA'))
    .sort((a, b) => a.name!.localeCompare(b.name!))
    .map((e) => e.player) as [string, string];
});
afterAll(() => database.close());

describe('who can play', () => {
  it('needs a week', async () => {
    expect(await availability.availabilityOf(ours)).toEqual({ week: null, said: [], before: [] });
    await expect(availability.sayAvailability(ours, 9, orrin, OUT, null, NOW)).rejects.toThrow(
      'The staff is in no week now, not in week 9; load the page again',
    );
  });

  it('is said, said again once, changed and cleared, with who typed it and when', async () => {
    await week(9);
    for (let twice = 0; twice < 2; twice++)
      await availability.sayAvailability(ours, 9, orrin, OUT, null, NOW);
    expect((await availability.availabilityOf(ours)).said).toEqual([
      { player: orrin, ...OUT, at: NOW.toISOString(), by: ours.name },
    ]);
    await availability.sayAvailability(ours, 9, orrin, LIMITED, 'out', NOW);
    expect(await said()).toEqual([`${orrin} limited coach ${ours.name}`]);
    for (let twice = 0; twice < 2; twice++)
      await availability.sayAvailability(ours, 9, orrin, null, 'limited', NOW);
    expect(await said()).toEqual([]);
  });

  it('what another member said meanwhile is not written over; of two at once one stands', async () => {
    await availability.sayAvailability(ours, 9, orrin, OUT, null, NOW);
    await expect(availability.sayAvailability(ours, 9, orrin, LIMITED, null, NOW)).rejects.toThrow(
      'Another member said “out” of him meanwhile; load the page again',
    );
    await expect(availability.sayAvailability(ours, 9, lisk, null, 'out', NOW)).resolves.toBeUndefined();
    const both = await Promise.allSettled([
      availability.sayAvailability(ours, 9, lisk, OUT, null, NOW),
      availability.sayAvailability(ours, 9, lisk, LIMITED, null, NOW),
    ]);
    expect(both.map((b) => b.status).sort()).toEqual(['fulfilled', 'rejected']);
    expect(await said()).toHaveLength(2);
    await (await openEm()).nativeDelete(AvailabilityRow, {});
  });

  it('a week is its own: the one before is told apart, and a page of last week writes nothing', async () => {
    await availability.sayAvailability(ours, 9, orrin, OUT, null, NOW);
    await availability.sayAvailability(ours, 9, lisk, LIMITED, null, NOW);
    await week(10);
    await availability.sayAvailability(ours, 10, lisk, OUT, null, NOW);
    const told = await availability.availabilityOf(ours);
    expect(told).toMatchObject({ week: 10, said: [{ player: lisk, state: 'out' }] });
    expect(told.before.map((b) => b.player)).toEqual([orrin]);
    await expect(availability.sayAvailability(ours, 9, orrin, LIMITED, 'out', NOW)).rejects.toBeInstanceOf(
      Invalid,
    );
    await week(11);
    expect((await availability.availabilityOf(ours)).before.map((b) => b.player)).toEqual([lisk]);
    await week(9);
    expect(await said()).toHaveLength(2);
  });

  it('is for coordinators, and nothing crosses programs', async () => {
    for (const roles of [['charter'], ['coach'], ['admin'], ['guest']] as const) {
      await expect(availability.availabilityOf({ ...ours, roles })).rejects.toBeInstanceOf(Refused);
      await expect(
        availability.sayAvailability({ ...ours, roles }, 9, orrin, null, 'out', NOW),
      ).rejects.toBeInstanceOf(Refused);
    }
    await setWeek(theirs, { week: 9, opponent: null });
    expect((await availability.availabilityOf(theirs)).said).toEqual([]);
    await expect(availability.sayAvailability(theirs, 9, orrin, OUT, null, NOW)).rejects.toBeInstanceOf(
      NotFound,
    );
    expect(await said()).toHaveLength(2);
  });

  it('stands in no package and in no audit trail, which others read', async () => {
    const out = JSON.stringify(await exportTables(ours));
    expect(out).toContain('Ned Orrin');
    expect(out).not.toMatch(/limited|medical staff/);
    const trail = await (await openEm()).find(AuditEntry, {});
    expect(JSON.stringify(trail)).not.toMatch(/Orrin|limited/);
  });

  it('goes with a player: merged into another, then taken off the roster', async () => {
    await rosters.mergePlayers(ours, lisk, orrin, NOW);
    expect(await said()).toEqual([`${lisk} limited coach ${ours.name}`]);
    for (const entry of await rosters.rosterOf(ours, 'AAA')) await rosters.removeEntry(ours, entry.id);
    expect(await (await openEm()).count(AvailabilityRow, {})).toBe(0);
  });
});
