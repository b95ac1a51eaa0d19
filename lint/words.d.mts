export const PHRASES: readonly (readonly [phrase: string, instead: string])[];
export function wrongWords(text: string): (readonly [phrase: string, instead: string])[];
