import 'server-only';
import { NextResponse } from 'next/server';
import { z } from 'zod';
import { Invalid, isStoreDown, NotFound, Refused } from '@/store/errors';
import type { Actor } from '@/core/exchange/types';
import { currentActor } from './session';

const say = (status: number, error: string): NextResponse => NextResponse.json({ error }, { status });

/** Store failures by meaning to HTTP, once, here. */
export function failure(error: unknown): NextResponse {
  if (error instanceof Refused) return say(403, `${error.message}.`);
  if (error instanceof NotFound) return say(404, error.message);
  if (error instanceof Invalid) return say(422, error.message);
  if (error instanceof z.ZodError) return say(422, error.issues.map((i) => `${i.path.join('.')}: ${i.message}`).join('; '));
  if (isStoreDown(error)) return say(503, 'The database does not answer. What you typed is kept here and saved when it is back.');
  console.error(error);
  return say(500, 'Something went wrong on the server; nothing was saved.');
}

/** A request of another site is refused: the cookie alone is not enough to write (OWASP CSRF, Fetch Metadata). */
function sameOrigin(request: Request): boolean {
  const site = request.headers.get('sec-fetch-site');
  if (site !== null && site !== 'same-origin' && site !== 'none') return false;
  const origin = request.headers.get('origin');
  return origin === null || new URL(origin).host === request.headers.get('host');
}

/** Parse, call, render: a signed-in route handler. */
export async function handle(request: Request, work: (actor: Actor) => Promise<unknown>): Promise<Response> {
  try {
    if (request.method !== 'GET' && !sameOrigin(request)) return say(403, 'This request came from another site.');
    const actor = await currentActor();
    if (!actor) return say(401, 'You are signed out; sign in again. What you typed is kept here.');
    const value = await work(actor);
    return value instanceof Response ? value : NextResponse.json(value ?? { ok: true });
  } catch (error) {
    return failure(error);
  }
}

/** A JSON body of bounded size, parsed by a schema. */
export async function body<T>(request: Request, schema: z.ZodType<T>, most = 1_000_000): Promise<T> {
  const text = await request.text();
  if (text.length > most) throw new Invalid(`the request is larger than ${most} characters`);
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch {
    throw new Invalid('the request is not JSON');
  }
  return schema.parse(json);
}
