'use server';
/** The first visit to an empty database: open to everybody until a program is there. */
import { headers } from 'next/headers';
import { redirect } from 'next/navigation';
import { z } from 'zod';
import { sameOrigin } from '@/app/lib/origin';
import { clock, setSession } from '@/app/lib/session';
import { LEVEL_KEYS } from '@/core/field';
import { Invalid, outage } from '@/store/errors';
import { createFirstProgram } from '@/store/programs';
import { LEAST_PASSWORD } from '@/store/sessions';

const schema = z.object({
  program: z.string().trim().min(1, 'Name the program.').max(120),
  level: z.enum(LEVEL_KEYS),
  season: z.coerce
    .number('The season is a year.')
    .int()
    .min(1900, 'The season is a year.')
    .max(2200, 'The season is a year.'),
  teamName: z.string().trim().min(1, 'Name the team.').max(120),
  teamKey: z
    .string()
    .trim()
    .regex(/^[A-Za-z0-9_]{1,12}$/, 'The short key is one to twelve letters or digits, such as HER.'),
  memberName: z.string().trim().min(1, 'Give your name.').max(120),
  password: z
    .string()
    .min(LEAST_PASSWORD, `The password needs at least ${LEAST_PASSWORD} characters.`)
    .max(500),
});

export async function create(_: string | null, form: FormData): Promise<string | null> {
  if (!sameOrigin(await headers())) return 'This request came from another site.';
  const read = schema.safeParse(Object.fromEntries(form));
  if (!read.success) return read.error.issues[0]!.message;
  try {
    await setSession(
      await createFirstProgram({ ...read.data, teamKey: read.data.teamKey.toUpperCase() }, clock()),
    );
  } catch (error) {
    if (error instanceof Invalid) return `${error.message}.`;
    const away = outage(error);
    if (away !== null) return `${away}; try again in a moment.`;
    throw error;
  }
  redirect('/');
}
