import { describe, expect, it } from 'vitest';
import { DEFAULT_BOOK } from '../book/default-book';
import { COLLEGE } from '../field';
import { walkGame } from '../rules';
import { blankSnap, type SnapFields } from '../snap';
import {
  addConfused,
  gradeOf,
  inOrder,
  learn,
  LEAST_EASE,
  looksOfBook,
  looksOfFilm,
  markAnswer,
  mostMistaken,
  NEW_CARD,
  newDrill,
  scoreOf,
  stepDrill,
  type DrillEvent,
} from './index';

describe('the schedule (SM-2, Wozniak 1990)', () => {
  it('asks after 1, 6, then ease times as many days; grade 4 leaves the ease, 5 adds 0.1', () => {
    let card = NEW_CARD;
    const days: number[] = [];
    for (let i = 0; i < 5; i++) {
      card = learn(card, 4);
      days.push(card.days);
    }
    expect(days).toEqual([1, 6, 15, 38, 95]);
    expect(card.ease).toBeCloseTo(2.5, 12);
    expect(learn(NEW_CARD, 5).ease).toBeCloseTo(2.6, 12);
    expect(learn(NEW_CARD, 3).ease).toBeCloseTo(2.36, 12);
    expect(learn(NEW_CARD, 0).ease).toBeCloseTo(1.7, 12);
  });
  it('begins anew below 3, and never lets the ease fall under 1.3', () => {
    let card = learn(learn(NEW_CARD, 5), 5);
    for (let i = 0; i < 10; i++) card = learn(card, 0);
    expect(card).toEqual({ repetitions: 0, ease: LEAST_EASE, days: 1 });
    expect(() => learn(NEW_CARD, 6)).toThrow(RangeError);
  });
  it('grades by what was right and how fast', () =>
    expect([
      gradeOf(4, 4, 5),
      gradeOf(4, 4, 40),
      gradeOf(3, 4, 5),
      gradeOf(2, 4, 5),
      gradeOf(1, 4, 5),
      gradeOf(0, 4, 5),
    ]).toEqual([5, 4, 3, 2, 1, 0]));
});

const snap = (n: number, fields: SnapFields) => ({
  ...blankSnap(`s${n}`, 'g', n),
  unit: 'scrimmage' as const,
  offense: 'HER',
  defense: 'MIR',
  ...fields,
});
const rows = walkGame(
  [
    snap(1, { formation: 'trips', formationSide: 'L', motion: '-', front: '4-2' }),
    snap(2, { formation: 'trips', formationSide: 'L', motion: '-', front: '4-2' }),
    snap(3, { formation: 'wing', formationSide: 'R', motion: 'jet', motionBy: 'H', coverage: '?' }),
    snap(4, { formation: null }),
  ],
  COLLEGE,
);
const looks = looksOfFilm(rows, 'HER');

it('takes each look of the film once, with how often it stood', () =>
  expect(looks.map((l) => [l.fields.formation, l.n])).toEqual([
    ['trips', 2],
    ['wing', 1],
  ]));
it('takes every drawn formation of the book to both sides', () => {
  const book = looksOfBook(DEFAULT_BOOK);
  expect(book.length).toBeGreaterThan(20);
  expect(new Set(book.map((l) => l.key)).size).toBe(book.length);
});
it('marks what was there; what is blank or not visible is not asked; no motion need not be said', () => {
  const marks = markAnswer(looks[0]!, { formation: 'trips', formationSide: 'R', front: '4-2' });
  expect(marks.map((m) => [m.field, m.right])).toEqual([
    ['formation', true],
    ['formationSide', false],
    ['motion', true],
    ['front', true],
  ]);
  expect(markAnswer(looks[1]!, {}).map((m) => m.field)).toEqual([
    'formation',
    'formationSide',
    'motion',
    'motionBy',
  ]);
});
it('asks what is due, then what is new by use, then the rest', () => {
  const [trips, wing] = looks as [(typeof looks)[0], (typeof looks)[0]];
  const other = { key: 'x', fields: {}, n: 9 };
  const card = (look: string, due: number) => ({ look, due, asked: 1, missed: 0 });
  expect(
    inOrder([trips, wing, other], [card(trips.key, 500), card(wing.key, 50)], 100).map((l) => l.key),
  ).toEqual([wing.key, 'x', trips.key]);
});
it('counts what is taken for what', () => {
  const marks = markAnswer(looks[1]!, { formation: 'ace', formationSide: 'R', motion: 'jet' });
  const once = addConfused({}, marks);
  const twice = addConfused(once, marks);
  expect(mostMistaken([once, twice]).map((m) => [m.field, m.there, m.said, m.n])).toEqual([
    ['motionBy', 'H', 'nothing', 3],
    ['formation', 'wing', 'ace', 3],
  ]);
});
it('a sitting: shown, gone, named, told, to its end; what means nothing now changes nothing', () => {
  let session = newDrill(looks);
  const send = (event: DrillEvent): void => void (session = stepDrill(session, event));
  send({ type: 'answer', said: {}, now: 1 });
  expect(session.phase).toBe('ready');
  send({ type: 'show', now: 1000 });
  send({ type: 'typed', text: 'trips l' });
  send({ type: 'hide', now: 4000 });
  expect(session).toMatchObject({ phase: 'gone', text: 'trips l' });
  send({ type: 'answer', said: { formation: 'trips', formationSide: 'L' }, now: 9000 });
  expect(session.answered[0]).toMatchObject({ seconds: 8 });
  send({ type: 'next' });
  expect(session).toMatchObject({ phase: 'ready', at: 1, text: '' });
  send({ type: 'show', now: 0 });
  send({ type: 'answer', said: { formation: 'wing' }, now: 2000 });
  send({ type: 'next' });
  expect(session.phase).toBe('over');
  const { fields, seconds } = scoreOf(session.answered);
  expect(fields.find((f) => f.label === 'formation')).toEqual({ label: 'formation', right: 2, of: 2 });
  expect(fields.find((f) => f.label === 'front')).toEqual({ label: 'front', right: 0, of: 1 });
  expect(seconds).toBe(8);
});
