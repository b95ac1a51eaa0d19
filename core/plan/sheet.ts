/** The call sheet: sections by situation, numbered calls, what to expect, what to suggest. */
import { BUCKET_ROWS, type BucketKey } from '../field/situation';
import { FIRST_VALUE, select, type Columns, type Filter } from '../read/columns';
import { wilson, type Rate } from '../read/rates';
import type { SnapFields } from '../snap/snap';

export interface SectionSpec {
  readonly key: string;
  readonly label: string;
  readonly buckets: readonly BucketKey[];
  /** Yards to goal, both ends included; null: anywhere. */
  readonly yards: { readonly from: number; readonly to: number } | null;
}

const away = { from: 16, to: 99 };
const bucketsOf = (prefix: string): BucketKey[] =>
  BUCKET_ROWS.map((r) => r.key).filter((k) => k.startsWith(prefix));

/** Sections of a new sheet. They overlap by purpose: a coach looks a situation up under its own name. */
export const SECTIONS: readonly SectionSpec[] = [
  { key: 'openers', label: 'Openers', buckets: ['fresh'], yards: null },
  { key: 'first', label: '1st & 10', buckets: ['fresh', '1-10'], yards: away },
  { key: 'second-long', label: '2nd long', buckets: ['2-long'], yards: away },
  { key: 'second-medium', label: '2nd medium', buckets: ['2-medium'], yards: away },
  { key: 'second-short', label: '2nd short', buckets: ['2-short'], yards: away },
  { key: 'third-long', label: '3rd long', buckets: ['3-long', '3-xlong'], yards: away },
  { key: 'third-medium', label: '3rd medium', buckets: ['3-medium'], yards: away },
  { key: 'third-short', label: '3rd and 4th short', buckets: ['3-short', '4-short'], yards: away },
  { key: 'red', label: 'Red, their 15 to 4', buckets: [], yards: { from: 4, to: 15 } },
  { key: 'goal', label: 'Goal line', buckets: [], yards: { from: 1, to: 3 } },
  { key: 'backed', label: 'Backed up', buckets: [], yards: { from: 91, to: 99 } },
  { key: 'two-point', label: 'Two-point try', buckets: bucketsOf('try'), yards: null },
];
export const SECTION_KEYS = SECTIONS.map((s) => s.key);
export const findSection = (key: string): SectionSpec | null => SECTIONS.find((s) => s.key === key) ?? null;

export const LINK_KINDS = ['set-up', 'complement'] as const;
/** A set-up must have been shown `least` times before the play pays; a complement punishes what takes the play away. */
export interface PlayLink {
  readonly kind: (typeof LINK_KINDS)[number];
  readonly play: string;
  readonly least: number;
  /** What in the defense's picture calls for the complement. */
  readonly trigger: string | null;
}

export interface PlayCard {
  readonly id: string;
  readonly name: string;
  readonly kind: 'run' | 'pass' | 'rpo' | 'other';
  readonly personnel: string | null;
  readonly formation: string | null;
  readonly formationSide: 'L' | 'R' | null;
  readonly motion: string | null;
  readonly motionBy: string | null;
  readonly concept: string;
  readonly conceptWeak: string | null;
  readonly direction: 'L' | 'R' | null;
  readonly backfield: string | null;
  readonly links: readonly PlayLink[];
}

/** How a call reads on the sheet: "11 trips R, H jet · power R". */
export function playLook(playCard: PlayCard): string {
  const formation =
    playCard.formation === null
      ? ''
      : `${playCard.formation}${playCard.formationSide ? ` ${playCard.formationSide}` : ''}${playCard.backfield ? `, ${playCard.backfield}` : ''}`;
  const motion =
    playCard.motion === null ? '' : `, ${playCard.motionBy ? `${playCard.motionBy} ` : ''}${playCard.motion}`;
  return [playCard.personnel, `${formation}${motion}`].filter(Boolean).join(' ') || 'any look';
}
export const playCall = (playCard: PlayCard): string =>
  `${playCard.concept}${playCard.conceptWeak ? (playCard.kind === 'rpo' ? ` ~ ${playCard.conceptWeak}` : ` / ${playCard.conceptWeak}`) : ''}${playCard.direction ? ` ${playCard.direction}` : ''}`;

/** A play as the words of a snap: what the book draws it from. */
export const playFields = (playCard: PlayCard): SnapFields => ({
  formation: playCard.formation,
  formationSide: playCard.formationSide,
  backfield: playCard.backfield,
  motion: playCard.motion,
  motionBy: playCard.motionBy,
  concept: playCard.concept,
  conceptWeak: playCard.conceptWeak,
  direction: playCard.direction ?? (playCard.kind === 'pass' ? null : (playCard.formationSide ?? 'R')),
  play: playCard.kind,
  ...(playCard.personnel ? { personnel: playCard.personnel } : {}),
});

export interface Suggestion {
  readonly play: PlayCard;
  /** Success of the same concept in this situation, own film. */
  readonly here: Rate;
  readonly hereRows: Uint32Array;
  /** Success of the same concept anywhere. */
  readonly all: Rate;
  readonly allRows: Uint32Array;
}

/** Own snaps of a play whose success is known. */
export const rowsOfPlay = (columns: Columns, rows: Uint32Array, play: PlayCard): Uint32Array => {
  const { concept, direction, play: called } = columns.text;
  const kind = called.codeOf.get(play.kind);
  const wanted = concept.codeOf.get(play.concept);
  if (wanted === undefined || kind === undefined) return new Uint32Array(0);
  const to = play.direction === null ? undefined : direction.codeOf.get(play.direction);
  // A call with a side counts snaps to that side, and those whose side was not tagged.
  return rows.filter(
    (i) =>
      concept.codes[i] === wanted &&
      called.codes[i] === kind &&
      columns.success[i] !== 2 &&
      (play.direction === null || direction.codes[i] === to || direction.codes[i]! < FIRST_VALUE),
  );
};

const successRate = (columns: Columns, rows: Uint32Array): Rate => {
  let k = 0;
  for (const i of rows) if (columns.success[i] === 1) k++;
  return wilson(k, rows.length);
};

export function sectionRows(columns: Columns, section: SectionSpec, slice: Filter = {}): Uint32Array {
  return select(
    columns,
    section.buckets.length > 0 ? { ...slice, bucket: section.buckets } : slice,
    section.yards ? { toGoal: section.yards } : {},
  );
}

/**
 * The program's plays ranked for a section by the lower Wilson bound of own success there. Plays
 * without a snap in the situation come after all that have one, by their success anywhere; plays
 * never run come last. Nothing without snaps is shown as knowledge.
 */
export function suggestCalls(
  plays: readonly PlayCard[],
  own: Columns,
  team: string,
  section: SectionSpec,
): Suggestion[] {
  const everywhere = select(own, { offense: [team] });
  const here = sectionRows(own, section, { offense: [team] });
  return plays
    .map((play): Suggestion => {
      const hereRows = rowsOfPlay(own, here, play);
      const allRows = rowsOfPlay(own, everywhere, play);
      return { play, here: successRate(own, hereRows), hereRows, all: successRate(own, allRows), allRows };
    })
    .sort(
      (a, b) =>
        (b.here.low ?? -1) - (a.here.low ?? -1) ||
        (b.all.low ?? -1) - (a.all.low ?? -1) ||
        a.play.name.localeCompare(b.play.name),
    );
}

export interface SheetCall {
  readonly id: string;
  readonly section: string;
  readonly order: number;
  readonly play: PlayCard;
  readonly hash: 'L' | 'M' | 'R' | null;
  readonly note: string | null;
}

export interface PrintedSection {
  readonly section: SectionSpec;
  readonly calls: readonly (SheetCall & { readonly number: number })[];
}

/** Calls numbered through the sheet, section by section, as they print. Empty sections are left out. */
export function numberSheet(calls: readonly SheetCall[]): PrintedSection[] {
  let number = 0;
  return SECTIONS.map((section) => ({
    section,
    calls: calls
      .filter((c) => c.section === section.key)
      .sort((a, b) => a.order - b.order || a.id.localeCompare(b.id))
      .map((c) => ({ ...c, number: ++number })),
  })).filter((s) => s.calls.length > 0);
}
