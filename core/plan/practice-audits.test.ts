import { expect, it } from 'vitest';
import { PRACTICE_AUDITS } from './audits';
import { aPlay } from './plays.fixture';
import { buildScript, USUAL_PRACTICE, type Repped } from './practice';
import { practiceAudits, roomInWeek } from './practice-audits';
import { NO_NOTES, type PlayCard, type SheetCall } from './sheet';

const call = (i: number, play: PlayCard): SheetCall => ({
  id: `c${i}`,
  section: 'first',
  order: i,
  play,
  ...NO_NOTES,
});
const sheet = (n: number): SheetCall[] =>
  Array.from({ length: n }, (_, i) => call(i, aPlay(`p${i}`, `play ${i}`)));
const known = () => 0;

it('the week has room for what the script of it holds', () => {
  const items = sheet(20).map(({ id, play }, number): Repped => ({
    id,
    play: play.id,
    number,
    title: '',
    say: '',
    kinds: ['all', 'run', 'pass', 'third', 'red', 'openers'],
    section: null,
    weight: 1,
    looks: [],
    logged: 0,
    newJobs: null,
  }));
  for (const pace of [0.3, 0.7, 1, 1.4, 2]) {
    const week = { ...USUAL_PRACTICE, pace };
    const scripted = buildScript(items, week).flatMap((d) => d.periods.flatMap((p) => p.reps)).length;
    expect(roomInWeek(week)).toBe(scripted);
  }
});

it('plays that the week has no room for, by the staff’s own number; a play twice on the sheet is one', () => {
  // The usual week: 20 + 20 + 25, 20 + 20 + 30, 30 + 15 minutes with calls, at one a minute 180; by eights 22.
  expect(roomInWeek(USUAL_PRACTICE)).toBe(180);
  const [found] = practiceAudits(sheet(23), USUAL_PRACTICE, known);
  expect(found).toMatchObject({ code: 'reps', facts: { need: 184, room: 180, plays: 23 } });
  expect(found!.sentence).toContain('enough for 22 plays');
  expect(practiceAudits(sheet(22), USUAL_PRACTICE, known)).toEqual([]);
  const twice = [...sheet(22), call(22, sheet(1)[0]!.play)];
  expect(practiceAudits(twice, USUAL_PRACTICE, known)).toEqual([]);
  expect(practiceAudits(sheet(90), { ...USUAL_PRACTICE, days: [] }, known)).toEqual([]);
});

it('jobs on no film: a fifth of the men or more, as the staff says', () => {
  const [a, b] = sheet(2);
  const share = (play: PlayCard): number | null => (play.id === 'p0' ? 3 / 11 : null);
  const found = practiceAudits([a!, b!], USUAL_PRACTICE, share);
  expect(found).toMatchObject([{ code: 'new_jobs', calls: ['c0'], facts: { plays: 1 } }]);
  expect(found[0]!.sentence).toBe(
    'Jobs that are on no film of ours: “play 0” 27 % of the men. The staff calls a play new from 20 % on.',
  );
  expect(practiceAudits([a!], { ...USUAL_PRACTICE, newShare: 0.3 }, share)).toEqual([]);
  expect(practiceAudits([b!], { ...USUAL_PRACTICE, newShare: 0 }, share)).toEqual([]);
  expect([...PRACTICE_AUDITS].sort()).toEqual(['new_jobs', 'reps']);
});
