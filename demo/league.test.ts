import { describe, expect, it } from 'vitest';
import { lookFacts, lookOf } from '../core/book';
import { DEFAULT_BOOK } from '../core/book/default-book';
import { COLLEGE, zoneSetFaults, DEFAULT_ZONES } from '../core/field';
import { legality } from '../core/look';
import { CLUBS } from './clubs';
import {
  DEMO_SEED,
  fixtures,
  loggedGames,
  NEXT_OPPONENT,
  PROGRAM,
  rosterOf,
  simulateSeason,
  THIS_WEEK,
} from './league';
import { PLANTED_TELLS } from './truth';

const season = simulateSeason(DEMO_SEED, { tells: true });
const logged = loggedGames(season);

describe('the demo league', () => {
  it('gives the same bytes for the same seed, others for another', () => {
    expect(JSON.stringify(simulateSeason(DEMO_SEED, { tells: true }))).toBe(JSON.stringify(season));
    expect(JSON.stringify(simulateSeason(DEMO_SEED + 1, { tells: true, weeks: 1 }))).not.toBe(
      JSON.stringify(season.slice(0, 4)),
    );
  });
  it('plays every club once a week for twelve weeks', () => {
    for (let week = 1; week <= 12; week++)
      expect(fixtures(week).flat().sort()).toEqual(CLUBS.map((c) => c.key).sort());
    expect(season).toHaveLength(48);
    for (const g of season) expect(g.snaps.length).toBeGreaterThan(120);
  });
  it('leaves four logged games of the next opponent and a half-logged one', () => {
    expect(fixtures(THIS_WEEK).some((p) => p.includes(PROGRAM) && p.includes(NEXT_OPPONENT))).toBe(true);
    const theirs = logged.filter((g) => g.home === NEXT_OPPONENT || g.away === NEXT_OPPONENT);
    expect(theirs.filter((g) => g.logged.length === g.snaps.length)).toHaveLength(4);
    expect(theirs.filter((g) => g.logged.length < g.snaps.length)).toHaveLength(1);
  });
  it('charts throws, rushes and missed tackles of the opponent’s whole games, and nothing that the rules doubt', () => {
    const whole = logged.filter(
      (g) => (g.home === NEXT_OPPONENT || g.away === NEXT_OPPONENT) && g.logged.length === g.snaps.length,
    );
    let throws = 0;
    for (const g of whole)
      for (const snap of g.logged) {
        if (snap.targetDepth === null) continue;
        throws++;
        const depth = Number(snap.targetDepth);
        expect(['complete', 'incomplete'], snap.snapId).toContain(snap.result);
        if (snap.result === 'complete') expect(depth, snap.snapId).toBeLessThanOrEqual(snap.gain!);
        expect(snap.targetThird, snap.snapId).not.toBeNull();
      }
    expect(throws).toBeGreaterThan(200);
    expect(whole.flatMap((g) => g.logged.flatMap((s) => s.missedTackles)).length).toBeGreaterThan(20);
    expect(whole.flatMap((g) => g.logged.flatMap((s) => s.rushWon)).length).toBeGreaterThan(20);
  });
  it('holds the planted tells at the size it says', () => {
    const calls = logged
      .filter((g) => g.home === NEXT_OPPONENT || g.away === NEXT_OPPONENT)
      .flatMap((g) => g.calls.filter((c) => g.logged.some((s) => s.snapId === c.snapId)));
    for (const tell of PLANTED_TELLS.filter((t) => t.club === NEXT_OPPONENT)) {
      const hits = calls.filter((c) => c.tells.includes(tell.id));
      const shift = hits.reduce((sum, c) => sum + (c.called - c.situation), 0) / hits.length;
      if (tell.strength === '30x40')
        expect([hits.length >= 30, Math.abs(shift) >= 0.4]).toEqual([true, true]);
      if (tell.strength === '20x50')
        expect([hits.length >= 20, Math.abs(shift) >= 0.5]).toEqual([true, true]);
      if (tell.strength === 'too-weak') expect(Math.abs(shift)).toBeLessThan(0.3);
    }
  });
  it('counts receivers as the book’s structure does, before and at the snap, in every snap', () => {
    let seen = 0;
    for (const g of season.slice(0, 12))
      for (const s of g.snaps) {
        if (s.formation === null) continue;
        const facts = lookFacts(DEFAULT_BOOK, s, COLLEGE);
        const label = (l: unknown, r: unknown) =>
          `${Math.max(Number(l), Number(r))}x${Math.min(Number(l), Number(r))}`;
        expect([facts.structure, facts.structureSnap], `${s.snapId} ${s.formation} ${s.motion}`).toEqual([
          label(s.receiversLeftSet, s.receiversRightSet),
          label(s.receiversLeftSnap, s.receiversRightSnap),
        ]);
        seen++;
      }
    expect(seen).toBeGreaterThan(1000);
  });
  it('lines up no picture that its people cannot fill or the rulebook would flag', () => {
    for (const s of season[0]!.snaps) {
      if (s.formation === null) continue;
      const men = lookOf(DEFAULT_BOOK, s, COLLEGE)!.offense;
      expect(legality(men.men, COLLEGE), s.formation).toEqual([]);
    }
  });
  it('has a null league where nothing but the situation decides', () => {
    for (const g of simulateSeason(DEMO_SEED, { tells: false, weeks: 2 }))
      for (const c of g.calls) expect(c.called).toBeCloseTo(c.situation, 1);
  });
  it('dresses a roster with one number worn by two men', () => {
    const numbers = rosterOf(PROGRAM).map((p) => p.number);
    expect(numbers.length - new Set(numbers).size).toBe(1);
  });
});

it('the default zones cover 1 to 99 once', () => {
  expect(zoneSetFaults(DEFAULT_ZONES)).toEqual([]);
});
