/** The call sheet: sections by situation, numbered calls, what to expect, what to suggest. */
import { FIRST_VALUE, select, type Columns } from '../read/columns';
import { wilson, type Rate } from '../read/rates';
import type { SnapFields } from '../snap/snap';
import type { CallNotes, IfThen } from './call-notes';
import { sectionRows, SECTIONS, type SectionSpec } from './sections';

export { CALL_NOTES, NO_NOTES, type CallNotes, type IfThen } from './call-notes';

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

/** A call in one line: what is played before how it looks. */
export const callWords = ({
  play,
  tags,
}: {
  readonly play: PlayCard;
  readonly tags: readonly string[];
}): string => `${playCall(play)}${tags.length > 0 ? ` ${tags.join(' ')}` : ''}, ${playLook(play)}`;

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

/** Whether a section is for a play; null: the book does not say, false: it asks for another call. */
export type Fits = (section: SectionSpec, play: PlayCard) => boolean | null;

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

/** Success among snaps whose success is known. */
export const successRate = (columns: Columns, rows: Uint32Array): Rate => {
  let k = 0;
  for (const i of rows) if (columns.success[i] === 1) k++;
  return wilson(k, rows.length);
};

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
  fits: Fits,
): Suggestion[] {
  const everywhere = select(own, { offense: [team] });
  const here = sectionRows(own, section, { offense: [team] });
  return plays
    .filter((play) => fits(section, play) !== false)
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

export interface SheetCall extends CallNotes {
  readonly id: string;
  readonly section: string;
  readonly order: number;
  readonly play: PlayCard;
}

export interface PrintedSection {
  readonly section: SectionSpec;
  readonly calls: readonly (SheetCall & { readonly number: number })[];
}

/** Calls numbered through the sheet, section by section, as they print. Empty sections are left out. */
export function numberSheet(
  calls: readonly SheetCall[],
  sections: readonly SectionSpec[] = SECTIONS,
): PrintedSection[] {
  let number = 0;
  return sections
    .map((section) => ({
      section,
      calls: calls
        .filter((c) => c.section === section.key)
        .sort((a, b) => a.order - b.order || a.id.localeCompare(b.id))
        .map((c) => ({ ...c, number: ++number })),
    }))
    .filter((s) => s.calls.length > 0);
}

/** "if the end squeezes: 14; nobody moves: the same again": a call is named by its number now. */
export const ifThenWords = (of: readonly IfThen[], numbers: ReadonlyMap<string, number>): string =>
  of
    .map(({ when, call, words }, i) => {
      const number = call === null ? null : (numbers.get(call) ?? null);
      const then = [number === null ? null : String(number), words].filter(Boolean).join(' ');
      return `${i === 0 ? 'if ' : ''}${when}: ${then || '?'}`;
    })
    .join('; ');

/** "tempo, max, when it was shown: flat": what is said with a call, in the order of the sheet. */
export const callExtras = (call: CallNotes): string =>
  [
    ...call.tags,
    ...(call.needs.length > 0 ? [`with ${call.needs.join(', ')}`] : []),
    ...(call.shownFirst ? [`after ${call.shownFirst}`] : []),
    ...(call.note ? [call.note] : []),
  ].join(', ');
