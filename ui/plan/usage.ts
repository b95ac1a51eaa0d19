import type { Sizing } from '@/core/plan';
import { plural } from '@/core/rules/plural';

const expected = ({ expected: { mean, low, high } }: Sizing): string =>
  `expect ${mean.toFixed(1)} a game${low === null ? '' : ` (${low.toFixed(1)}–${high!.toFixed(1)})`}`;

/** Snaps to expect of a section in a game, and on how many games that rests. */
export const usageText = (size: Sizing | null | undefined): string =>
  size ? `${expected(size)}, n ${size.expected.n}` : 'no film';

/** The same, and whose games they are. */
export function filmText(size: Sizing | null | undefined): string {
  if (!size) return 'no film';
  const { ours, theirs } = size;
  const films = [ours && `${plural(ours.n, 'game')} of ours`, theirs && `${theirs.n} of theirs`];
  return [expected(size), ...films.filter(Boolean)].join(', ');
}

/** Calls that stand in a section, and how many are enough. */
export const callsText = (calls: number, size: Sizing | null | undefined): string =>
  size
    ? `${plural(calls, 'call')}, ${size.suggested} ${size.suggested === 1 ? 'is' : 'are'} enough`
    : plural(calls, 'call');

/** The day of an ISO time, as a staff writes it. */
export const formatDay = (at: string): string => at.slice(0, 10);
