/** What a scouting report has and in which order: boards, and parts that are no boards. */
import type { BoardSpec } from './board-spec';
import { boardsOf } from './board-specs';
import { BOARD_SIDES, ofKicks, type BoardSide } from './sides';

/** What a staff prints, in order, where it said nothing else. */
export const USUAL_SECTIONS: Readonly<Record<BoardSide, readonly string[]>> = {
  offense: [
    'situation',
    'personnel',
    'formation',
    'structure',
    'back',
    'motion',
    'third',
    'fourth',
    'red',
    'goal',
    'backed',
    'clock',
    'opening',
    'protection',
    'targets',
    'target-map',
    'carriers',
    'drives',
    'field',
  ],
  defense: [
    'd-situation',
    'd-front',
    'd-structure',
    'd-coverage',
    'd-shell',
    'd-middle',
    'd-motion',
    'd-pressure',
    'd-rush-back',
    'd-third',
    'd-red',
    'd-corners',
    'd-field',
  ],
  kicking: ['k-unit', 'k-end', 'k-formation', 'k-direction', 'k-zone', 'k-goals', 'k-kicker', 'k-fake'],
  returning: ['r-unit', 'r-end', 'r-returner', 'r-formation', 'r-zone'],
};

/** How we ourselves did it, for a staff that reads its own film: no opponent is needed for any of it. */
export const OWN_SECTIONS: readonly string[] = [
  'schedule',
  'concept',
  'targets',
  'target-map',
  'released',
  'choice-route',
  'progression',
  'check-down',
  'placement',
  'access',
  'read-right',
  'mesh',
  'path',
  'protection',
  'back-duty',
  'free',
  'motion-time',
];

/** A part of a report that is no board. */
export interface ReportPart {
  readonly id: string;
  readonly title: string;
  readonly sides: readonly BoardSide[];
  /** Where it stands when nobody says: before the boards, or after them. */
  readonly place: 'before' | 'after';
}
const SCRIMMAGE = BOARD_SIDES.filter((side) => !ofKicks(side));
export const REPORT_PARTS: readonly ReportPart[] = [
  { id: 'drawn', title: 'Formations, drawn', sides: ['offense'], place: 'before' },
  { id: 'answers', title: 'Coverages by structure, drawn', sides: ['defense'], place: 'before' },
  { id: 'since', title: 'Since the last print', sides: BOARD_SIDES, place: 'before' },
  { id: 'drives_and_series', title: 'Drives and series', sides: SCRIMMAGE, place: 'after' },
  { id: 'one_play', title: 'One picture, one play', sides: ['offense'], place: 'after' },
  { id: 'looks', title: 'Looks to prepare for', sides: ['offense'], place: 'after' },
  { id: 'adjust', title: 'Choosing a coverage', sides: ['offense'], place: 'after' },
  { id: 'keys', title: 'Men they read, lately', sides: ['offense'], place: 'after' },
  { id: 'by_products', title: 'What a call leaves behind', sides: ['offense'], place: 'after' },
  { id: 'returns', title: 'What calls and practice reps returned', sides: ['offense'], place: 'after' },
  { id: 'players', title: 'Players to know', sides: ['defense'], place: 'after' },
  { id: 'words', title: 'Words of this report', sides: BOARD_SIDES, place: 'after' },
];

/** The first page, which every report has: who names it names the parts as well. */
export const FIRST_PAGE = 'cover';

/** The boards of these ids that are of the side, in their order; what is none is passed over. */
export function sectionsOf(side: BoardSide, ids: readonly string[] | null): readonly BoardSpec[] {
  const all = boardsOf(side);
  return (ids ?? USUAL_SECTIONS[side]).flatMap((id) => all.find((b) => b.id === id) ?? []);
}

export const partTitle = (id: string): string => REPORT_PARTS.find((part) => part.id === id)!.title;

/**
 * All sections of a report of a side, the first page left out. A list that does not name the first page is of boards
 * alone (typed, or saved before parts could be chosen): the parts stand before and after them; null: the usual boards.
 */
export function orderOf(side: BoardSide, ids: readonly string[] | null): readonly string[] {
  const parts = REPORT_PARTS.filter((part) => part.sides.includes(side));
  if (ids?.includes(FIRST_PAGE)) {
    const known = new Set([...boardsOf(side), ...parts].map((s) => s.id));
    return [...new Set(ids)].filter((id) => known.has(id));
  }
  const placed = (place: ReportPart['place']): string[] =>
    parts.filter((part) => part.place === place).map((part) => part.id);
  return [...placed('before'), ...sectionsOf(side, ids).map((b) => b.id), ...placed('after')];
}
