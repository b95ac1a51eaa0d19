'use client';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import { useActionState, useState } from 'react';
import { LEVEL_KEYS, LEVEL_PROFILES } from '@/core/field/profile';
import { TextBox } from './shared/TextBox';

/** The first visit to an empty database. What was typed survives a refusal. */
export function FirstForm({
  create,
  season,
}: {
  create: (before: string | null, form: FormData) => Promise<string | null>;
  season: number;
}) {
  const [problem, action, busy] = useActionState(create, null);
  const [typed, setTyped] = useState<Record<string, string>>({
    level: 'high_school',
    season: String(season),
  });
  const field = (name: string) => ({
    name,
    value: typed[name] ?? '',
    required: true,
    onChange: (e: { target: { value: string } }) => setTyped((t) => ({ ...t, [name]: e.target.value })),
  });
  return (
    <main className="page" style={{ maxWidth: 460, margin: '4vh auto' }}>
      <h1>Vobrik</h1>
      <p>
        This database is empty. Say who you are; you become its admin and coordinator and can add others
        later.
      </p>
      <form className="card" action={action} style={{ display: 'grid', gap: 14 }}>
        {problem && (
          <Alert severity="error" variant="outlined">
            {problem}
          </Alert>
        )}
        <TextBox label="Program" {...field('program')} />
        <TextBox
          label="Level"
          select
          {...field('level')}
          helperText="Decides hashes, kickoffs and penalties; from memory, the rulebook governs."
        >
          {LEVEL_KEYS.map((k) => (
            <option key={k} value={k}>
              {LEVEL_PROFILES[k].name}
            </option>
          ))}
        </TextBox>
        <TextBox label="Season" {...field('season')} />
        <TextBox label="Team" {...field('teamName')} />
        <TextBox
          label="Short key of the team"
          {...field('teamKey')}
          helperText="Up to twelve letters, such as HER: it stands in tables."
        />
        <TextBox label="Your name" autoComplete="username" {...field('memberName')} />
        <TextBox
          label="Password"
          type="password"
          autoComplete="new-password"
          {...field('password')}
          helperText="At least ten characters."
        />
        <Button type="submit" variant="contained" disabled={busy}>
          Begin
        </Button>
      </form>
    </main>
  );
}
