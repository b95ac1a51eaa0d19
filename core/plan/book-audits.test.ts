import { describe, expect, it } from 'vitest';
import { DEMO_PLAYS } from '../../demo/plays';
import { DEFAULT_BOOK } from '../book/default-book';
import { COLLEGE, HIGH_SCHOOL, LEVEL_PROFILES, PROFESSIONAL } from '../field/profile';
import { auditKey, BOOK_AUDITS } from './audits';
import { bookAudits, playDrawer, sameSteps } from './book-audits';
import { aPlay } from './plays.fixture';
import { NO_NOTES, type PlayCard, type SheetCall } from './sheet';

const met = new Set<string>();
let id = 0;
const call = (play: PlayCard, tags: readonly string[] = []): SheetCall => ({
  id: `c${++id}`,
  section: 'first',
  order: id,
  play,
  ...NO_NOTES,
  tags,
});
const auditsOf = (plays: readonly PlayCard[], level = COLLEGE, tags: readonly string[] = []) => {
  const calls = plays.map((play) => call(play, tags));
  const found = bookAudits(calls, playDrawer(DEFAULT_BOOK, level), level, DEFAULT_BOOK);
  for (const { code } of found) met.add(code);
  return found;
};
const codes = (plays: readonly PlayCard[], level = COLLEGE): string[] =>
  auditsOf(plays, level).map((a) => a.code);
const run = (concept: string, more: Partial<PlayCard> = {}) =>
  aPlay(`${concept} ${more.formation}`, concept, { direction: 'R', ...more });
const pass = (concept: string, more: Partial<PlayCard> = {}) => run(concept, { kind: 'pass', ...more });

describe('what the book’s drawings say', () => {
  it('a man who cracks back is named, with the level whose rule to look up', () => {
    const [found] = auditsOf([run('crack toss'), run('power')], HIGH_SCHOOL);
    expect(found).toMatchObject({ code: 'block_rule', facts: { calls: 1 } });
    expect(found!.sentence).toMatch(/^crack toss: \w+ cracks back .* \(high school\)\.$/);
    expect(codes([run('toss')])).toEqual([]);
  });

  // Two yards, three, one: handbook of football, section 8, from memory; the association's rulebook governs.
  it.each([
    [HIGH_SCHOOL, '2 yards'],
    [COLLEGE, '3 yards'],
    [PROFESSIONAL, '1 yard'],
  ] as const)('linemen of a run-pass option: the yards of the level', (level, yards) => {
    const option = run('inside zone', { kind: 'rpo', conceptWeak: 'bubble' });
    const [found] = auditsOf([option, run('power')], level);
    expect(found).toMatchObject({ code: 'downfield_rule' });
    expect(found!.sentence).toContain(`a lineman may be ${yards} downfield (from memory)`);
    expect(codes([run('inside zone')], level)).toEqual([]);
    expect(codes([option], LEVEL_PROFILES.seven_on_seven)).not.toContain('downfield_rule');
  });

  it('a line-up the rules would not allow, and a covered man who goes out; not when he blocks', () => {
    const covered = DEFAULT_BOOK.terms
      .filter((t) => t.kind === 'formation')
      .flatMap((t) => {
        const play = pass('four verticals', { formation: t.word });
        const of = auditsOf([play]).filter((a) => a.code === 'line_up' && a.sentence.includes('is covered'));
        return of.map(() => t.word);
      });
    expect(covered.length).toBeGreaterThan(0);
    for (const formation of covered)
      expect(
        auditsOf([run('power', { formation })]).filter((a) => a.sentence.includes('is covered')),
      ).toEqual([]);
    expect(codes([pass('four verticals')])).toEqual([]);
  });

  it('who peels back behind a slow screen, or is called to, is a rule to look up; a throw to the edge at once is none', () => {
    const [found] = auditsOf([pass('slip screen')], HIGH_SCHOOL);
    expect(found).toMatchObject({ code: 'block_rule', facts: { calls: 1 } });
    expect(found!.sentence).toMatch(
      /^slip screen: who releases last, or is called to, peels back .* \(high school\)\.$/,
    );
    expect(codes([pass('bubble')])).toEqual([]);
    expect(auditsOf([run('power')], COLLEGE, ['Peel']).map((a) => a.code)).toEqual(['block_rule']);
    expect(auditsOf([run('power')], COLLEGE, ['tempo'])).toEqual([]);
  });

  it('run and pass of one picture that nobody mistakes; a draw begins like a pass, a boot like its run', () => {
    const apart = auditsOf([run('power'), pass('flood')]);
    expect(apart).toMatchObject([{ code: 'apart', facts: { of: 11 } }]);
    expect(apart[0]!.facts.k).toBeLessThan(6);
    expect(codes([run('power'), pass('flood'), run('draw')])).toEqual([]);
    expect(codes([run('wide zone'), pass('boot', { direction: 'L' })])).toEqual([]);
    // Of two pictures each is seen alone; a picture of one kind has nothing to hide.
    expect(codes([run('power'), pass('flood', { formation: 'doubles' })])).toEqual([]);
    expect(codes([run('power'), run('counter')])).toEqual([]);
  });

  it('no two are known by one key: each is waved through alone', () => {
    for (const term of DEFAULT_BOOK.terms.filter((t) => t.kind === 'formation')) {
      const at = { formation: term.word };
      const keys = auditsOf([run('crack toss', at), run('power', at), pass('four verticals', at)]).map(
        auditKey,
      );
      expect(new Set(keys).size, term.word).toBe(keys.length);
    }
  });

  it('a protection that keeps in who has a route, and two of them in one call', () => {
    // Four verticals sends out all but the back: seven cannot stay, six can (common practice).
    const verticals = pass('four verticals', { formation: 'spread', personnel: '10' });
    const [found] = auditsOf([verticals], COLLEGE, ['max', 'tempo']);
    expect(found).toMatchObject({ code: 'kept_in', facts: { kept: 2, out: 4, of: 5 } });
    expect(found!.sentence).toBe('four verticals sends out 4 of 5 (X, H, Y, Z), and max keeps 2 in.');
    for (const tags of [['six-man'], ['5 man'], ['tempo'], []])
      expect(auditsOf([verticals], COLLEGE, tags).map((a) => a.code)).toEqual([]);
    expect(
      auditsOf([pass('four verticals', { formation: 'empty' })], COLLEGE, ['half']).map((a) => a.code),
    ).toContain('kept_in');
    // Of a run nobody goes out.
    expect(auditsOf([run('power')], COLLEGE, ['max']).map((a) => a.code)).not.toContain('kept_in');
    expect(auditsOf([verticals], COLLEGE, ['7 man', 'half']).map((a) => [a.code, a.sentence])).toEqual([
      ['two_protections', 'four verticals is called with max and half slide: one of them holds.'],
    ]);
    // Two words of one protection are one.
    expect(auditsOf([verticals], COLLEGE, ['scat', '5 man'])).toEqual([]);
  });
  it('a name that says another side or another concept than is drawn', () => {
    const named = (name: string, play: PlayCard): string[] =>
      auditsOf([{ ...play, name }])
        .filter((a) => a.code === 'name')
        .map((a) => a.sentence);
    const right = run('power', { formation: 'trips', formationSide: 'R' });
    expect(named('Power left', right)).toEqual(['The name “Power left” says left, and the ball goes right.']);
    expect(named('Counter right', right)).toEqual([
      'The name “Counter right” says counter, and power is drawn.',
    ]);
    // The side of the formation, no side, both sides, words of the staff's own, a name that says its own concept too.
    for (const name of ['Power right', 'Trips left power', 'Power', 'Left-right', 'Thunder', 'Counter power'])
      expect(named(name, right), name).toEqual([]);
    expect(named('Trips right power left', right)).toHaveLength(1);
    expect(named('Power left', { ...right, direction: null })).toEqual([]);
    expect(named('Our power', { ...right, concept: 'a word of ours' })).toEqual([]);
    // Of the demo's own list none.
    for (const play of DEMO_PLAYS) expect(named(play.name, play), play.name).toEqual([]);
  });
  it('none is without an example here', () => {
    expect([...met].sort()).toEqual([...BOOK_AUDITS].sort());
  });
});

it('two plays share as many first steps one way round as the other, all with themselves, and the same mirrored', () => {
  const drawn = playDrawer(DEFAULT_BOOK, COLLEGE);
  const words = (kind: string): string[] =>
    DEFAULT_BOOK.terms.filter((t) => t.kind === kind).map((t) => t.word);
  const turned = (play: PlayCard): PlayCard => ({ ...play, direction: 'L', formationSide: 'L' });
  let pairs = 0;
  for (const formation of ['trips', 'wing', 'doubles', 'empty'])
    for (const a of words('run').map((w) => run(w, { formation })))
      for (const b of words('pass')
        .filter((_, i) => i % 3 === 0)
        .map((w) => pass(w, { formation }))) {
        const [x, y, mx, my] = [drawn(a), drawn(b), drawn(turned(a)), drawn(turned(b))];
        if (!x || !y || !mx || !my) continue;
        pairs++;
        const there = sameSteps(x, y);
        expect(sameSteps(y, x)).toEqual(there);
        expect(sameSteps(x, x)).toEqual({ k: 11, of: 11 });
        expect(sameSteps(mx, my), `${formation} ${a.name} ${b.name}`).toEqual(there);
      }
  expect(pairs).toBeGreaterThan(1000);
});
