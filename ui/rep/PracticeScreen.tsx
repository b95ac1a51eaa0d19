'use client';
/** A week of practice from a sheet: its periods, the script that follows from them, what each call comes to. */
import Button from '@mui/material/Button';
import Link from 'next/link';
import { useMemo, useState, useTransition } from 'react';
import {
  buildScript,
  CONTACT_CAUTION,
  countReps,
  practiceCautions,
  type PracticeSettings,
  type Repped,
  type SheetSide,
} from '@/core/plan';
import { practiceSchema } from '@/core/plan/schema';
import { RepLedger } from './RepLedger';
import { ScriptTable } from './ScriptTable';
import { WeekForm } from './WeekForm';

export interface PracticeScreenProps {
  readonly sheet: {
    readonly key: string;
    readonly name: string;
    readonly side: SheetSide;
    readonly against: string;
  };
  readonly items: readonly Repped[];
  readonly saved: PracticeSettings;
  readonly countdown: string;
  /** Null: the member only reads. */
  readonly save: ((week: PracticeSettings, before: PracticeSettings) => Promise<string | null>) | null;
}

export function PracticeScreen({ sheet, items, saved, countdown, save }: PracticeScreenProps) {
  const [settings, setSettings] = useState(saved);
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, begin] = useTransition();
  const changed = settings !== saved;
  const read = useMemo(() => practiceSchema.safeParse(settings), [settings]);
  const wrong = read.success ? null : read.error.issues[0]!.message;
  // While a field is half written, the script of the last whole state stands.
  const [whole, setWhole] = useState(saved);
  if (read.success && whole !== settings) setWhole(settings);
  const script = useMemo(() => buildScript(items, whole), [items, whole]);
  const reps = useMemo(() => countReps(items, script, whole), [items, script, whole]);
  const cautions = useMemo(() => practiceCautions(script, reps, whole), [script, reps, whole]);
  const sections = useMemo(
    () => [
      ...new Map(items.flatMap((i) => (i.section ? [[i.section.key, i.section] as const] : []))).values(),
    ],
    [items],
  );
  const keep = (): void =>
    begin(async () => {
      setProblem(
        await save!(settings, saved).catch(
          () => 'The server does not answer. What you changed stands here: save it again.',
        ),
      );
    });
  const doors = !changed;
  return (
    <>
      <div className="toolbar">
        <h1>Practice: {sheet.name}</h1>
        <span className="small quiet">
          {sheet.side} against {sheet.against} · {countdown}
        </span>
        <span className="toolbar end">
          <Button component={Link} href={`/plan/${sheet.key}`}>
            The sheet
          </Button>
          {doors ? (
            <>
              {saved.game !== null && (
                <Button href={`/api/sheets/${sheet.key}/calendar`}>Calendar file</Button>
              )}
              <Button component={Link} href={`/plan/${sheet.key}/print?print=scout`}>
                Scout cards
              </Button>
              <Button variant="outlined" component={Link} href={`/plan/${sheet.key}/print?print=script`}>
                Print the script
              </Button>
            </>
          ) : (
            <>
              <Button onClick={() => setSettings(saved)}>Put back</Button>
              <Button variant="contained" disabled={busy || wrong !== null} onClick={keep}>
                Save the week
              </Button>
            </>
          )}
        </span>
      </div>
      {(wrong ?? problem) !== null && (
        <p className="card flag" role="alert">
          {wrong ?? problem}
        </p>
      )}
      <section className={`card${cautions.length > 0 ? ' flag' : ''}`} aria-label="Cautions">
        {cautions.length > 0 && (
          <ul>
            {cautions.map((caution) => (
              <li key={caution}>{caution}</li>
            ))}
          </ul>
        )}
        <p className="small">{CONTACT_CAUTION}</p>
      </section>
      <div className="repgrid">
        <WeekForm
          settings={settings}
          script={script}
          sections={sections}
          onChange={save ? setSettings : null}
        />
        <ScriptTable script={script} defense={sheet.side === 'defense'} />
      </div>
      <RepLedger reps={reps} settings={whole} defense={sheet.side === 'defense'} />
    </>
  );
}
