/** An earlier sheet's calls with how they did in its game, to take over what worked. */
import { select, type Columns } from '../read/columns';
import type { Rate } from '../read/rates';
import type { CallNotes } from './call-notes';
import type { SectionSpec } from './sections';
import { rowsOfPlay, successRate, type PlayCard, type SheetCall } from './sheet';

/** A call as it stood: its section and its play by their keys, and what was noted. */
export interface EarlierCall {
  readonly section: string;
  readonly label: string;
  readonly play: string;
  readonly notes: CallNotes;
}
export interface EarlierSheet {
  readonly key: string;
  readonly name: string;
  readonly opponent: string;
  readonly sections: readonly SectionSpec[];
  /** In the order of the sheet. */
  readonly calls: readonly EarlierCall[];
}

export interface EarlierRow {
  readonly call: EarlierCall;
  readonly play: PlayCard;
  /** Success of the play on our film against that opponent, in any situation. */
  readonly rate: Rate;
  readonly rows: Uint32Array;
  /** Why it cannot be taken over; null: it can. */
  readonly not: 'stands here' | 'no such section here' | null;
}

/** Our snaps of a play against an opponent whose success is known. */
export const rowsAgainst = (columns: Columns, team: string, opponent: string, play: PlayCard): Uint32Array =>
  rowsOfPlay(columns, select(columns, { offense: [team], defense: [opponent] }), play);

/** Calls whose play is not on the list any more are left out. */
export function earlierRows(
  { opponent, calls }: EarlierSheet,
  columns: Columns,
  team: string,
  here: {
    readonly plays: readonly PlayCard[];
    readonly calls: readonly SheetCall[];
    readonly sections: readonly SectionSpec[];
  },
): EarlierRow[] {
  const plays = new Map(here.plays.map((p) => [p.id, p]));
  const known = new Map<string, { readonly rate: Rate; readonly rows: Uint32Array }>();
  return calls.flatMap((call): EarlierRow[] => {
    const play = plays.get(call.play);
    if (!play) return [];
    const rows = known.get(play.id)?.rows ?? rowsAgainst(columns, team, opponent, play);
    const did = known.get(play.id) ?? { rows, rate: successRate(columns, rows) };
    known.set(play.id, did);
    const stands = here.calls.some((c) => c.section === call.section && c.play.id === play.id);
    const not = stands
      ? 'stands here'
      : here.sections.some((s) => s.key === call.section)
        ? null
        : 'no such section here';
    return [{ call, play, ...did, not }];
  });
}

/** Of the calls that can be taken over those whose play worked half the time and more that day. */
export const worked = (rows: readonly EarlierRow[]): EarlierRow[] =>
  rows.filter((r) => r.not === null && r.rate.n > 0 && r.rate.k * 2 >= r.rate.n);
