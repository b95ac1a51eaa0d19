/** What a notation problem says. */
import { MOTION_KINDS } from '../motion';
import { SLIDES } from '../protection';
import { LINE_MOVES } from '../pressure';
import type { NotationCode, NotationProblem } from './reader';

const NEEDS: Readonly<Record<NotationCode, string>> = {
  'too-many-parts': 'stands after the last part; there is one bar too many',
  motion: `is none of ${MOTION_KINDS.join(', ')}`,
  'front-man': 'is not a side (s, w, or none in the middle) and a number: s3, w5+, 0',
  backer: 'is not a letter and yards from the ball: M0, W-2.5@5',
  style: 'is not a style (man, zone, match, mixed) and a middle (open, closed, none)',
  'deep-man': 'is not role:zone@place: fs:middle@0',
  duty: 'is not role:duty:side: ss:curl:s',
  shell: 'is not the number of deep men shown, 0 to 4',
  corner: 'is not the yards and the leverage of the corners: 7 outside, 1 inside press',
  rusher: 'is not man:gap:side: middle:A:s',
  drop: 'is not how many drop from the line, and from where: drop 1 w',
  threat: 'is not how many threaten: threat 6',
  'line-move': `is none of ${LINE_MOVES.join(', ')}`,
  slide: `is not a slide (${SLIDES.join(', ')}) and how many stay, 0 to 3: half 1 scan`,
  'run-head': 'is not blocking (zone, gap, man), gap (A to D) and carrier: gap C back',
  job: 'is not role:job: BG:wrap',
  'job-choice': 'is not job=role,role, with another job behind a colon: kick=PW,LEAD,PY:base',
  read: 'is none of read end man, back-side end, dive key, inside man, and pitch end man, next man, force: read dive key, pitch next man',
  'pass-head': 'is not a type and the steps of the drop: quick 3',
  route: 'is not a route',
};

/** "“BG:fly” is not role:job: BG:wrap"; a part that is not there is called so. */
export const notationSentence = ({ code, text }: NotationProblem): string =>
  `${text === '' ? 'what is missing here' : `“${text}”`} ${NEEDS[code]}`;
