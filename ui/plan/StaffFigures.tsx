'use client';
/** Figures of a print that a staff says once: the window of its bands, what a decision card reckons with; kept for all. */
import Button from '@mui/material/Button';
import { useState } from 'react';
import {
  BAND_LIMITS,
  DECISION_LABEL,
  DECISION_LIMITS,
  type DecisionSettings,
  type PrintChoice,
  type StaffPrints,
} from '@/core/plan';
import { useToast } from '../shared/toasts';
import { NumberBox } from './print-boxes';

const BAND = [
  ['width', 'window, inches wide'],
  ['height', 'high'],
  ['columns', 'columns'],
  ['seed', 'order'],
] as const;
const FIGURES = Object.keys(DECISION_LABEL) as (keyof DecisionSettings)[];

export interface StaffFiguresProps {
  readonly choice: PrintChoice;
  readonly staff: StaffPrints;
  /** Null: this member may not. */
  readonly save: ((figures: StaffPrints, before: StaffPrints) => Promise<string | null>) | null;
  readonly choose: (change: Partial<PrintChoice>) => void;
}

export function StaffFigures({ choice: { kind, band, decisions }, staff, save, choose }: StaffFiguresProps) {
  const say = useToast();
  // As they were kept last from here: the page is not asked for anew.
  const [kept, setKept] = useState(staff);
  const [problem, setProblem] = useState<string | null>(null);
  const { seed: _, ...window } = band;
  const here: StaffPrints =
    kind === 'band' ? { ...kept, band: window } : kind === 'decisions' ? { ...kept, decisions } : kept;
  const other = JSON.stringify(here) !== JSON.stringify(kept);
  const keep = async (): Promise<void> => {
    const why = await save!(here, kept).catch(
      () => 'The server did not answer: press again. Kept twice is kept once.',
    );
    setProblem(why);
    if (why !== null) return;
    setKept(here);
    say('Kept: the staff’s prints begin with these figures.');
  };
  return (
    <>
      {kind === 'band' &&
        BAND.map(([field, label]) => (
          <NumberBox
            key={field}
            label={label}
            value={band[field]}
            limits={BAND_LIMITS[field]}
            step={field === 'width' || field === 'height' ? 0.05 : 1}
            onChange={(to) => choose({ band: { ...band, [field]: to } })}
          />
        ))}
      {kind === 'decisions' &&
        FIGURES.map((field) => (
          <NumberBox
            key={field}
            label={DECISION_LABEL[field]}
            value={decisions[field]}
            limits={DECISION_LIMITS[field]}
            step={1}
            onChange={(to) => choose({ decisions: { ...decisions, [field]: to } })}
          />
        ))}
      {save !== null && other && <Button onClick={() => void keep()}>Keep for the staff</Button>}
      {problem !== null && (
        <span role="alert" className="small flagtext">
          {problem}
        </span>
      )}
    </>
  );
}
