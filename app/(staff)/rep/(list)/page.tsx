import { practiceOf } from '@/core/exchange/settings';
import type { Metadata } from 'next';
import Link from 'next/link';
import { pageFor } from '@/app/lib/refusable';
import { clock } from '@/app/lib/session';
import { CONTACT_CAUTION, countdown } from '@/core/plan';
import { plural } from '@/core/rules/plural';
import { listTeams } from '@/store/games';
import { listSheets } from '@/store/plans';
import { programOf } from '@/store/programs';

export const metadata: Metadata = { title: 'Rep' };
export const dynamic = 'force-dynamic';

export default pageFor('sheet.read', async function Rep(actor) {
  const [sheets, teams, program] = await Promise.all([listSheets(actor), listTeams(actor), programOf(actor)]);
  const name = (key: string) => teams.find((t) => t.key === key)?.name ?? key;
  const { game, days } = practiceOf(program.settings);
  return (
    <section className="card">
      <header>
        <h1>Practice from a sheet</h1>
        <span className="small">{countdown(game, clock())}</span>
      </header>
      {sheets.length === 0 ? (
        <p>
          No sheet yet. <Link href="/plan">Start one in Plan</Link>: its calls are what the week repeats.
        </p>
      ) : (
        <ul className="todo">
          {sheets.map((sheet) => (
            <li key={sheet.key}>
              <Link href={`/rep/${sheet.key}`}>
                <strong>{sheet.name}</strong>
              </Link>{' '}
              {sheet.side} against {name(sheet.opponent)},{' '}
              {plural(sheet.calls, sheet.side === 'defense' ? 'check' : 'call')} in{' '}
              {plural(days.length, 'day')} of practice
            </li>
          ))}
        </ul>
      )}
      <p className="small quiet">{CONTACT_CAUTION}</p>
    </section>
  );
});
