'use server';
import { z } from 'zod';
import { action } from '@/app/lib/action';
import { clearSession } from '@/app/lib/session';
import { signOut } from '@/store/sessions';

const leaving = action('session.own', z.undefined(), async () => {
  const token = await clearSession();
  if (token) await signOut(token);
});

/** Ends the session; the browser then takes the member's data off itself. */
export async function leave(): Promise<void> {
  const done = await leaving(undefined);
  if (!done.ok) throw new Error(done.words);
}
