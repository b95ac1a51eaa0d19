'use client';
/** The look card of a formation that is counted, with what the other side answered. */
import type { Book } from '@/core/book';
import type { LevelProfile } from '@/core/field/profile';
import { answersIn, type Columns, type LookRow } from '@/core/read';
import { LookCard } from '../look/LookCard';

interface LookOfCardProps {
  readonly columns: Columns;
  readonly look: LookRow;
  readonly book: Book;
  readonly profile: LevelProfile;
  readonly onAnswer: (index: number) => void;
  readonly onClose: () => void;
}

export default function LookOfCard({ columns, look, onAnswer, ...rest }: LookOfCardProps) {
  return (
    <LookCard
      fields={{ formation: look.formation, formationSide: look.side, backfield: look.backfield }}
      hash={null}
      answers={answersIn(columns, look.calls.rows).map((answer, i) => ({
        ...answer,
        onOpen: () => onAnswer(i),
      }))}
      {...rest}
    />
  );
}
