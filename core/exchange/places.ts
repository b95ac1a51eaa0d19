/** Where the command palette can go: what a member may open, by name. */
export interface Place {
  readonly kind: 'game' | 'sheet' | 'play' | 'term';
  readonly key: string;
  readonly name: string;
  /** Beside the name: the week, the opponent, the kind. */
  readonly what: string;
}

const PATHS: Readonly<Record<Place['kind'], (key: string) => string>> = {
  game: (key) => `/log/${encodeURIComponent(key)}`,
  sheet: (key) => `/plan/${encodeURIComponent(key)}`,
  play: (key) => `/book?kind=plays&play=${encodeURIComponent(key)}`,
  term: (key) => `/book?term=${encodeURIComponent(key)}`,
};
export const pathOf = ({ kind, key }: Pick<Place, 'kind' | 'key'>): string => PATHS[kind](key);
