'use client';
/** How heavy both lines are and what such a front has cost our runs; read when it is opened. */
import { useMemo, useState } from 'react';
import { sizeRate, sizeUpFront, sizeVerdict, sizeWords, type TeamHeft } from '@/core/plan';
import type { Columns } from '@/core/read';
import type { PlanScreenProps } from './plan-props';

interface SizeUpFrontProps {
  readonly load: PlanScreenProps['weighTeams'];
  readonly columns: Columns;
  readonly team: string;
  readonly opponent: string;
  readonly onReel: (name: string) => void;
}

export function SizeUpFront({ load, columns, team, opponent, onReel }: SizeUpFrontProps) {
  const [hefts, setHefts] = useState<readonly TeamHeft[] | string | null>(null);
  const size = useMemo(
    () => (hefts === null || typeof hefts === 'string' ? null : sizeUpFront(columns, team, opponent, hefts)),
    [hefts, columns, team, opponent],
  );
  const open = async (): Promise<void> =>
    setHefts(await load().catch(() => 'The server does not answer; try again in a moment.'));
  return (
    <details
      className="small facts"
      onToggle={(event) => {
        if (event.currentTarget.open && (hefts === null || typeof hefts === 'string')) void open();
      }}
    >
      <summary>size up front</summary>
      {hefts === null && <p className="quiet">The rosters are read …</p>}
      {typeof hefts === 'string' && <p role="alert">{hefts}</p>}
      {size === null && hefts !== null && typeof hefts !== 'string' && (
        <p className="quiet">
          Not known: four of our line and three of their front must stand on the rosters with letters and a
          weight.
        </p>
      )}
      {size && (
        <ul className="plainlist" aria-label="Size up front">
          <li>{sizeWords(size)}</li>
          {(
            [
              ['against fronts at least as heavy as theirs', size.asHeavy],
              ['against lighter fronts', size.lighter],
            ] as const
          ).map(([label, against]) => (
            <li key={label}>
              {label}{' '}
              <button
                type="button"
                className="plain"
                disabled={against.rate.n === 0}
                onClick={() => onReel(`|runs:${against.teams.join(',')}`)}
              >
                {sizeRate(against)}
              </button>
            </li>
          ))}
          {size.unknown > 0 && (
            <li className="quiet">{size.unknown} runs against fronts nobody has weighed.</li>
          )}
          <li>{sizeVerdict(size)}</li>
        </ul>
      )}
    </details>
  );
}
