'use client';
/** Cards of the staff page: roles of a member, one's own sessions and password, backups, the audit trail. */
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import { useState } from 'react';
import type { AuditInfo, BackupInfo, MemberInfo, SessionInfo } from '@/core/exchange/types';
import { ROLES, type Role } from '@/core/staff';
import { TextBox } from '../shared/TextBox';

export type RunChange = (
  change: { readonly op: string; readonly [field: string]: unknown },
  after?: () => void,
) => void;

/** A time as the reader's own clock says it; the same text on the server and in the browser until it is alive. */
const moment = (iso: string): string => iso.slice(0, 16).replace('T', ' ');

export function RolesForm({
  member,
  busy,
  onKeep,
}: {
  member: MemberInfo;
  busy: boolean;
  onKeep: (roles: readonly Role[]) => void;
}) {
  const [roles, setRoles] = useState<readonly Role[]>(ROLES.filter((r) => member.roles.includes(r)));
  return (
    <form
      className="toolbar"
      aria-label={`Roles of ${member.name}`}
      onSubmit={(e) => {
        e.preventDefault();
        onKeep(roles);
      }}
    >
      <strong>{member.name}</strong>
      {ROLES.map((r) => (
        <FormControlLabel
          key={r}
          control={
            <Checkbox
              size="small"
              checked={roles.includes(r)}
              onChange={(e) => setRoles(e.target.checked ? [...roles, r] : roles.filter((x) => x !== r))}
            />
          }
          label={r}
        />
      ))}
      <Button type="submit" variant="outlined" disabled={busy || roles.length === 0}>
        Save roles
      </Button>
    </form>
  );
}

export function OwnCard({
  sessions,
  demo,
  busy,
  run,
}: {
  sessions: readonly SessionInfo[];
  demo: boolean;
  busy: boolean;
  run: RunChange;
}) {
  const [current, setCurrent] = useState('');
  const [next, setNext] = useState('');
  return (
    <section className="card" aria-label="Your sessions">
      <header>
        <h2>Your sessions</h2>
        <span className="small">{sessions.length} signed in</span>
      </header>
      <table className="rows">
        <thead>
          <tr>
            <th>Browser</th>
            <th>Last used (UTC)</th>
            <th>
              <span className="hide">End</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {sessions.map((s) => (
            <tr key={s.id}>
              <td>
                {browserName(s.agent)}
                {s.current ? ', this one' : ''}
              </td>
              <td>{moment(s.seen)}</td>
              <td>
                {!s.current && (
                  <button
                    type="button"
                    className="plain small"
                    disabled={busy}
                    onClick={() => run({ op: 'end-session', id: s.id })}
                    aria-label={`end the session of ${browserName(s.agent)}, last used ${moment(s.seen)}`}
                  >
                    end
                  </button>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <Button
        variant="outlined"
        disabled={busy}
        onClick={() => run({ op: 'end-session', id: 'all' }, () => window.location.assign('/sign-in'))}
      >
        Sign out everywhere
      </Button>
      {!demo && (
        <form
          style={{ display: 'grid', gap: 10, marginTop: 14 }}
          onSubmit={(e) => {
            e.preventDefault();
            run({ op: 'password', current, next }, () => {
              setCurrent('');
              setNext('');
            });
          }}
        >
          <TextBox
            label="Current password"
            type="password"
            required
            autoComplete="current-password"
            value={current}
            onChange={(e) => setCurrent(e.target.value)}
          />
          <TextBox
            label="New password"
            type="password"
            required
            autoComplete="new-password"
            value={next}
            onChange={(e) => setNext(e.target.value)}
            helperText="at least ten characters; your other sessions end"
          />
          <Button type="submit" variant="outlined" disabled={busy}>
            Change password
          </Button>
        </form>
      )}
    </section>
  );
}

/** What a browser calls itself, as people know it. */
function browserName(agent: string | null): string {
  if (!agent) return 'unknown browser';
  const name = /Edg\//.test(agent)
    ? 'Edge'
    : /Firefox\//.test(agent)
      ? 'Firefox'
      : /Chrome\//.test(agent)
        ? 'Chrome'
        : /Safari\//.test(agent)
          ? 'Safari'
          : 'browser';
  const system = /Windows/.test(agent)
    ? 'Windows'
    : /iPhone|iPad/.test(agent)
      ? 'iOS'
      : /Mac OS/.test(agent)
        ? 'macOS'
        : /Android/.test(agent)
          ? 'Android'
          : /Linux/.test(agent)
            ? 'Linux'
            : '';
  return system ? `${name} on ${system}` : name;
}

export function BackupCard({ backup }: { backup: BackupInfo | null }) {
  return (
    <section className={`card${backup?.goodAt && !backup.problem ? '' : ' flag'}`} aria-label="Backups">
      <h2>Backups</h2>
      {backup?.goodAt ? (
        <p>
          The last good one is of <strong>{moment(backup.goodAt)}</strong> (UTC),{' '}
          {((backup.bytes ?? 0) / 1024).toFixed(0)} kB, tried by a restore into a scratch database:{' '}
          <span className="mono small">{backup.file}</span>
        </p>
      ) : (
        <p>There is none yet.</p>
      )}
      {backup?.problem && (
        <p role="alert">
          <strong>The last backup failed:</strong> {backup.problem}
        </p>
      )}
      <p className="small quiet">
        Made on the machine itself: <span className="mono">./vobrik backup FILE</span>, or by itself with{' '}
        <span className="mono">./vobrik start --backup-every 24h --keep 14</span>. Keep a copy on another
        disk.
      </p>
    </section>
  );
}

export function AuditCard({ audit }: { audit: readonly AuditInfo[] }) {
  const [most, setMost] = useState(12);
  return (
    <section className="card" aria-label="Audit trail">
      <header>
        <h2>Audit trail</h2>
        <span className="small">
          who did what to members, imports, merges, exports, closing, locking, restores
        </span>
      </header>
      {audit.length === 0 ? (
        <p className="quiet">Nothing yet.</p>
      ) : (
        <table className="rows tight">
          <thead>
            <tr>
              <th>When (UTC)</th>
              <th>Who</th>
              <th>What</th>
            </tr>
          </thead>
          <tbody>
            {audit.slice(0, most).map((a) => (
              <tr key={a.id}>
                <td>{moment(a.at)}</td>
                <td>{a.name}</td>
                <td>
                  {a.action.replace(/[.-]/g, ' ')}: {a.words}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {audit.length > most && (
        <Button onClick={() => setMost(most + 50)}>{Math.min(50, audit.length - most)} more</Button>
      )}
    </section>
  );
}
