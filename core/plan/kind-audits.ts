/** What the sheet itself gives away by one cue: who stands in, who moves. */
import { group } from 'd3-array';
import type { Audit } from './audits';
import type { SheetCall } from './sheet';
import { dilution, HIDE_PERCENT, TELL_PERCENT } from './dilution';
import { plural } from '../rules/plural';

/** Below so many calls of a cue nothing is one-sided (common practice). */
const FEW_CALLS = 5;
const MANY: Readonly<Record<SheetCall['play']['kind'], string>> = {
  run: 'runs',
  pass: 'passes',
  rpo: 'options',
  other: 'of another kind',
};

const CUES: readonly {
  readonly of: (call: SheetCall) => string | null;
  readonly words: (cue: string) => string;
}[] = [
  { of: ({ play }) => play.personnel, words: (cue) => `Personnel ${cue}` },
  { of: ({ play }) => play.motion, words: (cue) => `Motion “${cue}”` },
];

/** Personnel and motions whose calls are one kind, with how many of another kind would hide it. Not where the whole sheet is. */
export function oneKind(calls: readonly SheetCall[]): Audit[] {
  const sided = (of: readonly SheetCall[]): { kind: SheetCall['play']['kind']; k: number } | null => {
    const [most] = [...group(of, (c) => c.play.kind)].sort((a, b) => b[1].length - a[1].length);
    return most && 100 * most[1].length >= TELL_PERCENT * of.length
      ? { kind: most[0], k: most[1].length }
      : null;
  };
  if (sided(calls) !== null) return [];
  return CUES.flatMap(({ of, words }) =>
    [
      ...group(
        calls.filter((c) => of(c) !== null),
        (c) => of(c)!,
      ),
    ].flatMap(([cue, these]): Audit[] => {
      const most = these.length < FEW_CALLS ? null : sided(these);
      if (most === null) return [];
      const more = dilution(most.k, these.length, HIDE_PERCENT);
      return [
        {
          code: 'one_kind',
          section: null,
          calls: these.map((c) => c.id),
          about: words(cue),
          facts: { k: most.k, of: these.length, more },
          sentence: `${words(cue)}: ${most.k} of ${plural(these.length, 'call')} are ${MANY[most.kind]}. ${plural(more, 'call')} of another kind would bring it to ${HIDE_PERCENT} %.`,
        },
      ];
    }),
  );
}
