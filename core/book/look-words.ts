/** A snap's words → what they mean as data; the book gives the words their structure. */
import type { Side } from '../field/spot';
import type { Spot } from '../look/formation';
import { EMPTY_LOOK, type LookInput } from '../look/look-input';
import { isTagged, NONE, type SnapFields } from '../snap/snap';
import type { Presentation } from './presented';
import { findTerm } from './index-terms';
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

export function presentationOf(
  book: Book,
  partial: SnapFields,
): (Presentation & Pick<LookInput, 'second'>) | null {
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
    second: secondOf(book, partial),
  };
}

function secondOf(book: Book, partial: SnapFields): LookInput['second'] {
  const by = taggedWord(partial.motionSecondBy);
  const motion = findTerm(book, 'motion', taggedWord(partial.motionSecond))?.definition;
  return by !== null && motion?.kind === 'motion'
    ? { motion: motion.motion, by, side: sideOf(partial.motionSecondSide) }
    : null;
}

/** What the words of a snap mean before its run: who stands where, front, coverage, pressure, protection. */
export function wordsInput(book: Book, partial: SnapFields): LookInput {
  const presentation = presentationOf(book, partial);
  if (!presentation) return EMPTY_LOOK;
  const front = findTerm(book, 'front', taggedWord(partial.front))?.definition;
  const coverage = findTerm(book, 'coverage', taggedWord(partial.coverage))?.definition;
  const pressure = findTerm(book, 'pressure', taggedWord(partial.pressure))?.definition;
  const protection = findTerm(book, 'protection', taggedWord(partial.protection))?.definition;
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
    protectionSide: sideOf(partial.protectionSide),
    run: null,
  };
}
