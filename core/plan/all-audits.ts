/** All that is looked for on a sheet of the offense, in the order in which it is said. */
import type { Book } from '../book';
import type { LevelProfile } from '../field/profile';
import type { Columns } from '../read/columns';
import { auditSheet, type Audit } from './audits';
import { bandAudits } from './band-audit';
import { bodyAudits, type Bodies } from './body-audits';
import { bookAudits, type DrawnOf } from './book-audits';
import type { Measure } from './marks';
import type { PracticeSettings } from './practice';
import { practiceAudits } from './practice-audits';
import { probeAudits } from './probe-audits';
import type { StaffPrints } from './prints';
import { quotaAudits } from './quotas';
import type { SectionSpec } from './sections';
import type { PlayCard, PrintedSection, SheetCall } from './sheet';
import type { Sizing } from './sizing';
import { snapAudits } from './snap-audits';
import { ifThenAudits, setupAudits, tellAudits } from './tells-audit';
import { signalAudits } from './word-audits';

export interface AuditedSheet {
  /** In the order of the sheet, so that what is said of them stands in the same order at each visit. */
  readonly calls: readonly SheetCall[];
  readonly numbers: ReadonlyMap<string, number>;
  readonly sections: readonly SectionSpec[];
  readonly printed: readonly PrintedSection[];
  readonly sizes: ReadonlyMap<string, Sizing | null>;
  readonly book: Book;
  readonly level: LevelProfile;
  readonly drawn: DrawnOf;
  readonly figures: StaffPrints;
  /** Our film and play list; null: none is at hand. */
  readonly film: {
    readonly columns: Columns;
    readonly plays: readonly PlayCard[];
    readonly team: string;
    readonly opponent: string;
  } | null;
  /** Null: what a print measures by is still loading. */
  readonly measure: Measure | null;
  /** Who can play; null: who asks may not see it. */
  readonly bodies: Bodies | null;
  /** The week of practice, and what is new in a play; null: not asked for. */
  readonly practice: {
    readonly week: PracticeSettings;
    readonly newJobsOf: (play: PlayCard) => number | null;
  } | null;
}

export const offenseAudits = ({
  calls,
  numbers,
  sections,
  printed,
  sizes,
  book,
  level,
  drawn,
  figures,
  film,
  measure,
  bodies,
  practice,
}: AuditedSheet): Audit[] => [
  ...auditSheet(calls, sizes, sections),
  ...(film
    ? [
        ...setupAudits(calls, numbers, film.plays, film.columns, film.team),
        ...tellAudits(calls, film.columns, film.team),
        ...snapAudits(calls, film.columns, film.team),
        ...probeAudits(calls, sections, drawn, film.columns, film.opponent),
      ]
    : []),
  ...ifThenAudits(calls),
  ...bookAudits(calls, drawn, level, book),
  ...(measure ? bandAudits(printed, figures.band, measure) : []),
  ...(bodies ? bodyAudits(calls, bodies) : []),
  ...(practice ? practiceAudits(calls, practice.week, practice.newJobsOf) : []),
  ...quotaAudits(calls, figures.quotas, drawn),
  ...signalAudits(calls, figures.signals),
];
