/** Reels and the words of reports against the database: nobody's work is written over unseen, nothing crosses programs. */
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Actor } from '../core/exchange/types';
import { NO_EDITS, withWordsFor } from '../core/read/sentences';
import type { PrintedFigures } from '../core/read/printed';
import { Invalid, NotFound, Refused } from './errors';
import * as reels from './reels';
import * as reports from './reports';
import { saveSnaps } from './rows.testing';
import { openTestDatabase, testGame, testProgram, type TestDatabase } from './testing';

const NOW = new Date('2026-10-01T12:00:00Z');
const later = (minutes: number): Date => new Date(NOW.getTime() + 60_000 * minutes);
let database: TestDatabase;
let ours: Actor;
let theirs: Actor;
let guest: Actor;
let game: string;

const clip = (snap: string, note = '') => ({ game, snap, note });
const reel = (name: string, snaps: readonly string[]) => ({
  name,
  sentence: 'Personnel: 12, run',
  source: 'team=AAA&reel=all',
  shared: false,
  clips: snaps.map((s) => clip(s)),
});

beforeAll(async () => {
  database = await openTestDatabase('reels');
  ours = await testProgram('Ours', 'AAA', NOW);
  theirs = await testProgram('Theirs', 'AAA', NOW);
  guest = { ...ours, roles: ['guest'] };
  game = await testGame(ours, 'AAA');
  await saveSnaps(
    ours,
    game,
    ['s1', 's2', 's3', 's4'].map((snapId) => ({
      op: 'put' as const,
      snapId,
      fields: { formation: 'trips' },
    })),
  );
});
afterAll(() => database.close());

describe('a reel', () => {
  it('is kept, listed, opened as it was made', async () => {
    const id = await reels.createReel(ours, reel('Toss to the field', ['s3', 's1']), NOW);
    expect(await reels.openReel(ours, id)).toMatchObject({
      id,
      name: 'Toss to the field',
      clips: [clip('s3'), clip('s1')],
      source: 'team=AAA&reel=all',
      version: 1,
      by: 'Head of AAA',
    });
    expect(await reels.listReels(ours)).toMatchObject([
      { id, name: 'Toss to the field', clips: 2, shared: false },
    ]);
  });
  it('refuses a name that is taken, without case, and a snap that is not there', async () => {
    await expect(reels.createReel(ours, reel('TOSS to the field', ['s1']), NOW)).rejects.toThrow(Invalid);
    await expect(reels.createReel(ours, reel('Another', ['s9']), NOW)).rejects.toThrow(NotFound);
    expect(await reels.listReels(ours)).toHaveLength(1);
  });
  it('two who change it at once: the second is told, nothing of the first is lost', async () => {
    const id = await reels.createReel(ours, reel('Two at once', ['s1', 's2']), NOW);
    const read = await reels.openReel(ours, id);
    const change = (name: string, order: readonly string[]) =>
      reels.changeReel(
        ours,
        {
          id,
          version: read.version,
          name,
          sentence: '',
          shared: false,
          clips: order.map((s) => clip(s, 'n')),
        },
        later(1),
      );
    const both = await Promise.allSettled([change('First', ['s2', 's1']), change('Second', ['s1'])]);
    expect(both.map((b) => b.status).sort()).toEqual(['fulfilled', 'rejected']);
    const kept = await reels.openReel(ours, id);
    expect(kept.version).toBe(2);
    expect(kept.name).toBe(both[0]!.status === 'fulfilled' ? 'First' : 'Second');
    // Adding takes nothing away and needs no version.
    await Promise.all([
      reels.addToReel(ours, id, [clip('s3'), clip('s1')], later(2)),
      reels.addToReel(ours, id, [clip('s4'), clip('s3')], later(2)),
    ]);
    const grown = await reels.openReel(ours, id);
    expect(new Set(grown.clips.map((c) => c.snap)).size).toBe(grown.clips.length);
    for (const snap of ['s1', 's3', 's4']) expect(grown.clips.map((c) => c.snap)).toContain(snap);
    expect(grown.clips.find((c) => c.snap === 's1')?.note).toBe('n');
  });
  it('sent again after a lost answer, each save is the one it was', async () => {
    const made = reel('Sent twice', ['s1', 's2']);
    const id = await reels.createReel(ours, made, NOW);
    expect(await reels.createReel(ours, made, later(1))).toBe(id);
    const change = {
      id,
      version: 1,
      name: 'Sent twice',
      sentence: 'x',
      shared: false,
      clips: [clip('s2', 'n')],
    };
    expect(await reels.changeReel(ours, change, NOW)).toBe(2);
    expect(await reels.changeReel(ours, change, later(1))).toBe(2);
    await expect(reels.changeReel(ours, { ...change, sentence: 'y' }, NOW)).rejects.toThrow(Invalid);
    expect(await reels.addToReel(ours, id, [clip('s3')], NOW)).toBe(2);
    expect(await reels.addToReel(ours, id, [clip('s3')], NOW)).toBe(2);
    expect((await reels.openReel(ours, id)).clips).toEqual([clip('s2', 'n'), clip('s3')]);
  });
  it('a name that is taken meanwhile is refused by name, and the reel stays as it was', async () => {
    const id = await reels.createReel(ours, reel('Mine', ['s1']), NOW);
    await expect(
      reels.changeReel(
        ours,
        { id, version: 1, name: 'toss to the field', sentence: '', shared: false, clips: [clip('s1')] },
        NOW,
      ),
    ).rejects.toThrow(/“toss to the field” already/);
    expect((await reels.openReel(ours, id)).name).toBe('Mine');
  });
  it('keeps a clip whose snap is gone, until it is taken out', async () => {
    const id = await reels.createReel(ours, reel('With a gap', ['s2', 's4']), NOW);
    const one = await reels.openReel(ours, id);
    const change = { id, name: 'With a gap', sentence: '', shared: false };
    await reels.changeReel(ours, { ...change, version: one.version, clips: [clip('s4'), clip('s2')] }, NOW);
    await expect(
      reels.changeReel(ours, { ...change, version: 2, clips: [clip('s4'), clip('never')] }, NOW),
    ).rejects.toThrow(NotFound);
  });
  it('stands beside a sheet against a team of its game, the newest first, and no other', async () => {
    const id = await reels.createReel(ours, reel('Beside the sheet', ['s2']), later(40));
    const [newest] = await reels.reelsAbout(ours, 'AAA');
    expect(newest).toEqual({
      id,
      name: 'Beside the sheet',
      sentence: 'Personnel: 12, run',
      source: 'team=AAA&reel=all',
      clips: [clip('s2')],
      by: 'Head of AAA',
    });
    expect(await reels.reelsAbout(ours, 'ZZZ')).toEqual([]);
    expect(await reels.reelsAbout(theirs, 'AAA')).toEqual([]);
    await expect(reels.reelsAbout(guest, 'AAA')).rejects.toThrow(Refused);
  });

  it('is nobody’s of another program, and a guest’s only when shared', async () => {
    const id = await reels.createReel(ours, reel('Ours alone', ['s1']), NOW);
    await expect(reels.openReel(theirs, id)).rejects.toThrow(NotFound);
    await expect(reels.addToReel(theirs, id, [clip('s1')], NOW)).rejects.toThrow(NotFound);
    await expect(reels.removeReel(theirs, id, NOW)).rejects.toThrow(NotFound);
    await expect(reels.createReel(theirs, reel('Stolen', ['s1']), NOW)).rejects.toThrow(NotFound);
    expect(await reels.listReels(theirs)).toEqual([]);
    await expect(reels.openReel(guest, id)).rejects.toThrow(NotFound);
    await expect(reels.listReels(guest)).rejects.toThrow(Refused);
    await reels.changeReel(
      ours,
      { id, version: 1, name: 'Ours alone', sentence: '', shared: true, clips: [clip('s1')] },
      NOW,
    );
    expect((await reels.openReel(guest, id)).clips).toHaveLength(1);
    await expect(reels.removeReel(guest, id, NOW)).rejects.toThrow(Refused);
    await reels.removeReel(ours, id, NOW);
    await expect(reels.openReel(ours, id)).rejects.toThrow(NotFound);
  });
});

describe('the words of a first page', () => {
  const of = { team: 'BIRCH', side: 'offense' } as const;
  it('are kept by team and side; who saves over what he did not read is refused', async () => {
    expect(await reports.reportWords(ours, of)).toEqual({ edits: NO_EDITS, version: 0 });
    const edits = withWordsFor(NO_EDITS, 'b/personnel/12/run', 'Two tight ends: run');
    const both = await Promise.allSettled([
      reports.setReportWords(ours, of, edits, 0, NOW),
      reports.setReportWords(ours, of, NO_EDITS, 0, NOW),
    ]);
    expect(both.map((b) => b.status).sort()).toEqual(['fulfilled', 'rejected']);
    await reports.setReportWords(ours, of, edits, 1, NOW);
    // The same again: it stands already.
    expect(await reports.setReportWords(ours, of, edits, 1, NOW)).toBe(2);
    await expect(reports.setReportWords(ours, of, NO_EDITS, 1, NOW)).rejects.toThrow(Invalid);
    expect(await reports.reportWords(ours, of)).toEqual({ edits, version: 2 });
    expect(await reports.reportWords(ours, { ...of, side: 'defense' })).toMatchObject({ version: 0 });
    expect(await reports.reportWords(theirs, of)).toMatchObject({ version: 0 });
  });
});

describe('a print', () => {
  const of = { team: 'BIRCH', side: 'defense' } as const;
  const figures = (snaps: number, only = 'games'): PrintedFigures => ({
    only,
    games: ['g'],
    snaps,
    sentences: [],
    tables: { 'd-front': { a: { run: [1, snaps] } } },
  });
  it('is the last of its filters; the same figures again are the same print', async () => {
    await reports.keepPrint(ours, of, figures(10), later(1));
    await reports.keepPrint(ours, of, figures(11, 'games; down:3'), later(2));
    expect(await reports.lastPrint(ours, of, 'games')).toMatchObject({ figures: { snaps: 10 } });
    await reports.keepPrint(ours, of, figures(10), later(3));
    expect((await reports.lastPrint(ours, of, 'games'))!.at).toBe(later(1).toISOString());
    await reports.keepPrint(ours, of, figures(12), later(4));
    expect(await reports.lastPrint(ours, of, 'games')).toMatchObject({ figures: { snaps: 12 } });
    expect(await reports.lastPrint(theirs, of, 'games')).toBeNull();
    expect(await reports.lastPrint(ours, { ...of, side: 'offense' }, 'games')).toBeNull();
  });
  it('the oldest goes when there are twelve; the newest stays', async () => {
    for (let i = 0; i < 20; i++) await reports.keepPrint(ours, of, figures(20 + i), later(10 + i));
    expect(await reports.lastPrint(ours, of, 'games')).toMatchObject({ figures: { snaps: 39 } });
    expect(await reports.lastPrint(ours, of, 'games; down:3')).toBeNull();
  });
});
