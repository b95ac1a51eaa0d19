import 'server-only';
import { gameNames } from '@/core/exchange/names';
import type { Actor } from '@/core/exchange/types';
import {
  buildReport,
  changesSince,
  figuresOf,
  FILM_LABEL,
  glossaryOf,
  ofKicks,
  PRACTICE,
  repsOf,
  rowsAt,
  SIDE_WORDS,
  DOUBT_WORDS,
  weightsOf,
  writeFilter,
  writeRanges,
  type Changes,
  type Columns,
  type KeptWords,
  type PrintedFigures,
  type ReadAddress,
  type Report,
  type ReportUnits,
  REPORT_UNITS,
  besidesOf,
  type BesideTable,
} from '@/core/read';
import { sectionsSchema, templatesSchema } from '@/core/read/schema';
import { lookCards } from '@/render/report-print';
import type { ReportToPrint } from '@/render/report-pdf';
import { snapsOf } from '@/store/film';
import { listTeams } from '@/store/games';
import { lastPrint, reportWords } from '@/store/reports';
import { columnsOfFilm, countedFilm } from './counted-film';
import { localTime } from './local-time';

export interface MadeReport {
  readonly address: ReadAddress;
  readonly report: Report;
  /** What is counted beside its boards. */
  readonly beside: readonly BesideTable[];
  /** Sections that were asked for: by the address, by the staff, or the usual ones (null). */
  readonly sections: readonly string[] | null;
  readonly template: readonly string[] | null;
  readonly columns: Columns;
  readonly games: readonly string[];
  /** What it is called, whose it is, what it rests on. */
  readonly about: Pick<ReportToPrint, 'title' | 'of' | 'rests'>;
  /** The staff's words for the first page. */
  readonly words: KeptWords;
  /** What is other than at the last print of the same filters; null: there was none. */
  readonly since: { readonly at: string; readonly changes: Changes } | null;
  readonly gameName: (key: string) => string;
  /** What a print keeps. */
  figures(): PrintedFigures;
  /** Cards are drawn only for paper. */
  print(now: Date): ReportToPrint;
}

/** The report of an address of Read: the same film, filters and cell as on the screen. */
export async function makeReport(actor: Actor, params: URLSearchParams): Promise<MadeReport> {
  const [film, teams] = await Promise.all([countedFilm(actor, params), listTeams(actor)]);
  const { program, games, book, address, rules, profiles, chosen, counted } = film;
  const { level, settings, name } = program;
  const { side } = address;
  const weights = weightsOf(
    chosen.map((g) => g.info),
    address.halfLife,
  );
  const columns = await columnsOfFilm(film);
  const rows = rowsAt(columns, address, rules.zones);
  const template = templatesSchema.nullish().safeParse(settings.reports).data?.[side] ?? null;
  const asked = sectionsSchema.safeParse(params.get('sections')?.split(',')).data ?? null;
  const sections = asked ?? template;
  const nameOf = (key: string): string => teams.find((t) => t.key === key)?.name ?? key;
  const filtered = [writeFilter(address.filter), writeRanges(address.ranges), address.cell?.bucket].filter(
    Boolean,
  );
  // Counted by other rules, a rate moves without a snap.
  const only = [FILM_LABEL[address.film], ...filtered, JSON.stringify(rules)].join('; ');
  const of = { team: address.team, side };
  const [words, last] = await Promise.all([reportWords(actor, of), lastPrint(actor, of, only)]);
  const report = buildReport(columns, rows, { ...of, sections }, rules.zones, words.edits);
  const called = gameNames(
    games.map((g) => g.info),
    nameOf,
  );
  const keys = chosen.map((g) => g.info.key);
  const since = last && { at: last.at, changes: changesSince(last.figures, report, keys) };
  const about = {
    title: `${nameOf(address.team)} ${SIDE_WORDS[side]}`,
    of: `${name}${settings.week === null ? '' : ` · week ${settings.week}`}`,
    rests: [
      `Film: ${keys.map(called).join(', ') || 'none'} (${FILM_LABEL[address.film]})`,
      filtered.length > 0 ? `Only ${filtered.join('; ')}` : '',
      columns.doubted.includes(1) && rules.doubts !== 'whole'
        ? `Tags in doubt: ${DOUBT_WORDS[rules.doubts]}`
        : '',
      weights === null ? '' : 'Games weighed, what n is worth in the rates',
      ofKicks(side)
        ? 'Kicks that a foul wiped out left out'
        : `Success ${rules.success.name}; kneels, spikes and no-plays left out`,
    ]
      .filter(Boolean)
      .join('. '),
  };
  const { team } = address;
  const reps = repsOf(
    await Promise.all(
      games
        .filter((g) => PRACTICE.has(g.info.phase))
        .map(async (g) => ({ info: g.info, snaps: await snapsOf(actor, g) })),
    ),
    team,
  );
  const beside = besidesOf(
    {
      snaps: counted,
      columns,
      rows,
      team,
      side,
      whole: filtered.length === 0,
      drawn: { book, profile: profiles[level], settings: rules.look },
      reps,
    },
    report,
  );
  const has = (part: string): boolean => report.order.includes(part);
  return {
    address,
    report,
    beside,
    sections,
    template,
    columns,
    games: keys,
    about,
    words,
    since,
    gameName: called,
    figures: () => figuresOf(report, keys, only),
    print: (now) => ({
      ...about,
      printed: `${name} · printed ${localTime(now.toISOString())}`,
      since: has('since') && since ? { ...since, at: localTime(since.at), nameOf: called } : null,
      beside,
      words: has('words') ? glossaryOf(columns, rows, book, profiles[level]) : [],
      report,
      zones: rules.zones,
      looks:
        has('drawn') || has('answers')
          ? lookCards(columns, rows, side, book, profiles[level], rules.look)
          : [],
    }),
  };
}

/** The reports of several units of one film: of the one on the screen its own sections and situation, of the others the staff's. Those without a snap are left out, if any has one. */
export async function makeUnits(
  actor: Actor,
  params: URLSearchParams,
  units: ReportUnits | null,
): Promise<MadeReport[]> {
  if (units === null) return [await makeReport(actor, params)];
  const here = params.get('side') ?? 'offense';
  const made: MadeReport[] = [];
  for (const side of REPORT_UNITS[units]) {
    const of = new URLSearchParams(params);
    of.set('side', side);
    if (side !== here) for (const own of ['sections', 'cell']) of.delete(own);
    made.push(await makeReport(actor, of));
  }
  const some = made.filter((m) => m.report.snaps > 0);
  return some.length > 0 ? some : made.slice(0, 1);
}
