/** Passes over a simulated game, by keys; the rank of the offers and the arithmetic of what would sharpen computed a second, plain way. */
import { describe, expect, it } from 'vitest';
import { DEFAULT_BOOK } from '../book/default-book';
import { COLLEGE } from '../field';
import { walkGame } from '../rules';
import { blankSnap, isTagged, SNAP_FIELDS, type Snap, type SnapFact, type SnapFields } from '../snap';
import { DEMO_SEED, simulateSeason } from '../../demo/league';
import {
  asked,
  beginPass,
  CHART_PASSES,
  isCharted,
  isDone,
  earlierSnaps,
  labelsOf,
  minutesLeft,
  offersFor,
  passOf,
  progressOf,
  rowsOf,
  sharpen,
  sharpenFilm,
  stepPass,
  viewPass,
  type Offers,
  type PassGame,
  type PassSession,
} from './index';
import { sureOf } from '../snap/sureness';

const [game] = simulateSeason(DEMO_SEED, { tells: true, weeks: 1 });
const walked = walkGame(game!.snaps, COLLEGE);
const labels = labelsOf(walked, DEFAULT_BOOK, COLLEGE);
const FRONT = passOf('front')!;
const strip = (snap: Snap): Snap =>
  ({ ...snap, ...Object.fromEntries(FRONT.fields.map((f) => [f, blankSnap('', '', 0)[f]])) }) as Snap;

/** Bits that the answer to a field holds, given its situation: what no key can do without. */
const entropyOf = ({ list }: Offers): number =>
  -list.reduce((bits, { share }) => bits + (share > 0 ? share * Math.log2(share) : 0), 0);

/** A game that keeps what a session writes. */
class Place {
  snaps: Snap[];
  session: PassSession;
  keys = 0;
  constructor(
    snaps: readonly Snap[],
    readonly pass = FRONT,
  ) {
    this.snaps = [...snaps];
    this.session = beginPass(this.game());
  }
  game(): PassGame {
    return { pass: this.pass, rows: walkGame(this.snaps, COLLEGE), book: DEFAULT_BOOK, labels, earlier: [] };
  }
  press(...keys: string[]): this {
    for (const key of keys) {
      const { session, writes } = stepPass(this.session, { type: 'key', key }, this.game());
      this.session = session;
      this.keys++;
      for (const { snapId, fields } of writes)
        this.snaps = this.snaps.map((s) => (s.snapId === snapId ? { ...s, ...fields } : s));
    }
    return this;
  }
  get snap(): Snap {
    return this.snaps.find((s) => s.snapId === this.session.snapId)!;
  }
  get view() {
    return viewPass(this.session, this.game());
  }
  /** The fewest keys for a value: its rank, its figure, or a search. */
  answer(field: SnapFact, value: unknown): this {
    if (value === null) return this.press('Tab');
    if (value === '-' || value === '?') return this.press(value === '-' ? '-' : 'x');
    const { view } = this;
    expect(view.field).toBe(field);
    if (view.number) {
      this.press(...String(value));
      return this.session.typed === '' ? this : this.press('Tab');
    }
    const at = view.shown.findIndex((o) => o.value === value);
    if (at >= 0) return this.press(String(at + 1));
    this.press('a');
    for (const letter of String(value)) {
      if (this.view.shown[0]?.value === value) break;
      this.press(letter);
    }
    return this.press('Enter');
  }
}

it('offers what other games had where this one has nothing yet', () => {
  const row = rowsOf(FRONT, walked)[0]!;
  const blank = walkGame(game!.snaps.map(strip), COLLEGE);
  const earlier = earlierSnaps(walked.slice(20), FRONT.fields, DEFAULT_BOOK, COLLEGE);
  const here = offersFor(row, 'coverage', blank, DEFAULT_BOOK, labels);
  const with_ = offersFor(row, 'coverage', blank, DEFAULT_BOOK, labels, earlier);
  expect(here.n).toBe(0);
  expect(with_.n).toBeGreaterThan(0);
  const counts = new Map<unknown, number>();
  for (const r of walked.slice(20))
    if (r.before.defense === row.before.defense && isTagged(r.snap.coverage))
      counts.set(r.snap.coverage, (counts.get(r.snap.coverage) ?? 0) + 1);
  expect([...counts.values()].reduce((a, b) => a + b, 0)).toBe(
    earlier.filter((e) => e.defense === row.before.defense && e.fields.coverage !== undefined).length,
  );
});

it('takes a zero at once', () => {
  const rows = walkGame(game!.snaps.map(strip), COLLEGE);
  const on: PassGame = { pass: FRONT, rows, book: DEFAULT_BOOK, labels, earlier: [] };
  let session = beginPass(on);
  session = stepPass(session, { type: 'field', at: FRONT.fields.indexOf('shell') }, on).session;
  const { writes } = stepPass(session, { type: 'key', key: '0' }, on);
  expect(writes[0]!.fields).toEqual({ shell: 0 });
});

it('counts snaps logged by hand, whose unit is carried', () => {
  const typed = walkGame(
    [
      {
        ...blankSnap('k', 'g', 1),
        unit: 'scrimmage',
        offense: 'HER',
        defense: 'MIR',
        down: 1,
        distance: 10,
        toGoal: 60,
        play: 'run',
        result: 'gain',
        gain: 3,
      },
      { ...blankSnap('l', 'g', 2), play: 'run', result: 'gain', gain: 2 },
    ],
    COLLEGE,
  );
  expect(rowsOf(FRONT, typed).map((r) => r.number)).toEqual([1, 2]);
  expect(progressOf(FRONT, typed)).toEqual({ done: 0, of: 2 });
});

describe('passes', () => {
  it('every field of every pass is in the table, once a pass', () => {
    for (const pass of CHART_PASSES) {
      expect(new Set(pass.fields).size).toBe(pass.fields.length);
      for (const field of pass.fields) expect(SNAP_FIELDS[field]).toBeDefined();
    }
  });
  it('asks for what is a question on the snap: no response without motion, no throw on a sack', () => {
    const corners = passOf('corners')!;
    const snap = { ...game!.snaps.find((s) => s.unit === 'scrimmage')!, motion: null, rotation: null };
    expect(asked(corners, snap)).not.toContain('motionResponse');
    expect(asked(corners, { ...snap, motion: 'jet' })).toContain('motionResponse');
    const throws = passOf('throws')!;
    expect(asked(throws, { ...snap, play: 'pass', result: 'sack' })).not.toContain('targetDepth');
  });
  it('counts what is done and what is left; minutes by the median pace, none before three', () => {
    const { done, of } = progressOf(
      FRONT,
      walked.map((r) => ({ ...r, snap: strip(r.snap) })),
    );
    expect(done).toBe(0);
    expect(of).toBe(
      walked.filter(
        (r) => r.snap.unit === 'scrimmage' && r.snap.result !== 'kneel' && r.snap.result !== 'spike',
      ).length,
    );
    expect(minutesLeft(60, [30, 40])).toBeNull();
    expect(minutesLeft(60, [30, 500, 33, 34])).toEqual({ minutes: 34, pace: 34 });
  });
});

describe('offers', () => {
  it('are the counts of the nearest situation, and their shares sum to one', () => {
    const row = walked.filter((r) => r.snap.unit === 'scrimmage').at(-1)!;
    const offers = offersFor(row, 'coverage', walked, DEFAULT_BOOK, labels);
    expect(offers.list.reduce((sum, o) => sum + o.share, 0)).toBeCloseTo(1, 9);
    // A second, plain way.
    const plain = (same: (r: (typeof walked)[number]) => boolean): Map<string, number> => {
      const counts = new Map<string, number>();
      for (const r of walked)
        if (r !== row && same(r) && isTagged(r.snap.coverage))
          counts.set(r.snap.coverage, (counts.get(r.snap.coverage) ?? 0) + 1);
      return counts;
    };
    const label = labels.get(row.snap.snapId);
    const mine = (r: (typeof walked)[number]): boolean => r.snap.defense === row.snap.defense;
    const near = plain((r) => mine(r) && r.bucket === row.bucket && labels.get(r.snap.snapId) === label);
    const wide = plain((r) => mine(r) && labels.get(r.snap.snapId) === label);
    const counts = near.size > 0 ? near : wide.size > 0 ? wide : plain(mine);
    for (const o of offers.list) expect(o.k).toBe(counts.get(String(o.value)) ?? 0);
    expect(offers.n).toBe([...counts.values()].reduce((a, b) => a + b, 0));
  });
  it('without anything charted stand in the order of the book, all alike', () => {
    const blank = walked.map((r) => ({ ...r, snap: strip(r.snap) }));
    const offers = offersFor(
      blank.find((r) => r.snap.unit === 'scrimmage')!,
      'coverage',
      blank,
      DEFAULT_BOOK,
      labels,
    );
    expect(new Set(offers.list.map((o) => o.share)).size).toBe(1);
    expect(entropyOf(offers)).toBeCloseTo(Math.log2(offers.list.length), 9);
  });
});

describe('the strip by keys', () => {
  const fresh = (): Place => new Place(game!.snaps.map(strip));
  it('one key a value, figures as themselves, what is not there, what is not sure, and back', () => {
    const place = fresh();
    const first = place.view.shown[1]!;
    place.press('2');
    expect(place.snap.front).toBe(first.value);
    expect(place.view.field).toBe('box');
    place.press('6');
    expect(place.snap.box).toBe(6);
    place.press('x');
    expect(place.snap.shell).toBe('?');
    place.press('Backspace', '2', '?');
    expect([place.snap.shell, place.snap.notSure]).toEqual([2, expect.arrayContaining(['shell'])]);
    expect(sureOf(place.snap, 'shell')).toBe('think_so');
    place.press('?');
    expect(sureOf(place.snap, 'shell')).toBe('guess');
    place.press('?');
    expect([sureOf(place.snap, 'shell'), place.snap.guessed]).toEqual(['sure', []]);
    place.press('Control+Z', 'Control+Z');
    place.press('Control+Z', 'Control+Z', 'Control+Z', 'Control+Z', 'Control+Z');
    expect(place.snap).toEqual(strip(place.snap));
    place.press('Control+Z');
    expect(place.snap).toEqual(strip(place.snap));
  });
  it('a figure of two digits waits for its second; one out of its limits is refused and named', () => {
    const place = fresh().press('Tab', '1');
    expect(place.session.typed).toBe('1');
    place.press('1');
    expect(place.snap.box).toBe(11);
    const bad = fresh().press('Tab', '1', '9');
    expect(bad.session.problem).toMatch(/whole number from 0 to 11/);
    expect(bad.snap.box).toBeNull();
  });
  it('a word by its first letters; the rest of a series as the snap before', () => {
    const place = fresh().press('a', 'b', 'e', 'a', 'Enter');
    expect(place.snap.front).toBe('bear');
    place.press('7', '1');
    const before = place.snap;
    const over = rowsOf(FRONT, place.game().rows);
    const at = over.findIndex((r) => r.snap.snapId === before.snapId);
    expect(over[at + 1]!.possession).toBe(over[at]!.possession);
    place.press('ArrowDown', '.');
    expect([place.snap.front, place.snap.box, place.snap.shell]).toEqual([
      before.front,
      before.box,
      before.shell,
    ]);
    expect(place.view.field).toBe('coverage');
  });
  it('Enter goes to the next snap that lacks something, Tab and Shift+Tab along the fields', () => {
    const place = fresh();
    const { snapId } = place.snap;
    place.press('Tab', 'Tab', 'Shift+Tab');
    expect(place.view.field).toBe('box');
    place.press('Enter');
    expect(place.snap.snapId).not.toBe(snapId);
    expect(place.session.lastKeys).toBe(4);
  });
  it('never throws and never writes outside its fields, whatever is pressed', () => {
    const keys = [
      '1',
      '2',
      '9',
      '0',
      'a',
      'x',
      '-',
      '?',
      '.',
      'Tab',
      'Shift+Tab',
      'Enter',
      'Backspace',
      'Escape',
      'ArrowUp',
      'ArrowDown',
      'Control+Z',
      'q',
      ';',
      'F5',
    ];
    for (const pass of CHART_PASSES) {
      const place = new Place(game!.snaps.slice(0, 40), pass);
      const before = place.snaps;
      for (let i = 0; i < 150; i++) place.press(keys[(i * 7 + (i % 11)) % keys.length]!);
      for (const [i, snap] of place.snaps.entries())
        for (const [field, value] of Object.entries(snap))
          if (!pass.fields.includes(field as SnapFact) && field !== 'notSure')
            expect(value).toEqual(before[i]![field as keyof SnapFields]);
    }
  });
  it('the whole defense of a game: equal to the truth, with few keys a field', () => {
    const truth = new Map(game!.snaps.map((s) => [s.snapId, s]));
    const place = fresh();
    let fields = 0;
    let bits = 0;
    const over = rowsOf(FRONT, place.game().rows).slice(0, 60);
    for (let n = 0; n < over.length; n++) {
      const goal = truth.get(place.snap.snapId)!;
      for (const field of asked(FRONT, goal)) {
        bits += place.view.offers ? entropyOf(place.view.offers) : 0;
        place.answer(field, goal[field]);
        fields++;
      }
      place.press('Enter');
    }
    for (const { snap } of over) {
      const got = place.snaps.find((s) => s.snapId === snap.snapId)!;
      const goal = truth.get(snap.snapId)!;
      for (const field of FRONT.fields) expect([field, got[field]]).toEqual([field, goal[field]]);
    }
    process.stdout.write(
      `pass strip: ${(place.keys / fields).toFixed(2)} keys a field, ${(place.keys / over.length).toFixed(1)} a snap, n ${over.length} snaps; the answers hold ${(bits / fields).toFixed(2)} bits a field given their situation (nine keys: ${Math.log2(9).toFixed(2)} each)\n`,
    );
    expect(place.keys / fields).toBeLessThan(2.5);
  });
});

describe('what would sharpen the report most', () => {
  it('by the Wilson interval, the share staying: the gain of ten snaps decides the order', () => {
    const rows = walked.map((r, i) => (i % 3 === 0 ? { ...r, snap: strip(r.snap) } : r));
    const list = sharpen([FRONT], rows);
    expect(list.length).toBeGreaterThan(2);
    for (const one of list) {
      const asking = rowsOf(FRONT, rows).filter(({ snap }) => asked(FRONT, snap).includes(one.field));
      expect(one.of).toBe(asking.length);
      expect(one.blank).toBe(asking.filter(({ snap }) => !isCharted(snap, one.field)).length);
      // Wilson's half width the textbook way: z√(pq/n + z²/4n²) / (1 + z²/n).
      const width = (k: number, n: number): number => {
        const [p, z] = [k / n, 1.959963984540054];
        return ((z * Math.sqrt((p * (1 - p)) / n + (z * z) / (4 * n * n))) / (1 + (z * z) / n)) * 100;
      };
      if (one.n > 0 && one.k > 0 && one.k < one.n) expect(one.now).toBeCloseTo(width(one.k, one.n), 6);
      expect(one.then).toBeLessThanOrEqual(one.now);
    }
    expect([...list].sort((a, b) => b.perTen - a.perTen).map((o) => o.perTen)).toEqual(
      list.map((o) => o.perTen),
    );
    expect(isDone(FRONT, blankSnap('s', 'g', 1))).toBe(false);
  });

  it('over several games: as if they were one film, and the games sum to the blanks', () => {
    const rows = walked.map((r, i) => (i % 3 === 0 ? { ...r, snap: strip(r.snap) } : r));
    const games = [0, 1, 2].map((g) => ({ key: `g${g}`, rows: rows.filter((_, i) => i % 5 === g) }));
    const film = sharpenFilm([FRONT], games);
    expect(film.map(({ where: _, ...one }) => one)).toEqual(
      sharpen(
        [FRONT],
        games.flatMap((g) => g.rows),
      ),
    );
    for (const { where, blank } of film) expect(where.reduce((n, w) => n + w.blank, 0)).toBe(blank);
    expect(film[0]!.where.length).toBeGreaterThan(1);
  });
});
