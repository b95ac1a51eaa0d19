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
function draw(doc: Pdf, pageMark: PageMark): void {
  if (pageMark.mark === 'line')
    doc
      .lineWidth(pageMark.width)
      .moveTo(pageMark.x1, pageMark.y1)
      .lineTo(pageMark.x2, pageMark.y2)
      .stroke('#000');
  else if (pageMark.mark === 'rect') {
    const box = doc.lineWidth(0.5).rect(pageMark.x, pageMark.y, pageMark.width, pageMark.height);
    if (pageMark.filled) box.fill('#000');
    else box.stroke('#000');
  } else {
    const x =
      pageMark.anchor === 'middle'
        ? pageMark.x - measureText(pageMark.text, pageMark.size, pageMark.bold) / 2
        : pageMark.x;
    doc
      .font(pageMark.bold ? 'bold' : 'text')
      .fontSize(pageMark.size)
      .fillColor(pageMark.ink === 'white' ? '#fff' : '#000')
      .text(pageMark.text, x, pageMark.y, { lineBreak: false, baseline: 'alphabetic' });
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
