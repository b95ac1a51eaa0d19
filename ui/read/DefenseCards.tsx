'use client';
/** A defense before the snap against what it then played, and how often and with what five or more come. */
import { FAMILY_WORDS, shellWords, type DefenseBoard } from '@/core/read';
import { RateBar } from '../charts/RateBar';

interface CardProps {
  readonly board: DefenseBoard;
  readonly onReel: (reel: string) => void;
}

export function ShownCard({ board, onReel }: CardProps) {
  return (
    <section className="card" aria-label="Shown before the snap, played after it">
      <header>
        <h2>Shown before the snap, played after it</h2>
      </header>
      {board.shown.length === 0 ? (
        <p className="quiet">No shell is tagged: the defense pass asks for it.</p>
      ) : (
        <table className="rows tight">
          <thead>
            <tr>
              <th>shown</th>
              <th className="n">snaps</th>
              <th>played</th>
            </tr>
          </thead>
          <tbody>
            {board.shown.map((s) => (
              <tr key={s.shell}>
                <td>{shellWords(s.shell)}</td>
                <td className="n">{s.rows.length}</td>
                <td>
                  <span className="rates">
                    {s.played.map((p) => (
                      <RateBar
                        key={p.family}
                        rate={p.rate}
                        label={FAMILY_WORDS[p.family]}
                        onOpen={() => onReel(`d/shown/${s.shell}/${p.family}`)}
                      />
                    ))}
                  </span>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </section>
  );
}

const MOST_NAMED = 6;

export function PressureCard({ board, onReel }: CardProps) {
  const all = board.pressure.find((p) => p.key === 'all');
  return (
    <section className="card" aria-label="When five or more come">
      <header>
        <h2>When five or more come</h2>
      </header>
      {!all || all.rate.n === 0 ? (
        <p className="quiet">No count of rushers is tagged: the defense pass asks for it.</p>
      ) : (
        <span className="rates">
          {board.pressure.map((p) => (
            <RateBar key={p.key} rate={p.rate} label={p.label} onOpen={() => onReel(`d/rush/${p.key}`)} />
          ))}
        </span>
      )}
      {board.named.length > 0 && (
        <>
          <h3>By name, none said to be none</h3>
          <span className="rates">
            {board.named.slice(0, MOST_NAMED).map((p, i) => (
              <RateBar key={p.word} rate={p.rate} label={p.word} onOpen={() => onReel(`d/named/${i}`)} />
            ))}
          </span>
        </>
      )}
    </section>
  );
}
