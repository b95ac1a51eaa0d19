/** The script on paper: a page a day or more, a line a repetition. */
import { MARGIN, SHEET_PAPERS, type SheetPaper } from './layout';
import { box, cellText, cutWords, line, text, type Measure, type PageMark, type SheetPages } from './marks';
import { headMarks, LEAST_SIZE, type SheetToPrint } from './print';
import { CONTACT_CAUTION, CONTACT_LABEL, PERIOD_LABEL, type Rep, type ScriptDay } from './practice';
import { clockOf } from './practice-words';

const ROW = 13;
const HEAD = 20;
const TOP = 46;
const PAD = 4;
/** Columns of a repetition with their share of the width; those in which nothing stands are left out. */
const COLUMNS = [
  ['rep', 0.05, ({ number }) => `${number}`],
  ['no.', 0.06, ({ item }) => `${item.number}`],
  ['', 0.49, ({ item }) => item.title],
  ['against', 0.24, ({ look }) => look ?? ''],
  ['said', 0.16, ({ item }) => item.say],
] as const satisfies readonly (readonly [label: string, share: number, of: (rep: Rep) => string])[];

/** Repetitions whose words do not fit are named by their number in the day. */
export function scriptPages(
  about: Omit<SheetToPrint, 'sections'>,
  script: readonly ScriptDay[],
  paper: SheetPaper,
  measure: Measure,
): SheetPages {
  const { width, height } = SHEET_PAPERS[paper];
  const inner = width - 2 * MARGIN;
  const bottom = height - MARGIN - 8;
  const every = script.flatMap((day) => day.periods.flatMap((p) => p.reps));
  const used = COLUMNS.filter(([, , of]) => every.some((rep) => of(rep) !== ''));
  const whole = used.reduce((sum, [, share]) => sum + share, 0);
  const columns = used.map(([label, share, of]) => ({ label, of, wide: (share / whole) * inner }));
  const pages: PageMark[][] = [];
  const cut: number[] = [];
  for (const day of script) {
    const title = `practice ${day.before} ${day.before === 1 ? 'day' : 'days'} before${day.date ? `, ${day.date}` : ''}, ${clockOf(day.from)} to ${clockOf(day.until)}${day.full > 0 ? `, ${day.full} min of full contact` : ''}`;
    let marks: PageMark[] = [];
    let y = 0;
    const turnPage = (): void => {
      marks = headMarks(about, title, width, measure);
      y = MARGIN + TOP;
      let x = MARGIN;
      for (const { label, wide } of columns) {
        if (label !== '') marks.push(text(x + PAD, y - 4, LEAST_SIZE, label));
        x += wide;
      }
      pages.push(marks);
    };
    turnPage();
    for (const p of day.periods) {
      if (y + HEAD + ROW * Math.min(2, p.reps.length) > bottom) turnPage();
      marks.push(box(MARGIN, y, inner, HEAD - 4, true));
      const what = p.kind === 'drill' ? '' : ` · ${PERIOD_LABEL[p.kind]}, ${p.reps.length} reps`;
      marks.push(
        cellText(
          MARGIN + PAD,
          y + 11.5,
          inner - 2 * PAD,
          `${clockOf(p.from)}  ${p.name} · ${p.minutes} min · ${CONTACT_LABEL[p.contact]}${what}`,
          measure,
          { most: 10, least: LEAST_SIZE, bold: true },
        ).mark,
      );
      const head = marks.at(-1)!;
      if (head.mark === 'text') marks[marks.length - 1] = { ...head, ink: 'white' };
      y += HEAD - 4;
      for (const rep of p.reps) {
        if (y + ROW > bottom) turnPage();
        marks.push(box(MARGIN, y, inner, ROW));
        let x = MARGIN;
        columns.forEach(({ of, wide }, i) => {
          const words = of(rep);
          if (i > 0) marks.push(line(x, y, x, y + ROW));
          if (words !== '') {
            const cell = cellText(x + PAD, y + 9.6, wide - 2 * PAD, words, measure, {
              most: 9,
              least: LEAST_SIZE,
              bold: i === 1,
            });
            marks.push(cell.mark);
            if (cell.cut && !cut.includes(rep.number)) cut.push(rep.number);
          }
          x += wide;
        });
        y += ROW;
      }
      y += 4;
    }
  }
  if (pages.length === 0) {
    const marks = headMarks(about, 'practice', width, measure);
    marks.push(text(MARGIN, MARGIN + TOP + 14, 11, 'No practice days yet.'));
    pages.push(marks);
  }
  for (const marks of pages)
    marks.push(
      text(MARGIN, height - MARGIN + 10, LEAST_SIZE, `${CONTACT_CAUTION}${cutWords(cut, ['rep', 'reps'])}`),
    );
  return { width, height, pages, cut };
}
