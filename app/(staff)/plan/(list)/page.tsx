import type { Metadata } from 'next';
import Link from 'next/link';
import { pageFor } from '@/app/lib/refusable';
import { plural } from '@/core/rules/plural';
import { may } from '@/core/staff';
import { listTeams } from '@/store/games';
import { programOf } from '@/store/programs';
import { listSheets } from '@/store/plans';
import { NewSheetForm } from '@/ui/plan/NewSheetForm';
import { Waiting } from '@/ui/sync/Waiting';
import { sheetScope } from '@/core/sync';
import { startSheet } from '../actions';

export const metadata: Metadata = { title: 'Plan' };
export const dynamic = 'force-dynamic';

export default pageFor('sheet.read', async function Plan(actor) {
  const [sheets, teams, program] = await Promise.all([listSheets(actor), listTeams(actor), programOf(actor)]);
  const name = (key: string) => teams.find((t) => t.key === key)?.name ?? key;
  return (
    <div className="weekgrid">
      <section className="card">
        <header>
          <h1>Call sheets</h1>
        </header>
        {sheets.length === 0 ? (
          <p>None yet. Start one with the form: sections by situation, filled from your play list.</p>
        ) : (
          <ul className="todo">
            {sheets.map((sheet) => (
              <li key={sheet.key}>
                <Link href={`/plan/${sheet.key}`}>
                  <strong>{sheet.name}</strong>
                </Link>{' '}
                {sheet.side} against {name(sheet.opponent)},{' '}
                {plural(sheet.calls, sheet.side === 'defense' ? 'check' : 'call')}
                {sheet.lockedBy ? `, locked by ${sheet.lockedBy}` : ''}
                <Waiting scope={sheetScope(sheet.key)} />
              </li>
            ))}
          </ul>
        )}
      </section>
      {may(actor.roles, 'sheet.create') && (
        <NewSheetForm
          start={startSheet}
          teams={teams.filter((t) => t.key !== program.team)}
          opponent={program.settings.opponent}
          week={program.settings.week}
        />
      )}
    </div>
  );
});
