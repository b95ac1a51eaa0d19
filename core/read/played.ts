/** What a defense answered with, card by card: shown before the snap, rotated to, who came, and what came of it. */
import type { SnapFields } from '../snap/snap';
import { answersIn, type Answered } from './answers';
import { looksOf, type LookRow } from './board';
import { groupBy } from './cells';
import { CODE_NONE, FIRST_VALUE, type Columns } from './columns';
import { shellWords } from './defense';
import type { FilterField } from './filters';
import { rateAmong } from './outcomes';
import { countText, intervalText, rateOf, type Rate } from './rates';
import { answerWords, lookName } from './reels';

/** A word most used among some snaps that are tagged, or a yes of those that say. */
export interface Said {
  readonly key: 'shell' | 'rotation' | 'pressure' | 'five' | 'success';
  readonly words: string;
  readonly rate: Rate;
  readonly rows: Uint32Array;
  /** As it is tagged; null for a yes. */
  readonly word: string | null;
}

export interface PlayedCard extends Answered {
  readonly words: string;
  /** The formation it was seen against most; null: none is tagged. */
  readonly look: LookRow | null;
  readonly said: readonly Said[];
}

const ROTATES: Readonly<Record<string, string>> = {
  strong: 'rotates to strength',
  weak: 'rotates away from strength',
  field: 'rotates to the field',
  boundary: 'rotates into the boundary',
  motion: 'rotates to the motion',
};

function mostUsed(
  columns: Columns,
  rows: Uint32Array,
  field: FilterField & Said['key'],
  none: string | null,
): Said | null {
  const { codes, words } = columns.text[field];
  // None is an answer; blank and not visible say nothing.
  const says = (row: number): boolean =>
    codes[row]! >= FIRST_VALUE || (none !== null && codes[row] === CODE_NONE);
  const tagged = rows.filter(says);
  const first = groupBy(columns, tagged, [field], true)[0];
  if (!first) return null;
  const code = codes[first.rows[0]!]!;
  const found = tagged.filter((row) => codes[row] === code);
  const others = tagged.filter((row) => codes[row] !== code);
  const word = words[code]!;
  const said =
    code < FIRST_VALUE
      ? none!
      : field === 'shell'
        ? `${shellWords(word)} shown`
        : field === 'rotation'
          ? (ROTATES[word] ?? word)
          : word;
  const rate = rateOf(columns.weight, found, others);
  return { key: field, words: said, rate, rows: found, word: code < FIRST_VALUE ? null : word };
}

/** Fronts with their coverages among some snaps, most used first, each with what the film says of it. Linear. */
export function playedCards(columns: Columns, rows: Uint32Array, most: number): PlayedCard[] {
  return answersIn(columns, rows, most).map((answer): PlayedCard => {
    const yes = (key: 'five' | 'success', words: string): Said | null => {
      const { rate, hits } = rateAmong(columns, answer.rows, key);
      return rate.n === 0 ? null : { key, words, rate, rows: hits, word: null };
    };
    return {
      ...answer,
      words: answerWords(answer),
      look: looksOf(columns, answer.rows)[0] ?? null,
      said: [
        mostUsed(columns, answer.rows, 'shell', null),
        mostUsed(columns, answer.rows, 'rotation', 'no rotation'),
        mostUsed(columns, answer.rows, 'pressure', 'no pressure'),
        yes('five', 'five or more came'),
        yes('success', 'successful against it'),
      ].filter((s) => s !== null),
    };
  });
}

/** Only what most of its snaps show is drawn. */
const usual = ({ said }: PlayedCard, key: Said['key']): string | null => {
  const found = said.find((s) => s.key === key);
  return found && 2 * found.rate.k > found.rate.n ? found.word : null;
};

/** The words that a card is drawn from. */
export function playedFields(card: PlayedCard): SnapFields {
  const { look, front, coverage } = card;
  const [shell, rotation, pressure] = [
    usual(card, 'shell'),
    usual(card, 'rotation'),
    usual(card, 'pressure'),
  ];
  return {
    formation: look?.formation ?? null,
    formationSide: look?.side ?? null,
    backfield: look?.backfield ?? null,
    front,
    coverage,
    ...(shell === null ? {} : { shell: Number(shell) }),
    ...(rotation === null ? {} : { rotation: rotation as SnapFields['rotation'] }),
    ...(pressure === null ? {} : { pressure }),
  };
}

/** "two high shown 20 of 24", and with its interval. */
export const saidText = ({ words, rate }: Said): string => `${words} ${countText(rate)}`;
export const saidWhole = (said: Said): string => `${saidText(said)} (${intervalText(said.rate)})`;

/** What a card is drawn against. */
export const playedAgainst = ({ look }: PlayedCard): string => (look ? `against ${lookName(look)}` : '');

/** Snaps of a card, "<n>", or of a part of it, "<n>/<part>". */
export function playedReel(
  cards: readonly PlayedCard[],
  which: string,
  key: string,
): { readonly title: string; readonly rows: Uint32Array } {
  const card = cards[Number(which)];
  if (!card) return { title: '', rows: new Uint32Array(0) };
  const said = card.said.find((s) => s.key === key);
  return said
    ? { title: `${card.words}: ${said.words}`, rows: said.rows }
    : { title: card.words, rows: card.rows };
}
