import { practiceOf } from '@/core/exchange/settings';
import { toRep } from '@/app/lib/practice';
import { handle } from '@/app/lib/respond';
import { clock } from '@/app/lib/session';
import { buildScript } from '@/core/plan';
import { practiceCalendar } from '@/render/practice-calendar';
import { Invalid } from '@/store/errors';
import { loadSheet } from '@/store/plans';
import { programOf } from '@/store/programs';

interface Context {
  params: Promise<{ sheet: string }>;
}

/** The week's practices as a calendar that any program reads (RFC 5545). */
export async function GET(request: Request, { params }: Context): Promise<Response> {
  return handle(request, 'sheet.read', async (actor) => {
    const { sheet: key } = await params;
    const [sheet, program] = await Promise.all([loadSheet(actor, key), programOf(actor)]);
    const settings = practiceOf(program.settings);
    if (settings.game === null)
      throw new Invalid('Say under Rep when the game is; the days count back from it');
    const script = buildScript(await toRep(actor, sheet, program.team), settings);
    return new Response(practiceCalendar(key, sheet.name, script, clock()), {
      headers: {
        'Content-Type': 'text/calendar; charset=utf-8',
        'Content-Disposition': 'attachment; filename="practice.ics"',
        'Cache-Control': 'no-store',
      },
    });
  });
}
