'use client';
/** What drives and series came to: each figure with its n, its interval and the way to its snaps. */
import { useMemo } from 'react';
import { countText, efficiencyOf, figureN, figureText, intervalText, type CountedSnap } from '@/core/read';

interface EfficiencyCardProps {
  readonly snaps: readonly CountedSnap[];
  readonly rows: Uint32Array;
  readonly team: string;
  readonly side: 'offense' | 'defense';
  /** A filter leaves parts of drives: they are not counted. */
  readonly filtered: boolean;
  readonly onOpen: (figure: string) => void;
}

export default function EfficiencyCard({ snaps, rows, team, side, filtered, onOpen }: EfficiencyCardProps) {
  const figures = useMemo(
    () => (filtered ? [] : efficiencyOf({ snaps, rows, team, side })),
    [filtered, snaps, rows, team, side],
  );
  return (
    <section className="card" aria-label="Drives and series">
      <header>
        <h2>{side === 'offense' ? 'Drives and series' : 'Drives and series against them'}</h2>
        <span className="small quiet">
          points added: from first down to first down, Carter and Machol, 1971, professional games
        </span>
      </header>
      {filtered ? (
        <p className="quiet">Take the filters and the situation away to count whole drives.</p>
      ) : (
        <dl className="figures">
          {figures.map(({ key, label, value, rows: behind }) => (
            <div key={key}>
              <dt>{label}</dt>
              <dd>
                {value.n === 0 ? (
                  <span className="quiet">not known on this film</span>
                ) : (
                  <button
                    type="button"
                    className="plain num"
                    disabled={behind.length === 0}
                    aria-label={`${label}: ${'share' in value ? countText(value) : figureText(value)}, open the reel`}
                    onClick={() => onOpen(key)}
                  >
                    {'share' in value ? countText(value) : figureText(value)}
                  </button>
                )}{' '}
                <span className="small quiet">
                  {'share' in value
                    ? value.n > 0
                      ? intervalText(value)
                      : ''
                    : value.n > 0
                      ? figureN(value)
                      : ''}
                </span>
              </dd>
            </div>
          ))}
        </dl>
      )}
    </section>
  );
}
