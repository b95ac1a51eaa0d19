/** Who of our own can play, week by week. Coordinators alone; in no package and no audit trail, which others read. */
import 'server-only';
import { LockMode } from '@mikro-orm/core';
import { randomUUID } from 'node:crypto';
import type { AvailabilityInfo, SaidAvailability, WeekAvailability } from '../core/roster';
import type { Actor } from '../core/exchange/types';
import { permit } from './access';
import { AvailabilityRow, Player, Program, RosterEntry, Season, Team } from './entities';
import { Invalid, NotFound } from './errors';
import { openEm, type Em } from './orm';

/** The week that the staff is in, of its own season. */
async function thisWeek(em: Em, actor: Actor) {
  const program = await em.findOneOrFail(Program, { id: actor.programId });
  const season = await em.findOneOrFail(Season, { program: actor.programId, year: program.season });
  return { week: program.settings.week, season: season.id, team: program.team };
}

/** Of this week and, of those who are not named in it, the week before. */
export async function availabilityOf(actor: Actor): Promise<WeekAvailability> {
  permit(actor, 'availability.read');
  const em = await openEm();
  const { week, season } = await thisWeek(em, actor);
  if (week === null) return { week, said: [], before: [] };
  const rows = (await em.execute(
    `select p.key as player, a.week, a.state, a.source, a.at, m.name as by
     from availability a join player p on p.id = a.player_id join member m on m.id = a.by_id
     where a.program_id = ? and a.season_id = ? and a.week in (?, ?) order by p.key`,
    [actor.programId, season, week, week - 1],
  )) as (Omit<AvailabilityInfo, 'at'> & { week: number; at: Date | string })[];
  const info = ({ week: _, at, ...row }: (typeof rows)[number]): AvailabilityInfo => ({
    ...row,
    at: new Date(at).toISOString(),
  });
  const said = rows.filter((row) => row.week === week).map(info);
  return {
    week,
    said,
    before: rows.filter((row) => row.week !== week && !said.some((s) => s.player === row.player)).map(info),
  };
}

/**
 * Says whether a player of our own roster can play this week; null takes it back. `week`, `before`: what stood on the screen;
 * another week's, and what another member said meanwhile, is not written over.
 */
export async function sayAvailability(
  actor: Actor,
  week: number,
  player: string,
  to: Omit<SaidAvailability, 'player'> | null,
  before: SaidAvailability['state'] | null,
  now: Date,
): Promise<void> {
  permit(actor, 'availability.change');
  await (
    await openEm()
  ).transactional(async (tx) => {
    const current = await thisWeek(tx, actor);
    if (current.week !== week)
      throw new Invalid(
        `The staff is in ${current.week === null ? 'no week' : `week ${current.week}`} now, not in week ${week}; load the page again`,
      );
    const who = await tx.findOne(
      Player,
      { program: actor.programId, key: player },
      { lockMode: LockMode.PESSIMISTIC_WRITE },
    );
    const team = await tx.findOne(Team, { program: actor.programId, key: current.team });
    if (
      !who ||
      !team ||
      (await tx.count(RosterEntry, { player: who.id, team: team.id, season: current.season })) === 0
    )
      throw new NotFound('player of our roster');
    const where = { player: who.id, season: current.season, week };
    const stands = await tx.findOne(AvailabilityRow, where);
    // Sent twice, because the first answer was lost.
    if (stands ? stands.state === to?.state && stands.source === to.source : to === null) return;
    if ((stands?.state ?? null) !== before)
      throw new Invalid(
        `Another member said ${stands ? `“${stands.state}”` : 'nothing'} of him meanwhile; load the page again`,
      );
    if (to === null) return void (await tx.nativeDelete(AvailabilityRow, where));
    if (stands) Object.assign(stands, to, { by: actor.memberId, at: now });
    else
      tx.create(AvailabilityRow, {
        id: randomUUID(),
        program: actor.programId,
        ...where,
        ...to,
        by: actor.memberId,
        at: now,
      });
    await tx.flush();
  });
}
