import { beforeAll, describe, expect, it } from 'vitest';
import { loggedGames, DEMO_SEED, NEXT_OPPONENT, PROGRAM, simulateSeason } from '../../demo/league';
import { DEMO_PLAYS } from '../../demo/plays';
import { assignPlay, playOf, presentable } from '../book';
import { DEFAULT_BOOK } from '../book/default-book';
import { COLLEGE } from '../field';
import { buildColumns, countGame, DEFAULT_RULES, select, type Columns, type CountedSnap } from '../read';
import { jobsOf, jobsSeen } from './new-jobs';
import { aPlay } from './plays.fixture';
import { playFields, type PlayCard } from './sheet';
import { basePlays, wrinklesOf, type Wrinkle, type WrinkleFilm } from './wrinkles';

let snaps: CountedSnap[];
let columns: Columns;
let film: WrinkleFilm;
let bases: ReturnType<typeof basePlays>;
const found = new Map<PlayCard, Wrinkle[]>();
beforeAll(() => {
  snaps = loggedGames(simulateSeason(DEMO_SEED, { tells: true })).flatMap((g) =>
    countGame(g.logged, COLLEGE, DEFAULT_BOOK, DEFAULT_RULES),
  );
  columns = buildColumns(snaps, DEFAULT_RULES);
  const own = select(columns, { offense: [PROGRAM] });
  film = {
    book: DEFAULT_BOOK,
    profile: COLLEGE,
    settings: DEFAULT_RULES.look,
    snaps,
    columns,
    team: PROGRAM,
    opponent: NEXT_OPPONENT,
    jobs: jobsSeen(DEFAULT_BOOK, COLLEGE, snaps, own),
  };
  bases = basePlays(DEMO_PLAYS, columns, PROGRAM);
  for (const { play, rows } of bases) found.set(play, wrinklesOf(film, play, rows));
});

describe('wrinkles', () => {
  it('are of plays that they have seen, the most first, one of each concept and side', () => {
    expect(bases.length).toBeGreaterThan(8);
    const counts = bases.map((b) => b.rows.length);
    expect(counts).toEqual([...counts].sort((a, b) => b - a));
    expect(Math.min(...counts)).toBeGreaterThanOrEqual(5);
    for (const { play, rows } of bases)
      for (const row of rows) expect(snaps[row]!.snap.concept, play.name).toBe(play.concept);
    expect(new Set(bases.map(({ play }) => `${play.kind} ${play.concept} ${play.direction}`)).size).toBe(
      bases.length,
    );
  });
  it('stand in no picture in which our film holds the play, and can be lined up', () => {
    for (const [play, wrinkles] of found) {
      expect(wrinkles.length, play.name).toBeGreaterThan(0);
      for (const { card, newForThem, structure } of wrinkles) {
        const same = snaps.filter(
          ({ snap }) =>
            snap.offense === PROGRAM &&
            snap.concept === play.concept &&
            snap.play === play.kind &&
            (play.direction === null || snap.direction === play.direction) &&
            snap.formation === card.formation &&
            snap.formationSide === card.formationSide &&
            snap.backfield === card.backfield &&
            (snap.motion === '-' ? null : snap.motion) === card.motion &&
            (card.motion === null || snap.motionBy === card.motionBy),
        );
        expect(
          same.map((s) => s.snap.snapId),
          `${card.name}, ${card.formation}`,
        ).toEqual([]);
        expect(newForThem).toBeGreaterThan(0);
        const known = playOf(DEFAULT_BOOK, playFields({ ...card, id: 'x' }))!;
        const drawn = assignPlay(known.def, known.base, play.direction ?? play.formationSide ?? 'R', COLLEGE);
        expect(presentable(drawn, COLLEGE).legal, card.name).toBe(true);
        expect(drawn.structure.label, card.name).toBe(structure);
      }
    }
  });
  it('count jobs that are on no film of ours, what was called from the line-up and what they faced, by plain loops', () => {
    let some = 0;
    for (const wrinkles of found.values())
      for (const w of wrinkles) {
        const fields = playFields({ ...w.card, id: 'x' });
        // Without a side of its own the play is drawn to the side of its formation.
        if (w.card.direction !== null)
          expect(
            jobsOf(DEFAULT_BOOK, COLLEGE, fields)!
              .filter((job) => !film.jobs.has(job))
              .sort(),
          ).toEqual([...w.newForUs].sort());
        some += w.newForUs.length;
        const tendency = snaps.filter(
          ({ snap }) => ['run', 'pass', 'rpo'].includes(snap.play!) && snap.result !== 'no_play',
        );
        const lined = tendency.filter(
          ({ snap }) =>
            snap.offense === PROGRAM &&
            snap.formation === w.card.formation &&
            snap.motion === (w.card.motion ?? '-'),
        );
        expect([w.lined.length, w.passes]).toEqual([
          lined.length,
          lined.filter(({ snap }) => snap.play === 'pass').length,
        ]);
        const theirs = tendency.filter(
          ({ snap, look }) => snap.defense === NEXT_OPPONENT && look?.structureSnap,
        );
        expect([w.faced.length, w.known]).toEqual([
          theirs.filter(({ look }) => look!.structureSnap === w.structure).length,
          theirs.length,
        ]);
      }
    expect(some).toBeGreaterThan(0);
  });
  it('come with line-ups of our film first, each formation and motion once; a play the book does not draw has none', () => {
    for (const wrinkles of found.values()) {
      const lined = wrinkles.map((w) => w.lined.length > 0);
      expect(lined).toEqual([...lined].sort((a, b) => Number(b) - Number(a)));
      const keys = wrinkles.map(({ card }) => `${card.formation} ${card.motion}`);
      expect(new Set(keys).size).toBe(keys.length);
    }
    expect(wrinklesOf(film, aPlay('x', 'no such play'), new Uint32Array(0))).toEqual([]);
    expect(basePlays([aPlay('x', 'no such play')], columns, PROGRAM)).toEqual([]);
  });
});
