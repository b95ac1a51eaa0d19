/** Drives against a plain walk over the snaps of the demo's league, whose simulator knows them. */
import { describe, expect, it } from 'vitest';
import { DEMO_SEED, simulateSeason } from '../../demo/league';
import { COLLEGE } from '../field';
import { buildColumns, countGame, driveReel, drivesOf, isTendency, select } from './index';

const games = simulateSeason(DEMO_SEED, { tells: true, weeks: 3 });
const counted = games.flatMap((g) => countGame(g.snaps, COLLEGE));
const columns = buildColumns(counted);

describe.each([...new Set(games.map((g) => g.home))])('drives of %s', (team) => {
  const rows = select(columns, { offense: [team] });
  const drives = drivesOf(counted, rows);

  it('hold each play of its possessions once, in order', () => {
    const plays = [...rows].filter((r) => counted[r]!.snap.unit !== 'try');
    expect(drives.flatMap((d) => [...d.rows])).toEqual(plays);
    for (const { rows: of, game } of drives) {
      expect(new Set([...of].map((r) => counted[r]!.possession)).size).toBe(1);
      expect([...of].every((r) => counted[r]!.snap.game === game && isTendency(counted[r]!))).toBe(true);
    }
  });

  it('begin where the first play is spotted; yards gained are those of the plays, but for fouls and turnovers', () => {
    let checked = 0;
    for (const drive of drives) {
      const all = [...drive.rows].map((r) => counted[r]!.snap);
      expect(drive.from).toBe(all[0]!.toGoal);
      if (drive.end === 'touchdown') expect(drive.to).toBe(0);
      // Between the plays nothing may have moved the ball.
      const number = (r: number): number => counted[r]!.number;
      const unbroken = [...drive.rows].every(
        (r, i, list) => i === 0 || number(r) === number(list[i - 1]!) + 1,
      );
      if (!unbroken || all.some((s) => s.penalties.length > 0 || s.turnover !== null || s.gain === null))
        continue;
      const gained = all.reduce((sum, s) => sum + (s.result === 'incomplete' ? 0 : s.gain!), 0);
      if (drive.end !== 'touchdown') expect(drive.from! - drive.to!).toBe(gained);
      checked++;
    }
    expect(checked).toBeGreaterThan(5);
  });

  it('are found by name; a name that is none finds nothing', () => {
    for (const drive of drives) {
      const { title, rows: found } = driveReel(`v/${drive.key}`, counted, rows);
      expect(found).toEqual(drive.rows);
      expect(title).toMatch(/^Drive \d+/);
    }
    expect(driveReel('v/none~1', counted, rows).rows.length).toBe(0);
  });
});
