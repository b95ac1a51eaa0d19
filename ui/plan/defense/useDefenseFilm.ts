'use client';
/** The film that a check table rests on: what they have shown, what ours answered, and each check drawn on it. */
import { useMemo } from 'react';
import type { Book } from '@/core/book';
import type { LevelKey, Profiles } from '@/core/field/profile';
import {
  auditChecks,
  checkUses,
  lookOfCheck,
  pictureDrawn,
  pictureOf,
  pictureRows,
  reachedBy,
  shownBy,
  type Check,
  type CheckAudit,
  type CheckLook,
  type CheckUse,
  type ReachedPicture,
  type ShownBy,
} from '@/core/plan';
import { filmKind, ownFilm, type Columns, type CountedSnap } from '@/core/read';
import type { FilmGames } from '@/client/film';
import { useCounted } from '../../film/useCounted';
import { useFilmToMeasure, useMeasured } from '../../read/useMeasured';
import { useStaffRules } from '../../StaffRules';

export interface DefenseFilm {
  readonly snaps: readonly CountedSnap[];
  readonly columns: Columns;
  /** Null: their looks are still measured. */
  readonly shown: ShownBy | null;
  readonly reached: readonly ReachedPicture[];
  readonly uses: ReadonlyMap<string, CheckUse>;
  /** Each check drawn, by its id; null: no line-up of the picture can be drawn. */
  readonly looks: ReadonlyMap<string, CheckLook | null>;
  readonly audits: readonly CheckAudit[];
}

interface Of {
  readonly games: FilmGames;
  readonly opponent: string;
  readonly book: Book;
  readonly level: LevelKey;
  readonly profiles: Profiles;
}

const NO_CHECKS = new Map<string, CheckLook | null>();

export function useDefenseFilm(
  { games, opponent, book, level, profiles }: Of,
  checks: readonly Check[],
): DefenseFilm {
  const { look: settings } = useStaffRules();
  const profile = profiles[level];
  const ours = useMemo(() => games.filter((g) => filmKind(g.info) === ownFilm(level)), [games, level]);
  const { snaps, columns } = useCounted(ours, profiles, book);
  const measured = useMeasured(snaps, useFilmToMeasure(ours, profiles, book));
  const shown = useMemo(() => (measured ? shownBy(columns, opponent) : null), [measured, columns, opponent]);
  const reached = useMemo(
    () => (shown ? reachedBy(columns, opponent, shown) : []),
    [shown, columns, opponent],
  );
  const keys = checks.map((c) => c.picture).join('|');
  const pictures = useMemo(() => {
    if (!shown) return null;
    return new Map(
      [...new Set(keys.split('|'))].map((key) => {
        const picture = pictureOf(key);
        const rows = picture ? pictureRows(columns, { offense: [opponent] }, picture) : new Uint32Array(0);
        return [key, pictureDrawn(book, profile, key, snaps, rows)];
      }),
    );
  }, [shown, keys, columns, opponent, book, profile, snaps]);
  const looks = useMemo(() => {
    if (!pictures) return NO_CHECKS;
    return new Map(
      checks.map((check) => {
        const picture = pictures.get(check.picture) ?? null;
        return [check.id, picture && lookOfCheck(book, profile, settings, picture, check)];
      }),
    );
  }, [pictures, checks, book, profile, settings]);
  const uses = useMemo(
    () => (measured ? checkUses(columns, opponent, checks) : new Map<string, CheckUse>()),
    [measured, columns, opponent, checks],
  );
  const audits = useMemo(
    () => (pictures ? auditChecks(columns, opponent, checks, looks) : []),
    [pictures, columns, opponent, checks, looks],
  );
  return { snaps, columns, shown, reached, uses, looks, audits };
}
