/** The sentences of a charting session. */
import type { LineView } from './view';
import type { Session, Status } from './types';

const STATUS: Readonly<Record<Status, string>> = {
  logged: 'logged',
  inserted: 'inserted',
  changed: 'changed',
  removed: 'removed; Ctrl Z undoes it',
  fixed: 'fixed',
  'review-fixed': 'fixed',
  undone: 'undone',
  redone: 'redone',
  'nothing-to-undo': 'nothing to undo',
  'nothing-to-redo': 'nothing to redo',
  empty: 'the snap line is empty',
  confirm: 'Enter again saves it as it is; the words not understood go into the note',
  'who-starts': 'Say who has the ball first: F6 or F7, or the team’s short name in the line',
  bulk: 'changed together; Ctrl Z undoes all of it',
  'not-found': 'no snap is logged so',
  gone: 'that snap is not there any more',
};

export const statusSentence = (status: Status | null): string => (status === null ? '' : STATUS[status]);

/** What Enter would do now. */
export function enterHint({ mode, asked }: Session): string {
  if (asked === 'start') return 'who has the ball?';
  if (asked === 'problems') return 'save it as it is';
  if (mode.kind === 'find') return 'go to it';
  if (mode.kind === 'bulk') return 'change them all';
  if (mode.kind === 'edit') return 'save the change';
  return mode.kind === 'next' ? 'save, next snap' : 'insert it';
}

/** What the line stands for. */
export function lineLabel({ mode }: Session, view: LineView, snaps: number): string {
  const ball = view.context.state?.offense ?? null;
  if (mode.kind === 'fix') return `fixing a refused snap, after snap ${view.at}`;
  if (mode.kind === 'edit') return `editing snap ${view.at + 1}`;
  if (mode.kind === 'find') return 'find snaps';
  if (mode.kind === 'bulk')
    return `${mode.snapIds.length} ${mode.snapIds.length === 1 ? 'snap' : 'snaps'} marked`;
  if (mode.kind === 'insert') return `inserting before snap ${view.at + 1}`;
  return `snap ${snaps + 1}${ball ? `, ${ball}` : ''}`;
}

/** Why the staff is asked who has the ball. */
export const STARTS: Readonly<
  Record<'game' | 'half' | 'unknown', { readonly ask: string; readonly why: string }>
> = {
  game: { ask: 'Who kicks off?', why: 'This is the first snap of the game.' },
  half: { ask: 'Who kicks off?', why: 'A half begins: nothing carries into this snap.' },
  unknown: { ask: 'Who has the ball?', why: 'The snap before it does not say.' },
};
