'use client';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useActionState, useState } from 'react';
import type { TeamInfo } from '@/core/exchange/types';

export function NewGameForm({ open, teams }: { open: (before: string | null, form: FormData) => Promise<string | null>; teams: readonly TeamInfo[] }) {
  const [problem, action, busy] = useActionState(open, null);
  const [typed, setTyped] = useState<Record<string, string>>({ away: '', home: '', awayName: '', homeName: '', date: '', week: '' });
  const field = (name: string) => ({ name, value: typed[name] ?? '', onChange: (e: { target: { value: string } }) => setTyped((t) => ({ ...t, [name]: e.target.value })) });
  return (
    <form action={action} className="card" style={{ display: 'grid', gap: 12, alignContent: 'start' }}>
      <h2>Open a game</h2>
      {problem && <Alert severity="error" variant="outlined">{problem}</Alert>}
      {(['away', 'home'] as const).map((side) => (
        <div key={side} style={{ display: 'grid', gap: 8 }}>
          <TextField select required label={side === 'away' ? 'Away' : 'Home'} {...field(side)}>
            {teams.map((t) => <MenuItem key={t.key} value={t.key}>{t.name}</MenuItem>)}
            <MenuItem value="new">a new team …</MenuItem>
          </TextField>
          {typed[side] === 'new' ? <TextField label={`Name of the ${side} team`} {...field(`${side}Name`)} /> : <input type="hidden" name={`${side}Name`} value="" />}
        </div>
      ))}
      <TextField label="Date" placeholder="2026-10-31" {...field('date')} />
      <TextField label="Week" {...field('week')} />
      <Button type="submit" variant="contained" disabled={busy}>Open it</Button>
    </form>
  );
}
