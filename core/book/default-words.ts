/** Words of the default book that are drawn by points or only named. Data; no screen imports it. */
import type { TermKind } from './term';

export const FORMATIONS: readonly [word: string, spots: string, ...aliases: string[]][] = [
  ['doubles', 'X-16 H-8o1 Y+4.8 Z+14o1', '2x2 tight'],
  ['spread', 'X-17 H-8o1 Y+8o1 Z+17', '2x2'],
  ['trips', 'X-16 H+7o1 Y+11 Z+16o1', '3x1'],
  ['trey', 'X-15 Y+4.8 H+9o1 Z+15o1', 'trips tight'],
  ['bunch', 'X-14 H+6o1 Y+7.5 Z+9o1'],
  ['wing', 'Z-14 Y+4.8 H+6.4o1.4 X+15o1'],
  ['double wing', 'Y+4.8 H-6.4o1.4 Z+6.4o1.4 X-4.8'],
  ['pro', 'X-15 Y+4.8 Z+14o1'],
  ['twins', 'Y-4.8 Z+10o1 X+15'],
  ['slot', 'X-15 H-9o1 Y+4.8'],
  ['empty', 'X-17 T-9o1 H+5.5o1 Y+11 Z+17o1', 'empty 3x2'],
  ['quads', 'X-16 H+5.5o1 T+9o1 Y+13 Z+17o1', 'empty 4x1'],
  ['ace', 'X-14o1 H-4.8 Y+4.8 Z+14o1', 'double tight'],
  ['heavy', 'H-4.8 Y+4.8 Z+13o1'],
  ['stack', 'X-12 H-12o2.5 Y+12 Z+12o2.5'],
  ['cluster', 'X-14 Y+4.8 H+6.2o1.2 Z+7.6o1.2'],
  ['nub trips', 'Y-4.8 H+8o1 Z+12o1 X+17', 'trips nub'],
  ['tight doubles', 'X-7.6 H-5.9o1.2 Y+4.8 Z+8o1', 'condensed'],
  ['wide bunch', 'X-16 H+12o1 Y+13.5 Z+15o1'],
  ['stack trips', 'X-16 H+7o1 Y+15 Z+15o2.5'],
  ['wing doubles', 'X-16 Z-10o1 Y+4.8 H+6.4o1.4', 'wing twins'],
  ['ace trey', 'H-4.8 Y+4.8 Z+10o1 X+16o1'],
  ['unbalanced', 'LT+4.8 Y-3.2 X+16 Z+9o1', 'tackle over'],
  ['unbalanced trips', 'H-4.8 Y+4.8 Z+10o1 X+16'],
  ['tight split', 'X-15 Y+4.8'],
  ['jumbo', 'H-4.8 Y+4.8 S+6.2o1.2'],
  ['double slot', 'X-17 H-6o1 Y+6o1 Z+17', 'tight slots'],
  ['wide spread', 'X-18 H-12o1 Y+12o1 Z+18'],
  ['wing pro', 'X-15 Y+4.8 H+6.4o1.4'],
  ['tight pro', 'X-7.4 Y+4.8 Z+8.6o1'],
  ['heavy wing', 'H-4.8 S-6.4o1.4 Y+4.8 Z+15o1'],
  ['triple', 'H-4.8 Y+4.8 S+6.4o1.4 Z+15o1'],
  ['empty trey', 'X-16 T-8o1 Y+4.8 H+9o1 Z+15o1'],
  ['empty bunch', 'X-16 T-9o1 H+6o1 Y+7.5 Z+9o1'],
  ['empty stack', 'X-15 T-15o2.5 H+6o1 Y+13 Z+17o1'],
  ['empty wide', 'X-12 T-19o1 H+6o1 Y+11 Z+17o1', 'empty back out'],
  ['quads nub', 'Y-4.8 H+5.5o1 T+9o1 Z+13o1 X+17'],
  ['empty wing', 'X-16 T-9o1 Y+4.8 H+6.4o1.4 Z+15o1'],
  ['empty ace', 'X-15o1 H-4.8 Y+4.8 T+9o1 Z+14o1'],
  ['wide trips', 'X-16 H+9o1 Y+13 Z+18o1'],
  ['trey stack', 'X-15 Y+4.8 H+14o1 Z+14.4o2.8'],
  ['stack tight', 'X-13 H-13o2.5 Y+4.8 Z+14o1'],
  ['bunch nub', 'Y-4.8 H+6o1 X+7.5 Z+9o1'],
  ['heavy over', 'LT+4.8 H-3.2 Y+6.4 Z+8o1.4'],
];

export const BACKFIELDS: readonly [word: string, spots: string, ...aliases: string[]][] = [
  ['gun', 'Q0o5 T-1.8o5', 'gun away'],
  ['gun near', 'Q0o5 T+1.8o5', 'gun strong'],
  ['gun wide', 'Q0o5 T-4o5', 'gun cheated'],
  ['gun dot', 'Q0o5 T0o7.5'],
  ['pistol', 'Q0o4 T0o7'],
  ['pistol offset', 'Q0o4 F+2o4.2 T0o7'],
  ['under', 'Q0o1.2 T0o7', 'under center', 'dot'],
  ['i', 'Q0o1.2 F0o4.5 T0o7.2', 'i form'],
  ['offset i', 'Q0o1.2 F+2o4.5 T0o7.2', 'offset'],
  ['offset weak', 'Q0o1.2 F-2o4.5 T0o7.2', 'weak i'],
  ['split backs', 'Q0o5 F+2o5 T-2o5', 'split'],
  ['full house', 'Q0o1.2 F0o4.2 T-2.4o6 B+2.4o6', 'three backs'],
];

/** Words without a structure of their own: word, then aliases. */
export const PLAIN: Readonly<Partial<Record<TermKind, readonly (readonly string[])[]>>> = {
  tempo: [
    ['huddle'],
    ['no huddle', 'nohuddle'],
    ['fast', 'tempo'],
    ['look-over', 'check with sideline'],
    ['freeze', 'hard count'],
  ],
  tag: [['trick'], ['hurry'], ['busted', 'bust'], ['explosive'], ['missed tackle']],
};

export const ROTATION_TERMS: readonly [word: string, value: string, ...aliases: string[]][] = [
  ['strong', 'strong', 'to strength'],
  ['weak', 'weak', 'away from strength'],
  ['to field', 'field', 'field rotation'],
  ['to boundary', 'boundary', 'boundary rotation'],
  ['to motion', 'motion'],
];
