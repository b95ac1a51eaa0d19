/**
 * A chalk drawing as plain marks: lines, circles, boxes, words, in yards from the ball (right and
 * up the page positive downward as SVG has it). Screen, SVG file and PDF draw the same marks, so
 * that a picture is the same everywhere. Ink names carry meaning; the renderer gives them a color.
 */
import type { DefenseDuty } from './defend';
import type { Man } from './formation';
import type { Point } from './motion';
import { head } from './heads';
import type { DrawInput, DrawMark, Drawing, Ink } from './marks';
import { markUses } from './uses';

const R = 0.78;

/** Text half-width by letters, at a size: near enough to keep names apart. */
const textWidth = (text: string, size: number): number => text.length * size * 0.52;

export function draw(input: DrawInput): Drawing {
  const { men, profile, hash } = input;
  const width = profile.fieldWidth;
  const half = Math.min(25.5, width / 2 + 0.5);
  const paths = input.paths ?? [];
  const drops = input.drops ?? [];
  const uses = markUses(men, input.uses ?? []);
  const farthest = Math.max(
    input.crop ? 2.5 : 6,
    ...paths.flatMap((p) => p.points.map((q) => q[1] + 1)),
    ...(input.defenders ?? []).map((d) => d.depth + 1.6),
    ...drops.map((d) => d.to[1] + (d.does === 'deep' ? 2.6 : 1)),
    ...(input.arrow?.points ?? []).map((q) => q[1] + 1.4),
    uses.ahead,
  );
  const ahead = input.ahead ?? Math.min(20, farthest);
  const behind =
    input.behind ??
    (input.crop
      ? Math.max(6, uses.behind, ...men.map((m) => m.depth + 1.6))
      : Math.max(9.5, uses.behind, ...men.map((m) => m.depth + 3)));
  const out: DrawMark[] = [];
  const center = width / 2;
  const hashAt = center - profile.hashToSideline;
  const ball = hash === 'L' ? -1 : hash === 'R' ? 1 : 0;
  const shift = ball === 0 ? 0 : -ball * hashAt;
  const across = input.crop
    ? [
        ...men.map((m) => m.x),
        ...paths.flatMap((p) => p.points.map((q) => q[0])),
        ...(input.defenders ?? []).map((d) => d.x),
        ...drops.flatMap((d) => {
          const wide = d.does === 'deep' ? (DEEP_WIDE[d.zone ?? ''] ?? 3.4) : 2.8;
          return [d.to[0] - wide, d.to[0] + wide];
        }),
        ...uses.across,
      ]
    : [];
  // Never narrower than thirty yards, so that men keep one size from card to card.
  const narrow = input.crop ? Math.max(0, 15 - (Math.max(...across) - Math.min(...across)) / 2 - 2) : 0;
  const from = input.crop ? Math.max(-half, Math.min(...across) - 2 - narrow) : -half;
  const until = input.crop ? Math.min(half, Math.max(...across) + 2 + narrow) : half;
  const left = Math.max(-center + shift, from + 0.5);
  const right = Math.min(center + shift, until - 0.5);
  const line = (points: readonly Point[], ink: Ink, width: number, dash?: readonly [number, number]) =>
    out.push({ mark: 'path', d: points, ink, width: width, ...(dash ? { dash } : {}) });
  const flip = (p: Point): Point => [p[0], -p[1]];

  // Throws stand in bands of depth: lines between those instead of yard lines.
  const lines = uses.bands.length > 0 ? uses.bands.map((band) => -band.at) : yardLines(ahead);
  for (const y of lines)
    line(
      [
        [left, y],
        [right, y],
      ],
      'faint',
      0.12,
    );
  for (const { at, label } of uses.bands)
    out.push({
      mark: 'text',
      x: left,
      y: -at - 0.25,
      size: 1.2,
      text: label,
      ink: 'ink2',
      bold: false,
      anchor: 'start',
    });
  if (behind > 5)
    line(
      [
        [left, 5],
        [right, 5],
      ],
      'faint',
      0.12,
    );
  if (profile.hashToSideline < width / 2)
    for (const x of [-hashAt + shift, hashAt + shift])
      if (x > left && x < right)
        line(
          [
            [x, -ahead],
            [x, behind],
          ],
          'ink2',
          0.3,
          [0.25, 0.75],
        );
  for (const x of [-center + shift, center + shift])
    if (x > from + 0.6 && x < until - 0.6)
      line(
        [
          [x, -ahead],
          [x, behind],
        ],
        'ink2',
        0.3,
      );
  line(
    [
      [left, 0],
      [right, 0],
    ],
    'ink',
    0.12,
  );

  for (const duty of drops) {
    const [x, depth] = duty.to;
    if (duty.does === 'deep') {
      const rx = DEEP_WIDE[duty.zone ?? ''] ?? 3.4;
      out.push({
        mark: 'ellipse',
        x,
        y: -Math.min(depth, ahead - 2.2),
        rx,
        ry: 2.1,
        ink: 'them',
        width: 0.16,
        dash: [0.5, 0.4],
      });
    } else if (duty.does !== 'man')
      out.push({
        mark: 'ellipse',
        x,
        y: -Math.min(depth, ahead - 1.4),
        rx: 2.8,
        ry: 1.2,
        ink: 'them',
        width: 0.14,
        dash: [0.25, 0.3],
      });
    const from: Point = [duty.man.x, -duty.man.depth];
    const end: Point = [x, -Math.min(depth, ahead - (duty.does === 'deep' ? 2.2 : 1.4))];
    if (turns(duty)) {
      line([from, end], 'them', 0.3);
      out.push(head(end, Math.atan2(end[1] - from[1], end[0] - from[0]), 1, 'them'));
    } else line([from, end], 'them', 0.14, duty.does === 'man' ? [0.2, 0.3] : [0.6, 0.35]);
  }
  for (const drawnPath of paths) {
    const points = drawnPath.points.map(([x, y]): Point => [
      Math.max(-half + 0.4, Math.min(half - 0.4, x)),
      -Math.max(-behind + 0.5, Math.min(y, ahead - 0.4)),
    ]);
    const ink: Ink =
      drawnPath.kind === 'route'
        ? 'pass'
        : drawnPath.kind === 'ball'
          ? 'run'
          : drawnPath.kind === 'rush' || drawnPath.kind === 'drop'
            ? 'them'
            : drawnPath.kind === 'motion' || drawnPath.kind === 'fake'
              ? 'ink2'
              : 'ink';
    const width =
      drawnPath.kind === 'ball' ? 0.34 : drawnPath.kind === 'route' || drawnPath.kind === 'pull' ? 0.24 : 0.2;
    line(
      points,
      ink,
      width,
      drawnPath.kind === 'motion' ? [0.7, 0.45] : drawnPath.kind === 'fake' ? [0.3, 0.3] : undefined,
    );
    const [point, next] = [points[points.length - 2]!, points[points.length - 1]!];
    const at = Math.atan2(next[1] - point[1], next[0] - point[0]);
    if (drawnPath.end === 'arrow') out.push(head(next, at, drawnPath.kind === 'ball' ? 1.05 : 0.8, ink));
    if (drawnPath.end === 'block')
      line(
        [
          [next[0] - Math.sin(at) * 0.62, next[1] + Math.cos(at) * 0.62],
          [next[0] + Math.sin(at) * 0.62, next[1] - Math.cos(at) * 0.62],
        ],
        ink,
        width,
      );
  }
  if (input.arrow) {
    const { kind, points: way } = input.arrow;
    const points = way.map(flip);
    line(points, kind, 0.3, kind === 'pass' ? [0.8, 0.5] : undefined);
    const [point, tip] = [points[points.length - 2]!, points[points.length - 1]!];
    out.push(head(tip, Math.atan2(tip[1] - point[1], tip[0] - point[0]), 1.12, kind));
  }
  out.push(...uses.under);
  for (const man of men) {
    const y = man.depth + 0.35;
    if (man.letter === 'C' && (man.role === 'line' || profile.players !== 11))
      out.push({ mark: 'box', x: man.x, y, r: 0.72, fill: 'card', ink: 'ink', width: 0.16 });
    else
      out.push({
        mark: 'circle',
        x: man.x,
        y,
        r: R,
        fill: man.letter === input.mover ? 'high' : 'card',
        ink: 'ink',
        width: 0.16,
      });
    if (man.role !== 'line')
      out.push({
        mark: 'text',
        x: man.x,
        y: y + 0.36,
        size: 1,
        text: man.letter,
        ink: 'ink',
        bold: true,
        anchor: 'middle',
      });
  }
  for (const defender of input.defenders ?? []) {
    const y = -Math.min(defender.depth, ahead - 0.9) - 0.1;
    if (input.ringed?.has(`${defender.letter}${defender.x}`))
      out.push({
        mark: 'circle',
        x: defender.x,
        y: y - 0.06,
        r: 0.95,
        fill: 'card',
        ink: 'finding',
        width: 0.2,
      });
    out.push({
      mark: 'text',
      x: defender.x,
      y: y + 0.5,
      size: 1.5,
      text: defender.letter,
      ink: 'them',
      bold: true,
      anchor: 'middle',
    });
  }
  out.push(...uses.over);
  if (input.numbers) placeNumbers(men, out);
  return { view: [from, -ahead, until - from, ahead + behind], marks: out };
}

/** Half the breadth of a deep zone, yards. */
const DEEP_WIDE: Readonly<Record<string, number>> = { half: 8, quarter: 4.6, third: 6, middle: 6 };

/** Lateral yards from which a safety's way is a turn to another place, not his drop (common practice). */
const TURN = 4;
/** Zones that a safety who stood in a half turns to; his own half or quarter may lie as far off. */
const TURNED_TO: ReadonlySet<string | null> = new Set(['middle', 'pole', 'third']);
/** A safety who leaves his place: down, or across. */
const turns = ({ man, does, zone, to }: DefenseDuty): boolean =>
  man.level === 'safety' &&
  man.depth >= 9 &&
  does !== 'rush' &&
  (does !== 'deep' || (Math.abs(to[0] - man.x) > TURN && (TURNED_TO.has(zone) || to[0] * man.x < 0)));

/** Every five yards in front of the line. */
const yardLines = (ahead: number): number[] =>
  Array.from({ length: Math.max(0, Math.floor(ahead / 5)) }, (_, i) => -5 * (i + 1));

/** Numbers below their men; where two would touch, the deeper one goes lower, so that names never collide. */
function placeNumbers(men: readonly Man[], out: DrawMark[]): void {
  const placed: { x: number; y: number; w: number }[] = [];
  for (const sign of [-1, 1] as const) {
    const list = men
      .filter((m) => m.role === 'eligible' && !(m.depth > 3 && Math.abs(m.x) < 5.2) && m.x * sign > 0)
      .sort((a, b) => (b.x - a.x) * sign);
    list.forEach((man, i) => {
      const text = `#${i + 1}`;
      const width = textWidth(text, 0.9);
      let y = man.depth + 2.25;
      const hits = (): boolean =>
        placed.some((p) => Math.abs(p.x - man.x) < (p.w + width) / 2 + 0.2 && Math.abs(p.y - y) < 1) ||
        men.some(
          (o) =>
            o !== man &&
            Math.abs(o.x - man.x) < R + width / 2 &&
            Math.abs(o.depth + 0.35 - (y - 0.3)) < R + 0.4,
        );
      for (let tries = 0; tries < 6 && hits(); tries++) y += 0.95;
      placed.push({ x: man.x, y, w: width });
      out.push({ mark: 'text', x: man.x, y, size: 0.9, text, ink: 'ink2', bold: false, anchor: 'middle' });
    });
  }
}
