'use client';
/** What the check table leaves open or gives away, each with its snaps and its checks. */
import { settleAudits, auditKey, type CheckAudit, type Remark, type SheetEdit } from '@/core/plan';
import { plural } from '@/core/rules/plural';
import { Waved, WaveThrough } from '../WaveThrough';

interface CheckAuditsProps {
  /** Null: their looks are still measured. */
  readonly audits: readonly CheckAudit[] | null;
  readonly remarks: readonly Remark[];
  readonly mayEdit: boolean;
  readonly onEdit: (edit: SheetEdit | null) => void;
  readonly onChoose: (check: string) => void;
  readonly onAdd: (picture: string) => void;
  readonly onReel: (name: string) => void;
}

export function CheckAudits(props: CheckAuditsProps) {
  const { audits, remarks, mayEdit, onEdit, onChoose, onAdd, onReel } = props;
  const { open, waved } = settleAudits(audits ?? [], remarks);
  return (
    <section className="card audits" aria-label="What the checks leave open" aria-busy={audits === null}>
      <header>
        <h2>What they leave open</h2>
        <span className="small quiet">
          {audits === null
            ? 'their looks are being measured'
            : open.length === 0
              ? 'nothing that is looked for'
              : plural(open.length, 'thing')}
        </span>
      </header>
      <ul className="plainlist">
        {open.map((audit) => {
          const key = auditKey(audit);
          return (
            <li key={key} className="audit">
              {audit.sentence}{' '}
              <span className="small doors">
                {audit.rows && (
                  <button type="button" className="plain" onClick={() => onReel(`audit|${key}`)}>
                    see the snaps
                  </button>
                )}{' '}
                {audit.picture !== null && mayEdit && audit.calls.length === 0 && (
                  <button type="button" className="plain" onClick={() => onAdd(audit.picture!)}>
                    add a check
                  </button>
                )}
                {audit.calls.length === 1 && (
                  <button type="button" className="plain" onClick={() => onChoose(audit.calls[0]!)}>
                    draw it
                  </button>
                )}{' '}
                {mayEdit && <WaveThrough audit={audit} onEdit={onEdit} />}
              </span>
            </li>
          );
        })}
      </ul>
      <Waved waved={waved} mayEdit={mayEdit} onEdit={onEdit} />
    </section>
  );
}
