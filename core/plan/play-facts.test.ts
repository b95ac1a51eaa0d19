import { describe, expect, it } from 'vitest';
import { DEMO_SEED, loggedGames, NEXT_OPPONENT, PROGRAM, simulateSeason } from '../../demo/league';
import { DEMO_PLAYS } from '../../demo/plays';
import { DEFAULT_BOOK } from '../book/default-book';
import { COLLEGE } from '../field';
import { buildColumns, countGame, DEFAULT_RULES, intervalText, select, wilson } from '../read';
import { jobsSeen } from './new-jobs';
import { playFacts, type FactsFilm } from './play-facts';
import { aPlay } from './plays.fixture';
import { structuresOf } from './section-arguments';
import type { PlayCard } from './sheet';

const games = loggedGames(simulateSeason(DEMO_SEED, { tells: true }));
const snaps = games.flatMap((g) => countGame(g.logged, COLLEGE, DEFAULT_BOOK, DEFAULT_RULES));
const columns = buildColumns(snaps, DEFAULT_RULES);
const film: FactsFilm = {
  book: DEFAULT_BOOK,
  profile: COLLEGE,
  settings: DEFAULT_RULES.look,
  snaps,
  columns,
  team: PROGRAM,
  opponent: NEXT_OPPONENT,
  plays: DEMO_PLAYS,
  jobs: jobsSeen(DEFAULT_BOOK, COLLEGE, snaps, select(columns, { offense: [PROGRAM] })),
  games: games
    .filter((g) => [g.home, g.away].includes(PROGRAM))
    .sort((a, b) => b.week - a.week)
    .map((g) => g.key),
};
const named = (name: string): PlayCard => DEMO_PLAYS.find((p) => p.name === name)!;
const structures = structuresOf(DEFAULT_BOOK, COLLEGE, DEFAULT_RULES.look, DEMO_PLAYS);
const facts = (play: PlayCard, of = film): Record<string, string> =>
  Object.fromEntries(playFacts(of, play, structures.get(play.id) ?? null).map((f) => [f.code, f.text]));

describe('what else is known of a play', () => {
  it('names what they show most against its structure, counted by a plain loop', () => {
    const counts = new Map<string, number>();
    let n = 0;
    for (const { snap, look } of snaps) {
      if (snap.defense !== NEXT_OPPONENT || look?.structureSnap !== '3x1' || snap.front === null) continue;
      if (!['run', 'pass', 'rpo'].includes(snap.play!) || snap.result === 'no_play') continue;
      n++;
      const key = `${snap.front}, ${snap.coverage}`;
      counts.set(key, (counts.get(key) ?? 0) + 1);
    }
    const [most, k] = [...counts].sort((a, b) => b[1] - a[1])[0]!;
    expect(facts(named('Power right')).front).toBe(
      `Most against 3x1: ${most}, ${k} of ${n} (${intervalText(wilson(k, n))}).`,
    );
  });
  it('counts the blocks of a run with who is free, and the deep routes of a pass for the deep men', () => {
    for (const play of DEMO_PLAYS) {
      const said = facts(play);
      if (play.kind === 'pass')
        expect(said.deep, play.name).toMatch(
          /^\d routes? to 12 yards or deeper \(.*\) for \d deep m[ae]n, the middle /,
        );
      else
        expect(said.blocks, play.name).toMatch(
          /blockers? for .*: (sound|one free|not there|enough, but one is left)\.$/,
        );
      expect(said.blocks === undefined).toBe(play.kind === 'pass');
      // Who is free is named where the count says that one is.
      if (said.blocks?.includes('one free'))
        expect(said.free, play.name).toMatch(/^Unblocked at the point: /);
    }
    // Four receivers straight downfield (common practice: that is the play); hitches and flats send nobody deep.
    expect(facts(named('Four verticals')).deep).toMatch(/^4 routes to 12 yards or deeper \(.*X.*\)/);
    expect(facts(named('Curl-flat')).deep).toMatch(/^0 routes .*\(nobody\)/);
  });
  it('says which jobs are new, when it was last shown and whether its set-up is ready', () => {
    const nobody = { ...film, jobs: new Set<string>() };
    expect(facts(named('Inside zone')).jobs).toBe('No job of its 11 men is new.');
    expect(facts(named('Inside zone'), nobody).jobs).toMatch(/^New jobs: 11 of 11 \(/);
    const play = named('Draw');
    const shown = film.games.map(
      (key) =>
        snaps.filter(
          ({ snap }) =>
            snap.game === key &&
            snap.offense === PROGRAM &&
            snap.concept === 'draw' &&
            snap.play === 'run' &&
            snap.result !== 'no_play',
        ).length,
    );
    const ago = shown.findIndex((n) => n > 0);
    expect(facts(play).last).toBe(
      `Last shown ${ago === 0 ? 'in our last game' : `${ago} game${ago === 1 ? '' : 's'} before our last`}, ${shown[ago]} time${shown[ago] === 1 ? '' : 's'}; in ${shown.filter((n) => n > 0).length} of ${film.games.length} games.`,
    );
    expect(facts(named('Angle'))['set-up']).toMatch(
      /^Curl-flat sets it up: shown \d+ times?, 3 wanted: ready\.$/,
    );
    const often = {
      ...named('Angle'),
      links: [{ kind: 'set-up' as const, play: 'gone', least: 9, trigger: null }],
    };
    expect(facts(often)['set-up']).toBe(
      'A play that is not on the list any more sets it up: shown 0 times, 9 wanted: not yet.',
    );
  });
  it('says of its complement how often they show what it waits for, with the chances of a game; a number opens its snaps', () => {
    const all = playFacts(film, named('Stick'), structures.get(named('Stick').id)!);
    const trigger = all.find((f) => f.code === 'trigger')!;
    const [, k, n, chances, ours] =
      /^When fewer in the box than blockers: Draw instead\. Against 3x1 (\d+) of (\d+) \(\d+–\d+ %\), by their box against the blockers of this picture, ([\d.]+) chances a game with our ([\d.]+) snaps from it\.$/.exec(
        trigger.text,
      )!;
    expect(trigger.counts!.rows).toHaveLength(Number(k));
    // Our snaps from 3x1 a game, by a plain loop over our games.
    const from = film.games.map(
      (key) =>
        snaps.filter(
          ({ snap, look }) =>
            snap.game === key &&
            snap.offense === PROGRAM &&
            look?.structureSnap === '3x1' &&
            ['run', 'pass', 'rpo'].includes(snap.play!) &&
            snap.result !== 'no_play',
        ).length,
    );
    const mean = from.reduce((a, b) => a + b, 0) / from.length;
    expect(Number(ours)).toBeCloseTo(mean, 1);
    expect(Number(chances)).toBeCloseTo((mean * Number(k)) / Number(n), 1);
    const front = all.find((f) => f.code === 'front')!;
    expect(front.counts!.rows).toHaveLength(Number(/, (\d+) of \d+ \(/.exec(front.text)![1]));
    expect(facts(named('Wide zone right')).trigger).toBe(
      'When the back-side end chases flat down the line: Boot left instead. Nothing that is logged of them against 3x1 says how often: look for it on film.',
    );
    expect(facts(named('Slip screen')).screen).toMatch(/^Screen left: 2 men under in that half as drawn/);
  });
  it('takes the safeties as far apart as they are charted, with the snaps that say so; else as they are drawn', () => {
    const play = { ...named('Four verticals'), concept: 'post', name: 'Post' };
    const structure = structures.get(named('Four verticals').id)!;
    const lane = (of: FactsFilm) => playFacts(of, play, structure).find((f) => f.code === 'lane')!;
    expect(lane(film).text).toMatch(/ yards apart as drawn: a lane of \d yards?, /);
    expect(lane(film).counts).toBeNull();
    let n = 0;
    const charted = snaps.map((one) => {
      const theirs = one.snap.defense === NEXT_OPPONENT && one.look?.structureSnap === structure;
      const safetiesApart = !theirs || one.snap.result === 'no_play' ? null : [24, 26, 22, null][n++ % 4]!;
      return { ...one, look: one.look, snap: { ...one.snap, safetiesApart } };
    });
    const found = lane({ ...film, snaps: charted });
    const rows = select(columns, { defense: [NEXT_OPPONENT], structureSnap: [structure] });
    const said = [...rows].map((i) => charted[i]!.snap.safetiesApart).filter((yards) => yards !== null);
    const mean = said.reduce((a, b) => a + b, 0) / said.length;
    expect(found.text).toContain(
      `${Math.round(mean)} yards apart on average, charted on ${said.length} snaps: a lane of ${Math.round(mean / 2 - 5)} yards, `,
    );
    expect(found.counts!.rows).toHaveLength(said.length);
  });
  it('says nothing of a play that no book draws and no film holds', () => {
    expect(playFacts(film, aPlay('x', 'no such play', { formation: null }), null)).toEqual([]);
  });
});
