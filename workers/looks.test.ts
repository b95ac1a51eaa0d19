/** The door of the worker: a message in, the looks of its film out. */
import { afterAll, beforeAll, beforeEach, describe, expect, it, vi } from 'vitest';
import { DEFAULT_BOOK } from '../core/book/default-book';
import { COLLEGE } from '../core/field';
import type { ArgueAnswer } from '../core/plan/argue-request';
import { argueSection, SECTIONS, structuresOf } from '../core/plan';
import { aPlay } from '../core/plan/plays.fixture';
import { jobsSeen } from '../core/plan/new-jobs';
import { rowsOfPlay } from '../core/plan/sheet';
import { wrinklesOf } from '../core/plan/wrinkles';
import { buildColumns, countGame, DEFAULT_RULES, select } from '../core/read';
import { slimSnap } from '../core/snap/fields';
import { packSnaps, unpackSnaps } from '../core/snap/packed';
import { decodePacked, encodePacked } from '../core/snap/packed-bytes';
import { uniform } from '../core/stats/uniform';
import { DEMO_SEED, simulateSeason } from '../demo/league';

const { snaps } = simulateSeason(DEMO_SEED, { tells: true, weeks: 1 })[0]!;
const game = {
  packed: encodePacked(packSnaps(snaps.map(slimSnap))),
  profile: COLLEGE,
};
const film = (games: readonly (typeof game)[]) =>
  structuredClone({ book: DEFAULT_BOOK, rules: DEFAULT_RULES, games });

interface Said {
  readonly id: number;
  readonly answer: never;
}
const said: Said[] = [];
const self = {
  onmessage: (_: { data: unknown }): void => undefined,
  postMessage: (m: Said) => void said.push(structuredClone(m)),
};

describe('the worker’s door', () => {
  beforeAll(async () => {
    vi.stubGlobal('self', self);
    await import('./looks');
  });
  beforeEach(() => void said.splice(0));
  afterAll(() => vi.unstubAllGlobals());
  it('answers each film with its looks, under the number it was asked by', () => {
    self.onmessage({ data: { id: 7, film: film([game]) } });
    self.onmessage({ data: { id: 8, film: film([]) } });
    const keys = said.map((s) => (s.answer as { keys: readonly string[] }).keys.length > 50);
    expect([said.map((s) => s.id), keys]).toEqual([
      [7, 8],
      [true, false],
    ]);
  });
  it('argues each play of a section as the page does, on the same rows; of another film it knows nothing', () => {
    const team = String(snaps[0]!.offense);
    const opponent = String(snaps[0]!.defense);
    const ran = new Map(
      snaps.flatMap((s) =>
        s.offense === team && (s.play === 'run' || s.play === 'pass')
          ? [[String(s.concept), s.play] as const]
          : [],
      ),
    );
    const plays = [...ran]
      .slice(0, 8)
      .map(([concept, kind], i) => aPlay(`p${i}`, concept, { kind, formation: 'trips' }));
    const section = SECTIONS.find((s) => s.key === 'first')!;
    const argue = { team, opponent, section, plays, profile: COLLEGE, seed: 1 };
    self.onmessage({ data: { id: 9, film: film([game]) } });
    self.onmessage({ data: structuredClone({ id: 10, argue: { ...argue, film: 9 } }) });
    self.onmessage({ data: structuredClone({ id: 11, argue: { ...argue, film: 8 } }) });
    expect(said.slice(1).map((s) => [s.id, s.answer === null])).toEqual([
      [10, false],
      [11, true],
    ]);
    const columns = buildColumns(
      countGame(unpackSnaps(decodePacked(game.packed)), COLLEGE, DEFAULT_BOOK, DEFAULT_RULES),
      DEFAULT_RULES,
    );
    const structures = structuresOf(DEFAULT_BOOK, COLLEGE, DEFAULT_RULES.look, plays);
    const here = argueSection(
      { columns, team, opponent, plays, structures, random: (stream) => uniform(1 + stream) },
      section,
    );
    const there = said[1]!.answer as unknown as ArgueAnswer;
    expect([...here.values()].filter(Boolean).length).toBeGreaterThan(3);
    expect(there.argued).toEqual(here);
    expect(there.structures).toEqual(structures);
  });
  it('finds the wrinkles of a play as the page does, on the same rows; of another film it knows nothing', () => {
    const [team, opponent] = [String(snaps[0]!.offense), String(snaps[0]!.defense)];
    const counted = countGame(unpackSnaps(decodePacked(game.packed)), COLLEGE, DEFAULT_BOOK, DEFAULT_RULES);
    const columns = buildColumns(counted, DEFAULT_RULES);
    const own = select(columns, { offense: [team] });
    const ran = counted.find(({ snap }) => snap.offense === team && snap.play === 'run')!.snap;
    const play = aPlay('p', String(ran.concept), { formation: 'trips', formationSide: 'R' });
    const rows = rowsOfPlay(columns, own, play);
    const wrinkles = { team, opponent, play, profile: COLLEGE };
    self.onmessage({ data: { id: 12, film: film([game]) } });
    self.onmessage({ data: structuredClone({ id: 13, wrinkles: { ...wrinkles, film: 12 } }) });
    self.onmessage({ data: structuredClone({ id: 14, wrinkles: { ...wrinkles, film: 9 } }) });
    const here = wrinklesOf(
      {
        book: DEFAULT_BOOK,
        profile: COLLEGE,
        settings: DEFAULT_RULES.look,
        snaps: counted,
        columns,
        team,
        opponent,
        jobs: jobsSeen(DEFAULT_BOOK, COLLEGE, counted, own),
      },
      play,
      rows,
    );
    expect(here.length).toBeGreaterThan(2);
    expect(said.slice(1)).toEqual([
      { id: 13, answer: here },
      { id: 14, answer: null },
    ]);
  });
});
