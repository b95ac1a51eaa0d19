import type { Metadata } from 'next';
import { redirect } from 'next/navigation';
import { clock, currentActor, setSession } from '@/app/lib/session';
import { isStoreDown, SignInRefused } from '@/store/errors';
import { demoMembers, isDemoDatabase, programCount, signIn, signInDemo } from '@/store/members';
import { SignInForm } from '@/ui/SignInForm';

export const metadata: Metadata = { title: 'Sign in' };
export const dynamic = 'force-dynamic';

async function enter(_: string | null, form: FormData): Promise<string | null> {
  'use server';
  try {
    await setSession(await signIn(String(form.get('name') ?? ''), String(form.get('password') ?? ''), clock()));
  } catch (error) {
    if (error instanceof SignInRefused) return error.message;
    if (isStoreDown(error)) return 'The database does not answer; try again in a moment.';
    throw error;
  }
  redirect('/');
}

async function enterDemo(form: FormData): Promise<void> {
  'use server';
  await setSession(await signInDemo(String(form.get('member') ?? ''), clock()));
  redirect('/');
}

export default async function SignIn() {
  if ((await programCount()) === 0) redirect('/first');
  if (await currentActor()) redirect('/');
  const members = (await isDemoDatabase()) ? await demoMembers() : [];
  return <SignInForm enter={enter} enterDemo={enterDemo} demo={members} />;
}
