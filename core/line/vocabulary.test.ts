/** Words every staff says (common practice), each typed as it is said: none is refused, none is read as another. */
import { describe, expect, it } from 'vitest';
import { DEFAULT_BOOK } from '../book/default-book';
import { LEVEL_PROFILES, type LevelKey } from '../field';
import { unknownState } from '../rules';
import type { SnapFields } from '../snap';
import { formatLine, parseLine, type LineContext } from './index';

const context = (level: LevelKey = 'college'): LineContext => ({
  book: DEFAULT_BOOK,
  profile: LEVEL_PROFILES[level],
  previous: null,
  state: {
    ...unknownState({ HER: 0, STG: 0 }),
    offense: 'HER',
    defense: 'STG',
    unit: 'scrimmage',
    down: 1,
    distance: 10,
    toGoal: 65,
    hash: 'L',
  },
});
const read = (line: string, level?: LevelKey): SnapFields => {
  const parsed = parseLine(line, context(level));
  expect([line, parsed.problems.map((p) => `${p.code} ${p.text}`)]).toEqual([line, []]);
  return parsed.fields;
};

const SAID: readonly (readonly [field: keyof SnapFields, ...lines: string[]])[] = [
  [
    'formation',
    'trips open r',
    'trips closed r',
    'trips tight l',
    'dubs r',
    'deuce r',
    'flexbone r',
    'wing-t l',
    'nasty split r',
    'snug r',
    'three wide r',
    'six linemen r',
    'off tight r',
    'victory',
  ],
  ['backfield', 'shotgun', 'singleback', 'wishbone', 'diamond', 'wildcat'],
  ['motion', 'h fly', 'h rocket', 'z yo-yo', 'z zip', 'h ghost', 'z crack', 'y trade'],
  ['bodies', 'base', 'dime', 'big nickel'],
  ['front', '4-3', '4-2', '3-4', '46', 'mint', 'eagle', 'mug'],
  [
    'coverage',
    'c0',
    'c1',
    'c2',
    'c3',
    'c4',
    'c6',
    'man',
    'zone',
    'sky',
    'buzz',
    'cloud',
    'tampa 2',
    'palms',
    '2-read',
    '2 read',
    'inverted 2',
    'one high',
    'two high',
    'cover 3 match',
    '3 weak',
    '3 strong',
  ],
  [
    'pressure',
    'sam',
    'mike',
    'will',
    'cat',
    'dog',
    'green dog',
    'cross dog',
    'end-tackle',
    'tackle-end',
    'twist',
    'pirate',
    'pinch',
    'slant strong',
    'nickel pressure',
    'drop eight',
  ],
  [
    'concept',
    'gt counter r',
    'gh counter r',
    'gf counter r',
    'gy counter r',
    'bash l',
    'buck r',
    'buck sweep l',
    'power o r',
    'read option r',
    'inverted veer l',
    'blast r',
    'pitch r',
    'rocket toss r',
    'fly sweep r',
    'shovel r',
    'tush push',
    'go',
    'slant',
    'fade',
    'out',
    'dig',
    'curl',
    'post',
    'corner',
    'comeback',
    'seam',
    'wheel',
    'drag',
    'flat',
    'arrow',
    'whip',
    'spot',
    'stick',
    'smash',
    'curl-flat',
    'slant-flat',
    'slants',
    'hitches',
    'outs',
    'spacing',
    'levels',
    'drive',
    'shallow cross',
    'mesh',
    'four verticals',
    'flood',
    'dagger',
    'post-dig',
    'post-wheel',
    'scissors',
    'y-cross',
    'deep over',
    'boot r',
    'sprint out l',
    'angle',
    'bubble l',
    'now',
    'tunnel',
    'slip',
    'throwback screen',
    'china',
    'choice',
    'sluggo',
    'waggle r',
    'rollout l',
    'smoke',
    'jailbreak',
    'flea flicker',
    'halfback pass',
    'hook and lateral',
    'hail mary',
  ],
  ['protection', 'half slide l', 'full slide r', 'turnback', 'scat', 'big-on-big'],
  ['tempo', 'hurry-up', 'check with me', 'kill', 'alert'],
  [
    'tags',
    'play action',
    'tackle for loss',
    'tfl',
    'hot',
    'chip',
    'press',
    'off',
    'bail',
    'contain',
    'peel',
    'swinging gate',
  ],
  ['quarterbackHit', 'qbhit'],
  ['incompleteCause', 'batted'],
  ['spy', 'spy=44'],
];
describe('is understood', () => {
  it.each(SAID.flatMap(([field, ...lines]) => lines.map((line) => [line, field] as const)))(
    '%s',
    (line, field) => {
      const fields = read(line);
      const value = fields[field];
      expect([
        line,
        value === undefined || value === null || (Array.isArray(value) && value.length === 0),
      ]).toEqual([line, false]);
      // And comes back from its own canonical line.
      expect(read(formatLine(fields, context()))).toEqual(fields);
    },
  );
  it.each([
    'targeting',
    'horse collar',
    'hands to the face',
    'block in the back',
    'low block',
    'blindside block',
    'tripping',
    'taunting',
    'illegal contact',
    'illegal hands',
    'illegal touching',
    'illegal forward pass',
    'illegal participation',
    'kick-catch interference',
    'running into the kicker',
    'roughing the passer',
    'personal foul',
    'intentional grounding',
  ])('foul: %s', (name) => {
    for (const level of ['high_school', 'college', 'professional'] as const) {
      const [penalty] = read(
        `pen ${/kick-catch|touching|forward|grounding/.test(name) ? 'o' : 'd'} ${name} 5`,
        level,
      ).penalties!;
      expect([name, penalty!.yards]).toEqual([name, 5]);
    }
  });
});

describe('a bare word of two kinds asks', () => {
  it.each(['nickel', 'trap'])('%s', (word) => {
    const [problem] = parseLine(word, context()).problems;
    expect(problem!.code).toBe('ambiguous');
    expect(problem!.candidates.length).toBe(2);
    for (const { text } of problem!.candidates) read(text);
  });
});

describe('directions in all schools', () => {
  // Trey right: tight end and three to the right; the gun back stands left; ball on the left hash, the field right.
  const from = (said: string) => read(`@o35l trey r gun ${said}`).direction;
  it.each([
    ['power weak', 'L'],
    ['power strong', 'R'],
    ['power field', 'R'],
    ['power to the field', 'R'],
    ['power boundary', 'L'],
    ['power to the tight end', 'R'],
    ['power away from the tight end', 'L'],
    ['inside zone to the back', 'L'],
    ['inside zone away from the back', 'R'],
    ['power weak cover 3 weak', 'L'],
  ] as const)('%s', (said, side) => expect(from(said)).toBe(side));
  it('is no rotation after a run, and a rotation after a coverage', () => {
    expect(read('trey r gun power weak').rotation).toBeUndefined();
    expect(read('power r cover 3 weak').rotation).toBe('weak');
    expect(read('3 weak')).toEqual({ coverage: 'cover 3', rotation: 'weak' });
  });
  it('a formation to the field or into the boundary', () => {
    expect(read('@o35l trips field').formationSide).toBe('R');
    expect(read('@o35l trips boundary').formationSide).toBe('L');
    expect(read('@o35r trips field power strong')).toMatchObject({ formationSide: 'L', direction: 'L' });
  });
  it('asks where nothing tells it', () => {
    for (const line of [
      '@o35m trips field',
      'power to the tight end',
      'spread r gun power to the tight end',
      'trey r pistol inside zone to the back',
    ])
      expect(parseLine(line, context()).problems.map((p) => p.code)).toEqual(['side-not-told']);
  });
});

describe('misreads that stay right', () => {
  it.each([
    ['cover 1 double a pressure', { coverage: 'cover 1', pressure: 'double a pressure' }],
    ['cover 1 double power r', { coverage: 'cover 1 double' }],
    ['drop 8', { rushers: 3 }],
    ['drop 5', { drop: 5 }],
    ['sack -7 #99', { result: 'sack', tacklers: ['99'] }],
    ['int 10 td #9', { turnover: 'interception', score: 'touchdown', returner: '9', scoredBy: 'STG' }],
    ['y trade h jet', { motion: 'trade', motionBy: 'Y', motionSecond: 'jet', motionSecondBy: 'H' }],
    ['y trade l h jet r', { motionSide: 'L', motionSecondSide: 'R' }],
    ['inside zone r ~ bubble l', { play: 'rpo', direction: 'R', conceptWeak: 'bubble', optionSide: 'L' }],
    ['half slide l stick', { protection: 'half slide', protectionSide: 'L' }],
    [
      'punt fake power r +12 #22',
      { unit: 'punt', fake: true, result: 'gain', gain: 12, carrier: '22', play: 'run' },
    ],
    ['punt 45 ret 6 fum lost', { unit: 'punt', kickYards: 45, returnYards: 6, fumble: 'lost' }],
    ['int 12 ret 8 fum lost', { turnover: 'interception', turnoverYards: 12, fumble: 'lost' }],
    ['zone read r pulled #7 +9', { readDecision: 'pulled', carrier: '7' }],
  ] as const)('%s', (line, expected) => {
    const fields = read(line);
    expect(fields).toMatchObject(expected);
    expect(read(formatLine(fields, context()))).toEqual(fields);
  });
  it('two movements are drawn one after the other', async () => {
    const { lookOf } = await import('../book');
    const look = lookOf(DEFAULT_BOOK, read('doubles r gun y trade h jet'), LEVEL_PROFILES.college)!;
    expect(look.offense.path).not.toBeNull();
    expect(look.offense.secondPath).not.toBeNull();
    const y = (men: readonly { letter: string; x: number }[]) => men.find((m) => m.letter === 'Y')!.x;
    expect([Math.sign(y(look.offense.men)), Math.sign(y(look.offense.snapMen))]).toEqual([1, -1]);
  });
});
