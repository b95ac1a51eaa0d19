/** The grammar's own words, as a table: a staff in another language replaces this and the book. */
import { fieldsWith, SNAP_FIELDS } from '../snap/fields';
import type { SnapField, SnapFields } from '../snap/snap';

export const HEADS = [
  'pen',
  'punt',
  'kickoff',
  'freekick',
  'fg',
  'try',
  'sack',
  'int',
  'fum',
  'drop',
  'box',
  'shell',
  'rush',
] as const;
export type Head = (typeof HEADS)[number];

/** Words that stand for fields by themselves. */
export const RESULT_WORDS: Readonly<Record<string, SnapFields>> = {
  inc: { result: 'incomplete' },
  incomplete: { result: 'incomplete' },
  complete: { result: 'complete' },
  comp: { result: 'complete' },
  dropped: { result: 'incomplete', incompleteCause: 'dropped' },
  throwaway: { result: 'incomplete', incompleteCause: 'thrown_away' },
  batted: { result: 'incomplete', incompleteCause: 'batted' },
  defended: { result: 'incomplete', incompleteCause: 'defended' },
  overthrown: { result: 'incomplete', incompleteCause: 'overthrown' },
  scramble: { result: 'scramble' },
  kneel: { result: 'kneel' },
  spike: { result: 'spike' },
  noplay: { result: 'no_play' },
  td: { score: 'touchdown' },
  safety: { score: 'safety' },
  oob: { outOfBounds: true },
  gave: { readDecision: 'gave' },
  pulled: { readDecision: 'pulled' },
  pitched: { readDecision: 'pitched' },
  thrown: { readDecision: 'thrown' },
  drill: { scrambleDrill: true },
  qbhit: { quarterbackHit: true },
};

/** Directions of a run and sides of a formation that follow from what stands there; said right after it. */
export const RELATIVE_SIDES: Readonly<Record<string, RelativeSide>> = {
  strong: 'strong',
  weak: 'weak',
  'to strength': 'strong',
  'away from strength': 'weak',
  field: 'field',
  boundary: 'boundary',
  'to the field': 'field',
  'to field': 'field',
  'to the boundary': 'boundary',
  'to boundary': 'boundary',
  'to the tight end': 'tight end',
  'to te': 'tight end',
  'away from the tight end': 'open',
  'away from te': 'open',
  'to the back': 'back',
  'to back': 'back',
  'away from the back': 'away from back',
  'away from back': 'away from back',
};
export type RelativeSide =
  'strong' | 'weak' | 'field' | 'boundary' | 'tight end' | 'open' | 'back' | 'away from back';
/** Most words of one of them. */
export const RELATIVE_WORDS = 5;

/** How a kick ends, inside `punt`, `kickoff`, `freekick`, `fg` and `int` (touchback only). */
export const KICK_WORDS: Readonly<Record<string, SnapFields>> = {
  tb: { kickEnd: 'touchback' },
  touchback: { kickEnd: 'touchback' },
  fc: { kickEnd: 'fair_catch' },
  downed: { kickEnd: 'downed' },
  oob: { kickEnd: 'out_of_bounds' },
  blocked: { kickEnd: 'blocked' },
  muffed: { kickEnd: 'muffed' },
  kept: { kickEnd: 'kept_by_kickers' },
};

/** Field names as typed before `=`, after `no`, and before `unseen`. Column names work too. */
export const FIELD_WORDS: Readonly<Record<string, SnapField>> = Object.fromEntries(
  fieldsWith('typed').flatMap((field) => SNAP_FIELDS[field].typed!.map((word) => [word, field])),
);

export const SIDE_WORDS: Readonly<Record<string, 'L' | 'R'>> = { l: 'L', r: 'R', left: 'L', right: 'R' };

export const WORDS = {
  carry: '..',
  keep: '!',
  none: '-',
  unseen: '??',
  no: 'no',
  unseenWord: 'unseen',
  ret: 'ret',
  fake: 'fake',
  good: 'good',
  failed: ['no', 'missed'],
  kick: 'kick',
  twoPoint: '2pt',
  returned: 'returned',
  lost: 'lost',
  keptBall: 'kept',
  declined: 'declined',
  offset: 'offset',
  first: '1st',
  lossOfDown: 'lod',
  noFirst: 'no1st',
} as const;

/** What may end a kick and lines a new analyst is offered on `?`. */
export const HELP: readonly (readonly [written: string, means: string])[] = [
  ['2&7  1&g', 'down and distance, when it is not carried'],
  ['@o35l  @t12m  @50', 'spot before the snap: own 35 left hash, their 12 middle'],
  ['q3  8:41', 'quarter, clock'],
  ['11  12  20', 'personnel: backs, tight ends'],
  ['trips r  power l', 'a word of your book, then a side'],
  ['h jet  y trade h jet', 'a letter beside a motion: who moves; two movements'],
  ['power weak  power to the tight end', 'a direction by strength, field, tight end or back'],
  ['stick/snag', 'strong side concept / weak side concept'],
  ['inside zone r ~ bubble', 'run part ~ pass part'],
  ['+6  -2  0', 'yards gained'],
  ['>t41r', 'where the ball was dead'],
  [
    'gave pulled pitched thrown  drill  qbhit',
    'how an option ended; scramble drill; the quarterback was hit',
  ],
  ['inc dropped sack scramble td int fum lost oob kneel spike safety', 'results'],
  [
    'pen o holding 10  pen o holding 10 @t35',
    'penalty: side, name, yards, prev end foul succ, spot of the foul, declined offset, 1st, lod',
  ],
  [
    'punt 42 ret 6  kickoff tb  fg 34 good  try kick good',
    'kicks and tries; fc tb downed oob blocked muffed kept; punt fake',
  ],
  ['#22  #7>#81  by#54#9', 'carrier or target; passer > target; tacklers'],
  ['#h  #q>#x', 'the same by letters, where the game’s roster names them'],
  ['quarters?  quarters??  cov=??  mo=-', 'think so; a guess; not visible on this film; none'],
  ['..  !  "corner 12 off"', 'same personnel and look as the last snap; save the clip; a note'],
];
