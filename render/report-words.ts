/** Pages of a report that are no tables: what changed, what drives came to, what gives a play away, what the words mean. */
import 'server-only';
import {
  countText,
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

const MOST_BESIDE = 14;

export interface Since {
  /** "2026-11-26 21:10 UTC". */
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
      snaps[0] === snaps[1] ? `${snaps[1]} snaps, as then` : `${snaps[1]} snaps, ${snaps[0]} then`,
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
  heading(pages, table.title, table.note);
  plainTable(pages, table);
}

/** The figure, and what stands below it. */
function cellWords(cell: BesideCell): readonly [string, string] {
  if (cell === null) return ['–', ''];
  if (typeof cell !== 'object') return [String(cell), ''];
  if ('share' in cell) return cell.n === 0 ? ['–', ''] : [countText(cell), intervalText(cell)];
  return [figureText(cell), `n ${cell.n}`];
}

function plainTable(pages: Pages, { title, columns, rows }: BesideTable): void {
  const { doc } = pages;
  const named = columns.filter((c) => c.kind === 'word').length;
  const taken = columns.reduce((sum, { kind }) => sum + (kind === 'word' ? 0 : WIDTHS[kind]) + GAP, 0);
  const wide = Math.min((pages.width - taken) / named, 230);
  const widthOf = ({ kind }: BesideColumn): number => (kind === 'word' ? wide : WIDTHS[kind]);
  const tall = columns.some((c) => c.kind === 'rate' || c.kind === 'mean') ? LINE : NUMBERS;
  const head = (): void => {
    doc.font('bold').fontSize(7.5).fillColor('#000');
    const height = Math.max(...columns.map((c) => doc.heightOfString(c.label, { width: widthOf(c) })));
    let x = MARGIN;
    for (const column of columns) {
      const align = column.kind === 'word' ? 'left' : 'right';
      doc.text(column.label, x, pages.y, { width: widthOf(column), align });
      x += widthOf(column) + GAP;
    }
    pages.y += height + 2;
    pages.rule(pages.y, 0.7);
    pages.y += 3;
  };
  head();
  for (const row of rows.slice(0, MOST_BESIDE)) {
    if (!pages.room(tall)) {
      pages.add();
      pages.text(`${title}, continued`, MARGIN, pages.y, 9, true);
      pages.y += 14;
      head();
    }
    let x = MARGIN;
    row.forEach((cell, c) => {
      const [first, second] = cellWords(cell);
      const width = widthOf(columns[c]!);
      if (columns[c]!.kind === 'word') pages.cut(cell === null ? '' : first, x, pages.y, width, 9, c === 0);
      else pages.right(first, x, pages.y, width, 9, columns[c]!.key === 'n');
      if (second) pages.right(second, x, pages.y + 9.3, width, 7);
      x += width + GAP;
    });
    pages.rule(pages.y + tall - 3.5, 0.25);
    pages.y += tall;
  }
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
