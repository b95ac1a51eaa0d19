/** "Against this structure they play this": what a defense answered a structure with, counted. And what a play has been set up with. */
import { FIRST_VALUE, groupBy, select, type Columns } from '../read/columns';
import { wilson, type Rate } from '../read/rates';
import type { PlayCard, PlayLink } from './sheet';

export interface Answered {
  readonly front: string | null;
  readonly coverage: string | null;
  readonly rate: Rate;
  readonly rows: Uint32Array;
}

/** Fronts with their coverages that a team's defense showed against a structure at the snap. */
export const answersTo = (columns: Columns, defense: string, structure: string): Answered[] =>
  answersIn(columns, select(columns, { defense: [defense], structureSnap: [structure] }));

/** Fronts with their coverages among some snaps, most used first. Snaps without a tagged front are left out of n. */
export function answersIn(columns: Columns, rows: Uint32Array, most = 4): Answered[] {
  const tagged = rows.filter((i) => columns.text.front.codes[i]! >= FIRST_VALUE);
  return groupBy(columns, tagged, ['front', 'coverage'], true)
    .slice(0, most)
    .map((g): Answered => ({
      front: g.words[0] ?? null,
      coverage: g.words[1] === '' || g.words[1] === '-' || g.words[1] === '?' ? null : (g.words[1] ?? null),
      rate: wilson(g.rows.length, tagged.length),
      rows: g.rows,
    }));
}

export interface LinkCount {
  readonly link: PlayLink;
  readonly play: PlayCard | null;
  /** Snaps of own film on which the linked play was shown. */
  readonly rows: Uint32Array;
  /** A set-up that has been shown often enough. */
  readonly ready: boolean;
}

/** How often each linked play has been shown on film: same concept and kind, from the same formation when the play names one. */
export function countLinks(
  play: PlayCard,
  plays: readonly PlayCard[],
  own: Columns,
  team: string,
): LinkCount[] {
  return play.links.map((link): LinkCount => {
    const other = plays.find((p) => p.id === link.play) ?? null;
    const rows = other
      ? select(own, {
          offense: [team],
          concept: [other.concept],
          play: [other.kind],
          ...(other.formation ? { formation: [other.formation] } : {}),
        })
      : new Uint32Array(0);
    return { link, play: other, rows, ready: link.kind === 'complement' || rows.length >= link.least };
  });
}
