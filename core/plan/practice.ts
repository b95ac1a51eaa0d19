/**
 * The week's practice from a sheet: days counted back from the game, periods, repetitions shared out by how often a call
 * is expected and how much it matters, each against what they show there.
 */
import { group } from 'd3-array';
import { seats } from './seats';

export const PERIOD_KINDS = ['all', 'run', 'pass', 'third', 'red', 'openers', 'drill'] as const;
export type PeriodKind = (typeof PERIOD_KINDS)[number];
export const PERIOD_LABEL: Readonly<Record<PeriodKind, string>> = {
  all: 'the whole sheet',
  run: 'runs',
  pass: 'passes',
  third: 'third and fourth down',
  red: 'red zone and goal line',
  openers: 'openers',
  drill: 'a drill, no calls',
};
export const CONTACTS = ['none', 'thud', 'full'] as const;
export type Contact = (typeof CONTACTS)[number];
export const CONTACT_LABEL: Readonly<Record<Contact, string>> = {
  none: 'no contact',
  thud: 'thud, nobody to the ground',
  full: 'full contact',
};

/** What a section may count, times its expected use. */
export const IMPORTANCES = [0.5, 1, 2, 3] as const;

export interface Period {
  readonly name: string;
  readonly minutes: number;
  readonly kind: PeriodKind;
  readonly contact: Contact;
}
export interface PracticeDay {
  /** Days before the game. */
  readonly before: number;
  /** "15:30". */
  readonly start: string;
  readonly periods: readonly Period[];
}
export interface PracticeSettings {
  /** "2026-11-06"; null: not said yet. */
  readonly game: string | null;
  /** Repetitions a minute of a period that reps calls. */
  readonly pace: number;
  /** Repetitions in the week from which a call may be called. */
  readonly enough: number;
  /** Share of the men with a new job, from which it may not. */
  readonly newShare: number;
  /** Full contact in minutes a day, minutes a week and days a week. */
  readonly limits: { readonly day: number; readonly week: number; readonly days: number };
  /** How much a section of the sheet matters, by its key; those that are not named count once. */
  readonly importance: Readonly<Record<string, number>>;
  readonly days: readonly PracticeDay[];
}

const period = (name: string, minutes: number, kind: PeriodKind, contact: Contact = 'none'): Period => ({
  name,
  minutes,
  kind,
  contact,
});

/** Three days between knowing the opponent and the game; eight repetitions, a fifth of new jobs (common practice). */
export const USUAL_PRACTICE: PracticeSettings = {
  game: null,
  pace: 1,
  enough: 8,
  newShare: 0.2,
  // A published recommendation for high schools (NFHS task force on concussion, 2014), from memory.
  limits: { day: 30, week: 90, days: 3 },
  importance: {},
  days: [
    {
      before: 3,
      start: '15:30',
      periods: [
        period('Mesh and individual', 20, 'drill'),
        period('Run game', 20, 'run', 'full'),
        period('Pass without the lines', 20, 'pass'),
        period('Team', 25, 'all', 'thud'),
      ],
    },
    {
      before: 2,
      start: '15:30',
      periods: [
        period('Mesh and individual', 15, 'drill'),
        period('Third and fourth down', 20, 'third'),
        period('Red zone', 20, 'red', 'thud'),
        period('Team', 30, 'all', 'thud'),
      ],
    },
    {
      before: 1,
      start: '15:30',
      periods: [
        period('Mesh and individual', 10, 'drill'),
        period('Walk through the sheet', 30, 'all'),
        period('Openers', 15, 'openers'),
      ],
    },
  ],
};

/** What is repeated: a call of ours, or a play of theirs that our defense sees. */
export interface Repped {
  readonly id: string;
  /** Calls of one play share its repetitions. */
  readonly play: string;
  /** Number on the sheet, or of the card. */
  readonly number: number;
  readonly title: string;
  /** Said for it: hash, or the check that answers. */
  readonly say: string;
  readonly kinds: readonly PeriodKind[];
  /** Where it stands on the sheet; null: a play of theirs. */
  readonly section: { readonly key: string; readonly label: string } | null;
  /** Snaps of it to expect in the game. */
  readonly weight: number;
  /** What it is repeated against, with their snaps of it; none: nothing is known. */
  readonly looks: readonly { readonly label: string; readonly k: number }[];
  /** Repetitions logged this week. */
  readonly logged: number;
  /** Share of the men whose job in it is on no film; null: not drawn by the book. */
  readonly newJobs: number | null;
}

export interface Rep {
  /** In its day. */
  readonly number: number;
  readonly item: Repped;
  readonly look: string | null;
}
export interface ScriptPeriod extends Period {
  /** Minutes after midnight. */
  readonly from: number;
  readonly reps: readonly Rep[];
}
export interface ScriptDay {
  readonly before: number;
  /** "2026-11-03"; null: the game has no day yet. */
  readonly date: string | null;
  readonly from: number;
  readonly until: number;
  readonly periods: readonly ScriptPeriod[];
  readonly full: number;
}

/** Spread over a period: nobody twice in a row while another is left. Each at the middles of its equal parts. */
function spread<T>(items: readonly T[], counts: readonly number[]): T[] {
  return items
    .flatMap((item, i) =>
      Array.from({ length: counts[i]! }, (_, k) => ({ item, i, at: (k + 0.5) / counts[i]! })),
    )
    .sort((a, b) => a.at - b.at || a.i - b.i)
    .map(({ item }) => item);
}

const minutesOf = (clock: string): number => {
  const [h, m] = clock.split(':').map(Number) as [number, number];
  return 60 * h + m;
};
/** Days before a date, in the calendar, whatever the clock does. */
export function daysBefore(date: string, days: number): string {
  const at = new Date(`${date}T00:00:00Z`);
  at.setUTCDate(at.getUTCDate() - days);
  return at.toISOString().slice(0, 10);
}

/** Counts of a period: one each for those without a repetition, the weightiest first; the rest to those farthest behind. */
function shareOut(
  here: readonly Repped[],
  given: ReadonlyMap<string, number>,
  many: number,
  due: (item: Repped) => number,
  weightOf: (item: Repped) => number,
) {
  const fresh = here.map((item) => (given.get(item.id)! === 0 ? weightOf(item) + 1e-9 : 0));
  const firsts = here.map(() => 0);
  for (const i of here
    .map((_, i) => i)
    .filter((i) => fresh[i]! > 0)
    .sort((a, b) => fresh[b]! - fresh[a]! || a - b)
    .slice(0, many))
    firsts[i] = 1;
  const left = many - firsts.reduce((a, b) => a + b, 0);
  const behind = here.map((item, i) => Math.max(0, due(item) - given.get(item.id)! - firsts[i]!));
  const more = seats(behind.some((b) => b > 0) ? behind : here.map(weightOf), left);
  return firsts.map((first, i) => first + more[i]!);
}

type Looks = Repped['looks'];
/** The look that is farthest behind its share, among all that is repeated in its situation. */
function nextLook(looks: Looks, faced: Map<Looks, number[]>): string | null {
  if (looks.length === 0) return null;
  const so = faced.get(looks) ?? looks.map(() => 0);
  faced.set(looks, so);
  const all = looks.reduce((sum, look) => sum + look.k, 0);
  const turn = so.reduce((a, b) => a + b, 0) + 1;
  let best = 0;
  const behind = (i: number): number => (turn * looks[i]!.k) / all - so[i]!;
  looks.forEach((_, i) => {
    if (behind(i) > behind(best) + 1e-9) best = i;
  });
  so[best]!++;
  return looks[best]!.label;
}

/**
 * The script, the first day first: in each period the calls farthest behind their share of all that is repeated so far,
 * by largest remainder, each at least once before one comes twice; against their looks in the proportions they show.
 */
export function buildScript(items: readonly Repped[], settings: PracticeSettings): ScriptDay[] {
  const given = new Map(items.map((item) => [item.id, 0]));
  const faced = new Map<Looks, number[]>();
  const weightOf = (item: Repped): number =>
    item.weight * ((item.section && settings.importance[item.section.key]) ?? 1);
  const all = items.reduce((sum, item) => sum + weightOf(item), 0);
  let soFar = 0;
  return [...settings.days]
    .sort((a, b) => b.before - a.before)
    .map((day): ScriptDay => {
      let at = minutesOf(day.start);
      let number = 0;
      const periods = day.periods.map((p): ScriptPeriod => {
        const here = p.kind === 'drill' ? [] : items.filter((item) => item.kinds.includes(p.kind));
        const many = here.length === 0 ? 0 : Math.floor(p.minutes * settings.pace);
        soFar += many;
        const counts = shareOut(
          here,
          given,
          many,
          (item) => (all === 0 ? soFar / items.length : (soFar * weightOf(item)) / all),
          weightOf,
        );
        const reps = spread(here, counts).map((item): Rep => {
          given.set(item.id, given.get(item.id)! + 1);
          return { number: ++number, item, look: nextLook(item.looks, faced) };
        });
        const from = at;
        at += p.minutes;
        return { ...p, from, reps };
      });
      return {
        before: day.before,
        date: settings.game === null ? null : daysBefore(settings.game, day.before),
        from: minutesOf(day.start),
        until: at,
        periods,
        full: periods.reduce((sum, p) => sum + (p.contact === 'full' ? p.minutes : 0), 0),
      };
    });
}

export interface RepCount {
  /** The first of its calls on the sheet. */
  readonly item: Repped;
  /** All of them. */
  readonly numbers: readonly number[];
  /** Snaps to expect of it in the game, all its calls together. */
  readonly weight: number;
  readonly scripted: number;
  /** Enough repetitions, logged or scripted, and few enough new jobs. */
  readonly callable: boolean;
  /** Days before the game of its first repetition in the script; null: it has none. */
  readonly first: number | null;
}
/** What each play comes to in the week, by whichever of its calls, the fewest first. */
export function countReps(
  items: readonly Repped[],
  script: readonly ScriptDay[],
  { enough, newShare }: Pick<PracticeSettings, 'enough' | 'newShare'>,
): RepCount[] {
  const days = new Map<string, number[]>();
  for (const { before, periods } of script)
    for (const { reps } of periods)
      for (const { item } of reps) days.set(item.play, [...(days.get(item.play) ?? []), before]);
  return [...group(items, (item) => item.play)]
    .map(([play, calls]): RepCount => {
      const here = days.get(play) ?? [];
      const item = calls[0]!;
      return {
        item,
        numbers: calls.map((call) => call.number),
        weight: calls.reduce((sum, call) => sum + call.weight, 0),
        scripted: here.length,
        callable: item.logged + here.length >= enough && (item.newJobs ?? 0) < newShare,
        first: here[0] ?? null,
      };
    })
    .sort((a, b) => a.scripted + a.item.logged - b.scripted - b.item.logged || a.item.number - b.item.number);
}

/** Days from knowing the opponent to the game: nothing that is new to many begins inside them (common practice). */
const NO_NEWS = 3;

/** What to be careful of, in sentences: contact first. The limits are the staff's own; the governing body decides. */
export function practiceCautions(
  script: readonly ScriptDay[],
  reps: readonly RepCount[],
  { limits, newShare }: Pick<PracticeSettings, 'limits' | 'newShare'>,
): string[] {
  const out: string[] = [];
  const day = ({ before }: ScriptDay): string => `${before} ${before === 1 ? 'day' : 'days'} before`;
  for (const d of script)
    if (d.full > limits.day)
      out.push(`${d.full} minutes of full contact ${day(d)}: your limit is ${limits.day} a day.`);
  const week = script.reduce((sum, d) => sum + d.full, 0);
  if (week > limits.week)
    out.push(`${week} minutes of full contact in the week: your limit is ${limits.week}.`);
  const hits = script.filter((d) => d.full > 0).length;
  if (hits > limits.days) out.push(`Full contact on ${hits} days: your limit is ${limits.days} a week.`);
  for (const { item, first } of reps)
    if (item.newJobs !== null && item.newJobs >= newShare && first !== null && first <= NO_NEWS)
      out.push(
        `Call ${item.number}, ${item.title}, is new to ${Math.round(100 * item.newJobs)} % of the men and first repeated ${first} ${first === 1 ? 'day' : 'days'} before the game.`,
      );
  return out;
}
export const CONTACT_CAUTION =
  'Limits on contact, heat and rest are set by your association: check its rules, and defer to them and to your medical staff.';
