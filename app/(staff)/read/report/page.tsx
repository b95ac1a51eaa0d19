import type { Metadata } from 'next';
import { pageFor } from '@/app/lib/refusable';
import { localTime } from '@/app/lib/local-time';
import { makeReport } from '@/app/lib/report';
import { plural } from '@/core/rules/plural';
import { may } from '@/core/staff';
import { ReportScreen } from '@/ui/read/report/ReportScreen';
import { saveSections, saveWords } from '../actions';

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
  const { report, beside, sections, template, address, about, words, since, gameName } = made;
  const { title, of, rests } = about;
  return (
    <ReportScreen
      title={title}
      of={of}
      rests={rests}
      side={address.side}
      snaps={report.snaps}
      looked={report.looked}
      first={{
        team: report.team,
        side: report.side,
        sentences: report.sentences,
        hidden: report.hidden,
        edits: words.edits,
        version: words.version,
      }}
      since={
        since && {
          ...since.changes,
          at: localTime(since.at),
          added: since.changes.added.map(gameName),
          gone: since.changes.gone.map(gameName),
        }
      }
      notes={{
        drawn: '',
        answers: '',
        words: '',
        since: since === null ? 'never printed before' : `of ${localTime(since.at)}`,
        ...Object.fromEntries(
          report.tables.map((t) => [
            t.id,
            plural(t.all.rows.length, t.columns.find((c) => c.kind === 'count')!.label.replace(/s$/, '')),
          ]),
        ),
        ...Object.fromEntries(beside.map((t) => [t.id, plural(t.rows.length, 'row')])),
      }}
      sections={sections}
      template={template}
      query={params.toString()}
      save={may(actor.roles, 'report.template') ? saveSections : null}
      saveWords={may(actor.roles, 'report.words') ? saveWords : null}
    />
  );
});
