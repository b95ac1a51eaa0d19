'use client';
/** The reel behind a number; its code comes when it is first asked for. */
import type { Book } from '@/core/book';
import type { LevelProfile } from '@/core/field';
import type { CountedSnap } from '@/core/read';
import { part } from '../shared/part';

export interface ReelProps {
  readonly title: string;
  readonly snaps: readonly CountedSnap[];
  readonly book: Book;
  readonly profile: LevelProfile;
  readonly gameName: (key: string) => string;
  readonly onClose: () => void;
}

export const Reel = part<ReelProps>(() => import('./ReelDialog'));
