'use client';
/** Which sections the sheet has, in which order: from the list, or a filter of the staff's own. */
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useState } from 'react';
import { CATALOG, MOST_SECTIONS, SECTIONS, type SectionSpec, type SheetCall } from '@/core/plan';
import { Choice } from '../shared/Choice';
import { OwnSection } from './OwnSection';

interface SectionsFormProps {
  readonly sections: readonly SectionSpec[];
  readonly calls: readonly SheetCall[];
  readonly onSave: (sections: readonly SectionSpec[] | null) => void;
  /** Saves them for sheets to come; null: the member may not. */
  readonly onTemplate: ((sections: readonly SectionSpec[]) => Promise<string | null>) | null;
  readonly onClose: () => void;
}

const same = (a: readonly SectionSpec[], b: readonly SectionSpec[]): boolean =>
  JSON.stringify(a) === JSON.stringify(b);

export default function SectionsForm({ sections, calls, onSave, onTemplate, onClose }: SectionsFormProps) {
  const [draft, setDraft] = useState(sections);
  const [said, setSaid] = useState<string | null>(null);
  const [own, setOwn] = useState(false);
  const has = new Set(draft.map((s) => s.key));
  const used = (key: string): number => calls.filter((c) => c.section === key).length;
  const move = (at: number, by: -1 | 1): void => {
    const next = [...draft];
    const [one] = next.splice(at, 1);
    next.splice(at + by, 0, one!);
    setDraft(next);
  };
  const left = CATALOG.filter((s) => !has.has(s.key));
  const full = draft.length >= MOST_SECTIONS;
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm" aria-labelledby="sections-title">
      <DialogTitle id="sections-title">Sections of this sheet</DialogTitle>
      <DialogContent>
        {said && (
          <p className="small" role="status">
            {said}
          </p>
        )}
        <ol className="plainlist sections" aria-label="Sections in their order">
          {draft.map((section, i) => (
            <li key={section.key}>
              <span className="grow">{section.label}</span>
              <span className="small quiet">
                {used(section.key) > 0 ? `${used(section.key)} of its calls` : ''}
              </span>
              <button
                type="button"
                className="plain"
                disabled={i === 0}
                aria-label={`${section.label}, up`}
                onClick={() => move(i, -1)}
              >
                ↑
              </button>
              <button
                type="button"
                className="plain"
                disabled={i === draft.length - 1}
                aria-label={`${section.label}, down`}
                onClick={() => move(i, 1)}
              >
                ↓
              </button>
              <button
                type="button"
                className="plain"
                disabled={used(section.key) > 0 || draft.length === 1}
                title={used(section.key) > 0 ? 'Move or remove its calls first' : undefined}
                aria-label={`remove ${section.label}`}
                onClick={() => setDraft(draft.filter((s) => s !== section))}
              >
                ×
              </button>
            </li>
          ))}
        </ol>
        <div className="toolbar">
          {left.length > 0 && !full && (
            <Choice
              label="add"
              value=""
              width={220}
              options={[['', 'choose'], ...left.map((s) => [s.key, s.label] as const)]}
              onChange={(key) => {
                const found = CATALOG.find((s) => s.key === key);
                if (found) setDraft([...draft, found]);
              }}
            />
          )}
          {!own && !full && <Button onClick={() => setOwn(true)}>one of our own</Button>}
          <Button disabled={same(draft, SECTIONS)} onClick={() => setDraft(SECTIONS)}>
            the usual ones
          </Button>
          {onTemplate && (
            <Button
              onClick={() =>
                void onTemplate(draft).then((why) => setSaid(why ?? 'New sheets begin with these sections.'))
              }
            >
              save for new sheets
            </Button>
          )}
        </div>
        {own && (
          <OwnSection
            taken={has}
            onAdd={(section) => {
              setDraft([...draft, section]);
              setOwn(false);
            }}
            onClose={() => setOwn(false)}
          />
        )}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Cancel</Button>
        <Button
          variant="contained"
          disabled={same(draft, sections)}
          onClick={() => {
            onSave(same(draft, SECTIONS) ? null : draft);
            onClose();
          }}
        >
          Save
        </Button>
      </DialogActions>
    </Dialog>
  );
}
