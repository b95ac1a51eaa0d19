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

export function presentationOf(book: Book, f: SnapFields): Presentation | null {
  const formation = spotsOf(book, 'formation', f.formation);
  if (!formation) return null;
  const motion = findTerm(book, 'motion', taggedWord(f.motion))?.definition;
  return {
    formation,
    side: sideOf(f.formationSide),
    backfield: spotsOf(book, 'backfield', f.backfield),
    motion: motion?.kind === 'motion' ? motion.motion : null,
    motionBy: taggedWord(f.motion) === null ? null : taggedWord(f.motionBy),
    motionSide: sideOf(f.motionSide),
  };
}

/** The run a word stands for, or null. */
export function runOf(book: Book, concept: unknown): RunDef | null {
  const d = findTerm(book, 'run', taggedWord(concept))?.definition;
  return d?.kind === 'run' ? d.run : null;
}

/** What a snap's or a play's concept means: a run unless it was a pass, else a pass. */
export function conceptOf(book: Book, f: SnapFields): PlayDef | null {
  const run = f.play === 'pass' ? null : runOf(book, f.concept);
  if (run) return { kind: 'run', run };
  const d = findTerm(book, 'pass', taggedWord(f.concept))?.definition;
  return d?.kind === 'pass' ? d : null;
}

export function lookInput(book: Book, f: SnapFields, profile: LevelProfile): LookInput {
  const p = presentationOf(book, f);
  if (!p) return EMPTY_LOOK;
  const front = findTerm(book, 'front', taggedWord(f.front))?.definition;
  const coverage = findTerm(book, 'coverage', taggedWord(f.coverage))?.definition;
  const pressure = findTerm(book, 'pressure', taggedWord(f.pressure))?.definition;
  const protection = findTerm(book, 'protection', taggedWord(f.protection))?.definition;
  const run = f.play === 'run' || f.play === 'rpo' ? runOf(book, f.concept) : null;
  const to = sideOf(f.direction);
  const rotation = taggedWord(f.rotation);
  return {
    ...p,
    hash: f.hash ?? null,
    front: front?.kind === 'front' ? front.front : null,
    coverage: coverage?.kind === 'coverage' ? coverage.coverage : null,
    rotation: rotation as LookInput['rotation'],
    shell: typeof f.shell === 'number' ? f.shell : null,
    cornerLeft: typeof f.cornerLeftDepth === 'number' ? f.cornerLeftDepth : null,
    cornerRight: typeof f.cornerRightDepth === 'number' ? f.cornerRightDepth : null,
    pressure: pressure?.kind === 'pressure' ? pressure.pressure : f.pressure === NONE ? null : undefined,
    protection: protection?.kind === 'protection' ? protection.protection : null,
    protectionSide: null,
    run:
      run && to && profile.players === 11
        ? aimOf(run, assignRun(run, p, to, profile), to, f.play === 'rpo' ? to : null)
        : null,
  };
}

/** Everything that follows from a snap's words; null without a formation the book can draw. */
export const lookOf = (
  book: Book,
  f: SnapFields,
  profile: LevelProfile,
  settings?: LookSettings,
): FullLook | null => fullLook(lookInput(book, f, profile), profile, settings);
