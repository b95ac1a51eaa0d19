/** What was called from a formation, fine enough to be drawn: runs by gap and side, throws by third and depth. */
import { GAPS, type DrawnUse, type Gap } from '../look';
import { THIRDS, type Third } from '../snap/snap';
import { CALL_KINDS, callsWords, type CallKind, type Calls } from './calls';
import { wordAt, type Columns } from './columns';
import { DEPTH_BANDS } from './derived';
import { rateAmong } from './outcomes';
import { countText, intervalText, type Rate } from './rates';

/** One arrow or ring of a drawing. The uses of a formation are all its called snaps, each once. */
export interface Use {
  /** As in the address: kind, side or third, gap or depth. */
  readonly key: string;
  readonly kind: CallKind;
  readonly side: 'L' | 'R' | null;
  readonly gap: Gap | null;
  readonly place: { readonly third: Third; readonly depth: (typeof DEPTH_BANDS)[number] } | null;
  readonly rows: Uint32Array;
  readonly success: Rate;
}

/** Most used first within runs, options and throws. Linear. */
export function usesOf(columns: Columns, calls: Calls): Use[] {
  columns.prepare(['gap', 'direction', 'targetThird', 'depthBand']);
  const { gap, targetThird, depthBand } = columns.text;
  const found = new Map<string, Omit<Use, 'rows' | 'success'> & { readonly rows: number[] }>();
  for (const { kind, side, rows } of calls.bySide)
    for (const row of rows) {
      const through =
        kind === 'run' && side !== null ? (GAPS.find((g) => g === wordAt(gap, row)) ?? null) : null;
      const third = THIRDS.find((t) => t === wordAt(targetThird, row));
      const depth = DEPTH_BANDS.find((d) => d === wordAt(depthBand, row));
      const place = kind === 'pass' && third && depth ? { third, depth } : null;
      const key = place
        ? `pass-${third}-${DEPTH_BANDS.indexOf(place.depth)}`
        : [kind, side ?? '', through ?? ''].filter((part) => part !== '').join('-');
      const one = found.get(key);
      if (one) one.rows.push(row);
      else found.set(key, { key, kind, side: place ? null : side, gap: through, place, rows: [row] });
    }
  const rank = (use: { readonly kind: CallKind }): number => CALL_KINDS.indexOf(use.kind);
  return [...found.values()]
    .sort((a, b) => rank(a) - rank(b) || b.rows.length - a.rows.length || (a.key < b.key ? -1 : 1))
    .map((use): Use => {
      const rows = Uint32Array.from(use.rows).sort();
      return { ...use, rows, success: rateAmong(columns, rows, 'success').rate };
    });
}

/** "B gap left", "10 to 19, middle", "run, no side". */
export const usedWords = ({ kind, side, gap, place }: Use): string =>
  place
    ? `${place.depth}, ${place.third}`
    : gap
      ? `${gap} gap ${side === 'L' ? 'left' : 'right'}`
      : callsWords({ kind, side });

/** "success 3 of 5 (23–88 %)"; what is not known is left out of both. */
export const usedSuccess = ({ success }: Use): string =>
  success.n === 0 ? 'success not known' : `success ${countText(success)} (${intervalText(success)})`;

/** As a drawing has it. */
export const drawnUse = ({ kind, side, gap, place, rows, success }: Use): DrawnUse => ({
  kind,
  side,
  gap,
  place: place && {
    third: (THIRDS.indexOf(place.third) - 1) as -1 | 0 | 1,
    depth: DEPTH_BANDS.indexOf(place.depth) as 0 | 1 | 2 | 3,
  },
  n: rows.length,
  succeeded: success.share,
});
