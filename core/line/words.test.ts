import { describe, expect, it } from 'vitest';
import { DEFAULT_BOOK } from '../book/default-book';
import { COLLEGE } from '../field';
import { unknownState, walkGame } from '../rules';
import { blankSnap, SNAP_FIELDS, type SnapFields, type SnapField } from '../snap';
import {
  changedFields,
  editLine,
  FIELD_WORDS,
  HELP,
  parseLine,
  PROBLEM_CODES,
  problemSentence,
  RESULT_WORDS,
  saidFields,
  type LineContext,
  type ProblemCode,
} from './index';

const context: LineContext = {
  book: DEFAULT_BOOK,
  profile: COLLEGE,
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
};
const fields = (line: string): SnapFields => parseLine(line, context).fields;

describe('each written word', () => {
  const cases: readonly (readonly [line: string, fields: SnapFields])[] = [
    ['2&7', { down: 2, distance: 7 }],
    ['1&g @t6', { down: 1, distance: 6, toGoal: 6 }],
    ['@o35l', { toGoal: 65, hash: 'L' }],
    ['@t12m', { toGoal: 12, hash: 'M' }],
    ['@50', { toGoal: 50 }],
    ['q3 8:41', { quarter: 3, clock: 521 }],
    ['TRIPS R', { formation: 'trips', formationSide: 'R' }],
    ['three deep', { coverage: 'cover 3' }],
    ['gun near trips l', { backfield: 'gun near', formation: 'trips', formationSide: 'L' }],
    [
      'power r #22 0',
      { concept: 'power', direction: 'R', play: 'run', carrier: '22', gain: 0, result: 'gain' },
    ],
    [
      'stick #7>#81 +5',
      { concept: 'stick', play: 'pass', passer: '7', target: '81', gain: 5, result: 'complete' },
    ],
    ['stick #81 +5', { concept: 'stick', play: 'pass', target: '81', gain: 5, result: 'complete' }],
    [
      'power r +3 by#54#9',
      { concept: 'power', direction: 'R', play: 'run', gain: 3, result: 'gain', tacklers: ['54', '9'] },
    ],
    ['dropped', { result: 'incomplete', incompleteCause: 'dropped', play: 'pass', gain: 0 }],
    ['drop 5', { drop: 5 }],
    ['box 7 shell 2 rush 4', { box: 7, shell: 2, rushers: 4 }],
    ['scramble #7 +9', { result: 'scramble', play: 'pass', carrier: '7', gain: 9 }],
    ['kneel -1', { result: 'kneel', play: 'other', gain: -1 }],
    ['spike', { result: 'spike', play: 'other', gain: 0 }],
    ['draw +4 oob', { concept: 'draw', play: 'run', gain: 4, result: 'gain', outOfBounds: true }],
    [
      'power r +4 fum',
      { concept: 'power', direction: 'R', play: 'run', gain: 4, fumble: 'kept', result: 'gain' },
    ],
    [
      'power r +4 fum lost ret 3',
      {
        concept: 'power',
        direction: 'R',
        play: 'run',
        gain: 4,
        turnover: 'fumble',
        fumble: 'lost',
        returnYards: 3,
        result: 'gain',
      },
    ],
    [
      'int 12 ret 4 #21',
      {
        turnover: 'interception',
        result: 'incomplete',
        turnoverYards: 12,
        returnYards: 4,
        returner: '21',
        play: 'pass',
      },
    ],
    ['punt 38 fc', { unit: 'punt', result: 'kick', kickYards: 38, kickEnd: 'fair_catch' }],
    ['kickoff tb', { unit: 'kickoff', result: 'kick', kickEnd: 'touchback' }],
    [
      'punt blocked >t30',
      { unit: 'punt', result: 'kick', kickEnd: 'blocked', deadToGoal: 30, deadPossession: 'STG' },
    ],
    ['quarters?', { coverage: 'quarters', notSure: ['coverage'] }],
    ['quarters??', { coverage: 'quarters', notSure: ['coverage'], guessed: ['coverage'] }],
    ['cov=quarters??', { coverage: 'quarters', notSure: ['coverage'], guessed: ['coverage'] }],
    ['cov=??', { coverage: '?' }],
    ['cov=quarters', { coverage: 'quarters' }],
    ['!', { kept: true }],
    ['"corner 12 off"', { note: 'corner 12 off' }],
    ['trick', { tags: ['trick'] }],
    ['read_key="play side end"', { readKey: 'play side end' }],
    ['safety sack -35', { score: 'safety', scoredBy: 'STG', result: 'sack', gain: -35, play: 'pass' }],
  ];
  for (const [line, expected] of cases) {
    it(line, () => {
      const parsed = parseLine(line, context);
      expect(parsed.problems).toEqual([]);
      expect(parsed.fields).toEqual(expected);
    });
  }

  it('stands in any order', () => {
    const words = ['power r', '+6', '4-2 over', 'cover 3', '#22', 'trips l'];
    const first = fields(words.join(' '));
    expect(fields([...words].reverse().join(' '))).toEqual(first);
  });

  it('fills a field that exists', () => {
    for (const field of Object.values(FIELD_WORDS)) expect(SNAP_FIELDS[field as SnapField]).toBeDefined();
    for (const given of Object.values(RESULT_WORDS))
      for (const field of Object.keys(given)) expect(SNAP_FIELDS[field as SnapField]).toBeDefined();
    for (const [written, means] of HELP) expect(written.length * means.length).toBeGreaterThan(0);
  });
});

describe('every problem there is', () => {
  const cases: Readonly<Record<ProblemCode, readonly [line: string, sentence: RegExp]>> = {
    'unknown-word': ['powr', /nearest is “power”/],
    ambiguous: ['trap', /could be trap the coverage or trap the run/],
    twice: ['+3 +4', /gain was given already as \+3/],
    'no-side': ['cover 3 r', /no meaning after “cover 3”/],
    'side-not-told': ['power to the tight end', /tells which side “to the tight end” is: say left or right/],
    'no-letter': ['', /is not a letter/],
    'no-number': ['sweep r #h', /Nobody is named for H in this game/],
    'no-motion': ['h power r', /stands beside no motion/],
    'gain-and-spot': ['+6 >o45', /a gain of 6 ends at own 41, not own 45/],
    'return-and-spot': [
      '@o35 punt 40 ret 10 >o30',
      /a length of 40 and a return of 10 end at own 35, not own 30/,
    ],
    'gain-wiped-out': ['+6 pen o holding 10', /wipes the play out/],
    'past-goal': ['@t4 +9', /passes the goal line/],
    'nothing-to-carry': ['..', /no earlier scrimmage snap/],
    'bad-value': ['down=7', /“7” cannot be down/],
    'unknown-field': ['wind=left', /no field “wind”/],
    'open-note': ['"corner', /no closing quote/],
    'too-long': ['x'.repeat(700), /up to 600 characters/],
    lonely: ['/ stick', /needs a word of a play before it/],
    'no-foul-name': ['pen o 10', /no name/],
    'foul-side': ['pen holding 10', /no side: o or d/],
    'kick-length': ['@t20 fg 50 good', /36 to 39 yards, not 50/],
  };
  for (const code of PROBLEM_CODES.filter((c) => cases[c][0] !== '')) {
    it(code, () => {
      const [line, sentence] = cases[code];
      const found = parseLine(line, context).problems.find((p) => p.code === code);
      expect(found, JSON.stringify(parseLine(line, context).problems)).toBeDefined();
      expect(problemSentence(found!)).toMatch(sentence);
      expect(found!.start).toBeLessThanOrEqual(found!.end);
    });
  }
});

describe('editing a logged snap', () => {
  const snaps = [
    {
      ...blankSnap('a', 'g', 1),
      offense: 'HER',
      defense: 'STG',
      unit: 'scrimmage' as const,
      quarter: 1,
      down: 1,
      distance: 10,
      toGoal: 65,
      formation: 'trips',
      formationSide: 'R' as const,
      concept: 'power',
      play: 'run' as const,
      result: 'gain' as const,
      gain: 6,
      deadToGoal: 59,
      deadPossession: 'HER',
      film: 'wide.mp4',
      pointsFor: 7,
    },
    {
      ...blankSnap('b', 'g', 2),
      offense: 'HER',
      defense: 'STG',
      unit: 'scrimmage' as const,
      quarter: 1,
      down: 2,
      distance: 4,
      toGoal: 59,
      concept: 'stick',
      play: 'pass' as const,
      result: 'incomplete' as const,
      gain: 0,
    },
  ];
  const [, second] = walkGame(snaps, COLLEGE);
  const here: LineContext = { ...context, state: second!.expected };

  it('shows what was said, not what follows from the snap before', () => {
    expect(saidFields(second!)).toEqual({ concept: 'stick', play: 'pass', result: 'incomplete', gain: 0 });
    expect(editLine(second!, here)).toBe('stick inc');
  });

  it('changes only what the line changes', () => {
    expect(changedFields('stick inc', 'stick #81 +7', here)).toEqual({
      target: '81',
      result: 'complete',
      gain: 7,
    });
    expect(changedFields('stick inc', 'stick inc quarters?', here)).toEqual({
      coverage: 'quarters',
      notSure: ['coverage'],
    });
    expect(changedFields('stick inc', 'inc', here)).toEqual({ concept: null });
    expect(changedFields('stick inc', 'inc stick', here)).toEqual({});
  });
});
