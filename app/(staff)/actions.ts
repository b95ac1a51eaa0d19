'use server';
import { revalidatePath } from 'next/cache';
import { z } from 'zod';
import { action } from '@/app/lib/action';
import { clearSession, clock } from '@/app/lib/session';
import { sampleGame } from '@/demo/sample';
import { Invalid } from '@/store/errors';
import { listTeams } from '@/store/games';
import { importFiles } from '@/store/imports';
import { programOf } from '@/store/programs';
import { signOut } from '@/store/sessions';

const leaving = action('session.own', z.undefined(), async () => {
  const token = await clearSession();
  if (token) await signOut(token);
});

/** Ends the session; the browser then takes the member's data off itself. Null when it was done, else why not. */
export async function leave(): Promise<string | null> {
  const done = await leaving(undefined);
  return done.ok ? null : done.words;
}

const sampled = action('program.import', z.undefined(), async (actor) => {
  const [teams, program] = await Promise.all([listTeams(actor), programOf(actor)]);
  const now = clock();
  // A key of its own each time: a browser may still hold snaps of a sample game that was taken out.
  const files = sampleGame({
    game: `sample-${Math.floor(now.getTime() / 1000).toString(36)}`,
    season: program.season,
    taken: new Set(teams.map((t) => t.key)),
  });
  const outcome = await importFiles(actor, files, now);
  if (!outcome.imported) throw new Invalid(outcome.faults[0] ?? 'the sample game could not be read');
  revalidatePath('/', 'layout');
});

/** Null when it was done, else why not. */
export async function addSample(): Promise<string | null> {
  const done = await sampled(undefined);
  return done.ok ? null : done.words;
}
