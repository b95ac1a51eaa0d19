/** What a sheet asks of the week: repetitions against the minutes there are, jobs that stand on no film of ours. */
import { plural } from '../rules/plural';
import type { Audit } from './audits';
import type { PracticeSettings } from './practice';
import type { PlayCard, SheetCall } from './sheet';

/** Repetitions that the week has room for. */
export const roomInWeek = ({ days, pace }: Pick<PracticeSettings, 'days' | 'pace'>): number =>
  days
    .flatMap((d) => d.periods)
    .filter((p) => p.kind !== 'drill')
    .reduce((sum, p) => sum + Math.floor(p.minutes * pace), 0);

/** `newJobsOf`: share of a play's men whose job in it is on no film, 0 to 1; null: the book does not draw it. */
export function practiceAudits(
  calls: readonly SheetCall[],
  week: PracticeSettings,
  newJobsOf: (play: PlayCard) => number | null,
): Audit[] {
  const out: Audit[] = [];
  const plays = [...new Map(calls.map((c) => [c.play.id, c.play])).values()];
  const [need, room] = [plays.length * week.enough, roomInWeek(week)];
  if (need > room && room > 0)
    out.push({
      code: 'reps',
      section: null,
      calls: calls.map((c) => c.id),
      facts: { need, room, plays: plays.length },
      sentence: `${plural(plays.length, 'play')} at ${plural(week.enough, 'repetition')} each are ${need}; the week has room for ${room}, enough for ${plural(Math.floor(room / week.enough), 'play')}.`,
    });
  const fresh = plays.filter((play) => (newJobsOf(play) ?? 0) >= week.newShare && (newJobsOf(play) ?? 0) > 0);
  if (fresh.length > 0)
    out.push({
      code: 'new_jobs',
      section: null,
      calls: calls.filter((c) => fresh.includes(c.play)).map((c) => c.id),
      facts: { plays: fresh.length, share: week.newShare },
      sentence: `Jobs that are on no film of ours: ${fresh.map((p) => `“${p.name}” ${Math.round(100 * newJobsOf(p)!)} % of the men`).join(', ')}. The staff calls a play new from ${Math.round(100 * week.newShare)} % on.`,
    });
  return out;
}
