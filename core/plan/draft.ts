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
 * Fills each section with as many calls as are enough for it (sizing): one after another a call each, so that a short
 * play list is shared among them, the best of what can be argued first. Sections that do not come up, or that no film
 * sizes, stay empty; calls that stand there already count.
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
  const all: { readonly section: string; readonly play: PlayCard }[] = [...standing];
  /** One call more in each section that wants one and has a play for it; false: there is none. */
  const round = (most: number): boolean => {
    let added = false;
    for (const { section, suggested, candidates } of wanted) {
      const here = all.filter((c) => c.section === section);
      if (here.length >= suggested) continue;
      const best = bestOf(candidates, here, all, most);
      if (best === null) continue;
      const call = { section, ...best, reasons: reasonsOf(best.argument) };
      drafted.push(call);
      all.push(call);
      added = true;
    }
    return added;
  };
  for (let most = MOST_TIMES; most <= wanted.length; most++) while (round(most));
  const order = new Map(film.sections.map((s, i) => [s.key, i]));
  return drafted
    .map((call, i) => ({ call, i }))
    .sort((a, b) => order.get(a.call.section)! - order.get(b.call.section)! || a.i - b.i)
    .map(({ call }) => call);
}

interface Candidate {
  readonly play: PlayCard;
  readonly argument: Argument;
}
function bestOf(
  candidates: readonly Candidate[],
  here: readonly { readonly play: PlayCard }[],
  all: readonly { readonly play: PlayCard }[],
  most: number,
): Candidate | null {
  let best: Candidate | null = null;
  let worthMost = -Infinity;
  for (const one of candidates) {
    const times = all.filter((c) => c.play.id === one.play.id).length;
    if (times >= most || here.some((c) => c.play.id === one.play.id)) continue;
    const alike = here.filter(
      (c) =>
        playLook(c.play) === playLook(one.play) && (c.play.kind === 'pass') === (one.play.kind === 'pass'),
    ).length;
    const worth = one.argument.low - AGAIN * times - SAME_PICTURE * alike;
    if (worth > worthMost) [best, worthMost] = [one, worth];
  }
  return best;
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
