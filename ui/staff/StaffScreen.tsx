'use client';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import { useState, useTransition } from 'react';
import type {
  AuditInfo,
  BackupInfo,
  MemberInfo,
  ProgramSettings,
  SessionInfo,
  TeamInfo,
} from '@/core/exchange/types';
import { ROLES, type Role } from '@/core/staff';
import type { LevelProfile } from '@/core/field';
import { LevelCard } from './LevelCard';
import { RulesCard } from './RulesCard';
import { AuditCard, BackupCard, OwnCard, RolesForm, type RunChange } from './StaffCards';
import { useStaffRules } from '../StaffRules';
import { TextBox } from '../shared/TextBox';

export interface StaffScreenProps {
  readonly members: readonly MemberInfo[];
  readonly me: string;
  readonly settings: ProgramSettings;
  readonly teams: readonly TeamInfo[];
  /** As it ships, and as the staff changed it. */
  readonly base: LevelProfile;
  readonly level: LevelProfile;
  readonly act: (change: unknown) => Promise<string | null>;
  readonly sessions: readonly SessionInfo[];
  readonly audit: readonly AuditInfo[];
  readonly backup: BackupInfo | null;
  readonly demo: boolean;
  readonly mayMembers: boolean;
  readonly mayLevel: boolean;
  readonly mayRules: boolean;
  readonly mayWeek: boolean;
  readonly mayExport: boolean;
  readonly mayBackup: boolean;
  readonly mayAudit: boolean;
}

export function StaffScreen(props: StaffScreenProps) {
  const { members, me, settings, teams, base, level, act, mayMembers, mayRules, mayWeek, mayExport } = props;
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, begin] = useTransition();
  const rules = useStaffRules();
  const [week, setWeek] = useState(settings.week === null ? '' : String(settings.week));
  const [opponent, setOpponent] = useState(settings.opponent ?? '');
  const [name, setName] = useState('');
  const [password, setPassword] = useState('');
  const [roles, setRoles] = useState<readonly Role[]>(['charter']);
  const [changing, setChanging] = useState<string | null>(null);
  const run: RunChange = (change, after) =>
    begin(async () => {
      const answer = await act(change).catch(() => 'The server does not answer; nothing was changed.');
      setProblem(answer);
      if (answer === null) after?.();
    });
  return (
    <>
      <h1>Staff</h1>
      {problem && (
        <Alert severity="error" variant="outlined" onClose={() => setProblem(null)}>
          {problem}
        </Alert>
      )}
      <div className="weekgrid">
        <section className="card" aria-label="Members">
          <header>
            <h2>Members</h2>
          </header>
          <table className="rows">
            <thead>
              <tr>
                <th>Name</th>
                <th>Roles</th>
                <th>
                  <span className="hide">Change</span>
                </th>
              </tr>
            </thead>
            <tbody>
              {members.map((m) => (
                <tr key={m.id}>
                  <td>
                    {m.name}
                    {m.id === me ? ' (you)' : ''}
                  </td>
                  <td>{m.removed ? 'removed; his tags keep the name' : m.roles.join(', ')}</td>
                  <td>
                    {mayMembers && !m.removed && (
                      <button
                        type="button"
                        className="plain small"
                        style={{ marginRight: 10 }}
                        disabled={busy}
                        aria-expanded={changing === m.id}
                        onClick={() => setChanging(changing === m.id ? null : m.id)}
                        aria-label={`change roles of ${m.name}`}
                      >
                        roles
                      </button>
                    )}
                    {mayMembers && !m.removed && m.id !== me && (
                      <button
                        type="button"
                        className="plain small"
                        disabled={busy}
                        onClick={() => run({ op: 'remove', id: m.id })}
                        aria-label={`remove ${m.name}`}
                      >
                        remove
                      </button>
                    )}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
          {changing && members.some((m) => m.id === changing) && (
            <RolesForm
              key={changing}
              member={members.find((m) => m.id === changing)!}
              busy={busy}
              onKeep={(next) => run({ op: 'roles', id: changing, roles: next }, () => setChanging(null))}
            />
          )}
          {mayMembers && (
            <form
              style={{ display: 'grid', gap: 10, marginTop: 14, maxWidth: 420 }}
              onSubmit={(e) => {
                e.preventDefault();
                run({ op: 'add', name, password, roles }, () => {
                  setName('');
                  setPassword('');
                });
              }}
            >
              <h2>Add a member</h2>
              <TextBox
                label="Name"
                required
                value={name}
                autoComplete="off"
                onChange={(e) => setName(e.target.value)}
              />
              <TextBox
                label="First password"
                type="password"
                required
                autoComplete="new-password"
                value={password}
                onChange={(e) => setPassword(e.target.value)}
                helperText="at least ten characters; hand it over in person"
              />
              <div>
                {ROLES.map((r) => (
                  <FormControlLabel
                    key={r}
                    control={
                      <Checkbox
                        size="small"
                        checked={roles.includes(r)}
                        onChange={(e) =>
                          setRoles(e.target.checked ? [...roles, r] : roles.filter((x) => x !== r))
                        }
                      />
                    }
                    label={r}
                  />
                ))}
              </div>
              <Button type="submit" variant="contained" disabled={busy}>
                Add
              </Button>
            </form>
          )}
        </section>
        <div style={{ display: 'grid', gap: 12, alignContent: 'start' }}>
          {mayWeek && (
            <form
              className="card"
              style={{ display: 'grid', gap: 10 }}
              onSubmit={(e) => {
                e.preventDefault();
                run({ op: 'week', week: week === '' ? null : week, opponent: opponent || null });
              }}
            >
              <h2>This week</h2>
              <TextBox label="Week" value={week} onChange={(e) => setWeek(e.target.value)} />
              <TextBox select label="Opponent" value={opponent} onChange={(e) => setOpponent(e.target.value)}>
                <option value="">none yet</option>
                {teams.map((t) => (
                  <option key={t.key} value={t.key}>
                    {t.name}
                  </option>
                ))}
              </TextBox>
              <Button type="submit" variant="contained" disabled={busy}>
                Save
              </Button>
            </form>
          )}
          <RulesCard
            key={`rules${JSON.stringify(rules)}`}
            rules={rules}
            busy={busy}
            mayKeep={mayRules}
            onKeep={(value) => run({ op: 'rules', rules: value })}
          />
          <LevelCard
            key={JSON.stringify(level)}
            base={base}
            level={level}
            busy={busy}
            mayKeep={props.mayLevel}
            onKeep={(changes) => run({ op: 'profile', changes })}
          />
          {mayExport && (
            <section className="card">
              <h2>Export everything</h2>
              <p className="small quiet">
                Tables that any spreadsheet opens, with their description, in one zip.
              </p>
              <Button variant="outlined" href="/api/export">
                Export
              </Button>{' '}
              <Button href="/api/export?as=xlsx">Workbook (.xlsx)</Button>
            </section>
          )}
          <OwnCard sessions={props.sessions} demo={props.demo} busy={busy} run={run} />
          {props.mayBackup && <BackupCard backup={props.backup} />}
        </div>
      </div>
      {props.mayAudit && <AuditCard audit={props.audit} />}
    </>
  );
}
