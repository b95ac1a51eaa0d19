/** What a box score holds, and in which words. */
import type { LevelKey } from '../field/profile';

export const SACKS_AS = ['rush', 'pass'] as const;
/** Where the yards of a sack go. */
export type SacksAs = (typeof SACKS_AS)[number];
export const sacksAt = (level: LevelKey): SacksAs => (level === 'professional' ? 'pass' : 'rush');

export const TEAM_STATS = [
  'points',
  'first_downs',
  'first_downs_rush',
  'first_downs_pass',
  'first_downs_penalty',
  'plays',
  'total_yards',
  'rushes',
  'rush_yards',
  'rush_touchdowns',
  'passes',
  'completions',
  'pass_yards',
  'pass_touchdowns',
  'intercepted',
  'sacked',
  'sack_yards',
  'third_downs',
  'third_downs_made',
  'fourth_downs',
  'fourth_downs_made',
  'red_zone_trips',
  'red_zone_touchdowns',
  'red_zone_field_goals',
  'penalties',
  'penalty_yards',
  'fumbles',
  'fumbles_lost',
  'turnovers',
  'punts',
  'punt_yards',
  'punt_returns',
  'punt_return_yards',
  'kick_returns',
  'kick_return_yards',
  'field_goals',
  'field_goals_made',
  'possession_seconds',
] as const;
export type TeamStat = (typeof TEAM_STATS)[number];
export const STAT_LABEL: Readonly<Record<TeamStat, string>> = {
  points: 'points',
  first_downs: 'first downs',
  first_downs_rush: 'by run',
  first_downs_pass: 'by pass',
  first_downs_penalty: 'by penalty',
  plays: 'plays',
  total_yards: 'total yards',
  rushes: 'rushes',
  rush_yards: 'rushing yards',
  rush_touchdowns: 'rushing touchdowns',
  passes: 'passes',
  completions: 'completions',
  pass_yards: 'passing yards',
  pass_touchdowns: 'passing touchdowns',
  intercepted: 'intercepted',
  sacked: 'sacked',
  sack_yards: 'yards lost by sacks',
  third_downs: 'third downs',
  third_downs_made: 'third downs made',
  fourth_downs: 'fourth downs gone for',
  fourth_downs_made: 'fourth downs made',
  red_zone_trips: 'red zone trips',
  red_zone_touchdowns: 'red zone touchdowns',
  red_zone_field_goals: 'red zone field goals',
  penalties: 'penalties',
  penalty_yards: 'penalty yards',
  fumbles: 'fumbles',
  fumbles_lost: 'fumbles lost',
  turnovers: 'turnovers',
  punts: 'punts',
  punt_yards: 'punt yards',
  punt_returns: 'punt returns',
  punt_return_yards: 'punt return yards',
  kick_returns: 'kickoff returns',
  kick_return_yards: 'kickoff return yards',
  field_goals: 'field goals tried',
  field_goals_made: 'field goals made',
  possession_seconds: 'time of possession',
};
export const PLAYER_STATS = [
  'rushes',
  'rush_yards',
  'rush_touchdowns',
  'passes',
  'completions',
  'pass_yards',
  'pass_touchdowns',
  'intercepted',
  'sacked',
  'catches',
  'catch_yards',
  'catch_touchdowns',
] as const;
export type PlayerStat = (typeof PLAYER_STATS)[number];

export interface Stat {
  readonly value: number;
  /** Snaps that it comes from, in order. */
  readonly snaps: readonly string[];
}
export interface PlayerLine {
  readonly team: string;
  /** Null: nobody was named. */
  readonly number: string | null;
  readonly stats: Readonly<Partial<Record<PlayerStat, Stat>>>;
}
export interface BoxScore {
  readonly teams: Readonly<Record<string, Readonly<Partial<Record<TeamStat, Stat>>>>>;
  /** Points by quarter, from 1; overtime is 5 and on. */
  readonly quarters: Readonly<Record<string, Readonly<Record<number, number>>>>;
  readonly players: readonly PlayerLine[];
  /** Possessions whose length the clock gives, of all; the time of possession is theirs. */
  readonly timed: { readonly n: number; readonly of: number };
  readonly sacks: SacksAs;
}
