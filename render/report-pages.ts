/** The pages of a report as they fill: a running head, room kept for the foot, text by place. */
import 'server-only';
import { PAPERS, type Paper } from '@/core/plan';
import { fit } from './drawing-pdf';
import type { Pdf } from './pdf';

type Outline = Pdf['outline'];

export const MARGIN = 36;
export const FOOT = 26;
/** Of a row of a table, and of a heading. */
export const LINE = 21;
const HEAD = 17;

export class Pages {
  y = MARGIN;
  readonly width: number;
  private readonly bottom: number;
  private outline: Outline;

  constructor(
    readonly doc: Pdf,
    paper: Paper,
    private readonly running: string,
  ) {
    const { width, height } = PAPERS[paper];
    this.width = width - 2 * MARGIN;
    this.bottom = height - MARGIN - FOOT;
    this.outline = doc.outline;
  }

  bookmark(title: string): Outline {
    return this.outline.addItem(title);
  }
  /** Bookmarks from here on stand below this one, once a page is there for it. */
  private name: string | null = null;
  under(title: string): void {
    this.name = title;
  }

  add(first = false): void {
    this.doc.addPage();
    if (this.name !== null) this.outline = this.doc.outline.addItem(this.name);
    this.name = null;
    this.y = MARGIN;
    if (first) return;
    this.text(this.running, MARGIN, this.y - 10, 7.5);
    this.y += 4;
  }

  room = (height: number): boolean => this.y + height <= this.bottom;

  text(words: string, x: number, y: number, size: number, bold = false): void {
    this.doc
      .font(bold ? 'bold' : 'text')
      .fontSize(size)
      .fillColor('#000')
      .text(words, x, y, { lineBreak: false });
  }
  cut(words: string, x: number, y: number, width: number, size: number, bold = false): void {
    this.doc.font(bold ? 'bold' : 'text').fontSize(size);
    this.text(fit(this.doc, words, width), x, y, size, bold);
  }
  right(words: string, x: number, y: number, width: number, size: number, bold = false): void {
    this.doc.font(bold ? 'bold' : 'text').fontSize(size);
    const shown = fit(this.doc, words, width);
    this.text(shown, x + width - this.doc.widthOfString(shown), y, size, bold);
  }
  rule(y: number, weight: number): void {
    this.doc
      .lineWidth(weight)
      .moveTo(MARGIN, y)
      .lineTo(MARGIN + this.width, y)
      .stroke('#000');
  }
  /** What they do in bold, its doubt after it. */
  sentence(lead: string, rest: string): void {
    const { doc } = this;
    doc.font('bold').fontSize(11.5).fillColor('#000');
    const height = doc.heightOfString(lead + rest, { width: this.width });
    doc.text(lead, MARGIN, this.y, { width: this.width, continued: true }).font('text').text(rest);
    this.y += height + 4;
  }
  /** Words on as many lines as they need; what it takes is left behind. */
  paragraph(words: string, size: number, bold = false): void {
    this.doc
      .font(bold ? 'bold' : 'text')
      .fontSize(size)
      .fillColor('#000');
    const height = this.doc.heightOfString(words, { width: this.width, lineGap: 1 });
    if (!this.room(height)) this.add();
    this.doc.text(words, MARGIN, this.y, { width: this.width, lineGap: 1 });
    this.y += height + 3;
  }
}

/** Kept together with what is drawn below it, the headings of a table and its first rows. */
export function heading(pages: Pages, title: string, note: string, drawn = 0): void {
  if (!pages.room(HEAD + drawn + 48 + 2 * LINE)) pages.add();
  pages.bookmark(title);
  pages.y += 8;
  pages.text(title, MARGIN, pages.y, 12.5, true);
  pages.right(note, MARGIN + pages.width / 2, pages.y + 4, pages.width / 2, 7.5);
  pages.rule(pages.y + HEAD, 1.2);
  pages.y += HEAD + 4;
}
