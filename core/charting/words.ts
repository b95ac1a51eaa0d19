/** Values in words. */
const SIDE: Readonly<Record<string, string>> = { L: 'left', R: 'right' };
export const valueWords = (value: unknown): string =>
  typeof value === 'boolean'
    ? value
      ? 'yes'
      : 'no'
    : (SIDE[String(value)] ?? String(value).replace(/_/g, ' '));
