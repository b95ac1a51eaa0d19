/** Scout cards of the demo opponent: in the proportions they show, drawn as their titles say, refused where not. */
import { describe, expect, it } from 'vitest';
import { DEFAULT_BOOK } from '../book/default-book';
import { drawSnap } from '../book';
import { DEMO_SEED, NEXT_OPPONENT, simulateSeason } from '../../demo/league';
import { COLLEGE } from '../field';
import { turned } from '../look';
import { buildColumns, countGame, DEFAULT_RULES, isTendency } from '../read';
import { isTagged, type SnapFields } from '../snap/snap';
import { aPlay } from './plays.fixture';
import { SHEET_PAPERS, type SheetPaper } from './layout';
import { CARDS_A_PAGE, cardFault, flipped, scoutCards, USUAL_SCOUT, type ScoutSettings } from './scout';
import { scoutPages } from './scout-print';

const snaps = simulateSeason(DEMO_SEED, { tells: true, weeks: 6 }).flatMap((g) =>
  countGame(g.snaps, COLLEGE, DEFAULT_BOOK),
);
const film = {
  book: DEFAULT_BOOK,
  profile: COLLEGE,
  settings: DEFAULT_RULES.look,
  snaps,
  columns: buildColumns(snaps),
  opponent: NEXT_OPPONENT,
};
const plays = [
  aPlay('a', 'power', { formation: 'trips', formationSide: 'L' }),
  aPlay('b', 'stick', { formation: 'doubles' }),
];
const cards = (side: 'offense' | 'defense', more: Partial<ScoutSettings> = {}) =>
  scoutCards(film, { side, checks: [], plays }, { ...USUAL_SCOUT, ...more });
const theirs = snaps.filter(
  (counted) =>
    isTendency(counted) &&
    counted.snap.offense === NEXT_OPPONENT &&
    isTagged(counted.snap.formation) &&
    isTagged(counted.snap.concept),
);

describe('their plays', () => {
  it('are the plays they run most, as often on the cards as on the film, counted by a plain loop', () => {
    const uses = new Map<string, number>();
    for (const { snap } of theirs) {
      const key = `${String(snap.play)} ${String(snap.concept)}`;
      uses.set(key, (uses.get(key) ?? 0) + 1);
    }
    const all = cards('defense', { cards: 48 });
    expect(all).toHaveLength(48);
    expect(new Set(all.map((c) => c.lines[0]!.split(', lined')[0])).size).toBeGreaterThanOrEqual(
      uses.size - 2,
    );
    expect(all[0]!.n).toBe(theirs.length);
    const most = Math.max(...uses.values());
    expect(all[0]!.lines[0]).toMatch(new RegExp(` ${most} of ${theirs.length}, lined up like this \\d+: `));
    for (const card of all) expect(card.fault, card.title).toBeNull();
  });
  it('twelve by use: each play has a card before one has two, unless there are fewer plays', () => {
    const twelve = cards('defense');
    expect(twelve).toHaveLength(12);
    const said = twelve.map((c) => Number(/ (\d+) of /.exec(c.lines[0]!)![1]));
    expect(said).toEqual([...said].sort((a, b) => b - a));
  });
  it('left for right: the same cards with their sides changed, and back again', () => {
    const swap = (title: string) =>
      title.replace(/\b(left|right)\b/g, (side) => (side === 'left' ? 'right' : 'left'));
    expect(cards('defense', { flip: true }).map((c) => c.title)).toEqual(
      cards('defense').map((c) => swap(c.title)),
    );
    const fields = theirs[0]!.snap as SnapFields;
    expect(flipped(flipped(fields))).toEqual(fields);
  });
});

describe('their defenses', () => {
  it('stand against a formation of ours, the most shown first', () => {
    const all = cards('offense');
    expect(all.map((c) => c.k)).toEqual([...all.map((c) => c.k)].sort((a, b) => b - a));
    for (const card of all) expect(card.lines[1]).toMatch(/^against our (trips left|doubles right), ball/);
  });
  it('no two cards have one title: what parts them is said, the rotation too', () => {
    const turned = snaps.map((s, i) =>
      s.snap.defense === NEXT_OPPONENT && i % 2 === 0
        ? { ...s, snap: { ...s.snap, rotation: 'weak' as const } }
        : s,
    );
    const of = { ...film, snaps: turned, columns: buildColumns(turned) };
    const titles = scoutCards(of, { side: 'offense', checks: [], plays }, { ...USUAL_SCOUT, cards: 48 }).map(
      (c) => c.title,
    );
    expect(new Set(titles).size).toBe(titles.length);
    expect(titles.some((t) => t.includes('rotation weak'))).toBe(true);
  });
  it('have a formation to stand against where the sheet has no call yet', () => {
    const [first] = scoutCards(film, { side: 'offense', checks: [], plays: [] }, USUAL_SCOUT);
    expect(first!.lines[1]).toMatch(/^against our \S+/);
    expect(first!.drawing.marks.length).toBeGreaterThan(22);
  });
});

describe('words and hats', () => {
  it('agree for every formation and play of the book, to both sides, with and without a front', () => {
    const ofKind = (...kinds: string[]) => DEFAULT_BOOK.terms.filter((t) => kinds.includes(t.kind));
    const [formations, concepts] = [ofKind('formation'), ofKind('run', 'pass')];
    let checked = 0;
    let balls = 0;
    // Every play from every seventh formation: the whole product was read once, 81 600 without a fault.
    for (const [i, f] of formations.entries())
      for (const [j, c] of concepts.entries()) {
        if ((i + j) % 7 !== 0) continue;
        for (const formationSide of ['L', 'R'] as const)
          for (const direction of ['L', 'R'] as const) {
            const fields = {
              formation: f.word,
              formationSide,
              concept: c.word,
              direction,
              play: c.kind,
            } as SnapFields;
            const drawn = drawSnap(DEFAULT_BOOK, fields, null, COLLEGE, { jobs: true, defense: false });
            expect(cardFault(fields, drawn), `${f.word} ${c.word}`).toBeNull();
            checked++;
            if (drawn.paths.some((p) => p.kind === 'ball')) balls++;
          }
      }
    expect(checked).toBeGreaterThan(2000);
    expect(balls).toBeGreaterThan(500);
  });
  it('a title that says right over hats drawn left does not print until one is flipped (common practice)', () => {
    const trips = {
      formation: 'trips',
      formationSide: 'R',
      concept: 'power',
      direction: 'R',
      play: 'run',
    } as SnapFields;
    const left = drawSnap(DEFAULT_BOOK, { ...trips, formationSide: 'L' }, null, COLLEGE, {
      jobs: true,
      defense: false,
    });
    expect(cardFault(trips, left)).toMatch(/says right, the longer side is drawn left/);
    const run = drawSnap(DEFAULT_BOOK, { ...trips, direction: 'L' }, null, COLLEGE, {
      jobs: true,
      defense: false,
    });
    expect(cardFault(trips, run)).toMatch(/sends the ball right, the drawing left/);
    expect(
      cardFault(
        { formation: 'nowhere' } as SnapFields,
        drawSnap(DEFAULT_BOOK, { formation: 'nowhere' } as SnapFields, null, COLLEGE),
      ),
    ).toMatch(/does not draw “nowhere”/);
  });
});

describe('pages', () => {
  const measure = (words: string, size: number) => words.length * size * 0.5;
  const about = { name: 'n', title: 't', against: 'a', stamp: 's' };
  it('hold all cards inside their frames, on every paper, one to six a page', () => {
    const all = cards('defense');
    for (const paper of Object.keys(SHEET_PAPERS) as SheetPaper[])
      for (const aPage of CARDS_A_PAGE) {
        const { pages, width, height } = scoutPages(about, all, { ...USUAL_SCOUT, aPage }, paper, measure);
        expect(pages).toHaveLength(Math.ceil(12 / aPage));
        const drawn = pages.flat().filter((m) => m.mark === 'drawing');
        expect(drawn).toHaveLength(12);
        for (const d of drawn) {
          expect(d.x).toBeGreaterThan(0);
          expect(d.y).toBeGreaterThan(0);
          expect(d.x + d.width).toBeLessThan(width);
          expect(d.y + d.height).toBeLessThan(height - 20);
          expect(d.height).toBeGreaterThan(100);
        }
        for (const mark of pages.flat())
          if (mark.mark === 'text') expect(mark.size).toBeGreaterThanOrEqual(8);
      }
  });
  it('name the card that is not printed, and leave its number out', () => {
    const [first, ...rest] = cards('defense');
    const { pages } = scoutPages(
      about,
      [{ ...first!, fault: 'wrong' }, ...rest],
      USUAL_SCOUT,
      'letter-wide',
      measure,
    );
    const words = pages.flat().flatMap((m) => (m.mark === 'text' ? [m.text] : []));
    expect(words).not.toContain('1');
    expect(words).toContain('2');
    expect(words.some((w) => w.includes('Not printed, words and drawing differ: card 1.'))).toBe(true);
    expect(pages.flat().filter((m) => m.mark === 'drawing')).toHaveLength(11);
  });
});

it('half a turn twice is no turn, and every mark stays in view', () => {
  const { drawing } = cards('defense')[3]!;
  const twice = turned(turned(drawing));
  expect(twice.view.map((x) => x + 0)).toEqual(drawing.view);
  const places = (d: typeof drawing) =>
    d.marks.map((m) => (m.mark === 'path' ? m.d : m.mark === 'shape' ? m.points : [[m.x, m.y]]).flat());
  const [once, again] = [places(drawing), places(twice)];
  once.forEach((values, i) => values.forEach((value, k) => expect(again[i]![k]).toBeCloseTo(value, 9)));
});
