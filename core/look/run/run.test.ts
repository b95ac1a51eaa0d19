/**
 * Runs against defenses, row by row: who blocks whom by the rule of each scheme (common practice), who is read, who
 * is left; and over the cross product, what no coach would let stand.
 */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { assignmentPaths, assignRun, drawSnap, findTerm, lookOf } from '../../book';
import { DEFAULT_BOOK } from '../../book/default-book';
import { COLLEGE } from '../../field';
import type { SnapFields } from '../../snap';
import { mirrorLineUp, mirrorMen, lineUp } from '../formation';
import { mustRead, readFront } from '../notation';
import { lookSentences } from '../messages';
import { DEFAULT_LOOK_SETTINGS } from '../look-input';
import { placeFront, type Defender } from '../front';
import { plainRun } from '../margins';
import { structure } from '../structure';
import { runFaults, runKey } from './invariants.fixture';
import type { Ledger } from './ledger';
import { isHat, runLedger } from './run';
import type { RunDef } from './run-def';

const at = (formation: string, backfield: string, front: string, coverage: string, more: SnapFields = {}) =>
  ({
    formation,
    formationSide: 'R',
    backfield,
    front,
    coverage,
    play: 'run',
    direction: 'R',
    hash: 'M',
    ...more,
  }) as SnapFields;
const look = (snap: SnapFields, concept: string, settings = DEFAULT_LOOK_SETTINGS) =>
  lookOf(DEFAULT_BOOK, { ...snap, concept }, COLLEGE, settings)!;
const I_PRO = at('pro', 'i', '4-3 over', 'quarters');

/** "RG+RT 3-technique > S": letters of the offense, names of the defense. */
function blocks(l: ReturnType<typeof look>): Record<string, string> {
  const name = (d: Defender | null): string => (d ? l.defense!.men.find((m) => m === d)!.name : 'nobody');
  return Object.fromEntries(
    l
      .ledger!.offense.filter((e) => isHat(e))
      .map((e) => [e.man.letter, `${name(e.on)}${e.then ? ` > ${name(e.then)}` : ''}`]),
  );
}
const who = (l: ReturnType<typeof look>, by: string): string[] =>
  l.ledger!.defense.filter((e) => e.by === by).map((e) => l.defense!.men.find((m) => m === e.man)!.name);

describe('21 pro right, I, against 4-3 over, all right (common practice)', () => {
  // E 5-technique left, N shade left, T 3-technique, ER on the tight end; W left, M over the ball, S right.
  it.each([
    ['iso', { RG: 'T > S', RT: 'T > S', C: 'N > W', LG: 'N > W', F: 'M', Y: 'ER', LT: 'EL' }],
    ['power', { RG: 'T > W', RT: 'T > W', LG: 'S', Y: 'M', F: 'ER', C: 'N', LT: 'EL' }],
    ['counter', { LG: 'ER', LT: 'S', F: 'EL', RG: 'T > W', RT: 'T > W', Y: 'M', C: 'N' }],
    ['trap', { LG: 'T', RG: 'M', RT: 'S', F: 'W', C: 'N', Y: 'ER', LT: 'EL' }],
  ] as const)('%s', (word, expected) => {
    const l = look(I_PRO, word);
    expect(blocks(l)).toEqual(expected);
    expect(l.ledger!.verdict).toBe('sound');
    expect(who(l, 'free')).toEqual([]);
    // A safety who comes down is nobody's.
    const down = look({ ...I_PRO, coverage: 'cover 3', rotation: 'strong' }, word);
    expect(who(down, 'free')).toEqual(['SS']);
  });
  it('guard sweep against cover 3 strong: the guard has the safety, W is free', () => {
    const l = look({ ...I_PRO, coverage: 'cover 3', rotation: 'strong' }, 'sweep');
    expect(blocks(l)).toMatchObject({ RG: 'SS', LG: 'S', F: 'M', RT: 'T', Y: 'ER', C: 'N', LT: 'EL' });
    expect(who(l, 'free')).toEqual(['W']);
  });
});

describe('12 ace against 4-3 under, right (common practice)', () => {
  const ace = at('ace', 'under', '4-3 under', 'quarters');
  it('duo', () =>
    expect(blocks(look(ace, 'duo'))).toMatchObject({ C: 'N > M', RG: 'N > M', LT: 'EL > W', H: 'EL > W' }));
  it('pin and pull', () => {
    const l = look(ace, 'pin-and-pull');
    expect(blocks(l)).toMatchObject({ Y: 'ER', RG: 'N', RT: 'O', C: 'M' });
    const does = (letter: string) => l.ledger!.offense.find((e) => e.man.letter === letter)!.does;
    expect(['Y', 'RG', 'RT', 'C'].map(does)).toEqual(['pin', 'pin', 'lead pull', 'lead pull']);
  });
});

describe('each scheme of the table (common practice)', () => {
  const gun = at('doubles', 'gun', '4-2 over', 'quarters');
  const two = at('pro', 'split backs', '4-3 over', 'quarters');
  it.each([
    // Zone: the covered man his, the uncovered doubles to the play side; the back side takes the man on it first.
    ['inside zone', gun, { LT: 'EL', LG: 'N', C: 'T > M', RG: 'T > M', RT: 'ER' }],
    // To the other side the tight end has the end and the tackle climbs.
    [
      'inside zone',
      { ...gun, direction: 'L' },
      { Y: 'ER', RT: 'M', RG: 'T', C: 'N', LG: 'EL > W', LT: 'EL > W' },
    ],
    // The wing crosses to the end whom the back-side tackle leaves.
    ['split zone', at('wing doubles', 'gun', '4-3 over', 'quarters'), { H: 'EL' }],
    ['insert zone', at('pro', 'i', '4-3 over', 'quarters'), { F: 'M' }],
    ['zone read', gun, { LT: 'W', LG: 'N' }],
    ['arc read', at('heavy wing', 'gun', '4-3 over', 'quarters'), { S: 'CL' }],
    ['wide zone', gun, { RT: 'ER', RG: 'T > M', C: 'T > M', LG: 'N', LT: 'W' }],
    ['power read', at('trips', 'gun', '4-2 over', 'quarters'), { LG: 'M', RG: 'T > W', RT: 'T > W', C: 'N' }],
    ['wham', at('wing pro', 'gun', '4-3 over', 'quarters'), { H: 'T', LG: 'W', RG: 'M', RT: 'S' }],
    ['down', I_PRO, { RG: 'ER', F: 'S', RT: 'T', LT: 'EL', C: 'N', LG: 'W' }],
    ['dart', gun, { LT: 'M', RT: 'ER', RG: 'T', C: 'N > W', LG: 'N > W' }],
    ['draw', gun, { C: 'N', RG: 'T', LT: 'EL', LG: 'W' }],
    ['midline', two, { RG: 'M', RT: 'ER > S' }],
    ['crack toss', at('pro', 'under', '4-3 over', 'cover 3', { rotation: 'strong' }), { Z: 'SS', RT: 'CR' }],
    ['one-back power', at('trey', 'gun', '4-3 over', 'quarters'), { Y: 'ER', LG: 'M' }],
    ['power', at('trey', 'gun', '4-3 over', 'quarters'), { Y: 'ER', LG: 'M' }],
  ] as const)('%s', (word, snap, expected) =>
    expect(blocks(look(snap as SnapFields, word))).toMatchObject(expected),
  );

  it('a receiver with nobody within twelve yards blocks nobody; his corner is no lead’s', () => {
    const wide = look(at('wide spread', 'gun near', '5-2', 'palms', { direction: 'L' }), 'rocket toss');
    const far = wide.ledger!.offense.filter((e) => e.on && Math.abs(e.on.x - e.man.x) > 12);
    expect(far.map((e) => [e.man.letter, e.does])).toEqual([]);
    const corner = wide.ledger!.defense.find((e) => e.man.level === 'corner' && e.man.x < 0)!;
    expect(wide.ledger!.offense.filter((e) => e.on === corner.man).map((e) => e.does)).toEqual(['stalk']);
  });
  it('a tackle with nobody outside him stays on the end in a toss', () => {
    const l = look(at('spread', 'gun', '4-2 over', 'quarters'), 'toss');
    expect(blocks(l).RT).toBe('ER');
  });
  it('a guard who pulls: the center goes back, the other guard takes the man over him', () => {
    const l = look(at('pro', 'i', 'bear', 'cover 1'), 'power');
    expect(blocks(l)).toMatchObject({ C: 'TL', RG: 'N', RT: 'TR', LT: 'OL' });
  });
  it('counter from one back leaves the back-side end, and says so', () => {
    const l = look(at('spread', 'gun', '4-2 over', 'quarters'), 'counter');
    expect(who(l, 'free')).toEqual(['EL']);
  });
  it('men read are left: once each, two in the triple option', () => {
    expect(who(look(gun, 'zone read'), 'read')).toEqual(['EL']);
    expect(who(look(gun, 'power read'), 'read')).toEqual(['ER']);
    expect(who(look(two, 'veer'), 'read')).toEqual(['ER']);
    expect(who(look(two, 'midline'), 'read')).toEqual(['T']);
    const triple = look(at('pro', 'i', '4-4', 'cover 3'), 'triple option');
    expect([who(triple, 'read'), who(triple, 'pitch read'), triple.ledger!.heldByRead]).toEqual([
      ['ER'],
      ['S'],
      2,
    ]);
    expect(blocks(triple).RT).toBe('M');
    // A 4i counts as on the tackle.
    expect(who(look(at('pro', 'i', 'tite', 'cover 3'), 'triple option'), 'read')).toEqual(['ER']);
    const load = look(at('pro', 'i', '4-3 over', 'cover 3', { rotation: 'strong' }), 'load option');
    expect([who(load, 'pitch read'), blocks(load).F]).toEqual([['SS'], 'ER']);
  });
  it('who carries, fakes, gives or takes the pitch is no hat', () => {
    const l = look(at('pro', 'i', '4-4', 'cover 3'), 'triple option');
    expect(l.ledger!.offense.filter((e) => !isHat(e) && e.does !== 'stalk').map((e) => e.man.letter)).toEqual(
      ['Q', 'F', 'T'],
    );
  });
  it('two backs level: the one away from the run carries, the other leads', () => {
    const roles = (direction: 'L' | 'R') =>
      look({ ...two, direction }, 'iso')
        .ledger!.offense.filter((e) => e.role === 'BALL')
        .map((e) => e.man.letter);
    expect([roles('R'), roles('L')]).toEqual([['T'], ['F']]);
  });
  it('wide zone: a keep or boot holds the back-side end, if the staff says so', () => {
    const l = look(gun, 'wide zone');
    expect(who(l, 'held by the keep')).toEqual(['EL']);
    expect(who(look(gun, 'wide zone', { ...DEFAULT_LOOK_SETTINGS, keepHoldsEnd: false }), 'free')).toContain(
      'EL',
    );
  });
  it('an unbalanced line counts from the center', () => {
    const roles = look(at('unbalanced', 'gun', '4-3 over', 'quarters'), 'counter').ledger!.offense;
    const of = (letter: string) => roles.find((e) => e.man.letter === letter)!.role;
    expect([of('RG'), of('RT'), of('LT'), of('LG'), of('Y')]).toEqual(['PG', 'PT', 'PY', 'BG', 'BT']);
  });
});

describe('a throw with a run (common practice)', () => {
  const rpo = (formation: string, weak: string, front: string, coverage: string, more: SnapFields = {}) =>
    look(at(formation, 'gun', front, coverage, { play: 'rpo', conceptWeak: weak, ...more }), 'inside zone');
  const of = (l: ReturnType<typeof look>) => {
    const { option } = l.ledger!;
    return [
      option!.kind,
      option!.side,
      option!.target?.letter,
      l.defense!.men.find((m) => m === option!.key)?.name,
      option!.access,
    ];
  };
  it('bubble to the two or more detached: the overhang there', () => {
    expect(of(rpo('doubles', 'bubble', '4-2 over', 'quarters'))).toEqual(['bubble', 'L', 'H', '$', false]);
    expect(of(rpo('trips', 'bubble', '4-2 over', 'quarters'))[1]).toBe('R');
  });
  it('glance to the single receiver away: the first man inside it', () =>
    expect(of(rpo('trips', 'glance', '4-2 over', 'cover 3', { rotation: 'strong' }))).toEqual([
      'glance',
      'L',
      'X',
      'FS',
      false,
    ]));
  it('stick to three: the backer or safety over #3', () =>
    expect(of(rpo('trips', 'stick', '4-2 over', 'quarters')).slice(0, 3)).toEqual(['stick', 'R', 'H']));
  it('is there before the snap when its man stands in the box', () => {
    const l = rpo('spread', 'bubble', '5-2', 'cover 1');
    expect(l.ledger!.option!.access).toBe(
      l.ledger!.option!.key !== null && l.defense!.front!.box.includes(l.ledger!.option!.key),
    );
  });
  it('its man is left to the throw and counts as held when he could be there', () => {
    const l = rpo('doubles', 'pop', '4-2 over', 'quarters');
    expect(who(l, 'option')).toHaveLength(1);
    expect(l.ledger!.heldByOption).toBe(1);
  });
});

describe('zone without a name, the worked checks (common practice)', () => {
  const men = lineUp(
    findTerm(DEFAULT_BOOK, 'formation', 'doubles')!.spots!,
    'R',
    findTerm(DEFAULT_BOOK, 'backfield', 'under')!.spots!,
  );
  const corner = (x: number): Defender => ({ letter: 'C', x, depth: 7, level: 'corner' });
  const safety = (x: number, depth: number): Defender => ({ letter: 'S', x, depth, level: 'safety' });
  const against = (front: string, ...more: Defender[]) => [
    ...placeFront(mustRead(readFront(front)), 'R'),
    ...more,
  ];
  const duty = (l: Ledger, letter: string) => l.offense.find((e) => e.man.letter === letter)!;
  const AIM = plainRun('zone', 'R', 'C');
  it('head-up end on Y, 3-technique right, shade and 5-technique left, three backers', () => {
    const defense = against(
      'w5 w1 s3 s6 | W-3.5 M0 S4',
      corner(16),
      corner(-16),
      safety(-5, 13),
      safety(7, 6),
    );
    const l = runLedger(men, defense, structure(men), AIM);
    expect(l.pairs).toEqual([
      ['Y', 'RT'],
      ['RG', 'C'],
    ]);
    expect(duty(l, 'Y')).toMatchObject({ on: { x: 4.8 }, then: { letter: 'S' }, partner: 'RT' });
    expect(duty(l, 'RG')).toMatchObject({ on: { x: 2.1 }, then: { letter: 'M' }, partner: 'C' });
    expect(duty(l, 'LG').on).toMatchObject({ x: -0.5 });
    expect(duty(l, 'LT').on).toMatchObject({ letter: 'W' });
    // In the box the 5-technique left, held by the keep; outside it the safety walked in, unless the flanker cracks him.
    expect(l.defense.find((e) => e.man.x === -3.7)!.by).toBe('held by the keep');
  });
  it('odd front, overhang shaded on Y, 4-technique on RT, nose head-up', () => {
    const defense = against(
      'w4 0 s4 s9+ | W-3 M0 S3',
      corner(16),
      corner(-16),
      safety(-6, 13),
      safety(6, 13),
    );
    const l = runLedger(men, defense, structure(men), AIM);
    expect(duty(l, 'Y')).toMatchObject({ on: { x: 5.3 }, partner: null });
    expect(l.pairs).toEqual([
      ['RT', 'RG'],
      ['C', 'LG'],
    ]);
    expect(duty(l, 'RT')).toMatchObject({ on: { x: 3.2 }, then: { letter: 'S' } });
    expect(duty(l, 'C')).toMatchObject({ on: { x: 0 }, then: { letter: 'M' } });
    expect(duty(l, 'LT').on).toMatchObject({ x: -3.2 });
  });
  it('outside against a 4-3 with a safety rolled down: five for six, the safety free', () => {
    const four = lineUp(
      findTerm(DEFAULT_BOOK, 'formation', 'doubles')!.spots!,
      'R',
      findTerm(DEFAULT_BOOK, 'backfield', 'under')!.spots!,
    );
    const defense = against(
      'w5 w1 s3 s6 | W-3.5 M0 S4',
      corner(15),
      corner(-16),
      safety(-2, 13),
      safety(6.8, 6),
    );
    const l = runLedger(four, defense, structure(four), plainRun('zone', 'R', 'D'));
    expect([l.hats, l.there, l.margin, l.verdict]).toEqual([5, 6, -1, 'one free']);
    expect(l.defense.filter((e) => e.by === 'free' && e.there).map((e) => e.man.letter)).toEqual(['S']);
    expect(l.force?.letter).toBe('S');
  });
  it('mirrored men to the other side give the mirrored ledger', () => {
    const defense = against(
      'w5 w1 s3 s9 | W-3.5 M0 S4',
      corner(16),
      corner(-16),
      safety(-6, 13),
      safety(6, 13),
    );
    const one = runLedger(men, defense, structure(men), AIM);
    const turned = mirrorLineUp(men);
    const other = runLedger(turned, mirrorMen(defense), structure(turned), { ...AIM, to: 'L' });
    expect([other.hats, other.there, other.margin]).toEqual([one.hats, one.there, one.margin]);
    expect(other.free.map((d) => -d.x)).toEqual(one.free.map((d) => d.x));
  });
});

it('says what is left, who finds nobody, and the smallest change', () => {
  const said = (snap: SnapFields, word: string) =>
    lookSentences(look(snap, word), DEFAULT_LOOK_SETTINGS)
      .map((s) => s.text)
      .join(' ');
  expect(said(at('spread', 'gun', '4-2 over', 'cover 3'), 'power')).toContain(
    'Nobody stands where he could kick.',
  );
  expect(said(at('doubles', 'gun', '4-2 over', 'cover 3'), 'inside zone')).toContain(
    'Unblocked at the point: W backer left (a throw to the left with the run holds him).',
  );
  expect(said(at('doubles', 'gun', '4-2 over', 'cover 3'), 'speed option')).toContain(
    'RT finds nobody to block.',
  );
});

const words = (kind: string) => DEFAULT_BOOK.terms.filter((t) => t.kind === kind).map((t) => t.word);
const anyRun: fc.Arbitrary<SnapFields> = fc.record({
  formation: fc.constantFrom(...words('formation')),
  formationSide: fc.constantFrom('L' as const, 'R' as const),
  backfield: fc.constantFrom(...words('backfield')),
  front: fc.constantFrom(...words('front')),
  coverage: fc.constantFrom(...words('coverage')),
  play: fc.constantFrom('run' as const, 'rpo' as const),
  concept: fc.constantFrom(...words('run')),
  conceptWeak: fc.constantFrom('bubble', 'glance', 'stick', 'pop pass'),
  direction: fc.constantFrom('L' as const, 'R' as const),
  hash: fc.constant('M' as const),
});
const turn = (side: unknown) => (side === 'L' ? 'R' : 'L');

describe('any run of the default book against any front and coverage', () => {
  it('no lineman who does not pull goes far, none cross, nobody blocks a man who is read, no man has three, the count adds up', () => {
    fc.assert(
      fc.property(anyRun, (snap) => {
        expect(runFaults(lookOf(DEFAULT_BOOK, snap, COLLEGE)!.ledger!)).toEqual([]);
      }),
      { numRuns: 4000, seed: 21 },
    );
  });
  it('mirror in, mirror out', () => {
    fc.assert(
      fc.property(anyRun, (snap) => {
        const one = lookOf(DEFAULT_BOOK, snap, COLLEGE)!.ledger!;
        const other = lookOf(
          DEFAULT_BOOK,
          { ...snap, formationSide: turn(snap.formationSide), direction: turn(snap.direction) },
          COLLEGE,
        )!.ledger!;
        expect(runKey(other, -1)).toEqual(runKey(one, 1));
        expect([other.hats, other.there, other.margin, other.verdict]).toEqual([
          one.hats,
          one.there,
          one.margin,
          one.verdict,
        ]);
      }),
      { numRuns: 2500, seed: 22 },
    );
  });
  it('list, margin and drawing agree man by man', () => {
    fc.assert(
      fc.property(anyRun, (snap) => {
        const l = lookOf(DEFAULT_BOOK, snap, COLLEGE)!;
        const ledger = l.ledger!;
        expect(
          ledger.offense.filter((e) => e.role === 'BALL').length + (ledger.missing.includes('carry') ? 1 : 0),
        ).toBe(1);
        // Every man of the drawing ends where the list says.
        const definition = findTerm(DEFAULT_BOOK, 'run', snap.concept as string)!.definition as {
          run: RunDef;
        };
        const to = snap.direction as 'L' | 'R';
        const shown = {
          formation: findTerm(DEFAULT_BOOK, 'formation', snap.formation as string)!.spots!,
          side: snap.formationSide as 'L' | 'R',
          backfield: findTerm(DEFAULT_BOOK, 'backfield', snap.backfield as string)!.spots!,
          motion: null,
          motionBy: null,
          motionSide: null,
        };
        const paths = assignmentPaths(
          assignRun(definition.run, shown, to, COLLEGE),
          to,
          definition as never,
          l,
        );
        for (const e of ledger.offense) {
          if (!isHat(e) || !e.on) continue;
          const points = paths.find((p) => p.by === e.man.letter)!.points;
          const ends = [e.on, e.then].some(
            (d) =>
              d &&
              points.some(
                ([x, y]) => Math.abs(x - d.x) <= 0.45 && Math.abs(y - Math.max(0.35, d.depth - 0.7)) < 1e-9,
              ),
          );
          expect([e.man.letter, e.does, ends]).toEqual([e.man.letter, e.does, true]);
        }
      }),
      { numRuns: 1500, seed: 23 },
    );
  });
  it('is drawn: the picture of a snap holds a block for every hat that finds somebody', () => {
    const drawn = drawSnap(DEFAULT_BOOK, { ...I_PRO, concept: 'power' }, 'M', COLLEGE, { jobs: true });
    expect(drawn.look!.ledger!.offense.filter((e) => isHat(e) && e.on)).toHaveLength(7);
    expect(drawn.drawing.marks.length).toBeGreaterThan(40);
  });
});
