import { gameName } from '@/core/exchange/names';
import Link from 'next/link';
import { formatClock, downWord } from '@/core/field';
import { describeState, findingWords } from '@/core/rules';
import { logState, walkedGames } from '@/app/lib/week';
import { requireActor } from '@/app/lib/session';
import { may } from '@/core/staff';
import { gameScope } from '@/core/sync';
import { FirstSteps } from '@/ui/FirstSteps';
import { ScreenLinks } from '@/ui/shared/ScreenLinks';
import { Waiting } from '@/ui/sync/Waiting';
import { listTeams } from '@/store/games';
import { programOf } from '@/store/programs';
import { listSheets } from '@/store/plans';
import { addSample } from '../actions';

export const dynamic = 'force-dynamic';

export default async function Week() {
  const actor = await requireActor();
  if (!may(actor.roles, 'week.read')) {
    return (
      <p className="card">
        You are signed in as {actor.roles.join(' and ')}. A coordinator, coach or charter sees the week;{' '}
        {may(actor.roles, 'member.read') ? (
          <>
            an admin finds members and backup under <Link href="/staff">Staff</Link>.
          </>
        ) : (
          'a guest sees what is shared by link.'
        )}
      </p>
    );
  }
  const [program, teams, games, sheets] = await Promise.all([
    programOf(actor),
    listTeams(actor),
    walkedGames(actor),
    listSheets(actor),
  ]);
  const opponent = program.settings.opponent;
  const name = (key: string) => teams.find((t) => t.key === key)?.name ?? key;
  const theirs = games.filter(
    (g) => opponent !== null && (g.game.home === opponent || g.game.away === opponent),
  );
  const others = games.filter((g) => !theirs.includes(g));
  const open = games.filter((g) => logState(g) === 'partial');
  const wrong = games.flatMap((g) => g.findings.filter((f) => f.level !== 'note').map((f) => ({ g, f })));
  const sheet = sheets.find((s) => s.opponent === opponent);
  const logged = games.reduce((n, g) => n + g.rows.length, 0);

  const table = (list: typeof games, caption: string) => (
    <section className="card">
      <header>
        <h2>{caption}</h2>
        <span className="small">
          {list.length} {list.length === 1 ? 'game' : 'games'}, {list.reduce((n, g) => n + g.rows.length, 0)}{' '}
          snaps
        </span>
      </header>
      {list.length === 0 ? (
        <p className="quiet">
          None yet. <Link href="/log">Start a game</Link> or <Link href="/log/import">import a file</Link>.
        </p>
      ) : (
        <table className="rows">
          <thead>
            <tr>
              <th>Week</th>
              <th>Game</th>
              <th className="n">Snaps</th>
              <th>Log</th>
              <th className="n">To fix</th>
            </tr>
          </thead>
          <tbody>
            {list.map((walkedGame) => {
              const last = walkedGame.rows[walkedGame.rows.length - 1];
              const state = logState(walkedGame);
              const toFix = walkedGame.findings.filter((f) => f.level === 'finding').length;
              return (
                <tr key={walkedGame.game.key}>
                  <td>{walkedGame.game.week ?? ''}</td>
                  <td>
                    <Link href={`/log/${walkedGame.game.key}`}>{gameName(walkedGame.game, name)}</Link>
                  </td>
                  <td className="n">
                    {walkedGame.rows.length}
                    <Waiting scope={gameScope(walkedGame.game.key)} />
                  </td>
                  <td>
                    {state === 'empty'
                      ? 'not begun'
                      : state === 'whole'
                        ? 'to the end'
                        : `stops in the ${downWord(last!.before.quarter ?? 1)} quarter${last!.before.clock === null ? '' : `, ${formatClock(last!.before.clock)}`}`}
                  </td>
                  <td className="n">
                    {toFix === 0 ? (
                      ''
                    ) : (
                      <Link
                        href={`/log/${walkedGame.game.key}?snap=${walkedGame.findings.find((f) => f.level === 'finding')!.snapId}`}
                      >
                        {toFix}
                      </Link>
                    )}
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      )}
    </section>
  );

  return (
    <>
      <h1 className="hide">The week</h1>
      <ScreenLinks
        screen="Week"
        to={{
          continue: open[0] ? `/log/${open[0].game.key}` : null,
          read: opponent === null ? null : `/read?team=${opponent}`,
          sheet: sheet ? `/plan/${sheet.key}` : null,
          review: wrong[0] ? `/log/${wrong[0].g.game.key}?snap=${wrong[0].f.snapId}` : null,
        }}
      />
      <div className="weekgrid">
        <div style={{ display: 'grid', gap: 12, alignContent: 'start' }}>
          {table(theirs, opponent === null ? 'The opponent' : `Film of ${name(opponent)}`)}
          {table(others, 'Other film')}
        </div>
        <div style={{ display: 'grid', gap: 12, alignContent: 'start' }}>
          {logged === 0 && (
            <FirstSteps
              game={games[0] ? { key: games[0].game.key, home: games[0].game.home.toLowerCase() } : null}
              opponent={opponent !== null}
              addSample={may(actor.roles, 'program.import') ? addSample : null}
            />
          )}
          <section className="card">
            <header>
              <h2>What is next</h2>
            </header>
            <ul className="todo">
              {opponent === null && logged > 0 && (
                <li>
                  No opponent is chosen for this week. <Link href="/staff">Choose one</Link>.
                </li>
              )}
              {open.map((walkedGame) => (
                <li key={walkedGame.game.key}>
                  <Link href={`/log/${walkedGame.game.key}`}>
                    <strong>Continue {gameName(walkedGame.game, name)}</strong>
                  </Link>
                  <br />
                  <span className="quiet">
                    {walkedGame.rows.length} snaps logged; next{' '}
                    {walkedGame.rows.length
                      ? describeState(walkedGame.rows[walkedGame.rows.length - 1]!.after.state)
                      : 'the kickoff'}
                  </span>
                </li>
              ))}
              {opponent !== null && theirs.some((g) => g.rows.length > 0) && (
                <li>
                  <Link href={`/read?team=${opponent}`}>
                    <strong>Read {name(opponent)}</strong>
                  </Link>
                  <br />
                  <span className="quiet">what they call, by situation and field</span>
                </li>
              )}
              {opponent !== null && (
                <li>
                  {sheet ? (
                    <Link href={`/plan/${sheet.key}`}>
                      <strong>Go on with {sheet.name}</strong>
                    </Link>
                  ) : (
                    <Link href="/plan">
                      <strong>Start the call sheet</strong>
                    </Link>
                  )}
                  <br />
                  <span className="quiet">
                    {sheet ? `${sheet.calls} calls on it` : `none for ${name(opponent)} yet`}
                  </span>
                </li>
              )}
            </ul>
          </section>
          <section className="card">
            <header>
              <h2>Needs review</h2>
              <span className="small">{wrong.length} to look at</span>
            </header>
            {wrong.length === 0 ? (
              <p className="quiet">
                {logged === 0 ? 'Nothing is logged yet.' : 'Every logged snap adds up with the one before.'}
              </p>
            ) : (
              <ul className="todo">
                {wrong.slice(0, 8).map(({ g: walkedGame, f: finding }) => (
                  <li key={`${finding.snapId}${finding.code}`} className="flag">
                    <Link href={`/log/${walkedGame.game.key}?snap=${finding.snapId}`}>
                      {gameName(walkedGame.game)}, snap {finding.number}
                    </Link>
                    : {findingWords(finding).sentence}
                  </li>
                ))}
                {wrong.length > 8 && <li className="quiet">and {wrong.length - 8} more in the games</li>}
              </ul>
            )}
          </section>
        </div>
      </div>
    </>
  );
}
