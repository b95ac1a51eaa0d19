'use client';
/** What one charter said where the other said something. */
import type { Confusion } from '@/core/agreement';

const MOST = 9;

interface ConfusionProps {
  readonly confusion: Confusion;
  readonly names: readonly string[];
  readonly label: string;
}

export function ConfusionTable({ confusion: { words, counts }, names, label }: ConfusionProps) {
  const shown = words.slice(0, MOST);
  return (
    <section className="card" aria-label={`What was taken for what in ${label}`}>
      <h2>What was taken for what</h2>
      <table className="rows tight confusion">
        <caption className="small">
          {names[0]} down, {names[1]} across
          {words.length > MOST ? `; the ${MOST} most said of ${words.length}` : ''}
        </caption>
        <thead>
          <tr>
            <td />
            {shown.map((word) => (
              <th key={word} className="n">
                {word}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {shown.map((word, i) => (
            <tr key={word}>
              <th scope="row">{word}</th>
              {shown.map((across, j) => (
                <td key={across} className="n">
                  {i === j ? <strong>{counts[i]![j]}</strong> : counts[i]![j] || ''}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
