import 'server-only';
import { headers } from 'next/headers';
import type { z } from 'zod';
import { may, PERMISSIONS, type Action } from '@/core/staff';
import { Invalid, NotFound, outage, Refused } from '@/store/errors';
import type { Actor } from '@/core/exchange/types';
import { sameOrigin } from './origin';
import { requireActor } from './session';

export type Told<R> =
  { readonly ok: true; readonly value: R } | { readonly ok: false; readonly words: string };

/** What a refusal of the store says on screen; anything else is a fault of ours and is thrown. */
export function told(error: unknown): { readonly ok: false; readonly words: string } {
  if (error instanceof Invalid || error instanceof NotFound || error instanceof Refused)
    return { ok: false, words: `${error.message}.` };
  const away = outage(error);
  if (away !== null) return { ok: false, words: `${away}; nothing was changed. Try again in a moment.` };
  throw error;
}

/** A server action: its permission, the shape of what it takes, its work. Every refusal is an answer, never a crash. */
export const action =
  <S extends z.ZodType, R>(
    permission: Action,
    schema: S,
    work: (actor: Actor, input: z.infer<S>) => Promise<R>,
  ) =>
  async (raw: unknown): Promise<Told<R>> => {
    if (!sameOrigin(await headers())) return { ok: false, words: 'This request came from another site.' };
    const actor = await requireActor();
    if (!may(actor.roles, permission))
      return told(new Refused(PERMISSIONS[permission].what, PERMISSIONS[permission].roles));
    const read = schema.safeParse(raw instanceof FormData ? Object.fromEntries(raw) : raw);
    if (!read.success) return { ok: false, words: read.error.issues[0]!.message };
    try {
      return { ok: true, value: await work(actor, read.data) };
    } catch (error) {
      return told(error);
    }
  };
