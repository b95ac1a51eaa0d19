import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  blankSnap,
  columnOf,
  emptyValue,
  fieldOfColumn,
  fullSnap,
  isTagged,
  readFieldText,
  sameValue,
  slimSnap,
  SNAP_FIELDS,
  SNAP_FIELD_NAMES,
  writeFieldText,
  type SnapField,
} from './index';

/** Any value a field may hold, from its own row of the field table: a new field extends the test by itself. */
function valueOf(field: SnapField): fc.Arbitrary<unknown> {
  const spec = SNAP_FIELDS[field];
  const jersey = fc.integer({ min: 0, max: 99 }).map(String);
  const plain = (): fc.Arbitrary<unknown> => {
    switch (spec.kind) {
      case 'enum':
        return fc.constantFrom(...spec.values!);
      case 'flag':
        return fc.boolean();
      case 'integer':
      case 'clock':
        return fc.integer({ min: spec.min ?? 0, max: spec.max ?? 900 });
      case 'decimal':
        return fc.integer({ min: 0, max: Math.min(20_000, spec.max ?? 20_000) * 4 }).map((n) => n / 4);
      case 'list':
        return field === 'causes'
          ? fc.uniqueArray(fc.constantFrom('technique 60', 'call', 'luck 5'))
          : fc.uniqueArray(fc.constantFrom('trick', 'busted', 'hurry'));
      case 'numbers':
        return fc.array(jersey, { maxLength: 3 });
      case 'penalties':
        return fc.array(
          fc.record({
            side: fc.constantFrom('o', 'd', 'k', 'r'),
            name: fc.constantFrom('holding', 'face mask'),
            yards: fc.option(fc.integer({ min: 0, max: 40 })),
            from: fc.constantFrom('prev', 'end', 'foul', 'succ'),
            outcome: fc.constantFrom('accepted', 'declined', 'offset'),
            extra: fc.constantFrom('1st', 'lod', ''),
          }),
          { maxLength: 2 },
        );
      default:
        return field === 'personnel'
          ? fc.constantFrom('11', '12', '20')
          : spec.pattern
            ? jersey
            : fc.constantFrom('trips', 'cover 3', 'a, "word"');
    }
  };
  return spec.tag ? fc.oneof(plain(), fc.constantFrom('-', '?')) : plain();
}

describe('every field of the table', () => {
  for (const field of SNAP_FIELD_NAMES) {
    it(`${field} reads back what it writes`, () => {
      fc.assert(
        fc.property(valueOf(field), (value) => {
          expect(readFieldText(field, writeFieldText(field, value))).toEqual({ ok: true, value });
        }),
        { numRuns: 30, seed: 1 },
      );
    });
  }

  it('is blank when empty, and its column name leads back to it', () => {
    for (const field of SNAP_FIELD_NAMES) {
      expect(readFieldText(field, ' ')).toEqual({ ok: true, value: emptyValue(field) });
      expect(writeFieldText(field, emptyValue(field))).toBe('');
      expect(fieldOfColumn(columnOf(field))).toBe(field);
    }
  });

  it('takes "-" and "?" in tag columns only', () => {
    for (const field of SNAP_FIELD_NAMES) {
      const spec = SNAP_FIELDS[field];
      if (spec.tag)
        expect([readFieldText(field, '-'), readFieldText(field, '?')]).toEqual([
          { ok: true, value: '-' },
          { ok: true, value: '?' },
        ]);
      else if (spec.kind === 'integer' || spec.kind === 'enum' || spec.kind === 'flag')
        expect(readFieldText(field, '?').ok).toBe(false);
    }
  });
});

describe('what cannot be read says what was expected', () => {
  it.each([
    ['down', '5', 'a whole number from 1 to 4'],
    ['down', '2.5', 'a whole number from 1 to 4'],
    ['toGoal', '0', 'a whole number from 1 to 99'],
    ['hash', 'left', 'one of L, M, R'],
    ['clock', '99', 'minutes and seconds left, such as 8:41'],
    ['clock', '16:00', 'minutes and seconds left, such as 8:41'],
    ['personnel', '60', 'two digits, backs then tight ends, such as 11'],
    ['carrier', '100', 'a jersey number, 0 to 99'],
    ['tacklers', '5;x', 'jersey numbers with ; between'],
    ['kept', 'maybe', 'true or false'],
    [
      'penalties',
      'o:holding',
      'side:name:yards:from:outcome:extra, such as o:holding:10:prev:accepted: (and :at, the spot of the foul in yards to goal)',
    ],
    [
      'penalties',
      'x:holding:10:prev:accepted:',
      'side:name:yards:from:outcome:extra, such as o:holding:10:prev:accepted: (and :at, the spot of the foul in yards to goal)',
    ],
  ] as const)('%s “%s”', (field, text, expected) => {
    expect(readFieldText(field, text)).toEqual({ ok: false, expected });
  });
});

describe('a snap', () => {
  it('is the same after it was sent without its blanks', () => {
    const snap = { ...blankSnap('s', 'g', 1), gain: 0, kept: false, formation: '-', tags: ['trick'] };
    expect(fullSnap(slimSnap(snap))).toEqual(snap);
    expect(Object.keys(slimSnap(snap)).sort()).toEqual([
      'formation',
      'gain',
      'game',
      'kept',
      'order',
      'snapId',
      'tags',
    ]);
  });

  it('keeps blank, none and not visible apart from a value', () => {
    expect([null, '-', '?', 'trips', 0].map((v) => isTagged(v as string))).toEqual([
      false,
      false,
      false,
      true,
      true,
    ]);
  });

  it('compares lists by content', () => {
    expect(sameValue(['a'], ['a'])).toBe(true);
    expect(sameValue(['a'], ['b'])).toBe(false);
    expect(sameValue(null, [])).toBe(false);
  });
});
