'use client';
/** Which blank fields would narrow the intervals of the report most, with the arithmetic. */
import { useMemo } from 'react';
import { sharpen, type ChartPass } from '@/core/charting';
import type { WalkedSnap } from '@/core/rules';
import { SharpenNote } from './SharpenNote';

const SHOWN = 7;
const OF_A_PASS = 2;

export function SharpenCard({
  passes,
  rows,
  onPass,
}: {
  readonly passes: readonly ChartPass[];
  readonly rows: readonly WalkedSnap[];
  readonly onPass: (id: string) => void;
}) {
  const list = useMemo(() => sharpen(passes, rows, OF_A_PASS).slice(0, SHOWN), [passes, rows]);
  return (
    <section className="card" aria-label="What would sharpen the report most">
      <header>
        <h2>What would sharpen the report most</h2>
      </header>
      {list.length === 0 ? (
        <p className="small quiet">Every field of every pass is charted.</p>
      ) : (
        <table className="rows">
          <thead>
            <tr>
              <th>field</th>
              <th className="n">blank</th>
              <th>most usual so far</th>
              <th className="n">interval</th>
            </tr>
          </thead>
          <tbody>
            {list.map((one) => (
              <tr key={one.field}>
                <td>
                  <button type="button" className="plain" onClick={() => onPass(one.pass.id)}>
                    {one.label}
                  </button>
                </td>
                <td className="n">
                  {one.blank} of {one.of}
                </td>
                <td>{one.value === null ? 'not seen yet' : `${one.value}, ${one.k} of ${one.n}`}</td>
                <td className="n">
                  ±{Math.round(one.now)} → ±{Math.round(one.then)}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <SharpenNote />
    </section>
  );
}
