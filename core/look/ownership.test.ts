/** Who owns what: the worked example of a pressure that leaves the gap outside the tight end; every front and coverage of the book. */
import { describe, expect, it } from 'vitest';
import { DEFAULT_BOOK } from '../book/default-book';
import { drawSnap } from '../book/draw-snap';
import { COLLEGE } from '../field';
import { gapOwners, gapsOf } from './gaps';
import { ownership, type Ownership } from './ownership';
import { assignJobs } from './scheme-jobs';

const lookOf = (formation: string, front: string, coverage: string, more: object = {}) =>
  drawSnap(
    DEFAULT_BOOK,
    { formation, formationSide: 'R', front, coverage, play: 'pass', ...more } as never,
    'M',
    COLLEGE,
  ).look!;
const tightRight = lookOf('pro', '4-3 over', 'cover 3').offense.snap;

describe('gaps', () => {
  it('are one more a side than the men attached: a tight end right makes seven', () => {
    expect(gapsOf(tightRight).map((g) => g.gap)).toEqual(['CL', 'BL', 'AL', 'AR', 'BR', 'CR', 'DR']);
  });
  // Handbook of the work, 2.12: end → A left, nose → A right, middle backer delayed → B left, outside man → C left,
  // right tackle → B right, right end → C right: D right has no owner unless the safety is down.
  const rushes = [
    ['end', -0.8],
    ['nose', 0.8],
    ['mike', -2.4],
    ['outside', -4],
    ['tackle', 2.4],
    ['right end', 4],
  ].map(([name, x]) => ({ name: name as string, x: x as number }));
  const open = (fitters: { name: string; x: number }[]) =>
    gapOwners(tightRight, rushes, fitters)
      .filter((g) => g.owner === null)
      .map((g) => g.gap);
  it('find the one nobody has, and the safety who is down', () => {
    expect(open([])).toEqual(['DR']);
    expect(open([{ name: 'safety', x: 7 }])).toEqual([]);
    expect(open([{ name: 'far corner', x: 18 }])).toEqual(['DR']);
  });
  it('are shared out when a man is sent into another’s: the line slants, one gap each, and no farther', () => {
    const line = [
      ['end', -4],
      ['nose', -0.8],
      ['tackle', 2.4],
      ['right end', 4],
    ].map(([name, x]) => ({ name: name as string, x: x as number, slants: true }));
    const spread = lookOf('spread', '4-2 over', 'cover 1').offense.snap;
    const owners = (sent: readonly { name: string; x: number }[]) =>
      gapOwners(spread, [...line, ...sent], []).map((g) => `${g.gap} ${g.owner}`);
    // Backers through both A gaps: the nose is in the B gap.
    expect(
      owners([
        { name: 'M', x: -0.8 },
        { name: 'W', x: 0.8 },
      ]),
    ).toEqual(['CL end', 'BL nose', 'AL M', 'AR W', 'BR tackle', 'CR right end']);
    // A man outside the right end: he comes inside, and the tackle before him.
    expect(owners([{ name: 'S', x: 4 }]).slice(3)).toEqual(['AR tackle', 'BR right end', 'CR S']);
  });
  it('are filled as many as can be: the near man steps aside for the one who can go nowhere else', () => {
    const some = rushes.filter((r) => r.name !== 'right end' && r.name !== 'tackle');
    // B, C and D right are open; the man at 1 reaches B and C only.
    const owners = gapOwners(tightRight, some, [
      { name: 'a', x: 3.2 },
      { name: 'b', x: 5.4 },
      { name: 'c', x: 0.9 },
    ]);
    expect(owners.filter((g) => g.side === 'R').every((g) => g.owner !== null)).toBe(true);
    expect(new Set(owners.map((g) => g.owner)).size).toBe(7);
  });
});

describe('jobs of a scheme', () => {
  it('find the man with two, and nobody where each has his own', () => {
    const job = (job: string, ...can: string[]) => ({ job, can });
    expect(
      assignJobs('zone read', 'R', [
        job('the dive', 'N'),
        job('the quarterback', '$'),
        job('the bubble', '$'),
      ]).two,
    ).toEqual({ man: '$', jobs: ['the quarterback', 'the bubble'] });
    expect(
      assignJobs('zone read', 'R', [
        job('the dive', 'N'),
        job('the quarterback', '$', 'E'),
        job('the bubble', '$'),
      ]).two,
    ).toBeNull();
    expect(assignJobs('boot', 'L', [job('contain', 'E'), job('the flat')])).toMatchObject({
      two: null,
      jobs: [{ man: 'E' }, { man: null }],
    });
  });
});

describe('every front and coverage of the book against its formations', () => {
  const words = (kind: string) => DEFAULT_BOOK.terms.filter((t) => t.kind === kind).map((t) => t.word);
  const all: { call: string; own: Ownership; rush: number }[] = [];
  for (const formation of words('formation'))
    for (const front of words('front'))
      for (const coverage of words('coverage')) {
        const look = drawSnap(
          DEFAULT_BOOK,
          { formation, formationSide: 'R', front, coverage } as never,
          'L',
          COLLEGE,
        ).look;
        const own = look && ownership(look);
        if (own)
          all.push({ call: `${formation}, ${front}, ${coverage}`, own, rush: look.defense!.rush.count });
      }
  it('has every man once in the gaps and a man at least for each job it names', () => {
    expect(all.length).toBeGreaterThan(1000);
    for (const { call, own } of all) {
      const owners = own.gaps.flatMap((g) => g.owner ?? []);
      expect(new Set(owners).size, call).toBe(owners.length);
      for (const { two } of own.schemes) if (two) expect(two.jobs[0], call).not.toBe(two.jobs[1]);
    }
  });
  it('leaves nothing mirrored: the open gaps of a formation to the left are those to the right, turned', () => {
    for (const formation of ['trips', 'pro', 'wing'])
      for (const front of words('front').slice(0, 8)) {
        const open = (side: 'L' | 'R') =>
          ownership(lookOf(formation, front, 'cover 3', { formationSide: side }))!
            .gaps.filter((g) => g.owner === null)
            .map((g) => g.gap[0])
            .sort();
        expect(open('L'), `${formation} ${front}`).toEqual(open('R'));
      }
  });
});
