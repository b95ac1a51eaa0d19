'use client';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import Link from 'next/link';
import { useRef, useState } from 'react';
import type { ImportOutcome } from '@/core/exchange/types';

export function ImportForm() {
  const [names, setNames] = useState<readonly string[]>([]);
  const [busy, setBusy] = useState(false);
  const [error, setError] = useState('');
  const [outcome, setOutcome] = useState<ImportOutcome | null>(null);
  const files = useRef<HTMLInputElement>(null);
  const running = useRef<AbortController | null>(null);

  const send = async () => {
    const form = new FormData();
    for (const file of files.current?.files ?? []) form.append('files', file);
    setBusy(true);
    setError('');
    setOutcome(null);
    running.current = new AbortController();
    try {
      const response = await fetch('/api/import', { method: 'POST', body: form, signal: running.current.signal });
      const answer = (await response.json()) as ImportOutcome & { error?: string };
      if (response.ok) setOutcome(answer);
      else setError(answer.error ?? 'The import failed; nothing was imported.');
    } catch (e) {
      setError((e as Error).name === 'AbortError' ? 'Stopped. If it had not finished, nothing was imported.' : 'The server does not answer; nothing was imported.');
    } finally {
      setBusy(false);
    }
  };
  return (
    <div style={{ display: 'grid', gap: 12, marginTop: 12 }}>
      <div style={{ display: 'flex', gap: 10, alignItems: 'center' }}>
        <label htmlFor="files">Files to import</label>
        <input id="files" ref={files} type="file" multiple accept=".zip,.csv,.json" onChange={(e) => { setNames([...(e.target.files ?? [])].map((f) => f.name)); setOutcome(null); setError(''); }} />
        <Button variant="contained" disabled={busy || names.length === 0} onClick={() => void send()}>Import</Button>
        {busy && <Button onClick={() => running.current?.abort()}>Stop</Button>}
      </div>
      {busy && <LinearProgress aria-label="Importing" />}
      {error && <Alert severity="error" variant="outlined">{error}</Alert>}
      {outcome?.imported && <Alert severity="success" variant="outlined">Imported {Object.entries(outcome.counts).map(([n, c]) => `${c} ${n}`).join(', ')}. <Link href="/">To the week</Link></Alert>}
      {outcome && !outcome.imported && (
        <section aria-label="Faults">
          <Alert severity="error" variant="outlined">{outcome.details.length} {outcome.details.length === 1 ? 'fault' : 'faults'}; nothing was imported. Mend the file and bring it again.</Alert>
          <table className="rows">
            <thead><tr><th>File</th><th className="n">Row</th><th>Column</th><th>What stands there</th><th>What to do</th></tr></thead>
            <tbody>{outcome.details.map((d, i) => <tr key={i}><td>{d.file}</td><td className="n">{d.row ?? ''}</td><td>{d.column ?? ''}</td><td className="mono">{d.value}</td><td>{d.remedy}</td></tr>)}</tbody>
          </table>
        </section>
      )}
    </div>
  );
}
