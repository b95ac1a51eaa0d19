/**
 * A rate as the doubt it carries: the interval as a line, the point faint below the floor. Hundreds change at a choice:
 * the ground is the style sheet's, and what is faint is faint by its paint, not by a layer.
 */
import { countText, FEW, intervalText, type Rate } from '@/core/read';

const WIDTH = 96;
/** A share, 0 to 1, as a place on the bar. */
const scale = (share: number): number => 3 + share * (WIDTH - 6);

export function RateBar({
  rate,
  label,
  onOpen,
  href,
}: {
  rate: Rate;
  label: string;
  onOpen?: (() => void) | undefined;
  /** The door where no script is alive yet. */
  href?: string | undefined;
}) {
  // Under weights the count stays the count; what it is worth stands beside it.
  const weighted = rate.worth !== rate.n && rate.share !== null;
  const words = `${label} ${countText(rate)}${weighted ? `, worth ${rate.worth.toFixed(1)}` : ''}`;
  return (
    <span className="ratebar">
      {onOpen ? (
        <button type="button" className="plain num" onClick={onOpen} aria-label={`${words}, open the reel`}>
          {words}
        </button>
      ) : href ? (
        <a className="plain num" href={href} aria-label={`${words}, open the reel`}>
          {words}
        </a>
      ) : (
        <span className="num">{words}</span>
      )}
      <span className="line">
        <svg width={WIDTH} height="10" aria-hidden="true">
          {rate.low !== null && rate.high !== null && rate.share !== null && (
            <>
              <path
                d={`M${scale(rate.low)} 5H${scale(rate.high)}`}
                stroke="var(--ink)"
                strokeWidth="1.6"
                strokeOpacity={rate.worth < FEW ? 0.45 : 1}
              />
              <circle
                cx={scale(rate.share)}
                cy="5"
                r={rate.worth < FEW ? 2.4 : 4}
                fill="var(--run)"
                fillOpacity={rate.worth < FEW ? 0.5 : 1}
              />
            </>
          )}
        </svg>
        <span className="small quiet">{intervalText(rate)}</span>
      </span>
    </span>
  );
}
