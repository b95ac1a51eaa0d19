import Link from 'next/link';
import type { SheetInfo } from '@/core/exchange/types';

interface NextCardProps {
  readonly logged: number;
  /** Games that are not logged to the end. */
  readonly open: readonly {
    readonly key: string;
    readonly name: string;
    readonly snaps: number;
    readonly next: string;
  }[];
  readonly opponent: { readonly key: string; readonly name: string } | null;
  /** Snaps of the opponent are logged. */
  readonly film: boolean;
  readonly sheet: SheetInfo | null;
}

/** What this week's work is, in its order. */
export function NextCard({ logged, open, opponent, film, sheet }: NextCardProps) {
  return (
    <section className="card">
      <header>
        <h2>What is next</h2>
      </header>
      {logged === 0 && open.length === 0 && opponent === null && (
        <p className="quiet">The first steps above; then what waits stands here.</p>
      )}
      <ul className="todo">
        {opponent === null && logged > 0 && (
          <li>
            No opponent is chosen for this week. <Link href="/staff">Choose one</Link>.
          </li>
        )}
        {open.map((game) => (
          <li key={game.key}>
            <Link href={`/log/${game.key}`}>
              <strong>Continue {game.name}</strong>
            </Link>
            <br />
            <span className="quiet">
              {game.snaps} snaps logged; next {game.next}
            </span>
          </li>
        ))}
        {opponent !== null && film && (
          <li>
            <Link href={`/read?team=${opponent.key}`}>
              <strong>Read {opponent.name}</strong>
            </Link>
            <br />
            <span className="quiet">what they call, by situation and field</span>
          </li>
        )}
        {opponent !== null && (
          <li>
            <Link href={sheet ? `/plan/${sheet.key}` : '/plan'}>
              <strong>{sheet ? `Go on with ${sheet.name}` : 'Start the call sheet'}</strong>
            </Link>
            <br />
            <span className="quiet">
              {sheet ? `${sheet.calls} calls on it` : `none for ${opponent.name} yet`}
            </span>
          </li>
        )}
      </ul>
    </section>
  );
}
