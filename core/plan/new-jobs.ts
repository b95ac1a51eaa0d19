/** How much of a play is new to the men who run it: jobs by position that stand on no film of ours. */
import { assignPlay, conceptOf, presentationOf, type Book } from '../book';
import type { LevelProfile } from '../field/profile';
import type { CountedSnap } from '../read';
import type { SnapFields } from '../snap/snap';

/** "LG pull" of each man; null: the book does not draw the play. */
export function jobsOf(book: Book, profile: LevelProfile, fields: SnapFields): string[] | null {
  const def = conceptOf(book, fields);
  const presentation = presentationOf(book, fields);
  if (!def || !presentation) return null;
  const to = fields.direction === 'L' || fields.direction === 'R' ? fields.direction : 'R';
  return [...assignPlay(def, presentation, to, profile).jobs].map(([letter, job]) => `${letter} ${job}`);
}

/** Every job that a man had on some snaps. */
export function jobsSeen(
  book: Book,
  profile: LevelProfile,
  snaps: readonly CountedSnap[],
  rows: Iterable<number>,
): ReadonlySet<string> {
  const seen = new Set<string>();
  const done = new Set<string>();
  for (const row of rows) {
    const { snap } = snaps[row]!;
    const key = JSON.stringify([
      snap.formation,
      snap.formationSide,
      snap.backfield,
      snap.motion,
      snap.motionBy,
      snap.motionSide,
      snap.play,
      snap.concept,
      snap.conceptWeak,
      snap.direction,
    ]);
    if (done.has(key)) continue;
    done.add(key);
    for (const job of jobsOf(book, profile, snap) ?? []) seen.add(job);
  }
  return seen;
}

/** Share of the men whose job in the play is on none of them, 0 to 1; null: not drawn by the book. */
export function newJobShare(
  book: Book,
  profile: LevelProfile,
  fields: SnapFields,
  seen: ReadonlySet<string>,
): number | null {
  const jobs = jobsOf(book, profile, fields);
  return jobs && jobs.length > 0 ? jobs.filter((job) => !seen.has(job)).length / jobs.length : null;
}
