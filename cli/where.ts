/** `--where "offense=HER,quarter=1|2,distance=7..10"` as a filter, ranges of figures, and what is left to look up. */
import { fieldOfColumn, columnOf } from '../core/snap';
import {
  FILTER_FIELDS,
  isFilterField,
  RANGE_FIELDS,
  type Columns,
  type FilterField,
  type Range,
  type RangeField,
  type Ranges,
} from '../core/read';
import { Plain } from './paths';

export interface Where {
  readonly words: Readonly<Partial<Record<FilterField, readonly string[]>>>;
  readonly ranges: Ranges;
  /** Ranges over words that are figures. */
  readonly figures: Readonly<Partial<Record<FilterField, Range>>>;
}

/** A column that may be grouped by, or a plain error that lists them. */
export function filterColumn(column: string): FilterField {
  const name = fieldOfColumn(column.trim());
  if (isFilterField(name)) return name;
  throw new Plain(
    `column ${column} cannot be grouped by; it is none of ${FILTER_FIELDS.map(columnOf).join(', ')}`,
  );
}

function rangeOf(part: string, text: string): Range | null {
  const found = /^(-?\d+)\.\.(-?\d+)$/.exec(text);
  if (!found) return null;
  const range = { from: Number(found[1]), to: Number(found[2]) };
  if (range.from > range.to) throw new Plain(`--where ${part} begins above its end; write the smaller first`);
  return range;
}

export function readWhere(text: string | undefined): Where {
  const words: Partial<Record<FilterField, string[]>> = {};
  const ranges: Partial<Record<RangeField, Range>> = {};
  const figures: Partial<Record<FilterField, Range>> = {};
  for (const part of text?.split(',') ?? []) {
    const [column, value] = part.split('=');
    if (!column || value === undefined)
      throw new Plain(`--where ${part} is not column=value; write --where "offense=HER,quarter=1|2"`);
    const range = rangeOf(part, value);
    const figure = RANGE_FIELDS.find((f) => columnOf(f) === column.trim());
    if (figure !== undefined) {
      const one = /^-?\d+$/.test(value) ? { from: Number(value), to: Number(value) } : range;
      if (one === null) throw new Plain(`--where ${part}: ${column} takes a figure or a range, as 7..10`);
      ranges[figure] = one;
    } else if (range) figures[filterColumn(column)] = range;
    else words[filterColumn(column)] = value.split('|');
  }
  return { words, ranges, figures };
}

/** The filter with every range over words spelled out as the words of these columns. */
export function spelledOut(
  { words, figures }: Where,
  columns: Columns,
): Partial<Record<FilterField, readonly string[]>> {
  const out: Partial<Record<FilterField, readonly string[]>> = { ...words };
  for (const [name, { from, to }] of Object.entries(figures)) {
    const field = name as FilterField;
    const within = columns.text[field].words.filter(
      (w) => /^-?\d+(\.\d+)?$/.test(w) && Number(w) >= from && Number(w) <= to,
    );
    // No word lies there: nothing fits, which is not the same as everything.
    out[field] = within.length > 0 ? within : ['nothing lies in the range'];
  }
  return out;
}
