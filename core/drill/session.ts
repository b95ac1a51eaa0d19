/** A sitting of the drill: a look is shown, gone, named, told. Times are passed in, in milliseconds. */
import type { SnapFields } from '../snap';
import { markAnswer, type DrillLook, type Marked } from './looks';

export interface Answered {
  readonly look: DrillLook;
  readonly marks: readonly Marked[];
  readonly seconds: number;
}
export interface DrillSession {
  readonly looks: readonly DrillLook[];
  readonly at: number;
  /** Before it is shown; seen; gone, to be named; told how it was; all asked. */
  readonly phase: 'ready' | 'shown' | 'gone' | 'told' | 'over';
  readonly since: number;
  readonly text: string;
  readonly answered: readonly Answered[];
}
export type DrillEvent =
  | { readonly type: 'show' | 'hide'; readonly now: number }
  | { readonly type: 'typed'; readonly text: string }
  | { readonly type: 'answer'; readonly said: SnapFields; readonly now: number }
  | { readonly type: 'next' };

export const newDrill = (looks: readonly DrillLook[]): DrillSession => ({
  looks,
  at: 0,
  phase: looks.length === 0 ? 'over' : 'ready',
  since: 0,
  text: '',
  answered: [],
});

/** One event; an event that means nothing in the phase changes nothing. */
export function stepDrill(session: DrillSession, event: DrillEvent): DrillSession {
  const { phase, looks, at } = session;
  switch (event.type) {
    case 'show':
      return phase === 'ready' ? { ...session, phase: 'shown', since: event.now } : session;
    case 'hide':
      return phase === 'shown' ? { ...session, phase: 'gone' } : session;
    case 'typed':
      return phase === 'shown' || phase === 'gone' ? { ...session, text: event.text } : session;
    case 'answer': {
      if (phase !== 'shown' && phase !== 'gone') return session;
      const look = looks[at]!;
      const seconds = (event.now - session.since) / 1000;
      return {
        ...session,
        phase: 'told',
        answered: [...session.answered, { look, marks: markAnswer(look, event.said), seconds }],
      };
    }
    case 'next': {
      if (phase !== 'told') return session;
      const last = at + 1 >= looks.length;
      return { ...session, text: '', at: last ? at : at + 1, phase: last ? 'over' : 'ready' };
    }
  }
}

export interface FieldScore {
  readonly label: string;
  readonly right: number;
  readonly of: number;
}
/** Right answers by field of a sitting, and the median seconds a look; null before the first. */
export function scoreOf(answered: readonly Answered[]): {
  readonly fields: FieldScore[];
  readonly seconds: number | null;
} {
  const by = new Map<string, { right: number; of: number }>();
  for (const { marks } of answered)
    for (const { label, right } of marks) {
      const sum = by.get(label) ?? { right: 0, of: 0 };
      by.set(label, { right: sum.right + Number(right), of: sum.of + 1 });
    }
  const times = answered.map((a) => a.seconds).sort((a, b) => a - b);
  return {
    fields: [...by].map(([label, sum]) => ({ label, ...sum })),
    seconds: times.length === 0 ? null : times[times.length >> 1]!,
  };
}
