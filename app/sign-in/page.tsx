import type { Metadata } from 'next';
import { redirect } from 'next/navigation';
import { currentActor } from '@/app/lib/session';
import { demoMembers, isDemoDatabase } from '@/store/sessions';
import { programCount } from '@/store/programs';
import { SignInForm } from '@/ui/SignInForm';
import { enter, enterDemo } from './actions';

export const metadata: Metadata = { title: 'Sign in' };
export const dynamic = 'force-dynamic';

export default async function SignIn() {
  if ((await programCount()) === 0) redirect('/first');
  if (await currentActor()) redirect('/');
  const members = (await isDemoDatabase()) ? await demoMembers() : [];
  return <SignInForm enter={enter} enterDemo={enterDemo} demo={members} />;
}
