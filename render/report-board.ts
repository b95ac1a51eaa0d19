/** A board on paper: its picture, then its table, each column as wide as what stands in it, in as many blocks as it needs. */
import { plural } from '@/core/rules/plural';
import {
  countText,
  FEW,
  intervalText,
  tenths,
  type BoardCell,
  type BoardColumn,
  type BoardTable,
  type BoardDrawing,
} from '@/core/read';
import { drawMarks } from './drawing-pdf';
import { heading, LINE, MARGIN, type Pages } from './report-pages';

const GAP = 6;

/** As wide as the page, where that is no taller than a third of it. */
const heightOf = (pages: Pages, { drawing }: BoardDrawing): number =>
  Math.min((pages.width * drawing.view[3]) / drawing.view[2], 220);

/** A table as it is set: what each column needs, and the space between two. */
interface Setting {
  readonly words: readonly number[];
  readonly n: number;
  /** By the key of a measured column. */
  readonly figures: ReadonlyMap<string, number>;
}
/** Words are cut where they would take the figures' room; a heading breaks between its words. */
const MOST_WORDS = [150, 150, 100, 76] as const;

function settingOf({ doc }: Pages, { columns, rows, all }: BoardTable): Setting {
  const grouped = all.words.length;
  const bold = (size: number, of: readonly string[]): number => {
    doc.font('bold').fontSize(size);
    return Math.max(0, ...of.map((w) => doc.widthOfString(w)));
  };
  const lines = [...rows, all];
  /** As narrow as two lines let it be. */
  const headWidth = ({ label }: BoardColumn): number => {
    const of = label.split(' ');
    return Math.min(
      ...of.map((_, i) => bold(7.5, [of.slice(0, i + 1).join(' '), of.slice(i + 1).join(' ')])),
    );
  };
  return {
    words: columns.slice(0, grouped).map((c, i) =>
      Math.min(
        MOST_WORDS[grouped]!,
        Math.max(
          headWidth(c),
          bold(
            9,
            lines.map((l) => l.words[i]!),
          ),
        ) + 2,
      ),
    ),
    n: Math.max(
      24,
      bold(
        9,
        lines.map((l) => String(l.rows.length)),
      ),
    ),
    figures: new Map(
      columns.slice(grouped + 1).map((c) => {
        const of = lines.map((l) => cellWords(l.cells[c.key] ?? null));
        const below = of.map(([, second]) => second);
        return [
          c.key,
          Math.max(
            headWidth(c),
            bold(
              9,
              of.map(([first]) => first),
            ),
            bold(7, below),
          ) + 1,
        ];
      }),
    ),
  };
}

/** The measured columns in blocks that fit beside the words. */
function blocksOf(measured: readonly BoardColumn[], room: number, { figures }: Setting): BoardColumn[][] {
  const blocks: BoardColumn[][] = [[]];
  let left = room;
  for (const column of measured) {
    const need = figures.get(column.key)! + GAP;
    if (need > left && blocks[blocks.length - 1]!.length > 0) {
      blocks.push([]);
      left = room;
    }
    blocks[blocks.length - 1]!.push(column);
    left -= need;
  }
  return blocks;
}

export function boardSection(pages: Pages, table: BoardTable, picture: BoardDrawing | null): void {
  const tall = picture ? heightOf(pages, picture) : 0;
  const untagged = table.all.rows.length - table.tagged;
  heading(
    pages,
    table.title,
    `${plural(table.all.rows.length, 'snap')}${untagged > 0 ? `, tagged on ${table.tagged}` : ''}; below each count its 95 % interval`,
    tall,
  );
  if (picture) {
    drawMarks(pages.doc, picture.drawing, MARGIN, pages.y + 2, pages.width, tall);
    pages.y += tall + 10;
  }
  const grouped = table.all.words.length;
  const set = settingOf(pages, table);
  const words = table.columns.slice(0, grouped);
  const taken = set.words.reduce((sum, w) => sum + w + GAP, set.n + GAP);
  const blocks = blocksOf(table.columns.slice(grouped + 1), pages.width - taken, set);
  blocks.forEach((block, b) => {
    const used = block.reduce((sum, c) => sum + set.figures.get(c.key)! + GAP, taken);
    // What is left is air, but a row is read across: not more than its eye can follow.
    const gap = GAP + Math.min(22, Math.max(0, pages.width - used) / (grouped + block.length));
    const wordAt = set.words.map((_, i) => set.words.slice(0, i).reduce((sum, w) => sum + w + gap, MARGIN));
    const nAt = set.words.reduce((sum, w) => sum + w + gap, MARGIN);
    const beside = nAt + set.n + gap;
    const head = (): void => {
      const { doc } = pages;
      doc.font('bold').fontSize(7.5);
      const heads = [
        ...words.map((c, i) => ({
          label: c.label,
          x: wordAt[i]!,
          width: set.words[i]!,
          align: 'left' as const,
        })),
        { label: table.columns[grouped]!.label, x: nAt - gap, width: set.n + gap, align: 'right' as const },
        ...placesOf(block, set, beside, gap).map(({ column: { label }, x, width }) => ({
          label,
          x,
          width,
          align: 'right' as const,
        })),
      ];
      const height = Math.max(...heads.map(({ label, width }) => doc.heightOfString(label, { width })));
      for (const { label, x, width, align } of heads)
        doc.text(label, x, pages.y + height - doc.heightOfString(label, { width }), { width, align });
      pages.rule(pages.y + height + 1, 0.7);
      pages.y += height + 4;
    };
    if (!pages.room(2 * 13 + 2 * LINE)) pages.add();
    head();
    let [before, fresh] = ['', true];
    for (const row of [...table.rows, table.all]) {
      // The sum does not stand on a page by itself.
      if (!pages.room(row === table.rows.at(-1) ? 2 * LINE : LINE)) {
        pages.add();
        pages.text(`${table.title}, continued`, MARGIN, pages.y, 9, true);
        pages.y += 14;
        head();
        fresh = true;
      }
      const whole = row === table.all;
      row.words.forEach((word, i) => {
        // A first word is said once; below it stand its kinds.
        if (i === 0 && grouped > 1 && word === before && !fresh) return;
        pages.cut(word, wordAt[i]!, pages.y, set.words[i]!, 9, whole || i === 0);
      });
      before = row.words[0]!;
      fresh = false;
      pages.right(String(row.rows.length), nAt, pages.y, set.n, 9, true);
      for (const { column, x, width } of placesOf(block, set, beside, gap)) {
        const [first, second, strong] = cellWords(row.cells[column.key] ?? null);
        pages.right(first, x, pages.y, width, 9, strong);
        if (second) pages.right(second, x, pages.y + 9.3, width, 7);
      }
      pages.rule(pages.y + LINE - 3.5, whole ? 0.9 : 0.25);
      pages.y += LINE;
    }
    pages.y += b < blocks.length - 1 ? 8 : 4;
  });
}

/** Where the measured columns stand. */
function placesOf(
  block: readonly BoardColumn[],
  { figures }: Setting,
  from: number,
  gap: number,
): { readonly column: BoardColumn; readonly x: number; readonly width: number }[] {
  let x = from;
  return block.map((column) => {
    const width = figures.get(column.key)!;
    const place = { column, x, width };
    x += width + gap;
    return place;
  });
}

/** The figure, what stands below it, and whether there are snaps enough to print it bold. */
function cellWords(cell: BoardCell): readonly [string, string, boolean] {
  if (cell === null) return ['–', '', false];
  if ('low' in cell)
    return cell.n === 0 ? ['–', '', false] : [countText(cell), intervalText(cell), cell.worth >= FEW];
  if ('word' in cell) return [`${cell.word} · ${cell.k}`, '', false];
  return cell.mean === null ? ['–', '', false] : [tenths(cell.mean), `of ${cell.n}`, false];
}

/** Below each page what its part rests on. */
