/** What a week repeats: the calls of an offense, or their plays for a defense, each with what is to be expected of it. */
import { answersIn, select, wordAt, type Columns, type CountedSnap } from '../read';
import type { Snap } from '../snap/snap';
import type { Repped, PeriodKind } from './practice';
import { jobsSeen, newJobShare } from './new-jobs';
import { scoutCards, USUAL_SCOUT, type ScoutFilm } from './scout';
import { sectionRows } from './sections';
import { sizeSection } from './sizing';
import { playCall, playFields, playLook, type PlayCard, type PrintedSection } from './sheet';
import { pictureOf, pictureRows } from './pictures';
import type { Check } from './rows';

/** Their looks that are kept apart; the rest is seen too seldom to be shown on purpose. */
const MOST_LOOKS = 6;
/** Snaps a game of a section that no film counts: once in two games. */
const UNCOUNTED = 0.5;
const CARDS = 24;

const SECTION_KINDS: readonly (readonly [start: string, kind: PeriodKind])[] = [
  ['third', 'third'],
  ['fourth', 'third'],
  ['red', 'red'],
  ['high-red', 'red'],
  ['tight-red', 'red'],
  ['goal', 'red'],
  ['two-point', 'red'],
  ['openers', 'openers'],
  ['drive', 'openers'],
];
const playKinds = (kind: PlayCard['kind']): PeriodKind[] =>
  kind === 'rpo' ? ['run', 'pass'] : kind === 'other' ? [] : [kind];

/** Whether a snap of practice was this play: the concept, and the formation where the play names one. */
const isOf = (play: PlayCard, snap: Snap): boolean =>
  snap.concept === play.concept && (play.formation === null || snap.formation === play.formation);

export interface RepSource extends ScoutFilm {
  readonly columns: Columns;
  readonly snaps: readonly CountedSnap[];
  readonly team: string;
  /** Snaps of our own practice film of this week. */
  readonly practiced: readonly Snap[];
}

/** Calls by what is expected of their section in the game, shared among its calls. */
export function callsToRep(source: RepSource, sections: readonly PrintedSection[]): Repped[] {
  const { columns, snaps, book, profile, team, opponent, practiced } = source;
  const seen = jobsSeen(book, profile, snaps, select(columns, { offense: [team] }));
  const ours = practiced.filter((snap) => snap.offense === team);
  return sections.flatMap(({ section, calls }) => {
    const size = sizeSection(columns, team, opponent, section);
    const theirs =
      section.filter === null ? new Uint32Array(0) : sectionRows(columns, section, { defense: [opponent] });
    const looks = answersIn(columns, theirs, MOST_LOOKS).map(({ front, coverage, rows }) => ({
      label: [front, coverage].filter(Boolean).join(' '),
      k: rows.length,
    }));
    const of = SECTION_KINDS.flatMap(([start, kind]) => (section.key.startsWith(start) ? [kind] : []));
    return calls.map((call): Repped => ({
      id: call.id,
      play: call.play.id,
      number: call.number,
      title: `${playLook(call.play)} · ${playCall(call.play)}`,
      say: call.hash ? `ball ${call.hash}` : '',
      kinds: ['all', ...playKinds(call.play.kind), ...of],
      section: { key: section.key, label: section.label },
      weight: (size?.expected.mean ?? UNCOUNTED) / calls.length,
      looks,
      logged: ours.filter((snap) => isOf(call.play, snap)).length,
      newJobs: newJobShare(book, profile, playFields(call.play), seen),
    }));
  });
}

/** Their plays as they are on the scout cards, with what our checks say to each. */
export function playsToRep(source: RepSource, checks: readonly Check[]): Repped[] {
  const { columns, opponent, snaps } = source;
  const answers = checks.flatMap((check) => {
    const picture = pictureOf(check.picture);
    const said = [check.front, check.coverage, check.pressure].filter(Boolean).join(' · ');
    return picture && said !== ''
      ? [{ said, rows: new Set(pictureRows(columns, { offense: [opponent] }, picture, check)) }]
      : [];
  });
  return scoutCards(source, { side: 'defense', checks, plays: [] }, { ...USUAL_SCOUT, cards: CARDS }).map(
    ({ title, rows }, i): Repped => {
      const words = rows.map((row) => wordAt(columns.text.bucket, row) ?? '');
      const near = rows.some((row) => columns.toGoal[row]! >= 0 && columns.toGoal[row]! <= 20);
      const { snap } = snaps[rows[0]!]!;
      return {
        id: `card-${i + 1}`,
        play: `card-${i + 1}`,
        number: i + 1,
        title,
        say: answers.find((a) => a.rows.has(rows[0]!))?.said ?? 'no check',
        kinds: [
          'all',
          ...playKinds((snap.play as PlayCard['kind'] | null) ?? 'other'),
          ...(words.some((w) => /^[34]-/.test(w)) ? (['third'] as const) : []),
          ...(near ? (['red'] as const) : []),
          ...(rows.some((row) => wordAt(columns.text.opening, row) === 'first 15')
            ? (['openers'] as const)
            : []),
        ],
        section: null,
        weight: rows.length,
        looks: [],
        logged: source.practiced.filter(
          (s) => s.defense === source.team && s.concept === snap.concept && s.formation === snap.formation,
        ).length,
        newJobs: null,
      };
    },
  );
}
