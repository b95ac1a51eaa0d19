/** Looks to be recognized: of an opponent's film or of the book, and how an answer compares. */
import { KIND_FIELD, storedValue, type Book } from '../book';
import type { WalkedSnap } from '../rules';
import { isTagged, NONE, SNAP_FIELDS, type SnapFact, type SnapFields } from '../snap';

/** What can be seen in a drawing before the ball moves, in the order it is said. */
export const SEEN = [
  'formation',
  'formationSide',
  'backfield',
  'motion',
  'motionBy',
  'front',
  'coverage',
] as const satisfies readonly SnapFact[];
export type SeenField = (typeof SEEN)[number];

export interface DrillLook {
  /** The same look, the same key. */
  readonly key: string;
  readonly fields: SnapFields;
  /** Times on this film; 0: of the book. */
  readonly n: number;
}

const keyOf = (fields: SnapFields): string =>
  SEEN.map((f) => (isTagged((fields[f] ?? null) as string | null) ? String(fields[f]) : ''))
    .join('|')
    .slice(0, 240);
/** Formations a side is said of and those it is not are told apart by the film; the personnel draws who stands there. */
const picked = (snap: SnapFields): SnapFields => ({
  ...Object.fromEntries(SEEN.map((f) => [f, snap[f] ?? null])),
  personnel: snap.personnel ?? null,
  rotation: snap.rotation ?? null,
});

/** The looks of a film, most used first. */
export function looksOfFilm(rows: readonly WalkedSnap[], team: string): DrillLook[] {
  const found = new Map<string, { fields: SnapFields; n: number }>();
  for (const { snap, before } of rows) {
    if ((before.offense !== team && before.defense !== team) || !isTagged(snap.formation)) continue;
    const fields = picked(snap);
    const key = keyOf(fields);
    const known = found.get(key);
    if (known) known.n++;
    else found.set(key, { fields, n: 1 });
  }
  return [...found]
    .map(([key, { fields, n }]) => ({ key, fields, n }))
    .sort((a, b) => b.n - a.n || a.key.localeCompare(b.key));
}

/** The drawn formations of the book, to the right and to the left. */
export const looksOfBook = (book: Book): DrillLook[] =>
  book.terms
    .filter((t) => t.kind === 'formation' && (t.spots || t.definition))
    .flatMap((term) =>
      (['R', 'L'] as const).map((side) => {
        const fields: SnapFields = {
          [KIND_FIELD[term.kind].field]: storedValue(term),
          formationSide: side,
        };
        return { key: keyOf(fields), fields, n: 0 };
      }),
    );

export interface Marked {
  readonly field: SeenField;
  readonly label: string;
  readonly there: string | null;
  readonly said: string | null;
  readonly right: boolean;
}

/** Field by field what was there and what was said; a field that is blank on film is not asked. */
export function markAnswer(look: DrillLook, said: SnapFields): Marked[] {
  return SEEN.flatMap((field): Marked[] => {
    const there = (look.fields[field] ?? null) as string | null;
    const asked = isTagged(there) || (field === 'motion' && there === NONE);
    if (!asked) return [];
    const answer = (said[field] ?? null) as string | null;
    // "No motion" need not be said.
    const right = there === NONE ? answer === null || answer === NONE : answer === there;
    return [{ field, label: SNAP_FIELDS[field].label, there, said: answer, right }];
  });
}

export interface DrillCardInfo {
  readonly look: string;
  readonly due: number;
  readonly asked: number;
  readonly missed: number;
}

/** Looks in the order they are asked: those due, the longest due first, then those never asked, then the soonest due. */
export function inOrder(
  looks: readonly DrillLook[],
  cards: readonly DrillCardInfo[],
  now: number,
): DrillLook[] {
  const known = new Map(cards.map((c) => [c.look, c]));
  const rank = (look: DrillLook): readonly [number, number] => {
    const card = known.get(look.key);
    if (!card) return [1, -look.n];
    return card.due <= now ? [0, card.due] : [2, card.due];
  };
  return [...looks].sort((a, b) => {
    const [x, y] = [rank(a), rank(b)];
    return x[0] - y[0] || x[1] - y[1] || a.key.localeCompare(b.key);
  });
}

/** What is taken for what most, over all fields. */
export interface Mistaken {
  readonly field: SeenField;
  readonly there: string;
  readonly said: string;
  readonly n: number;
}
export type ConfusedCounts = Readonly<Record<string, Readonly<Record<string, number>>>>;
const ARROW = ' > ';
export const addConfused = (counts: ConfusedCounts, marks: readonly Marked[]): ConfusedCounts => {
  const out: Record<string, Record<string, number>> = {};
  for (const [field, pairs] of Object.entries(counts)) out[field] = { ...pairs };
  for (const { field, there, said, right } of marks) {
    if (right) continue;
    const pair = `${there ?? NONE}${ARROW}${said ?? 'nothing'}`;
    out[field] = { ...out[field], [pair]: (out[field]?.[pair] ?? 0) + 1 };
  }
  return out;
};
export function mostMistaken(all: readonly ConfusedCounts[]): Mistaken[] {
  const sums = new Map<string, Mistaken>();
  for (const counts of all)
    for (const [field, pairs] of Object.entries(counts))
      for (const [pair, n] of Object.entries(pairs)) {
        const [there = '', said = ''] = pair.split(ARROW);
        const before = sums.get(`${field} ${pair}`);
        sums.set(`${field} ${pair}`, { field: field as SeenField, there, said, n: (before?.n ?? 0) + n });
      }
  return [...sums.values()].sort((a, b) => b.n - a.n || a.there.localeCompare(b.there));
}
