/** Passes over a film: each looks at one thing on every snap, and asks for a few fields (common practice). */
import type { WalkedSnap } from '../rules';
import { isTagged, SNAP_FIELDS, type Snap, type SnapFact } from '../snap';

/** Which snaps a pass looks at. */
export const OVERS = ['scrimmage', 'runs', 'passes', 'kicks'] as const;
export type Over = (typeof OVERS)[number];
export const OVER_LABEL: Readonly<Record<Over, string>> = {
  scrimmage: 'every scrimmage snap',
  runs: 'runs and options',
  passes: 'passes and options',
  kicks: 'kicks',
};
export interface ChartPass {
  readonly id: string;
  readonly name: string;
  readonly over: Over;
  readonly fields: readonly SnapFact[];
}

export const CHART_PASSES: readonly ChartPass[] = [
  {
    id: 'offense',
    name: 'Offense',
    over: 'scrimmage',
    fields: [
      'personnel',
      'formation',
      'formationSide',
      'backfield',
      'motion',
      'motionBy',
      'play',
      'concept',
      'direction',
    ],
  },
  {
    id: 'front',
    name: 'Defense',
    over: 'scrimmage',
    fields: ['front', 'box', 'shell', 'coverage', 'rotation', 'pressure', 'rushers'],
  },
  {
    id: 'corners',
    name: 'Corners and safeties',
    over: 'scrimmage',
    fields: [
      'cornerLeftDepth',
      'cornerLeftLeverage',
      'cornerRightDepth',
      'cornerRightLeverage',
      'safetyLeftDepth',
      'safetyRightDepth',
      'motionResponse',
      'rotationTime',
    ],
  },
  {
    id: 'protection',
    name: 'Protection',
    over: 'passes',
    fields: [
      'protection',
      'slideSide',
      'backDuty',
      'freeRusher',
      'freeFrom',
      'pressureTime',
      'quarterbackHit',
    ],
  },
  {
    id: 'runs',
    name: 'Runs',
    over: 'runs',
    fields: ['readDecision', 'readRight', 'access', 'hitPoint', 'runPath', 'pullerMet', 'beforeContact'],
  },
  {
    id: 'throws',
    name: 'Throws',
    over: 'passes',
    fields: ['drop', 'released', 'targetDepth', 'targetThird', 'throwKind', 'readThrown', 'checkDown'],
  },
  {
    id: 'timing',
    name: 'Snap and tempo',
    over: 'scrimmage',
    fields: ['tempo', 'snapSign', 'motionToSnap', 'cadence', 'sidelineChecks', 'callSource'],
  },
  {
    id: 'kicks',
    name: 'Kicks',
    over: 'kicks',
    fields: ['hang', 'operation', 'kickDirection', 'lanes', 'onside', 'blockedBy'],
  },
  {
    id: 'own',
    name: 'Own film',
    over: 'scrimmage',
    fields: ['callSent', 'process', 'causes', 'meshGood', 'missedBlock', 'praised', 'coachingPoint'],
  },
];
/** What one volunteer reaches in an hour: who, where, what, against what. */
export const HOUR_PASS: ChartPass = {
  id: 'hour',
  name: 'One hour',
  over: 'scrimmage',
  fields: ['personnel', 'formation', 'play', 'concept', 'front', 'coverage'],
};
export const passOf = (id: string, among: readonly ChartPass[] = CHART_PASSES): ChartPass | null =>
  among.find((p) => p.id === id) ?? null;

const KICKS: ReadonlySet<string> = new Set(['punt', 'field_goal', 'kickoff', 'free_kick']);
function isOver(over: Over, { snap, before }: WalkedSnap): boolean {
  if (snap.notFilmed) return false;
  // A unit that is not typed is carried.
  const unit = snap.unit ?? before.unit;
  if (over === 'kicks') return unit !== null && KICKS.has(unit);
  if (unit !== 'scrimmage' || snap.result === 'kneel' || snap.result === 'spike') return false;
  if (over === 'scrimmage') return true;
  return over === 'runs'
    ? snap.play === 'run' || snap.play === 'rpo'
    : snap.play === 'pass' || snap.play === 'rpo';
}

/** Asked only where something else makes it a question. */
const ONLY: Readonly<Partial<Record<SnapFact, (snap: Snap) => boolean>>> = {
  motionResponse: (snap) => isTagged(snap.motion),
  motionBy: (snap) => isTagged(snap.motion),
  formationSide: (snap) => isTagged(snap.formation),
  direction: (snap) => isTagged(snap.concept),
  motionToSnap: (snap) => isTagged(snap.motion),
  readRight: (snap) => isTagged(snap.readDecision),
  freeFrom: (snap) => isTagged(snap.freeRusher),
  rotationTime: (snap) => isTagged(snap.rotation),
  targetDepth: (snap) => snap.result !== 'sack' && snap.result !== 'scramble',
  targetThird: (snap) => snap.result !== 'sack' && snap.result !== 'scramble',
  throwKind: (snap) => snap.result !== 'sack' && snap.result !== 'scramble',
};

/** The fields a pass asks of a snap. */
export const asked = (pass: ChartPass, snap: Snap): SnapFact[] =>
  pass.fields.filter((field) => ONLY[field]?.(snap) ?? true);

/** A field that somebody has looked at: a value, none, or not visible. */
export const isCharted = (snap: Snap, field: SnapFact): boolean => {
  const value = snap[field];
  return value !== null && !(Array.isArray(value) && value.length === 0);
};
export const isDone = (pass: ChartPass, snap: Snap): boolean =>
  asked(pass, snap).every((field) => isCharted(snap, field) || isOptional(field));

/** Words and lists are written where there is something to write. */
export const isOptional = (field: SnapFact): boolean => {
  const { kind, tag } = SNAP_FIELDS[field];
  return kind === 'list' || kind === 'numbers' || kind === 'flag' || (kind === 'text' && !tag);
};

export const rowsOf = (pass: ChartPass, rows: readonly WalkedSnap[]): WalkedSnap[] =>
  rows.filter((row) => isOver(pass.over, row));

export interface Progress {
  readonly done: number;
  readonly of: number;
}
export function progressOf(pass: ChartPass, rows: readonly WalkedSnap[]): Progress {
  const over = rowsOf(pass, rows);
  return { done: over.filter(({ snap }) => isDone(pass, snap)).length, of: over.length };
}

/** Minutes for the snaps left at the median of the paces measured, seconds a snap. Null before three are. */
export function minutesLeft(
  left: number,
  paces: readonly number[],
): { readonly minutes: number; readonly pace: number } | null {
  if (paces.length < 3) return null;
  const sorted = [...paces].sort((a, b) => a - b);
  const middle = sorted.length >> 1;
  const pace = sorted.length % 2 ? sorted[middle]! : (sorted[middle - 1]! + sorted[middle]!) / 2;
  return { minutes: Math.max(1, Math.round((left * pace) / 60)), pace: Math.round(pace) };
}
