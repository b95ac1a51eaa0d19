/** The week's script: shares, order, looks, limits; each beside a plain count. */
import { describe, expect, it } from 'vitest';
import { DEFAULT_BOOK } from '../book/default-book';
import { DEMO_SEED, NEXT_OPPONENT, simulateSeason } from '../../demo/league';
import { COLLEGE } from '../field';
import { buildColumns, countGame, DEFAULT_RULES } from '../read';
import { seats } from './seats';
import { uniform } from '../stats/uniform';
import {
  buildScript,
  countReps,
  daysBefore,
  practiceCautions,
  USUAL_PRACTICE,
  type PeriodKind,
  type PracticeSettings,
  type Repped,
} from './practice';
import { scriptPages } from './practice-print';
import { clockOf, countdown } from './practice-words';
import { jobsOf, newJobShare } from './new-jobs';
import { callsToRep, playsToRep } from './repped';
import { NO_NOTES, numberSheet } from './sheet';
import { SECTIONS } from './sections';
import { practiceSchema } from './schema';
import { aPlay } from './plays.fixture';

const item = (number: number, weight: number, more: Partial<Repped> = {}): Repped => ({
  id: `c${number}`,
  play: `p${number}`,
  number,
  title: `call ${number}`,
  say: '',
  kinds: ['all', 'run'],
  section: null,
  weight,
  looks: [],
  logged: 0,
  newJobs: 0,
  ...more,
});
const one = (
  minutes: number,
  kind: PeriodKind = 'all',
  more: Partial<PracticeSettings> = {},
): PracticeSettings => ({
  ...USUAL_PRACTICE,
  days: [{ before: 2, start: '15:30', periods: [{ name: 'Team', minutes, kind, contact: 'none' }] }],
  ...more,
});
const counted = (items: readonly Repped[], settings: PracticeSettings) => {
  const out = new Map(items.map((i) => [i.id, 0]));
  for (const day of buildScript(items, settings))
    for (const p of day.periods) for (const rep of p.reps) out.set(rep.item.id, out.get(rep.item.id)! + 1);
  return [...out.values()];
};

describe('repetitions', () => {
  it('follow use times importance by largest remainder, one each at least', () => {
    expect(counted([item(1, 6), item(2, 3), item(3, 1), item(4, 0)], one(20))).toEqual([11, 6, 2, 1]);
    expect(seats([6, 3, 1, 0], 20, 1)).toEqual([11, 6, 2, 1]);
  });
  it('a section that matters three times as much gets three times the repetitions, its expected use alike', () => {
    const of = (key: string) => ({ section: { key, label: key } });
    const items = [item(1, 2, of('third-long')), item(2, 2, of('first')), item(3, 2, of('first'))];
    expect(counted(items, one(15))).toEqual([5, 5, 5]);
    expect(counted(items, one(15, 'all', { importance: { 'third-long': 3 } }))).toEqual([9, 3, 3]);
    expect(counted(items, one(15, 'all', { importance: { first: 0.5 } }))).toEqual([7, 4, 4]);
  });
  it('go to the weightiest where there are fewer than calls', () => {
    expect(counted([item(1, 1), item(2, 5), item(3, 3)], one(2))).toEqual([0, 1, 1]);
  });
  it('a later period makes up for what an earlier one had no room for', () => {
    const items = [item(1, 5), item(2, 5, { kinds: ['all', 'pass'] })];
    const two = one(10);
    const settings = {
      ...two,
      days: [
        { ...two.days[0]!, before: 3, periods: [{ ...two.days[0]!.periods[0]!, kind: 'run' as const }] },
        two.days[0]!,
      ],
    };
    expect(counted(items, settings)).toEqual([10, 10]);
  });
  it('a drill has none, a period without its kind has none, and nothing divides by nobody', () => {
    expect(counted([item(1, 1)], one(20, 'drill'))).toEqual([0]);
    expect(counted([item(1, 1)], one(20, 'third'))).toEqual([0]);
    expect(buildScript([], one(20))[0]!.periods[0]!.reps).toEqual([]);
    expect(counted([item(1, 0), item(2, 0)], one(8))).toEqual([4, 4]);
  });
  it('never twice in a row while others come as often; numbered through the day', () => {
    const [day] = buildScript([item(1, 4), item(2, 4), item(3, 4)], one(18));
    const reps = day!.periods[0]!.reps;
    expect(reps.map((r) => r.number)).toEqual(Array.from({ length: 18 }, (_, i) => i + 1));
    reps.slice(1).forEach((rep, i) => expect(rep.item.id).not.toBe(reps[i]!.item.id));
  });
  it('over random weeks: every period is full, nobody is left out while another has two more than his share', () => {
    const random = uniform(3);
    for (let i = 0; i < 300; i++) {
      const items = Array.from({ length: 1 + Math.floor(random() * 30) }, (_, k) =>
        item(k + 1, Math.floor(random() * 9)),
      );
      const minutes = 1 + Math.floor(random() * 60);
      const counts = counted(items, one(minutes));
      expect(counts.reduce((a, b) => a + b, 0)).toBe(minutes);
      if (minutes >= items.length) expect(Math.min(...counts)).toBeGreaterThanOrEqual(1);
      else expect(Math.max(...counts)).toBe(1);
    }
  });
});

it('looks come in the proportions they show, in a situation, not in each call', () => {
  const looks = [
    { label: 'over quarters', k: 30 },
    { label: 'under cover 3', k: 15 },
    { label: 'bear cover 1', k: 5 },
  ];
  const items = [item(1, 1, { looks }), item(2, 1, { looks }), item(3, 1, { looks })];
  const said = buildScript(items, one(20))[0]!.periods[0]!.reps.map((r) => r.look);
  expect(looks.map((l) => said.filter((s) => s === l.label).length)).toEqual([12, 6, 2]);
});

describe('callable', () => {
  const reps = (newJobs: number | null, logged: number, minutes: number) =>
    countReps(
      [item(1, 1, { newJobs, logged })],
      buildScript([item(1, 1, { newJobs, logged })], one(minutes)),
      USUAL_PRACTICE,
    )[0]!;
  it('counts a play by whichever of its calls it is repeated', () => {
    const items = [item(1, 3, { play: 'power' }), item(2, 1), item(9, 3, { play: 'power' })];
    const [other, power] = countReps(items, buildScript(items, one(14)), USUAL_PRACTICE);
    expect([other!.scripted, power!.scripted, power!.numbers, power!.weight]).toEqual([2, 12, [1, 9], 6]);
    expect([other!.callable, power!.callable]).toEqual([false, true]);
  });
  it('is eight repetitions and new jobs for less than a fifth (handbook of the staff’s work, section 2.34)', () => {
    expect(reps(0, 0, 8).callable).toBe(true);
    expect(reps(0, 0, 7).callable).toBe(false);
    expect(reps(0, 3, 5).callable).toBe(true);
    expect(reps(0.2, 0, 8).callable).toBe(false);
    expect(reps(0.19, 0, 8).callable).toBe(true);
    expect(reps(null, 0, 8).callable).toBe(true);
  });
});

describe('cautions', () => {
  const week = (full: number, days: number): PracticeSettings => ({
    ...USUAL_PRACTICE,
    days: Array.from({ length: days }, (_, i) => ({
      before: i + 1,
      start: '16:00',
      periods: [{ name: 'Team', minutes: full, kind: 'all' as const, contact: 'full' as const }],
    })),
  });
  const said = (settings: PracticeSettings, items: readonly Repped[] = []) => {
    const script = buildScript(items, settings);
    return practiceCautions(script, countReps(items, script, settings), settings);
  };
  it('the usual week is within the published limits: 30 minutes a day, 90 a week, three days (NFHS 2014, from memory)', () => {
    expect(said(USUAL_PRACTICE)).toEqual([]);
    expect(said(week(30, 3))).toEqual([]);
  });
  it('each limit by itself', () => {
    expect(said(week(31, 1))).toEqual(['31 minutes of full contact 1 day before: your limit is 30 a day.']);
    expect(said(week(30, 4))).toEqual([
      '120 minutes of full contact in the week: your limit is 90.',
      'Full contact on 4 days: your limit is 3 a week.',
    ]);
  });
  it('nothing that is new to many begins inside three days', () => {
    const fresh = item(7, 1, { newJobs: 0.45 });
    expect(said(one(5), [fresh])).toEqual([
      'Call 7, call 7, is new to 45 % of the men and first repeated 2 days before the game.',
    ]);
    const early = one(5);
    expect(said({ ...early, days: [{ ...early.days[0]!, before: 4 }] }, [fresh])).toEqual([]);
  });
});

describe('the demo', () => {
  const snaps = simulateSeason(DEMO_SEED, { tells: true, weeks: 6 }).flatMap((g) =>
    countGame(g.snaps, COLLEGE, DEFAULT_BOOK),
  );
  const source = {
    book: DEFAULT_BOOK,
    profile: COLLEGE,
    settings: DEFAULT_RULES.look,
    snaps,
    columns: buildColumns(snaps),
    team: 'HER',
    opponent: NEXT_OPPONENT,
    practiced: [snaps.find((s) => s.snap.offense === 'HER' && s.snap.concept === 'power')!.snap],
  };
  const known = snaps.find((s) => s.snap.offense === 'HER' && jobsOf(DEFAULT_BOOK, COLLEGE, s.snap))!.snap;
  it('has calls weighed by their section, shared among its calls, with what their defense shows there', () => {
    const play = aPlay('a', 'power', { formation: 'trips', formationSide: 'R', direction: 'R' });
    const call = (id: string, section: string) => ({ id, section, order: 0, play, ...NO_NOTES });
    const items = callsToRep(
      source,
      numberSheet([call('1', 'first'), call('2', 'first'), call('3', 'third-long')], SECTIONS),
    );
    expect(items[0]!.weight).toBeCloseTo(items[1]!.weight, 12);
    expect(items[0]!.kinds).toEqual(['all', 'run']);
    expect(items[2]!.kinds).toEqual(['all', 'run', 'third']);
    expect(items[2]!.looks.reduce((sum, l) => sum + l.k, 0)).toBeGreaterThan(5);
    expect(items[0]!.logged).toBe(source.practiced[0]!.formation === 'trips' ? 1 : 0);
  });
  it('a play on film has no new job; one nobody ran has', () => {
    const seen = new Set(jobsOf(DEFAULT_BOOK, COLLEGE, known));
    expect(newJobShare(DEFAULT_BOOK, COLLEGE, known, seen)).toBe(0);
    expect(newJobShare(DEFAULT_BOOK, COLLEGE, known, new Set())).toBe(1);
    expect(newJobShare(DEFAULT_BOOK, COLLEGE, { ...known, concept: 'nothing known' }, seen)).toBeNull();
  });
  it('for a defense: their plays as on the cards, with the check that answers', () => {
    const checks = [
      {
        id: 'x',
        order: 0,
        picture: '2x2',
        personnel: null,
        situation: null,
        front: '4-2 over',
        coverage: 'cover 3',
        pressure: null,
        note: null,
      },
    ];
    const items = playsToRep(source, checks);
    expect(items).toHaveLength(24);
    expect(new Set(items.map((i) => i.say))).toEqual(new Set(['4-2 over · cover 3', 'no check']));
    expect(items.filter((i) => i.kinds.includes('third')).length).toBeGreaterThan(2);
  });
  it('prints every repetition on every day, eight points at least', () => {
    const items = playsToRep(source, []);
    const script = buildScript(items, { ...USUAL_PRACTICE, game: '2026-11-06' });
    const { pages, height } = scriptPages(
      { name: 'n', title: 't', against: 'a', stamp: 's' },
      script,
      'letter',
      (w, s) => w.length * s * 0.5,
    );
    const words = pages.flat().flatMap((m) => (m.mark === 'text' ? [m] : []));
    const reps = script.flatMap((d) => d.periods.flatMap((p) => p.reps));
    for (const { item: repped } of reps)
      expect(words.filter((w) => w.text === repped.title).length).toBeGreaterThan(0);
    expect(words.filter((w) => w.text === 'no check')).toHaveLength(reps.length);
    for (const w of words) {
      expect(w.size).toBeGreaterThanOrEqual(8);
      expect(w.y).toBeLessThan(height);
    }
    expect(words.some((w) => w.text.includes('practice 3 days before, 2026-11-03, 15:30 to 16:55'))).toBe(
      true,
    );
  });
});

it('days count back over the ends of months and years', () => {
  expect(daysBefore('2026-03-01', 1)).toBe('2026-02-28');
  expect(daysBefore('2028-03-01', 1)).toBe('2028-02-29');
  expect(daysBefore('2027-01-01', 3)).toBe('2026-12-29');
  expect(countdown('2026-11-06', new Date('2026-11-03T23:59:00Z'))).toBe('3 days to the game on 2026-11-06');
  expect(countdown('2026-11-06', new Date('2026-11-06T01:00:00Z'))).toBe('the game is today');
  expect(countdown('2026-11-06', new Date('2026-11-07T01:00:00Z'))).toBe('the game was on 2026-11-06');
  expect([clockOf(930), clockOf(1445)]).toEqual(['15:30', '0:05']);
});

it('a week is refused by name where it cannot be', () => {
  expect(practiceSchema.safeParse(USUAL_PRACTICE).success).toBe(true);
  const said = (change: object) =>
    practiceSchema.safeParse({ ...USUAL_PRACTICE, ...change }).error?.issues[0]?.message;
  const [day] = USUAL_PRACTICE.days;
  expect(said({ game: '2026-02-30' })).toBe('Write the day of the game as 2026-11-06.');
  expect(said({ days: [day, day] })).toBe('Two days stand on one date.');
  expect(said({ days: [{ ...day, start: '25:00' }] })).toBe('Write the start as 15:30.');
  expect(
    said({ days: [{ ...day, periods: [{ name: '', minutes: 5, kind: 'all', contact: 'none' }] }] }),
  ).toBe('The name of a period is empty.');
  expect(said({ pace: Number.NaN })).toBeDefined();
  expect(said({ importance: { first: 7 } })).toBe('A section counts half, once, twice or three times.');
  // A week that was saved before sections had a weight.
  const { importance: _, ...before } = USUAL_PRACTICE;
  expect(practiceSchema.parse(before).importance).toEqual({});
});
