/** Words that are heard, and signals that are seen, from the sideline: which may be taken for another. */
import { group } from 'd3-array';
import { editDistance } from '../book/index-terms';
import { plural } from '../rules/plural';
import type { Audit } from './audits';
import type { SheetCall } from './sheet';

const ids = (calls: readonly SheetCall[]): string[] => calls.map((c) => c.id);

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
export function alikeWords(calls: readonly SheetCall[]): Audit[] {
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

/** A word of the sheet and what the hands do for it. */
export interface Signal {
  readonly word: string;
  readonly signal: string;
}
export const SIGNAL_LIMITS = { signals: 120, word: 40, signal: 60 } as const;

export const signalLines = (signals: readonly Signal[]): string =>
  signals.map(({ word, signal }) => `${word}: ${signal}`).join('\n');

/** A line each; or the first that cannot be read, with its number and the remedy. Blank lines are passed over. */
export function readSignals(text: string): Signal[] | string {
  const out: Signal[] = [];
  for (const [i, line] of text.split(/\r?\n/).entries()) {
    if (line.trim() === '') continue;
    const [, word, signal] = /^([^:\t]+)[:\t](.*)$/.exec(line.trim())?.map((part) => part.trim()) ?? [];
    if (!word || !signal) return `Line ${i + 1}: write the word, a colon and the signal.`;
    if (out.some((had) => had.word.toLowerCase() === word.toLowerCase()))
      return `Line ${i + 1}: “${word}” has a signal already; take one of the two out.`;
    out.push({ word, signal });
  }
  return out;
}

/** "fist, twice" and "Fist twice" are one signal. */
const plain = (signal: string): string =>
  signal
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim() || signal.trim();

/** What is signaled of a call: its concepts too, since receivers see hands and hear nothing. */
const signaled = (call: SheetCall): (readonly [what: string, word: string])[] => [
  ...said(call),
  ...[call.play.concept, call.play.conceptWeak].flatMap((word) =>
    word === null ? [] : [['a concept', word] as const],
  ),
];

/**
 * Words of the sheet that have one signal, or of which one begins as the other does; and words that have none, where
 * others of their kind have one: a staff that signals its motions alone is not asked for concepts.
 */
export function signalAudits(calls: readonly SheetCall[], signals: readonly Signal[]): Audit[] {
  if (signals.length === 0) return [];
  const uses = group(
    calls.flatMap((call) => signaled(call).map(([what, word]) => ({ what, word: word.toLowerCase(), call }))),
    ({ word }) => word,
  );
  const callsOf = (words: readonly string[]): SheetCall[] => [
    ...new Set(words.flatMap((word) => (uses.get(word) ?? []).map((use) => use.call))),
  ];
  const known = signals
    .map(({ word, signal }) => ({ word: word.toLowerCase(), shown: signal, hands: plain(signal) }))
    .filter(({ word }) => uses.has(word));
  const found = (code: Audit['code'], words: readonly string[], sentence: string): Audit => {
    const of = callsOf(words);
    return {
      code,
      section: null,
      calls: ids(of),
      about: words.join(' '),
      facts: { words: words.length },
      sentence,
    };
  };
  const clashes = known.flatMap((one, i) =>
    known.slice(i + 1).flatMap((other): Audit[] => {
      const words = [one.word, other.word];
      if (one.hands === other.hands)
        return [
          found('same_signal', words, `“${one.word}” and “${other.word}” have one signal: ${one.shown}.`),
        ];
      const [short, long] = one.hands.length < other.hands.length ? [one, other] : [other, one];
      return long.hands.startsWith(`${short.hands} `)
        ? [
            found(
              'same_signal',
              words,
              `The signal of “${long.word}” (${long.shown}) begins as that of “${short.word}” (${short.shown}).`,
            ),
          ]
        : [];
    }),
  );
  const kinds = new Set(known.flatMap(({ word }) => uses.get(word)!.map((use) => use.what)));
  const without = [...uses]
    .filter(([word, of]) => !known.some((k) => k.word === word) && of.some((use) => kinds.has(use.what)))
    .map(([word]) => word)
    .sort();
  return [
    ...clashes,
    // They would be most of the sheet: the words are named, not the calls.
    ...(without.length > 0
      ? [
          {
            ...found(
              'no_signal',
              without,
              `${plural(without.length, 'word')} of the sheet without a signal: ${without.join(', ')}.`,
            ),
            calls: [],
          },
        ]
      : []),
  ];
}
