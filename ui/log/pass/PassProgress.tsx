'use client';
/** A tick a snap of the pass: charted, begun, blank; the one that is open stands out by its height too. */
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
  const step = WIDTH / Math.max(1, over.length);
  const done = over.filter(({ snap }) => isDone(pass, snap)).length;
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="passticks"
      role="img"
      aria-label={`${done} of ${over.length} snaps charted in this pass`}
      preserveAspectRatio="none"
    >
      {over.map(({ snap }, i) => {
        const whole = isDone(pass, snap);
        const begun = !whole && asked(pass, snap).some((field) => isCharted(snap, field));
        const here = snap.snapId === at;
        const height = here ? HEIGHT : whole ? 16 : begun ? 10 : 4;
        return (
          <rect
            key={snap.snapId}
            x={i * step + step * 0.1}
            y={HEIGHT - height}
            width={Math.max(0.6, step * 0.8)}
            height={height}
            fill={here ? 'var(--finding)' : whole ? 'var(--us)' : begun ? 'var(--them)' : 'var(--rule)'}
          />
        );
      })}
    </svg>
  );
}
