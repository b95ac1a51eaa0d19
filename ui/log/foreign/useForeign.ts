'use client';
/** A foreign table on its way to snaps: what was decided, what follows from it, and the files of the import. */
import { useMemo, useState } from 'react';
import type { Book } from '@/core/book';
import type { LevelProfile } from '@/core/field/profile';
import {
  foreignPackage,
  foreignSnaps,
  headingsKey,
  sameTeam,
  understand,
  type ForeignGame,
  type ForeignSheet,
  type NewTeam,
  type Target,
} from '@/core/foreign';
import type { ReadingInfo, TeamInfo } from '@/core/exchange/types';
import { checkRows, walkGame } from '@/core/rules';
import type { Snap } from '@/core/snap';

export interface GameChoice {
  readonly home: string;
  readonly away: string;
  readonly homeName: string;
  readonly awayName: string;
  readonly date: string;
  readonly phase: string;
  /** Whose offense a letter O means, and rows that name no team: home or away. */
  readonly ours: 'home' | 'away';
}
export const NEW = 'new';

/** A key of letters for a team that is new. */
export function keyFor(name: string, taken: ReadonlySet<string>): string {
  const letters = name.toUpperCase().replace(/[^A-Z0-9]/g, '');
  const short = (letters || 'TEAM').slice(0, 3);
  let key = short;
  for (let n = 2; taken.has(key); n++) key = `${short}${n}`;
  return key;
}

const alike = (team: TeamInfo, written: string): boolean =>
  [team.key, team.name, team.nickname, team.place].some((name) => name && sameTeam(name, written));

/** Before anything is chosen; a sheet that bears a team's name is a game against it. */
function firstChoice(sheet: ForeignSheet, teams: readonly TeamInfo[], phase: string): GameChoice {
  const away = teams.find((team) => alike(team, sheet.name))?.key ?? '';
  return { home: '', away, homeName: '', awayName: '', date: '', phase, ours: 'home' };
}

export function useForeign(
  file: string,
  sheets: readonly ForeignSheet[],
  book: Book,
  profile: LevelProfile,
  level: string,
  teams: readonly TeamInfo[],
  readings: readonly ReadingInfo[],
) {
  const [at, setAt] = useState(0);
  const sheet = sheets[at]!;
  const [columns, setColumns] = useState<ReadonlyMap<string, Target | null>>(new Map());
  const [values, setValues] = useState<ReadonlyMap<string, string | null>>(new Map());
  const [cells, setCells] = useState<ReadonlyMap<string, string>>(new Map());
  const [game, setGame] = useState<GameChoice>(() => firstChoice(sheets[0]!, teams, 'regular'));
  /** Words that become terms of the book with the import: `kind|word`. */
  const [fresh, setFresh] = useState<ReadonlySet<string>>(new Set());
  const [said, setSaid] = useState<ReadonlyMap<string, 'home' | 'away'>>(new Map());

  const chosen = useMemo(() => {
    const taken = new Set(teams.map((t) => t.key));
    const side = (key: string, name: string): { team: NewTeam; known: boolean } | null => {
      const known = teams.find((t) => t.key === key);
      if (known) return { team: { key: known.key, name: known.name }, known: true };
      if (key !== NEW || name.trim() === '') return null;
      const made = keyFor(name, taken);
      taken.add(made);
      return { team: { key: made, name: name.trim() }, known: false };
    };
    return { home: side(game.home, game.homeName), away: side(game.away, game.awayName) };
  }, [game.home, game.away, game.homeName, game.awayName, teams]);

  /** The first look: what is read when nobody has decided anything, for the headings. */
  const remembered = useMemo(() => {
    const plain = understand(sheet, { book });
    const key = headingsKey(plain.mapping.map((m) => m.column));
    return { key, reading: readings.find((r) => r.headings === key) ?? null, names: plain.teams };
  }, [sheet, book, readings]);
  const decided = useMemo(
    () => ({
      columns: new Map([
        ...(remembered.reading?.mapping ?? []).map((m) => [m.column, m.field as Target | null] as const),
        ...columns,
      ]),
      values: new Map([
        ...(remembered.reading?.values ?? []).map((v) => [`${v.field}|${v.from}`, v.to] as const),
        ...values,
      ]),
    }),
    [remembered, columns, values],
  );
  const ours = chosen[game.ours]?.team.key ?? null;
  const theirs = chosen[game.ours === 'home' ? 'away' : 'home']?.team.key ?? null;
  const teamOf = useMemo(
    () =>
      (written: string): string | null => {
        const side = said.get(written);
        if (side) return chosen[side]?.team.key ?? null;
        for (const one of [chosen.home, chosen.away]) {
          if (!one) continue;
          if (one.team.key === written || alike({ ...one.team, nickname: null, place: null }, written))
            return one.team.key;
          const known = teams.find((t) => t.key === one.team.key);
          if (known && alike(known, written)) return known.key;
        }
        return null;
      },
    [said, chosen, teams],
  );
  /** Names as they stood when nothing was decided: a refused row still says whose half it means. */
  const aliases = useMemo(
    () =>
      new Map(
        remembered.names.flatMap((written) => {
          const key = teamOf(written);
          return key === null ? [] : [[written, key] as const];
        }),
      ),
    [remembered, teamOf],
  );
  const understood = useMemo(
    () =>
      understand(sheet, {
        book,
        team: ours,
        opponent: theirs,
        aliases,
        mapping: decided.columns,
        values: decided.values,
        cells,
      }),
    [sheet, book, ours, theirs, aliases, decided, cells],
  );

  const out = useMemo(() => {
    if (!chosen.home || !chosen.away || chosen.home.team.key === chosen.away.team.key)
      return { game: null, snaps: [] as Snap[], homeless: 0 };
    const key = `${game.date || 'undated'}-${chosen.away.team.key}-${chosen.home.team.key}-${sheet.name}`
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/-+$/, '')
      .slice(0, 80);
    const info: ForeignGame = {
      key,
      date: game.date || null,
      home: chosen.home.team.key,
      away: chosen.away.team.key,
      level,
      phase: game.phase,
      source: `${file}${sheets.length > 1 ? `, ${sheet.name}` : ''}`,
    };
    const all = foreignSnaps(understood, info);
    const snaps = all.filter((snap) => snap.offense !== null && snap.defense !== null);
    return { game: info, snaps, homeless: all.length - snaps.length };
  }, [understood, chosen, game.date, game.phase, sheet.name, sheets.length, file, level]);
  const walked = useMemo(() => walkGame(out.snaps, profile), [out.snaps, profile]);
  const findings = useMemo(() => checkRows(walked).filter((f) => f.level === 'finding'), [walked]);

  return {
    sheet,
    at,
    choose: (index: number) => {
      setAt(index);
      setColumns(new Map());
      setValues(new Map());
      setCells(new Map());
      // Another sheet is another game, mostly of another team.
      setSaid(new Map());
      setGame((before) => firstChoice(sheets[index]!, teams, before.phase));
    },
    understood,
    remembered: remembered.reading !== null,
    game,
    setGame: (more: Partial<GameChoice>) => setGame((g) => ({ ...g, ...more })),
    chosen,
    teamOf,
    sayTeam: (written: string, side: 'home' | 'away') => setSaid((m) => new Map(m).set(written, side)),
    out,
    walked,
    findings,
    map: (column: string, target: Target | null) => setColumns((m) => new Map(m).set(column, target)),
    value: (target: Target, from: string, to: string | null) =>
      setValues((m) => new Map(m).set(`${target}|${from}`, to)),
    fresh,
    setNew: (kind: string, term: string, on: boolean) =>
      setFresh((all) => {
        const next = new Set(all);
        if (on) next.add(`${kind}|${term}`);
        else next.delete(`${kind}|${term}`);
        return next;
      }),
    mend: (row: number, column: string, text: string) =>
      setCells((m) => new Map(m).set(`${row}|${column}`, text)),
    reading: (): ReadingInfo => ({
      headings: remembered.key,
      mapping: understood.mapping.map(({ column, field }) => ({ column, field })),
      values: [...decided.values].map(([key, to]) => {
        const cut = key.indexOf('|');
        return { field: key.slice(0, cut), from: key.slice(cut + 1), to };
      }),
    }),
    files: () =>
      out.game === null
        ? []
        : foreignPackage(
            out.snaps,
            out.game,
            [chosen.home, chosen.away].flatMap((one) => (one && !one.known ? [one.team] : [])),
          ),
  };
}
export type Foreign = ReturnType<typeof useForeign>;
