import type { Metadata } from 'next';
import { pageFor } from '@/app/lib/refusable';
import { listTeams } from '@/store/games';
import { programOf } from '@/store/members';
import { loadSheet } from '@/store/plans';
import { PrintPreview } from '@/ui/plan/PrintPreview';

export const metadata: Metadata = { title: 'Print preview' };
export const dynamic = 'force-dynamic';

interface Props {
  params: Promise<{ sheet: string }>;
}

export default pageFor('sheet.read', async function Print(actor, { params }: Props) {
  const [sheet, program, teams] = await Promise.all([
    loadSheet(actor, (await params).sheet),
    programOf(actor),
    listTeams(actor),
  ]);
  const name = (k: string) => teams.find((t) => t.key === k)?.name ?? k;
  return (
    <PrintPreview sheet={sheet} title={`${name(program.team)} offense`} against={name(sheet.opponent)} />
  );
});
