'use client';
/** A board of two parts of the film: each rate twice, the interval of the difference below, marked where it leaves zero out. */
import { plural } from '@/core/rules/plural';
import { useMemo } from 'react';
import type { Zone } from '@/core/field/situation';
import {
  compareBoard,
  countText,
  differenceText,
  presenceNote,
  nothingWords,
  numberOf,
  sideField,
  FEW,
  isApart,
  partsOf,
  tenths,
  type BoardSpec,
  type Columns,
  type Compared,
  type ComparedRow,
  type Contrast,
  type MeanCell,
} from '@/core/read';

interface CompareTableProps {
  readonly columns: Columns;
  readonly rows: Uint32Array;
  readonly spec: BoardSpec;
  readonly contrast: Contrast;
  /** The program's team. */
  readonly own: string;
  readonly zones: readonly Zone[];
  readonly onReel: (reel: string) => void;
}

export default function CompareTable(props: CompareTableProps) {
  const { columns, rows, spec, contrast, own, zones, onReel } = props;
  const side = sideField(spec.side);
  const parts = useMemo(
    () => partsOf(columns, rows, contrast, own, side),
    [columns, rows, contrast, own, side],
  );
  const made = useMemo(() => compareBoard(columns, parts, spec, zones), [columns, parts, spec, zones]);
  const [a, b] = parts.words;
  const number = numberOf(contrast);
  if (parts.a.length === 0 || parts.b.length === 0)
    return <p className="quiet">{nothingWords(parts, contrast, side)}</p>;
  const grouped = made.all.words.length;
  const open = (row: ComparedRow, column: string, part: 'a' | 'b'): void =>
    onReel(`c/${contrast}/${spec.id}/${row.key}/${column}/${part}`);
  return (
    <>
      <div className="scrollx" tabIndex={0} role="group" aria-label={`${made.table.title}, ${a} and ${b}`}>
        <table className="rows">
          <thead>
            <tr>
              {made.table.columns.slice(0, grouped).map((c) => (
                <th key={c.key} scope="col">
                  {c.label}
                </th>
              ))}
              <th className="n" scope="col">
                snaps {a}
              </th>
              <th className="n" scope="col">
                {b}
              </th>
              {made.measured.map((c) => (
                <th key={c.key} className="n" scope="col">
                  {c.label}: {a}, {b}
                </th>
              ))}
              {made.averaged.map((c) => (
                <th key={c.key} className="n" scope="col">
                  {c.label}: {a}, {b}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {[...made.rows, made.all].map((row) => (
              <tr key={row.key} className={row === made.all ? 'sum' : undefined}>
                {row.words.map((word, i) =>
                  word === '' ? (
                    <td key={made.table.columns[i]!.key} />
                  ) : (
                    <th key={made.table.columns[i]!.key} scope="row" className="word">
                      {word}
                    </th>
                  ),
                )}
                {(['a', 'b'] as const).map((part) => (
                  <td key={part} className="n">
                    <button
                      type="button"
                      className="plain num"
                      aria-label={`${row.words.filter(Boolean).join(', ')}, ${part === 'a' ? a : b}: ${plural(row[part].length, 'snap')}`}
                      onClick={() => open(row, 'n', part)}
                    >
                      {row[part].length}
                    </button>
                  </td>
                ))}
                {made.measured.map((c) => (
                  <td key={c.key} className="n">
                    <Pair
                      cell={row.cells[c.key]!}
                      label={`${row.words.filter(Boolean).join(', ')}, ${c.label}`}
                      words={parts.words}
                      onOpen={(part) => open(row, c.key, part)}
                    />
                  </td>
                ))}
                {made.averaged.map((c) => (
                  <td key={c.key} className="n" style={{ whiteSpace: 'nowrap' }}>
                    <Means pair={row.means[c.key]!} />
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <p className="small quiet">
        ▸ the 95 % interval of the difference (Newcombe 1998) leaves zero out: {made.apart} of {made.looked};
        without any difference about one in twenty does.
        {parts.neither > 0 &&
          ` ${plural(parts.neither, 'snap')} ${parts.neither === 1 ? 'is' : 'are'} neither and left out.`}
        {number !== null && ` ${presenceNote(side, number)}`}
      </p>
    </>
  );
}

function Means({ pair }: { readonly pair: readonly [MeanCell, MeanCell] }) {
  const [a, b] = pair;
  const one = ({ mean, n }: MeanCell) =>
    mean === null ? (
      <span className="quiet">–</span>
    ) : (
      <span className="num" style={n < FEW ? { color: 'var(--ink2)' } : undefined}>
        {tenths(mean)}
      </span>
    );
  return (
    <>
      {one(a)} <span className="quiet">·</span> {one(b)}
      <div className="small quiet">
        of {a.n} · of {b.n}
      </div>
    </>
  );
}

interface PairProps {
  readonly cell: Compared;
  readonly label: string;
  readonly words: readonly [string, string];
  readonly onOpen: (part: 'a' | 'b') => void;
}

function Pair({ cell, label, words, onOpen }: PairProps) {
  const one = (part: 'a' | 'b') =>
    cell[part].n === 0 ? (
      <span className="quiet">–</span>
    ) : (
      <button
        type="button"
        className="plain num"
        style={cell[part].worth < FEW ? { color: 'var(--ink2)' } : undefined}
        aria-label={`${label}, ${part === 'a' ? words[0] : words[1]} ${countText(cell[part])}, open the reel`}
        onClick={() => onOpen(part)}
      >
        {countText(cell[part])}
      </button>
    );
  const apart = isApart(cell);
  return (
    <>
      <span style={{ whiteSpace: 'nowrap' }}>
        {one('a')} <span className="quiet">·</span> {one('b')}
      </span>
      <div className="small" style={{ whiteSpace: 'nowrap', fontWeight: apart ? 700 : 400 }}>
        {apart ? '▸ ' : ''}
        {differenceText(cell)}
      </div>
    </>
  );
}
