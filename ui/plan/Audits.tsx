'use client';
/** What the sheet leaves open and gives away, each a sentence that leads to its section and its calls. */
import { useMemo } from 'react';
import {
  auditSheet,
  findSection,
  givenAway,
  type Audit,
  type AuditCode,
  type SheetCall,
  type Sizing,
} from '@/core/plan';
import { tenths } from '@/core/read';
import { plural } from '@/core/rules/plural';

interface AuditsProps {
  readonly calls: readonly SheetCall[];
  readonly numbers: ReadonlyMap<string, number>;
  readonly sizes: ReadonlyMap<string, Sizing | null>;
  readonly onSection: (key: string) => void;
}

const percent = (share: number): string => `${Math.round(100 * share)} %`;

const inOrder = (calls: readonly string[], numbers: ReadonlyMap<string, number>): string[] =>
  [...calls].sort((a, b) => (numbers.get(a) ?? 0) - (numbers.get(b) ?? 0));

/** Calls are found by their number on the sheet. */
function focusCall(id: string): void {
  document.querySelector<HTMLElement>(`[data-call="${CSS.escape(id)}"]`)?.focus();
}

/** Said of many sections at once: one line, each of them with its figure. */
const BRIEF: readonly {
  readonly code: AuditCode;
  readonly words: string;
  readonly figure: (facts: Audit['facts']) => string;
}[] = [
  {
    code: 'no_calls',
    words: 'No call, though so many snaps a game are expected',
    figure: ({ expected }) => tenths(expected!),
  },
  {
    code: 'too_few',
    words: 'So few that one comes more than twice a game',
    figure: ({ calls, enough }) => `${calls} of ${enough}`,
  },
];

function Section({ of, onSection }: { readonly of: Audit; readonly onSection: (key: string) => void }) {
  return (
    <button type="button" className="plain" onClick={() => onSection(of.section!)}>
      <strong>{findSection(of.section!)!.label}</strong>
    </button>
  );
}

export function Audits({ calls, numbers, sizes, onSection }: AuditsProps) {
  const audits = useMemo(() => auditSheet(calls, sizes), [calls, sizes]);
  const given = useMemo(() => givenAway(calls, sizes), [calls, sizes]);
  return (
    <details className="card audits" open={calls.length > 0}>
      <summary>
        <h2>What the sheet leaves open</h2>{' '}
        <span className="small quiet">
          {audits.length === 0 ? 'nothing that is looked for' : plural(audits.length, 'thing')}
        </span>
      </summary>
      <ul className="plainlist" aria-label="What the sheet leaves open">
        {BRIEF.map(({ code, words, figure }) => {
          const these = audits.filter((a) => a.code === code);
          return (
            these.length > 0 && (
              <li key={code}>
                {words}:{' '}
                {these.map((audit, i) => (
                  <span key={audit.section}>
                    {i > 0 && ', '}
                    <Section of={audit} onSection={onSection} /> {figure(audit.facts)}
                  </span>
                ))}
                .
              </li>
            )
          );
        })}
        {audits
          .filter((a) => BRIEF.every((b) => b.code !== a.code))
          .map((audit) => (
            <li key={`${audit.code}${audit.section ?? ''}${audit.calls.join()}`}>
              {audit.section !== null && (
                <>
                  <Section of={audit} onSection={onSection} />:{' '}
                </>
              )}
              {audit.sentence}{' '}
              <span className="small quiet">
                {audit.calls.length === 1 ? 'call' : 'calls'}{' '}
                {inOrder(audit.calls, numbers).map((id) => (
                  <button
                    key={id}
                    type="button"
                    className="plain num"
                    onClick={() => focusCall(id)}
                    aria-label={`call ${numbers.get(id)}, show it`}
                  >
                    {numbers.get(id)}
                  </button>
                ))}
              </span>
            </li>
          ))}
      </ul>
      {given && (
        <p className="small quiet">
          Of {plural(given.calls, 'call')}, weighed by what is expected of their sections: who sees personnel,
          formation and backfield names run, pass or option right on {percent(given.seen)} of the snaps, who
          sees only the situation on {percent(given.unseen)}; the picture gives {given.bits.toFixed(2)} bits a
          snap away.
        </p>
      )}
    </details>
  );
}
