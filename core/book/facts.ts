/** What a count may slice by that follows from a snap's look: structure, strength, backfield, front, coverage. */
import type { LevelProfile } from '../field/profile';
import {
  defenseLook,
  offenseLook,
  structureOf,
  type LookSettings,
  DEFAULT_LOOK_SETTINGS,
  sideStructure,
} from '../look';
import { fieldsWith } from '../snap/fields';
import { isTagged, type Snap } from '../snap/snap';
import { wordsInput } from './look-words';
import type { Book } from './term';

/** `structure` as set and at the snap; `strength` L or R; `boundary` into it or to the field; `strongSide` names of the strong side; `tightEndTo` field or boundary. */
export const LOOK_FACTS = {
  structure: { label: 'structure', menu: 30 },
  structureSnap: { label: 'structure at the snap', menu: 40 },
  strength: { label: 'passing strength' },
  runStrength: { label: 'run strength' },
  boundary: { label: 'strength to', menu: 60 },
  boundarySnap: { label: 'longer side at the snap to' },
  strongSide: { label: 'strong side', menu: 50 },
  tightEndTo: { label: 'tight end to', menu: 62 },
  lineBalance: { label: 'line', menu: 64 },
  backTo: { label: 'back', menu: 80 },
  backfieldSet: { label: 'backfield set', menu: 90 },
  shade: { label: 'front shade', menu: 160 },
  boxCount: { label: 'men in the box', menu: 170 },
  boxVerdict: { label: 'box', menu: 180 },
  middle: { label: 'middle of the field', menu: 200 },
  style: { label: 'man or zone', menu: 205 },
  rushKind: { label: 'rush', menu: 220 },
} as const satisfies Readonly<Record<string, { readonly label: string; readonly menu?: number }>>;
export type LookFact = keyof typeof LOOK_FACTS;
export const LOOK_FACT_NAMES = Object.keys(LOOK_FACTS) as LookFact[];
export type LookFacts = Readonly<Record<LookFact, string | null>>;

/** Fields a look is drawn and measured from: snaps that agree in them have the same facts. */
const LOOKED = fieldsWith('look');
const NOTHING: LookFacts = Object.fromEntries(LOOK_FACT_NAMES.map((f) => [f, null])) as Record<
  LookFact,
  null
>;
const cache = new WeakMap<Book, Map<string, Map<string, LookFacts>>>();
/** Settings that say the same measure the same, whoever read them. */
const said = new WeakMap<LookSettings, string>();

/** What is measured so far, by the words of a look. */
function measuredOf(book: Book, settings: LookSettings): Map<string, LookFacts> {
  let bySettings = cache.get(book);
  if (!bySettings) cache.set(book, (bySettings = new Map()));
  let words = said.get(settings);
  if (words === undefined) said.set(settings, (words = JSON.stringify(settings)));
  let known = bySettings.get(words);
  if (!known) bySettings.set(words, (known = new Map()));
  return known;
}
export const measuredLooks = (book: Book, settings: LookSettings): ReadonlyMap<string, LookFacts> =>
  measuredOf(book, settings);

/** Takes over what was measured elsewhere with the same book and settings. */
export function rememberLooks(
  book: Book,
  settings: LookSettings,
  looks: Iterable<readonly [key: string, facts: LookFacts]>,
): void {
  const known = measuredOf(book, settings);
  for (const [key, facts] of looks) if (!known.has(key)) known.set(key, facts);
}

/** The facts of a snap; null where a word is not tagged or the book does not draw it. Each different look is measured once. */
export function lookFacts(
  book: Book,
  snap: Snap,
  profile: LevelProfile,
  settings: LookSettings = DEFAULT_LOOK_SETTINGS,
): LookFacts {
  const known = measuredOf(book, settings);
  const key = [profile.key, profile.hashToSideline, ...LOOKED.map((f) => snap[f])].join('|');
  let found = known.get(key);
  if (!found) known.set(key, (found = measure(book, snap, profile, settings)));
  return found;
}

const count = (v: unknown): number | null => (typeof v === 'number' ? v : null);

function measure(book: Book, snap: Snap, profile: LevelProfile, settings: LookSettings): LookFacts {
  const input = wordsInput(book, snap);
  const offense = offenseLook(input, profile, settings);
  const out: Record<LookFact, string | null> = { ...NOTHING };
  if (!offense) {
    // Not drawn in the book: the counted receivers still give the structure.
    const [l, r, ls, rs] = [
      snap.receiversLeftSet,
      snap.receiversRightSet,
      snap.receiversLeftSnap,
      snap.receiversRightSnap,
    ].map(count);
    if (l !== null && r !== null && l !== undefined && r !== undefined)
      out.structure = structureOf(l, r).label;
    if (ls !== null && rs !== null && ls !== undefined && rs !== undefined)
      out.structureSnap = structureOf(ls, rs).label;
  } else {
    const { set, snap: at } = offense;
    out.structure = set.label;
    // A tagged motion that the book cannot draw leaves the structure at the snap unknown.
    out.structureSnap =
      isTagged(snap.motion) && offense.path === null && snap.motion !== null ? null : at.label;
    out.strength = set.passing;
    out.runStrength = set.running;
    out.boundary = set.intoBoundary === null ? null : set.intoBoundary ? 'the boundary' : 'the field';
    if (out.structureSnap !== null && at.side !== null && at.fieldSide !== null)
      out.boundarySnap = at.side === at.fieldSide ? 'the field' : 'the boundary';
    const strong = sideStructure(set, set.passing);
    out.strongSide = strong.names.filter((n) => n !== 'slot').join(' ') || `${strong.count} wide`;
    const end = set.strengths.tight_end;
    out.tightEndTo =
      end === null || set.fieldSide === null ? null : end === set.fieldSide ? 'the field' : 'the boundary';
    out.lineBalance = set.balancedLine ? 'balanced' : 'unbalanced';
    out.backTo = set.empty
      ? 'nobody'
      : set.back.toTightEnd !== null
        ? set.back.toTightEnd
          ? 'to the tight end'
          : 'away from the tight end'
        : set.back.toStrength !== null
          ? set.back.toStrength
            ? 'to strength'
            : 'away from strength'
          : 'behind the ball';
    out.backfieldSet = `${set.backfield.quarterback}, ${set.backfield.set}`;
  }
  const defense =
    offense && (input.front || input.coverage) ? defenseLook(offense, input, profile, settings) : null;
  if (defense?.front) {
    out.shade = defense.front.shade;
    out.boxVerdict = defense.front.verdict;
  }
  // A typed box is what the film shows; without it the box follows from the places.
  const box = count(snap.box);
  out.boxCount = box !== null ? String(box) : defense?.front ? String(defense.front.box.length) : null;
  if (defense?.coverage) {
    out.middle = defense.coverage.middle;
    out.style = defense.coverage.style;
  }
  if (defense && input.pressure !== undefined && input.front) out.rushKind = defense.rush.kind;
  return out;
}
