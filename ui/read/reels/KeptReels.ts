'use client';
/** The staff's reels wherever snaps are looked at: what there is, and how to keep what is shown. Null: the member keeps none. */
import { createContext, useContext } from 'react';
import type { Clip, ReelInfo } from '@/core/read/clips';

export type Told<R> =
  { readonly ok: true; readonly value: R } | { readonly ok: false; readonly words: string };

export interface NewReel {
  readonly name: string;
  readonly sentence: string;
  readonly source: string | null;
  readonly shared: boolean;
  readonly clips: readonly Clip[];
}
export interface KeptReels {
  /** Asked for when one wants to keep. */
  readonly list: () => Promise<Told<readonly ReelInfo[]>>;
  /** The id of the new reel. */
  readonly create: (reel: NewReel) => Promise<Told<string>>;
  /** How many snaps it holds then. */
  readonly add: (to: { readonly id: string; readonly clips: readonly Clip[] }) => Promise<Told<number>>;
}
export const KeptReelsContext = createContext<KeptReels | null>(null);
export const useKeptReels = (): KeptReels | null => useContext(KeptReelsContext);
