'use client';
import { addCalls, draftCalls, type PlayCard } from '@/core/plan';
import { plural } from '@/core/rules/plural';
import { uniform } from '@/core/stats/uniform';
import { useToast } from '../shared/toasts';
import { SEED } from './useArgued';
import type { PlanFilm } from './usePlanFilm';
import type { SheetState } from './useSheet';

interface Of {
  readonly plays: readonly PlayCard[];
  readonly team: string;
  readonly opponent: string;
}

/** Fills sections that hold fewer calls than are enough; null while the opponent's looks are still measured. */
export function useDraft(
  { calls, printed, sections, edit }: SheetState,
  { columns, argued, fits, sectionsArgued: { of, structures } }: PlanFilm,
  { plays, team, opponent }: Of,
): (() => void) | null {
  const say = useToast();
  if (argued === null || structures === null) return null;
  return () => {
    const drafted = draftCalls(
      {
        columns,
        team,
        opponent,
        plays,
        structures,
        sections,
        fits,
        argued: of,
        random: (stream) => uniform(SEED + stream),
      },
      calls,
    );
    if (drafted.length === 0)
      return say('Every section that comes up holds calls enough, or no play of ours can be argued for it.');
    edit(
      addCalls(
        printed,
        drafted.map(({ section, play }) => ({ id: crypto.randomUUID(), section, play })),
      ),
      `${plural(drafted.length, 'call')} drafted; Undo takes the draft back in one.`,
    );
  };
}
