import type { Metadata } from 'next';
import Link from 'next/link';
import { redirect } from 'next/navigation';
import { refusable } from '@/app/lib/refusable';
import { clock, requireActor } from '@/app/lib/session';
import { Invalid, NotFound, Refused } from '@/store/errors';
import { listTeams } from '@/store/games';
import { programOf } from '@/store/members';
import { createSheet, listSheets } from '@/store/plans';
import { NewSheetForm } from '@/ui/plan/NewSheetForm';

export const metadata: Metadata = { title: 'Plan' };
export const dynamic = 'force-dynamic';

async function start(_: string | null, form: FormData): Promise<string | null> {
  'use server';
  const actor = await requireActor();
  let key: string;
  try {
    key = await createSheet(actor, { name: String(form.get('name') ?? '').slice(0, 120), opponent: String(form.get('opponent') ?? '') }, clock());
  } catch (error) {
    if (error instanceof Invalid || error instanceof NotFound || error instanceof Refused) return `${error.message}.`;
    throw error;
  }
  redirect(`/plan/${key}`);
}

export default refusable(async function Plan() {
  const actor = await requireActor();
  const [sheets, teams, program] = await Promise.all([listSheets(actor), listTeams(actor), programOf(actor)]);
  const name = (key: string) => teams.find((t) => t.key === key)?.name ?? key;
  return (
    <div className="weekgrid">
      <section className="card">
        <header><h1>Call sheets</h1></header>
        {sheets.length === 0 ? <p>None yet. Start one at the right: sections by situation, filled from your play list.</p> : (
          <ul className="todo">{sheets.map((s) => <li key={s.key}><Link href={`/plan/${s.key}`}><strong>{s.name}</strong></Link> against {name(s.opponent)}, {s.calls} {s.calls === 1 ? 'call' : 'calls'}{s.lockedBy ? `, locked by ${s.lockedBy}` : ''}</li>)}</ul>
        )}
      </section>
      {actor.roles.some((r) => r === 'coordinator' || r === 'coach') && <NewSheetForm start={start} teams={teams.filter((t) => t.key !== program.team)} opponent={program.settings.opponent} week={program.settings.week} />}
    </div>
  );
});
