/** A cell of the defense's board: a mark a snap as long as they can be told apart, a bar a family where they are too many. */
import { FAMILIES, SITUATION_CLASSES, type DefenseBoard, type DefenseMark, type Family } from './defense';

/** Marks that a cell holds; where one has more, all cells are bars of one scale. */
export const MOST_CELL_MARKS = 48;

export interface FamilyCount {
  readonly family: Family;
  readonly n: number;
  /** Of them with five or more; the rest had fewer or is not tagged. */
  readonly five: number;
}
/** What a cell says, by family; they sum to its marks. */
export const familyCounts = (marks: readonly DefenseMark[]): FamilyCount[] =>
  FAMILIES.map((family) => {
    const of = marks.filter((m) => m.family === family);
    return { family, n: of.length, five: of.filter((m) => m.five === true).length };
  });

/** The most snaps of one family in a cell, where cells are bars; null: a mark a snap. */
export function barScale({ structures }: DefenseBoard): number | null {
  const cells = structures.flatMap((s) => SITUATION_CLASSES.map(({ key }) => s.cells[key]));
  if (cells.every((marks) => marks.length <= MOST_CELL_MARKS)) return null;
  return Math.max(...cells.flatMap((marks) => familyCounts(marks).map((f) => f.n)));
}
