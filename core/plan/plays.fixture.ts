import type { PlayCard } from './sheet';

/** A run from trips right with eleven personnel; the rest as a test needs it. */
export const aPlay = (id: string, concept: string, more: Partial<PlayCard> = {}): PlayCard => ({
  id,
  name: concept,
  kind: 'run',
  personnel: '11',
  formation: 'trips',
  formationSide: 'R',
  motion: null,
  motionBy: null,
  backfield: null,
  links: [],
  concept,
  conceptWeak: null,
  direction: null,
  ...more,
});
