'use client';
/** The look card; its code comes when it is first asked for. */
import dynamic from 'next/dynamic';
import type { Book } from '@/core/book';
import type { Hash, LevelProfile } from '@/core/field';
import type { SnapFields } from '@/core/snap';
import type { LookAnswer } from './Answers';

export interface LookCardProps {
  readonly book: Book;
  readonly profile: LevelProfile;
  readonly fields: SnapFields;
  readonly hash: Hash | null;
  /** What the other side has answered with, to choose from. */
  readonly answers?: readonly LookAnswer[];
  readonly onClose: () => void;
}

export const LookCard = dynamic<LookCardProps>(() => import('./LookDialog'), { ssr: false });
