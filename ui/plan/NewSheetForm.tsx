'use client';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import { useActionState, useState } from 'react';
import type { TeamInfo } from '@/core/exchange/types';
import { TextBox } from '../shared/TextBox';
import { useWorking } from '../shared/toasts';

export function NewSheetForm({
  start,
  teams,
  opponent,
  week,
}: {
  start: (before: string | null, form: FormData) => Promise<string | null>;
  teams: readonly TeamInfo[];
  opponent: string | null;
  week: number | null;
}) {
  const [problem, action, busy] = useActionState(start, null);
  useWorking(busy, 'Starting the sheet');
  const [name, setName] = useState(week === null ? '' : `Week ${week}`);
  const [side, setSide] = useState('offense');
  const [against, setAgainst] = useState(opponent ?? '');
  return (
    <form action={action} className="card" style={{ display: 'grid', gap: 12, alignContent: 'start' }}>
      <h2>Start a sheet</h2>
      {problem && (
        <Alert severity="error" variant="outlined">
          {problem}
        </Alert>
      )}
      <TextBox name="name" label="Name" value={name} onChange={(e) => setName(e.target.value)} />
      <TextBox
        name="opponent"
        label="Against"
        select
        required
        value={against}
        onChange={(e) => setAgainst(e.target.value)}
      >
        {teams.map((team) => (
          <option key={team.key} value={team.key}>
            {team.name}
          </option>
        ))}
      </TextBox>
      <TextBox name="side" label="For our" select value={side} onChange={(e) => setSide(e.target.value)}>
        <option value="offense">offense: a call sheet</option>
        <option value="defense">defense: a check table</option>
      </TextBox>
      {teams.length === 0 && <p className="small quiet">There is no other team yet; open a game first.</p>}
      <Button type="submit" variant="contained" disabled={busy || against === ''}>
        Start
      </Button>
    </form>
  );
}
