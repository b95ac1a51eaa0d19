/** A starting book in general football terms (common practice). Every word can be renamed by the staff. */
import type { Book, Spot, Term, TermKind } from './term';

/** "X-16 H-7o1" → X 16 left on the line, H 7 left off the line one yard deep. */
export function parseSpots(text: string): Spot[] {
  return text.split(' ').filter(Boolean).map((part) => {
    const match = /^([A-Z]+)([+-]?\d+(?:\.\d+)?)(?:o(\d+(?:\.\d+)?)?)?$/.exec(part);
    if (!match) throw new Error(`spot "${part}" is not letter, yards, o and depth`);
    const off = part.includes('o');
    return { letter: match[1]!, x: Number(match[2]), depth: off ? Number(match[3] ?? 1) : 0.3, onLine: !off };
  });
}

const FORMATIONS: readonly [word: string, spots: string, ...aliases: string[]][] = [
  ['doubles', 'X-16 H-8o1 Y+4.8 Z+14o1', '2x2 tight'],
  ['spread', 'X-17 H-8o1 Y+8o1 Z+17', '2x2'],
  ['trips', 'X-16 H+6o1 Y+11 Z+16o1', '3x1'],
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
];

const BACKFIELDS: readonly [word: string, spots: string, ...aliases: string[]][] = [
  ['gun', 'Q0o5 T-1.8o5', 'gun away'],
  ['gun near', 'Q0o5 T+1.8o5', 'gun strong'],
  ['gun dot', 'Q0o5 T0o7.5'],
  ['pistol', 'Q0o4 T0o7'],
  ['under', 'Q0o1.2 T0o7', 'under center', 'dot'],
  ['i', 'Q0o1.2 F0o4.5 T0o7.2', 'i form'],
  ['offset i', 'Q0o1.2 F+2o4.5 T0o7.2', 'offset'],
  ['split backs', 'Q0o5 F+2o5 T-2o5', 'split'],
];

/** word, then aliases. */
const PLAIN: Readonly<Partial<Record<TermKind, readonly (readonly string[])[]>>> = {
  motion: [
    ['jet', 'fast across'], ['orbit', 'behind'], ['return', 'orbit return'], ['in-and-out', 'in and out'], ['short', 'crack-in', 'short in'],
    ['out to empty', 'back to empty'], ['trade'], ['back out'], ['across', 'jog across'], ['shift'],
  ],
  front: [
    ['4-2 over', 'over'], ['4-2 under', 'under front'], ['4-3 over'], ['4-3 under'], ['4-3 even', 'even'], ['4-1'], ['3-3', '3-3 stack'], ['3-4', '3-4 odd', 'odd'], ['3-2'],
    ['tite', '4i-0-4i'], ['bear', 'double eagle'], ['5-2'], ['6-2'], ['goal line'],
  ],
  coverage: [
    ['cover 0', 'zero'], ['cover 1', 'man free'], ['cover 1 robber', 'robber'], ['cover 2', 'cloud'], ['2 man', 'two man'], ['trap', 'trap 2'], ['deep middle', 'middle runner'],
    ['cover 3', 'three deep'], ['3 match', 'match 3'], ['quarters', 'cover 4'], ['quarters match'], ['cover 6', 'quarter quarter half'], ['bracket'], ['fire zone', '3 under 3 deep'], ['prevent'],
  ],
  pressure: [
    ['no pressure', 'base rush'], ['mike a pressure', 'mike a'], ['will b pressure', 'will b'], ['double a pressure', 'double a'], ['field edge pressure', 'field edge'], ['boundary edge pressure', 'boundary edge'],
    ['corner pressure', 'corner blitz'], ['safety pressure', 'safety blitz'], ['nickel pressure', 'nickel blitz'], ['simulated pressure', 'sim'], ['creeper'],
  ],
  run: [
    ['inside zone', 'iz'], ['split zone', 'slice zone'], ['wide zone', 'outside zone', 'wz'], ['stretch'], ['power'], ['counter'], ['one-back power'], ['trap'], ['sweep'], ['pin-and-pull', 'pin and pull'],
    ['down'], ['dart', 'tackle wrap'], ['iso', 'lead'], ['duo'], ['toss'], ['crack toss'], ['draw'], ['quarterback run', 'qb run'], ['zone read'], ['power read'], ['veer'], ['triple option', 'triple'],
    ['jet', 'jet sweep'], ['reverse'], ['sneak', 'quarterback sneak'],
  ],
  pass: [
    ['stick'], ['snag', 'spot'], ['levels'], ['mesh'], ['four verticals', 'verticals', 'verts'], ['flood'], ['smash'], ['curl-flat', 'curl flat'], ['slant-flat', 'slant flat'], ['post-wheel', 'post wheel'],
    ['spacing'], ['drive'], ['outs', 'quick outs'], ['slants', 'double slants'], ['hitches', 'hitch'], ['boot', 'naked'], ['sprint out', 'sprint'], ['dagger'], ['post'], ['corner'], ['option route'], ['angle'],
    ['bubble', 'bubble screen'], ['now screen', 'now'], ['tunnel screen', 'tunnel'], ['slip screen', 'slip'], ['back screen', 'slow screen'], ['double move'], ['shot', 'deep shot'],
  ],
  protection: [['five-man', '5 man'], ['half slide', 'half'], ['full slide'], ['big-on-big', 'bob'], ['six-man', '6 man'], ['max', 'seven-man', '7 man'], ['sprint protection']],
  tempo: [['huddle'], ['no huddle', 'nohuddle'], ['fast', 'tempo'], ['look-over', 'check with sideline'], ['freeze', 'hard count']],
  tag: [['trick'], ['unbalanced'], ['hurry'], ['busted', 'bust'], ['explosive'], ['missed tackle']],
};

const ROTATION_TERMS: readonly [word: string, value: string, ...aliases: string[]][] = [
  ['strong', 'strong', 'to strength'], ['weak', 'weak', 'away from strength'], ['to field', 'field', 'field rotation'], ['to boundary', 'boundary', 'boundary rotation'], ['to motion', 'motion'],
];

const idOf = (kind: TermKind, word: string): string => `${kind}-${word.replace(/[^a-z0-9]+/g, '-')}`;

const terms: Term[] = [
  ...FORMATIONS.map(([word, spots, ...aliases]): Term => ({ id: idOf('formation', word), kind: 'formation', word, aliases, spots: parseSpots(spots) })),
  ...BACKFIELDS.map(([word, spots, ...aliases]): Term => ({ id: idOf('backfield', word), kind: 'backfield', word, aliases, spots: parseSpots(spots) })),
  ...Object.entries(PLAIN).flatMap(([kind, words]) =>
    words.map(([word, ...aliases]): Term => ({ id: idOf(kind as TermKind, word!), kind: kind as TermKind, word: word!, aliases }))),
  ...ROTATION_TERMS.map(([word, value, ...aliases]): Term => ({ id: idOf('rotation', word), kind: 'rotation', word, value, aliases })),
];

export const DEFAULT_BOOK: Book = { name: 'general terms', letters: ['X', 'Z', 'Y', 'H', 'F', 'B', 'T', 'Q', 'S'], terms };
