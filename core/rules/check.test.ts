import { describe, expect, it } from 'vitest';
import { COLLEGE, HIGH_SCHOOL } from '../field';
import { blankSnap, type Snap, type SnapFields } from '../snap';
import {
  checkGame,
  findingWords,
  remedyLabel,
  walkGame,
  FINDING_CODES,
  type Finding,
  type FindingCode,
} from './index';

const START: SnapFields = {
  offense: 'A',
  defense: 'B',
  unit: 'scrimmage',
  quarter: 1,
  clock: 600,
  down: 1,
  distance: 10,
  toGoal: 65,
  result: 'gain',
  gain: 6,
};
const game = (...snaps: SnapFields[]): Snap[] =>
  snaps.map((s, i) => ({ ...blankSnap(`s${i + 1}`, 'g', i + 1), ...s }));
/** A try is returned at every level but one. */
const levelOf = (code: FindingCode) => (code === 'try-returned' ? HIGH_SCHOOL : COLLEGE);
const findings = (...snaps: SnapFields[]): Finding[] => checkGame(game(...snaps), COLLEGE);

/** For each code one small game that earns it, the level it earns, and the sentence. */
const CASES: Readonly<
  Record<
    FindingCode,
    { readonly snaps: SnapFields[]; readonly level: Finding['level']; readonly sentence: RegExp }
  >
> = {
  possession: {
    snaps: [START, { offense: 'B', defense: 'A', down: 1, distance: 10, toGoal: 40 }],
    level: 'finding',
    sentence: /B with the ball was logged; gain of 6 on 1st & 10 leaves A with the ball/,
  },
  unit: {
    snaps: [START, { unit: 'kickoff', toGoal: 65 }],
    level: 'finding',
    sentence: /kickoff, own 35 was logged/,
  },
  down: {
    snaps: [START, { down: 3, distance: 4 }],
    level: 'finding',
    sentence: /3rd & 4 was logged; gain of 6 on 1st & 10 leaves 2nd & 4/,
  },
  distance: { snaps: [START, { down: 2, distance: 8 }], level: 'finding', sentence: /2nd & 8 was logged/ },
  spot: {
    snaps: [START, { toGoal: 41 }],
    level: 'finding',
    sentence: /their 41 was logged; gain of 6 on 1st & 10 leaves own 41/,
  },
  score: {
    snaps: [{ ...START, pointsFor: 0 }, { pointsFor: 7 }],
    level: 'finding',
    sentence: /A was logged with 7 points; what came before gives 0/,
  },
  clock: { snaps: [START, { clock: 700 }], level: 'finding', sentence: /The clock reads 11:40 after 10:00/ },
  quarter: {
    snaps: [{ ...START, quarter: 2 }, { quarter: 1 }],
    level: 'finding',
    sentence: /Quarter 1 was logged after quarter 2/,
  },
  hash: {
    snaps: [{ ...START, deadHash: 'L', deadPossession: 'A', deadToGoal: 59 }, { hash: 'R' }],
    level: 'note',
    sentence: /dead on the left hash/,
  },
  'missing-film': {
    snaps: [START, { result: 'gain' }, { result: 'gain', gain: 2 }],
    level: 'cannot_know',
    sentence: /cannot be known/,
  },
  'missing-kick': {
    snaps: [
      { ...START, gain: 65, score: 'touchdown', scoredBy: 'A' },
      { offense: 'B', defense: 'A', unit: 'scrimmage', down: 1, distance: 10, toGoal: 75 },
    ],
    level: 'cannot_know',
    sentence: /A try should come first/,
  },
  'gain-and-spot': {
    snaps: [{ ...START, deadToGoal: 50, deadPossession: 'A' }],
    level: 'finding',
    sentence: /A gain of 6 from own 35 ends at own 41, but the ball was logged dead at 50/,
  },
  'return-and-spot': {
    snaps: [
      {
        ...START,
        unit: 'punt',
        result: 'kick',
        gain: null,
        down: 4,
        kickYards: 40,
        returnYards: 10,
        deadToGoal: 80,
        deadPossession: 'B',
      },
    ],
    level: 'finding',
    sentence: /From own 35, 40 yards and a return of 10 leave own 35, but the ball was logged dead at own 20/,
  },
  'goal-line': {
    snaps: [{ ...START, toGoal: 5, distance: 5 }],
    level: 'finding',
    sentence: /reaches the goal line, but no touchdown/,
  },
  'touchdown-gain': {
    snaps: [{ ...START, score: 'touchdown', scoredBy: 'A' }],
    level: 'finding',
    sentence: /is a gain of 65, not 6/,
  },
  'no-distance': {
    snaps: [{ ...START, toGoal: 8, gain: 1 }],
    level: 'finding',
    sentence: /the goal line is 8 away/,
  },
  'kick-length': {
    snaps: [
      {
        ...START,
        unit: 'field_goal',
        down: 4,
        toGoal: 20,
        result: 'kick',
        gain: null,
        kickYards: 45,
        kickEnd: 'missed',
      },
    ],
    level: 'finding',
    sentence: /36 to 39 yards long, not 45/,
  },
  people: {
    snaps: [{ ...START, personnel: '33' }],
    level: 'finding',
    sentence: /six|6 backs and tight ends/,
  },
  'next-offense': {
    snaps: [{ ...START, nextOffense: 'B' }],
    level: 'finding',
    sentence: /B was logged to put the ball in play next/,
  },
  'half-kickoff': {
    snaps: [
      {
        offense: 'A',
        defense: 'B',
        unit: 'kickoff',
        quarter: 1,
        toGoal: 65,
        result: 'kick',
        kickEnd: 'touchback',
      },
      { quarter: 3, offense: 'A', defense: 'B', unit: 'kickoff', toGoal: 65 },
    ],
    level: 'note',
    sentence: /normally kicks off the second half/,
  },
  teams: { snaps: [{ ...START, defense: 'A' }], level: 'finding', sentence: /same team/ },
  'try-returned': {
    snaps: [
      {
        offense: 'A',
        defense: 'B',
        unit: 'try',
        quarter: 1,
        toGoal: 3,
        result: 'gain',
        score: 'defensive_try',
      },
    ],
    level: 'finding',
    sentence: /try is over when the defense has the ball/,
  },
};

describe('every finding there is', () => {
  for (const code of FINDING_CODES) {
    it(code, () => {
      const all = checkGame(game(...CASES[code].snaps), levelOf(code));
      const found = all.find((f) => f.code === code);
      expect(found, JSON.stringify(all)).toBeDefined();
      expect(found!.level).toBe(CASES[code].level);
      expect(findingWords(found!).sentence).toMatch(CASES[code].sentence);
    });
  }

  it('has a case of its own here', () => {
    expect(Object.keys(CASES).sort()).toEqual([...FINDING_CODES].sort());
  });
});

describe('remedies', () => {
  const apply = (snaps: Snap[], finding: Finding, i: number): Snap[] =>
    snaps.map((s) => ({ ...s, ...finding.remedies[i]!.patches.find((p) => p.snapId === s.snapId)?.fields }));

  it('of a wrong distance: this one, the gain before, or a missing snap', () => {
    const snaps = game(START, { down: 2, distance: 7, result: 'gain', gain: 1 });
    const [finding] = checkGame(snaps, COLLEGE);
    expect(finding!.remedies.map(remedyLabel)).toEqual([
      'this is 2nd & 4',
      'the gain before was 3',
      'a snap is missing before it',
      'a snap before it is not on the film',
    ]);
    expect(checkGame(apply(snaps, finding!, 0), COLLEGE)).toEqual([]);
    expect(checkGame(apply(snaps, finding!, 1), COLLEGE)).toEqual([]);
    expect(finding!.remedies[2]!.insertBefore).toBe('s2');
    // Marked as not on the film it holds its place: nothing follows from it, and nothing contradicts it.
    const { insertBefore, fields } = finding!.remedies[3]!;
    const at = snaps.findIndex((s) => s.snapId === insertBefore);
    const marked = snaps.flatMap((s, i) =>
      i === at ? [{ ...blankSnap('lost', s.game, s.order - 0.5), ...fields }, s] : [s],
    );
    expect(checkGame(marked, COLLEGE).filter((f) => f.level === 'finding')).toEqual([]);
    const walked = walkGame(marked, COLLEGE);
    expect(walked.map((r) => r.number)).toEqual([1, 2, 3].slice(0, marked.length));
    expect(walked[at]!.after.state).toMatchObject({
      down: null,
      distance: null,
      toGoal: null,
      offense: null,
    });
  });

  it('do not offer a gain nobody loses', () => {
    const [finding] = findings(START, { toGoal: 95 });
    expect(finding!.remedies.map(remedyLabel)).not.toContain('the gain before was -30');
  });

  it('clear what they fix wherever they carry a patch', () => {
    for (const code of FINDING_CODES) {
      const snaps = game(...CASES[code].snaps);
      const finding = checkGame(snaps, levelOf(code)).find((f) => f.code === code);
      finding?.remedies.forEach((r, i) => {
        if (r.patches.length === 0) return;
        const left = checkGame(apply(snaps, finding, i), levelOf(code)).filter(
          (f) => f.code === code && f.snapId === finding.snapId,
        );
        expect(left, `${code}: ${remedyLabel(r)}`).toEqual([]);
      });
    }
  });
});

it('a foul between two snaps is carried, not blamed', () => {
  expect(
    findings(
      START,
      {
        result: 'no_play',
        penalties: [{ side: 'o', name: 'holding', yards: 10, from: 'prev', outcome: 'accepted', extra: '' }],
      },
      { down: 2, distance: 14, toGoal: 69 },
    ),
  ).toEqual([]);
});

describe('a score', () => {
  it('is nothing to nothing at the opening kickoff', () => {
    const [row] = walkGame(
      game({ offense: 'A', defense: 'B', unit: 'kickoff', quarter: 1, toGoal: 65 }),
      COLLEGE,
    );
    expect([row!.pointsFor, row!.pointsAgainst]).toEqual([0, 0]);
  });

  it('is not known where the film begins later, until it is typed', () => {
    const rows = walkGame(
      game(
        START,
        { score: 'touchdown', scoredBy: 'A', result: 'gain', gain: 59 },
        { offense: 'A', unit: 'try', pointsFor: 13, pointsAgainst: 7 },
      ),
      COLLEGE,
    );
    expect(rows.map((r) => [r.pointsFor, r.pointsAgainst])).toEqual([
      [null, null],
      [null, null],
      [13, 7],
    ]);
  });
});
