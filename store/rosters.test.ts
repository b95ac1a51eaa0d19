/** Rosters against the database: brought up to date, merged, worn; nothing crosses programs, nothing is half done. */
import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Actor } from '../core/exchange/types';
import type { RosterLine } from '../core/roster';
import { Invalid, NotFound, Refused } from './errors';
import { Player } from './entities';
import { openEm } from './orm';
import { exportTables } from './packages';
import * as rosters from './rosters';
import * as worn from './worn';
import { openTestDatabase, testGame, testProgram, type TestDatabase } from './testing';

const NOW = new Date('2026-10-01T12:00:00Z');
let database: TestDatabase;
let ours: Actor;
let theirs: Actor;
let game: string;

const line = (number: string, name: string | null, more: Partial<RosterLine> = {}): RosterLine => ({
  number,
  name,
  letters: null,
  class: null,
  height: null,
  weight: null,
  depth: null,
  ...more,
});

beforeAll(async () => {
  database = await openTestDatabase('rosters');
  ours = await testProgram('Ours', 'AAA', NOW);
  theirs = await testProgram('Theirs', 'AAA', NOW);
  game = await testGame(ours, 'AAA');
});
afterAll(() => database.close());

describe('a roster', () => {
  it('is added to, then brought up to date by name; blanks take nothing away', async () => {
    expect(
      await rosters.addToRoster(ours, 'AAA', [
        line('22', 'Ned Orrin', { letters: 'RB', weight: 195, depth: 2 }),
        line('7', 'Ivo Tarn', { letters: 'QB', depth: 1 }),
        line('11', 'Al Bo', { letters: 'RB', depth: 1 }),
        line('11', 'Cy Dahl', { letters: 'B' }),
      ]),
    ).toEqual({ added: 4, changed: 0 });
    expect(await rosters.addToRoster(ours, 'AAA', [line('23', 'ned orrin', { class: 'Jr' })])).toEqual({
      added: 0,
      changed: 1,
    });
    const roster = await rosters.rosterOf(ours, 'AAA');
    expect(roster.map((r) => [r.letters, r.depth, r.number, r.name])).toEqual([
      ['B', null, '11', 'Cy Dahl'],
      ['QB', 1, '7', 'Ivo Tarn'],
      ['RB', 1, '11', 'Al Bo'],
      ['RB', 2, '23', 'Ned Orrin'],
    ]);
    expect(roster[3]).toMatchObject({ weight: 195, class: 'Jr' });
    expect(await rosters.rosterOf(theirs, 'AAA')).toEqual([]);
  });
  it('is changed whole in an entry, which another program cannot name', async () => {
    const [entry] = await rosters.rosterOf(ours, 'AAA');
    await rosters.changeEntry(ours, entry!.id, line('12', 'Cy Dahl', { letters: 'C', height: 72 }));
    expect((await rosters.rosterOf(ours, 'AAA'))[0]).toMatchObject({
      number: '12',
      letters: 'C',
      height: 72,
    });
    await expect(rosters.changeEntry(theirs, entry!.id, line('1', 'X'))).rejects.toThrow(NotFound);
    await expect(rosters.removeEntry(theirs, entry!.id)).rejects.toThrow(NotFound);
    await rosters.changeEntry(ours, entry!.id, line('11', 'Cy Dahl', { letters: 'C' }));
  });
  it('is refused to who may not', async () => {
    const guest: Actor = { ...ours, roles: ['guest'] };
    await expect(rosters.addToRoster(guest, 'AAA', [line('1', 'X')])).rejects.toThrow(Refused);
    const charter: Actor = { ...ours, roles: ['charter'] };
    await expect(rosters.mergePlayers(charter, 'a', 'b', NOW)).rejects.toThrow(Refused);
  });
});

it('weights of all teams of this season come with what they are read by; another program’s do not', async () => {
  const [all, ...others] = await rosters.weighedRosters(ours);
  expect([all!.team, others]).toEqual(['AAA', []]);
  const plain = (entries: readonly { number: string; letters: string | null; weight: number | null }[]) =>
    entries.map((e) => `${e.number} ${e.letters} ${e.weight}`).sort();
  expect(plain(all!.roster)).toEqual(plain(await rosters.rosterOf(ours, 'AAA')));
  expect(await rosters.weighedRosters(theirs)).toEqual([]);
});

describe('in a game', () => {
  it('one number is two men, by unit', async () => {
    const roster = await rosters.rosterOf(ours, 'AAA');
    const who = (name: string): string => roster.find((r) => r.name === name)!.player;
    const at = { game, team: 'AAA', number: '11' } as const;
    await worn.setWorn(ours, { ...at, unit: 'offense' }, who('Al Bo'));
    await worn.setWorn(ours, { ...at, unit: 'defense' }, who('Al Bo'));
    await worn.setWorn(ours, { ...at, unit: 'defense' }, who('Cy Dahl'));
    expect((await worn.peopleOfGame(ours, game, 'AAA')).worn).toEqual([
      { unit: 'defense', number: '11', player: who('Cy Dahl') },
      { unit: 'offense', number: '11', player: who('Al Bo') },
    ]);
    await expect(worn.setWorn(ours, { ...at, team: 'ZZZ', unit: 'offense' }, null)).rejects.toThrow(Invalid);
    await expect(worn.peopleOfGame(theirs, game, 'AAA')).rejects.toThrow(NotFound);
  });
  it('letters are one map, and travel in the package with numbers and depth', async () => {
    await worn.setLetters(ours, game, 'AAA', { H: '11', X: '1' });
    await worn.setLetters(ours, game, 'AAA', { H: '1', X: '11' });
    expect((await worn.peopleOfGame(ours, game, 'AAA')).letters).toEqual({ H: '1', X: '11' });
    const { tables } = await exportTables(ours);
    expect(tables.letters).toEqual([
      { game, team: 'AAA', letter: 'H', number: '1' },
      { game, team: 'AAA', letter: 'X', number: '11' },
    ]);
    expect(tables.numbers).toHaveLength(2);
    expect(tables.roster.find((r) => r.name === 'Al Bo')).toMatchObject({ depth: 1 });
  });
  it('two entries become one man: numbers worn go with him, blanks are filled, the other is gone', async () => {
    const roster = await rosters.rosterOf(ours, 'AAA');
    const of = (name: string) => roster.find((r) => r.name === name)!;
    await rosters.mergePlayers(ours, of('Ned Orrin').player, of('Al Bo').player, NOW);
    const after = await rosters.rosterOf(ours, 'AAA');
    // He wore both numbers: neither becomes nobody's.
    expect(after.map((r) => `${r.number} ${r.name}`).sort()).toEqual([
      '11 Cy Dahl',
      '11 Ned Orrin',
      '23 Ned Orrin',
      '7 Ivo Tarn',
    ]);
    expect((await worn.peopleOfGame(ours, game, 'AAA')).worn[1]).toMatchObject({
      unit: 'offense',
      player: of('Ned Orrin').player,
    });
    expect(await (await openEm()).count(Player, { program: ours.programId })).toBe(3);
    await expect(rosters.mergePlayers(ours, 'nobody', of('Ned Orrin').player, NOW)).rejects.toThrow(NotFound);
    await expect(
      rosters.mergePlayers(ours, of('Ned Orrin').player, of('Ned Orrin').player, NOW),
    ).rejects.toThrow(Invalid);
  });
  it('who leaves the roster stays where a game names him, else he is gone', async () => {
    const roster = await rosters.rosterOf(ours, 'AAA');
    for (const entry of roster) await rosters.removeEntry(ours, entry.id);
    const left = await (await openEm()).find(Player, { program: ours.programId });
    expect(left.map((p) => p.name).sort()).toEqual(['Cy Dahl', 'Ned Orrin']);
    await expect(rosters.removeEntry(ours, randomUUID())).rejects.toThrow(NotFound);
  });
});
