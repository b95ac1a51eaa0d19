import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { aimOf, assignRun, findTerm, lookOf } from '../book';
import { DEFAULT_BOOK } from '../book/default-book';
import { COLLEGE, fieldSides } from '../field';
import type { SnapFields } from '../snap';
import {
  DEFAULT_LOOK_SETTINGS,
  lineUp,
  lookSentences,
  mirrorLineUp,
  mirrorMen,
  optionOpen,
  mustRead,
  readFront,
  perimeterLook,
  placeFront,
  protectionLook,
  runLedger,
  structure,
  type Defender,
  type Ledger,
  type Man,
  type RunAim,
} from './index';

const stand = (word: string, backfield: string) =>
  lineUp(
    findTerm(DEFAULT_BOOK, 'formation', word)!.spots!,
    'R',
    findTerm(DEFAULT_BOOK, 'backfield', backfield)!.spots!,
  );
const AIM: RunAim = {
  blocking: 'zone',
  to: 'R',
  point: 'C',
  read: null,
  option: null,
  kick: null,
  wrap: [],
  carrier: 'T',
};
const duty = (l: Ledger, letter: string) => l.offense.find((e) => e.man.letter === letter)!;
const corner = (x: number): Defender => ({ letter: 'C', x, depth: 7, level: 'corner' });
const safety = (x: number, depth: number): Defender => ({ letter: 'S', x, depth, level: 'safety' });

describe('wide zone, the handbook’s worked checks (common practice)', () => {
  const men = stand('pro', 'under');
  const s = structure(men);
  it('head-up end on Y, 3-technique right, shade and 5-technique left, three backers', () => {
    const defense = [
      ...placeFront(mustRead(readFront('w5 w1 s3 s6 | W-3.5 M0 S4')), 'R'),
      corner(16),
      corner(-16),
      safety(-5, 13),
      safety(7, 6),
    ];
    const l = runLedger(men, defense, s, AIM);
    expect(l.pairs).toEqual([
      ['Y', 'RT'],
      ['RG', 'C'],
    ]);
    expect(duty(l, 'Y')).toMatchObject({ on: { x: 4.8 }, then: { letter: 'S' }, partner: 'RT' });
    expect(duty(l, 'RG')).toMatchObject({ on: { x: 2.1 }, then: { letter: 'M' }, partner: 'C' });
    expect(duty(l, 'LG').on).toMatchObject({ x: -0.5 });
    expect(duty(l, 'LT').on).toMatchObject({ letter: 'W' });
    const unblocked = l.defense.filter((e) => e.by === 'free').map((e) => e.man.x);
    // In the box the 5-technique left; outside it the safety walked in, unless the flanker cracks him.
    expect(unblocked).toEqual([-3.7, 7]);
  });
  it('a keep or boot holds the back-side end', () => {
    const defense = [
      ...placeFront(mustRead(readFront('w5 w1 s3 s6 | W-3.5 M0 S4')), 'R'),
      corner(16),
      corner(-16),
      safety(-5, 13),
      safety(7, 13),
    ];
    const l = runLedger(men, defense, s, { ...AIM, read: 'back-side end' });
    expect(l.defense.find((e) => e.man.x === -3.7)!.by).toBe('read');
    expect(l.free).toEqual([]);
  });
  it('odd front, overhang shaded on Y, 4-technique on RT, nose head-up', () => {
    const defense = [
      ...placeFront(mustRead(readFront('w4 0 s4 s9+ | W-3 M0 S3')), 'R'),
      corner(16),
      corner(-16),
      safety(-6, 13),
      safety(6, 13),
    ];
    const l = runLedger(men, defense, s, AIM);
    expect(duty(l, 'Y')).toMatchObject({ on: { x: 5.3 }, partner: null });
    expect(l.pairs).toEqual([
      ['RT', 'RG'],
      ['C', 'LG'],
    ]);
    expect(duty(l, 'RT')).toMatchObject({ on: { x: 3.2 }, then: { letter: 'S' } });
    expect(duty(l, 'C')).toMatchObject({ on: { x: 0 }, then: { letter: 'M' } });
    expect(duty(l, 'LT').on).toMatchObject({ x: -3.2 });
  });
  it('outside against a 4-3 with a safety rolled down: five for six, every man placed (common practice)', () => {
    const defense = [
      ...placeFront(mustRead(readFront('w5 w1 s3 s6 | W-3.5 M0 S4')), 'R'),
      corner(15),
      corner(-16),
      safety(-2, 13),
      safety(6.8, 6),
    ];
    const four = stand('doubles', 'under');
    const l = runLedger(four, defense, structure(four), { ...AIM, point: 'D', read: 'back-side end' });
    expect([l.hats, l.there, l.margin, l.verdict]).toEqual([5, 6, -1, 'one free']);
    expect(l.free.map((d) => d.letter)).toEqual(['S']);
    expect(l.force?.letter).toBe('S');
    expect(l.offense).toHaveLength(11);
    expect(l.defense).toHaveLength(11);
    // Six at the point, two taken by the back-side guard and tackle, the far end held, two held by the far receivers.
    const by = (k: string) => l.defense.filter((e) => e.by === k && !e.there).length;
    expect([l.there, by('blocked'), by('read'), by('held by a receiver') + by('deep, far')]).toEqual([
      6, 2, 1, 2,
    ]);
  });
});

describe('down schemes: first man inside, kick the end man, wrap to the backer (common practice)', () => {
  const power = findTerm(DEFAULT_BOOK, 'run', 'power')!.definition!;
  it('power from two backs', () => {
    if (power.kind !== 'run') throw new Error('power');
    const p = {
      formation: findTerm(DEFAULT_BOOK, 'formation', 'pro')!.spots!,
      side: 'R' as const,
      backfield: findTerm(DEFAULT_BOOK, 'backfield', 'i')!.spots!,
      motion: null,
      motionBy: null,
      motionSide: null,
    };
    const a = assignRun(power.run, p, 'R', COLLEGE);
    expect(Object.fromEntries(a.jobs)).toMatchObject({
      LG: 'wrap',
      F: 'kick',
      T: 'carry',
      C: 'back',
      RG: 'down',
      RT: 'down',
      Y: 'down',
    });
    const defense = [
      ...placeFront(mustRead(readFront('w5 w1 s3 s6 | W-3.5 M0 S4')), 'R'),
      corner(16),
      corner(-16),
      safety(-6, 13),
      safety(6, 13),
    ];
    const l = runLedger(a.men, defense, a.structure, aimOf(power.run, a, 'R', null));
    expect(duty(l, 'F')).toMatchObject({ duty: 'pulls to kick', on: { x: 4.8 } });
    expect(duty(l, 'LG')).toMatchObject({ duty: 'wraps to', on: { letter: 'S' } });
    expect(duty(l, 'RT').on).toMatchObject({ x: 2.1 });
    expect(duty(l, 'C').on).toMatchObject({ x: -0.5 });
    expect(l.verdict).toBe('sound');
  });
  it('says who could not do his job', () => {
    const l = lookOf(
      DEFAULT_BOOK,
      {
        formation: 'spread',
        formationSide: 'R',
        backfield: 'gun',
        front: '4-2 over',
        coverage: 'cover 3',
        play: 'run',
        concept: 'power',
        direction: 'R',
      },
      COLLEGE,
    )!;
    expect(l.ledger!.missing).toEqual(['kick']);
    expect(
      lookSentences(l, DEFAULT_LOOK_SETTINGS)
        .map((s) => s.text)
        .join(' '),
    ).toContain('Nobody stands where he could kick.');
  });
});

describe('protection', () => {
  const s = structure(stand('trips', 'gun'));
  it('four rush six, but right two for three after a left slide: total safe, side not (common practice)', () => {
    const p = protectionLook({ kept: 1, slide: 'half', scan: false }, 'L', 'L', [-3.7, 0.8, 2.4, 5.6], s);
    expect([p.blockers, p.rushers, p.margin]).toEqual([6, 4, 2]);
    expect(p.right).toEqual({ blockers: 2, rushers: 3, margin: -1 });
    expect(p.short).toBe('R');
  });
  it('a back who scans goes where he is needed', () => {
    expect(
      protectionLook({ kept: 1, slide: 'half', scan: true }, 'L', 'L', [-3.7, 0.8, 2.4, 5.6], s).short,
    ).toBeNull();
  });
  it.each([
    ['half', 0, 5],
    ['full', 1, 6],
    ['man', 1, 6],
    ['half', 2, 6],
  ] as const)(
    '%s slide with %i kept has %i blockers from a spread set with one back',
    (slide, kept, blockers) => {
      const p = protectionLook({ kept, slide, scan: false }, 'L', 'L', [-1, 1], s);
      expect(p.blockers).toBe(blockers);
      expect(p.left.blockers + p.right.blockers).toBe(blockers);
      expect(p.left.margin + p.right.margin).toBe(p.margin);
    },
  );
});

it('perimeter: an overhang out on #2 takes the bubble away, one in the box gives it (common practice)', () => {
  const s = structure(stand('spread', 'gun'));
  const over = (x: number): Defender[] => [corner(18), { letter: '$', x, depth: 5, level: 'nickel' }];
  expect(optionOpen(perimeterLook('R', over(7.5), s))).toBe(false);
  expect(optionOpen(perimeterLook('R', over(3.9), s))).toBe(true);
  expect(perimeterLook('R', over(7.5), s)).toMatchObject({ receivers: 2, margin: 0 });
});

const words = (kind: string) => DEFAULT_BOOK.terms.filter((t) => t.kind === kind).map((t) => t.word);
const snap: fc.Arbitrary<SnapFields> = fc.record({
  formation: fc.constantFrom(...words('formation')),
  formationSide: fc.constantFrom('L' as const, 'R' as const),
  backfield: fc.constantFrom(...words('backfield')),
  front: fc.constantFrom(...words('front')),
  coverage: fc.constantFrom(...words('coverage')),
  pressure: fc.constantFrom(...words('pressure')),
  play: fc.constant('run' as const),
  concept: fc.constantFrom(...words('run')),
  direction: fc.constantFrom('L' as const, 'R' as const),
  hash: fc.constantFrom('L' as const, 'M' as const, 'R' as const),
  protection: fc.constantFrom(...words('protection')),
});

describe('any look of the default book', () => {
  it('has everyone’s job, each once, and a margin that adds up', () => {
    fc.assert(
      fc.property(snap, (f) => {
        const look = lookOf(DEFAULT_BOOK, f, COLLEGE)!;
        const l = look.ledger!;
        expect(new Set(l.offense.map((e) => e.man)).size).toBe(11);
        expect(new Set(l.defense.map((e) => e.man)).size).toBe(11);
        expect(l.margin).toBe(l.hats + l.heldByRead + l.heldByOption - l.there);
        expect(l.defense.filter((e) => e.there)).toHaveLength(l.there);
        expect(l.offense.filter((e) => e.duty === 'carries').length).toBe(1);
        expect(look.protection!.left.margin + look.protection!.right.margin).toBe(look.protection!.margin);
        expect(
          lookSentences(look, DEFAULT_LOOK_SETTINGS, fieldSides(COLLEGE, f.hash ?? null))
            .map((s) => s.text)
            .join(' '),
        ).not.toMatch(/undefined|NaN|null/);
      }),
      { numRuns: 600, seed: 7 },
    );
  });
  it('mirrored, left and right swap and nothing else changes', () => {
    const flip = (side: 'L' | 'R' | null | undefined) => (side === 'L' ? 'R' : side === 'R' ? 'L' : side);
    fc.assert(
      fc.property(snap, fc.constantFrom('strong' as const, 'weak' as const), (f, rotation) => {
        const a = lookOf(DEFAULT_BOOK, { ...f, rotation }, COLLEGE)!;
        // Even formations without a short side have no strength: nothing tells left from right, the right is taken.
        fc.pre(a.offense.snap.passing !== null);
        const b = lookOf(
          DEFAULT_BOOK,
          {
            ...f,
            rotation,
            formationSide: flip(f.formationSide as 'L')!,
            direction: flip(f.direction as 'L')!,
            hash: f.hash === 'M' ? 'M' : flip(f.hash as 'L')!,
          },
          COLLEGE,
        )!;
        expect(b.offense.set.label).toBe(a.offense.set.label);
        expect([b.ledger!.hats, b.ledger!.there, b.ledger!.margin, b.ledger!.verdict]).toEqual([
          a.ledger!.hats,
          a.ledger!.there,
          a.ledger!.margin,
          a.ledger!.verdict,
        ]);
        expect(b.defense!.front).toMatchObject({
          family: a.defense!.front!.family,
          shade: a.defense!.front!.shade,
          verdict: a.defense!.front!.verdict,
        });
        expect(b.defense!.rush.kind).toBe(a.defense!.rush.kind);
        expect([b.protection!.left, b.protection!.right]).toEqual([a.protection!.right, a.protection!.left]);
        expect(b.perimeter!.left.margin).toBe(a.perimeter!.right.margin);
        expect(
          b
            .defense!.men.map((d) => `${d.letter}${(-d.x).toFixed(1)},${d.depth}`.replace('-0.0', '0.0'))
            .sort(),
        ).toEqual(a.defense!.men.map((d) => `${d.letter}${d.x.toFixed(1)},${d.depth}`).sort());
      }),
      { numRuns: 400, seed: 3 },
    );
  });
});

it('a ledger of mirrored men to the other side is the ledger mirrored', () => {
  const men: Man[] = stand('wing pro', 'i');
  const defense = [
    ...placeFront(mustRead(readFront('w5 w1 s3 s9 | W-3.5 M0 S4')), 'R'),
    corner(16),
    corner(-16),
    safety(-6, 13),
    safety(6, 13),
  ];
  const a = runLedger(men, defense, structure(men), AIM);
  const turned = mirrorLineUp(men);
  const b = runLedger(turned, mirrorMen(defense), structure(turned), { ...AIM, to: 'L' });
  expect([b.hats, b.there, b.margin]).toEqual([a.hats, a.there, a.margin]);
  expect(b.free.map((d) => -d.x)).toEqual(a.free.map((d) => d.x));
});
