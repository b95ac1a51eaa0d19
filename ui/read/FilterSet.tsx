'use client';
/** What is filtered by, each taken away by a press; and more to filter by. */
import { useState } from 'react';
import {
  filterLabel,
  RANGE_LABEL,
  rangeWords,
  type Counted,
  type Filter,
  type FilterField,
  type RangeField,
  type Ranges,
} from '@/core/read';
import { afterPaint } from '../shared/afterPaint';
import { part } from '../shared/part';
import { wordOf } from './words';

const FilterMenu = part(() => import('./FilterMenu'));

interface FilterSetProps {
  readonly filter: Filter;
  readonly ranges: Ranges;
  /** Whose words are offered, with how many snaps each would leave. */
  readonly counted: Pick<Counted, 'columns' | 'rows'>;
  readonly onFilter: (next: Filter) => void;
  readonly onRanges: (next: Ranges) => void;
}

const without = <T extends object>(all: T, name: string): T =>
  Object.fromEntries(Object.entries(all).filter(([key]) => key !== name)) as T;

export function FilterSet({ filter, ranges, counted, onFilter, onRanges }: FilterSetProps) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const close = (): void => {
    setAnchor(null);
    afterPaint(() => {
      if (document.activeElement === document.body) anchor?.focus({ preventScroll: true });
    });
  };
  return (
    <>
      {Object.entries(filter).map(([field, words]) => (
        <span key={field} className="chip">
          {filterLabel(field as FilterField)}: {words!.map(wordOf).join(' or ')}
          <button
            type="button"
            className="plain"
            onClick={() => onFilter(without(filter, field))}
            aria-label={`take the filter ${filterLabel(field as FilterField)} away`}
          >
            ×
          </button>
        </span>
      ))}
      {Object.entries(ranges).map(([field, range]) => (
        <span key={field} className="chip">
          {rangeWords(field as RangeField, range!)}
          <button
            type="button"
            className="plain"
            onClick={() => onRanges(without(ranges, field))}
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
      {anchor && (
        <FilterMenu
          anchor={anchor}
          counted={counted}
          onClose={close}
          onRange={(field, range) => onRanges({ ...ranges, [field]: range })}
          onAdd={(field, word) =>
            onFilter({ ...filter, [field]: [...new Set([...(filter[field] ?? []), word])] })
          }
        />
      )}
    </>
  );
}
