'use client';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import { useActionState, useState } from 'react';
import { LEVEL_KEYS, LEVEL_PROFILES } from '@/core/field/profile';
import { PHASES } from '@/core/table/schema';
import type { TeamInfo } from '@/core/exchange/types';
import { TextBox } from '../shared/TextBox';
import { useWorking } from '../shared/toasts';

export function NewGameForm({
  open,
  teams,
}: {
  open: (before: string | null, form: FormData) => Promise<string | null>;
  teams: readonly TeamInfo[];
}) {
  const [problem, action, busy] = useActionState(open, null);
  useWorking(busy, 'Starting the game');
  const [typed, setTyped] = useState<Record<string, string>>({
    away: '',
    home: '',
    awayName: '',
    homeName: '',
    date: '',
    week: '',
    phase: 'regular',
    level: '',
  });
  const field = (name: string) => ({
    name,
    value: typed[name] ?? '',
    onChange: (e: { target: { value: string } }) => setTyped((t) => ({ ...t, [name]: e.target.value })),
  });
  return (
    <form
      id="start-game"
      action={action}
      className="card"
      style={{ display: 'grid', gap: 12, alignContent: 'start' }}
    >
      <h2>Start a game</h2>
      {problem && (
        <Alert severity="error" variant="outlined">
          {problem}
        </Alert>
      )}
      {(['away', 'home'] as const).map((side) => (
        <div key={side} style={{ display: 'grid', gap: 8 }}>
          <TextBox select required label={side === 'away' ? 'Away' : 'Home'} {...field(side)}>
            {teams.map((team) => (
              <option key={team.key} value={team.key}>
                {team.name}
              </option>
            ))}
            <option value="new">a new team …</option>
          </TextBox>
          {typed[side] === 'new' ? (
            <TextBox label={`Name of the ${side} team`} {...field(`${side}Name`)} />
          ) : (
            <input type="hidden" name={`${side}Name`} value="" />
          )}
        </div>
      ))}
      <TextBox label="Date" placeholder="2026-10-31" {...field('date')} />
      <TextBox label="Week" {...field('week')} />
      <TextBox
        select
        label="Kind of film"
        {...field('phase')}
        helperText="practice and borrowed film never counts as what a team does in games"
      >
        {PHASES.map((phase) => (
          <option key={phase} value={phase}>
            {phase.replace(/_/g, ' ')}
          </option>
        ))}
      </TextBox>
      <TextBox
        select
        label="Level"
        {...field('level')}
        helperText="7-on-7 and flag have their own field and are counted apart"
      >
        <option value="">as the program</option>
        {LEVEL_KEYS.map((k) => (
          <option key={k} value={k}>
            {LEVEL_PROFILES[k].name}
          </option>
        ))}
      </TextBox>
      <Button type="submit" variant="contained" disabled={busy}>
        Start game
      </Button>
    </form>
  );
}
