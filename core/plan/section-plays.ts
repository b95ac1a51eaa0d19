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

export function playFitter(book: Book, profile: LevelProfile, settings: LookSettings): Fits {
  const known = new WeakMap<PlayCard, Readonly<Record<string, string | null>>>();
  const saysOf = (play: PlayCard): Readonly<Record<string, string | null>> => {
    let says = known.get(play);
    if (says === undefined) {
      const fields: Snap = {
        ...blankSnap('', '', 0),
        ...playFields(play),
        motion: play.motion ?? NONE,
        direction: play.direction,
      };
      const looks = lookFacts(book, fields, profile, settings);
      says = {
        ...Object.fromEntries(SAID.map((field) => [field, fields[field]])),
        ...callKind(book, fields),
        ...Object.fromEntries(LOOKS.map((fact) => [fact, looks[fact]])),
      };
      known.set(play, says);
    }
    return says;
  };
  const worked: readonly string[] = [...KINDS, ...LOOKS];
  const asked: readonly string[] = [...SAID, ...worked];
  return ({ filter, kinds }, play) => {
    if (kinds.length > 0 && !kinds.includes(play.kind)) return false;
    let sure = true;
    for (const [field, words] of Object.entries(filter ?? {})) {
      if (!asked.includes(field) || !words) continue;
      const says = saysOf(play)[field] ?? null;
      if (says === null) sure &&= !worked.includes(field);
      else if (!words.includes(says)) return false;
    }
    return sure || null;
  };
}
