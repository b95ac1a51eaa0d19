'use client';
/** The sitting so far by field, and what this charter takes for what. */
import { scoreOf, type Answered, type Mistaken } from '@/core/drill';
import { valueWords } from '@/core/charting/words';
import { SNAP_FIELDS } from '@/core/snap';

const MOST = 8;

export function DrillScore({
  answered,
  mistaken,
}: {
  readonly answered: readonly Answered[];
  readonly mistaken: readonly Mistaken[];
}) {
  const { fields, seconds } = scoreOf(answered);
  return (
    <div className="stack">
      <section className="card" aria-label="This sitting">
        <h2>This sitting</h2>
        {fields.length === 0 ? (
          <p className="small quiet">Right answers by field stand here.</p>
        ) : (
          <>
            <table className="rows tight">
              <tbody>
                {fields.map((f) => (
                  <tr key={f.label}>
                    <td>{f.label}</td>
                    <td className="n">
                      {f.right} of {f.of}
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
            <p className="small quiet">
              {answered.length} {answered.length === 1 ? 'look' : 'looks'}, median {seconds?.toFixed(1)} s
            </p>
          </>
        )}
      </section>
      <section className="card" aria-label="Taken for each other">
        <h2>What you take for what</h2>
        {mistaken.length === 0 ? (
          <p className="small quiet">Nothing yet, before this sitting.</p>
        ) : (
          <ul className="plainlist small">
            {mistaken.slice(0, MOST).map((m) => (
              <li key={`${m.field} ${m.there} ${m.said}`}>
                {SNAP_FIELDS[m.field].label}: <strong>{valueWords(m.there)}</strong> as{' '}
                {m.said === 'nothing' ? 'nothing' : valueWords(m.said)}, {m.n} {m.n === 1 ? 'time' : 'times'}
              </li>
            ))}
          </ul>
        )}
        <p className="small quiet">
          What is missed is asked again the next day, what is known after ever longer times (the rule SM-2,
          Wozniak 1990).
        </p>
      </section>
    </div>
  );
}
