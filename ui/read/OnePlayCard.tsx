'use client';
/** Pictures from which one play comes most of the time, and how many others would hide it. */
import { useMemo, useState } from 'react';
import {
  countText,
  GIVES_AWAY,
  intervalText,
  onePlayPictures,
  pictureWords,
  type Columns,
} from '@/core/read';
import { Choice } from '../shared/Choice';

interface OnePlayCardProps {
  readonly columns: Columns;
  readonly rows: Uint32Array;
  readonly onOpen: (picture: string) => void;
}
const LIMITS = [60, GIVES_AWAY, 80];
const MOST = 12;

export default function OnePlayCard({ columns, rows, onOpen }: OnePlayCardProps) {
  const [limit, setLimit] = useState(GIVES_AWAY);
  const pictures = useMemo(() => onePlayPictures(columns, rows, limit), [columns, rows, limit]);
  return (
    <section className="card" aria-label="One picture, one play">
      <header>
        <h2>One picture, one play</h2>
        <Choice
          label="more than"
          value={String(limit)}
          width={90}
          options={LIMITS.map((n) => [String(n), `${n} %`])}
          onChange={(to) => setLimit(Number(to))}
        />
      </header>
      {pictures.length === 0 ? (
        <p className="quiet">
          No grouping, formation, place of the back and motion seen eight times has one play above {limit} %.
        </p>
      ) : (
        <table className="rows tight">
          <thead>
            <tr>
              <th scope="col">what the defense sees</th>
              <th scope="col">the play</th>
              <th scope="col" className="n">
                of its snaps
              </th>
              <th scope="col">besides</th>
              <th scope="col" className="n">
                others to add
              </th>
            </tr>
          </thead>
          <tbody>
            {pictures.slice(0, MOST).map((p) => (
              <tr key={p.key}>
                <td>
                  <button type="button" className="plain" onClick={() => onOpen(`${p.key}/all`)}>
                    {pictureWords(p.words)}
                  </button>
                </td>
                <td>{p.concept}</td>
                <td className="n">
                  <button
                    type="button"
                    className="plain num"
                    aria-label={`${p.concept} ${countText(p.rate)}, open the reel`}
                    onClick={() => onOpen(p.key)}
                  >
                    {countText(p.rate)}
                  </button>{' '}
                  <span className="small quiet">{intervalText(p.rate)}</span>
                </td>
                <td className="small">
                  {p.others.length === 0 ? 'nothing' : p.others.map((o) => `${o.word} ${o.n}`).join(', ')}
                </td>
                <td className="n num">{p.add}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {pictures.length > 0 && (
        <p className="small quiet">
          Others to add: so many other plays from the picture bring its one play down to {limit} %. Chosen
          after looking at every picture: facts of this film, not a test.
        </p>
      )}
    </section>
  );
}
