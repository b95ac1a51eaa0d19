'use client';
/** The snaps behind a number, by its name in the address: of a board, of a comparison, or of what stands above them. */
import type { Book } from '@/core/book';
import type { LevelProfile } from '@/core/field/profile';
import type { Zone } from '@/core/field/situation';
import {
  BOARDS,
  boardReel,
  compareReel,
  defenderReel,
  driveReel,
  efficiencyReel,
  judgedReel,
  judgedTables,
  onePlayReel,
  reelOf,
  varietyReel,
  type AdjustBook,
  type Counted,
  type CountedSnap,
  type NamedRows,
} from '@/core/read';
import { Reel } from './Reel';

interface NumberReelProps {
  readonly name: string;
  readonly counted: Counted;
  /** Whose film it is. */
  readonly team: string;
  /** The program's team. */
  readonly own: string;
  readonly zones: readonly Zone[];
  readonly snaps: readonly CountedSnap[];
  readonly drawn: AdjustBook;
  readonly reps: ReadonlyMap<string, number>;
  readonly book: Book;
  readonly profile: LevelProfile;
  readonly gameName: (key: string) => string;
  readonly onClose: () => void;
}

function named({ name, counted, own, zones, snaps, team, drawn, reps }: NumberReelProps): NamedRows {
  const { columns, cellRows, rows, side } = counted;
  switch (name.slice(0, 2)) {
    case 'c/':
      return compareReel(name, columns, cellRows, own, BOARDS, zones);
    case 'b/':
      return boardReel(name, columns, cellRows, zones);
    case 'v/':
      return driveReel(name, snaps, rows);
    case 'y/':
      return varietyReel(name, columns, cellRows);
    case 'p/':
      return defenderReel(name, snaps, cellRows);
    case 'j/':
      return judgedReel(name, judgedTables({ snaps, columns, rows: cellRows, drawn, reps }));
    case 'o/':
      return onePlayReel(name, columns, cellRows);
    case 'e/':
      return efficiencyReel(name, {
        snaps,
        rows,
        team,
        side: side === 'defense' ? 'defense' : 'offense',
      });
    default:
      return reelOf(name, counted);
  }
}

export default function NumberReel(props: NumberReelProps) {
  const { snaps, book, profile, gameName, onClose } = props;
  const { title, rows } = named(props);
  return (
    <Reel
      title={title}
      snaps={[...rows].map((i) => snaps[i]!)}
      book={book}
      profile={profile}
      gameName={gameName}
      onClose={onClose}
    />
  );
}
