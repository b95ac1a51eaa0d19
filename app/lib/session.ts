import 'server-only';
import { cookies, headers } from 'next/headers';
import { redirect } from 'next/navigation';
import { cache } from 'react';
import { environment } from '@/store/environment';
import { actorOf, type Visitor } from '@/store/sessions';
import { programCount } from '@/store/programs';
import type { Actor } from '@/core/exchange/types';

export const SESSION_COOKIE = 'vobrik_session';

/** The clock of the server's edge; everything below it takes the time as an argument. */
export const clock = (): Date => new Date();

export const currentActor = cache(async (): Promise<Actor | null> =>
  actorOf((await cookies()).get(SESSION_COOKIE)?.value, clock()),
);

/** Where this request comes from: our server writes the address, whatever the browser sent. */
export async function visitor(): Promise<Visitor> {
  const sent = await headers();
  return {
    address: sent.get('x-vobrik-address') ?? 'unknown',
    agent: sent.get('user-agent'),
    pause: (ms) => new Promise((resolve) => setTimeout(resolve, ms)),
  };
}

/** The signed-in member, or off to sign in (or to the first visit of an empty database). */
export async function requireActor(): Promise<Actor> {
  const actor = await currentActor();
  if (actor) return actor;
  redirect((await programCount()) === 0 ? '/first' : '/sign-in');
}

export async function setSession(token: string): Promise<void> {
  (await cookies()).set(SESSION_COOKIE, token, {
    httpOnly: true,
    sameSite: 'strict',
    path: '/',
    maxAge: 14 * 24 * 3600,
    // Served on loopback without TLS; behind a TLS proxy the operator says so (docs/security.md).
    secure: environment().VOBRIK_TLS === '1',
  });
}

export const currentToken = async (): Promise<string | undefined> =>
  (await cookies()).get(SESSION_COOKIE)?.value;

export async function clearSession(): Promise<string | undefined> {
  const jar = await cookies();
  const token = jar.get(SESSION_COOKIE)?.value;
  jar.delete(SESSION_COOKIE);
  return token;
}
