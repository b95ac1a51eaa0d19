import 'server-only';
import { gameNames } from '@/core/exchange/names';
import type { Actor } from '@/core/exchange/types';
import {
  buildColumns,
  buildReport,
  FILM_LABEL,
  ofKicks,
  rowsAt,
  SIDE_WORDS,
  DOUBT_WORDS,
  weightsOf,
  writeFilter,
  writeRanges,
  type Columns,
  type ReadAddress,
  type Report,
} from '@/core/read';
import { sectionsSchema, templatesSchema } from '@/core/read/schema';
import { lookCards } from '@/render/report-print';
import type { ReportToPrint } from '@/render/report-pdf';
import { listTeams } from '@/store/games';
import { countedFilm } from './counted-film';

export interface MadeReport {
  readonly address: ReadAddress;
  readonly report: Report;
  /** Sections that were asked for: by the address, by the staff, or the usual ones (null). */
  readonly sections: readonly string[] | null;
  readonly template: readonly string[] | null;
  readonly columns: Columns;
  readonly games: readonly string[];
  /** What it is called, whose it is, what it rests on. */
  readonly about: Pick<ReportToPrint, 'title' | 'of' | 'rests'>;
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
  const columns = buildColumns(counted, rules, weights);
  const rows = rowsAt(columns, address, rules.zones);
  const template = templatesSchema.nullish().safeParse(settings.reports).data?.[side] ?? null;
  const asked = sectionsSchema.safeParse(params.get('sections')?.split(',')).data ?? null;
  const sections = asked ?? template;
  const nameOf = (key: string): string => teams.find((t) => t.key === key)?.name ?? key;
  const report = buildReport(columns, rows, { team: address.team, side, sections }, rules.zones);
  const called = gameNames(
    games.map((g) => g.info),
    nameOf,
  );
  const keys = chosen.map((g) => g.info.key);
  const filtered = [writeFilter(address.filter), writeRanges(address.ranges), address.cell?.bucket].filter(
    Boolean,
  );
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
  return {
    address,
    report,
    sections,
    template,
    columns,
    games: keys,
    about,
    print: (now) => ({
      ...about,
      printed: `${name} · printed ${now.toISOString().slice(0, 16).replace('T', ' ')} UTC`,
      report,
      zones: rules.zones,
      looks: lookCards(columns, rows, side, book, profiles[level], rules.look),
    }),
  };
}
