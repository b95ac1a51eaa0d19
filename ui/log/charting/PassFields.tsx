'use client';
/** A pass of the plan: over which snaps, and its fields in the order they are asked. */
import { OVER_LABEL, OVERS, type ChartPass, type Over } from '@/core/charting';
import { SNAP_FACTS, SNAP_FIELDS, type SnapFact } from '@/core/snap';
import { Choice } from '../../shared/Choice';
import { isDoubtField } from '@/core/snap/sureness';

interface PassFieldsProps {
  readonly pass: ChartPass;
  readonly onChange: (pass: ChartPass) => void;
  readonly onUp: (() => void) | null;
  readonly onRemove: (() => void) | null;
}

const ASKABLE: readonly SnapFact[] = SNAP_FACTS.filter(
  (f) => SNAP_FIELDS[f].group !== 'identity' && SNAP_FIELDS[f].kind !== 'penalties' && !isDoubtField(f),
).sort((a, b) => SNAP_FIELDS[a].label.localeCompare(SNAP_FIELDS[b].label));

export function PassFields({ pass, onChange, onUp, onRemove }: PassFieldsProps) {
  const fields = (list: readonly SnapFact[]): void => onChange({ ...pass, fields: list });
  return (
    <section className="card" aria-label={`Pass ${pass.name}`}>
      <div className="toolbar">
        <label className="choice">
          <span className="hide">name of the pass</span>
          <input
            value={pass.name}
            maxLength={40}
            aria-label={`name of the pass ${pass.name}`}
            onChange={(e) => onChange({ ...pass, name: e.target.value })}
          />
        </label>
        <Choice
          label="over"
          value={pass.over}
          options={OVERS.map((o) => [o, OVER_LABEL[o]] as const)}
          onChange={(over) => onChange({ ...pass, over: over as Over })}
          width={180}
        />
        <Choice
          label="ask also"
          value=""
          options={[
            ['', 'choose a field'] as const,
            ...ASKABLE.filter((f) => !pass.fields.includes(f)).map((f) => [f, SNAP_FIELDS[f].label] as const),
          ]}
          onChange={(f) => f !== '' && fields([...pass.fields, f as SnapFact])}
          width={180}
        />
        <span className="grow" />
        {onUp && (
          <button type="button" className="plain small" onClick={onUp} aria-label={`${pass.name} earlier`}>
            earlier
          </button>
        )}
        {onRemove && (
          <button
            type="button"
            className="plain small"
            onClick={onRemove}
            aria-label={`remove the pass ${pass.name}`}
          >
            remove
          </button>
        )}
      </div>
      <ul className="chips" aria-label={`Fields of ${pass.name}`}>
        {pass.fields.map((f) => (
          <li key={f}>
            {SNAP_FIELDS[f].label}
            {pass.fields.length > 1 && (
              <button
                type="button"
                className="plain"
                aria-label={`do not ask ${SNAP_FIELDS[f].label} in ${pass.name}`}
                onClick={() => fields(pass.fields.filter((x) => x !== f))}
              >
                ×
              </button>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
