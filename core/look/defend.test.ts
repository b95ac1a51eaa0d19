/** The tables of who stands where and who does what, row by row. All of it is common practice. */
import { describe, expect, it } from 'vitest';
import { lookOf } from '../book';
import { lookInput } from '../book/resolve-look';
import { DEFAULT_BOOK } from '../book/default-book';
import { COLLEGE, HIGH_SCHOOL, PROFESSIONAL, type Hash, type LevelProfile } from '../field';
import { seededRandom } from '../../demo/random';
import { defenseFaults, defenseKey, mirroredInput } from './invariants.fixture';
import { fullLook, DEFAULT_LOOK_SETTINGS, type FullLook } from './index';

interface Say {
  readonly formation: string;
  readonly backfield?: string;
  readonly side?: 'L' | 'R';
  readonly front?: string;
  readonly coverage?: string;
  readonly rotation?: 'strong' | 'weak' | 'field';
  readonly pressure?: string;
  readonly hash?: Hash;
  readonly motion?: string;
  readonly motionBy?: string;
  readonly motionSide?: 'L' | 'R';
}
const look = (say: Say, profile: LevelProfile = COLLEGE): FullLook =>
  lookOf(
    DEFAULT_BOOK,
    {
      formation: say.formation,
      formationSide: say.side ?? 'R',
      backfield: say.backfield ?? 'gun',
      front: say.front ?? '4-2 over',
      coverage: say.coverage ?? null,
      rotation: say.rotation ?? null,
      pressure: say.pressure ?? '-',
      hash: say.hash ?? null,
      motion: say.motion ?? null,
      motionBy: say.motionBy ?? null,
      motionSide: say.motionSide ?? null,
    },
    profile,
  )!;

/** What each man does, by his name: a receiver's letter, a zone with its side, or the gap he rushes. */
const jobs = (l: FullLook): Record<string, string> =>
  Object.fromEntries(
    l.defense!.duties.map((d) => [
      d.man.name,
      d.covers
        ? d.covers.letter
        : d.does === 'rush'
          ? `rush ${d.rush}`
          : `${d.zone}${Math.abs(d.to[0]) < 0.01 ? '' : d.to[0] < 0 ? ' L' : ' R'}`,
    ]),
  );
const box = (say: Say): number => look(say).defense!.front!.box.length;

describe('two strengths, never none', () => {
  it('jet motion that makes trips 2x2 leaves the passing strength where it was', () => {
    const l = look({
      formation: 'trips',
      motion: 'jet',
      motionBy: 'H',
      motionSide: 'L',
      coverage: 'cover 3',
      rotation: 'weak',
    });
    expect([l.offense.snap.label, l.offense.snap.passing]).toEqual(['2x2', 'R']);
    const down = l.defense!.men.find((m) => m.level === 'safety' && m.depth < 8)!;
    expect(down.x).toBeLessThan(0);
  });
  it.each([
    ['stays', 'R'],
    ['moves', 'L'],
  ] as const)('even after motion it %s', (evenAfterMotion, side) => {
    const input = lookInput(
      DEFAULT_BOOK,
      {
        formation: 'trips',
        formationSide: 'R',
        backfield: 'gun',
        motion: 'jet',
        motionBy: 'H',
        motionSide: 'L',
      },
      COLLEGE,
    );
    const l = fullLook(input, COLLEGE, { ...DEFAULT_LOOK_SETTINGS, evenAfterMotion })!;
    expect(l.offense.snap.passing).toBe(side);
  });
  it('slot with the tight end away: the 3-technique to the longer line, rotation strong to the slot', () => {
    const l = look({
      formation: 'slot',
      backfield: 'i',
      front: '4-3 over',
      coverage: 'cover 3',
      rotation: 'strong',
    });
    expect([l.offense.snap.running, l.offense.snap.passing]).toEqual(['R', 'L']);
    expect(l.defense!.men.find((m) => m.letter === 'T')!.x).toBeGreaterThan(0);
    expect(l.defense!.men.find((m) => m.level === 'safety' && m.depth < 8)!.x).toBeLessThan(0);
  });
  it('a professional defense declares to the tight end before the wide side', () => {
    const say: Say = { formation: 'doubles', hash: 'R', coverage: 'cover 3' };
    expect(look(say).offense.snap.passing).toBe('L');
    expect(look(say, PROFESSIONAL).offense.snap.passing).toBe('R');
  });
  it('names a side for every formation, even on the middle hash', () => {
    for (const t of DEFAULT_BOOK.terms)
      if (t.kind === 'formation')
        for (const side of ['L', 'R'] as const) {
          const { snap } = look({ formation: t.word, side, coverage: 'cover 3' }).offense;
          expect(['L', 'R'], t.word).toContain(snap.passing);
          expect(['L', 'R'], t.word).toContain(snap.running);
        }
  });
});

describe('the box, by offense, front and coverage', () => {
  const pro: Say = { formation: 'pro', backfield: 'i', front: '4-3 over' };
  it.each<[string, Say, number]>([
    ['21 pro, cover 2', { ...pro, coverage: 'cover 2' }, 7],
    ['21 pro, quarters', { ...pro, coverage: 'quarters' }, 7],
    ['21 pro, cover 3 strong', { ...pro, coverage: 'cover 3', rotation: 'strong' }, 8],
    ['21 pro, cover 3 weak', { ...pro, coverage: 'cover 3', rotation: 'weak' }, 8],
    ['21 pro, cover 1', { ...pro, coverage: 'cover 1' }, 8],
    [
      '22, cover 3 strong, a corner with it',
      { ...pro, formation: 'heavy', coverage: 'cover 3', rotation: 'strong' },
      9,
    ],
    ['12 ace, over', { formation: 'ace', backfield: 'under', front: '4-3 over', coverage: 'quarters' }, 7],
    ['12 ace, under', { formation: 'ace', backfield: 'under', front: '4-3 under', coverage: 'quarters' }, 7],
    ['11 doubles, two-high', { formation: 'doubles', coverage: 'cover 2' }, 6],
    [
      '11 doubles, down to the tight end',
      { formation: 'doubles', coverage: 'cover 3', rotation: 'strong' },
      7,
    ],
    ['11 doubles, down to the slot', { formation: 'doubles', coverage: 'cover 3', rotation: 'weak' }, 6],
    ['11 trips, two-high', { formation: 'trips', coverage: 'cover 2' }, 6],
    ['11 trips, cover 3 strong', { formation: 'trips', coverage: 'cover 3', rotation: 'strong' }, 6],
    ['11 trips, cover 1', { formation: 'trips', coverage: 'cover 1' }, 6],
    ['11 trips, cover 3 weak', { formation: 'trips', coverage: 'cover 3', rotation: 'weak' }, 7],
    ['11 nub trips, cover 2, a corner with it', { formation: 'nub trips', coverage: 'cover 2' }, 7],
    ['11 nub trips, cover 3 strong', { formation: 'nub trips', coverage: 'cover 3', rotation: 'strong' }, 7],
    ['11 nub trips, cover 1', { formation: 'nub trips', coverage: 'cover 1' }, 7],
    ['10 spread, two-high', { formation: 'spread', coverage: 'cover 2' }, 6],
    ['10 spread, cover 1', { formation: 'spread', coverage: 'cover 1' }, 6],
    ['10 spread, wide ends', { formation: 'spread', front: '4-2 wide', coverage: 'cover 2' }, 6],
    ['10 spread, 4-3', { formation: 'spread', front: '4-3 over', coverage: 'cover 2' }, 5],
    ['10 spread, 3-4', { formation: 'spread', front: '3-4', coverage: 'cover 2' }, 6],
    ['10 spread, 3-3', { formation: 'spread', front: '3-3', coverage: 'cover 2' }, 5],
    ['empty, 4-2', { formation: 'empty', coverage: 'cover 2' }, 5],
    ['empty, 4-3', { formation: 'empty', front: '4-3 over', coverage: 'cover 3' }, 5],
  ])('%s', (_, say, n) => {
    expect(box(say)).toBe(n);
  });
});

describe('who has what in zone', () => {
  it.each<[string, Say, Record<string, string>]>([
    [
      'trips, cover 3 strong',
      { formation: 'trips', coverage: 'cover 3', rotation: 'strong' },
      {
        $: 'curl-flat R',
        SS: 'hook R',
        M: 'hook L',
        W: 'curl-flat L',
        FS: 'middle',
        CL: 'third L',
        CR: 'third R',
      },
    ],
    [
      'trips, cover 3 weak',
      { formation: 'trips', coverage: 'cover 3', rotation: 'weak' },
      { $: 'curl-flat R', M: 'hook R', W: 'hook L', FS: 'curl-flat L', SS: 'middle' },
    ],
    [
      'trips, cover 2',
      { formation: 'trips', coverage: 'cover 2' },
      {
        $: 'hook-curl R',
        W: 'hook-curl L',
        M: 'middle hook',
        CL: 'flat L',
        CR: 'flat R',
        FS: 'half L',
        SS: 'half R',
      },
    ],
    [
      'trips, fire zone with mike a',
      { formation: 'trips', coverage: 'fire zone', pressure: 'mike a pressure' },
      { $: 'seam-curl-flat R', W: 'seam-curl-flat L', SS: 'middle hook', M: 'rush 0.8' },
    ],
    [
      'spread, cover 3 cloud strong: the corner is flat, the safety has his third',
      { formation: 'spread', coverage: 'cover 3 cloud', rotation: 'strong' },
      { CR: 'flat R', SS: 'third R', FS: 'middle', CL: 'third L', W: 'curl-flat L' },
    ],
    [
      'trey, cover 6: quarters to the passing strength, half away',
      { formation: 'trey', coverage: 'cover 6' },
      {
        CR: 'quarter R',
        SS: 'quarter R',
        FS: 'half L',
        CL: 'flat L',
        $: 'curl-flat R',
        M: 'hook R',
        W: 'hook-curl L',
      },
    ],
    [
      'spread, deep middle: M runs it',
      { formation: 'spread', front: '4-3 over', coverage: 'deep middle' },
      { M: 'pole', W: 'hook-curl L', S: 'hook-curl R', CL: 'flat L', CR: 'flat R' },
    ],
  ])('%s', (_, say, expected) => {
    expect(jobs(look(say))).toMatchObject(expected);
  });
  it('divides the field, not the ball: thirds move with the hash', () => {
    const at = (hash: Hash) =>
      look({ formation: 'spread', coverage: 'cover 3', hash }).defense!.duties.find(
        (d) => d.zone === 'middle',
      )!.to[0];
    const off = COLLEGE.fieldWidth / 2 - COLLEGE.hashToSideline;
    expect(at('M')).toBe(0);
    expect(at('L')).toBeCloseTo(off, 0);
    expect(at('R')).toBeCloseTo(-off, 0);
  });
});

describe('who has whom in man', () => {
  it.each<[string, Say, Record<string, string>]>([
    [
      'spread, 4-2, cover 1',
      { formation: 'spread', coverage: 'cover 1' },
      { CL: 'X', CR: 'Z', $: 'Y', FS: 'H', W: 'T', M: 'hole', SS: 'middle' },
    ],
    [
      'trips, cover 1: nickel #2, safety #3',
      { formation: 'trips', coverage: 'cover 1' },
      { $: 'Y', SS: 'H', CR: 'Z', CL: 'X' },
    ],
    ['trips, 2 man: M has #3', { formation: 'trips', coverage: '2 man' }, { M: 'H', $: 'Y', W: 'T' }],
    [
      '21 pro, 4-3, cover 1',
      { formation: 'pro', backfield: 'i', front: '4-3 over', coverage: 'cover 1' },
      { SS: 'Y', S: 'F', W: 'T', M: 'hole', CL: 'X', CR: 'Z' },
    ],
    [
      '10 spread, 4-3, cover 1: S and W the slots, M the back, the safety in the hole',
      { formation: 'spread', front: '4-3 over', coverage: 'cover 1' },
      { S: 'Y', W: 'H', M: 'T', SS: 'hole', FS: 'middle' },
    ],
    [
      '10 spread, tite, robber: edge the strong slot, W the weak one, M the back',
      { formation: 'spread', front: 'tite', coverage: 'cover 1 robber' },
      { OR: 'Y', W: 'H', M: 'T', SS: 'robber', FS: 'middle' },
    ],
    [
      'empty 3x2, 4-2, cover 1',
      { formation: 'empty', coverage: 'cover 1' },
      { $: 'Y', M: 'H', FS: 'T', W: 'hole', CL: 'X', CR: 'Z' },
    ],
    [
      'nub trips: the corner has the tight end',
      { formation: 'nub trips', coverage: 'cover 1' },
      { CL: 'Y', CR: 'X', $: 'Z', SS: 'H' },
    ],
  ])('%s', (_, say, expected) => {
    expect(jobs(look(say))).toMatchObject(expected);
  });
  it('too few: the free receiver is named, a back first', () => {
    const l = look({ formation: 'spread', coverage: 'cover 1', pressure: 'double a pressure' });
    expect(l.defense!.uncovered.map((m) => m.letter)).toEqual(['T']);
  });
});

describe('who comes', () => {
  const rushers = (say: Say): string[] =>
    look(say)
      .defense!.duties.filter((d) => d.does === 'rush')
      .map((d) => `${d.man.name} ${d.rush}`);
  it.each<[string, string, number]>([
    ['4-2 over', 'four down', 4],
    ['4-3 under', 'four down', 4],
    ['3-4', 'three and an edge', 4],
    ['tite', 'three and an edge', 4],
    ['2-4', 'two and both edges', 4],
    ['3-3', 'three and a backer', 4],
    ['bear', 'five', 5],
    ['5-2', 'five', 5],
    ['6-2', 'six', 6],
    ['goal line', 'six', 6],
  ])('%s: %s', (front, _, n) => {
    expect(rushers({ formation: 'trey', front, coverage: 'cover 3' })).toHaveLength(n);
  });
  it('the edge of a three-four comes from the side with fewer detached receivers', () => {
    expect(rushers({ formation: 'trips', front: '3-4', coverage: 'cover 2' })).toContain('OL -5.2');
    expect(rushers({ formation: 'trips', side: 'L', front: '3-4', coverage: 'cover 2' })).toContain('OR 5.2');
  });
  it.each<[string, string]>([
    ['mike a pressure', 'M 0.8'],
    ['will b pressure', 'W -2.4'],
    ['double a pressure', 'M 0.8'],
    ['double a pressure', 'W -0.8'],
    ['backers cross', 'M -0.8'],
    ['backers cross', 'W 0.8'],
    ['nickel pressure', '$ 5.6'],
  ])('%s sends %s', (pressure, sent) => {
    expect(rushers({ formation: 'trips', coverage: 'cover 3', pressure })).toContain(sent);
  });
  it('everybody comes while a man is left for each receiver not in the backfield: seven against one back, six against empty', () => {
    const say: Say = { formation: 'trips', coverage: 'cover 0', pressure: 'all-out pressure' };
    expect(rushers(say)).toHaveLength(7);
    expect(rushers({ ...say, formation: 'empty' })).toHaveLength(6);
  });
  it('behind a corner the safety of his side takes his third', () => {
    const j = jobs(
      look({ formation: 'trips', coverage: 'cover 3', rotation: 'strong', pressure: 'corner pressure' }),
    );
    expect(j.CL).toMatch(/^rush/);
    expect(Object.values(j).filter((z) => z === 'third L')).toHaveLength(1);
  });
  it('who drops from the line gets a zone of his own', () => {
    const l = look({ formation: 'spread', coverage: 'cover 3', pressure: 'three-man rush' });
    expect(l.defense!.rush.count).toBe(3);
    const line = l.defense!.duties.filter((d) => d.man.level === 'down' && d.does !== 'rush');
    expect(line.map((d) => [d.does, d.zone])).toEqual([['under', 'hook']]);
  });
  it('to the back means nothing with an empty backfield, and it is said', () => {
    const { warnings } = look({
      formation: 'empty',
      coverage: 'cover 1',
      pressure: 'b to the back',
    }).defense!;
    expect(warnings.map((w) => w.code)).toContain('no_back_side');
  });
});

describe('a zone too far away (common practice)', () => {
  const far = (words: Parameters<typeof look>[0]) =>
    look(words).defense!.warnings.filter((w) => w.code === 'far_from_zone');
  it('is said with the man and the yards: a lone safety’s other half, a side whose men all rush', () => {
    const [said] = far({ formation: 'trey', hash: 'R', front: '4-4', coverage: '2 man' });
    expect(said!.facts).toMatchObject({ zone: 'half' });
    expect(Number(said!.facts.yards)).toBeGreaterThan(15);
  });
  it('a safety who rushes from two high leaves his half to his corner, and the next man inside has the flat', () => {
    const l = look({
      formation: 'ace trey',
      backfield: 'pistol',
      hash: 'R',
      front: '4-3 under',
      coverage: 'cover 2',
      pressure: 'safety pressure',
    });
    expect(jobs(l)).toMatchObject({ CL: 'half L', W: 'flat L', SS: 'half R', CR: 'flat R' });
    expect(l.defense!.warnings).toEqual([]);
  });
  it('both inside backers rush in front of tampa 2: the safeties keep their halves, the nickel runs the middle', () => {
    for (const formation of ['trips', 'wide trips']) {
      const l = look({
        formation,
        backfield: 'pistol',
        hash: 'M',
        front: '2-4',
        coverage: 'tampa 2',
        pressure: 'double a pressure',
      });
      expect(jobs(l)).toMatchObject({ FS: 'half L', SS: 'half R', $: 'pole', CL: 'flat L', CR: 'flat R' });
    }
  });
  it('a lone safety takes the half nobody else is near', () => {
    for (const side of ['L', 'R'] as const) {
      const l = look({ formation: 'trips', side, hash: 'M', front: '4-4', coverage: '2 man' });
      const deep = l.defense!.duties.filter((d) => d.does === 'deep');
      expect(deep.map((d) => d.zone)).toEqual(['half', 'half']);
      const [safety] = deep.filter((d) => d.man.level === 'safety');
      const [other] = deep.filter((d) => d.man.level !== 'safety');
      // Turned about, the two would go farther together.
      const way = (a: typeof safety, to: typeof safety) => (a!.man.x - to!.to[0]) ** 2;
      expect(way(safety, safety) + way(other, other)).toBeLessThan(way(safety, other) + way(other, safety));
    }
  });
  it('is not said of a usual call', () => {
    for (const coverage of ['cover 2', 'cover 3', 'quarters', 'cover 1', 'cover 6', 'tampa 2'])
      expect([coverage, far({ formation: 'trips', front: '4-2 over', coverage })]).toEqual([coverage, []]);
  });
});

describe('every word of the book against every other (a seeded sample; bench --long runs more)', () => {
  const terms = (kind: string) => DEFAULT_BOOK.terms.filter((t) => t.kind === kind);
  const SAMPLE = 30_000;
  it(`breaks no rule in ${SAMPLE} looks, and has a mirror image`, () => {
    const random = seededRandom(20261126);
    const kinds = {
      formation: terms('formation'),
      backfield: terms('backfield'),
      front: terms('front'),
      coverage: terms('coverage'),
      pressure: terms('pressure'),
    };
    const faults: string[] = [];
    let cannot = 0;
    for (let i = 0; i < SAMPLE && faults.length < 5; i++) {
      const profile = random.pick([COLLEGE, COLLEGE, HIGH_SCHOOL, PROFESSIONAL]);
      const hash = random.pick(['L', 'M', 'R'] as const);
      const words = {
        formation: random.pick(kinds.formation).word,
        formationSide: random.pick(['L', 'R'] as const),
        backfield: random.pick(kinds.backfield).word,
        front: random.pick(kinds.front).word,
        coverage: random.pick(kinds.coverage).word,
        pressure: random.chance(0.3) ? '-' : random.pick(kinds.pressure).word,
        rotation: random.pick([null, 'strong', 'weak', 'field'] as const),
        hash,
      };
      const input = lookInput(DEFAULT_BOOK, words, profile);
      const l = fullLook(input, profile)!;
      const off = profile.fieldWidth / 2 - profile.hashToSideline;
      const found = defenseFaults(l, input, profile.fieldWidth, hash === 'L' ? -off : hash === 'R' ? off : 0);
      if (defenseKey(l, 1) !== defenseKey(fullLook(mirroredInput(input), profile)!, -1))
        found.push('no mirror image');
      if (l.defense!.warnings.some((w) => w.code === 'front_cannot_play_coverage')) cannot++;
      faults.push(...found.map((f) => `${Object.values(words).join(' | ')}: ${f}`));
    }
    expect(faults).toEqual([]);
    // Fronts with too few deep men are said, not drawn wrong: about one in twenty.
    expect(cannot / SAMPLE).toBeLessThan(0.08);
  });
});
