/** `report FILE --team KEY --out DIR`: the scouting report of a file's film as PDF, XLSX, CSV and report.json. */
import { mkdirSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { LEVEL_PROFILES } from '../core/field/profile';
import {
  OWN_SECTIONS,
  BOARD_SIDES,
  besideCsv,
  besidesOf,
  boardCsv,
  boardsOf,
  FIRST_PAGE,
  REPORT_PARTS,
  buildColumns,
  buildReport,
  glossaryOf,
  countGame,
  DEFAULT_RULES,
  filmKind,
  ofKicks,
  reportJson,
  repsOf,
  rowsAt,
  SIDE_WORDS,
  weightsOf,
  FILM_KINDS,
  type FilmKind,
} from '../core/read';
import { PAPERS, type Paper } from '../core/plan';
import { lookCards } from '../render/report-print';
import { playersPdf, reportPdf } from '../render/report-pdf';
import { reportWorkbook } from '../store/report-xlsx';
import { doubtsOption, levelOption, print, readOptions } from './options';
import { Plain } from './paths';
import { readGames } from './tables';

export async function report(args: string[]): Promise<number> {
  const { values, flags, rest } = readOptions(
    args,
    ['team', 'side', 'out', 'level', 'film', 'half-life', 'doubts', 'paper', 'sections'],
    ['breaks'],
  );
  const fallback = levelOption(values.level);
  if (!values.team) throw new Plain('name the team that is reported on: --team KEY');
  if (!values.out) throw new Plain('name a folder to write to: --out FOLDER');
  const self = values.side === 'self';
  const side = self ? 'offense' : BOARD_SIDES.find((s) => s === (values.side ?? 'offense'));
  if (!side) throw new Plain(`--side ${values.side} is none of ${BOARD_SIDES.join(', ')}, self`);
  const paper = (values.paper ?? 'letter') as Paper;
  if (!Object.hasOwn(PAPERS, paper))
    throw new Plain(`--paper ${values.paper} is none of ${Object.keys(PAPERS).join(', ')}`);
  const film = (values.film ?? 'eleven') as FilmKind;
  if (!FILM_KINDS.includes(film)) throw new Plain(`--film ${film} is none of ${FILM_KINDS.join(', ')}`);
  const sections = values.sections?.split(',') ?? (self ? OWN_SECTIONS : null);
  const known = [...boardsOf(side), ...REPORT_PARTS.filter((p) => p.sides.includes(side))].map((s) => s.id);
  const strange = sections?.find((id) => id !== FIRST_PAGE && !known.includes(id));
  if (strange !== undefined)
    throw new Plain(`--sections ${strange} is none of ${[...known, FIRST_PAGE].join(', ')}`);
  const halfLife = values['half-life'] === undefined ? null : Number(values['half-life']);
  if (halfLife !== null && !(halfLife > 0))
    throw new Plain(`--half-life ${values['half-life']} is not a number of games above 0`);
  const rules = { ...DEFAULT_RULES, doubts: doubtsOption(values.doubts) };
  const { games, levelOf, phaseOf, weighed, book } = readGames(rest[0]);
  const weightOf = (key: string): number | null => weighed.find((g) => g.key === key)?.weight ?? null;
  // Film that a staff left out, and seven-on-seven, do not count here.
  const chosen = [...games].filter(
    ([key]) =>
      filmKind({ level: levelOf(key) ?? fallback.key, phase: phaseOf(key), weight: weightOf(key) }) === film,
  );
  const theirs = chosen.filter(([, snaps]) =>
    snaps.some((s) => s.offense === values.team || s.defense === values.team),
  );
  if (theirs.length === 0) throw new Plain(`${values.team} plays in no game of ${rest[0]} that counts`);
  const keys = new Set(theirs.map(([key]) => key));
  const inTime = weighed.filter((g) => keys.has(g.key));
  const counted = theirs.flatMap(([key, snaps]) =>
    countGame(snaps, levelOf(key) ? LEVEL_PROFILES[levelOf(key)!] : fallback, book, rules),
  );
  const columns = buildColumns(counted, rules, weightsOf(inTime, halfLife));
  const rows = rowsAt(
    columns,
    { team: values.team, side, filter: {}, ranges: {}, cell: null },
    DEFAULT_RULES.zones,
  );
  const about = { team: values.team, side, sections };
  const made = buildReport(columns, rows, about, DEFAULT_RULES.zones);
  const practiced = [...games].map(([key, snaps]) => ({ info: { phase: phaseOf(key) ?? 'regular' }, snaps }));
  const beside = besidesOf(
    {
      snaps: counted,
      columns,
      rows,
      team: values.team,
      side,
      whole: true,
      drawn: book && { book, profile: fallback, settings: rules.look },
      reps: repsOf(practiced, values.team),
    },
    made,
  );
  const names = inTime.map((g) => g.key);
  const given = {
    title: `${values.team} ${SIDE_WORDS[side]}`,
    of: `scouting report of ${names.length} ${names.length === 1 ? 'game' : 'games'}`,
    rests: `Film: ${names.join(', ')}. Rules of ${fallback.name}. ${ofKicks(side) ? 'Kicks that a foul wiped out' : 'Kneels, spikes and no-plays'} left out.`,
    printed: new Date().toISOString().slice(0, 10),
    report: made,
    zones: DEFAULT_RULES.zones,
    looks: lookCards(columns, rows, side, book, fallback, DEFAULT_RULES.look),
    since: null,
    beside,
    words: book && made.order.includes('words') ? glossaryOf(columns, rows, book, fallback) : [],
  };
  const files: [string, Uint8Array | string][] = [
    ['report.json', `${JSON.stringify(reportJson(made, names, beside, self ? 'self' : side), null, 2)}\n`],
    ['report.pdf', await reportPdf(given, { paper, breaks: flags.has('breaks') })],
    ['players.pdf', await playersPdf(given, paper)],
    [
      'report.xlsx',
      await reportWorkbook(made, beside, [given.title, given.of, given.rests], columns.weight !== null),
    ],
    ...made.tables.map((t): [string, string] => [`${t.id}.csv`, boardCsv(t)]),
    ...beside.map((t): [string, string] => [`${t.id}.csv`, besideCsv(t)]),
  ];
  mkdirSync(values.out, { recursive: true });
  for (const [name, bytes] of files) writeFileSync(path.join(values.out, name), bytes);
  print({
    team: made.team,
    side: self ? 'self' : side,
    games: names,
    snaps: made.snaps,
    tables: made.tables.length + beside.length,
    files: files.map(([name]) => name),
  });
  return 0;
}
