'use client';
/** Cards of the staff page: backups, the audit trail. */
import Button from '@mui/material/Button';
import { useState } from 'react';
import type { AuditInfo, BackupInfo } from '@/core/exchange/types';
import { moment } from './words';

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
            {audit.slice(0, most).map((entry) => (
              <tr key={entry.id}>
                <td>{moment(entry.at)}</td>
                <td>{entry.name}</td>
                <td>
                  {entry.action.replace(/[.-]/g, ' ')}: {entry.words}
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
