import { describe, expect, it } from 'vitest';
import { auditSheet, SHEET_AUDITS, givenAway, type AuditCode } from './audits';
import { aPlay } from './plays.fixture';
import { SECTIONS } from './sections';
import { NO_NOTES, type PlayCard, type SheetCall } from './sheet';
import { sizeOf, type Sizing } from './sizing';

let id = 0;
const call = (section: string, play: PlayCard, more: Partial<SheetCall> = {}): SheetCall => ({
  id: `c${++id}`,
  section,
  order: id,
  play,
  ...NO_NOTES,
  ...more,
});
/** So many snaps in each of four games of both films, and as many more or less as `spread`. */
const size = (mean: number, spread = 1): Sizing =>
  sizeOf([mean - spread, mean, mean, mean + spread], [mean - spread, mean, mean, mean + spread])!;
const sizes = (of: Readonly<Record<string, Sizing>>) => new Map(Object.entries(of));
const met = new Set<AuditCode>();
const audited = (calls: readonly SheetCall[], of: ReadonlyMap<string, Sizing>) => {
  const found = auditSheet(calls, of);
  for (const { code } of found) met.add(code);
  return found;
};
const codes = (calls: readonly SheetCall[], of: Readonly<Record<string, Sizing>> = {}): AuditCode[] =>
  audited(calls, sizes(of)).map((a) => a.code);
const many = (n: number, of: (i: number) => SheetCall): SheetCall[] =>
  Array.from({ length: n }, (_, i) => of(i));
const play = (concept: string, more: Partial<PlayCard> = {}) => aPlay(`p-${concept}`, concept, more);

describe('each audit, where it holds and where it does not', () => {
  it('no calls for what comes up', () => {
    expect(audited([], sizes({ goal: size(2) }))).toEqual([
      {
        code: 'no_calls',
        section: 'goal',
        calls: [],
        facts: { expected: 2 },
        sentence: 'no call, and 2.0 snaps a game are expected.',
      },
    ]);
    expect(codes([], { goal: size(0.4, 0.4) })).toEqual([]);
    expect(codes([], {})).toEqual([]);
  });
  it('more calls than come in a game', () => {
    const third = many(14, (i) => call('third-long', play(`play ${i}`, { formation: `set ${i}` })));
    const [found] = audited(third, sizes({ 'third-long': size(6) }));
    expect(found).toMatchObject({ code: 'too_many', section: 'third-long', calls: third.map((c) => c.id) });
    // Variance 2/3: half √(2/3 · (1 + 1/4/2)) · 2.447 = 2.12, so 8.12, nine at most.
    expect(found!.sentence).toBe('14 calls for 6.0 snaps a game; more than 9 come in one game of forty.');
    expect(codes(third.slice(0, 9), { 'third-long': size(6) })).toEqual([]);
  });
  it('calls that would come more than twice', () => {
    const first = many(4, (i) => call('first', play(`play ${i}`, { formation: `set ${i}` })));
    expect(codes(first, { first: size(10) })).toEqual(['too_few']);
    expect(codes(first, { first: size(8) })).toEqual([]);
  });
  it('a play twice in a section, not in two', () => {
    const power = play('power');
    expect(codes([call('red', power), call('red', power)])).toEqual(['twice']);
    expect(codes([call('red', power), call('goal', power)])).toEqual([]);
  });
  it('one picture, one play', () => {
    const wing = (concept: string) => play(concept, { formation: 'wing', personnel: '12' });
    const same = [call('red', wing('power')), call('goal', wing('power')), call('backed', wing('power'))];
    expect(audited(same, new Map())).toMatchObject([
      {
        code: 'one_picture',
        section: null,
        sentence: '12 wing R stands on the sheet 3 times, always with power.',
      },
    ]);
    expect(codes([...same, call('first', wing('boot'))])).toEqual([]);
    expect(codes(same.slice(1))).toEqual([]);
    // Without a formation there is no picture.
    expect(
      codes(many(3, (i) => call(SECTIONS[i]!.key, play('draw', { formation: null, personnel: null })))),
    ).toEqual([]);
  });
  it('runs that go one way, passes aside', () => {
    const runs = (sides: string): SheetCall[] =>
      [...sides].map((to, i) => call(SECTIONS[i]!.key, play(`run ${i}`, { direction: to as 'L' | 'R' })));
    expect(audited(runs('RRRRL'), new Map())).toMatchObject([
      { code: 'one_way', sentence: '4 of 5 runs with a side go right.' },
    ]);
    expect(codes(runs('RRRLL'))).toEqual([]);
    expect(codes(runs('RRRR'))).toEqual([]);
    expect(
      codes(many(6, (i) => call(SECTIONS[i]!.key, play(`pass ${i}`, { kind: 'pass', direction: 'R' })))),
    ).toEqual([]);
  });
  it('hashes on one side', () => {
    const on = (hashes: string): SheetCall[] =>
      [...hashes].map((hash, i) => call(SECTIONS[i]!.key, play(`h ${i}`), { hash: hash as 'L' | 'R' }));
    expect(audited(on('LLLLL'), new Map())).toMatchObject([
      { code: 'one_hash', sentence: '5 of 5 calls with a hash are for the ball left.' },
    ]);
    expect(codes(on('LLLRR'))).toEqual([]);
  });
  it('two plays that read the same where only words are seen, not one play twice', () => {
    const other = { ...play('power'), id: 'another' };
    const same = [call('first', play('power')), call('red', other)];
    expect(audited(same, new Map())).toMatchObject([
      { code: 'same_words', calls: same.map((c) => c.id), facts: { calls: 2 } },
    ]);
    expect(codes([call('first', play('power')), call('red', play('power'))])).toEqual([]);
    expect(codes([call('first', play('power')), call('red', other, { tags: ['alert'] })])).toEqual([]);
  });
  it('words that are two things, or differ by one letter; not short ones, and not what differs more', () => {
    const trip = call('first', play('power', { formation: 'trip' }));
    const trips = call('red', play('stick', { formation: 'trips' }));
    expect(audited([trip, trips], new Map())).toEqual([
      expect.objectContaining({
        code: 'alike_words',
        calls: [trip.id, trips.id],
        sentence:
          '“trip” and “trips” differ by one letter: one call may be heard, or one signal read, as the other.',
      }),
    ]);
    const jet = call('first', play('sweep', { motion: 'jet', motionBy: 'H' }), { tags: ['Jet'] });
    expect(audited([jet], new Map()).map((a) => a.sentence)).toEqual([
      '“jet” is a motion and said with a call on this sheet.',
    ]);
    // Two letters swapped are one slip.
    expect(
      codes([call('first', play('a'), { tags: ['slot'] }), call('first', play('b'), { tags: ['solt'] })]),
    ).toEqual(['alike_words']);
    expect(
      codes([call('first', play('a'), { tags: ['xo'] }), call('first', play('b'), { tags: ['xa'] })]),
    ).toEqual([]);
    expect(
      codes([call('first', play('a'), { tags: ['slot'] }), call('first', play('b'), { tags: ['trey'] })]),
    ).toEqual([]);
  });
  it('personnel or a motion whose calls are one kind, with the calls that would hide it; not a sheet that is one kind', () => {
    const of = (kinds: string, more: Partial<PlayCard>): SheetCall[] =>
      [...kinds].map((k, i) =>
        call(
          SECTIONS[i % SECTIONS.length]!.key,
          play(`${k}${i} ${more.personnel} ${more.motion}`, { kind: k === 'r' ? 'run' : 'pass', ...more }),
        ),
      );
    const eleven = of('pppppp', { personnel: '11' });
    const sheet = [...of('rrrrrrp', { personnel: '12' }), ...eleven];
    // Seven: six runs are 86 %; (600 − 490) / 70 calls more would make it 70.
    expect(audited(sheet, new Map()).map((a) => [a.sentence, a.facts])).toEqual([
      [
        'Personnel 12: 6 of 7 calls are runs. 2 calls of another kind would bring it to 70 %.',
        { k: 6, of: 7, more: 2 },
      ],
      [
        'Personnel 11: 6 of 6 calls are passes. 3 calls of another kind would bring it to 70 %.',
        { k: 6, of: 6, more: 3 },
      ],
    ]);
    expect(codes([...of('rrrrp', { motion: 'jet' }), ...of('ppppr', {})])).toEqual(['one_kind']);
    expect(codes([...of('rrrpp', { motion: 'jet' }), ...of('ppppr', {})])).toEqual([]);
    expect(codes([...of('rrrr', { motion: 'jet' }), ...of('ppppr', {})])).toEqual([]);
    expect(codes(of('rrrrrr', { personnel: '22' }))).toEqual([]);
  });
  it('none is without an example here', () => {
    expect([...met].sort()).toEqual([...SHEET_AUDITS].sort());
  });
});

describe('what a sheet gives away', () => {
  const run = (formation: string) => play(`run ${formation}`, { formation });
  const pass = (formation: string) => play(`pass ${formation}`, { formation, kind: 'pass' });
  const of = (calls: SheetCall[], by: Readonly<Record<string, Sizing>>) => givenAway(calls, sizes(by));
  it('nothing where each picture has both, all where each has one', () => {
    const both = ['a', 'b'].flatMap((f) => [call('first', run(f)), call('first', pass(f))]);
    expect(of(both, { first: size(10) })).toEqual({ seen: 0.5, unseen: 0.5, bits: 0, calls: 4 });
    const apart = [call('first', run('a')), call('first', pass('b'))];
    expect(of(apart, { first: size(10) })).toEqual({ seen: 1, unseen: 0.5, bits: 1, calls: 2 });
  });
  it('weighs a section by what is expected of it', () => {
    // First down, 9 snaps: one picture, half and half. Third, 3 snaps: one bit. So (9·0.5 + 3·1)/12 and 3/12.
    const calls = [
      call('first', run('a')),
      call('first', pass('a')),
      call('third-long', run('a')),
      call('third-long', pass('b')),
    ];
    const given = of(calls, { first: size(9), 'third-long': size(3) })!;
    expect(given.seen).toBeCloseTo(0.625, 9);
    expect(given.unseen).toBeCloseTo(0.5, 9);
    expect(given.bits).toBeCloseTo(0.25, 9);
  });
  it('is mutual information, counted another way: H(kind) + H(cue) − H(both) in a section', () => {
    const calls = [run('a'), run('a'), pass('a'), run('b'), pass('b'), pass('b'), pass('c')].map((p) =>
      call('first', p),
    );
    const entropy = (keys: string[]): number => {
      const n = (key: string): number => keys.filter((k) => k === key).length;
      return [...new Set(keys)].reduce((h, k) => h - (n(k) / keys.length) * Math.log2(n(k) / keys.length), 0);
    };
    const [kinds, cues] = [calls.map((c) => c.play.kind), calls.map((c) => c.play.formation!)];
    const plain = entropy(kinds) + entropy(cues) - entropy(kinds.map((k, i) => `${k} ${cues[i]}`));
    expect(of(calls, { first: size(5) })!.bits).toBeCloseTo(plain, 9);
  });
  it('says nothing of a sheet whose sections never come up', () => {
    expect(of([call('first', run('a'))], {})).toBeNull();
  });
});
