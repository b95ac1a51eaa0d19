'use server';
/** Games: started, closed, opened again, taken out. */
import { revalidatePath } from 'next/cache';
import { redirect } from 'next/navigation';
import { z } from 'zod';
import { action } from '@/app/lib/action';
import { clock } from '@/app/lib/session';
import { walkedGames } from '@/app/lib/week';
import { LEVEL_KEYS } from '@/core/field';
import { PHASES } from '@/core/table';
import { CAMERAS, PURPOSES } from '@/core/table/film';
import { TEAM_STATS } from '@/core/stats';
import { Invalid } from '@/store/errors';
import { closeGame, createGame, describeGame, removeGame, saveOfficial } from '@/store/games';

const side = z.string().min(1, 'Choose both teams.').max(12);
const name = z.string().trim().max(120, 'A team name has up to 120 characters.').default('');
const newGame = z.object({
  home: side,
  away: side,
  homeName: name,
  awayName: name,
  date: z.union([z.literal(''), z.iso.date('The date is a day such as 2026-10-31.')]),
  week: z.union([z.literal(''), z.coerce.number('The week is a number.').int().min(0).max(60)]),
  level: z.union([z.literal(''), z.enum(LEVEL_KEYS)]).default(''),
  phase: z.enum(PHASES).default('regular'),
});

const started = action('game.create', newGame, async (actor, typed) => {
  const team = (chosen: string, called: string) => (chosen === 'new' ? { name: called } : { key: chosen });
  return createGame(actor, {
    home: team(typed.home, typed.homeName),
    away: team(typed.away, typed.awayName),
    date: typed.date === '' ? null : typed.date,
    week: typed.week === '' ? null : typed.week,
    level: typed.level === '' ? null : typed.level,
    phase: typed.phase,
  });
});

export async function startGame(_: string | null, form: FormData): Promise<string | null> {
  const done = await started(form);
  if (!done.ok) return done.words;
  redirect(`/log/${encodeURIComponent(done.value)}`);
}

const oneGame = z.object({
  op: z.enum(['close', 'reopen', 'remove']),
  game: z.string().min(1).max(200),
  /** Why it is closed with findings that stand. */
  reason: z.string().trim().max(300, 'A reason has up to 300 characters.').default(''),
});

/** The store asks for the permission of each change. */
const changed = action('game.read', oneGame, async (actor, { op, game, reason }) => {
  if (op === 'remove') await removeGame(actor, game, clock());
  else {
    if (op === 'close' && reason === '') {
      const [walked] = await walkedGames(actor, (g) => g.key === game);
      const stand = walked?.findings.filter((f) => f.level === 'finding').length ?? 0;
      if (stand > 0)
        throw new Invalid(
          `${stand} ${stand === 1 ? 'finding stands' : 'findings stand'}: fix or keep ${stand === 1 ? 'it' : 'each'} in Log, or say why the game is closed all the same`,
        );
    }
    await closeGame(actor, game, op === 'close', clock(), reason);
  }
  revalidatePath('/', 'layout');
});

/** Null when it was done, else why not. */
export async function changeGame(change: unknown): Promise<string | null> {
  const done = await changed(change);
  return done.ok ? null : done.words;
}

const figure = z.object({
  game: z.string().min(1).max(200),
  team: z.string().min(1).max(12),
  stat: z.enum(TEAM_STATS),
  figure: z
    .number('A figure is a whole number.')
    .int('A figure is a whole number.')
    .min(-999)
    .max(9999)
    .nullable(),
});
const kept = action('snap.log', figure, (actor, { game, ...change }) => saveOfficial(actor, game, change));

/** Null when it was kept, else why not. */
export async function keepOfficial(change: unknown): Promise<string | null> {
  const done = await kept(change);
  return done.ok ? null : done.words;
}

const gameKey = z.string().min(1).max(200);
const film = z.union([
  z.object({ game: gameKey, angle: z.enum(CAMERAS).nullable() }),
  z.object({ game: gameKey, purpose: z.enum(PURPOSES).nullable() }),
  z.object({ game: gameKey, weight: z.number().min(0).max(1).nullable() }),
]);
const described = action('snap.log', film, async (actor, { game, ...change }) => {
  await describeGame(actor, game, change);
  revalidatePath('/log', 'layout');
});

/** Null when it was kept, else why not. */
export async function describeFilm(change: unknown): Promise<string | null> {
  const done = await described(change);
  return done.ok ? null : done.words;
}
