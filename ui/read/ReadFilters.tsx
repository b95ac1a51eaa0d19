'use client';
/** Whose offense, which games, which film, and what is filtered by; with the doors to what is counted and what is not tagged. */
import { useMemo } from 'react';
import type { LevelKey } from '@/core/field/profile';
import type { GameInfo, TeamInfo } from '@/core/exchange/types';
import { BOARD_SIDES, SIDE_WORDS } from '@/core/read';
import type { SavedView } from '@/core/read/schema';
import { Choice } from '../shared/Choice';
import { useAfterPaint } from '../shared/afterPaint';
import type { Reading } from './useReading';
import { part } from '../shared/part';

const ReadTotals = part(() => import('./ReadTotals'), <span className="small quiet totals">…</span>);
const FilterChips = part(() => import('./FilterChips'));

export type SetAddress = (changes: Readonly<Record<string, string | null>>, push?: boolean) => void;

interface ReadFiltersProps {
  readonly reading: Reading;
  readonly games: readonly { readonly info: GameInfo }[];
  readonly teams: readonly TeamInfo[];
  readonly level: LevelKey;
  readonly setUrl: SetAddress;
  readonly views: readonly SavedView[];
  readonly saveView: (given: unknown) => Promise<string | null>;
}

export function ReadFilters(props: ReadFiltersProps) {
  const { reading, games, teams, level, setUrl, views, saveView } = props;
  const { team, side, last } = reading.address;
  const { counted } = reading;
  const settled = useAfterPaint(useMemo(() => ({ counted, team }), [counted, team]));
  return (
    <div className="toolbar" role="toolbar" aria-label="Filters">
      <Choice
        label={`whose ${SIDE_WORDS[side]}`}
        value={team}
        width={190}
        options={teams.map((t) => [t.key, t.name])}
        onChange={(to) => setUrl({ team: to, cell: null, at: null, reel: null, filter: null })}
      />
      <Choice
        label="side"
        value={side}
        width={130}
        options={BOARD_SIDES.map((s) => [s, SIDE_WORDS[s]])}
        onChange={(to) =>
          setUrl({
            side: to === 'offense' ? null : to,
            board: null,
            cell: null,
            at: null,
            reel: null,
            filter: null,
          })
        }
      />
      <Choice
        label="games"
        value={last === null ? 'all' : String(last)}
        width={110}
        options={[
          ['all', `all ${reading.games}`],
          ...[1, 2, 3, 4]
            .filter((n) => n < reading.games)
            .map((n): [string, string] => [String(n), `last ${n}`]),
        ]}
        onChange={(to) => setUrl({ last: to === 'all' ? null : to, reel: null })}
      />
      <FilterChips
        reading={reading}
        games={games}
        level={level}
        setUrl={setUrl}
        views={views}
        saveView={saveView}
      />
      <ReadTotals {...settled} games={games} setUrl={setUrl} />
    </div>
  );
}
