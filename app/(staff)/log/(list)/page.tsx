import { gameName } from '@/core/exchange/names';
import type { Metadata } from 'next';
import Link from 'next/link';
import { pageFor } from '@/app/lib/refusable';
import { LEVEL_PROFILES } from '@/core/field';
import { may } from '@/core/staff';
import { listGames, listTeams } from '@/store/games';
import { GameActions } from '@/ui/log/GameActions';
import { NewGameForm } from '@/ui/log/NewGameForm';
import { GAMES } from '@/ui/shared/screen-commands/games';
import { ScreenLinks } from '@/ui/shared/ScreenLinks';
import { Waiting } from '@/ui/sync/Waiting';
import { gameScope } from '@/core/sync';
import { changeGame, startGame } from '../actions';

export const metadata: Metadata = { title: 'Log' };
export const dynamic = 'force-dynamic';

export default pageFor('game.read', async function Log(actor) {
  const [games, teams] = await Promise.all([listGames(actor), listTeams(actor)]);
  const name = (key: string) => teams.find((t) => t.key === key)?.name ?? key;
  const newest = games.findLast((g) => !g.closed);
  return (
    <div className="weekgrid">
      <ScreenLinks
        commands={GAMES}
        to={{
          newest: newest ? `/log/${encodeURIComponent(newest.key)}` : null,
          start: '#start-game',
          import: '/log/import',
        }}
      />
      <section className="card">
        <header>
          <h1>Film to log</h1>
          <span>
            <Link href="/log/season">season</Link> · <Link href="/log/charting">charting plan</Link> ·{' '}
            <Link href="/log/drill">drill</Link> · <Link href="/log/rosters">rosters</Link> ·{' '}
            <Link href="/log/import">import a file</Link>
          </span>
        </header>
        {games.length === 0 ? (
          <p>No games yet. Start one with the form, or import a snap table.</p>
        ) : (
          <table className="rows">
            <thead>
              <tr>
                <th>Week</th>
                <th>Date</th>
                <th>Game</th>
                <th className="n">Snaps</th>
                <th>
                  <span className="hide">Close</span>
                </th>
              </tr>
            </thead>
            <tbody>
              {games.map((game) => (
                <tr key={game.key}>
                  <td>{game.week ?? ''}</td>
                  <td>{game.date ?? ''}</td>
                  <td>
                    <Link href={`/log/${encodeURIComponent(game.key)}`}>{gameName(game, name)}</Link>
                    {game.phase === 'regular' ? '' : ` · ${game.phase.replace(/_/g, ' ')}`}
                    {LEVEL_PROFILES[game.level].players === 11 ? '' : ` · ${LEVEL_PROFILES[game.level].name}`}
                    {game.sample ? ' · sample' : ''}
                    {game.closed ? ' · closed' : ''}
                    {game.snaps > 0 && (
                      <span className="small">
                        {' · '}
                        <Link
                          href={`/log/${encodeURIComponent(game.key)}/box`}
                          aria-label={`box score of ${gameName(game, name)}`}
                        >
                          box score
                        </Link>
                      </span>
                    )}
                  </td>
                  <td className="n">
                    {game.snaps}
                    <Waiting scope={gameScope(game.key)} />
                  </td>
                  <td>
                    {may(actor.roles, 'game.close') && (
                      <GameActions game={game} name={gameName(game, name)} act={changeGame} />
                    )}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
      </section>
      <NewGameForm open={startGame} teams={teams} />
    </div>
  );
});
