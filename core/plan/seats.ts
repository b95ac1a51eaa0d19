/**
 * Seats in proportion to weights by largest remainder (Hamilton's method; Balinski & Young, Fair Representation, 1982),
 * each at least `least` while the seats last, the heaviest first. `weights`: 0 or more, in any unit. Ties go to the one
 * that stands first. Sums to `total` wherever there is anybody to seat.
 */
export function seats(weights: readonly number[], total: number, least = 0): number[] {
  const order = weights.map((_, i) => i).sort((a, b) => weights[b]! - weights[a]! || a - b);
  if (least * weights.length >= total) {
    const out = weights.map(() => 0);
    let left = total;
    for (let round = 0; round < least && left > 0; round++)
      for (const i of order) {
        if (left === 0) break;
        out[i]!++;
        left--;
      }
    return out;
  }
  // Those whose share is less than the least get the least; the others share what is left, until it holds.
  const small = new Set<number>();
  for (;;) {
    const others = order.filter((i) => !small.has(i));
    const weight = others.reduce((sum, i) => sum + weights[i]!, 0);
    const free = total - least * small.size;
    const even = weight === 0;
    const share = (i: number): number => (even ? free / others.length : (free * weights[i]!) / weight);
    const below = others.filter((i) => share(i) < least);
    if (below.length > 0 && below.length < others.length) {
      for (const i of below) small.add(i);
      continue;
    }
    const out = weights.map((_, i) => (small.has(i) ? least : Math.floor(share(i) + 1e-9)));
    let left = total - out.reduce((a, b) => a + b, 0);
    const byRest = [...others].sort(
      (a, b) => share(b) - Math.floor(share(b) + 1e-9) - (share(a) - Math.floor(share(a) + 1e-9)) || a - b,
    );
    for (const i of byRest) {
      if (left <= 0) break;
      out[i]!++;
      left--;
    }
    return out;
  }
}
