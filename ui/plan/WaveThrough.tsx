'use client';
/** An audit is waved through with a reason, and comes back when its calls change. */
import Button from '@mui/material/Button';
import { useState } from 'react';
import { formatDay } from './usage';
import {
  addRemark,
  auditKey,
  BODY_REASONS,
  isOfBodies,
  MOST_REMARK,
  removeRemark,
  type Remark,
  type SheetEdit,
} from '@/core/plan';
import { TextBox } from '../shared/TextBox';

type Known = Parameters<typeof auditKey>[0];

interface WaveThroughProps {
  readonly audit: Known;
  readonly onEdit: (edit: SheetEdit | null) => void;
}

export function WaveThrough({ audit, onEdit }: WaveThroughProps) {
  const [reason, setReason] = useState<string | null>(null);
  if (reason === null)
    return (
      <button type="button" className="plain small quiet noprint" onClick={() => setReason('')}>
        wave through
      </button>
    );
  const said = reason.trim();
  const leave = (e: React.KeyboardEvent): void => {
    if (e.key === 'Escape') setReason(null);
  };
  return (
    <form
      className="toolbar wave"
      onSubmit={(event) => {
        event.preventDefault();
        if (said === '') return;
        onEdit(addRemark(crypto.randomUUID(), { kind: 'waved', about: auditKey(audit), text: said }));
        setReason(null);
      }}
    >
      {isOfBodies(audit.code) ? (
        <select
          aria-label="why it may stand"
          value={reason}
          autoFocus
          autoComplete="off"
          onChange={(e) => setReason(e.target.value)}
          onKeyDown={leave}
        >
          <option value="">why it may stand …</option>
          {BODY_REASONS.map((r) => (
            <option key={r}>{r}</option>
          ))}
        </select>
      ) : (
        <TextBox
          label="why it may stand"
          value={reason}
          autoFocus
          htmlInput={{ maxLength: MOST_REMARK }}
          onChange={(e) => setReason(e.target.value)}
          onKeyDown={leave}
        />
      )}
      <Button type="submit" disabled={said === ''}>
        wave through
      </Button>
      <Button onClick={() => setReason(null)}>cancel</Button>
    </form>
  );
}

interface WaveOneProps {
  readonly audits: readonly (Known & { readonly section: string | null })[];
  readonly label: (section: string) => string;
  readonly onEdit: (edit: SheetEdit | null) => void;
}

/** Of audits that stand in one line, one is chosen and waved through. */
export function WaveOne({ audits, label, onEdit }: WaveOneProps) {
  const [section, setSection] = useState('');
  const audit = audits.find((a) => a.section === section);
  if (audits.length === 1) return <WaveThrough audit={audits[0]!} onEdit={onEdit} />;
  return (
    <>
      <select
        className="small noprint"
        aria-label="wave one of them through"
        value={audit ? section : ''}
        autoComplete="off"
        onChange={(e) => setSection(e.target.value)}
      >
        <option value="">wave one through …</option>
        {audits.map((a) => (
          <option key={a.section} value={a.section!}>
            {label(a.section!)}
          </option>
        ))}
      </select>
      {audit && <WaveThrough key={section} audit={audit} onEdit={onEdit} />}
    </>
  );
}

interface WavedProps {
  readonly waved: readonly { readonly audit: { readonly sentence: string }; readonly remark: Remark }[];
  readonly mayEdit: boolean;
  readonly onEdit: (edit: SheetEdit | null) => void;
}

/** What was waved through, by whom and why. */
export function Waved({ waved, mayEdit, onEdit }: WavedProps) {
  if (waved.length === 0) return null;
  return (
    <details className="small waved">
      <summary>{waved.length} waved through</summary>
      <ul className="plainlist" aria-label="Waved through">
        {waved.map(({ audit, remark }) => (
          <li key={remark.id}>
            <span className="quiet">{audit.sentence}</span> “{remark.text}”, {remark.by}
            {remark.at === '' ? '' : `, ${formatDay(remark.at)}`}{' '}
            {mayEdit && (
              <button type="button" className="plain" onClick={() => onEdit(removeRemark(remark))}>
                bring it back
              </button>
            )}
          </li>
        ))}
      </ul>
    </details>
  );
}
