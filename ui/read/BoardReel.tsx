'use client';
/** The snaps behind a number of a board. */
import type { Book } from '@/core/book';
import type { LevelProfile } from '@/core/field/profile';
import type { Zone } from '@/core/field/situation';
import { boardReel, type Counted, type CountedSnap } from '@/core/read';
import { Reel } from './Reel';

interface BoardReelProps {
  readonly name: string;
  readonly counted: Counted;
  readonly zones: readonly Zone[];
  readonly snaps: readonly CountedSnap[];
  readonly book: Book;
  readonly profile: LevelProfile;
  readonly gameName: (key: string) => string;
  readonly onClose: () => void;
}

export default function BoardReel({ name, counted, zones, snaps, ...rest }: BoardReelProps) {
  const { title, rows } = boardReel(name, counted.columns, counted.cellRows, zones);
  return <Reel title={title} snaps={[...rows].map((i) => snaps[i]!)} {...rest} />;
}
