/** Loads the demo into an empty database, once. */
import { randomUUID } from 'node:crypto';
import {
  Charting,
  Game,
  Member,
  NumberWorn,
  Player,
  Program,
  RosterEntry,
  Season,
  Team,
} from '../store/entities';
import { PlayRow } from '../store/entities-football';
import { insertProgram } from '../store/programs';
import { insertSnaps } from '../store/import-snaps';
import { openEm } from '../store/orm';
import type { Actor } from '../core/exchange/types';
import { CLUBS } from './clubs';
import {
  DEMO_SEED,
  loggedGames,
  NEXT_OPPONENT,
  PROGRAM,
  rosterOf,
  SEASON,
  simulateSeason,
  THIS_WEEK,
  type LoggedGame,
} from './league';
import { makeMistake } from './mistakes';
import { DEMO_PLAYS } from './plays';
import { seededRandom } from './random';
import type { Snap } from '../core/snap/snap';

/** Two of the logged games carry believable mistakes for the checker to find. */
export function withMistakes(games: readonly LoggedGame[]): readonly LoggedGame[] {
  const chosen = [
    games.find((g) => g.week === 6 && (g.home === NEXT_OPPONENT || g.away === NEXT_OPPONENT)),
    games.find((g) => g.week === 7 && (g.home === PROGRAM || g.away === PROGRAM)),
  ];
  return games.map((loggedGame) => {
    if (!chosen.includes(loggedGame)) return loggedGame;
    let logged: readonly Snap[] = loggedGame.logged;
    const random = seededRandom(77 + loggedGame.week);
    for (const mistake of ['gain', 'spot', 'distance'] as const)
      logged = makeMistake(logged, mistake, random)?.snaps ?? logged;
    return { ...loggedGame, logged };
  });
}

/** True when it loaded, false when a program was there already. */
export async function loadDemo(now: Date): Promise<boolean> {
  const em = await openEm();
  if ((await em.count(Program)) > 0) return false;
  await em.transactional(async (tx) => {
    const club = CLUBS.find((c) => c.key === PROGRAM)!;
    const { programId, memberId } = await insertProgram(
      tx,
      {
        name: `${club.name} staff`,
        level: 'college',
        season: SEASON,
        team: { key: club.key, name: club.name },
        demo: true,
        settings: { week: THIS_WEEK, opponent: NEXT_OPPONENT },
        member: { name: 'Dara Okafor-Lind', passwordHash: null, roles: ['admin', 'coordinator'] },
      },
      now,
    );
    const actor: Actor = { memberId, programId, name: 'Dara Okafor-Lind', roles: ['admin', 'coordinator'] };
    for (const [name, roles] of [
      ['Ivo Sedgewarden', ['charter']],
      ['Merrit Gorsefield', ['coach']],
      ['Nye Ashcombe', ['guest']],
    ] as const) {
      tx.create(Member, {
        id: randomUUID(),
        program: programId,
        name,
        nameKey: name.toLowerCase(),
        passwordHash: null,
        roles: [...roles],
        removedAt: null,
        createdAt: new Date(now.getTime() + 1),
      });
    }
    const own = await tx.findOneOrFail(Team, { program: programId, key: club.key });
    Object.assign(own, { nickname: club.nickname, place: club.place });
    const teams = new Map([[club.key, own.id]]);
    for (const team of CLUBS) {
      if (team.key === club.key) continue;
      teams.set(
        team.key,
        tx.create(Team, {
          id: randomUUID(),
          program: programId,
          key: team.key,
          name: team.name,
          nickname: team.nickname,
          place: team.place,
        }).id,
      );
    }
    await tx.flush();
    const season = await tx.findOneOrFail(Season, { program: programId, year: SEASON });
    const bodies = new Map<string, string>();
    for (const club of CLUBS) {
      for (const player of rosterOf(club.key)) {
        const id = randomUUID();
        bodies.set(`${club.key}|${player.number}|${player.letters}`, id);
        tx.create(Player, { id, program: programId, key: player.player, name: player.name });
        tx.create(RosterEntry, {
          id: randomUUID(),
          program: programId,
          player: id,
          team: teams.get(club.key)!,
          season: season.id,
          number: player.number,
          letters: player.letters,
          class: player.class,
          height: player.height,
          weight: player.weight,
          depth: null,
        });
      }
    }
    for (const play of DEMO_PLAYS)
      tx.create(PlayRow, { ...play, id: randomUUID(), program: programId, key: play.id, provenance: {} });
    await tx.flush();
    const games = withMistakes(loggedGames(simulateSeason(DEMO_SEED, { tells: true })));
    const ids = new Map<string, string>();
    for (const loggedGame of games) {
      const id = randomUUID();
      ids.set(loggedGame.key, id);
      tx.create(Game, {
        id,
        program: programId,
        season: season.id,
        key: loggedGame.key,
        date: loggedGame.date,
        week: loggedGame.week,
        home: loggedGame.home,
        away: loggedGame.away,
        level: 'college',
        phase: 'regular',
        surface: null,
        weather: null,
        wind: null,
        source: 'simulated',
        angle: 'sideline',
        purpose: null,
        closed: loggedGame.logged.length === loggedGame.snaps.length && loggedGame.week < 6,
      });
      // One number worn by two men: the receiver and the back of the defense.
      for (const team of [loggedGame.home, loggedGame.away]) {
        for (const [unit, letters] of [
          ['offense', 'X'],
          ['defense', 'B'],
        ] as const)
          tx.create(NumberWorn, {
            id: randomUUID(),
            program: programId,
            game: id,
            team,
            unit,
            number: '11',
            player: bodies.get(`${team}|11|${letters}`)!,
          });
      }
    }
    await tx.flush();
    await insertSnaps(
      tx,
      actor,
      ids,
      games.flatMap((g) => g.logged),
      now,
    );
    await tx.nativeUpdate(Charting, { program: programId }, { charter: memberId });
  });
  return true;
}
