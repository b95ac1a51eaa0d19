import type { Metadata } from 'next';
import { redirect } from 'next/navigation';
import { z } from 'zod';
import { clock, setSession } from '@/app/lib/session';
import { LEVEL_KEYS } from '@/core/field';
import { Invalid } from '@/store/errors';
import { createFirstProgram, LEAST_PASSWORD, programCount } from '@/store/members';
import { FirstForm } from '@/ui/FirstForm';

export const metadata: Metadata = { title: 'First visit' };
export const dynamic = 'force-dynamic';

const schema = z.object({
  program: z.string().trim().min(1, 'Name the program.').max(120),
  level: z.enum(LEVEL_KEYS),
  season: z.coerce.number('The season is a year.').int().min(1900, 'The season is a year.').max(2200, 'The season is a year.'),
  teamName: z.string().trim().min(1, 'Name the team.').max(120),
  teamKey: z.string().trim().regex(/^[A-Za-z0-9_]{1,12}$/, 'The short key is one to twelve letters or digits, such as HER.'),
  memberName: z.string().trim().min(1, 'Give your name.').max(120),
  password: z.string().min(LEAST_PASSWORD, `The password needs at least ${LEAST_PASSWORD} characters.`).max(500),
});

async function create(_: string | null, form: FormData): Promise<string | null> {
  'use server';
  const read = schema.safeParse(Object.fromEntries(form));
  if (!read.success) return read.error.issues[0]!.message;
  try {
    await setSession(await createFirstProgram({ ...read.data, teamKey: read.data.teamKey.toUpperCase() }, clock()));
  } catch (error) {
    if (error instanceof Invalid) return `${error.message}.`;
    throw error;
  }
  redirect('/');
}

export default async function First() {
  if ((await programCount()) > 0) redirect('/sign-in');
  return <FirstForm create={create} season={clock().getFullYear()} />;
}
