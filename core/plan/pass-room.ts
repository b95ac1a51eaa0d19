/** Room that a drawn defense leaves a throw: men in a screen's half against who blocks there, the lane of a post. */
import type { Assignment, PassDef } from '../book';
import { sideWord, type Side } from '../field/spot';
import type { DefenseDuty, DefenseLook, FullLook } from '../look';
import { plural } from '../rules/plural';

/** Routes of who catches a screen. */
const CAUGHT: ReadonlySet<string> = new Set(['tunnel', 'slip', 'swing', 'flat', 'now', 'bubble']);
/** Jobs with which a receiver keeps his man where the screen goes; any other takes him away. */
const STAYS: ReadonlySet<string> = new Set([...CAUGHT, 'stalk', 'block', 'screen']);

/** Of a slow screen behind linemen, or one thrown at once to the edge; null: no screen, or the drawing does not say. */
export function screenRoom(def: PassDef, drawn: Assignment, look: FullLook): string | null {
  const { defense } = look;
  // A shell alone says of half the men what they do.
  if (
    def.type !== 'screen' ||
    !defense ||
    defense.men.some((man) => !defense.duties.some((d) => d.man === man))
  )
    return null;
  return drawn.screen === null ? edgeRoom(drawn, look) : halfRoom(drawn, drawn.screen, defense);
}

const signOf = (side: Side): number => (side === 'L' ? -1 : 1);
const jobOf = (drawn: Assignment, letter: string): string => drawn.jobs.get(letter) ?? '';
const verdict = (men: number, blockers: number): string =>
  men <= blockers
    ? 'each has a man'
    : `the runner must beat ${men - blockers === 1 ? 'one' : men - blockers}`;

/** Handbook: two in the half against guard and tackle, every man has a hat; against three the runner must beat one. */
function halfRoom(drawn: Assignment, side: Side, defense: DefenseLook): string | null {
  const sign = signOf(side);
  if (defense.duties.some(({ does, covers }) => does === 'man' && covers === null)) return null;
  const there = ({ does, covers, to }: DefenseDuty): boolean =>
    does === 'man'
      ? covers!.x * sign >= 0 && STAYS.has(jobOf(drawn, covers!.letter))
      : (does === 'under' || does === 'spy') && to[0] * sign >= 0;
  const men = defense.duties.filter(there).length;
  const deep = defense.duties.filter(({ does, to }) => does === 'deep' && to[0] * sign >= 0).length;
  const blockers = drawn.men.filter(({ letter, x }) => {
    const job = jobOf(drawn, letter);
    return job === 'screen' || (job === 'stalk' && x * sign > 0);
  }).length;
  return `Screen ${sideWord(side)}: ${plural(men, 'man', 'men')} under in that half as drawn, ${deep} deep, ${plural(blockers, 'blocker')} out there: ${verdict(men, blockers)}.`;
}

/** A receiver who runs off takes the man over him along (common practice). */
function edgeRoom(drawn: Assignment, look: FullLook): string | null {
  const said = (['L', 'R'] as const).flatMap((side) => {
    const there = drawn.men.filter(({ x }) => x * signOf(side) > 0.5);
    const catches = there.some(({ letter }) => CAUGHT.has(jobOf(drawn, letter)));
    const edge = side === 'L' ? look.perimeter?.left : look.perimeter?.right;
    if (!edge || !catches) return [];
    const out = there.filter(({ role }) => role === 'eligible');
    const blockers = out.filter(({ letter }) => jobOf(drawn, letter) === 'stalk').length;
    const gone = out.filter(({ letter }) => !STAYS.has(jobOf(drawn, letter))).length;
    const men = Math.max(0, edge.over.length - gone);
    return [
      `${sideWord(side)} ${plural(blockers, 'blocker')} for ${plural(men, 'man', 'men')} over them as drawn, ${verdict(men, blockers)}`,
    ];
  });
  return said.length === 0 ? null : `Thrown to the edge: ${said.join('; ')}.`;
}

/** A safety's reach to a throw between two, yards (the staff's five of the handbook). */
const REACH = 5;

/** How far apart their safeties stood, as it is charted: yards, on so many snaps. */
export interface Apart {
  readonly mean: number;
  readonly n: number;
}

/**
 * Half the gap of two safeties less what one reaches, by the gap that is charted, else as they are drawn; null: no post,
 * or not two of them deep.
 */
export function postLane(drawn: Assignment, look: FullLook, charted: Apart | null): string | null {
  const posts = [...drawn.jobs].filter(([, job]) => job === 'post').map(([letter]) => letter);
  const safeties = (look.defense?.duties ?? []).filter(
    ({ does, man }) => does === 'deep' && man.level === 'safety',
  );
  if (posts.length === 0 || safeties.length !== 2) return null;
  const gap = charted?.mean ?? Math.abs(safeties[0]!.man.x - safeties[1]!.man.x);
  const lane = gap / 2 - REACH;
  const yards = (x: number): string => plural(Math.round(x), 'yard');
  const how = charted === null ? 'as drawn' : `on average, charted on ${plural(charted.n, 'snap')}`;
  return `${posts.join(', ')} on a post between two safeties ${yards(gap)} apart ${how}: ${lane > 0 ? `a lane of ${yards(lane)}` : 'no lane'}, half the gap less ${REACH} of reach. An inside release draws them in, an outside one does not.`;
}
