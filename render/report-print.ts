/** What a report prints besides its tables: the looks most used, drawn with what was called from each. */
import 'server-only';
import { drawSnap, type Book } from '@/core/book';
import type { LevelProfile } from '@/core/field/profile';
import type { LookSettings } from '@/core/look';
import { countText, lookName, looksOf, type BoardSide, type Columns } from '@/core/read';
import type { Card } from './drawing-pdf';

const MOST_DRAWN = 9;

/** Cards of the formations of an offense; a defense's report draws none. */
export function lookCards(
  columns: Columns,
  rows: Uint32Array,
  side: BoardSide,
  book: Book,
  profile: LevelProfile,
  settings: LookSettings,
): Card[] {
  if (side !== 'offense') return [];
  return looksOf(columns, rows)
    .slice(0, MOST_DRAWN)
    .map((look): Card => {
      const { formation, side: to, backfield, calls } = look;
      const arrows = calls.bySide.flatMap(({ kind, side, rows }) =>
        side === null ? [] : [{ kind, side, n: rows.length }],
      );
      return {
        title: lookName(look),
        lines: [`${calls.rows.length} snaps, run ${countText(calls.run)}`],
        drawing: drawSnap(book, { formation, formationSide: to, backfield }, null, profile, {
          arrows,
          settings,
          crop: true,
        }).drawing,
      };
    });
}
