import type { Metadata } from 'next';
import { revalidatePath } from 'next/cache';
import { z } from 'zod';
import { clock, requireActor } from '@/app/lib/session';
import { adaptProfile, LEVEL_PROFILES, PROFILE_NUMBERS, type ProfileChanges } from '@/core/field';
import { ROLES } from '@/core/exchange/types';
import { Invalid, NotFound, Refused } from '@/store/errors';
import { listTeams } from '@/store/games';
import { addMember, listMembers, programOf, removeMember, setProfile, setRules, setWeek } from '@/store/members';
import { StaffScreen } from '@/ui/StaffScreen';

export const metadata: Metadata = { title: 'Staff' };
export const dynamic = 'force-dynamic';

const change = z.discriminatedUnion('op', [
  z.object({ op: z.literal('week'), week: z.union([z.null(), z.coerce.number().int().min(0).max(60)]), opponent: z.string().nullable() }),
  z.object({ op: z.literal('add'), name: z.string().trim().min(1, 'Give a name.').max(120), password: z.string().max(500), roles: z.array(z.enum(ROLES)) }),
  z.object({ op: z.literal('remove'), id: z.string() }),
  // The rules themselves are read by the store, which names what is wrong.
  z.object({ op: z.literal('rules'), rules: z.unknown() }),
  z.object({ op: z.literal('profile'), changes: z.object({ numbers: z.partialRecord(z.enum(PROFILE_NUMBERS.map((n) => n.key)), z.number()), fouls: z.record(z.string().max(60), z.object({ yards: z.int().min(0).max(99).nullable(), firstDown: z.boolean() })) }).nullable() }),
]);

async function act(raw: unknown): Promise<string | null> {
  'use server';
  const actor = await requireActor();
  const read = change.safeParse(raw);
  if (!read.success) return read.error.issues[0]!.message;
  try {
    if (read.data.op === 'week') await setWeek(actor, { week: read.data.week, opponent: read.data.opponent });
    else if (read.data.op === 'add') await addMember(actor, read.data, clock());
    else if (read.data.op === 'profile') await setProfile(actor, read.data.changes as ProfileChanges | null);
    else if (read.data.op === 'rules') await setRules(actor, read.data.rules ?? null);
    else await removeMember(actor, read.data.id, clock());
  } catch (error) {
    if (error instanceof Invalid || error instanceof NotFound || error instanceof Refused) return `${error.message}.`;
    throw error;
  }
  revalidatePath('/', 'layout');
  return null;
}

export default async function Staff() {
  const actor = await requireActor();
  const [members, program, teams] = await Promise.all([listMembers(actor), programOf(actor), listTeams(actor)]);
  const has = (...roles: string[]) => actor.roles.some((r) => roles.includes(r));
  return (
    <StaffScreen members={members} me={actor.memberId} settings={program.settings} teams={teams.filter((t) => t.key !== program.team)} base={LEVEL_PROFILES[program.level]} level={adaptProfile(LEVEL_PROFILES[program.level], program.season, program.settings.profile ?? null)} act={act} mayKeep={has('keeper')} mayRules={has('keeper', 'coordinator')} mayWeek={has('coordinator', 'coach')} mayExport={has('keeper', 'coordinator')} />
  );
}
