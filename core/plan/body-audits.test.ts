/** Whom a sheet needs: every finding beside its counterexample. */
import { describe, expect, it } from 'vitest';
import type { Availability } from '../roster';
import { auditKey, BODY_AUDITS } from './audits';
import { bodyAudits, type Bodies } from './body-audits';
import { aPlay } from './plays.fixture';
import { NO_NOTES, type SheetCall } from './sheet';

const man = (player: string, number: string, letters: string, depth: number | null = null) => ({
  player,
  number,
  letters,
  name: player,
  depth,
});
const ROSTER: Bodies['roster'] = [
  man('Orrin', '22', 'RB', 1),
  man('Lisk', '28', 'RB', 2),
  man('Tarn', '88', 'TE'),
  man('Dahl', '86', 'TE'),
  man('Bo', '11', 'X'),
];
const call = (id: string, needs: readonly string[], personnel: string | null = '11'): SheetCall => ({
  id,
  section: 'first',
  order: 0,
  play: aPlay(`p ${id}`, 'power', { personnel }),
  ...NO_NOTES,
  needs,
});
const audits = (calls: readonly SheetCall[], said: Readonly<Record<string, Availability>>, roster = ROSTER) =>
  bodyAudits(calls, {
    roster,
    said: Object.entries(said).map(([player, state]) => ({ player, state, source: 'coach' as const })),
  });

describe('who must be there for a call', () => {
  it('is said when he is out or limited, with the calls that need him; available, or nothing said, is no finding', () => {
    const calls = [call('a', ['22']), call('b', ['#22', 'X']), call('c', ['22', 'RB'])];
    const found = audits(calls, { Orrin: 'out' });
    expect(found.map((f) => [f.code, f.calls, f.sentence])).toEqual([
      [BODY_AUDITS[0], ['a', 'c'], '2 calls must have 22: #22 Orrin is out.'],
      [BODY_AUDITS[0], ['b'], '1 call must have #22: #22 Orrin is out.'],
      [BODY_AUDITS[0], ['c'], '1 call must have RB: #22 Orrin is out; #28 Lisk is left.'],
    ]);
    expect(audits(calls, { Orrin: 'limited' })[0]!.sentence).toBe(
      '2 calls must have 22: #22 Orrin is limited.',
    );
    expect(audits(calls, { Orrin: 'available' })).toEqual([]);
    expect(audits(calls, {})).toEqual([]);
  });
  it('letters: who is left, or that nobody is', () => {
    const calls = [call('a', ['RB'])];
    expect(audits(calls, { Lisk: 'out' })[0]!.sentence).toBe(
      '1 call must have RB: #28 Lisk is out; #22 Orrin is left.',
    );
    expect(audits(calls, { Lisk: 'out', Orrin: 'limited' })[0]).toMatchObject({
      facts: { out: 1, of: 2 },
      sentence: '1 call must have RB: #22 Orrin is limited, #28 Lisk is out; nobody else is left.',
    });
  });
  it('a word that is nobody’s is said; without a roster nothing is', () => {
    const found = audits([call('a', ['Zeb']), call('b', ['zeb'])], {});
    expect(found).toMatchObject([{ code: BODY_AUDITS[1], calls: ['a', 'b'] }]);
    expect(found[0]!.sentence).toContain('“Zeb” must be available and is nobody’s number');
    expect(audits([call('a', ['Zeb'])], {}, [])).toEqual([]);
  });
  it('waved through it comes back when another man is out', () => {
    const calls = [call('a', ['RB'])];
    const [one] = audits(calls, { Lisk: 'out' });
    const [other] = audits(calls, { Orrin: 'out' });
    expect(auditKey(one!)).not.toBe(auditKey(other!));
    // What all members' browsers hold does not tell that somebody is out.
    expect(auditKey(one!)).toMatch(/^bodies:/);
    expect(auditKey(one!)).toBe(auditKey(audits(calls, { Lisk: 'out' })[0]!));
  });
});

describe('personnel', () => {
  it('that asks for more than can play is said, once for all its calls; enough, or a roster without such letters, is none', () => {
    const calls = [call('a', [], '12'), call('b', [], '12'), call('c', [], '11'), call('d', [], null)];
    expect(audits(calls, { Dahl: 'out' })).toMatchObject([
      {
        code: BODY_AUDITS[0],
        calls: ['a', 'b'],
        facts: { out: 1, of: 2, want: 2 },
        sentence: 'Personnel 12 has 2 tight ends: of 2 on our roster 1 can play (#86 Dahl is out).',
      },
    ]);
    expect(audits(calls, { Dahl: 'limited' })).toEqual([]);
    expect(audits([call('a', [], '11')], { Dahl: 'out' })).toEqual([]);
    expect(audits([call('a', [], '21')], { Orrin: 'out' })[0]!.sentence).toContain(
      '2 backs: of 2 on our roster 1',
    );
    const other = ROSTER.map((m) => ({ ...m, letters: m.letters === 'TE' ? 'Y' : m.letters }));
    expect(audits(calls, { Dahl: 'out' }, other)).toEqual([]);
  });
  it('a roster that never had so many says nothing new', () =>
    expect(audits([call('a', [], '13')], { Bo: 'out' })).toEqual([]));
});
