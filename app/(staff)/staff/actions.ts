'use server';
/** Members, the week, the rules, the level, and one's own sessions. */
import { revalidatePath } from 'next/cache';
import { z } from 'zod';
import { action } from '@/app/lib/action';
import { clock, currentToken, visitor } from '@/app/lib/session';
import { PROFILE_NUMBERS, type ProfileChanges } from '@/core/field';
import { ROLES } from '@/core/staff';
import { addMember, removeMember, setRoles } from '@/store/members';
import { changePassword, endSessions } from '@/store/sessions';
import { setProfile, setRules, setWeek } from '@/store/programs';

const roles = z.array(z.enum(ROLES)).max(ROLES.length);
const change = z.discriminatedUnion('op', [
  z.object({
    op: z.literal('week'),
    week: z.union([z.null(), z.coerce.number().int().min(0).max(60)]),
    opponent: z.string().max(12).nullable(),
  }),
  z.object({
    op: z.literal('add'),
    name: z.string().trim().min(1, 'Give a name.').max(120),
    password: z.string().max(500),
    roles,
  }),
  z.object({ op: z.literal('roles'), id: z.string().max(60), roles }),
  z.object({ op: z.literal('remove'), id: z.string().max(60) }),
  z.object({ op: z.literal('end-session'), id: z.string().min(1).max(64) }),
  z.object({ op: z.literal('password'), current: z.string().max(500), next: z.string().max(500) }),
  // The rules themselves are read by the store, which names what is wrong.
  z.object({ op: z.literal('rules'), rules: z.unknown() }),
  z.object({
    op: z.literal('profile'),
    changes: z
      .object({
        numbers: z.partialRecord(z.enum(PROFILE_NUMBERS.map((n) => n.key)), z.number()),
        fouls: z.record(
          z.string().max(60),
          z.object({ yards: z.int().min(0).max(99).nullable(), firstDown: z.boolean() }),
        ),
      })
      .nullable(),
  }),
]);

/** The store asks for the permission of each change. */
const changed = action('session.own', change, async (actor, wanted): Promise<void> => {
  switch (wanted.op) {
    case 'week':
      await setWeek(actor, { week: wanted.week, opponent: wanted.opponent });
      break;
    case 'add':
      await addMember(actor, wanted, clock());
      break;
    case 'roles':
      await setRoles(actor, wanted.id, wanted.roles, clock());
      break;
    case 'remove':
      await removeMember(actor, wanted.id, clock());
      break;
    case 'rules':
      await setRules(actor, wanted.rules ?? null, clock());
      break;
    case 'profile':
      await setProfile(actor, wanted.changes as ProfileChanges | null, clock());
      break;
    case 'end-session':
      await endSessions(actor, wanted.id, clock());
      break;
    case 'password':
      await changePassword(actor, wanted, await currentToken(), await visitor(), clock());
      break;
  }
  revalidatePath('/', 'layout');
});

/** Null when it was done, else why not. */
export async function act(raw: unknown): Promise<string | null> {
  const done = await changed(raw);
  return done.ok ? null : done.words;
}
