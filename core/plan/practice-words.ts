/** "15:30". `minutes`: after midnight; a practice that runs past it goes on counting. */
export const clockOf = (minutes: number): string =>
  `${Math.floor(minutes / 60) % 24}:${String(minutes % 60).padStart(2, '0')}`;
