/** Pictures as film holds them: what their defense lined up against, what we called from a line-up. */
import { CODE_NONE, select, wordAt, type Columns } from '../read/columns';

/** Their defensive snaps whose structure is known; those against one. */
export function facedRows(columns: Columns, opponent: string, structure: string | null): Uint32Array {
  const { structureSnap } = columns.text;
  return select(columns, { defense: [opponent] }).filter((i) => {
    const word = wordAt(structureSnap, i);
    return structure === null ? word !== null : word === structure;
  });
}

/** Our snaps from a formation with a motion; null: of which it is known that nobody moved. */
export function linedRows(
  columns: Columns,
  team: string,
  formation: string,
  motion: string | null,
): Uint32Array {
  const { text } = columns;
  return select(columns, { offense: [team] }).filter(
    (i) =>
      wordAt(text.formation, i) === formation &&
      (motion === null ? text.motion.codes[i] === CODE_NONE : wordAt(text.motion, i) === motion),
  );
}
