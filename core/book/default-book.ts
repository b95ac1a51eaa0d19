/** A starting book in general football terms (common practice). Every word can be renamed by the staff. */
import { PASSES } from './default-passes';
import { RUNS } from './default-runs';
import { mustRead } from '../look';
import { readDefinition, type DefinedKind } from './definition';
import { parseSpots } from './spots';
import type { Book, Term, TermKind } from './term';
import { BACKFIELDS, FORMATIONS, PLAIN, ROTATION_TERMS } from './default-words';

/** word, definition (an empty one: only a word), then aliases. */
const DEFINED: Readonly<
  Partial<Record<TermKind, readonly (readonly [word: string, definition: string, ...aliases: string[]])[]>>
> = {
  motion: [
    ['jet', 'fast across', 'fast across', 'fly', 'ghost'],
    ['orbit', 'behind and on', 'behind', 'rocket'],
    ['return', 'behind and back', 'orbit return'],
    ['in-and-out', 'in and out', 'in and out', 'yo-yo', 'yoyo'],
    ['short', 'short', 'crack-in', 'short in', 'zip', 'crack'],
    ['out to empty', 'to empty', 'back to empty'],
    ['trade', 'trade'],
    ['back out', 'back out'],
    ['across', 'across wide', 'jog across'],
    ['shift', 'shift'],
    ['out motion', 'out', 'outward'],
  ],
  front: [
    ['4-2 over', 'w5 w1 s3 s5 | W-1.6 M1.6', 'over', '4-2'],
    ['4-2 under', 'w5 w3 s1 s5 | W-1.6 M1.6', 'under front'],
    ['4-3 over', 'w5 w1 s3 s6 | W-3.5 M0 S4', '4-3'],
    ['4-3 under', 'w5 w3 s1 s5 s9+ | W-2.8 M1.2'],
    ['4-3 even', 'w5 w2 s2 s5 | W-4 M0 S4', 'even'],
    ['4-1', 'w5 w1 s3 s5 | M0'],
    ['3-3', 'w4 0 s4 | W-3.5 M0 S3.5', '3-3 stack'],
    ['3-4', 'w9+ w4 0 s4 s9+ | W-1.6 M1.6', '3-4 odd', 'odd'],
    ['mug', 'w5 w3 s3 s5 | W-0.8@2.2 M0.8@2.2', 'double mug'],
    ['3-2', 'w4 0 s4 | W-1.6 M1.6'],
    ['tite', 'w9+ w4i 0 s4i s9+ | W-1.6 M1.6', '4i-0-4i', 'mint'],
    ['bear', 'w9+ w3 0 s3 s9+ | W-2.2 M2.2', 'double eagle', 'eagle', '46'],
    ['5-2', 'w9 w4 0 s4 s9 | W-2.2 M2.2'],
    ['6-2', 'w9 w5 w2 s2 s5 s9 | W-2 M2'],
    ['goal line', 'w9 w5 w2i s2i s5 s9 | W-3 M0 S3'],
    ['4-2 even', 'w5 w2i s2i s5 | W-1.6 M1.6'],
    ['4-2 wide', 'wwide9 w1 s3 swide9 | W-1.6 M1.6'],
    ['4-4', 'w5 w1 s3 s5 | O-5.5@3 W-2 M2 S6@3'],
    ['5-3', 'w9 w4 0 s4 s9 | W-3 M0 S3'],
    ['2-4', 'w9+ w1 s3 s9+ | W-1.6 M1.6'],
  ],
  coverage: [
    ['cover 0', 'man none | | | 0 | 5 inside', 'zero', 'c0'],
    ['cover 1', 'man closed | fs:middle@0 | | 1 | 5 inside', 'man free', 'c1'],
    ['cover 1 robber', 'man closed | fs:middle@0 | ss:robber:m | 2 | 5 inside', 'robber'],
    ['cover 1 double', 'man closed | fs:middle@0 ss:bracket@0.9 | | 2 | 4 inside'],
    [
      'cover 2',
      'zone open | fs:half@-0.55 ss:half@0.55 | cs:flat:s cw:flat:w | 2 | 5 outside',
      'cloud',
      'c2',
    ],
    ['2 man', 'man open | fs:half@-0.55 ss:half@0.55 | | 2 | 2 inside press', 'two man'],
    ['trap', 'zone open | fs:half@-0.55 ss:half@0.55 | cs:trap:s cw:trap:w | 2 | 6 inside', 'trap 2'],
    [
      'tampa 2',
      'zone open | fs:half@-0.55 ss:half@0.55 m:pole@0 | cs:flat:s cw:flat:w | 2 | 5 outside',
      'tampa',
      'deep middle',
      'middle runner',
    ],
    [
      'cover 3',
      'zone closed | cs:third@0.8 fs:middle@0 cw:third@-0.8 | ss:curl:s | 1 | 7 outside',
      'three deep',
      'c3',
      'sky',
      'cover 3 sky',
      '3 sky',
    ],
    [
      'cover 3 buzz',
      'zone closed | cs:third@0.8 fs:middle@0 cw:third@-0.8 | ss:hook:s | 1 | 7 outside',
      'buzz',
      '3 buzz',
    ],
    [
      'cover 3 cloud',
      'zone closed | ss:third@0.8 fs:middle@0 cw:third@-0.8 | cs:cloud:s | 2 | 5 outside',
      'corner down',
      '3 cloud',
    ],
    [
      '3 match',
      'match closed | cs:third@0.8 fs:middle@0 cw:third@-0.8 | ss:wall:s | 1 | 7 inside',
      'match 3',
      'cover 3 match',
    ],
    [
      'quarters',
      'zone open | cs:quarter@0.9 ss:quarter@0.35 fs:quarter@-0.35 cw:quarter@-0.9 | | 2 | 7 outside',
      'cover 4',
      'c4',
    ],
    [
      'quarters match',
      'match open | cs:quarter@0.9 ss:quarter@0.35 fs:quarter@-0.35 cw:quarter@-0.9 | n:wall:s | 2 | 7 inside',
    ],
    [
      'cover 6',
      'zone open | cs:quarter@0.9 ss:quarter@0.35 fs:half@-0.55 | cw:flat:w | 2 | 7 outside',
      'quarter quarter half',
      'c6',
    ],
    [
      'palms',
      'match open | cs:quarter@0.9 ss:quarter@0.35 fs:quarter@-0.35 cw:quarter@-0.9 | cs:trap:s | 2 | 5 outside',
      '2-read',
      '2 read',
    ],
    ['inverted 2', 'zone open | cs:half@0.55 cw:half@-0.55 | ss:flat:s fs:flat:w | 2 | 7 outside'],
    ['bracket', 'mixed open | fs:half@-0.55 ss:bracket@0.7 | cs:man:s cw:man:w | 2 | 4 inside'],
    [
      'fire zone',
      'zone closed | cs:third@0.8 fs:middle@0 cw:third@-0.8 | ss:hook:s lb:hook:m | 1 | 7 outside',
      '3 under 3 deep',
    ],
    [
      'prevent',
      'zone closed | cs:quarter@0.9 ss:quarter@0.4 fs:quarter@-0.4 cw:quarter@-0.9 n:middle@0 | | 4 | 12 outside',
    ],
  ],
  pressure: [
    ['no pressure', ' | drop 0 | threat 4', 'base rush'],
    ['mike a pressure', 'mike:A:own | drop 0 | threat 5', 'mike a', 'mike'],
    ['will b pressure', 'will:B:own | drop 0 | threat 5', 'will b', 'will'],
    ['sam c pressure', 'sam:C:own | drop 0 | threat 5', 'sam c', 'sam'],
    ['double a pressure', 'backer:A:s backer:A:w | drop 0 | threat 6', 'double a'],
    ['field edge pressure', 'edge:D:f | drop 0 | threat 5', 'field edge'],
    ['boundary edge pressure', 'edge:D:b | drop 0 | threat 5', 'boundary edge'],
    ['strong edge pressure', 'edge:D:s | drop 0 | threat 5', 'strong edge'],
    ['weak edge pressure', 'edge:D:w | drop 0 | threat 5', 'weak edge'],
    ['corner pressure', 'corner:D:b | drop 0 | threat 4', 'corner blitz', 'cat'],
    ['safety pressure', 'safety:B:w | drop 0 | threat 4', 'safety blitz'],
    ['nickel pressure', 'nickel:D:own | drop 0 | threat 5', 'nickel blitz', 'nickel'],
    ['simulated pressure', 'will:A:own | drop 1 | threat 6', 'sim'],
    ['creeper', 'nickel:D:own | drop 1 | threat 5'],
    ['three-man rush', ' | drop 1 w | threat 4', 'eight drop', 'drop eight'],
    ['backers cross', 'mike:A:across will:A:across | drop 0 | threat 5 | twist', 'cross dog'],
    ['line twist', ' | drop 0 | threat 4 | twist', 'twist'],
    ['slant strong', ' | drop 0 | threat 4 | slant strong'],
    ['pinch', ' | drop 0 | threat 4 | stick'],
    ['strong overload', 'edge:D:s backer:C:s | drop 1 w | threat 5 | slant weak'],
    ['weak overload', 'edge:D:w backer:B:w | drop 1 s | threat 5 | slant strong'],
    ['edge and a', 'edge:D:s middle:A:w | drop 0 | threat 6'],
    ['both edges', 'edge:D:s edge:D:w | drop 0 | threat 6'],
    ['b to the back', 'backer:B:back | drop 0 | threat 5'],
    ['b away from the back', 'backer:B:away | drop 0 | threat 5'],
    ['all-out pressure', 'everybody:A:s | drop 0 | threat 7', 'all out'],
    ['boundary overload', 'corner:D:b safety:C:b | drop 1 f | threat 5'],
  ],
  run: RUNS,
  pass: PASSES,
  protection: [
    ['five-man', 'half 0', '5 man', 'scat'],
    ['half slide', 'half 1', 'half'],
    ['full slide', 'full 1'],
    ['big-on-big', 'man 1', 'bob'],
    ['six-man', 'man 1 scan', '6 man'],
    ['max', 'half 2', 'seven-man', '7 man'],
    ['sprint protection', 'full 2', 'turnback'],
  ],
};

const idOf = (kind: TermKind, word: string): string => `${kind}-${word.replace(/[^a-z0-9]+/g, '-')}`;

const terms: Term[] = [
  ...FORMATIONS.map(([word, spots, ...aliases]): Term => ({
    id: idOf('formation', word),
    kind: 'formation',
    word,
    aliases,
    spots: parseSpots(spots),
  })),
  ...BACKFIELDS.map(([word, spots, ...aliases]): Term => ({
    id: idOf('backfield', word),
    kind: 'backfield',
    word,
    aliases,
    spots: parseSpots(spots),
  })),
  ...Object.entries(DEFINED).flatMap(([kind, words]) =>
    words.map(([word, definition, ...aliases]): Term => ({
      id: idOf(kind as TermKind, word),
      kind: kind as TermKind,
      word,
      aliases,
      definition: mustRead(readDefinition(kind as DefinedKind, definition)),
    })),
  ),
  ...Object.entries(PLAIN).flatMap(([kind, words]) =>
    words.map(([word, ...aliases]): Term => ({
      id: idOf(kind as TermKind, word!),
      kind: kind as TermKind,
      word: word!,
      aliases,
    })),
  ),
  ...ROTATION_TERMS.map(([word, value, ...aliases]): Term => ({
    id: idOf('rotation', word),
    kind: 'rotation',
    word,
    value,
    aliases,
  })),
];

export const DEFAULT_BOOK: Book = {
  name: 'general terms',
  letters: ['X', 'Z', 'Y', 'H', 'F', 'B', 'T', 'Q', 'S'],
  terms,
};
