/** Each limit at its edge and one above: what is promised is taken, what is above is refused in words. */
import { zipSync } from 'fflate';
import { describe, expect, it } from 'vitest';
import { LIMITS, readCsv, unpack } from './index';

const text = (s: string): Uint8Array => new TextEncoder().encode(s);
const HEAD = 'snap_id,game,order,offense,defense';

describe('one upload', () => {
  it('bytes of a lone file', () => {
    expect(unpack('a.csv', new Uint8Array(LIMITS.uploadBytes).fill(97)).ok).toBe(true);
    expect(unpack('a.csv', new Uint8Array(LIMITS.uploadBytes + 1).fill(97))).toEqual({
      ok: false,
      remedy: 'a.csv is larger than 64 MB; split it',
    });
  });

  it('bytes that an archive unpacks to, by one file and by two', () => {
    const room = 1_000_000;
    const zip = (...sizes: number[]): Uint8Array =>
      zipSync(
        Object.fromEntries(sizes.map((n, i) => [`${i}.csv`, [new Uint8Array(n).fill(97), { level: 1 }]])),
      );
    expect(unpack('a.zip', zip(room), room).ok).toBe(true);
    expect(unpack('a.zip', zip(room + 1), room)).toMatchObject({
      ok: false,
      remedy: expect.stringMatching(/unpacks to more than 160 MB/),
    });
    expect(unpack('a.zip', zip(room / 2, room / 2), room).ok).toBe(true);
    expect(unpack('a.zip', zip(room / 2, room / 2 + 1), room).ok).toBe(false);
    // The room is the promise where nothing else is said.
    expect(LIMITS.unpackedBytes).toBeGreaterThanOrEqual(60 * 1024 * 1024);
    expect(
      unpack('a.zip', zipSync({ 'a.csv': [new Uint8Array(60 * 1024 * 1024).fill(97), { level: 0 }] })).ok,
    ).toBe(true);
    expect(
      unpack('a.zip', zipSync({ 'a.csv': [new Uint8Array(LIMITS.unpackedBytes + 1), { level: 0 }] })).ok,
    ).toBe(false);
  });

  it('files of an archive', () => {
    const zip = (n: number): Uint8Array =>
      zipSync(Object.fromEntries(Array.from({ length: n }, (_, i) => [`${i}.csv`, text('a')])));
    expect(unpack('a.zip', zip(LIMITS.files)).ok).toBe(true);
    expect(unpack('a.zip', zip(LIMITS.files + 1))).toMatchObject({
      ok: false,
      remedy: expect.stringMatching(/40 files/),
    });
  });
});

describe('one table', () => {
  const rows = (n: number): string =>
    `${HEAD}\n${Array.from({ length: n }, (_, i) => `s${i},g,${i + 1},AAA,BBB`).join('\n')}\n`;
  it('rows: the hundred thousand promised and more', () => {
    expect(LIMITS.rows).toBeGreaterThanOrEqual(100_000);
    const at = readCsv('snaps', rows(LIMITS.rows), 'snaps.csv');
    expect([at.rows.length, at.faults]).toEqual([LIMITS.rows, []]);
    expect(readCsv('snaps', rows(LIMITS.rows + 1), 'snaps.csv').faults).toMatchObject([
      { code: 'too-large', remedy: 'has more than 200000 rows; split the file' },
    ]);
  });

  it('columns', () => {
    const wide = (n: number): string =>
      `${HEAD}${Array.from({ length: n - 5 }, (_, i) => `,derived_${i}`).join('')}\ns1,g,1,AAA,BBB\n`;
    expect(
      readCsv('snaps', wide(LIMITS.columns), 'snaps.csv').faults.filter((f) => f.code === 'too-large'),
    ).toEqual([]);
    expect(
      readCsv('snaps', wide(LIMITS.columns + 1), 'snaps.csv').faults.some((f) => f.code === 'too-large'),
    ).toBe(true);
  });

  it('characters of a cell', () => {
    const note = (n: number): string => `${HEAD},note\ns1,g,1,AAA,BBB,${'x'.repeat(n)}\n`;
    expect(readCsv('snaps', note(LIMITS.cell), 'snaps.csv').faults).toEqual([]);
    expect(readCsv('snaps', note(LIMITS.cell + 1), 'snaps.csv').faults).toMatchObject([
      { row: 2, column: 'note', remedy: 'is not a text of up to 4000 characters' },
    ]);
  });

  it('faults that are listed; the rest is counted', () => {
    const bad = (n: number): string =>
      `${HEAD},down\n${Array.from({ length: n }, (_, i) => `s${i},g,${i + 1},AAA,BBB,9`).join('\n')}\n`;
    expect(readCsv('snaps', bad(LIMITS.faults), 'snaps.csv').faults.length).toBe(LIMITS.faults);
    expect(readCsv('snaps', bad(LIMITS.faults + 1), 'snaps.csv').faults.length).toBeLessThanOrEqual(
      LIMITS.faults + 1,
    );
  });
});
