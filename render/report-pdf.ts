/** The scouting report on paper: ink only, real text, bookmarks; tables that go on say so and repeat their headings. */
import 'server-only';
import { plural } from '@/core/rules/plural';
import type { Zone } from '@/core/field/situation';
import { PAPERS, type Paper } from '@/core/plan';
import {
  gridPicture,
  leadOf,
  partTitle,
  type BesideTable,
  type GlossaryWord,
  type Report,
} from '@/core/read';
import { drawMarks, fit, type Card } from './drawing-pdf';
import { openPdf, type Pdf } from './pdf';
import { boardSection } from './report-board';
import { FOOT, heading, MARGIN, Pages } from './report-pages';
import { beside, glossary, since, type Since } from './report-words';

export interface ReportToPrint {
  /** "Marrow Fen offense". */
  readonly title: string;
  /** Whose report, for which week. */
  readonly of: string;
  /** Films, rules and coverage: the foot of every page. */
  readonly rests: string;
  readonly printed: string;
  readonly report: Report;
  readonly zones: readonly Zone[];
  /** The looks most used, drawn. */
  readonly looks: readonly Card[];
  /** What is other than at the print before; null: there was none. */
  readonly since: Since | null;
  /** What is counted beside the boards. */
  readonly beside: readonly BesideTable[];
  /** Empty: there is no book, or it is no section of this report. */
  readonly words: readonly GlossaryWord[];
}
export interface ReportOptions {
  readonly paper: Paper;
  /** Each section begins a page. */
  readonly breaks: boolean;
  /** Signals that nobody waits for it any more. */
  readonly signal?: AbortSignal;
  /** Told before each section: how many are done, of how many. */
  readonly onSection?: (done: number, of: number) => void;
}

/** Others are answered between the sections. */
const breathe = (): Promise<void> => new Promise((resolve) => setImmediate(resolve));

/** One unit's report, or those of several: each begins with its own first page, and its bookmarks stand below its name. */
export async function reportPdf(
  parts: readonly ReportToPrint[],
  options: ReportOptions,
): Promise<Uint8Array> {
  const { of } = parts[0]!;
  const { doc, done } = openPdf(options.paper, `${parts.map((p) => p.title).join(', ')}: ${of}`, true);
  const made = parts.map((part) => {
    const pages = new Pages(doc, options.paper, `${part.title} · ${part.of}`);
    return { part, pages, sections: sectionsIn(pages, part) };
  });
  const all = made.reduce((n, m) => n + m.sections.length, 0);
  /** Pages printed when a part has its last. */
  const ends: number[] = [];
  let printed = 0;
  for (const { part, pages, sections } of made) {
    if (parts.length > 1) pages.under(part.title);
    cover(pages, part);
    for (const [i, { short, print }] of sections.entries()) {
      options.onSection?.(printed++, all);
      await breathe();
      options.signal?.throwIfAborted();
      if (options.breaks && !(short && (i === 0 || sections[i - 1]!.short))) pages.add();
      print();
    }
    ends.push(doc.bufferedPageRange().count);
  }
  foot(doc, (page) => parts[ends.findIndex((end) => page < end)]!, options.paper);
  doc.end();
  return done;
}

interface Section {
  readonly short: boolean;
  readonly print: () => void;
}
/** The sections that say something, in their order; short ones share a page, and the first page. */
function sectionsIn(pages: Pages, given: ReportToPrint): readonly Section[] {
  const { report, zones, looks, since: last, words } = given;
  return report.order.flatMap((id): Section[] => {
    const table = report.tables.find((t) => t.id === id);
    if (table) return [{ short: false, print: () => boardSection(pages, table, gridPicture(table, zones)) }];
    const plain = given.beside.find((t) => t.id === id);
    if (plain) return [{ short: true, print: () => beside(pages, plain) }];
    if ((id === 'drawn' || id === 'answers') && looks.length > 0)
      return [{ short: true, print: () => drawn(pages, looks, id) }];
    if (id === 'since' && last) return [{ short: true, print: () => since(pages, last) }];
    if (id === 'words' && words.length > 0) return [{ short: false, print: () => glossary(pages, words) }];
    return [];
  });
}

function cover(pages: Pages, { title, of, report }: ReportToPrint): void {
  pages.add(true);
  pages.bookmark('First page');
  pages.text(of, MARGIN, pages.y, 9);
  pages.text(title, MARGIN, pages.y + 11, 20, true);
  pages.right(plural(report.snaps, 'snap'), MARGIN, pages.y + 18, pages.width, 10);
  pages.rule(pages.y + 36, 1.5);
  pages.y += 44;
  for (const line of report.own) pages.sentence(line, '');
  for (const sentence of report.sentences)
    pages.sentence(leadOf(sentence), ` (${sentence.interval}); otherwise ${sentence.otherwise}.`);
  if (report.sentences.length === 0)
    pages.paragraph('No row of these tables stands apart from the rest on this film.', 11);
  pages.y += 2;
  pages.paragraph(
    `Chosen among ${report.looked} rates by how far each stands from all the other snaps, the least that its 95 % interval allows, times its snaps. Counts to look up on film, not tests: who looks at many finds some by luck, and the situation is not taken out.`,
    8,
  );
}

/** Cards side by side, and how tall: eleven more men need room. */
const CARDS = { drawn: [3, 150], answers: [2, 200] } as const;
/** What the marks of the drawings mean. */
const DRAWN = {
  drawn:
    'Solid: a run through its gap; dashed: a throw, at its third and depth where they are tagged; dotted: a run-pass option. In each ring its snaps, thick as far round as succeeded.',
  answers:
    'Against each structure what it answered with most. Dashed: where a man goes; arrows: the rush, and safeties who turn, as most of the snaps show.',
} as const;

function drawn(pages: Pages, looks: readonly Card[], id: keyof typeof DRAWN): void {
  const [across, tall] = CARDS[id];
  heading(pages, partTitle(id), '', tall);
  pages.paragraph(DRAWN[id], 8);
  const wide = (pages.width - (across - 1) * 14) / across;
  looks.forEach((card, i) => {
    const column = i % across;
    if (column === 0) {
      if (i > 0) pages.y += tall;
      if (!pages.room(tall)) pages.add();
    }
    const x = MARGIN + column * (wide + 14);
    pages.cut(card.title, x, pages.y, wide, 9.5, true);
    card.lines.forEach((line, l) => pages.cut(line, x, pages.y + 11 + l * 9, wide, 7.5));
    const words = 12 + card.lines.length * 9;
    drawMarks(pages.doc, card.drawing, x, pages.y + words, wide, tall - words - 10);
  });
  pages.y += tall;
}

function foot(doc: Pdf, partOf: (page: number) => ReportToPrint, paper: Paper): void {
  const { width, height } = PAPERS[paper];
  const { start, count } = doc.bufferedPageRange();
  for (let i = 0; i < count; i++) {
    const { rests, printed } = partOf(i);
    doc.switchToPage(start + i);
    const y = height - MARGIN - FOOT + 10;
    doc
      .lineWidth(0.5)
      .moveTo(MARGIN, y)
      .lineTo(width - MARGIN, y)
      .stroke('#000');
    doc.font('text').fontSize(7).fillColor('#000');
    doc.text(fit(doc, rests, width - 2 * MARGIN), MARGIN, y + 4, { lineBreak: false });
    const page = `${printed} · page ${i + 1} of ${count}`;
    doc.text(page, width - MARGIN - doc.widthOfString(page), y + 13, { lineBreak: false });
  }
}

/** A page a unit for the players: the counts in large print, as many as fit; the doubt stays with the coaches. */
export function playersPdf(parts: readonly ReportToPrint[], paper: Paper): Promise<Uint8Array> {
  const { doc, done } = openPdf(paper, `${parts.map((p) => p.title).join(', ')}, for players`);
  for (const part of parts) playersPage(doc, part, paper);
  doc.end();
  return done;
}

function playersPage(doc: Pdf, { title, of, report }: ReportToPrint, paper: Paper): void {
  const { width, height } = PAPERS[paper];
  const room = width - 2 * MARGIN;
  doc.addPage();
  doc.font('text').fontSize(13).fillColor('#000').text(of, MARGIN, MARGIN, { lineBreak: false });
  doc
    .font('bold')
    .fontSize(26)
    .text(fit(doc, title, room), MARGIN, MARGIN + 16, { lineBreak: false });
  let y = MARGIN + 62;
  for (const words of [...report.own, ...report.sentences.map(leadOf)]) {
    doc.font('bold').fontSize(19);
    const tall = doc.heightOfString(words, { width: room, lineGap: 3 });
    if (y + tall > height - MARGIN) break;
    doc.text(words, MARGIN, y, { width: room, lineGap: 3 });
    y += tall + 14;
  }
}
