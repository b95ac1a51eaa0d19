/**
 * Expected points of first and ten by yards to the goal line: Carter & Machol, Operations Research on Football,
 * Operations Research 19 (1971), professional games; values from memory. Each is of the middle of a band of ten yards.
 */
export const CARTER_MACHOL_1971: readonly (readonly [toGoal: number, points: number])[] = [
  [5, 6.041],
  [15, 4.572],
  [25, 3.681],
  [35, 3.167],
  [45, 2.392],
  [55, 1.538],
  [65, 0.923],
  [75, 0.236],
  [85, -0.637],
  [95, -1.245],
];

/** Between the bands on a straight line; null outside 5 to 95, where the table says nothing. */
export function expectedPoints(toGoal: number): number | null {
  const table = CARTER_MACHOL_1971;
  const above = table.findIndex(([yards]) => yards >= toGoal);
  if (above < 0 || toGoal < table[0]![0]) return null;
  const [x, y] = table[above]!;
  if (x === toGoal) return y;
  const [x0, y0] = table[above - 1]!;
  return y0 + ((toGoal - x0) / (x - x0)) * (y - y0);
}
