/** Every word of the default book against every other: what may never be drawn or counted, over the whole cross product. */
import { lookInput } from '../core/book';
import { DEFAULT_BOOK } from '../core/book/default-book';
import { COLLEGE } from '../core/field';
import { fullLook, type LookInput } from '../core/look';
import { defenseFaults } from '../core/look/invariants.fixture';
import { runFaults } from '../core/look/run/invariants.fixture';

export interface InvariantRun {
  readonly looks: number;
  readonly faults: number;
  /** Fronts that cannot play the coverage: warned, counted apart. */
  readonly cannot: number;
  readonly runs: number;
  readonly runFaults: number;
  readonly first: readonly string[];
  readonly seconds: number;
}

const words = (kind: string): string[] =>
  DEFAULT_BOOK.terms.filter((t) => t.kind === kind && (t.definition ?? t.spots)).map((t) => t.word);
const SIDES = ['L', 'R'] as const;
/** Coverages that stand the men a run meets in different places. */
const STANDING = ['quarters', 'cover 3', 'cover 1'];
/** Faults kept as sentences. */
const MOST = 20;

/** `every`: one look in so many, from the `offset`th; 1: all of them. */
export function invariantsOverEverything(
  every: number,
  progress: (text: string) => void = () => undefined,
  offset = 0,
): InvariantRun {
  const began = Date.now();
  const first: string[] = [];
  const totals = { looks: 0, faults: 0, cannot: 0, runs: 0, runFaults: 0 };
  const off = COLLEGE.fieldWidth / 2 - COLLEGE.hashToSideline;
  const seen = new Set<string>();
  const pressures = ['-', ...words('pressure')];
  let at = every - offset;
  const taken = (): boolean => at++ % every === 0;
  const note = (said: object, found: readonly string[]): number => {
    if (found.length > 0 && first.length < MOST)
      first.push(`${Object.values(said).join(' | ')}: ${found[0]}`);
    return found.length;
  };

  const defenses = (stood: Standing, front: string): void => {
    for (const coverage of words('coverage'))
      for (const pressure of pressures) {
        if (!taken()) continue;
        const said = { ...stood, front, coverage, pressure };
        const input: LookInput = lookInput(DEFAULT_BOOK, said, COLLEGE);
        const look = fullLook(input, COLLEGE)!;
        totals.looks++;
        if (look.defense!.warnings.some((w) => w.code === 'front_cannot_play_coverage')) totals.cannot++;
        const ball = stood.hash === 'L' ? -off : stood.hash === 'R' ? off : 0;
        totals.faults += note(said, defenseFaults(look, input, COLLEGE.fieldWidth, ball));
      }
  };
  const runs = (stood: Standing, front: string): void => {
    for (const coverage of STANDING)
      for (const concept of words('run'))
        for (const direction of SIDES) {
          if (!taken()) continue;
          const said = { ...stood, front, coverage, play: 'run' as const, concept, direction };
          totals.runs++;
          totals.runFaults += note(
            said,
            runFaults(fullLook(lookInput(DEFAULT_BOOK, said, COLLEGE), COLLEGE)!.ledger!),
          );
        }
  };

  for (const formation of words('formation')) {
    for (const backfield of words('backfield'))
      for (const formationSide of SIDES)
        for (const hash of ['L', 'M', 'R'] as const) {
          const stood: Standing = { formation, formationSide, backfield, hash };
          const men = JSON.stringify(fullLook(lookInput(DEFAULT_BOOK, stood, COLLEGE), COLLEGE)!.offense.men);
          // Backfields that a formation leaves no room for stand the same eleven.
          if (seen.has(hash + men)) continue;
          seen.add(hash + men);
          // Calls and fronts divide by many numbers: without a step more, the same ones always have their turn.
          at++;
          for (const front of words('front')) {
            at++;
            defenses(stood, front);
            if (hash === 'M') runs(stood, front);
          }
        }
    progress(`${formation}: ${totals.looks} looks, ${totals.runs} runs`);
  }
  return { ...totals, first, seconds: Math.round((Date.now() - began) / 1000) };
}

interface Standing {
  readonly formation: string;
  readonly formationSide: 'L' | 'R';
  readonly backfield: string;
  readonly hash: 'L' | 'M' | 'R';
}
