import { describe, expect, it } from 'vitest';
import { blankSnap, type Snap } from '@/core/snap';
import type { SnapOp, StoredSnap } from '@/core/exchange/types';
import { overlay, versionNow } from './outbox';
import { echoOf } from './SnapLine';

const stored = (id: string, order: number, more: Partial<Snap> = {}, rest: Partial<StoredSnap> = {}): StoredSnap => ({ snap: { ...blankSnap(id, 'g', order), ...more }, versions: {}, deleted: false, revision: 1, ...rest });
const base = new Map([['a', stored('a', 1, { gain: 4 })], ['b', stored('b', 2, { gain: 5 }, { versions: { gain: 3 } })]]);
const patch = (snapId: string, field: string, value: unknown, version: number): SnapOp => ({ op: 'patch', snapId, fields: { [field]: { value, version } } });

describe('what the screen shows before the server has answered', () => {
  it('is the server’s rows with the pending operations on top', () => {
    const pending: SnapOp[] = [patch('a', 'gain', 7, 1), { op: 'put', snapId: 'c', order: 1.5, fields: { gain: 1 } }, { op: 'delete', snapId: 'b' }];
    expect(overlay(base, pending, 'g').map((s) => [s.snapId, s.gain])).toEqual([['a', 7], ['c', 1]]);
  });

  it('brings a removed snap back by a restore', () => {
    const gone = new Map([['a', stored('a', 1, {}, { deleted: true })]]);
    expect(overlay(gone, [], 'g')).toEqual([]);
    expect(overlay(gone, [{ op: 'restore', snapId: 'a' }], 'g').map((s) => s.snapId)).toEqual(['a']);
  });

  it('ignores a patch of a snap that is gone', () => {
    expect(overlay(base, [{ op: 'delete', snapId: 'a' }, patch('a', 'gain', 9, 1)], 'g').map((s) => s.snapId)).toEqual(['b']);
  });
});

describe('the version a patch reads at', () => {
  it('is the acknowledged one, plus our own patches on the way', () => {
    expect(versionNow(base, [], 'a', 'gain')).toBe(1);
    expect(versionNow(base, [], 'b', 'gain')).toBe(3);
    expect(versionNow(base, [patch('b', 'gain', 6, 3), patch('b', 'front', '4-1', 1)], 'b', 'gain')).toBe(4);
    expect(versionNow(base, [patch('b', 'gain', 6, 3)], 'b', 'front')).toBe(1);
    expect(versionNow(base, [], 'nobody', 'gain')).toBe(1);
  });
});

describe('the echo', () => {
  it('folds fields as a coach says them', () => {
    const echo = echoOf({ formation: 'trips', formationSide: 'R', motion: 'jet', motionBy: 'H', down: 2, distance: 7, gain: 6, result: 'gain', play: 'run' });
    expect(echo.map((e) => [e.label, e.value])).toEqual([['formation', 'trips right'], ['motion', 'H jet'], ['down', '2 & 7'], ['gain', '+6'], ['result', 'run, gain']]);
  });

  it('tells none, not visible and not sure apart', () => {
    const echo = echoOf({ motion: '-', coverage: '?', front: '4-1', notSure: ['front'] });
    expect(echo.map((e) => [e.label, e.value, e.unsure])).toEqual([['motion', 'none', false], ['coverage', 'not visible', false], ['front, not sure', '4-1', true]]);
  });
});
