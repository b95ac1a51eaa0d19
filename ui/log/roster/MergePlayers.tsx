'use client';
/** Two entries that are one man. */
import Button from '@mui/material/Button';
import { useState } from 'react';
import type { RosterEntryInfo } from '@/core/roster';
import { Choice } from '../../shared/Choice';
import type { SendChange } from './RosterRow';

export function MergePlayers({
  roster,
  send,
}: {
  readonly roster: readonly RosterEntryInfo[];
  readonly send: SendChange;
}) {
  const [pair, setPair] = useState(['', '']);
  const options = [
    ['', 'choose'] as const,
    ...roster.map((r) => [r.player, `#${r.number} ${r.name ?? ''}`] as const),
  ];
  const [keep, drop] = pair;
  return (
    <section className="card" aria-label="Merge players">
      <h2>Two entries, one man</h2>
      <p className="toolbar">
        <Choice
          label="keep"
          value={keep!}
          options={options}
          onChange={(v) => setPair([v, drop!])}
          width={150}
        />
        <Choice
          label="merge into him"
          value={drop!}
          options={options}
          onChange={(v) => setPair([keep!, v])}
          width={150}
        />
        <Button
          disabled={keep === '' || drop === '' || keep === drop}
          onClick={() =>
            void send({ op: 'merge', keep, drop }, 'The players are merged').then(
              (ok) => ok && setPair(['', '']),
            )
          }
        >
          Merge
        </Button>
      </p>
    </section>
  );
}
