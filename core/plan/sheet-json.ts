/** A sheet as the command line writes it (`sheet.json`): snake case, rates 0 to 1, absent is null. */
import type { Argument } from './argue';
import { answerWords } from './check-audits';
import { pictureOf } from './pictures';
import type { Check, SheetSide } from './rows';
import type { SectionSpec } from './sections';
import type { SheetCall } from './sheet';
import type { Sizing } from './sizing';

interface Said {
  readonly code: string;
  readonly calls: readonly string[];
  readonly facts: Readonly<Record<string, number>>;
  readonly sentence: string;
}

export interface SheetToWrite {
  readonly team: string;
  readonly opponent: string;
  readonly side: SheetSide;
  readonly seed: number;
  readonly sections: readonly SectionSpec[];
  readonly sizes: ReadonlyMap<string, Sizing | null>;
  readonly calls: readonly SheetCall[];
  /** By the call's id. */
  readonly argued: ReadonlyMap<string, { readonly argument: Argument; readonly reasons: readonly string[] }>;
  readonly checks: readonly (Check & { readonly share: number | null })[];
  readonly audits: readonly Said[];
}

function callJson(
  call: SheetCall,
  said: { readonly argument: Argument; readonly reasons: readonly string[] } | undefined,
) {
  const { play } = call;
  return {
    id: call.id,
    personnel: play.personnel,
    formation: play.formation,
    formation_side: play.formationSide,
    backfield: play.backfield,
    motion: play.motion,
    motion_by: play.motionBy,
    play: play.name,
    play_id: play.id,
    kind: play.kind,
    concept: play.concept,
    concept_weak: play.conceptWeak,
    direction: play.direction,
    tags: call.tags,
    hash: call.hash,
    if_then: call.ifThen,
    requires: call.needs,
    after: call.shownFirst,
    note: call.note,
    score: said?.argument.score ?? null,
    low: said?.argument.low ?? null,
    high: said?.argument.high ?? null,
    evidence: (said?.argument.looks ?? []).map((l) => ({
      look: l.look,
      share: l.share,
      k: l.k,
      n: l.ours.length,
    })),
    reasons: said?.reasons ?? [],
  };
}

export const sheetJson = (sheet: SheetToWrite) => ({
  team: sheet.team,
  opponent: sheet.opponent,
  side: sheet.side,
  seed: sheet.seed,
  sections: sheet.sections.map((section) => {
    const size = sheet.sizes.get(section.key) ?? null;
    return {
      id: section.key,
      title: section.label,
      filter: { ...section.filter, ...section.ranges },
      expected: size && {
        mean: size.expected.mean,
        low: size.expected.low,
        high: size.expected.high,
      },
      suggested: size?.suggested ?? null,
      calls: sheet.calls
        .filter((c) => c.section === section.key)
        .map((c) => callJson(c, sheet.argued.get(c.id))),
    };
  }),
  checks: sheet.checks.map((c) => ({
    id: c.id,
    picture: c.picture,
    structure: pictureOf(c.picture)?.structure ?? null,
    personnel: c.personnel,
    situation: c.situation,
    front: c.front,
    coverage: c.coverage,
    pressure: c.pressure,
    answer: answerWords(c),
    share: c.share,
  })),
  audits: sheet.audits.map(({ code, calls, facts, sentence }) => ({ code, cells: calls, facts, sentence })),
});
