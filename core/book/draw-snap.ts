/** A snap's words, a play or a single term → a chalk drawing. What screen, print and file all draw. */
import type { LevelProfile } from '../field/profile';
import type { Hash, Side } from '../field/spot';
import {
  draw,
  fullLook,
  lineUp,
  passPath,
  runPath,
  shapeOf,
  DEFAULT_LOOK_SETTINGS,
  type DrawInput,
  type DrawnPath,
  type DrawnUse,
  type Drawing,
  type FullLook,
  type LookSettings,
  type Man,
  type RunCall,
} from '../look';
import type { SnapFields } from '../snap/snap';
import { passSentences } from './assign-pass';
import { assignPlay } from './assignment';
import { assignmentPaths } from './paths';
import { presentationOf, sideOf, spotsOf, taggedWord } from './look-words';
import { conceptOf, lookInput } from './resolve-look';
import { CANVAS } from './drawn-terms';
import type { Book, Term } from './term';

export interface SnapDrawOptions {
  /** What was called from it, each with its snaps. */
  readonly uses?: readonly DrawnUse[] | undefined;
  /** Draw the tagged front, coverage and pressure. */
  readonly defense?: boolean;
  /** Draw every man's job instead of one arrow. */
  readonly jobs?: boolean;
  /** Draw how every rusher comes, called or by his front. */
  readonly lanes?: boolean;
  readonly settings?: LookSettings;
  /** Only the breadth of field that is used; without numbers: for small pictures. */
  readonly crop?: boolean;
  readonly numbers?: boolean;
  /** A run to count hats by instead of the one that was called. */
  readonly aim?: RunCall | null;
}

/** What a drawing shows, in words. */
export function lookWords(fields: SnapFields, look: FullLook | null): string {
  const formation = taggedWord(fields.formation);
  if (formation === null) return 'No formation typed yet';
  const side = sideOf(fields.formationSide);
  const name = `${formation}${side ? (side === 'L' ? ' left' : ' right') : ''}${taggedWord(fields.backfield) ? `, ${taggedWord(fields.backfield)}` : ''}`;
  if (!look) return `${name}: not drawn in the book`;
  const motion = taggedWord(fields.motion);
  if (motion === null) return `${name}: ${look.offense.set.label}`;
  const by = taggedWord(fields.motionBy);
  return `${name}: ${look.offense.set.label}; ${by ? `${by} ` : ''}${motion}${look.offense.path ? `, ${look.offense.snap.label} at the snap` : ''}`;
}

export interface SnapDrawing {
  readonly drawing: Drawing;
  readonly words: string;
  readonly look: FullLook | null;
  /** Ways that are drawn: blocks, routes, the ball, motion, rushes. */
  readonly paths: readonly DrawnPath[];
  /** What a pass has each man do, in sentences. */
  readonly routes: readonly string[];
}

export function drawSnap(
  book: Book,
  fields: SnapFields,
  hash: Hash | null,
  profile: LevelProfile,
  options: SnapDrawOptions = {},
): SnapDrawing {
  const settings = options.settings ?? DEFAULT_LOOK_SETTINGS;
  const called = lookInput(book, { ...fields, hash }, profile);
  const input = options.aim ? { ...called, run: options.aim } : called;
  const look = fullLook(input, profile, settings);
  const men: readonly Man[] =
    look?.offense.men ??
    lineUp(null, null, spotsOf(book, 'backfield', fields.backfield), shapeOf(profile.players));
  const paths: DrawnPath[] = [];
  if (look?.offense.path)
    paths.push({ kind: 'motion', points: look.offense.path, end: 'arrow', by: input.motionBy ?? '' });
  if (look?.offense.secondPath)
    paths.push({ kind: 'motion', points: look.offense.secondPath, end: 'arrow', by: input.second?.by ?? '' });
  const direction = sideOf(fields.direction);
  let arrow: Call | null = null;
  const presentation = presentationOf(book, fields);
  let routes: readonly string[] = [];
  const def = options.jobs ? conceptOf(book, fields) : null;
  if (def && presentation) {
    const to = direction ?? look?.offense.snap.passing ?? 'R';
    const assignment = assignPlay(def, presentation, to, profile, settings.strength, direction);
    if (def.kind === 'pass') routes = passSentences(assignment, to);
    paths.push(...assignmentPaths(assignment, to, def, options.defense === false ? null : look));
  } else if (
    !options.uses &&
    direction &&
    (fields.play === 'run' || fields.play === 'pass' || fields.play === 'rpo')
  )
    arrow = callOf(men, fields.play === 'pass' ? 'pass' : 'run', direction);
  const defense = options.defense === false ? null : (look?.defense ?? null);
  const ringed = new Set(
    (look?.ledger?.defense ?? [])
      .filter((e) => e.by === 'free' && e.there)
      .map((e) => `${e.man.letter}${e.man.x}`),
  );
  const drops =
    defense && options.jobs && input.coverage && def?.kind !== 'run'
      ? defense.duties.filter((d) => d.does !== 'rush')
      : [];
  if (defense && (options.jobs || options.lanes || input.pressure))
    for (const { man, rush, called } of defense.rush.rush)
      if ((called || options.lanes) && rush !== null)
        paths.push({
          kind: 'rush',
          points: [
            [man.x, man.depth - 0.6],
            [rush, 0.9],
            [rush * 0.9, -2.2],
          ],
          end: 'arrow',
          by: man.letter,
        });
  return {
    look,
    paths,
    routes,
    words: lookWords(fields, look),
    drawing: draw({
      men,
      hash,
      profile,
      numbers: options.numbers !== false && look !== null,
      crop: options.crop ?? false,
      mover: input.motionBy,
      paths,
      drops,
      ringed,
      ...(defense ? { defenders: defense.men } : {}),
      arrow,
      uses: options.uses ?? [],
    }),
  };
}

type Call = NonNullable<DrawInput['arrow']>;
function callOf(men: readonly Man[], kind: Call['kind'], side: Side): Call | null {
  const points = kind === 'pass' ? passPath(men, side) : runPath(men, side);
  return points.length > 1 ? { kind, points } : null;
}

/** Motions drawn with a man who can make them. */
const MOVER: Readonly<Record<string, SnapFields>> = {
  'to empty': { motionBy: 'T' },
  'back out': { motionBy: 'F', formation: 'pro', backfield: 'split backs' },
  trade: { motionBy: 'Y' },
  'across wide': { motionBy: 'H' },
  shift: { motionBy: 'T' },
  short: { motionBy: 'Z' },
  'in and out': { motionBy: 'Z' },
  'behind and on': { motionBy: 'Z' },
};

/** The snap a term is shown by: the term itself on a plain canvas, strong to `side`. */
export function termFields(book: Book, term: Term, side: Side = 'R'): SnapFields {
  const value = term.value ?? term.word;
  const base: SnapFields = {
    ...CANVAS[term.kind],
    ...(CANVAS[term.kind]?.formationSide ? { formationSide: side } : {}),
    ...(CANVAS[term.kind]?.direction ? { direction: side } : {}),
  };
  switch (term.kind) {
    case 'formation':
      return { ...base, formation: value, formationSide: side };
    case 'backfield':
      return { ...base, backfield: value };
    case 'motion':
      return {
        ...base,
        ...(term.definition?.kind === 'motion' ? MOVER[term.definition.motion] : {}),
        motion: value,
      };
    case 'front':
      return { ...base, front: value };
    case 'coverage':
      return { ...base, coverage: value };
    case 'pressure':
      return { ...base, pressure: value };
    case 'protection':
      return { ...base, protection: value };
    case 'run': {
      const definition = term.definition;
      const carrier = definition?.kind === 'run' ? definition.run.carrier : 'back';
      return {
        ...base,
        concept: value,
        ...(carrier === 'mover'
          ? {
              formation: 'doubles',
              backfield: 'gun',
              motion: 'jet',
              motionBy: 'H',
              motionSide: side,
            }
          : carrier === 'receiver'
            ? { formation: 'doubles', backfield: 'gun', formationSide: side }
            : carrier === 'fullback'
              ? { backfield: 'i' }
              : definition?.kind === 'run' && definition.run.flex.some((choice) => choice.job === 'crack')
                ? { formation: 'pro' }
                : definition?.kind === 'run' &&
                    definition.run.flex.some((choice) => choice.by.every((r) => r === 'BY' || r === 'BW'))
                  ? { formation: 'ace', backfield: 'gun' }
                  : {}),
      };
    }
    case 'pass': {
      const definition = term.definition;
      return {
        ...base,
        concept: value,
        ...(definition?.kind === 'pass' &&
        definition.pass.strong.length < 3 &&
        definition.pass.weak.length >= 2
          ? { formation: 'spread', formationSide: side }
          : {}),
      };
    }
    default:
      return base;
  }
}

/** A term on its canvas. `small`: cropped and without receiver numbers. */
export function drawTerm(
  book: Book,
  term: Term,
  side: Side,
  profile: LevelProfile,
  settings?: LookSettings,
  small = false,
): SnapDrawing {
  const fields = termFields(book, term, side);
  const play = term.kind === 'run' || term.kind === 'pass';
  return drawSnap(book, fields, null, profile, {
    crop: true,
    numbers: !small,
    jobs: play || term.kind === 'coverage' || term.kind === 'pressure',
    ...(settings ? { settings } : {}),
  });
}
