/**
 * The mix of a section's calls that no choice of theirs could punish: a matrix game of calls against looks, what they
 * hold us to at most, solved as a linear program (von Neumann, Zur Theorie der Gesellschaftsspiele, 1928). Beside it the
 * mix that stands on the sheet, and what they show. It says what is safe, not what is best against their habits.
 */
import jStat from 'jstat';
import {
  DRAWS,
  drawn,
  evidenceOf,
  expected,
  shares,
  SHELLS,
  shownWeights,
  type Evidence,
  type Films,
} from './argue';
import type { PlayCard } from './sheet';

export interface MixCall {
  readonly play: PlayCard;
  /** Share of it among the section's calls as they stand. */
  readonly share: number;
}
export interface MixGame {
  readonly calls: readonly MixCall[];
  readonly looks: readonly {
    readonly key: string;
    readonly words: string;
    readonly share: number;
    readonly theirs: Uint32Array;
  }[];
  /** Success of each call against each look. */
  readonly payoff: readonly (readonly number[])[];
  readonly evidence: readonly Evidence[];
  /** Calls of the section without own film: nothing is known of them, and they are left out. */
  readonly without: readonly PlayCard[];
}

/** `called`: the plays of the section's calls, one a call. */
export function mixGame(films: Films, called: readonly PlayCard[]): MixGame {
  const counts = new Map<string, { play: PlayCard; n: number }>();
  for (const play of called) counts.set(play.id, { play, n: (counts.get(play.id)?.n ?? 0) + 1 });
  const known = [...counts.values()].flatMap(({ play, n }) => {
    const evidence = evidenceOf(play, SHELLS, films);
    return evidence ? [{ play, n, evidence }] : [];
  });
  const all = known.reduce((sum, { n }) => sum + n, 0);
  const faced = films.shownTo(null, SHELLS);
  const weights = shares(shownWeights(SHELLS, null, films));
  return {
    calls: known.map(({ play, n }) => ({ play, share: n / all })),
    looks: SHELLS.map(({ key, words }, i) => ({ key, words, share: weights[i]!, theirs: faced[i]! })),
    payoff: known.map(({ evidence }) => expected(evidence)),
    evidence: known.map(({ evidence }) => evidence),
    without: [...counts.values()]
      .filter(({ play }) => !known.some((k) => k.play.id === play.id))
      .map(({ play }) => play),
  };
}

const term = (x: number): string => `${x < 0 ? '-' : '+'} ${Math.abs(x).toFixed(9)}`;
/** The game as a linear program in CPLEX's LP format: the most that the mix x is sure of, v. */
export function mixProgram(payoff: readonly (readonly number[])[]): string {
  const looks = payoff[0]?.length ?? 0;
  return [
    'Maximize',
    ' obj: v',
    'Subject To',
    ...Array.from(
      { length: looks },
      (_, j) => ` look${j}: ${payoff.map((row, i) => `${term(row[j]!)} x${i}`).join(' ')} - v >= 0`,
    ),
    ` whole: ${payoff.map((_, i) => `x${i}`).join(' + ')} = 1`,
    'Bounds',
    ' v free',
    'End',
    '',
  ].join('\n');
}

/** What a mix gives against each look. */
export const against = (payoff: readonly (readonly number[])[], mix: readonly number[]): number[] =>
  (payoff[0] ?? []).map((_, j) => mix.reduce((sum, x, i) => sum + x * payoff[i]![j]!, 0));

export interface MixWorth {
  /** What each mix is sure of, whatever they show. */
  readonly safe: number;
  readonly ours: number;
  /** The look that holds ours to it. */
  readonly worst: number;
  /** Against what they have shown. */
  readonly safeShown: number;
  readonly oursShown: number;
  /** How much more the safe mix is sure of, and the 95 % interval by draws of the rates. */
  readonly gain: number;
  readonly low: number;
  readonly high: number;
}
/** `next`: uniform in [0, 1). */
export function mixWorth(
  { calls, looks, payoff, evidence }: MixGame,
  safe: readonly number[],
  next: () => number,
): MixWorth {
  const ours = calls.map((call) => call.share);
  const sure = (of: readonly (readonly number[])[], mix: readonly number[]): number =>
    Math.min(...against(of, mix));
  const shown = (mix: readonly number[]): number =>
    against(payoff, mix).reduce((sum, s, j) => sum + s * looks[j]!.share, 0);
  jStat.setRandom(next);
  const gains = Float64Array.from({ length: DRAWS }, () => {
    const rates = evidence.map(drawn);
    return sure(rates, safe) - sure(rates, ours);
  }).sort();
  const all = against(payoff, ours);
  return {
    safe: sure(payoff, safe),
    ours: sure(payoff, ours),
    worst: all.indexOf(Math.min(...all)),
    safeShown: shown(safe),
    oursShown: shown(ours),
    gain: sure(payoff, safe) - sure(payoff, ours),
    low: gains[Math.floor(0.025 * DRAWS)]!,
    high: gains[Math.ceil(0.975 * DRAWS) - 1]!,
  };
}
