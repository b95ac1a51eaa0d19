/** Who was who in one game: numbers that two men wear, letters and the numbers that stand for them. */
import 'server-only';
import { LockMode } from '@mikro-orm/core';
import { randomUUID } from 'node:crypto';
import type { WearingUnit } from '../core/roster';
import type { Actor } from '../core/exchange/types';
import { permit } from './access';
import { Game, LetterWorn, NumberWorn, Player } from './entities';
import { Invalid, NotFound } from './errors';
import { openEm, type Em } from './orm';

export interface WornInfo {
  readonly unit: string;
  readonly number: string;
  readonly player: string;
}
export interface GamePeople {
  readonly worn: readonly WornInfo[];
  /** Number by letter. */
  readonly letters: Readonly<Record<string, string>>;
}

async function gameOf(em: Em, actor: Actor, key: string, team: string) {
  const game = await em.findOne(Game, { program: actor.programId, key });
  if (!game) throw new NotFound('game');
  if (team !== game.home && team !== game.away) throw new Invalid('that team does not play in this game');
  return game;
}

/** What a team's players wore in a game, where it is not as the roster says, and who stood at which letter. */
export async function peopleOfGame(actor: Actor, gameKey: string, team: string): Promise<GamePeople> {
  permit(actor, 'roster.read');
  const em = await openEm();
  const game = await gameOf(em, actor, gameKey, team);
  const [worn, letters] = await Promise.all([
    em.find(NumberWorn, { game: game.id, team }),
    em.find(LetterWorn, { game: game.id, team }),
  ]);
  const players = new Map(
    (await em.find(Player, { id: { $in: worn.map((w) => w.player) } })).map((p) => [p.id, p.key]),
  );
  return {
    worn: worn
      .map((w) => ({ unit: w.unit, number: w.number, player: players.get(w.player)! }))
      .sort((a, b) => a.unit.localeCompare(b.unit) || Number(a.number) - Number(b.number)),
    letters: Object.fromEntries(
      letters.map((l) => [l.letter, l.number] as const).sort((a, b) => a[0].localeCompare(b[0])),
    ),
  };
}

/** Says whose number it was in a game and unit; null takes it away. */
export async function setWorn(
  actor: Actor,
  at: { readonly game: string; readonly team: string; readonly unit: WearingUnit; readonly number: string },
  player: string | null,
): Promise<void> {
  permit(actor, 'roster.change');
  await (
    await openEm()
  ).transactional(async (tx) => {
    const game = await gameOf(tx, actor, at.game, at.team);
    const where = { game: game.id, team: at.team, unit: at.unit, number: at.number };
    await tx.nativeDelete(NumberWorn, where);
    if (player === null) return;
    const who = await tx.findOne(Player, { program: actor.programId, key: player });
    if (!who) throw new NotFound('player');
    await tx.insert(NumberWorn, { id: randomUUID(), program: actor.programId, ...where, player: who.id });
  });
}

/** The whole map of a team's letters in a game, anew. */
export async function setLetters(
  actor: Actor,
  gameKey: string,
  team: string,
  letters: Readonly<Record<string, string>>,
): Promise<void> {
  permit(actor, 'roster.change');
  await (
    await openEm()
  ).transactional(async (tx) => {
    const game = await gameOf(tx, actor, gameKey, team);
    await tx.lock(game, LockMode.PESSIMISTIC_WRITE);
    await tx.nativeDelete(LetterWorn, { game: game.id, team });
    for (const [letter, number] of Object.entries(letters))
      await tx.insert(LetterWorn, {
        id: randomUUID(),
        program: actor.programId,
        game: game.id,
        team,
        letter,
        number,
      });
  });
}
