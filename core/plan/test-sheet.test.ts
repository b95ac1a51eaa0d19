import { describe, expect, it } from 'vitest';
import { DEMO_SEED, NEXT_OPPONENT, PROGRAM, simulateSeason } from '../../demo/league';
import { assignPlay, conceptOf, drawSnap, presentationOf } from '../book';
import { DEFAULT_BOOK } from '../book/default-book';
import { COLLEGE } from '../field';
import { DEFAULT_LOOK_SETTINGS } from '../look';
import { buildColumns, countGame } from '../read';
import { uniform } from '../stats/uniform';
import { USUAL_SHAPE } from './layout';
import { LEAST_SIZE } from './print';
import type { Measure } from './marks';
import { aPlay } from './plays.fixture';
import { playsOfFilm } from './play-list';
import { USUAL_BAND } from './band';
import { USUAL_DECISIONS } from './decisions';
import { printPages } from './prints';
import { USUAL_SCOUT } from './scout';
import { playFields } from './sheet';
import { checkQuestions, EVERY_MAN, menOf, playQuestions, testPages } from './test-sheet';

const counted = simulateSeason(DEMO_SEED, { tells: true, weeks: 6 }).flatMap((g) =>
  countGame(g.snaps, COLLEGE),
);
const film = {
  book: DEFAULT_BOOK,
  profile: COLLEGE,
  settings: DEFAULT_LOOK_SETTINGS,
  snaps: counted,
  columns: buildColumns(counted),
  opponent: NEXT_OPPONENT,
};
const plays = playsOfFilm(counted, PROGRAM);
const measure: Measure = (text, size) => text.length * size * 0.45;
const about = { name: 'Week 9', title: 'Herons offense', against: 'Stags', stamp: '2026-10-31' };

describe('questions', () => {
  it('ask each play once, and answer what the book has each man do', () => {
    const all = playQuestions(film, [...plays, ...plays], EVERY_MAN);
    expect(all.length).toBeGreaterThan(8);
    expect(new Set(all.map((q) => q.title)).size).toBe(all.length);
    for (const { answer } of all) expect(answer.split(', ').length).toBeGreaterThanOrEqual(11);
  });
  it('of one man: only his plays, his job of the assignment; the passer’s is his drop', () => {
    const power = aPlay('p', 'power', { direction: 'R' });
    const fields = playFields(power);
    const { jobs } = assignPlay(
      conceptOf(DEFAULT_BOOK, fields)!,
      presentationOf(DEFAULT_BOOK, fields)!,
      'R',
      COLLEGE,
    );
    for (const [letter, job] of jobs)
      expect(playQuestions(film, [power], letter)).toMatchObject([
        { asks: `What does ${letter} do?`, answer: `${letter} ${job}`, written: true },
      ]);
    expect(playQuestions(film, [power], 'F')).toEqual([]);
    const asked = (concept: string) =>
      playQuestions(film, [aPlay('q', concept, { kind: 'pass' })], 'Q')[0]!.answer;
    expect([asked('four verticals'), asked('play action flood')]).toEqual([
      'Q 5-step drop',
      'Q fake, 5-step drop',
    ]);
    expect(menOf(film, [power])).toEqual([...jobs.keys()].sort());
  });
  it('show no job, no call and no defender in the picture', () => {
    for (const { drawing } of playQuestions(film, plays, EVERY_MAN)) {
      const words = drawing.marks.flatMap((m) => (m.mark === 'text' ? [m.text] : []));
      expect(words.filter((w) => !/^[A-Z]{1,2}$/.test(w))).toEqual([]);
    }
    const [power] = playQuestions(film, [aPlay('p', 'power', { direction: 'R' })], EVERY_MAN);
    const lined = drawSnap(DEFAULT_BOOK, { formation: 'trips', formationSide: 'R' }, null, COLLEGE, {
      defense: false,
      numbers: false,
      crop: true,
    });
    expect(power!.drawing).toEqual(lined.drawing);
  });
  it('of checks: the picture, and what the check says; none of a check that says nothing', () => {
    const check = {
      id: 'c',
      order: 0,
      picture: '3x1',
      personnel: '11',
      situation: null,
      front: 'over',
      coverage: 'cover 3',
      pressure: null,
      note: 'poach',
    };
    expect(checkQuestions(film, [check])).toMatchObject([
      { title: '11, 3x1', answer: 'over · cover 3; poach', written: true },
    ]);
    expect(checkQuestions(film, [{ ...check, front: null, coverage: null }])).toEqual([]);
  });
});

describe('on paper', () => {
  const questions = playQuestions(film, plays, EVERY_MAN);
  it('each number has its answer on the key, on no page of questions, and nothing is too small', () => {
    const { pages, width, height } = testPages(about, questions, { aPage: 4 }, 'letter-wide', measure);
    const asked = Math.ceil(questions.length / 4);
    const said = pages.map((marks) => marks.flatMap((m) => (m.mark === 'text' ? [m] : [])));
    const key = said.slice(asked).flat();
    questions.forEach(({ answer, title }, i) => {
      const number = key.find((m) => m.text === String(i + 1) && m.x < 60)!;
      const beside = key.filter((m) => m.y >= number.y && m.y < number.y + 14 && m.x > number.x);
      expect(beside.map((m) => m.text)).toEqual(expect.arrayContaining([title, answer]));
      for (const page of said.slice(0, asked)) expect(page.map((m) => m.text)).not.toContain(answer);
    });
    for (const m of said.flat()) {
      expect(m.size).toBeGreaterThanOrEqual(LEAST_SIZE);
      expect(m.x).toBeLessThan(width);
      expect(m.y).toBeLessThan(height);
    }
  });
  it('a seed is an order: the same again, another for another, each question once', () => {
    const source = {
      side: 'offense' as const,
      sheet: { ...about, sections: [] },
      checks: { ...about, checks: [] },
      looks: [],
      cards: [],
      script: [],
      questions,
      decisions: { ...about, profile: COLLEGE, converted: [], long: null },
    };
    const titles = (seed: number): string[] =>
      printPages(
        source,
        {
          kind: 'test',
          paper: 'letter-wide',
          band: USUAL_BAND,
          scout: { ...USUAL_SCOUT, cards: 48 },
          man: EVERY_MAN,
          shape: USUAL_SHAPE,
          decisions: USUAL_DECISIONS,
          copies: 1,
        },
        uniform(seed),
        measure,
      )
        .pages.flat()
        .flatMap((m) => (m.mark === 'text' && questions.some((q) => q.title === m.text) ? [m.text] : []));
    expect(titles(1)).toEqual(titles(1));
    expect(titles(1)).not.toEqual(titles(2));
    expect([...new Set(titles(1))].sort()).toEqual(questions.map((q) => q.title).sort());
  });
  it('says so when nothing can be asked', () => {
    const { pages } = testPages(about, [], { aPage: 4 }, 'letter-wide', measure);
    expect(pages).toHaveLength(1);
    expect(pages[0]!.some((m) => m.mark === 'text' && m.text.startsWith('Nothing on the sheet'))).toBe(true);
  });
});
