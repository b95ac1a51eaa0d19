/**
 * Ground truth of the demo league: the tells that were planted. The generator reads this list and
 * nothing else, so what is not written here is not there. Shifts are points of probability of the
 * outcome beyond what the situation alone gives. Sized from the numbers handbook: 30 snaps × 40
 * points and 20 × 50 should be found, the weak ones should not.
 */
import type { SnapField } from '../core/snap/snap';

export type Strength = '30x40' | '20x50' | 'too-weak';

export interface PlantedTell {
  readonly id: string;
  readonly club: string;
  readonly strength: Strength;
  /** All must hold. `afterEvent` is derived from the snap before. */
  readonly cue: Readonly<Partial<Record<SnapField | 'afterEvent', string>>>;
  readonly outcome: 'run' | 'pass';
  readonly shift: number;
  readonly words: string;
}

export const PLANTED_TELLS: readonly PlantedTell[] = [
  {
    id: 'stg-wing-12',
    club: 'STG',
    strength: '30x40',
    cue: { personnel: '12', formation: 'wing' },
    outcome: 'run',
    shift: 48,
    words: 'Wing with 12 people: run',
  },
  {
    id: 'stg-orbit',
    club: 'STG',
    strength: '20x50',
    cue: { motion: 'orbit' },
    outcome: 'run',
    shift: 85,
    words: 'Orbit motion: run',
  },
  {
    id: 'stg-slot-20',
    club: 'STG',
    strength: 'too-weak',
    cue: { formation: 'slot' },
    outcome: 'run',
    shift: 15,
    words: 'Slot: a little more run',
  },
  {
    id: 'stg-explosive',
    club: 'STG',
    strength: 'too-weak',
    cue: { afterEvent: 'explosive' },
    outcome: 'pass',
    shift: 20,
    words: 'After an explosive gain: a shot',
  },
  {
    id: 'her-ace',
    club: 'HER',
    strength: '30x40',
    cue: { formation: 'ace' },
    outcome: 'run',
    shift: 46,
    words: 'Ace: run',
  },
  {
    id: 'her-return',
    club: 'HER',
    strength: '20x50',
    cue: { motion: 'return' },
    outcome: 'run',
    shift: 62,
    words: 'Return motion: run',
  },
  {
    id: 'ott-stack',
    club: 'OTT',
    strength: 'too-weak',
    cue: { formation: 'stack' },
    outcome: 'pass',
    shift: 15,
    words: 'Stack: a little more pass',
  },
  {
    id: 'lan-pro',
    club: 'LAN',
    strength: '30x40',
    cue: { formation: 'pro' },
    outcome: 'run',
    shift: 46,
    words: 'Pro: run',
  },
  {
    id: 'dro-twins',
    club: 'DRO',
    strength: '30x40',
    cue: { formation: 'twins' },
    outcome: 'pass',
    shift: 46,
    words: 'Twins: pass',
  },
  {
    id: 'kes-jet',
    club: 'KES',
    strength: '30x40',
    cue: { motion: 'jet' },
    outcome: 'run',
    shift: 46,
    words: 'Jet motion: run',
  },
  {
    id: 'sto-pistol',
    club: 'STO',
    strength: '30x40',
    cue: { backfield: 'pistol' },
    outcome: 'run',
    shift: 46,
    words: 'Pistol: run',
  },
  {
    id: 'wre-near',
    club: 'WRE',
    strength: '30x40',
    cue: { backfield: 'gun near' },
    outcome: 'pass',
    shift: 46,
    words: 'Back near the strength: pass',
  },
];
