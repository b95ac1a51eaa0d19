/** A starting book in general football terms (common practice). Every word can be renamed by the staff. */
import type { Spot } from '../look/formation';
import { parseDefinition, type DefinedKind } from './definition';
import type { Book, Term, TermKind } from './term';

/** "X-16 H-7o1" → X 16 left on the line, H 7 left off the line one yard deep. */
export function parseSpots(text: string): Spot[] {
  return text.split(' ').filter(Boolean).map((part) => {
    const match = /^([A-Z]{1,3})([+-]?\d+(?:\.\d+)?)(?:o(\d+(?:\.\d+)?)?)?$/.exec(part);
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

const BACKFIELDS: readonly [word: string, spots: string, ...aliases: string[]][] = [
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

/** word, definition (an empty one: only a word), then aliases. */
const DEFINED: Readonly<Partial<Record<TermKind, readonly (readonly [word: string, definition: string, ...aliases: string[]])[]>>> = {
  motion: [
    ['jet', 'fast across', 'fast across'], ['orbit', 'behind and on', 'behind'], ['return', 'behind and back', 'orbit return'], ['in-and-out', 'in and out', 'in and out'], ['short', 'short', 'crack-in', 'short in'],
    ['out to empty', 'to empty', 'back to empty'], ['trade', 'trade'], ['back out', 'back out'], ['across', 'across wide', 'jog across'], ['shift', 'shift'], ['out motion', 'out', 'outward'],
  ],
  front: [
    ['4-2 over', 'w5 w1 s3 s5 | W-2.5 M2.5', 'over'], ['4-2 under', 'w5 w3 s1 s5 | W-2.5 M2.5', 'under front'], ['4-3 over', 'w5 w1 s3 s6 | W-3.5 M0 S4'], ['4-3 under', 'w5 w3 s1 s5 s9+ | W-2.8 M1.2'], ['4-3 even', 'w5 w2 s2 s5 | W-4 M0 S4', 'even'],
    ['4-1', 'w5 w1 s3 s5 | M0'], ['3-3', 'w4 0 s4 | W-3.5 M0 S3.5', '3-3 stack'], ['3-4', 'w9+ w4 0 s4 s9+ | W-1.8 M1.8', '3-4 odd', 'odd'], ['3-2', 'w4 0 s4 | W-2.2 M2.2'],
    ['tite', 'w9+ w4i 0 s4i s9+ | W-2 M2', '4i-0-4i'], ['bear', 'w9+ w3 0 s3 s9+ | W-2.2 M2.2', 'double eagle'], ['5-2', 'w9 w4 0 s4 s9 | W-2.2 M2.2'], ['6-2', 'w9 w5 w2 s2 s5 s9 | W-2 M2'], ['goal line', 'w9 w5 w2i s2i s5 s9 | W-3 M0 S3'],
    ['4-2 even', 'w5 w2i s2i s5 | W-2.5 M2.5'], ['4-2 wide', 'wwide9 w1 s3 swide9 | W-2.5 M2.5'], ['4-4', 'w5 w1 s3 s5 | O-5.5@3 W-2 M2 S6@3'], ['5-3', 'w9 w4 0 s4 s9 | W-3 M0 S3'], ['2-4', 'w9+ w1 s3 s9+ | W-2 M2'],
  ],
  coverage: [
    ['cover 0', 'man none | | | 0 | 5 inside', 'zero'],
    ['cover 1', 'man closed | fs:middle@0 | | 1 | 5 inside', 'man free'],
    ['cover 1 robber', 'man closed | fs:middle@0 | ss:robber:m | 2 | 5 inside', 'robber'],
    ['cover 1 double', 'man closed | fs:middle@0 ss:bracket@0.9 | | 2 | 4 inside'],
    ['cover 2', 'zone open | fs:half@-0.55 ss:half@0.55 | cs:flat:s cw:flat:w | 2 | 5 outside', 'cloud'],
    ['2 man', 'man open | fs:half@-0.55 ss:half@0.55 | | 2 | 2 inside press', 'two man'],
    ['trap', 'zone open | fs:half@-0.55 ss:half@0.55 | cs:trap:s cw:trap:w | 2 | 6 inside', 'trap 2'],
    ['deep middle', 'zone open | fs:half@-0.55 ss:half@0.55 m:pole@0 | cs:flat:s cw:flat:w | 2 | 5 outside', 'middle runner'],
    ['cover 3', 'zone closed | cs:third@0.8 fs:middle@0 cw:third@-0.8 | ss:curl:s | 1 | 7 outside', 'three deep'],
    ['cover 3 cloud', 'zone closed | ss:third@0.8 fs:middle@0 cw:third@-0.8 | cs:cloud:s | 2 | 5 outside', 'corner down'],
    ['3 match', 'match closed | cs:third@0.8 fs:middle@0 cw:third@-0.8 | ss:wall:s | 1 | 7 inside', 'match 3'],
    ['quarters', 'zone open | cs:quarter@0.9 ss:quarter@0.35 fs:quarter@-0.35 cw:quarter@-0.9 | | 2 | 7 outside', 'cover 4'],
    ['quarters match', 'match open | cs:quarter@0.9 ss:quarter@0.35 fs:quarter@-0.35 cw:quarter@-0.9 | n:wall:s | 2 | 7 inside'],
    ['cover 6', 'zone open | cs:quarter@0.9 ss:quarter@0.35 fs:half@-0.55 | cw:flat:w | 2 | 7 outside', 'quarter quarter half'],
    ['bracket', 'mixed open | fs:half@-0.55 ss:bracket@0.7 | cs:man:s cw:man:w | 2 | 4 inside'],
    ['fire zone', 'zone closed | cs:third@0.8 fs:middle@0 cw:third@-0.8 | ss:hook:s lb:hook:m | 1 | 7 outside', '3 under 3 deep'],
    ['prevent', 'zone open | cs:quarter@0.9 ss:quarter@0.4 fs:quarter@-0.4 cw:quarter@-0.9 n:middle@0 | | 4 | 12 outside'],
  ],
  pressure: [
    ['no pressure', ' | drop 0 | threat 4', 'base rush'], ['mike a pressure', 'middle:A:s | drop 0 | threat 5', 'mike a'], ['will b pressure', 'backer:B:w | drop 0 | threat 5', 'will b'], ['double a pressure', 'middle:A:s backer:A:w | drop 0 | threat 6', 'double a'],
    ['field edge pressure', 'edge:D:f | drop 0 | threat 5', 'field edge'], ['boundary edge pressure', 'edge:D:b | drop 0 | threat 5', 'boundary edge'], ['strong edge pressure', 'edge:D:s | drop 0 | threat 5', 'strong edge'], ['weak edge pressure', 'edge:D:w | drop 0 | threat 5', 'weak edge'],
    ['corner pressure', 'corner:D:b | drop 0 | threat 4', 'corner blitz'], ['safety pressure', 'safety:B:w | drop 0 | threat 4', 'safety blitz'], ['nickel pressure', 'nickel:D:s | drop 0 | threat 5', 'nickel blitz'],
    ['simulated pressure', 'backer:A:w | drop 1 s | threat 6', 'sim'], ['creeper', 'nickel:D:s | drop 1 w | threat 5'], ['three-man rush', ' | drop 1 w | threat 4', 'eight drop'],
    ['backers cross', 'backer:A:w backer:B:s | drop 0 | threat 5 | twist'], ['strong overload', 'edge:D:s backer:C:s | drop 1 w | threat 5 | slant weak'], ['weak overload', 'edge:D:w backer:B:w | drop 1 s | threat 5 | slant strong'],
    ['edge and a', 'edge:D:s middle:A:w | drop 0 | threat 6'], ['both edges', 'edge:D:s edge:D:w | drop 0 | threat 6'], ['b to the back', 'backer:B:back | drop 0 | threat 5'], ['b away from the back', 'backer:B:away | drop 0 | threat 5'],
    ['all-out pressure', 'middle:A:s backer:A:w edge:D:s | drop 0 | threat 7', 'all out'], ['boundary overload', 'corner:D:b safety:C:b | drop 1 f | threat 5'],
  ],
  run: [
    ['inside zone', 'zone B back', 'iz'], ['split zone', 'zone B back | | slice=BW,LEAD,BY,PW', 'slice zone'], ['insert zone', 'zone B back | | insert=LEAD,BW,PW,BY'], ['wide zone', 'zone C back | PT:reach PG:reach C:reach', 'outside zone', 'wz'], ['mid zone', 'zone C back'],
    ['stretch', 'zone D back | PT:reach PG:reach C:reach'], ['stretch lead', 'zone D back | PT:reach PG:reach C:reach | lead=LEAD,PW'], ['pull zone', 'zone C back | BG:lead_pull'],
    ['power', 'gap C back | BG:wrap | kick=PW,LEAD,BW'], ['one-back power', 'gap C back | BG:wrap PT:combo PG:combo PY:base'], ['counter', 'gap C back | BG:kick BT:wrap'], ['counter back', 'gap C back | BG:kick | wrap=LEAD,BW,BY'], ['counter read', 'gap C back | BG:kick Q:read | wrap=BW,LEAD,BY | read back-side end'],
    ['trap', 'gap A back | BG:trap PG:climb PT:climb'], ['long trap', 'gap B back | BT:trap PG:down'], ['wham', 'gap A back | PG:climb BG:climb | trap=BW,LEAD,PW'], ['sweep', 'gap D back | PG:lead_pull BG:lead_pull | kick=LEAD,PW,PY'], ['pin-and-pull', 'gap D back | PT:lead_pull C:lead_pull BG:scoop BT:cutoff | pin=PY,PW', 'pin and pull'],
    ['down', 'gap C back | PG:kick | down=PY,PW'], ['dart', 'man B back | BT:wrap', 'tackle wrap'], ['iso', 'man B back | | lead=LEAD', 'lead'], ['lead zone', 'zone B back | | lead=LEAD'], ['duo', 'gap B back | PT:combo PG:combo C:combo BG:combo BT:base PY:base'],
    ['toss', 'zone D back | PT:lead_pull Q:toss'], ['crack toss', 'gap D back | PT:lead_pull P1:crack P2:crack Q:toss'], ['draw', 'man A back | PT:pass_set PG:pass_set C:pass_set BG:pass_set BT:pass_set'], ['lead draw', 'man A back | PT:pass_set PG:pass_set C:pass_set BG:pass_set BT:pass_set | lead=LEAD'],
    ['quarterback run', 'gap B quarterback | Q:keep | lead=LEAD', 'qb run'], ['quarterback draw', 'man A quarterback | PT:pass_set PG:pass_set C:pass_set BG:pass_set BT:pass_set Q:keep', 'qb draw'], ['quarterback power', 'gap C quarterback | BG:wrap | kick=LEAD,PW,BW', 'qb power'],
    ['quarterback counter', 'gap C quarterback | BG:kick BT:wrap LEAD:fake', 'qb counter'], ['quarterback sweep', 'gap D quarterback | PG:lead_pull BG:lead_pull | lead=LEAD', 'qb sweep'], ['quarterback trap', 'gap A quarterback | BG:trap PG:climb LEAD:fake', 'qb trap'], ['quarterback keep', 'zone D quarterback | LEAD:fake', 'keep right or left'],
    ['zone read', 'zone B back | BT:climb Q:read | | read back-side end'], ['arc read', 'zone B back | BT:climb Q:read | arc=BW,LEAD,BY | read back-side end'], ['power read', 'gap D back | BG:wrap PT:combo PG:combo Q:read | | read end man'],
    ['veer', 'gap B back | PT:release PG:base C:base Q:read | | read end man'], ['outside veer', 'gap C back | PT:down PY:down Q:read | | read end man'], ['triple option', 'gap B fullback | PT:release Q:read LEAD:pitch BALL:dive | | read end man', 'triple'], ['speed option', 'zone D back | Q:pitch_read BALL:pitch | | read end man'],
    ['load option', 'gap D back | Q:pitch_read BALL:pitch | lead=LEAD'], ['midline', 'gap A fullback | PG:release PT:climb Q:read BALL:dive'],
    ['jet', 'zone D mover | PT:reach PG:reach C:reach LEAD:fake', 'jet sweep'], ['reverse', 'zone D receiver | PT:lead_pull LEAD:fake'], ['end around', 'zone D receiver | PT:reach PG:reach C:reach LEAD:fake'],
    ['dive', 'man A fullback'], ['fullback trap', 'gap A fullback | BG:trap PG:climb'], ['belly', 'man C fullback | | lead=LEAD'], ['wedge', 'man A back | PT:wedge PG:wedge C:wedge BG:wedge BT:wedge'], ['sneak', 'man A quarterback | PT:wedge PG:wedge C:wedge BG:wedge BT:wedge Q:keep', 'quarterback sneak'],
  ],
  pass: [
    ['stick', 'quick 3 | go, stick, flat | slant, bubble | block'], ['snag', 'quick 3 | snag, corner, flat | hitch, seam | block', 'spot'], ['slant-flat', 'quick 3 | slant, flat | slant, flat | check down', 'slant flat'], ['slants', 'quick 3 | slant, slant | slant, slant | check down', 'double slants'], ['hitches', 'quick 3 | hitch, hitch, hitch | hitch, hitch | block', 'hitch'],
    ['outs', 'quick 3 | quick out, seam | quick out, seam | block', 'quick outs'], ['fade-out', 'quick 3 | fade, quick out | fade, quick out | block'], ['hitch-seam', 'quick 3 | hitch, seam | hitch, seam | block'], ['spacing', 'quick 3 | hitch, snag, flat | hitch, snag | check down'], ['quick ins', 'quick 3 | quick in, quick in | quick in, quick in | swing'],
    ['slant-whip', 'quick 3 | slant, whip | slant, flat | check down'], ['arrow-corner', 'quick 3 | corner, arrow | hitch, seam | block'], ['pop pass', 'quick 1 | stalk, seam, bubble | hitch, stalk | block', 'pop'], ['glance', 'quick 3 | bend, stalk | hitch, stalk | block'],
    ['levels', 'drop-back 5 | quick in, quick in, dig | go, dig | swing'], ['mesh', 'drop-back 5 | corner, drag | post, drag | wheel'], ['four verticals', 'drop-back 5 | go, seam, over | go, seam | check down', 'verticals', 'verts'], ['switch verticals', 'drop-back 5 | bend, wheel | bend, wheel | check down', 'switch verts'], ['flood', 'drop-back 5 | go, out, flat | post, drag | block'], ['smash', 'drop-back 5 | hitch, corner | hitch, corner | check down'],
    ['curl-flat', 'drop-back 5 | curl, flat | curl, flat | check down', 'curl flat'], ['post-wheel', 'drop-back 5 | post, wheel | dig, drag | check down', 'post wheel'], ['curl-wheel', 'drop-back 5 | curl, wheel | dig, seam | check down'], ['drive', 'drop-back 5 | drag, dig | go, flat | swing'], ['shallow cross', 'drop-back 5 | post, drag | go, dig | flat', 'shallow'], ['dagger', 'drop-back 5 | dig, seam | drag, flat | check down'],
    ['post', 'drop-back 5 | post, curl | go, dig | block'], ['post-dig', 'drop-back 5 | dig, post | go, check down | swing'], ['corner', 'drop-back 5 | flat, corner | dig, seam | block'], ['post corner', 'drop-back 7 | post corner, flat | dig, seam | block'], ['deep cross', 'drop-back 5 | go, over | dig, flat | swing'], ['deep outs', 'drop-back 5 | out, seam | out, seam | check down'],
    ['comeback', 'drop-back 7 | comeback, flat | comeback, seam | check down'], ['out-flat', 'drop-back 5 | out, flat | dig, seam | block', 'out flat'], ['all curls', 'drop-back 5 | curl, curl, curl | curl, curl | flat'], ['hook high-low', 'drop-back 5 | go, curl, drag | curl, flat | check down', 'high-low'], ['option route', 'drop-back 3 | go, option | go, option | option'], ['angle', 'drop-back 5 | go, flat | dig, seam | angle'],
    ['follow', 'drop-back 5 | drag, settle | dig, seam | swing'], ['rub', 'quick 3 | slant, arrow, flat | hitch, seam | block', 'pick'], ['back wheel', 'drop-back 5 | post, drag | go, dig | wheel'], ['delay', 'drop-back 5 | go, delay | go, seam | delay'],
    ['hitch and go', 'shot 5 | hitch and go, seam | go, dig | block', 'double move'], ['slant and go', 'shot 5 | slant and go, flat | go, seam | block'], ['out and up', 'shot 5 | out and up, seam | go, dig | block'], ['shot', 'shot 7 | post, over | go, block | block', 'deep shot'], ['post-over', 'play action 7 | post, block | over, block | block'],
    ['boot', 'boot 5 | comeback, drag | over, flat | flat', 'naked'], ['boot corner', 'boot 5 | corner, flat | drag, block | block'], ['leak', 'boot 5 | go, drag | over, leak | flat'], ['play action flood', 'play action 5 | go, corner, flat | post, drag | block'], ['sprint out', 'sprint 3 | curl, flat | go, drag | block', 'sprint'], ['sprint smash', 'sprint 3 | hitch, corner | post, drag | block'], ['throwback wheel', 'sprint 3 | curl, drag | post, block | wheel'],
    ['bubble', 'screen 0 | stalk, bubble, stalk | slant, stalk | block', 'bubble screen'], ['now screen', 'screen 0 | now, stalk | slant, stalk | block', 'now'], ['tunnel screen', 'screen 3 | tunnel, stalk | go, seam | block', 'tunnel'], ['slip screen', 'screen 5 | go, drag | go, drag | slip', 'slip'], ['back screen', 'screen 5 | go, seam | go, stalk | swing', 'slow screen'],
    ['tight end screen', 'screen 5 | go, slip | go, drag | flat'], ['double screen', 'screen 5 | now, stalk | tunnel, stalk | slip'], ['swing screen', 'screen 1 | stalk, stalk | stalk, stalk | swing'], ['throwback screen', 'screen 5 | go, drag | tunnel, stalk | flat'],
  ],
  protection: [['five-man', 'half 0', '5 man'], ['half slide', 'half 1', 'half'], ['full slide', 'full 1'], ['big-on-big', 'man 1', 'bob'], ['six-man', 'man 1 scan', '6 man'], ['max', 'half 2', 'seven-man', '7 man'], ['sprint protection', 'full 2']],
};

/** Words without a structure of their own: word, then aliases. */
const PLAIN: Readonly<Partial<Record<TermKind, readonly (readonly string[])[]>>> = {
  tempo: [['huddle'], ['no huddle', 'nohuddle'], ['fast', 'tempo'], ['look-over', 'check with sideline'], ['freeze', 'hard count']],
  tag: [['trick'], ['hurry'], ['busted', 'bust'], ['explosive'], ['missed tackle']],
};

const ROTATION_TERMS: readonly [word: string, value: string, ...aliases: string[]][] = [
  ['strong', 'strong', 'to strength'], ['weak', 'weak', 'away from strength'], ['to field', 'field', 'field rotation'], ['to boundary', 'boundary', 'boundary rotation'], ['to motion', 'motion'],
];

const idOf = (kind: TermKind, word: string): string => `${kind}-${word.replace(/[^a-z0-9]+/g, '-')}`;

const terms: Term[] = [
  ...FORMATIONS.map(([word, spots, ...aliases]): Term => ({ id: idOf('formation', word), kind: 'formation', word, aliases, spots: parseSpots(spots) })),
  ...BACKFIELDS.map(([word, spots, ...aliases]): Term => ({ id: idOf('backfield', word), kind: 'backfield', word, aliases, spots: parseSpots(spots) })),
  ...Object.entries(DEFINED).flatMap(([kind, words]) =>
    words.map(([word, definition, ...aliases]): Term => ({ id: idOf(kind as TermKind, word), kind: kind as TermKind, word, aliases, definition: parseDefinition(kind as DefinedKind, definition) }))),
  ...Object.entries(PLAIN).flatMap(([kind, words]) =>
    words.map(([word, ...aliases]): Term => ({ id: idOf(kind as TermKind, word!), kind: kind as TermKind, word: word!, aliases }))),
  ...ROTATION_TERMS.map(([word, value, ...aliases]): Term => ({ id: idOf('rotation', word), kind: 'rotation', word, value, aliases })),
];

export const DEFAULT_BOOK: Book = { name: 'general terms', letters: ['X', 'Z', 'Y', 'H', 'F', 'B', 'T', 'Q', 'S'], terms };
