'use client';
/** The snaps behind a number of a board. */
import type { Book } from '@/core/book';
import type { LevelProfile } from '@/core/field/profile';
import type { Zone } from '@/core/field/situation';
import { BOARDS, boardReel, compareReel, type Counted, type CountedSnap } from '@/core/read';
import { Reel } from './Reel';

interface BoardReelProps {
  readonly name: string;
  readonly counted: Counted;
  /** The program's team. */
  readonly own: string;
  readonly zones: readonly Zone[];
  readonly snaps: readonly CountedSnap[];
  readonly book: Book;
  readonly profile: LevelProfile;
  readonly gameName: (key: string) => string;
  readonly onClose: () => void;
}

export default function BoardReel({ name, counted, own, zones, snaps, ...rest }: BoardReelProps) {
  const { columns, cellRows } = counted;
  const { title, rows } = name.startsWith('c/')
    ? compareReel(name, columns, cellRows, own, BOARDS, zones)
    : boardReel(name, columns, cellRows, zones);
  return <Reel title={title} snaps={[...rows].map((i) => snaps[i]!)} {...rest} />;
}
