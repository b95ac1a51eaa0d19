'use client';
/** A day of the script: a row a repetition, period by period. */
import { useState } from 'react';
import { clockOf, CONTACT_LABEL, PERIOD_LABEL, type ScriptDay } from '@/core/plan';
import { plural } from '@/core/rules/plural';
import { Choice } from '../shared/Choice';

export function ScriptTable({
  script,
  defense,
}: {
  readonly script: readonly ScriptDay[];
  readonly defense: boolean;
}) {
  const [chosen, setChosen] = useState(0);
  const day = script[chosen] ?? script[0];
  return (
    <section className="card" aria-label="Script">
      <header>
        <h2>Script</h2>
        {script.length > 0 && (
          <Choice
            label="day"
            value={String(script.indexOf(day!))}
            width={220}
            options={script.map((d, i) => [
              String(i),
              `${plural(d.before, 'day')} before${d.date ? `, ${d.date}` : ''}`,
            ])}
            onChange={(to) => setChosen(Number(to))}
          />
        )}
      </header>
      {!day && <p className="quiet">No practice days: add one.</p>}
      {day?.periods.map((p, i) => (
        <table key={i} className="rows script">
          <caption>
            <strong>
              {clockOf(p.from)} {p.name}
            </strong>{' '}
            <span className="small">
              {p.minutes} min · {CONTACT_LABEL[p.contact]}
              {p.kind === 'drill' ? '' : ` · ${PERIOD_LABEL[p.kind]}, ${plural(p.reps.length, 'rep')}`}
            </span>
          </caption>
          <colgroup>
            <col style={{ width: 38 }} />
            <col style={{ width: 38 }} />
            <col />
            <col style={{ width: 170 }} />
          </colgroup>
          {p.reps.length > 0 && (
            <>
              <thead className="hide">
                <tr>
                  <th>rep</th>
                  <th>{defense ? 'card' : 'call'}</th>
                  <th>{defense ? 'their play' : 'play'}</th>
                  <th>{defense ? 'our check' : 'against'}</th>
                </tr>
              </thead>
              <tbody>
                {p.reps.map(({ number, item, look }) => (
                  <tr key={number}>
                    <td className="num quiet">{number}</td>
                    <td className="num">
                      <strong>{item.number}</strong>
                    </td>
                    <td>
                      {item.title}
                      {!defense && item.say && <span className="small quiet"> · {item.say}</span>}
                    </td>
                    <td>{defense ? item.say : (look ?? <span className="quiet">no film says</span>)}</td>
                  </tr>
                ))}
              </tbody>
            </>
          )}
          {p.kind !== 'drill' && p.reps.length === 0 && (
            <tbody>
              <tr>
                <td className="quiet">Nothing on the sheet is of this kind: {PERIOD_LABEL[p.kind]}.</td>
              </tr>
            </tbody>
          )}
        </table>
      ))}
    </section>
  );
}
