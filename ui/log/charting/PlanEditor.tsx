'use client';
/** Which passes an opponent's film is charted in, and what each asks: a shipped plan, or changed to the staff's own. */
import Button from '@mui/material/Button';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { newPassId, SHIPPED_PLANS, type ChartPass, type ChartPlan } from '@/core/charting';
import type { TeamInfo } from '@/core/exchange/types';
import { Choice } from '../../shared/Choice';
import { useToast } from '../../shared/toasts';
import { PassFields } from './PassFields';

interface PlanEditorProps {
  readonly teams: readonly TeamInfo[];
  /** A team's key, or * for every other. */
  readonly team: string;
  /** The team has a plan of its own. */
  readonly own: boolean;
  readonly plan: ChartPlan;
  readonly save: (plan: unknown) => Promise<string | null>;
}
export function PlanEditor({ teams, team, own, plan: stored, save }: PlanEditorProps) {
  const router = useRouter();
  const say = useToast();
  const [plan, setPlan] = useState(stored);
  const [name, setName] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const who = team === '*' ? 'every other team' : (teams.find((t) => t.key === team)?.name ?? team);
  const put = async (next: ChartPlan | null, words: string): Promise<void> => {
    const why = await save({ team, plan: next }).catch(
      () => 'The server does not answer; nothing was saved.',
    );
    setProblem(why);
    if (why !== null) return;
    if (next) setPlan(next);
    say(words);
    router.refresh();
  };
  const changed = JSON.stringify(plan) !== JSON.stringify(stored);
  const passes = (list: readonly ChartPass[]): void => setPlan({ id: 'own', name: 'Own plan', passes: list });
  const fields = plan.passes.reduce((n, p) => n + p.fields.length, 0);
  return (
    <div className="stack">
      <section className="card toolbar" aria-label="Plan">
        <h1>Charting plan</h1>
        <Choice
          label="for"
          value={team}
          options={[['*', 'every other team'] as const, ...teams.map((t) => [t.key, t.name] as const)]}
          onChange={(key) => router.push(`/log/charting?team=${encodeURIComponent(key)}`)}
          width={200}
        />
        <Choice
          label="begin with"
          value={SHIPPED_PLANS.some((p) => p.id === plan.id) ? plan.id : 'own'}
          options={[
            ...SHIPPED_PLANS.map((p) => [p.id, p.name] as const),
            ...(plan.id === 'own' ? [['own', 'own plan'] as const] : []),
          ]}
          onChange={(id) => setPlan(SHIPPED_PLANS.find((p) => p.id === id) ?? plan)}
          width={160}
        />
        <span className="grow" />
        <span className="small quiet">
          {plan.passes.length} {plan.passes.length === 1 ? 'pass' : 'passes'}, {fields} fields
        </span>
        <Button disabled={!changed && own} onClick={() => void put(plan, `The plan for ${who} is saved.`)}>
          Save
        </Button>
        {own && (
          <Button onClick={() => void put(null, `${who} is charted by the general plan again.`)}>
            Reset to default
          </Button>
        )}
      </section>
      {problem && (
        <div className="card flag" role="alert">
          {problem}
        </div>
      )}
      {plan.passes.map((pass, i) => (
        <PassFields
          key={pass.id}
          pass={pass}
          onChange={(next) => passes(plan.passes.map((p, at) => (at === i ? next : p)))}
          onUp={
            i === 0
              ? null
              : () => passes(plan.passes.flatMap((p, at) => (at === i - 1 ? [pass, p] : at === i ? [] : [p])))
          }
          onRemove={plan.passes.length === 1 ? null : () => passes(plan.passes.filter((_, at) => at !== i))}
        />
      ))}
      <form
        className="card toolbar"
        aria-label="Add a pass"
        onSubmit={(event) => {
          event.preventDefault();
          if (name.trim() === '') return;
          passes([
            ...plan.passes,
            { id: newPassId(name, plan.passes), name: name.trim(), over: 'scrimmage', fields: ['tempo'] },
          ]);
          setName('');
        }}
      >
        <label className="choice">
          a pass of your own{' '}
          <input
            value={name}
            maxLength={40}
            onChange={(e) => setName(e.target.value)}
            placeholder="its name"
          />
        </label>
        <Button type="submit" disabled={name.trim() === '' || plan.passes.length >= 12}>
          Add pass
        </Button>
      </form>
    </div>
  );
}
