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

const escape = (t: string): string =>
  t.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;').replace(/"/g, '&quot;');

/** The path data of points. */
export const pathData = (d: readonly Point[]): string =>
  d.map(([x, y], i) => `${i ? 'L' : 'M'}${n(x)} ${n(y)}`).join('');

/** The drawing as a file of its own: an SVG that any program opens. `scale`: pixels a yard. */
export function drawingSvg(
  { view, marks }: Drawing,
  title: string,
  ink: Readonly<Record<Ink, string>> = PRINT_INK,
  scale = 16,
): string {
  const body = marks
    .map((m): string => {
      switch (m.mark) {
        case 'path':
          return `<path d="${pathData(m.d)}" fill="none" stroke="${ink[m.ink]}" stroke-width="${n(m.width)}"${m.dash ? ` stroke-dasharray="${m.dash.join(' ')}"` : ''} stroke-linejoin="round"/>`;
        case 'circle':
          return `<circle cx="${n(m.x)}" cy="${n(m.y)}" r="${n(m.r)}" fill="${ink[m.fill]}" stroke="${ink[m.ink]}" stroke-width="${n(m.width)}"/>`;
        case 'ellipse':
          return `<ellipse cx="${n(m.x)}" cy="${n(m.y)}" rx="${n(m.rx)}" ry="${n(m.ry)}" fill="none" stroke="${ink[m.ink]}" stroke-width="${n(m.width)}" stroke-dasharray="${m.dash.join(' ')}"/>`;
        case 'box':
          return `<rect x="${n(m.x - m.r)}" y="${n(m.y - m.r)}" width="${n(2 * m.r)}" height="${n(2 * m.r)}" fill="${ink[m.fill]}" stroke="${ink[m.ink]}" stroke-width="${n(m.width)}"/>`;
        case 'shape':
          return `<path d="${pathData(m.points)}Z" fill="${ink[m.fill]}"/>`;
        case 'text':
          return `<text x="${n(m.x)}" y="${n(m.y)}" font-size="${n(m.size)}" font-weight="${m.bold ? 700 : 400}" text-anchor="${m.anchor}" fill="${ink[m.ink]}">${escape(m.text)}</text>`;
      }
    })
    .join('\n');
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="${view.map(n).join(' ')}" width="${n(view[2] * scale)}" height="${n(view[3] * scale)}" font-family="Archivo, Arial, sans-serif" role="img" aria-label="${escape(title)}">\n<title>${escape(title)}</title>\n<rect x="${n(view[0])}" y="${n(view[1])}" width="${n(view[2])}" height="${n(view[3])}" fill="${ink.card}"/>\n${body}\n</svg>\n`;
}
