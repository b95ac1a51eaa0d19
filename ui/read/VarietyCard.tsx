'use client';
/** How many looks a defense has to prepare for, and what that costs at the staff's own guess of minutes. */
import { plural } from '@/core/rules/plural';
import { useMemo, useState } from 'react';
import { preparation, varietyOf, type Columns } from '@/core/read';

interface VarietyCardProps {
  readonly columns: Columns;
  readonly rows: Uint32Array;
  readonly onOpen: (part: string) => void;
}

export default function VarietyCard({ columns, rows, onOpen }: VarietyCardProps) {
  const variety = useMemo(() => varietyOf(columns, rows), [columns, rows]);
  const [minutes, setMinutes] = useState('40');
  const [usual, setUsual] = useState('12');
  const cost = preparation(variety.looks, Number(minutes) || 0, Number(usual) || 0);
  const figure = (label: string, value: string, set: (to: string) => void, unit: string) => (
    <label>
      {label}{' '}
      <input
        type="number"
        min={1}
        max={600}
        value={value}
        style={{ width: 64 }}
        onChange={(e) => set(e.target.value)}
      />{' '}
      {unit}
    </label>
  );
  return (
    <section className="card" aria-label="Looks to prepare for">
      <header>
        <h2>Looks to prepare for</h2>
        <span className="small quiet">formation, backfield and motion; left and right are one look</span>
      </header>
      <p>
        <strong>{plural(variety.looks, 'look')}</strong> in {plural(variety.games, 'game')}, of{' '}
        <button type="button" className="plain num" onClick={() => onOpen('all')}>
          {plural(variety.rows.length, 'snap')}
        </button>
        ; {plural(variety.structures, 'structure')} at the snap;{' '}
        <button
          type="button"
          className="plain num"
          disabled={variety.once.length === 0}
          onClick={() => onOpen('once')}
        >
          {variety.once.length} shown once
        </button>
        .
      </p>
      <p className="small toolbar">
        {figure('A usual week gives', minutes, setMinutes, 'minutes')}
        {figure('to', usual, setUsual, 'looks:')}
        <strong>{Math.round(cost)} minutes for these.</strong>
        <span className="quiet">A guess of yours, spread evenly.</span>
      </p>
    </section>
  );
}
