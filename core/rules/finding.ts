/** Findings as values: code, facts, remedies. Their sentences stand in finding-words. */
import type { Hash } from '../field/spot';
import type { SnapFields } from '../snap/snap';
import type { RuleStep } from './messages';
import type { GameState } from './state';

export const FINDING_CODES = [
  'possession',
  'unit',
  'down',
  'distance',
  'spot',
  'score',
  'clock',
  'quarter',
  'hash',
  'missing-film',
  'missing-kick',
  'gain-and-spot',
  'return-and-spot',
  'goal-line',
  'touchdown-gain',
  'no-distance',
  'kick-length',
  'people',
  'next-offense',
  'half-kickoff',
  'teams',
  'try-returned',
] as const;
export type FindingCode = (typeof FINDING_CODES)[number];

/** Contradiction, difference of one yard (spots are rounded when they are marked), hole in the film. */
export type FindingLevel = 'finding' | 'note' | 'cannot_know';

/** Two situations that differ, and how the second came about. */
export interface Differing {
  readonly logged: GameState;
  readonly follows: GameState;
  /** The situation of the snap before, and what was done in it. */
  readonly previous: GameState;
  readonly steps: readonly RuleStep[];
  readonly rounding: boolean;
}
export type StateCode = 'possession' | 'unit' | 'down' | 'distance' | 'spot';

type Body =
  | { readonly code: StateCode; readonly facts: Differing }
  | {
      readonly code: 'missing-kick';
      readonly facts: Pick<Differing, 'logged' | 'follows' | 'steps'>;
    }
  | {
      readonly code: 'missing-film';
      readonly facts: {
        readonly steps: readonly RuleStep[] | null;
        readonly noDown: boolean;
        readonly noSpot: boolean;
      };
    }
  | { readonly code: 'teams'; readonly facts: { readonly team: string } }
  | { readonly code: 'try-returned'; readonly facts: null }
  | {
      readonly code: 'touchdown-gain' | 'goal-line';
      readonly facts: { readonly toGoal: number; readonly gain: number; readonly own: boolean };
    }
  | {
      readonly code: 'gain-and-spot';
      readonly facts: {
        readonly toGoal: number;
        readonly gain: number;
        readonly follows: number;
        readonly dead: number;
      };
    }
  | {
      readonly code: 'return-and-spot';
      readonly facts: {
        readonly toGoal: number;
        readonly length: number;
        readonly returned: number;
        readonly follows: number;
        readonly dead: number;
      };
    }
  | {
      readonly code: 'no-distance';
      readonly facts: { readonly down: number; readonly distance: number; readonly toGoal: number };
    }
  | { readonly code: 'kick-length'; readonly facts: { readonly toGoal: number; readonly length: number } }
  | { readonly code: 'people'; readonly facts: { readonly personnel: string; readonly people: number } }
  | {
      readonly code: 'next-offense';
      readonly facts: {
        readonly logged: string;
        readonly follows: string;
        readonly steps: readonly RuleStep[];
      };
    }
  | { readonly code: 'half-kickoff'; readonly facts: { readonly logged: string; readonly follows: string } }
  | {
      readonly code: 'quarter' | 'clock';
      readonly facts: { readonly logged: number; readonly before: number };
    }
  | {
      readonly code: 'score';
      readonly facts: { readonly team: string; readonly logged: number; readonly follows: number };
    }
  | { readonly code: 'hash'; readonly facts: { readonly logged: Hash; readonly follows: Hash } };

export type RemedyCode =
  | {
      readonly code: 'situation';
      readonly facts: {
        readonly finding: StateCode;
        readonly logged: GameState;
        readonly follows: GameState;
      };
    }
  | {
      readonly code: 'gain-before' | 'gain' | 'attempt' | 'goal-to-go' | 'quarter';
      readonly facts: { readonly n: number };
    }
  | { readonly code: 'snap-spot' | 'kick-spot' | 'dead-spot'; readonly facts: { readonly toGoal: number } }
  | {
      readonly code:
        | 'touchdown'
        | 'safety'
        | 'clear-clock'
        | 'clear-clock-before'
        | 'missing-snap'
        | 'mark-missing'
        | 'try-failed';
      readonly facts: null;
    }
  | { readonly code: 'next-offense'; readonly facts: { readonly team: string } }
  | { readonly code: 'points'; readonly facts: { readonly team: string; readonly points: number } }
  | { readonly code: 'hash'; readonly facts: { readonly hash: Hash } };

/** What one key fixes. `insertBefore`: a snap is missing before this one. */
export type Remedy = RemedyCode & {
  readonly patches: readonly { readonly snapId: string; readonly fields: SnapFields }[];
  readonly insertBefore: string | null;
  /** What stands there then; none: the analyst types it. */
  readonly fields?: SnapFields;
};

/** A finding before it is known which snap it belongs to. */
export type FindingBody = Body & { readonly level: FindingLevel; readonly remedies: readonly Remedy[] };

export type Finding = FindingBody & { readonly snapId: string; readonly number: number };

export const patchRemedy = (what: RemedyCode, snapId: string, fields: SnapFields): Remedy => ({
  ...what,
  patches: [{ snapId, fields }],
  insertBefore: null,
});
/** A snap is missing before this one: logged now, or marked as not on the film. */
export const missingSnaps = (snapId: string): readonly Remedy[] => [
  missingSnap(snapId),
  {
    code: 'mark-missing',
    facts: null,
    patches: [],
    insertBefore: snapId,
    fields: { notFilmed: true },
  },
];
const missingSnap = (snapId: string): Remedy => ({
  code: 'missing-snap',
  facts: null,
  patches: [],
  insertBefore: snapId,
});
