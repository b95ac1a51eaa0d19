import 'server-only';
import { layoutSheet, MARGIN, numberSheet, PAPERS, playCall, playLook, type Paper } from '@/core/plan';
import type { SheetDetail } from '@/core/exchange/types';
import { openPdf } from './pdf';

export interface SheetPrint {
  readonly sheet: SheetDetail;
  readonly paper: Paper;
  readonly title: string;
  readonly against: string;
}

/** One page in black and white. Ink only: no gray below 4.5 to 1, nothing told by color. */
export function sheetPdf({ sheet, paper, title, against }: SheetPrint): Promise<Uint8Array> {
  const { width, height } = PAPERS[paper];
  const { doc, done } = openPdf(paper, `${sheet.name}: ${title} against ${against}`);
  doc.addPage();
  const layout = layoutSheet(numberSheet(sheet.list), paper);
  doc
    .font('bold')
    .fontSize(15)
    .text(`${title} against ${against}`, MARGIN, MARGIN - 4, { lineBreak: false });
  doc
    .font('text')
    .fontSize(9)
    .text(`${sheet.name} · hash L M R, blank = any`, MARGIN, MARGIN + 13, { lineBreak: false });
  doc
    .lineWidth(1.2)
    .moveTo(MARGIN, MARGIN + 27)
    .lineTo(width - MARGIN, MARGIN + 27)
    .stroke();
  const h = layout.rowHeight;
  const size = h * 0.62;
  for (const { printed, x, y, width: w } of layout.placed) {
    doc.rect(x, y, w, h).fill('#000');
    doc
      .fillColor('#fff')
      .font('bold')
      .fontSize(size)
      .text(printed.section.label.toUpperCase(), x + 4, y + h * 0.2, { lineBreak: false });
    doc.fillColor('#000');
    printed.calls.forEach((call, i) => {
      const top = y + h * (i + 1);
      doc.lineWidth(0.5).rect(x, top, w, h).stroke();
      doc
        .moveTo(x + h * 1.4, top)
        .lineTo(x + h * 1.4, top + h)
        .stroke();
      doc
        .font('bold')
        .fontSize(size)
        .text(String(call.number), x, top + h * 0.2, { width: h * 1.4, align: 'center', lineBreak: false });
      const note = call.note ? `  (${call.note})` : '';
      const room = w - h * 1.4 - 8 - h;
      const [look, name] = [playLook(call.play), `${playCall(call.play)}${note}`];
      const natural =
        doc.font('text').fontSize(size).widthOfString(`${look} · `) +
        doc.font('bold').fontSize(size).widthOfString(name);
      const fitted = natural > room ? Math.max(size * (room / natural), 4.5) : size;
      doc
        .font('text')
        .fontSize(fitted)
        .text(`${look} · `, x + h * 1.4 + 4, top + h * 0.2, { lineBreak: false, continued: true })
        .font('bold')
        .text(name, { lineBreak: false, continued: false });
      if (call.hash)
        doc
          .font('bold')
          .fontSize(size)
          .text(call.hash, x + w - h, top + h * 0.2, { width: h, align: 'center', lineBreak: false });
    });
  }
  const foot = layout.fits
    ? 'Check what your rules allow on the sideline and in the box this season.'
    : 'This sheet is too long for one page: the last sections are missing. Take calls off.';
  doc
    .font('text')
    .fontSize(7)
    .text(foot, MARGIN, height - MARGIN + 4, { lineBreak: false });
  doc.end();
  return done;
}
