/** Field values as text and back: the one reading of a cell, a `name=value` word and a form input. */
import { ENFORCEMENTS } from '../field/profile';
import { formatClock, parseClock } from '../field/spot';
import { SNAP_FIELDS, type FieldSpec } from './fields';
import {
  NONE,
  PENALTY_EXTRAS,
  PENALTY_OUTCOMES,
  PENALTY_SIDES,
  UNSEEN,
  type Penalty,
  type SnapField,
} from './snap';

export type ReadResult =
  { readonly ok: true; readonly value: unknown } | { readonly ok: false; readonly expected: string };

const isDate = (text: string): boolean => {
  const time = Date.parse(`${text}T00:00:00Z`);
  return !Number.isNaN(time) && new Date(time).toISOString().slice(0, 10) === text;
};

const ok = (value: unknown): ReadResult => ({ ok: true, value });
const no = (expected: string): ReadResult => ({ ok: false, expected });

export const encodePenalty = (penalty: Penalty): string =>
  [
    penalty.side,
    penalty.name,
    penalty.yards ?? '?',
    penalty.from,
    penalty.outcome,
    penalty.extra,
    ...(penalty.at === undefined ? [] : [penalty.at]),
  ].join(':');

function readPenalty(text: string): Penalty | null {
  const [side, name, yards, from, outcome, extra, at, ...more] = text.split(':').map((part) => part.trim());
  const isOne = <T extends string>(list: readonly T[], value: string | undefined): value is T =>
    (list as readonly string[]).includes(value ?? 'no such word');
  if (
    !isOne(PENALTY_SIDES, side) ||
    !name ||
    !isOne(ENFORCEMENTS, from) ||
    !isOne(PENALTY_OUTCOMES, outcome) ||
    !isOne(PENALTY_EXTRAS, extra ?? '') ||
    (at !== undefined && !/^[1-9]\d?$/.test(at)) ||
    more.length > 0
  )
    return null;
  if (yards !== '?' && !/^\d{1,2}$/.test(yards ?? '')) return null;
  return {
    side,
    name,
    yards: yards === '?' ? null : Number(yards),
    from,
    outcome,
    extra: (extra ?? '') as Penalty['extra'],
    ...(at === undefined ? {} : { at: Number(at) }),
  };
}

/** What `readText` needs to know of a field. */
export type TextSpec = Pick<
  FieldSpec,
  'kind' | 'tag' | 'values' | 'min' | 'max' | 'pattern' | 'expected' | 'most'
>;

/** Characters a text may have where its field says nothing else. */
export const MOST_TEXT = 4000;
/** What no database text and no spreadsheet takes: control characters but tab and line ends, halves of a pair. */
const UNFIT = /[\p{Cc}\p{Cs}]/u;
const LAYOUT = /[\t\r\n]/g;
export const fitText = (text: string): boolean => !UNFIT.test(text.replace(LAYOUT, ''));

/** Reads a cell of the snap table. */
export const readFieldText = (field: SnapField, raw: string): ReadResult => readText(SNAP_FIELDS[field], raw);

/** Reads a cell. Empty is "not tagged"; tag columns also take "-" and "?". Never throws. */
export function readText(spec: TextSpec, raw: string): ReadResult {
  const text = raw.trim();
  if (text.length > (spec.most ?? MOST_TEXT))
    return no(`a text of up to ${spec.most ?? MOST_TEXT} characters`);
  if (text !== '' && !fitText(text)) return no('text: it holds a control character');
  if (text === '')
    return ok(spec.kind === 'list' || spec.kind === 'penalties' || spec.kind === 'numbers' ? [] : null);
  if (spec.tag && (text === NONE || text === UNSEEN)) return ok(text);
  switch (spec.kind) {
    case 'text':
      if (spec.pattern && !spec.pattern.test(text)) return no(spec.expected ?? 'a jersey number, 0 to 99');
      return ok(text);
    case 'integer':
    case 'decimal': {
      const pattern = spec.kind === 'integer' ? /^[+-]?\d{1,6}$/ : /^[+-]?\d{1,12}(\.\d+)?$/;
      const n = Number(text);
      const range = spec.min === undefined ? '' : ` from ${spec.min} to ${spec.max}`;
      const expected = `a ${spec.kind === 'integer' ? 'whole ' : ''}number${range}`;
      if (
        !pattern.test(text) ||
        (spec.min !== undefined && n < spec.min) ||
        (spec.max !== undefined && n > spec.max)
      )
        return no(expected);
      return ok(n);
    }
    case 'clock': {
      const seconds = parseClock(text);
      return seconds === null || seconds > 900 ? no('minutes and seconds left, such as 8:41') : ok(seconds);
    }
    case 'enum':
      return spec.values!.includes(text) ? ok(text) : no(`one of ${spec.values!.join(', ')}`);
    case 'flag':
      if (/^(true|1|yes)$/i.test(text)) return ok(true);
      return /^(false|0|no)$/i.test(text) ? ok(false) : no('true or false');
    case 'date':
      return /^\d{4}-\d{2}-\d{2}$/.test(text) && isDate(text) ? ok(text) : no('a date such as 2026-10-03');
    case 'list': {
      const parts = text
        .split(';')
        .map((p) => p.trim())
        .filter(Boolean);
      return spec.pattern && !parts.every((p) => spec.pattern!.test(p))
        ? no(spec.expected ?? 'words with ; between')
        : ok(parts);
    }
    case 'numbers': {
      const numbers = text
        .split(';')
        .map((p) => p.trim())
        .filter(Boolean);
      return numbers.every((n) => spec.pattern!.test(n)) ? ok(numbers) : no('jersey numbers with ; between');
    }
    case 'penalties': {
      const penalties = text
        .split(';')
        .filter((p) => p.trim() !== '')
        .map(readPenalty);
      return penalties.every((p) => p !== null)
        ? ok(penalties)
        : no(
            'side:name:yards:from:outcome:extra, such as o:holding:10:prev:accepted: (and :at, the spot of the foul in yards to goal)',
          );
    }
  }
}

/** The cell for a value; the inverse of `readFieldText`. */
export const writeFieldText = (field: SnapField, value: unknown): string =>
  writeText(SNAP_FIELDS[field], value);

export function writeText({ kind }: TextSpec, value: unknown): string {
  if (value === null || value === undefined) return '';
  if (value === NONE || value === UNSEEN) return value;
  if (kind === 'penalties') return (value as readonly Penalty[]).map(encodePenalty).join(';');
  if (kind === 'list' || kind === 'numbers') return (value as readonly string[]).join(';');
  if (kind === 'clock') return formatClock(value as number);
  // Never with an exponent: a spreadsheet and the reader take plain decimals.
  if (kind === 'decimal' && /e/.test(String(value)))
    return (value as number).toFixed(20).replace(/\.?0+$/, '');
  return String(value);
}
