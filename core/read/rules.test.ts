/** Which film counts together, and the staff's rules that every count follows. */
import { describe, expect, it } from 'vitest';
import { DEFAULT_BOOK } from '../book/default-book';
import { COLLEGE, LEVEL_PROFILES, OTHER_BUCKETS, SEVEN_ON_SEVEN } from '../field';
import { PHASES } from '../table';
import { DEMO_SEED, simulateSeason } from '../../demo/league';
import {
  buildColumns,
  countGame,
  DEFAULT_RULES,
  FILM_KINDS,
  FILM_PLAYERS,
  filmKind,
  groupBy,
  select,
  SUCCESS_50_70_100,
} from './index';
import { readRules, rulesOf } from './read-rules';

const game = simulateSeason(DEMO_SEED, { tells: true, weeks: 1 })[0]!;

describe('film', () => {
  it('of eleven, seven and five men is never one film; practice and borrowed film counts nowhere', () => {
    for (const phase of PHASES) {
      const kinds = (['college', 'seven_on_seven', 'flag_five'] as const).map((level) =>
        filmKind({ level, phase }),
      );
      const practice = phase === 'practice_11' || phase === 'practice_no_line' || phase === 'study';
      expect([phase, kinds]).toEqual([
        phase,
        practice
          ? [null, null, null]
          : phase === 'seven_on_seven'
            ? ['seven', 'seven', 'seven']
            : phase === 'flag'
              ? ['five', 'seven', 'five']
              : ['eleven', 'seven', 'five'],
      ]);
    }
    expect(FILM_KINDS.map((k) => FILM_PLAYERS[k])).toEqual([
      ...new Set(Object.values(LEVEL_PROFILES).map((p) => p.players)),
    ]);
  });
  it('of seven men has structure, and neither box nor front', () => {
    const [counted] = countGame(
      [
        {
          ...game.snaps.find((s) => s.formation === 'trips')!,
          front: '4-2 over',
          coverage: 'cover 3',
          box: null,
        },
      ],
      SEVEN_ON_SEVEN,
      DEFAULT_BOOK,
    );
    expect(counted!.look).toMatchObject({
      structure: '3x1',
      shade: null,
      boxCount: null,
      boxVerdict: null,
      middle: 'closed',
    });
  });
});

describe('a rule of the staff', () => {
  const columns = (rules = DEFAULT_RULES) =>
    buildColumns(countGame(game.snaps, COLLEGE, DEFAULT_BOOK, rules), rules);
  const n = (c: ReturnType<typeof columns>, slice: Parameters<typeof select>[1]) => select(c, slice).length;
  it('moves what depends on it: strength, box, success, buckets, zones', () => {
    const usual = columns();
    const strength = columns({ ...DEFAULT_RULES, look: { ...DEFAULT_RULES.look, strength: ['back'] } });
    expect(n(strength, { strength: ['L'] })).not.toBe(n(usual, { strength: ['L'] }));
    const buckets = columns({ ...DEFAULT_RULES, buckets: OTHER_BUCKETS });
    expect([n(usual, { bucket: ['fresh'] }) > 0, n(buckets, { bucket: ['fresh'] })]).toEqual([true, 0]);
    const success = columns({ ...DEFAULT_RULES, success: SUCCESS_50_70_100 });
    expect(success.success.filter((x) => x === 1).length).toBeLessThan(
      usual.success.filter((x) => x === 1).length,
    );
    const zones = columns({ ...DEFAULT_RULES, zones: [{ key: 'all', label: 'all', from: 1, to: 99 }] });
    expect(groupBy(zones, select(zones, {}), ['zone']).map((g) => g.words)).toEqual([['all']]);
  });
  it('and nothing else: structure is structure by any strength', () => {
    const other = columns({
      ...DEFAULT_RULES,
      look: { ...DEFAULT_RULES.look, strength: ['back'], school: 'C' },
    });
    const by = (c: ReturnType<typeof columns>) =>
      groupBy(c, select(c, {}), ['structure', 'structureSnap']).map((g) => [...g.words, g.rows.length]);
    expect(by(other)).toEqual(by(columns()));
  });
});

describe('rules as stored', () => {
  it('read back as they are, fall back to the defaults when nothing readable is stored', () => {
    expect(readRules(JSON.parse(JSON.stringify(DEFAULT_RULES)))).toEqual({ ok: true, rules: DEFAULT_RULES });
    expect([rulesOf(null), rulesOf(undefined), rulesOf({ look: 'x' })]).toEqual([
      DEFAULT_RULES,
      DEFAULT_RULES,
      DEFAULT_RULES,
    ]);
  });
  it.each([
    [{ look: { ...DEFAULT_RULES.look, strength: [] } }, /strength needs at least one rule/],
    [{ look: { ...DEFAULT_RULES.look, strength: ['back', 'back'] } }, /names a rule twice/],
    [{ zones: [{ key: 'a', label: 'a', from: 1, to: 50 }] }, /49 yards do not, the first is 51/],
    [{ zones: [...DEFAULT_RULES.zones, { key: 'z', label: 'z', from: 3, to: 3 }] }, /yard 3 does not/],
    [{ buckets: { ...DEFAULT_RULES.buckets, thirdMedium: 8 } }, /medium must begin below long/],
    [{ success: { name: 'x', percent: [0, 50, 100] } }, /success, percent, 0/],
  ])('%j is refused with its remedy', (change, remedy) => {
    const read = readRules({ ...DEFAULT_RULES, ...change });
    expect(read.ok ? '' : read.remedy).toMatch(remedy);
  });
});
