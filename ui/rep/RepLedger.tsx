'use client';
/** What each call comes to in the week, and whether that is enough to call it. */
import type { PracticeSettings, RepCount } from '@/core/plan';

interface RepLedgerProps {
  readonly reps: readonly RepCount[];
  readonly settings: PracticeSettings;
  readonly defense: boolean;
}

export function RepLedger({ reps, settings: { enough, newShare }, defense }: RepLedgerProps) {
  const callable = reps.filter((r) => r.callable).length;
  return (
    <section className="card" aria-label="Repetitions">
      <header>
        <h2>{defense ? 'Seen in the week' : 'Repeated in the week'}</h2>
        <span className="small">
          {callable} of {reps.length} {defense ? 'cards' : 'plays'} have {enough} or more
          {defense ? '' : ` and new jobs for less than ${Math.round(100 * newShare)} % of the men`}
        </span>
      </header>
      {reps.length === 0 ? (
        <p className="quiet">
          {defense
            ? 'No film of theirs is tagged far enough to draw a card of it.'
            : 'No call stands on the sheet.'}
        </p>
      ) : (
        <table className="rows">
          <thead>
            <tr>
              <th>{defense ? 'card' : 'calls'}</th>
              <th>{defense ? 'their play' : 'play'}</th>
              <th className="num">{defense ? 'their snaps' : 'expected in the game'}</th>
              <th className="num">logged</th>
              <th className="num">in the script</th>
              {!defense && <th className="num">new jobs</th>}
              <th>state</th>
            </tr>
          </thead>
          <tbody>
            {reps.map(({ item, numbers, weight, scripted, callable }) => (
              <tr key={item.play}>
                <td className="num">{numbers.join(', ')}</td>
                <td>{item.title}</td>
                <td className="num">{defense ? weight : weight.toFixed(1)}</td>
                <td className="num">{item.logged}</td>
                <td className="num">{scripted}</td>
                {!defense && (
                  <td className="num">
                    {item.newJobs === null ? 'not drawn' : `${Math.round(100 * item.newJobs)} %`}
                  </td>
                )}
                <td>{callable ? defense ? 'enough' : 'callable' : <strong>not yet</strong>}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </section>
  );
}
