/** Pages of a report that are no tables: what changed, what drives came to, what gives a play away, what the words mean. */
import 'server-only';
import { plural } from '@/core/rules/plural';
import {
  countText,
  figureN,
  figureText,
  intervalText,
  MOVED_POINTS,
  partTitle,
  type BesideCell,
  type BesideColumn,
  type BesideTable,
  type Changes,
  type GlossaryWord,
} from '@/core/read';
import { heading, LINE, MARGIN, type Pages } from './report-pages';

const MOST_BESIDE = 24;

export interface Since {
  /** "2026-11-26 16:10 EST". */
  readonly at: string;
  readonly changes: Changes;
  /** Names of games by key. */
  readonly nameOf: (game: string) => string;
}

export function since(pages: Pages, { at, changes, nameOf }: Since): void {
  const { added, gone, snaps, moved, compared, fresh } = changes;
  heading(pages, partTitle('since'), `printed ${at}`);
  const films = (games: readonly string[]): string => games.map(nameOf).join(', ');
  pages.paragraph(
    [
      snaps[0] === snaps[1]
        ? `${plural(snaps[1], 'snap')}, as then`
        : `${plural(snaps[1], 'snap')}, ${snaps[0]} then`,
      added.length > 0 ? `film added: ${films(added)}` : '',
      gone.length > 0 ? `left out now: ${films(gone)}` : '',
      `${compared} rates stand on both with eight snaps or more${moved.length === 0 ? `, none moved by ${MOVED_POINTS} points` : ''}`,
    ]
      .filter(Boolean)
      .join('; ') + '.',
    9,
  );
  for (const { what, now, before } of moved) pages.paragraph(`${what} ${now}; then ${before}.`, 9);
  if (fresh.length > 0) {
    pages.paragraph('New on the first page:', 9, true);
    for (const text of fresh) pages.paragraph(text, 9);
  }
}

const WIDTHS = { count: 40, rate: 60, mean: 84 } as const;
const GAP = 6;
/** Of a row without intervals. */
const NUMBERS = 15;

/** What is counted beside the boards; short tables share a page. */
export function beside(pages: Pages, table: BesideTable): void {
  const { doc } = pages;
  const short = doc.font('text').fontSize(7.5).widthOfString(table.note) < pages.width / 2;
  heading(pages, table.title, short ? table.note : '');
  if (!short) pages.paragraph(`${table.note.charAt(0).toUpperCase()}${table.note.slice(1)}.`, 7.5);
  plainTable(pages, table);
}

/** The figure, and what stands below it. */
function cellWords(cell: BesideCell): readonly [string, string] {
  if (cell === null) return ['–', ''];
  if (typeof cell !== 'object') return [String(cell), ''];
  if ('share' in cell) return cell.n === 0 ? ['–', ''] : [countText(cell), intervalText(cell)];
  return [figureText(cell), figureN(cell)];
}

/** Figures have their width; words what they need, or their share of what is left, on more lines. */
function widthsOf(
  { doc, width }: Pages,
  columns: readonly BesideColumn[],
  rows: readonly (readonly BesideCell[])[],
): readonly number[] {
  const named = columns.filter((c) => c.kind === 'word').length;
  const taken = columns.reduce((sum, { kind }) => sum + (kind === 'word' ? 0 : WIDTHS[kind]) + GAP, 0);
  const left = width - taken;
  const need = columns.map(({ kind, label }, c) => {
    if (kind !== 'word') return WIDTHS[kind];
    const cells = rows.slice(0, MOST_BESIDE).map((row) => {
      doc.font(c === 0 ? 'bold' : 'text').fontSize(9);
      return doc.widthOfString(cellWords(row[c]!)[0]);
    });
    return Math.max(Math.min(60, doc.font('bold').fontSize(7.5).widthOfString(label)), ...cells) + 4;
  });
  const wanted = need.reduce((sum, w, c) => sum + (columns[c]!.kind === 'word' ? w : 0), 0);
  // Narrow columns keep what they need; the wide ones share the rest.
  const fair = left / named;
  const narrow = need.filter((w, c) => columns[c]!.kind === 'word' && w <= fair);
  const share = (left - narrow.reduce((a, b) => a + b, 0)) / (wanted - narrow.reduce((a, b) => a + b, 0));
  return need.map((w, c) =>
    columns[c]!.kind !== 'word'
      ? w
      : wanted <= left
        ? Math.min(230, Math.max(w, w * (left / wanted)))
        : w <= fair
          ? w
          : w * share,
  );
}

function plainTable(pages: Pages, { title, columns, rows }: BesideTable): void {
  const { doc } = pages;
  const widths = widthsOf(pages, columns, rows);
  const tall = columns.some((c) => c.kind === 'rate' || c.kind === 'mean') ? LINE : NUMBERS;
  const head = (): void => {
    doc.font('bold').fontSize(7.5).fillColor('#000');
    const height = Math.max(...columns.map((c, i) => doc.heightOfString(c.label, { width: widths[i]! })));
    let x = MARGIN;
    columns.forEach(({ kind, label }, c) => {
      doc.text(label, x, pages.y, { width: widths[c]!, align: kind === 'word' ? 'left' : 'right' });
      x += widths[c]! + GAP;
    });
    pages.y += height + 2;
    pages.rule(pages.y, 0.7);
    pages.y += 3;
  };
  head();
  for (const row of rows.slice(0, MOST_BESIDE)) {
    const high = Math.max(
      tall,
      ...row.map((cell, c) => {
        if (columns[c]!.kind !== 'word') return 0;
        doc.font(c === 0 ? 'bold' : 'text').fontSize(9);
        return doc.heightOfString(cellWords(cell)[0], { width: widths[c]! }) + 4;
      }),
    );
    if (!pages.room(high)) {
      pages.add();
      pages.text(`${title}, continued`, MARGIN, pages.y, 9, true);
      pages.y += 14;
      head();
    }
    let x = MARGIN;
    row.forEach((cell, c) => {
      const [first, second] = cellWords(cell);
      const [column, width] = [columns[c]!, widths[c]!];
      if (column.kind !== 'word') pages.right(first, x, pages.y, width, 9, column.key === 'n');
      else if (cell !== null)
        doc
          .font(c === 0 ? 'bold' : 'text')
          .fontSize(9)
          .fillColor('#000')
          .text(first, x, pages.y, { width });
      if (second) pages.right(second, x, pages.y + 9.3, width, 7);
      x += width + GAP;
    });
    pages.rule(pages.y + high - 3.5, 0.25);
    pages.y += high;
  }
  if (rows.length > MOST_BESIDE)
    pages.paragraph(`${rows.length - MOST_BESIDE} further rows stand in the workbook and the files.`, 7.5);
  pages.y += 4;
}

/** What the words mean, and how others say them. */
export function glossary(pages: Pages, words: readonly GlossaryWord[]): void {
  heading(pages, partTitle('words'), 'as the book has them; other names of the same thing; snaps');
  const [wide, tall] = [118, 12];
  let before = '';
  for (const { kind, word, also, means, n } of words) {
    if (!pages.room(tall * 2)) pages.add();
    if (kind !== before) pages.text(kind.charAt(0).toUpperCase() + kind.slice(1), MARGIN, pages.y, 8.5, true);
    if (kind !== before) pages.y += tall;
    before = kind;
    pages.cut(word, MARGIN + 8, pages.y, wide - 8, 9);
    pages.cut(means ?? 'the book does not say', MARGIN + wide, pages.y, 250, 8);
    pages.cut(also.join(', '), MARGIN + wide + 256, pages.y, pages.width - wide - 256 - 34, 8);
    pages.right(String(n), MARGIN + pages.width - 30, pages.y, 30, 9);
    pages.y += tall;
  }
}
