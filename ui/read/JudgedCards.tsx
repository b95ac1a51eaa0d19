'use client';
/** Judgments of an offense: which coverage, which men they read, what calls leave behind and return. */
import { useMemo } from 'react';
import { judgedTables, type Beside } from '@/core/read';
import { JudgedCard } from './JudgedCard';

interface JudgedCardsProps extends Pick<Beside, 'snaps' | 'columns' | 'rows' | 'drawn' | 'reps'> {
  readonly onOpen: (place: string) => void;
}

export default function JudgedCards({ snaps, columns, rows, drawn = null, reps, onOpen }: JudgedCardsProps) {
  const tables = useMemo(
    () => judgedTables({ snaps, columns, rows, drawn, ...(reps ? { reps } : {}) }),
    [snaps, columns, rows, drawn, reps],
  );
  return tables.map((table) => <JudgedCard key={table.id} table={table} onOpen={onOpen} />);
}
