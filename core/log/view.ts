/** The line as it stands: the situation it is typed in, what it says, what follows, what it could say next. */
import { bucketOf } from '../field/situation';
import { complete, type Completion } from '../line/complete';
import type { Problem } from '../line/problem';
import { parseLine, stateAfter } from '../line/resolve';
import type { LineContext, ParsedLine } from '../line/resolver';
import type { Finding } from '../rules/finding';
import type { GameState } from '../rules/state';
import { carryInto, type WalkedSnap } from '../rules/walk';
import type { Snap, SnapFields } from '../snap/snap';
import { planBulk, type BulkPlan } from './bulk';
import { findSnaps, type Found } from './find';
import { opponentOf, placeAfter, type LoggedGame, type RefusedSnap } from './game';
import type { Mode, Session } from './types';
import { DOUBT_FIELDS } from '../snap/sureness';

const MOST_OFFERS = 5;

export interface LineView {
  /** The index of the snap that is edited or that a new one is placed at. */
  readonly at: number;
  readonly row: WalkedSnap | null;
  readonly fixing: RefusedSnap | null;
  readonly context: LineContext;
  readonly parsed: ParsedLine;
  readonly follows: ReturnType<typeof stateAfter>;
  /** Ranked when first asked for: the dear half of a key, and its echo does not wait for it. */
  readonly offers: readonly Completion[];
  readonly found: Found | null;
  readonly bulk: BulkPlan | null;
  /** Problems to show now: a word still being typed is left out where completions stand (which asks for them). */
  readonly problems: readonly Problem[];
  /** Nothing before it says who has the ball: the staff must. */
  readonly starts: 'game' | 'half' | 'unknown' | null;
  /** Who was said to put the ball in play, by key or in the line. */
  readonly start: string | null;
  readonly selected: string | null;
  /** What needs review, notes left out. */
  readonly todo: readonly Finding[];
  readonly finding: Finding | null;
  /** The first word nobody has drawn, if that is the first problem. */
  readonly stranger: string | null;
  /** What the drawing shows. */
  readonly drawn: SnapFields;
}

/** In an edit, blanks of the expected situation are filled by what the snap itself anchors. */
export function editState({ before, expected }: WalkedSnap): GameState {
  return {
    ...expected,
    offense: before.offense,
    defense: before.defense,
    ...(expected.unit === null || before.offense !== expected.offense
      ? { unit: before.unit, score: before.score }
      : {}),
  };
}

/** The team a line names by its key, alone or as its offense; words of a note name none. */
function teamIn(text: string, game: LoggedGame): string | null {
  const words = text
    .replace(/"[^"]*"?/g, ' ')
    .toUpperCase()
    .split(/\s+/);
  const named = words.map((w) => w.replace(/^OFFENSE=/, ''));
  return [game.home, game.away].find((k) => named.includes(k.toUpperCase())) ?? null;
}
const quarterIn = (text: string): number | null => {
  const typed = /(?:^|\s)q(\d{1,2})(?=\s|$)/i.exec(text);
  return typed ? Number(typed[1]) : null;
};

const ABOUT: ReadonlySet<string> = new Set([
  'offense',
  'defense',
  'quarter',
  'clock',
  'note',
  ...DOUBT_FIELDS,
]);
/** The line says more than when and who. */
const tellsOfPlay = (line: ParsedLine): boolean => Object.keys(line.fields).some((f) => !ABOUT.has(f));

const otherUnit = ({ fields: { unit } }: ParsedLine): GameState['unit'] =>
  unit === 'try' || unit === 'free_kick' ? unit : 'scrimmage';

function placeOf(mode: Mode, game: LoggedGame, fixing: RefusedSnap | null): number {
  if (mode.kind === 'edit' || mode.kind === 'insert')
    return game.rows.findIndex((r) => r.snap.snapId === mode.snapId);
  if (fixing && fixing.after !== undefined) return placeAfter(game, fixing.after);
  return game.rows.length;
}

/** The situation of a new snap; where nothing carries in, who starts puts the ball in play. */
function stateFor(
  previous: WalkedSnap | null,
  quarter: number | null,
  start: string | null,
  game: LoggedGame,
): { readonly state: GameState; readonly anchored: boolean } {
  const { expected, anchored } = carryInto(
    previous && { state: previous.after.state, quarter: previous.before.quarter },
    quarter,
  );
  if (start === null || (!anchored && expected.offense !== null)) return { state: expected, anchored };
  if (!anchored)
    return { state: { ...expected, offense: start, defense: opponentOf(game, start) }, anchored };
  const kicking = quarter === null || quarter <= 4;
  return {
    anchored,
    state: {
      ...expected,
      offense: start,
      defense: opponentOf(game, start),
      unit: kicking ? 'kickoff' : 'scrimmage',
      quarter: quarter ?? (previous ? null : 1),
      score: { [game.home]: 0, [game.away]: 0, ...expected.score },
      toGoal: kicking ? game.profile.kickoffToGoal : game.profile.overtimeToGoal,
      down: kicking ? null : 1,
      distance: kicking ? null : 10,
    },
  };
}

/** What needs review, notes left out. */
export const toReview = (game: LoggedGame): Finding[] => game.findings.filter((f) => f.level !== 'note');

function findingFor(selected: string | null, game: LoggedGame, todo: readonly Finding[]): Finding | null {
  return (
    (selected ? game.findings.find((f) => f.snapId === selected) : undefined) ??
    [...todo].reverse().find((f) => f.number > game.rows.length - 2) ??
    todo[0] ??
    game.findings[0] ??
    null
  );
}

function previousLook(game: LoggedGame, at: number, offense: string | null): Snap | null {
  for (let i = at - 1; i >= 0; i--) {
    const { before, snap } = game.rows[i]!;
    if (before.unit === 'scrimmage' && before.offense === offense) return snap;
  }
  return null;
}

function once<T>(make: () => T): () => T {
  let made: { readonly value: T } | null = null;
  return () => (made ??= { value: make() }).value;
}

/** Cost: one parse, and one completion when it is asked for; linear in the snaps. */
export function viewLine(session: Session, game: LoggedGame): LineView {
  const { mode, text } = session;
  const fixing = mode.kind === 'fix' ? (game.refused.find((r) => r.id === mode.id) ?? null) : null;
  const at = placeOf(mode, game, fixing);
  const row = mode.kind === 'edit' ? (game.rows[at] ?? null) : null;
  const previous = game.rows[at - 1] ?? null;
  const start = mode.kind === 'edit' ? null : (teamIn(text, game) ?? session.start);
  const { state, anchored } = row
    ? { state: editState(row), anchored: false }
    : stateFor(previous, quarterIn(text), start, game);
  const typedIn = (state: GameState): LineContext => ({
    book: game.book,
    profile: game.profile,
    state,
    previous: previousLook(game, at, state.offense),
    teams: [game.home, game.away],
    letters: game.letters,
  });
  const assumed = typedIn(state);
  // What is looked for is no snap.
  const first = parseLine(
    mode.kind === 'find' ? '' : text,
    mode.kind === 'bulk' ? { ...assumed, state: null, previous: null } : assumed,
  );
  // Film that begins in the middle: the kickoff was a guess, and its spot with it.
  const kicks =
    state.unit !== 'kickoff' || !anchored || first.fields.unit === 'kickoff' || !tellsOfPlay(first);
  const context = kicks ? assumed : typedIn({ ...state, unit: otherUnit(first), toGoal: null });
  const parsed = kicks || mode.kind === 'find' || mode.kind === 'bulk' ? first : parseLine(text, context);
  const follows = stateAfter(parsed, context);
  const offers = once(() =>
    mode.kind === 'find' ? [] : offersFor(session, game, context.state!, parsed, follows.before),
  );
  const selected = mode.kind === 'edit' || mode.kind === 'insert' ? mode.snapId : null;
  const todo = toReview(game);
  const problems = once(() =>
    mode.kind === 'bulk'
      ? []
      : parsed.problems.filter((p) => !(isBegun(p, session.caret) && offers().length > 0)),
  );
  const open = mode.kind === 'next' || mode.kind === 'insert';
  const nothingCarries = state.offense === null || (start !== null && anchored);
  return {
    at,
    row,
    fixing,
    found: mode.kind === 'find' ? findSnaps(text.slice(1), game) : null,
    bulk: mode.kind === 'bulk' ? planBulk(text, mode.snapIds, game) : null,
    context,
    parsed,
    follows,
    get offers() {
      return offers();
    },
    get problems() {
      return problems();
    },
    starts: !open || !nothingCarries ? null : !previous ? 'game' : anchored ? 'half' : 'unknown',
    start,
    selected,
    todo,
    finding: findingFor(selected, game, todo),
    get stranger() {
      const first = problems()[0];
      return first?.code === 'unknown-word' ? first.text : null;
    },
    drawn: text.trim() === '' && context.previous ? {} : parsed.fields,
  };
}

/** The word at the caret may go on. */
export const isBegun = (problem: Problem, caret: number): boolean =>
  problem.code === 'unknown-word' && problem.end === caret;

function offersFor(
  { text, caret, pending }: Session,
  game: LoggedGame,
  state: GameState,
  parsed: ParsedLine,
  before: GameState,
): readonly Completion[] {
  // A snap on its way to the disk moves the situation: an empty line is ranked when it is there.
  if (text.trim() === '' && (pending !== null || (state.unit !== null && state.unit !== 'scrimmage')))
    return [];
  const { down, distance, toGoal } = before;
  const bucket = bucketOf({ unit: state.unit, down, distance, toGoal, fresh: state.fresh }, game.buckets);
  const situation = { offense: state.offense, defense: state.defense, bucket };
  const { book, habits } = game;
  return complete({ text, caret, book, habits, situation, said: parsed.fields }, MOST_OFFERS);
}
