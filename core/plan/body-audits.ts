/** Whom a sheet needs, against who can play this week. Its sentences are for those who may see that. */
import { group } from 'd3-array';
import { meantBy, type RosterEntryInfo, type SaidAvailability } from '../roster';
import { plural } from '../rules/plural';
import type { Audit } from './audits';
import type { SheetCall } from './sheet';

export interface Bodies {
  readonly roster: readonly Pick<RosterEntryInfo, 'player' | 'number' | 'letters' | 'name' | 'depth'>[];
  /** Of this week; of whom nothing is said, nothing is known. */
  readonly said: readonly SaidAvailability[];
}
type Body = Bodies['roster'][number];

const who = ({ number, name }: Body): string => (name === null ? `#${number}` : `#${number} ${name}`);
const ids = (calls: readonly SheetCall[]): string[] => calls.map((c) => c.id);

/** Letters that say back or tight end on any staff's roster; those of a staff's own say it on that staff's alone. */
const ROLES = [
  { at: 0, words: ['back', 'backs'], letters: ['rb', 'hb', 'tb', 'fb'] },
  { at: 1, words: ['tight end', 'tight ends'], letters: ['te'] },
] as const;

/** Who must be there for a call and is out, limited, or nobody of ours; personnel that asks for more than can play. */
export function bodyAudits(calls: readonly SheetCall[], { roster, said }: Bodies): Audit[] {
  if (roster.length === 0) return [];
  const state = new Map(said.map((s) => [s.player, s.state]));
  const of = (body: Body): 'out' | 'limited' | null => {
    const is = state.get(body.player);
    return is === 'out' || is === 'limited' ? is : null;
  };
  return [...needed(calls, roster, of), ...grouped(calls, roster, of)];
}

type StateOf = (body: Body) => 'out' | 'limited' | null;

function needed(calls: readonly SheetCall[], roster: Bodies['roster'], of: StateOf): Audit[] {
  const byWord = group(
    calls.flatMap((call) => [...new Set(call.needs.map((w) => w.trim()))].map((word) => ({ word, call }))),
    ({ word }) => word.toLowerCase(),
  );
  return [...byWord.values()].flatMap((uses): Audit[] => {
    const { word } = uses[0]!;
    const these = uses.map((u) => u.call);
    const audit = (code: Audit['code'], facts: Audit['facts'], sentence: string): Audit[] => [
      { code, section: null, calls: ids(these), about: sentence, facts, sentence },
    ];
    const meant = meantBy(word, roster);
    if (meant.length === 0)
      return audit(
        'nobody',
        { of: 0 },
        `“${word}” must be available and is nobody’s number, letters or name on our roster.`,
      );
    const troubled = meant.filter((body) => of(body) !== null);
    if (troubled.length === 0) return [];
    const whole = meant.filter((body) => of(body) === null);
    const words = troubled.map((body) => `${who(body)} is ${of(body)}`).join(', ');
    const left =
      whole.length > 0
        ? `; ${whole.map(who).join(', ')} ${whole.length === 1 ? 'is' : 'are'} left`
        : meant.length > 1
          ? '; nobody else is left'
          : '';
    return audit(
      'unavailable',
      { out: troubled.filter((body) => of(body) === 'out').length, of: meant.length },
      `${plural(these.length, 'call')} must have ${word}: ${words}${left}.`,
    );
  });
}

/** Two digits: backs, then tight ends. A roster that names none of a kind says nothing of it. */
function grouped(calls: readonly SheetCall[], roster: Bodies['roster'], of: StateOf): Audit[] {
  return [...group(calls, (c) => c.play.personnel)].flatMap(([personnel, these]) => {
    if (personnel === null) return [];
    return ROLES.flatMap(({ at, words: [one, many], letters }): Audit[] => {
      const want = Number(personnel[at]);
      const men = roster.filter((body) => letters.some((l) => meantBy(l, [body]).length > 0));
      const out = men.filter((body) => of(body) === 'out');
      const there = men.length - out.length;
      if (men.length === 0 || out.length === 0 || !(there < want)) return [];
      const sentence = `Personnel ${personnel} has ${plural(want, one, many)}: of ${men.length} on our roster ${there} can play (${out.map((body) => `${who(body)} is out`).join(', ')}).`;
      return [
        {
          code: 'unavailable',
          section: null,
          calls: ids(these),
          about: sentence,
          facts: { out: out.length, of: men.length, want },
          sentence,
        },
      ];
    });
  });
}
