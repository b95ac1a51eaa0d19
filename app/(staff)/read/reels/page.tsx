import type { Metadata } from 'next';
import { pageFor } from '@/app/lib/refusable';
import { localTime } from '@/app/lib/local-time';
import { listReels } from '@/store/reels';
import { ReelsScreen } from '@/ui/read/reels/ReelsScreen';

export const metadata: Metadata = { title: 'Reels' };
export const dynamic = 'force-dynamic';

export default pageFor('reel.save', async function Reels(actor) {
  const reels = await listReels(actor);
  return <ReelsScreen reels={reels.map((r) => ({ ...r, at: localTime(r.at) }))} />;
});
