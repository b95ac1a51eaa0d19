/**
 * The looks of a film measured in one place and used in another: a worker unpacks and measures, the page takes over what
 * it measured. Nearly every snap of a season looks different; all of them are longer than all else together.
 */
import { LOOK_FACT_NAMES, measuredLooks, rememberLooks, type LookFact, type LookFacts } from '../book/facts';
import type { Book } from '../book/term';
import type { LevelProfile } from '../field/profile';
import { unpackSnaps } from '../snap/packed';
import { decodePacked } from '../snap/packed-bytes';
import { countGame } from './counted';
import type { StaffRules } from './staff-rules';

export interface FilmToMeasure {
  readonly book: Book;
  readonly rules: StaffRules;
  /** As they travel, each with the field that it was played on. */
  readonly games: readonly { readonly packed: Uint8Array; readonly profile: LevelProfile }[];
}

/** Looks by their keys: each fact a code into the words, in the order of the facts' names. */
export interface MeasuredLooks {
  readonly keys: readonly string[];
  readonly words: readonly (string | null)[];
  readonly codes: Uint16Array;
}

/** Cost: a look each different snap. */
export function measureFilm({ book, rules, games }: FilmToMeasure): MeasuredLooks {
  for (const { packed, profile } of games)
    for (const counted of countGame(unpackSnaps(decodePacked(packed)), profile, book, rules))
      void counted.look;
  const looks = measuredLooks(book, rules.look);
  const codeOf = new Map<string | null, number>();
  const codes = new Uint16Array(looks.size * LOOK_FACT_NAMES.length);
  let at = 0;
  for (const facts of looks.values())
    for (const name of LOOK_FACT_NAMES) {
      let code = codeOf.get(facts[name]);
      if (code === undefined) codeOf.set(facts[name], (code = codeOf.size));
      codes[at++] = code;
    }
  return { keys: [...looks.keys()], words: [...codeOf.keys()], codes };
}

/** What was measured elsewhere of the same book and rules is known here. */
export function takeMeasured(book: Book, rules: StaffRules, { keys, words, codes }: MeasuredLooks): void {
  const wide = LOOK_FACT_NAMES.length;
  rememberLooks(
    book,
    rules.look,
    keys.map((key, i) => {
      const facts = {} as Record<LookFact, string | null>;
      for (let f = 0; f < wide; f++) facts[LOOK_FACT_NAMES[f]!] = words[codes[i * wide + f]!]!;
      return [key, facts as LookFacts] as const;
    }),
  );
}
