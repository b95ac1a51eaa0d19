import 'server-only';
import {
  copyOf,
  numbersCopies,
  printPages,
  type PageMark,
  type PrintChoice,
  type PrintSource,
  type SheetPages,
} from '@/core/plan';
import { uniform } from '@/core/stats/uniform';
import { drawMarks } from './drawing-pdf';
import { measureText, openPdf, type Pdf } from './pdf';

const copiesOf = ({ kind, copies }: PrintChoice): number => (numbersCopies(kind) ? copies : 1);

/** A print's pages, measured in the font they print in; of several copies the first, or another. */
export const pagesOf = (source: PrintSource, choice: PrintChoice, copy = 1): SheetPages =>
  printPages(copyOf(source, copy, copiesOf(choice)), choice, uniform(choice.band.seed), measureText);

/** Ink only: nothing gray, nothing told by color. */
function draw(doc: Pdf, pageMark: PageMark): void {
  if (pageMark.mark === 'drawing')
    drawMarks(doc, pageMark.drawing, pageMark.x, pageMark.y, pageMark.width, pageMark.height);
  else if (pageMark.mark === 'line')
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

/** The library writes the reader's preferences, and has no door for this one. */
function turnOnShortEdge(doc: Pdf): void {
  const inside = doc as unknown as {
    readonly _root: { readonly data: Record<string, unknown> };
    ref(data: Readonly<Record<string, unknown>>): unknown;
  };
  inside._root.data.ViewerPreferences = inside.ref({ Duplex: 'DuplexFlipShortEdge' });
}

export function sheetPdf(source: PrintSource, choice: PrintChoice): Promise<Uint8Array> {
  const { name, title, against } = source.side === 'defense' ? source.checks : source.sheet;
  const { doc, done } = openPdf('letter', `${name}: ${title} against ${against}`);
  const { width, height, pages } = pagesOf(source, choice);
  for (let copy = 1; copy <= copiesOf(choice); copy++)
    for (const page of copy === 1 ? pages : pagesOf(source, choice, copy).pages) {
      doc.addPage({ size: [width, height], margin: 0 });
      for (const mark of page) draw(doc, mark);
    }
  // Two sides of one sheet are turned like a clipboard.
  if (pages.length > 1) turnOnShortEdge(doc);
  doc.end();
  return done;
}
