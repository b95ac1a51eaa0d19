/** A drawing as an SVG file, in black ink. */
import type { Point } from './motion';
import type { Drawing, Ink } from './marks';

/** Ink for paper: everything black, told apart by dash, weight and shape. */
export const PRINT_INK: Readonly<Record<Ink, string>> = {
  ink: '#000',
  ink2: '#333',
  faint: '#bbb',
  run: '#000',
  pass: '#000',
  us: '#000',
  them: '#000',
  finding: '#000',
  card: '#fff',
  high: '#ddd',
};

export const n = (x: number): string => String(Math.round(x * 100) / 100);

const escape = (text: string): string =>
  text.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;').replace(/"/g, '&quot;');

/** The path data of points. */
export const pathData = (points: readonly Point[]): string =>
  points.map(([x, y], i) => `${i ? 'L' : 'M'}${n(x)} ${n(y)}`).join('');

/** The drawing as a file of its own: an SVG that any program opens. `scale`: pixels a yard. */
export function drawingSvg(
  { view, marks }: Drawing,
  title: string,
  ink: Readonly<Record<Ink, string>> = PRINT_INK,
  scale = 16,
): string {
  const body = marks
    .map((drawMark): string => {
      switch (drawMark.mark) {
        case 'path':
          return `<path d="${pathData(drawMark.d)}" fill="none" stroke="${ink[drawMark.ink]}" stroke-width="${n(drawMark.width)}"${drawMark.dash ? ` stroke-dasharray="${drawMark.dash.join(' ')}"` : ''} stroke-linejoin="round"/>`;
        case 'circle':
          return `<circle cx="${n(drawMark.x)}" cy="${n(drawMark.y)}" r="${n(drawMark.r)}" fill="${ink[drawMark.fill]}" stroke="${ink[drawMark.ink]}" stroke-width="${n(drawMark.width)}"/>`;
        case 'ellipse':
          return `<ellipse cx="${n(drawMark.x)}" cy="${n(drawMark.y)}" rx="${n(drawMark.rx)}" ry="${n(drawMark.ry)}" fill="none" stroke="${ink[drawMark.ink]}" stroke-width="${n(drawMark.width)}" stroke-dasharray="${drawMark.dash.join(' ')}"/>`;
        case 'box':
          return `<rect x="${n(drawMark.x - drawMark.r)}" y="${n(drawMark.y - drawMark.r)}" width="${n(2 * drawMark.r)}" height="${n(2 * drawMark.r)}" fill="${ink[drawMark.fill]}" stroke="${ink[drawMark.ink]}" stroke-width="${n(drawMark.width)}"/>`;
        case 'shape':
          return `<path d="${pathData(drawMark.points)}Z" fill="${ink[drawMark.fill]}"/>`;
        case 'text':
          return `<text x="${n(drawMark.x)}" y="${n(drawMark.y)}" font-size="${n(drawMark.size)}" font-weight="${drawMark.bold ? 700 : 400}" text-anchor="${drawMark.anchor}" fill="${ink[drawMark.ink]}">${escape(drawMark.text)}</text>`;
      }
    })
    .join('\n');
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="${view.map(n).join(' ')}" width="${n(view[2] * scale)}" height="${n(view[3] * scale)}" font-family="Archivo, Arial, sans-serif" role="img" aria-label="${escape(title)}">\n<title>${escape(title)}</title>\n<rect x="${n(view[0])}" y="${n(view[1])}" width="${n(view[2])}" height="${n(view[3])}" fill="${ink.card}"/>\n${body}\n</svg>\n`;
}
