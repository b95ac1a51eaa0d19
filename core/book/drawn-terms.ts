/** Which words are drawn and on what, and the structure of one. Apart from the drawing: lists need no more. */
import type { LevelProfile } from '../field/profile';
import type { Side } from '../field/spot';
import { lineUp, shapeOf } from '../look/formation';
import { structure } from '../look/structure';
import type { SnapFields } from '../snap/snap';
import { spotsOf } from './look-words';
import type { Book, Term } from './term';

/** What a term of the book is drawn on when it says nothing of the rest. */
export const CANVAS: Readonly<Partial<Record<Term['kind'], SnapFields>>> = {
  formation: { backfield: 'gun' },
  backfield: { formation: 'pro', formationSide: 'R' },
  motion: { formation: 'doubles', formationSide: 'R', backfield: 'gun', motionBy: 'H' },
  front: { formation: 'trey', formationSide: 'R', backfield: 'gun' },
  coverage: { formation: 'spread', formationSide: 'R', backfield: 'gun', front: '4-2 over' },
  pressure: {
    formation: 'trey',
    formationSide: 'R',
    backfield: 'gun',
    front: '4-2 over',
    coverage: 'cover 1',
  },
  run: { formation: 'wing pro', formationSide: 'R', backfield: 'pistol offset', play: 'run', direction: 'R' },
  pass: { formation: 'trips', formationSide: 'R', backfield: 'gun', play: 'pass' },
  protection: { formation: 'trey', formationSide: 'R', backfield: 'gun', front: '4-2 over' },
};

/** True for a kind whose terms are drawn. */
export const isDrawn = (term: Term): boolean =>
  term.spots !== undefined || (term.definition !== undefined && term.kind in CANVAS);

/** The structure of a formation word as it stands strong right, for lists. */
export function formationStructure(book: Book, term: Term, side: Side = 'R', profile?: LevelProfile) {
  const men = lineUp(
    term.spots ?? null,
    side,
    spotsOf(book, 'backfield', 'gun'),
    shapeOf(profile?.players ?? 11),
  );
  return structure(men);
}
