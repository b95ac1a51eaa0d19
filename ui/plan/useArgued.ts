'use client';
/**
 * What can be argued for each play in each section: the one that is looked at first, then the others, so that another
 * section stands at once. Counted beside the page; by the page where no worker is.
 */
import { useEffect, useState } from 'react';
import { arguedBy } from '@/client/looks';
import type { LevelProfile } from '@/core/field/profile';
import {
  argueSection,
  structuresOf,
  type PlayCard,
  type SectionArguments,
  type SectionSpec,
} from '@/core/plan';
import { RANKING } from '@/core/plan/argue-request';
import type { Columns, FilmToMeasure } from '@/core/read';
import { uniform } from '@/core/stats/uniform';

/** Draws of an interval are the same each time. */
export const SEED = 1;

export interface ArguedSections {
  /** Null: not argued yet. */
  readonly of: (section: SectionSpec) => SectionArguments | null;
  readonly structures: ReadonlyMap<string, string | null> | null;
  /** Every section is. */
  readonly all: boolean;
}

interface Of {
  /** Whether the looks of the film are known. */
  readonly measured: boolean;
  readonly film: FilmToMeasure;
  readonly columns: Columns;
  readonly team: string;
  readonly opponent: string;
  readonly plays: readonly PlayCard[];
  readonly profile: LevelProfile;
}

interface Known {
  /** What all of it follows from; another film or list of plays begins anew. */
  readonly columns: Columns;
  readonly plays: readonly PlayCard[];
  readonly structures: ReadonlyMap<string, string | null>;
  readonly sections: ReadonlyMap<string, SectionArguments>;
}
const keyOf = (section: SectionSpec): string => JSON.stringify(section);

export function useArgued(of: Of, sections: readonly SectionSpec[], first: SectionSpec): ArguedSections {
  const { measured, film, columns, team, opponent, plays, profile } = of;
  const [known, setKnown] = useState<Known | null>(null);
  const here = known?.columns === columns && known.plays === plays ? known : null;
  const next = [first, ...sections].find((s) => !here?.sections.has(keyOf(s)));
  const wanted = measured && next ? keyOf(next) : null;
  useEffect(() => {
    if (wanted === null) return;
    const section = JSON.parse(wanted) as SectionSpec;
    let left = false;
    const began = performance.now();
    const keep = (argued: SectionArguments, structures: ReadonlyMap<string, string | null>): void => {
      // For who measures: from the question to the answer.
      performance.measure(RANKING, { start: began });
      setKnown((before) => ({
        columns,
        plays,
        structures,
        sections: new Map([
          ...(before?.columns === columns && before.plays === plays ? before.sections : []),
          [wanted, argued] as const,
        ]),
      }));
    };
    void arguedBy(film, { team, opponent, section, plays, profile, seed: SEED }).then((answer) => {
      if (left) return;
      if (answer) return keep(answer.argued, answer.structures);
      const structures = structuresOf(film.book, profile, film.rules.look, plays);
      keep(
        argueSection(
          { columns, team, opponent, plays, structures, random: (stream) => uniform(SEED + stream) },
          section,
        ),
        structures,
      );
    });
    return () => {
      left = true;
    };
  }, [wanted, film, columns, team, opponent, plays, profile]);
  return {
    of: (section) => here?.sections.get(keyOf(section)) ?? null,
    structures: here?.structures ?? null,
    all: here !== null && next === undefined,
  };
}
