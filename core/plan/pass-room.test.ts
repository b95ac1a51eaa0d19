import { describe, expect, it } from 'vitest';
import { assignPlay, drawSnap, findTerm, playOf, type Assignment, type PassDef } from '../book';
import { DEFAULT_BOOK } from '../book/default-book';
import { COLLEGE } from '../field';
import type { FullLook } from '../look';
import { postLane, screenRoom } from './pass-room';

/** Duties alone, as far as room asks for them. */
const against = (
  duties: readonly { does: string; x?: number; level?: string; covers?: unknown }[],
): FullLook => {
  const men = duties.map(({ x = 0, level = 'backer' }) => ({ x, level }));
  return {
    defense: {
      men,
      duties: duties.map(({ does, x = 0, covers = null }, i) => ({ does, covers, man: men[i], to: [x, 8] })),
    },
  } as unknown as FullLook;
};
const SCREEN = { type: 'screen' } as PassDef;
const play = (
  jobs: readonly (readonly [letter: string, job: string, x: number])[],
  screen: 'L' | 'R' | null = null,
): Assignment =>
  ({
    jobs: new Map(jobs.map(([letter, job]) => [letter, job])),
    men: jobs.map(([letter, , x]) => ({ letter, x, role: 'eligible' })),
    screen,
  }) as unknown as Assignment;

describe('room for a screen', () => {
  it('handbook: two in the half, guard and tackle out: each has a man; against three the runner must beat one', () => {
    const guardAndTackle = play(
      [
        ['RG', 'screen', 1.6],
        ['RT', 'screen', 3.2],
        ['T', 'slip', 1.8],
      ],
      'R',
    );
    const two = [
      { does: 'under', x: 5 },
      { does: 'under', x: 12 },
      { does: 'under', x: -6 },
      { does: 'deep', x: -4 },
      { does: 'rush', x: 4 },
    ];
    expect(screenRoom(SCREEN, guardAndTackle, against(two))).toBe(
      'Screen right: 2 men under in that half as drawn, 0 deep, 2 blockers out there: each has a man.',
    );
    expect(screenRoom(SCREEN, guardAndTackle, against([...two, { does: 'spy', x: 1 }]))).toMatch(
      /: 3 men under .*: the runner must beat one\.$/,
    );
  });
  it('a man is carried off by who runs a route, and stays with who blocks or catches', () => {
    const jobs = play(
      [
        ['C', 'screen', 0],
        ['Z', 'go', 20],
        ['H', 'stalk', 9],
        ['T', 'slip', 1.8],
      ],
      'R',
    );
    const on = (letter: string) => jobs.men.find((m) => m.letter === letter);
    const men = (covers: readonly string[]) =>
      against(covers.map((letter) => ({ does: 'man', x: 9, covers: on(letter) })));
    expect(screenRoom(SCREEN, jobs, men(['Z', 'H', 'T']))).toMatch(/^Screen right: 2 men .* 2 blockers/);
    expect(screenRoom(SCREEN, jobs, men(['Z']))).toMatch(/^Screen right: 0 men/);
  });
  it('is not said of a pass that is no screen, nor against a shell that leaves men without a job', () => {
    const fields = (concept: string, coverage: string) => ({
      formation: 'trips',
      formationSide: 'R' as const,
      backfield: 'gun',
      concept,
      play: 'pass' as const,
      front: '4-2 over',
      coverage,
      pressure: '-',
    });
    const room = (concept: string, coverage: string): string | null => {
      const of = fields(concept, coverage);
      const known = playOf(DEFAULT_BOOK, of)!;
      const { look } = drawSnap(DEFAULT_BOOK, of, null, COLLEGE, {});
      if (known.def.kind !== 'pass') throw new Error('not a pass');
      return screenRoom(known.def.pass, assignPlay(known.def, known.base, 'R', COLLEGE), look!);
    };
    expect(room('stick', 'cover 3')).toBeNull();
    expect(room('slip screen', 'two high')).toBeNull();
    expect(room('slip screen', 'cover 3')).toMatch(/^Screen left: \d m[ae]n under/);
    // Three receivers there, one catches and two block: against three over them one is too many (common practice).
    expect(room('bubble', 'quarters')).toBe(
      'Thrown to the edge: right 2 blockers for 3 men over them as drawn, the runner must beat one.',
    );
  });
  it('every screen of the book against every coverage: the same picture to the other side says the same there', () => {
    const words = (kind: 'pass' | 'coverage') =>
      DEFAULT_BOOK.terms.filter((t) => t.kind === kind).map((t) => t.word);
    const screens = words('pass').filter((word) => {
      const definition = findTerm(DEFAULT_BOOK, 'pass', word)?.definition;
      return definition?.kind === 'pass' && definition.pass.type === 'screen';
    });
    let said = 0;
    for (const concept of screens)
      for (const coverage of words('coverage')) {
        const [right, left] = (['R', 'L'] as const).map((formationSide) => {
          const of = {
            formation: 'trips',
            formationSide,
            backfield: 'gun',
            concept,
            play: 'pass' as const,
            front: '4-2 over',
            coverage,
            pressure: '-',
          };
          const known = playOf(DEFAULT_BOOK, of)!;
          const { look } = drawSnap(DEFAULT_BOOK, of, null, COLLEGE, {});
          if (known.def.kind !== 'pass') return null;
          return screenRoom(known.def.pass, assignPlay(known.def, known.base, formationSide, COLLEGE), look!);
        });
        const mirrored = left?.replace(/left|right/g, (word) => (word === 'left' ? 'right' : 'left')) ?? null;
        const parts = (text: string | null | undefined) => text?.split(/[:;] ?/).sort() ?? [];
        expect(parts(mirrored), `${concept}, ${coverage}`).toEqual(parts(right));
        if (right) said++;
      }
    expect(said).toBeGreaterThan(100);
  });
});

describe('the lane of a post', () => {
  const posts = play([['X', 'post', -18]]);
  const safeties = (apart: number) =>
    against([-1, 1].map((sign) => ({ does: 'deep', level: 'safety', x: (sign * apart) / 2 })));
  it('handbook: 24 yards apart leave 7, 16 leave 3, with five of reach', () => {
    expect(postLane(posts, safeties(24), null)).toMatch(
      /^X on a post between two safeties 24 yards apart as drawn: a lane of 7 yards,/,
    );
    expect(postLane(posts, safeties(16), null)).toMatch(/16 yards apart as drawn: a lane of 3 yards,/);
    expect(postLane(posts, safeties(9), null)).toMatch(/: no lane,/);
  });
  it('needs a post and two safeties deep', () => {
    expect(postLane(play([['X', 'go', -18]]), safeties(24), null)).toBeNull();
    expect(postLane(posts, against([{ does: 'deep', level: 'safety' }]), null)).toBeNull();
    expect(postLane(posts, { defense: null } as FullLook, null)).toBeNull();
  });
});
