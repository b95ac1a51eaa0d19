import { describe, expect, it } from 'vitest';
import { DEMO_SEED, loggedGames, NEXT_OPPONENT, simulateSeason } from '../../demo/league';
import { DEMO_PLAYS } from '../../demo/plays';
import { lookOf, TRIGGERS, triggersOf, type TriggerCode } from '../book';
import { DEFAULT_BOOK } from '../book/default-book';
import { COLLEGE } from '../field';
import { buildColumns, countGame, DEFAULT_RULES } from '../read';
import type { Snap } from '../snap';
import { aPlay } from './plays.fixture';
import { playFields, type PlayCard } from './sheet';
import { complementsOf, triggerShown, type TriggerFilm } from './triggers';

const logged = loggedGames(simulateSeason(DEMO_SEED, { tells: true })).map((g) => g.logged);
const counted = (games: readonly (readonly Snap[])[]) =>
  games.flatMap((snaps) => countGame(snaps, COLLEGE, DEFAULT_BOOK, DEFAULT_RULES));
const snaps = counted(logged);
const film = (of = snaps): TriggerFilm => ({
  book: DEFAULT_BOOK,
  profile: COLLEGE,
  settings: DEFAULT_RULES.look,
  columns: buildColumns(of, DEFAULT_RULES),
  opponent: NEXT_OPPONENT,
  plays: DEMO_PLAYS,
});
const demo = film();
const named = (name: string): PlayCard => DEMO_PLAYS.find((p) => p.name === name)!;

describe('what a play waits for', () => {
  it('a link of the list is said of both plays, each from its end', () => {
    expect(complementsOf(named('Power left'), DEMO_PLAYS)).toContainEqual({
      trigger: 'end inside the wing',
      other: 'Sweep with jet',
      instead: true,
    });
    expect(complementsOf(named('Sweep with jet'), DEMO_PLAYS)).toContainEqual({
      trigger: 'end inside the wing',
      other: 'Power left',
      instead: false,
    });
  });
  it('what the book knows of two concepts is named where the list has both, once, and not beside the staff’s own', () => {
    const [draw, screen] = [aPlay('d', 'draw'), aPlay('s', 'slip screen', { kind: 'pass' })];
    const edge = { trigger: 'pressure from the edge', other: screen.name, instead: true };
    expect(complementsOf(draw, [draw, screen, aPlay('s2', 'slip screen', { kind: 'pass' })])).toEqual([edge]);
    expect(complementsOf(draw, [draw])).toEqual([]);
    const own = aPlay('o', 'sweep');
    const linked = {
      ...draw,
      links: [
        { kind: 'complement' as const, play: 'o', least: 1, trigger: TRIGGERS['pressure from the edge'] },
        { kind: 'complement' as const, play: 'o', least: 1, trigger: 'when coach says so' },
        { kind: 'set-up' as const, play: 's', least: 1, trigger: null },
      ],
    };
    expect(complementsOf(linked, [linked, screen, own])).toEqual([{ ...edge, other: own.name }]);
  });
});

describe('how often they show it', () => {
  it('is what each snap, drawn alone with the play’s picture, shows; by a plain loop', () => {
    const codes: TriggerCode[] = [
      'box light',
      'middle open',
      'corner off and inside',
      'pressure from the edge',
    ];
    for (const play of [named('Draw'), named('Stick'), named('Power left')])
      for (const structure of ['2x2', '3x1'])
        for (const trigger of codes) {
          const { direction } = playFields(play);
          const side =
            play.kind !== 'pass' && (direction === 'L' || direction === 'R') ? [direction] : undefined;
          const shows: string[] = [];
          const of: string[] = [];
          for (const { snap, look } of snaps) {
            if (snap.defense !== NEXT_OPPONENT || look?.structureSnap !== structure) continue;
            if (!['run', 'pass', 'rpo'].includes(snap.play!) || snap.result === 'no_play') continue;
            const told = (value: unknown): boolean => typeof value === 'string' && value !== '?';
            if (!told(snap.front) || snap.front === '-') continue;
            if (trigger !== 'box light' && (!told(snap.coverage) || snap.coverage === '-')) continue;
            if (trigger === 'pressure from the edge' && !told(snap.pressure)) continue;
            of.push(snap.snapId);
            const drawn = lookOf(
              DEFAULT_BOOK,
              {
                ...playFields(play),
                front: snap.front,
                coverage: trigger === 'box light' ? null : snap.coverage,
                pressure: trigger === 'pressure from the edge' ? snap.pressure : '-',
              },
              COLLEGE,
              DEFAULT_RULES.look,
            );
            if (drawn && triggersOf(drawn, side).includes(trigger)) shows.push(snap.snapId);
          }
          const found = triggerShown(demo, play, structure, trigger)!;
          const what = `${play.name}, ${structure}, ${trigger}`;
          expect([found.rate.k, found.rate.n], what).toEqual([shows.length, of.length]);
          expect(
            [...found.rows].map((i) => demo.columns.ids[i]),
            what,
          ).toEqual(shows);
        }
  });
  it('of a man who is read by what is charted of him; others, and blanks, are not counted', () => {
    const said: readonly (readonly [key: string | null, action: string | null])[] = [
      ['end', 'crash'],
      ['DE', 'chases down'],
      ['end', 'sat'],
      ['end', null],
      ['will', 'crash'],
      [null, null],
    ];
    let at = 0;
    const read = logged.map((game) =>
      game.map((snap) => {
        if (snap.defense !== NEXT_OPPONENT || snap.play !== 'run' || at >= said.length) return snap;
        const [readKey, keyAction] = said[at++]!;
        return { ...snap, readKey, keyAction };
      }),
    );
    const of = film(counted(read));
    const all = ['2x2', '3x1', '2x1', '3x2', '1x1', '2x0', '1x2', '4x1'].flatMap(
      (structure) => triggerShown(of, named('Wide zone right'), structure, 'back-side end crashes') ?? [],
    );
    expect(all.reduce((sum, { rate }) => sum + rate.k, 0)).toBe(2);
    expect(all.reduce((sum, { rate }) => sum + rate.n, 0)).toBe(3);
  });
  it('where nothing says it there is no number: no film, no field', () => {
    expect(triggerShown(demo, named('Draw'), '5x0', 'box light')).toBeNull();
    expect(triggerShown(demo, named('Power left'), '3x1', 'end inside the wing')).toBeNull();
    expect(triggerShown(demo, named('Boot left'), '3x1', 'back-side end crashes')).toBeNull();
  });
});
