'use client';
/** Any board as a table: the count first, its interval below, every number a door; copied as it stands into a spreadsheet. */
import { memo, useMemo, useState } from 'react';
import type { Zone } from '@/core/field/situation';
import {
  boardGrid,
  boardTable,
  boardsOf,
  contrastWords,
  countText,
  meanText,
  tenths,
  contrastsOf,
  perGameText,
  FEW,
  intervalText,
  sideField,
  type BoardCell,
  type BoardSide,
  type BoardTableRow,
  type Columns,
  type Contrast,
} from '@/core/read';
import { Choice } from '../shared/Choice';
import type { SetAddress } from './ReadFilters';
import { part } from '../shared/part';

const BoardPicture = part(() => import('./BoardPicture'));
const CompareTable = part(() => import('./CompareTable'));

interface BoardsCardProps {
  readonly columns: Columns;
  readonly rows: Uint32Array;
  /** What the rows are. */
  readonly title: string;
  readonly side: BoardSide;
  /** The chosen board's id; null: the first. */
  readonly board: string | null;
  /** Drawn as well as written. */
  readonly picture: boolean;
  readonly against: Contrast | null;
  /** The program's team. */
  readonly own: string;
  readonly zones: readonly Zone[];
  readonly setUrl: SetAddress;
}

export default memo(function BoardsCard(props: BoardsCardProps) {
  const { columns, rows, title, side, board, picture, against, own, zones, setUrl } = props;
  const specs = boardsOf(side);
  const spec =
    specs.find((b) => b.id === board) ?? specs.find((b) => b.by.includes('personnel')) ?? specs[0]!;
  const table = useMemo(() => boardTable(columns, rows, spec, zones), [columns, rows, spec, zones]);
  const contrasts = useMemo(
    () => contrastsOf(columns, rows, sideField(spec.side), against),
    [columns, rows, spec.side, against],
  );
  const [copied, setCopied] = useState<string | null>(null);
  const copy = async (): Promise<void> => {
    const text = boardGrid(table)
      .map((line) => line.map((cell) => String(cell ?? '')).join('\t'))
      .join('\n');
    setCopied(
      await navigator.clipboard.writeText(text).then(
        () => 'copied',
        () => 'this browser does not let it be copied',
      ),
    );
  };
  const open = (row: BoardTableRow, column: string): void =>
    setUrl({ reel: `b/${spec.id}/${row.key}/${column}` }, true);
  const untagged = table.all.rows.length - table.tagged;
  return (
    <section className="card boards" aria-label="Boards" id="boards">
      <header>
        <Choice
          label="board"
          value={spec.id}
          width={330}
          options={specs.map((b) => [b.id, b.title])}
          onChange={(to) => {
            setCopied(null);
            setUrl({ board: to, reel: null });
          }}
        />
        <Choice
          label="against"
          value={against ?? 'none'}
          width={230}
          options={[['none', 'nothing'], ...contrasts.map((c) => [c, contrastWords(c)] as const)]}
          onChange={(to) => setUrl({ against: to === 'none' ? null : to, reel: null })}
        />
        <span className="small quiet">
          {title}
          {table.all.rows.length > 0 && ` · tagged on ${table.tagged} of ${table.all.rows.length}`}
          {table.tagged > 0
            ? untagged > 0 && '; the rest stands in rows of its own'
            : untagged > 0 && ': type it on a snap’s line in Log'}
        </span>
        {against === null && table.all.rows.length > 0 && !spec.picture && (
          <button
            type="button"
            className="plain small"
            onClick={() => setUrl({ picture: picture ? null : '1' })}
          >
            {picture ? 'hide the picture' : 'draw it'}
          </button>
        )}
        {against === null && table.all.rows.length > 0 && (
          <button type="button" className="plain small" onClick={() => void copy()}>
            {copied ?? 'copy the table'}
          </button>
        )}
      </header>
      {table.all.rows.length === 0 ? (
        <p className="quiet">No snap here is one of these.</p>
      ) : against !== null ? (
        <CompareTable
          columns={columns}
          rows={rows}
          spec={spec}
          contrast={against}
          own={own}
          zones={zones}
          onReel={(reel) => setUrl({ reel }, true)}
        />
      ) : (
        <div className="scrollx" tabIndex={0} role="group" aria-label={table.title}>
          {(picture || spec.picture) && (
            <BoardPicture
              table={table}
              zones={zones}
              onOpen={(row) => setUrl({ reel: `b/${spec.id}/${row}/n` }, true)}
            />
          )}
          <table className="rows">
            <thead>
              <tr>
                {table.columns.map((c) => (
                  <th key={c.key} className={c.kind === 'word' ? undefined : 'n'} scope="col">
                    {c.label}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {[...table.rows, table.all].map((row) => (
                <tr key={row.key} className={row === table.all ? 'sum' : undefined}>
                  {row.words.map((word, i) =>
                    word === '' ? (
                      <td key={table.columns[i]!.key} />
                    ) : (
                      <th key={table.columns[i]!.key} scope="row" className="word">
                        {word}
                      </th>
                    ),
                  )}
                  <td className="n">
                    <button type="button" className="plain num" onClick={() => open(row, 'n')}>
                      {row.rows.length}
                    </button>
                    <span className="usebar" aria-hidden="true">
                      <i style={{ width: `${(100 * row.rows.length) / table.all.rows.length}%` }} />
                    </span>
                    <div className="small quiet">{perGameText(row.perGame)}</div>
                  </td>
                  {table.columns.slice(row.words.length + 1).map((column) => (
                    <td key={column.key} className="n">
                      <CellOf
                        cell={row.cells[column.key] ?? null}
                        label={`${row.words.filter(Boolean).join(', ')}, ${column.label}`}
                        onOpen={() => open(row, column.key)}
                      />
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
    </section>
  );
});

interface CellOfProps {
  readonly cell: BoardCell;
  readonly label: string;
  readonly onOpen: () => void;
}

function CellOf({ cell, label, onOpen }: CellOfProps) {
  if (cell === null) return <span className="quiet">–</span>;
  if ('low' in cell) {
    if (cell.n === 0) return <span className="quiet">–</span>;
    return (
      <>
        <button
          type="button"
          className="plain num"
          style={cell.worth < FEW ? { color: 'var(--ink2)' } : undefined}
          onClick={onOpen}
          aria-label={`${label} ${countText(cell)}, open the reel`}
        >
          {countText(cell)}
        </button>
        <div className="small quiet">{intervalText(cell)}</div>
      </>
    );
  }
  if ('word' in cell)
    return (
      <button
        type="button"
        className="plain"
        onClick={onOpen}
        aria-label={`${label} ${cell.word}, open the reel`}
      >
        {cell.word} · <span className="num">{cell.k}</span>
      </button>
    );
  return cell.mean === null ? (
    <span className="quiet">–</span>
  ) : (
    <>
      <span className="num">{tenths(cell.mean)}</span>
      <div className="small quiet">{meanText(cell)}</div>
    </>
  );
}
