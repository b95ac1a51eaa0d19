/** The ways a film is set in two parts. */
export const CONTRASTS = ['half', 'last', 'last3', 'score', 'us'] as const;
export type Contrast = (typeof CONTRASTS)[number];
