/** Who has the ball in a row, then what follows from it: spots, goal to go, carrier or target, results. */
import { SNAP_FIELD_NAMES, type SnapFields } from '../snap';
import type { Reading } from './reading';

const SNAP_KEYS: ReadonlySet<string> = new Set(SNAP_FIELD_NAMES);
/** Facts of the snap in a reading, without what is only on the way. */
export function factsOf(reading: Reading): SnapFields {
  return Object.fromEntries(
    Object.entries(reading).filter(
      ([key, value]) => SNAP_KEYS.has(key) && key !== 'game' && key !== 'order' && value !== undefined,
    ),
  ) as SnapFields;
}
export interface Settled {
  readonly row: number;
  readonly fields: SnapFields;
}
/** Names of teams in a reading: who has the ball, whose half. */
export const teamsIn = ({ team, offenseTeam, defenseTeam, spot }: Reading): string[] =>
  [team, offenseTeam, defenseTeam, typeof spot?.half === 'object' ? spot.half.team : undefined].filter(
    (name): name is string => name !== undefined,
  );

/** The same reading with the teams that the names mean. */
export function withTeams(reading: Reading, aliases: ReadonlyMap<string, string>): Reading {
  const called = (name: string): string => aliases.get(name) ?? name;
  const { team, offenseTeam, defenseTeam, spot } = reading;
  return {
    ...reading,
    ...(team === undefined ? {} : { team: called(team) }),
    ...(offenseTeam === undefined ? {} : { offenseTeam: called(offenseTeam) }),
    ...(defenseTeam === undefined ? {} : { defenseTeam: called(defenseTeam) }),
    ...(typeof spot?.half === 'object' ? { spot: { ...spot, half: { team: called(spot.half.team) } } } : {}),
  };
}

/** Who has the ball, then what follows from it: spots, goal to go, carrier or target, results. */
export function settleTeams(
  read: readonly { readonly row: number; readonly reading: Reading }[],
  teams: ReadonlySet<string>,
  options: { readonly team?: string | null; readonly opponent?: string | null },
): (Settled | { readonly row: number; readonly value: string; readonly reason: string })[] {
  const halves = new Map<string, string>();
  for (const { reading } of read)
    if (reading.spot && typeof reading.spot.half === 'object')
      halves.set(reading.spot.half.team.toLowerCase(), reading.spot.half.team);
  const named = [
    ...teams,
    ...[...halves.values()].filter((half) => ![...teams].some((t) => sameTeam(t, half))),
  ];
  const us = options.team ?? null;
  const others = us === null ? [] : named.filter((t) => !sameTeam(t, us));
  const them = options.opponent ?? (others.length === 1 ? others[0]! : null);
  const other = (team: string): string | null =>
    us !== null && sameTeam(team, us)
      ? them
      : them !== null && sameTeam(team, them)
        ? us
        : named.length === 2
          ? named.find((t) => !sameTeam(t, team))!
          : null;
  /** Who has the ball in the next row that says so: a kickoff is the other team's. */
  const next = (from: number): string | null => {
    for (const { reading } of read.slice(from + 1)) {
      const said =
        reading.team ??
        reading.offenseTeam ??
        (reading.phase === 'O' ? us : reading.phase === 'D' ? them : null);
      if (said) return said;
    }
    return null;
  };
  let last: string | null = null;
  return read.map(({ row, reading }, at) => {
    const { spot, player, goalToGo, team, offenseTeam, defenseTeam, phase } = reading;
    const fields: Record<string, unknown> = { ...factsOf(reading) };
    let offense: string | null = team ?? offenseTeam ?? null;
    if (offense === null && phase === 'O') offense = us;
    else if (offense === null && phase === 'D') offense = them;
    // A kick is by who had the ball; a kickoff is the other's than who then has it.
    else if (offense === null && phase === 'K') {
      const after = next(at);
      const kickoff = fields.unit === 'kickoff' || (fields.unit === undefined && fields.down === undefined);
      offense = kickoff && after !== null ? other(after) : (last ?? us);
    } else if (offense === null && defenseTeam) offense = other(defenseTeam);
    else if (offense === null && !teams.size) offense = us;
    last = offense ?? last;
    fields.offense = offense;
    fields.defense = defenseTeam ?? (offense === null ? null : other(offense));
    if (phase === 'K' && fields.unit === undefined) {
      fields.unit = fields.down === 4 ? 'punt' : fields.down === undefined ? 'kickoff' : 'field_goal';
      fields.notSure = ['unit'];
    }
    if (spot) {
      if (spot.half === 'middle') fields.toGoal = 50;
      else if (spot.half === 'own') fields.toGoal = 100 - spot.yard;
      else if (spot.half === 'their') fields.toGoal = spot.yard;
      else {
        const half = spot.half.team.toLowerCase();
        const value = `${spot.half.team} ${spot.yard}`;
        if (offense === null) return { row, value, reason: 'it is not said who has the ball' };
        const own = sameTeam(offense, half);
        // Two teams play: a half that is not the offense's is the other's, unless neither half is.
        if (!own && halves.size > 1 && ![...halves.keys()].some((h) => sameTeam(offense, h)))
          return { row, value, reason: `neither half is called like ${offense}, who has the ball` };
        fields.toGoal = own ? 100 - spot.yard : spot.yard;
      }
    }
    if (goalToGo && typeof fields.toGoal === 'number') fields.distance = fields.toGoal;
    if (fields.unit === undefined && (fields.play !== undefined || fields.down !== undefined))
      fields.unit = 'scrimmage';
    // Who "carried" a throw caught it, or should have.
    const thrown = fields.play === 'pass' && fields.result !== 'scramble' && fields.result !== 'sack';
    if (thrown && fields.carrier !== undefined && fields.target === undefined) {
      fields.target = fields.carrier;
      delete fields.carrier;
    }
    if (player) {
      const who =
        fields.unit !== undefined && fields.unit !== 'scrimmage'
          ? 'kicker'
          : fields.result === 'sack'
            ? 'passer'
            : thrown
              ? 'target'
              : 'carrier';
      fields[who] ??= player;
    }
    if (fields.unit === 'try' && fields.kicker !== undefined) fields.result ??= 'kick';
    if (fields.unit === 'punt' || fields.unit === 'kickoff' || fields.unit === 'field_goal') {
      fields.result ??= 'kick';
      // What a kick "gains" is its length.
      if (typeof fields.gain === 'number' && fields.kickYards === undefined && fields.unit !== 'field_goal') {
        if (fields.gain > 15) fields.kickYards = fields.gain;
      }
      if (fields.result === 'kick') delete fields.gain;
    } else if (fields.result === undefined && typeof fields.gain === 'number') {
      if (fields.play === 'run') fields.result = 'gain';
      else if (fields.play === 'pass' && fields.gain > 0) {
        fields.result = 'complete';
        fields.notSure = [...((fields.notSure as string[]) ?? []), 'result'];
      }
    }
    if (fields.score === 'touchdown' && fields.turnover === undefined && offense !== null) {
      fields.scoredBy = offense;
      if (fields.play === 'run' || fields.play === 'pass')
        fields.result ??= fields.play === 'run' ? 'gain' : 'complete';
      if (fields.gain === undefined && typeof fields.toGoal === 'number') fields.gain = fields.toGoal;
    }
    if (fields.result === 'no_play') delete fields.gain;
    return {
      row,
      fields: Object.fromEntries(
        Object.entries(fields).filter(([, v]) => v !== null && v !== undefined),
      ) as SnapFields,
    };
  });
}
/** Two names of one team: equal, or one the beginning of the other, two letters at least. */
export const sameTeam = (team: string, name: string): boolean => {
  const [t, half] = [team.toLowerCase(), name.toLowerCase()];
  return t === half || (half.length >= 2 && (t.startsWith(half) || half.startsWith(t)));
};
