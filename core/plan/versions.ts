/** A sheet as it was when somebody saved it: what it held, and what is different now. */
import type { Check, Remark } from './rows';
import type { SectionSpec } from './sections';
import { CALL_NOTES, playCall, type CallNotes, type PlayCard, type SheetCall } from './sheet';

/** Calls, checks and remarks by what they are, without the play's own words: those live in the book. */
export interface SheetContent {
  readonly name: string;
  readonly sections: readonly SectionSpec[] | null;
  readonly calls: readonly ({
    readonly id: string;
    readonly section: string;
    readonly order: number;
    readonly play: string;
  } & CallNotes)[];
  readonly checks: readonly Check[];
  readonly remarks: readonly Remark[];
}

export interface SheetDifference {
  readonly what: 'added' | 'removed' | 'moved' | 'changed';
  readonly words: string;
}

const sectionName = (sections: readonly SectionSpec[], key: string): string =>
  sections.find((s) => s.key === key)?.label ?? key;

/**
 * What is different between a saved sheet and the sheet as it stands, calls first. A call is the same while its row is;
 * its place counts only as its section: numbers follow from it.
 */
export function compareSheets(
  before: SheetContent,
  now: { readonly calls: readonly SheetCall[]; readonly checks: readonly Check[] },
  plays: ReadonlyMap<string, PlayCard>,
  sections: readonly SectionSpec[],
): SheetDifference[] {
  const out: SheetDifference[] = [];
  const name = (play: string): string => {
    const card = plays.get(play);
    return card ? `${card.name} (${playCall(card)})` : 'a play that is not on the list any more';
  };
  const then = new Map(before.calls.map((c) => [c.id, c]));
  for (const call of now.calls) {
    const old = then.get(call.id);
    const words = `${name(call.play.id)}, ${sectionName(sections, call.section)}`;
    if (!old) out.push({ what: 'added', words });
    else if (old.section !== call.section)
      out.push({ what: 'moved', words: `${words}, from ${sectionName(sections, old.section)}` });
    else if (CALL_NOTES.some((f) => JSON.stringify(old[f]) !== JSON.stringify(call[f])))
      out.push({ what: 'changed', words: `${words}: what is noted of it` });
  }
  const left = new Set(now.calls.map((c) => c.id));
  for (const call of before.calls)
    if (!left.has(call.id))
      out.push({ what: 'removed', words: `${name(call.play)}, ${sectionName(sections, call.section)}` });
  const answer = (c: Check): string =>
    [c.picture, c.personnel, c.situation].filter(Boolean).join(', ') +
    `: ${[c.front, c.coverage, c.pressure].filter(Boolean).join(', ') || 'no answer'}`;
  const checks = new Map(before.checks.map((c) => [c.id, c]));
  for (const check of now.checks) {
    const old = checks.get(check.id);
    if (!old) out.push({ what: 'added', words: answer(check) });
    else if (answer(old) !== answer(check) || old.note !== check.note)
      out.push({ what: 'changed', words: `${answer(old)} → ${answer(check)}` });
  }
  const stand = new Set(now.checks.map((c) => c.id));
  for (const check of before.checks)
    if (!stand.has(check.id)) out.push({ what: 'removed', words: answer(check) });
  return out;
}
