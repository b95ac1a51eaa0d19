import { gameName } from '@/core/exchange/names';
import Link from 'next/link';
import { describeState, findingWords } from '@/core/rules';
import { logOf, logState, walkedGames } from '@/app/lib/week';
import { requireActor } from '@/app/lib/session';
import { may } from '@/core/staff';
import { FirstSteps } from '@/ui/FirstSteps';
import { WEEK } from '@/ui/shared/screen-commands/week';
import { ScreenLinks } from '@/ui/shared/ScreenLinks';
import { FilmCard } from '@/ui/week/FilmCard';
import { NextCard } from '@/ui/week/NextCard';
import { ReviewCard } from '@/ui/week/ReviewCard';
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

  return (
    <>
      <h1 className="hide">The week</h1>
      <ScreenLinks
        commands={WEEK}
        to={{
          continue: open[0] ? `/log/${open[0].game.key}` : null,
          read: opponent === null ? null : `/read?team=${opponent}`,
          sheet: sheet ? `/plan/${sheet.key}` : null,
          review: wrong[0] ? `/log/${wrong[0].g.game.key}?snap=${wrong[0].f.snapId}` : null,
        }}
      />
      <div className="weekgrid">
        <div style={{ display: 'grid', gap: 12, alignContent: 'start' }}>
          <FilmCard
            title={opponent === null ? 'The opponent' : `Film of ${name(opponent)}`}
            games={theirs.map(logOf)}
            name={name}
          />
          <FilmCard title="Other film" games={others.map(logOf)} name={name} />
        </div>
        <div style={{ display: 'grid', gap: 12, alignContent: 'start' }}>
          {logged === 0 && (
            <FirstSteps
              game={games[0] ? { key: games[0].game.key, home: games[0].game.home.toLowerCase() } : null}
              opponent={opponent !== null}
              addSample={may(actor.roles, 'program.import') ? addSample : null}
            />
          )}
          <NextCard
            logged={logged}
            open={open.map((g) => ({
              key: g.game.key,
              name: gameName(g.game, name),
              snaps: g.rows.length,
              next: g.rows.length ? describeState(g.rows[g.rows.length - 1]!.after.state) : 'the kickoff',
            }))}
            opponent={opponent === null ? null : { key: opponent, name: name(opponent) }}
            film={theirs.some((g) => g.rows.length > 0)}
            sheet={sheet ?? null}
          />
          <ReviewCard
            findings={wrong.map(({ g, f }) => ({
              game: g.game,
              snap: f.snapId,
              number: f.number,
              code: f.code,
              sentence: findingWords(f).sentence,
            }))}
            logged={logged}
          />
        </div>
      </div>
    </>
  );
}
