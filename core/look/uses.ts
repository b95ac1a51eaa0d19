/**
 * What was called from a formation, as marks: a run as an arrow through its gap, a throw where it went. Each ends in a
 * ring with its snaps; the thick part of the ring is the share that succeeded. Throws stand in bands of depth, not in
 * yards, so that a card of a few inches holds them.
 */
import type { Side } from '../field/spot';
import { gapAt, isBack, receivers, type Gap, type Man } from './formation';
import { head } from './heads';
import type { DrawMark, Ink } from './marks';
import type { Point } from './motion';

/** Depth of a throw: behind the line, to nine yards, to nineteen, farther. */
export type DepthBand = 0 | 1 | 2 | 3;

export interface DrawnUse {
  readonly kind: 'run' | 'pass' | 'rpo';
  /** Null: no side is tagged, and nothing is drawn unless a place is. */
  readonly side: Side | null;
  readonly gap: Gap | null;
  /** Where a throw went: third of the field from the left, and depth. */
  readonly place: { readonly third: -1 | 0 | 1; readonly depth: DepthBand } | null;
  readonly n: number;
  /** Share that succeeded, 0 to 1; null: not known of any. */
  readonly succeeded: number | null;
}

export interface UseMarks {
  /** Below the men, and above them. */
  readonly under: readonly DrawMark[];
  readonly over: readonly DrawMark[];
  /** Yards of the drawing in front of the line and behind it that they need. */
  readonly ahead: number;
  readonly behind: number;
  /** Lateral yards of their ends. */
  readonly across: readonly number[];
  /** Lines between the bands of depth, yards of the drawing in front of the line. */
  readonly bands: readonly { readonly at: number; readonly label: string }[];
}

const R_LEAST = 1.05;
const R_MORE = 0.45;
const THIRD_AT = 13;
/** Middles of the bands, in yards of the drawing, and the lines that part them. */
const BAND_AT: readonly number[] = [-4, 6, 9.6, 13.2];
const BANDS = [
  { at: 7.8, label: '10 yards' },
  { at: 11.4, label: '20 yards' },
] as const;
/** Middles of the rings of runs, outward and forward; between B and C, farther on, where no gap is known. */
const RUN_AT: Readonly<Record<Gap, Point>> = { A: [1.7, 2.6], B: [4.7, 2.7], C: [7.7, 2.4], D: [10.7, 2] };
const NO_GAP: Point = [6.2, 5.6];
const OPTION_AT: Point = [13.7, 1.9];
const INK: Readonly<Record<DrawnUse['kind'], Ink>> = { run: 'run', rpo: 'run', pass: 'pass' };
const DASH: Readonly<Record<DrawnUse['kind'], readonly [number, number] | null>> = {
  run: null,
  rpo: [0.3, 0.4],
  pass: [0.8, 0.5],
};

const signOf = (side: Side): number => (side === 'L' ? -1 : 1);

/** Lateral yards of a gap against these men: D lies outside whoever ends the line. */
function gapOf(men: readonly Man[], gap: Gap, side: Side): number {
  if (gap !== 'D') return gapAt(gap);
  const sign = signOf(side);
  const end = Math.max(...men.filter((m) => m.depth <= 2 && Math.abs(m.x) < 7).map((m) => m.x * sign), 0);
  return Math.max(gapAt('D'), end + 1);
}

/** The way of a run, from its carrier, in the frame of the drawing's yards: lateral, forward. */
function runWay(men: readonly Man[], { kind, gap }: DrawnUse, side: Side): Point[] {
  const sign = signOf(side);
  const backs = men.filter(isBack).sort((a, b) => b.depth - a.depth);
  const carrier = kind === 'rpo' ? undefined : backs[0];
  const from = carrier ?? men.find((m) => m.role === 'quarterback');
  if (!from) return [];
  const to = kind === 'rpo' ? OPTION_AT : gap === null ? NO_GAP : RUN_AT[gap];
  const at = kind === 'rpo' ? 8.5 : gap === null ? 3.2 : gapOf(men, gap, side);
  return [
    [from.x, -from.depth],
    [sign * at, -1.4],
    [sign * to[0], to[1]],
  ];
}

const WIDE = 13;
/** The way of a throw that is known by its side alone: up from the widest man. */
function throwWay(men: readonly Man[], side: Side): Point[] {
  const { left, right } = receivers(men);
  const wide = (side === 'L' ? left : right)[0];
  return [
    wide ? [wide.x, 0.8 - wide.depth] : [0, -3],
    [signOf(side) * Math.max(WIDE, Math.abs(wide?.x ?? 0)), 4.2],
  ];
}

/** What a ring may not lie on. */
interface Taken {
  readonly x: number;
  readonly y: number;
  readonly r: number;
}
/** The nearest place beside, where a ring covers nobody and no other. */
function free(taken: readonly Taken[], [x, y]: Point, r: number): Point {
  for (let step = 0; step < 22; step++)
    for (const sign of [1, -1]) {
      const at = x + sign * step * 0.9;
      if (taken.every((t) => Math.hypot(t.x - at, t.y - y) > r + t.r + 0.2)) return [at, y];
    }
  return [x, y];
}

/** As wide as its use, to the edge of its ring. */
function arrow(way: readonly Point[], r: number, share: number, { kind }: DrawnUse): DrawMark[] {
  const points = way.map(([x, y]): Point => [x, -y]);
  const [before, to] = [points[points.length - 2]!, points[points.length - 1]!];
  const turn = Math.atan2(to[1] - before[1], to[0] - before[0]);
  const width = 0.16 + 0.36 * share;
  const size = 0.7 + width * 1.4;
  const back = (by: number): Point => [to[0] - Math.cos(turn) * by, to[1] - Math.sin(turn) * by];
  const dash = DASH[kind];
  return [
    {
      mark: 'path',
      d: [...points.slice(0, -1), back(r + size * 0.6)],
      ink: INK[kind],
      width,
      ...(dash ? { dash } : {}),
    },
    head(back(r + size * 0.5), turn, size, INK[kind]),
  ];
}

/** A ring with its snaps; its thick part, from the top clockwise, is the share that succeeded. */
function ring([x, y]: Point, r: number, { kind, n, succeeded }: DrawnUse): DrawMark[] {
  const ink = INK[kind];
  const dash = DASH[kind];
  const round = (share: number): Point[] => {
    const steps = Math.max(2, Math.round(share * 40));
    return Array.from({ length: steps + 1 }, (_, i): Point => {
      const turn = (i / steps) * share * 2 * Math.PI;
      return [x + r * Math.sin(turn), -y - r * Math.cos(turn)];
    });
  };
  const out: DrawMark[] = [
    { mark: 'circle', x, y: -y, r, fill: 'card', ink: 'card', width: 0.1 },
    { mark: 'path', d: round(1), ink, width: 0.14, ...(dash ? { dash: [0.35, 0.3] } : {}) },
  ];
  if (succeeded) out.push({ mark: 'path', d: round(succeeded), ink, width: 0.5 });
  out.push({
    mark: 'text',
    x,
    y: -y + 0.52,
    size: 1.5,
    text: String(n),
    ink,
    bold: true,
    anchor: 'middle',
  });
  return out;
}

/** Runs first: a throw gives way to them. */
const LATER: Readonly<Record<DrawnUse['kind'], number>> = { run: 0, rpo: 1, pass: 2 };

/** Marks of what was called; those without a side or a place have none. */
export function markUses(men: readonly Man[], uses: readonly DrawnUse[]): UseMarks {
  const under: DrawMark[] = [];
  const over: DrawMark[] = [];
  const taken: Taken[] = men.map((m) => ({ x: m.x, y: -m.depth - 0.35, r: 0.9 }));
  const most = Math.max(1, ...uses.map((u) => u.n));
  let deepest = -1;
  const order = (use: DrawnUse): number => 2 * LATER[use.kind] + (use.place ? 0 : 1);
  for (const use of [...uses].sort((a, b) => order(a) - order(b))) {
    const { kind, side, place, n } = use;
    const share = n / most;
    const r = R_LEAST + R_MORE * Math.sqrt(share);
    const way = place || !side ? [] : kind === 'pass' ? throwWay(men, side) : runWay(men, use, side);
    if (place) deepest = Math.max(deepest, place.depth);
    else if (way.length < 2) continue;
    const wanted: Point = place ? [place.third * THIRD_AT, BAND_AT[place.depth]!] : way[way.length - 1]!;
    const at = kind === 'pass' ? free(taken, wanted, r) : wanted;
    if (way.length > 0) under.push(...arrow([...way.slice(0, -1), at], r, share, use));
    taken.push({ x: at[0], y: at[1], r });
    over.push(...ring(at, r, use));
  }
  const rings = taken.slice(men.length);
  const ahead = Math.max(0, ...rings.map((t) => t.y + t.r + 0.4));
  return {
    under,
    over,
    ahead,
    behind: Math.max(0, ...rings.map((t) => t.r - t.y + 0.4)),
    across: rings.flatMap((t) => [t.x - t.r, t.x + t.r]),
    bands: deepest > 0 ? BANDS.filter((b) => b.at < ahead) : [],
  };
}
