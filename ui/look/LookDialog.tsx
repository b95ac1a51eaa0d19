'use client';
/** Offense and defense of a look drawn together with the numbers, and what that says. */
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useMemo, useState } from 'react';
import { constraintsFor, drawSnap, storedValue, type TermKind } from '@/core/book';
import { fieldSides, type Hash } from '@/core/field';
import { lookSentences, peopleNote, plainRun, pointMargins, type RunCall } from '@/core/look';
import { isTagged, type SnapFields } from '@/core/snap';
import { Picture } from '../chalk/Chalk';
import { savePng, saveSvg } from '../chalk/save';
import { useStaffRules } from '../StaffRules';
import { Answers } from './Answers';
import { LedgerTable } from './LedgerTable';
import { Margins } from './Margins';
import type { LookCardProps } from './LookCard';
import { TextBox } from '../shared/TextBox';

/** Runs without a name: who blocks whom by the rule, both ways. */
const PLAIN_RUNS: Readonly<Record<string, RunCall>> = {
  'wide zone left': plainRun('zone', 'L', 'C'),
  'wide zone right': plainRun('zone', 'R', 'C'),
  'outside left': plainRun('zone', 'L', 'D'),
  'outside right': plainRun('zone', 'R', 'D'),
  'down left, guard kicks': plainRun('gap', 'L', 'C', { BG: 'kick', BT: 'wrap' }),
  'down right, guard kicks': plainRun('gap', 'R', 'C', { BG: 'kick', BT: 'wrap' }),
};

const word = (v: unknown): string => (typeof v === 'string' && isTagged(v) ? v : '');

export default function LookDialog({ book, profile, fields, hash, answers = [], onClose }: LookCardProps) {
  const settings = useStaffRules().look;
  const first = answers[0];
  const [defense, setDefense] = useState({
    front: word(fields.front) || (first?.front ?? ''),
    coverage: word(fields.coverage) || (first?.coverage ?? ''),
    pressure: word(fields.pressure),
  });
  const { front, coverage, pressure } = defense;
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
  const margins = useMemo(() => (look ? pointMargins(look, settings) : []), [look, settings]);
  const sides = fieldSides(profile, ball);
  const choose = (kind: TermKind & keyof typeof defense, value: string) => (
    <TextBox
      select
      label={kind}
      value={value}
      onChange={(event) => setDefense({ ...defense, [kind]: event.target.value })}
      sx={{ minWidth: 130 }}
    >
      <option value="">not said</option>
      {book.terms
        .filter((t) => t.kind === kind)
        .map((term) => (
          <option key={term.id} value={storedValue(term)}>
            {term.word}
          </option>
        ))}
      {value !== '' && !book.terms.some((t) => t.kind === kind && storedValue(t) === value) && (
        <option value={value}>{value}</option>
      )}
    </TextBox>
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
          {choose('front', front)}
          {choose('coverage', coverage)}
          {choose('pressure', pressure)}
          <TextBox
            select
            label="blocking count at"
            value={run}
            onChange={(e) => setRun(e.target.value)}
            sx={{ minWidth: 150 }}
          >
            <option value="">the call</option>
            {Object.keys(PLAIN_RUNS).map((k) => (
              <option key={k} value={k}>
                {k}
              </option>
            ))}
          </TextBox>
          <TextBox
            select
            label="hash"
            value={ball ?? ''}
            onChange={(e) => setBall((e.target.value || null) as Hash | null)}
            sx={{ minWidth: 96 }}
          >
            <option value="">any</option>
            <option value="L">left</option>
            <option value="M">middle</option>
            <option value="R">right</option>
          </TextBox>
          <Answers
            answers={answers}
            onDraw={(answer) =>
              setDefense({ ...defense, front: answer.front ?? '', coverage: answer.coverage ?? '' })
            }
          />
        </div>
        <div className="lookgrid">
          <div className="card">
            <Picture drawn={drawn} profile={profile} hash={ball} height={370} caption={false} />
          </div>
          <div style={{ display: 'grid', gap: 10, alignContent: 'start' }}>
            {look ? (
              <>
                <ul className="plainlist saids" aria-label="What it says">
                  {lookSentences(look, settings, sides).map((lookSentence) => (
                    <li key={lookSentence.text}>{lookSentence.text}</li>
                  ))}
                  {drawn.routes.map((sentence) => (
                    <li key={sentence}>{sentence}</li>
                  ))}
                  {people && <li className="flag">{people}</li>}
                  {constraintsFor(look, concept, book).map((linkWords) => (
                    <li key={linkWords.sentence} className="flag">
                      {linkWords.sentence}
                    </li>
                  ))}
                </ul>
                {!look.defense && (
                  <p className="quiet">
                    Say a front or a coverage: then the box, the hats and the rush are counted.
                  </p>
                )}
                <Margins margins={margins} />
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
