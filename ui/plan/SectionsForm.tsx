'use client';
/** Which sections the sheet has, in which order: from the list, or a filter of the staff's own. */
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useState } from 'react';
import {
  CATALOG,
  MOST_SECTIONS,
  sectionsAsOn,
  SECTIONS,
  type EarlierSheet,
  type SectionSpec,
  type SheetCall,
} from '@/core/plan';
import { Choice } from '../shared/Choice';
import { useLoaded } from '../shared/useLoaded';
import { OwnSection, type SectionFilm } from './OwnSection';

interface SectionsFormProps {
  readonly sections: readonly SectionSpec[];
  readonly calls: readonly SheetCall[];
  readonly film: SectionFilm;
  readonly earlier: () => Promise<readonly EarlierSheet[] | string>;
  readonly onSave: (sections: readonly SectionSpec[] | null) => void;
  /** Saves them for sheets to come; null: the member may not. */
  readonly onTemplate: ((sections: readonly SectionSpec[]) => Promise<string | null>) | null;
  readonly onClose: () => void;
}

const same = (a: readonly SectionSpec[], b: readonly SectionSpec[]): boolean =>
  JSON.stringify(a) === JSON.stringify(b);

export default function SectionsForm({
  sections,
  calls,
  film,
  earlier,
  onSave,
  onTemplate,
  onClose,
}: SectionsFormProps) {
  const { found: sheets, problem } = useLoaded(earlier);
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
  const over = draft.length - MOST_SECTIONS;
  const usual = sectionsAsOn(SECTIONS, draft, used);
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
          <Button disabled={same(draft, usual)} onClick={() => setDraft(usual)}>
            the usual ones
          </Button>
          {sheets !== null && sheets.length > 0 && (
            <Choice
              label="as on"
              value=""
              width={220}
              options={[
                ['', 'another sheet'],
                ...sheets.map((s) => [s.key, `${s.name} · ${s.opponent}`] as const),
              ]}
              onChange={(key) => {
                const sheet = sheets.find((s) => s.key === key);
                if (sheet) setDraft(sectionsAsOn(sheet.sections, draft, used));
              }}
            />
          )}
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
        {problem && <p className="small quiet">Other sheets cannot be read: {problem}</p>}
        {over > 0 && (
          <p className="flag" role="alert">
            A sheet has up to {MOST_SECTIONS} sections: remove {over}.
          </p>
        )}
        {own && (
          <OwnSection
            taken={has}
            film={film}
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
          disabled={same(draft, sections) || over > 0}
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
