import { describe, expect, it } from 'vitest';
import {
  answerQueue,
  nextBatch,
  overNow,
  overlay,
  EMPTY_BASE,
  pullInto,
  worn,
  type Answer,
  type Base,
  type Operation,
  type Queued,
  type SyncRow,
} from './index';

let seq = 0;
const entry = (op: Operation, more: Partial<Queued> = {}): Queued => ({
  seq: ++seq,
  scope: 'game:g',
  op,
  state: 'waiting',
  ...more,
});
const put = (
  id: string,
  row: string,
  after: string | null,
  fields: Record<string, unknown> = {},
): Operation => ({ id, kind: 'snap', row, epoch: 'e', do: 'put', fields, after });
const patch = (id: string, row: string, field: string, value: unknown, over: number | string): Operation => ({
  id,
  kind: 'snap',
  row,
  epoch: 'e',
  do: 'patch',
  fields: { [field]: { value, over } },
});
const remove = (id: string, row: string): Operation => ({ id, kind: 'snap', row, epoch: 'e', do: 'delete' });
const done = (
  id: string,
  revision: number,
  more: Partial<Extract<Answer, { status: 'done' }>> = {},
): Answer => ({ id, status: 'done', revision, order: null, versions: {}, ...more });
const refused = (id: string): Answer => ({ id, status: 'refused', code: 'value', reason: 'no' });
const row = (
  key: string,
  order: number,
  fields: Record<string, unknown> = {},
  versions: Record<string, number> = {},
): SyncRow => ({ kind: 'snap', row: key, order, fields, versions, deleted: false });
const base = (revision: number, ...rows: SyncRow[]): Base => ({
  epoch: 'e',
  revision,
  rows: new Map(rows.map((r) => [r.row, r])),
});
const after = (queue: readonly Queued[], answers: readonly Answer[]): Queued[] => {
  const { changed, gone } = answerQueue(queue, answers, 'e');
  return queue.filter((q) => !gone.includes(q.op.id)).map((q) => changed.find((c) => c.seq === q.seq) ?? q);
};

describe('answers', () => {
  it('a refusal takes no good one with it, and those placed after it stand after its neighbor', () => {
    const queue = [entry(put('1', 'a', null)), entry(put('2', 'b', 'a')), entry(put('3', 'c', 'b'))];
    const next = after(queue, [done('1', 1), refused('2')]);
    expect(next.map((q) => [q.state, (q.op as { after: string | null }).after])).toEqual([
      ['done', null],
      ['refused', 'a'],
      ['waiting', 'a'],
    ]);
  });
  it('a patch typed over one on the way stands over the version that one made', () => {
    const queue = [entry(patch('1', 'a', 'gain', 4, 2)), entry(patch('2', 'a', 'gain', 5, '1'))];
    expect(after(queue, [done('1', 7, { versions: { gain: 3 } })])[1]!.op).toMatchObject({
      fields: { gain: { value: 5, over: 3 } },
    });
    // Refused or lost to somebody else: over what the first stood over, so that it conflicts too and is offered.
    expect(after(queue, [refused('1')])[1]!.op).toMatchObject({ fields: { gain: { over: 2 } } });
    const lost: Answer = {
      id: '1',
      status: 'conflict',
      revision: 7,
      order: null,
      versions: { gain: 3 },
      conflicts: [{ field: 'gain', theirs: 9, yours: 4, by: 'Bo', at: '', version: 3 }],
    };
    expect(after(queue, [lost])[1]!.op).toMatchObject({ fields: { gain: { over: 2 } } });
  });
  it('patches of a refused new row become part of it; removing it discards it', () => {
    const queue = [entry(put('1', 'a', null, { gain: 4, down: 7 })), entry(patch('2', 'a', 'gain', 5, 1))];
    const folded = after(queue, [refused('1')]);
    expect(folded).toHaveLength(1);
    expect(folded[0]).toMatchObject({ state: 'refused', op: { fields: { gain: 5, down: 7 } } });
    expect(after([entry(put('1', 'a', null)), entry(remove('2', 'a'))], [refused('1')])).toEqual([]);
  });
  it('a newer conflict takes the place of the older, a newer success settles it', () => {
    const conflict = (id: string, yours: number): Answer => ({
      id,
      status: 'conflict',
      revision: 7,
      order: null,
      versions: { gain: 3 },
      conflicts: [{ field: 'gain', theirs: 9, yours, by: 'Bo', at: '', version: 3 }],
    });
    const both = after(
      [entry(patch('1', 'a', 'gain', 4, 2)), entry(patch('2', 'a', 'gain', 5, '1'))],
      [conflict('1', 4), conflict('2', 5)],
    );
    expect(both.map((q) => [q.state, q.conflicts?.length])).toEqual([
      ['done', 0],
      ['conflict', 1],
    ]);
    const settled = after(
      [both[1]!, entry(patch('3', 'a', 'gain', 5, 3))],
      [done('3', 8, { versions: { gain: 4 } })],
    );
    expect(settled.map((q) => q.state)).toEqual(['done', 'done']);
  });
  it('an answer that comes again changes nothing', () => {
    const queue = after([entry(put('1', 'a', null))], [done('1', 1)]);
    expect(answerQueue(queue, [refused('1'), done('1', 9), done('nobody', 2)], 'e')).toEqual({
      changed: [],
      gone: [],
    });
  });
});

describe('batches', () => {
  it('hold one scope, in order, within the limits', () => {
    const queue = [
      entry(put('1', 'a', null)),
      entry(put('2', 'b', 'a')),
      entry(put('3', 'c', null), { scope: 'book' }),
      entry(put('4', 'd', 'b')),
    ];
    expect(nextBatch(queue, 50, 1e6)).toMatchObject({
      scope: 'game:g',
      batch: [{ op: { id: '1' } }, { op: { id: '2' } }],
    });
    expect(nextBatch(queue, 1, 1e6)!.batch).toHaveLength(1);
    // One that is larger than a request still goes, alone.
    expect(nextBatch(queue, 50, 10)!.batch).toHaveLength(1);
    expect(
      nextBatch(
        queue.map((q) => ({ ...q, state: 'done' as const })),
        50,
        1e6,
      ),
    ).toBeNull();
  });
  it('what was done long ago is forgotten, oldest first', () => {
    expect(
      worn(
        [
          entry(put('x', 'a', null), { state: 'done' }),
          entry(put('y', 'b', null), { state: 'done' }),
          entry(put('z', 'c', null)),
        ],
        1,
      ),
    ).toEqual(['x']);
  });
});

describe('what a patch is typed over', () => {
  const at = (revision: number, versions: Record<string, number> | null = {}) => ({
    epoch: 'e',
    revision,
    versions,
  });
  it('is the own patch on the way, else what the server has', () => {
    expect(overNow([], 'game:g', 'a', 'gain', at(3, { gain: 4 }))).toBe(4);
    expect(overNow([entry(patch('1', 'a', 'gain', 4, 4))], 'game:g', 'a', 'gain', at(3, { gain: 4 }))).toBe(
      '1',
    );
    expect(
      overNow([entry(patch('1', 'a', 'front', '4-1', 1))], 'game:g', 'a', 'gain', at(3, { gain: 4 })),
    ).toBe(4);
    expect(overNow([entry(put('1', 'a', null))], 'game:g', 'a', 'gain', at(0, null))).toBe(1);
    // Acknowledged and not pulled yet: the version its answer gave; pulled: the base's.
    const acknowledged = [
      entry(patch('1', 'a', 'gain', 4, 4), { state: 'done', epoch: 'e', revision: 8, versions: { gain: 5 } }),
    ];
    expect(overNow(acknowledged, 'game:g', 'a', 'gain', at(3, { gain: 4 }))).toBe(5);
    expect(overNow(acknowledged, 'game:g', 'a', 'gain', at(9, { gain: 6 }))).toBe(6);
    expect(
      overNow(
        [entry(patch('1', 'a', 'gain', 4, 4), { state: 'refused' })],
        'game:g',
        'a',
        'gain',
        at(3, { gain: 4 }),
      ),
    ).toBe(4);
  });
});

describe('what the screen shows', () => {
  const keys = (rows: readonly SyncRow[]): string[] => rows.map((r) => r.row);
  it('is the server’s rows with what waits on top, each where it was typed', () => {
    const server = base(5, row('a', 1, { gain: 4 }), row('b', 2, { gain: 5 }));
    const shown = overlay(
      server,
      [
        entry(patch('1', 'a', 'gain', 7, 1)),
        entry(put('2', 'c', 'a', { gain: 1 })),
        entry(put('3', 'd', 'b')),
        entry(put('4', 'e', null)),
        entry(remove('5', 'b')),
      ],
      'game:g',
    );
    expect(keys(shown)).toEqual(['e', 'a', 'c', 'd']);
    expect(shown.map((r) => r.order)).toEqual([...shown.map((r) => r.order)].sort((x, y) => x - y));
    expect(shown[1]!.fields).toEqual({ gain: 7 });
  });
  it('shows theirs where a conflict stands, and nothing of a refused row', () => {
    const conflict = entry(patch('1', 'a', 'gain', 7, 1), {
      state: 'conflict',
      epoch: 'e',
      revision: 6,
      conflicts: [{ field: 'gain', theirs: 9, yours: 7, by: 'Bo', at: '', version: 2 }],
    });
    const shown = overlay(
      base(5, row('a', 1, { gain: 4 })),
      [conflict, entry(put('2', 'b', 'a'), { state: 'refused' })],
      'game:g',
    );
    expect(shown).toHaveLength(1);
    expect(shown[0]!.fields.gain).toBe(9);
  });
  it('keeps an acknowledged row in sight until a pull brings it, and shows it once then', () => {
    const queue = [entry(put('1', 'b', 'a'), { state: 'done', epoch: 'e', revision: 6, order: 2 })];
    expect(keys(overlay(base(5, row('a', 1)), queue, 'game:g'))).toEqual(['a', 'b']);
    expect(keys(overlay(base(6, row('a', 1), row('b', 2)), queue, 'game:g'))).toEqual(['a', 'b']);
    // Removed by somebody else since: a pull that covers it wins.
    expect(keys(overlay(base(7, row('a', 1), { ...row('b', 2), deleted: true }), queue, 'game:g'))).toEqual([
      'a',
    ]);
  });
  it('sorts by position when there is no room for a key', () => {
    const shown = overlay(base(5, row('a', 1), row('b', 1 + 1e-13)), [entry(put('1', 'c', 'a'))], 'game:g');
    expect(keys(shown)).toEqual(['a', 'c', 'b']);
    expect(shown.map((r) => r.order)).toEqual([1, 2, 3]);
  });
  it('a removed row added again stands again', () => {
    const shown = overlay(
      base(5, row('a', 1), row('b', 2)),
      [entry(remove('1', 'a')), entry(put('2', 'a', 'b'))],
      'game:g',
    );
    expect(keys(shown)).toEqual(['b', 'a']);
  });
});

describe('pulls', () => {
  it('add up; an older one changes nothing; another epoch replaces all', () => {
    const first = pullInto(EMPTY_BASE, {
      epoch: 'e',
      revision: 3,
      whole: true,
      rows: [row('a', 1), row('b', 2)],
    });
    const second = pullInto(first, {
      epoch: 'e',
      revision: 5,
      whole: false,
      rows: [{ ...row('a', 1), deleted: true }],
    });
    expect([...second.rows.values()].map((r) => r.deleted)).toEqual([true, false]);
    expect(pullInto(second, { epoch: 'e', revision: 4, whole: true, rows: [] })).toBe(second);
    expect(pullInto(second, { epoch: 'f', revision: 1, whole: false, rows: [] })).toBe(second);
    expect([
      ...pullInto(second, { epoch: 'f', revision: 1, whole: true, rows: [row('z', 1)] }).rows.keys(),
    ]).toEqual(['z']);
  });
});
