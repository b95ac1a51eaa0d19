/** The ways a film is set in two parts. */
export const CONTRASTS = ['half', 'last', 'last3', 'score', 'us'] as const;
/** A number in against out: "in:22"; "in:" asks it of nobody yet. */
type InContrast = `in:${string}`;
export type PlainContrast = (typeof CONTRASTS)[number];
export type Contrast = PlainContrast | InContrast;

const IN = /^in:(\d{0,2})$/;
/** The number whose presence sets the film apart; null: another contrast. */
export const numberOf = (contrast: string): string | null => IN.exec(contrast)?.[1] ?? null;

/** A contrast as it stands in an address; null: none of them. */
export const readContrast = (text: string | null): Contrast | null =>
  CONTRASTS.find((c) => c === text) ?? (text !== null && IN.test(text) ? (text as InContrast) : null);
