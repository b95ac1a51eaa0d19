'use client';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import { useState, useTransition } from 'react';
import type {
  AuditInfo,
  BackupInfo,
  MemberInfo,
  ProgramSettings,
  SessionInfo,
  TeamInfo,
} from '@/core/exchange/types';
import type { LevelProfile } from '@/core/field';
import { LevelCard } from './LevelCard';
import { RulesCard } from './RulesCard';
import { MembersCard } from './MembersCard';
import { AuditCard, BackupCard } from './StaffCards';
import { OwnCard } from './OwnCard';
import { WeekForm } from './WeekForm';
import { DONE_WORDS, type RunChange } from './words';
import { useStaffRules } from '../StaffRules';
import { useScreenCommands } from '../shared/commands';
import { STAFF } from '../shared/screen-commands/staff';
import { focusIn } from '../shared/ScreenLinks';
import { useToast, useWorking } from '../shared/toasts';

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
  const { members, me, settings, teams, base, level, act } = props;
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, begin] = useTransition();
  const rules = useStaffRules();
  const say = useToast();
  useWorking(busy, 'Saving');
  useScreenCommands(STAFF, {
    week: props.mayWeek ? () => focusIn('this-week') : undefined,
    member: props.mayMembers ? () => focusIn('add-member') : undefined,
    export: props.mayExport ? () => window.location.assign('/api/export') : undefined,
  });
  const run: RunChange = (change, after) =>
    begin(async () => {
      const answer = await act(change).catch(() => 'The server does not answer; nothing was changed.');
      setProblem(answer);
      if (answer !== null) return;
      say(DONE_WORDS[change.op] ?? 'Saved.');
      after?.();
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
        <MembersCard members={members} me={me} busy={busy} mayChange={props.mayMembers} run={run} />
        <div style={{ display: 'grid', gap: 12, alignContent: 'start' }}>
          {props.mayWeek && <WeekForm settings={settings} teams={teams} busy={busy} run={run} />}
          <RulesCard
            key={`rules${JSON.stringify(rules)}`}
            rules={rules}
            busy={busy}
            mayKeep={props.mayRules}
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
          {props.mayExport && (
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
