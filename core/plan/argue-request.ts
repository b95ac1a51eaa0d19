/** What a page asks of the worker that measured its film. */
import type { LevelProfile } from '../field/profile';
import type { FilmToMeasure } from '../read/measured-film';
import type { SectionArguments } from './section-arguments';
import type { SectionSpec } from './sections';
import type { PlayCard } from './sheet';

/** Name under which the browser keeps how long each section took. */
export const RANKING = 'plays of a section ranked';

export interface ArgueRequest {
  /** The film, by the number under which it was measured. */
  readonly film: number;
  readonly team: string;
  readonly opponent: string;
  readonly section: SectionSpec;
  readonly plays: readonly PlayCard[];
  /** The field on which the plays are drawn. */
  readonly profile: LevelProfile;
  readonly seed: number;
}
export interface ArgueAnswer {
  readonly structures: ReadonlyMap<string, string | null>;
  readonly argued: SectionArguments;
}
/** Wrinkles of one of our plays. */
export interface WrinkleRequest {
  readonly film: number;
  readonly team: string;
  readonly opponent: string;
  readonly play: PlayCard;
  readonly profile: LevelProfile;
}
export type LooksMessage =
  | {
      readonly id: number;
      readonly film: FilmToMeasure;
      readonly argue?: undefined;
      readonly wrinkles?: undefined;
    }
  | { readonly id: number; readonly argue: ArgueRequest; readonly wrinkles?: undefined }
  | { readonly id: number; readonly wrinkles: WrinkleRequest; readonly argue?: undefined };
