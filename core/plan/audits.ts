/** What a sheet leaves open or gives away: each a sentence with the calls it is about. */
import { group } from 'd3-array';
import { plural } from '../rules/plural';
import { tenths } from '../read/rates';
import type { Remark } from './rows';
import type { Sizing } from './sizing';
import { SECTIONS, type SectionSpec } from './sections';
import { callWords, playLook, type SheetCall } from './sheet';
import { alikeWords } from './word-audits';
import { oneKind } from './kind-audits';

/** Of the sheet alone and its sizes. */
export const SHEET_AUDITS = [
  'no_calls',
  'too_many',
  'too_few',
  'twice',
  'one_picture',
  'one_way',
  'one_hash',
  'same_words',
  'alike_words',
  'one_kind',
] as const;
/** Of our own film, and of what calls lead to. */
export const FILM_AUDITS = ['tell', 'tempo', 'no_setup', 'lost_then'] as const;
/** Of how the book draws the calls. */
export const BOOK_AUDITS = [
  'block_rule',
  'downfield_rule',
  'line_up',
  'apart',
  'kept_in',
  'two_protections',
  'name',
] as const;
/** Of the band as it prints. */
export const BAND_AUDITS = ['band_words'] as const;
/** Of the week of practice. */
export const PRACTICE_AUDITS = ['reps', 'new_jobs'] as const;
/** Of what the staff wants in each half. */
export const QUOTA_AUDITS = ['quota'] as const;
/** Of our own snaps: when they come. */
export const SNAP_AUDITS = ['timed', 'cadence'] as const;
/** Of what they have hardly faced. */
export const PROBE_AUDITS = ['no_probe'] as const;
/** Of the staff's hand signals. */
export const SIGNAL_AUDITS = ['same_signal', 'no_signal'] as const;
/** Of who can play this week. */
export const BODY_AUDITS = ['unavailable', 'nobody'] as const;
export type AuditCode = (
  | typeof SHEET_AUDITS
  | typeof FILM_AUDITS
  | typeof BOOK_AUDITS
  | typeof BAND_AUDITS
  | typeof PRACTICE_AUDITS
  | typeof QUOTA_AUDITS
  | typeof BODY_AUDITS
  | typeof SNAP_AUDITS
  | typeof SIGNAL_AUDITS
  | typeof PROBE_AUDITS
)[number];

export interface Audit {
  readonly code: AuditCode;
  /** The section it is about; null: the whole sheet. */
  readonly section: string | null;
  /** Ids of the calls it is about. */
  readonly calls: readonly string[];
  /** What else parts it from another of its code that is about the same calls. */
  readonly about?: string;
  /** The figures of the sentence: how many calls, snaps expected a game, calls that are enough or the most that come. */
  readonly facts: Readonly<Record<string, number>>;
  readonly sentence: string;
}

/** Waved through, an audit of who can play is read by all: its reason is chosen, and says nothing of a man. */
export const BODY_REASONS = [
  'another man is ready',
  'settled with the staff',
  'decided on the day of the game',
] as const;
export const isOfBodies = (code: string): boolean => (BODY_AUDITS as readonly string[]).includes(code);

/** What an audit is known by when somebody waves it through: it comes back when it is about other calls (FNV-1a over their ids, and what else it is `about`). */
export function auditKey({
  about = '',
  code,
  section,
  calls,
}: Pick<Audit, 'section' | 'calls'> & { readonly code: string; readonly about?: string }): string {
  let hash = 0x811c9dc5;
  for (const char of [about, ...[...calls].sort()].join(' '))
    hash = Math.imul(hash ^ char.charCodeAt(0), 0x01000193);
  // The key goes to every member's browser: whether somebody is out is not in it.
  return `${isOfBodies(code) ? 'bodies' : code}:${section ?? ''}:${calls.length}:${(hash >>> 0).toString(36)}`;
}

/** A section that comes up less often than every second game needs no call. */
export const COMES_UP = 0.5;
/** Below so many calls a balance says nothing (common practice). */
const FEW_CALLS = 5;
/** Share from which calls of one kind are one-sided (common practice). */
const ONE_SIDED = 0.8;
/** A picture on the sheet so often, always with one play, is that play's name. */
const SAME_PICTURE = 3;

type Sizes = ReadonlyMap<string, Sizing | null>;
const ids = (calls: readonly SheetCall[]): string[] => calls.map((c) => c.id);

function ofSection(section: SectionSpec, calls: readonly SheetCall[], size: Sizing | null): Audit[] {
  const about = { section: section.key };
  const found: Audit[] = [];
  if (size !== null) {
    const { expected, oneGame, suggested } = size;
    const snaps = `${tenths(expected.mean)} snaps a game`;
    if (calls.length === 0) {
      if (expected.mean >= COMES_UP)
        found.push({
          ...about,
          code: 'no_calls',
          calls: [],
          facts: { expected: expected.mean },
          sentence: `no call, and ${snaps} are expected.`,
        });
    } else if (oneGame !== null && calls.length > Math.ceil(oneGame.high))
      found.push({
        ...about,
        code: 'too_many',
        calls: ids(calls),
        facts: { calls: calls.length, expected: expected.mean, most: Math.ceil(oneGame.high) },
        sentence: `${plural(calls.length, 'call')} for ${snaps}; more than ${Math.ceil(oneGame.high)} come in one game of forty.`,
      });
    else if (calls.length < suggested)
      found.push({
        ...about,
        code: 'too_few',
        calls: ids(calls),
        facts: { calls: calls.length, expected: expected.mean, enough: suggested },
        sentence: `${plural(calls.length, 'call')} for ${snaps}; with ${suggested} none comes more than twice.`,
      });
  }
  const byPlay = group(calls, (c) => c.play.id);
  for (const same of byPlay.values())
    if (same.length > 1)
      found.push({
        ...about,
        code: 'twice',
        calls: ids(same),
        facts: { calls: same.length },
        sentence: `${same[0]!.play.name} stands in it ${same.length} times.`,
      });
  return found;
}

/** The group that holds more than its share of what has a word; null: none does. */
function oneSided<W extends string>(
  calls: readonly SheetCall[],
  wordOf: (call: SheetCall) => W | null,
): { readonly word: W; readonly of: readonly SheetCall[]; readonly all: number } | null {
  const said = calls.filter((c) => wordOf(c) !== null);
  if (said.length < FEW_CALLS) return null;
  const [most] = [...group(said, (c) => wordOf(c)!)].sort((a, b) => b[1].length - a[1].length);
  if (!most || most[1].length < ONE_SIDED * said.length) return null;
  return { word: most[0], of: most[1], all: said.length };
}

const TO = { L: 'left', M: 'in the middle', R: 'right' } as const;

function ofSheet(calls: readonly SheetCall[]): Audit[] {
  const found: Audit[] = [];
  const about = { section: null };
  for (const [look, same] of group(calls, (c) => playLook(c.play))) {
    const plays = new Set(same.map((c) => `${c.play.kind} ${c.play.concept}`));
    if (same.length >= SAME_PICTURE && plays.size === 1 && same[0]!.play.formation !== null)
      found.push({
        ...about,
        code: 'one_picture',
        calls: ids(same),
        facts: { calls: same.length },
        sentence: `${look} stands on the sheet ${same.length} times, always with ${same[0]!.play.concept}.`,
      });
  }
  // On a band nobody can tell which was meant.
  for (const [said, same] of group(calls, callWords))
    if (new Set(same.map((c) => c.play.id)).size > 1)
      found.push({
        ...about,
        code: 'same_words',
        calls: ids(same),
        facts: { calls: same.length },
        sentence: `${plural(same.length, 'call')} of different plays read “${said}”.`,
      });
  found.push(...alikeWords(calls), ...oneKind(calls));
  const balance = (
    code: AuditCode,
    among: readonly SheetCall[],
    wordOf: (call: SheetCall) => 'L' | 'M' | 'R' | null,
    say: (k: number, n: number, to: string) => string,
  ): void => {
    const side = oneSided(among, wordOf);
    if (side === null) return;
    const [k, n] = [side.of.length, side.all];
    found.push({
      ...about,
      code,
      calls: ids(side.of),
      facts: { calls: k, of: n },
      sentence: say(k, n, TO[side.word]),
    });
  };
  const runs = calls.filter((c) => c.play.kind !== 'pass');
  balance(
    'one_way',
    runs,
    (c) => c.play.direction,
    (k, n, to) => `${k} of ${n} runs with a side go ${to}.`,
  );
  balance(
    'one_hash',
    calls,
    (c) => c.hash,
    (k, n, to) => `${k} of ${n} calls with a hash are for the ball ${to}.`,
  );
  return found;
}

/** In the order of the sheet, then what is about all of it. */
export const auditSheet = (
  calls: readonly SheetCall[],
  sizes: Sizes,
  sections: readonly SectionSpec[] = SECTIONS,
): Audit[] => [
  ...sections.flatMap((section) =>
    ofSection(
      section,
      calls.filter((c) => c.section === section.key),
      sizes.get(section.key) ?? null,
    ),
  ),
  ...ofSheet(calls),
];

export interface GivenAway {
  /** Shares of snaps on which who sees the picture, or only the situation, names run, pass or option right. */
  readonly seen: number;
  readonly unseen: number;
  /** Mutual information of call and picture, given the situation: bits a snap. */
  readonly bits: number;
  readonly calls: number;
}

/**
 * What the sheet tells a scout who knows it: the cue is personnel, formation and backfield, the situation is the section.
 * A section weighs what is expected of it, each of its calls alike. Null: no call whose section comes up.
 */
export function givenAway(calls: readonly SheetCall[], sizes: Sizes): GivenAway | null {
  let [seen, unseen, bits, whole, counted] = [0, 0, 0, 0, 0];
  for (const [key, here] of group(calls, (c) => c.section)) {
    const weight = sizes.get(key)?.expected.mean ?? 0;
    if (weight === 0) continue;
    whole += weight;
    counted += here.length;
    const one = weight / here.length;
    const kinds = group(here, (c) => c.play.kind);
    unseen += one * Math.max(...[...kinds.values()].map((k) => k.length));
    for (const cue of group(here, (c) => playLook({ ...c.play, motion: null })).values()) {
      const within = [...group(cue, (c) => c.play.kind)];
      seen += one * Math.max(...within.map(([, k]) => k.length));
      for (const [kind, k] of within)
        bits += one * k.length * Math.log2((k.length * here.length) / (cue.length * kinds.get(kind)!.length));
    }
  }
  return whole === 0
    ? null
    : { seen: seen / whole, unseen: unseen / whole, bits: bits / whole, calls: counted };
}

/** What still stands, and what somebody waved through with a reason. A reason whose audit is gone says nothing. */
export function settleAudits<A extends Parameters<typeof auditKey>[0]>(
  audits: readonly A[],
  remarks: readonly Remark[],
): {
  readonly open: readonly A[];
  readonly waved: readonly { readonly audit: A; readonly remark: Remark }[];
} {
  const reasons = new Map(remarks.filter((r) => r.kind === 'waved').map((r) => [r.about, r]));
  const open: A[] = [];
  const waved: { audit: A; remark: Remark }[] = [];
  for (const audit of audits) {
    const remark = reasons.get(auditKey(audit));
    if (remark) waved.push({ audit, remark });
    else open.push(audit);
  }
  return { open, waved };
}
