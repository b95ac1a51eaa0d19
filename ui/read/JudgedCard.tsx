'use client';
/** A judgment as a table: each figure with its n, its interval and the way to its snaps. */
import { countText, figureN, figureText, intervalText, type BesideCell, type JudgedTable } from '@/core/read';

/** Heights that are kept for a card until it is seen, a little more than it has: title and note; a row. Pixels. */
const BESIDE_ROWS = 110;
const ROW = 30;

interface JudgedCardProps {
  readonly table: JudgedTable;
  /** "<table>/<row>/<column>". */
  readonly onOpen: (place: string) => void;
}

export function JudgedCard({ table, onOpen }: JudgedCardProps) {
  const { id, title, note, columns, rows, behind } = table;
  return (
    <section
      className="card judged"
      aria-label={title}
      style={{ containIntrinsicBlockSize: `auto ${rows.length * ROW + BESIDE_ROWS}px` }}
    >
      <header>
        <h2>{title}</h2>
      </header>
      <table className="rows tight judged">
        <thead>
          <tr>
            {columns.map(({ key, label, kind }) => (
              <th key={key} scope="col" className={kind === 'word' ? undefined : 'n'}>
                {label}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((row, r) => (
            <tr key={r}>
              {row.map((cell, c) => (
                <td key={columns[c]!.key} className={columns[c]!.kind === 'word' ? undefined : 'n'}>
                  {c === 0 && rows[r - 1]?.[0] === cell ? (
                    <span className="hide">{cell as string}</span>
                  ) : (
                    <Figure
                      cell={cell}
                      label={`${row[0] as string}, ${columns[c]!.label}`}
                      onOpen={(behind[r]![c]?.length ?? 0) > 0 ? () => onOpen(`${id}/${r}/${c}`) : null}
                    />
                  )}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      <p className="small quiet">{note.charAt(0).toUpperCase() + note.slice(1)}.</p>
    </section>
  );
}

const wordsOf = (cell: Exclude<BesideCell, null>): readonly [string, string] =>
  typeof cell !== 'object'
    ? [String(cell), '']
    : 'share' in cell
      ? cell.n === 0
        ? ['–', '']
        : [countText(cell), intervalText(cell)]
      : [figureText(cell), figureN(cell)];

interface FigureProps {
  readonly cell: BesideCell;
  readonly label: string;
  readonly onOpen: (() => void) | null;
}

function Figure({ cell, label, onOpen }: FigureProps) {
  if (cell === null) return '–';
  const [words, doubt] = wordsOf(cell);
  return (
    <>
      {onOpen && words !== '–' ? (
        <button
          type="button"
          className="plain num"
          aria-label={`${label}: ${words}, open the reel`}
          onClick={onOpen}
        >
          {words}
        </button>
      ) : (
        words
      )}
      {doubt && (
        <>
          {' '}
          <span className="small quiet">{doubt}</span>
        </>
      )}
    </>
  );
}
