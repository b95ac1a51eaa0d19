/** Bodies on the routes of a pass. */
import { otherSide, sideWord, type Side } from '../field/spot';
import type { LevelProfile } from '../field/profile';
import { sideStructure, structure, type Job, type Man, type Route, type StrengthRule } from '../look';
import { pictureFor, type PassDef } from './play';
import { presentedMen, type Assignment, type Presentation } from './presented';

/** What a receiver does whom the word does not name: he clears, on a screen he blocks; attached he stays in. */
const unnamed = (def: PassDef, attached: boolean): Route =>
  def.type === 'screen' ? 'stalk' : attached ? 'block' : 'clear';

/** Behind a slow screen guards and center release, tackles stay; a bubble has the run's blocking. */
function lineJob(def: PassDef, man: Man, profile: LevelProfile, released: boolean): Job {
  if (profile.players !== 11) return 'release';
  if (def.type !== 'screen') return 'pass set';
  if (released) return /[GC]/.test(man.letter) ? 'screen' : 'pass set';
  return def.drop <= 1 ? 'reach' : 'pass set';
}

/** Puts bodies on the routes of a pass: receivers by number, the back to his route, the line to protect. */
export function assignPass(
  def: PassDef,
  presentation: Presentation,
  profile: LevelProfile,
  order?: readonly StrengthRule[],
  written: Side | null = null,
): Assignment {
  const { men } = presentedMen(presentation, profile);
  const s = structure(men, null, order, { written: presentation.side });
  // A side written with the play turns its picture.
  const strong: Side = written ?? s.passing;
  const jobs = new Map<string, Job | Route>();
  const missing: Job[] = [];
  const unnamedMen: string[] = [];
  let screen: Side | null = null;
  const backs = [...s.backfield.backs];
  let backRoute: Route | null = null;
  for (const side of [otherSide(strong), strong]) {
    const half = sideStructure(s, side);
    const list = half.receivers;
    const picture = pictureFor(def, side === strong ? 'strong' : 'weak', list.length);
    list.forEach((m, i) => {
      const route = picture.routes[i];
      if (route === undefined) unnamedMen.push(m.letter);
      jobs.set(m.letter, route ?? unnamed(def, half.attached.includes(m)));
    });
    if (def.type === 'screen' && picture.routes.some((r) => r === 'tunnel' || r === 'slip')) screen ??= side;
    backRoute = picture.back ?? backRoute;
    // A back is the next number of his side when the picture names one more: the one on that side, else the nearest.
    const next = picture.routes[list.length];
    if (
      def.type !== 'screen' &&
      def.back === 'block' &&
      picture.back === null &&
      next &&
      next !== 'block' &&
      backs.length > 0
    ) {
      const sign = side === 'L' ? -1 : 1;
      const own = [...backs].sort((a, b) => (b.x - a.x) * sign)[0]!;
      if (side === strong || own.x * sign > -0.5) {
        jobs.set(own.letter, next);
        backs.splice(backs.indexOf(own), 1);
      }
    }
  }
  for (const b of backs) jobs.set(b.letter, b === backs[0] ? (backRoute ?? def.back) : 'block');
  // Who stays in sells the run away from the roll, or leads the sprint on the end man.
  const first = s.backfield.backs[0];
  if (first && jobs.get(first.letter) === 'block' && (def.type === 'boot' || def.type === 'sprint'))
    jobs.set(first.letter, def.type === 'boot' ? 'fake' : 'lead');
  const quarterback = men.find((m) => m.role === 'quarterback');
  if (quarterback)
    jobs.set(quarterback.letter, def.type === 'boot' || def.type === 'sprint' ? 'roll' : 'fake');
  // A slow screen to the back has the line before it as well, unless a receiver catches it.
  const slow = def.type === 'screen' && def.drop > 1;
  const back = s.backfield.backs.find(({ letter }) => {
    const job = jobs.get(letter);
    return slow && (job === 'slip' || (job === 'swing' && screen === null));
  });
  if (back) screen = Math.abs(back.x) > 0.5 ? (back.x < 0 ? 'L' : 'R') : strong;
  for (const man of men)
    if (man.role === 'line') jobs.set(man.letter, lineJob(def, man, profile, screen !== null));
  for (const m of men) if (!jobs.has(m.letter)) jobs.set(m.letter, def.back);
  const count = sideStructure(s, strong).count;
  const wanted = pictureFor(def, 'strong', count);
  const routes = wanted.routes.filter((r) => r !== 'block').length + (wanted.back === null ? 0 : 1);
  if (routes > count + s.backfield.backs.length) missing.push('release');
  return { men, structure: s, jobs, roles: new Map(), missing, carrier: null, unnamed: unnamedMen, screen };
}

const ROUTE_WORD: Readonly<Partial<Record<Route | Job, string>>> = {
  fake: 'fakes the run',
  lead: 'leads on the end man',
  block: 'stays in',
  stalk: 'blocks',
  clear: 'clears',
};

/** Every eligible man's route in words, and who clears because the word does not name him. */
export function passSentences(assignment: Assignment, to: Side): string[] {
  const routes = assignment.men.flatMap((man) => {
    const job = man.role === 'eligible' ? assignment.jobs.get(man.letter) : undefined;
    return job ? [`${man.letter} ${ROUTE_WORD[job as Route] ?? job}`] : [];
  });
  const out = [`Routes: ${routes.join(', ')}.`];
  if (assignment.unnamed.length > 0)
    out.push(
      `The word does not name ${assignment.unnamed.join(' and ')}: ${assignment.unnamed
        .map((letter) => `${letter} ${ROUTE_WORD[assignment.jobs.get(letter) as Route] ?? 'runs'}`)
        .join(', ')}.`,
    );
  const quarterback = assignment.men.find((m) => m.role === 'quarterback');
  if (quarterback && assignment.jobs.get(quarterback.letter) === 'roll')
    out.push(`The quarterback rolls ${sideWord(to)}, outside the end man.`);
  if (assignment.screen)
    out.push(
      `Guards and center release ${sideWord(assignment.screen)}: to the force man, the next inside, the pursuit.`,
    );
  return out;
}
