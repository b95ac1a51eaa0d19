'use client';
/** One of several, by the browser's own list, where the label need not be more than a word. */
import { useId } from 'react';
import { useEarly } from './useEarly';

export interface ChoiceProps {
  readonly label: string;
  readonly value: string;
  readonly options: readonly (readonly [value: string, words: string])[];
  readonly onChange: (value: string) => void;
  /** Least width in pixels. */
  readonly width?: number;
}

export function Choice({ label, value, options, onChange, width = 120 }: ChoiceProps) {
  const id = useId();
  const control = useEarly<HTMLSelectElement>(value);
  return (
    <span className="choice" style={{ minWidth: width }}>
      <label htmlFor={id}>{label}</label>
      {/* What a browser would bring back from an earlier visit nobody chose now. */}
      <select
        ref={control}
        id={id}
        value={value}
        autoComplete="off"
        onChange={(e) => onChange(e.target.value)}
      >
        {options.map(([key, words]) => (
          <option key={key} value={key}>
            {words}
          </option>
        ))}
      </select>
    </span>
  );
}
