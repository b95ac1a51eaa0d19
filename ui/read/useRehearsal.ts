'use client';
import { useEffect } from 'react';
import { FIRST_VALUE, rowsAt, situationBoard, type BoardSide, type Columns } from '@/core/read';

/** Counts of a choice until its loops are compiled, about. */
const TIMES = 6;

/**
 * The first choices of a filter would wait for their columns to be made and their code to be compiled: some are counted
 * beforehand, one each time the browser has nothing to do. Nothing of them is kept or drawn.
 */
export function useRehearsal(columns: Columns, team: string, side: BoardSide): void {
  useEffect(() => {
    if (typeof requestIdleCallback !== 'function') return undefined;
    const { words } = columns.text.personnel;
    let done = 0;
    const next = (): number =>
      requestIdleCallback(() => {
        const personnel = words.slice(FIRST_VALUE + done, FIRST_VALUE + done + 1);
        situationBoard(
          columns,
          rowsAt(columns, { team, side, filter: { personnel }, ranges: {}, cell: null }, []),
        );
        if (++done < TIMES) id = next();
      });
    let id = next();
    return () => cancelIdleCallback(id);
  }, [columns, team, side]);
}
