/** A snap's words → the look they mean: the book gives the words their structure, core/look the rest. */
import type { LevelProfile } from '../field/profile';
import type { Side } from '../field/spot';
import { EMPTY_LOOK, fullLook, type FullLook, type LookInput, type LookSettings, type Spot } from '../look';
import { isTagged, NONE, type SnapFields } from '../snap/snap';
import { findTerm } from './index-terms';
import { aimOf, assignRun, type Presentation } from './assignment';
import type { PlayDef, RunDef } from './play';
import type { Book } from './term';

/** A field's word; null when it is blank, none or not visible. */
export const taggedWord = (value: unknown): string | null =>
  typeof value === 'string' && isTagged(value) ? value : null;
export const sideOf = (value: unknown): Side | null => (value === 'L' || value === 'R' ? value : null);

/** The spots of a formation or backfield word; null when the word is unknown or has none. */
export const spotsOf = (
  book: Book,
  kind: 'formation' | 'backfield',
  value: unknown,
): readonly Spot[] | null => findTerm(book, kind, taggedWord(value))?.spots ?? null;

export function presentationOf(book: Book, partial: SnapFields): Presentation | null {
  const formation = spotsOf(book, 'formation', partial.formation);
  if (!formation) return null;
  const motion = findTerm(book, 'motion', taggedWord(partial.motion))?.definition;
  return {
    formation,
    side: sideOf(partial.formationSide),
    backfield: spotsOf(book, 'backfield', partial.backfield),
    motion: motion?.kind === 'motion' ? motion.motion : null,
    motionBy: taggedWord(partial.motion) === null ? null : taggedWord(partial.motionBy),
    motionSide: sideOf(partial.motionSide),
  };
}

/** The run a word stands for, or null. */
export function runOf(book: Book, concept: unknown): RunDef | null {
  const definition = findTerm(book, 'run', taggedWord(concept))?.definition;
  return definition?.kind === 'run' ? definition.run : null;
}

/** What a snap's or a play's concept means: a run unless it was a pass, else a pass. */
export function conceptOf(book: Book, partial: SnapFields): PlayDef | null {
  const run = partial.play === 'pass' ? null : runOf(book, partial.concept);
  if (run) return { kind: 'run', run };
  const definition = findTerm(book, 'pass', taggedWord(partial.concept))?.definition;
  return definition?.kind === 'pass' ? definition : null;
}

export function lookInput(book: Book, partial: SnapFields, profile: LevelProfile): LookInput {
  const presentation = presentationOf(book, partial);
  if (!presentation) return EMPTY_LOOK;
  const front = findTerm(book, 'front', taggedWord(partial.front))?.definition;
  const coverage = findTerm(book, 'coverage', taggedWord(partial.coverage))?.definition;
  const pressure = findTerm(book, 'pressure', taggedWord(partial.pressure))?.definition;
  const protection = findTerm(book, 'protection', taggedWord(partial.protection))?.definition;
  const run = partial.play === 'run' || partial.play === 'rpo' ? runOf(book, partial.concept) : null;
  const to = sideOf(partial.direction);
  const rotation = taggedWord(partial.rotation);
  return {
    ...presentation,
    hash: partial.hash ?? null,
    front: front?.kind === 'front' ? front.front : null,
    coverage: coverage?.kind === 'coverage' ? coverage.coverage : null,
    rotation: rotation as LookInput['rotation'],
    shell: typeof partial.shell === 'number' ? partial.shell : null,
    cornerLeft: typeof partial.cornerLeftDepth === 'number' ? partial.cornerLeftDepth : null,
    cornerRight: typeof partial.cornerRightDepth === 'number' ? partial.cornerRightDepth : null,
    pressure:
      pressure?.kind === 'pressure' ? pressure.pressure : partial.pressure === NONE ? null : undefined,
    protection: protection?.kind === 'protection' ? protection.protection : null,
    protectionSide: null,
    run:
      run && to && profile.players === 11
        ? aimOf(run, assignRun(run, presentation, to, profile), to, partial.play === 'rpo' ? to : null)
        : null,
  };
}

/** Everything that follows from a snap's words; null without a formation the book can draw. */
export const lookOf = (
  book: Book,
  partial: SnapFields,
  profile: LevelProfile,
  settings?: LookSettings,
): FullLook | null => fullLook(lookInput(book, partial, profile), profile, settings);
