/**
 * The box score of a game from its snaps: totals by team and player by the conventions of the level, each with the
 * snaps it comes from. Conventions are from memory: high school and college count a sack as a rush of its loss, the
 * professionals take it off the passing yards; a spike is an incomplete pass; a kneel is a rush; a touchdown by run
 * or pass is a first down of its kind; tries and plays that were called back count nowhere.
 */
import type { WalkedSnap } from '../rules';
import type { Snap } from '../snap';
import type { BoxScore, PlayerLine, PlayerStat, SacksAs, Stat, TeamStat } from './stats';

type Building = Map<string, Map<string, { value: number; snaps: string[] }>>;
function add(to: Building, who: string, stat: string, amount: number, snapId: string): void {
  let stats = to.get(who);
  if (!stats) to.set(who, (stats = new Map()));
  const had = stats.get(stat);
  if (had) {
    had.value += amount;
    if (had.snaps[had.snaps.length - 1] !== snapId) had.snaps.push(snapId);
  } else stats.set(stat, { value: amount, snaps: [snapId] });
}

/** A run, a throw, or neither, as statistics count it. */
export function countedAs(snap: Snap): 'rush' | 'pass' | 'sack' | null {
  if (snap.result === null || snap.result === 'no_play' || snap.result === 'kick' || snap.unit === 'try')
    return null;
  if (snap.unit !== 'scrimmage' && snap.fake !== true) return null;
  if (snap.result === 'sack') return 'sack';
  if (snap.result === 'complete' || snap.result === 'incomplete' || snap.result === 'spike') return 'pass';
  return 'rush';
}

const FIRST: ReadonlySet<string> = new Set(['line-to-gain', 'automatic-first']);
const QUARTER = 900;

export function boxScore(rows: readonly WalkedSnap[], home: string, away: string, sacks: SacksAs): BoxScore {
  const teams: Building = new Map([home, away].map((team) => [team, new Map()]));
  const players: Building = new Map();
  const quarters: Record<string, Record<number, number>> = { [home]: {}, [away]: {} };
  const other = (team: string): string => (team === home ? away : home);
  const trips = new Map<number, Set<string>>();
  for (const row of rows) {
    const { snap, before } = row;
    const offense = snap.offense ?? before.offense;
    if (offense !== home && offense !== away) continue;
    const team = (stat: TeamStat, amount = 1, who = offense): void =>
      add(teams, who, stat, amount, snap.snapId);
    const player = (number: string | null, stat: PlayerStat, amount = 1): void =>
      add(players, `${offense} ${number ?? ''}`, stat, amount, snap.snapId);
    // What the rules make of the play: points that stand, yards walked off, whether it counts at all.
    const score = row.after.steps.find((step) => step.code === 'score')?.facts;
    const scored = typeof score?.by === 'string' && score.by in quarters ? score.by : null;
    if (scored !== null) {
      const points = Number(score!.points);
      team('points', points, scored);
      const quarter = before.quarter ?? 1;
      quarters[scored]![quarter] = (quarters[scored]![quarter] ?? 0) + points;
    }
    for (const penalty of snap.penalties)
      if (penalty.outcome === 'accepted')
        team('penalties', 1, penalty.side === 'o' || penalty.side === 'k' ? offense : other(offense));
    for (const { code, facts } of row.after.steps)
      if (code === 'enforced' || code === 'half-distance')
        team('penalty_yards', Number(facts.yards), facts.side === 'offense' ? offense : other(offense));
    if (snap.unit === 'try') continue;
    if (row.after.wiped) {
      firstDowns(row, null, 0, false, team);
      continue;
    }
    turnovers(row, offense, other(offense), team);
    kicks(row, team, other(offense));
    const as = countedAs(snap);
    const gain = snap.gain ?? 0;
    const touchdown = score?.what === 'touchdown' && scored === offense && as !== null;
    if (as !== null) {
      team('plays');
      team('total_yards', gain);
      const rush = as === 'rush' || (as === 'sack' && sacks === 'rush');
      if (rush) {
        team('rushes');
        team('rush_yards', gain);
        const who =
          as === 'sack'
            ? (snap.passer ?? snap.carrier)
            : (snap.carrier ?? (snap.result === 'gain' ? null : snap.passer));
        player(who, 'rushes');
        player(who, 'rush_yards', gain);
        if (touchdown) {
          team('rush_touchdowns');
          player(who, 'rush_touchdowns');
        }
      }
      if (as === 'sack') {
        team('sacked');
        team('sack_yards', -gain);
        player(snap.passer ?? snap.carrier, 'sacked');
        if (sacks === 'pass') team('pass_yards', gain);
      }
      if (as === 'pass') {
        team('passes');
        player(snap.passer, 'passes');
        if (snap.turnover === 'interception') player(snap.passer, 'intercepted');
        if (snap.result === 'complete') {
          team('completions');
          team('pass_yards', gain);
          player(snap.passer, 'completions');
          player(snap.passer, 'pass_yards', gain);
          player(snap.target, 'catches');
          player(snap.target, 'catch_yards', gain);
          if (touchdown) {
            team('pass_touchdowns');
            player(snap.passer, 'pass_touchdowns');
            player(snap.target, 'catch_touchdowns');
          }
        }
      }
    }
    firstDowns(row, as, gain, touchdown, team);
    const { toGoal } = before;
    if ((as !== null || snap.unit === 'field_goal') && toGoal !== null && toGoal <= 20) {
      const seen = trips.get(row.possession) ?? new Set<string>();
      if (!seen.has('trip')) team('red_zone_trips');
      seen.add('trip');
      trips.set(row.possession, seen);
    }
    if (trips.has(row.possession) && scored === offense) {
      if (touchdown) team('red_zone_touchdowns');
      if (score!.what === 'field_goal') team('red_zone_field_goals');
    }
  }
  const timed = possessionTime(rows, (who, seconds, snapId) =>
    add(teams, who, 'possession_seconds', seconds, snapId),
  );
  const plain = (stats: Map<string, Stat>): Record<string, Stat> => Object.fromEntries(stats);
  return {
    teams: Object.fromEntries([...teams].map(([team, stats]) => [team, plain(stats)])),
    quarters,
    players: [...players]
      .map(([who, stats]): PlayerLine => {
        const [team, number] = who.split(' ');
        return { team: team!, number: number || null, stats: plain(stats) };
      })
      .sort((a, b) => a.team.localeCompare(b.team) || Number(a.number ?? 100) - Number(b.number ?? 100)),
    timed,
    sacks,
  };
}

type Team = (stat: TeamStat, amount?: number, who?: string) => void;

/** A fumble on a kick or after an interception is that of the men who had caught it. */
function turnovers({ snap, after }: WalkedSnap, offense: string, defense: string, team: Team): void {
  const kick = snap.result === 'kick';
  if (snap.turnover === 'interception') {
    team('intercepted');
    team('turnovers');
  }
  const muffed = kick && snap.kickEnd === 'muffed' && after.state.offense === offense;
  if (snap.fumble === null && snap.turnover !== 'fumble' && !muffed) return;
  const who = kick || snap.turnover === 'interception' ? defense : offense;
  team('fumbles', 1, who);
  if (snap.turnover === 'fumble' || snap.fumble === 'lost' || muffed) {
    team('fumbles_lost', 1, who);
    team('turnovers', 1, who);
  }
}

function kicks({ snap, after }: WalkedSnap, team: Team, receivers: string): void {
  if (snap.unit === 'punt' && snap.result === 'kick') {
    team('punts');
    team('punt_yards', snap.kickYards ?? 0);
    if (snap.kickEnd === 'returned') {
      team('punt_returns', 1, receivers);
      team('punt_return_yards', snap.returnYards ?? 0, receivers);
    }
  }
  if ((snap.unit === 'kickoff' || snap.unit === 'free_kick') && snap.kickEnd === 'returned') {
    team('kick_returns', 1, receivers);
    team('kick_return_yards', snap.returnYards ?? 0, receivers);
  }
  if (snap.unit === 'field_goal' && snap.result === 'kick') {
    team('field_goals');
    if (after.steps.some((step) => step.code === 'score' && step.facts.what === 'field_goal'))
      team('field_goals_made');
  }
}

function firstDowns(
  { snap, before, after }: WalkedSnap,
  as: ReturnType<typeof countedAs>,
  gain: number,
  touchdown: boolean,
  team: Team,
): void {
  const kept = after.state.offense === (snap.offense ?? before.offense);
  const made = touchdown || (kept && after.steps.some((step) => FIRST.has(step.code)));
  const reached = as !== null && before.distance !== null && gain >= before.distance;
  if (made) {
    team('first_downs');
    team(
      touchdown || reached
        ? as === 'pass'
          ? 'first_downs_pass'
          : 'first_downs_rush'
        : 'first_downs_penalty',
    );
  }
  if (as === null) return;
  const down = before.down;
  if (down === 3 || down === 4) {
    team(down === 3 ? 'third_downs' : 'fourth_downs');
    if (made) team(down === 3 ? 'third_downs_made' : 'fourth_downs_made');
  }
}

/** Seconds from the first snap of a possession to the first of the next, where the clock says both in one quarter or the next. */
function possessionTime(
  rows: readonly WalkedSnap[],
  give: (team: string, seconds: number, snapId: string) => void,
) {
  const firsts = rows.filter((row) => row.firstOfPossession && row.before.offense !== null);
  let n = 0;
  firsts.forEach((row, i) => {
    const now = at(row);
    const next = firsts[i + 1] ? at(firsts[i + 1]!) : null;
    if (now === null || next === null || next < now) return;
    n++;
    give(row.before.offense!, next - now, row.snap.snapId);
  });
  return { n, of: firsts.length };
}
/** Seconds since the kickoff. */
function at({ snap, before }: WalkedSnap): number | null {
  const clock = snap.clock ?? before.clock;
  const quarter = snap.quarter ?? before.quarter;
  return clock === null || quarter === null || quarter > 4
    ? null
    : (quarter - 1) * QUARTER + (QUARTER - clock);
}
