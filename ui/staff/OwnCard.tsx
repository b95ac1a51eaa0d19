'use client';
/** One's own sessions and password. */
import Button from '@mui/material/Button';
import { useState } from 'react';
import type { SessionInfo } from '@/core/exchange/types';
import { TextBox } from '../shared/TextBox';
import { moment, type RunChange } from './words';

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
          {sessions.map((session) => (
            <tr key={session.id}>
              <td>
                {browserName(session.agent)}
                {session.current ? ', this one' : ''}
              </td>
              <td>{moment(session.seen)}</td>
              <td>
                {!session.current && (
                  <button
                    type="button"
                    className="plain small"
                    disabled={busy}
                    onClick={() => run({ op: 'end-session', id: session.id })}
                    aria-label={`end the session of ${browserName(session.agent)}, last used ${moment(session.seen)}`}
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
          onSubmit={(event) => {
            event.preventDefault();
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
