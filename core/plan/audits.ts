/** What a sheet leaves open or gives away: each a sentence with the calls it is about. */
import { group } from 'd3-array';
import { editDistance } from '../book/index-terms';
import { plural } from '../rules/plural';
import { tenths } from '../read/rates';
import type { Remark } from './rows';
import type { Sizing } from './sizing';
import { SECTIONS, type SectionSpec } from './sections';
import { callWords, playLook, type SheetCall } from './sheet';

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
] as const;
/** Of the band as it prints. */
export const BAND_AUDITS = ['band_words'] as const;
/** Of the week of practice. */
export const PRACTICE_AUDITS = ['reps', 'new_jobs'] as const;
/** Of what the staff wants in each half. */
export const QUOTA_AUDITS = ['quota'] as const;
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
  return `${code}:${section ?? ''}:${calls.length}:${(hash >>> 0).toString(36)}`;
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

/** What is shouted or signaled for a line-up, its motion and what is said with a call. */
const said = ({ play, tags }: SheetCall): (readonly [what: string, word: string])[] => [
  ...(play.formation === null ? [] : [['a formation', play.formation] as const]),
  ...(play.motion === null ? [] : [['a motion', play.motion] as const]),
  ...tags.map((tag) => ['said with a call', tag.toLowerCase()] as const),
];
/** Shorter words are letters, and words with a figure are told apart by it. */
const LEAST_LETTERS = 3;
const told = (word: string): boolean => word.length < LEAST_LETTERS || /\d/.test(word);

/** Words of the sheet that are two things, or differ by one letter: one may be taken for the other (common practice). */
function alikeWords(calls: readonly SheetCall[]): Audit[] {
  const uses = new Map<string, { word: string; whats: Set<string>; calls: Set<SheetCall> }>();
  for (const call of calls)
    for (const [what, word] of said(call)) {
      const use = uses.get(word) ?? { word, whats: new Set(), calls: new Set() };
      uses.set(word, use);
      use.whats.add(what);
      use.calls.add(call);
    }
  const all = [...uses.values()].filter(({ word }) => !told(word));
  const found = (of: readonly SheetCall[], sentence: string): Audit => ({
    section: null,
    code: 'alike_words',
    calls: ids(of),
    facts: { calls: of.length },
    sentence,
  });
  return all.flatMap((one, i) => [
    ...(one.whats.size > 1
      ? [found([...one.calls], `“${one.word}” is ${[...one.whats].join(' and ')} on this sheet.`)]
      : []),
    ...all
      .slice(i + 1)
      .flatMap((other) =>
        editDistance(one.word, other.word, 1) === 1
          ? [
              found(
                [...new Set([...one.calls, ...other.calls])],
                `“${one.word}” and “${other.word}” differ by one letter: one call may be heard, or one signal read, as the other.`,
              ),
            ]
          : [],
      ),
  ]);
}

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
  found.push(...alikeWords(calls));
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
