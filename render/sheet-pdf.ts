import 'server-only';
import {
  PAPERS,
  sheetPages,
  type PageMark,
  type Paper,
  type SheetPages,
  type SheetToPrint,
} from '@/core/plan';
import { measureText, openPdf, type Pdf } from './pdf';

/** A sheet's pages for a paper, measured in the font they print in. */
export const pagesOf = (sheet: SheetToPrint, paper: Paper): SheetPages =>
  sheetPages(sheet, paper, measureText);

/** Ink only: nothing gray, nothing told by color. */
function draw(doc: Pdf, m: PageMark): void {
  if (m.mark === 'line') doc.lineWidth(m.width).moveTo(m.x1, m.y1).lineTo(m.x2, m.y2).stroke('#000');
  else if (m.mark === 'rect') {
    const box = doc.lineWidth(0.5).rect(m.x, m.y, m.width, m.height);
    if (m.filled) box.fill('#000');
    else box.stroke('#000');
  } else {
    const x = m.anchor === 'middle' ? m.x - measureText(m.text, m.size, m.bold) / 2 : m.x;
    doc
      .font(m.bold ? 'bold' : 'text')
      .fontSize(m.size)
      .fillColor(m.ink === 'white' ? '#fff' : '#000')
      .text(m.text, x, m.y, { lineBreak: false, baseline: 'alphabetic' });
  }
}

export function sheetPdf(sheet: SheetToPrint, paper: Paper): Promise<Uint8Array> {
  const { doc, done } = openPdf(paper, `${sheet.name}: ${sheet.title} against ${sheet.against}`);
  for (const page of pagesOf(sheet, paper).pages) {
    doc.addPage({ size: [PAPERS[paper].width, PAPERS[paper].height], margin: 0 });
    for (const mark of page) draw(doc, mark);
  }
  doc.end();
  return done;
}
