import { describe, expect, it } from 'vitest';
import { blankSnap, slimSnap } from '@/core/snap';
import { packSnaps } from '@/core/snap/packed';
import { encodePacked } from '@/core/snap/packed-bytes';
import { mergeFilm, sameFilm } from './film';
import { TabMemory } from './tab';

const game = (key: string, stamp: string, more: object = {}) => ({
  info: { key, closed: false, ...more } as never,
  stamp,
});
const snap = (snapId: string) => blankSnap(snapId, 'g', 1);
const held = (key: string, stamp: string) => ({
  ...game(key, stamp),
  packed: encodePacked(packSnaps([slimSnap(snap(key + stamp))])),
  snaps: [snap(key + stamp)],
});
const kept = [held('a', '1'), held('b', '4')];

describe('film that is here already', () => {
  it('is taken for games whose stamp is the same, and sent anew for the others', () => {
    const merged = mergeFilm(
      [game('a', '1'), { ...game('b', '5'), packed: encodePacked(packSnaps([slimSnap(snap('b5'))])) }],
      kept,
    )!;
    expect(merged.map((g) => [g.info.key, g.stamp, g.snaps])).toEqual([
      ['a', '1', [snap('a1')]],
      ['b', '5', [snap('b5')]],
    ]);
    // What did not change is not counted again.
    expect(merged[0]!.snaps).toBe(kept[0]!.snaps);
  });
  it('asks for all where a game that was to be here is not', () => {
    expect(mergeFilm([game('a', '2')], kept)).toBeNull();
    expect(mergeFilm([game('c', '1')], [])).toBeNull();
  });
  it('drops games that are gone', () => {
    expect(mergeFilm([game('b', '4')], kept)!.map((g) => g.info.key)).toEqual(['b']);
  });
  it('is the same only when nothing on screen would change', () => {
    expect(sameFilm(kept, [...kept])).toBe(true);
    expect(sameFilm(kept, kept.slice(1))).toBe(false);
    expect(sameFilm(kept, [kept[0]!, { ...kept[1]!, stamp: '5' }])).toBe(false);
    expect(sameFilm(kept, [kept[0]!, { ...kept[1]!, info: { key: 'b', closed: true } as never }])).toBe(
      false,
    );
  });
});

it('a tab keeps one value a name', () => {
  const tab = new TabMemory();
  let made = 0;
  const make = () => ++made;
  expect([tab.kept('x', make), tab.kept('x', make), tab.kept('y', make)]).toEqual([1, 1, 2]);
});
