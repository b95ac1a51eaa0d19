/** The check card of an offense: each answer once, what they show of it, and nothing that is none. */
import { describe, expect, it } from 'vitest';
import { DEMO_SEED, simulateSeason } from '../../demo/league';
import { DEFAULT_BOOK } from '../book/default-book';
import { COLLEGE } from '../field';
import { buildColumns, countGame, DEFAULT_RULES, filterValue, isTendency } from '../read';
import { answerPages, looksShown } from './answer-print';
import { PAPERS } from './layout';
import type { Measure } from './marks';
import { aPlay } from './plays.fixture';
import { LEAST_SIZE } from './print';
import { CATALOG, type SectionSpec } from './sections';
import { NO_NOTES, numberSheet, type SheetCall } from './sheet';

const measure: Measure = (text, size, bold) => text.length * size * (bold ? 0.46 : 0.42);
const about = { name: 'Week 9', title: 'Herons offense', against: 'Stags', stamp: '2026-10-31' };
const call = (id: string, section: string, more: Partial<SheetCall> = {}): SheetCall => ({
  id,
  section,
  order: 0,
  play: aPlay(id, id),
  ...NO_NOTES,
  ...more,
});
const sections = ['first', 'light', 'pressure', 'goal'].map((key) => CATALOG.find((s) => s.key === key)!);

describe('the check card of an offense', () => {
  const calls = [
    call('power', 'first', {
      ifThen: [
        { when: 'the end squeezes', call: 'boot', words: null },
        { when: 'two deep', call: null, words: 'throw the hitch' },
      ],
    }),
    call('boot', 'first', { order: 1 }),
    call('draw', 'light', { hash: 'L' }),
    call('trap', 'light', { order: 1 }),
    call('slip', 'pressure'),
    call('wedge', 'goal'),
  ];
  const printed = numberSheet(calls, sections);
  const looks = [{ section: 'light', k: 30, n: 80 }];
  const rows = (paper: keyof typeof PAPERS) => {
    const { pages, cut } = answerPages({ ...about, sections: printed, looks }, paper, measure);
    expect(cut).toEqual([]);
    const marks = pages.flat();
    const texts = marks.flatMap((m) => (m.mark === 'text' ? [m] : []));
    for (const t of texts) expect(t.size).toBeGreaterThanOrEqual(LEAST_SIZE);
    return {
      boxes: marks.filter((m) => m.mark === 'rect').length,
      lines: [...new Set(texts.map((t) => t.y))].map((y) =>
        texts.filter((t) => t.y === y).map((t) => t.text),
      ),
    };
  };
  it.each(['letter', 'a4'] as const)(
    'on %s holds calls by what they show, then what others lead to',
    (paper) => {
      const { boxes, lines } = rows(paper);
      expect(boxes).toBe(5);
      const has = (...words: (string | RegExp)[]): boolean =>
        lines.some((line) =>
          words.every((w) => line.some((t) => (typeof w === 'string' ? t === w : w.test(t)))),
        );
      expect(has('Six or fewer in the box', '30 of 80', '3', /^draw.*ball L$/)).toBe(true);
      expect(has('4', /^trap/)).toBe(true);
      expect(has('Against five or more', '5', /^slip/)).toBe(true);
      expect(has('1st & 10', '1', /^power/, /^the end squeezes: 2 boot/)).toBe(true);
      expect(lines).toContainEqual(['two deep: throw the hitch']);
      // A call that leads nowhere and answers nothing is on the call sheet alone.
      expect(lines.flat().some((t) => t.startsWith('wedge') || t.startsWith('boot'))).toBe(false);
      expect(lines.flat().indexOf('1st & 10')).toBeGreaterThan(lines.flat().indexOf('Against five or more'));
    },
  );
  it('says on the next page which section goes on', () => {
    const many = Array.from({ length: 70 }, (_, i) => call(`c${i}`, 'light', { order: i }));
    const { pages } = answerPages(
      { ...about, sections: numberSheet(many, sections), looks },
      'letter',
      measure,
    );
    expect(pages.length).toBeGreaterThan(1);
    const labels = pages.map((page) =>
      page.flatMap((m) => (m.mark === 'text' && m.text.startsWith('Six or fewer') ? [m.text] : [])),
    );
    expect(labels).toEqual(pages.map(() => ['Six or fewer in the box']));
  });
  it('says so where there is none', () => {
    const none = answerPages(
      { ...about, sections: numberSheet([call('wedge', 'goal')], sections), looks: [] },
      'letter',
      measure,
    );
    expect(none.pages).toHaveLength(1);
    for (const m of none.pages[0]!)
      if (m.mark === 'text' && m.text.startsWith('Nothing'))
        expect(m.x + measure(m.text, m.size, m.bold ?? false), m.text).toBeLessThan(PAPERS.letter.width);
    expect(none.pages[0]!.some((m) => m.mark === 'text' && m.text.startsWith('Nothing yet'))).toBe(true);
  });
});

it('how often they show it is of the snaps on which it is tagged, by a plain loop', () => {
  const games = simulateSeason(DEMO_SEED, { tells: true, weeks: 3 });
  // Every ninth coverage is not tagged, every seventh not to be seen.
  const snaps = games
    .flatMap((g) => g.snaps)
    .map((snap, i) => ({
      ...snap,
      coverage: i % 9 === 0 ? null : i % 7 === 0 ? '?' : snap.coverage,
    }));
  const counted = countGame(snaps, COLLEGE, DEFAULT_BOOK, DEFAULT_RULES);
  const columns = buildColumns(counted);
  const opponent = games[0]!.away;
  const { coverage } = snaps.find((s) => s.defense === opponent && s.coverage && s.coverage !== '?')!;
  const late: SectionSpec = {
    key: 'own-late',
    label: 'Late',
    filter: { bucket: ['3-long', '3-xlong', '3-medium'], coverage: [coverage!] },
    ranges: { toGoal: { from: 20, to: 99 } },
    kinds: [],
  };
  const light = CATALOG.find((s) => s.key === 'light')!;
  const shown = looksShown(
    columns,
    opponent,
    [late, light, CATALOG[0]!].map((section) => ({ section, calls: [] })),
  );
  const plain = ({ filter, ranges, key }: SectionSpec, field: 'coverage' | 'boxCount') => {
    const words = counted
      .filter(
        (c) =>
          isTendency(c) &&
          c.snap.defense === opponent &&
          (filter!.bucket === undefined || filter!.bucket.includes(c.bucket!)) &&
          (ranges.toGoal === undefined || c.snap.toGoal! >= ranges.toGoal.from),
      )
      .map((c) => filterValue(c, field))
      .filter((word) => word !== null && word !== '?');
    return { section: key, k: words.filter((w) => filter![field]!.includes(w!)).length, n: words.length };
  };
  expect(shown).toEqual([plain(late, 'coverage'), plain(light, 'boxCount')]);
  for (const { k, n } of shown) {
    expect(k).toBeGreaterThan(0);
    expect(n).toBeGreaterThan(k);
  }
});
