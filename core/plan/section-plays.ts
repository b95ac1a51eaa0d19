/** Which plays a section is for: what its filter says of the call itself a play must be. */
import { callKind, lookFacts, type Book, type CallKind, type LookFact } from '../book';
import type { LevelProfile } from '../field/profile';
import type { LookSettings } from '../look';
import { blankSnap } from '../snap/fields';
import { NONE, type Snap } from '../snap/snap';
import { playFields, type Fits, type PlayCard } from './sheet';

/** Words of the call; one that a play leaves open is free, and no motion is none. */
const SAID = ['play', 'personnel', 'formation', 'backfield', 'motion', 'concept', 'direction'] as const;
const KINDS = ['passType', 'attack', 'gap'] as const satisfies readonly (keyof CallKind)[];
/** What follows from the drawing wherever the ball lies. */
const LOOKS = [
  'structure',
  'structureSnap',
  'lineBalance',
  'backTo',
  'backfieldSet',
] as const satisfies readonly LookFact[];

const among = <T extends string>(list: readonly T[], field: string): field is T =>
  (list as readonly string[]).includes(field);

/** Only what a filter asks for is worked out: a drawing of each play of a long list would be felt. */
export function playFitter(book: Book, profile: LevelProfile, settings: LookSettings): Fits {
  const snapOf = (play: PlayCard): Snap => ({
    ...blankSnap('', '', 0),
    ...playFields(play),
    motion: play.motion ?? NONE,
    direction: play.direction,
  });
  /** Undefined: a play leaves it open; null: the book does not say. */
  const saysOf = (play: PlayCard, field: string): string | null | undefined => {
    if (among(SAID, field)) return snapOf(play)[field] ?? undefined;
    if (among(KINDS, field)) return callKind(book, snapOf(play))[field];
    if (among(LOOKS, field)) return lookFacts(book, snapOf(play), profile, settings)[field];
    return undefined;
  };
  return ({ filter, kinds }, play) => {
    if (kinds.length > 0 && !kinds.includes(play.kind)) return false;
    let sure = true;
    for (const [field, words] of Object.entries(filter ?? {})) {
      const says = saysOf(play, field);
      if (says === undefined || !words) continue;
      if (says === null) sure = false;
      else if (!words.includes(says)) return false;
    }
    return sure || null;
  };
}
