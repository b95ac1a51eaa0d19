import type { Metadata } from 'next';
import { sheetToPrint } from '@/app/lib/print';
import { pageFor } from '@/app/lib/refusable';
import { pagesOf } from '@/render/sheet-pdf';
import { PrintPreview } from '@/ui/plan/PrintPreview';

export const metadata: Metadata = { title: 'Print preview' };
export const dynamic = 'force-dynamic';

interface Props {
  params: Promise<{ sheet: string }>;
}

export default pageFor('sheet.read', async function Print(actor, { params }: Props) {
  const { sheet: key } = await params;
  const sheet = await sheetToPrint(actor, key);
  const { name, title, against } = sheet;
  return (
    <PrintPreview
      sheet={{ key, name, title, against }}
      prints={{ letter: pagesOf(sheet, 'letter'), a4: pagesOf(sheet, 'a4') }}
    />
  );
});
