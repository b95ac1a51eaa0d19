/** The definitions with their drawings. Lengths come from the code; counts are measured by the test. */
import { findTerm } from '../core/book';
import { DEFAULT_BOOK } from '../core/book/default-book';
import {
  ATTACHED,
  ATTACHED_DEPTH,
  BACK_DEEPER,
  BACK_WITHIN,
  BEHIND_BALL,
  BUNCH,
  CHEATED,
  CONDENSED,
  DEFAULT_BOX,
  MANY_THREATEN,
  MOTION_KINDS,
  ON_RECEIVER,
  PERIMETER_DEPTH,
  STACK,
} from '../core/look';
import type { SnapFields } from '../core/snap';

export interface Definition {
  readonly id: string;
  readonly title: string;
  readonly text: string;
  readonly fields: SnapFields;
  readonly jobs?: boolean;
  readonly hash?: 'L' | 'M' | 'R';
}

export const right = (formation: string, more: SnapFields = {}): SnapFields => ({
  formation,
  formationSide: 'R',
  backfield: 'gun',
  ...more,
});

const WIDE_ZONE: SnapFields = {
  formation: 'pro',
  formationSide: 'R',
  backfield: 'under',
  front: '4-3 over',
  coverage: 'cover 3',
  rotation: 'strong',
  play: 'run',
  concept: 'wide zone',
  direction: 'R',
};

export const DEFINITIONS: readonly Definition[] = [
  {
    id: 'structure',
    title: 'Structure',
    text: 'Receivers on each side, counted outside-in: #1, #2, #3. Tight ends count, backs in the backfield do not. The label is larger x smaller; the side with more is the structure side, none when even.',
    fields: right('trips'),
  },
  {
    id: 'surface',
    title: 'Surface and gaps',
    text: `Men attached outside the center, each within ${ATTACHED} yards of the next and not deeper than ${ATTACHED_DEPTH}: guard and tackle 2, with a tight end 3, with a wing 4. A side has one gap more than its surface; with one tight end 7 in all.`,
    fields: right('wing pro'),
  },
  {
    id: 'nub',
    title: 'Nub',
    text: 'A tight end on the line as the only receiver of his side.',
    fields: right('nub trips'),
  },
  {
    id: 'bunch',
    title: 'Bunch and cluster',
    text: `3 receivers of a side within ${BUNCH} yards. A cluster is a bunch whose inner man is within ${CONDENSED} yards of the end man of the line.`,
    fields: right('bunch'),
  },
  {
    id: 'stack',
    title: 'Stack',
    text: `2 receivers whose lanes differ by no more than ${STACK} yard.`,
    fields: right('stack'),
  },
  {
    id: 'condensed',
    title: 'Condensed',
    text: `Every receiver of the side within ${CONDENSED} yards of the end man of the line, at least one of them detached.`,
    fields: right('tight doubles'),
  },
  {
    id: 'trey',
    title: 'Trips, trey, quads',
    text: '3 on a side are trips; trey when one of them is a tight end on the line; 4 are quads.',
    fields: right('trey'),
  },
  {
    id: 'unbalanced',
    title: 'Unbalanced and covered',
    text: 'Linemen left and right of the center differ in number: the line is unbalanced, and that side has a gap more. An eligible man on the line with another man of the line outside him is covered.',
    fields: right('unbalanced'),
  },
  {
    id: 'empty',
    title: 'Empty',
    text: `Nobody in the backfield beside the quarterback. A back is eligible, off the line, deeper than ${BACK_DEEPER} yards and within ${BACK_WITHIN} yards of the ball.`,
    fields: right('empty'),
  },
  {
    id: 'strength',
    title: 'Two strengths',
    text: 'A defense always declares, so neither is ever none. Passing strength (coverages, rotation, the nickel, pressures said strong or weak): the first rule of the staff’s order that names a side, by default more receivers, then the wide side of the field, then the tight end (professional: the tight end before the wide side); then the side written with the formation, then right. Motion moves it when another side has more receivers; when it makes the sides even it stays (a setting). Run strength (fronts, names of the backers): the longer line, then the passing strength; only a trade or shift moves it.',
    fields: right('nub trips', { backfield: 'gun near' }),
    hash: 'R',
  },
  {
    id: 'boundary',
    title: 'Field, boundary, and formation into the boundary',
    text: 'From a hash the wide side is the field. Strength to the short side is a formation into the boundary; on the middle hash there is none.',
    fields: { formation: 'trips', formationSide: 'L', backfield: 'gun' },
    hash: 'L',
  },
  {
    id: 'back',
    title: 'Where the back stands',
    text: `To or away from the tight end, strength and field; behind the ball when within ${BEHIND_BALL} yards of it; cheated when ${CHEATED} yards or more from it.`,
    fields: right('trey', { backfield: 'gun wide' }),
  },
  ...MOTION_KINDS.map((kind): Definition => {
    const term = DEFAULT_BOOK.terms.find(
      (t) => t.definition?.kind === 'motion' && t.definition.motion === kind,
    )!;
    return {
      id: `motion-${kind.replace(/ /g, '-')}`,
      title: `Motion: ${kind}`,
      text: `“${term.word}” in the default book. The structure is counted again where the mover is at the snap.`,
      fields: { motion: term.word },
    };
  }),
  {
    id: 'box',
    title: 'The box',
    text: `Defenders within the tackles, or the attached tight end or wing, by ${DEFAULT_BOX.lateral} yards each side and within ${DEFAULT_BOX.depth} of the ball, men on the line always. Blockers are linemen, attached tight ends and wings, and lead backs (all backs but the carrier). One of the box is left to the read or the carrier: light when the rest is fewer than the blockers, even when equal, loaded when more. So 7 is even against 11 personnel and light against 22.`,
    fields: right('trey', { front: '4-3 over', coverage: 'cover 3' }),
  },
  {
    id: 'overhang',
    title: 'Overhang',
    text: `The man outside the box who is not on #1: on the line, on #2 (within ${ON_RECEIVER} yards of him), or in the apex between.`,
    fields: right('spread', { front: '4-2 over', coverage: 'quarters' }),
  },
  {
    id: 'shade',
    title: 'Shade of a front',
    text: 'Over: a 3-technique to the run strength and none away; under: the other way; even: both sides alike; odd: a man head-up on the center; bear: center and both guards covered; tite: 4i, 0, 4i; wide: both ends outside the tight end’s outside shoulder.',
    fields: right('pro', { front: 'bear', coverage: 'cover 1', backfield: 'i' }),
  },
  {
    id: 'covered',
    title: 'Covered, and zone pairs',
    text: 'For a run to a side a lineman is covered when a man on the line is head-up or on his play-side shoulder; a shade on his back-side shoulder leaves him uncovered. Wide zone: a covered man reaches; the uncovered man inside him joins him, and the pair owns the man on the line and the next backer. Away from the play the line scoops: the near gap, else up to the next backer.',
    fields: WIDE_ZONE,
    jobs: true,
  },
  {
    id: 'down',
    title: 'Down blocking',
    text: 'On the play side each takes the man in his inside gap, else the man on him; two on one are a double, for the back-side backer. The end man of the line is kicked out, the wrapper has the first backer from the play side, the center blocks back for the puller (and where the man over him would then be left, the play-side guard takes that one); the back-side tackle hinges.',
    fields: {
      formation: 'pro',
      formationSide: 'R',
      backfield: 'i',
      front: '4-3 over',
      coverage: 'cover 3',
      play: 'run',
      concept: 'power',
      direction: 'R',
    },
    jobs: true,
  },
  {
    id: 'hats',
    title: 'Hat margin and the ledger',
    text: 'Ours minus theirs at the point of attack: blockers whose man can be there (a receiver on his man too; a hat that finds nobody counts nothing and is said), plus the men held by a read (the triple option leaves two), plus one at most held by a pass option, minus the defenders who can be there: the box to that side (play-side and middle backers; the line from the ball out), and outside the end man also the force defender and the corner. 0 and above is enough, −1 names the free man (ringed), below that the run is not there; the sentence says the smallest change that holds or blocks him. The same assignment is the drawing, the list and the count: everyone has a line with his job.',
    fields: { ...WIDE_ZONE, formation: 'doubles', concept: 'stretch' },
    jobs: true,
  },
  {
    id: 'perimeter',
    title: 'Perimeter',
    text: `Detached receivers of a side minus the defenders over them (outside the box, within ${PERIMETER_DEPTH} yards). The quick throw outside is there when it is above 0: one catches, the others have a man each.`,
    fields: right('trips', { front: '3-4', coverage: 'quarters' }),
  },
  {
    id: 'protection',
    title: 'Protection margin',
    text: 'Blockers minus rushers, in total and by side: a half slide sends the center with it, a full slide the far guard too, man blocking leaves the center to the side with more rushers; the back goes to his side unless he scans.',
    fields: right('trips', {
      front: '4-2 over',
      coverage: 'cover 1',
      pressure: 'nickel pressure',
      protection: 'half slide',
      play: 'pass',
    }),
  },
  ...(['cover 0', 'cover 1', 'cover 2', 'cover 3', 'quarters', 'cover 6', 'fire zone'] as const).map(
    (word): Definition => {
      const definition = findTerm(DEFAULT_BOOK, 'coverage', word)!.definition!;
      return {
        id: `coverage-${word.replace(/ /g, '-')}`,
        title: `Coverage: ${word}`,
        text:
          definition.kind === 'coverage'
            ? `${definition.coverage.style}, middle ${definition.coverage.middle}, ${definition.coverage.deep.length} deep; under is 11 less the rushers and the deep men.`
            : '',
        fields: { coverage: word },
      };
    },
  ),
  {
    id: 'rotation',
    title: 'Rotation',
    text: 'The safety who comes down, said relative to the passing strength, field and motion. Not said: to the detached receiver nobody has, else to the passing strength.',
    fields: right('trips', { front: '4-2 over', coverage: 'cover 3', rotation: 'weak' }),
    hash: 'L',
  },
  ...(
    [
      [
        'simulated pressure',
        `At least ${MANY_THREATEN} threaten, 4 rush, one or more of them from the second or third level.`,
      ],
      ['creeper', '4 rush, one of them from the second or third level, without the threat.'],
      ['mike a pressure', '5 rush; with 3 deep it is a fire zone, without deep help it is zero.'],
      ['three-man rush', '3 rush, 8 drop.'],
    ] as const
  ).map(([word, text]): Definition => ({
    id: `pressure-${word.replace(/ /g, '-')}`,
    title: `Pressure: ${word}`,
    text: `${text} Sources are said relative to strength, field, back and tight end.`,
    fields: { pressure: word },
  })),
];
