/**
 * The check table of a defense: what it answers a picture with, what the opponent has shown of each, what one motion
 * would make of it, and which of that has no answer.
 */
import { group } from 'd3-array';
import { select, wordAt, type Columns } from '../read/columns';
import { wilson, type Rate } from '../read/rates';
import { NAMED_PICTURES, pictureOf, pictureRows, structureKeyAt, type Picture } from './pictures';
import type { Check } from './rows';

export interface ShownPicture {
  readonly picture: Picture;
  readonly rows: Uint32Array;
  /** Of all their snaps whose structure is known. */
  readonly rate: Rate;
}

export interface ShownBy {
  /** By structure, the most used first: they sum to `known`. */
  readonly structures: readonly ShownPicture[];
  /** Those that cut across, the most used first; without those never shown. */
  readonly named: readonly ShownPicture[];
  readonly known: number;
  /** Snaps whose structure nobody tagged. */
  readonly unknown: Uint32Array;
}

/** What an offense has shown at the snap. */
export function shownBy(columns: Columns, team: string): ShownBy {
  const all = select(columns, { offense: [team] });
  const byKey = group(all, (row) => structureKeyAt(columns, row));
  const unknown = Uint32Array.from(byKey.get(null) ?? []);
  const known = all.length - unknown.length;
  const shown = (picture: Picture, rows: Uint32Array): ShownPicture => ({
    picture,
    rows,
    rate: wilson(rows.length, known),
  });
  const most = (list: readonly ShownPicture[]): ShownPicture[] =>
    list
      .filter((s) => s.rows.length > 0)
      .sort((a, b) => b.rows.length - a.rows.length || (a.picture.key < b.picture.key ? -1 : 1));
  const inKnown = (rows: Uint32Array): Uint32Array =>
    rows.filter((row) => wordAt(columns.text.structureSnap, row) !== null);
  return {
    structures: most(
      [...byKey].flatMap(([key, rows]) =>
        key === null ? [] : [shown(pictureOf(key)!, Uint32Array.from(rows))],
      ),
    ),
    named: most(NAMED_PICTURES.map((p) => shown(p, inKnown(pictureRows(columns, { offense: [team] }, p))))),
    known,
    unknown,
  };
}

export interface ReachedPicture {
  readonly structure: string;
  /** Snaps from whose set-up one motion makes it. */
  readonly from: Uint32Array;
}

const labelOf = (a: number, b: number): string => (a >= b ? `${a}x${b}` : `${b}x${a}`);

/** Structures one motion makes of a set-up: a receiver across, or a back out to either side. */
export function oneMotionFrom(structure: string, hasBack: boolean): string[] {
  const [a, b] = structure.split('x').map(Number) as [number, number];
  const out = new Set<string>();
  if (a > 0) out.add(labelOf(a - 1, b + 1));
  if (b > 0) out.add(labelOf(a + 1, b - 1));
  if (hasBack && a + b < 5) {
    out.add(labelOf(a + 1, b));
    out.add(labelOf(a, b + 1));
  }
  out.delete(structure);
  return [...out];
}

/** Structures that were not shown at the snap, and are one motion away from what they set up in; the most reachable first. */
export function reachedBy(columns: Columns, team: string, shown: ShownBy): ReachedPicture[] {
  const seen = new Set(shown.structures.map((s) => s.picture.structure!));
  const from = new Map<string, number[]>();
  for (const row of select(columns, { offense: [team] })) {
    const set = wordAt(columns.text.structure, row);
    if (set === null) continue;
    const hasBack = wordAt(columns.text.backTo, row) !== 'nobody';
    for (const made of oneMotionFrom(set, hasBack))
      if (!seen.has(made)) from.set(made, [...(from.get(made) ?? []), row]);
  }
  return [...from]
    .map(([structure, rows]) => ({ structure, from: Uint32Array.from(rows) }))
    .sort((a, b) => b.from.length - a.from.length || (a.structure < b.structure ? -1 : 1));
}

/** A check says something. */
export const answered = ({ front, coverage, pressure }: Check): boolean =>
  front !== null || coverage !== null || pressure !== null;

export interface AnswerAudit {
  /** Snaps they showed that no check answers, by structure, the most first. */
  readonly open: readonly ShownPicture[];
  /** One motion away, and no check for it. */
  readonly reached: readonly ReachedPicture[];
  /** Snaps a check answers, of those whose structure is known. */
  readonly covered: number;
  readonly known: number;
}

/** Every structure shown, and every one reachable by one motion, has an answer or is named. */
export function answerAudit(columns: Columns, team: string, checks: readonly Check[]): AnswerAudit {
  const shown = shownBy(columns, team);
  const covered = new Set<number>();
  const says = checks.filter(answered);
  for (const check of says) {
    const picture = pictureOf(check.picture);
    if (picture)
      for (const row of pictureRows(columns, { offense: [team] }, picture, check)) covered.add(row);
  }
  const open = shown.structures
    .map(({ picture, rows }): ShownPicture => {
      const left = rows.filter((row) => !covered.has(row));
      return { picture, rows: left, rate: wilson(left.length, shown.known) };
    })
    .filter((s) => s.rows.length > 0)
    .sort((a, b) => b.rows.length - a.rows.length || (a.picture.key < b.picture.key ? -1 : 1));
  const forAny = new Set(
    says.flatMap((c) => {
      const picture = pictureOf(c.picture);
      return picture?.structure && c.personnel === null && c.situation === null ? [picture.structure] : [];
    }),
  );
  return {
    open,
    reached: reachedBy(columns, team, shown).filter((r) => !forAny.has(r.structure)),
    covered: shown.known - open.reduce((n, s) => n + s.rows.length, 0),
    known: shown.known,
  };
}

export interface OwnAnswer {
  readonly front: string | null;
  readonly coverage: string | null;
  /** What offenses made of it: success against us. */
  readonly allowed: Rate;
  readonly rows: Uint32Array;
}

/**
 * What our defense answered a picture with, and what that allowed: the call whose worst case is least first (upper end of
 * the interval). Calls of which nobody tagged front and coverage are left out; `anywhere`: against any picture.
 */
export function ownAnswers(
  columns: Columns,
  team: string,
  picture: Picture | null,
  when: { readonly personnel: string | null; readonly situation: string | null } = {
    personnel: null,
    situation: null,
  },
): OwnAnswer[] {
  const rows = picture
    ? pictureRows(columns, { defense: [team] }, picture, when)
    : select(columns, { defense: [team] });
  const { front, coverage } = columns.text;
  const known = rows.filter(
    (i) => wordAt(front, i) !== null && wordAt(coverage, i) !== null && columns.success[i] !== 2,
  );
  return [...group(known, (i) => `${wordAt(front, i)}\n${wordAt(coverage, i)}`)]
    .map(([key, of]): OwnAnswer => {
      const [frontWord, coverageWord] = key.split('\n') as [string, string];
      const good = of.filter((i) => columns.success[i] === 1).length;
      return {
        front: frontWord,
        coverage: coverageWord,
        allowed: wilson(good, of.length),
        rows: Uint32Array.from(of),
      };
    })
    .sort(
      (a, b) =>
        a.allowed.high! - b.allowed.high! || b.allowed.n - a.allowed.n || (a.front! < b.front! ? -1 : 1),
    );
}

/** Snaps of ours from which an answer may be drafted. */
export const ENOUGH_TO_DRAFT = 4;
