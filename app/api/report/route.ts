import { strToU8, zipSync } from 'fflate';
import { z } from 'zod';
import { makeUnits, type MadeReport } from '@/app/lib/report';
import { body, failure, handle } from '@/app/lib/respond';
import { clock } from '@/app/lib/session';
import { PAPERS } from '@/core/plan';
import { REPORT_UNITS, reportCsvs, reportJson, type ReportUnits } from '@/core/read';
import { playersPdf, reportPdf } from '@/render/report-pdf';
import { reportWorkbook } from '@/store/report-xlsx';
import { keepPrint } from '@/store/reports';

const paper = z.enum(Object.keys(PAPERS) as [keyof typeof PAPERS]).default('letter');
const units = z.enum(Object.keys(REPORT_UNITS) as [ReportUnits, ...ReportUnits[]]).optional();
const query = z.object({
  as: z.enum(['pdf', 'players', 'xlsx', 'csv', 'json']).default('pdf'),
  paper,
  breaks: z.literal('yes').optional(),
  units,
});
const order = z.object({
  query: z.string().max(4000),
  paper,
  breaks: z.boolean(),
  units,
});

/** The scouting report of a view of Read, as its address says: on paper, as a workbook, a CSV a table, or JSON. */
export async function GET(request: Request): Promise<Response> {
  return handle(request, 'game.read', async (actor) => {
    const params = new URL(request.url).searchParams;
    const { as, paper, breaks, units } = query.parse(
      Object.fromEntries(
        ['as', 'paper', 'breaks', 'units'].flatMap((k) => (params.get(k) ? [[k, params.get(k)]] : [])),
      ),
    );
    const made = await makeUnits(actor, params, units ?? null);
    const { games, columns } = made[0]!;
    const name = nameOf(made, units);
    const file = (bytes: Uint8Array | string, type: string, ending: string, show = false): Response =>
      new Response(bytes as BodyInit, {
        headers: {
          'Content-Type': type,
          'Content-Disposition': `${show ? 'inline' : 'attachment'}; filename="${name}.${ending}"`,
          'Cache-Control': 'no-store',
        },
      });
    if (as === 'json')
      return file(JSON.stringify(reportJson(made, games, units)), 'application/json', 'json');
    if (as === 'csv')
      return file(
        zipSync(Object.fromEntries(reportCsvs(made).map(([csv, text]) => [csv, strToU8(text)]))),
        'application/zip',
        'zip',
      );
    const now = clock();
    const prints = made.map((m) => m.print(now));
    if (as === 'xlsx')
      return file(
        await reportWorkbook(
          prints.map((p) => ({ ...p, about: [p.title, p.of, p.rests] })),
          columns.weight !== null,
        ),
        'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
        'xlsx',
      );
    return as === 'players'
      ? file(await playersPdf(prints, paper), 'application/pdf', 'pdf', true)
      : file(
          await reportPdf(prints, { paper, breaks: breaks === 'yes', signal: request.signal }),
          'application/pdf',
          'pdf',
          true,
        );
  });
}

const nameOf = (made: readonly MadeReport[], units: ReportUnits | undefined): string =>
  `report-${made[0]!.report.team}-${units ?? made[0]!.report.side}`;

/** The PDF as it is built: a line of JSON before each section, then the file. The print is kept, to be compared with the next. */
export async function POST(request: Request): Promise<Response> {
  return handle(request, 'game.read', async (actor) => {
    const asked = await body(request, order);
    const made = await makeUnits(actor, new URLSearchParams(asked.query), asked.units ?? null);
    const stopped = new AbortController();
    const lines = new TextEncoder();
    const stream = new ReadableStream<Uint8Array>({
      async start(out) {
        const say = (line: object): void => {
          if (!stopped.signal.aborted) out.enqueue(lines.encode(`${JSON.stringify(line)}\n`));
        };
        try {
          const now = clock();
          const pdf = await reportPdf(
            made.map((m) => m.print(now)),
            {
              paper: asked.paper,
              breaks: asked.breaks,
              signal: AbortSignal.any([stopped.signal, request.signal]),
              onSection: (done, of) => say({ done, of }),
            },
          );
          for (const { report, figures } of made)
            await keepPrint(actor, { team: report.team, side: report.side }, figures(), now);
          say({ name: `${nameOf(made, asked.units)}.pdf`, pdf: Buffer.from(pdf).toString('base64') });
        } catch (error) {
          if (stopped.signal.aborted || request.signal.aborted) return;
          const { error: problem } = (await failure(error, { path: '/api/report' }).json()) as {
            error: string;
          };
          say({ problem });
        }
        if (!stopped.signal.aborted) out.close();
      },
      cancel: () => stopped.abort(),
    });
    return new Response(stream, {
      headers: { 'Content-Type': 'application/x-ndjson', 'Cache-Control': 'no-store' },
    });
  });
}
