'use client';
import Button from '@mui/material/Button';
import { useState } from 'react';
import type { ProgramSettings, TeamInfo } from '@/core/exchange/types';
import { TextBox } from '../shared/TextBox';
import type { RunChange } from './words';

interface WeekFormProps {
  readonly settings: ProgramSettings;
  readonly teams: readonly TeamInfo[];
  readonly busy: boolean;
  readonly run: RunChange;
}

/** The week and its opponent. */
export function WeekForm({ settings, teams, busy, run }: WeekFormProps) {
  const [week, setWeek] = useState(settings.week === null ? '' : String(settings.week));
  const [opponent, setOpponent] = useState(settings.opponent ?? '');
  return (
    <form
      id="this-week"
      className="card"
      style={{ display: 'grid', gap: 10 }}
      onSubmit={(event) => {
        event.preventDefault();
        run({ op: 'week', week: week === '' ? null : week, opponent: opponent || null });
      }}
    >
      <h2>This week</h2>
      <TextBox label="Week" value={week} onChange={(e) => setWeek(e.target.value)} />
      <TextBox select label="Opponent" value={opponent} onChange={(e) => setOpponent(e.target.value)}>
        <option value="">none yet</option>
        {teams.map((team) => (
          <option key={team.key} value={team.key}>
            {team.name}
          </option>
        ))}
      </TextBox>
      <Button type="submit" variant="contained" disabled={busy}>
        Save
      </Button>
    </form>
  );
}
