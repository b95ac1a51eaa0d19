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

const theirs = (structure: string) =>
  snaps.filter(
    ({ snap, look }) =>
      snap.defense === NEXT_OPPONENT &&
      look?.structureSnap === structure &&
      ['run', 'pass', 'rpo'].includes(snap.play!) &&
      snap.result !== 'no_play',
  );
const told = (value: unknown): value is string => typeof value === 'string' && value !== '?' && value !== '-';
/** The first of their snaps against a structure, one after the other, with fields of their own. */
function charted(structure: string, fields: readonly Partial<Snap>[]): TriggerFilm {
  const wanted = new Map(
    theirs(structure)
      .slice(0, fields.length)
      .map(({ snap }, i) => [snap.snapId, fields[i]!]),
  );
  return film(counted(logged.map((game) => game.map((snap) => ({ ...snap, ...wanted.get(snap.snapId) })))));
}

describe('how often they show it', () => {
  it('coverages and pressures: what each snap, drawn alone with the play’s picture, shows; by a plain loop', () => {
    for (const play of [named('Draw'), named('Stick'), named('Power left')])
      for (const structure of ['2x2', '3x1'])
        for (const trigger of ['middle open', 'pressure from the edge'] as const) {
          const edge = trigger === 'pressure from the edge';
          const of = theirs(structure).filter(
            ({ snap }) =>
              told(snap.front) &&
              told(snap.coverage) &&
              (!edge || told(snap.pressure) || snap.pressure === '-'),
          );
          const shows = of.filter(({ snap: { front, coverage, pressure } }) => {
            const fields = { ...playFields(play), front, coverage, pressure: edge ? pressure : '-' };
            const drawn = lookOf(DEFAULT_BOOK, fields, COLLEGE, DEFAULT_RULES.look);
            return drawn !== null && triggersOf(drawn).includes(trigger);
          });
          const found = triggerShown(demo, play, structure, trigger)!;
          const what = `${play.name}, ${structure}, ${trigger}`;
          expect([found.rate.k, found.rate.n], what).toEqual([shows.length, of.length]);
          expect(
            [...found.rows].map((i) => demo.columns.ids[i]),
            what,
          ).toEqual(shows.map((s) => s.snap.snapId));
        }
  });
  it('the box that is logged against the play’s own blockers: one of it is left to the read (common practice)', () => {
    // Five linemen; an attached tight end and every back but the carrier block too.
    for (const [name, structure, blockers] of [
      ['Draw', '2x2', 5],
      ['Stick', '3x1', 5],
      ['Power left', '3x1', 7],
    ] as const) {
      const of = theirs(structure).filter(({ snap, look }) => told(snap.front) && told(look?.boxCount));
      const [light, loaded] = [-1, 1].map(
        (sign) => of.filter(({ look }) => Math.sign(Number(look!.boxCount) - 1 - blockers) === sign).length,
      );
      const shown = (trigger: TriggerCode) => triggerShown(demo, named(name), structure, trigger)!.rate;
      expect([shown('box light').k, shown('box loaded').k, shown('box light').n], name).toEqual([
        light,
        loaded,
        of.length,
      ]);
    }
  });
  it('corners as they are charted, on either side; one without technique or leverage says nothing', () => {
    const corner = (technique: string | null, leverage: string | null, right = false): Partial<Snap> =>
      (right
        ? { cornerRightTechnique: technique, cornerRightLeverage: leverage }
        : { cornerLeftTechnique: technique, cornerLeftLeverage: leverage }) as Partial<Snap>;
    const of = charted('2x2', [
      corner('off', 'inside'),
      corner('off', 'inside', true),
      corner('off', 'outside'),
      corner('press', 'outside'),
      corner('off', null),
      corner(null, 'inside'),
      { ...corner('press', 'inside'), ...corner('off', 'inside', true) },
    ]);
    const shown = (trigger: TriggerCode) => triggerShown(of, named('Curl-flat'), '2x2', trigger)!.rate;
    expect([shown('corner off and inside').k, shown('corner off and inside').n]).toEqual([3, 5]);
    expect([shown('corner pressed outside').k, shown('corner pressed outside').n]).toEqual([1, 5]);
  });
  it('of a man who is read by what is charted of him; others, and blanks, are not counted', () => {
    const said = [
      ['end', 'crash'],
      ['DE', 'chases down'],
      ['end', 'sat'],
      ['end', null],
      ['will', 'crash'],
      [null, null],
    ] as const;
    const of = charted(
      '3x1',
      said.map(([readKey, keyAction]) => ({ readKey, keyAction })),
    );
    const { rate, by } = triggerShown(of, named('Wide zone right'), '3x1', 'back-side end crashes')!;
    expect([rate.k, rate.n, by]).toEqual([2, 3, 'by the man who is read']);
  });
  it('where nothing says it there is no number: no film, no field', () => {
    expect(triggerShown(demo, named('Draw'), '5x0', 'box light')).toBeNull();
    for (const trigger of [
      'end inside the wing',
      'overhang in the box',
      'corner off and inside',
      'back-side end crashes',
    ] as const)
      expect(triggerShown(demo, named('Power left'), '3x1', trigger), trigger).toBeNull();
  });
});
