/** What our own film says of the pictures on a sheet, and how many calls would hide it. */
import { rollup } from 'd3-array';
import { plural } from '../rules/plural';
import { select, wordAt, type Columns } from '../read/columns';
import type { Audit } from './audits';
import { missingSetups } from './answers';
import { dilution, HIDE_PERCENT, TELL_PERCENT } from './dilution';
import { playLook, type PlayCard, type SheetCall } from './sheet';

/** A picture is known once it was on film so often (common practice). */
const ON_FILM = 8;
const KIND_WORDS = { run: ['run', 'runs'], pass: ['pass', 'passes'], rpo: ['option', 'options'] } as const;
type Kind = keyof typeof KIND_WORDS;

/** The picture a scout sees before the ball: personnel, formation and its side. */
const seen = (play: PlayCard): string | null =>
  play.formation === null ? null : [play.personnel, play.formation, play.formationSide].join('|');

interface Cue {
  readonly code: 'tell' | 'tempo';
  /** What a call and a snap of film show; null: nothing of the kind. */
  readonly ofCall: (call: SheetCall) => string | null;
  readonly ofRow: (row: number) => string | null;
  readonly words: (call: SheetCall) => string;
  readonly from: string;
}

/** Cues of the sheet that were one kind of call on our film, and whose calls here are that kind too. */
function told(calls: readonly SheetCall[], columns: Columns, team: string, cue: Cue): Audit[] {
  const { play } = columns.text;
  const film = rollup(
    select(columns, { offense: [team] }),
    (rows) =>
      rollup(
        rows,
        (of) => of.length,
        (row) => wordAt(play, row),
      ),
    cue.ofRow,
  );
  const out: Audit[] = [];
  for (const [shown, mine] of rollup(calls, (of) => of, cue.ofCall)) {
    const kinds = shown === null ? undefined : film.get(shown);
    if (!kinds) continue;
    const n = [...kinds.values()].reduce((a, b) => a + b, 0);
    const [kind, x] = [...kinds].reduce((a, b) => (b[1] > a[1] ? b : a));
    if (n < ON_FILM || 100 * x < TELL_PERCENT * n || kind === null || !Object.hasOwn(KIND_WORDS, kind))
      continue;
    if (mine.some((c) => c.play.kind !== kind)) continue;
    const more = dilution(x, n, HIDE_PERCENT);
    const [one, many] = KIND_WORDS[kind as Kind];
    out.push({
      code: cue.code,
      section: null,
      calls: mine.map((c) => c.id),
      facts: { k: x, of: n, more },
      sentence: `${cue.words(mine[0]!)} says ${one}: ${x} of ${n} on our film were ${many}, and the sheet has nothing else ${cue.from}. ${plural(more, 'call')} of another kind would bring it to ${HIDE_PERCENT} %.`,
    });
  }
  return out;
}

/** Pictures, and tempos that are said with a call, as our film names them. `team`: ours. */
export function tellAudits(calls: readonly SheetCall[], columns: Columns, team: string): Audit[] {
  const { personnel, formation, formationSide, tempo } = columns.text;
  const words = [personnel, formation, formationSide];
  const tempoOf = (call: SheetCall): string | null =>
    call.tags.map((tag) => tag.toLowerCase()).find((tag) => tempo.codeOf.has(tag)) ?? null;
  return [
    ...told(calls, columns, team, {
      code: 'tell',
      ofCall: (call) => seen(call.play),
      ofRow: (row) => words.map((column) => wordAt(column, row)).join('|'),
      words: (call) => playLook({ ...call.play, motion: null }),
      from: 'from it',
    }),
    ...told(calls, columns, team, {
      code: 'tempo',
      ofCall: tempoOf,
      ofRow: (row) => wordAt(tempo, row),
      words: (call) => `“${tempoOf(call)}”`,
      from: 'at that tempo',
    }),
  ];
}

/** Plays whose set-up stands neither on film nor before them. */
export const setupAudits = (
  calls: readonly SheetCall[],
  numbers: ReadonlyMap<string, number>,
  plays: readonly PlayCard[],
  columns: Columns,
  team: string,
): Audit[] =>
  missingSetups(calls, numbers, plays, columns, team).map(({ call, link }) => ({
    code: 'no_setup',
    section: call.section,
    calls: [call.id],
    facts: { shown: link.rows.length, least: link.link.least },
    sentence: `${call.play.name} pays after ${link.play?.name ?? 'a play that is not on the list any more'} was shown ${plural(link.link.least, 'time')}: it was shown ${plural(link.rows.length, 'time')}, and does not stand before it.`,
  }));

/** "If … then" that leads to a call that is not on the sheet any more. */
export const ifThenAudits = (calls: readonly SheetCall[]): Audit[] => {
  const ids = new Set(calls.map((c) => c.id));
  return calls
    .filter((c) => c.ifThen.some((one) => one.call !== null && !ids.has(one.call)))
    .map((c) => ({
      code: 'lost_then',
      section: c.section,
      calls: [c.id],
      facts: {},
      sentence: `${c.play.name}: what it leads to is not on the sheet any more.`,
    }));
};
