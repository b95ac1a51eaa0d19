'use client';
/** A row a structure: every snap a mark by the family played, a flag above it where five or more came; bars where they are too many. */
import { plural } from '@/core/rules/plural';
import { useId, useMemo } from 'react';
import { drawSnap, type Book } from '@/core/book';
import type { LevelProfile } from '@/core/field/profile';
import {
  barScale,
  FAMILY_WORDS,
  familyCounts,
  looksOf,
  SITUATION_CLASSES,
  structureWords,
  type Columns,
  type DefenseBoard as Board,
  type DefenseMark,
  type Family,
  type StructureRow,
} from '@/core/read';
import { RateBar } from '../charts/RateBar';
import { useStaffRules } from '../StaffRules';

const A_LINE = 6;
const MARK = 8.5;
const STEP = 10.2;
const ROW_TALL = 16;
/** Of a bar, and from one to the next. */
const BAR = 7;
const BAR_STEP = 14;
const LONGEST = 44;

interface DefenseBoardProps {
  readonly board: Board;
  readonly columns: Columns;
  readonly book: Book;
  readonly profile: LevelProfile;
  readonly at: string | null;
  readonly onAt: (at: string | null) => void;
  readonly onReel: (reel: string) => void;
}

export function DefenseBoard({ board, columns, book, profile, at, onAt, onReel }: DefenseBoardProps) {
  const most = useMemo(() => barScale(board), [board]);
  return (
    <section className="card" aria-label="What they play against each structure">
      <header>
        <h2>What they play against each structure</h2>
        <span className="small" aria-hidden="true">
          solid closed zone · hatched open zone · open man ·{' '}
          {most === null ? '▲ five or more came' : 'line above: five or more came'}
        </span>
      </header>
      <table className="rows board">
        <colgroup>
          <col style={{ width: 136 }} />
        </colgroup>
        <thead>
          <tr>
            <th>structure at the snap</th>
            {SITUATION_CLASSES.map((c) => (
              <th key={c.key}>{c.label}</th>
            ))}
            <th>played most</th>
          </tr>
        </thead>
        <tbody>
          {board.structures.map((row) => (
            <tr key={row.key}>
              <td>
                <button
                  type="button"
                  className="plain"
                  aria-pressed={at === row.key}
                  onClick={() => onAt(at === row.key ? null : row.key)}
                >
                  {structureWords(row)}
                </button>
                <Sketch row={row} columns={columns} book={book} profile={profile} />
                {row.unmarked.length > 0 && (
                  <button
                    type="button"
                    className="plain small quiet"
                    onClick={() => onReel(`d/s/${row.key}/unmarked`)}
                  >
                    {row.unmarked.length} without coverage or down
                  </button>
                )}
              </td>
              {SITUATION_CLASSES.map(({ key, label }) => (
                <td key={key}>
                  <Cell
                    marks={row.cells[key]}
                    most={most}
                    label={`${structureWords(row)}, ${label}`}
                    chosen={at === `${row.key}.${key}`}
                    onChoose={() => onAt(at === `${row.key}.${key}` ? null : `${row.key}.${key}`)}
                  />
                </td>
              ))}
              <td>
                {row.leading === null ? (
                  <span className="quiet small">not tagged</span>
                ) : (
                  <RateBar
                    rate={row.leading.rate}
                    label={FAMILY_WORDS[row.leading.family]}
                    onOpen={() => onReel(`d/s/${row.key}/all/${row.leading!.family}`)}
                  />
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {board.unplaced.length > 0 && (
        <p className="small quiet">
          <button type="button" className="plain" onClick={() => onReel('d/unplaced')}>
            {plural(board.unplaced.length, 'snap')}
          </button>{' '}
          without a structure: the formation is not tagged, or its motion not drawn in the book.
        </p>
      )}
    </section>
  );
}

/** The formation seen most, as men on a line. */
function Sketch({
  row,
  columns,
  book,
  profile,
}: Pick<DefenseBoardProps, 'columns' | 'book' | 'profile'> & { readonly row: StructureRow }) {
  const settings = useStaffRules().look;
  const men = useMemo(() => {
    const seen = looksOf(columns, row.rows)[0];
    if (!seen) return null;
    const fields = { formation: seen.formation, formationSide: seen.side, backfield: seen.backfield };
    return drawSnap(book, fields, null, profile, { settings, defense: false }).look?.offense.men ?? null;
  }, [book, columns, profile, row, settings]);
  if (!men) return null;
  return (
    <svg className="sketch" viewBox="-26 -1.4 52 9.4" width="128" height="23" aria-hidden="true">
      <line x1="-26" x2="26" y1="-0.7" y2="-0.7" stroke="var(--rule)" strokeWidth="0.4" />
      {men.map((m) => (
        <circle
          key={m.letter}
          cx={m.x}
          cy={m.depth}
          r="0.8"
          fill={m.role === 'line' ? 'var(--ink2)' : 'var(--card)'}
          stroke="var(--ink)"
          strokeWidth="0.35"
        />
      ))}
    </svg>
  );
}

interface CellProps {
  readonly marks: readonly DefenseMark[];
  /** The longest bar's count; null: a mark a snap. */
  readonly most: number | null;
  readonly label: string;
  readonly chosen: boolean;
  readonly onChoose: () => void;
}

function Cell({ marks, most, label, chosen, onChoose }: CellProps) {
  const id = useId().replace(/[^a-zA-Z0-9]/g, '');
  if (marks.length === 0) return null;
  const counts = familyCounts(marks);
  const five = counts.reduce((sum, f) => sum + f.five, 0);
  const paint = (family: Family) => ({
    fill: family === 'closed' ? 'var(--ink)' : family === 'open' ? `url(#${id})` : 'var(--card)',
    stroke: 'var(--ink)',
    strokeWidth: family === 'man' ? 1.6 : 0.8,
  });
  const [width, height] =
    most === null
      ? [Math.min(A_LINE, marks.length) * STEP + 2, Math.ceil(marks.length / A_LINE) * ROW_TALL]
      : [LONGEST + 28, counts.length * BAR_STEP];
  return (
    <button
      type="button"
      className="plain markcell"
      aria-pressed={chosen}
      aria-label={`${label}: ${counts.map((f) => `${f.n} ${FAMILY_WORDS[f.family]}`).join(', ')}, ${five} with five or more`}
      onClick={onChoose}
    >
      <svg width={width} height={height} viewBox={`0 0 ${width} ${height}`} aria-hidden="true">
        <defs>
          <pattern id={id} width="4" height="4" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
            <rect width="4" height="4" fill="var(--card)" />
            <rect width="1.4" height="4" fill="var(--ink)" />
          </pattern>
        </defs>
        {most === null
          ? marks.map(({ row, family, five: came }, i) => {
              const x = (i % A_LINE) * STEP + 1;
              const y = height - (Math.floor(i / A_LINE) + 1) * ROW_TALL + 5;
              return (
                <g key={row}>
                  <rect x={x} y={y} width={MARK} height={MARK} {...paint(family)} />
                  {came && <path d={`M${x + 0.7} ${y - 1.2}h7l-3.5 -4z`} fill="var(--finding)" />}
                </g>
              );
            })
          : counts.map(({ family, n, five: came }, i) => {
              const y = i * BAR_STEP + 5;
              const long = (LONGEST * n) / most;
              return (
                <g key={family}>
                  {n > 0 && <rect x="1" y={y} width={long} height={BAR} {...paint(family)} />}
                  {came > 0 && (
                    <path
                      d={`M1 ${y - 2.6}h${(LONGEST * came) / most}`}
                      stroke="var(--finding)"
                      strokeWidth="2"
                    />
                  )}
                  <text x={long + 5} y={y + BAR} fontSize="11" fill="var(--ink)">
                    {n}
                  </text>
                </g>
              );
            })}
      </svg>
    </button>
  );
}
