/** What a check table leaves open or gives away: each a sentence with the checks it is about. */
import { rollup } from 'd3-array';
import { select, type Columns } from '../read/columns';
import { wilson, type Rate } from '../read/rates';
import { plural } from '../rules/plural';
import { answerAudit, answered } from './checks';
import type { CheckLook } from './check-look';
import { CHECK_SITUATIONS, findSituation, pictureOf, pictureRows, type CheckSituation } from './pictures';
import type { Check, CheckAnswer } from './rows';

export interface CheckAudit {
  readonly code: string;
  /** Always null: a check table has no sections. */
  readonly section: null;
  /** What tells it from another of its kind: a picture, a situation, a sentence. */
  readonly about: string;
  /** Ids of the checks it is about. */
  readonly calls: readonly string[];
  readonly facts: Readonly<Record<string, number>>;
  readonly sentence: string;
  /** Their snaps behind it; null: none. */
  readonly rows: Uint32Array | null;
  /** The picture to add a check for; null: there is one. */
  readonly picture: string | null;
}

export const answerWords = ({ front, coverage, pressure }: CheckAnswer): string =>
  [front, coverage, pressure].filter((w) => w !== null).join(', ') || 'no answer';

const precision = (check: Check): number =>
  (pictureOf(check.picture)?.structure === null ? 4 : 0) +
  (check.personnel === null ? 0 : 2) +
  (check.situation === null ? 0 : 1) +
  (pictureOf(check.picture)?.into ? 0.5 : 0);

/**
 * Which check a snap of theirs would get: the most precise that fits, a picture that cuts across before a structure,
 * personnel before the situation; of two alike the earlier on the table. By row; a row without an answer is missing.
 */
export function checksByRow(columns: Columns, team: string, checks: readonly Check[]): Map<number, Check> {
  const out = new Map<number, Check>();
  const last = checks
    .filter(answered)
    .map((check, at) => ({ check, at }))
    .sort((a, b) => precision(a.check) - precision(b.check) || b.at - a.at);
  for (const { check } of last) {
    const picture = pictureOf(check.picture);
    if (!picture) continue;
    for (const row of pictureRows(columns, { offense: [team] }, picture, check)) out.set(row, check);
  }
  return out;
}

/** Share of the snaps of a check among all of theirs, and a game. */
export interface CheckUse {
  readonly rate: Rate;
  readonly rows: Uint32Array;
  readonly aGame: number;
}
export function checkUses(columns: Columns, team: string, checks: readonly Check[]): Map<string, CheckUse> {
  const all = select(columns, { offense: [team] });
  const games = new Set([...all].map((row) => columns.text.game.codes[row])).size;
  const byCheck = rollup(
    checksByRow(columns, team, checks),
    (of) => of.map(([row]) => row),
    ([, c]) => c.id,
  );
  return new Map(
    checks.map((c) => {
      const rows = Uint32Array.from((byCheck.get(c.id) ?? []).sort((a, b) => a - b));
      return [
        c.id,
        { rate: wilson(rows.length, all.length), rows, aGame: games === 0 ? 0 : rows.length / games },
      ];
    }),
  );
}

/** Snaps of a situation from which "one call" may be said, and the share from which it is (common practice). */
const ENOUGH = 8;
const ONE_CALL = 0.7;

/** One answer in most of a situation: they would guess right that often. */
function oneCall(columns: Columns, team: string, checks: readonly Check[]): CheckAudit[] {
  const byRow = checksByRow(columns, team, checks);
  const of = (situation: CheckSituation): CheckAudit[] => {
    const rows = [...select(columns, { offense: [team], ...situation.filter }, situation.ranges)].filter(
      (row) => byRow.has(row),
    );
    if (rows.length < ENOUGH) return [];
    const calls = [
      ...rollup(
        rows,
        (r) => r,
        (row) => answerWords(byRow.get(row)!),
      ),
    ].sort((a, b) => b[1].length - a[1].length);
    const [words, most] = calls[0]!;
    if (most.length < ONE_CALL * rows.length) return [];
    return [
      {
        code: 'one_call',
        about: situation.key,
        section: null,
        calls: [...new Set(most.map((row) => byRow.get(row)!.id))],
        facts: { k: most.length, of: rows.length },
        sentence: `${situation.label}: ${words} on ${most.length} of ${rows.length} of their snaps; who guesses it is right ${Math.round((100 * most.length) / rows.length)} % of the time.`,
        rows: Uint32Array.from(most),
        picture: null,
      },
    ];
  };
  return CHECK_SITUATIONS.flatMap(of);
}

/** A structure that one motion makes of so many of their snaps wants an answer (common practice). */
const REACHABLE = 8;

/** `looks`: each check drawn on how they line up in its picture, by id. */
export function auditChecks(
  columns: Columns,
  team: string,
  checks: readonly Check[],
  looks: ReadonlyMap<string, CheckLook | null>,
): CheckAudit[] {
  const { open, reached, known } = answerAudit(columns, team, checks);
  const title = (c: Check): string =>
    [pictureOf(c.picture)?.label ?? c.picture, c.personnel, findSituation(c.situation)?.label]
      .filter(Boolean)
      .join(', ');
  return [
    ...open.map(({ picture, rows, rate }): CheckAudit => ({
      code: 'no_answer',
      about: picture.key,
      section: null,
      calls: checks.filter((c) => c.picture === picture.key).map((c) => c.id),
      facts: { k: rows.length, of: known },
      sentence: `No answer for ${picture.label}: ${plural(rows.length, 'snap')} of ${known} (${Math.round(100 * rate.low!)} to ${Math.round(100 * rate.high!)} %).`,
      rows,
      picture: picture.key,
    })),
    ...reached
      .filter((r) => r.from.length >= REACHABLE)
      .map(({ structure, from }): CheckAudit => ({
        code: 'reached',
        about: structure,
        section: null,
        calls: [],
        facts: { k: from.length, of: known },
        sentence: `No answer for ${structure}, which they have not shown: one motion makes it of ${plural(from.length, 'snap')}.`,
        rows: from,
        picture: structure,
      })),
    ...checks.flatMap((check) => {
      const look = looks.get(check.id);
      return (look?.faults ?? []).map(({ code, sentence }): CheckAudit => ({
        code,
        about: sentence,
        section: null,
        calls: [check.id],
        facts: {},
        sentence: `${title(check)}, ${answerWords(check)}: ${sentence}`,
        rows: null,
        picture: null,
      }));
    }),
    ...oneCall(columns, team, checks),
  ];
}
