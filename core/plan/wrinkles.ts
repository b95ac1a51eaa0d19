/**
 * Wrinkles: our base plays from pictures in which nobody has seen us run them. What is new for the opponent is how far
 * the picture lies from each that is on our film with the play; what is new for us are jobs that a man has on no film
 * of ours. Line-ups that are on our film come first, much of the one for little of the other before the rest.
 */
import { assignPlay, pictureDistance, playOf, presentationsOf, type Book } from '../book';
import type { LevelProfile } from '../field/profile';
import type { LookSettings } from '../look';
import type { CountedSnap } from '../read';
import { select, wordAt, type Columns } from '../read/columns';
import { facedRows, linedRows } from './pictures-shown';
import { rowsOfPlay, playFields, type PlayCard } from './sheet';

export interface WrinkleFilm {
  readonly book: Book;
  readonly profile: LevelProfile;
  readonly settings: LookSettings;
  readonly snaps: readonly CountedSnap[];
  readonly columns: Columns;
  readonly team: string;
  readonly opponent: string;
  /** Jobs by position that are on our film (new-jobs). */
  readonly jobs: ReadonlySet<string>;
}

export interface Wrinkle {
  /** The play as it would stand on the play list; without an id. */
  readonly card: Omit<PlayCard, 'id'>;
  readonly structure: string;
  /** How far the picture is from the nearest in which the play is on our film; what one counts, by pictureDistance. */
  readonly newForThem: number;
  /** "RT pull": jobs that a man has on no film of ours, of so many men. */
  readonly newForUs: readonly string[];
  readonly men: number;
  /** Their defensive snaps against this structure at the snap, of those whose structure is known. */
  readonly faced: Uint32Array;
  readonly known: number;
  /** Our snaps of any call from this formation with this motion or none, to either side, and the passes among them. */
  readonly lined: Uint32Array;
  readonly passes: number;
}

/** From so many snaps on a play is one that they know of us (common practice). */
const BASE_SNAPS = 5;
/** Wrinkles of a play that are offered: nobody installs more. */
const MOST_WRINKLES = 12;

/** Plays of the list that they have seen, those with the most snaps first; of each concept and side one. */
export function basePlays(
  plays: readonly PlayCard[],
  columns: Columns,
  team: string,
): { readonly play: PlayCard; readonly rows: Uint32Array }[] {
  const own = select(columns, { offense: [team] });
  const met = new Set<string>();
  return plays
    .map((play) => ({ play, rows: rowsOfPlay(columns, own, play) }))
    .filter(({ play, rows }) => {
      const key = `${play.kind} ${play.concept} ${play.direction}`;
      if (rows.length < BASE_SNAPS || met.has(key)) return false;
      met.add(key);
      return true;
    })
    .sort((a, b) => b.rows.length - a.rows.length || a.play.name.localeCompare(b.play.name));
}

type Picture = Parameters<typeof pictureDistance>[0];

/** Pictures in which the play is on our film, and the one of its card. */
function picturesShown(film: WrinkleFilm, play: PlayCard, rows: Uint32Array): readonly Picture[] {
  const { book, profile, settings, snaps } = film;
  const known = new Map<string, Picture>();
  const cards = [...rows].map((row) => {
    const { formation, formationSide, backfield, motion, motionBy, motionSide } = snaps[row]!.snap;
    return { ...playFields(play), formation, formationSide, backfield, motion, motionBy, motionSide };
  });
  for (const fields of [playFields(play), ...cards]) {
    const key = JSON.stringify(fields);
    if (known.has(key)) continue;
    const found = playOf(book, fields);
    if (!found) continue;
    const { structure } = assignPlay(found.def, found.base, toOf(play), profile, settings.strength);
    known.set(key, { structure, motion: found.base.motion });
  }
  return [...known.values()];
}

const toOf = (play: PlayCard): 'L' | 'R' => play.direction ?? play.formationSide ?? 'R';

/** None where the book does not draw the play. `rows`: our snaps of it. */
export function wrinklesOf(film: WrinkleFilm, play: PlayCard, rows: Uint32Array): Wrinkle[] {
  const { book, profile, settings, columns, opponent, jobs } = film;
  const known = playOf(book, playFields(play));
  if (!known) return [];
  const ours = picturesShown(film, play, rows);
  const found = presentationsOf(
    known.def,
    known.base,
    toOf(play),
    book,
    profile,
    play.personnel,
    settings.strength,
  ).map((one) => ({
    one,
    newForThem: Math.min(
      ...ours.map((picture) =>
        pictureDistance(picture, { structure: one.assignment.structure, motion: one.shown.motion }),
      ),
    ),
    newForUs: [...one.assignment.jobs]
      .map(([letter, job]) => `${letter} ${job}`)
      .filter((job) => !jobs.has(job)),
  }));
  const worth = (w: (typeof found)[number]): number => w.newForThem / (1 + w.newForUs.length);
  const ranked = found
    .filter((w) => w.newForThem > 0)
    .map((w, i) => ({
      ...w,
      i,
      lined: linedRows(columns, film.team, w.one.shown.formationWord, w.one.shown.motionWord),
    }))
    .sort(
      (a, b) => Number(b.lined.length > 0) - Number(a.lined.length > 0) || worth(b) - worth(a) || a.i - b.i,
    );
  // Five backfields of one formation are not five ideas.
  const met = new Set<string>();
  return ranked
    .filter(({ one: { shown } }) => {
      const key = `${shown.formationWord} ${shown.motionWord}`;
      if (met.has(key) || met.size >= MOST_WRINKLES) return false;
      met.add(key);
      return true;
    })
    .map(({ one, newForThem, newForUs, lined: from }): Wrinkle => {
      const { shown, assignment } = one;
      const structure = assignment.structure.label;
      return {
        card: {
          ...play,
          name: [play.name, shown.formationWord, shown.motion !== known.base.motion ? shown.motionWord : null]
            .filter(Boolean)
            .join(', ')
            .slice(0, 80),
          formation: shown.formationWord,
          formationSide: shown.side,
          backfield: shown.backfieldWord,
          motion: shown.motionWord,
          motionBy: shown.motionBy,
          links: [],
        },
        structure,
        newForThem,
        newForUs,
        men: assignment.men.length,
        faced: facedRows(columns, opponent, structure),
        known: facedRows(columns, opponent, null).length,
        lined: from,
        passes: from.filter((i) => wordAt(columns.text.play, i) === 'pass').length,
      };
    });
}
