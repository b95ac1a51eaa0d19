'use client';
/** The look card; its code comes when it is first asked for. */
import type { Book } from '@/core/book';
import type { Hash, LevelProfile } from '@/core/field';
import type { SnapFields } from '@/core/snap';
import type { LookAnswer } from './Answers';
import { part } from '../shared/part';

export interface LookCardProps {
  readonly book: Book;
  readonly profile: LevelProfile;
  readonly fields: SnapFields;
  readonly hash: Hash | null;
  /** What the other side has answered with, to choose from. */
  readonly answers?: readonly LookAnswer[];
  readonly onClose: () => void;
}

export const LookCard = part<LookCardProps>(() => import('./LookDialog'));
