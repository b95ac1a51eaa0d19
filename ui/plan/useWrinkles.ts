'use client';
/** Wrinkles of a play, worked out beside the page; by the page where no worker is. */
import { useEffect, useState } from 'react';
import { wrinklesBy } from '@/client/looks';
import type { LevelProfile } from '@/core/field/profile';
import { wrinklesOf, type basePlays, type Wrinkle } from '@/core/plan/wrinkles';
import type { PlanFilm } from './usePlanFilm';

type Base = ReturnType<typeof basePlays>[number];
interface Of {
  readonly film: PlanFilm;
  readonly team: string;
  readonly opponent: string;
  readonly profile: LevelProfile;
}

/** Null: they are being worked out. */
export function useWrinkles(
  { film, team, opponent, profile }: Of,
  base: Base | null,
): readonly Wrinkle[] | null {
  const [known, setKnown] = useState<{ readonly of: Base; readonly found: readonly Wrinkle[] } | null>(null);
  const { toMeasure, snaps, columns, jobs } = film;
  useEffect(() => {
    if (base === null) return;
    let left = false;
    void wrinklesBy(toMeasure, { team, opponent, profile, play: base.play }).then((answer) => {
      if (left) return;
      const { book, rules } = toMeasure;
      const here = { book, profile, settings: rules.look, snaps, columns, team, opponent };
      setKnown({ of: base, found: answer ?? wrinklesOf({ ...here, jobs: jobs() }, base.play, base.rows) });
    });
    return () => {
      left = true;
    };
  }, [base, toMeasure, snaps, columns, jobs, team, opponent, profile]);
  return base !== null && known?.of === base ? known.found : null;
}
