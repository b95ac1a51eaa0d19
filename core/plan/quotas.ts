/** How many calls of a kind a staff wants in each half: a trick, an unbalanced line, any word of its own. */
import { plural } from '../rules/plural';
import type { Audit } from './audits';
import type { DrawnOf } from './book-audits';
import type { SheetCall } from './sheet';

export interface Quota {
  /** Any of them counts. */
  readonly words: readonly string[];
  readonly half: number;
}
export const QUOTA_LIMITS = { quotas: 8, words: 6, half: 20 } as const;
/** A look a half that they have not prepared for (common practice); a staff says others. */
export const USUAL_QUOTAS: readonly Quota[] = [{ words: ['trick', 'unbalanced'], half: 1 }];
const HALVES = 2;

/** Words a quota may count a call by: what is said with it, its picture and concept, its section, an unbalanced line. */
function wordsOf(call: SheetCall, drawn: DrawnOf): ReadonlySet<string> {
  const { play, tags, section } = call;
  const structure = drawn(play)?.assignment.structure;
  return new Set(
    [
      ...tags,
      ...(section === 'tricks' ? ['trick'] : []),
      ...(structure && !structure.balancedLine ? ['unbalanced'] : []),
      ...[play.kind, play.formation, play.motion, play.concept, play.conceptWeak].filter((w) => w !== null),
    ].map((word) => word.toLowerCase()),
  );
}

/** Quotas that the calls of a sheet do not fill; an empty sheet is not asked. */
export function quotaAudits(calls: readonly SheetCall[], quotas: readonly Quota[], drawn: DrawnOf): Audit[] {
  if (calls.length === 0) return [];
  return quotas.flatMap(({ words, half }): Audit[] => {
    const wanted = HALVES * half;
    const of = calls.filter((call) => {
      const said = wordsOf(call, drawn);
      return words.some((word) => said.has(word.toLowerCase()));
    });
    if (of.length >= wanted) return [];
    return [
      {
        code: 'quota',
        section: null,
        calls: of.map((c) => c.id),
        about: words.join(' '),
        facts: { calls: of.length, wanted },
        sentence: `${words.join(' or ')}: ${of.length === 0 ? 'no call' : plural(of.length, 'call')}; ${half} a half ${half === 1 ? 'takes' : 'take'} ${wanted}.`,
      },
    ];
  });
}
