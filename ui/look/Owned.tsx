'use client';
/** What a defense owns on a picture, and who has what against each scheme. */
import type { Ownership } from '@/core/look';

export function OwnedTable({ owned }: { readonly owned: Ownership }) {
  return (
    <table className="rows">
      <tbody>
        {owned.gaps.map((g) => (
          <tr key={g.gap} className={g.owner === null ? 'finding' : undefined}>
            <th scope="row">
              {g.gap[0]} {g.side === 'L' ? 'left' : 'right'}
            </th>
            <td>{g.owner ?? 'nobody'}</td>
            <td className="quiet">{g.by === 'rush' ? 'comes' : g.by === 'fit' ? 'fits' : ''}</td>
          </tr>
        ))}
        {(['L', 'R'] as const).map((side) => (
          <tr key={side} className={owned.flats[side] === null ? 'finding' : undefined}>
            <th scope="row">flat {side === 'L' ? 'left' : 'right'}</th>
            <td>{owned.flats[side] ?? 'nobody'}</td>
            <td />
          </tr>
        ))}
        {owned.third !== undefined && (
          <tr className={owned.third === null ? 'finding' : undefined}>
            <th scope="row">#3</th>
            <td>{owned.third ?? 'nobody'}</td>
            <td />
          </tr>
        )}
        {owned.depths.map((d) => (
          <tr key={d.key} className={d.man === null ? 'finding' : undefined}>
            <th scope="row">{d.words}</th>
            <td>{d.man ?? 'nobody'}</td>
            <td />
          </tr>
        ))}
      </tbody>
    </table>
  );
}

export function SchemesTable({ owned }: { readonly owned: Ownership }) {
  return (
    <table className="rows">
      <tbody>
        {owned.schemes.map((s) => (
          <tr key={`${s.scheme}${s.to}`} className={s.two ? 'finding' : undefined}>
            <th scope="row">
              {s.scheme} {s.to === 'L' ? 'left' : 'right'}
            </th>
            <td>
              {s.jobs.map(({ job, man }) => `${job} ${man ?? 'nobody'}`).join(', ')}
              {s.two && <strong> {s.two.man}: two jobs</strong>}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
