'use client';
/** The snaps behind a number, by its name in the address: of a board, of a comparison, or of what stands above them. */
import type { Book } from '@/core/book';
import type { LevelProfile } from '@/core/field/profile';
import type { Zone } from '@/core/field/situation';
import {
  BOARDS,
  boardReel,
  compareReel,
  driveReel,
  reelOf,
  type Counted,
  type CountedSnap,
} from '@/core/read';
import { Reel } from './Reel';

interface NumberReelProps {
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

export default function NumberReel({ name, counted, own, zones, snaps, ...rest }: NumberReelProps) {
  const { columns, cellRows } = counted;
  const { title, rows } = name.startsWith('c/')
    ? compareReel(name, columns, cellRows, own, BOARDS, zones)
    : name.startsWith('b/')
      ? boardReel(name, columns, cellRows, zones)
      : name.startsWith('v/')
        ? driveReel(name, snaps, counted.rows)
        : reelOf(name, counted);
  return <Reel title={title} snaps={[...rows].map((i) => snaps[i]!)} {...rest} />;
}
