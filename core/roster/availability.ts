/**
 * Who can play this week: available, limited or out, by whom it is said, and when. Never why: that is between the player
 * and the medical staff, who decide.
 */
import type { RosterEntryInfo } from './roster';

export const AVAILABILITIES = ['available', 'limited', 'out'] as const;
export type Availability = (typeof AVAILABILITIES)[number];
export const AVAILABILITY_SOURCES = ['medical staff', 'coach', 'the player'] as const;
export type AvailabilitySource = (typeof AVAILABILITY_SOURCES)[number];

/** What is said of a player for a week. */
export interface SaidAvailability {
  readonly player: string;
  readonly state: Availability;
  readonly source: AvailabilitySource;
}
export interface AvailabilityInfo extends SaidAvailability {
  /** ISO 8601. */
  readonly at: string;
  /** The member who typed it. */
  readonly by: string;
}
/** What is said of a team's own players; weeks are numbers of the season, null: the staff has set none. */
export interface WeekAvailability {
  readonly week: number | null;
  readonly said: readonly AvailabilityInfo[];
  /** Of the week before, those who are not named in this one. */
  readonly before: readonly AvailabilityInfo[];
}

/**
 * Whom a coach means by a number ("22", "#22"), the letters of a roster, or a name, whole or its last word; by depth, then
 * number. Nobody: an empty list.
 */
export function meantBy<E extends Pick<RosterEntryInfo, 'number' | 'letters' | 'name' | 'depth'>>(
  word: string,
  roster: readonly E[],
): E[] {
  const wanted = word.trim().toLowerCase();
  if (wanted === '') return [];
  const number = /^#?(\d{1,2})$/.exec(wanted)?.[1];
  const matches = (e: E): boolean => {
    if (number !== undefined) return e.number === number;
    const name = e.name?.toLowerCase() ?? '';
    return (
      (e.letters ?? '').toLowerCase().split(/[/,-]/).includes(wanted) ||
      name === wanted ||
      name.split(' ').at(-1) === wanted
    );
  };
  return roster
    .filter(matches)
    .sort((a, b) => (a.depth ?? 99) - (b.depth ?? 99) || Number(a.number) - Number(b.number));
}
