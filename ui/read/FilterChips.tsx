'use client';
/** How old film fades, which film, what is filtered by, each taken away by a press; more to filter by; the views that are saved. */
import { useState } from 'react';
import type { GameInfo } from '@/core/exchange/types';
import type { LevelKey } from '@/core/field/profile';
import {
  FILM_KINDS,
  FILM_LABEL,
  filmKind,
  filterLabel,
  ownFilm,
  RANGE_LABEL,
  rangeWords,
  writeFilter,
  writeRanges,
  type Filter,
  type FilterField,
  type RangeField,
  type Ranges,
} from '@/core/read';
import type { SavedView } from '@/core/read/schema';
import { afterPaint } from '../shared/afterPaint';
import { Choice } from '../shared/Choice';
import type { SetAddress } from './ReadFilters';
import SavedViews from './SavedViews';
import type { Reading } from './useReading';
import { wordOf } from './words';
import { part } from '../shared/part';

const FilterMenu = part(() => import('./FilterMenu'));

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
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const close = (): void => {
    setAnchor(null);
    afterPaint(() => {
      if (document.activeElement === document.body) anchor?.focus({ preventScroll: true });
    });
  };
  const setFilter = (next: Filter): void => setUrl({ filter: writeFilter(next), reel: null });
  const setRanges = (next: Ranges): void =>
    setUrl({
      range: writeRanges(Object.fromEntries(Object.entries(next).filter(([, r]) => r !== undefined))),
      reel: null,
    });
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
      {Object.entries(filter).map(([field, words]) => (
        <span key={field} className="chip">
          {filterLabel(field as FilterField)}: {words!.map(wordOf).join(' or ')}
          <button
            type="button"
            className="plain"
            onClick={() => setFilter({ ...filter, [field]: [] })}
            aria-label={`take the filter ${filterLabel(field as FilterField)} away`}
          >
            ×
          </button>
        </span>
      ))}
      {Object.entries(ranges).map(([field, range]) => (
        <span key={field} className="chip">
          {rangeWords(field as RangeField, range)}
          <button
            type="button"
            className="plain"
            onClick={() => setRanges({ ...ranges, [field]: undefined })}
            aria-label={`take the range of ${RANGE_LABEL[field as RangeField]} away`}
          >
            ×
          </button>
        </span>
      ))}
      <button
        type="button"
        className="button"
        onClick={(e) => setAnchor(e.currentTarget)}
        aria-haspopup="menu"
      >
        add a filter
      </button>
      <SavedViews views={views} save={saveView} />
      {anchor && (
        <FilterMenu
          anchor={anchor}
          counted={reading.counted}
          onClose={close}
          onRange={(field, range) => setRanges({ ...ranges, [field]: range })}
          onAdd={(field, word) =>
            setFilter({ ...filter, [field]: [...new Set([...(filter[field] ?? []), word])] })
          }
        />
      )}
    </>
  );
}
