import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { z } from 'zod';
import { pageFor } from '@/app/lib/refusable';
import { shownReel } from '@/app/lib/reel';
import { may } from '@/core/staff';
import { NotFound } from '@/store/errors';
import { ReelScreen } from '@/ui/read/reels/ReelScreen';
import { dropReel, saveReel } from '../actions';

export const metadata: Metadata = { title: 'Reel' };
export const dynamic = 'force-dynamic';

interface Props {
  params: Promise<{ reel: string }>;
}

export default pageFor('reel.open', async function ReelPage(actor, { params }: Props) {
  const id = z.uuid().safeParse((await params).reel);
  if (!id.success) notFound();
  const shown = await shownReel(actor, id.data).catch((error: unknown) => {
    if (error instanceof NotFound) notFound();
    throw error;
  });
  const mine = may(actor.roles, 'reel.save');
  return <ReelScreen key={id.data} {...shown} save={mine ? saveReel : null} drop={mine ? dropReel : null} />;
});
