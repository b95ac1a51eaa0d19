/** From one play, every other picture it can be shown from; and what in a defense's picture calls for its complement. */
import type { LevelProfile } from '../field/profile';
import type { Side } from '../field/spot';
import {
  optionOpen,
  sideStructure,
  type FullLook,
  type MotionKind,
  type Spot,
  type StrengthRule,
} from '../look';
import type { SnapFields } from '../snap/snap';
import { findTerm } from './index-terms';
import {
  assignPlay,
  changedJobs,
  peopleShown,
  pictureDistance,
  presentable,
  type JobChange,
} from './assignment';
import type { Assignment, Presentation } from './presented';
import type { PlayDef } from './play';
import { presentationOf, taggedWord } from './look-words';
import { conceptOf } from './resolve-look';
import type { Book, Term } from './term';

export interface NamedPresentation extends Presentation {
  readonly formationWord: string;
  readonly backfieldWord: string | null;
  readonly motionWord: string | null;
}

export interface RankedPresentation {
  readonly shown: NamedPresentation;
  readonly assignment: Assignment;
  /** What a defense sees that is new; 0 the same. */
  readonly distance: number;
  readonly changes: readonly JobChange[];
  /** Backs, then attached tight ends, as the alignment shows. */
  readonly people: string;
}

/** A play's meaning and the picture its words show; null where the book does not know them. */
export function playOf(
  book: Book,
  partial: SnapFields,
): { readonly def: PlayDef; readonly base: NamedPresentation } | null {
  const def = conceptOf(book, partial);
  const presentation = presentationOf(book, partial);
  return def && presentation
    ? {
        def,
        base: {
          ...presentation,
          formationWord: taggedWord(partial.formation)!,
          backfieldWord: taggedWord(partial.backfield),
          motionWord: taggedWord(partial.motion),
        },
      }
    : null;
}

/**
 * All pictures of the book from which the play can be shown: formations both ways round, backfields,
 * and from the backfield of the base each motion by each receiver (a play that needs a mover keeps
 * its own). Ranked by how different they look for how few new jobs, the best of each formation before further ones. `people`: keep only those that
 * this personnel can line up in (tight ends may flex, backs may not). `order`: the staff's strength.
 */
export function presentationsOf(
  def: PlayDef,
  base: NamedPresentation,
  to: Side,
  book: Book,
  profile: LevelProfile,
  people: string | null = null,
  order?: readonly StrengthRule[],
): RankedPresentation[] {
  const own = assignPlay(def, base, to, profile, order);
  const picture = { structure: own.structure, motion: base.motion };
  const quarterbackOut = own.structure.backfield.quarterback === 'out';
  const backfields = book.terms.filter((t) => t.kind === 'backfield' && t.spots);
  const needsMover = def.kind === 'run' && def.run.carrier === 'mover';
  const motions = book.terms.flatMap((term) =>
    term.definition?.kind === 'motion' && RECEIVER_MOTIONS.has(term.definition.motion)
      ? [{ word: term.word, kind: term.definition.motion }]
      : [],
  );
  const out: RankedPresentation[] = [];
  const seen = new Set<string>();
  for (const term of book.terms) {
    if (term.kind !== 'formation' || !term.spots) continue;
    for (const side of ['L', 'R'] as const) {
      const still: MotionOf = needsMover
        ? { motion: base.motion, motionWord: base.motionWord, motionBy: base.motionBy, motionSide: to }
        : STILL;
      const shows: (readonly [Term, MotionOf])[] = backfields.map((b) => [b, still] as const);
      const usual = backfields.find((b) => b.word === base.backfieldWord) ?? backfields[0];
      if (!needsMover && usual)
        for (const motion of motions)
          for (const spot of term.spots)
            if (isWide(spot))
              shows.push([
                usual,
                { motion: motion.kind, motionWord: motion.word, motionBy: spot.letter, motionSide: null },
              ]);
      for (const [backfield, motion] of shows) {
        const shown: NamedPresentation = {
          formation: term.spots,
          formationWord: term.word,
          side,
          backfield: backfield.spots!,
          backfieldWord: backfield.word,
          ...motion,
        };
        if (needsMover && !term.spots.some((s) => s.letter === base.motionBy)) continue;
        const assignment = assignPlay(def, shown, to, profile, order);
        if (!presentable(assignment, profile).legal) continue;
        // Who takes the snap is another play, not another picture.
        if ((assignment.structure.backfield.quarterback === 'out') !== quarterbackOut) continue;
        const showing = peopleShown(assignment.structure);
        if (people !== null && (showing[0] !== people[0] || Number(showing[1]) > Number(people[1]))) continue;
        // Backfields that a formation leaves no room for show the same eleven.
        const key = `${motion.motionBy}${motion.motion}${assignment.men
          .map((m) => `${m.letter}${m.x},${m.depth}`)
          .sort()
          .join(' ')}`;
        if (seen.has(key)) continue;
        seen.add(key);
        const distance = pictureDistance(picture, { structure: assignment.structure, motion: shown.motion });
        if (distance === 0) continue;
        out.push({ shown, assignment, distance, changes: changedJobs(own, assignment), people: showing });
      }
    }
  }
  const worth = (r: RankedPresentation): number => r.distance / (1 + r.changes.length);
  const ranked = out.sort(
    (a, b) =>
      worth(b) - worth(a) ||
      a.changes.length - b.changes.length ||
      a.shown.formationWord.localeCompare(b.shown.formationWord),
  );
  // The best of each formation first: five backfields of one are not five ideas.
  const met = new Set<string>();
  const best: RankedPresentation[] = [];
  const rest: RankedPresentation[] = [];
  for (const one of ranked) {
    (met.has(one.shown.formationWord) ? rest : best).push(one);
    met.add(one.shown.formationWord);
  }
  return [...best, ...rest];
}

type MotionOf = Pick<NamedPresentation, 'motion' | 'motionWord' | 'motionBy' | 'motionSide'>;
const STILL: MotionOf = { motion: null, motionWord: null, motionBy: null, motionSide: null };
/** Motions a receiver makes from where he stands. */
const RECEIVER_MOTIONS: ReadonlySet<MotionKind> = new Set([
  'fast across',
  'across wide',
  'behind and on',
  'behind and back',
  'in and out',
  'short',
  'out',
]);
/** Off the line and not attached: free to go in motion. */
const isWide = (spot: Spot): boolean =>
  !spot.onLine && Math.abs(spot.x) > 5 && spot.letter.length === 1 && spot.letter !== 'Q';

export interface Constraint {
  /** The base play by its word, and the play that punishes what takes it away. */
  readonly base: string;
  readonly then: string;
  readonly code: TriggerCode;
}

export const TRIGGERS = {
  'end inside the wing': 'the end man stands inside the tight end or wing',
  'back-side end crashes': 'the back-side end chases flat down the line',
  'corner off and inside': 'the corner is off and inside',
  'corner pressed outside': 'the corner is close and outside',
  'overhang in the box': 'the man over the slot stands in the box',
  'box loaded': 'more in the box than can be blocked',
  'box light': 'fewer in the box than blockers',
  'middle open': 'nobody deep in the middle',
  'pressure from the edge': 'a second-level man comes off the edge',
} as const;
export type TriggerCode = keyof typeof TRIGGERS;

/** Base and complement with what triggers the change (common practice). A staff adds its own as links of plays. */
export const CONSTRAINTS: readonly Constraint[] = [
  { base: 'power', then: 'sweep', code: 'end inside the wing' },
  { base: 'counter', then: 'quarterback keep', code: 'back-side end crashes' },
  { base: 'inside zone', then: 'zone read', code: 'back-side end crashes' },
  { base: 'wide zone', then: 'boot', code: 'back-side end crashes' },
  { base: 'down', then: 'pin-and-pull', code: 'end inside the wing' },
  { base: 'hitches', then: 'hitch and go', code: 'corner pressed outside' },
  { base: 'slants', then: 'quick outs', code: 'corner off and inside' },
  { base: 'curl-flat', then: 'deep outs', code: 'corner off and inside' },
  { base: 'inside zone', then: 'bubble', code: 'overhang in the box' },
  { base: 'power', then: 'glance', code: 'box loaded' },
  { base: 'smash', then: 'post', code: 'middle open' },
  { base: 'stick', then: 'draw', code: 'box light' },
  { base: 'draw', then: 'slip screen', code: 'pressure from the edge' },
  { base: 'zone read', then: 'arc read', code: 'overhang in the box' },
];

/** What triggers it in the words of a link; null: the staff's own words. */
export const triggerOf = (words: string | null): TriggerCode | null =>
  (Object.keys(TRIGGERS) as TriggerCode[]).find((code) => TRIGGERS[code] === words) ?? null;

/** Triggers that can be seen in a picture before the ball moves. */
export function triggersOf(look: FullLook): TriggerCode[] {
  const out: TriggerCode[] = [];
  const { defense } = look;
  if (!defense) return out;
  const structure = look.offense.snap;
  for (const side of ['L', 'R'] as const) {
    const half = sideStructure(structure, side);
    const sign = side === 'L' ? -1 : 1;
    const end = defense.men.filter((d) => d.depth <= 1.6).sort((a, b) => (b.x - a.x) * sign)[0];
    if (half.attached.length > 0 && end && (half.endOfLine - end.x) * sign > 0.4)
      out.push('end inside the wing');
    const one = half.receivers[0];
    const corner = one && defense.men.filter((d) => d.level === 'corner' && Math.sign(d.x) === sign)[0];
    if (one && corner && !half.attached.includes(one)) {
      if (corner.depth >= 6 && (one.x - corner.x) * sign > 0.3) out.push('corner off and inside');
      if (corner.depth <= 3 && (corner.x - one.x) * sign > 0.3) out.push('corner pressed outside');
    }
    if (
      look.perimeter &&
      half.receivers.length >= 2 &&
      optionOpen(side === 'L' ? look.perimeter.left : look.perimeter.right)
    )
      out.push('overhang in the box');
  }
  if (defense.front) {
    if (defense.front.verdict === 'loaded') out.push('box loaded');
    if (defense.front.verdict === 'light') out.push('box light');
  }
  if (defense.coverage?.middle === 'open') out.push('middle open');
  if (defense.rush.rush.some((r) => r.called && Math.abs(r.rush!) > 5)) out.push('pressure from the edge');
  return [...new Set(out)];
}

export interface LinkWords {
  readonly sentence: string;
  readonly constraint: Constraint;
}

/** What the picture says against a play of the book, and what to call instead; only plays that the book has. */
export function constraintsFor(look: FullLook, word: string, book: Book): LinkWords[] {
  const seen = triggersOf(look);
  const has = (w: string): Term | null => findTerm(book, 'run', w) ?? findTerm(book, 'pass', w);
  return CONSTRAINTS.filter((c) => c.base === word && seen.includes(c.code) && has(c.then) !== null).map(
    (constraint) => ({
      constraint,
      sentence: `When ${TRIGGERS[constraint.code]}: ${has(constraint.then)!.word} instead of ${word}.`,
    }),
  );
}
