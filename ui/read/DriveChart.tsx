'use client';
/** The drives of the film, a line each: where it began and ended on the field, its plays, its yards, its end. */
import { plural } from '@/core/rules/plural';
import { useMemo } from 'react';
import { drivesOf, type CountedSnap, type Drive } from '@/core/read';

const WIDTH = 500;
const TALL = 14;
/** From the own goal line. */
const x = (toGoal: number): number => ((100 - toGoal) * WIDTH) / 100;

interface DriveChartProps {
  readonly snaps: readonly CountedSnap[];
  readonly rows: Uint32Array;
  /** A filter leaves parts of drives: they are not drawn. */
  readonly filtered: boolean;
  readonly gameName: (key: string) => string;
  readonly onOpen: (drive: string) => void;
}

export default function DriveChart({ snaps, rows, filtered, gameName, onOpen }: DriveChartProps) {
  const drives = useMemo(() => drivesOf(snaps, rows), [snaps, rows]);
  const games = [...new Set(drives.map((d) => d.game))];
  return (
    <section className="card" aria-label="Drive chart">
      <header>
        <h2>Drives</h2>
        <span className="small quiet">
          own goal line at the left · the box is where it ended, filled by a score · kicks are not plays
        </span>
      </header>
      {filtered ? (
        <p className="quiet">Take the filters and the situation away to see whole drives.</p>
      ) : (
        games.map((game) => (
          <table key={game} className="rows drives">
            <caption>{gameName(game)}</caption>
            <thead>
              <tr>
                <th scope="col">drive</th>
                <th scope="col">quarter</th>
                <th scope="col">on the field</th>
                <th scope="col" className="n">
                  plays
                </th>
                <th scope="col" className="n">
                  yards
                </th>
                <th scope="col">ended</th>
              </tr>
            </thead>
            <tbody>
              {drives
                .filter((d) => d.game === game)
                .map((drive, i) => (
                  <tr key={drive.key}>
                    <th scope="row">{i + 1}</th>
                    <td>{drive.quarter ?? '–'}</td>
                    <td>
                      <Line drive={drive} />
                    </td>
                    <td className="n">
                      <button
                        type="button"
                        className="plain num"
                        aria-label={`drive ${i + 1}, ${plural(drive.rows.length, 'play')}, open the reel`}
                        onClick={() => onOpen(drive.key)}
                      >
                        {drive.rows.length}
                      </button>
                    </td>
                    <td className="n num">
                      {drive.from === null || drive.to === null ? '–' : drive.from - drive.to}
                    </td>
                    <td>{drive.end ?? <span className="quiet">not known</span>}</td>
                  </tr>
                ))}
            </tbody>
          </table>
        ))
      )}
    </section>
  );
}

function Line({ drive: { from, to, end } }: { readonly drive: Drive }) {
  if (from === null || to === null) return <span className="quiet">spot not known</span>;
  const scored = end === 'touchdown' || end === 'field goal';
  return (
    <svg viewBox={`-6 0 ${WIDTH + 12} ${TALL}`} width="100%" style={{ display: 'block' }} aria-hidden="true">
      {[0, 25, 50, 75, 100].map((yard) => (
        <line key={yard} x1={x(yard)} x2={x(yard)} y1="0" y2={TALL} stroke="var(--faint)" />
      ))}
      <line x1={x(from)} x2={x(to)} y1={TALL / 2} y2={TALL / 2} stroke="var(--ink)" strokeWidth="3" />
      <line x1={x(from)} x2={x(from)} y1="3" y2={TALL - 3} stroke="var(--ink)" strokeWidth="1" />
      <rect
        x={x(to) - 4}
        y="2"
        width="8"
        height={TALL - 4}
        fill={scored ? 'var(--ink)' : 'var(--card)'}
        stroke="var(--ink)"
        strokeWidth="1.4"
      />
    </svg>
  );
}
