/** A stored word as it is read aloud. */
export const wordOf = (word: string): string => word.replace(/_/g, ' ');
