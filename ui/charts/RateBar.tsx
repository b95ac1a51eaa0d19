/** A rate as the doubt it carries: the interval as a line, the point faint below the floor. */
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
          <line x1={scale(0)} x2={scale(1)} y1="5" y2="5" stroke="var(--faint)" strokeWidth="3" />
          {rate.low !== null && rate.high !== null && rate.share !== null && (
            <>
              <line
                x1={scale(rate.low)}
                x2={scale(rate.high)}
                y1="5"
                y2="5"
                stroke="var(--ink)"
                strokeWidth="1.6"
                opacity={rate.worth < FEW ? 0.45 : 1}
              />
              <circle
                cx={scale(rate.share)}
                cy="5"
                r={rate.worth < FEW ? 2.4 : 4}
                fill="var(--run)"
                opacity={rate.worth < FEW ? 0.5 : 1}
              />
            </>
          )}
        </svg>
        <span className="small quiet">{intervalText(rate)}</span>
      </span>
    </span>
  );
}
