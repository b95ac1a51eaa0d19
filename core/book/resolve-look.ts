/** A snap's words → the look they mean: the book gives the words their structure, core/look the rest. */
import type { LevelProfile } from '../field/profile';
import { fullLook, type FullLook, type LookInput, type LookSettings } from '../look';
import type { SnapFields } from '../snap/snap';
import { findTerm } from './index-terms';
import { aimOf, assignRun } from './assignment';
import { presentationOf, sideOf, taggedWord, wordsInput } from './look-words';
import type { PlayDef, RunDef } from './play';
import type { Book } from './term';

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
  const input = wordsInput(book, partial);
  const run = partial.play === 'run' || partial.play === 'rpo' ? runOf(book, partial.concept) : null;
  const to = sideOf(partial.direction);
  const presentation = run && to && profile.players === 11 ? presentationOf(book, partial) : null;
  return presentation
    ? {
        ...input,
        run: aimOf(
          run!,
          assignRun(run!, presentation, to!, profile),
          to!,
          partial.play === 'rpo' ? to : null,
        ),
      }
    : input;
}

/** Everything that follows from a snap's words; null without a formation the book can draw. */
export const lookOf = (
  book: Book,
  partial: SnapFields,
  profile: LevelProfile,
  settings?: LookSettings,
): FullLook | null => fullLook(lookInput(book, partial, profile), profile, settings);
