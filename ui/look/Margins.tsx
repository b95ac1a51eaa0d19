import { sideWord } from '@/core/field';
import type { PointMargin } from '@/core/look';

/** Blockers less defenders at each point of attack. */
export function Margins({ margins }: { readonly margins: readonly PointMargin[] }) {
  if (margins.length === 0) return null;
  return (
    <table className="rows tight" aria-label="Hats at each point of attack">
      <thead>
        <tr>
          {margins.map((pointMargin) => (
            <th key={pointMargin.to + pointMargin.point} className="n">
              {sideWord(pointMargin.to)} {pointMargin.point}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        <tr>
          {margins.map((pointMargin) => (
            <td
              key={pointMargin.to + pointMargin.point}
              className="n"
              title={`${pointMargin.hats} blockers for ${pointMargin.there}`}
            >
              {pointMargin.margin > 0
                ? `+${pointMargin.margin}`
                : pointMargin.margin < 0
                  ? `−${-pointMargin.margin}`
                  : '0'}
              <span className="quiet">
                {' '}
                {pointMargin.hats}:{pointMargin.there}
              </span>
            </td>
          ))}
        </tr>
      </tbody>
    </table>
  );
}
