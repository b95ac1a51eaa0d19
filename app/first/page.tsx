import type { Metadata } from 'next';
import { redirect } from 'next/navigation';
import { clock } from '@/app/lib/session';
import { programCount } from '@/store/programs';
import { FirstForm } from '@/ui/FirstForm';
import { create } from './actions';

export const metadata: Metadata = { title: 'First visit' };
export const dynamic = 'force-dynamic';

export default async function First() {
  if ((await programCount()) > 0) redirect('/sign-in');
  return <FirstForm create={create} season={clock().getFullYear()} />;
}
