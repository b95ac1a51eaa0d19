/** A drawing as plain marks in yards, and what one is made from. */
import type { LevelProfile } from '../field/profile';
import type { Hash } from '../field/spot';
import type { DefenseDuty, PlacedDefender } from './defend';
import type { Man } from './formation';
import type { Point } from './motion';
import type { DrawnPath } from './routes';
import type { DrawnUse } from './uses';

export type Ink = 'ink' | 'ink2' | 'faint' | 'run' | 'pass' | 'us' | 'them' | 'finding' | 'card' | 'high';

export type DrawMark =
  | {
      readonly mark: 'path';
      readonly d: readonly Point[];
      readonly ink: Ink;
      readonly width: number;
      readonly dash?: readonly [number, number];
      readonly round?: boolean;
      readonly title?: string;
    }
  | {
      readonly mark: 'circle';
      readonly x: number;
      readonly y: number;
      readonly r: number;
      readonly fill: Ink;
      readonly ink: Ink;
      readonly width: number;
    }
  | {
      readonly mark: 'ellipse';
      readonly x: number;
      readonly y: number;
      readonly rx: number;
      readonly ry: number;
      readonly ink: Ink;
      readonly width: number;
      readonly dash: readonly [number, number];
    }
  | {
      readonly mark: 'box';
      readonly x: number;
      readonly y: number;
      readonly r: number;
      readonly fill: Ink;
      readonly ink: Ink;
      readonly width: number;
    }
  | { readonly mark: 'shape'; readonly points: readonly Point[]; readonly fill: Ink }
  | {
      readonly mark: 'text';
      readonly x: number;
      readonly y: number;
      readonly size: number;
      readonly text: string;
      readonly ink: Ink;
      readonly bold: boolean;
      readonly anchor: 'start' | 'middle' | 'end';
    };

export interface Drawing {
  /** Box in yards: left, top, width, height. */
  readonly view: readonly [number, number, number, number];
  readonly marks: readonly DrawMark[];
}

export interface DrawInput {
  readonly men: readonly Man[];
  /** Numbers #1, #2, #3 under the receivers. */
  readonly numbers?: boolean;
  readonly mover?: string | null;
  readonly defenders?: readonly PlacedDefender[];
  readonly paths?: readonly DrawnPath[];
  readonly drops?: readonly DefenseDuty[];
  /** A single call that is not drawn man by man. */
  readonly arrow?: { readonly kind: 'run' | 'pass'; readonly points: readonly Point[] } | null;
  /** What was called from it, each with its snaps. */
  readonly uses?: readonly DrawnUse[];
  readonly hash: Hash | null;
  readonly profile: LevelProfile;
  /** Yards drawn forward of the line, and behind it. */
  readonly ahead?: number;
  readonly behind?: number;
  /** Show only the breadth of field where somebody stands or goes. */
  readonly crop?: boolean;
  /** Defenders drawn as the trade does, by letter; free ones are ringed. */
  readonly ringed?: ReadonlySet<string>;
}
