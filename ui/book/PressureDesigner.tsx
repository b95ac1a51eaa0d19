'use client';
/** A pressure made by choices: who comes, through which gap, called by side, by the back or by man; drawn and checked as it is made. */
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useDeferredValue, useId, useMemo, useState } from 'react';
import { formatDefinition, isDrawn, readDefinition, type Book, type TermKind } from '@/core/book';
import type { LevelProfile } from '@/core/field';
import { LINE_MOVES, RUSH_GAPS, RUSH_MEN, type PressureDef, type Rusher, type RushSide } from '@/core/look';
import { designPictures, pressureOn, RUSH_SIDE_WORDS } from '@/core/plan/pressure-design';
import { Marks } from '../chalk/Marks';
import { OwnedTable, SchemesTable } from '../look/Owned';
import { Choice } from '../shared/Choice';
import { useStaffRules } from '../StaffRules';

interface PressureDesignerProps {
  readonly book: Book;
  readonly profile: LevelProfile;
  /** A meaning as text to begin with; empty: nobody comes yet. */
  readonly text: string;
  readonly title: string;
  /** Null: this member only looks. */
  readonly onUse: ((text: string) => void) | null;
  readonly onClose: () => void;
}

const NOBODY: PressureDef = { rushers: [], drops: 0, dropSide: null, lineMove: 'none', threat: 4 };
const FIRST: Rusher = { man: 'mike', gap: 'A', side: 's' };
const MOST_RUSHERS = 7;
const numbers = (from: number, to: number): (readonly [string, string])[] =>
  Array.from({ length: to - from + 1 }, (_, i) => [String(from + i), String(from + i)] as const);
const same = <T extends string>(words: readonly T[]): (readonly [string, string])[] =>
  words.map((w) => [w, w]);

function begin(text: string): PressureDef {
  const read = text.trim() === '' ? null : readDefinition('pressure', text);
  return read?.ok && read.value.kind === 'pressure' ? read.value.pressure : NOBODY;
}

export default function PressureDesigner(props: PressureDesignerProps) {
  const { book, profile, title, onUse, onClose } = props;
  const settings = useStaffRules().look;
  const [pressure, setPressure] = useState(() => begin(props.text));
  const drawnWords = (kind: TermKind): string[] =>
    book.terms.filter((t) => t.kind === kind && isDrawn(t) && t.definition).map((t) => t.word);
  const [fronts, coverages] = [drawnWords('front'), drawnWords('coverage')];
  const [front, setFront] = useState(fronts[0] ?? '');
  const [coverage, setCoverage] = useState(
    () => coverages.find((word) => /zone/.test(word)) ?? coverages[0] ?? '',
  );
  const pictures = useMemo(() => designPictures(book, profile, settings), [book, profile, settings]);
  const [chosen, setChosen] = useState<string | null>(null);
  const put = (change: Partial<PressureDef>): void => setPressure((before) => ({ ...before, ...change }));
  const putRusher = (at: number, change: Partial<Rusher>): void =>
    put({ rushers: pressure.rushers.map((r, i) => (i === at ? { ...r, ...change } : r)) });
  // The choice stands at once; what it leaves open is worked out behind it.
  const worked = useDeferredValue(pressure);
  const rows = useMemo(
    () => pressureOn(book, profile, settings, worked, { front, coverage }, pictures),
    [book, profile, settings, worked, front, coverage, pictures],
  );
  const shown = rows.find((row) => row.picture.key === chosen) ?? rows[0] ?? null;
  const open = rows.filter((row) => row.look.faults.length > 0).length;
  return (
    <Dialog open onClose={onClose} maxWidth="lg" fullWidth aria-labelledby="pressure-title">
      <DialogTitle id="pressure-title">{title}</DialogTitle>
      <DialogContent>
        <div className="lookgrid" style={{ paddingTop: 8 }}>
          <section aria-label="Who comes" style={{ display: 'grid', gap: 16, alignContent: 'start' }}>
            {pressure.rushers.map((rusher, i) => (
              <div key={i} className="toolbar" role="group" aria-label={`man ${i + 1}`}>
                <Choice
                  label={`man ${i + 1}`}
                  value={rusher.man}
                  options={same(RUSH_MEN)}
                  onChange={(man) => putRusher(i, { man: man as Rusher['man'] })}
                />
                <Choice
                  label={`gap of man ${i + 1}`}
                  width={110}
                  value={rusher.gap}
                  options={same(RUSH_GAPS)}
                  onChange={(gap) => putRusher(i, { gap: gap as Rusher['gap'] })}
                />
                <SideChoice
                  label={`side of man ${i + 1}`}
                  value={rusher.side}
                  onChange={(side) => putRusher(i, { side: side! })}
                />
                <Button
                  aria-label={`remove man ${i + 1}`}
                  onClick={() => put({ rushers: pressure.rushers.filter((_, at) => at !== i) })}
                >
                  ×
                </Button>
              </div>
            ))}
            {pressure.rushers.length === 0 && <p className="small quiet">Only the line comes.</p>}
            <Button
              variant="outlined"
              style={{ justifySelf: 'start' }}
              disabled={pressure.rushers.length >= MOST_RUSHERS}
              onClick={() => put({ rushers: [...pressure.rushers, FIRST] })}
            >
              Add a man
            </Button>
            <div className="toolbar">
              <Choice
                label="of the line drop"
                width={100}
                value={String(pressure.drops)}
                options={numbers(0, 3)}
                onChange={(n) => put({ drops: Number(n) })}
              />
              <SideChoice
                label="they drop from"
                none="away from it"
                value={pressure.dropSide}
                onChange={(dropSide) => put({ dropSide })}
              />
              <Choice
                label="threaten before"
                width={100}
                value={String(pressure.threat)}
                options={numbers(0, 11)}
                onChange={(n) => put({ threat: Number(n) })}
              />
              <Choice
                label="the line"
                value={pressure.lineMove}
                options={LINE_MOVES.map((m) => [m, m === 'none' ? 'rushes straight' : m])}
                onChange={(move) => put({ lineMove: move as PressureDef['lineMove'] })}
              />
            </div>
            <p className="mono small" data-testid="meaning">
              {formatDefinition({ kind: 'pressure', pressure })}
            </p>
            <div className="toolbar">
              <Choice label="front" width={130} value={front} options={same(fronts)} onChange={setFront} />
              <Choice
                label="coverage behind it"
                width={150}
                value={coverage}
                options={same(coverages)}
                onChange={setCoverage}
              />
            </div>
          </section>
          {shown && (
            <section aria-label="The pressure, drawn">
              <svg
                className="checkdrawing"
                viewBox={shown.look.drawing.drawing.view.join(' ')}
                role="img"
                aria-label={`${title} on ${shown.picture.label}`}
              >
                <Marks drawing={shown.look.drawing.drawing} />
              </svg>
              <p className="small quiet">
                {shown.picture.label}: {String(shown.picture.fields.formation)}, the field{' '}
                {shown.picture.hash === 'L' ? 'right' : 'left'}
              </p>
            </section>
          )}
        </div>
        <h3>
          {open === 0
            ? `Sound on all ${rows.length} pictures`
            : `Something is open on ${open} of ${rows.length} pictures`}
        </h3>
        <table className="rows tight" aria-label="What it leaves open">
          <tbody>
            {rows.map(({ picture, look }) => (
              <tr key={picture.key} className={look.faults.length > 0 ? 'finding' : undefined}>
                <th scope="row" style={{ width: '30%' }}>
                  <button
                    type="button"
                    className="plain"
                    aria-pressed={shown?.picture.key === picture.key}
                    onClick={() => setChosen(picture.key)}
                  >
                    {picture.label}
                  </button>
                </th>
                <td>{look.faults.map((fault) => fault.sentence).join(' ') || 'everything is owned'}</td>
              </tr>
            ))}
          </tbody>
        </table>
        {shown?.look.owned && (
          <div className="lookgrid">
            <section aria-label="Who owns what">
              <h3>Who owns what on {shown.picture.label}</h3>
              <OwnedTable owned={shown.look.owned} />
            </section>
            <section aria-label="Jobs by scheme">
              <h3>Who has what against</h3>
              <p className="small quiet">common practice; the staff’s rules go before it</p>
              <SchemesTable owned={shown.look.owned} />
            </section>
          </div>
        )}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Close</Button>
        {onUse && (
          <Button
            variant="contained"
            onClick={() => {
              onUse(formatDefinition({ kind: 'pressure', pressure }));
              onClose();
            }}
          >
            Take it as the meaning
          </Button>
        )}
      </DialogActions>
    </Dialog>
  );
}

function SideChoice({
  label,
  value,
  none,
  onChange,
}: {
  readonly label: string;
  readonly value: RushSide | null;
  /** Words for no side of its own; without them a side is chosen. */
  readonly none?: string;
  readonly onChange: (side: RushSide | null) => void;
}) {
  const id = useId();
  return (
    <span className="choice" style={{ minWidth: 150 }}>
      <label htmlFor={id}>{label}</label>
      <select
        id={id}
        value={value ?? ''}
        autoComplete="off"
        onChange={(e) => onChange((e.target.value || null) as RushSide | null)}
      >
        {none !== undefined && <option value="">{none}</option>}
        {RUSH_SIDE_WORDS.map(([mode, sides]) => (
          <optgroup key={mode} label={mode}>
            {sides.map(([side, words]) => (
              <option key={side} value={side}>
                {words}
              </option>
            ))}
          </optgroup>
        ))}
      </select>
    </span>
  );
}
