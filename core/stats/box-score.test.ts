/** Totals of the demo's games computed by independent few lines; conventions by worked examples, from memory. */
import { describe, expect, it } from 'vitest';
import { COLLEGE, PROFESSIONAL } from '../field';
import { walkGame } from '../rules';
import { blankSnap, SCORE_POINTS, type Snap, type SnapFields } from '../snap';
import { DEMO_SEED, simulateSeason } from '../../demo/league';
import { boxScore, PLAYER_STATS, sacksAt, STAT_LABEL, TEAM_STATS } from './index';

const games = simulateSeason(DEMO_SEED, { tells: true, weeks: 3 });
const sum = (list: readonly Snap[], of: (s: Snap) => number): number => list.reduce((n, s) => n + of(s), 0);

describe('the demo’s games, a second, plain way', () => {
  it.each(games.map((g) => [g.key, g] as const))('%s', (_, game) => {
    const rows = walkGame(game.snaps, COLLEGE);
    const box = boxScore(rows, game.home, game.away, 'rush');
    for (const team of [game.home, game.away]) {
      const stat = (name: (typeof TEAM_STATS)[number]): number => box.teams[team]![name]?.value ?? 0;
      const mine = game.snaps.filter((s) => s.offense === team && s.unit !== 'try' && s.result !== 'no_play');
      const plays = mine.filter((s) => s.unit === 'scrimmage' && s.result !== 'kick' && s.result !== null);
      const passes = plays.filter((s) => ['complete', 'incomplete', 'spike'].includes(s.result!));
      const sacks = plays.filter((s) => s.result === 'sack');
      const runs = plays.filter((s) => !passes.includes(s) && !sacks.includes(s));
      expect(stat('points')).toBe(
        sum(
          game.snaps.filter((s) => s.scoredBy === team && s.score),
          (s) => SCORE_POINTS[s.score!],
        ),
      );
      expect(stat('plays')).toBe(plays.length);
      expect(stat('passes')).toBe(passes.length);
      expect(stat('completions')).toBe(passes.filter((s) => s.result === 'complete').length);
      expect(stat('pass_yards')).toBe(
        sum(
          passes.filter((s) => s.result === 'complete'),
          (s) => s.gain ?? 0,
        ),
      );
      expect(stat('rushes')).toBe(runs.length + sacks.length);
      expect(stat('rush_yards')).toBe(sum([...runs, ...sacks], (s) => s.gain ?? 0));
      expect(stat('total_yards')).toBe(stat('rush_yards') + stat('pass_yards'));
      expect(stat('intercepted')).toBe(mine.filter((s) => s.turnover === 'interception').length);
      expect(stat('punts')).toBe(mine.filter((s) => s.unit === 'punt').length);
      expect(stat('penalties')).toBe(
        sum(
          game.snaps,
          (s) =>
            s.penalties.filter(
              (p) => p.outcome === 'accepted' && (p.side === 'o' || p.side === 'k') === (s.offense === team),
            ).length,
        ),
      );
      expect(stat('first_downs')).toBe(
        stat('first_downs_rush') + stat('first_downs_pass') + stat('first_downs_penalty'),
      );
      // First downs from what was logged alone.
      const first = game.snaps.filter(
        (s) =>
          s.offense === team &&
          s.unit === 'scrimmage' &&
          ((plays.includes(s) && s.score === 'touchdown' && s.scoredBy === team) ||
            (plays.includes(s) &&
              s.turnover === null &&
              s.gain !== null &&
              s.distance !== null &&
              s.gain >= s.distance) ||
            s.penalties.some(
              (p) =>
                p.outcome === 'accepted' &&
                p.side === 'd' &&
                (p.extra === '1st' || Math.min(p.yards ?? 0, (s.toGoal ?? 0) / 2) >= (s.distance ?? 99)),
            )),
      );
      expect(box.teams[team]!.first_downs?.snaps ?? []).toEqual(first.map((s) => s.snapId));
      const kicks = (unit: string): Snap[] => mine.filter((s) => s.unit === unit && s.result === 'kick');
      expect(stat('punt_yards')).toBe(sum(kicks('punt'), (s) => s.kickYards ?? 0));
      expect(stat('field_goals')).toBe(kicks('field_goal').length);
      expect(stat('field_goals_made')).toBe(kicks('field_goal').filter((s) => s.kickEnd === 'good').length);
      const theirs = game.snaps.filter(
        (s) => s.offense !== team && s.kickEnd === 'returned' && s.result === 'kick',
      );
      expect(stat('kick_return_yards') + stat('punt_return_yards')).toBe(
        sum(theirs, (s) => s.returnYards ?? 0),
      );
      // Drives: snaps on end of one offense between kickoffs.
      const drives: Snap[][] = [];
      let open: string | null = null;
      for (const s of game.snaps) {
        if (s.unit === 'kickoff' || s.unit === 'free_kick' || s.unit === 'try' || s.quarter === 3) {
          if (s.unit !== 'scrimmage' && s.unit !== 'punt' && s.unit !== 'field_goal') {
            open = null;
            continue;
          }
        }
        if (open !== s.offense) drives.push([]);
        open = s.offense;
        drives[drives.length - 1]!.push(s);
      }
      const red = drives.filter(
        (d) =>
          d[0]!.offense === team &&
          d.some((s) => s.toGoal! <= 20 && s.unit !== 'punt' && s.result !== 'no_play'),
      );
      expect(stat('red_zone_trips')).toBe(red.length);
      expect(stat('red_zone_field_goals')).toBe(
        red.filter((d) => d.some((s) => s.score === 'field_goal')).length,
      );
      expect(Object.values(box.quarters[team]!).reduce((a, b) => a + b, 0)).toBe(stat('points'));
      // Players sum to their team.
      for (const name of [
        'rushes',
        'rush_yards',
        'passes',
        'completions',
        'pass_yards',
        'rush_touchdowns',
        'pass_touchdowns',
      ] as const)
        expect(
          box.players.filter((p) => p.team === team).reduce((n, p) => n + (p.stats[name]?.value ?? 0), 0),
        ).toBe(stat(name));
      for (const [name, { snaps }] of Object.entries(box.teams[team]!))
        for (const id of snaps) expect([name, game.snaps.some((s) => s.snapId === id)]).toEqual([name, true]);
    }
  });
});

describe('conventions (from memory)', () => {
  const play = (order: number, fields: SnapFields): Snap => ({
    ...blankSnap(`s${order}`, 'g', order),
    offense: 'AAA',
    defense: 'BBB',
    unit: 'scrimmage',
    quarter: 1,
    down: 1,
    distance: 10,
    toGoal: 60,
    ...fields,
  });
  const box = (snaps: Snap[], sacks: 'rush' | 'pass') =>
    boxScore(walkGame(snaps, COLLEGE), 'AAA', 'BBB', sacks).teams.AAA!;
  const sack = [play(1, { play: 'pass', result: 'sack', passer: '7', gain: -8 })];
  it('a sack is a rush of its loss in high school and college, off the passing yards of the professionals', () => {
    expect([sacksAt('high_school'), sacksAt('college'), sacksAt('professional')]).toEqual([
      'rush',
      'rush',
      'pass',
    ]);
    expect([
      box(sack, 'rush').rushes?.value,
      box(sack, 'rush').rush_yards?.value,
      box(sack, 'rush').pass_yards,
    ]).toEqual([1, -8, undefined]);
    expect([
      box(sack, 'pass').rushes,
      box(sack, 'pass').pass_yards?.value,
      box(sack, 'pass').total_yards?.value,
    ]).toEqual([undefined, -8, -8]);
    expect(PROFESSIONAL.key).toBe('professional');
  });
  it('a spike is an incomplete pass, a kneel a rush, a scramble a rush of the passer; called back counts nowhere', () => {
    const made = box(
      [
        play(1, { result: 'spike', play: 'other' }),
        play(2, { result: 'kneel', play: 'other', gain: -2, down: 2 }),
        play(3, {
          result: 'scramble',
          play: 'pass',
          passer: '7',
          gain: 9,
          down: 3,
          distance: 12,
          toGoal: 62,
        }),
        play(4, { result: 'no_play', play: 'run', gain: null, down: 4, distance: 3, toGoal: 53 }),
      ],
      'rush',
    );
    expect([
      made.passes?.value,
      made.completions,
      made.rushes?.value,
      made.rush_yards?.value,
      made.plays?.value,
    ]).toEqual([1, undefined, 2, 7, 3]);
  });
  it('a third down made by a run is a first down by run; by a flag alone, by penalty', () => {
    const run = box([play(1, { play: 'run', result: 'gain', gain: 5, down: 3, distance: 4 })], 'rush');
    expect([run.third_downs?.value, run.third_downs_made?.value, run.first_downs_rush?.value]).toEqual([
      1, 1, 1,
    ]);
    const flag = box(
      [
        play(1, {
          play: 'pass',
          result: 'incomplete',
          gain: 0,
          down: 3,
          distance: 4,
          penalties: [
            {
              side: 'd',
              name: 'pass interference',
              yards: 12,
              from: 'prev',
              outcome: 'accepted',
              extra: '1st',
            },
          ],
        }),
      ],
      'rush',
    );
    expect([flag.first_downs?.value, flag.first_downs_penalty?.value]).toEqual([1, 1]);
  });
  it('a score that a foul takes off is no points, no yards, no play; its flag counts', () => {
    const made = box(
      [
        play(1, {
          play: 'run',
          result: 'gain',
          gain: 60,
          score: 'touchdown',
          scoredBy: 'AAA',
          penalties: [
            { side: 'o', name: 'holding', yards: 10, from: 'prev', outcome: 'accepted', extra: '' },
          ],
        }),
      ],
      'rush',
    );
    expect([made.points, made.plays, made.rush_yards, made.first_downs]).toEqual([
      undefined,
      undefined,
      undefined,
      undefined,
    ]);
    expect([made.penalties?.value, made.penalty_yards?.value]).toEqual([1, 10]);
  });
  it('half the distance is the yards that were walked off', () => {
    const near = [
      play(1, {
        toGoal: 4,
        distance: 4,
        result: 'no_play',
        penalties: [{ side: 'd', name: 'offside', yards: 5, from: 'prev', outcome: 'accepted', extra: '' }],
      }),
    ];
    const both = boxScore(walkGame(near, COLLEGE), 'AAA', 'BBB', 'rush').teams.BBB!;
    expect([both.penalties?.value, both.penalty_yards?.value]).toEqual([1, 2]);
  });
  it('a fumble on a return is the returners’, one after an interception the defense’s', () => {
    const all = (snaps: Snap[]) => boxScore(walkGame(snaps, COLLEGE), 'AAA', 'BBB', 'rush').teams;
    const kick = all([
      play(1, {
        unit: 'punt',
        result: 'kick',
        kickYards: 40,
        kickEnd: 'returned',
        returnYards: 5,
        fumble: 'lost',
        down: 4,
      }),
    ]);
    expect([kick.AAA!.fumbles, kick.BBB!.fumbles_lost?.value, kick.BBB!.turnovers?.value]).toEqual([
      undefined,
      1,
      1,
    ]);
    const back = all([
      play(1, {
        play: 'pass',
        result: 'incomplete',
        gain: 0,
        turnover: 'interception',
        turnoverYards: 12,
        returnYards: 3,
        fumble: 'lost',
      }),
    ]);
    expect([back.AAA!.turnovers?.value, back.AAA!.fumbles, back.BBB!.fumbles_lost?.value]).toEqual([
      1,
      undefined,
      1,
    ]);
  });
  it('every stat has words', () => {
    for (const stat of TEAM_STATS) expect(STAT_LABEL[stat].length).toBeGreaterThan(2);
    expect(PLAYER_STATS.length).toBe(12);
  });
});
