/**
 * What the staff noted in Read, brought to the sections it concerns: a finding is a kept reel, its snaps say where it
 * belongs. At least half of them lie in a section, or it is said of all.
 */
import { select, wordAt, type Columns } from '../read/columns';
import type { BallSide } from '../read/presence';
import { sectionRows, type SectionSpec } from './sections';

/** A reel that was kept, with the snaps it shows. */
export interface Noted {
  readonly id: string;
  readonly name: string;
  /** What it was made of: "2nd long, run". */
  readonly sentence: string;
  /** The address of Read that shows its number, without /read?; null: made elsewhere. */
  readonly source: string | null;
  readonly by: string;
  readonly clips: readonly { readonly game: string; readonly snap: string }[];
}
export interface Finding extends Omit<Noted, 'clips'> {
  /** Its snaps that count and are the opponent's, ascending. */
  readonly rows: Uint32Array;
}
export interface PlacedFinding {
  readonly finding: Finding;
  /** Of its snaps, those of the section. */
  readonly inside: number;
}

export interface PlacedFindings {
  /** By section, those that lie in it most first. */
  readonly of: ReadonlyMap<string, readonly PlacedFinding[]>;
  /** Of no section. */
  readonly all: readonly Finding[];
}

const MOST = 0.5;

/** Findings of the opponent on one side of the ball: most of their snaps are his. */
export function findingsOf(
  noted: readonly Noted[],
  columns: Columns,
  side: BallSide,
  opponent: string,
): Finding[] {
  const rowOf = new Map(
    [...select(columns, { [side]: [opponent] })].map((row) => [
      `${wordAt(columns.text.game, row)} ${columns.ids[row]}`,
      row,
    ]),
  );
  return noted.flatMap(({ clips, ...rest }) => {
    const rows = clips.flatMap((c) => rowOf.get(`${c.game} ${c.snap}`) ?? []).sort((a, b) => a - b);
    return rows.length === 0 || rows.length < MOST * clips.length
      ? []
      : [{ ...rest, rows: Uint32Array.from(rows) }];
  });
}

export function placeFindings(
  findings: readonly Finding[],
  columns: Columns,
  sections: readonly SectionSpec[],
): PlacedFindings {
  const of = new Map<string, readonly PlacedFinding[]>();
  const placed = new Set<string>();
  for (const section of sections) {
    const there = new Set(sectionRows(columns, section));
    const here = findings
      .map((finding) => ({ finding, inside: finding.rows.filter((r) => there.has(r)).length }))
      .filter(({ finding, inside }) => inside > 0 && inside >= MOST * finding.rows.length)
      .sort((a, b) => b.inside / b.finding.rows.length - a.inside / a.finding.rows.length);
    of.set(section.key, here);
    for (const { finding } of here) placed.add(finding.id);
  }
  return { of, all: findings.filter((f) => !placed.has(f.id)) };
}
