'use client';
/** How an answer was, field by field. */
import type { Marked } from '@/core/drill';
import { valueWords } from '@/core/charting/words';

export function Told({ marks, seconds }: { readonly marks: readonly Marked[]; readonly seconds: number }) {
  const right = marks.filter((m) => m.right).length;
  return (
    <div role="status">
      <p>
        <strong>
          {right} of {marks.length} right
        </strong>{' '}
        in {seconds.toFixed(1)} s
      </p>
      <table className="rows tight">
        <tbody>
          {marks.map((m) => (
            <tr key={m.field}>
              <td>{m.label}</td>
              <td>
                <strong>{valueWords(m.there)}</strong>
              </td>
              <td className={m.right ? 'quiet' : 'flagtext'}>
                {m.right ? '✓' : `you said ${m.said === null ? 'nothing' : valueWords(m.said)}`}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
