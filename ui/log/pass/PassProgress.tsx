'use client';
/** A tick a snap of the pass: charted, begun, blank; the one that is open stands out by its height too. */
import { scaleBand } from 'd3-scale';
import { asked, isCharted, isDone, rowsOf, type ChartPass } from '@/core/charting';
import type { WalkedSnap } from '@/core/rules';

const WIDTH = 640;
const HEIGHT = 26;

export function PassProgress({
  pass,
  rows,
  at,
}: {
  readonly pass: ChartPass;
  readonly rows: readonly WalkedSnap[];
  readonly at: string | null;
}) {
  const over = rowsOf(pass, rows);
  const x = scaleBand(
    over.map(({ snap }) => snap.snapId),
    [0, WIDTH],
  ).padding(0.2);
  const done = over.filter(({ snap }) => isDone(pass, snap)).length;
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="passticks"
      role="img"
      aria-label={`${done} of ${over.length} snaps charted in this pass`}
      preserveAspectRatio="none"
    >
      {over.map(({ snap }) => {
        const whole = isDone(pass, snap);
        const begun = !whole && asked(pass, snap).some((field) => isCharted(snap, field));
        const here = snap.snapId === at;
        const height = here ? HEIGHT : whole ? 16 : begun ? 10 : 4;
        return (
          <rect
            key={snap.snapId}
            x={x(snap.snapId)}
            y={HEIGHT - height}
            width={Math.max(0.6, x.bandwidth())}
            height={height}
            fill={here ? 'var(--finding)' : whole ? 'var(--us)' : begun ? 'var(--them)' : 'var(--rule)'}
          />
        );
      })}
    </svg>
  );
}
