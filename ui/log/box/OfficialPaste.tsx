'use client';
/** Official figures pasted as a table; what was understood stands below before it is saved. */
import Button from '@mui/material/Button';
import { useMemo, useState } from 'react';
import { readDelimited } from '@/core/foreign/sheet';
import { STAT_LABEL, type OfficialFigure } from '@/core/stats';
import { readOfficial } from '@/core/stats/official';

interface OfficialPasteProps {
  /** Key and names of the away and of the home team. */
  readonly teams: readonly (readonly [string, ...string[]])[];
  readonly save: (figures: readonly OfficialFigure[]) => Promise<boolean>;
}

export default function OfficialPaste({ teams, save }: OfficialPasteProps) {
  const [text, setText] = useState('');
  const { figures, unread } = useMemo(
    () =>
      text.trim() === ''
        ? { figures: [], unread: [] }
        : readOfficial(readDelimited('pasted', text).cells, teams),
    [text, teams],
  );
  return (
    <section className="card" aria-label="Official figures">
      <h2>Official figures</h2>
      <p className="small quiet">
        Paste the scorer’s table: a row a figure, a column a team ({teams.map(([key]) => key).join(', then ')}{' '}
        without a heading). <span className="mono">Rushes-Yards 31-142</span> counts as two.
      </p>
      <textarea
        aria-label="Official figures to take"
        rows={4}
        value={text}
        maxLength={20_000}
        spellCheck={false}
        onChange={(e) => setText(e.target.value)}
      />
      {(figures.length > 0 || unread.length > 0) && (
        <div className="small" role="status">
          <p>
            <strong>
              {figures.length} {figures.length === 1 ? 'figure' : 'figures'} understood
            </strong>
            {figures.length > 0 &&
              `: ${figures
                .slice(0, 4)
                .map((f) => `${f.team} ${STAT_LABEL[f.stat]} ${f.figure}`)
                .join(', ')}`}
            {figures.length > 4 ? ' …' : ''}
          </p>
          <ul className="plainlist">
            {unread.map((u) => (
              <li key={u.row} className="flagtext">
                row {u.row}, “{u.text.slice(0, 60)}”: {u.why}
              </li>
            ))}
          </ul>
          <Button
            disabled={figures.length === 0}
            onClick={() => void save(figures).then((ok) => ok && setText(''))}
          >
            Save them
          </Button>
        </div>
      )}
    </section>
  );
}
