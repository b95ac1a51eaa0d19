/** An address with other words; null takes one away. */
export function withWords(query: string, words: Readonly<Record<string, string | null>>): string {
  const params = new URLSearchParams(query);
  for (const [key, value] of Object.entries(words)) {
    if (value === null) params.delete(key);
    else params.set(key, value);
  }
  return params.toString();
}
