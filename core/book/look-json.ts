/** A look as plain JSON for checkers outside: docs/command-line.md says what each part is. */
import type { LevelProfile } from '../field/profile';
import { ballAt, fieldSides, type Side } from '../field/spot';
import {
  DEFAULT_LOOK_SETTINGS,
  fullLook,
  gapName,
  isHat,
  lookSentences,
  pointMargins,
  type Defender,
  type FullLook,
  type LookSettings,
  type Man,
} from '../look';
import type { SnapFields } from '../snap/snap';
import { passSentences } from './assign-pass';
import { assignPlay } from './assignment';
import { assignmentPaths } from './paths';
import { presentationOf, sideOf } from './look-words';
import { conceptOf, lookInput } from './resolve-look';
import type { Book } from './term';

const tenth = (yards: number): number => Math.round(yards * 10) / 10 + 0;

/** Null without a formation that the book draws. */
export function lookJson(
  book: Book,
  fields: SnapFields,
  profile: LevelProfile,
  settings: LookSettings = DEFAULT_LOOK_SETTINGS,
): Record<string, unknown> | null {
  const input = lookInput(book, fields, profile);
  const look = fullLook(input, profile, settings);
  if (!look) return null;
  const ball = ballAt(profile, input.hash);
  const { offense, defense, ledger } = look;
  const at = offense.snap;
  const numbers = numbersOf(look);
  const pass = passOf(book, fields, profile, settings, at.passing);
  const nameOf = (defender: Defender): string =>
    defense?.men.find((m) => m === defender)?.name ?? defender.letter;
  const sideOfX = (x: number): Side | null => (Math.abs(x) < 0.05 ? null : x < 0 ? 'L' : 'R');
  return {
    structure: offense.set.label,
    structure_at_snap: at.label,
    run_strength: at.running,
    pass_strength: at.passing,
    box: defense?.front?.box.length ?? null,
    offense: offense.snapMen.map((man) => ({
      name: man.letter,
      number: numbers.get(man) ?? null,
      x: tenth(man.x),
      field_x: tenth(man.x + ball),
      depth: man.depth,
      on_line: man.onLine,
    })),
    defense: (defense?.duties ?? []).map(({ man, does, zone, covers, rush, to }) => ({
      name: man.name,
      role: man.level,
      x: man.x,
      field_x: tenth(man.x + ball),
      depth: man.depth,
      on_line: man.depth <= 1,
      does,
      zone,
      side: sideOfX(to[0]),
      covers: covers ? [covers.letter] : [],
      gap: rush === null ? null : gapName(rush),
      to: [to[0], to[1]],
    })),
    blocks: (ledger?.offense ?? [])
      .filter((e) => isHat(e) || (e.does === 'stalk' && e.on !== null))
      .map((e) => ({
        by: e.man.letter,
        rule: e.does,
        targets: [e.on, e.then].flatMap((d) => (d ? [nameOf(d)] : [])),
        finds: e.on !== null,
      })),
    reads: (ledger?.defense ?? []).flatMap((e) =>
      e.by === 'read'
        ? [{ kind: input.run?.def.pitch ? 'dive' : 'run', man: nameOf(e.man) }]
        : e.by === 'pitch read'
          ? [{ kind: 'pitch', man: nameOf(e.man) }]
          : e.by === 'option'
            ? [{ kind: 'pass', man: nameOf(e.man) }]
            : [],
    ),
    unblocked: (ledger?.defense ?? []).filter((e) => e.by === 'free' && e.there).map((e) => nameOf(e.man)),
    margin: Object.fromEntries(pointMargins(look, settings).map((m) => [`${m.point}${m.to}`, m.margin])),
    routes: pass.routes,
    uncovered: (defense?.uncovered ?? []).map((man) => man.letter),
    sentences: [
      ...lookSentences(look, settings, fieldSides(profile, input.hash)).map((s) => s.text),
      ...pass.sentences,
    ],
    warnings: (defense?.warnings ?? []).map(({ code, facts }) => ({ code, facts })),
  };
}

/** Outside-in on his side; a back who is offset is that side's next. */
function numbersOf({ offense: { snap } }: FullLook): Map<Man, number> {
  const numbers = new Map<Man, number>();
  for (const side of ['left', 'right'] as const) {
    snap[side].receivers.forEach((man, i) => numbers.set(man, i + 1));
    const sign = side === 'left' ? -1 : 1;
    snap.backfield.backs
      .filter((man) => man.x * sign > 0.8)
      .sort((a, b) => (b.x - a.x) * sign)
      .forEach((man, i) => numbers.set(man, snap[side].count + i + 1));
  }
  return numbers;
}

/** A pass's routes as points, and its sentences. */
function passOf(
  book: Book,
  fields: SnapFields,
  profile: LevelProfile,
  settings: LookSettings,
  strong: Side,
): { readonly routes: readonly Record<string, unknown>[]; readonly sentences: readonly string[] } {
  const def = conceptOf(book, fields);
  const presentation = presentationOf(book, fields);
  if (!def || !presentation || def.kind !== 'pass') return { routes: [], sentences: [] };
  const to = sideOf(fields.direction) ?? strong;
  const written = sideOf(fields.direction);
  const assignment = assignPlay(def, presentation, to, profile, settings.strength, written);
  return {
    sentences: passSentences(assignment, to),
    routes: assignmentPaths(assignment, to, def)
      .filter((path) => path.kind === 'route')
      .map((path) => ({
        by: path.by,
        route: assignment.jobs.get(path.by) ?? null,
        path: path.points.map(([x, y]) => [tenth(x), tenth(y)]),
      })),
  };
}
