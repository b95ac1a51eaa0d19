/** "Against this structure they play this": what a defense answered a structure with, counted. And what a play has been set up with. */
import { answersIn, type Answered } from '../read/answers';
import { select, type Columns } from '../read/columns';
import type { PlayCard, PlayLink, SheetCall } from './sheet';

/** Fronts with their coverages that a team's defense showed against a structure at the snap. */
export const answersTo = (columns: Columns, defense: string, structure: string): Answered[] =>
  answersIn(columns, select(columns, { defense: [defense], structureSnap: [structure] }));

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

export interface MissingSetup {
  readonly call: SheetCall;
  readonly link: LinkCount;
}

/** Set-ups that stand neither on the film nor before their play on this sheet. `numbers`: of calls, by id. */
export function missingSetups(
  calls: readonly SheetCall[],
  numbers: ReadonlyMap<string, number>,
  plays: readonly PlayCard[],
  own: Columns,
  team: string,
): MissingSetup[] {
  const numberOf = (call: SheetCall): number => numbers.get(call.id) ?? 0;
  return calls.flatMap((call) =>
    countLinks(call.play, plays, own, team)
      .filter(({ link, ready }) => {
        const before = calls.some((other) => other.play.id === link.play && numberOf(other) < numberOf(call));
        return link.kind === 'set-up' && !ready && !before;
      })
      .map((link) => ({ call, link })),
  );
}
