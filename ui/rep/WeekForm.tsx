'use client';
/** Days and periods of a week, and what the staff holds enough and too much. */
import Button from '@mui/material/Button';
import { useId } from 'react';
import {
  clockOf,
  CONTACT_LABEL,
  CONTACTS,
  IMPORTANCES,
  PERIOD_KINDS,
  PERIOD_LABEL,
  type Period,
  type PracticeDay,
  type PracticeSettings,
  type ScriptDay,
} from '@/core/plan';
import { plural } from '@/core/rules/plural';

interface WeekFormProps {
  readonly settings: PracticeSettings;
  readonly script: readonly ScriptDay[];
  /** Sections of the sheet in their order. */
  readonly sections: readonly { readonly key: string; readonly label: string }[];
  /** Null: only read. */
  readonly onChange: ((to: PracticeSettings) => void) | null;
}

const TIMES: Readonly<Record<(typeof IMPORTANCES)[number], string>> = {
  0.5: 'half',
  1: 'as expected',
  2: 'twice',
  3: 'three times',
};

const replaced = <T,>(list: readonly T[], at: number, to: T): T[] => list.map((x, i) => (i === at ? to : x));

export function WeekForm({ settings, script, sections, onChange }: WeekFormProps) {
  const set = (change: Partial<PracticeSettings>): void => onChange?.({ ...settings, ...change });
  const setDay = (at: number, to: PracticeDay): void => set({ days: replaced(settings.days, at, to) });
  const off = onChange === null;
  const full = script.reduce((sum, d) => sum + d.full, 0);
  const nextDay = (): number => Math.max(0, ...settings.days.map((d) => d.before)) + 1;
  return (
    <section className="card weekform" aria-label="The week">
      <header>
        <h2>The week</h2>
        <span className="small">{full} min of full contact</span>
      </header>
      <fieldset disabled={off}>
        <legend className="hide">What holds for the week</legend>
        <Field label="day of the game">
          {(id) => (
            <input
              id={id}
              type="date"
              value={settings.game ?? ''}
              onChange={(e) => set({ game: e.target.value || null })}
            />
          )}
        </Field>
        <Num label="reps a minute" value={settings.pace} step={0.1} onChange={(pace) => set({ pace })} />
        <Num label="enough reps" value={settings.enough} onChange={(enough) => set({ enough })} />
        <Num
          label="new jobs, % of men"
          value={Math.round(100 * settings.newShare)}
          onChange={(share) => set({ newShare: share / 100 })}
        />
        {(['day', 'week'] as const).map((span) => (
          <Num
            key={span}
            label={`full contact, min a ${span}`}
            value={settings.limits[span]}
            onChange={(to) => set({ limits: { ...settings.limits, [span]: to } })}
          />
        ))}
        <Num
          label="full contact, days"
          value={settings.limits.days}
          onChange={(days) => set({ limits: { ...settings.limits, days } })}
        />
      </fieldset>
      {sections.length > 0 && (
        <details>
          <summary>How much a section matters</summary>
          <fieldset disabled={off}>
            <legend className="hide">How much a section matters, times its expected use</legend>
            {sections.map(({ key, label }) => (
              <Field key={key} label={label}>
                {(id) => (
                  <select
                    id={id}
                    value={settings.importance[key] ?? 1}
                    onChange={(e) =>
                      set({ importance: { ...settings.importance, [key]: Number(e.target.value) } })
                    }
                  >
                    {IMPORTANCES.map((times) => (
                      <option key={times} value={times}>
                        {TIMES[times]}
                      </option>
                    ))}
                  </select>
                )}
              </Field>
            ))}
          </fieldset>
        </details>
      )}
      {settings.days.map((day, d) => (
        <Day
          key={d}
          day={day}
          off={off}
          onChange={(to) => setDay(d, to)}
          onRemove={() => set({ days: settings.days.filter((_, i) => i !== d) })}
        />
      ))}
      {!off && (
        <Button
          disabled={settings.days.length >= 7}
          onClick={() =>
            set({ days: [...settings.days, { before: nextDay(), start: '15:30', periods: [] }] })
          }
        >
          Add a day
        </Button>
      )}
    </section>
  );
}

interface DayProps {
  readonly day: PracticeDay;
  readonly off: boolean;
  readonly onChange: (to: PracticeDay) => void;
  readonly onRemove: () => void;
}

function Day({ day, off, onChange, onRemove }: DayProps) {
  const minutes = day.periods.reduce((sum, p) => sum + p.minutes, 0);
  const put = (at: number, change: Partial<Period>): void =>
    onChange({ ...day, periods: replaced(day.periods, at, { ...day.periods[at]!, ...change }) });
  return (
    <fieldset disabled={off} className="day">
      <legend>
        {plural(day.before, 'day')} before, {clockOf(minutes)} hours
      </legend>
      <Num label="days before" value={day.before} onChange={(before) => onChange({ ...day, before })} />
      <Field label="start">
        {(id) => (
          <input
            id={id}
            type="time"
            value={day.start}
            onChange={(e) => onChange({ ...day, start: e.target.value })}
          />
        )}
      </Field>
      {!off && (
        <Button onClick={onRemove} aria-label={`take out the day ${day.before} before`}>
          Take out
        </Button>
      )}
      {day.periods.length > 0 && (
        <div className="period small quiet" aria-hidden="true">
          {['period', 'minutes', 'what is repeated', 'contact'].map((words) => (
            <span key={words}>{words}</span>
          ))}
        </div>
      )}
      {day.periods.map((p, i) => (
        <div key={i} className="period">
          <input aria-label="period" value={p.name} onChange={(e) => put(i, { name: e.target.value })} />
          <input
            aria-label="minutes"
            type="number"
            min={1}
            max={120}
            value={Number.isNaN(p.minutes) ? '' : p.minutes}
            onChange={(e) => put(i, { minutes: e.target.valueAsNumber })}
          />
          <select
            aria-label="what is repeated"
            value={p.kind}
            onChange={(e) => put(i, { kind: e.target.value as Period['kind'] })}
          >
            {PERIOD_KINDS.map((kind) => (
              <option key={kind} value={kind}>
                {PERIOD_LABEL[kind]}
              </option>
            ))}
          </select>
          <select
            aria-label="contact"
            value={p.contact}
            onChange={(e) => put(i, { contact: e.target.value as Period['contact'] })}
          >
            {CONTACTS.map((contact) => (
              <option key={contact} value={contact} title={CONTACT_LABEL[contact]}>
                {contact}
              </option>
            ))}
          </select>
          {!off && (
            <button
              type="button"
              className="plain"
              aria-label={`take out ${p.name}`}
              onClick={() => onChange({ ...day, periods: day.periods.filter((_, k) => k !== i) })}
            >
              ×
            </button>
          )}
        </div>
      ))}
      {!off && (
        <Button
          disabled={day.periods.length >= 16}
          onClick={() =>
            onChange({
              ...day,
              periods: [...day.periods, { name: 'Period', minutes: 15, kind: 'all', contact: 'none' }],
            })
          }
        >
          Add a period
        </Button>
      )}
    </fieldset>
  );
}

function Field({
  label,
  children,
}: {
  readonly label: string;
  readonly children: (id: string) => React.ReactNode;
}) {
  const id = useId();
  return (
    <span className="choice">
      <label htmlFor={id}>{label}</label>
      {children(id)}
    </span>
  );
}

function Num({
  label,
  value,
  step = 1,
  onChange,
}: {
  readonly label: string;
  readonly value: number;
  readonly step?: number;
  readonly onChange: (to: number) => void;
}) {
  return (
    <Field label={label}>
      {(id) => (
        <input
          id={id}
          type="number"
          step={step}
          min={0}
          value={Number.isNaN(value) ? '' : value}
          onChange={(e) => onChange(e.target.valueAsNumber)}
        />
      )}
    </Field>
  );
}
