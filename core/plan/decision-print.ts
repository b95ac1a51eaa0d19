/** The decision card: fourth down, one point or two, kneeling the clock out, what time-outs keep; one page, with what it rests on. */
import type { LevelProfile } from '../field/profile';
import { formatClock } from '../field/spot';
import { countText, intervalText, tenths, type Rate } from '../read/rates';
import { longThird, VERY_LONG, type LongThrows } from './check-down';
import {
  DISTANCES,
  fourthAdvice,
  fourthDown,
  kneelOut,
  leftAtPunt,
  stopsAtTwo,
  tryAdvice,
  tryValues,
  type DecisionSettings,
} from './decisions';
import { MARGIN, PAPERS, type Paper } from './layout';
import { box, cellText, line, text, type Measure, type PageMark, type SheetPages } from './marks';
import { CAUTION, headMarks, LEAST_SIZE, type SheetToPrint } from './print';

export type DecisionsToPrint = Omit<SheetToPrint, 'sections'> & {
  readonly profile: LevelProfile;
  /** Our third and fourth downs by distance, in the order of DISTANCES. */
  readonly converted: readonly Rate[];
  /** Our throws on third and very long; null: not asked for. */
  readonly long: LongThrows | null;
};

interface Cell {
  readonly words: string;
  readonly bold?: boolean;
  /** White on black. */
  readonly filled?: boolean;
}
interface Grid {
  readonly title: string;
  readonly head: readonly string[];
  readonly rows: readonly (readonly Cell[])[];
}
const plain = (words: string): Cell => ({ words });

const YARDS_TO_GOAL = [85, 75, 65, 55, 45, 40, 35, 30, 25, 20, 15, 10] as const;
/** "own 15", "50", "their 40". */
const spotWords = (toGoal: number): string =>
  toGoal > 50 ? `own ${100 - toGoal}` : toGoal === 50 ? '50' : `their ${toGoal}`;

function fourthGrid(
  { profile, converted }: Pick<DecisionsToPrint, 'profile' | 'converted'>,
  settings: DecisionSettings,
): Grid {
  return {
    title: 'Fourth down: go from so many in a hundred on',
    head: [
      'ball on',
      ...DISTANCES.map(({ from, to }) => `& ${from === to ? from : `${from}–${to}`}`),
      'else',
    ],
    rows: [
      [
        plain('ours, 3rd and 4th'),
        ...converted.map((rate) => plain(`${countText(rate)}${rate.n > 0 ? `, ${intervalText(rate)}` : ''}`)),
        plain(''),
      ],
      ...YARDS_TO_GOAL.map((toGoal) => {
        const downs = DISTANCES.map(({ yards }) => fourthDown(toGoal, yards, settings, profile));
        const instead = new Set(downs.flatMap((d) => (d ? [d.instead] : [])));
        return [
          plain(spotWords(toGoal)),
          ...downs.map((down, i): Cell => {
            if (down === null) return plain('–');
            const says = fourthAdvice(down.from, converted[i]!);
            const share = String(Math.round(100 * down.from));
            return {
              words: says === 'go' ? `${share} go` : says === 'no' ? `${share} no` : share,
              bold: says === 'go' || says === 'no',
              filled: says === 'go',
            };
          }),
          plain([...instead].join(' or ')),
        ];
      }),
    ],
  };
}

const LEFT = [1, 2, 3, 4, 6] as const;
function tryGrid(title: string, margins: readonly number[], settings: DecisionSettings): Grid {
  const values = LEFT.map((left) => tryValues(settings, left));
  return {
    title,
    head: ['after the touchdown', ...LEFT.map(String)],
    rows: margins.map((margin) => [
      plain(margin === 0 ? 'level' : margin > 0 ? `up ${margin}` : `down ${-margin}`),
      ...values.map((of): Cell => {
        const advice = tryAdvice(of(margin));
        return { words: advice, bold: advice === '2', filled: advice === '2' };
      }),
    ]),
  };
}

const TIME_OUTS = [0, 1, 2, 3] as const;
const clockGrid = (settings: DecisionSettings, stops: boolean): Grid => ({
  title: 'Kneel it out: clock at or below, by down',
  head: ['their time-outs', '1st', '2nd', '3rd'],
  rows: TIME_OUTS.map((left) => [
    plain(String(left)),
    ...([1, 2, 3] as const).map((down) => ({
      words: formatClock(kneelOut(settings, down, left, stops)),
      bold: true,
    })),
  ]),
});
const CLOCKS = [300, 240, 180, 120] as const;
const timeOutGrid = (settings: DecisionSettings, stops: boolean): Grid => ({
  title: 'They run three times: clock at the punt',
  head: ['our time-outs', ...CLOCKS.map((clock) => `from ${formatClock(clock)}`)],
  rows: TIME_OUTS.map((ours) => [
    plain(String(ours)),
    ...CLOCKS.map((clock): Cell => {
      const left = leftAtPunt(settings, clock, ours, stops);
      return left > 0 ? { words: formatClock(left), bold: true } : plain('none');
    }),
  ]),
});

const FROM_OWN = [10, 20, 30, 40, 50] as const;
function longGrid(settings: DecisionSettings): Grid {
  const from = FROM_OWN.map((own) => longThird(own, settings));
  const begins = (at: number): Cell => plain(spotWords(Math.round(at)));
  return {
    title: `3rd and ${VERY_LONG} or more: where they begin when it fails`,
    head: ['ball on', ...FROM_OWN.map((own) => spotWords(100 - own))],
    rows: [
      [plain('forced'), ...from.map(({ forced }) => begins(forced))],
      [plain('checked down, punt'), ...from.map(({ checked }) => begins(checked))],
      [
        plain('forced costs, yards'),
        ...from.map(({ forced, checked }) => ({ words: tenths(forced - checked), bold: true })),
      ],
    ],
  };
}

const ROW = 12.5;
const PAD = 3;

/** A grid with its title above; the first column wider. */
function gridMarks(
  { title, head, rows }: Grid,
  { x, y, width }: { readonly x: number; readonly y: number; readonly width: number },
  measure: Measure,
): { readonly marks: PageMark[]; readonly bottom: number } {
  const first = width * (head.length > 6 ? 0.17 : head.length > 4 ? 0.32 : 0.25);
  const each = (width - first) / (head.length - 1);
  const left = (c: number): number => (c === 0 ? x : x + first + (c - 1) * each);
  const wide = (c: number): number => (c === 0 ? first : each);
  const marks: PageMark[] = [text(x, y + 10, 11, title, { bold: true })];
  let top = y + 15;
  const row = (cells: readonly Cell[], size: number): void => {
    cells.forEach(({ words, bold = false, filled = false }, c) => {
      marks.push(box(left(c), top, wide(c), ROW, filled));
      if (words === '') return;
      const { mark } = cellText(left(c) + PAD, top + ROW - 4, wide(c) - 2 * PAD, words, measure, {
        most: size,
        least: LEAST_SIZE,
        bold,
      });
      marks.push(filled && mark.mark === 'text' ? { ...mark, ink: 'white' } : mark);
    });
    top += ROW;
  };
  row(
    head.map((words) => ({ words, bold: true })),
    8.5,
  );
  for (const cells of rows) row(cells, 9.5);
  return { marks, bottom: top };
}

/** What a forced throw buys, in conversions. */
const longWords = ({ forcedConverts, checkDownConverts }: DecisionSettings): string => {
  const more = forcedConverts - checkDownConverts;
  return `Forced: ${more < 0 ? '−' : '+'}${Math.abs(more)} in a hundred conversions for the yards it costs.`;
};

const oursWords = (long: LongThrows | null): string =>
  long === null
    ? ''
    : ` Ours: forced ${countText(long.forced)} converted, ${countText(long.intercepted)} intercepted; short ${countText(long.short)} converted.`;

/** What the card rests on, a line each. */
const restsOn = (
  { profile, long }: DecisionsToPrint,
  s: DecisionSettings,
  stops: boolean,
): readonly string[] => [
  `${profile.name}, ${profile.season}. A coach decides; wind, injuries and this day’s kickers are not in these tables, and on fourth down neither are score and clock.`,
  `Fourth down: expected points of first and ten, Carter & Machol 1971, professional; their method of 1978. Kicks made ${s.short}, ${s.middle}, ${s.long} % to 32, 42, 52 yards; a punt ${s.punt} net.`,
  '“go”: our interval lies above the share, “no”: below; a share alone: it does not say, or there are too few.',
  `One point or two: share of games won, ties half, by possessions left, theirs next (method: Sackrowitz 2000). Tries ${s.tryKick} and ${s.tryTwo} %; drives ${s.touchdown} % touchdowns, ${s.fieldGoal} % field goals, both teams. “=”: under 0.2 %.`,
  `Third and very long: a throw forced to the line to gain converts ${s.forcedConverts} %, is intercepted ${s.intercepted} %, ${s.interceptedAt} yards downfield, else we punt; a check-down gains ${s.checkDown} and converts ${s.checkDownConverts} %. ${longWords(s)}${oursWords(long)}`,
  `Clock: a kneel ${s.kneel} s, a run ${s.run} s, ${s.playClock - s.spare} s between plays, in bounds and running${stops ? '; it stops at 2:00' : ''}; kneels to fourth down.`,
];

/** One page; the settings' figures stand on it. */
export function decisionPages(
  card: DecisionsToPrint,
  settings: DecisionSettings,
  paper: Paper,
  measure: Measure,
): SheetPages {
  const { width, height } = PAPERS[paper];
  const inner = width - 2 * MARGIN;
  const half = (inner - 14) / 2;
  const right = MARGIN + half + 14;
  const stops = stopsAtTwo(card.profile);
  const marks = [...headMarks(card, 'decisions', width, measure)];
  if (card.profile.players !== 11) {
    marks.push(
      text(MARGIN, MARGIN + 50, 11, 'These decisions are of eleven-man games, with kicks and punts.'),
    );
    return { width, height, pages: [marks], cut: [] };
  }
  const fourth = gridMarks(fourthGrid(card, settings), { x: MARGIN, y: MARGIN + 32, width: inner }, measure);
  const behind = Array.from({ length: 17 }, (_, i) => -i);
  const ahead = Array.from({ length: 17 }, (_, i) => i + 1);
  const y = fourth.bottom + 8;
  const tries = [
    gridMarks(
      tryGrid('One point or two, by possessions left', behind, settings),
      { x: MARGIN, y, width: half },
      measure,
    ),
    gridMarks(
      tryGrid('One point or two, when we lead', ahead, settings),
      { x: right, y, width: half },
      measure,
    ),
  ];
  const below = Math.max(...tries.map((t) => t.bottom)) + 8;
  const longs = gridMarks(longGrid(settings), { x: MARGIN, y: below, width: inner }, measure);
  const under = longs.bottom + 8;
  const clocks = [
    gridMarks(clockGrid(settings, stops), { x: MARGIN, y: under, width: half }, measure),
    gridMarks(timeOutGrid(settings, stops), { x: right, y: under, width: half }, measure),
  ];
  marks.push(...[fourth, ...tries, longs, ...clocks].flatMap((g) => g.marks));
  let at = Math.max(...clocks.map((c) => c.bottom)) + 12;
  marks.push(line(MARGIN, at - 9, width - MARGIN, at - 9));
  for (const words of restsOn(card, settings, stops))
    for (const part of broken(words, inner, measure)) {
      marks.push(text(MARGIN, at, LEAST_SIZE, part));
      at += 9.5;
    }
  marks.push(text(MARGIN, height - MARGIN + 10, LEAST_SIZE, CAUTION));
  return { width, height, pages: [marks], cut: [] };
}

/** Words in lines of the least size. */
function broken(words: string, room: number, measure: Measure): string[] {
  const lines: string[] = [''];
  for (const word of words.split(' ')) {
    const longer = `${lines[lines.length - 1]!} ${word}`.trim();
    if (measure(longer, LEAST_SIZE, false) <= room) lines[lines.length - 1] = longer;
    else lines.push(word);
  }
  return lines;
}
