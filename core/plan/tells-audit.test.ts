import { describe, expect, it } from 'vitest';
import { DEMO_SEED, PROGRAM, simulateSeason } from '../../demo/league';
import { COLLEGE } from '../field';
import { buildColumns, countGame } from '../read';
import { auditKey, FILM_AUDITS, settleAudits } from './audits';
import { dilution } from './dilution';
import { aPlay } from './plays.fixture';
import type { Remark } from './rows';
import { NO_NOTES, type PlayCard, type SheetCall } from './sheet';
import { ifThenAudits, setupAudits, tellAudits } from './tells-audit';

const seen = new Set<string>();
const counted = simulateSeason(DEMO_SEED, { tells: true, weeks: 6 }).flatMap((g) =>
  countGame(g.snaps, COLLEGE),
);
const columns = buildColumns(counted);
let id = 0;
const call = (play: PlayCard, more: Partial<SheetCall> = {}): SheetCall => ({
  id: `c${++id}`,
  section: 'first',
  order: id,
  play,
  ...NO_NOTES,
  ...more,
});

it('dilutes in integers: handbook 9, nine runs in ten at 70 need 3, 21 of 30 need none', () => {
  expect([dilution(9, 10, 70), dilution(21, 30, 70), dilution(22, 30, 70), dilution(0, 10, 70)]).toEqual([
    3, 0, 2, 0,
  ]);
  for (let n = 1; n <= 60; n++)
    for (let x = 0; x <= n; x++) {
      let k = 0;
      while (100 * x > 70 * (n + k)) k++;
      expect(dilution(x, n, 70)).toBe(k);
    }
});

describe('a picture that says what comes', () => {
  // The picture of ours that was a run most often, and one that was not.
  const shares = new Map<string, { run: number; n: number }>();
  for (const { snap } of counted) {
    if (snap.offense !== PROGRAM || !['run', 'pass', 'rpo'].includes(snap.play!) || snap.result === 'no_play')
      continue;
    const key = JSON.stringify([snap.personnel, snap.formation, snap.formationSide]);
    const of = shares.get(key) ?? { run: 0, n: 0 };
    shares.set(key, { run: of.run + Number(snap.play === 'run'), n: of.n + 1 });
  }
  const often = [...shares].filter(([, s]) => s.n >= 8);
  const leading = often.sort((a, b) => b[1].run / b[1].n - a[1].run / a[1].n)[0]!;
  const balanced = often.find(([, s]) => s.run / s.n > 0.3 && s.run / s.n < 0.6)!;
  const from = ([key]: typeof leading, more: Partial<PlayCard> = {}): PlayCard => {
    const [personnel, formation, formationSide] = JSON.parse(key) as [string, string, 'L' | 'R'];
    return aPlay(`p${++id}`, 'power', { personnel, formation, formationSide, ...more });
  };
  const codes = (calls: SheetCall[]) => {
    const found = tellAudits(calls, columns, PROGRAM);
    for (const f of found) seen.add(f.code);
    return found;
  };
  it('is named with its counts and what would hide it', () => {
    const { run, n } = leading[1];
    expect(run / n).toBeGreaterThan(0.75);
    expect(codes([call(from(leading))])).toMatchObject([
      { code: 'tell', facts: { k: run, of: n, more: dilution(run, n, 70) } },
    ]);
  });
  it('is not named where the sheet has something else from it, where it is balanced, or was hardly shown', () => {
    expect(codes([call(from(leading)), call(from(leading, { kind: 'pass' }))])).toEqual([]);
    expect(codes([call(from(balanced))])).toEqual([]);
    expect(codes([call(aPlay('q', 'power', { formation: 'never shown' }))])).toEqual([]);
  });
});

describe('set-ups and what calls lead to', () => {
  const flat = aPlay('flat', 'a flat never run', { kind: 'pass' });
  const angle = aPlay('angle', 'angle', {
    kind: 'pass',
    links: [{ kind: 'set-up', play: 'flat', least: 2, trigger: null }],
  });
  const audit = (calls: SheetCall[]) => {
    const numbers = new Map(calls.map((c, i) => [c.id, i + 1]));
    const found = setupAudits(calls, numbers, [flat, angle], columns, PROGRAM);
    for (const f of found) seen.add(f.code);
    return found.map((f) => f.facts);
  };
  it('a set-up that stands neither on film nor before its play', () => {
    expect(audit([call(angle), call(flat)])).toEqual([{ shown: 0, least: 2 }]);
    expect(audit([call(flat), call(angle)])).toEqual([]);
  });
  it('an if that leads to a call that is gone', () => {
    const to = call(flat);
    const lost = call(angle, { ifThen: [{ when: 'corner sits', call: 'gone', words: null }] });
    const kept = call(angle, { ifThen: [{ when: 'corner sits', call: to.id, words: null }] });
    const found = ifThenAudits([to, lost, kept]);
    for (const f of found) seen.add(f.code);
    expect(found.map((f) => f.calls)).toEqual([[lost.id]]);
  });
});

it('is waved through with a reason until it is about other calls', () => {
  const audit = { code: 'tell', section: null, calls: ['b', 'a'] };
  const remark: Remark = {
    id: 'r',
    order: 1,
    kind: 'waved',
    about: auditKey({ ...audit, calls: ['a', 'b'] }),
    text: 'our best picture',
    by: 'D',
    at: '',
  };
  expect(settleAudits([audit], [remark])).toEqual({ open: [], waved: [{ audit, remark }] });
  expect(settleAudits([{ ...audit, calls: ['a', 'b', 'c'] }], [remark]).open).toHaveLength(1);
  expect(settleAudits([audit], [{ ...remark, kind: 'comment' }]).open).toEqual([audit]);
});

describe('a tempo that says what comes', () => {
  // Eight of nine snaps at the fast tempo are runs; without a huddle half are.
  const snap = counted.find(
    ({ snap: s }) => s.offense === PROGRAM && s.play === 'run' && s.result === 'gain',
  )!;
  const at = (tempo: string, play: 'run' | 'pass', i: number) => ({
    ...snap,
    snap: { ...snap.snap, snapId: `${tempo}-${i}`, tempo, play },
  });
  const film = buildColumns([
    ...Array.from({ length: 9 }, (_, i) => at('fast', i === 0 ? 'pass' : 'run', i)),
    ...Array.from({ length: 10 }, (_, i) => at('no huddle', i % 2 ? 'pass' : 'run', i)),
  ]);
  const tempos = (calls: readonly SheetCall[]) =>
    tellAudits(calls, film, PROGRAM).filter((a) => a.code === 'tempo');
  const run = (tag: string) => call(aPlay('r', 'power', { formation: null }), { tags: [tag] });
  const pass = (tag: string) => call(aPlay('p', 'stick', { formation: null, kind: 'pass' }), { tags: [tag] });
  it('is named with its snaps where the sheet has nothing else at it', () => {
    const calls = [run('Fast'), run('fast')];
    const [found] = tempos(calls);
    seen.add(found!.code);
    expect(found).toMatchObject({
      calls: calls.map((c) => c.id),
      facts: { k: 8, of: 9, more: dilution(8, 9, 70) },
    });
    expect(found!.sentence).toBe(
      '“fast” says run: 8 of 9 on our film were runs, and the sheet has nothing else at that tempo. 3 calls of another kind would bring it to 70 %.',
    );
  });
  it('not where another kind stands at it, where film is mixed, or where the word is no tempo', () => {
    expect(tempos([run('fast'), pass('fast')])).toEqual([]);
    expect(tempos([run('no huddle')])).toEqual([]);
    expect(tempos([run('max'), run('tempo')])).toEqual([]);
    expect(tempos([pass('fast')])).toEqual([]);
  });
});

it('none is without an example here', () => {
  expect([...seen].sort()).toEqual([...FILM_AUDITS].sort());
});
