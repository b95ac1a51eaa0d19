import type { Metadata } from 'next';
import { pageFor } from '@/app/lib/refusable';
import { makeReport } from '@/app/lib/report';
import { may } from '@/core/staff';
import { ReportScreen } from '@/ui/read/report/ReportScreen';
import { saveSections } from '../actions';

export const metadata: Metadata = { title: 'Report' };
export const dynamic = 'force-dynamic';

interface Props {
  searchParams: Promise<Record<string, string | string[] | undefined>>;
}

export default pageFor('game.read', async function ReportPage(actor, { searchParams }: Props) {
  const given = Object.entries(await searchParams).flatMap(([k, v]) =>
    typeof v === 'string' ? [[k, v]] : [],
  );
  const params = new URLSearchParams(given);
  const made = await makeReport(actor, params);
  const { report, sections, template, address, about } = made;
  const { title, of, rests } = about;
  return (
    <ReportScreen
      title={title}
      of={of}
      rests={rests}
      side={address.side}
      snaps={report.snaps}
      looked={report.looked}
      sentences={report.sentences}
      counts={Object.fromEntries(report.tables.map((t) => [t.id, t.all.rows.length]))}
      sections={sections}
      template={template}
      query={params.toString()}
      save={may(actor.roles, 'report.template') ? saveSections : null}
    />
  );
});
