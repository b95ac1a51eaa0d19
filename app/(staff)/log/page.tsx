import type { Metadata } from 'next';
import { revalidatePath } from 'next/cache';
import Link from 'next/link';
import { redirect } from 'next/navigation';
import { z } from 'zod';
import { refusable } from '@/app/lib/refusable';
import { requireActor } from '@/app/lib/session';
import { LEVEL_KEYS, LEVEL_PROFILES } from '@/core/field';
import { PHASES } from '@/core/table';
import { Invalid, NotFound, Refused } from '@/store/errors';
import { closeGame, createGame, createTeam, listGames, listTeams } from '@/store/games';
import { NewGameForm } from '@/ui/log/NewGameForm';

export const metadata: Metadata = { title: 'Log' };
export const dynamic = 'force-dynamic';

const schema = z.object({
  home: z.string().min(1), away: z.string().min(1), homeName: z.string().trim().max(120), awayName: z.string().trim().max(120),
  date: z.union([z.literal(''), z.iso.date('The date is a day such as 2026-10-31.')]), week: z.union([z.literal(''), z.coerce.number('The week is a number.').int().min(0).max(60)]),
  level: z.union([z.literal(''), z.enum(LEVEL_KEYS)]).default(''), phase: z.enum(PHASES).default('regular'),
});

async function open(_: string | null, form: FormData): Promise<string | null> {
  'use server';
  const actor = await requireActor();
  const read = schema.safeParse(Object.fromEntries(form));
  if (!read.success) return read.error.issues[0]!.message;
  const { date, week } = read.data;
  let key: string;
  try {
    const sideKey = async (chosen: string, name: string): Promise<string> => {
      if (chosen !== 'new') return chosen;
      if (name === '') throw new Invalid('name the new team');
      const made = name.replace(/[^A-Za-z0-9]/g, '').slice(0, 8).toUpperCase();
      await createTeam(actor, { key: made, name });
      return made;
    };
    const home = await sideKey(read.data.home, read.data.homeName);
    const away = await sideKey(read.data.away, read.data.awayName);
    key = await createGame(actor, { home, away, date: date === '' ? null : date, week: week === '' ? null : week, level: read.data.level === '' ? null : read.data.level, phase: read.data.phase });
  } catch (error) {
    if (error instanceof Invalid || error instanceof NotFound || error instanceof Refused) return `${error.message}.`;
    throw error;
  }
  redirect(`/log/${encodeURIComponent(key)}`);
}

async function close(form: FormData): Promise<void> {
  'use server';
  await closeGame(await requireActor(), String(form.get('game')), form.get('closed') === 'yes');
  revalidatePath('/log');
}

export default refusable(async function Log() {
  const actor = await requireActor();
  const [games, teams] = await Promise.all([listGames(actor), listTeams(actor)]);
  const name = (key: string) => teams.find((t) => t.key === key)?.name ?? key;
  return (
    <div className="weekgrid">
      <section className="card">
        <header><h1>Film to log</h1><Link href="/log/import">bring a file</Link></header>
        {games.length === 0 ? <p>No games yet. Open one at the right, or bring a snap table.</p> : (
          <table className="rows">
            <thead><tr><th>Week</th><th>Date</th><th>Game</th><th className="n">Snaps</th><th><span className="hide">Close</span></th></tr></thead>
            <tbody>{games.map((g) => <tr key={g.key}><td>{g.week ?? ''}</td><td>{g.date ?? ''}</td><td><Link href={`/log/${encodeURIComponent(g.key)}`}>{name(g.away)} at {name(g.home)}</Link>{g.phase === 'regular' ? '' : ` · ${g.phase.replace(/_/g, ' ')}`}{LEVEL_PROFILES[g.level].players === 11 ? '' : ` · ${LEVEL_PROFILES[g.level].name}`}{g.closed ? ' · closed' : ''}</td><td className="n">{g.snaps}</td><td>{actor.roles.includes('coordinator') && <form action={close}><input type="hidden" name="game" value={g.key} /><input type="hidden" name="closed" value={g.closed ? 'no' : 'yes'} /><button className="plain small" type="submit" aria-label={`${g.closed ? 'open' : 'close'} ${g.key}`}>{g.closed ? 'open again' : 'close'}</button></form>}</td></tr>)}</tbody>
          </table>
        )}
      </section>
      <NewGameForm open={open} teams={teams} />
    </div>
  );
});
