/** Plays as rows of the open table, and a play list made of film where a staff has none. */
import { rollup } from 'd3-array';
import type { CountedSnap } from '../read/counted';
import { isTendency } from '../read/counted';
import { isTagged } from '../snap/snap';
import { LINK_KINDS, type PlayCard, type PlayLink } from './sheet';

const text = (value: unknown): string | null =>
  value === null || value === undefined ? null : String(value);
const side = (value: unknown): 'L' | 'R' | null => (value === 'L' || value === 'R' ? value : null);

/** "set-up:play-flat:2": its kind, its play, how often, and what calls for it. */
export const linksOfCell = (value: unknown): PlayLink[] =>
  ((value as readonly string[] | null) ?? []).map((cell) => {
    const [kind, play, least, trigger] = cell.split(':');
    return {
      kind: LINK_KINDS.find((k) => k === kind) ?? 'complement',
      play: play!,
      least: Number(least),
      trigger: trigger ?? null,
    };
  });

/** A row of plays.csv, as the table reads it. */
export const playOfTableRow = (row: Readonly<Record<string, unknown>>): PlayCard => ({
  id: String(row.play),
  name: String(row.name),
  kind: row.kind as PlayCard['kind'],
  personnel: text(row.personnel),
  formation: text(row.formation),
  formationSide: side(row.formation_side),
  backfield: text(row.backfield),
  motion: text(row.motion),
  motionBy: text(row.motion_by),
  concept: String(row.concept),
  conceptWeak: text(row.concept_weak),
  direction: side(row.direction),
  links: linksOfCell(row.links),
});

/** What was run so often is a play of a staff without a list. */
const OFTEN = 3;
/** What makes it one play, and what else is said of it: as it was most often. */
const SAME = ['play', 'concept', 'direction', 'formation'] as const;
const USUALLY = ['personnel', 'formationSide', 'motion', 'motionBy', 'conceptWeak'] as const;

/** Calls that a team ran so often from one formation, the most used first. */
export function playsOfFilm(snaps: readonly CountedSnap[], team: string): PlayCard[] {
  const called = snaps.filter((c) => c.snap.offense === team && isTendency(c) && isTagged(c.snap.concept));
  const word = (value: unknown): string | null => (isTagged(value) ? text(value) : null);
  const words = (c: CountedSnap, fields: readonly (keyof CountedSnap['snap'])[]): string =>
    JSON.stringify(fields.map((f) => word(c.snap[f])));
  const most = (of: readonly CountedSnap[]): (string | null)[] => {
    const [usual] = [
      ...rollup(
        of,
        (some) => some.length,
        (c) => words(c, USUALLY),
      ),
    ].sort((a, b) => b[1] - a[1] || (a[0] < b[0] ? -1 : 1));
    return JSON.parse(usual![0]) as (string | null)[];
  };
  return [
    ...rollup(
      called,
      (of) => of,
      (c) => words(c, SAME),
    ),
  ]
    .filter(([, of]) => of.length >= OFTEN)
    .sort((a, b) => b[1].length - a[1].length || (a[0] < b[0] ? -1 : 1))
    .map(([key, of]): PlayCard => {
      const [kind, concept, direction, formation] = JSON.parse(key) as (string | null)[];
      const [personnel, formationSide, motion, motionBy, conceptWeak] = most(of);
      const to = direction === 'L' ? 'left' : direction === 'R' ? 'right' : null;
      const name = [concept, to, formation].filter(Boolean).join(' ');
      return {
        id: `film-${kind}-${name.toLowerCase().replace(/[^a-z0-9]+/g, '-')}`.slice(0, 110),
        name,
        kind: kind as PlayCard['kind'],
        personnel: personnel ?? null,
        formation: formation ?? null,
        formationSide: side(formationSide),
        backfield: null,
        motion: motion ?? null,
        motionBy: motionBy ?? null,
        concept: concept!,
        conceptWeak: conceptWeak ?? null,
        direction: side(direction),
        links: [],
      };
    });
}
