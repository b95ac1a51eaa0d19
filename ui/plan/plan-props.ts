/** What the page of a sheet brings, whichever side of the ball it is for. */
import type { FilmGames } from '@/client/film';
import type { Book } from '@/core/book';
import type { SheetDetail } from '@/core/exchange/types';
import type { LevelKey, Profiles } from '@/core/field/profile';
import type {
  Bodies,
  EarlierSheet,
  Noted,
  PlayCard,
  PracticeSettings,
  SectionSpec,
  StaffPrints,
  TeamHeft,
} from '@/core/plan';
import type { Pulled } from '@/core/sync';
import type { VersionDoors } from './VersionsForm';

export interface PlanScreenProps {
  readonly sheet: SheetDetail;
  readonly rows: Pulled;
  readonly plays: readonly PlayCard[];
  readonly team: string;
  readonly teamName: string;
  readonly opponentName: string;
  readonly book: Book;
  readonly level: LevelKey;
  readonly profiles: Profiles;
  readonly games: FilmGames;
  readonly practice: PracticeSettings;
  readonly figures: StaffPrints;
  /** Null: this member may not. */
  readonly saveFigures: ((figures: StaffPrints, before: StaffPrints) => Promise<string | null>) | null;
  /** What the staff noted in Read of the opponent. */
  readonly noted: readonly Noted[];
  /** Our roster and who can play this week; null: this member may not see it. */
  readonly bodies: Bodies | null;
  readonly able: {
    readonly draft: boolean;
    readonly locked: boolean;
    readonly lock: boolean;
    readonly remark: boolean;
  };
  readonly copy: () => Promise<string>;
  readonly versions: VersionDoors;
  readonly saveTemplate: (sections: readonly SectionSpec[]) => Promise<string | null>;
  /** Other sheets of the offense with their calls; or why they cannot be read. */
  readonly earlier: () => Promise<readonly EarlierSheet[] | string>;
  /** How heavy the lines of all teams are; or why it cannot be read. */
  readonly weighTeams: () => Promise<readonly TeamHeft[] | string>;
  /** The mix of calls that is sure of the most, by their success against each look; or why there is none. */
  readonly mixOf: (payoff: readonly (readonly number[])[]) => Promise<readonly number[] | string>;
}
