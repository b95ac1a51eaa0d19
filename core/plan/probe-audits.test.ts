import { expect, it } from 'vitest';
import { DEMO_SEED, loggedGames, NEXT_OPPONENT, simulateSeason } from '../../demo/league';
import { DEFAULT_BOOK } from '../book/default-book';
import { COLLEGE } from '../field';
import { buildColumns, countGame, DEFAULT_RULES } from '../read';
import { PROBE_AUDITS } from './audits';
import { playDrawer } from './book-audits';
import { aPlay } from './plays.fixture';
import { probeAudits } from './probe-audits';
import { SECTIONS } from './sections';
import { NO_NOTES, type PlayCard, type SheetCall } from './sheet';

const snaps = loggedGames(simulateSeason(DEMO_SEED, { tells: true })).flatMap((g) =>
  countGame(g.logged, COLLEGE, DEFAULT_BOOK, DEFAULT_RULES),
);
const columns = buildColumns(snaps, DEFAULT_RULES);
const drawn = playDrawer(DEFAULT_BOOK, COLLEGE);
let id = 0;
const call = (section: string, play: Partial<PlayCard>): SheetCall => ({
  id: `c${++id}`,
  section,
  order: id,
  play: aPlay(`p${id}`, 'power', { formationSide: 'R', direction: 'R', ...play }),
  ...NO_NOTES,
});
const thrice = (play: Partial<PlayCard>): SheetCall[] =>
  ['first', 'second-long', 'red'].map((section) => call(section, play));
const audits = (calls: readonly SheetCall[], sections = SECTIONS, of = columns) =>
  probeAudits(calls, sections, drawn, of, NEXT_OPPONENT);
const faced = (structure: string, motion?: string): number =>
  snaps.filter(
    ({ snap, look }) =>
      snap.defense === NEXT_OPPONENT &&
      look?.structureSnap === structure &&
      (motion === undefined || snap.motion === motion) &&
      ['run', 'pass', 'rpo'].includes(snap.play!) &&
      snap.result !== 'no_play',
  ).length;

it('a picture the sheet counts on and they have hardly faced is said, until an opener shows it', () => {
  const unseen = thrice({ formation: 'doubles', motion: 'in-and-out', motionBy: 'H' });
  const structure = drawn(unseen[0]!.play)!.assignment.structure.label;
  const n = faced(structure, 'in-and-out');
  expect(n).toBeLessThan(4);
  expect(audits(unseen)).toMatchObject([
    {
      code: PROBE_AUDITS[0],
      calls: unseen.map((c) => c.id),
      facts: { calls: 3, faced: n },
      sentence: `${structure} after “in-and-out” stands on the sheet 3 times, and they have faced it ${n} time${n === 1 ? '' : 's'} on film: none of the openers shows it, so how they answer is learned late.`,
    },
  ]);
  const opener = call('openers', { formation: 'doubles', motion: 'in-and-out', motionBy: 'H' });
  expect(audits([...unseen, opener])).toEqual([]);
  // Two are not counted on; a sheet without openers is not asked; without their film nothing is known.
  expect(audits(unseen.slice(0, 2))).toEqual([]);
  expect(
    audits(
      unseen,
      SECTIONS.filter((s) => s.key !== 'openers'),
    ),
  ).toEqual([]);
  expect(audits(unseen, SECTIONS, buildColumns([], DEFAULT_RULES))).toEqual([]);
});

it('what they face every week is no probe', () => {
  const often = thrice({ formation: 'trips' });
  expect(faced(drawn(often[0]!.play)!.assignment.structure.label)).toBeGreaterThan(20);
  expect(audits(often)).toEqual([]);
});
