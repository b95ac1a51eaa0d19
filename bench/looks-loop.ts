/** The measured loop of looks.ts. Prints microseconds a look, round by round. */
import { lookInput } from '../core/book';
import { DEFAULT_BOOK } from '../core/book/default-book';
import { COLLEGE } from '../core/field';
import { DEFAULT_LOOK_SETTINGS, fullLook, lineUp, offenseLook, structure } from '../core/look';
import { DEMO_SEED, simulateSeason } from '../demo/league';

const PROTECTED = ['half slide', 'full slide', 'six-man'];
const snaps = simulateSeason(DEMO_SEED, { tells: true, weeks: 3 })
  .flatMap((g) => g.snaps)
  .filter((s) => s.unit === 'scrimmage' && s.formation !== null);
const inputs = snaps.map((snap, i) =>
  lookInput(
    DEFAULT_BOOK,
    { ...snap, protection: snap.play === 'pass' ? PROTECTED[i % 3]! : snap.protection },
    COLLEGE,
  ),
);
const men = inputs.slice(0, 200).map((i) => lineUp(i.formation, i.side, i.backfield));
const time = (n: number, work: () => void): number => {
  const began = performance.now();
  work();
  return ((performance.now() - began) * 1000) / n;
};
const rounds = (n: number, work: () => void): number[] => {
  for (let i = 0; i < 8; i++) work();
  return Array.from({ length: 40 }, () => time(n, work));
};
let seen = 0;
const full = rounds(inputs.length, () => {
  for (const i of inputs) seen += fullLook(i, COLLEGE, DEFAULT_LOOK_SETTINGS) ? 1 : 0;
});
const offense = rounds(inputs.length, () => {
  for (const i of inputs) seen += offenseLook(i, COLLEGE) ? 1 : 0;
});
const bare = rounds(men.length * 10, () => {
  for (let k = 0; k < 10; k++) for (const m of men) seen += structure(m).label.length;
});
if (seen === 0) throw new Error('no look was made');
const key = (snap: (typeof snaps)[number]) =>
  [
    snap.formation,
    snap.formationSide,
    snap.backfield,
    snap.motion,
    snap.hash,
    snap.front,
    snap.coverage,
    snap.rotation,
    snap.pressure,
    snap.concept,
    snap.direction,
  ].join('|');
process.stdout.write(
  JSON.stringify({
    full,
    offense,
    structure: bare,
    different: new Set(snaps.map(key)).size,
    looks: snaps.length,
  }),
);
