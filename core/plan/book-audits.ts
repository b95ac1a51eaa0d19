/** What the book's drawings say of a sheet: rules of the level to look up, pictures whose plays nobody mistakes. */
import { group } from 'd3-array';
import {
  assignmentPaths,
  assignPlay,
  conceptOf,
  findTerm,
  presentationOf,
  presentedMen,
  type Assignment,
  type Book,
} from '../book';
import type { LevelProfile } from '../field/profile';
import { legality, ROUTES, type LegalityNote, type Point } from '../look';
import { plural } from '../rules/plural';
import type { Audit } from './audits';
import { nameAudits } from './name-audits';
import { playFields, playLook, type PlayCard, type SheetCall } from './sheet';

/** Two steps of a man, yards (common practice). */
const TWO_STEPS = 1.5;
/** Two men who stand no farther apart after them took the same, yards (common practice). */
const SAME_STEPS = 0.75;
/** From this share of the men on, two plays look alike when they begin (handbook: 9 of 11 is a good pair, 4 of 11 none). */
const ALIKE = 0.6;

/** A play on the bodies of its picture; null: the book does not draw it. */
export interface Drawn {
  readonly assignment: Assignment;
  /** Where each man is after two steps, from where he stood. */
  readonly steps: ReadonlyMap<string, Point>;
  /** Who leaves his place behind the line. */
  readonly pulls: ReadonlySet<string>;
  readonly run: boolean;
  /** A pass that shows a run first. The book draws how it ends: the line sets, the back is in the protection. */
  readonly fakes: boolean;
  /** What the rules say of the men as they line up. */
  readonly notes: readonly LegalityNote[];
}

const along = (points: readonly Point[]): Point => {
  const [[x0, y0], ...rest] = points as [Point, ...Point[]];
  let [x, y, left] = [x0, y0, TWO_STEPS];
  for (const [toX, toY] of rest) {
    const far = Math.hypot(toX - x, toY - y);
    if (far >= left) return [x + ((toX - x) * left) / far - x0, y + ((toY - y) * left) / far - y0];
    [x, y, left] = [toX, toY, left - far];
  }
  return [x - x0, y - y0];
};

function drawnPlay(book: Book, profile: LevelProfile, play: PlayCard): Drawn | null {
  const fields = playFields(play);
  const def = conceptOf(book, fields);
  const presentation = presentationOf(book, fields);
  if (!def || !presentation) return null;
  const to = play.direction ?? assignPlay(def, presentation, 'R', profile).structure.passing ?? 'R';
  const assignment = assignPlay(def, presentation, to, profile);
  const paths = assignmentPaths(assignment, to, def);
  return {
    assignment,
    steps: new Map(paths.map(({ by, points }) => [by, along(points)])),
    pulls: new Set(paths.filter((p) => p.kind === 'pull').map((p) => p.by)),
    run: def.kind === 'run',
    fakes: def.kind === 'pass' && (def.pass.type === 'play action' || def.pass.type === 'boot'),
    notes: legality(presentedMen(presentation, profile).set, profile),
  };
}

export type DrawnOf = (play: PlayCard) => Drawn | null;
/** Each play is drawn once, as long as it is the same. */
export function playDrawer(book: Book, level: LevelProfile): DrawnOf {
  const known = new WeakMap<PlayCard, { readonly drawn: Drawn | null }>();
  return (play) => {
    const had = known.get(play) ?? { drawn: drawnPlay(book, level, play) };
    known.set(play, had);
    return had.drawn;
  };
}

/** With whom a run begins and the fake of it: the ball is held out, and taken or not. */
const EXCHANGE = ['fake', 'give', 'read', 'roll', 'carry'];

/**
 * How many of the men begin two plays of one picture with the same two steps, of all. Without a way in the drawing a
 * man stays. Against the fake of a run the run's own line begins alike, but for who pulls, and so do the men of the
 * exchange (common practice: a run is faked with the line of that run).
 */
export function sameSteps(a: Drawn, b: Drawn): { readonly k: number; readonly of: number } {
  const stays: Point = [0, 0];
  const faked = (a.run && b.fakes) || (b.run && a.fakes);
  const k = a.assignment.men.filter(({ letter, role }) => {
    if (faked && role === 'line') return !a.pulls.has(letter) && !b.pulls.has(letter);
    if (faked && [a, b].every((d) => EXCHANGE.includes(d.assignment.jobs.get(letter) ?? ''))) return true;
    const [p, q] = [a.steps.get(letter) ?? stays, b.steps.get(letter) ?? stays];
    return Math.hypot(p[0] - q[0], p[1] - q[1]) <= SAME_STEPS;
  }).length;
  return { k, of: a.assignment.men.length };
}

const ids = (calls: readonly SheetCall[]): string[] => calls.map((c) => c.id);
const names = (calls: readonly SheetCall[]): string =>
  [...new Set(calls.map((c) => c.play.name))].sort().join(', ');

/** Blocks that rules restrict, by the job that draws them. */
const RESTRICTED = [['crack', 'cracks back on a man inside him']] as const;

/** What to look up in the rulebook before it is called. Every number is the level's profile, from memory; the association governs. */
function rulesOf(calls: readonly SheetCall[], drawn: DrawnOf, level: LevelProfile): Audit[] {
  const out: Audit[] = [];
  const check = `Check this season’s rule of your association (${level.name}).`;
  const add = (of: readonly SheetCall[], code: Audit['code'], sentence: string): void => {
    if (of.length > 0)
      out.push({ code, section: null, calls: ids(of), facts: { calls: of.length }, sentence });
  };
  for (const [job, does] of RESTRICTED) {
    const jobOf = (c: SheetCall): string | undefined =>
      [...(drawn(c.play)?.assignment.jobs ?? [])].find(([, j]) => j === job)?.[0];
    const of = calls.filter((c) => jobOf(c) !== undefined);
    add(of, 'block_rule', `${names(of)}: ${[...new Set(of.map(jobOf))].join(', ')} ${does}. ${check}`);
  }
  // Of three who release for a slow screen the last has who comes from behind (core/book, passSentences).
  const screens = calls.filter(
    (c) =>
      (drawn(c.play)?.assignment.screen ?? null) !== null || c.tags.some((t) => t.toLowerCase() === 'peel'),
  );
  add(
    screens,
    'block_rule',
    `${names(screens)}: who releases last, or is called to, peels back on the pursuit, toward our own end line. ${check}`,
  );
  const options = calls.filter((c) => c.play.kind === 'rpo');
  if (level.players === 11)
    add(
      options,
      'downfield_rule',
      `${names(options)}: the line blocks a run while the ball may be thrown; before a throw past the line a lineman may be ${plural(level.linemenDownfield, 'yard')} downfield (from memory). ${check}`,
    );
  return out;
}

/** Line-ups that the rules would not allow, and men who run a route where they may not go out. */
function lineUps(calls: readonly SheetCall[], drawn: DrawnOf): Audit[] {
  const out: Audit[] = [];
  for (const [look, of] of group(calls, (c) => playLook({ ...c.play, motion: null, personnel: null }))) {
    const all = of.flatMap((call) => {
      const play = drawn(call.play);
      return play ? [{ call, play }] : [];
    });
    // One audit a line-up: two that are about the same calls would be waved through together.
    const about = new Set<SheetCall>();
    const said = (all[0]?.play.notes ?? []).filter(({ code, sentence }) => {
      const letter = sentence.split(' ')[0]!;
      const these =
        code === 'covered-end' ? all.filter(({ play }) => goesOut(play.assignment.jobs.get(letter))) : all;
      for (const { call } of these) about.add(call);
      return these.length > 0;
    });
    if (said.length > 0)
      out.push({
        code: 'line_up',
        section: null,
        calls: ids([...about]),
        facts: { calls: about.size },
        sentence: `${look}: ${said.map((note) => note.sentence).join('; ')}.`,
      });
  }
  return out;
}
const goesOut = (job: string | undefined): boolean =>
  job !== 'block' && (ROUTES as readonly (string | undefined)[]).includes(job);
/** Routes of who blocks first, and goes when nobody comes (common practice). */
const WHEN_NOBODY_COMES: readonly (string | undefined)[] = ['check down', 'slip', 'delay', 'leak'];

/** Pictures that show run and pass, and no pair of them begins alike: who watches the first two steps knows. */
function apart(calls: readonly SheetCall[], drawn: DrawnOf): Audit[] {
  const out: Audit[] = [];
  for (const [look, same] of group(
    calls.filter((c) => c.play.formation !== null),
    (c) => playLook(c.play),
  )) {
    const of = (kinds: readonly string[]) =>
      [
        ...new Map(same.filter((c) => kinds.includes(c.play.kind)).map((c) => [c.play.id, c])).values(),
      ].flatMap((call) => {
        const play = drawn(call.play);
        return play ? [{ call, play }] : [];
      });
    // An option is a run until it is thrown.
    const pairs = of(['run', 'rpo']).flatMap((run) =>
      of(['pass']).map((pass) => ({ run: run.call, pass: pass.call, ...sameSteps(run.play, pass.play) })),
    );
    const best = pairs.sort((a, b) => b.k / b.of - a.k / a.of)[0];
    if (!best || best.k >= ALIKE * best.of) continue;
    out.push({
      code: 'apart',
      section: null,
      calls: ids(same),
      facts: { k: best.k, of: best.of },
      sentence: `${look} shows run and pass that begin apart: at most ${best.k} of ${best.of} men take the same first two steps (“${best.run.play.name}” and “${best.pass.play.name}”). A draw, a play action or a boot from it would begin alike.`,
    });
  }
  return out;
}

/** A protection that is said with a pass and keeps in who has a route, and two of them in one call. */
function protections(calls: readonly SheetCall[], drawn: DrawnOf, book: Book): Audit[] {
  return calls.flatMap((call): Audit[] => {
    const terms = call.tags.flatMap((tag) => findTerm(book, 'protection', tag) ?? []);
    const about = { section: call.section, calls: [call.id] };
    const words = [...new Set(terms.map((t) => t.word))];
    if (words.length > 1)
      return [
        {
          ...about,
          code: 'two_protections',
          facts: { protections: words.length },
          sentence: `${call.play.name} is called with ${words.join(' and ')}: one of them holds.`,
        },
      ];
    const definition = terms[0]?.definition;
    const play = drawn(call.play);
    if (definition?.kind !== 'protection' || !play || play.run) return [];
    const free = play.assignment.men.filter((man) => man.role === 'eligible' && man.letter !== 'Q');
    const out = free.filter((man) => {
      const job = play.assignment.jobs.get(man.letter);
      return goesOut(job) && !WHEN_NOBODY_COMES.includes(job);
    });
    const { kept } = definition.protection;
    if (out.length + kept <= free.length) return [];
    return [
      {
        ...about,
        code: 'kept_in',
        facts: { kept, out: out.length, of: free.length },
        sentence: `${call.play.name} sends out ${out.length} of ${free.length} (${out.map((m) => m.letter).join(', ')}), and ${words[0]} keeps ${kept} in.`,
      },
    ];
  });
}

/** All that the book’s drawings say of the calls of a sheet. */
export const bookAudits = (
  calls: readonly SheetCall[],
  drawn: DrawnOf,
  level: LevelProfile,
  book: Book,
): Audit[] => [
  ...rulesOf(calls, drawn, level),
  ...lineUps(calls, drawn),
  ...apart(calls, drawn),
  ...protections(calls, drawn, book),
  ...nameAudits(calls, book),
];
