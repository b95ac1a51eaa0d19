/** Pages of a report that are no tables: what changed, what drives came to, what gives a play away, what the words mean. */
import 'server-only';
import {
  countText,
  figureText,
  GIVES_AWAY,
  intervalText,
  MOVED_POINTS,
  pictureWords,
  type Changes,
  type EfficiencyFigure,
  type GlossaryWord,
  type OnePlay,
} from '@/core/read';
import { heading, MARGIN, type Pages } from './report-pages';

const MOST_PICTURES = 12;

export interface Since {
  /** "2026-11-26 21:10 UTC". */
  readonly at: string;
  readonly changes: Changes;
  /** Names of games by key. */
  readonly nameOf: (game: string) => string;
}

export function since(pages: Pages, { at, changes, nameOf }: Since): void {
  const { added, gone, snaps, moved, compared, fresh } = changes;
  heading(pages, 'Since the last print', `printed ${at}`);
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

export function drivesAndSeries(
  pages: Pages,
  {
    figures,
    onePlay,
  }: { readonly figures: readonly EfficiencyFigure[]; readonly onePlay: readonly OnePlay[] },
  breaks: boolean,
): void {
  const known = figures.filter((f) => f.value.n > 0);
  if (breaks && known.length + onePlay.length > 0) pages.add();
  if (known.length > 0) {
    heading(
      pages,
      'Drives and series',
      'points added: from first down to first down, Carter and Machol, 1971, professional games',
    );
    for (const { label, value } of known)
      pages.paragraph(
        `${label}: ${'share' in value ? `${countText(value)} (${intervalText(value)})` : `${figureText(value)}, n ${value.n}`}`,
        9.5,
      );
  }
  if (onePlay.length > 0) {
    heading(pages, 'One picture, one play', `more than ${GIVES_AWAY} % of eight snaps or more`);
    for (const { words, concept, rate, add } of onePlay.slice(0, MOST_PICTURES))
      pages.paragraph(
        `${pictureWords(words)}: ${concept} ${countText(rate)} (${intervalText(rate)}); ${add} other ${add === 1 ? 'play' : 'plays'} would hide it.`,
        9.5,
      );
  }
}

/** What the words mean, and how others say them. */
export function glossary(pages: Pages, words: readonly GlossaryWord[], breaks: boolean): void {
  if (breaks) pages.add();
  heading(pages, 'Words of this report', 'as the book has them; other names of the same thing; snaps');
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
