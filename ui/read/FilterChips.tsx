'use client';
/** What is filtered by, each taken away by a press; more to filter by; the views that are saved. */
import dynamic from 'next/dynamic';
import { useState } from 'react';
import {
  filterLabel,
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
import type { SetAddress } from './ReadFilters';
import SavedViews from './SavedViews';
import type { Reading } from './useReading';
import { wordOf } from './words';

const FilterMenu = dynamic(() => import('./FilterMenu'), { ssr: false });

interface FilterChipsProps {
  readonly reading: Reading;
  readonly setUrl: SetAddress;
  readonly views: readonly SavedView[];
  readonly saveView: (given: unknown) => Promise<string | null>;
}

export default function FilterChips({ reading, setUrl, views, saveView }: FilterChipsProps) {
  const { filter, ranges } = reading.address;
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const setFilter = (next: Filter): void => setUrl({ filter: writeFilter(next), reel: null });
  const setRanges = (next: Ranges): void =>
    setUrl({
      range: writeRanges(Object.fromEntries(Object.entries(next).filter(([, r]) => r !== undefined))),
      reel: null,
    });
  return (
    <>
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
          onClose={() => setAnchor(null)}
          onRange={(field, range) => setRanges({ ...ranges, [field]: range })}
          onAdd={(field, word) =>
            setFilter({ ...filter, [field]: [...new Set([...(filter[field] ?? []), word])] })
          }
        />
      )}
    </>
  );
}
