/** The ways a film is set in two parts. */
export const CONTRASTS = ['half', 'last', 'last3', 'score', 'us'] as const;
export type Contrast = (typeof CONTRASTS)[number];
export const CONTRAST_WORDS: Readonly<Record<Contrast, string>> = {
  half: '2nd half against 1st',
  last: 'last game against earlier',
  last3: 'last three games against earlier',
  score: 'behind against ahead',
  us: 'against us and against others',
};
