/** What a print is asked: yes or no, and figures within limits. */
export function CheckBox({
  label,
  checked,
  onChange,
}: {
  readonly label: string;
  readonly checked: boolean;
  readonly onChange: (to: boolean) => void;
}) {
  return (
    <label className="small">
      <input type="checkbox" checked={checked} onChange={(e) => onChange(e.target.checked)} /> {label}
    </label>
  );
}

/** A figure within limits, said when it is left. */
export function NumberBox({
  label,
  value,
  limits,
  step,
  onChange,
}: {
  readonly label: string;
  readonly value: number;
  readonly limits: { readonly from: number; readonly to: number };
  readonly step: number;
  readonly onChange: (to: number) => void;
}) {
  return (
    <label className="small">
      {label}{' '}
      <input
        type="number"
        className="num"
        key={value}
        defaultValue={value}
        min={limits.from}
        max={limits.to}
        step={step}
        onBlur={(e) => {
          const to = e.target.valueAsNumber;
          if (e.target.validity.valid && to !== value) onChange(to);
        }}
        onKeyDown={(e) => {
          if (e.key === 'Enter') e.currentTarget.blur();
        }}
      />
    </label>
  );
}
