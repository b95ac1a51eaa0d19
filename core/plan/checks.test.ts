/** Checks against what the demo's opponent has shown: parts sum, nothing shown is without an answer or a name. */
import { describe, expect, it } from 'vitest';
import { DEFAULT_BOOK } from '../book/default-book';
import { DEMO_SEED, NEXT_OPPONENT, PROGRAM, simulateSeason } from '../../demo/league';
import { COLLEGE } from '../field';
import { buildColumns, countGame, select } from '../read';
import { answerAudit, oneMotionFrom, ownAnswers, shownBy } from './checks';
import { CHECK_SITUATIONS, NAMED_PICTURES, pictureOf, pictureRows } from './pictures';
import type { Check } from './rows';

const counted = simulateSeason(DEMO_SEED, { tells: true, weeks: 6 }).flatMap((g) =>
  countGame(g.snaps, COLLEGE, DEFAULT_BOOK),
);
const columns = buildColumns(counted);
const shown = shownBy(columns, NEXT_OPPONENT);
const check = (picture: string, more: Partial<Check> = {}): Check => ({
  id: `${picture}${more.situation ?? ''}${more.personnel ?? ''}`,
  order: 1,
  picture,
  personnel: null,
  situation: null,
  front: '4-2 over',
  coverage: 'quarters',
  pressure: null,
  note: null,
  ...more,
});
const all = shown.structures.map((s) => check(s.picture.key));

describe('what they have shown', () => {
  it('is every snap once, by structure and the way its longer side stands', () => {
    const rows = shown.structures.flatMap((s) => [...s.rows]);
    expect(new Set(rows).size).toBe(rows.length);
    expect(rows.length).toBe(shown.known);
    expect(rows.length + shown.unknown.length).toBe(select(columns, { offense: [NEXT_OPPONENT] }).length);
    for (const { picture, rows } of shown.structures) {
      const [a, b] = picture.structure!.split('x');
      const plain = counted.filter(
        (c) =>
          c.snap.offense === NEXT_OPPONENT &&
          ['run', 'pass', 'rpo'].includes(c.snap.play!) &&
          c.snap.result !== 'no_play' &&
          c.look?.structureSnap === picture.structure &&
          (a === b ||
            (picture.into === 'middle'
              ? c.look.boundarySnap === null && c.snap.hash === 'M'
              : picture.into === null
                ? c.look.boundarySnap === null && c.snap.hash !== 'M'
                : c.look.boundarySnap === `the ${picture.into}`)),
      );
      expect(rows.length, picture.key).toBe(plain.length);
    }
  });
  it('names pictures that cut across them, each key read back', () => {
    for (const { picture } of [...shown.structures, ...shown.named])
      expect(pictureOf(picture.key)).toEqual(picture);
    expect(pictureOf('9x9')).toBeNull();
    expect(pictureOf('a bunch of words')).toBeNull();
    expect(shown.named.length).toBeGreaterThan(2);
    for (const picture of NAMED_PICTURES)
      for (const row of pictureRows(columns, { offense: [NEXT_OPPONENT] }, picture)) {
        const { look } = counted[row]!;
        if (picture.key === 'bunch') expect(look?.strongSide).toMatch(/bunch|cluster/);
        if (picture.key === 'empty') expect(look?.backTo).toBe('nobody');
        if (picture.key === 'two-backs') expect(look?.backfieldSet).toMatch(/(split|i|full)$/);
      }
  });
});

describe('what has no answer', () => {
  it('is nothing where every structure has one; the one left out on purpose is found with its share', () => {
    expect(answerAudit(columns, NEXT_OPPONENT, all)).toMatchObject({ open: [], covered: shown.known });
    for (const left of shown.structures) {
      const { open } = answerAudit(
        columns,
        NEXT_OPPONENT,
        all.filter((c) => c.picture !== left.picture.key),
      );
      expect(open.map((o) => [o.picture.key, o.rows.length])).toEqual([[left.picture.key, left.rows.length]]);
    }
  });
  it('counts a check that says nothing as none, and one for some personnel or a situation for those only', () => {
    const first = shown.structures[0]!;
    const rest = all.filter((c) => c.picture !== first.picture.key);
    const left = (c: Check): number =>
      answerAudit(columns, NEXT_OPPONENT, [...rest, c]).open.reduce((n, o) => n + o.rows.length, 0);
    expect(left(check(first.picture.key, { front: null, coverage: null }))).toBe(first.rows.length);
    const eleven = [...first.rows].filter((i) => counted[i]!.snap.personnel === '11').length;
    expect(left(check(first.picture.key, { personnel: '11' }))).toBe(first.rows.length - eleven);
    for (const { key } of CHECK_SITUATIONS) {
      const rows = pictureRows(columns, { offense: [NEXT_OPPONENT] }, first.picture, {
        personnel: null,
        situation: key,
      });
      expect(left(check(first.picture.key, { situation: key }))).toBe(first.rows.length - rows.length);
    }
    expect(
      pictureRows(columns, { offense: [NEXT_OPPONENT] }, first.picture, {
        personnel: null,
        situation: 'none such',
      }),
    ).toHaveLength(0);
  });
  it('names what one motion makes: a receiver across, a back out', () => {
    expect(oneMotionFrom('2x2', false)).toEqual(['3x1']);
    expect(oneMotionFrom('2x2', true).sort()).toEqual(['3x1', '3x2']);
    expect(oneMotionFrom('3x1', true).sort()).toEqual(['2x2', '3x2', '4x0', '4x1']);
    expect(oneMotionFrom('3x2', true)).toEqual(['4x1']);
    const { reached } = answerAudit(columns, NEXT_OPPONENT, all);
    expect(reached.length).toBeGreaterThan(0);
    for (const { structure, from } of reached) {
      expect(shown.structures.some((s) => s.picture.structure === structure)).toBe(false);
      for (const row of from) {
        const { look } = counted[row]!;
        expect(oneMotionFrom(look!.structure!, look!.backTo !== 'nobody')).toContain(structure);
      }
    }
    const answer = answerAudit(columns, NEXT_OPPONENT, [...all, check(reached[0]!.structure)]);
    expect(answer.reached.map((r) => r.structure)).toEqual(reached.slice(1).map((r) => r.structure));
  });
});

it('counts our own answers as plain loops do, and ranks them by the worst they may allow', () => {
  const picture = pictureOf('2x2')!;
  const own = ownAnswers(columns, PROGRAM, picture);
  expect(own.length).toBeGreaterThan(3);
  for (const { front, coverage, allowed } of own) {
    const plain = counted.filter(
      (c, i) =>
        c.snap.defense === PROGRAM &&
        c.look?.structureSnap === '2x2' &&
        c.snap.front === front &&
        c.snap.coverage === coverage &&
        ['run', 'pass', 'rpo'].includes(c.snap.play!) &&
        c.snap.result !== 'no_play' &&
        columns.success[i] !== 2,
    );
    expect(allowed.n).toBe(plain.length);
  }
  own.slice(1).forEach((o, i) => expect(o.allowed.high!).toBeGreaterThanOrEqual(own[i]!.allowed.high!));
});
