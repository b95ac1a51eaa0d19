import { sideWord } from '@/core/field';
import type { PointMargin } from '@/core/look';

/** Blockers less defenders at each point of attack. */
export function Margins({ margins }: { readonly margins: readonly PointMargin[] }) {
  if (margins.length === 0) return null;
  return (
    <table className="rows tight" aria-label="Hats at each point of attack">
      <thead>
        <tr>
          {margins.map((m) => (
            <th key={m.to + m.point} className="n">
              {sideWord(m.to)} {m.point}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        <tr>
          {margins.map((m) => (
            <td key={m.to + m.point} className="n" title={`${m.hats} blockers for ${m.there}`}>
              {m.margin > 0 ? `+${m.margin}` : m.margin < 0 ? `−${-m.margin}` : '0'}
              <span className="quiet">
                {' '}
                {m.hats}:{m.there}
              </span>
            </td>
          ))}
        </tr>
      </tbody>
    </table>
  );
}
