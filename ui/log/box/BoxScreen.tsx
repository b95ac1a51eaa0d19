'use client';
/** The box score of a game: totals from the snaps, official figures beside them, and the snaps behind each. */
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { gameName } from '@/core/exchange/names';
import type { GameInfo, OfficialFigures, TeamInfo } from '@/core/exchange/types';
import {
  SACKS_AS,
  STAT_LABEL,
  TEAM_STATS,
  type BoxScore,
  type OfficialFigure,
  type PlayerStat,
  type Stat,
  type TeamStat,
} from '@/core/stats';
import { Choice } from '../../shared/Choice';
import { part } from '../../shared/part';

const OfficialPaste = part(() => import('./OfficialPaste'));

export interface BoxScreenProps {
  readonly game: GameInfo;
  readonly teams: readonly TeamInfo[];
  readonly box: BoxScore;
  /** Number of each snap, as Log counts. */
  readonly numbers: Readonly<Record<string, number>>;
  readonly findings: number;
  readonly official: OfficialFigures;
  readonly mayType: boolean;
  readonly save: (change: unknown) => Promise<string | null>;
}

const clock = (seconds: number): string =>
  `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
const shown = (stat: TeamStat, value: number): string =>
  stat === 'possession_seconds' ? clock(value) : String(value);
const SACK_WORDS = { rush: 'as rushes', pass: 'off the passing yards' } as const;
const PLAYER_LABEL: Readonly<Record<PlayerStat, string>> = {
  rushes: 'rushes',
  rush_yards: 'yards',
  rush_touchdowns: 'TD',
  passes: 'passes',
  completions: 'complete',
  pass_yards: 'yards',
  pass_touchdowns: 'TD',
  intercepted: 'intercepted',
  sacked: 'sacked',
  catches: 'catches',
  catch_yards: 'yards',
  catch_touchdowns: 'TD',
};

export function BoxScreen({ game, teams, box, numbers, findings, official, mayType, save }: BoxScreenProps) {
  const router = useRouter();
  const [figures, setFigures] = useState(official);
  const [open, setOpen] = useState<{ readonly words: string; readonly snaps: readonly string[] } | null>(
    null,
  );
  const [problem, setProblem] = useState<string | null>(null);
  const nameOf = (key: string): string => teams.find((t) => t.key === key)?.name ?? key;
  const sides = [game.away, game.home];
  const home = `/log/${encodeURIComponent(game.key)}`;
  const quarters = [...new Set(sides.flatMap((t) => Object.keys(box.quarters[t] ?? {})))]
    .map(Number)
    .sort((a, b) => a - b);
  const keep = async (team: string, stat: TeamStat, text: string): Promise<void> => {
    const figure = text.trim() === '' ? null : Number(text);
    if (figure !== null && !Number.isInteger(figure)) {
      setProblem(`“${text}” is no whole number.`);
      return;
    }
    const why = await save({ game: game.key, team, stat, figure }).catch(
      () => 'The server does not answer; nothing was kept.',
    );
    setProblem(why);
    if (why !== null) return;
    setFigures((all) => {
      const { [stat]: _, ...others } = all[team] ?? {};
      return { ...all, [team]: figure === null ? others : { ...others, [stat]: figure } };
    });
  };
  const keepAll = async (list: readonly OfficialFigure[]): Promise<boolean> => {
    for (const { team, stat, figure } of list) {
      const why = await save({ game: game.key, team, stat, figure }).catch(
        () => 'The server does not answer; the figures after it were not kept.',
      );
      setProblem(why);
      if (why !== null) return false;
      setFigures((all) => ({ ...all, [team]: { ...all[team], [stat]: figure } }));
    }
    return true;
  };
  const door = (words: string, stat: Stat | undefined, text: string) =>
    stat && stat.snaps.length > 0 ? (
      <button
        type="button"
        className="plain num"
        aria-label={`${words} ${text}, open its snaps`}
        onClick={() => setOpen({ words: `${words}: ${text}`, snaps: stat.snaps })}
      >
        {text}
      </button>
    ) : (
      text
    );
  return (
    <div className="stack">
      <section className="card toolbar" aria-label="Game">
        <h1>Box score: {gameName(game, nameOf)}</h1>
        <span className="grow" />
        <Choice
          label="sacks count"
          value={box.sacks}
          options={SACKS_AS.map((s) => [s, SACK_WORDS[s]] as const)}
          onChange={(s) => router.replace(`${home}/box?sacks=${s}`)}
          width={190}
        />
        <Link href={home}>
          {findings === 0 ? 'to the snaps; all of them add up' : `to the snaps; ${findings} to fix or keep`}
        </Link>
      </section>
      {problem && (
        <div className="card flag" role="alert">
          {problem}
        </div>
      )}
      <div className="passgrid">
        <section className="card" aria-label="Team totals">
          <table className="rows tight">
            <thead>
              <tr>
                <th>totals</th>
                {sides.flatMap((team) => [
                  <th key={team} className="n">
                    {nameOf(team)}
                  </th>,
                  <th key={`${team} official`} className="n">
                    official
                  </th>,
                ])}
              </tr>
            </thead>
            <tbody>
              {TEAM_STATS.map((stat) => (
                <tr key={stat}>
                  <td>{STAT_LABEL[stat]}</td>
                  {sides.flatMap((team) => {
                    const found = box.teams[team]?.[stat];
                    const value = found?.value ?? 0;
                    const said = figures[team]?.[stat];
                    const words = `${STAT_LABEL[stat]}, ${nameOf(team)}`;
                    const untimed = stat === 'possession_seconds' && box.timed.n === 0;
                    return [
                      <td key={team} className="n">
                        {untimed ? 'no clock' : door(words, found, shown(stat, value))}
                      </td>,
                      <td key={`${team} official`} className="n">
                        {stat === 'possession_seconds' ? null : mayType ? (
                          <input
                            key={said ?? ''}
                            className="figure"
                            inputMode="numeric"
                            aria-label={`official ${words}`}
                            defaultValue={said ?? ''}
                            onBlur={(e) => {
                              if (e.target.value.trim() !== String(said ?? ''))
                                void keep(team, stat, e.target.value);
                            }}
                            onKeyDown={(e) => e.key === 'Enter' && e.currentTarget.blur()}
                          />
                        ) : (
                          (said ?? '')
                        )}
                        {said !== undefined && said !== value && (
                          <button
                            type="button"
                            className="plain differs"
                            aria-label={`${words}: ${value} logged, ${said} official; open the snaps that could explain it`}
                            onClick={() =>
                              setOpen({
                                words: `${words}: ${value} logged, ${said} official. One of these, or one that is missing`,
                                snaps: found?.snaps ?? [],
                              })
                            }
                          >
                            {value - said > 0 ? '+' : ''}
                            {value - said}
                          </button>
                        )}
                      </td>,
                    ];
                  })}
                </tr>
              ))}
            </tbody>
          </table>
          <p className="small quiet">
            Conventions of the level, from memory; kneels are rushes, a spike is an incomplete pass,
            called-back plays count nowhere. Time of possession from {box.timed.n} of {box.timed.of}{' '}
            possessions with a clock.
          </p>
        </section>
        <div className="stack">
          <section className="card" aria-label="Points by quarter">
            <table className="rows tight">
              <thead>
                <tr>
                  <th>points</th>
                  {quarters.map((q) => (
                    <th key={q} className="n">
                      {q > 4 ? `OT${q > 5 ? q - 4 : ''}` : `Q${q}`}
                    </th>
                  ))}
                  <th className="n">all</th>
                </tr>
              </thead>
              <tbody>
                {sides.map((team) => (
                  <tr key={team}>
                    <td>{nameOf(team)}</td>
                    {quarters.map((q) => (
                      <td key={q} className="n">
                        {box.quarters[team]?.[q] ?? 0}
                      </td>
                    ))}
                    <td className="n">{box.teams[team]?.points?.value ?? 0}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          </section>
          {open && (
            <section className="card" aria-label="Snaps behind the figure" role="status">
              <h2>{open.words}</h2>
              <p className="snaplinks">
                {open.snaps.map((id) => (
                  <Link key={id} href={`${home}?snap=${encodeURIComponent(id)}`}>
                    {numbers[id] ?? '?'}
                  </Link>
                ))}
                {open.snaps.length === 0 && 'no snap counts here'}
              </p>
            </section>
          )}
          {(
            [
              ['Rushing', ['rushes', 'rush_yards', 'rush_touchdowns']],
              [
                'Passing',
                ['passes', 'completions', 'pass_yards', 'pass_touchdowns', 'intercepted', 'sacked'],
              ],
              ['Receiving', ['catches', 'catch_yards', 'catch_touchdowns']],
            ] as const
          ).map(([title, stats]) => (
            <section key={title} className="card" aria-label={title}>
              <table className="rows tight">
                <thead>
                  <tr>
                    <th>{title.toLowerCase()}</th>
                    {stats.map((stat) => (
                      <th key={stat} className="n">
                        {PLAYER_LABEL[stat]}
                      </th>
                    ))}
                  </tr>
                </thead>
                <tbody>
                  {box.players
                    .filter((p) => p.stats[stats[0]])
                    .map((p) => (
                      <tr key={`${p.team} ${p.number}`}>
                        <td>
                          {p.team} {p.number === null ? 'no number' : `#${p.number}`}
                        </td>
                        {stats.map((stat) => (
                          <td key={stat} className="n">
                            {door(
                              `${p.team} ${p.number === null ? 'no number' : `#${p.number}`} ${title.toLowerCase()} ${PLAYER_LABEL[stat]}`,
                              p.stats[stat],
                              String(p.stats[stat]?.value ?? 0),
                            )}
                          </td>
                        ))}
                      </tr>
                    ))}
                </tbody>
              </table>
            </section>
          ))}
          {mayType && <OfficialPaste teams={sides.map((t) => [t, nameOf(t)] as const)} save={keepAll} />}
        </div>
      </div>
    </div>
  );
}
