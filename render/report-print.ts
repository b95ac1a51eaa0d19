/** What a report prints besides its tables: the looks most used, drawn with what was called from each. */
import 'server-only';
import { plural } from '@/core/rules/plural';
import { drawSnap, type Book } from '@/core/book';
import type { LevelProfile } from '@/core/field/profile';
import type { LookSettings } from '@/core/look';
import {
  countText,
  defenseBoard,
  drawnUse,
  intervalText,
  lookName,
  looksOf,
  playedAgainst,
  playedCards,
  playedFields,
  saidWhole,
  structureWords,
  usesOf,
  type BoardSide,
  type Columns,
} from '@/core/read';
import type { Card } from './drawing-pdf';

const MOST_DRAWN = { offense: 9, defense: 8 } as const;

/** Cards of the formations of an offense; of a defense, what it answers each structure with most. */
export function lookCards(
  columns: Columns,
  rows: Uint32Array,
  side: BoardSide,
  book: Book,
  profile: LevelProfile,
  settings: LookSettings,
): Card[] {
  if (side === 'defense') return playedDrawn(columns, rows, book, profile, settings);
  if (side !== 'offense') return [];
  return looksOf(columns, rows)
    .slice(0, MOST_DRAWN.offense)
    .map((look): Card => {
      const { formation, side: to, backfield, calls } = look;
      const uses = usesOf(columns, calls).map(drawnUse);
      return {
        title: lookName(look),
        lines: [`${plural(calls.rows.length, 'snap')}, run ${countText(calls.run)}`],
        drawing: drawSnap(book, { formation, formationSide: to, backfield }, null, profile, {
          uses,
          settings,
          crop: true,
        }).drawing,
      };
    });
}

function playedDrawn(
  columns: Columns,
  rows: Uint32Array,
  book: Book,
  profile: LevelProfile,
  settings: LookSettings,
): Card[] {
  return defenseBoard(columns, rows)
    .structures.slice(0, MOST_DRAWN.defense)
    .flatMap((structure): Card[] => {
      const [card] = playedCards(columns, structure.rows, 1);
      if (!card) return [];
      return [
        {
          title: `${structureWords(structure)}: ${card.words}`,
          lines: [
            `${countText(card.rate)} snaps (${intervalText(card.rate)}), ${playedAgainst(card)}`,
            // Two a line: a third would be cut off.
            ...[0, 2, 4].map((i) =>
              card.said
                .slice(i, i + 2)
                .map(saidWhole)
                .join(', '),
            ),
          ].filter((line) => line !== ''),
          drawing: drawSnap(book, playedFields(card), null, profile, {
            settings,
            crop: true,
            jobs: true,
            lanes: true,
          }).drawing,
        },
      ];
    });
}
