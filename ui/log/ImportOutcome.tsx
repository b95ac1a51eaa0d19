'use client';
/** What an import would do or found wrong: the book that differs, and each fault with its place and remedy. */
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import type { BookChoice, BookReplacePreview, ImportOutcome } from '@/core/exchange/types';

const some = (words: readonly string[]): string =>
  `${words.slice(0, 12).join(', ')}${words.length > 12 ? ` and ${words.length - 12} more` : ''}`;

/** The file's book differs from the staff's: what replacing would do, before anything is done. */
export function BookQuestion({
  preview,
  counts,
  mayReplace,
  onChoose,
  onLeave,
}: {
  preview: BookReplacePreview;
  counts: Readonly<Record<string, number>>;
  mayReplace: boolean;
  onChoose: (c: BookChoice) => void;
  onLeave: () => void;
}) {
  const rest = Object.keys(counts).length > 0;
  return (
    <section className="card flag" aria-label="The book differs">
      <h2>The file brings another book</h2>
      <p>
        Replacing yours would add {preview.added.length}, change {preview.changed.length} and drop{' '}
        {preview.dropped.length} words. Nothing is imported yet. It can be undone in the Book.
      </p>
      {preview.added.length > 0 && (
        <p className="small">
          <strong>Added:</strong> {some(preview.added)}
        </p>
      )}
      {preview.changed.length > 0 && (
        <p className="small">
          <strong>Changed:</strong> {some(preview.changed)}
        </p>
      )}
      {preview.dropped.length > 0 && (
        <p className="small">
          <strong>Dropped:</strong> {some(preview.dropped)}
          {preview.snaps > 0 ? `; they stand ${preview.snaps} times in logged snaps` : ''}
        </p>
      )}
      <span className="remedies">
        {mayReplace && (
          <Button variant="outlined" onClick={() => onChoose('replace')}>
            {rest ? 'Replace the book and import the rest' : 'Replace the book'}
          </Button>
        )}
        {rest && (
          <Button variant="contained" onClick={() => onChoose('leave')}>
            Import the rest, leave the book
          </Button>
        )}
        <Button onClick={onLeave}>Import nothing</Button>
      </span>
    </section>
  );
}

export function Faults({ details }: Pick<ImportOutcome, 'details'>) {
  return (
    <section aria-label="Faults">
      <Alert severity="error" variant="outlined">
        {details.length} {details.length === 1 ? 'fault' : 'faults'}; nothing was imported. Mend the file and
        bring it again.
      </Alert>
      <table className="rows">
        <thead>
          <tr>
            <th>File</th>
            <th className="n">Row</th>
            <th>Column</th>
            <th>What stands there</th>
            <th>What to do</th>
          </tr>
        </thead>
        <tbody>
          {details.map((fault, i) => (
            <tr key={i}>
              <td>{fault.file}</td>
              <td className="n">{fault.row ?? ''}</td>
              <td>{fault.column ?? ''}</td>
              <td className="mono">{fault.value}</td>
              <td>{fault.remedy}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
