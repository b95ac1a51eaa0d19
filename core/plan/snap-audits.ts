/** When our snaps come, as our own film has it: a motion that is always timed alike, one cadence for all. */
import { quantileSorted } from 'd3-array';
import { plural } from '../rules/plural';
import { select, UNKNOWN, wordAt, type Columns } from '../read/columns';
import type { Audit } from './audits';
import { TELL_PERCENT } from './dilution';
import type { SheetCall } from './sheet';

/** So many snaps are a habit, and within so many seconds a rush goes with it (common practice). */
const ON_FILM = 8;
const ALIKE_SECONDS = 0.4;
const CADENCES: Readonly<Record<string, string>> = {
  first: 'the first sound',
  second: 'the second sound',
  long: 'a long count',
  silent: 'a silent count',
  hard_count: 'a hard count',
};

/** Motions of the sheet whose snap our film times alike, eight in ten within a blink; and one cadence for all. */
export function snapAudits(calls: readonly SheetCall[], columns: Columns, team: string): Audit[] {
  return [...timed(calls, columns, team), ...oneCadence(calls, columns, team)];
}

function timed(calls: readonly SheetCall[], columns: Columns, team: string): Audit[] {
  const seconds = columns.figures('motionToSnap');
  const motions = new Set(calls.flatMap((c) => c.play.motion ?? []));
  return [...motions].flatMap((motion): Audit[] => {
    const times = Array.from(select(columns, { offense: [team], motion: [motion] }), (row) => seconds[row]!)
      .filter((s) => s !== UNKNOWN && !Number.isNaN(s))
      .sort((a, b) => a - b);
    if (times.length < ON_FILM) return [];
    const [low, high] = [quantileSorted(times, 0.1)!, quantileSorted(times, 0.9)!];
    if (high - low > ALIKE_SECONDS) return [];
    return [
      {
        code: 'timed',
        section: null,
        calls: calls.filter((c) => c.play.motion === motion).map((c) => c.id),
        about: motion,
        facts: { n: times.length, low, high },
        sentence: `Motion “${motion}”: eight in ten of ${plural(times.length, 'snap')} on our film came ${low.toFixed(1)} to ${high.toFixed(1)} s after it began. A rush can go with it; another time now and then would hide the snap.`,
      },
    ];
  });
}

function oneCadence(calls: readonly SheetCall[], columns: Columns, team: string): Audit[] {
  const { cadence } = columns.text;
  const counts = new Map<string, number>();
  for (const row of select(columns, { offense: [team] })) {
    const word = wordAt(cadence, row);
    if (word !== null && Object.hasOwn(CADENCES, word)) counts.set(word, (counts.get(word) ?? 0) + 1);
  }
  const n = [...counts.values()].reduce((a, b) => a + b, 0);
  const [most] = [...counts].sort((a, b) => b[1] - a[1]);
  if (!most || calls.length === 0 || n < ON_FILM || 100 * most[1] < TELL_PERCENT * n) return [];
  const other = (tag: string): boolean => {
    const word = tag.toLowerCase().replace(/[ -]+/g, '_');
    return Object.keys(CADENCES).some((c) => c !== most[0] && word.includes(c));
  };
  if (calls.some((c) => c.tags.some(other))) return [];
  return [
    {
      code: 'cadence',
      section: null,
      calls: [],
      about: most[0],
      facts: { k: most[1], of: n },
      sentence: `${most[1]} of ${n} snaps on our film came on ${CADENCES[most[0]]!}, and no call of the sheet says another (${Object.keys(
        CADENCES,
      )
        .filter((c) => c !== most[0])
        .map((c) => c.replace('_', ' '))
        .join(', ')}).`,
    },
  ];
}
