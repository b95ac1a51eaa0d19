/** "1 snap", "2 snaps", "2 passes". */
export const plural = (n: string | number, one: string, many = `${one}s`): string =>
  `${n} ${Number(n) === 1 ? one : many}`;
