/** The state of a charting session, what may happen to it, and what it asks to be done. */
import type { Remedy } from '../rules/finding';
import type { SnapFields } from '../snap/snap';

export type Mode =
  | { readonly kind: 'next' }
  | { readonly kind: 'edit'; readonly snapId: string }
  | { readonly kind: 'insert'; readonly snapId: string }
  | { readonly kind: 'fix'; readonly id: string }
  /** The line looks for snaps. */
  | { readonly kind: 'find' }
  /** The line is set on all of them. */
  | { readonly kind: 'bulk'; readonly snapIds: readonly string[] };

/** One change to the game's snaps; what it is written over is the store's side. */
export type Change =
  | {
      readonly do: 'put';
      readonly snapId: string;
      readonly fields: SnapFields;
      readonly after: string | null;
    }
  | { readonly do: 'patch'; readonly snapId: string; readonly fields: SnapFields }
  | { readonly do: 'remove' | 'restore'; readonly snapId: string };

export interface Step {
  readonly redo: readonly Change[];
  readonly undo: readonly Change[];
}

/** On its way to this browser's disk. */
export interface Pending {
  readonly changes: readonly Change[];
  /** The refused snap it takes the place of. */
  readonly replaces: string | null;
  /** Written over what the edit was opened on, not over what stands now. */
  readonly asOpened: boolean;
  /** The line it was typed as, cleared already and put back if the disk refuses; null: the line stays. */
  readonly line: string | null;
  /** What the line was opened as, and how it read then. */
  readonly mode: Mode;
  readonly shown: string;
  readonly step: Step | null;
  readonly moved: 'undo' | 'redo' | null;
  readonly done: Status;
}

export type Status =
  | 'logged'
  | 'inserted'
  | 'changed'
  | 'removed'
  | 'fixed'
  | 'review-fixed'
  | 'undone'
  | 'redone'
  | 'nothing-to-undo'
  | 'nothing-to-redo'
  | 'empty'
  | 'confirm'
  | 'who-starts'
  | 'gone'
  | 'bulk'
  | 'not-found';

export interface Session {
  /** The page is alive and the draft was taken. */
  readonly begun: boolean;
  readonly mode: Mode;
  readonly text: string;
  readonly caret: number;
  /** The line as the mode opened it. */
  readonly shown: string;
  /** The line of the next snap, while another is edited. */
  readonly draft: string;
  /** The offer or candidate that Tab takes. */
  readonly chosen: number;
  /** What was looked for last. */
  readonly search: string;
  /** Who was said to put the ball in play. */
  readonly start: string | null;
  /** Enter was pressed on a line that is not understood whole, or on one that does not say who starts. */
  readonly asked: 'problems' | 'start' | null;
  readonly status: Status | null;
  readonly trouble: string;
  readonly pending: Pending | null;
  /** What was pressed while something was pending, in order. */
  readonly waiting: readonly Event[];
  readonly done: readonly Step[];
  readonly undone: readonly Step[];
  readonly panel: 'help' | 'look' | null;
}

export type Event =
  | { readonly type: 'begin'; readonly draft: string; readonly early: string; readonly open: string | null }
  | { readonly type: 'typed'; readonly text: string; readonly caret: number }
  | { readonly type: 'take'; readonly index: number }
  | { readonly type: 'take-candidate'; readonly problem: number; readonly candidate: number }
  | { readonly type: 'choose-next' }
  /** `line`: what stood there when it was pressed, if it has to wait; what is typed behind it is another snap's. */
  | { readonly type: 'enter'; readonly snapId: string; readonly line?: string }
  | { readonly type: 'walk'; readonly by: number }
  | { readonly type: 'edit' | 'insert-before'; readonly snapId: string }
  | { readonly type: 'fix'; readonly id: string }
  | { readonly type: 'leave' }
  | { readonly type: 'find' }
  | { readonly type: 'find-next' }
  | { readonly type: 'mark-found' }
  /** One more snap marked, up or down; or all between the one that is open and another. */
  | { readonly type: 'mark'; readonly by: number }
  | { readonly type: 'mark-to'; readonly snapId: string }
  | { readonly type: 'remove' }
  | { readonly type: 'undo' | 'redo' }
  /** `snapId`: of the snap that a remedy puts in. */
  | { readonly type: 'remedy'; readonly remedy: Remedy; readonly snapId?: string }
  | { readonly type: 'next-finding' }
  | { readonly type: 'start'; readonly team: string }
  | { readonly type: 'panel'; readonly panel: Session['panel'] }
  | { readonly type: 'game-changed' }
  | { readonly type: 'written' }
  | { readonly type: 'not-written'; readonly why: string }
  | { readonly type: 'resume' };

export type Effect =
  | { readonly kind: 'write'; readonly write: Pending }
  /** The edit begins: what is written later is written over what is known now. */
  | { readonly kind: 'opened' }
  | { readonly kind: 'focus' }
  | { readonly kind: 'caret'; readonly at: number };
