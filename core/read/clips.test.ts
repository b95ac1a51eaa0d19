import fc from 'fast-check';
import { expect, it } from 'vitest';
import { movedClip, notedClip, withClips, withoutClip, type Clip } from './clips';

const clip = (n: number): Clip => ({ game: `g${n % 3}`, snap: `s${n}`, note: '' });
const list = fc.uniqueArray(fc.nat(40), { maxLength: 12 }).map((ns) => ns.map(clip));

it('a moved snap stands where it was put, the others keep their order', () => {
  fc.assert(
    fc.property(list, fc.nat(20), fc.integer({ min: -3, max: 20 }), (clips, from, to) => {
      fc.pre(from < clips.length);
      const after = movedClip(clips, from, to);
      expect(after.indexOf(clips[from]!)).toBe(Math.max(0, Math.min(clips.length - 1, to)));
      expect(after.filter((c) => c !== clips[from])).toEqual(withoutClip(clips, from));
    }),
  );
});

it('what is added stands behind, once; a note of one that is there stays', () => {
  const noted = notedClip([clip(1), clip(2)], 0, 'look at the wing');
  expect(withClips(noted, [clip(3), clip(1), clip(3)])).toEqual([
    { ...clip(1), note: 'look at the wing' },
    clip(2),
    clip(3),
  ]);
  fc.assert(
    fc.property(list, list, (a, b) => {
      const all = withClips(a, b);
      expect(all.slice(0, a.length)).toEqual(a);
      expect(new Set(all.map((c) => c.snap))).toEqual(new Set([...a, ...b].map((c) => c.snap)));
      expect(new Set(all.map((c) => c.snap)).size).toBe(all.length);
    }),
  );
});
