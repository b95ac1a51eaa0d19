'use client';
/** Offense and defense of a look drawn together with the numbers, and what that says. */
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useMemo, useState } from 'react';
import { constraintsFor, drawSnap, storedValue, type Book, type TermKind } from '@/core/book';
import { fieldSides, sideWord, type Hash, type LevelProfile } from '@/core/field';
import {
  defenderWords,
  lookSentences,
  peopleNote,
  plainRun,
  pointMargins,
  type DefenseEntry,
  type Ledger,
  type RunAim,
} from '@/core/look';
import { countText, intervalText, type Rate } from '@/core/read';
import { isTagged, type SnapFields } from '@/core/snap';
import { Picture } from '../chalk/Chalk';
import { savePng, saveSvg } from '../chalk/save';
import { useStaffRules } from '../StaffRules';

export interface LookAnswer {
  readonly front: string | null;
  readonly coverage: string | null;
  readonly rate: Rate;
  /** Opens the snaps behind the count. */
  readonly onOpen: () => void;
}
const answerWords = (a: LookAnswer): string =>
  `${a.front ?? 'front not tagged'}${a.coverage ? `, ${a.coverage}` : ''}`;

export interface LookCardProps {
  readonly book: Book;
  readonly profile: LevelProfile;
  readonly fields: SnapFields;
  readonly hash: Hash | null;
  /** What the other side has answered with, to choose from. */
  readonly answers?: readonly LookAnswer[];
  readonly onClose: () => void;
}

/** Runs without a name: who blocks whom by the rule, both ways. */
const PLAIN_RUNS: Readonly<Record<string, RunAim>> = {
  'wide zone left': plainRun('zone', 'L', 'C'),
  'wide zone right': plainRun('zone', 'R', 'C'),
  'outside left': plainRun('zone', 'L', 'D'),
  'outside right': plainRun('zone', 'R', 'D'),
  'down left, guard kicks': plainRun('gap', 'L', 'C', { kick: 'RG', wrap: 'RT' }),
  'down right, guard kicks': plainRun('gap', 'R', 'C', { kick: 'LG', wrap: 'LT' }),
};

const BY: Readonly<Record<DefenseEntry['by'], string>> = {
  blocked: 'blocked by',
  read: 'read by',
  option: 'held by the option',
  'held by a receiver': 'held by',
  'deep, far': 'deep, far from it',
  free: 'free',
};
const word = (v: unknown): string => (typeof v === 'string' && isTagged(v) ? v : '');

export function LookCard({ book, profile, fields, hash, answers = [], onClose }: LookCardProps) {
  const settings = useStaffRules().look;
  const first = answers[0];
  const [front, setFront] = useState(word(fields.front) || (first?.front ?? ''));
  const [coverage, setCoverage] = useState(word(fields.coverage) || (first?.coverage ?? ''));
  const [pressure, setPressure] = useState(word(fields.pressure));
  const [ball, setBall] = useState<Hash | null>(hash);
  const [run, setRun] = useState('');
  const shown: SnapFields = useMemo(
    () => ({
      ...fields,
      front: front || null,
      coverage: coverage || null,
      pressure: pressure || (fields.pressure === '-' ? '-' : null),
    }),
    [fields, front, coverage, pressure],
  );
  const drawn = useMemo(
    () => drawSnap(book, shown, ball, profile, { jobs: run === '', aim: PLAIN_RUNS[run] ?? null, settings }),
    [book, shown, ball, profile, settings, run],
  );
  const { look } = drawn;
  const margins = useMemo(() => (look ? pointMargins(look, settings.box) : []), [look, settings]);
  const sides = fieldSides(profile, ball);
  const choose = (kind: TermKind, label: string, value: string, set: (v: string) => void) => (
    <TextField
      select
      label={label}
      value={value}
      onChange={(e) => set(e.target.value)}
      sx={{ minWidth: 130 }}
    >
      <MenuItem value="">not said</MenuItem>
      {book.terms
        .filter((t) => t.kind === kind)
        .map((t) => (
          <MenuItem key={t.id} value={storedValue(t)}>
            {t.word}
          </MenuItem>
        ))}
      {value !== '' && !book.terms.some((t) => t.kind === kind && storedValue(t) === value) && (
        <MenuItem value={value}>{value}</MenuItem>
      )}
    </TextField>
  );
  const concept = word(fields.concept);
  const people = look ? peopleNote(word(fields.personnel), look.offense.set) : null;
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="lg" aria-labelledby="look-title">
      <DialogTitle id="look-title" style={{ display: 'flex', justifyContent: 'space-between', gap: 12 }}>
        <span>
          {concept ? `${concept}, ` : ''}
          {drawn.words}
        </span>
        <span style={{ display: 'flex', gap: 8 }}>
          <Button onClick={() => saveSvg(drawn.drawing, drawn.words)}>SVG</Button>
          <Button onClick={() => void savePng(drawn.drawing, drawn.words)}>PNG</Button>
          <Button onClick={onClose}>Close</Button>
        </span>
      </DialogTitle>
      <DialogContent>
        <div className="toolbar" style={{ padding: '6px 0 10px' }}>
          {choose('front', 'front', front, setFront)}
          {choose('coverage', 'coverage', coverage, setCoverage)}
          {choose('pressure', 'pressure', pressure, setPressure)}
          <TextField
            select
            label="blocking count at"
            value={run}
            onChange={(e) => setRun(e.target.value)}
            sx={{ minWidth: 150 }}
          >
            <MenuItem value="">the call</MenuItem>
            {Object.keys(PLAIN_RUNS).map((k) => (
              <MenuItem key={k} value={k}>
                {k}
              </MenuItem>
            ))}
          </TextField>
          <TextField
            select
            label="hash"
            value={ball ?? ''}
            onChange={(e) => setBall((e.target.value || null) as Hash | null)}
            sx={{ minWidth: 96 }}
          >
            <MenuItem value="">any</MenuItem>
            <MenuItem value="L">left</MenuItem>
            <MenuItem value="M">middle</MenuItem>
            <MenuItem value="R">right</MenuItem>
          </TextField>
          {answers.map((a) => (
            <span key={answerWords(a)} className="small">
              <button
                type="button"
                className="plain"
                onClick={() => {
                  setFront(a.front ?? '');
                  setCoverage(a.coverage ?? '');
                }}
                aria-label={`draw against ${answerWords(a)}`}
              >
                {answerWords(a)}
              </button>
              :{' '}
              <button
                type="button"
                className="plain num"
                onClick={a.onOpen}
                aria-label={`${answerWords(a)}: ${countText(a.rate)}, open the reel`}
              >
                {countText(a.rate)}
              </button>{' '}
              <span className="quiet">{intervalText(a.rate)}</span>
            </span>
          ))}
        </div>
        <div className="lookgrid">
          <div className="card">
            <Picture drawn={drawn} profile={profile} hash={ball} height={370} caption={false} />
          </div>
          <div style={{ display: 'grid', gap: 10, alignContent: 'start' }}>
            {look ? (
              <>
                <ul className="plainlist saids" aria-label="What it says">
                  {lookSentences(look, settings, sides).map((s) => (
                    <li key={s.text}>{s.text}</li>
                  ))}
                  {people && <li className="flag">{people}</li>}
                  {constraintsFor(look, concept, book).map((c) => (
                    <li key={c.sentence} className="flag">
                      {c.sentence}
                    </li>
                  ))}
                </ul>
                {!look.defense && (
                  <p className="quiet">
                    Say a front or a coverage: then the box, the hats and the rush are counted.
                  </p>
                )}
                {margins.length > 0 && (
                  <table className="rows tight" aria-label="Hats at each point of attack">
                    <thead>
                      <tr>
                        {margins.map((m) => (
                          <th key={m.to + m.point} className="n">
                            {sideWord(m.to)} {m.point}
                          </th>
                        ))}
                      </tr>
                    </thead>
                    <tbody>
                      <tr>
                        {margins.map((m) => (
                          <td key={m.to + m.point} className="n" title={`${m.hats} blockers for ${m.there}`}>
                            {m.margin > 0 ? `+${m.margin}` : m.margin < 0 ? `−${-m.margin}` : '0'}
                            <span className="quiet">
                              {' '}
                              {m.hats}:{m.there}
                            </span>
                          </td>
                        ))}
                      </tr>
                    </tbody>
                  </table>
                )}
                {look.ledger && <LedgerTable ledger={look.ledger} school={settings.school} />}
              </>
            ) : (
              <p className="quiet">
                {word(fields.formation)
                  ? `The book has no drawing of “${word(fields.formation)}”. Draw it in the Book and everything here follows.`
                  : 'No formation is tagged.'}
              </p>
            )}
          </div>
        </div>
        <p className="small quiet">
          Places follow from the words of the book, not from the film; what the film shows governs. Blocks the
          rules restrict (crack-back, below the waist, in the back): check this year’s rule in your level.
        </p>
      </DialogContent>
    </Dialog>
  );
}

function LedgerTable({ ledger, school }: { ledger: Ledger; school: 'A' | 'B' | 'C' }) {
  return (
    <details open>
      <summary>
        <strong>Everyone’s job</strong>
      </summary>
      <div style={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 12 }}>
        <table className="rows tight">
          <thead>
            <tr>
              <th>Ours</th>
              <th>does</th>
            </tr>
          </thead>
          <tbody>
            {ledger.offense.map((e) => (
              <tr key={e.man.letter}>
                <td>{e.man.letter}</td>
                <td>
                  {e.duty}
                  {e.on ? ` ${defenderWords(e.on, school)}` : ''}
                  {e.then ? `, then ${defenderWords(e.then, school)}` : ''}
                  {e.partner ? ` with ${e.partner}` : ''}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
        <table className="rows tight">
          <thead>
            <tr>
              <th>Theirs</th>
              <th>is</th>
            </tr>
          </thead>
          <tbody>
            {ledger.defense.map((e) => (
              <tr key={`${e.man.letter}${e.man.x}`}>
                <td>
                  {defenderWords(e.man, school)}
                  {e.there ? '' : <span className="quiet"> (not there)</span>}
                </td>
                <td>
                  {e.by === 'free' && e.there ? <strong>free</strong> : BY[e.by]}
                  {e.who.length > 0 ? ` ${e.who.join(' and ')}` : ''}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </details>
  );
}
