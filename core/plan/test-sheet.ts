/** A player's test: plays of the sheet drawn without their jobs, or pictures without our answer; and the key. Common practice. */
import { assignPlay, conceptOf, drawSnap, presentationOf } from '../book';
import type { Drawing } from '../look';
import { pictureDrawn } from './check-look';
import { MARGIN, SHEET_PAPERS, type SheetPaper } from './layout';
import { cellText, cutWords, text, type Measure, type PageMark, type SheetPages } from './marks';
import { CAUTION, headMarks, LEAST_SIZE, type SheetToPrint } from './print';
import { findSituation, pictureOf, pictureRows } from './pictures';
import type { Check } from './rows';
import { framed, type ToFrame } from './scout-print';
import type { ScoutFilm, ScoutSettings } from './scout';
import { playCall, playFields, playLook, type PlayCard } from './sheet';

/** A man’s letter, or every man. */
export type TestedMan = string;
export const EVERY_MAN = 'all';

export interface Question {
  /** What is called, or shown. */
  readonly title: string;
  readonly asks: string;
  readonly answer: string;
  /** Written, or drawn into the picture. */
  readonly written: boolean;
  readonly drawing: Drawing;
}

export type TestBook = Pick<ScoutFilm, 'book' | 'profile' | 'settings'>;

const onceEach = (plays: readonly PlayCard[]): PlayCard[] => [
  ...new Map(plays.map((p) => [p.id, p])).values(),
];

/**
 * A question a play: the line-up with its motion, what is called, and what one man, or every man, does. Plays that the book
 * does not draw ask nothing, nor those that the man is not in.
 */
export function playQuestions(
  { book, profile, settings }: TestBook,
  plays: readonly PlayCard[],
  man: TestedMan,
): Question[] {
  return onceEach(plays).flatMap((play): Question[] => {
    const fields = playFields(play);
    const def = conceptOf(book, fields);
    const presentation = presentationOf(book, fields);
    if (!def || !presentation) return [];
    const to = play.direction ?? assignPlay(def, presentation, 'R', profile).structure.passing ?? 'R';
    const { men, jobs } = assignPlay(def, presentation, to, profile, settings.strength);
    const does = men.flatMap(({ letter, role }) => {
      const job = jobs.get(letter);
      if (!job || (man !== EVERY_MAN && man !== letter)) return [];
      // A passer has no job but his drop, after the fake where there is one.
      const drops = def.kind === 'pass' && role === 'quarterback' && job === 'fake';
      const steps = drops && def.pass.drop > 0 ? `${def.pass.drop}-step drop` : 'pass';
      return [`${letter} ${!drops ? job : def.pass.type === 'play action' ? `fake, ${steps}` : steps}`];
    });
    if (does.length === 0) return [];
    // Without the call nothing is drawn but how they line up and who moves.
    const { drawing } = drawSnap(book, { ...fields, concept: null, play: null }, null, profile, {
      defense: false,
      numbers: false,
      crop: true,
      settings,
    });
    return [
      {
        title: `${playCall(play)} · ${playLook(play)}`,
        asks: man === EVERY_MAN ? 'Draw what everybody does.' : `What does ${man} do?`,
        answer: does.join(', '),
        written: man !== EVERY_MAN,
        drawing,
      },
    ];
  });
}

/** A question a check that says something: the picture as they line up most, and what answers it. */
export function checkQuestions(film: ScoutFilm, checks: readonly Check[]): Question[] {
  const { book, profile, settings, snaps, columns, opponent } = film;
  return checks.flatMap((check): Question[] => {
    const said = [check.front, check.coverage, check.pressure].filter(Boolean).join(' · ');
    const picture = pictureOf(check.picture);
    const rows = picture ? pictureRows(columns, { offense: [opponent] }, picture) : new Uint32Array(0);
    const drawn = said === '' ? null : pictureDrawn(book, profile, check.picture, snaps, rows);
    if (drawn === null) return [];
    const { drawing } = drawSnap(book, drawn.fields, drawn.hash, profile, {
      defense: false,
      crop: true,
      settings,
    });
    const when = [check.personnel, picture?.label ?? check.picture, findSituation(check.situation)?.label];
    return [
      {
        title: when.filter(Boolean).join(', '),
        asks: 'Our front, coverage and pressure?',
        answer: [said, check.note].filter(Boolean).join('; '),
        written: true,
        drawing,
      },
    ];
  });
}

/** Men whom the plays of a sheet have, in the order of the alphabet. */
export const menOf = (bookOf: TestBook, plays: readonly PlayCard[]): string[] =>
  [
    ...new Set(
      onceEach(plays).flatMap((play) => {
        const fields = playFields(play);
        const [def, presentation] = [conceptOf(bookOf.book, fields), presentationOf(bookOf.book, fields)];
        return def && presentation ? [...assignPlay(def, presentation, 'R', bookOf.profile).jobs.keys()] : [];
      }),
    ),
  ].sort();

const KEY_ROW = 15;

/** The questions, as many a page as cards; behind them the key, each answer under the number of its question. */
export function testPages(
  about: Omit<SheetToPrint, 'sections'>,
  questions: readonly Question[],
  { aPage }: Pick<ScoutSettings, 'aPage'>,
  paper: SheetPaper,
  measure: Measure,
): SheetPages {
  const { width, height } = SHEET_PAPERS[paper];
  const cut: number[] = [];
  const many = Math.max(1, Math.ceil(questions.length / aPage));
  const pages = Array.from({ length: many }, (_, p): PageMark[] => {
    const marks = headMarks(
      about,
      `test · name: ____________________${many > 1 ? ` · page ${p + 1} of ${many}` : ''}`,
      width,
      measure,
    );
    if (questions.length === 0)
      marks.push(
        text(
          MARGIN,
          MARGIN + 54,
          11,
          'Nothing on the sheet can be asked: no call that the book draws with this man in it, no check that says anything.',
        ),
      );
    const here = questions
      .slice(p * aPage, (p + 1) * aPage)
      .map(({ title, asks, written, drawing }, i): ToFrame => ({
        number: p * aPage + i + 1,
        title,
        // What is drawn needs no line to write on.
        lines: [written ? `${asks} ${'_'.repeat(30)}` : asks],
        drawing,
      }));
    marks.push(...framed(here, aPage, paper, measure, cut));
    return marks;
  });
  const top = MARGIN + 46;
  const deep = Math.floor((height - top - MARGIN - 14) / KEY_ROW / 2);
  for (let from = 0; from < questions.length; from += deep) {
    const marks = headMarks(about, 'key of the test: not for who takes it', width, measure);
    questions.slice(from, from + deep).forEach(({ title, answer }, i) => {
      const y = top + 2 * i * KEY_ROW + 9;
      const room = width - 2 * MARGIN - 24;
      marks.push(text(MARGIN, y, 10, String(from + i + 1), { bold: true }));
      for (const [line, words, bold] of [
        [0, title, true],
        [1, answer, false],
      ] as const) {
        const cell = cellText(MARGIN + 24, y + line * (KEY_ROW - 3), room, words, measure, {
          most: 10,
          least: LEAST_SIZE,
          bold,
        });
        marks.push(cell.mark);
        if (cell.cut && !cut.includes(from + i + 1)) cut.push(from + i + 1);
      }
    });
    pages.push(marks);
  }
  for (const marks of pages)
    marks.push(
      text(MARGIN, height - MARGIN + 10, LEAST_SIZE, `${CAUTION}${cutWords(cut, ['question', 'questions'])}`),
    );
  return { width, height, pages, cut };
}
