/** A snap's words → the look they mean: the book gives the words their structure, core/look the rest. */
import type { LevelProfile } from '../field/profile';
import {
  fullLook,
  type FullLook,
  type LookInput,
  type LookSettings,
  type OptionCall,
  type OptionKind,
  type RunDef,
} from '../look';
import type { SnapFields } from '../snap/snap';
import { findTerm } from './index-terms';
import { sideOf, taggedWord, wordsInput } from './look-words';
import type { PassDef, PlayDef } from './play';
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
  if (definition?.kind !== 'pass') return null;
  const weak = findTerm(book, 'pass', taggedWord(partial.conceptWeak))?.definition;
  return weak?.kind === 'pass' ? { kind: 'pass', pass: withWeak(definition.pass, weak.pass) } : definition;
}

/** Two concepts in one play: the first on the strong side, the second, as it is run, on the other. */
const withWeak = (pass: PassDef, weak: PassDef): PassDef => ({
  ...pass,
  weak: weak.strong,
  others: { strong: pass.others?.strong ?? [], weak: weak.others?.strong ?? [] },
});

/** What the throw of an option attacks, by its routes; null for a throw that goes with no run. */
export function optionKind(pass: PassDef): OptionKind | null {
  const routes = [...pass.strong, ...pass.weak];
  if (routes.includes('bubble') && pass.type === 'screen') return 'bubble';
  if (routes.includes('now')) return 'bubble';
  if (routes.includes('stick')) return 'stick';
  if (pass.strong[0] === 'bend' || pass.strong[0] === 'slant') return 'glance';
  return pass.strong.includes('seam') ? 'pop' : null;
}

function optionOf(book: Book, partial: SnapFields): OptionCall | null {
  if (partial.play !== 'rpo') return null;
  const definition = findTerm(book, 'pass', taggedWord(partial.conceptWeak))?.definition;
  const kind = definition?.kind === 'pass' ? optionKind(definition.pass) : null;
  return kind ? { kind, side: sideOf(partial.optionSide) } : null;
}

export function lookInput(book: Book, partial: SnapFields, profile: LevelProfile): LookInput {
  const input = wordsInput(book, partial);
  const def = partial.play === 'run' || partial.play === 'rpo' ? runOf(book, partial.concept) : null;
  const to = sideOf(partial.direction);
  if (!def || !to || profile.players !== 11) return input;
  return { ...input, run: { def, to, mover: input.motionBy, option: optionOf(book, partial) } };
}

/** Everything that follows from a snap's words; null without a formation the book can draw. */
export const lookOf = (
  book: Book,
  partial: SnapFields,
  profile: LevelProfile,
  settings?: LookSettings,
): FullLook | null => fullLook(lookInput(book, partial, profile), profile, settings);
