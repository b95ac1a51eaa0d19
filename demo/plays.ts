/** The demo program's own play list, in general terms. */
import { TRIGGERS } from '../core/book/presentations';
import type { PlayCard } from '../core/plan/sheet';

const play = (
  name: string,
  kind: PlayCard['kind'],
  personnel: string,
  formation: string,
  side: 'L' | 'R' | null,
  concept: string,
  direction: 'L' | 'R' | null,
  more: Partial<PlayCard> = {},
): PlayCard => ({
  id: `play-${name.toLowerCase().replace(/[^a-z0-9]+/g, '-')}`,
  name,
  kind,
  personnel,
  formation,
  formationSide: side,
  motion: null,
  motionBy: null,
  concept,
  conceptWeak: null,
  direction,
  backfield: null,
  links: [],
  ...more,
});

export const DEMO_PLAYS: readonly PlayCard[] = [
  play('Power right', 'run', '11', 'trips', 'R', 'power', 'R'),
  play('Power left', 'run', '12', 'wing', 'L', 'power', 'L', {
    links: [
      { kind: 'complement', play: 'play-sweep-with-jet', least: 1, trigger: TRIGGERS['end inside the wing'] },
    ],
  }),
  play('Inside zone', 'run', '11', 'doubles', 'R', 'inside zone', null),
  play('Split zone', 'run', '12', 'ace', 'R', 'split zone', null),
  play('Wide zone right', 'run', '12', 'wing', 'R', 'wide zone', 'R'),
  play('Wide zone left', 'run', '11', 'trey', 'L', 'wide zone', 'L'),
  play('Counter right', 'run', '11', 'trips', 'L', 'counter', 'R'),
  play('Sweep with jet', 'run', '11', 'doubles', 'R', 'sweep', 'R', { motion: 'jet', motionBy: 'H' }),
  play('Toss left', 'run', '21', 'pro', 'L', 'toss', 'L'),
  play('Draw', 'run', '10', 'spread', null, 'draw', null),
  play('Zone and bubble', 'rpo', '11', 'trips', 'R', 'inside zone', 'R', { conceptWeak: 'bubble' }),
  play('Stick', 'pass', '11', 'trips', 'R', 'stick', null),
  play('Snag and slants', 'pass', '11', 'doubles', 'R', 'snag', null, { conceptWeak: 'slants' }),
  play('Levels', 'pass', '11', 'doubles', 'R', 'levels', null),
  play('Mesh', 'pass', '11', 'bunch', 'R', 'mesh', null),
  play('Four verticals', 'pass', '10', 'spread', null, 'four verticals', null),
  play('Flood right', 'pass', '11', 'trips', 'R', 'flood', 'R'),
  play('Smash', 'pass', '11', 'doubles', 'R', 'smash', null),
  play('Boot left', 'pass', '12', 'wing', 'R', 'boot', 'L'),
  play('Curl-flat', 'pass', '11', 'spread', null, 'curl-flat', null),
  play('Outs', 'pass', '10', 'empty', 'R', 'outs', null),
  play('Slip screen', 'pass', '11', 'trey', 'R', 'slip screen', null),
  // The angle pays only after the flat was shown.
  play('Angle', 'pass', '11', 'trips', 'L', 'angle', null, {
    links: [{ kind: 'set-up', play: 'play-curl-flat', least: 3, trigger: null }],
  }),
];
