/** Bodies on the roles of a play: who has which job when it is shown from a look, and what it costs to show it another way. */
import type { Side } from '../field/spot';
import type { LevelProfile } from '../field/profile';
import {
  legality,
  runJobs,
  structure,
  type Job,
  type Man,
  type Route,
  type RunDef,
  type Structure,
  type StrengthRule,
} from '../look';
import { assignPass } from './assign-pass';
import type { PlayDef } from './play';
import { presentedMen, type Assignment, type Presentation } from './presented';

/** Puts bodies on the places of a run. */
export function assignRun(
  def: RunDef,
  presentation: Presentation,
  to: Side,
  profile: LevelProfile,
  order?: readonly StrengthRule[],
): Assignment {
  const { men } = presentedMen(presentation, profile);
  const s = structure(men, null, order, { written: presentation.side });
  const found = runJobs(def, men, s, to, presentation.motionBy);
  const byLetter = <T>(of: ReadonlyMap<Man, T>): Map<string, T> =>
    new Map([...of].map(([man, value]) => [man.letter, value]));
  return {
    men,
    structure: s,
    jobs: byLetter(found.jobs),
    roles: byLetter(found.roles),
    missing: found.missing,
    carrier: found.carrier?.letter ?? null,
    unnamed: [],
    screen: null,
  };
}

export const assignPlay = (
  def: PlayDef,
  presentation: Presentation,
  to: Side,
  profile: LevelProfile,
  order?: readonly StrengthRule[],
  written: Side | null = null,
): Assignment =>
  def.kind === 'run'
    ? assignRun(def.run, presentation, to, profile, order)
    : assignPass(def.pass, presentation, profile, order, written);

export interface JobChange {
  readonly letter: string;
  readonly before: Job | Route | null;
  readonly after: Job | Route;
}

/** Position by position, the men of `b` whose job is another than in `a`, or who had none in it. */
export function changedJobs(assignment: Assignment, b: Assignment): JobChange[] {
  const out: JobChange[] = [];
  for (const man of b.men) {
    const after = b.jobs.get(man.letter)!;
    const before = assignment.jobs.get(man.letter) ?? null;
    if (before !== after) out.push({ letter: man.letter, before, after });
  }
  return out;
}

/** Backs, then attached tight ends, as an alignment shows them. */
export const peopleShown = (structure: Structure): string =>
  `${structure.backfield.backs.length}${structure.left.attached.length + structure.right.attached.length}`;

/** What a defense sees that is new: structure, names of the sides, people as they show, backfield, where the back is, motion. 0: the same picture. */
export function pictureDistance(
  one: { readonly structure: Structure; readonly motion: string | null },
  other: { readonly structure: Structure; readonly motion: string | null },
): number {
  const [x, y] = [one.structure, other.structure];
  const names = (structure: Structure) =>
    new Set([
      ...structure.left.names,
      ...structure.right.names,
      `s${structure.left.surface}${structure.right.surface}`,
    ]);
  const [ours, theirs] = [names(x), names(y)];
  let apart = 0;
  for (const n of ours) if (!theirs.has(n)) apart++;
  for (const n of theirs) if (!ours.has(n)) apart++;
  return (
    (x.label === y.label ? 0 : 2) +
    (peopleShown(x) === peopleShown(y) ? 0 : 1) +
    Math.min(3, apart * 0.5) +
    (x.backfield.set === y.backfield.set && x.backfield.quarterback === y.backfield.quarterback ? 0 : 1.5) +
    (x.back.toTightEnd === y.back.toTightEnd && x.back.toStrength === y.back.toStrength ? 0 : 0.5) +
    (one.motion === other.motion ? 0 : 1)
  );
}

export interface PresentationNote {
  readonly legal: boolean;
  readonly why: readonly string[];
}

/** Whether a picture can be shown: the rulebook's warnings at the snap, and jobs that nobody can take. */
export function presentable(assignment: Assignment, profile: LevelProfile): PresentationNote {
  const why = [
    ...legality(assignment.men, profile).map((n) => n.sentence),
    ...assignment.missing.map((j) => `nobody stands where he could ${j}`),
  ];
  return { legal: why.length === 0, why };
}
