/** A defense against a structure: where each man stands and what he does. One pipeline feeds drawing, box, counts and sentences. */
import type { Side } from '../field/spot';
import type { CoverageDef } from './coverage';
import { assignDuties } from './duties';
import type { Defender, FrontDef } from './front';
import type { Man } from './formation';
import {
  frontFamily,
  postFront,
  postSecondary,
  rushOfFront,
  walkOut,
  type Does,
  type FrontFamily,
  type Post,
} from './posts';
import { callRush, type PressureDef } from './pressure';
import { planOf, UNKNOWN_COVERAGE } from './plan';
import {
  round,
  spread,
  standCorners,
  standDown,
  standHigh,
  standOverhangs,
  usualRotation,
  type Working,
} from './standing';
import type { Structure } from './structure';
import type { Ground, Zone } from './zones';

export interface PlacedDefender extends Defender {
  /** Unlike every other man's: the letter, with the side where two share one. */
  readonly name: string;
}

/** What a defender does after the snap. */
export interface DefenseDuty {
  readonly man: PlacedDefender;
  readonly does: Does;
  readonly zone: Zone | null;
  /** The receiver he has. */
  readonly covers: Man | null;
  /** Where he crosses the line, lateral yards. */
  readonly rush: number | null;
  /** A call sends him; else he comes by his front. */
  readonly called: boolean;
  readonly to: readonly [x: number, depth: number];
}

export const DEFENSE_WARNINGS = [
  'front_cannot_play_coverage',
  'no_back_side',
  'few_under',
  'far_from_zone',
  'nobody_to_rush',
] as const;
export interface DefenseWarning {
  readonly code: (typeof DEFENSE_WARNINGS)[number];
  readonly facts: Readonly<Record<string, string | number>>;
}

/** Lateral yards beyond which a man does not get to his zone in time; common practice. */
const FAR = 15;

export interface Defended {
  readonly men: readonly PlacedDefender[];
  readonly duties: readonly DefenseDuty[];
  /** Receivers nobody has, a back first. */
  readonly uncovered: readonly Man[];
  readonly warnings: readonly DefenseWarning[];
  /** Side the safeties turn to; null when they do not. */
  readonly rotated: Side | null;
  readonly dropped: readonly PlacedDefender[];
}

export interface DefenseCall {
  readonly front: FrontDef | null;
  readonly coverage: CoverageDef | null;
  readonly rotation: Side | null;
  readonly shell: number | null;
  readonly cornerLeft: number | null;
  readonly cornerRight: number | null;
  readonly pressure: PressureDef | null;
  readonly men: number;
}

/** Names without two alike: letter, with the side where two share it, and a number where a side has two. */
function name(posts: readonly Post[]): void {
  let shared = 0;
  for (let i = 1; i < posts.length; i++)
    for (let j = 0; j < i; j++) if (posts[i]!.letter === posts[j]!.letter) shared |= (1 << i) | (1 << j);
  for (let i = 0; i < posts.length; i++) {
    if ((shared & (1 << i)) === 0) continue;
    const { letter, x } = posts[i]!;
    let before = 1;
    for (let j = 0; j < i; j++)
      if (posts[j]!.letter === letter && Math.sign(posts[j]!.x) === Math.sign(x)) before++;
    posts[i]!.name = letter + (x < 0 ? 'L' : x > 0 ? 'R' : 'M') + (before > 1 ? before : '');
  }
}

const NOBODY: readonly PlacedDefender[] = [];
const NO_POSTS: readonly Post[] = [];

/** Everything a defense does against a structure. */
export function defend(structure: Structure, ground: Ground, call: DefenseCall): Defended {
  const def = call.coverage ?? UNKNOWN_COVERAGE;
  const plan = planOf(def);
  const front: Post[] = call.front ? postFront(call.front, structure) : [];
  const family: FrontFamily = call.front ? frontFamily(call.front) : 'nickel';
  const secondary = postSecondary(
    call.men - (call.front ? Math.min(front.length, call.men) : call.men === 11 ? 6 : 0),
    structure,
  );
  const posts: Post[] = [];
  for (const post of front) if (posts.length < call.men) posts.push(post);
  for (const post of secondary) posts.push(post);
  const warnings: DefenseWarning[] = [];
  const corners: Post[] = [];
  const safeties: Post[] = [];
  for (const post of secondary)
    if (post.level === 'corner') corners.push(post);
    else if (post.level === 'safety') safeties.push(post);
  walkOut(family, front, structure, secondary);

  const shell = call.shell ?? def.shell;
  const twoHigh = safeties.length >= 2 && shell >= 2;
  rushOfFront(family, front, structure, call.rotation, callRush.edgeNamed(call.pressure, structure));
  const rotated = call.rotation ?? usualRotation(structure, posts);
  // Of two safeties one comes down, with one high; fewer are high where the coverage has a deep middle.
  let high: readonly Post[] = NO_POSTS;
  let down: readonly Post[] = NO_POSTS;
  if (safeties.length >= 2) {
    const left = safeties[0]!.side === 'L' ? safeties[0]! : safeties[1]!;
    const right = left === safeties[0] ? safeties[1]! : safeties[0]!;
    if (twoHigh) high = [left, right];
    else if (shell === 1) {
      high = [rotated === 'L' ? right : left];
      down = [rotated === 'L' ? left : right];
    } else down = safeties;
  } else if (safeties.length === 1 && (plan.scheme !== 'man' || plan.deep > 0)) high = safeties;
  else down = safeties;
  for (const post of down) if (down.length === 1) post.side = rotated;
  const w: Working = {
    structure,
    ground,
    def,
    plan,
    posts,
    corners,
    safeties,
    high,
    down,
    rotated,
    said: call.rotation !== null,
    twoHigh,
  };
  standCorners(w, { L: call.cornerLeft, R: call.cornerRight });
  standOverhangs(w);
  for (const post of down) standDown(w, post, false);
  standHigh(w, high);
  const dropped = callRush.send(call.pressure, posts, structure, warnings);

  const { uncovered, lacking, few } = assignDuties(w);
  if (few) warnings.push({ code: 'few_under', facts: few });
  if (lacking > 0 && call.coverage) warnings.push({ code: 'front_cannot_play_coverage', facts: { lacking } });
  spread(posts, ground);
  name(posts);
  const duties = posts.map((post): DefenseDuty => {
    if (post.rush !== null)
      return {
        man: post,
        does: 'rush',
        zone: null,
        covers: null,
        rush: round(post.rush),
        called: post.called,
        to: [round(post.rush), 0],
      };
    const { job } = post;
    if (!job)
      return {
        man: post,
        does: 'under',
        zone: 'hook',
        covers: post.man,
        rush: null,
        called: false,
        to: [round(post.x), 5],
      };
    job.covers = post.man;
    if (call.coverage && job.zone !== null) {
      const yards = Math.round(Math.abs(job.to[0] - post.x));
      if (yards > FAR)
        warnings.push({ code: 'far_from_zone', facts: { man: post.name, zone: job.zone, yards } });
    }
    return job;
  });
  const known = call.coverage !== null;
  return {
    men: posts,
    duties: known ? duties : duties.filter((duty) => duty.does === 'rush'),
    uncovered: known ? uncovered : [],
    warnings,
    rotated: known && (down.length === 1 || plan.cloud) ? rotated : null,
    dropped: dropped.length === 0 ? NOBODY : posts.filter((post) => dropped.includes(post)),
  };
}
