/** A pressure that is being made, on every picture it must hold against: with and without a tight end, left and right, two backs, none. */
import { drawSnap, type Book, type Term } from '../book';
import type { LevelProfile } from '../field/profile';
import type { Hash, Side } from '../field/spot';
import type { LookSettings, PressureDef, RushSide, Structure } from '../look';
import type { SnapFields } from '../snap/snap';
import { lookOfCheck, type CheckLook } from './check-look';

/** As a coach says them, by the three ways to call a path: by side, by the back, by the man himself. */
export const RUSH_SIDE_WORDS: readonly (readonly [
  mode: string,
  words: readonly (readonly [RushSide, string])[],
])[] = [
  [
    'by side',
    [
      ['s', 'strong'],
      ['w', 'weak'],
      ['f', 'to the field'],
      ['b', 'to the boundary'],
      ['te', 'to the tight end'],
      ['open', 'open side'],
    ],
  ],
  [
    'by the back',
    [
      ['back', 'to the back'],
      ['away', 'away from the back'],
    ],
  ],
  [
    'by man',
    [
      ['own', 'his own side'],
      ['across', 'across the ball'],
    ],
  ],
];
export interface DesignPicture {
  readonly key: string;
  readonly label: string;
  readonly fields: SnapFields;
  /** The field is to the side of the formation. */
  readonly hash: Hash;
}

const attachedTo = (s: Structure, side: Side): number => (side === 'L' ? s.left : s.right).attached.length;
const ends = (s: Structure): number => attachedTo(s, 'L') + attachedTo(s, 'R');
const backs = (s: Structure): number => s.backfield.backs.length;

/** What a staff draws a pressure on before it calls it (common practice); `side`: where the formation is called to. */
const WANTED: readonly {
  readonly key: string;
  readonly label: string;
  readonly is: (s: Structure, side: Side) => boolean;
}[] = [
  { key: '2x2-te', label: '2x2, tight end', is: (s) => s.label === '2x2' && ends(s) === 1 },
  { key: '2x2', label: '2x2, no tight end', is: (s) => s.label === '2x2' && ends(s) === 0 },
  {
    key: '3x1-te',
    label: '3x1, tight end in the three',
    is: (s, side) => s.label === '3x1' && attachedTo(s, side) === 1,
  },
  {
    key: '3x1-nub',
    label: '3x1, tight end alone',
    is: (s, side) => s.label === '3x1' && attachedTo(s, side) === 0 && ends(s) === 1,
  },
  { key: '3x1', label: '3x1, no tight end', is: (s) => s.label === '3x1' && ends(s) === 0 },
  { key: 'two-backs', label: 'two backs', is: (s) => backs(s) === 2 && ends(s) > 0 },
  { key: 'empty', label: 'empty', is: (s) => backs(s) === 0 && ends(s) === 0 },
];

/** Each from the book's first formation and backfield that make it, called to either side; those it has none for are left out. */
export function designPictures(book: Book, profile: LevelProfile, settings: LookSettings): DesignPicture[] {
  const formations = book.terms.filter((t) => t.kind === 'formation' && t.spots);
  const backfields = [null, ...book.terms.filter((t) => t.kind === 'backfield' && t.spots)];
  const structureOf = (fields: SnapFields): Structure | null =>
    drawSnap(book, fields, null, profile, { settings, defense: false }).look?.offense.snap ?? null;
  return (['R', 'L'] as const).flatMap((side) =>
    WANTED.flatMap(({ key, label, is }): DesignPicture[] => {
      for (const backfield of backfields)
        for (const formation of formations) {
          const fields: SnapFields = {
            formation: formation.word,
            formationSide: side,
            ...(backfield ? { backfield: backfield.word } : {}),
          };
          const structure = structureOf(fields);
          if (structure && structure.side !== (side === 'L' ? 'R' : 'L') && is(structure, side))
            return [
              {
                key: `${key}.${side}`,
                label: `${label}, ${side === 'L' ? 'left' : 'right'}`,
                fields,
                hash: side === 'R' ? 'L' : 'R',
              },
            ];
        }
      return [];
    }),
  );
}

/** The word under which a pressure stands in the book while it has none of its own. */
const UNNAMED = 'the pressure';
const bookWith = (book: Book, pressure: PressureDef): Book => {
  const term: Term = {
    id: UNNAMED,
    kind: 'pressure',
    word: UNNAMED,
    aliases: [],
    definition: { kind: 'pressure', pressure },
  };
  return { ...book, terms: [...book.terms.filter((t) => t.word !== UNNAMED), term] };
};

export interface DesignRow {
  readonly picture: DesignPicture;
  readonly look: CheckLook;
}
/** What it leaves open on each picture, from a front, with a coverage behind it. */
export function pressureOn(
  book: Book,
  profile: LevelProfile,
  settings: LookSettings,
  pressure: PressureDef,
  { front, coverage }: { readonly front: string; readonly coverage: string },
  pictures: readonly DesignPicture[],
): DesignRow[] {
  const inBook = bookWith(book, pressure);
  return pictures.map((picture) => ({
    picture,
    look: lookOfCheck(
      inBook,
      profile,
      settings,
      { fields: picture.fields, hash: picture.hash, k: 0, n: 0 },
      { front, coverage, pressure: UNNAMED, note: null },
    ),
  }));
}
