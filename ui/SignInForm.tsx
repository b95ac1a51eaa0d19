'use client';
import Button from '@mui/material/Button';
import Alert from '@mui/material/Alert';
import { useActionState, useEffect, useState } from 'react';
import { restoredEpoch } from '@/client/SyncProvider';
import { eraseReadings } from '@/client/offline';
import { TextBox } from './shared/TextBox';

export interface SignInFormProps {
  readonly enter: (before: string | null, form: FormData) => Promise<string | null>;
  readonly enterDemo: (before: string | null, form: FormData) => Promise<string | null>;
  readonly demo: readonly { id: string; name: string; roles: readonly string[] }[];
}

export function SignInForm({ enter, enterDemo, demo }: SignInFormProps) {
  const [problem, action, busy] = useActionState(enter, null);
  const [demoProblem, demoAction] = useActionState(enterDemo, null);
  const [restored, setRestored] = useState(false);
  useEffect(() => {
    setRestored(restoredEpoch() !== null);
    void eraseReadings().catch(() => undefined);
  }, []);
  return (
    <main className="page door" style={{ maxWidth: 420, margin: '8vh auto' }}>
      <h1>Vobrik</h1>
      <p className="quiet">Log the film, read the opponent, plan the sheet.</p>
      {restored && (
        <Alert severity="info" variant="outlined">
          The database was restored from a backup, and everybody signs in again. What you typed and had not
          saved is kept in this browser.
        </Alert>
      )}
      {demo.length > 0 && (
        <section className="card" aria-label="Demo">
          <header>
            <h2>Demo data</h2>
          </header>
          {demoProblem && (
            <Alert severity="error" variant="outlined">
              {demoProblem}
            </Alert>
          )}
          <p className="small quiet">An invented league. Come in as</p>
          <ul className="todo">
            {demo.map((member) => (
              <li key={member.id}>
                <form action={demoAction}>
                  <input type="hidden" name="member" value={member.id} />
                  <Button type="submit" variant="outlined" fullWidth>
                    {member.name}, {member.roles.join(' and ')}
                  </Button>
                </form>
              </li>
            ))}
          </ul>
        </section>
      )}
      <form className="card" action={action} style={{ display: 'grid', gap: 12 }}>
        <h2>Sign in</h2>
        {problem && (
          <Alert severity="error" variant="outlined">
            {problem}
          </Alert>
        )}
        <TextBox name="name" label="Name" autoComplete="username" required htmlInput={{ maxLength: 200 }} />
        <TextBox
          name="password"
          label="Password"
          type="password"
          autoComplete="current-password"
          required
          htmlInput={{ maxLength: 500 }}
        />
        <Button type="submit" variant="contained" disabled={busy}>
          Sign in
        </Button>
      </form>
    </main>
  );
}
