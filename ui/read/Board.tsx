/**
 * The situation board: a row a bucket, a mark a snap where it was played; bars only when there are too many to see.
 * Drawn by the server at the first visit, with links for doors, and by the page from then on.
 */
import { plural } from '@/core/rules/plural';
import { memo, useId, useMemo } from 'react';
import type { Zone } from '@/core/field/situation';
import { CALL_KINDS, MARK_YARDS, type BoardRow, type CallKind, type Cell } from '@/core/read';
import { RateBar } from '../charts/RateBar';

const WIDTH = 620;
const MARK = 10;
const MARK_TALL = 6.4;
/** Stacks taller than this become bars. */
const MOST_MARKS = 9;
const BAR_TALL = 58;
const x = (column: number): number => (column * MARK_YARDS * WIDTH) / 100;

export interface BoardProps {
  readonly board: readonly BoardRow[];
  readonly cell: Cell | null;
  readonly zones: readonly Zone[];
  readonly doors: BoardDoors;
}
export type BoardDoors =
  | { readonly onCell: (cell: Cell) => void; readonly onReel: (reel: string) => void }
  | {
      /** Where the view with these changes stands. */
      readonly hrefOf: (changes: Readonly<Record<string, string>>) => string;
    };

/** A zone of the field on the board's width. */
interface Span extends Zone {
  readonly a: number;
  readonly b: number;
}

/** What lies under the marks of a situation, as tall as they: the zones, each a door to its part. The same at every choice of a filter. */
const Zones = memo(function Zones({
  bucket,
  label,
  chosen,
  zones,
  height,
  onCell,
}: {
  readonly bucket: string;
  readonly label: string;
  /** The chosen zone of this situation, if one is. */
  readonly chosen: string | null;
  readonly zones: readonly Span[];
  readonly height: number;
  readonly onCell: ((cell: Cell) => void) | undefined;
}) {
  return (
    <>
      {/* Without a script a zone leads nowhere: only the chosen one is drawn. */}
      {(onCell ? zones : zones.filter((zone) => zone.key === chosen)).map((zone) => (
        <rect
          key={zone.key}
          x={zone.a}
          width={zone.b - zone.a}
          y="0"
          height="100%"
          fill={chosen === zone.key ? 'var(--high)' : 'transparent'}
          className="zone"
          onClick={onCell && (() => onCell({ bucket, zone: zone.key }))}
        >
          <title>{`${label}, ${zone.label}`}</title>
        </rect>
      ))}
      <path
        d={zones
          .slice(1)
          .map((zone) => `M${zone.a} 0V${height}`)
          .join('')}
        stroke="var(--faint)"
      />
    </>
  );
});

const GOALS = [
  ['goal', 0, 'start'],
  ['own 25', 25, 'middle'],
  ['50', 50, 'middle'],
  ['their 25', 75, 'middle'],
  ['goal', 100, 'end'],
] as const;

/** Where on the field; and the hatching that all rows share. */
const Head = memo(function Head({ pattern }: { readonly pattern: string }) {
  return (
    <thead>
      <tr>
        <th>situation</th>
        <th>
          <span className="hide">where on the field, own goal line at the left</span>
          <svg viewBox={`0 0 ${WIDTH} 16`} width="100%" aria-hidden="true">
            <defs>
              <pattern
                id={pattern}
                width="4"
                height="4"
                patternUnits="userSpaceOnUse"
                patternTransform="rotate(45)"
              >
                <rect width="4" height="4" fill="var(--card)" />
                <rect width="2" height="4" fill="var(--pass)" />
              </pattern>
            </defs>
            {GOALS.map(([t, at, anchor]) => (
              <text
                key={`${t}${at}`}
                x={(at * WIDTH) / 100}
                y="13"
                fontSize="13.5"
                textAnchor={anchor}
                fill="var(--ink2)"
              >
                {t}
              </text>
            ))}
          </svg>
        </th>
        <th>called run</th>
      </tr>
    </thead>
  );
});

export const Board = memo(function Board({ board, cell, zones: set, doors }: BoardProps) {
  const id = useId().replace(/[^a-zA-Z0-9]/g, '');
  const zones = useMemo(
    () =>
      set.map((zone) => ({
        ...zone,
        a: ((100 - zone.to) * WIDTH) / 100 - (zone.to === 99 ? WIDTH / 100 : 0),
        b: ((101 - zone.from) * WIDTH) / 100,
      })),
    [set],
  );
  return (
    <table className="rows board situation">
      <colgroup>
        <col style={{ width: 112 }} />
        <col />
        <col style={{ width: 178 }} />
      </colgroup>
      <Head pattern={id} />
      <tbody>
        {board.map((boardRow) => {
          const { key, label, calls, unmarked } = boardRow;
          const bars = boardRow.tallest > MOST_MARKS;
          const height = bars ? BAR_TALL : Math.max(3.4, boardRow.tallest) * MARK_TALL + 4;
          const chosen = cell?.bucket === key;
          return (
            <tr key={key} style={chosen ? { outline: '1.5px solid var(--finding)' } : undefined}>
              <td>
                {'hrefOf' in doors ? (
                  <a className="plain" href={doors.hrefOf({ cell: key })}>
                    {label}
                  </a>
                ) : (
                  <button
                    type="button"
                    className="plain"
                    aria-pressed={chosen && cell.zone === null}
                    onClick={() => doors.onCell({ bucket: key, zone: null })}
                  >
                    {label}
                  </button>
                )}
                <div className="small quiet">{unmarked === 0 ? '' : `${unmarked} not tagged`}</div>
              </td>
              <td>
                <svg
                  viewBox={`0 0 ${WIDTH} ${height}`}
                  width="100%"
                  role="group"
                  aria-label={`${label}: ${plural(calls.byKind.run.length, 'run')}, ${plural(calls.byKind.pass.length, 'pass', 'passes')}, ${plural(calls.byKind.rpo.length, 'run-pass option')}`}
                >
                  <Zones
                    bucket={key}
                    label={label}
                    chosen={chosen ? cell.zone : null}
                    zones={zones}
                    height={height}
                    onCell={'onCell' in doors ? doors.onCell : undefined}
                  />
                  <g pointerEvents="none">{drawn(boxesOf(boardRow, height), id)}</g>
                </svg>
              </td>
              <td>
                <RateBar
                  rate={calls.run}
                  label="run"
                  {...('hrefOf' in doors
                    ? { href: doors.hrefOf({ reel: `row.${key}.runs` }) }
                    : { onOpen: () => doors.onReel(`row.${key}.runs`) })}
                />
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
});

interface Box {
  readonly kind: CallKind;
  readonly x: number;
  readonly y: number;
  readonly height: number;
}

/** A mark a snap; or, where they would be too many to see, a bar of each call in its place. */
function boxesOf({ marks, tallest }: BoardRow, height: number): Box[] {
  if (tallest <= MOST_MARKS)
    return marks.map(({ kind, column, level }) => ({
      kind,
      x: x(column) + 0.8,
      y: height - 2 - (level + 1) * MARK_TALL + 1,
      height: MARK_TALL - 1.4,
    }));
  const stacks = new Map<number, Record<CallKind, number>>();
  for (const { column, kind } of marks) {
    const split = stacks.get(column) ?? { run: 0, rpo: 0, pass: 0 };
    split[kind]++;
    stacks.set(column, split);
  }
  const unit = (BAR_TALL - 4) / tallest;
  return [...stacks].flatMap(([column, split]) => {
    let y = BAR_TALL - 1;
    return (['run', 'rpo', 'pass'] as const).flatMap((kind): Box[] => {
      const tall = split[kind] * unit;
      y -= tall;
      return tall === 0 ? [] : [{ kind, x: x(column) + 0.8, y, height: tall }];
    });
  });
}

/** All of a call in one path: a thousand elements more would be felt at every choice. */
function drawn(boxes: readonly Box[], pattern: string): React.ReactNode {
  const fill: Readonly<Record<CallKind, string>> = {
    run: 'var(--run)',
    pass: `url(#${pattern})`,
    rpo: 'var(--card)',
  };
  // Tenths at most: hundreds of figures are written and read at every choice.
  const at = (n: number): number => Math.round(n * 10) / 10;
  return CALL_KINDS.map((kind) => {
    const d = boxes
      .filter((box) => box.kind === kind)
      .map((box) => `M${at(box.x)} ${at(box.y)}h${MARK}v${at(box.height)}h${-MARK}z`)
      .join('');
    return d === '' ? null : (
      <path
        key={kind}
        d={d}
        fill={fill[kind]}
        stroke={kind === 'pass' ? 'var(--pass)' : 'var(--run)'}
        strokeWidth={kind === 'rpo' ? 1.4 : 0.7}
      />
    );
  });
}
