'use client';
/** Beside the table: their words and ours, rows that cannot be taken, and whether the arithmetic holds. */
import { useState } from 'react';
import Papa from 'papaparse';
import { findingWords } from '@/core/rules';
import type { Book, TermKind } from '@/core/book';
import { refusedRows, type Target } from '@/core/foreign';
import { FieldStrip } from '../FieldStrip';
import type { Foreign } from './useForeign';

const NEW_TERM = '\u0000new';
const MOST_WORDS = 60;
const MOST_REFUSED = 40;
const MOST_FINDINGS = 8;
const NONE: ReadonlySet<string> = new Set();

/** The column a word of a kind came from. */
const TARGET_OF: Readonly<Partial<Record<string, Target>>> = { run: 'concept', pass: 'concept' };
const KINDS_OF: Readonly<Record<string, readonly TermKind[]>> = {
  run: ['run', 'pass'],
  pass: ['run', 'pass'],
};

export function WordsCard({ foreign, book }: { readonly foreign: Foreign; readonly book: Book }) {
  const { understood, value } = foreign;
  const terms = understood.unknownTerms;
  const of = (kind: string): readonly string[] =>
    book.terms.filter((t) => (KINDS_OF[kind] ?? [kind]).includes(t.kind)).map((t) => t.word);
  // The cells as they were written, by the word that nobody knows.
  const written = (kind: string, term: string): string[] => {
    const target = TARGET_OF[kind] ?? (kind as Target);
    return understood.values
      .filter((v) => v.field === target && v.to.toLowerCase().includes(term))
      .map((v) => v.from);
  };
  return (
    <section className="card" aria-label="Their words, your terms">
      <header>
        <h2>Their words, your terms</h2>
        <span className="small">{terms.length === 0 ? 'all known' : `${terms.length} nobody knows`}</span>
      </header>
      {terms.length > 0 && (
        <table className="rows">
          <tbody>
            {terms.slice(0, MOST_WORDS).map(({ kind, term, rows, nearest }) => (
              <tr key={`${kind} ${term}`}>
                <td>{term}</td>
                <td className="n quiet">
                  {rows} {rows === 1 ? 'row' : 'rows'}
                </td>
                <td>
                  <select
                    aria-label={`${term} is`}
                    value={foreign.fresh.has(`${kind}|${term}`) ? NEW_TERM : ''}
                    onChange={(e) => {
                      foreign.setNew(kind, term, e.target.value === NEW_TERM);
                      if (e.target.value === NEW_TERM || e.target.value === '') return;
                      for (const from of written(kind, term))
                        value(
                          TARGET_OF[kind] ?? (kind as Target),
                          from,
                          replaced(from, term, e.target.value),
                        );
                    }}
                  >
                    <option value="">kept as it is ({kind})</option>
                    <option value={NEW_TERM}>a new word of the book</option>
                    {nearest.length > 0 && (
                      <optgroup label="nearest">
                        {nearest.map((word) => (
                          <option key={word}>{word}</option>
                        ))}
                      </optgroup>
                    )}
                    <optgroup label="all">
                      {of(kind).map((word) => (
                        <option key={word}>{word}</option>
                      ))}
                    </optgroup>
                  </select>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <p className="small quiet">
        A word settled here is remembered for files with these columns. One that is kept is counted; a new
        word stands in the book after the import, and is drawn once you say there what it means.
      </p>
    </section>
  );
}

/** The term in place of the word, with what stood beside it: the side stays. */
function replaced(from: string, term: string, word: string): string {
  const sides = from.split(/\s+/).filter((part) => !term.split(' ').includes(part.toLowerCase()));
  return [word, ...sides].join(' ');
}

export function RefusedCard({ foreign, file }: { readonly foreign: Foreign; readonly file: string }) {
  const { understood, sheet, mend } = foreign;
  const { refused, skipped, rows, total } = understood;
  const download = (): void => {
    const text = Papa.unparse(refusedRows(sheet, understood));
    const link = document.createElement('a');
    link.href = URL.createObjectURL(new Blob([text], { type: 'text/csv' }));
    link.download = `${file.replace(/\.[^.]*$/, '')}-refused.csv`;
    link.click();
    URL.revokeObjectURL(link.href);
  };
  return (
    <section className="card" aria-label="Rows it cannot take">
      <header>
        <h2>Rows it cannot take</h2>
        <span className="small">
          {refused.length} of {total}
          {refused.length > 0 && (
            <>
              {' · '}
              <button type="button" className="plain" onClick={download}>
                download
              </button>
            </>
          )}
        </span>
      </header>
      <ul className="todo">
        {refused.slice(0, MOST_REFUSED).map((r) => (
          <li key={r.row}>
            <strong>row {r.row}</strong> {r.column} “{r.value}” {r.reason}
            <Mend
              key={`${r.row} ${r.value}`}
              value={r.use ?? r.value}
              use={r.use ?? null}
              row={r.row}
              onMend={(text) => mend(r.row, r.column, text)}
            />
          </li>
        ))}
      </ul>
      <h3>Left out, with the reason</h3>
      <p className="small">
        {(['title', 'header', 'blank', 'total', 'duplicate'] as const)
          .map((reason) => {
            const which = skipped.filter((s) => s.reason === reason).map((s) => s.row);
            const few = which.length > 8 ? [...which.slice(0, 8), '…'] : which;
            return which.length === 0
              ? ''
              : `${reason}: ${which.length === 1 ? 'row' : 'rows'} ${few.join(', ')}`;
          })
          .filter(Boolean)
          .join(' · ') || 'nothing'}
      </p>
      <p className="small quiet">
        {total} rows = {rows.length} snaps + {skipped.length} left out + {refused.length} refused
      </p>
    </section>
  );
}

function Mend({
  value,
  use,
  row,
  onMend,
}: {
  readonly value: string;
  readonly use: string | null;
  readonly row: number;
  readonly onMend: (text: string) => void;
}) {
  const [text, setText] = useState(value);
  return (
    <span className="remedies">
      {use !== null && (
        <button type="button" className="button" onClick={() => onMend(use)}>
          Use {use}
        </button>
      )}
      <input
        aria-label={`the cell of row ${row} as it should be`}
        value={text}
        onChange={(e) => setText(e.target.value)}
        onKeyDown={(e) => e.key === 'Enter' && onMend(text)}
      />
      <button type="button" className="button" onClick={() => onMend(text)}>
        Read it so
      </button>
      <button type="button" className="button" onClick={() => onMend('')}>
        Leave the cell out
      </button>
    </span>
  );
}

export function ArithmeticCard({ foreign }: { readonly foreign: Foreign }) {
  const { walked, findings, out, understood } = foreign;
  return (
    <section className="card" aria-label="Does the arithmetic hold?">
      <header>
        <h2>Does the arithmetic hold?</h2>
        <span className="small">checked before anything is written</span>
      </header>
      {out.game === null || out.snaps.length === 0 ? (
        <p className="small quiet">
          {out.game === null ? 'Say whose game it is, above.' : 'No row can be read yet.'}
        </p>
      ) : (
        <>
          <FieldStrip
            rows={walked}
            rightward={out.game.home}
            leftward={out.game.away}
            selected={null}
            marked={NONE}
            onSelect={() => undefined}
          />
          <ul className="todo small">
            {findings.slice(0, MOST_FINDINGS).map((finding) => (
              <li key={`${finding.snapId} ${finding.code}`}>
                <strong>Row {out.snaps.find((s) => s.snapId === finding.snapId)?.order}.</strong>{' '}
                {findingWords(finding).sentence}
              </li>
            ))}
          </ul>
          <p className="small quiet">
            {findings.length === 0
              ? `All ${out.snaps.length} snaps add up.`
              : `${findings.length} ${findings.length === 1 ? 'finding' : 'findings'} in ${understood.rows.length} snaps; they can be imported as they are and fixed in Log.`}
          </p>
        </>
      )}
    </section>
  );
}
