/** "tight trips, tt" as a list. */
export const listOf = (text: string): string[] =>
  text
    .split(',')
    .map((part) => part.trim())
    .filter(Boolean);
