/** What can be done on a screen besides Log, once: keys, help, palette and docs are made from it. Log's stand in core/log. */
export interface CommandSpec {
  readonly id: string;
  readonly label: string;
  /** Chords with + between keys; Mod is Ctrl, or Command on a Mac. No letter without Alt or Mod: a voice or a slip presses it. */
  readonly chords: readonly string[];
  /** It is done to what has the focus: keys only, the palette would take the focus away. */
  readonly focused?: boolean;
}

export type Runs<L extends readonly CommandSpec[]> = Readonly<
  Partial<Record<L[number]['id'], (() => void | boolean) | undefined>>
>;
