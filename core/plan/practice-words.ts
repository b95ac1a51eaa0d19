/** "15:30". `minutes`: after midnight; a practice that runs past it goes on counting. */
export const clockOf = (minutes: number): string =>
  `${Math.floor(minutes / 60) % 24}:${String(minutes % 60).padStart(2, '0')}`;

const DAY_MS = 86_400_000;
/** "3 days to the game on 2026-11-06". `now`: the day counts in UTC, as the date was written. */
export function countdown(game: string | null, now: Date): string {
  if (game === null) return 'the day of the game is not said yet';
  const days = Math.round(
    (Date.parse(`${game}T00:00:00Z`) - Date.parse(now.toISOString().slice(0, 10))) / DAY_MS,
  );
  if (days === 0) return 'the game is today';
  if (days < 0) return `the game was on ${game}`;
  return `${days} ${days === 1 ? 'day' : 'days'} to the game on ${game}`;
}
