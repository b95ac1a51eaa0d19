import 'server-only';
import { NextResponse } from 'next/server';
import { z } from 'zod';
import { may, PERMISSIONS, type Action } from '@/core/staff';
import { Busy, Invalid, NotFound, outage, Refused } from '@/store/errors';
import { serverLog } from '@/store/log';
import type { Actor } from '@/core/exchange/types';
import { HOSTS, isOurHost, sameOrigin } from './origin';
import { currentActor } from './session';

const say = (status: number, error: string): NextResponse =>
  NextResponse.json({ error }, { status, headers: { 'Cache-Control': 'no-store' } });

/** Another member is signed in now: what one typed is not sent as the other's. */
class OtherMember extends Error {}

/** Store failures by meaning to HTTP, once, here. */
export function failure(
  error: unknown,
  at: { readonly method?: string; readonly path?: string } = {},
): NextResponse {
  if (error instanceof Refused) return say(403, `${error.message}.`);
  if (error instanceof OtherMember)
    return say(
      409,
      'Another member is signed in on this browser now; sign in again. What you typed is kept here.',
    );
  if (error instanceof NotFound) return say(404, error.message);
  if (error instanceof Invalid) return say(422, error.message);
  if (error instanceof Busy) return say(503, error.message);
  if (error instanceof z.ZodError)
    return say(422, error.issues.map((i) => `${i.path.join('.')}: ${i.message}`).join('; '));
  const away = outage(error);
  if (away !== null) serverLog().warn({ away, ...at }, 'the database is away');
  if (away !== null) return say(503, `${away}. What you typed is kept here and saved when that is over.`);
  serverLog().error({ err: error, ...at }, 'a request failed');
  return say(500, 'Something went wrong on the server; nothing was saved.');
}

/** Refuses a request that a page of another member sends with this member's cookie. */
export function ownerMatches(request: Request, actor: Actor): void {
  const owner = request.headers.get('x-vobrik-owner');
  if (owner !== null && owner !== `${actor.programId}.${actor.memberId}`) throw new OtherMember();
}

/** Parse, call, render: a signed-in route handler. Names the permission it needs; nothing it answers is stored by a cache. */
export async function handle(
  request: Request,
  action: Action,
  work: (actor: Actor) => Promise<unknown>,
): Promise<Response> {
  try {
    if (!isOurHost(request.headers.get('host'), HOSTS))
      return say(421, 'This server is not known under that name.');
    if (request.method !== 'GET' && !sameOrigin(request.headers))
      return say(403, 'This request came from another site.');
    const actor = await currentActor();
    if (!actor) return say(401, 'You are signed out; sign in again. What you typed is kept here.');
    if (!may(actor.roles, action)) throw new Refused(PERMISSIONS[action].what, PERMISSIONS[action].roles);
    const value = await work(actor);
    return value instanceof Response
      ? value
      : NextResponse.json(value ?? { ok: true }, { headers: { 'Cache-Control': 'no-store' } });
  } catch (error) {
    return failure(error, { method: request.method, path: new URL(request.url).pathname });
  }
}

/** A JSON body of bounded size, parsed by a schema. */
export async function body<T>(request: Request, schema: z.ZodType<T>, most = 1_000_000): Promise<T> {
  const length = Number(request.headers.get('content-length') ?? 0);
  if (length > most * 4) throw new Invalid(`the request is larger than ${most} characters`);
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
