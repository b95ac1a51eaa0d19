'use client';
/** How old film fades, which film, what is filtered by, each taken away by a press; more to filter by; the views that are saved. */
import type { GameInfo } from '@/core/exchange/types';
import type { LevelKey } from '@/core/field/profile';
import { FILM_KINDS, FILM_LABEL, filmKind, ownFilm, writeFilter, writeRanges } from '@/core/read';
import type { SavedView } from '@/core/read/schema';
import { Choice } from '../shared/Choice';
import { FilterSet } from './FilterSet';
import type { SetAddress } from './ReadFilters';
import SavedViews from './SavedViews';
import type { Reading } from './useReading';

/** Games in which a snap’s weight halves. */
const FADING = [1, 2, 3, 5];

interface FilterChipsProps {
  readonly reading: Reading;
  readonly games: readonly { readonly info: GameInfo }[];
  readonly level: LevelKey;
  readonly setUrl: SetAddress;
  readonly views: readonly SavedView[];
  readonly saveView: (given: unknown) => Promise<string | null>;
}

export default function FilterChips({ reading, games, level, setUrl, views, saveView }: FilterChipsProps) {
  const { film, halfLife, filter, ranges } = reading.address;
  const own = ownFilm(level);
  const otherFilm = film !== own || games.some((g) => ![null, own].includes(filmKind(g.info)));
  return (
    <>
      <Choice
        label="fading"
        value={halfLife === null ? 'none' : String(halfLife)}
        width={150}
        options={[
          ['none', 'old as new'],
          ...FADING.map((n): [string, string] => [
            String(n),
            n === 1 ? 'half each game' : `half in ${n} games`,
          ]),
        ]}
        onChange={(to) => setUrl({ halflife: to === 'none' ? null : to, reel: null })}
      />
      {otherFilm && (
        <Choice
          label="film"
          value={film}
          width={150}
          options={FILM_KINDS.map((k) => [k, FILM_LABEL[k]])}
          onChange={(to) =>
            setUrl({ film: to === own ? null : to, last: null, cell: null, reel: null, filter: null })
          }
        />
      )}
      <FilterSet
        filter={filter}
        ranges={ranges}
        counted={reading.counted}
        onFilter={(next) => setUrl({ filter: writeFilter(next), reel: null })}
        onRanges={(next) => setUrl({ range: writeRanges(next), reel: null })}
      />
      <SavedViews views={views} save={saveView} />
    </>
  );
}
