'use client';
/** Where charters of one game agree beyond chance, and where not: each disputed snap settled by one key. */
import Button from '@mui/material/Button';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { Dispute, FieldAgreement } from '@/core/agreement';
import { gameName } from '@/core/exchange/names';
import type { GameInfo, TeamInfo } from '@/core/exchange/types';
import { gameScope, type Pulled } from '@/core/sync';
import { useScope } from '@/client/SyncProvider';
import { UnsettledList } from '../../sync/Unsettled';
import { ConfusionTable } from './ConfusionTable';
import { Disputes } from './Disputes';

interface ChartingView {
  readonly id: string;
  readonly name: string;
  readonly kind: 'official' | 'blind';
  readonly mine: boolean;
  readonly handedIn: boolean;
}
export interface AgreeScreenProps {
  readonly game: GameInfo;
  readonly teams: readonly TeamInfo[];
  readonly chartings: readonly ChartingView[];
  readonly names: readonly string[];
  readonly withOfficial: boolean;
  readonly fields: readonly FieldAgreement[];
  readonly initial: Pulled;
  readonly begin: (game: string) => Promise<string | null>;
}

const two = (value: number | null): string =>
  value === null ? '–' : value.toFixed(2).replace(/^-(0\.00)$/, '$1');

export function AgreeScreen({
  game,
  teams,
  chartings,
  names,
  withOfficial,
  fields,
  initial,
  begin,
}: AgreeScreenProps) {
  const router = useRouter();
  const scope = gameScope(game.key);
  const scoped = useScope(scope, initial);
  const [chosen, setChosen] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const nameOf = (key: string): string => teams.find((t) => t.key === key)?.name ?? key;
  const home = `/log/${encodeURIComponent(game.key)}`;
  const mine = chartings.find((c) => c.mine);
  const blind = chartings.filter((c) => c.kind === 'blind');
  const sorted = [...fields].sort(
    (a, b) => (a.kappa.kappa ?? 2) - (b.kappa.kappa ?? 2) || b.disputes.length - a.disputes.length,
  );
  const open = sorted.find((f) => f.field === chosen) ?? sorted.find((f) => f.disputes.length > 0) ?? null;
  const start = async (): Promise<void> => {
    const why = await begin(game.key).catch(() => 'The server does not answer; nothing was begun.');
    setProblem(why);
    if (why === null) router.push(`${home}/blind`);
  };
  const settle = (dispute: Dispute, value: unknown): void => {
    scoped
      .push((outbox) => [outbox.patch(scope, 'snap', dispute.snapId, { [dispute.field]: value })])
      .then(
        () => setProblem(null),
        (error: unknown) => setProblem(`Not saved: ${(error as Error).message}`),
      );
  };
  return (
    <div className="stack">
      <section className="card toolbar" aria-label="Chartings">
        <h1>Two charters: {gameName(game, nameOf)}</h1>
        <span className="grow" />
        {blind.length === 0
          ? 'nobody has charted it blind'
          : blind.map((c) => `${c.name} ${c.handedIn ? 'handed in' : 'is at it'}`).join(' · ')}
        {blind.some((c) => c.handedIn) && blind.filter((c) => c.handedIn).length > 1 && (
          <Link href={withOfficial ? `${home}/agree` : `${home}/agree?official=1`}>
            {withOfficial ? 'without what is logged' : 'with what is logged'}
          </Link>
        )}
        {mine && !mine.handedIn ? (
          <Link href={`${home}/blind`}>go on with yours</Link>
        ) : mine ? null : (
          <Button onClick={() => void start()}>Chart it blind</Button>
        )}
        <Link href={`${home}/pass`}>passes</Link>
      </section>
      {problem && (
        <div className="card flag" role="alert">
          {problem}
        </div>
      )}
      <UnsettledList
        entries={[...scoped.conflicts, ...scoped.refused]}
        place={(row) => `on snap ${scoped.rows.findIndex((r) => r.row === row) + 1}`}
        onFix={(row) => router.push(`${home}?snap=${encodeURIComponent(row)}`)}
      />
      {fields.length === 0 ? (
        <section className="card">
          {mine && !mine.handedIn ? (
            <p>You chart this game blind. What the others charted is shown when you hand yours in.</p>
          ) : (
            <p>
              Each charter tags the same film alone, without seeing what others tagged. Two that are handed
              in, or one beside what is logged, are compared here: agreement beyond chance a field, what is
              taken for what, and every snap they differ on.
            </p>
          )}
        </section>
      ) : (
        <div className="passgrid">
          <section className="card" aria-label="Agreement by field">
            <header>
              <h2>
                {names.join(', ')}
                <span className="small quiet"> · the least agreed first</span>
              </h2>
            </header>
            <table className="rows tight">
              <thead>
                <tr>
                  <th>field</th>
                  <th className="n">agree</th>
                  <th className="n">kappa</th>
                  <th className="n">95 %</th>
                  <th className="n">both charted</th>
                  <th className="n">disputed</th>
                </tr>
              </thead>
              <tbody>
                {sorted.map(({ field, label, kappa, of, disputes }) => (
                  <tr key={field} aria-selected={open?.field === field}>
                    <td>
                      <button type="button" className="plain" onClick={() => setChosen(field)}>
                        {label}
                      </button>
                    </td>
                    <td className="n">
                      {kappa.agree} of {kappa.n}
                    </td>
                    <td className="n">{two(kappa.kappa)}</td>
                    <td className="n">
                      {kappa.low === null ? '' : `${two(kappa.low)} to ${two(kappa.high)}`}
                    </td>
                    <td className="n">
                      {kappa.n} of {of}
                    </td>
                    <td className="n">{disputes.length}</td>
                  </tr>
                ))}
              </tbody>
            </table>
            <p className="small quiet">
              {names.length > 2
                ? 'Fleiss’ kappa (1971), interval by leaving out each snap once.'
                : 'Cohen’s kappa (1960), interval by the large-sample error of Fleiss, Cohen and Everitt (1969).'}{' '}
              Where all agree, the interval is Wilson’s bound of that agreement against the same chance. 1 is
              always agreed, 0 no more than chance; – where nothing else was ever said. Blank in one of them
              is left out; none and not visible count as answers.
            </p>
          </section>
          {open && (
            <div className="stack">
              <Disputes
                key={open.field}
                agreement={open}
                names={names}
                game={game.key}
                rows={scoped.rows}
                settle={settle}
              />
              {open.confusion && (
                <ConfusionTable confusion={open.confusion} names={names} label={open.label} />
              )}
            </div>
          )}
        </div>
      )}
    </div>
  );
}
