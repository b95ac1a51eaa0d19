/** The first draft of a sheet: each section filled as far as it comes up, each check with what worked; a coach decides. */
import { rankArgued, type Argument } from './argue';
import { ENOUGH_TO_DRAFT, ownAnswers, shownBy, type OwnAnswer, type ShownPicture } from './checks';
import type { Columns } from '../read/columns';
import { COMES_UP } from './audits';
import { argueSection, type ArguedFilm, type SectionArguments } from './section-arguments';
import { sizeSection } from './sizing';
import type { SectionSpec } from './sections';
import { playLook, suggestCalls, type Fits, type PlayCard, type Suggestion } from './sheet';

export interface DraftFilm extends ArguedFilm {
  readonly sections: readonly SectionSpec[];
  readonly fits: Fits;
  /** What was argued already, of this film and these plays. */
  readonly argued?: (section: SectionSpec) => SectionArguments | null;
}

/** Plays of a section argued and ranked; those never run stay behind. */
export function rankPlays(
  film: Omit<DraftFilm, 'sections'>,
  section: SectionSpec,
): { readonly ranked: readonly Suggestion[]; readonly argued: SectionArguments } {
  const argued = film.argued?.(section) ?? argueSection(film, section);
  return {
    ranked: rankArgued(suggestCalls(film.plays, film.columns, film.team, section, film.fits), argued),
    argued,
  };
}

export interface DraftedCall {
  readonly section: string;
  readonly play: PlayCard;
  readonly argument: Argument;
  readonly reasons: readonly string[];
}

/**
 * What a call loses for standing on the sheet already, and for a second run or pass from one picture in its section: a
 * staff that draws from few calls is read (common practice). In success, 0 to 1.
 */
const AGAIN = 0.03;
const SAME_PICTURE = 0.02;
/**
 * A play stands on a drafted sheet so often at most, where the play list is long enough for it: three times one picture
 * with one play is what the audit warns of. Measured in bench/held-out, where no defense reads a sheet: three would be
 * worth 1.5, six 2.7 points of success.
 */
const MOST_TIMES = 2;

/**
 * Fills each section with as many calls as are enough for it (sizing). A short play list is shared among them, a call
 * each time where most would be lost without it (Vogel's rule for the transportation problem, from memory). Sections
 * that do not come up, or that no film sizes, stay empty; calls that stand there already count.
 */
export function draftCalls(
  film: DraftFilm,
  standing: readonly { readonly section: string; readonly play: PlayCard }[] = [],
): DraftedCall[] {
  const wanted = film.sections.flatMap((section) => {
    const size = sizeSection(film.columns, film.team, film.opponent, section);
    if (size === null || size.expected.mean < COMES_UP) return [];
    const { ranked, argued } = rankPlays(film, section);
    const candidates = ranked.flatMap(({ play }) => {
      const argument = argued.get(play.id);
      // What the book cannot say is offered, and not drafted.
      return argument && film.fits(section, play) ? [{ play, argument }] : [];
    });
    return [{ section: section.key, suggested: size.suggested, candidates }];
  });
  const drafted: DraftedCall[] = [];
  const times = new Map<string, number>();
  for (const { play } of standing) times.set(play.id, (times.get(play.id) ?? 0) + 1);
  const heres = new Map(
    wanted.map(({ section }) => [section, standing.filter((c) => c.section === section).map((c) => c.play)]),
  );
  /** A call more where most would be lost without it; false: no section wants one that may stand so often. */
  const one = (most: number): boolean => {
    let next: { readonly section: string; readonly best: Worthy; readonly lost: number } | null = null;
    for (const { section, suggested, candidates } of wanted) {
      const here = heres.get(section)!;
      if (here.length >= suggested) continue;
      const [best, second] = bestTwo(candidates, here, times, most);
      if (best === null) continue;
      const lost = best.worth - (second?.worth ?? -1);
      if (next === null || lost > next.lost) next = { section, best, lost };
    }
    if (next === null) return false;
    const { play, argument } = next.best;
    drafted.push({ section: next.section, play, argument, reasons: reasonsOf(argument) });
    times.set(play.id, (times.get(play.id) ?? 0) + 1);
    heres.get(next.section)!.push(play);
    return true;
  };
  for (let most = MOST_TIMES; most <= wanted.length; most++) while (one(most));
  const order = new Map(film.sections.map((s, i) => [s.key, i]));
  return drafted.sort(
    (a, b) => order.get(a.section)! - order.get(b.section)! || b.argument.low - a.argument.low,
  );
}

interface Candidate {
  readonly play: PlayCard;
  readonly argument: Argument;
}
interface Worthy extends Candidate {
  readonly worth: number;
}
/** Of those that may stand once more. */
function bestTwo(
  candidates: readonly Candidate[],
  here: readonly PlayCard[],
  times: ReadonlyMap<string, number>,
  most: number,
): readonly [Worthy | null, Worthy | null] {
  let [best, second]: [Worthy | null, Worthy | null] = [null, null];
  for (const one of candidates) {
    const often = times.get(one.play.id) ?? 0;
    if (often >= most || here.some((play) => play.id === one.play.id)) continue;
    const alike = here.filter(
      (play) =>
        playLook(play) === playLook(one.play) && (play.kind === 'pass') === (one.play.kind === 'pass'),
    ).length;
    const worth = one.argument.low - AGAIN * often - SAME_PICTURE * alike;
    if (best === null || worth > best.worth) [best, second] = [{ ...one, worth }, best];
    else if (second === null || worth > second.worth) second = { ...one, worth };
  }
  return [best, second];
}

const percent = (share: number): string => `${Math.round(100 * share)} %`;

/** The looks that carry it, with whose snaps. */
function reasonsOf({ score, low, high, n, looks, structure }: Argument): string[] {
  const against = structure === null ? 'what they show' : `what ${structure} draws`;
  return [
    `expect success ${percent(score)} (${percent(low)} to ${percent(high)}) against ${against}, n ${n}`,
    ...looks
      .slice(0, 2)
      .map(
        (l) =>
          `${l.words}: theirs ${l.theirs.length} of ${n}, ours ${l.ours.length === 0 ? 'never run against it' : `${l.k} of ${l.ours.length}`}`,
      ),
  ];
}

export interface DraftedCheck {
  readonly shown: ShownPicture;
  /** Null: our film holds too few snaps against it, and too few of any call, to draft from. */
  readonly answer: OwnAnswer | null;
  /** Counted on this picture, or on any where it was seldom met. */
  readonly on: 'picture' | 'anywhere';
}

/** What our defense may answer each structure they have shown with: what allowed least, at the worst, among calls of which enough is on film. */
export function draftChecks(columns: Columns, team: string, opponent: string): DraftedCheck[] {
  const enough = (list: readonly OwnAnswer[]): OwnAnswer | null =>
    list.find((a) => a.allowed.n >= ENOUGH_TO_DRAFT) ?? null;
  const anywhere = enough(ownAnswers(columns, team, null));
  return shownBy(columns, opponent).structures.map((shown): DraftedCheck => {
    const answer = enough(ownAnswers(columns, team, shown.picture));
    return answer ? { shown, answer, on: 'picture' } : { shown, answer: anywhere, on: 'anywhere' };
  });
}
