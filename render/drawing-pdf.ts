import 'server-only';
import { pathData, PRINT_INK, type Drawing } from '@/core/look';
import { PAPERS, type Paper } from '@/core/plan';
import { openPdf, type Pdf } from './pdf';

/** A drawing's marks on paper, in a box of points. Ink only. */
export function drawMarks(
  doc: Pdf,
  { view, marks }: Drawing,
  x: number,
  y: number,
  width: number,
  height: number,
): void {
  const scale = Math.min(width / view[2], height / view[3]);
  doc.save();
  doc
    .translate(
      x + (width - view[2] * scale) / 2 - view[0] * scale,
      y + (height - view[3] * scale) / 2 - view[1] * scale,
    )
    .scale(scale)
    .rect(...view)
    .clip();
  for (const drawMark of marks) {
    switch (drawMark.mark) {
      case 'path':
        doc.lineWidth(drawMark.width).lineJoin('round');
        if (drawMark.dash) doc.dash(drawMark.dash[0], { space: drawMark.dash[1] });
        doc.path(pathData(drawMark.d)).stroke(PRINT_INK[drawMark.ink]);
        doc.undash();
        break;
      case 'circle':
        doc
          .lineWidth(drawMark.width)
          .circle(drawMark.x, drawMark.y, drawMark.r)
          .fillAndStroke(PRINT_INK[drawMark.fill], PRINT_INK[drawMark.ink]);
        break;
      case 'ellipse':
        doc
          .lineWidth(drawMark.width)
          .dash(drawMark.dash[0], { space: drawMark.dash[1] })
          .ellipse(drawMark.x, drawMark.y, drawMark.rx, drawMark.ry)
          .stroke(PRINT_INK[drawMark.ink]);
        doc.undash();
        break;
      case 'box':
        doc
          .lineWidth(drawMark.width)
          .rect(drawMark.x - drawMark.r, drawMark.y - drawMark.r, 2 * drawMark.r, 2 * drawMark.r)
          .fillAndStroke(PRINT_INK[drawMark.fill], PRINT_INK[drawMark.ink]);
        break;
      case 'shape':
        doc.path(`${pathData(drawMark.points)}Z`).fill(PRINT_INK[drawMark.fill]);
        break;
      case 'text': {
        doc
          .font(drawMark.bold ? 'bold' : 'text')
          .fontSize(drawMark.size)
          .fillColor(PRINT_INK[drawMark.ink]);
        const width = doc.widthOfString(drawMark.text);
        doc.text(
          drawMark.text,
          drawMark.anchor === 'middle'
            ? drawMark.x - width / 2
            : drawMark.anchor === 'end'
              ? drawMark.x - width
              : drawMark.x,
          drawMark.y,
          {
            lineBreak: false,
            baseline: 'alphabetic',
          },
        );
        break;
      }
    }
  }
  doc.restore();
}

export interface Card {
  readonly title: string;
  /** One or two lines below the title. */
  readonly lines: readonly string[];
  readonly drawing: Drawing;
}

const MARGIN = 30;

/** Cards on pages, black and white: one large, or two columns of five a page. */
export function cardsPdf(
  cards: readonly Card[],
  paper: Paper,
  heading: string,
  note: string,
): Promise<Uint8Array> {
  const { width, height } = PAPERS[paper];
  const { doc, done } = openPdf(paper, heading);
  const single = cards.length === 1;
  const [columns, rows] = single ? [1, 1] : [2, 5];
  const each = columns * rows;
  const pages = Math.max(1, Math.ceil(cards.length / each));
  for (let page = 0; page < pages; page++) {
    doc.addPage();
    doc
      .font('bold')
      .fontSize(15)
      .fillColor('#000')
      .text(heading, MARGIN, MARGIN - 4, { lineBreak: false });
    doc
      .font('text')
      .fontSize(9)
      .text(pages > 1 ? `page ${page + 1} of ${pages}` : '', width - MARGIN - 60, MARGIN, {
        width: 60,
        align: 'right',
        lineBreak: false,
      });
    doc
      .lineWidth(1.2)
      .moveTo(MARGIN, MARGIN + 16)
      .lineTo(width - MARGIN, MARGIN + 16)
      .stroke('#000');
    const top = MARGIN + 24;
    const w = (width - 2 * MARGIN - (columns - 1) * 12) / columns;
    const h = single ? 420 : (height - top - MARGIN - 8) / rows;
    cards.slice(page * each, (page + 1) * each).forEach((card, i) => {
      const x = MARGIN + (i % columns) * (w + 12);
      const y = top + Math.floor(i / columns) * h;
      doc
        .font('bold')
        .fontSize(single ? 15 : 11)
        .fillColor('#000')
        .text(card.title, x, y, { lineBreak: false });
      doc.font('text').fontSize(single ? 11 : 8);
      card.lines.forEach((line, l) =>
        doc.text(fit(doc, line, w), x, y + (single ? 20 : 13) + l * (single ? 14 : 9.5), {
          lineBreak: false,
        }),
      );
      const head = (single ? 22 : 14) + card.lines.length * (single ? 14 : 9.5);
      drawMarks(doc, card.drawing, x, y + head, w, h - head - 8);
    });
    if (cards.length === 0)
      doc.font('text').fontSize(11).text('Nothing to draw yet.', MARGIN, top, { lineBreak: false });
    doc
      .font('text')
      .fontSize(7)
      .fillColor('#000')
      .text(note, MARGIN, height - MARGIN + 6, { lineBreak: false });
  }
  doc.end();
  return done;
}

/** A line cut where it would leave its column. */
export function fit(doc: Pdf, text: string, width: number): string {
  if (doc.widthOfString(text) <= width) return text;
  let cut = text;
  while (cut.length > 4 && doc.widthOfString(`${cut} …`) > width) cut = cut.slice(0, -1);
  return `${cut.trimEnd()} …`;
}
