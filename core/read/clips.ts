/** A reel that the staff keeps: snaps in an order of its own, each with a note. Plain data; every change is a new list. */

/** A snap by its game's key and its permanent id in it. */
export interface Clip {
  readonly game: string;
  readonly snap: string;
  readonly note: string;
}

export interface ReelInfo {
  readonly id: string;
  readonly name: string;
  readonly clips: number;
  /** What it was made of: "2nd long, all". */
  readonly sentence: string;
  /** Who made it, and the day it was changed last. */
  readonly by: string;
  readonly at: string;
  /** Guests with the link see it too. */
  readonly shared: boolean;
}

export interface KeptReel extends Omit<ReelInfo, 'clips'> {
  readonly clips: readonly Clip[];
  /** The address of Read that it was made at, without /read?; null where there was none. */
  readonly source: string | null;
  /** Counts its changes. */
  readonly version: number;
}

const same = (a: Clip, b: Clip): boolean => a.game === b.game && a.snap === b.snap;

/** Behind what is there, in their order; a snap that is there already stays where it is. */
export const withClips = (clips: readonly Clip[], more: readonly Clip[]): Clip[] =>
  more.reduce<Clip[]>((all, clip) => (all.some((c) => same(c, clip)) ? all : [...all, clip]), [...clips]);

/** The clip at `from` to stand at `to`, both from 0; a place outside the list is its end. */
export function movedClip(clips: readonly Clip[], from: number, to: number): Clip[] {
  const rest = clips.filter((_, i) => i !== from);
  rest.splice(Math.max(0, Math.min(rest.length, to)), 0, ...clips.slice(from, from + 1));
  return rest;
}

export const withoutClip = (clips: readonly Clip[], at: number): Clip[] => clips.filter((_, i) => i !== at);

export const notedClip = (clips: readonly Clip[], at: number, note: string): Clip[] =>
  clips.map((clip, i) => (i === at ? { ...clip, note } : clip));
