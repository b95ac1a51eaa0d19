import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { KIND_FIELD, storedValue } from '../book';
import { DEFAULT_BOOK } from '../book/default-book';
import { COLLEGE } from '../field';
import { describeState, nextState, unknownState, type GameState } from '../rules';
import { blankSnap, sameValue, SNAP_FACTS, type Snap, type SnapFields } from '../snap';
import {
  complete,
  buildHabits,
  rankWords,
  SAID,
  formatLine,
  parseLine,
  problemSentence,
  stateAfter,
  tokenize,
  type LineContext,
} from './index';

const state = (
  down: number,
  distance: number,
  toGoal: number,
  hash: GameState['hash'] = null,
): GameState => ({
  ...unknownState({ HER: 0, STG: 0 }),
  offense: 'HER',
  defense: 'STG',
  unit: 'scrimmage',
  down,
  distance,
  toGoal,
  hash,
});
const context = (s: GameState | null, previous: Snap | null = null): LineContext => ({
  book: DEFAULT_BOOK,
  profile: COLLEGE,
  state: s,
  previous,
});
const after = (line: string, c: LineContext): string =>
  describeState(stateAfter(parseLine(line, c), c).after.state);

describe('the examples of the snap line', () => {
  const first = context(state(1, 10, 65, 'L'));
  it('reads a full run', () => {
    const parsed = parseLine('11 trips r h jet 4-2 over cover 3 weak power r #22 +6', first);
    expect(parsed.problems).toEqual([]);
    expect(parsed.fields).toEqual({
      personnel: '11',
      formation: 'trips',
      formationSide: 'R',
      motion: 'jet',
      motionBy: 'H',
      front: '4-2 over',
      coverage: 'cover 3',
      rotation: 'weak',
      concept: 'power',
      direction: 'R',
      play: 'run',
      carrier: '22',
      gain: 6,
      result: 'gain',
    });
    expect(after(parsed.text, first)).toBe('2nd & 4, own 41');
  });
  it('carries the look and follows a pass to its spot', () => {
    const previous: Snap = {
      ...blankSnap('a', 'g', 1),
      personnel: '11',
      formation: 'trips',
      formationSide: 'R',
      backfield: 'gun',
    };
    const c = context(state(2, 4, 59), previous);
    const parsed = parseLine('.. boot l #7>#81 >t41r', c);
    expect(parsed.problems).toEqual([]);
    expect(parsed.fields).toMatchObject({
      personnel: '11',
      formation: 'trips',
      formationSide: 'R',
      backfield: 'gun',
      concept: 'boot',
      direction: 'L',
      play: 'pass',
      passer: '7',
      target: '81',
      result: 'complete',
      gain: 18,
      deadToGoal: 41,
      deadHash: 'R',
    });
    expect(after(parsed.text, c)).toBe('1st & 10, their 41, right hash');
  });
  it('reads down, spot, two concepts and doubt', () => {
    const parsed = parseLine('2&4 @o41r inc stick/snag quarters?', context(null));
    expect(parsed.problems).toEqual([]);
    expect(parsed.fields).toMatchObject({
      down: 2,
      distance: 4,
      toGoal: 59,
      hash: 'R',
      result: 'incomplete',
      concept: 'stick',
      conceptWeak: 'snag',
      coverage: 'quarters',
      notSure: ['coverage'],
    });
    expect(after(parsed.text, context(null))).toBe('3rd & 4, own 41, right hash');
  });
  it('reads a sack and a pressure of several words', () => {
    const parsed = parseLine('sack -7 mike a pressure', first);
    expect(parsed.fields).toMatchObject({ result: 'sack', gain: -7, pressure: 'mike a pressure' });
    expect(after(parsed.text, first)).toBe('2nd & 17, own 28');
  });
  it('takes what a foul leaves out from the level', () => {
    const parsed = parseLine('pen o holding 10', context(state(2, 4, 59)));
    expect(parsed.fields).toMatchObject({
      result: 'no_play',
      penalties: [{ side: 'o', name: 'holding', yards: 10, from: 'prev', outcome: 'accepted', extra: '' }],
    });
    expect(after(parsed.text, context(state(2, 4, 59)))).toBe('2nd & 14, own 31');
    expect(parseLine('pen d pi', first).fields.penalties).toEqual([
      { side: 'd', name: 'pi', yards: 15, from: 'prev', outcome: 'accepted', extra: '1st' },
    ]);
    expect(parseLine('pen d offside 5 declined +3', first).fields.penalties?.[0]?.outcome).toBe('declined');
  });
  it('reads a punt', () => {
    expect(after('punt 42 ret 6', context(state(4, 8, 70)))).toBe('1st & 10, own 34');
  });
  const problems = (line: string, c = first) =>
    parseLine(line, c).problems.map((p) => [p.code, p.text, p.candidates.map((x) => x.text)]);
  it('names a formation given twice, at the second', () => {
    expect(problems('wing l 12 power r trips r')).toEqual([['twice', 'trips', []]]);
    expect(parseLine('wing l 12 power r trips r', first).problems[0]).toMatchObject({ start: 18, end: 23 });
  });
  it('says when gain and spot disagree', () => {
    expect(problems('power r +6 >o40l')).toEqual([['gain-and-spot', '>o40l', ['>o41']]]);
  });
  it('offers the nearest word, once', () => {
    const [p, ...rest] = parseLine('pwoer r +6', first).problems;
    expect(rest).toEqual([]);
    expect(p).toMatchObject({ code: 'unknown-word', start: 0, end: 5 });
    expect(p?.candidates[0]?.text).toBe('power');
  });
  it('asks whether 12 is personnel or a gain', () => {
    expect(problems('power r 12')).toEqual([['ambiguous', '12', ['pers=12', '+12']]]);
    expect(
      problems('.. 12', context(state(1, 10, 65), { ...blankSnap('a', 'g', 1), personnel: '11' })),
    ).toEqual([['ambiguous', '12', ['pers=12', '+12']]]);
  });
  it('tells jet the motion from jet the run by what touches it', () => {
    expect(parseLine('h jet', first).fields).toMatchObject({ motion: 'jet', motionBy: 'H' });
    expect(parseLine('jet h', first).fields).toMatchObject({ motion: 'jet', motionBy: 'H' });
    expect(parseLine('jet r +3', first).fields).toMatchObject({
      concept: 'jet',
      direction: 'R',
      play: 'run',
    });
    expect(problems('jet')).toEqual([['ambiguous', 'jet', ['mo=jet', 'con=jet']]]);
    expect(parseLine('trips r h jet r', first).fields).toMatchObject({
      formation: 'trips',
      formationSide: 'R',
      motion: 'jet',
      motionBy: 'H',
      motionSide: 'R',
    });
  });
  it('keeps unseen, none and not sure apart', () => {
    expect(parseLine('cov=?? mo=-', first).fields).toEqual({ coverage: '?', motion: '-' });
    expect(parseLine('no motion coverage unseen', first).fields).toEqual({ coverage: '?', motion: '-' });
    expect(parseLine('form=trips', first).fields).toEqual({ formation: 'trips' });
  });
  it('splits a run-pass option', () => {
    expect(parseLine('inside zone r ~ bubble #22 +4', first).fields).toMatchObject({
      play: 'rpo',
      concept: 'inside zone',
      conceptWeak: 'bubble',
      direction: 'R',
      carrier: '22',
    });
  });
  it('reads one bare digit as unknown, nearest a gain', () => {
    expect(problems('power r 6')).toEqual([['unknown-word', '6', ['+6']]]);
  });
  it('reads spots after > in the view of the team that has the ball', () => {
    const kick = context({
      ...unknownState({ HER: 0, STG: 0 }),
      offense: 'HER',
      defense: 'STG',
      unit: 'kickoff',
      toGoal: 65,
    });
    expect(after('kickoff >o25m', kick)).toBe('1st & 10, own 25, middle');
    expect(after('int 25 >o40r', first)).toBe('1st & 10, own 40, right hash');
    expect(parseLine('int 25 >o40r', first).fields).toMatchObject({
      turnoverYards: 25,
      returnYards: 0,
      deadPossession: 'STG',
    });
  });
  it('takes a field goal to be yards to goal plus 17, and checks a typed length', () => {
    const c = context(state(4, 7, 22));
    expect(parseLine('fg good', c).fields).toMatchObject({
      kickYards: 39,
      score: 'field_goal',
      scoredBy: 'HER',
    });
    expect(problems('fg 34 good', c)[0]?.[0]).toBe('kick-length');
  });
  it('reads tries, safeties and touchdowns', () => {
    expect(parseLine('power r td', context(state(1, 4, 4))).fields).toMatchObject({
      score: 'touchdown',
      gain: 4,
      scoredBy: 'HER',
    });
    expect(parseLine('try kick good', first).fields).toMatchObject({
      unit: 'try',
      result: 'kick',
      score: 'try_1',
      scoredBy: 'HER',
    });
    expect(parseLine('try 2pt no', first).fields).toMatchObject({ unit: 'try', result: 'gain' });
    expect(parseLine('int 5 ret 40 td', first).fields).toMatchObject({ score: 'touchdown', scoredBy: 'STG' });
  });
});

describe('nothing is lost and nothing throws', () => {
  it('keeps every character in tokens and blanks, for any text', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 120 }), (text) => {
        const tokens = tokenize(text);
        let at = 0;
        let rebuilt = '';
        for (const t of tokens) {
          rebuilt += text.slice(at, t.start) + t.text;
          expect(text.slice(at, t.start).trim()).toBe('');
          at = t.end;
        }
        expect(rebuilt + text.slice(at)).toBe(text);
      }),
      { numRuns: 500, seed: 7 },
    );
  });
  it('parses any text to fields and problems inside it', () => {
    const words = fc.constantFrom(
      '11',
      'trips',
      'r',
      'h',
      'jet',
      'power',
      '+6',
      'pen',
      'o',
      'holding',
      '10',
      'punt',
      'fg',
      'int',
      '25',
      '>o40r',
      '~',
      '/',
      'inc',
      '"x',
      '..',
      'cov=??',
      '#7>#81',
      'q3',
      '?',
      'td',
      'no',
      'motion',
      'zzz',
    );
    fc.assert(
      fc.property(fc.array(fc.oneof(words, fc.string({ maxLength: 8 })), { maxLength: 14 }), (parts) => {
        const text = parts.join(' ');
        const parsed = parseLine(text, context(state(1, 10, 65)));
        for (const p of parsed.problems) {
          expect(p.start).toBeGreaterThanOrEqual(0);
          expect(p.end).toBeLessThanOrEqual(text.length);
          expect(problemSentence(p).length).toBeGreaterThan(5);
        }
      }),
      { numRuns: 1500, seed: 11 },
    );
  });
  it('offers for an ambiguous word candidates that the line takes', () => {
    for (const line of ['jet', 'trap', 'power r 12']) {
      const p = parseLine(line, context(null)).problems[0]!;
      for (const c of p.candidates)
        expect(
          parseLine(line.slice(0, p.start) + c.text + line.slice(p.end), context(null)).problems,
        ).toEqual([]);
    }
  });
});

describe('format and parse', () => {
  const pick = <T>(...values: T[]) => fc.option(fc.constantFrom(...values), { nil: null });
  const ofKind = (...kinds: string[]) =>
    fc.option(
      fc.constantFrom<string>(
        ...DEFAULT_BOOK.terms.filter((t) => kinds.includes(t.kind)).map(storedValue),
        '-',
        '?',
      ),
      { nil: null },
    );
  const yards = fc.option(fc.integer({ min: -12, max: 40 }), { nil: null });
  const snapFields = fc
    .record({
      down: fc.option(fc.integer({ min: 1, max: 4 }), { nil: null }),
      distance: fc.option(fc.integer({ min: 1, max: 20 }), { nil: null }),
      toGoal: fc.option(fc.integer({ min: 1, max: 99 }), { nil: null }),
      hash: pick('L', 'M', 'R'),
      quarter: pick(1, 2, 3, 4),
      clock: fc.option(fc.integer({ min: 0, max: 900 }), { nil: null }),
      personnel: pick('11', '12', '-', '?'),
      formation: ofKind('formation'),
      formationSide: pick('L', 'R', '-'),
      backfield: ofKind('backfield'),
      motion: ofKind('motion'),
      motionBy: pick('H', 'Z'),
      motionSide: pick('L', 'R'),
      front: ofKind('front'),
      coverage: ofKind('coverage'),
      rotation: pick('strong', 'weak', 'motion', '?'),
      pressure: ofKind('pressure'),
      protection: ofKind('protection'),
      box: pick<number | string>(6, 7, '?'),
      concept: ofKind('run', 'pass'),
      conceptWeak: ofKind('pass'),
      direction: pick('L', 'R'),
      play: pick('run', 'pass', 'rpo', 'other'),
      result: pick('gain', 'complete', 'incomplete', 'sack', 'scramble', 'kneel', 'spike'),
      gain: yards,
      carrier: pick('22', '5'),
      passer: pick('7'),
      target: pick('81'),
      tacklers: fc.constantFrom([], ['54', '9']),
      outOfBounds: pick(true),
      kept: pick(true),
      note: pick('corner 12 off'),
      turnover: pick(null, 'fumble', 'interception'),
      returnYards: yards,
      penalties: fc.constantFrom(
        [],
        [{ side: 'o', name: 'holding', yards: 10, from: 'end', outcome: 'accepted', extra: '' }],
        [{ side: 'd', name: 'offside', yards: 5, from: 'prev', outcome: 'declined', extra: '' }],
      ),
      tags: fc.constantFrom([], ['trick']),
      notSure: fc.constantFrom([], ['coverage'], ['coverage', 'formation']),
      guessed: fc.constantFrom([], ['coverage']),
    })
    .map((f) => ({
      ...f,
      guessed: f.guessed.filter((g) => (f.notSure as readonly string[]).includes(g)),
    })) as fc.Arbitrary<SnapFields>;

  it('bring any snap back exactly', () => {
    fc.assert(
      fc.property(snapFields, (fields) => {
        const c = context(state(1, 10, 65));
        const line = formatLine(fields, c);
        const back = parseLine(line, c).fields;
        for (const field of SNAP_FACTS) {
          const wanted = fields[field] ?? (Array.isArray(back[field]) ? [] : null);
          const got = back[field] ?? (Array.isArray(wanted) ? [] : null);
          if (!sameValue(wanted, got))
            throw new Error(
              `${field}: ${JSON.stringify(wanted)} came back as ${JSON.stringify(got)} from: ${line}`,
            );
        }
      }),
      { numRuns: 1500, seed: 3 },
    );
  });
  it('is canonical: formatting what was parsed from it changes nothing', () => {
    fc.assert(
      fc.property(snapFields, (fields) => {
        const c = context(state(1, 10, 65));
        const line = formatLine(fields, c);
        expect(formatLine(parseLine(line, c).fields, c)).toBe(line);
      }),
      { numRuns: 300, seed: 5 },
    );
  });
  it('writes a usual snap in plain words', () => {
    const c = context(state(1, 10, 65));
    expect(formatLine(parseLine('4-2 over +6 trips r 11 #22 cover 3 weak h jet power r', c).fields, c)).toBe(
      '11 trips r h jet 4-2 over cover 3 weak power r #22 +6',
    );
  });
  it('has a field for every kind of word', () => {
    for (const term of DEFAULT_BOOK.terms) {
      const parsed = parseLine(
        `${KIND_FIELD[term.kind].field === 'tags' ? '' : ''}${term.word}`,
        context(null),
      );
      if (parsed.problems.length === 0) expect(Object.keys(parsed.fields).length).toBeGreaterThan(0);
      else expect(parsed.problems[0]!.code).toBe('ambiguous');
    }
  });
});

describe('completion', () => {
  const history = ['trips', 'trips', 'trey', 'trips'].map((formation, i) => ({
    snap: {
      ...blankSnap(`s${i}`, 'g', i),
      personnel: i < 3 ? '11' : '12',
      formation,
      formationSide: 'R' as const,
    },
    bucket: i < 2 ? '1-10' : '2-long',
  }));
  const habits = buildHabits(
    history.map(({ snap, bucket }) => ({ snap, bucket, offense: 'HER', defense: 'STG' })),
    DEFAULT_BOOK,
  );
  const offers = (text: string, bucket: string | null, said = {}) =>
    complete({
      text,
      caret: text.length,
      book: DEFAULT_BOOK,
      habits,
      situation: { offense: 'HER', defense: 'STG', bucket },
      said,
    });
  it('ranks words begun by use in the same situation, after the same words', () => {
    expect(
      offers('11 tr', '2-long', { personnel: '11' })
        .slice(0, 2)
        .map((c) => [c.insert, c.count, c.of]),
    ).toEqual([
      ['trips r', 3, 4],
      ['trey r', 1, 4],
    ]);
    expect(offers('11 tr', '1-10', { personnel: '11' })[0]).toMatchObject({
      insert: 'trips r',
      count: 3,
      of: 4,
      start: 3,
      end: 5,
    });
  });
  it('offers the next field after a blank, and several at once where they go together', () => {
    expect(offers('', null).find((o) => o.insert === '11')).toMatchObject({ count: 3, of: 4 });
    expect(offers('', '1-10')[0]).toMatchObject({ insert: '11 trips r' });
    expect(offers('11 ', null, { personnel: '11' })[0]).toMatchObject({ insert: 'trips r', count: 3, of: 4 });
  });
  it('says the offers as the line reads them', () => {
    for (const text of ['', 'p', 'tr', '11 ', 'cover'])
      for (const { insert } of offers(text, '1-10'))
        expect(
          parseLine(insert, context(state(1, 10, 65))).problems.filter((p) => p.code !== 'ambiguous'),
        ).toEqual([]);
  });
  it('learns a word at once and leaves the base as it was', () => {
    const more = buildHabits(
      [
        {
          snap: { ...blankSnap('x', 'g', 9), formation: 'empty' },
          offense: 'HER',
          defense: 'STG',
          bucket: '2-long',
        },
      ],
      DEFAULT_BOOK,
      habits,
    );
    expect([habits.n, more.n]).toEqual([4, 5]);
    expect(
      rankWords(more, SAID.indexOf('formation'), { offense: 'HER', defense: 'STG', bucket: '2-long' }, []).of,
    ).toBe(5);
    expect(habits.words[SAID.indexOf('formation')]).not.toContain('empty');
  });
  it('ranks rows put behind a season as it ranks all of them counted at once', () => {
    const words = ['trips', 'trey', 'empty', 'doubles'];
    const some = (n: number) =>
      Array.from({ length: n }, (_, i) => ({
        snap: { ...blankSnap(`r${i}`, 'g', i), formation: words[(i * 7 + n) % 4]!, personnel: `1${i % 3}` },
        offense: i % 3 === 0 ? 'STG' : i % 5 === 0 ? 'NEW' : 'HER',
        defense: 'WRE',
        bucket: i % 2 === 0 ? '1-10' : '2-long',
      }));
    const behind = buildHabits(some(11), DEFAULT_BOOK, buildHabits(some(40), DEFAULT_BOOK));
    // A copy has no counts kept with it.
    const fresh = structuredClone(behind);
    for (const offense of ['HER', 'STG', 'NEW', 'XXX'])
      for (const bucket of ['1-10', '2-long', null])
        for (const said of [[], ['11']])
          for (const field of ['formation', 'personnel'] as const)
            expect(rankWords(behind, SAID.indexOf(field), { offense, defense: 'WRE', bucket }, said)).toEqual(
              rankWords(fresh, SAID.indexOf(field), { offense, defense: 'WRE', bucket }, said),
            );
  });
  it('gives the same shares as a second, plain count', () => {
    const column = SAID.indexOf('formation');
    const { share } = rankWords(habits, column, { offense: 'HER', defense: 'STG', bucket: '2-long' }, ['11']);
    // Everybody and the team: 3 trips, 1 trey of 4; in the situation 1 and 1; after 11 people 2 and 1; in both 0 and 1.
    const levels = [
      [0, 3, 1],
      [0, 3, 1],
      [0, 1, 1],
      [0, 2, 1],
      [0, 0, 1],
    ] as const;
    let plain = [1 / 3, 1 / 3, 1 / 3];
    for (const counts of levels) {
      const n = counts.reduce((a: number, b) => a + b, 0);
      plain = plain.map((p, i) => (counts[i]! + 20 * p) / (n + 20));
    }
    share.forEach((s, i) => expect(s).toBeCloseTo(plain[i]!, 12));
    expect(share.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 12);
  });
});

it('agrees with the rules engine on what follows', () => {
  const c = context(state(1, 10, 65));
  const parsed = parseLine('power r +6', c);
  expect(stateAfter(parsed, c).after.state).toEqual(nextState(c.state!, parsed.fields, COLLEGE).state);
});
