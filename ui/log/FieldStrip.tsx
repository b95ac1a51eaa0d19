'use client';
/** The game laid out on a hundred yards, a possession a row: what is logged and what is missing. */
import { memo, useEffect, useId, useMemo, useRef } from 'react';
import { stripRows, type WalkedSnap } from '@/core/rules';

export interface FieldStripProps {
  readonly rows: readonly WalkedSnap[];
  /** The team whose drives run to the right. */
  readonly rightward: string;
  readonly leftward: string;
  readonly selected: string | null;
  readonly marked: ReadonlySet<string>;
  /** Marked to be changed together. */
  readonly many?: ReadonlySet<string>;
  /** `range`: with Shift, all from the one that is open. */
  readonly onSelect: (snapId: string, range: boolean) => void;
}

const ROW = 19;
const LEFT = 74;
const WIDTH = 700;
const FIELD = WIDTH - LEFT - 44;
const x = (yards: number): number => LEFT + (yards / 100) * FIELD;

/** Drawn anew when the game or what is marked in it changes, not with every key of the line. */
export const FieldStrip = memo(function FieldStrip({
  rows,
  rightward,
  leftward,
  selected,
  marked,
  many,
  onSelect,
}: FieldStripProps) {
  const id = useId().replace(/[^a-zA-Z0-9]/g, '');
  const strip = useMemo(() => stripRows(rows), [rows]);
  const box = useRef<HTMLDivElement>(null);
  const height = Math.max(3, strip.length) * ROW + 6;
  useEffect(() => {
    const element = box.current;
    if (!element) return;
    const chosen = element.querySelector('[data-chosen]');
    if (chosen) chosen.scrollIntoView({ block: 'nearest' });
    else element.scrollTop = element.scrollHeight;
  }, [selected, strip.length]);
  let quarter: number | null = null;
  return (
    <section className="card" aria-label="The game so far">
      <header>
        <h2>
          The game so far, {rightward} → ← {leftward}
        </h2>
        <span className="small" aria-hidden="true">
          solid run · hatched pass · open incomplete · ▲ penalty · × turnover
        </span>
      </header>
      <svg viewBox={`0 0 ${WIDTH} 14`} width="100%" aria-hidden="true">
        {[0, 10, 20, 30, 40, 50, 60, 70, 80, 90, 100].map((y) => (
          <text key={y} x={x(y)} y="11" fontSize="11" textAnchor="middle" fill="var(--ink2)">
            {y === 0 || y === 100 ? 'G' : y > 50 ? 100 - y : y}
          </text>
        ))}
      </svg>
      <div
        className="strip"
        ref={box}
        tabIndex={0}
        role="group"
        aria-label={`${strip.length} possessions; the arrow keys in the snap line walk through them`}
      >
        <svg
          viewBox={`0 0 ${WIDTH} ${height}`}
          width="100%"
          role="img"
          aria-label={`Field strip: ${rows.length} snaps in ${strip.length} possessions`}
        >
          <defs>
            {['us', 'them'].map((cell) => (
              <pattern
                key={cell}
                id={`${id}${cell}`}
                width="5"
                height="5"
                patternUnits="userSpaceOnUse"
                patternTransform="rotate(45)"
              >
                <rect width="5" height="5" fill="var(--card)" />
                <rect width="2.4" height="5" fill={`var(--${cell})`} />
              </pattern>
            ))}
          </defs>
          {[0, 10, 20, 30, 40, 50, 60, 70, 80, 90, 100].map((y) => (
            <line
              key={y}
              x1={x(y)}
              x2={x(y)}
              y1="0"
              y2={height}
              stroke="var(--faint)"
              strokeWidth={y % 50 === 0 ? 1.6 : 1}
            />
          ))}
          {strip.length === 0 && (
            <text x={LEFT + 8} y="30" fontSize="13" fill="var(--ink2)">
              {rows.length === 0
                ? 'Nothing logged yet. Type the kickoff below, or the first snap you see.'
                : 'The kickoff is logged; the first drive begins with the next snap.'}
            </text>
          )}
          {strip.map((stripRow, i) => {
            const own = stripRow.offense === rightward;
            const color = own ? 'us' : 'them';
            const at = (yards: number) => x(own ? yards : 100 - yards);
            const newQuarter = stripRow.quarter !== quarter;
            quarter = stripRow.quarter;
            const end = stripRow.blocks[stripRow.blocks.length - 1];
            const reach = stripRow.blocks.flatMap((b) => [at(b.from), at(b.to)]);
            const endX = reach.length > 0 ? (own ? Math.max(...reach) : Math.min(...reach)) : x(50);
            return (
              <g key={stripRow.key} transform={`translate(0 ${i * ROW + 4})`}>
                {newQuarter && (
                  <text x="4" y="11" fontSize="11.5" fill="var(--ink2)">
                    {stripRow.quarter === null ? 'Q?' : `Q${stripRow.quarter}`}
                  </text>
                )}
                <text x="32" y="11" fontSize="11.5" fontWeight="650" fill={`var(--${color})`}>
                  {stripRow.offense ?? '?'}
                </text>
                {stripRow.blocks.map(({ row, from, to, kind, turnover }) => {
                  const a = at(from);
                  const b = at(to);
                  const chosen = row.snap.snapId === selected;
                  const width = Math.max(Math.abs(b - a), 2.5);
                  const start = Math.min(a, b);
                  const fill =
                    kind === 'run'
                      ? `var(--${color})`
                      : kind === 'pass'
                        ? `url(#${id}${color})`
                        : 'var(--card)';
                  return (
                    <g
                      key={row.snap.snapId}
                      onClick={(event) => onSelect(row.snap.snapId, event.shiftKey)}
                      style={{ cursor: 'pointer' }}
                      {...(chosen ? { 'data-chosen': '' } : {})}
                    >
                      <title>{`snap ${row.number}`}</title>
                      {kind === 'penalty' ? (
                        <path d={`M${a - 4} 13L${a} 5L${a + 4} 13z`} fill="var(--ink)" />
                      ) : (
                        <rect
                          x={start}
                          y="2"
                          width={width}
                          height="11"
                          fill={fill}
                          stroke={`var(--${color})`}
                          strokeWidth="0.8"
                        />
                      )}
                      {turnover && (
                        <text x={b + (own ? 5 : -13)} y="12" fontSize="13" fontWeight="700" fill="var(--ink)">
                          ×
                        </text>
                      )}
                      {marked.has(row.snap.snapId) && (
                        <path
                          d={`M${start} 15.5h${Math.max(width, 8)}`}
                          stroke="var(--finding)"
                          strokeWidth="3"
                        />
                      )}
                      {(chosen || many?.has(row.snap.snapId)) && (
                        <rect
                          x={start - 2}
                          y="0"
                          width={width + 4}
                          height="15"
                          fill="none"
                          stroke="var(--ink)"
                          strokeWidth="2"
                          strokeDasharray={chosen ? undefined : '3 2'}
                        />
                      )}
                    </g>
                  );
                })}
                {stripRow.end && end && (
                  <text
                    x={endX + (own ? 8 : -8)}
                    y="11.5"
                    fontSize="10.5"
                    textAnchor={own ? 'start' : 'end'}
                    fill="var(--ink2)"
                  >
                    {stripRow.end}
                  </text>
                )}
                {stripRow.points > 0 && (
                  <text x={WIDTH - 26} y="11.5" fontSize="12" fontWeight="700" fill={`var(--${color})`}>
                    {stripRow.points}
                  </text>
                )}
              </g>
            );
          })}
        </svg>
      </div>
    </section>
  );
});
