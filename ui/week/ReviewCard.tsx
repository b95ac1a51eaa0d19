import Link from 'next/link';
import type { GameInfo } from '@/core/exchange/types';
import { gameName } from '@/core/exchange/names';

interface ReviewCardProps {
  readonly findings: readonly {
    readonly game: GameInfo;
    readonly snap: string;
    readonly number: number;
    readonly code: string;
    readonly sentence: string;
  }[];
  readonly logged: number;
}

const SHOWN = 8;

/** What does not add up, the first of it. */
export function ReviewCard({ findings, logged }: ReviewCardProps) {
  return (
    <section className="card">
      <header>
        <h2>Needs review</h2>
        <span className="small">{findings.length} to look at</span>
      </header>
      {findings.length === 0 ? (
        <p className="quiet">
          {logged === 0 ? 'Nothing is logged yet.' : 'Every logged snap adds up with the one before.'}
        </p>
      ) : (
        <ul className="todo">
          {findings.slice(0, SHOWN).map((f) => (
            <li key={`${f.snap}${f.code}`} className="flag">
              <Link href={`/log/${f.game.key}?snap=${f.snap}`}>
                {gameName(f.game)}, snap {f.number}
              </Link>
              : {f.sentence}
            </li>
          ))}
          {findings.length > SHOWN && (
            <li className="quiet">and {findings.length - SHOWN} more in the games</li>
          )}
        </ul>
      )}
    </section>
  );
}
