'use server';
/** The way in: by name and password, or in the demo by a button. Open to everybody, and counted. */
import { headers } from 'next/headers';
import { redirect } from 'next/navigation';
import { sameOrigin } from '@/app/lib/origin';
import { clock, setSession, visitor } from '@/app/lib/session';
import { outage, SignInRefused } from '@/store/errors';
import { signIn, signInDemo } from '@/store/sessions';

async function enterBy(work: () => Promise<string>): Promise<string | null> {
  if (!sameOrigin(await headers())) return 'This request came from another site.';
  try {
    await setSession(await work());
    return null;
  } catch (error) {
    if (error instanceof SignInRefused) return error.message;
    const away = outage(error);
    if (away !== null) return `${away}; try again in a moment.`;
    throw error;
  }
}

export async function enter(_: string | null, form: FormData): Promise<string | null> {
  const problem = await enterBy(async () =>
    signIn(
      String(form.get('name') ?? '').slice(0, 200),
      String(form.get('password') ?? '').slice(0, 500),
      await visitor(),
      clock(),
    ),
  );
  if (problem !== null) return problem;
  redirect('/');
}

export async function enterDemo(_: string | null, form: FormData): Promise<string | null> {
  const problem = await enterBy(async () =>
    signInDemo(String(form.get('member') ?? ''), clock(), (await visitor()).agent),
  );
  if (problem !== null) return problem;
  redirect('/');
}
