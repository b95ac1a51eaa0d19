'use client';
/** What the sheet leaves open and gives away, each a sentence that leads to its section and its calls. */
import Button from '@mui/material/Button';
import { useMemo, useState } from 'react';
import {
  auditKey,
  findSection,
  givenAway,
  settleAudits,
  type Audit,
  type AuditCode,
  type Remark,
  type SectionSpec,
  type SheetCall,
  type SheetEdit,
  type Sizing,
  type StaffPrints,
} from '@/core/plan';
import { tenths } from '@/core/read';
import { plural } from '@/core/rules/plural';
import { part } from '../shared/part';
import { focusCall } from './useMarks';
import { Waved, WaveOne, WaveThrough } from './WaveThrough';

const QuotasForm = part(() => import('./QuotasForm'));
const SignalsForm = part(() => import('./SignalsForm'));

interface AuditsProps {
  readonly audits: readonly Audit[];
  readonly remarks: readonly Remark[];
  readonly sections: readonly SectionSpec[];
  readonly calls: readonly SheetCall[];
  readonly numbers: ReadonlyMap<string, number>;
  readonly sizes: ReadonlyMap<string, Sizing | null>;
  readonly mayEdit: boolean;
  readonly onEdit: (edit: SheetEdit | null) => void;
  readonly onSection: (key: string) => void;
  /** The snaps of a set-up, by its play. */
  readonly onSetup: (play: string) => void;
  readonly figures: StaffPrints;
  /** Says why they were not kept; null: this member may not. */
  readonly onFigures: ((some: Partial<StaffPrints>) => Promise<string | null>) | null;
}

/** Lines that stand at once: the plays are below them. */
const MOST_LINES = 12;

const percent = (share: number): string => `${Math.round(100 * share)} %`;

const inOrder = (calls: readonly string[], numbers: ReadonlyMap<string, number>): string[] =>
  [...calls].sort((a, b) => (numbers.get(a) ?? 0) - (numbers.get(b) ?? 0));

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

export function Audits(props: AuditsProps) {
  const { audits, remarks, sections, calls, numbers, sizes, mayEdit, onEdit, onSection, onSetup } = props;
  const { figures, onFigures } = props;
  const { open, waved } = useMemo(() => settleAudits(audits, remarks), [audits, remarks]);
  const [asked, setAsked] = useState<'quotas' | 'signals' | null>(null);
  const [whole, setWhole] = useState(false);
  const long = open.filter((a) => BRIEF.every((b) => b.code !== a.code));
  const given = useMemo(() => givenAway(calls, sizes), [calls, sizes]);
  const section = (of: Audit): React.ReactNode => (
    <button type="button" className="plain" onClick={() => onSection(of.section!)}>
      <strong>{findSection(of.section!, sections)?.label ?? of.section}</strong>
    </button>
  );
  return (
    <details className="card audits" open={calls.length > 0}>
      <summary>
        <h2>What the sheet leaves open</h2>{' '}
        <span className="small quiet">
          {open.length === 0 ? 'nothing that is looked for' : plural(open.length, 'thing')}
        </span>
      </summary>
      <ul className="plainlist" aria-label="What the sheet leaves open">
        {BRIEF.map(({ code, words, figure }) => {
          const these = open.filter((a) => a.code === code);
          return (
            these.length > 0 && (
              <li key={code}>
                {words}:{' '}
                {these.map((audit, i) => (
                  <span key={audit.section}>
                    {i > 0 && ', '}
                    {section(audit)} {figure(audit.facts)}
                  </span>
                ))}
                .{' '}
                {mayEdit && (
                  <WaveOne
                    audits={these}
                    label={(key) => findSection(key, sections)?.label ?? key}
                    onEdit={onEdit}
                  />
                )}
              </li>
            )
          );
        })}
        {(whole ? long : long.slice(0, MOST_LINES)).map((audit) => (
          <li key={auditKey(audit)}>
            {audit.section !== null && <>{section(audit)}: </>}
            {audit.sentence}{' '}
            <span className="small quiet">
              {audit.calls.length === 0 ? '' : audit.calls.length === 1 ? 'call' : 'calls'}{' '}
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
            </span>{' '}
            {audit.code === 'no_setup' &&
              calls
                .filter((c) => audit.calls.includes(c.id))
                .flatMap((c) => c.play.links.filter((l) => l.kind === 'set-up'))
                .map((link) => (
                  <button
                    key={link.play}
                    type="button"
                    className="plain small"
                    onClick={() => onSetup(link.play)}
                  >
                    shown {audit.facts.shown}
                  </button>
                ))}{' '}
            {mayEdit && <WaveThrough audit={audit} onEdit={onEdit} />}
          </li>
        ))}
      </ul>
      {long.length > MOST_LINES && (
        <Button onClick={() => setWhole(!whole)}>
          {whole ? `show ${MOST_LINES}` : `show ${long.length - MOST_LINES} more`}
        </Button>
      )}
      <p className="small quiet">
        Wanted in each half:{' '}
        {figures.quotas.map(({ words, half }) => `${half} ${words.join(' or ')}`).join('; ') || 'nothing'}.{' '}
        {onFigures && (
          <button type="button" className="plain" onClick={() => setAsked('quotas')}>
            quotas
          </button>
        )}{' '}
        {figures.signals.length === 0
          ? 'No hand signals are kept.'
          : `${plural(figures.signals.length, 'hand signal')} kept.`}{' '}
        {onFigures && (
          <button type="button" className="plain" onClick={() => setAsked('signals')}>
            signals
          </button>
        )}
      </p>
      {asked === 'quotas' && onFigures && (
        <QuotasForm
          quotas={figures.quotas}
          save={(quotas) => onFigures({ quotas })}
          onClose={() => setAsked(null)}
        />
      )}
      {asked === 'signals' && onFigures && (
        <SignalsForm
          signals={figures.signals}
          save={(signals) => onFigures({ signals })}
          onClose={() => setAsked(null)}
        />
      )}
      <Waved waved={waved} mayEdit={mayEdit} onEdit={onEdit} />
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
