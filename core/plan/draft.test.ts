/** Drafts: no section over its size, the best argued first, the same each time; answers that are on our film. */
import { beforeAll, describe, expect, it } from 'vitest';
import { DEMO_SEED, NEXT_OPPONENT, PROGRAM, simulateSeason } from '../../demo/league';
import { DEMO_PLAYS } from '../../demo/plays';
import { DEFAULT_BOOK } from '../book/default-book';
import { drawSnap } from '../book/draw-snap';
import { COLLEGE } from '../field';
import { buildColumns, countGame, DEFAULT_RULES, type Columns, type CountedSnap } from '../read';
import { uniform } from '../stats/uniform';
import { shownBy } from './checks';
import { draftCalls, draftChecks, rankPlays, type DraftFilm } from './draft';
import { playsOfFilm } from './play-list';
import { CATALOG, SECTIONS } from './sections';
import { playFitter } from './section-plays';
import { playFields } from './sheet';
import { sizeSection } from './sizing';

let snaps: CountedSnap[];
let columns: Columns;
let film: DraftFilm;
beforeAll(() => {
  snaps = simulateSeason(DEMO_SEED, { tells: true, weeks: 6 }).flatMap((g) =>
    countGame(g.snaps, COLLEGE, DEFAULT_BOOK),
  );
  columns = buildColumns(snaps);
  film = {
    columns,
    team: PROGRAM,
    opponent: NEXT_OPPONENT,
    plays: DEMO_PLAYS,
    structures: new Map(
      DEMO_PLAYS.map((p) => [
        p.id,
        drawSnap(DEFAULT_BOOK, playFields(p), null, COLLEGE).look?.offense.snap.label ?? null,
      ]),
    ),
    sections: SECTIONS,
    fits: playFitter(DEFAULT_BOOK, COLLEGE, DEFAULT_RULES.look),
    random: (stream) => uniform(1 + stream),
  };
});

describe('calls', () => {
  it('fill each section as far as it is enough, no play twice in one', () => {
    const drafted = draftCalls(film);
    for (const section of CATALOG) {
      const here = drafted.filter((c) => c.section === section.key);
      const size = sizeSection(columns, PROGRAM, NEXT_OPPONENT, section);
      if (!SECTIONS.some((s) => s.key === section.key)) expect(here).toHaveLength(0);
      else if (size!.expected.mean >= 0.5) expect(here).toHaveLength(size!.suggested);
      expect(new Set(here.map((c) => c.play.id)).size).toBe(here.length);
    }
    // A third time only where no other is left for the section.
    for (const { id } of DEMO_PLAYS)
      expect(drafted.filter((c) => c.play.id === id).length).toBeLessThanOrEqual(3);
    expect(draftCalls(film)).toEqual(drafted);
  });
  it('begin with the play that is expected to do best at its worst, and hold none without own film', () => {
    const drafted = draftCalls(film);
    const { ranked, argued } = rankPlays(film, SECTIONS[0]!);
    expect(drafted[0]!.play.id).toBe(ranked[0]!.play.id);
    const best = Math.max(...[...argued.values()].map((a) => a?.low ?? -1));
    expect(drafted[0]!.argument.low).toBe(best);
    for (const call of drafted) expect(call.argument).not.toBeNull();
  });
  it('count what stands already, and share a short play list among the sections', () => {
    const whole = draftCalls(film);
    const first = whole.filter((c) => c.section === SECTIONS[1]!.key);
    const more = draftCalls(film, first);
    expect(more.filter((c) => c.section === SECTIONS[1]!.key)).toHaveLength(0);
    expect(draftCalls(film, whole)).toEqual([]);
    const short = draftCalls({ ...film, plays: DEMO_PLAYS.slice(0, 6) });
    const filled = new Set(short.map((c) => c.section));
    expect(filled.size).toBe(new Set(whole.map((c) => c.section)).size);
  });
  it('give a play that may stand but once more to the section that would lose most without it', () => {
    const [p, q] = DEMO_PLAYS;
    const sections = SECTIONS.filter((s) => s.key === 'goal' || s.key === 'backed');
    // By the order of the sheet the goal line would take it, where the other is as good as it.
    const low = (section: string, play: string): number =>
      play === p!.id ? 0.55 : section === 'goal' ? 0.5 : 0.1;
    const argued: DraftFilm['argued'] = (section) =>
      new Map(
        [p!, q!].map((play) => [
          play.id,
          { structure: null, score: 0.6, low: low(section.key, play.id), high: 0.9, n: 9, looks: [] },
        ]),
      );
    const drafted = draftCalls({ ...film, plays: [p!, q!], sections, argued }, [
      { section: 'elsewhere', play: p! },
    ]);
    const first = (key: string) => drafted.find((c) => c.section === key)!.play.id;
    expect([first('goal'), first('backed')]).toEqual([q!.id, p!.id]);
  });
  it('are what the section asks for', () => {
    const twelve = { key: 'own-12', label: '12', filter: { personnel: ['12'] }, ranges: {}, kinds: [] };
    const sections = [...CATALOG.filter((s) => s.key === 'run-left' || s.key === 'screens'), twelve];
    const drafted = draftCalls({ ...film, sections });
    expect(new Set(drafted.map((c) => c.section))).toEqual(new Set(sections.map((s) => s.key)));
    for (const { section, play } of drafted)
      if (section === 'run-left') expect(play.kind).not.toBe('pass');
      else if (section === 'screens') expect(play.concept).toMatch(/screen/);
      else expect(play.personnel).toBe('12');
  });
});

it('checks: every structure they have shown, each answer from our own film against it where it was met', () => {
  const drafted = draftChecks(columns, PROGRAM, NEXT_OPPONENT);
  const { structures } = shownBy(columns, NEXT_OPPONENT);
  expect(drafted.map((d) => d.shown.picture.key)).toEqual(structures.map((s) => s.picture.key));
  for (const { answer, on, shown } of drafted) {
    for (const row of answer!.rows) {
      const { snap, look } = snaps[row]!;
      expect([snap.defense, snap.front, snap.coverage]).toEqual([PROGRAM, answer!.front, answer!.coverage]);
      if (on === 'picture') expect(look!.structureSnap).toBe(shown.picture.structure);
    }
    expect(answer!.allowed.n).toBeGreaterThanOrEqual(4);
  }
});

it('a play list of film: what was run three times and more from one formation', () => {
  const plays = playsOfFilm(snaps, PROGRAM);
  expect(plays.length).toBeGreaterThan(5);
  expect(new Set(plays.map((p) => p.id)).size).toBe(plays.length);
  for (const play of plays) {
    const plain = snaps.filter(
      ({ snap }) =>
        snap.offense === PROGRAM &&
        snap.result !== 'no_play' &&
        snap.play === play.kind &&
        snap.concept === play.concept &&
        snap.formation === play.formation &&
        (snap.direction ?? null) === play.direction,
    );
    expect(plain.length).toBeGreaterThanOrEqual(3);
  }
});
