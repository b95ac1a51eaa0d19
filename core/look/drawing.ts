/**
 * A chalk drawing as plain marks: lines, circles, boxes, words, in yards from the ball (right and
 * up the page positive downward as SVG has it). Screen, SVG file and PDF draw the same marks, so
 * that a picture is the same everywhere. Ink names carry meaning; the renderer gives them a color.
 */
import type { Man } from './formation';
import type { Point } from './motion';
import type { DrawInput, DrawMark, Drawing, Ink } from './marks';

const R = 0.78;

/** Text half-width by letters, at a size: near enough to keep names apart. */
const textWidth = (text: string, size: number): number => text.length * size * 0.52;

export function draw(input: DrawInput): Drawing {
  const { men, profile, hash } = input;
  const width = profile.fieldWidth;
  const half = Math.min(25.5, width / 2 + 0.5);
  const paths = input.paths ?? [];
  const drops = input.drops ?? [];
  const farthest = Math.max(
    input.crop ? 2.5 : 6,
    ...paths.flatMap((p) => p.points.map((q) => q[1] + 1)),
    ...(input.defenders ?? []).map((d) => d.depth + 1.6),
    ...drops.map((d) => d.to[1] + (d.deep ? 2.6 : 1)),
    ...(input.arrows ?? []).flatMap((a) => a.points.map((q) => q[1] + 1.4)),
  );
  const ahead = input.ahead ?? Math.min(20, farthest);
  const behind =
    input.behind ??
    (input.crop
      ? Math.max(6, ...men.map((m) => m.depth + 1.6))
      : Math.max(9.5, ...men.map((m) => m.depth + 3)));
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
        ...drops.map((d) => d.to[0]),
      ]
    : [];
  // Never narrower than thirty yards, so that men keep one size from card to card.
  const narrow = input.crop ? Math.max(0, 15 - (Math.max(...across) - Math.min(...across)) / 2 - 2) : 0;
  const from = input.crop ? Math.max(-half, Math.min(...across) - 2 - narrow) : -half;
  const until = input.crop ? Math.min(half, Math.max(...across) + 2 + narrow) : half;
  const left = Math.max(-center + shift, from + 0.5);
  const right = Math.min(center + shift, until - 0.5);
  const line = (d: readonly Point[], ink: Ink, w: number, dash?: readonly [number, number]) =>
    out.push({ mark: 'path', d, ink, width: w, ...(dash ? { dash } : {}) });
  const flip = (p: Point): Point => [p[0], -p[1]];

  for (let y = -5; y >= -ahead; y -= 5)
    line(
      [
        [left, y],
        [right, y],
      ],
      'faint',
      0.12,
    );
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

  for (const d of drops) {
    const [x, depth] = d.to;
    if (d.deep) {
      const rx =
        d.zone === 'half'
          ? 8
          : d.zone === 'quarter'
            ? 4.6
            : d.zone === 'third' || d.zone === 'middle'
              ? 6
              : 3.4;
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
    } else if (d.zone !== 'man')
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
    line(
      [
        [d.from.x, -d.from.depth],
        [x, -Math.min(depth, ahead - (d.deep ? 2.2 : 1.4))],
      ],
      'them',
      0.14,
      d.zone === 'man' ? [0.2, 0.3] : [0.6, 0.35],
    );
  }
  for (const p of paths) {
    const d = p.points.map(([x, y]): Point => [
      Math.max(-half + 0.4, Math.min(half - 0.4, x)),
      -Math.max(-behind + 0.5, Math.min(y, ahead - 0.4)),
    ]);
    const ink: Ink =
      p.kind === 'route'
        ? 'pass'
        : p.kind === 'ball'
          ? 'run'
          : p.kind === 'rush' || p.kind === 'drop'
            ? 'them'
            : p.kind === 'motion' || p.kind === 'fake'
              ? 'ink2'
              : 'ink';
    const w = p.kind === 'ball' ? 0.34 : p.kind === 'route' || p.kind === 'pull' ? 0.24 : 0.2;
    line(d, ink, w, p.kind === 'motion' ? [0.7, 0.45] : p.kind === 'fake' ? [0.3, 0.3] : undefined);
    const [a, b] = [d[d.length - 2]!, d[d.length - 1]!];
    const at = Math.atan2(b[1] - a[1], b[0] - a[0]);
    if (p.end === 'arrow') out.push(head(b, at, p.kind === 'ball' ? 1.05 : 0.8, ink));
    if (p.end === 'block')
      line(
        [
          [b[0] - Math.sin(at) * 0.62, b[1] + Math.cos(at) * 0.62],
          [b[0] + Math.sin(at) * 0.62, b[1] - Math.cos(at) * 0.62],
        ],
        ink,
        w,
      );
  }
  for (const a of input.arrows ?? []) {
    const d = a.points.map(flip);
    const w = a.n === null ? 0.3 : 0.16 + 0.36 * a.share;
    const ink = a.kind === 'pass' ? 'pass' : 'run';
    line(d, ink, w, a.kind === 'pass' ? [0.8, 0.5] : a.kind === 'rpo' ? [0.3, 0.4] : undefined);
    const [p, q] = [d[d.length - 2]!, d[d.length - 1]!];
    const at = Math.atan2(q[1] - p[1], q[0] - p[0]);
    out.push(head(q, at, 0.7 + w * 1.4, ink));
    if (a.n !== null) {
      const s = q[0] < 0 ? -1 : 1;
      out.push({
        mark: 'text',
        x: q[0] + (a.kind === 'pass' ? 0 : s * 1.5),
        y: q[1] + (a.kind === 'pass' ? -1 : 0.2),
        size: 1.5,
        text: String(a.n),
        ink,
        bold: true,
        anchor: 'middle',
      });
    }
  }
  for (const m of men) {
    const y = m.depth + 0.35;
    if (m.letter === 'C' && (m.role === 'line' || profile.players !== 11))
      out.push({ mark: 'box', x: m.x, y, r: 0.72, fill: 'card', ink: 'ink', width: 0.16 });
    else
      out.push({
        mark: 'circle',
        x: m.x,
        y,
        r: R,
        fill: m.letter === input.mover ? 'high' : 'card',
        ink: 'ink',
        width: 0.16,
      });
    if (m.role !== 'line')
      out.push({
        mark: 'text',
        x: m.x,
        y: y + 0.36,
        size: 1,
        text: m.letter,
        ink: 'ink',
        bold: true,
        anchor: 'middle',
      });
  }
  for (const d of input.defenders ?? []) {
    const y = -Math.min(d.depth, ahead - 0.9) - 0.1;
    if (input.ringed?.has(`${d.letter}${d.x}`))
      out.push({ mark: 'circle', x: d.x, y: y - 0.06, r: 0.95, fill: 'card', ink: 'finding', width: 0.2 });
    out.push({
      mark: 'text',
      x: d.x,
      y: y + 0.5,
      size: 1.5,
      text: d.letter,
      ink: 'them',
      bold: true,
      anchor: 'middle',
    });
  }
  if (input.numbers) placeNumbers(men, out);
  return { view: [from, -ahead, until - from, ahead + behind], marks: out };
}

/** Numbers below their men; where two would touch, the deeper one goes lower, so that names never collide. */
function placeNumbers(men: readonly Man[], out: DrawMark[]): void {
  const placed: { x: number; y: number; w: number }[] = [];
  for (const sign of [-1, 1] as const) {
    const list = men
      .filter((m) => m.role === 'eligible' && !(m.depth > 3 && Math.abs(m.x) < 5.2) && m.x * sign > 0)
      .sort((a, b) => (b.x - a.x) * sign);
    list.forEach((m, i) => {
      const text = `#${i + 1}`;
      const w = textWidth(text, 0.9);
      let y = m.depth + 2.25;
      const hits = (): boolean =>
        placed.some((p) => Math.abs(p.x - m.x) < (p.w + w) / 2 + 0.2 && Math.abs(p.y - y) < 1) ||
        men.some(
          (o) => o !== m && Math.abs(o.x - m.x) < R + w / 2 && Math.abs(o.depth + 0.35 - (y - 0.3)) < R + 0.4,
        );
      for (let tries = 0; tries < 6 && hits(); tries++) y += 0.95;
      placed.push({ x: m.x, y, w });
      out.push({ mark: 'text', x: m.x, y, size: 0.9, text, ink: 'ink2', bold: false, anchor: 'middle' });
    });
  }
}

function head([x, y]: Point, at: number, size: number, ink: Ink): DrawMark {
  const p = (forward: number, across: number): Point => [
    x + Math.cos(at) * forward - Math.sin(at) * across,
    y + Math.sin(at) * forward + Math.cos(at) * across,
  ];
  return {
    mark: 'shape',
    points: [p(size * 0.5, 0), p(-size * 0.55, size * 0.45), p(-size * 0.55, -size * 0.45)],
    fill: ink,
  };
}
