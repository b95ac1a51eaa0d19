/** Passes as pictures of routes by number; with the runs of core/look, what a play of the book means. */
import type { Route, RunDef } from '../look';

export const PASS_TYPES = ['quick', 'drop-back', 'play action', 'boot', 'sprint', 'screen', 'shot'] as const;

/** Routes by number, outside-in, of one side; `back`: his route in this picture, null: as the play says. */
export interface PassPicture {
  readonly routes: readonly Route[];
  readonly back: Route | null;
}

export interface PassDef {
  readonly type: (typeof PASS_TYPES)[number];
  /** Steps of the drop. */
  readonly drop: number;
  /** Routes by number, outside-in, on the strong side and on the weak side. */
  readonly strong: readonly Route[];
  readonly weak: readonly Route[];
  readonly back: Route;
  /** What the sides run with another number of receivers, where the base does not say it. */
  readonly others?: { readonly strong: readonly PassPicture[]; readonly weak: readonly PassPicture[] };
}

/** The picture of a side for so many receivers: one made for the number, else the longest that they fill, else the shortest. */
export function pictureFor(def: PassDef, side: 'strong' | 'weak', receivers: number): PassPicture {
  const base: PassPicture = { routes: def[side], back: null };
  const all = [base, ...(def.others?.[side] ?? [])];
  const exact = all.find((picture) => picture.routes.length === receivers);
  if (exact) return exact;
  const filled = all
    .filter((picture) => picture.routes.length < receivers)
    .sort((a, b) => b.routes.length - a.routes.length)[0];
  return filled ?? [...all].sort((a, b) => a.routes.length - b.routes.length)[0]!;
}

export type PlayDef =
  { readonly kind: 'run'; readonly run: RunDef } | { readonly kind: 'pass'; readonly pass: PassDef };
