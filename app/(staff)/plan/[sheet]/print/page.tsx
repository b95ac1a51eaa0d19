import type { Metadata } from 'next';
import { sheetToPrint } from '@/app/lib/print';
import { may } from '@/core/staff';
import { pageFor } from '@/app/lib/refusable';
import { clock } from '@/app/lib/session';
import { pagesOf } from '@/render/sheet-pdf';
import { PrintPreview } from '@/ui/plan/PrintPreview';
import { savePrints } from '../../actions';

export const metadata: Metadata = { title: 'Print preview' };
export const dynamic = 'force-dynamic';

interface Props {
  params: Promise<{ sheet: string }>;
  searchParams: Promise<Record<string, string | string[] | undefined>>;
}

export default pageFor('sheet.read', async function Print(actor, { params, searchParams }: Props) {
  const { sheet: key } = await params;
  const { source, choice, men, staff } = await sheetToPrint(actor, key, await searchParams, clock());
  const { name, title, against } = source.sheet;
  return (
    <PrintPreview
      sheet={{ key, name, title, against, side: source.side }}
      choice={choice}
      staff={staff}
      save={may(actor.roles, 'sheet.draft') ? savePrints : null}
      men={men}
      print={pagesOf(source, choice)}
      faults={source.cards.flatMap((card, i) =>
        card.fault ? [`${i + 1}, ${card.title}: ${card.fault}`] : [],
      )}
    />
  );
});
