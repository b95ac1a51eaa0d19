import Link from 'next/link';
import { SampleGame } from './SampleGame';

interface FirstStepsProps {
  /** The first game there is, and the key that its home team is typed by. */
  readonly game: { readonly key: string; readonly home: string } | null;
  readonly opponent: boolean;
  /** Null: the member may not import. */
  readonly addSample: (() => Promise<string | null>) | null;
}

/** From an empty program to a first logged drive: what is done is checked off, what is next is a link. */
export function FirstSteps({ game, opponent, addSample }: FirstStepsProps) {
  const steps = [
    {
      done: game !== null,
      title: 'A game',
      what: game ? (
        'started.'
      ) : (
        <>
          <Link href="/log">start one</Link> with two teams, or <Link href="/log/import">import a file</Link>{' '}
          of an earlier game.
        </>
      ),
    },
    {
      done: opponent,
      title: 'The opponent of the week',
      what: opponent ? (
        'chosen.'
      ) : (
        <>
          choose it under <Link href="/staff">Staff</Link>, once its team is in a game.
        </>
      ),
    },
    {
      done: false,
      title: 'The first drive',
      what: game ? (
        <>
          <Link href={`/log/${game.key}`}>log it</Link>; the first line says who kicks, such as{' '}
          <span className="mono">{game.home} kickoff &gt;o25</span>; then a line a snap, such as{' '}
          <span className="mono">11 trips r power r #22 +4</span>. Down, distance and spot are carried.
        </>
      ) : (
        'a line a snap, typed the way a coach says it.'
      ),
    },
    { done: false, title: 'Read', what: 'what they call, by situation, as soon as a drive is logged.' },
  ];
  return (
    <section className="card" aria-label="First steps">
      <header>
        <h2>First steps</h2>
      </header>
      <ol className="todo steps">
        {steps.map((step) => (
          <li key={step.title} className={step.done ? 'quiet' : undefined}>
            <span aria-hidden="true">{step.done ? '✓ ' : ''}</span>
            <strong>{step.title}</strong>: {step.what}
            {step.done && <span className="hide"> (done)</span>}
          </li>
        ))}
      </ol>
      {addSample && (
        <p className="sample">
          <span className="small quiet">
            Or look around first: one invented game, logged whole, taken out again with one click under Log.
          </span>
          <SampleGame add={addSample} />
        </p>
      )}
    </section>
  );
}
