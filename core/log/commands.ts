/** What can be done while charting, once: key handling, the hint line, the help and the docs are made from it. */
import type { Event, Session } from './types';
import type { LineView } from './view';

export interface Command {
  readonly id: string;
  /** Chords with + between keys; Mod is Ctrl, or Command on a Mac. */
  readonly keys: readonly string[];
  readonly label: string;
  /** Stands in the line of hints below the snap line. */
  readonly hint?: boolean;
  /** The event it means now; null where it means nothing, and the key is left to the field. */
  readonly event: (session: Session, view: LineView, teams: readonly [string, string]) => Event | null;
}

/** Undo belongs to the field while something is being typed there. */
const untouched = (s: Session): boolean => s.text === '' || s.text === s.shown;
const remedy =
  (n: number) =>
  (_: Session, { finding }: LineView): Event | null => {
    const found = finding?.remedies[n];
    return found ? { type: 'remedy', remedy: found } : null;
  };

export const LOG_COMMANDS: readonly Command[] = [
  {
    id: 'accept',
    keys: ['Tab'],
    label: 'take the offer',
    event: (session, lineView) => {
      const ways = lineView.problems[0]?.candidates.length ?? 0;
      if (ways > 0) return { type: 'take-candidate', problem: 0, candidate: session.chosen % ways };
      return lineView.offers.length > 0 ? { type: 'take', index: session.chosen } : null;
    },
  },
  ...['[', ']', '\\', ';'].map((key, i): Command => ({
    id: `accept-${i + 2}`,
    keys: [key],
    label: `take the ${['second', 'third', 'fourth', 'fifth'][i]} offer`,
    event: ({ text, caret }, { problems, offers }) => {
      // Inside a note or a list the sign is itself.
      const head = text.slice(0, caret);
      if (/=\S*$/.test(head) || (head.match(/"/g) ?? []).length % 2 === 1) return null;
      if (problems[0]?.candidates[i + 1]) return { type: 'take-candidate', problem: 0, candidate: i + 1 };
      return problems.length === 0 && offers[i + 1] ? { type: 'take', index: i + 1 } : null;
    },
  })),
  {
    id: 'earlier',
    keys: ['ArrowUp'],
    label: 'earlier snaps',
    hint: true,
    event: (s) => (s.mode.kind === 'find' || s.mode.kind === 'bulk' ? null : { type: 'walk', by: -1 }),
  },
  {
    id: 'later',
    keys: ['ArrowDown'],
    label: 'later snaps; in a new line the next offer',
    event: (s) =>
      s.mode.kind !== 'edit' && s.mode.kind !== 'insert' ? { type: 'choose-next' } : { type: 'walk', by: 1 },
  },
  {
    id: 'find',
    keys: ['Alt+F'],
    label: 'find snaps (or / in an empty line)',
    hint: true,
    event: () => ({ type: 'find' }),
  },
  {
    id: 'find-next',
    keys: ['Alt+N'],
    label: 'next snap found',
    event: (s) => (s.search !== '' ? { type: 'find-next' } : null),
  },
  {
    id: 'mark-earlier',
    keys: ['Shift+ArrowUp'],
    label: 'mark the snap and those before it',
    event: () => ({ type: 'mark', by: -1 }),
  },
  {
    id: 'mark-later',
    keys: ['Shift+ArrowDown'],
    label: 'mark the snap and those after it',
    event: () => ({ type: 'mark', by: 1 }),
  },
  {
    id: 'mark-found',
    keys: ['Alt+A'],
    label: 'mark all that were found',
    event: (s) => (s.mode.kind === 'find' || s.search !== '' ? { type: 'mark-found' } : null),
  },
  {
    id: 'insert',
    keys: ['Alt+I'],
    label: 'insert before',
    hint: true,
    event: (_, v) => (v.selected ? { type: 'insert-before', snapId: v.selected } : null),
  },
  {
    id: 'remove',
    keys: ['Alt+X'],
    label: 'remove',
    hint: true,
    event: (s) => (s.mode.kind === 'edit' ? { type: 'remove' } : null),
  },
  {
    id: 'look',
    keys: ['Alt+L'],
    label: 'look card',
    hint: true,
    event: () => ({ type: 'panel', panel: 'look' }),
  },
  {
    id: 'undo',
    keys: ['Mod+Z'],
    label: 'undo',
    hint: true,
    event: (s) => (untouched(s) ? { type: 'undo' } : null),
  },
  {
    id: 'redo',
    keys: ['Mod+Shift+Z', 'Mod+Y'],
    label: 'redo',
    event: (s) => (untouched(s) ? { type: 'redo' } : null),
  },
  {
    id: 'leave',
    keys: ['Escape'],
    label: 'back to the next snap',
    hint: true,
    event: () => ({ type: 'leave' }),
  },
  { id: 'fix-1', keys: ['F1'], label: 'first way to fix what needs review', event: remedy(0) },
  { id: 'fix-2', keys: ['F2'], label: 'second way', event: remedy(1) },
  { id: 'fix-3', keys: ['F3'], label: 'third way', event: remedy(2) },
  { id: 'fix-4', keys: ['F8'], label: 'fourth way', event: remedy(3) },
  {
    id: 'next-review',
    keys: ['F4'],
    label: 'next snap that needs review',
    event: (_, v) => (v.todo.length > 0 ? { type: 'next-finding' } : null),
  },
  {
    id: 'home-starts',
    keys: ['F6'],
    label: 'the home team has the ball first',
    event: (_s, _v, [home]) => ({ type: 'start', team: home }),
  },
  {
    id: 'away-starts',
    keys: ['F7'],
    label: 'the visitors have the ball first',
    event: (_s, _v, [, away]) => ({ type: 'start', team: away }),
  },
];
