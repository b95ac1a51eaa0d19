/** What the report says otherwise than when it was last printed. Facts: the snaps of then are among those of now. */
import { plural } from '@/core/rules/plural';
import Link from 'next/link';
import { MOVED_POINTS, type Changes } from '@/core/read';
import { withWords } from './address';

export interface SinceShown extends Changes {
  readonly at: string;
}

export function SinceCard({ since, query }: { readonly since: SinceShown; readonly query: string }) {
  const { at, added, gone, snaps, moved, compared, fresh } = since;
  return (
    <section className="card" aria-label="Since the last print">
      <header>
        <h2>Since the last print</h2>
        <span className="small quiet">{at}</span>
      </header>
      <p className="small">
        {snaps[0] === snaps[1]
          ? `${plural(snaps[1], 'snap')}, as then`
          : `${plural(snaps[1], 'snap')}, ${snaps[0]} then`}
        {added.length > 0 && `; film added: ${added.join(', ')}`}
        {gone.length > 0 && `; left out now: ${gone.join(', ')}`}. {compared} rates stand on both with eight
        snaps or more
        {moved.length === 0 ? `; none moved by ${MOVED_POINTS} points.` : '.'}
      </p>
      {moved.length > 0 && (
        <ul className="plainlist sentences">
          {moved.map((m) => (
            <li key={m.reel}>
              <Link href={`/read?${withWords(query, { sections: null, board: m.board, reel: m.reel })}`}>
                {m.what} {m.now}
              </Link>
              ; then {m.before}: {m.by > 0 ? 'up' : 'down'} {Math.round(Math.abs(m.by))} points.
            </li>
          ))}
        </ul>
      )}
      {fresh.length > 0 && (
        <>
          <p className="small">New on the first page:</p>
          <ul className="sentences small">
            {fresh.map((text) => (
              <li key={text}>{text}</li>
            ))}
          </ul>
        </>
      )}
    </section>
  );
}
