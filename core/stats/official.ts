/** The official scorer's figures from a table somebody has: a row a figure, a column a team. */
import { STAT_LABEL, TEAM_STATS, type TeamStat } from './stats';

export interface OfficialFigure {
  readonly team: string;
  readonly stat: TeamStat;
  readonly figure: number;
}
export interface ReadOfficial {
  readonly figures: readonly OfficialFigure[];
  /** Rows that are not taken, each with why; rows are figures, the heading, blank, or here. */
  readonly unread: readonly { readonly row: number; readonly text: string; readonly why: string }[];
}

/** Figures that stand in one cell with dashes between them, in their usual order (common practice). */
const TOGETHER: readonly (readonly [RegExp, readonly TeamStat[]])[] = [
  [/^rush(es|ing)?[ -]+(att\.?[ -]+)?(yards|yds)$/, ['rushes', 'rush_yards']],
  [/^(passes )?(comp|cmp|c)[-/ ]+(att|a)[-/ ]+(int|i)$/, ['completions', 'passes', 'intercepted']],
  [/^penalt(y|ies)[ -]+(yards|yds)$/, ['penalties', 'penalty_yards']],
  [/^fumbles?[ -]+lost$/, ['fumbles', 'fumbles_lost']],
  [/^(3rd|third)[ -]downs?( made)?[ -]*(conv.*|of|-att.*)?$/, ['third_downs_made', 'third_downs']],
  [/^(4th|fourth)[ -]downs?( made)?[ -]*(conv.*|of|-att.*)?$/, ['fourth_downs_made', 'fourth_downs']],
  [/^sacks?( by)?[ -]+(yards|yds)$/, ['sacked', 'sack_yards']],
  [/^punts?[ -]+(yards|yds)$/, ['punts', 'punt_yards']],
  [/^field goals?( made)?[ -]*(att.*|of)?$/, ['field_goals_made', 'field_goals']],
];
/** Other names of a figure (common practice). */
const ALSO: Readonly<Record<string, TeamStat>> = {
  score: 'points',
  'final score': 'points',
  'total first downs': 'first_downs',
  'first downs rushing': 'first_downs_rush',
  'rushing first downs': 'first_downs_rush',
  'first downs passing': 'first_downs_pass',
  'passing first downs': 'first_downs_pass',
  'first downs penalty': 'first_downs_penalty',
  'total plays': 'plays',
  'total offense': 'total_yards',
  'net yards rushing': 'rush_yards',
  'rushing attempts': 'rushes',
  'net yards passing': 'pass_yards',
  'pass attempts': 'passes',
  attempts: 'passes',
  interceptions: 'intercepted',
  'interceptions thrown': 'intercepted',
};
const plain = (text: string): string => text.trim().toLowerCase().replace(/\s+/g, ' ');
const NAMES: ReadonlyMap<string, TeamStat> = new Map<string, TeamStat>([
  ...TEAM_STATS.flatMap((stat): [string, TeamStat][] => [
    [STAT_LABEL[stat], stat],
    [stat.replace(/_/g, ' '), stat],
    [stat, stat],
  ]),
  ...Object.entries(ALSO),
]);

/** `teams`: keys of the two teams with the names they go by; without a heading the first column is the first team's. */
export function readOfficial(
  cells: readonly (readonly string[])[],
  teams: readonly (readonly [key: string, ...names: string[]])[],
): ReadOfficial {
  const teamOf = (cell: string): string | null =>
    teams.find((names) => names.some((name) => plain(name) === plain(cell)))?.[0] ?? null;
  let columns: (string | null)[] | null = null;
  const figures: OfficialFigure[] = [];
  const unread: { row: number; text: string; why: string }[] = [];
  cells.forEach((row, i) => {
    if (row.every((c) => c.trim() === '')) return;
    if (columns === null) {
      const named = row.map((cell, c) => (c === 0 ? null : teamOf(cell)));
      if (named.filter(Boolean).length === 2) {
        columns = named;
        return;
      }
      columns = [null, ...teams.map(([key]) => key)];
    }
    const text = row.filter((c) => c !== '').join(' ');
    const name = plain(row[0] ?? '');
    const said = columns.flatMap((team, c) =>
      team === null || !row[c]?.trim() ? [] : [[team, row[c].trim()] as const],
    );
    const parts = said.map(([, figure]) => figure.split(/(?<=\d)\s*[-/]\s*|\s+of\s+/));
    const together = TOGETHER.find(
      ([form, stats]) => form.test(name) && parts.every((p) => p.length === stats.length),
    )?.[1];
    const single = NAMES.get(name);
    const stats = together ?? (single && parts.every((p) => p.length === 1) ? [single] : null);
    const refuse = (why: string): void => void unread.push({ row: i + 1, text, why });
    if (!stats)
      return refuse(
        single ? 'its figures are not one number each' : 'no figure of the box score goes by that name',
      );
    if (stats.includes('possession_seconds')) return refuse('the time of possession is not compared');
    if (said.length === 0) return refuse('there is no figure');
    if (parts.some((p) => p.some((n) => !/^-?\d{1,4}$/.test(n)))) return refuse('a figure is a whole number');
    said.forEach(([team], t) =>
      stats.forEach((stat, s) => figures.push({ team, stat, figure: Number(parts[t]![s]) })),
    );
  });
  return { figures, unread };
}
