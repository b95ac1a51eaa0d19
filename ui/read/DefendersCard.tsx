'use client';
/** Defenders one by one: signs of the man to go at and of the man to help against, each with its n and its snaps. */
import { useMemo } from 'react';
import {
  countText,
  DEFENDER_SIGNS,
  defendersOf,
  figureN,
  figureText,
  intervalText,
  SIGN_KEYS,
  type CountedSnap,
} from '@/core/read';

interface DefendersCardProps {
  readonly snaps: readonly CountedSnap[];
  readonly rows: Uint32Array;
  readonly onOpen: (sign: string) => void;
}
const MOST = 14;

export default function DefendersCard({ snaps, rows, onOpen }: DefendersCardProps) {
  const defenders = useMemo(() => defendersOf(snaps, rows), [snaps, rows]);
  const signs = SIGN_KEYS.filter((sign) => defenders.some((d) => d.signs[sign] !== null));
  return (
    <section className="card" aria-label="Defenders">
      <header>
        <h2>Defenders, one by one</h2>
        <span className="small quiet">signs with their counts; film and coaches decide</span>
      </header>
      {defenders.length === 0 ? (
        <p className="quiet">
          Nobody is charted who missed a tackle, was helped, came free or won a rush: the passes on the front,
          the coverage and the protection ask for it.
        </p>
      ) : (
        <table className="rows tight">
          <thead>
            <tr>
              <th scope="col">defender</th>
              {signs.map((sign) => (
                <th key={sign} scope="col" className="n">
                  {DEFENDER_SIGNS[sign]}
                </th>
              ))}
              <th scope="col" className="n">
                penetration, yards
              </th>
            </tr>
          </thead>
          <tbody>
            {defenders.slice(0, MOST).map((d) => (
              <tr key={d.number}>
                <th scope="row">#{d.number}</th>
                {signs.map((sign) => {
                  const rate = d.signs[sign];
                  return (
                    <td key={sign} className="n">
                      {rate === null || rate.n === 0 ? (
                        '–'
                      ) : (
                        <>
                          <button
                            type="button"
                            className="plain num"
                            disabled={rate.k === 0}
                            aria-label={`#${d.number}, ${DEFENDER_SIGNS[sign]} ${countText(rate)}, open the reel`}
                            onClick={() => onOpen(`${encodeURIComponent(d.number)}/${sign}`)}
                          >
                            {countText(rate)}
                          </button>
                          <br />
                          <span className="small quiet">{intervalText(rate)}</span>
                        </>
                      )}
                    </td>
                  );
                })}
                <td className="n">
                  {d.penetration === null ? '–' : `${figureText(d.penetration)}, ${figureN(d.penetration)}`}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </section>
  );
}
